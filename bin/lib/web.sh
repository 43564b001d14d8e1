# php-fpm and nginx as the current user on loopback. Needs STATE and WEB_PORT; php-fpm takes over this environment.

fpm_start() {
    cat >"$STATE/run/fpm.conf" <<CONF
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
php_admin_value[upload_max_filesize] = 15M
php_admin_value[post_max_size] = 16M
php_admin_value[memory_limit] = 512M
php_admin_value[display_errors] = 0
$(if [ "$(id -u)" -eq 0 ]; then printf 'user = root\ngroup = root\n'; fi)
CONF
    # What the cache of compiled code is given is settled when php-fpm starts, not by its pool.
    local flags=(--nodaemonize --fpm-config "$STATE/run/fpm.conf"
        -d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000
        -d opcache.jit=tracing -d opcache.jit_buffer_size=64M)
    [ "$(id -u)" -eq 0 ] && flags+=(--allow-to-run-as-root)
    setsid /usr/sbin/php-fpm8.2 "${flags[@]}" >>"$STATE/log/fpm.out" 2>&1 &
    wait_for "php-fpm" "Read $STATE/log/fpm.log." test -S "$STATE/run/fpm.sock"
}

nginx_start() {
    mkdir -p "$STATE"/run/{body,fastcgi,proxy,uwsgi,scgi}
    cat >"$STATE/run/nginx.conf" <<CONF
$(if [ "$(id -u)" -eq 0 ]; then echo 'user root;'; fi)
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
        listen 127.0.0.1:$WEB_PORT;
        root $ROOT/public;
        add_header X-Content-Type-Options nosniff always;
        add_header X-Frame-Options SAMEORIGIN always;
        add_header Referrer-Policy same-origin always;
        location /build/assets/ { expires max; }
        location = /sw.js { add_header Cache-Control no-cache; }
        location = /manifest.webmanifest { types { } default_type application/manifest+json; }
        location ~ /\\. { return 404; }
        location / { try_files \$uri /index.php?\$query_string; }
        location = /index.php {
            include /etc/nginx/fastcgi_params;
            # Debian's file leaves the port out.
            fastcgi_param HTTP_HOST \$host:$WEB_PORT;
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_pass unix:$STATE/run/fpm.sock;
            fastcgi_read_timeout 120s;
        }
    }
}
CONF
    setsid /usr/sbin/nginx -e "$STATE/log/nginx.log" -c "$STATE/run/nginx.conf" >>"$STATE/log/nginx.out" 2>&1 &
    wait_for "nginx" "Read $STATE/log/nginx.log." port_taken "$WEB_PORT"
}

answers() { php -r 'exit(@file_get_contents($argv[1]) === false ? 1 : 0);' "$1"; }

wait_for() {
    local what=$1 advice=$2 tries=0
    shift 2
    until "$@"; do
        tries=$((tries + 1))
        [ "$tries" -lt 100 ] || fail "$what did not come up. $advice"
        sleep 0.1
    done
}

stop_by_pid_file() {
    local file=$1 signal=$2 pid
    pid=$(cat "$file" 2>/dev/null) || return 0
    [ -n "$pid" ] || return 0
    kill -s "$signal" "$pid" 2>/dev/null || return 0
    for _ in $(seq 50); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -9 "$pid" 2>/dev/null || true
}

fpm_stop() { stop_by_pid_file "$STATE/run/fpm.pid" QUIT; rm -f "$STATE/run/fpm.sock"; }
web_stop() { stop_by_pid_file "$STATE/run/nginx.pid" QUIT; fpm_stop; }
