#!/bin/sh
# Installs, builds and serves the production build with the demo house.
set -e
cd "$(dirname "$0")/.."
sh scripts/ensure-installed.sh
npm run -s build
exec npm run -s start
