#!/bin/sh
# Installs, builds and serves the production build with the demo house. Done again, it does only what has changed.
set -e
cd "$(dirname "$0")/.."
sh scripts/ensure-installed.sh
npm run -s build -- --if-changed
exec npm run -s start
