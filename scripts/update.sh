# A sign at the machine's door, and newer versions. Sourced by ./itinerum after keep.sh; a newer version puts other files in their place
# while these run, so all of it is in functions that are read before.

# What a start goes by, of what is said in the environment.
settings_known='PORT LAN_PORT ITINERUM_HOME ITINERUM_DATABASE_URL ITINERUM_SECRET ITINERUM_ORIGIN ITINERUM_LAN_NAMES ITINERUM_SENSOR ITINERUM_SERVERS ITINERUM_POOLER ITINERUM_PG_FLAGS ITINERUM_PASSPHRASE_FILE'

write_service() { # [--lan]
  local unit=$home/itinerum.service settings=$home/itinerum.env more= each
  case "${1:-}" in '' ) ;; --lan) more=' --lan' ;; *) fail 'service takes --lan or nothing' ;; esac
  # a database's password and the shared secret are among them: for this user's eyes, and not in the unit, which everybody may read
  (umask 077; : > "$settings"; chmod 600 "$settings"
    for each in $settings_known; do
      [ -z "${!each:-}" ] || printf "%s='%s'\n" "$each" "$(printf '%s' "${!each}" | sed "s/'/'\\\\''/g")"
    done > "$settings")
  cat > "$unit" <<UNIT
# Itinerum on this machine. Put in place as root:
#   cp $unit /etc/systemd/system/ && systemctl daemon-reload && systemctl enable --now itinerum
[Unit]
Description=Itinerum, the companion of the workshop at $(hostname)
After=network-online.target
Wants=network-online.target

[Service]
User=$(id -un)
WorkingDirectory=$top
ExecStart=$top/itinerum start$more
Environment=PATH=$(dirname "$(command -v node)"):/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin
# as they were where this was written; who changes one starts the service anew
EnvironmentFile=$settings
# what is killed is brought back by the script; the script by this
Restart=on-failure
RestartSec=5
# it stops the server first, then the database, which writes down what it has
KillMode=mixed
TimeoutStopSec=90
# what it has no use for is out of its reach
NoNewPrivileges=yes
PrivateTmp=yes
ProtectSystem=full
ProtectKernelTunables=yes
ProtectControlGroups=yes
RestrictSUIDSGID=yes

[Install]
WantedBy=multi-user.target
UNIT
  say "Written to $unit: the studio starts with this machine, and is started again where it ends by itself."
  say 'Put it in place (as root, or with sudo before each line):'
  say "  cp $unit /etc/systemd/system/"
  say '  systemctl daemon-reload'
  say '  systemctl enable --now itinerum'
  say 'How it stands:  systemctl status itinerum    Its words:  journalctl -u itinerum    Out again:  systemctl disable --now itinerum'
  if command -v systemd-analyze >/dev/null; then
    local words
    words=$(systemd-analyze verify "$unit" 2>&1 | grep -F itinerum.service || true)
    [ -z "$words" ] || { say "systemd says of it: $words"; return 1; }
    say 'systemd finds nothing wrong with it.'
  fi
}

