# Keeping: backups by hand and by schedule, whether the newest one can be restored, and what this studio should see to.
# Sourced by ./itinerum after lib.sh.

# ---- what is kept, how often, how many ------------------------------------------------------------------------------
# A data set's own schedule stands in its home: every so many hours, so many kept, a folder, a file with a pass phrase or none.
backup_plan() { # sets every, keep, to, phrase
  every=24 keep=14 to=$home/backups phrase=
  # shellcheck source=/dev/null
  [ ! -s "$home/backups.conf" ] || . "$home/backups.conf"
}
keep_plan() {
  umask 077
  printf 'every=%q\nkeep=%q\nto=%q\nphrase=%q\n' "$every" "$keep" "$to" "$phrase" > "$home/backups.conf"
}
# OpenPGP, by a pass phrase: opened by any program that knows it, and told where it was changed.
sealed_gpg() { # PHRASE_FILE ARGUMENT…: with a keyring of its own that is thrown away
  local ring phrase_file=$1 code=0
  shift
  ring=$(mktemp -d)
  gpg --homedir "$ring" --batch --quiet --no-tty --pinentry-mode loopback --passphrase-file "$phrase_file" "$@" 2>>"$home/backup.log" || code=$?
  gpgconf --homedir "$ring" --kill all >/dev/null 2>&1 || true
  rm -rf "$ring"
  return "$code"
}
is_dump() { [ "$(head -c 5 "$1" 2>/dev/null)" = PGDMP ]; }
# One backup, whole or not at all: the dump, and beside it what was in it at that very moment.
make_backup() { # FILE [PHRASE_FILE]
  local file=$1 with=${2:-}
  umask 077
  rm -f "$file.part" "$file.part.sealed"
  ITINERUM_OWNER_URL=$(owner_url) node_modules/.bin/tsx scripts/sums.ts dump "$pgbin/pg_dump" "$file.part" >>"$home/backup.log" 2>&1 || return 1
  if [ -n "$with" ]; then
    [ -s "$with" ] || { echo "the pass phrase's file $with is empty or gone" >>"$home/backup.log"; return 1; }
    sealed_gpg "$with" --symmetric --cipher-algo AES256 --s2k-digest-algo SHA512 --s2k-count 65011712 -o "$file.part.sealed" "$file.part" || return 1
    mv "$file.part.sealed" "$file.part"
  fi
  mv "$file.part.sums" "$file.sums" && mv "$file.part" "$file"
}
# A dump that can be read, from what may be sealed; prints where it stands.
opened() { # FILE SCRATCH
  local with=${ITINERUM_PASSPHRASE_FILE:-}
  if is_dump "$1"; then echo "$1"; return; fi
  case "$(head -c 1 "$1" | od -An -tx1 | tr -d ' ')" in 8c | c3) ;; *) return 1 ;; esac
  need_gpg >&2
  backup_plan
  with=${with:-$phrase}
  if [ -z "$with" ]; then
    [ -t 0 ] || { echo 'itinerum: it is sealed by a pass phrase. Say where that stands:  ITINERUM_PASSPHRASE_FILE=… ./itinerum …' >&2; return 1; }
    with=$2/phrase
    (umask 077; IFS= read -rsp 'Its pass phrase: ' said; echo >&2; printf '%s' "$said" > "$with")
  fi
  sealed_gpg "$with" -o "$2/opened" -d "$1" && is_dump "$2/opened" && echo "$2/opened"
}
listed_backups() { find "$to" -maxdepth 1 -name 'itinerum-*.dump*' ! -name '*.sums' ! -name '*.part*' -type f 2>/dev/null | sort; }
newest_backup() { listed_backups | tail -n 1; }
age_hours() { echo $((($(date +%s) - $(stat -c %Y "$1")) / 3600)); }
# By schedule: one more, and only then the oldest go.
make_scheduled() {
  local file old
  backup_plan
  mkdir -p "$to" && chmod 700 "$to" 2>/dev/null || true
  file=$to/itinerum-$(date -u +%Y%m%d-%H%M%S).dump${phrase:+.gpg}
  if make_backup "$file" "$phrase"; then
    rm -f "$home/backup.failed"
    listed_backups | head -n "-$keep" | while IFS= read -r old; do rm -f "$old" "$old.sums"; done
    echo "$(date -Is) $file" >>"$home/backup.log"
  else
    rm -f "$file.part"*
    date -Is > "$home/backup.failed"
    return 1
  fi
}
# Whether it is time; a failed one is tried again after a quarter of an hour.
is_due() {
  local newest
  backup_plan
  [ "$every" -gt 0 ] || return 1
  [ ! -e "$home/backup.failed" ] || [ $(($(date +%s) - $(stat -c %Y "$home/backup.failed"))) -ge 900 ] || return 1
  newest=$(newest_backup)
  [ -z "$newest" ] || [ "$(age_hours "$newest")" -ge "$every" ]
}

