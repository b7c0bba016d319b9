# Shared by bin/start, bin/stop, bin/test and bin/bench. Source it with ROOT, STATE and PORT set.
# STATE: where an instance keeps everything it makes.  RUN: a short path for sockets and process numbers.

say()  { printf '\033[2m·\033[0m %s\n' "$*"; }
fail() { printf 'chalk-ladder: %s\n' "$*" >&2; exit 1; }

APT_PACKAGES=(php8.2-cli php8.2-fpm php8.2-pgsql php8.2-gd php8.2-intl php8.2-zip php8.2-curl php8.2-apcu php8.2-bcmath php8.2-mbstring php8.2-xml
  postgresql-15 nginx-light libnginx-mod-nchan chromium poppler-utils curl unzip ca-certificates)
PG_BIN=/usr/lib/postgresql/15/bin

prepare_state() {
  mkdir -p "$STATE" "$ROOT/var/stamp"
  RUN="/tmp/chalk-ladder-$(printf '%s' "$STATE" | sha256sum | cut -c1-12)"
  if [ "$(id -u)" = 0 ]; then WEB_USER=www-data; DB_USER=postgres; else WEB_USER=$(id -un); DB_USER=$WEB_USER; fi
}

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo "$@"; else fail "this needs root or sudo: $*"; fi; }
as_db()   { if [ "$(id -u)" = 0 ]; then setpriv --reuid="$DB_USER" --regid="$DB_USER" --init-groups env HOME=/tmp "$@"; else "$@"; fi; }

# What Debian cannot supply is asked for before anything is touched.
check_tools() {
  if ! command -v node >/dev/null; then fail "Node.js 20 or newer is needed and Debian 12 does not supply it. Install it, then run this again."; fi
  local major; major=$(node -p 'process.versions.node.split(".")[0]')
  [ "$major" -ge 20 ] || fail "Node.js 20 or newer is needed; this is $(node --version). Install a newer one, then run this again."
  command -v npm >/dev/null || fail "npm 10 or newer is needed; it comes with Node.js 20. Install it, then run this again."
  command -v apt-get >/dev/null || fail "this script installs Debian packages; apt-get was not found. Needed: ${APT_PACKAGES[*]} composer"
}

