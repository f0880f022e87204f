# HTTPS on the computer's own names and addresses, by an authority that this yard makes once. Its key is never served.

AUTHORITY_DAYS=3650 CERTIFICATE_DAYS=180 RENEW_BEFORE_DAYS=30

# What a start was told of it: whether, under which other names, with which certificate, at which plain door.
LAN= LAN_HOSTS= LAN_CERTIFICATE= LAN_KEY= DOOR_PORT=

# Takes an option of `start` that is about this.
#   lan_option NAME VALUE
lan_option() {
    case "$1" in
        --lan) LAN=1 ;;
        --host)
            [[ ${2:-} =~ ^[A-Za-z0-9:][A-Za-z0-9.:-]*$ ]] || fail "\"${2:-}\" is no name of a computer. Give --host a name or an address, like yard.example."
            LAN=1 LAN_HOSTS="${LAN_HOSTS:+$LAN_HOSTS,}${2,,}" ;;
        --cert) LAN=1 LAN_CERTIFICATE=${2:-} ;;
        --key) LAN=1 LAN_KEY=${2:-} ;;
        --door-port) LAN=1 DOOR_PORT=${2:-} ;;
    esac
}

#   check_lan PORT
check_lan() {
    [ -n "$LAN" ] || return 0
    DOOR_PORT=${DOOR_PORT:-$(($1 + 2))}
    require_port "$DOOR_PORT" --door-port
    [ -n "$LAN_CERTIFICATE$LAN_KEY" ] || return 0
    [ -n "$LAN_CERTIFICATE" ] && [ -n "$LAN_KEY" ] || fail 'A certificate of your own needs both: --cert FILE and --key FILE.'
    LAN_CERTIFICATE=$(realpath -m "$LAN_CERTIFICATE") LAN_KEY=$(realpath -m "$LAN_KEY")
    local file
    for file in "$LAN_CERTIFICATE" "$LAN_KEY"; do [ -r "$file" ] || fail "$file cannot be read."; done
    [ "$(openssl x509 -in "$LAN_CERTIFICATE" -noout -pubkey 2>/dev/null)" = "$(openssl pkey -in "$LAN_KEY" -pubout 2>/dev/null)" ] \
        || fail "$LAN_KEY is not the key of $LAN_CERTIFICATE."
}

# What was told at the start that runs now.
known_lan() {
    LAN_HOSTS=$(setting LAN_HOSTS) LAN_CERTIFICATE=$(setting LAN_CERTIFICATE) LAN_KEY=$(setting LAN_KEY) DOOR_PORT=$(setting LAN_DOOR_PORT)
    [ -z "$DOOR_PORT" ] || LAN=1
}

#   address_of PORT     at which the yard is opened
address_of() { if [ -n "$LAN" ]; then echo "https://$(in_address "$(address_told)"):$1"; else echo "http://127.0.0.1:$1"; fi; }

#   lan_settings PORT     as they stand in .env
lan_settings() {
    [ -n "$LAN" ] || return 0
    cat <<END
LAN_ADDRESS=$(address_of "$1")
LAN_DOOR=http://$(in_address "$(address_told)"):$DOOR_PORT
LAN_HOSTS=$LAN_HOSTS
LAN_CERTIFICATE=$LAN_CERTIFICATE
LAN_KEY=$LAN_KEY
LAN_DOOR_PORT=$DOOR_PORT
END
}

# As an address writes it: the newer kind of number stands in brackets.
in_address() { case "$1" in *:*) echo "[$1]" ;; *) echo "$1" ;; esac; }

# Every name and address under which a device in the house may ask for this computer, as a certificate writes them. An
# address that all the world may ask for is none of the house's.
names_served() {
    {
        printf 'DNS:localhost\nIP:127.0.0.1\nIP:::1\n'
        printf 'DNS:%s\n' "$(own_name)" "$(own_name | cut -d. -f1).local"
        php -r 'foreach (net_get_interfaces() as $interface) foreach ($interface["up"] ? $interface["unicast"] ?? [] : [] as $at) if (isset($at["address"]) && ! str_starts_with($at["address"], "fe80:") && ! filter_var($at["address"], FILTER_VALIDATE_IP, FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE)) echo "IP:{$at["address"]}\n";'
        names_given
    } | awk '!seen[$0]++'
}

own_name() { uname -n | tr '[:upper:]' '[:lower:]'; }

