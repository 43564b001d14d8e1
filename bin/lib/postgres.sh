# A PostgreSQL cluster of our own on loopback. Needs STATE, DB_PORT, DB_USERNAME, DB_PASSWORD.

PG_BIN=/usr/lib/postgresql/15/bin

# PostgreSQL refuses to run as root; then it runs as the user postgres.
as_postgres() {
    if [ "$(id -u)" -eq 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

pg_running() { as_postgres "$PG_BIN/pg_ctl" -D "$STATE/pg" status >/dev/null 2>&1 && ! pg_is_gone; }

# Whether the postmaster that its file names was killed: nobody may have noticed its end yet, or another process has its number now.
pg_is_gone() {
    local pid state
    pid=$(head -n 1 "$STATE/pg/postmaster.pid" 2>/dev/null) && [ -n "$pid" ] || return 1
    state=$(ps -o stat=,comm= -p "$pid") || return 0
    [[ $state == Z* || $state != *postgres* ]]
}

# They work in the data folder.
pg_has_backends() { readlink /proc/[0-9]*/cwd 2>/dev/null | grep -qxF "$(realpath "$STATE/pg")"; }

pg_accepts() { pg_admin -c 'SELECT 1' >/dev/null 2>&1; }

pg_start() {
    if [ "$(id -u)" -eq 0 ]; then chown postgres "$STATE/pgrun"; fi
    chmod 700 "$STATE/pgrun"
    if [ ! -f "$STATE/pg/PG_VERSION" ]; then
        rm -rf "$STATE/pg"
        mkdir -p "$STATE/pg"
        if [ "$(id -u)" -eq 0 ]; then chown postgres "$STATE/pg"; fi
        # Over the socket only this user gets in; over loopback it takes the password.
        step "Making the database cluster" "See whether $STATE has room and can be written to." \
            as_postgres "$PG_BIN/initdb" -D "$STATE/pg" -U postgres --encoding=UTF8 --locale=C.UTF-8 \
            --auth-local=trust --auth-host=scram-sha-256
    fi
    pg_running && return
    # Its file is in the way as long as its number is somebody's. While backends of it are about it stays, and keeps others out.
    if pg_is_gone && ! pg_has_backends; then rm -f "$STATE/pg/postmaster.pid"; fi
    step "Starting PostgreSQL" "Read $STATE/pgrun/postgres.log." \
        as_postgres "$PG_BIN/pg_ctl" -D "$STATE/pg" -w -t 60 -l "$STATE/pgrun/postgres.log" \
        -o "-p $DB_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=$STATE/pgrun ${PG_OPTIONS_EXTRA:-}" start
}

# After its postmaster was killed: the backends go a moment later, and until then no other is let in.
pg_revive() {
    local tries
    for tries in 1 2 3 4 5; do
        (pg_start) 2>/dev/null && return
        sleep "$tries"
    done
    pg_start
}

pg_stop() { if pg_running; then as_postgres "$PG_BIN/pg_ctl" -D "$STATE/pg" -w -m fast stop >/dev/null; fi; }

pg_admin() { as_postgres psql -qAtX -h "$STATE/pgrun" -p "$DB_PORT" -U postgres -v ON_ERROR_STOP=1 "$@"; }

# The application's role, and a database that it owns.
pg_database() {
    local database=$1
    if [ -z "$(pg_admin -c "SELECT 1 FROM pg_roles WHERE rolname = '$DB_USERNAME'")" ]; then
        pg_admin -c "CREATE ROLE $DB_USERNAME LOGIN"
    fi
    # A backup is tried in a database of its own.
    pg_admin -c "ALTER ROLE $DB_USERNAME CREATEDB PASSWORD '$DB_PASSWORD'"
    if [ -z "$(pg_admin -c "SELECT 1 FROM pg_database WHERE datname = '$database'")" ]; then
        pg_admin -c "CREATE DATABASE $database OWNER $DB_USERNAME"
    fi
}
