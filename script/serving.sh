# nginx and php-fpm, their files in the state folder.

#   describe_serving PORT
describe_serving() {
    local port=$1 version as_root= nginx_user= user=
    version=$(php_version)
    [ "$(id -u)" -ne 0 ] || user=${WORKER:-root} nginx_user="user ${WORKER:-root};"
    [ "$user" != root ] || as_root=-R
    local workers=6 compiled=128
    [ "$(memory_mb)" -gt 1200 ] || workers=3 compiled=64
    cat >"$STATE/run/fpm.conf" <<END
[global]
error_log = /proc/self/fd/2
pid = $STATE/run/fpm.pid
daemonize = no
log_limit = 4096
[www]
listen = $STATE/run/fpm.sock
listen.backlog = 511
pm = static
pm.max_children = $workers
pm.max_requests = 20000
clear_env = no
catch_workers_output = yes
decorate_workers_output = no
${user:+user = $user
group = $user
listen.owner = $user
listen.mode = 0600}
php_admin_value[opcache.validate_timestamps] = 0
php_admin_value[opcache.memory_consumption] = $compiled
php_admin_value[realpath_cache_size] = 4096K
php_admin_value[memory_limit] = 256M
php_admin_value[zend.exception_ignore_args] = 1
php_admin_value[upload_max_filesize] = 7M
php_admin_value[post_max_size] = 8M
php_admin_value[upload_tmp_dir] = $STATE/tmp
END
    cat >"$STATE/run/nginx.conf" <<END
$nginx_user
worker_processes 1;
daemon off;
pid $STATE/run/nginx.pid;
error_log stderr warn;
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    types { application/manifest+json webmanifest; }
    default_type application/octet-stream;
    access_log off;
    server_tokens off;
    sendfile on;
    tcp_nopush on;
    keepalive_timeout 30;
    gzip on;
    gzip_comp_level 4;
    gzip_min_length 1024;
    gzip_types text/css application/javascript application/json application/problem+json application/manifest+json image/svg+xml;
    # Only photographs are large. What arrives in pieces is held against the same limits by the application.
    client_max_body_size 256k;
    client_body_temp_path $STATE/tmp/body;
    proxy_temp_path $STATE/tmp/proxy;
    fastcgi_temp_path $STATE/tmp/fastcgi;
    uwsgi_temp_path $STATE/tmp/uwsgi;
    scgi_temp_path $STATE/tmp/scgi;
    server {
        $(listen_for "$port")
        include $STATE/run/names.conf;
        root $ROOT/public;
        location /build/ {
            expires max;
            add_header Cache-Control "public, immutable";
            add_header X-Content-Type-Options nosniff;
        }
        location = /build/manifest.webmanifest { add_header Cache-Control no-cache; add_header X-Content-Type-Options nosniff; }
        location = /sw.js { add_header Cache-Control no-cache; add_header X-Content-Type-Options nosniff; }
        error_page 413 = @too_large;
        error_page 502 504 = @away;
        location @too_large { internal; default_type application/problem+json; return 413 '{"type":"/problems/too-large","title":"Too large","status":413,"detail":"That is larger than this address takes."}'; }
        location @away {
            internal;
            default_type application/problem+json;
            add_header Retry-After 5 always;
            return 503 '{"type":"/problems/unavailable","title":"Not just now","status":503,"detail":"The yard is away for a moment. Nothing was saved. Try again in a few seconds."}';
        }
        location ~ ^/api/machines/[0-9]+/photos\$ { client_max_body_size 8m; try_files \$uri /index.php\$is_args\$args; }
        location / { try_files \$uri /index.php\$is_args\$args; }
        location ~ \.php\$ {
            client_max_body_size 8m;
            include /etc/nginx/fastcgi_params;
            fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
            fastcgi_param HTTP_PROXY "";
            fastcgi_param HTTP_HOST \$host:\$server_port;
            fastcgi_buffers 32 16k;
            fastcgi_read_timeout 60s;
            fastcgi_pass unix:$STATE/run/fpm.sock;
        }
    }
    server {
        $(listen_for "$port" default_server)
        return 421;
    }
$([ -z "$LAN" ] || describe_door "$port")
}
END
    write_names
    supervise fpm QUIT "$(find_program "php-fpm$version")" ${as_root:+"$as_root"} --nodaemonize \
        -d "opcache.preload=$ROOT/script/preload.php" -d "opcache.preload_user=${WORKER:-$(id -un)}" --fpm-config "$STATE/run/fpm.conf"
    supervise nginx QUIT "$(find_program nginx)" -c "$STATE/run/nginx.conf" -e stderr
}

