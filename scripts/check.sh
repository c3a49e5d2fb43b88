#!/bin/sh
# For the hand that works: types, lint, format, and the tests of what has changed since main (or $SINCE).
set -e
cd "$(dirname "$0")/.."
sh scripts/ensure-installed.sh all
npm run -s typegen >/dev/null
npm run -s types & types=$!
npm run -s lint & lint=$!
changed=$(git diff --name-only --diff-filter=d "${SINCE:-main}" -- '*.ts' '*.tsx' '*.mjs' '*.json' '*.md'; git ls-files -o --exclude-standard)
if [ -n "$changed" ]; then echo "$changed" | xargs npx --no-install prettier --check --ignore-unknown; fi
wait "$types"
wait "$lint"
QUICK=1 npm run -s unit -- --maxWorkers=100% --changedSince="${SINCE:-main}" --passWithNoTests
