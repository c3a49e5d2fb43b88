#!/bin/sh
# Installs what is missing: what builds and serves, or with "all" what tests as well; compiles the catalogs of sentences where they
# have changed. What npm prints is shown when it fails.
set -e
want=${1:-run}
has=node_modules/.package-lock.json
fresh() { [ -f "$has" ] && [ ! package-lock.json -nt "$has" ]; }

# A catalog is newer than what was compiled last, or something compiled is gone.
words=node_modules/.words
compile() {
  if [ -f "$words" ] && [ -z "$(find core/base/words app/words scripts/words.ts -newer "$words" \( -name '*.json' -o -name words.ts \))" ]; then
    missing=0
    for root in core/base/words app/words; do
      for catalog in "$root"/en/*.json; do
        [ -f "$root/$(basename "$catalog" .json).ts" ] || missing=1
      done
    done
    [ "$missing" = 1 ] || return 0
  fi
  npm run -s words
  touch "$words"
}
if fresh && { [ "$want" != all ] || [ -d node_modules/jest ]; }; then compile; exit 0; fi


log=$(mktemp)
trap 'rm -f "$log"' EXIT
say_failed() { cat "$log" >&2; echo "The packages could not be installed; npm's own words are above. Is the registry in reach?" >&2; exit 1; }
if [ "$want" != all ]; then
  count=$(node -p 'Object.entries(require("./package-lock.json").packages).filter(([at, { dev, optional, link }]) => at && !dev && !optional && !link).length')
  echo "Installing $count packages ..."
  npm ci --omit=dev --no-audit --no-fund >"$log" 2>&1 || say_failed
elif fresh; then
  echo "Installing what the tests need as well ..."
  npm install --no-audit --no-fund >"$log" 2>&1 || say_failed
else
  echo "Installing all packages ..."
  npm ci --no-audit --no-fund >"$log" 2>&1 || say_failed
fi
touch "$has"
compile
