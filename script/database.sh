# MariaDB on loopback, as whoever runs the script. Root stays on the socket; the application has an account of its own.

sql() { mariadb --no-defaults --socket="$STATE/run/db.sock" --user="$(id -un)" "$@"; }

# Made beside its place and moved there when whole, so that a killed start leaves no half of it.
make_database_files() {
    [ -d "$STATE/db" ] && return 0
    rm -rf "$STATE/db.new"
    make_database_tmp
    step 'Making the database' 'See what it says above.' "$STATE/log/db-install.log" \
        mariadb-install-db --no-defaults --datadir="$STATE/db.new" --tmpdir="$STATE/db-tmp" --user="$(id -un)" --skip-test-db \
        --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)"
    mv "$STATE/db.new" "$STATE/db"
}

# A place of its own for what a query needs for a moment: a server that starts throws away what lies in its place, and where
# several share one it is another's.
make_database_tmp() { mkdir -p -m 700 "$STATE/db-tmp"; }

# What a yard keeps is on the disk when it is answered, and what changes is logged, so that it can be written again up to a moment.
#   describe_kept_database PORT
describe_kept_database() {
    mkdir -p "$STATE/binlog"
    describe_database "$1" "--log-bin=$STATE/binlog/changes" --binlog-format=ROW --expire-logs-days=9 --max-binlog-size=64M --sync-binlog=1
}

# As much of the computer's memory as it can spare.
database_memory() {
    if [ "$(memory_mb)" -le 1200 ]; then
        echo --innodb-buffer-pool-size=48M --innodb-log-buffer-size=4M --key-buffer-size=1M --aria-pagecache-buffer-size=4M --max-connections=40 --performance-schema=OFF --table-open-cache=200 --thread-cache-size=4
    elif [ "$(memory_mb)" -le 2400 ]; then
        echo --innodb-buffer-pool-size=128M --max-connections=60 --performance-schema=OFF
    else
        echo --innodb-buffer-pool-size=256M
    fi
}

#   describe_database PORT [option...]
describe_database() {
    local port=$1
    shift
    make_database_files
    make_database_tmp
    # shellcheck disable=SC2046
    supervise database TERM "$(command -v env)" UMASK=0600 UMASK_DIR=0700 "$(find_program mariadbd)" --no-defaults --datadir="$STATE/db" --tmpdir="$STATE/db-tmp" --user="$(id -un)" --bind-address=127.0.0.1 --port="$port" \
        --socket="$STATE/run/db.sock" --pid-file="$STATE/run/db.pid" \
        --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --skip-name-resolve $(database_memory) "$@"
}

start_database() {
    supervisor start database >/dev/null || true
    for _ in $(seq 300); do
        sql --execute 'select 1' >/dev/null 2>&1 && return 0
        sleep 0.1
    done
    tail -n 8 "$STATE/log/database.log" >&2
    fail "The database did not start. Its log is $STATE/log/database.log."
}

setting() { sed -n "s/^$1=//p" "$STATE/.env"; }

# What this script writes of the settings; every other line of theirs is left as it is.
WRITTEN_SETTINGS='APP_KEY|APP_URL|DB_PORT|DB_DATABASE|DB_USERNAME|DB_PASSWORD|LAN_[A-Z_]*'

# Lines of the settings that nobody can read are set aside, and told; a passphrase goes into the file of its own.
mend_settings() { [ ! -f "$STATE/.env" ] || php script/mend_settings.php "$STATE"; }

#   write_settings WEB-PORT DB-PORT
write_settings() {
    local key password others
    if [ -f "$STATE/.env" ]; then
        key=$(setting APP_KEY) password=$(setting DB_PASSWORD)
        others=$(grep -avE "^($WRITTEN_SETTINGS)=" "$STATE/.env" || true)
    fi
    cat >"$STATE/.env.new" <<END
APP_KEY=${key:-base64:$(php -r 'echo base64_encode(random_bytes(32));')}
APP_URL=$(address_of "$1")
DB_PORT=$2
DB_DATABASE=jardinier
DB_USERNAME=jardinier
DB_PASSWORD=${password:-$(php -r 'echo bin2hex(random_bytes(16));')}
$(lan_settings "$1")
${EXTRA_SETTINGS:-}
${others:-}
END
    mv "$STATE/.env.new" "$STATE/.env"
}

#   make_account DATABASE...
make_account() {
    local database password
    password=$(setting DB_PASSWORD)
    # On standard input, because everybody on the computer can read a command line.
    {
        echo "create user if not exists jardinier@'127.0.0.1'; alter user jardinier@'127.0.0.1' identified by '$password';"
        for database in "$@"; do echo "create database if not exists \`$database\`; grant all on \`$database\`.* to jardinier@'127.0.0.1';"; done
    } | sql
}

# What it writes beside the web workers is theirs too.
artisan() { (if [ -n "$WORKER" ]; then umask 007; fi; php artisan "$@"); }
