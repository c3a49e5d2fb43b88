#!/bin/sh
# Everything that must hold: types, lint, format, build and its size, unit tests, benches in their quick form, browser tests.
set -e
cd "$(dirname "$0")/.."
began=$(date +%s)
say() { echo "[$(($(date +%s) - began)) s] $*"; }
# Side by side, each into its own log: what failed is shown whole. Of a command with words behind it, its name is the log's.
side_by_side() {
  waiting="" failed=0
  for step in "$@"; do
    npm run -s $step >"test-results/${step%% *}.log" 2>&1 &
    waiting="$waiting $!=${step%% *}"
  done
  for one in $waiting; do
    wait "${one%%=*}" || { failed=1; echo "${one#*=} failed:"; cat "test-results/${one#*=}.log"; }
  done
  [ "$failed" = 0 ]
}
mkdir -p test-results
sh scripts/ensure-installed.sh all
sh scripts/ensure-chromium.sh

say "types, lint, format, build"
# The types of the routes first: types and lint ask for them.
npm run -s typegen >test-results/typegen.log 2>&1 || { cat test-results/typegen.log; exit 1; }
side_by_side types lint format:check build
npm run -s size

say "unit tests"
npm run -s unit -- --maxWorkers=100% --json --outputFile=test-results/unit.json
say "benches, in their quick form"
side_by_side "bench -- --quick" "bench:home -- --quick" "taps -- --quick"
cat test-results/bench.log test-results/bench:home.log test-results/taps.log
say "browser tests"
npm run -s e2e
node scripts/slowest.mjs
say "done"
