# Steps that bin/start, bin/test and bin/bench share. Sourced, not run.
# Needs: ROOT, the checkout; STATE, a folder outside of it for everything that is written while running.

say() { printf '%s\n' "$*"; }

# STATE, the data folder: as it is set, or the default one; --own has one beside the demo's.
default_data() {
    STATE=/var/lib/ustrel
    [ "$(id -u)" -eq 0 ] || STATE=$HOME/.local/share/ustrel
    [ "$1" = --own ] && STATE=$STATE-own
    STATE=${USTREL_DATA:-$STATE}
}

# One clear line, and out. What was started is stopped by the caller's exit trap.
fail() { printf 'ustrel: %s\n' "$*" >&2; exit 1; }

as_root() {
    if [ "$(id -u)" -eq 0 ]; then "$@"
    elif command -v sudo >/dev/null; then sudo "$@"
    else fail "this needs root to run \"$*\". Run it as root, or install sudo and try again."
    fi
}

# PHP that reckons by the million: compiled, and with room for its traces where the framework alone would take all there are.
JIT=(-d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d opcache.jit_max_root_traces=8192 -d opcache.jit_max_side_traces=8192)

# Runs a quiet step; when it fails, shows what it names as the error, its last lines, and one line that says what to do.
step() {
    local what=$1 advice=$2 log
    shift 2
    log=$(mktemp)
    if ! "$@" >"$log" 2>&1; then
        head -n -20 "$log" | grep -m 3 -E 'ERROR|SQLSTATE|Exception' >&2 || true
        tail -n 20 "$log" >&2
        rm -f "$log"
        fail "$what failed. $advice"
    fi
    rm -f "$log"
}

# Installs Debian packages that are missing.
need_debian() {
    local missing=() package
    for package in "$@"; do
        dpkg-query -W -f='${db:Status-Status}' "$package" 2>/dev/null | grep -qx installed || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return
    say "Installing ${missing[*]}"
    step "apt-get update" "Check this machine's package sources." as_root apt-get update -qq
    # RUNLEVEL=1: the packages' own system services are not started; Ustrel runs its own.
    step "Installing ${missing[*]}" "Install these Debian packages by hand, then try again." \
        as_root env DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 apt-get install -y -qq --no-install-recommends "${missing[@]}"
}

# Installs a Debian package where its command is missing.
need_command() {
    command -v "$1" >/dev/null || need_debian "$2"
}

# Debian 12 has Node 18 and an npm that cannot read the lock file: where no newer Node is there, the npm package that carries its
# binary is kept in the checkout, with an npm of its age.
NODE_VERSION=22
NPM_VERSION=10
need_node() {
    local is_new='process.exit(Number(process.versions.node.split(".")[0]) >= 20 ? 0 : 1)' machine
    need_command npm npm
    node -e "$is_new" 2>/dev/null && return
    case $(uname -m) in
        x86_64) machine=x64 ;;
        aarch64) machine=arm64 ;;
        *) fail "Node.js 20 or newer is missing, and there is none to install for this machine. Install it, then try again." ;;
    esac
    local at=$ROOT/.tools/node_modules
    if [ ! -x "$at/node-linux-$machine/bin/node" ] || [ ! -x "$at/.bin/npm" ]; then
        say "Installing Node.js $NODE_VERSION"
        step "npm install" "Check that npm reaches its registry." npm install --prefix "$ROOT/.tools" --no-save --no-audit --no-fund "node-linux-$machine@$NODE_VERSION" "npm@$NPM_VERSION"
    fi
    export PATH=$at/node-linux-$machine/bin:$at/.bin:$PATH
}

need_tools() {
    need_debian ca-certificates
    need_command php php8.2-cli
    need_command composer composer
    need_node
    need_debian php8.2-{pgsql,fpm,gd,curl,intl,mbstring,xml,zip} postgresql-15 nginx-light
}

digest_of() { find "$@" -type f -not -path '*/node_modules/*' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1; }

