# Phones and tablets: a certificate authority of the nursery's own, made with the JDK's keytool, and the addresses that
# this machine is reached by. Phones need HTTPS for the camera, for being installed and for working with no network.

CA_DAYS=3650
# what phones accept of a certificate at the most is a little more than this
CERTIFICATE_DAYS=397
RENEW_BEFORE_DAYS=30

# The addresses of this machine in its networks, one a line; the first is the one that is shown.
lan_addresses() {
    hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9]+(\.[0-9]+){3}$' | grep -v '^127\.' || true
}

# What the certificate says it is for: every address, this machine's name, and the public address if one is given.
certificate_names() {
    local names="ip:127.0.0.1,dns:localhost" address host
    for address in $(lan_addresses); do names="$names,ip:$address"; done
    host=$(hostname | tr '[:upper:]' '[:lower:]' | tr -cd 'a-z0-9.-')
    [ -n "$host" ] && names="$names,dns:$host,dns:${host%%.*}.local"
    if [ -n "${KG_PUBLIC_ADDRESS:-}" ]; then
        host=$(printf '%s' "$KG_PUBLIC_ADDRESS" | sed -E 's#^https?://##; s#[:/].*##')
        case "$host" in *[!0-9.]*) names="$names,dns:$host" ;; *) names="$names,ip:$host" ;; esac
    fi
    printf '%s' "$names"
}

key() { keytool -storetype PKCS12 -storepass:file "$TLS/password" "$@"; }

certificate_is_good() {
    [ -f "$TLS/server.p12" ] && [ "$(cat "$TLS/names" 2>/dev/null)" = "$1" ] &&
        [ "$(($(date +%s) - $(stat -c %Y "$TLS/server.p12")))" -lt $(((CERTIFICATE_DAYS - RENEW_BEFORE_DAYS) * 86400)) ]
}

# Makes the authority once, and a certificate whenever the addresses have changed or it grows old.
make_certificates() {
    TLS=$SECRETS/tls
    local names
    names=$(certificate_names)
    (
        umask 077
        mkdir -p "$TLS"
        [ -s "$TLS/password" ] || head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$TLS/password"
        if [ ! -f "$TLS/ca.p12" ]; then
            step "making a certificate authority for this nursery's own devices"
            key -genkeypair -keystore "$TLS/ca.p12" -alias ca -keyalg EC -groupname secp256r1 -validity $CA_DAYS \
                -dname "CN=Kind Girdle on $(hostname | tr -cd 'A-Za-z0-9.-')" \
                -ext bc:c=ca:true,pathlen:0 -ext ku:c=keyCertSign,cRLSign
            key -exportcert -rfc -keystore "$TLS/ca.p12" -alias ca -file "$TLS/ca.crt"
        fi
        if ! certificate_is_good "$names"; then
            step "making a certificate for $names"
            rm -f "$TLS/server.p12" "$TLS/server.csr" "$TLS/server.crt"
            key -genkeypair -keystore "$TLS/server.p12.new" -alias server -keyalg EC -groupname secp256r1 \
                -validity $CERTIFICATE_DAYS -dname "CN=Kind Girdle"
            key -certreq -keystore "$TLS/server.p12.new" -alias server -file "$TLS/server.csr"
            key -gencert -rfc -keystore "$TLS/ca.p12" -alias ca -validity $CERTIFICATE_DAYS -infile "$TLS/server.csr" \
                -outfile "$TLS/server.crt" -ext "san=$names" -ext eku=serverAuth -ext ku:c=digitalSignature
            cat "$TLS/server.crt" "$TLS/ca.crt" >"$TLS/chain.crt"
            key -importcert -noprompt -keystore "$TLS/server.p12.new" -alias server -file "$TLS/chain.crt"
            mv "$TLS/server.p12.new" "$TLS/server.p12"
            rm -f "$TLS/server.csr" "$TLS/server.crt" "$TLS/chain.crt"
            printf '%s' "$names" >"$TLS/names"
        fi
    ) 2>"$LOGS/certificates.log" || fail "The certificates could not be made." "See $LOGS/certificates.log"
}

# What the application is told, so that it answers in the network and over TLS.
export_lan() {
    local first
    first=$(lan_addresses | head -n 1)
    [ -n "$first" ] || [ -n "${KG_PUBLIC_ADDRESS:-}" ] ||
        fail "This machine is in no network." "Join the one that the phones are in, or give KG_PUBLIC_ADDRESS=https://its.address:$PORT"
    make_certificates
    TRUST_PORT=${KG_TRUST_PORT:-$((PORT + 1))}
    if port_taken "$TRUST_PORT"; then
        fail "Port $TRUST_PORT is in use by another program." "Give another for the page that phones begin with: KG_TRUST_PORT=$((TRUST_PORT + 1))"
    fi
    LAN_URL=${KG_PUBLIC_ADDRESS:-https://$first:$PORT}
    TRUST_URL=http://$(printf '%s' "$LAN_URL" | sed -E 's#^https?://##; s#[:/].*##'):$TRUST_PORT
    export KG_ADDRESS=0.0.0.0 KG_PUBLIC_ADDRESS=$LAN_URL
    export SERVER_SSL_KEY_STORE=$TLS/server.p12 SERVER_SSL_KEY_STORE_TYPE=PKCS12
    SERVER_SSL_KEY_STORE_PASSWORD=$(cat "$TLS/password")
    export SERVER_SSL_KEY_STORE_PASSWORD
    export KG_TRUST_PORT=$TRUST_PORT KG_TRUST_CERTIFICATE=$TLS/ca.crt
}

say_lan() {
    say ""
    say "  Phones   begin at $TRUST_URL (it says how to trust this nursery, then leads to $LAN_URL)"
    say "           the certificate's fingerprint is $(key -list -v -keystore "$TLS/ca.p12" -alias ca 2>/dev/null | sed -nE 's/.*SHA256: ([0-9A-F:]+).*/\1/p' | head -n 1)"
}