# ---- the drill ------------------------------------------------------------------------------------------------------
# Restores a backup into a cluster of its own, compares every table with what was in it, lets this version migrate and read it.
drill() ( # FILE
  file=$1 own=$home began=$SECONDS
  scratch=$(mktemp -d); chmod 711 "$scratch"
  # until there is a cluster of the drill's own, nothing but the scratch is its to clear away
  trap 'rm -rf "$scratch"' EXIT
  dump=$(opened "$file" "$scratch") || fail "$file can't be opened; nothing was proved."
  ITINERUM_HOME=$scratch use_home test
  drilled=$pg
  trap 'pg=$drilled; stop_cluster; rm -rf "$scratch" "$drilled"' EXIT
  quiet=yes start_cluster
  for role in itinerum_app itinerum_door; do owner_sql "create role $role nologin" 2>/dev/null || true; done
  as_pg_owner pg_restore itinerum --exit-on-error "$dump" >"$scratch/restore.log" 2>&1 || { tail -n 3 "$scratch/restore.log" >&2; fail "$file can't be restored."; }
  if [ -s "$file.sums" ]; then
    ITINERUM_OWNER_URL=$(owner_url) node_modules/.bin/tsx scripts/sums.ts compare "$file.sums" || fail "$file does not hold what was backed up; the tables are named above."
    proved='every table as it was'
  else
    proved='nothing beside it says what was in it'
  fi
  prepare none >/dev/null || fail 'this version can’t read it; its words are above.'
  say "$file: restored in $((SECONDS - began)) s, $proved; $(owner_sql "select (select count(*) from piece) || ' pieces, ' || (select count(*) from entry) || ' lines of the log, ' || (select count(*) from photo) || ' photographs'")."
  echo "$file" > "$own/drill.done"
)

has_data() { [ -n "$elsewhere" ] || [ -e "$pg/PG_VERSION" ]; }

# ---- what should be seen to -----------------------------------------------------------------------------------------
good() { say "  well   $*"; }
bad() { say "  SEE    $*"; wrong=yes; }
check_all() {
  local free newest pending days each server_says
  wrong=
  backup_plan
  free=$(df -Pk "$home" | awk 'NR == 2 { print $4 }')
  if [ "$free" -lt 2097152 ]; then bad "disk: $((free / 1024)) MB are left. Make room, or move .data to a larger disk."
  else good "disk: $((free / 1048576)) GB are left"; fi

  if ! has_data; then bad 'database: there is no data yet. Run ./itinerum start.'
  elif pg_up; then
    good "database: answers ($(owner_sql "select 'PostgreSQL ' || current_setting('server_version') || ', ' || pg_size_pretty(pg_database_size('itinerum'))"))"
    pending=$(for each in src/db/migrations/*.do.*.sql; do basename "$each" | cut -d. -f1 | sed 's/^0*//'; done | sort -n | tail -n 1)
    server_says=$(owner_sql 'select coalesce(max(version), 0) from schema_version')
    if [ "$server_says" -lt "$pending" ]; then bad "migrations: the data is at $server_says, this version at $pending. ./itinerum start brings it up."
    elif [ "$server_says" -gt "$pending" ]; then bad "migrations: the data is at $server_says, newer than this version ($pending). Put the newer version back."
    else good "migrations: at $server_says, as this version"; fi
  else bad 'database: does not answer. ./itinerum start brings it up; its words are in '"$pg/server.log"; fi

  each=$(cat "$home/address" 2>/dev/null || true)
  if [ -n "$each" ] && answers "$each"; then good "server: answers at $each"
  else bad "server: does not answer. Start it with ./itinerum start; its words are in $home/server.log"; fi

  if [ -s "$home/tls/server.crt" ]; then
    days=$((($(date -d "$(openssl x509 -in "$home/tls/server.crt" -noout -enddate | cut -d= -f2)" +%s) - $(date +%s)) / 86400))
    if [ "$days" -lt 30 ]; then bad "certificates: over in $days days. ./itinerum start --lan makes another one; the authority that phones trust stays."
    elif has_new_names; then bad 'certificates: this machine has an address that its certificate does not have. ./itinerum start --lan takes it up.'
    else good "certificates: good for $days days"; fi
  fi

  newest=$(newest_backup)
  if [ "$every" -eq 0 ]; then bad 'backups: none are made. ./itinerum backup --every 24'
  elif [ -e "$home/backup.failed" ]; then bad "backups: the last one failed at $(cat "$home/backup.failed"); why stands in $home/backup.log"
  elif [ -z "$newest" ]; then bad "backups: there is none in $to yet. One is made while the studio runs, or by ./itinerum backup --now"
  elif [ "$(age_hours "$newest")" -gt $((every + every / 2 + 2)) ]; then bad "backups: the newest is $(age_hours "$newest") hours old. The studio has to run for them, or ./itinerum backup --now"
  else good "backups: $(listed_backups | wc -l) in $to, the newest $(age_hours "$newest") hours old${phrase:+, sealed}"; fi
  if [ -n "$newest" ] && [ "$(stat -c %d "$to")" = "$(stat -c %d "$home")" ]; then bad "backups: they lie on the same disk as the data. ./itinerum backup --to /a/folder/on/another/disk"; fi
  if [ -z "$newest" ]; then :
  elif [ ! -e "$home/drill.done" ]; then bad 'drill: no backup was ever tried. ./itinerum drill'
  elif [ "$(age_hours "$home/drill.done")" -gt 2160 ]; then bad "drill: the last one was $(($(age_hours "$home/drill.done") / 24)) days ago. ./itinerum drill"
  else good "drill: a backup was restored $(age_hours "$home/drill.done") hours ago"; fi

  if command -v timedatectl >/dev/null && [ "$(timedatectl show -p NTPSynchronized --value 2>/dev/null)" = no ]; then
    bad 'clock: this machine sets it by nobody. Switch it on:  timedatectl set-ntp true (windows and codes from an app go by it)'
  elif [ "$(date +%Y)" -lt 2025 ]; then bad "clock: it says $(date). Set it."
  else good "clock: $(date '+%F %H:%M %Z')"; fi
  [ -z "$wrong" ]
}