# Those that were said with --host.
names_given() {
    local name
    for name in ${LAN_HOSTS//,/ }; do
        if php -r 'exit(filter_var($argv[1], FILTER_VALIDATE_IP) ? 0 : 1);' "$name"; then echo "IP:$name"; else echo "DNS:$name"; fi
    done
}

# What the house's authority may sign for, and nothing else (RFC 5280, 4.2.1.10): whoever stole its key could deceive the
# phones of the house about this computer, and about no other.
constraints() {
    local name mask
    printf 'critical'
    printf ',permitted;%s' DNS:localhost "DNS:$(own_name)" DNS:local \
        IP:127.0.0.0/255.0.0.0 IP:10.0.0.0/255.0.0.0 IP:172.16.0.0/255.240.0.0 IP:192.168.0.0/255.255.0.0 IP:169.254.0.0/255.255.0.0 \
        IP:::1/ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff IP:fc00::/fe00:: IP:fe80::/ffc0::
    for name in $(names_given); do
        case "$name" in
            IP:*:*) mask=/ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff ;;
            IP:*) mask=/255.255.255.255 ;;
            *) mask= ;;
        esac
        printf ',permitted;%s' "$name$mask"
    done
}

# The address that is told and printed: a name of one's own, else where the computer is found in the house.
address_told() {
    local named=${LAN_HOSTS%%,*} found
    found=$(names_served | grep '^IP:' | grep -vE '^IP:(127\.|::1$|.*:)' | head -n 1 | cut -d: -f2)
    echo "${named:-${found:-localhost}}"
}

make_authority() {
    [ -f "$TLS/authority.crt" ] && return 0
    openssl ecparam -name prime256v1 -genkey -noout -out "$TLS/authority.key.new"
    openssl req -x509 -new -key "$TLS/authority.key.new" -sha256 -days $AUTHORITY_DAYS -out "$TLS/authority.crt.new" \
        -subj "/O=Jardinier/CN=Jardinier on $(uname -n | cut -c1-40)" \
        -addext 'basicConstraints=critical,CA:TRUE,pathlen:0' -addext 'keyUsage=critical,keyCertSign,cRLSign' -addext "nameConstraints=$(constraints)" 2>/dev/null
    mv "$TLS/authority.key.new" "$TLS/authority.key"
    mv "$TLS/authority.crt.new" "$TLS/authority.crt"
}

# Whether the certificate is there, will last, and names all that it should.
is_certificate_good() {
    openssl x509 -in "$TLS/served.crt" -noout -checkend $((RENEW_BEFORE_DAYS * 86400)) >/dev/null 2>&1 \
        && openssl verify -CAfile "$TLS/authority.crt" "$TLS/served.crt" >/dev/null 2>&1 \
        && [ "$(cat "$TLS/served.names" 2>/dev/null)" = "$(names_served)" ]
}

# Makes what is missing, ends soon or names other addresses; RENEWED tells whether there was anything.
renew_certificates() {
    TLS=$STATE/tls RENEWED=
    mkdir -p "$TLS"
    if [ -n "$LAN_CERTIFICATE" ]; then
        cmp -s "$LAN_CERTIFICATE" "$TLS/served.crt" && cmp -s "$LAN_KEY" "$TLS/served.key" && return 0
        install -m 600 "$LAN_CERTIFICATE" "$TLS/served.crt"
        install -m 600 "$LAN_KEY" "$TLS/served.key"
        RENEWED=1
        return 0
    fi
    make_authority
    ! is_certificate_good || return 0
    local names
    names=$(names_served)
    openssl ecparam -name prime256v1 -genkey -noout -out "$TLS/served.key.new"
    openssl req -new -key "$TLS/served.key.new" -subj "/CN=$(address_told)" 2>/dev/null \
        | openssl x509 -req -CA "$TLS/authority.crt" -CAkey "$TLS/authority.key" -set_serial "0x$(openssl rand -hex 16)" -sha256 \
            -days $CERTIFICATE_DAYS -out "$TLS/served.crt.new" -extfile <(printf 'basicConstraints=critical,CA:FALSE\nkeyUsage=critical,digitalSignature\nextendedKeyUsage=serverAuth\nsubjectAltName=%s\n' "$(paste -sd, <<<"$names")") 2>/dev/null
    openssl verify -CAfile "$TLS/authority.crt" "$TLS/served.crt.new" >/dev/null 2>&1 \
        || fail "The authority of this house may not sign for all of $(paste -sd' ' <<<"$names"). ./jardinier certificates --renew-authority makes one that may; each phone then trusts it anew."
    mv "$TLS/served.key.new" "$TLS/served.key"
    mv "$TLS/served.crt.new" "$TLS/served.crt"
    printf '%s\n' "$names" >"$TLS/served.names"
    RENEWED=1
}

