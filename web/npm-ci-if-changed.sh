#!/bin/sh
# "npm ci" once for each lock file: a build with the same packages begins at once.
set -e
stamp=node_modules/.kg-lock
if [ -f "$stamp" ] && cmp -s package-lock.json "$stamp"; then exit 0; fi
npm ci --no-fund --no-audit --ignore-scripts
cp package-lock.json "$stamp"
