# Building, starting and stopping the application.

APP=$HOME_DIR/server/target/app

# What the application is made of, as one number: unchanged sources are not built again.
sources_stamp() {
    find pom.xml core/pom.xml core/src/main server/pom.xml server/src/main web -path web/node_modules -prune -o -path web/dist -prune -o -path web/target -prune \
        -o -type f -printf '%p %s %T@\n' | LC_ALL=C sort | cksum | cut -d' ' -f1
}

# Builds what has changed, and lays it out as a folder: a jar of classes beside its libraries starts in half the time.
build_application() {
    APP=$HOME_DIR/server/target/app
    # an application built elsewhere needs no tools here
    if [ -n "${KG_APP:-}" ]; then
        [ -f "$KG_APP/kind-girdle.jar" ] || fail "There is no kind-girdle.jar in $KG_APP." "Mend KG_APP, or leave it out to build one here."
        APP=$KG_APP
        return
    fi
    local stamp
    stamp=$(sources_stamp)
    if [ -f "$APP/kind-girdle.jar" ] && [ "$(cat "$APP/stamp" 2>/dev/null)" = "$stamp" ]; then return; fi
    ensure_build_tools
    step "building (the first time it fetches the libraries: some minutes)"
    mkdir -p server/target
    rm -f server/target/kind-girdle-server-*-app.jar
    mvn -q -B -pl server -am -DskipTests -Dspotless.check.skip=true package >server/target/kg-build.log 2>&1 ||
        { grep -E 'ERROR|error' server/target/kg-build.log | head -n 8 >&2; fail "The build failed." "See server/target/kg-build.log"; }
    lay_out "$(ls server/target/kind-girdle-server-*-app.jar)" "$APP"
    sources_stamp >"$APP/stamp"
}

# lay_out JAR FOLDER
lay_out() {
    rm -rf "$2"
    java -Djarmode=tools -jar "$1" extract --destination "$2" >/dev/null
    mv "$2/$(basename "$1")" "$2/kind-girdle.jar"
}

# run_java DEMO [ARGUMENT...]: takes the place of the shell that calls it
run_java() {
    # the classes as they were after the first run are kept, so that later starts need not read them again
    local classes=$APP/classes.jsa sharing=()
    if [ -f "$classes" ]; then
        sharing=(-XX:SharedArchiveFile="$classes")
    elif [ $# = 1 ] && [ -w "$APP" ]; then
        sharing=(-XX:ArchiveClassesAtExit="$classes")
    fi
    local station=${KG_STATION:-none}
    [ "$1" = true ] && station=simulated
    # more words to Java than one are wanted here
    # shellcheck disable=SC2206
    local more=(${KG_JAVA_OPTIONS:-})
    exec env KG_DB_URL="$KG_DB_URL_USED" KG_PORT="$PORT" KG_DEMO="$1" KG_STATION="$station" \
        java -Xms128m -Xmx512m -XX:+UseSerialGC -XX:+ExitOnOutOfMemoryError -Xlog:disable -Xlog:all=error:stderr \
        "${sharing[@]}" "${more[@]}" -Dkg.data="$DATA" -jar "$APP/kind-girdle.jar" "${@:2}"
}

choose_port() {
    PORT=${KG_PORT:-$1}
    if port_taken "$PORT"; then
        fail "Port $PORT is in use by another program." "Give another: KG_PORT=$((PORT + 1)) ./kg $2"
    fi
}

# Where it answers, as it is asked from this machine.
write_url() {
    local scheme=http
    [ "$LAN" = yes ] && scheme=https
    URL=$scheme://127.0.0.1:$PORT
    printf '%s' "$URL" >"$RUN/application.url"
}

# ready: does it answer, with its database?
ready() {
    local trust=()
    [ -f "$SECRETS/tls/ca.crt" ] && trust=(--cacert "$SECRETS/tls/ca.crt")
    curl -fs --max-time 10 "${trust[@]}" "$(cat "$RUN/application.url" 2>/dev/null)/actuator/health/readiness" >/dev/null 2>&1
}

# The work that has been done so far: ticks of the processor of the application and its database, and kilobytes of the
# database as it is made. While it changes, something goes on.
work_done() {
    local pid ticks=0
    for pid in $(cat "$RUN/application.pid" "$RUN/db.pid" 2>/dev/null); do
        ticks=$((ticks + $(awk '{print $14 + $15}' "/proc/$pid/stat" 2>/dev/null || echo 0)))
    done
    printf '%s' $((ticks + $(du -sk "$DATA"/db* 2>/dev/null | awk '{sum += $1} END {print sum + 0}')))
}

# A start may take as long as it takes, on a slow machine or with a large nursery to migrate: it is given up only when
# nothing at all has gone on for two minutes.
PATIENCE=${KG_PATIENCE:-120}
wait_until_up() {
    local still=0 before=0 now moved tries=0
    until ready; do
        [ -z "${1:-}" ] || kill -0 "$1" 2>/dev/null || { explain_log; fail "The application did not start." "See $LOGS/application.log"; }
        # one that a supervisor starts over and over will not come up by waiting
        tries=$(grep -c 'the application has ended' "$LOGS/supervisor.log" 2>/dev/null || true)
        [ -n "${1:-}" ] || [ "${tries:-0}" -lt $((TRIES_BEFORE + 2)) ] ||
            { explain_log; fail "The application did not start." "See $LOGS/application.log"; }
        now=$(work_done)
        # an idle virtual machine stirs a little, too; a process that is started again, or a log that is put away, counts
        # from less than before
        moved=$((now - before))
        if [ "${moved#-}" -gt 20 ]; then before=$now still=0; else still=$((still + 1)); fi
        [ "$still" -lt $((PATIENCE * 5)) ] ||
            { explain_log; fail "The application has done nothing for $PATIENCE s, and is not ready." "See $LOGS/application.log"; }
        sleep 0.2
    done
}

prepare() {
    command -v curl >/dev/null 2>&1 || install_debian "curl" curl
    has_jdk17 || install_debian "a Java 17 development kit" openjdk-17-jdk-headless
    ensure_database_server
    # a nursery runs its own application, whatever lies here: nothing has to be built for it
    if [ "$KIND" = demo ] || [ ! -f "$DATA/app/current/kind-girdle.jar" ]; then
        build_application
        BUILT=$APP
    else
        APP=$(readlink -f "$DATA/app/current")
    fi
}

# read_options [OPTION...]: sets LAN and FRESH
read_options() {
    LAN=no FRESH=no
    local option
    for option in "$@"; do
        case "$option" in
            --lan) LAN=yes ;;
            --fresh) FRESH=yes ;;
            *) fail "There is no option '$option'." "Use --lan, or --fresh with the demo." ;;
        esac
    done
}