# Runs a step only when the files it depends on have changed since it last succeeded.
once_per() {
    local stamp=$1 digest
    shift
    local files=()
    while [ "$1" != -- ]; do files+=("$1"); shift; done
    shift
    digest=$(digest_of "${files[@]}")
    [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$digest" ] && return
    "$@"
    printf '%s' "$digest" >"$stamp"
}

# Each package in the version that composer.pins names: without a lock file, what others need would float.
install_php_packages() {
    local pins=()
    say "Installing PHP packages"
    rm -f "$ROOT"/vendor/.stamp{,-run}
    if [ -f "$ROOT/composer.pins" ]; then mapfile -t pins < <(sed 's/^\(\S*\) \(\S*\)$/--with\n\1:\2/' "$ROOT/composer.pins"); fi
    step "composer update" "Check that Composer reaches its registry." \
        env COMPOSER_ALLOW_SUPERUSER=1 composer update --working-dir="$ROOT" --no-interaction --no-progress --prefer-dist ${1:+"$1"} "${pins[@]}"
}

# The newest that composer.json allows, and each of them pinned.
renew_pins() {
    rm -f "$ROOT/composer.pins"
    install_php_packages
    php -r 'foreach (json_decode(file_get_contents($argv[1]), true)["packages"] as $of) { if ($of["name"] !== "ustrel/core") { echo "{$of["name"]} {$of["version"]}\n"; } }' "$ROOT/vendor/composer/installed.json" | LC_ALL=C sort >"$ROOT/composer.pins"
}

install_node_packages() {
    say "Installing client packages"
    step "npm ci" "Check that npm reaches its registry." \
        env PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --prefix "$ROOT" --no-audit --no-fund
}

build_client() {
    say "Building the client"
    step "Building the client" "Run npm run build to see more." npm run --prefix "$ROOT" build
}

# With --no-dev as "$1" only what running needs; what tests need besides is left where it is there already.
install_packages() {
    mkdir -p "$ROOT/vendor" "$ROOT/node_modules" "$ROOT/public/build"
    local stamp=.stamp manifests=("$ROOT"/{composer.json,core/composer.json,composer.pins})
    if [ "${1:-}" = --no-dev ] && [ "$(cat "$ROOT/vendor/.stamp" 2>/dev/null)" != "$(digest_of "${manifests[@]}")" ]; then stamp=.stamp-run; fi
    once_per "$ROOT/vendor/$stamp" "${manifests[@]}" -- install_php_packages "${1:-}" &
    local php=$!
    once_per "$ROOT/node_modules/.stamp" "$ROOT/package.json" "$ROOT/package-lock.json" -- install_node_packages
    wait "$php" || exit 1
    once_per "$ROOT/public/build/.stamp" "$ROOT"/{resources/js,lang,package-lock.json,vite.config.ts,VERSION} -- build_client
}

write_api_document() { php "$ROOT/artisan" ustrel:openapi >"$ROOT/public/openapi.json.new" && mv "$ROOT/public/openapi.json.new" "$ROOT/public/openapi.json"; }
write_api_types() { npm run --silent --prefix "$ROOT" api >/dev/null; }

# The OpenAPI document that the attributes make, and with "types" what the client is typed by.
describe_api() {
    once_per "$ROOT/vendor/.stamp-api" "$ROOT"/{app,core/src,composer.json} -- step "Describing the API" "Run bin/ustrel ustrel:openapi to see more." write_api_document
    [ "${1:-}" = types ] || return 0
    once_per "$ROOT/node_modules/.stamp-api" "$ROOT"/{public/openapi.json,package.json} -- step "Typing the client" "Run npm run api to see more." write_api_types
}

# Whether somebody listens at a port, of loopback where no address is given.
port_taken() {
    local host=${2:-127.0.0.1}
    host=${host#[}
    (exec 3<>"/dev/tcp/${host%]}/$1") 2>/dev/null
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'; }

# Who the application runs as: when root starts it, a user of its own that may do nothing else.
APP_USER=''
choose_user() {
    [ "$(id -u)" -eq 0 ] || return 0
    id ustrel >/dev/null 2>&1 || step "Adding the user ustrel" "Add a system user of that name by hand." \
        useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin ustrel
    mkdir -p "$STATE" || fail "cannot write to $STATE. Set USTREL_DATA to a folder that you may write to."
    chmod 711 "$STATE"
    APP_USER=ustrel
    AS_APP=(setpriv --reuid "$APP_USER" --regid "$APP_USER" --init-groups)
    # A port below 1024 is otherwise root's alone.
    if [ "${WEB_PORT:-1024}" -lt 1024 ]; then AS_APP+=(--inh-caps +net_bind_service --ambient-caps +net_bind_service); fi
    AS_APP+=(--)
    local code=("$ROOT"/{VERSION,artisan,app,bootstrap,config,core,database,lang,public,resources/views,routes,standins,vendor})
    # Packages come as their makers packed them, some for their owner alone.
    if [ -n "$(as_app find "${code[@]}" ! -readable -print -quit 2>&1)" ]; then chmod -R a+rX "${code[@]}"; fi
    if ! as_app test -r "$ROOT/vendor/autoload.php" || ! as_app test -x "$STATE"; then
        APP_USER='' AS_APP=()
        say "Ustrel runs as root: the user ustrel cannot read $ROOT or reach $STATE. Put both where it can, such as /opt and /var/lib."
    fi
}
# What stands before a command to run it as that user.
AS_APP=()
as_app() { "${AS_APP[@]}" "$@"; }

# The folders of one running Ustrel, and the paths that Laravel writes to. Nobody else reads them.
prepare_state() {
    local own=("$STATE"/{run,log,cache,storage})
    mkdir -p "${own[@]}" "$STATE/pgrun" "$STATE"/storage/{app,logs,framework/{sessions,views,cache/data}} \
        || fail "cannot write to $STATE. Set USTREL_DATA to a folder that you may write to."
    chmod 711 "$STATE"
    chmod 700 "${own[@]}"
    if [ -n "$APP_USER" ] && [ "$(stat -c %U "$STATE/storage")" != "$APP_USER" ]; then chown -R "$APP_USER:$APP_USER" "${own[@]}"; fi
    export LARAVEL_STORAGE_PATH=$STATE/storage
    export APP_CONFIG_CACHE=$STATE/cache/config.php APP_ROUTES_CACHE=$STATE/cache/routes.php
    export APP_EVENTS_CACHE=$STATE/cache/events.php APP_SERVICES_CACHE=$STATE/cache/services.php
    export APP_PACKAGES_CACHE=$STATE/cache/packages.php
}

artisan() { as_app php "$ROOT/artisan" "$@"; }

. "$ROOT/bin/lib/postgres.sh"
. "$ROOT/bin/lib/web.sh"
