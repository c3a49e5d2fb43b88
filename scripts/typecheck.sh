#!/bin/sh
# Types of everything, and of the core alone: without a screen, a store or an operating system.
set -e
cd "$(dirname "$0")/.."
node_modules/.bin/react-router typegen
node node_modules/typescript-7/bin/tsc --noEmit
node node_modules/typescript-7/bin/tsc --noEmit -p core/tsconfig.json
