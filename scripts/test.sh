#!/bin/sh
# Everything that must hold: types, lint, format, build and its size, unit tests, benches in their quick form, browser tests.
set -e
cd "$(dirname "$0")/.."
began=$(date +%s)
say() { echo "[$(($(date +%s) - began)) s] $*"; }
mkdir -p test-results
sh scripts/ensure-installed.sh all
sh scripts/ensure-chromium.sh

say "types, lint, format, build"
# The types of the routes first: types and lint ask for them.
npm run -s typegen >test-results/typegen.log 2>&1 || { cat test-results/typegen.log; exit 1; }
# Side by side, each into its own log: what failed is shown whole.
waiting=""
for step in types lint format:check build; do
  npm run -s "$step" >"test-results/$step.log" 2>&1 &
  waiting="$waiting $step=$!"
done
failed=0
for one in $waiting; do
  step=${one%=*}
  wait "${one##*=}" || { failed=1; echo "$step failed:"; cat "test-results/$step.log"; }
done
[ "$failed" = 0 ]
npm run -s size

say "unit tests"
npm run -s unit -- --maxWorkers=100% --json --outputFile=test-results/unit.json
say "benches, in their quick form"
for bench in bench bench:home taps; do npm run -s "$bench" -- --quick; done
say "browser tests"
npm run -s e2e
node scripts/slowest.mjs
say "done"