run_demo() {
    read_options "$@"
    choose_data demo
    if alive "$RUN/application.pid" "-Dkg.data=$DATA"; then
        fail "The demo runs already, at $(cat "$RUN/application.url")." "Use that one, or end it with Ctrl-C where it was started."
    fi
    say "Kind Girdle, the demo"
    prepare
    choose_port 8090 demo
    if [ "$FRESH" = yes ]; then
        stop_database
        rm -rf "$DATA/db"
    fi
    trap 'stop_demo' EXIT
    start_database
    launch_application
    local pid
    pid=$(cat "$RUN/application.pid")
    wait_until_up "$pid"
    say ""
    say "  Open     $URL"
    say "  Sign in  maren (owner), ivo (grower) or pell (viewer); the password is moss-and-knife"
    say "  It is Friday 10 July 2026 there; the clock can be moved forward at the top."
    [ "$LAN" = no ] || say_lan
    say "  Ctrl-C ends it."
    trap 'exit 0' INT TERM
    while kill -0 "$pid" 2>/dev/null; do
        if ! alive "$RUN/db.pid" "--datadir=$DATA/db"; then
            say "  The database has ended: starting it again."
            start_database
        fi
        sleep 1 &
        wait $! || true
    done
    explain_log
    fail "The application ended." "See $LOGS/application.log"
}

stop_demo() {
    trap - EXIT
    # told twice, it still ends its database
    trap '' INT TERM HUP
    stop_application
    stop_database
}

stop_application() {
    alive "$RUN/application.pid" "-Dkg.data=$DATA" || { rm -f "$RUN/application.pid"; return 0; }
    local pid waited=0
    pid=$(cat "$RUN/application.pid")
    kill "$pid" 2>/dev/null || true
    while kill -0 "$pid" 2>/dev/null && [ "$waited" -lt 200 ]; do
        sleep 0.1
        waited=$((waited + 1))
    done
    rm -f "$RUN/application.pid"
}

