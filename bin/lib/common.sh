# Shared by bin/start, bin/test, bin/bench: packages, the database cluster, and the web server.
# Settings: RUN (folder of this instance's state), HTTP_PORT, PG_PORT, and SETTINGS (the start of their names outside);
# NICE: by how much what is computed in the background gives way; MEANDROS_PATIENCE: by how much longer it is waited for.
NICE=10

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
PG_BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1) || true

say() { printf '%s\n' "· $*"; }
fail() { printf '%s\n' "✗ $*" >&2; exit 1; }
is_root() { [ "$(id -u)" = 0 ]; }
case ${MEANDROS_PATIENCE:=1} in *[!0-9.]* | *.*.* | .*) fail "MEANDROS_PATIENCE is a number of times, such as 3; it is '$MEANDROS_PATIENCE'." ;; esac

# as USER COMMAND…: as that user when we are root, else as ourselves.
as() {
  local user=$1; shift
  if is_root && [ "$user" != root ]; then runuser -u "$user" -- "$@"; else "$@"; fi
}

# can USER FLAG PATH
can() { as "$1" test "$2" "$3" 2>/dev/null; }

missing_packages() {
  local package
  for package in "$@"; do
    # shellcheck disable=SC2086
    dpkg-query -W -f '${Status}\n' ${package//|/ } 2>/dev/null | grep -q 'ok installed' || printf '%s ' "$package"
  done
}

# available PACKAGE…: of "this|that", the first that Debian has.
available() {
  local package one
  for package in "$@"; do
    for one in ${package//|/ }; do
      apt-cache show "$one" >/dev/null 2>&1 && break
    done
    printf '%s ' "$one"
  done
}

# need_packages PACKAGE…: Debian packages, installed when we may; "this|that" for one of the two.
need_packages() {
  local missing; missing=$(missing_packages "$@")
  [ -z "$missing" ] && return
  local sudo=
  if ! is_root; then
    sudo -n true 2>/dev/null && sudo='sudo -n' || fail "These Debian packages are missing: $missing
  Install them as root:  apt-get update && apt-get install -y --no-install-recommends $missing"
  fi
  say "Installing Debian packages: ${missing//|/ or }"
  mkdir -p "$ROOT/var"
  # The packages' own services are not wanted: this application starts what it needs under var/.
  { $sudo apt-get update && $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends $(available $missing); } >"$ROOT/var/apt.log" 2>&1 \
    || { tail -n 20 "$ROOT/var/apt.log" >&2; fail "apt-get could not install: $missing (all of it in var/apt.log)"; }
  PG_BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
}

need_commands() {
  local command
  for command in php node npm; do
    command -v "$command" >/dev/null || fail "$command is missing; it is expected on the machine (PHP 8.2, Node 20 or later, npm)."
  done
  command -v composer >/dev/null || need_packages composer
  php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || fail "PHP 8.2 or later is needed; this is $(php -r 'echo PHP_VERSION;')."
}

# changed STAMP FILE…: whether any of the files differs from when the stamp was made.
changed() {
  local stamp=$ROOT/var/stamps/$1; shift
  local now; now=$(cat "$@" 2>/dev/null | sha256sum)
  [ "$(cat "$stamp" 2>/dev/null)" = "$now" ] && return 1
  STAMP_FILE=$stamp STAMP_VALUE=$now
}
stamp() { mkdir -p "$(dirname "$STAMP_FILE")"; printf '%s\n' "$STAMP_VALUE" >"$STAMP_FILE"; }

php_packages() {
  if changed composer "$ROOT/composer.json" "$ROOT/core/composer.json" || [ ! -f "$ROOT/vendor/autoload.php" ]; then
    say 'Installing PHP packages'
    mkdir -p "$ROOT/var"
    (cd "$ROOT" && COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress >var/composer.log 2>&1) \
      || { tail -n 20 "$ROOT/var/composer.log" >&2; fail 'Composer could not install the PHP packages (all of it in var/composer.log).'; }
    # Some archives hold files that only their owner may read; the server runs as another user.
    chmod -R a+rX "$ROOT/vendor"
    changed composer "$ROOT/composer.json" "$ROOT/core/composer.json" || true
    stamp
  fi
}

web_packages() {
  if changed npm "$ROOT/web/package-lock.json" "$ROOT/web/package.json" || [ ! -d "$ROOT/web/node_modules" ]; then
    say 'Installing npm packages'
    mkdir -p "$ROOT/var"
    # Not "npm ci": it wants every platform's optional packages in the lock file, and a registry may not hold them all.
    (cd "$ROOT/web" && npm install --no-save --no-audit --no-fund >../var/npm.log 2>&1) || { tail -n 20 "$ROOT/var/npm.log" >&2; fail 'npm could not install the packages (all of it in var/npm.log).'; }
    stamp
  fi
}

web_build() {
  local sources
  sources=$(find "$ROOT/web/src" "$ROOT/web/index.html" "$ROOT/web/vite.config.ts" "$ROOT/web/types.mjs" "$ROOT/web/styles.mjs" "$ROOT/web/package-lock.json" "$ROOT/docs/openapi.yaml" "$ROOT/core/schema" \
    -type f ! -name schema.d.ts ! -name limits.ts ! -name antd.css | sort)
  # shellcheck disable=SC2086
  if changed build $sources || [ ! -f "$ROOT/public/index.html" ]; then
    say 'Building the front end'
    (cd "$ROOT/web" && npm run --silent build >../var/build.log 2>&1) || { tail -n 40 "$ROOT/var/build.log" >&2; fail 'The front end could not be built (all of it in var/build.log).'; }
    # A page that was opened before goes on with what it was made of, for a week.
    find "$ROOT/public/assets" -type f -mtime +7 -delete
    stamp
  fi
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# --- the database cluster -------------------------------------------------------------------------------------------

pg_user() { if is_root; then echo postgres; else id -un; fi; }

pg_place() {
  local user; user=$(pg_user)
  PG_DATA=$RUN/postgres
  mkdir -p "$RUN"
  if is_root; then
    # PostgreSQL refuses to run as root, and its user may not reach this folder.
    mkdir -p "$PG_DATA"
    if ! can "$user" -x "$RUN"; then
      PG_DATA=/var/tmp/meandros-$(printf '%s' "$RUN" | sha256sum | cut -c1-12)/postgres
      say "The user $user cannot enter $RUN, so the database is kept in $PG_DATA."
      mkdir -p "$PG_DATA"; chmod 711 "$(dirname "$PG_DATA")"
    fi
    chown "$user" "$PG_DATA"
  fi
}

# start_postgres [SERVICE…]: and what will be started after it in the same place.
start_postgres() {
  expected postgres "$@"
  [ -n "$PG_BIN" ] || fail 'PostgreSQL is installed but its programs are not in /usr/lib/postgresql.'
  local user; user=$(pg_user)
  pg_place
  secret_of postgres.password; secret_of app.password; secret_of app.secret
  if [ ! -f "$PG_DATA/PG_VERSION" ]; then
    say 'Creating the database cluster'
    local handed; handed=$(mktemp)
    cp "$RUN/postgres.password" "$handed"
    if is_root; then chown "$user" "$handed"; fi
    as "$user" "$PG_BIN/initdb" -D "$PG_DATA" -U meandros --auth=scram-sha-256 --data-checksums --pwfile="$handed" --encoding=UTF8 --locale=C.UTF-8 >"$RUN/initdb.log" 2>&1 \
      || { rm -f "$handed"; tail -n 20 "$RUN/initdb.log" >&2; fail 'The database cluster could not be created.'; }
    rm -f "$handed"
  fi
  export PGPASSWORD; PGPASSWORD=$(cat "$RUN/postgres.password")
  export PGHOST=127.0.0.1 PGPORT=$PG_PORT PGUSER=meandros
  if ! is_up postgres; then
    # One that was started by hand, or by an earlier version, on the same data.
    as "$user" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast stop >/dev/null 2>&1 || true
    port_taken "$PG_PORT" && ! is_left postgres && fail "Port $PG_PORT on 127.0.0.1 is taken by another program; the database needs it. Set ${SETTINGS}_PG_PORT to a free port."
    is_left postgres || as "$user" "$PG_BIN/pg_checksums" -D "$PG_DATA" --enable >/dev/null 2>&1 || true
    service postgres INT "$PG_DATA/server.log" postgres $(is_root && echo chpst -u "$user") "$PG_BIN/postgres" -D "$PG_DATA" \
      -c listen_addresses=127.0.0.1 -c port="$PG_PORT" -c unix_socket_directories= -c shared_buffers=64MB
    up postgres
  fi
  for _ in $(seq 300); do
    psql -d postgres -Atqc 'SELECT 1' >/dev/null 2>&1 && { app_role; return; }
    sleep 0.1
  done
  tail -n 20 "$PG_DATA/server.log" >&2
  fail 'The database did not start.'
}

# secret_of FILE: a secret of this instance, made once and kept in RUN.
secret_of() { [ -s "$RUN/$1" ] || (umask 077; head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$RUN/$1"); }

# The application's own user: no superuser, and nothing of it waits or works without end.
app_role() {
  psql -q -d postgres -v ON_ERROR_STOP=1 >/dev/null <<SQL || fail 'The database user of the application could not be made.'
SELECT 'CREATE ROLE meandros_app LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE' WHERE NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'meandros_app') \\gexec
ALTER ROLE meandros_app SET statement_timeout = '10s';
ALTER ROLE meandros_app SET lock_timeout = '5s';
ALTER ROLE meandros_app SET idle_in_transaction_session_timeout = '15s';
REVOKE CONNECT ON DATABASE postgres, template1 FROM PUBLIC;
SQL
  # Set anew it would refuse whoever logs in at that moment.
  local secret; secret=$(cat "$RUN/app.password")
  case $(PGPASSWORD=$secret psql -U meandros_app -d template0 -c '' 2>&1 || true) in
    *'password authentication failed'*) psql -q -d postgres -c "ALTER ROLE meandros_app PASSWORD '$secret'" ;;
  esac
  export APP_SECRET; APP_SECRET=$(cat "$RUN/app.secret")
}

stop_postgres() { pg_place; down postgres INT; as "$(pg_user)" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast stop >/dev/null 2>&1 || true; }

# use_database NAME: creates it if need be, for the application's user alone, and points the application at it.
use_database() {
  export DATABASE_URL="postgresql://meandros_app:$(cat "$RUN/app.password")@127.0.0.1:$PG_PORT/$1?serverVersion=15&charset=utf8"
  [ "$(psql -d postgres -Atc "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] || psql -q -d postgres -c "CREATE DATABASE $1 OWNER meandros_app"
  psql -q -d "$1" -v ON_ERROR_STOP=1 >/dev/null <<SQL || fail "The database $1 could not be handed to the application."
ALTER DATABASE $1 OWNER TO meandros_app;
REVOKE CONNECT ON DATABASE $1 FROM PUBLIC;
ALTER SCHEMA public OWNER TO meandros_app;
SELECT format('ALTER TABLE %I OWNER TO meandros_app', tablename) FROM pg_tables WHERE schemaname = 'public' AND tableowner <> 'meandros_app' \\gexec
SELECT format('ALTER SEQUENCE %I OWNER TO meandros_app', sequencename) FROM pg_sequences WHERE schemaname = 'public' AND sequenceowner <> 'meandros_app' \\gexec
SQL
}

# build_container: the application's compiled container, in a folder of its own for every state of the code. An older one
# stays where it is for whoever still works with it. The web user may read it and not write it.
build_container() {
  export MEANDROS_BUILD
  MEANDROS_BUILD=$(cd "$ROOT" && { find src core/src config migrations public/index.php bin/lib/preload.php -type f -print0 | sort -z | xargs -0 cat; cat composer.json vendor/composer/installed.json; } | sha256sum | cut -c1-16)
  local cache=$ROOT/var/cache/${APP_ENV:-prod}-$MEANDROS_BUILD
  if [ ! -f "$cache/ready" ]; then
    local made; made=$(ls -dt "$ROOT/var/cache/${APP_ENV:-prod}"-* 2>/dev/null | tail -n +3 || true)
    [ -z "$made" ] || { chmod -R u+w $made; rm -rf $made; }
    rm -rf "$cache"
    APP_DEBUG=0 php "$ROOT/bin/console" cache:warmup --quiet || fail 'The application does not start; see var/log.'
    touch "$cache/ready"
    chmod -R a+rX,a-w "$cache"
  fi
}

migrate() {
  build_container
  PGOPTIONS='-c statement_timeout=0' php "$ROOT/bin/console" doctrine:migrations:migrate --no-interaction --allow-no-migration --quiet || fail 'The database could not be brought up to date.'
}

# --- servers, watched by runit --------------------------------------------------------------------------------------
# RUN/services has a folder for each (runsv(8)); whatever dies is started again. runsvdir may die itself: what it watches
# goes on being watched.

. "$ROOT/bin/lib/own.sh"

service_folder() { echo "$RUN/services/$1"; }
is_up() { [ -d "$(service_folder "$1")/supervise" ] && sv status "$(service_folder "$1")" 2>/dev/null | grep -q '^run: '; }
is_left() { [ -n "$(left_of "$(service_folder "$1")/own")" ]; }

# service NAME SIGNAL LOG PROGRAM COMMAND…: how it is run, and the signal by which what it left is ended.
service() {
  local folder name=$1; folder=$(service_folder "$1"); shift
  mkdir -p "$folder"
  [ -d "$folder/supervise" ] || touch "$folder/down"
  { echo '#!/bin/sh'; printf 'exec'; printf " '%s'" "$ROOT/bin/lib/serve" "$folder/own" "$@"; echo; } >"$folder/run.new"
  chmod 700 "$folder/run.new"
  mv "$folder/run.new" "$folder/run"
  printf '#!/bin/sh\nexec kill -s %s "$(cut -d" " -f1 "%s/own")"\n' "$1" "$folder" >"$folder/stop"
  mkdir -p "$folder/control"
  cp "$folder/stop" "$folder/control/t"; chmod 700 "$folder/control/t"; rm "$folder/stop"
}

# expected NAME…: services that come in a moment. The supervisor looks for new folders every five seconds only.
expected() {
  local name folder
  for name in "$@"; do
    folder=$(service_folder "$name")
    [ -d "$folder" ] && continue
    mkdir -p "$folder"
    touch "$folder/down"
    printf '#!/bin/sh\nexit 0\n' >"$folder/run"
    chmod 700 "$folder/run"
  done
}

# up NAME: started, and from now on started again.
up() {
  local folder; folder=$(service_folder "$1")
  watched "$1" || {
    [ -n "$(left_of "$RUN/services.own")" ] || {
      (exec setsid "$ROOT/bin/lib/serve" "$RUN/services.own" HUP "$RUN/services.log" runsvdir runsvdir "$RUN/services" 'log: ................................................................' </dev/null) &
    }
    for _ in $(seq 80); do watched "$1" && break; sleep 0.1; done
  }
  rm -f "$folder/down"
  sv up "$folder" >/dev/null || fail "The supervisor does not answer; see $RUN/services.log"
}
watched() { sv status "$(service_folder "$1")" 2>/dev/null | grep -Eq '^(run|down|finish): '; }

# down NAME SIGNAL: stopped, and no more watched.
down() {
  local folder; folder=$(service_folder "$1")
  [ -d "$folder" ] || return 0
  touch "$folder/down"
  sv -w 20 exit "$folder" >/dev/null 2>&1 || true
  end_left "$folder/own" "$2"
  # The supervisor may have looked, and begun to watch it again: it lets go of what is not there any more.
  for _ in $(seq 20); do rm -rf "$folder" 2>/dev/null && break; sleep 0.2; done
  [ -n "$(ls "$RUN/services" 2>/dev/null)" ] || end_left "$RUN/services.own" HUP
}

# --- nginx and php-fpm ----------------------------------------------------------------------------------------------

web_user() {
  if ! is_root; then id -un; elif can www-data -r "$ROOT/public/index.php" && can www-data -r "$ROOT/vendor/autoload.php"; then echo www-data; else echo root; fi
}

stop_server() { down nginx QUIT; down php-fpm QUIT; down worker TERM; }

# written FILE: takes what is piped in; whether it differs from what FILE held.
written() {
  cat >"$1.new"
  if cmp -s "$1.new" "$1"; then rm "$1.new"; return 1; fi
  mv "$1.new" "$1"
}

problems() {
  local code status title detail
  while IFS='|' read -r code title detail; do
    printf 'error_page %s = /.problem/%s;\nlocation = /.problem/%s {\n    internal;\n    default_type application/problem+json;\n    include %s/bin/lib/headers.conf;\n    add_header Cache-Control no-store always;\n' "$code" "$code" "$code" "$ROOT"
    case $code in 429 | 502 | 503 | 504) printf '    add_header Retry-After 2 always;\n' ;; esac
    # nginx's own numbers for what others call 503 and 431.
    case $code in 502) status=503 ;; 494) status=431 ;; *) status=$code ;; esac
    printf "    return %s '%s';\n}\n" "$status" "{\"type\":\"about:blank\",\"title\":\"$title\",\"status\":$status,\"detail\":\"$detail\"}"
  done <<'LIST'
