#!/bin/sh
# Everything that must hold: types, lint, format, unit tests, build, browser tests.
set -e
cd "$(dirname "$0")/.."
sh scripts/ensure-installed.sh
sh scripts/ensure-chromium.sh
npx react-router typegen
# Each looks at all files with one core: side by side.
npm run -s lint &
lint=$!
npx tsc --noEmit
npx tsc --noEmit -p core/tsconfig.json
npm run -s format:check
wait "$lint"
npm run -s unit
npm run -s build
npm run -s size
npm run -s e2e
