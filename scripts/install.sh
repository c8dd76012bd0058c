# Installs what is missing on a Debian machine, and says what it does.

TOOLS=$HOME_DIR/.tools
NODE_VERSION=24.21.0

as_root() {
    if [ "$(id -u)" = 0 ]; then
        "$@"
    elif command -v sudo >/dev/null 2>&1; then
        sudo "$@"
    else
        return 1
    fi
}

# install_debian WHAT_FOR PACKAGE...
install_debian() {
    local why=$1
    shift
    command -v apt-get >/dev/null 2>&1 ||
        fail "$why is missing, and this is no Debian machine." "Install by hand what Debian calls: $*"
    step "installing $why ($*)"
    local log
    log=$(mktemp)
    if ! { as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@"; } >"$log" 2>&1; then
        tail -n 5 "$log" >&2
        fail "$why could not be installed." "As root: apt-get install $*   then run kg again."
    fi
    rm -f "$log"
}

has_jdk17() {
    command -v javac >/dev/null 2>&1 && [ "$(javac -version 2>&1 | sed -E 's/javac ([0-9]+).*/\1/')" -ge 17 ] 2>/dev/null
}

# Node 22 is the oldest that still gets mended.
node_is_enough() {
    local version major minor
    version=$("$1" --version 2>/dev/null) || return 1
    major=$(printf '%s' "$version" | sed -E 's/v([0-9]+)\..*/\1/')
    minor=$(printf '%s' "$version" | sed -E 's/v[0-9]+\.([0-9]+)\..*/\1/')
    [ "$major" -gt 22 ] || { [ "$major" = 22 ] && [ "$minor" -ge 12 ]; }
}

ensure_node() {
    if command -v node >/dev/null 2>&1 && node_is_enough node && command -v npm >/dev/null 2>&1; then return; fi
    command -v npm >/dev/null 2>&1 || install_debian "npm" npm
    if ! node_is_enough "$TOOLS/node_modules/.bin/node"; then
        step "installing Node $NODE_VERSION into the project's tools (this machine's is too old)"
        mkdir -p "$TOOLS"
        npm install --prefix "$TOOLS" --no-save --silent "node@$NODE_VERSION" npm@11 >"$TOOLS/install.log" 2>&1 ||
            fail "Node $NODE_VERSION could not be installed." "See $TOOLS/install.log; or install Node 22.12 or newer yourself."
    fi
    export PATH="$TOOLS/node_modules/.bin:$PATH"
}

ensure_database_server() {
    export PATH="$PATH:/usr/sbin:/sbin"
    if command -v mariadbd >/dev/null 2>&1 && command -v mariadb-admin >/dev/null 2>&1 && command -v mariadb-dump >/dev/null 2>&1; then return; fi
    # the core packages hold the server without setting one up for the whole machine
    install_debian "the MariaDB server" mariadb-server-core mariadb-client
}

ensure_build_tools() {
    has_jdk17 || install_debian "a Java 17 development kit" openjdk-17-jdk-headless
    command -v mvn >/dev/null 2>&1 || install_debian "Maven" maven
    ensure_node
}

ensure_tools() {
    ensure_build_tools
    ensure_database_server
}

ensure_browser() {
    command -v chromium >/dev/null 2>&1 || install_debian "Chromium, for the tests" chromium
}
