# A Ustrel of its own for tests and benchmarks, on free ports, with a cluster that is thrown away at the end.
# Sourced after common.sh. With USTREL_KEEP=yes the cluster stays up for the next run, at the same place and port.

if [ "${USTREL_KEEP:-no}" = yes ]; then
    STATE=/tmp/ustrel-kept-$(id -u)
    mkdir -p "$STATE"
else
    STATE=$(mktemp -d /tmp/ustrel-test.XXXXXX)
fi

clean_up() {
    web_stop
    [ "${USTREL_KEEP:-no}" = yes ] && return
    if [ -f "$STATE/pg/PG_VERSION" ]; then pg_stop; fi
    rm -rf "$STATE"
}
trap clean_up EXIT
trap 'exit 130' INT
trap 'exit 143' TERM

throwaway_environment() {
    prepare_state
    rm -f "$STATE"/cache/*.php
    [ -f "$STATE/db_port" ] || free_port >"$STATE/db_port"
    DB_PORT=$(cat "$STATE/db_port")
    WEB_PORT=$(free_port)
    export APP_ENV=testing APP_DEBUG=false APP_KEY="base64:$(head -c 32 /dev/urandom | base64)"
    export LOG_CHANNEL=single CACHE_STORE=file SESSION_DRIVER=database QUEUE_CONNECTION=sync
    export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT DB_USERNAME=ustrel DB_PASSWORD=only-for-tests
    export WEB_PORT BASE_URL=http://127.0.0.1:$WEB_PORT USTREL_ROOT=$ROOT USTREL_STATE=$STATE
}

throwaway_database() {
    export DB_DATABASE=$1
    # Nothing may depend on statistics that autovacuum happens to have gathered.
    PG_OPTIONS_EXTRA='-c fsync=off -c full_page_writes=off -c autovacuum=off' pg_start
    pg_database "$1"
    # Tests run side by side, each on a database of its own.
    pg_admin -c "ALTER ROLE $DB_USERNAME CREATEDB"
}

# The whole application on the demo data, as bin/start runs it.
throwaway_server() {
    export APP_ENV=production
    throwaway_database "$1"
    # A kept cluster may have one of an earlier run.
    pg_admin -c "DROP DATABASE $1 WITH (FORCE)"
    pg_database "$1"
    step "Making the tables" "Read the lines above." artisan migrate --force
    step "Loading the typical spec sheets" "Read the lines above." artisan ustrel:load-sheets
    step "Loading the demo" "Read the lines above." artisan ustrel:load-demo
    step "Preparing the application" "Read the lines above." artisan optimize
    fpm_start
    nginx_start
}