# ---- newer versions -------------------------------------------------------------------------------------------------
# Serves for a moment where nobody comes, to see that the version holds.
holds() {
  local port pid code=1
  # each by itself: what fails ends only itself, and its words are kept
  : > "$home/update.log"
  (need_modules && need_build) >>"$home/update.log" 2>&1 || return 1
  (quiet=yes start_cluster) >>"$home/update.log" 2>&1 || return 1
  if ! prepare none >>"$home/update.log" 2>&1; then stop_cluster; return 1; fi
  port=$(free_port 0)
  DATABASE_URL=$(app_url) DOOR_DATABASE_URL=$(door_url) node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "$port" >>"$home/update.log" 2>&1 &
  pid=$!
  for _ in $(seq 60); do
    alive "$pid" || break
    if answers "http://127.0.0.1:$port"; then code=0; break; fi
    sleep 1
  done
  kill "$pid" 2>/dev/null; wait "$pid" 2>/dev/null
  stop_cluster
  return "$code"
}
# How it runs now, to run so again: its words, what it was told by the environment, and whether the machine's own service has it.
remember_running() {
  local script each
  running=() running_by=
  script=$(cat "$home/script.pid" 2>/dev/null || true)
  is_ours "$script" itinerum || return 0
  mapfile -d '' -t running < "/proc/$script/cmdline"
  running=("${running[@]:2}")
  ! grep -q 'itinerum\.service' "/proc/$script/cgroup" 2>/dev/null || running_by=service
  while IFS= read -rd '' each; do
    case " $settings_known " in *" ${each%%=*} "*) export "${each?}" ;; esac
  done < "/proc/$script/environ"
}
run_again() {
  local server
  [ ${#running[@]} -gt 0 ] || { say 'Start it:  ./itinerum start'; return 0; }
  if [ "$running_by" = service ]; then
    if [ "$(id -u)" = 0 ] && systemctl start itinerum; then say 'It runs again, as this machine’s service.'
    else say 'It ran as this machine’s service. Start that again:  sudo systemctl start itinerum'; fi
    return 0
  fi
  setsid bash "$top/itinerum" "${running[@]}" >"$home/started.log" 2>&1 </dev/null 9>&- &
  for _ in $(seq 120); do
    server=$(cat "$home/address" 2>/dev/null || true)
    if is_ours "$(cat "$home/script.pid" 2>/dev/null || true)" itinerum && [ -n "$server" ] && answers "$server"; then
      say "It runs again at $server; its words: $home/started.log. ./itinerum stop ends it."
      return 0
    fi
    sleep 1
  done
  say "It does not come up again by itself; its words are in $home/started.log. Start it:  ./itinerum start"
}
# FROM: a folder with a newer checkout, a bundle, or an address that git knows. Any step that fails leads back to where it was.
update_from() {
  local from=${1:-} before after file aside aside_dump scratch
  [ -n "$from" ] || fail 'say from where:  ./itinerum update FOLDER (a newer checkout), a git bundle, or an address'
  command -v git >/dev/null && git rev-parse --git-dir >/dev/null 2>&1 || fail 'this folder is no git checkout; put the newer one beside it and move .data there while the studio is stopped.'
  [ -z "$(git status --porcelain --untracked-files=no)" ] || fail 'something in this folder was changed by hand (git status says what). Keep or undo that first.'
  [ -z "$elsewhere" ] || fail 'with a database of your own: back that up, take the newer folder, start it.'
  has_data || fail 'there is no data yet; nothing is to be brought along. Take the newer folder as it is.'
  before=$(git rev-parse HEAD)
  git fetch --quiet "$from" HEAD || fail "$from can't be fetched; nothing was changed."
  after=$(git rev-parse FETCH_HEAD)
  [ "$before" != "$after" ] || { say 'This is that version already.'; return; }
  git merge-base --is-ancestor "$before" "$after" || fail 'that version does not follow this one; nothing was changed.'
  remember_running
  need_modules
  mkdir -p "$home/backups"
  backup_plan
  [ -z "$phrase" ] || need_gpg
  file=$home/backups/before-update-$(date -u +%Y%m%d-%H%M%S).dump${phrase:+.gpg}
  quiet=yes start_cluster
  make_backup "$file" "$phrase" || fail "the backup failed, nothing was changed; why stands in $home/backup.log"
  say "Backed up to $file${phrase:+, sealed by the pass phrase in $phrase}."
  stop_running
  for _ in $(seq 30); do is_ours "$(cat "$home/script.pid" 2>/dev/null || true)" itinerum || break; sleep 1; done
  stop_cluster
  say 'Trying the newer version, about two minutes.'
  git reset --quiet --hard "$after"
  if holds; then
    say "Updated: $(git log -1 --format='%h %s')."
    # of what was kept before earlier updates the last two stay
    find "$home/backups" -maxdepth 1 -name 'before-update-*' ! -name '*.sums' -type f | sort | head -n -2 | while IFS= read -r aside; do rm -f "$aside" "$aside.sums"; done
    run_again
  else
    say 'The newer version does not hold here; back to the old one. About two minutes.'
    cp "$home/update.log" "$home/update.failed.log"
    stop_cluster
    git reset --quiet --hard "$before"
    aside=$pg.failed-update-$(date +%Y%m%d-%H%M%S)
    mv "$pg" "$aside"
    quiet=yes start_cluster
    for role in itinerum_app itinerum_door; do owner_sql "create role $role nologin" 2>/dev/null || true; done
    scratch=$(mktemp -d); trap 'rm -rf "$scratch"' EXIT
    aside_dump=$(opened "$file" "$scratch") && as_pg_owner pg_restore itinerum --exit-on-error "$aside_dump" || fail "the data before is in $file, what the newer version left in $aside; neither was touched since."
    holds || fail "the old version does not hold either; its words are in $home/update.log. The data before is in $file."
    rm -rf "$aside"
    say "All is as it was (the newer version's words: $home/update.failed.log)."
    run_again
    exit 1
  fi
}
