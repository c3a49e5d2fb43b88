#!/bin/sh
# Types of everything, and of the core alone: without a screen, a store or an operating system. The types of the routes
# must be there (npm run typegen).
set -e
cd "$(dirname "$0")/.."
node node_modules/typescript-7/bin/tsc --noEmit
node node_modules/typescript-7/bin/tsc --noEmit -p core/tsconfig.json
