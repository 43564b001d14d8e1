# php-fpm, nginx, the worker and the clock, as APP_USER or the current user. Needs STATE and WEB_PORT; they take over this environment.
# WEB_BIND is the address that nginx listens at, loopback by default; with TLS_CERT and TLS_KEY it speaks TLS.

# Starts one of them in a group of its own; its process is $!.
start_child() {
    local name=$1
    shift
    as_app touch "$STATE/log/$name.out"
    # Not through as_app: the process is to be the child itself and not a shell before it.
    "${AS_APP[@]}" setsid "$@" >>"$STATE/log/$name.out" 2>&1 &
}
runs_as_root() { [ "$(id -u)" -eq 0 ] && [ -z "$APP_USER" ]; }

fpm_start() {
    as_app tee "$STATE/run/fpm.conf" >/dev/null <<CONF
[global]
pid = $STATE/run/fpm.pid
error_log = $STATE/log/fpm.log
daemonize = no
[ustrel]
listen = $STATE/run/fpm.sock
pm = static
pm.max_children = 6
clear_env = no
catch_workers_output = yes
php_admin_value[opcache.revalidate_freq] = 2
php_admin_value[expose_php] = 0
php_admin_value[upload_max_filesize] = 48M
php_admin_value[post_max_size] = 50M
php_admin_value[memory_limit] = 512M
php_admin_value[display_errors] = 0
$(if runs_as_root; then printf 'user = root\ngroup = root\n'; fi)
CONF
    # What the cache of compiled code is given is settled when php-fpm starts, not by its pool.
    local flags=(--nodaemonize --fpm-config "$STATE/run/fpm.conf"
        -d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 "${JIT[@]}")
    if runs_as_root; then flags+=(--allow-to-run-as-root); fi
    start_child fpm /usr/sbin/php-fpm8.2 "${flags[@]}"
    wait_for "php-fpm" "Read $STATE/log/fpm.log." test -S "$STATE/run/fpm.sock"
}

