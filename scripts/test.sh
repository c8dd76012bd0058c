#!/usr/bin/env bash
# Everything that is checked before a change is taken in: formatting, lint, types, tests, drift of what is generated.
set -euo pipefail

HOME_DIR=$(cd "$(dirname "$(readlink -f "$0")")/.." && pwd)
cd "$HOME_DIR"
. scripts/lib.sh
. scripts/install.sh

say "Kind Girdle, the tests"
ensure_tools
ensure_browser
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1

began=$(date +%s)
generated=web/src/shared/api/schema.d.ts
before=$(cksum <"$generated")
step "formatting, lint, types, unit tests, then the server on a real MariaDB and the pages in a real browser"
mvn -B -Dstyle.color=never verify "$@" |
    grep --line-buffered -vE '^\[INFO\] *$|Download(ing|ed) from|^\[INFO\] (---|skip|Nothing|Copying|Using)|SLF4J'
# the build makes the front end's types from docs/openapi.json; OpenApiTest compares that file with the running API
[ "$before" = "$(cksum <"$generated")" ] ||
    fail "$generated did not fit docs/openapi.json." "It was made anew: commit it."

counts() {
    awk '/<testsuite / {
            match($0, / tests="[0-9]+"/); t += substr($0, RSTART + 8, RLENGTH - 9)
            match($0, / failures="[0-9]+"/); f += substr($0, RSTART + 11, RLENGTH - 12)
            match($0, / errors="[0-9]+"/); f += substr($0, RSTART + 9, RLENGTH - 10)
            match($0, / skipped="[0-9]+"/); s += substr($0, RSTART + 10, RLENGTH - 11)
        } END { print t + 0, f + 0, s + 0 }' "$@"
}
passed=0 failed=0 skipped=0
for module in core server e2e; do
    read -r tests bad left < <(counts "$module"/target/surefire-reports/TEST-*.xml)
    say "$module: $tests tests"
    passed=$((passed + tests - bad - left)) failed=$((failed + bad)) skipped=$((skipped + left))
done
say "It took $(($(date +%s) - began)) s."
say "$passed passed, $failed failed, $skipped skipped"
[ "$failed" = 0 ]
