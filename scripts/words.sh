#!/usr/bin/env bash
# Every sentence of the product once, with the case that brings it up, on one page to be read through.
set -euo pipefail

HOME_DIR=$(cd "$(dirname "$(readlink -f "$0")")/.." && pwd)
cd "$HOME_DIR"
. scripts/lib.sh
. scripts/install.sh

ensure_tools
[ -d web/node_modules ] || (cd web && npm ci --no-audit --no-fund)
mkdir -p target
node web/scripts/words.mjs >target/words.html
say "See target/words.html"