start_nursery() {
    read_options "$@"
    [ "$FRESH" = no ] || fail "Only the demo can be begun anew." "To start a nursery again from nothing, give another folder with KG_DATA."
    choose_data nursery
    TRIES_BEFORE=0
    if supervised; then
        TRIES_BEFORE=$(grep -c 'the application has ended' "$LOGS/supervisor.log" 2>/dev/null || true)
        PORT=$(cat "$RUN/application.port" 2>/dev/null || printf '%s' "${KG_PORT:-8080}")
        if ready; then
            say "It runs already, at $(cat "$RUN/application.url")"
            say_newer
            return
        fi
        step "it is not well ($(what_is_wrong)): mending"
        wait_until_up
        say "Kind Girdle runs again at $(cat "$RUN/application.url")"
        return
    fi
    prepare
    if [ -d "$DATA/db" ] && [ ! -f "$DATA/app/current/kind-girdle.jar" ]; then
        step "this nursery was kept by an older version: taking it over"
        printf '%s' "$*" >"$RUN/options"
        update_nursery and-start
        return
    fi
    install_application
    say_newer
    if alive "$RUN/application.pid" "-Dkg.data=$DATA"; then
        # only what watches over it is gone
        PORT=$(cat "$RUN/application.port")
    else
        choose_port 8080 start
        : >"$LOGS/application.log"
    fi
    : >"$LOGS/supervisor.log"
    # certificates are made, and what is wrong with a port is said, before anything goes into the background
    if [ "$LAN" = yes ]; then export_lan; fi
    begin_watch "$@"
    (wait_until_up) || { stop_supervisor; exit 1; }
    say "Kind Girdle runs at $URL"
    [ "$LAN" = no ] || say_lan
    grep -m1 'first owner' "$LOGS/application.log" || true
}

stop_nursery() {
    choose_data nursery
    stop_supervisor
    stop_application
    stop_database
    say "Stopped."
}

# What of it is not there, in words; nothing if all is.
what_is_wrong() {
    if ! alive "$RUN/application.pid" "-Dkg.data=$DATA"; then
        printf 'the application is not running'
    elif ! database_is_foreign && ! alive "$RUN/db.pid" "--datadir=$DATA/db"; then
        printf 'the database is not running'
    elif ! ready; then
        printf 'it does not answer, or not with its database'
    fi
}

show_status() {
    local wrong
    # one data folder of its own holds one nursery
    for KIND in nursery $([ -n "${KG_DATA:-}" ] || echo demo); do
        choose_data "$KIND"
        wrong=$(what_is_wrong)
        if [ -z "$wrong" ]; then
            say "$KIND: runs at $(cat "$RUN/application.url") since $(ps -o lstart= -p "$(cat "$RUN/application.pid")"), data in $DATA"
        elif supervised || alive "$RUN/application.pid" "-Dkg.data=$DATA"; then
            say "$KIND: NOT WELL, $wrong; data in $DATA"
            say "    ./kg start mends it$(supervised && printf ' (and it is being tried already)'); see $LOGS/supervisor.log and application.log"
        else
            say "$KIND: does not run$([ -d "$DATA/db" ] && echo ", data in $DATA")"
        fi
    done
}

show_logs() {
    choose_data "$([ -f "$HOME_DIR/data/nursery/logs/application.log" ] && echo nursery || echo demo)"
    [ -f "$LOGS/application.log" ] || fail "There are no logs yet." "Run ./kg demo or ./kg start first."
    if [ "${1:-}" = -f ]; then exec tail -n 50 -f "$LOGS/application.log"; fi
    tail -n 200 "$LOGS/application.log"
}

rebuild_projections() {
    choose_data "${KG_KIND:-nursery}"
    prepare
    local was_up=yes
    alive "$RUN/db.pid" "--datadir=$DATA/db" || was_up=no
    start_database
    export_database
    PORT=0
    local said=0
    (run_java "$([ "$KIND" = demo ] && echo true || echo false)" rebuild) 2>>"$LOGS/application.log" >"$RUN/rebuild.out" || said=$?
    # its log goes to its log, what it counted to whoever asked
    grep -E '^[0-9]{4}-[0-9]{2}' "$RUN/rebuild.out" >>"$LOGS/application.log" || true
    grep -vE '^[0-9]{4}-[0-9]{2}' "$RUN/rebuild.out" || true
    rm -f "$RUN/rebuild.out"
    [ "$was_up" = yes ] || stop_database
    case "$said" in
        0) ;;
        2) exit 2 ;;
        *) fail "The rebuild failed." "See $LOGS/application.log" ;;
    esac
}

# The gravest line of the log, without the trace under it.
explain_log() {
    grep -E 'Caused by|ERROR|Description|Action' "$LOGS/application.log" | tail -n 1 | cut -c1-300 >&2 || true
}