400|Not understood|This is not a request as HTTP has them.
403|Not allowed|This cannot be read.
404|Not found|There is nothing at this address.
405|Not allowed|This method is not used here.
408|Too slow|The request did not arrive in time.
413|Too much|This is too much at once. Send less.
414|Too long|The address is too long.
421|Not here|This server does not answer to that name.
429|Too many at once|Ask again in a moment, with fewer requests at once.
494|Too long|The headers are too long.
500|Something went wrong|This is a fault of the server, and is in its log.
501|Not understood|This method or encoding is not known here.
502|The server is away|It is being started. Nothing was changed; ask again in a moment.
503|The server is away|It is too busy. Nothing was changed; ask again in a moment.
504|It took too long|The server gave up. Ask for less, or ask again in a moment.
505|Not understood|This version of HTTP is not known here.
LIST
}

# start_worker USER: what does long work in the background. It ends every hour, and is started again.
start_worker() {
  local run php as_user=; run=$(service_folder worker)/run; php=$(readlink -f "$(command -v php)")
  if is_root; then as_user="chpst -u $1"; fi
  local before; before=$(cat "$run" 2>/dev/null || true)
  service worker TERM "$RUN/worker.log" "$(basename "$php")" $as_user env DATABASE_URL="$DATABASE_URL" APP_SECRET="$APP_SECRET" APP_ENV=prod APP_DEBUG=0 MEANDROS_BUILD="$MEANDROS_BUILD" \
    "$php" -d memory_limit=512M "$ROOT/bin/console" messenger:consume jobs --time-limit=3600 --memory-limit=256M --sleep=0.3 --no-interaction --quiet
  if ! is_up worker; then up worker; elif [ "$before" != "$(cat "$run")" ]; then sv term "$(service_folder worker)" >/dev/null; fi
}

