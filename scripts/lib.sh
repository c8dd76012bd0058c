# What all of kg shares: how it speaks, and where things are.

say() { printf '%s\n' "$*"; }
step() { printf '  %s\n' "$*"; }

# fail WHAT WHAT_TO_DO: two lines, never a trace
fail() {
    printf 'kg: %s\n' "$1" >&2
    [ $# -gt 1 ] && printf '    %s\n' "$2" >&2
    exit 1
}

# Data of the nursery and of the demo stand apart, so that neither can be taken for the other.
choose_data() {
    KIND=$1
    DATA=${KG_DATA:-$HOME_DIR/data/$KIND}
    mkdir -p "$DATA" 2>/dev/null || fail "The data folder $DATA can't be made." "Give another with KG_DATA, or the right to write there."
    [ -w "$DATA" ] || fail "The data folder $DATA can't be written to." "Give another with KG_DATA, or the right to write there."
    DATA=$(cd "$DATA" && pwd)
    chmod 700 "$DATA"
    SECRETS=$DATA/secrets
    RUN=$DATA/run
    LOGS=$DATA/logs
    mkdir -p "$SECRETS" "$RUN" "$LOGS"
    chmod 700 "$SECRETS"
}

require_disk() {
    local free
    free=$(df -Pm "$DATA" | awk 'NR==2 {print $4}')
    [ "${free:-0}" -ge 300 ] || fail "There are only ${free} MB left on the disk of $DATA; 300 are needed." "Make room, or give another folder with KG_DATA."
}

# alive PIDFILE WORD: the process of a pid file, if it runs and is really ours (a stale file may name another's)
alive() {
    local pid
    pid=$(cat "$1" 2>/dev/null) || return 1
    [ -n "$pid" ] && [ -r "/proc/$pid/cmdline" ] && tr '\0' ' ' <"/proc/$pid/cmdline" | grep -qF -- "$2"
}

port_taken() {
    (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null
}

free_port() {
    local port=$1
    while port_taken "$port"; do port=$((port + 1)); done
    printf '%s' "$port"
}
