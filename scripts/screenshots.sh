#!/usr/bin/env bash
# The pictures of docs/screenshots, made anew from the demo as it is now.
set -euo pipefail

HOME_DIR=$(cd "$(dirname "$(readlink -f "$0")")/.." && pwd)
cd "$HOME_DIR"
. scripts/lib.sh
. scripts/install.sh

ensure_tools
ensure_browser
step "building, and taking the pictures"
mkdir -p docs/screenshots
mvn -q -B -pl e2e -am package -Dspotless.check.skip -Dtest=Screenshots -Dsurefire.failIfNoSpecifiedTests=false
say "See docs/screenshots"
