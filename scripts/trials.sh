#!/usr/bin/env bash
# Trials that are too long for every day: made-up requests (fuzz), kills, full disks and slow clients (faults), and whole
# lives of layers in made-up climates (live).
set -euo pipefail

HOME_DIR=$(cd "$(dirname "$(readlink -f "$0")")/.." && pwd)
cd "$HOME_DIR"
. scripts/lib.sh
. scripts/install.sh

which=$1
shift
seed=1 count=20000 rounds=6 url= years=3 layer= climate= all=false http=false
while [ $# -gt 0 ]; do
    case "$1" in
        --seed | --count | --rounds | --years | --layer)
            [[ "${2:-}" =~ ^[0-9]{1,9}$ ]] || fail "$1 wants a number." "As: ./kg $which $1 7"
            declare "${1#--}=$2"
            shift
            ;;
        --climate)
            [ -n "${2:-}" ] || fail "--climate wants a name." "As: ./kg live --climate maritime"
            climate=$2
            shift
            ;;
        --all) all=true ;;
        --http) http=true ;;
        http://*) url=$1 ;;
        *) fail "There is no option '$1'." "Use --seed N, --count N (fuzz), --rounds N (faults), or an address on this machine (fuzz); --climate, --layer N, --years N, --all, --http (live)." ;;
    esac
    shift
done
if [ "$which" = live ] && [ "$http" = true ]; then
    ensure_tools
    step "building"
    mvn -q -B -pl server -am -DskipTests -Dspotless.check.skip install
    step "seventy-two layers over HTTP, on a database of their own (some minutes)"
    exec mvn -q -B -pl server surefire:test@default-test -Dtest=YearTest \
        "-DargLine=-Dyear.each=3 -Dyear.days=$((years * 365))"
fi
if [ "$which" = live ]; then
    ensure_build_tools
    [ "$all" = true ] && climate= layer=-1
    [ "$all" = false ] && [ -z "$climate" ] && climate=maritime
    step "building"
    mvn -q -B -pl core -DskipTests -Dspotless.check.skip install
    step "living with the seed $seed"
    exec mvn -q -B -pl core surefire:test@default-test -Dtest=LiveRun \
        "-DargLine=-Dlive.seed=$seed -Dlive.years=$years -Dlive.layer=${layer:-0} '-Dlive.climate=$climate'"
fi
ensure_tools
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
run=FuzzRun
[ "$which" = faults ] && run=FaultsRun
step "building"
mvn -q -B -pl e2e -am -DskipTests -Dspotless.check.skip install
step "$which with the seed $seed"
result=0
mvn -q -B -pl e2e surefire:test@default-test -Dtest=$run -Dsurefire.failIfNoSpecifiedTests=false \
    "-DargLine=-Dfuzz.seed=$seed -Dfuzz.count=$count -Dfuzz.url=$url -Dfaults.seed=$seed -Dfaults.rounds=$rounds" || result=$?
exit $result
