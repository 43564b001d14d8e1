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
    stop_by_pid_file "$STATE/run/proxy.pid" QUIT
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
    export USTREL_STAND_IN_PORT_FILE=$STATE/run/standin.port WEB_PORT BASE_URL=http://127.0.0.1:$WEB_PORT USTREL_ROOT=$ROOT USTREL_STATE=$STATE
}

throwaway_database() {
    export DB_DATABASE=$1
    # Nothing may depend on statistics that autovacuum happens to have gathered.
    PG_OPTIONS_EXTRA='-c fsync=off -c full_page_writes=off -c autovacuum=off' pg_start
    pg_database "$1"
}

# Another nginx before Ustrel, which speaks TLS and says for whom it asks: the address that PROXIED_URL names.
throwaway_proxy() {
    local port
    port=$(free_port)
    make_certificate "$STATE/tls"
    cat >"$STATE/run/proxy.conf" <<CONF
$(if [ "$(id -u)" -eq 0 ]; then echo 'user root;'; fi)
pid $STATE/run/proxy.pid;
error_log $STATE/log/proxy.log warn;
events { worker_connections 256; }
http {
    access_log off;
    client_max_body_size 50m;
    client_body_temp_path $STATE/run/proxy-body;
    proxy_temp_path $STATE/run/proxy-proxy;
    fastcgi_temp_path $STATE/run/proxy-fastcgi;
    uwsgi_temp_path $STATE/run/proxy-uwsgi;
    scgi_temp_path $STATE/run/proxy-scgi;
    server {
        listen 127.0.0.1:$port ssl http2;
        ssl_certificate $STATE/tls/cert.pem;
        ssl_certificate_key $STATE/tls/key.pem;
        location / {
            proxy_pass http://127.0.0.1:$WEB_PORT;
            proxy_set_header X-Forwarded-For \$remote_addr;
            proxy_set_header X-Forwarded-Proto https;
            proxy_set_header X-Forwarded-Host \$http_host;
            proxy_set_header X-Forwarded-Port $port;
        }
    }
}
CONF
    step "Starting the proxy" "Read $STATE/log/proxy.log." /usr/sbin/nginx -e "$STATE/log/proxy.log" -c "$STATE/run/proxy.conf"
    export PROXIED_URL=https://127.0.0.1:$port
}

# The whole application on the demo data, as bin/start runs it.
throwaway_server() {
    export APP_ENV=production QUEUE_CONNECTION=database USTREL_PROXIES=127.0.0.1
    throwaway_database "$1"
    # A kept cluster may have one of an earlier run.
    pg_admin -c "DROP DATABASE $1 WITH (FORCE)"
    pg_database "$1"
    step "Making the tables" "Read the lines above." artisan migrate --force
    step "Loading the typical spec sheets" "Read the lines above." artisan ustrel:load-sheets
    step "Loading the demo" "Read the lines above." artisan ustrel:load-demo
    describe_api
    step "Preparing the application" "Read the lines above." artisan optimize
    fpm_start
    nginx_start
    worker_start
    standin_start
}