# What every answer carries, also a file's. Scripts come from here alone; Vuetify writes its theme into a style of the page.
security_headers() {
    # Of bin/dev, from whose port the client comes as it is written.
    local dev=${VITE_PORT:+ http://127.0.0.1:$VITE_PORT ws://127.0.0.1:$VITE_PORT}
    cat <<CONF
add_header X-Content-Type-Options nosniff always;
add_header X-Frame-Options DENY always;
add_header Referrer-Policy same-origin always;
add_header Permissions-Policy "accelerometer=(), camera=(), geolocation=(), gyroscope=(), magnetometer=(), microphone=(), payment=(), usb=()" always;
add_header Cross-Origin-Opener-Policy same-origin always;
add_header Content-Security-Policy "default-src 'self'$dev; script-src 'self'$dev; style-src 'self' 'unsafe-inline'$dev; img-src 'self' blob: data:$dev; connect-src 'self'$dev; worker-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'" always;
CONF
    [[ "${APP_URL:-}" == https://* ]] && echo 'add_header Strict-Transport-Security "max-age=31536000" always;'
    return 0
}

# The directives of nginx that make it speak TLS, if it is to.
tls() {
    [ -n "${TLS_CERT:-}" ] || return 0
    cat <<CONF
ssl_certificate $TLS_CERT;
ssl_certificate_key $TLS_KEY;
ssl_protocols TLSv1.2 TLSv1.3;
ssl_session_cache shared:tls:2m;
ssl_session_tickets off;
CONF
}

# Whether a certificate is the one of a key.
certificate_fits() {
    [ "$(openssl x509 -in "$1" -noout -pubkey 2>/dev/null)" = "$(openssl pkey -in "$2" -pubout 2>/dev/null)" ] && openssl x509 -in "$1" -noout 2>/dev/null
}

# A certificate of our own for this machine's names and addresses, which each device has to be told to trust once.
make_certificate() {
    local folder=$1 names
    [ -f "$folder/cert.pem" ] && openssl x509 -in "$folder/cert.pem" -noout -checkend 2592000 >/dev/null && return
    names=DNS:localhost,DNS:$(hostname)$(hostname -I 2>/dev/null | tr ' ' '\n' | sed '/^$/d; s/^/,IP:/' | tr -d '\n'),IP:127.0.0.1
    (umask 077 && mkdir -p "$folder")
    step "Making a certificate" "See whether $folder can be written to." \
        openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 825 \
        -subj /CN=Ustrel -addext "subjectAltName=$names" -keyout "$folder/key.pem" -out "$folder/cert.pem"
}

# What is said under a key, for who speaks without the application.
words() { php -r 'echo json_decode(file_get_contents($argv[1]), true)[$argv[2]];' "$ROOT/lang/en/$1.json" "$2"; }

nginx_start() {
    security_headers | as_app tee "$STATE/run/headers.conf" >/dev/null
    as_app mkdir -p "$STATE"/run/{body,fastcgi,proxy,uwsgi,scgi}
    as_app tee "$STATE/run/nginx.conf" >/dev/null <<CONF
$(if runs_as_root; then echo 'user root;'; fi)
worker_processes 2;
pid $STATE/run/nginx.pid;
error_log $STATE/log/nginx.log warn;
daemon off;
events { worker_connections 256; }
http {
    include /etc/nginx/mime.types;
    access_log off;
    server_tokens off;
    client_max_body_size 16m;
    client_body_temp_path $STATE/run/body;
    fastcgi_temp_path $STATE/run/fastcgi;
    proxy_temp_path $STATE/run/proxy;
    uwsgi_temp_path $STATE/run/uwsgi;
    scgi_temp_path $STATE/run/scgi;
    gzip on;
    gzip_comp_level 6;
    gzip_min_length 512;
    gzip_types application/javascript text/css application/json image/svg+xml text/csv;
    server {
        listen ${WEB_BIND:-127.0.0.1}:$WEB_PORT${TLS_CERT:+ ssl http2};
        $(tls)
        root $ROOT/public;
        include $STATE/run/headers.conf;
        location /build/assets/ { expires max; }
        # Where a header is added, those from above have to be said again.
        location = /sw.js { include $STATE/run/headers.conf; add_header Cache-Control no-cache; }
        location = /manifest.webmanifest { types { } default_type application/manifest+json; }
        location ~ /\\. { return 404; }
        # By itself nginx fails only where it cannot put by what comes in.
        error_page 500 = @no_room;
        error_page 413 = @too_large;
        location @too_large { include $STATE/run/headers.conf; default_type application/json; return 413 '{"message": "$(words record error.too_large)"}'; }
        location @no_room { include $STATE/run/headers.conf; default_type application/json; return 507 '{"message": "$(words record error.no_room)"}'; }
        location @large_manual { include $STATE/run/headers.conf; default_type application/json; return 413 '{"message": "$(words manual manual.too_large)"}'; }
        # Manuals alone are large.
        location = /api/manuals { client_max_body_size 50m; error_page 413 = @large_manual; try_files \$uri /index.php?\$query_string; }
        location / { try_files \$uri /index.php?\$query_string; }
        location = /index.php {
            # Looked at where it came in.
            client_max_body_size 50m;
            include /etc/nginx/fastcgi_params;
            # As it was asked for: who stands before Ustrel may have another name and port.
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_pass unix:$STATE/run/fpm.sock;
            fastcgi_read_timeout 120s;
        }
    }
}
CONF
    start_child nginx /usr/sbin/nginx -e "$STATE/log/nginx.log" -c "$STATE/run/nginx.conf"
    wait_for "nginx" "Read $STATE/log/nginx.log." port_taken "$WEB_PORT" "${WEB_HOST:-127.0.0.1}"
}

# What is due by the clock, such as the nightly backup.
schedule_start() {
    start_child schedule php "$ROOT/artisan" schedule:work
    echo $! >"$STATE/run/schedule.pid"
}

# What is worked on in the background, such as files that are imported.
worker_start() {
    start_child worker php -d memory_limit=256M "$ROOT/artisan" ustrel:work
    echo $! >"$STATE/run/worker.pid"
}

# What stands in for devices, asked at a port of its own of this machine alone; each start finds a free one.
standin_start() {
    local port
    port=$(free_port)
    start_child standin php "$ROOT/artisan" ustrel:stand-in parts "--port=$port"
    echo $! >"$STATE/run/standin.pid"
    echo "$port" | as_app tee "$STATE/run/standin.port" >/dev/null
}

# What is written along the way is put by when it is a day old or large, and the newest fourteen of each are kept.
rotate_logs() {
    local conf=$STATE/run/logrotate
    printf '"%s/log/*.log" "%s/log/*.out" "%s/storage/logs/*.log" {\n%s\n}\n' "$STATE" "$STATE" "$STATE" "$(log_rules)" | as_app tee "$conf.conf" >/dev/null
    as_app /usr/sbin/logrotate -s "$conf.state" "$conf.conf" || say "The logs in $STATE/log cannot be put by. Look whether there is room."
    conf=$STATE/pgrun/logrotate
    printf '"%s/pgrun/postgres.log" {\n%s\n}\n' "$STATE" "$(log_rules)" | as_postgres tee "$conf.conf" >/dev/null
    as_postgres /usr/sbin/logrotate -s "$conf.state" "$conf.conf" || say "The log in $STATE/pgrun cannot be put by. Look whether there is room."
}
log_rules() { printf 'daily\nmaxsize 5M\nrotate 14\nmissingok\nnotifempty\ncompress\ncopytruncate'; }

# Looks past the certificate: it may be one of our own, and what is asked is only whether Ustrel is up.
answers() { php -r 'exit(@file_get_contents($argv[1], false, stream_context_create(["ssl" => ["verify_peer" => false, "verify_peer_name" => false]])) === false ? 1 : 0);' "$1"; }

wait_for() {
    local what=$1 advice=$2 tries=0
    shift 2
    until "$@"; do
        tries=$((tries + 1))
        [ "$tries" -lt 100 ] || fail "$what did not come up. $advice"
        sleep 0.1
    done
}

# Whether what a pid file names runs.
runs() {
    local pid
    pid=$(cat "$STATE/run/$1.pid" 2>/dev/null) && [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null
}

# Ends what is left of one of ours, by the group that it was started in: nginx killed leaves its workers with the port.
end_rest() {
    local pid
    pid=$(cat "$STATE/run/$1.pid" 2>/dev/null) && [ -n "$pid" ] || return 0
    if ps -o args= --ppid "$pid" -p "$pid" -g "$pid" 2>/dev/null | grep -qE 'nginx|php-fpm|artisan|standins'; then kill -KILL -- "-$pid" 2>/dev/null || true; fi
    rm -f "$STATE/run/$1.pid"
}

# What an earlier start has left running, because it was itself ended at once.
stop_orphans() {
    local name
    for name in nginx fpm schedule worker standin; do end_rest "$name"; done
    rm -f "$STATE/run/fpm.sock"
}

stop_by_pid_file() {
    local file=$1 signal=$2 pid
    pid=$(cat "$file" 2>/dev/null) || return 0
    [ -n "$pid" ] || return 0
    # As the one it runs as: whoever writes the file can end no other's process by it.
    as_app kill -s "$signal" "$pid" 2>/dev/null || return 0
    for _ in $(seq 50); do as_app kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    as_app kill -9 "$pid" 2>/dev/null || true
}

fpm_stop() { stop_by_pid_file "$STATE/run/fpm.pid" QUIT; rm -f "$STATE/run/fpm.sock"; }
web_stop() { stop_by_pid_file "$STATE/run/schedule.pid" TERM; stop_by_pid_file "$STATE/run/worker.pid" TERM; end_rest standin; stop_by_pid_file "$STATE/run/nginx.pid" QUIT; fpm_stop; }
