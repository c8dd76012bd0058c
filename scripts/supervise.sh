# Keeps the database and the application running: whichever ends is started again. systemd runs this where there is one
# (kg install), else "kg start" runs it in the background.

UNIT=kind-girdle

supervised() { alive "$RUN/supervisor.pid" "supervise"; }

log_line() { printf '%s kg: %s\n' "$(date -u +%FT%TZ)" "$*" >>"$LOGS/supervisor.log"; }

# Starts the application in the background, on the database that runs.
launch_application() {
    export_database
    if [ "$LAN" = yes ]; then export_lan; fi
    # deaf to the hang-up: it goes on when the terminal is closed
    (trap '' HUP; run_java "$([ "$KIND" = demo ] && echo true || echo false)") >>"$LOGS/application.log" 2>&1 </dev/null &
    printf '%s' "$!" >"$RUN/application.pid"
    printf '%s' "$PORT" >"$RUN/application.port"
    write_url
}

# What a supervisor looks at every two seconds.
supervise() {
    read_options "$@"
    choose_data nursery
    APP=$(readlink -f "$DATA/app/current")
    export PATH="$PATH:/usr/sbin:/sbin"
    PORT=${KG_PORT:-8080}
    printf '%s' "$$" >"$RUN/supervisor.pid"
    ENDING=no
    trap 'ENDING=yes' TERM INT
    trap '' HUP
    log_line "keeping watch over $DATA"
    local pause=2 since=0 again
    while [ "$ENDING" = no ]; do
        if ! database_is_foreign && ! alive "$RUN/db.pid" "--datadir=$DATA/db"; then
            log_line "the database is not running: starting it"
            local port_before
            port_before=$(cat "$RUN/db.port" 2>/dev/null || true)
            (start_database) >>"$LOGS/supervisor.log" 2>&1 || log_line "the database did not start"
            # an application that knows another port would never find it
            [ "$port_before" = "$(cat "$RUN/db.port" 2>/dev/null || true)" ] || stop_application
        fi
        if ! alive "$RUN/application.pid" "-Dkg.data=$DATA"; then
            if [ "$since" != 0 ]; then
                # one that ends at once is not started in a whirl
                [ $(($(date +%s) - since)) -gt 300 ] && pause=2
                log_line "the application has ended: starting it again in $pause s"
                for again in $(seq "$pause"); do [ "$ENDING" = yes ] || sleep 1; done
                pause=$((pause * 2 > 60 ? 60 : pause * 2))
                [ "$ENDING" = no ] || break
            fi
            if database_is_foreign || alive "$RUN/db.pid" "--datadir=$DATA/db"; then
                DB_PORT=$(cat "$RUN/db.port" 2>/dev/null || true)
                launch_application || log_line "the application could not be started"
                since=$(date +%s)
            fi
        fi
        sleep 2 &
        wait $! || true
    done
    log_line "told to end"
    stop_application
    stop_database
    rm -f "$RUN/supervisor.pid"
}

start_supervisor() {
    # a session of its own, so that it is not ended with the terminal
    KG_DATA=$DATA KG_PORT=$PORT setsid "$HOME_DIR/kg" supervise "$@" >>"$LOGS/supervisor.log" 2>&1 </dev/null &
    local waited=0
    until supervised; do
        waited=$((waited + 1))
        [ "$waited" -lt 100 ] || fail "What keeps it running did not start." "See $LOGS/supervisor.log"
        sleep 0.1
    done
}

# By systemd where it was given the nursery, else by itself; with the options of before where none are given.
begin_watch() {
    if has_unit; then
        as_root systemctl start $UNIT
    else
        printf '%s' "$*" >"$RUN/options"
        start_supervisor "$@"
    fi
    write_url
}

stop_supervisor() {
    if under_systemd; then
        as_root systemctl stop $UNIT || true
        return
    fi
    supervised || { rm -f "$RUN/supervisor.pid"; return 0; }
    local pid waited=0
    pid=$(cat "$RUN/supervisor.pid")
    kill "$pid" 2>/dev/null || true
    while kill -0 "$pid" 2>/dev/null && [ "$waited" -lt 600 ]; do
        sleep 0.1
        waited=$((waited + 1))
    done
    rm -f "$RUN/supervisor.pid"
}

has_systemd() { [ -d /run/systemd/system ] && command -v systemctl >/dev/null 2>&1; }
has_unit() { has_systemd && grep -qF "KG_DATA=$DATA" /etc/systemd/system/$UNIT.service 2>/dev/null; }
under_systemd() { has_unit && systemctl is-active --quiet $UNIT 2>/dev/null; }

# install_units [--lan] [--to FOLDER]: units for systemd, so that the nursery is there after a power cut too
install_units() {
    local folder=/etc/systemd/system options='' setting
    while [ $# -gt 0 ]; do
        case "$1" in
            --lan) options=' --lan' ;;
            --to) [ $# -gt 1 ] || fail "Say the folder." "./kg install --to FOLDER"; folder=$2; shift ;;
            *) fail "There is no option '$1'." "Use --lan, or --to FOLDER to have the units written there only." ;;
        esac
        shift
    done
    choose_data nursery
    if [ "$folder" = /etc/systemd/system ] && ! has_systemd; then
        fail "There is no systemd on this machine." "./kg start keeps it running by itself; put '@reboot $HOME_DIR/kg start' into crontab."
    fi
    local unit
    unit=$(mktemp)
    {
        printf '[Unit]\nDescription=Kind Girdle, the nursery in %s\nAfter=network.target\n\n' "$DATA"
        printf '[Service]\nType=simple\nUser=%s\nWorkingDirectory=%s\n' "$(id -un)" "$HOME_DIR"
        printf 'Environment="KG_DATA=%s" "PATH=%s"\n' "$DATA" "$PATH"
        for setting in KG_PORT KG_DB_URL KG_DB_USER KG_STATION KG_PUBLIC_ADDRESS KG_TRUST_PORT KG_PHOTOS KG_IMPORTS KG_BACKUPS KG_JAVA_OPTIONS; do
            [ -z "${!setting:-}" ] || printf 'Environment="%s=%s"\n' "$setting" "${!setting}"
        done
        printf 'ExecStart=%s/kg supervise%s\nRestart=always\nRestartSec=5\n' "$HOME_DIR" "$options"
        printf 'KillMode=mixed\nTimeoutStopSec=90\n\n[Install]\nWantedBy=multi-user.target\n'
    } >"$unit"
    if [ "$folder" != /etc/systemd/system ]; then
        mkdir -p "$folder" && mv "$unit" "$folder/$UNIT.service" || fail "$folder can't be written to." "Give another folder."
        say "Written: $folder/$UNIT.service"
        return
    fi
    prepare
    install_application
    stop_supervisor
    as_root install -m 644 "$unit" "$folder/$UNIT.service" || fail "$folder can't be written to." "Run it as root or with sudo."
    rm -f "$unit"
    as_root systemctl daemon-reload
    as_root systemctl enable --now $UNIT || fail "systemd did not take it." "See: systemctl status $UNIT"
    say "It is started with the machine from now on, and again whenever it ends: systemctl status $UNIT"
}