start_server() {
  local user; user=$(web_user)
  [ "$user" = root ] && say 'The user www-data cannot read this folder, so the server runs as root, on loopback only.'
  export APP_ENV=prod APP_DEBUG=0
  build_container
  mkdir -p "$RUN/temp" "$ROOT/var/log"
  local socket=$RUN/fpm.sock
  # A socket's path is limited to 107 characters.
  [ ${#socket} -gt 95 ] && socket=/tmp/meandros-$(printf '%s' "$RUN" | sha256sum | cut -c1-12).sock
  if is_root; then chown -R "$user" "$RUN/temp" "$ROOT/var/log"; fi
  local user_line= pool= nice= fpm_flag= php_changed= web_changed=
  # Only a master process of root may give priorities.
  if is_root; then nice="process.priority = $NICE"; user_line="user $user;"; pool="user = $user\\ngroup = $user\\nlisten.owner = $user\\n"; fi
  pool="${pool}env[DATABASE_URL] = \"${DATABASE_URL//&/\\&}\"\\nenv[APP_SECRET] = \"$APP_SECRET\"\\nenv[APP_ENV] = prod\\nenv[APP_DEBUG] = 0\\nenv[MEANDROS_BUILD] = $MEANDROS_BUILD\\nenv[MEANDROS_PATIENCE] = $MEANDROS_PATIENCE"
  [ "$user" = root ] && fpm_flag=-R
  fill() { sed -e "s|@ROOT@|$ROOT|g; s|@RUN@|$RUN|g; s|@SOCKET@|$socket|g; s|@HTTP_PORT@|$HTTP_PORT|g; s|@POOL@|$pool|; s|@NICE@|$nice|; s|@USER@|$user|g; s|@BUILD@|$MEANDROS_BUILD|g" "$ROOT/bin/lib/$1"; }
  problems | written "$RUN/problems.conf" && web_changed=1
  # A copy: the container may be cleared away while this server runs.
  written "$RUN/locations.conf" <"$ROOT/var/cache/prod-$MEANDROS_BUILD/locations.conf" && web_changed=1
  fill fastcgi.conf | written "$RUN/fastcgi.conf" && web_changed=1
  { echo "$user_line"; fill nginx.conf; } | written "$RUN/nginx.conf" && web_changed=1
  (umask 077; fill php-fpm.conf | written "$RUN/php-fpm.conf") && php_changed=1
  fill php.ini | written "$RUN/php.ini" && php_changed=1
  local fpm; fpm=$(ls /usr/sbin/php-fpm8.* 2>/dev/null | sort -V | tail -n 1)

  expected php-fpm nginx worker
  # What runs goes on: a change of code or settings is taken up without refusing anybody.
  if is_up php-fpm; then
    [ -z "$php_changed" ] || sv 2 "$(service_folder php-fpm)" >/dev/null
  else
    service php-fpm QUIT "$RUN/php-fpm.log" "$(basename "$fpm")" "$fpm" $fpm_flag -F --fpm-config "$RUN/php-fpm.conf" -c "$RUN/php.ini"
    up php-fpm
  fi
  if is_up nginx; then
    [ -z "$web_changed" ] || sv hup "$(service_folder nginx)" >/dev/null
  else
    port_taken "$HTTP_PORT" && ! is_left nginx && fail "Port $HTTP_PORT on 127.0.0.1 is taken by another program. Stop it, or set ${SETTINGS}_PORT to a free port."
    service nginx QUIT "$RUN/nginx.log" nginx /usr/sbin/nginx -p "$RUN" -e "$RUN/nginx.log" -c "$RUN/nginx.conf"
    up nginx
  fi
  start_worker "$user"
  local answer=
  for _ in $(seq 150); do
    answer=$( (exec 3<>"/dev/tcp/127.0.0.1/$HTTP_PORT"; printf 'GET /api/ready HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&3; cat <&3) 2>/dev/null || true)
    case $answer in *'"ready":true'*) return 0 ;; esac
    sleep 0.1
  done
  printf '%s\n' "$answer" | tail -n 1 >&2
  fail "The server is not ready; see $RUN/php-fpm.log, $RUN/nginx.log and $ROOT/var/log"
}