install_packages() {
  local missing=() p
  for p in "${APT_PACKAGES[@]}"; do dpkg-query -W -f='${Status}' "$p" 2>/dev/null | grep -q 'ok installed' || missing+=("$p"); done
  command -v composer >/dev/null || missing+=(composer)
  [ ${#missing[@]} -eq 0 ] && return 0
  say "installing ${#missing[@]} Debian packages: ${missing[*]}"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq >"$STATE/apt.log" 2>&1 || true
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >>"$STATE/apt.log" 2>&1 \
    || { tail -n 5 "$STATE/apt.log" >&2; fail "apt-get could not install them; its words are in $STATE/apt.log"; }
}

# once NAME HASH COMMAND...: runs the command unless it has run for this hash.
once() {
  local name=$1 hash=$2; shift 2
  [ "$(cat "$ROOT/var/stamp/$name" 2>/dev/null)" = "$hash" ] && return 0
  "$@" || return 1
  printf '%s' "$hash" >"$ROOT/var/stamp/$name"
}
hash_of() { (cd "$ROOT" && find "$@" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum 2>/dev/null | sha256sum | cut -c1-16); }

fetch_php() {
  say "fetching PHP packages"
  ( cd "$ROOT" || exit 1
    if [ ! -f var/packages/symfony/composer.json ]; then
      mkdir -p var/packages
      composer create-project symfony/symfony var/packages/symfony 7.4.23 --no-install --no-scripts --no-plugins --no-interaction -q || exit 1
    fi
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress -q \
      && chmod -R a+rX vendor ) # some archives unpack for their owner alone
}
fetch_web() { say "fetching front-end packages"; ( cd "$ROOT" && npm ci --loglevel=error ); }
build_web() { say "building the front end"; ( cd "$ROOT" && npm run build --silent ); }

fetch_all() {
  once composer "$(hash_of composer.json)-$([ -f "$ROOT/vendor/autoload.php" ] && echo y)" fetch_php || fail "composer could not fetch the PHP packages"
  printf '%s' "$(hash_of composer.json)-y" >"$ROOT/var/stamp/composer"
  once npm "$(hash_of package.json package-lock.json)-$([ -d "$ROOT/node_modules" ] && echo y)" fetch_web || fail "npm could not fetch the front-end packages"
  printf '%s' "$(hash_of package.json package-lock.json)-y" >"$ROOT/var/stamp/npm"
}
build_all() {
  local h; h="$(hash_of package.json web/src web/build web/index.html web/student.html web/vite.config.ts web/public)"
  [ -f "$ROOT/web/dist/index.html" ] || h="$h-new"
  once web "$h" build_web || fail "the front end did not build"
  printf '%s' "${h%-new}" >"$ROOT/var/stamp/web"
}

port_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { local p=$1; while ! port_free "$p"; do p=$((p + 1)); done; echo "$p"; }
alive() { [ -f "$1" ] && kill -0 "$(head -n1 "$1")" 2>/dev/null; }

start_postgres() {
  local data="$STATE/postgres"
  # Two passwords: of the role that owns the cluster, and of the application's, which owns its schema and nothing else.
  local role; for role in admin app; do [ -s "$STATE/db-$role" ] || (umask 077; random_word >"$STATE/db-$role"); done
  if [ ! -f "$data/PG_VERSION" ]; then
    say "making a PostgreSQL cluster"
    mkdir -p "$data"; chmod 700 "$data"
    local words; words=$(mktemp); cat "$STATE/db-admin" >"$words"
    [ "$(id -u)" = 0 ] && chown "$DB_USER" "$data" "$words"
    as_db test -w "$data" || fail "the user $DB_USER cannot reach $data; move the project to a folder that others may enter"
    as_db "$PG_BIN/initdb" -D "$data" -U chalk_admin --pwfile="$words" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 --no-instructions >"$STATE/initdb.log" 2>&1 || fail "initdb failed; see $STATE/initdb.log"
    rm -f "$words"
    cat "$ROOT/ops/postgresql.conf" >>"$data/postgresql.conf"
  fi
  PG_PORT=$(cat "$STATE/pg-port" 2>/dev/null || echo 0)
  # A pid file alone proves nothing: after a kill −9 it is still there, perhaps with another program's number in it.
  if ! alive "$data/postmaster.pid" || ! "$PG_BIN/pg_isready" -q -t 5 -h 127.0.0.1 -p "$PG_PORT"; then
    stop_postgres immediate
    rm -f "$data/postmaster.pid"
    PG_PORT=$(free_port $((PORT + 1)))
    echo "$PG_PORT" >"$STATE/pg-port"
    : >>"$STATE/postgres.log"; [ "$(id -u)" = 0 ] && chown "$DB_USER" "$STATE/postgres.log"
    as_db "$PG_BIN/pg_ctl" -D "$data" -w -t 60 -l "$STATE/postgres.log" -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=" start >/dev/null || { tail -n 5 "$STATE/postgres.log" >&2; fail "PostgreSQL did not start; see $STATE/postgres.log"; }
  fi
  PG_PORT=$(cat "$STATE/pg-port")
  # A cluster of an earlier version let everybody on this machine in.
  if grep -q '^host.*trust' "$data/pg_hba.conf"; then
    say "closing the database to other users of this machine"
    "$PG_BIN/psql" -q -h 127.0.0.1 -p "$PG_PORT" -U chalk -d postgres -v ON_ERROR_STOP=1 -c "CREATE ROLE chalk_admin SUPERUSER LOGIN PASSWORD '$(cat "$STATE/db-admin")'" || fail "the database could not be closed"
    sed -i 's/trust$/scram-sha-256/' "$data/pg_hba.conf"
    as_db "$PG_BIN/pg_ctl" -D "$data" reload >/dev/null
    rm -f "$STATE/loaded"
    admin_sql postgres "ALTER ROLE chalk NOSUPERUSER NOCREATEDB NOCREATEROLE NOREPLICATION NOBYPASSRLS"
    drop_database chalk
  fi
  admin_sql postgres "SELECT 1 FROM pg_roles WHERE rolname = 'chalk'" | grep -q 1 || admin_sql postgres "CREATE ROLE chalk LOGIN NOSUPERUSER"
  admin_sql postgres "ALTER ROLE chalk PASSWORD '$(cat "$STATE/db-app")'" >/dev/null
}
random_word() { head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n'; }
admin_sql() { PGPASSWORD=$(cat "$STATE/db-admin") "$PG_BIN/psql" -q -h 127.0.0.1 -p "$PG_PORT" -U chalk_admin -d "$1" -v ON_ERROR_STOP=1 -Atc "$2"; }

# The environment of an instance: console commands and PHP-FPM see the same.
instance_env() {
  [ -s "$STATE/secret" ] || { (umask 077; random_word >"$STATE/secret"); }
  export CHALK_SECRET CHALK_DATABASE CHALK_STATE CHALK_PUBLISH_SOCKET CHALK_URL CHALK_DEMO CHALK_TRUSTED_PROXIES CHALK_PRINT_SANDBOX APP_ENV
  CHALK_SECRET=$(cat "$STATE/secret")
  CHALK_DATABASE="pgsql://chalk:$(cat "$STATE/db-app" 2>/dev/null)@127.0.0.1:$PG_PORT/${DATABASE:-chalk}"
  CHALK_STATE=$STATE
  # Where live messages are published: here, and on the other nodes where there are several (docs/scale.md).
  CHALK_PUBLISH_SOCKET="$RUN/publish.sock${PEERS:+ $PEERS}"
  CHALK_URL="http://127.0.0.1:$PORT"
  CHALK_DEMO=${CHALK_DEMO:-1}
  # Proxies whose word on host, address and TLS is believed (docs/operating.md); none by itself.
  CHALK_TRUSTED_PROXIES=${CHALK_TRUSTED_PROXIES:-}
  CHALK_PRINT_SANDBOX=${CHALK_PRINT_SANDBOX:-0}
  APP_ENV=${APP_ENV:-prod}
}
make_database() {
  admin_sql postgres "SELECT 1 FROM pg_database WHERE datname = '$1'" | grep -q 1 && { extend_database "$1"; return; }
  admin_sql postgres "CREATE DATABASE $1" && admin_sql postgres "REVOKE ALL ON DATABASE $1 FROM PUBLIC" && admin_sql postgres "GRANT CONNECT, TEMPORARY ON DATABASE $1 TO chalk" \
    && admin_sql "$1" "REVOKE ALL ON SCHEMA public FROM PUBLIC; CREATE SCHEMA chalk AUTHORIZATION chalk; ALTER ROLE chalk IN DATABASE $1 SET search_path = chalk" \
    && extend_database "$1"
}
# Words that are nearly the same are found by their trigrams; the extension ships with PostgreSQL. From a half on they are near:
# "twelths" and "twelfths" share 6 of 11.
extend_database() {
  admin_sql "$1" "SET client_min_messages = error; CREATE EXTENSION IF NOT EXISTS pg_trgm SCHEMA chalk; ALTER ROLE chalk IN DATABASE $1 SET pg_trgm.word_similarity_threshold = 0.5"
}
drop_database() { admin_sql postgres "DROP DATABASE IF EXISTS $1 WITH (FORCE)" 2>/dev/null; }
console() { php -d apc.enable_cli=1 -d memory_limit=512M "$ROOT/server/console.php" "$@"; }

fill() { # fill TEMPLATE TARGET: puts this instance's values into a settings file
  local user_line=""; [ "$(id -u)" = 0 ] && user_line="user $WEB_USER;"
  sed -e "s|@ROOT@|$ROOT|g; s|@STATE@|$STATE|g; s|@RUN@|$RUN|g; s|@PORT@|$PORT|g; s|@USER_LINE@|$user_line|g; s|@WEB_USER@|$WEB_USER|g" \
      -e "s|@PUBLISH@|$CHALK_PUBLISH_SOCKET|g" \
      -e "s|@PROXIES@|$CHALK_TRUSTED_PROXIES|g; s|@SANDBOX@|$CHALK_PRINT_SANDBOX|g" \
      -e "s|@SECRET@|$CHALK_SECRET|g; s|@DATABASE@|$CHALK_DATABASE|g; s|@URL@|$CHALK_URL|g; s|@DEMO@|$CHALK_DEMO|g; s|@ENV@|$APP_ENV|g" "$1" >"$2"
}

start_web() {
  # Sockets lie where only the web server's user and root may enter.
  mkdir -p "$STATE/nginx" "$STATE/files"; mkdir -m 750 "$RUN" 2>/dev/null
  # Everybody may write where it lies: a folder that somebody else has put there is not ours to use.
  case $(stat -c '%F %U' "$RUN") in "directory $(id -un)" | "directory $WEB_USER") ;; *) fail "$RUN belongs to somebody else; remove it, then run this again" ;; esac
  chmod 750 "$RUN"
  [ "$(id -u)" = 0 ] && chown "$WEB_USER:$WEB_USER" "$RUN"
  probe_sandbox
  (umask 077; fill "$ROOT/ops/php-fpm-workers.conf" "$STATE/php-fpm-workers.conf"; fill "$ROOT/ops/php-fpm.conf" "$STATE/php-fpm.conf"
    sed -i -e "/^@WORKERS@$/{r $STATE/php-fpm-workers.conf" -e 'd}' "$STATE/php-fpm.conf"; sed -i '/^env\[.*\] = ""$/d' "$STATE/php-fpm.conf")
  if [ "$(id -u)" != 0 ]; then sed -i '/^user = /d; /^group = /d; /^listen.owner/d; /^listen.group/d' "$STATE/php-fpm.conf"; fi
  fill "$ROOT/ops/nginx.conf" "$STATE/nginx.conf"
  local part; for part in headers fastcgi scgi stream; do fill "$ROOT/ops/nginx-$part.conf" "$STATE/$part.conf"; done
  if [ "$(id -u)" = 0 ]; then chown -R "$WEB_USER" "$STATE/cache" "$STATE/nginx"; fi
  give_shelf
  rm -f "$RUN"/*.sock
  # Not the just-in-time compiler: beside a preload list it looks through every method of every class at each request (docs/performance.md).
  local speed=(-d opcache.jit=disable -d "opcache.preload=$ROOT/server/preload.php" -d "opcache.preload_user=$WEB_USER")
  /usr/sbin/php-fpm8.2 "${speed[@]}" --fpm-config "$STATE/php-fpm.conf" --daemonize 2>>"$STATE/php-fpm.log" || { tail -n 5 "$STATE/php-fpm.log" >&2; fail "php-fpm did not start"; }
  start_resident
  /usr/sbin/nginx -c "$STATE/nginx.conf" -e "$STATE/nginx/error.log" 2>>"$STATE/nginx.log" || { tail -n 5 "$STATE/nginx.log" >&2; fail "nginx did not start"; }
  chmod 660 "$RUN/publish.sock"; [ "$(id -u)" = 0 ] && chown "$WEB_USER:$WEB_USER" "$RUN/publish.sock"
  # What happens by the clock: closing times, sessions that are over.
  start_clock
}
# What root has laid there is the web server's to read.
give_shelf() { if [ "$(id -u)" = 0 ] && [ -d "$STATE/files" ]; then chown -R "$WEB_USER" "$STATE/files"; fi; }
as_web() { if [ "$(id -u)" = 0 ]; then setpriv --reuid="$WEB_USER" --regid="$WEB_USER" --init-groups env "$@"; else env "$@"; fi; }

# Whether Chromium has its sandbox here depends on the system; asked once for each of its versions.
probe_sandbox() {
  local version; version=$(dpkg-query -W -f='${Version}' chromium 2>/dev/null)
  if [ "$(head -n1 "$STATE/sandbox" 2>/dev/null)" != "$version" ]; then
    local home works=0; home=$(mktemp -d); [ "$(id -u)" = 0 ] && chown "$WEB_USER" "$home"
    as_web HOME="$home" timeout 20 chromium --headless --disable-gpu --no-first-run --disable-background-networking --user-data-dir="$home/p" --dump-dom about:blank 2>/dev/null | grep -q '<html' && works=1
    rm -rf "$home"; printf '%s\n%s\n' "$version" "$works" >"$STATE/sandbox"
  fi
  CHALK_PRINT_SANDBOX=$(tail -n1 "$STATE/sandbox")
}
start_clock() { stay clock server/console.php messenger:consume scheduler_clock --memory-limit=128M --quiet; }
# Workers that answer students (docs/decisions/resident.md).
start_resident() { stay_by resident server/resident.php; }
# stay_by NAME SCRIPT: a crew of workers at a socket of that name.
stay_by() { stay "$1" -d opcache.enable_cli=1 -d opcache.jit=disable -d opcache.memory_consumption=192 -d opcache.max_accelerated_files=20000 -d opcache.validate_timestamps=0 -d apc.shm_size=64M -d memory_limit=256M "$2" "$RUN/$1.sock" 8; }
# stay NAME PHP-ARGUMENTS...: a process of the web server's user that goes on; its number is in RUN, its words, with their time, are in STATE.
stay() {
  local name=$1 log="$STATE/$1.log" become=(); shift
  : >>"$log"
  if [ "$(id -u)" = 0 ]; then chown "$WEB_USER" "$log"; become=(setpriv --reuid="$WEB_USER" --regid="$WEB_USER" --init-groups); fi
  # The environment goes by the shell's own memory, not by the list of processes.
  ( cd "$ROOT" && exec "${become[@]}" setsid php -d apc.enable_cli=1 -d "error_log=$log" "$@" ) >>"$log" 2>&1 </dev/null &
  echo $! >"$RUN/$name.pid"; disown
}

# in_node NAME COMMAND...: as on another machine that shares the database and the folder of files; the rest is its own.
in_node() (
  local name=$1 shared=$STATE; shift
  PEERS="$RUN/publish.sock" STATE="$shared/$name"; prepare_state
  cp "$shared/secret" "$shared/db-app" "$shared/db-admin" "$STATE/"; ln -sfn "$shared/files" "$STATE/files"
  "$@"
)
start_node() {
  PORT=$(free_port $((PORT + 40))); echo "$PORT" >"$STATE/port"
  instance_env
  rm -rf "$STATE/cache"
  console cache:warmup -q || fail "the node could not be prepared"
  start_web
  wait_http || fail "the node does not answer; see php-fpm.log and resident.log in $STATE"
}

stop_pid() { # stop_pid FILE SIGNAL NAME-PATTERN: only a process that is what we started
  alive "$1" || { rm -f "$1"; return 0; }
  local pid; pid=$(head -n1 "$1")
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -q "$3" || { rm -f "$1"; return 0; }
  kill "-$2" "$pid" 2>/dev/null
  for _ in $(seq 100); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
  rm -f "$1"
}
stop_web() {
  stop_pid "$RUN/demo-live.pid" TERM console.php
  stop_pid "$RUN/clock.pid" TERM console.php
  stop_pid "$RUN/nginx.pid" QUIT nginx
  stop_pid "$RUN/fpm.pid" QUIT php-fpm
  stop_pid "$RUN/resident.pid" TERM resident.php
  # After a kill −9 workers outlive their master and hold the port; what they have open tells whose they are.
  local pid marks
  marks=$(awk -v run="$RUN/" 'index($NF, run) == 1 { print "socket:[" $7 "]" }' /proc/net/unix)
  marks=$(printf '%s\n%s' "$STATE/nginx/error.log" "$marks" | grep .)
  for pid in $(pgrep 'nginx|php'); do
    find "/proc/$pid/fd" -type l -printf '%l\n' 2>/dev/null | grep -qxF "$marks" && kill -9 "$pid" 2>/dev/null
  done
  return 0
}
stop_postgres() { # stop_postgres [MODE]: only a process that serves our folder
  local data="$STATE/postgres" pid
  pid=$(head -n1 "$data/postmaster.pid" 2>/dev/null) || return 0
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF "$data" || return 0
  as_db "$PG_BIN/pg_ctl" -D "$data" -m "${1:-fast}" -w -t 30 stop >/dev/null 2>&1
  return 0
}
# Both kinds of workers answer: a student who is not signed in is told so.
wait_http() { for _ in $(seq 100); do curl -fsS -o /dev/null "http://127.0.0.1:$PORT/api/session" 2>/dev/null && [ "$(curl -s -o /dev/null -w '%{http_code}' "http://127.0.0.1:$PORT/api/me")" = 401 ] && return 0; sleep 0.1; done; return 1; }
