#!/bin/sh
# Installs from the lock file when that has not been done yet, or the lock file is newer.
set -e
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  echo "Installing packages from the lock file ..."
  npm ci --no-audit --no-fund
  touch node_modules/.package-lock.json
fi
