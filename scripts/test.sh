#!/bin/sh
# Everything that must hold: types, lint, format, unit tests, build, browser tests.
set -e
cd "$(dirname "$0")/.."
sh scripts/ensure-installed.sh
sh scripts/ensure-chromium.sh
npm run -s typecheck
npm run -s lint
npm run -s format:check
npm run -s unit
npm run -s build
npm run -s size
npm run -s e2e
