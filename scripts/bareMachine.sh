#!/usr/bin/env bash
# The two commands on a bare Debian 12 with git, Node and npm alone, from a fresh clone: as root, and as a plain user who runs
# the lines that are printed. Two roots made by debootstrap, thrown away at the end. As root; wants debootstrap and 8 GB.
# Usage: scripts/bareMachine.sh [root|user|both] [SUITE…]   the suites as `./itinerum test` takes them; all where none is named
set -euo pipefail
top=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
who=${1:-both}
[ $# = 0 ] || shift
suites=("$@")
say() { printf '%s\n' "$*"; }
fail() { printf 'bareMachine: %s\n' "$*" >&2; exit 1; }
[ "$(id -u)" = 0 ] || fail 'this makes a root of its own: run it as root.'
command -v debootstrap >/dev/null || fail 'debootstrap is missing: apt-get install debootstrap'

place=$(mktemp -d /var/tmp/itinerum-bare.XXXXXX)
mounted=()
mount_in() { mount "$@"; mounted+=("${!#}"); }
clear_away() {
  local k
  for machine in "$place"/*/; do
    [ -d "$machine/proc" ] || continue
    for process in /proc/[0-9]*; do
      [ "$(readlink "$process/root" 2>/dev/null || true)" != "${machine%/}" ] || kill -KILL "${process##*/}" 2>/dev/null || true
    done
  done
  for ((k = ${#mounted[@]} - 1; k >= 0; k--)); do umount -l "${mounted[$k]}" 2>/dev/null || true; done
  rm -rf --one-file-system "$place"
}
trap clear_away EXIT
trap 'exit 130' INT TERM

# where this machine takes its packages from, the bare ones do too
mirror=$({ cat /etc/apt/sources.list /etc/apt/sources.list.d/*.sources 2>/dev/null || true; } | sed -n 's/^URIs: *\([^ ]*\).*/\1/p; s/^deb \(\[[^]]*\] \)\?\([^ ]*\).*/\2/p' | head -n 1)
[ -n "$mirror" ] || fail 'no source of packages is written in /etc/apt'
began=$SECONDS
say "Making a bare machine (debootstrap)."
debootstrap --variant=minbase --include=git,ca-certificates bookworm "$place/base" "$mirror" >"$place/debootstrap.log" 2>&1 ||
  { tail -n 20 "$place/debootstrap.log" >&2; fail 'debootstrap failed'; }
for file in /etc/resolv.conf /etc/hosts /etc/npmrc /root/.npmrc; do
  [ ! -e "$file" ] || install -D -m 644 "$file" "$place/base$file"
done
# whom this machine trusts, in a file of its own: an installation makes Debian's list anew
install -m 644 "$(readlink -f /etc/ssl/certs/ca-certificates.crt)" "$place/base/etc/bare-authorities.crt"
rm -rf "$place/base/etc/apt/sources.list" "$place/base/etc/apt/sources.list.d"
cp -a /etc/apt/sources.list.d "$place/base/etc/apt/sources.list.d"
[ ! -e /etc/apt/sources.list ] || cp -a /etc/apt/sources.list "$place/base/etc/apt/sources.list"
for file in /etc/apt/apt.conf.d/*; do [ -e "$place/base$file" ] || cp -a "$file" "$place/base$file"; done
# Node and npm as they are here
install -D "$(readlink -f "$(command -v node)")" "$place/base/usr/bin/node"
npm=$(dirname "$(dirname "$(readlink -f "$(command -v npm)")")")
mkdir -p "$place/base/usr/lib/node_modules"
cp -a "$npm" "$place/base/usr/lib/node_modules/npm"
ln -s ../lib/node_modules/npm/bin/npm-cli.js "$place/base/usr/bin/npm"
ln -s ../lib/node_modules/npm/bin/npx-cli.js "$place/base/usr/bin/npx"
say "   bare machine: $((SECONDS - began)) s, $(chroot "$place/base" dpkg-query -f '.\n' -W | wc -l) packages, Node $(chroot "$place/base" node -v)"

inside() { # MACHINE USER COMMAND: in the folder of the clone
  chroot "$place/$1" /usr/bin/env -i PATH=/usr/sbin:/usr/bin:/sbin:/bin HOME="$(home_of "$2")" LANG=C.UTF-8 TERM=dumb npm_config_cafile=/etc/bare-authorities.crt \
    setpriv --reuid "$2" --regid "$2" --init-groups bash -c "cd '$(home_of "$2")/itinerum' || exit; $3"
}
home_of() { [ "$1" = root ] && echo /root || echo "/home/$1"; }
make_machine() { # NAME USER
  cp -a "$place/base" "$place/$1"
  [ "$2" = root ] || chroot "$place/$1" useradd -m -s /bin/bash "$2"
  mount_in -t proc proc "$place/$1/proc"
  mount_in --rbind /dev "$place/$1/dev"
  mount --make-rslave "$place/$1/dev"
  git clone -q --no-hardlinks "$top" "$place/$1$(home_of "$2")/itinerum"
  chroot "$place/$1" chown -R "$2" "$(home_of "$2")/itinerum"
}
# Runs a command; where it asks for a line to be run as root, that line is run as it stands, and the command again.
asking() { # MACHINE USER COMMAND LOG
  local line
  for _ in 1 2 3; do
    if inside "$1" "$2" "$3" >"$4" 2>&1; then return 0; fi
    line=$(grep -A1 'Run this line as root' "$4" | tail -n 1 | sed 's/^ *//' || true)
    [ "${line#sh -c}" != "$line" ] || return 1
    # it was asked for before anything long was begun
    ! grep -qE 'Building|Installing the packages' "$4" || fail "$3 asked for a package after the long work had begun"
    say "   asked for: ${line:0:60}…"
    chroot "$place/$1" /usr/bin/env -i PATH=/usr/sbin:/usr/bin:/sbin:/bin HOME=/root LANG=C.UTF-8 bash -c "$line" >"$4.apt" 2>&1 ||
      { tail -n 20 "$4.apt" >&2; fail 'the line that was printed does not work as it stands'; }
  done
  return 1
}
try_machine() { # NAME USER
  local log=$place/$1.log began=$SECONDS address
  make_machine "$1" "$2"
  say "── as $2: ./itinerum demo"
  asking "$1" "$2" "timeout 900 ./itinerum demo & began=\$!; for _ in \$(seq 900); do grep -qs 'http' .data/demo/address && node -e 'fetch(require(\"fs\").readFileSync(\".data/demo/address\", \"utf8\").trim() + \"/\").then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))' && { ./itinerum stop; wait \$began; exit 0; }; kill -0 \$began 2>/dev/null || { wait \$began; exit 1; }; sleep 1; done; exit 1" "$log" ||
    { tail -n 30 "$log" >&2; fail "./itinerum demo did not serve its bench as $2"; }
  say "   its bench was served after $((SECONDS - began)) s"
  began=$SECONDS
  say "── as $2: ./itinerum test ${suites[*]:-}"
  asking "$1" "$2" "./itinerum test ${suites[*]:-}" "$log" || { grep -aE '✘|×|FAIL|failed|Error' "$log" | tail -n 60 >&2; tail -n 5 "$log" >&2; fail "./itinerum test failed as $2"; }
  say "   $(tail -n 1 "$log") in $((SECONDS - began)) s"
  local clusters
  clusters=$(chroot "$place/$1" sh -c 'ls -d /var/lib/postgresql/*/main 2>/dev/null | wc -l')
  [ "$clusters" = 0 ] || fail "$clusters clusters of Debian's own were made beside the private one"
}
[ "$who" = user ] || try_machine root root
[ "$who" = root ] || try_machine user painter
say 'bareMachine: passed'
