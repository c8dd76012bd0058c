# A private MariaDB on loopback in the data folder: own port, own password, nothing acknowledged is ever lost.

database_is_foreign() { [ -n "${KG_DB_URL:-}" ]; }

database_socket() {
    # a socket's path may have 107 characters only: a deep data folder gets one in the temporary folder
    local socket=$RUN/db.sock
    [ ${#socket} -le 100 ] || socket=${TMPDIR:-/tmp}/kg-$(printf '%s' "$DATA" | cksum | cut -d' ' -f1).sock
    printf '%s' "$socket"
}

make_secret() { head -c 24 /dev/urandom | base64 | tr -d '/+=' | cut -c1-28; }

# mariadbd refuses to run as root unless told so; as anybody else it runs as that user
database_user() { id -un; }

start_database() {
    database_is_foreign && return
    SOCKET=$(database_socket)
    DB_PID=$RUN/db.pid
    if alive "$DB_PID" "--datadir=$DATA/db"; then
        DB_PORT=$(cat "$RUN/db.port")
        return
    fi
    rm -f "$DB_PID" "$SOCKET"
    # its own: in a shared one, another server that starts clears away what this one sorts in
    local scratch=$RUN/db-scratch
    mkdir -p "$scratch"
    require_disk
    local fresh=no
    if [ ! -d "$DATA/db/mysql" ]; then
        fresh=yes
        step "making a private database in $DATA/db"
        rm -rf "$DATA/db.new"
        mariadb-install-db --no-defaults --user="$(database_user)" --datadir="$DATA/db.new" --tmpdir="$scratch" --auth-root-authentication-method=socket \
            --auth-root-socket-user="$(database_user)" --skip-test-db >"$LOGS/db-install.log" 2>&1 ||
            fail "The database could not be made." "See $LOGS/db-install.log"
        mv "$DATA/db.new" "$DATA/db"
    fi
    # the one that it had before, if it can be had: an application that still runs looks for it there
    local wanted=33380
    [ "$KIND" = demo ] && wanted=33390
    DB_PORT=$(free_port "${KG_DB_PORT:-$(cat "$RUN/db.port" 2>/dev/null || printf '%s' $wanted)}")
    printf '%s' "$DB_PORT" >"$RUN/db.port"
    # its own session, so that Ctrl-C reaches the application first and the database last
    setsid mariadbd --no-defaults --user="$(database_user)" --datadir="$DATA/db" --bind-address=127.0.0.1 --port="$DB_PORT" \
        --tmpdir="$scratch" --socket="$SOCKET" --pid-file="$DB_PID" --skip-name-resolve \
        --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_520_ci \
        --sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION \
        --innodb-flush-log-at-trx-commit=1 --innodb-lock-wait-timeout=20 --sync-binlog=1 --innodb-doublewrite=1 --innodb-buffer-pool-size="$(pool_megabytes)M" \
        --default-time-zone=+00:00 --max-connections=60 >>"$LOGS/db.log" 2>&1 </dev/null &
    local pid=$!
    local waited=0
    until mariadb-admin --no-defaults --socket="$SOCKET" --user="$(database_user)" ping >/dev/null 2>&1; do
        kill -0 "$pid" 2>/dev/null || { tail -n 5 "$LOGS/db.log" >&2; fail "The database did not start." "See $LOGS/db.log"; }
        waited=$((waited + 1))
        [ "$waited" -lt 600 ] || fail "The database is not ready after a minute." "See $LOGS/db.log; a recovery after a crash may take longer: run kg again."
        sleep 0.1
    done
    if [ "$fresh" = yes ] || [ ! -f "$SECRETS/db-password" ]; then
        local password
        password=$(make_secret)
        as_database_root -e "create or replace user 'kindgirdle'@'127.0.0.1' identified by '$password'" ||
            fail "The database's user could not be made." "See $LOGS/db.log"
        make_database "$(database_name)"
        (umask 077 && printf '%s' "$password" >"$SECRETS/db-password")
    fi
}

# What the database keeps of its pages in memory: a quarter of the machine's, or of what this container may take, from
# 128 to 1024 MB. A nursery of 200,000 layers has 750 MB; with too little of it, fifty cards took twice as long. Pages take
# their place as they are read: a small nursery uses little of it.
pool_megabytes() {
    local megabytes limit
    megabytes=$(awk '/^MemTotal:/ { print int($2 / 1024) }' /proc/meminfo)
    limit=$(cat /sys/fs/cgroup/memory.max 2>/dev/null || true)
    case $limit in
        '' | *[!0-9]*) ;;
        *) [ $((limit / 1048576)) -lt "$megabytes" ] && megabytes=$((limit / 1048576)) ;;
    esac
    megabytes=$((megabytes / 4))
    [ "$megabytes" -ge 128 ] || megabytes=128
    [ "$megabytes" -le 1024 ] || megabytes=1024
    printf '%s' "$megabytes"
}

# A restore fills a database of its own and then takes its name; kindgirdle where there was none yet.
database_name() { cat "$SECRETS/db-name" 2>/dev/null || printf kindgirdle; }

make_database() {
    as_database_root <<SQL || fail "The database could not be made." "See $LOGS/db.log"
create database if not exists \`$1\` character set utf8mb4 collate utf8mb4_unicode_520_ci;
grant all on \`$1\`.* to 'kindgirdle'@'127.0.0.1';
SQL
}

as_database_root() { mariadb --no-defaults --socket="$SOCKET" --user="$(database_user)" "$@"; }

stop_database() {
    database_is_foreign && return
    SOCKET=$(database_socket)
    alive "$RUN/db.pid" "--datadir=$DATA/db" || return 0
    mariadb-admin --no-defaults --socket="$SOCKET" --user="$(database_user)" shutdown >/dev/null 2>&1 || kill "$(cat "$RUN/db.pid")" 2>/dev/null || true
    local waited=0
    while alive "$RUN/db.pid" "--datadir=$DATA/db" && [ "$waited" -lt 300 ]; do
        sleep 0.1
        waited=$((waited + 1))
    done
}

export_database() {
    if ! database_is_foreign; then
        export KG_DB_URL_USED="jdbc:mariadb://127.0.0.1:$DB_PORT/${DB_NAME:-$(database_name)}"
        KG_DB_PASSWORD=$(cat "$SECRETS/db-password")
        KG_DB_USER=kindgirdle
    else
        export KG_DB_URL_USED=$KG_DB_URL
    fi
    export KG_DB_PASSWORD KG_DB_USER
}
