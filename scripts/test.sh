#!/usr/bin/env bash
# Every check, on a cluster of its own. `./itinerum test [SUITE…]`; the last line counts all of it. ITINERUM_ONLY=words asks only the
# browser tests whose title holds them.
set -uo pipefail
top=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$top"
. scripts/lib.sh
passed=0 failed=0 flaky=0
# what failed is told once more at the end: only the last of a long output may be kept
told=
reports=$(mktemp -d "${TMPDIR:-/tmp}/itinerum-test.XXXXXX")
wanted=("$@")
[ ${#wanted[@]} -gt 0 ] || wanted=(types lint format unit slow database browser)
[ "${wanted[*]}" != quick ] || { wanted=(unit types lint); export ITINERUM_QUICK=yes; }
wants() { case " ${wanted[*]} " in *" $1 "*) return 0 ;; *) return 1 ;; esac; }
# what the machine must have is asked for before anything that takes long
if wants database || wants browser; then need_postgres; fi
! wants database || need_gpg
! wants browser || { need_chromium; need_openssl; }
need_modules

tell() { # NAME COMMAND…: keeps what the command prints for the end
  local name=$1; shift
  told+="── failed in $name"$'\n'"$("$@")"$'\n'
}
beside() { # NAME COMMAND…: begins it; `once` of the same name waits for it
  local name=$1; shift
  ("$@" >"$reports/$name.log" 2>&1; echo $? >"$reports/$name.status") &
  begun+=("$name:$!")
}
begun=()
ended() { # NAME COMMAND…: how the command ends, or what was begun of that name
  local name=$1 each; shift
  for each in ${begun[@]+"${begun[@]}"}; do
    [ "${each%%:*}" = "$name" ] || continue
    wait "${each##*:}"
    return "$(cat "$reports/$name.status")"
  done
  "$@" >"$reports/$name.log" 2>&1
}
once() { # NAME COMMAND…: counts as one
  local name=$1; shift
  say "── $name"
  if ended "$name" "$@"; then passed=$((passed + 1)); say "   passed"; else failed=$((failed + 1)); tail -n 60 "$reports/$name.log"; say "   failed"; tell "$name" tail -n 20 "$reports/$name.log"; fi
}
counted() { # NAME COMMAND…: counts what its JSON report says
  local name=$1 before=$failed; shift
  say "── $name"
  "$@" > >(tee "$reports/$name.log") 2>&1
  local status=$? figures
  figures=$(node -e '
    const report = JSON.parse(require("fs").readFileSync(process.argv[1], "utf8"));
    const [p, f, again] = report.stats ? [report.stats.expected + report.stats.flaky, report.stats.unexpected, report.stats.flaky] : [report.numPassedTests, report.numFailedTests, 0];
    console.log(`${p} ${f} ${again}`)' "$reports/$name.json" 2>/dev/null) || figures='0 1 0'
  set -- $figures
  passed=$((passed + $1)); failed=$((failed + $2)); flaky=$((flaky + $3))
  # a runner that failed without a failed test failed all the same
  if [ "$status" != 0 ] && [ "$failed" = "$before" ]; then
    failed=$((failed + 1))
    say "   $name failed with no failed test: its runner ended with $status"
    sleep 1 # the last of what it said is on its way into the log
    tell "$name" unhandled "$reports/$name.log" "$status"
  elif [ "$failed" != "$before" ]; then tell "$name" node scripts/failedTests.mjs "$reports/$name.json"; fi
}
unhandled() { # LOG STATUS: what a runner says that ends badly although every test passed
  echo "no test failed, and the runner ended with $2:"
  grep -nE -A 25 'Unhandled|Uncaught|Error:|error was not a part' "$1" | grep -vE '✓|database connection lost' | tail -n 60
}
linted() { # the linters, and that the second really looked at the code
  node_modules/.bin/eslint . --max-warnings 0 ${ITINERUM_QUICK:+--cache --cache-strategy content --cache-location .next/cache/eslint-quick} &&
    node_modules/.bin/depcruise src --config .dependency-cruiser.cjs | tee "$reports/modules" &&
    [ "$(grep -oE '[0-9]+ modules' "$reports/modules" | tail -n 1 | cut -d' ' -f1)" -gt 100 ]
}
typed() { node_modules/.bin/next typegen && node_modules/.bin/tsc --noEmit; }

cluster=
need_cluster() {
  [ -z "$cluster" ] || return 0
  use_home test
  stop_cluster
  rm -rf "$pg" "$pg.making" "$home/port"
  ITINERUM_PG_FLAGS='-c fsync=off -c full_page_writes=off -c synchronous_commit=off' start_cluster
  cluster=yes
  ITINERUM_TEST_OWNER_URL=$(owner_url postgres)
  ITINERUM_TEST_APP_SECRET=$(cat "$home/app.secret")
  export ITINERUM_TEST_OWNER_URL ITINERUM_TEST_APP_SECRET
}
server=
finish() {
  [ -z "$server" ] || kill "$server" 2>/dev/null || true
  [ -z "$cluster" ] || { use_home test; stop_cluster; }
  rm -rf "$reports"
}
trap finish EXIT
trap 'exit 130' INT TERM

browser() {
  local port
  need_build
  need_cluster
  prepare demo >"$reports/prepare.log" 2>&1 || tail -n 20 "$reports/prepare.log"
  port=$(free_port 0)
  DATABASE_URL=$(app_url) DOOR_DATABASE_URL=$(door_url) node node_modules/next/dist/bin/next start -H 127.0.0.1 -p "$port" >"$reports/server.log" 2>&1 &
  server=$!
  for _ in $(seq 100); do node -e "fetch(process.argv[1]).then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))" "http://127.0.0.1:$port/api/health" && break; sleep 0.2; done
  export ITINERUM_URL=http://127.0.0.1:$port
  played browser --project=desk --project=phone
}
played() { # NAME PROJECT…
  local name=$1; shift
  PLAYWRIGHT_JSON_OUTPUT_NAME=$reports/$name.json node_modules/.bin/playwright test "$@" ${ITINERUM_ONLY:+-g "$ITINERUM_ONLY"} --pass-with-no-tests --reporter=list,json
}
# Whole jobs were worked at the desk's width by then; a machine so slow that all before took as long leaves the phone's out, and says so.
latest=3000
jobs() { played jobs --project=phone-jobs; }

# two of these keep to one processor each, and the third is as long as both
[ -z "${ITINERUM_QUICK:-}" ] || { beside lint linted; beside types typed; }
for suite in "${wanted[@]}"; do
  case "$suite" in
    types) once types typed ;;
    lint) once lint linted ;;
    format) once format node_modules/.bin/prettier --check . ;;
    unit) counted unit node_modules/.bin/vitest run --project unit --reporter=default --reporter=json --outputFile.json="$reports/unit.json" ;;
    slow) counted slow node_modules/.bin/vitest run --project slow --reporter=default --reporter=json --outputFile.json="$reports/slow.json" ;;
    database) need_cluster; counted database node_modules/.bin/vitest run --project database --reporter=default --reporter=json --outputFile.json="$reports/database.json" ;;
    browser)
      counted browser browser
      if [ "$SECONDS" -lt "$latest" ]; then counted jobs jobs; else say "left out: whole jobs on a phone; all before them took $((SECONDS / 60)) min here"; fi ;;
    *) say "There is no suite called $suite: quick types lint format unit slow database browser"; exit 2 ;;
  esac
done
[ "$flaky" = 0 ] || say "$flaky of them passed only when asked again"
[ -z "$told" ] || say "$told"
say "$passed passed, $failed failed"
[ "$failed" = 0 ]
