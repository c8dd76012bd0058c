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
generated=(web/src/shared/api/schema.d.ts web/src/shared/api/codes.ts)
before=$(cksum "${generated[@]}")
quiet() {
    grep --line-buffered -vE '^\[INFO\] *$|Download(ing|ed) from|^\[INFO\] (---|skip|Nothing|Copying|Using)|SLF4J'
}
maven() { mvn -B -Dstyle.color=never "$@"; }

step "formatting, types, lint, the front end's own tests, the application"
# the tests in Java come after it, in lanes; those of the front end are part of this step
maven -T 2 -DskipTests -Dnpm.check.skip=false install | quiet

# Two lanes side by side, of about the same length: what is tested waits on the database, the browser and the disk by
# turns. Nothing is compiled in them. What the first lane says is shown when it has ended.
tests=surefire:test@default-test
slow=KgCommandTest
said=$(mktemp)
first_lane() {
    local result=0
    maven $tests --fail-at-end -pl core,server "$@" || result=$?
    maven $tests -pl e2e -Dtest=$slow "$@" || result=$?
    return $result
}
step "the core, the server on a real MariaDB, and the pages in a real browser"
first_lane "$@" >"$said" 2>&1 &
first=$!
second_result=0
maven $tests -pl e2e "-Dtest=*Test,!${slow//,/,!}" "$@" | quiet || second_result=$?
first_result=0
wait "$first" || first_result=$?
quiet <"$said" || true
rm -f "$said"
# the build makes the front end's types from docs/openapi.json; OpenApiTest compares that file with the running API
[ "$before" = "$(cksum "${generated[@]}")" ] ||
    fail "${generated[*]} did not fit docs/openapi.json." "They were made anew: commit them."

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
    # a module whose tests did not get to run has failed
    ls "$module"/target/surefire-reports/TEST-*.xml >/dev/null 2>&1 || fail "$module: no test ran." "See above why."
    read -r tests bad left < <(counts "$module"/target/surefire-reports/TEST-*.xml)
    say "$module: $tests tests"
    passed=$((passed + tests - bad - left)) failed=$((failed + bad)) skipped=$((skipped + left))
done
say "It took $(($(date +%s) - began)) s."
say "$passed passed, $failed failed, $skipped skipped"
[ "$failed" = 0 ] && [ "$first_result" = 0 ] && [ "$second_result" = 0 ]
