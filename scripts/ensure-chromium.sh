#!/bin/sh
# The browser tests drive Debian's Chromium without a screen; install it where it is missing and we may.
set -e
if [ -x /usr/bin/chromium-headless-shell ]; then exit 0; fi
if [ "$(id -u)" != 0 ] || ! command -v apt-get >/dev/null 2>&1; then
  echo "The browser tests need Chromium at /usr/bin/chromium-headless-shell. Install it (on Debian: sudo apt-get install chromium-headless-shell) and run npm test again." >&2
  exit 1
fi
echo "Installing Chromium for the browser tests ..."
apt-get update -qq
DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium-headless-shell >/dev/null