# Loopback alone; or HTTPS everywhere, where somebody who asks without it is led to the page that tells how to trust it.
#   listen_for PORT [options]
listen_for() {
    if [ -z "$LAN" ]; then
        echo "listen 127.0.0.1:$1${2:+ $2};"
        return
    fi
    listen_on "$1" "ssl http2${2:+ $2}"
    cat <<END
        ssl_certificate $TLS/served.crt;
        ssl_certificate_key $TLS/served.key;
        ssl_protocols TLSv1.2 TLSv1.3;
        ssl_ciphers $TLS_1_2_CIPHERS;
        ssl_session_cache shared:tls:2m;
END
    [ -n "${2:-}" ] || echo "        error_page 497 =307 http://\$host:$DOOR_PORT/;"
}

# Of what TLS 1.2 has, that which authenticates what it encrypts (RFC 9325): no CBC, no SHA-1.
TLS_1_2_CIPHERS=ECDHE-ECDSA-AES128-GCM-SHA256:ECDHE-RSA-AES128-GCM-SHA256:ECDHE-ECDSA-AES256-GCM-SHA384:ECDHE-RSA-AES256-GCM-SHA384:ECDHE-ECDSA-CHACHA20-POLY1305:ECDHE-RSA-CHACHA20-POLY1305

# By which names it answers: a page of somebody else's that has a name of its own lead here learns nothing.
write_names() { echo "server_name $(names_answered | awk '!seen[$0]++' | tr '\n' ' ');" >"$STATE/run/names.conf"; }

names_answered() {
    printf 'localhost\n127.0.0.1\n[::1]\n'
    setting SERVED_NAMES | tr -d '"' | tr ',' '\n' | grep -E '^[A-Za-z0-9.-]+$' || true
    [ -z "$LAN" ] || names_served | while IFS=: read -r kind name; do
        if [ "$kind" = IP ]; then in_address "$name"; else echo "$name"; fi
    done
    [ -z "$LAN_CERTIFICATE" ] || openssl x509 -in "$LAN_CERTIFICATE" -noout -ext subjectAltName 2>/dev/null | grep -oE 'DNS:[A-Za-z0-9.*-]+' | cut -d: -f2 || true
}

# What the computer does by itself: a clock that hands over what is due, and a worker that does it.
describe_night() {
    local php
    php=$(command -v php)
    supervise clock TERM "$php" -d memory_limit=128M "$ROOT/artisan" schedule:work --quiet
    supervise night TERM "$php" -d memory_limit=256M "$ROOT/artisan" queue:work --queue=night --sleep=5 --tries=1 --timeout=3500 --max-time=3600 --quiet
}

# Certificates are renewed by a program that no request reaches.
describe_renewal() { [ -z "$LAN" ] || supervise renewal TERM "$ROOT/script/renewal" "$1"; }

#   start_serving PORT
start_serving() {
    local port=$1
    artisan config:cache >/dev/null
    artisan route:cache >/dev/null
    php "$ROOT/script/preload_list.php" >"$STATE/cache/preload.txt"
    [ -z "$WORKER" ] || chmod g+r "$STATE"/cache/*
    supervisor start fpm nginx >/dev/null || true
    for _ in $(seq 150); do
        curl_quietly "http${LAN:+s}://127.0.0.1:$port/api/session" && return 0
        sleep 0.1
    done
    tail -n 5 "$STATE/log/nginx.log" "$STATE/log/fpm.log" >&2
    fail "The server did not answer on port $port. Its logs are in $STATE/log."
}

# Whether it answers; whose certificate it shows is no question on the computer itself.
curl_quietly() { php -r 'exit(@file_get_contents($argv[1], context: stream_context_create(["ssl" => ["verify_peer" => false, "verify_peer_name" => false]])) === false ? 1 : 0);' "$1"; }