# The nginx server that only leads on to HTTPS, and hands out the authority's certificate with a page that tells how to trust it.
#   describe_door PORT
describe_door() {
    local port=$1 page=
    if [ -f "$TLS/authority.crt" ] && [ -z "$LAN_CERTIFICATE" ]; then
        mkdir -p "$STATE/run/door"
        chmod 755 "$STATE/run/door"
        install -m 644 "$TLS/authority.crt" "$STATE/run/door/jardinier-authority.crt"
        cp "$ROOT"/public/build/assets/atkinson-hyperlegible-next-latin-wght-normal-*.woff2 "$STATE/run/door/plain.woff2"
        cp "$ROOT"/public/build/assets/besley-latin-wght-normal-*.woff2 "$STATE/run/door/slab.woff2"
        PORT=$port FINGERPRINT=$(openssl x509 -in "$TLS/authority.crt" -noout -fingerprint -sha256 | cut -d= -f2) \
            php -r 'echo strtr(file_get_contents("resources/door.html"), ["{port}" => getenv("PORT"), "{fingerprint}" => getenv("FINGERPRINT")]);' >"$STATE/run/door/index.html"
        chmod 644 "$STATE"/run/door/*
        page="root $STATE/run/door; types { text/html html; font/woff2 woff2; application/x-x509-ca-cert crt; } add_header X-Content-Type-Options nosniff; add_header Cache-Control no-cache;
        location = / { try_files /index.html =404; } location ~ ^/(jardinier-authority\\.crt|plain\\.woff2|slab\\.woff2)\$ { }"
    fi
    cat <<END
    server {
        $(listen_on "$DOOR_PORT")
        include $STATE/run/names.conf;
        $page
        location / { return 307 https://\$host:$port\$request_uri; }
    }
    server {
        $(listen_on "$DOOR_PORT" default_server)
        return 421;
    }
END
}

#   listen_on PORT [options]     on all addresses
listen_on() {
    echo "listen $1${2:+ $2};"
    [ ! -e /proc/net/if_inet6 ] || echo "listen [::]:$1${2:+ $2};"
}

# Makes certificates anew that end soon or name other addresses, and has nginx take them up; with --renew-authority all of them.
certificates_command() {
    local port=$DEFAULT_PORT authority=
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --renew-authority) authority=1; shift ;;
            *) fail "certificates does not know \"$1\". It takes --renew-authority and --port." ;;
        esac
    done
    use_state "$ROOT/var/yard-$port"
    # A start that its authority may not sign for asks for this.
    if [ -n "$authority" ] && ! is_running; then
        rm -f "$STATE"/tls/{authority,served}.*
        say 'Taken off. The next start --lan makes another, which each phone of the house trusts anew.'
        return
    fi
    require_running "$port"
    known_lan
    [ -n "$LAN" ] || fail 'It is not served in the house: start it with --lan.'
    umask 077
    if [ -n "$authority" ]; then
        [ -z "$LAN_CERTIFICATE" ] || fail 'It serves a certificate of your own: there is no authority of the house.'
        rm -f "$STATE"/tls/{authority,served}.*
    fi
    renew_certificates
    if [ -n "$RENEWED" ]; then
        write_names
        [ -z "$authority" ] || describe_door "$port" >/dev/null
        kill -HUP "$(cat "$STATE/run/nginx.pid")"
        say "Made anew. $(certificate_end)"
        [ -z "$authority" ] || say 'Each phone of the house trusts it anew, at the door; take the old one off it: its key may be in an old backup.'
    else
        certificate_end
    fi
}

certificate_end() { say "It holds until $(LC_ALL=C date -u -d "$(openssl x509 -in "$TLS/served.crt" -noout -enddate | cut -d= -f2)" '+%-d %B %Y')."; }

say_lan() {
    local door
    door=$(setting LAN_DOOR)
    say "  Phones in the house: $door"
    node "$ROOT/script/qr.mjs" "$door"
    [ ! -f "$STATE/tls/authority.crt" ] || openssl x509 -in "$STATE/tls/authority.crt" -noout -ext nameConstraints 2>/dev/null | grep -q Permitted \
        || say '  Its authority may still sign for any site: ./jardinier certificates --renew-authority makes one for this house alone.'
}
