# What ./itinerum and its tests share: the machine, the packages, the build, the private cluster. Sourced, with `top` set.
say() { printf '%s\n' "$*"; }
fail() { printf 'itinerum: %s\n' "$*" >&2; exit 1; }

# ---- what the machine must have -------------------------------------------------------------------------------------
postgres_bin() {
  local newest
  newest=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1 || true)
  if [ -n "$newest" ] && [ -x "$newest/initdb" ]; then echo "$newest"
  elif command -v initdb >/dev/null; then dirname "$(readlink -f "$(command -v initdb)")"
  fi
}
# Debian's own main cluster is not wanted beside the private one.
apt_words() { # PACKAGE…
  printf '%s' "mkdir -p /etc/postgresql-common && { [ -e /etc/postgresql-common/createcluster.conf ] || echo create_main_cluster = false > /etc/postgresql-common/createcluster.conf; } && apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends $*"
}
debian_install() { # NAME PACKAGE…
  local name=$1 words
  shift
  words=$(apt_words "$@")
  if [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null; then
    say "Installing $name from Debian's packages."
    sh -c "$words" >"${TMPDIR:-/tmp}/itinerum-apt.log" 2>&1 ||
      fail "apt-get could not install $name; its words are in ${TMPDIR:-/tmp}/itinerum-apt.log"
  elif command -v sudo >/dev/null; then
    fail "$name is missing. Run this line, then try again:
  sudo sh -c '$words'"
  else
    fail "$name is missing. Run this line as root, then try again:
  sh -c '$words'"
  fi
}
need_postgres() {
  pgbin=$(postgres_bin)
  [ -n "$pgbin" ] || debian_install 'the PostgreSQL server' postgresql
  pgbin=$(postgres_bin)
  [ -n "$pgbin" ] || fail 'the PostgreSQL server is still missing after its installation'
}
# Without windows it asks less of the machine (e2e/browser.ts); where that can't be had the whole browser does.
need_chromium() {
  if command -v chromium >/dev/null; then
    if command -v chromium-headless-shell >/dev/null || [ "$(id -u)" != 0 ]; then return; fi
  fi
  (debian_install Chromium chromium chromium-headless-shell) || command -v chromium >/dev/null || exit 1
}
need_gpg() { command -v gpg >/dev/null || debian_install GnuPG gnupg; }
need_openssl() { command -v openssl >/dev/null || debian_install OpenSSL openssl; }
need_node() {
  command -v node >/dev/null && command -v npm >/dev/null || fail 'Node 20 or newer with npm is needed.'
  node -e 'process.exit(Number(process.versions.node.split(".")[0]) >= 20 ? 0 : 1)' || fail "Node 20 or newer is needed; this is $(node -v)."
}
need_modules() {
  local stamp
  stamp=$(cat package.json package-lock.json .npmrc | sha256sum | cut -c1-16)
  [ "$(cat node_modules/.itinerum 2>/dev/null || true)" = "$stamp" ] && return
  say 'Installing the packages (npm ci), about a minute.'
  npm ci --loglevel=error >&2 || fail 'npm ci failed; its words are above.'
  echo "$stamp" > node_modules/.itinerum
}
source_stamp() { { find src *.mjs *.config.ts tsconfig.json package-lock.json -type f 2>/dev/null || true; } | LC_ALL=C sort | xargs sha256sum | sha256sum | cut -c1-16; }
need_build() {
  local stamp
  stamp=$(source_stamp)
  [ "$(cat .next/.itinerum 2>/dev/null || true)" = "$stamp" ] && return
  say 'Building, about a minute.'
  mkdir -p .data public
  rm -f .next/.itinerum
  node_modules/.bin/next build >.data/build.log 2>&1 || { tail -n 40 .data/build.log >&2; fail 'the build failed; its words are above and in .data/build.log'; }
  need_worker
  echo "$stamp" > .next/.itinerum
}
# the service worker keeps all code of its build: what a tap brings on one page is no part of another's markup
need_worker() {
  local code
  code=$(cd .next && find static/chunks -name '*.js' | LC_ALL=C sort | sed 's#.*#"/_next/&"#' | paste -sd, -)
  node_modules/.bin/esbuild src/worker/sw.ts --bundle --minify --target=es2022 --define:process.env.NODE_ENV='"production"' --define:builtCode="[$code]" --outfile=public/sw.js --log-level=error
}
is_free() { # PORT, on every address of this machine
  node -e 'const s = require("net").createServer(); s.once("error", () => process.exit(1)); s.listen({ port: Number(process.argv[1]), host: "0.0.0.0", exclusive: true }, () => process.exit(0))' "$1"
}
free_port() { # PREFERRED (0 for any)
  node -e 'const net = require("net"); const wanted = Number(process.argv[1]);
    const ask = (port) => { const s = net.createServer(); s.once("error", () => ask(port ? (port < wanted + 40 ? port + 1 : 0) : 0));
      s.listen({ port, host: "127.0.0.1", exclusive: true }, () => { const { port: got } = s.address(); s.close(() => console.log(String(got))); }); }; ask(wanted)' "$1"
}
alive() { [ -n "${1:-}" ] && kill -0 "$1" 2>/dev/null; }
secret() { node -e 'console.log(require("crypto").randomBytes(24).toString("hex"))'; }

# ---- the private cluster --------------------------------------------------------------------------------------------
# A home holds one data set: its cluster (pg), port, passwords and logs. `home` is the folder, `pg` the cluster's.
as_owner() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }
use_home() { # NAME: demo, own or test; ITINERUM_HOME overrules
  # as root the cluster is the server's user's, and that comes with the server
  [ "$(id -u)" != 0 ] || need_postgres
  home=${ITINERUM_HOME:-$top/.data/$1}
  # a database that is there already, of one's own data alone
  elsewhere=
  [ "$1" != own ] || elsewhere=${ITINERUM_DATABASE_URL:-}
  mkdir -p "$top/.data" "$home"
  pg=$home/pg
  if [ "$(id -u)" = 0 ] && ! as_owner test -x "$home"; then
    # the server's user can't enter this folder: keep the cluster where it can, named after the checkout
    local root=/var/lib/itinerum
    [ "$1" = test ] && root=${TMPDIR:-/tmp}/itinerum
    pg=$root/$(printf '%s' "$home" | sha256sum | cut -c1-12)/pg
    mkdir -p "$(dirname "$pg")"
    chmod 755 "$root" "$(dirname "$pg")"
  fi
  [ "$(id -u)" != 0 ] || chown postgres "$(dirname "$pg")" || fail "the folder $(dirname "$pg") can't be given to the database's user"
}
pg_port() { cat "$home/port" 2>/dev/null || true; }
pg_up() { if [ -n "$elsewhere" ]; then owner_sql 'select 1' >/dev/null 2>&1; else pg_up_here; fi; }
pg_up_here() { [ -n "$(pg_port)" ] && [ -s "$pg/postmaster.pid" ] && alive "$(head -n 1 "$pg/postmaster.pid")" && "$pgbin/pg_isready" -q -h 127.0.0.1 -p "$(pg_port)"; }
owner_url() { if [ -n "$elsewhere" ]; then echo "$elsewhere"; else own_url "$@"; fi; }
own_url() { echo "postgresql://itinerum_owner:$(cat "$home/owner.secret")@127.0.0.1:$(pg_port)/${1:-itinerum}"; }
# The same servers, as another role.
url_as() { echo "$1" | sed -E "s#//([^@/]*@)?#//$2:$3@#"; } # URL ROLE SECRET
door_url() { url_as "$(owner_url "$@")" itinerum_door "$(cat "$home/door.secret")"; }
app_url() { url_as "$(owner_url "$@")" itinerum_app "$(cat "$home/app.secret")"; }
# PostgreSQL's own tools, as the owner: the password goes by the environment, for arguments are everybody's to read.
as_pg_owner() { # TOOL DATABASE ARGUMENT…
  local tool=$1 database=$2
  shift 2
  if [ -z "$elsewhere" ]; then
    PGPASSWORD=$(cat "$home/owner.secret") "$pgbin/$tool" -h 127.0.0.1 -p "$(pg_port)" -U itinerum_owner -d "$database" "$@"
  else
    (eval "$(node -e 'const u = new URL(process.argv[1].replace(/,[^/?]*/, "")); const q = (s) => "\x27" + decodeURIComponent(s).replaceAll("\x27", "\x27\\\x27\x27") + "\x27";
      const hosts = process.argv[1].replace(/^[^@]*@/, "").replace(/[/?].*$/s, "").split(",").map((h) => h.split(":"));
      console.log("export PGHOST=" + q(hosts.map((h) => h[0]).join(",")) + " PGPORT=" + q(hosts.map((h) => h[1] ?? "5432").join(",")) + " PGUSER=" + q(u.username) + " PGPASSWORD=" + q(u.password) + " PGDATABASE=" + q(u.pathname.slice(1)) + " PGTARGETSESSIONATTRS=read-write")' "$elsewhere")"
    "$pgbin/$tool" "$@")
  fi
}
owner_sql() { as_pg_owner psql "${2:-itinerum}" -qAtX -v ON_ERROR_STOP=1 -c "$1"; }

