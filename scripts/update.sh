# A sign at the machine's door, and newer versions. Sourced by ./itinerum after keep.sh; a newer version puts other files in their place
# while these run, so all of it is in functions that are read before.

write_service() { # [--lan]
  local unit=$home/itinerum.service more=
  case "${1:-}" in '' ) ;; --lan) more=' --lan' ;; *) fail 'service takes --lan or nothing' ;; esac
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
Environment=PORT=${PORT:-4700}${LAN_PORT:+ LAN_PORT=$LAN_PORT}${ITINERUM_ORIGIN:+ ITINERUM_ORIGIN=$ITINERUM_ORIGIN}${ITINERUM_LAN_NAMES:+ ITINERUM_LAN_NAMES=$ITINERUM_LAN_NAMES}${ITINERUM_SENSOR:+ ITINERUM_SENSOR=$ITINERUM_SENSOR}
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
# FROM: a folder with a newer checkout, a bundle, or an address that git knows. Any step that fails leads back to where it was.
update_from() {
  local from=${1:-} before after was_running= file aside
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
  ! is_ours "$(cat "$home/script.pid" 2>/dev/null || true)" itinerum || was_running=yes
  need_modules
  mkdir -p "$home/backups"
  file=$home/backups/before-update-$(date -u +%Y%m%d-%H%M%S).dump
  quiet=yes start_cluster
  make_backup "$file" || fail "the backup failed, nothing was changed; why stands in $home/backup.log"
  say "Backed up to $file."
  stop_running
  for _ in $(seq 30); do is_ours "$(cat "$home/script.pid" 2>/dev/null || true)" itinerum || break; sleep 1; done
  stop_cluster
  say 'Trying the newer version, about two minutes.'
  git reset --quiet --hard "$after"
  if holds; then
    say "Updated: $(git log -1 --format='%h %s'). Start it:  ./itinerum start"
  else
    say 'The newer version does not hold here; back to the old one. About two minutes.'
    cp "$home/update.log" "$home/update.failed.log"
    stop_cluster
    git reset --quiet --hard "$before"
    aside=$pg.failed-update-$(date +%Y%m%d-%H%M%S)
    mv "$pg" "$aside"
    quiet=yes start_cluster
    for role in itinerum_app itinerum_door; do owner_sql "create role $role nologin" 2>/dev/null || true; done
    as_pg_owner pg_restore itinerum --exit-on-error "$file" || fail "the data before is in $file, what the newer version left in $aside; neither was touched since."
    holds || fail "the old version does not hold either; its words are in $home/update.log. The data before is in $file."
    rm -rf "$aside"
    say "All is as it was (the newer version's words: $home/update.failed.log)."
    [ -z "$was_running" ] || say 'Start it:  ./itinerum start'
    exit 1
  fi
}
