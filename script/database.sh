# MariaDB on loopback, as whoever runs the script. Root stays on the socket; the application has an account of its own.

sql() { mariadb --no-defaults --socket="$STATE/run/db.sock" --user="$(id -un)" "$@"; }

# Made beside its place and moved there when whole, so that a killed start leaves no half of it.
make_database_files() {
    [ -d "$STATE/db" ] && return 0
    rm -rf "$STATE/db.new"
    step 'Making the database' 'See what it says above.' "$STATE/log/db-install.log" \
        mariadb-install-db --no-defaults --datadir="$STATE/db.new" --user="$(id -un)" --skip-test-db \
        --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)"
    mv "$STATE/db.new" "$STATE/db"
}

#   start_database PORT [option...]
start_database() {
    local port=$1
    shift
    make_database_files
    "$(find_program mariadbd)" --no-defaults --datadir="$STATE/db" --user="$(id -un)" --bind-address=127.0.0.1 --port="$port" \
        --socket="$STATE/run/db.sock" --pid-file="$STATE/run/db.pid" --log-error="$STATE/log/db.log" \
        --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --skip-name-resolve --innodb-buffer-pool-size=256M "$@" </dev/null >/dev/null 2>&1 &
    local pid=$!
    for _ in $(seq 300); do
        sql --execute 'select 1' >/dev/null 2>&1 && return 0
        kill -0 "$pid" 2>/dev/null || break
        sleep 0.1
    done
    tail -n 8 "$STATE/log/db.log" >&2
    fail "The database did not start. Its log is $STATE/log/db.log."
}

setting() { sed -n "s/^$1=//p" "$STATE/.env"; }

#   write_settings WEB-PORT DB-PORT
write_settings() {
    local key password
    if [ -f "$STATE/.env" ]; then
        key=$(setting APP_KEY) password=$(setting DB_PASSWORD)
    fi
    (umask 077 && cat >"$STATE/.env.new" <<END
APP_KEY=${key:-base64:$(php -r 'echo base64_encode(random_bytes(32));')}
APP_URL=http://127.0.0.1:$1
DB_PORT=$2
DB_DATABASE=jardinier
DB_USERNAME=jardinier
DB_PASSWORD=${password:-$(php -r 'echo bin2hex(random_bytes(16));')}
${EXTRA_SETTINGS:-}
END
    )
    mv "$STATE/.env.new" "$STATE/.env"
}

#   make_account DATABASE...
make_account() {
    local database password
    password=$(setting DB_PASSWORD)
    sql --execute "create user if not exists jardinier@'127.0.0.1'; alter user jardinier@'127.0.0.1' identified by '$password'"
    for database in "$@"; do
        sql --execute "create database if not exists \`$database\`; grant all on \`$database\`.* to jardinier@'127.0.0.1'"
    done
}

artisan() { php artisan "$@"; }