make_cluster() (
  umask 077
  [ -s "$home/owner.secret" ] || secret > "$home/owner.secret"
  [ -s "$home/app.secret" ] || secret > "$home/app.secret"
  [ -s "$home/door.secret" ] || secret > "$home/door.secret"
  word=$(mktemp "${TMPDIR:-/tmp}/itinerum.XXXXXX")
  cp "$home/owner.secret" "$word"
  [ "$(id -u)" != 0 ] || chown postgres "$word"
  as_owner "$pgbin/initdb" -D "$pg.making" -U itinerum_owner --pwfile="$word" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >"$home/initdb.log" 2>&1 ||
    { rm -f "$word"; tail -n 5 "$home/initdb.log" >&2; fail "the cluster could not be made; see $home/initdb.log"; }
  rm -f "$word"
  mv "$pg.making" "$pg"
)
# What other servers of the same studio must have alike: made of ITINERUM_SECRET where that is said, else by chance.
own_secrets() {
  local each
  for each in app door; do
    [ -s "$home/$each.secret" ] && [ -z "${ITINERUM_SECRET:-}" ] || (umask 077
      if [ -n "${ITINERUM_SECRET:-}" ]; then printf '%s %s' "$each" "$ITINERUM_SECRET" | sha256sum | cut -c1-48; else secret; fi > "$home/$each.secret")
  done
}
start_cluster() {
  if [ -n "$elsewhere" ]; then
    own_secrets
    for _ in $(seq 30); do ! pg_up || return 0; sleep 1; done
    fail 'the database of ITINERUM_DATABASE_URL does not answer, or does not let its owner in.'
  fi
  need_postgres
  if [ -e "$pg.making" ]; then say 'A half-made cluster was cleared away.'; rm -rf "$pg.making"; fi
  [ -e "$pg/PG_VERSION" ] || make_cluster
  if pg_up; then [ "${quiet:-}" ] || say 'Taking over the database of an earlier run.'; return; fi
  local port log=$pg/server.log flags
  port=$(free_port "$(pg_port | grep . || echo 0)")
  [ -z "$(pg_port)" ] || [ "$(pg_port)" = "$port" ] || say "Port $(pg_port) is taken; the database moves to $port."
  echo "$port" > "$home/port"
  flags="-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c log_min_messages=warning ${ITINERUM_PG_FLAGS:-}"
  # what a killed server leaves behind holds its lock for a moment
  local try
  for try in 1 2 3 4 5 6 7 8; do
    as_owner "$pgbin/pg_ctl" start -D "$pg" -l "$log" -w -t 60 -o "$flags" >/dev/null 2>&1 9>&- && break
    [ "$try" != 8 ] && tail -n 2 "$log" | grep -qE 'lock file|shared memory|in use' ||
      { tail -n 5 "$log" >&2; fail "the database did not start; see $log"; }
    sleep 1
  done
  owner_sql "select 1 from pg_database where datname = 'itinerum'" postgres | grep -q 1 || owner_sql 'create database itinerum' postgres
}
stop_cluster() { [ -n "$elsewhere" ] || [ ! -s "$pg/postmaster.pid" ] || as_owner "$pgbin/pg_ctl" stop -D "$pg" -m fast -w -t 60 >/dev/null 2>&1 || true; }
prepare() { # WHAT (demo, own, none) [DATABASE]: migrate, let the app's role in, load; prints what prepare.ts does
  # a home from before there was a door
  [ -s "$home/door.secret" ] || (umask 077; secret > "$home/door.secret")
  ITINERUM_OWNER_URL=$(owner_url "${2:-itinerum}") ITINERUM_APP_SECRET=$(cat "$home/app.secret") ITINERUM_DOOR_SECRET=$(cat "$home/door.secret") \
    node_modules/.bin/tsx scripts/prepare.ts "$1"
}
