# Where a running yard keeps what it writes, and how to tell whether it runs.

DEFAULT_PORT=8470
LEAST_FREE_MB=600

# Settings come from the state folder alone, whatever else is set in the shell this is started from.
unset CLOCK_AHEAD_SECONDS APP_KEY APP_ENV APP_URL APP_DEBUG DB_HOST DB_PORT DB_DATABASE DB_USERNAME DB_PASSWORD DB_READ_HOSTS DB_WRITE_HOSTS SESSION_DRIVER CACHE_STORE QUEUE_CONNECTION HASH_MEMORY HASH_TIME TRUSTED_PROXIES

# Everything of the start on one port lives in one folder.
use_state() {
    STATE=$1
    export JARDINIER_STATE=$STATE
    export APP_CONFIG_CACHE=$STATE/cache/config.php APP_ROUTES_CACHE=$STATE/cache/routes.php APP_EVENTS_CACHE=$STATE/cache/events.php
    choose_worker
}

# Nobody else on this computer reads what is written here, but the web workers what they need.
make_state() {
    umask 077
    mkdir -p "$STATE"/{run,log,cache,tmp,backups,storage/framework/{sessions,views,cache/data},storage/logs}
    chmod -R go-rwx "$STATE"
    [ -z "$WORKER" ] || open_to_worker
}

# Who answers requests. Where root starts it that is an account without rights, which cannot read the keys of the house and its backups.
WORKER=
WORKER_ACCOUNT=www-data
choose_worker() {
    WORKER=
    [ "$(id -u)" -eq 0 ] && as_worker test -r "$ROOT/artisan" || return 0
    WORKER=$WORKER_ACCOUNT
}

say_worker() {
    [ "$(id -u)" -ne 0 ] || [ -n "$WORKER" ] \
        || say "The web workers run as root, because $WORKER_ACCOUNT cannot read $ROOT. Put it below /opt or /srv."
}

as_worker() { setpriv --reuid=$WORKER_ACCOUNT --regid=$WORKER_ACCOUNT --clear-groups "$@" 2>/dev/null; }

# What they go through, read, and write. Whoever else writes there writes for both.
open_to_worker() {
    chgrp "$WORKER" "$STATE" "$STATE"/run "$STATE"/cache
    chmod 710 "$STATE" "$STATE/run"
    chgrp "$WORKER" "$STATE/backups"
    chmod 2750 "$STATE/cache" "$STATE/backups"
    find "$STATE/cache" "$STATE/backups" -type f \( -name '*.php' -o -name '*.txt' -o -name '*.json' \) -exec chgrp "$WORKER" {} + -exec chmod g+r {} +
    [[ $STATE != "$ROOT"/var/* ]] || chmod go+x "$ROOT/var"
    chgrp -R "$WORKER" "$STATE/tmp" "$STATE/storage"
    chmod -R g+rwX "$STATE/tmp" "$STATE/storage"
    find "$STATE/tmp" "$STATE/storage" -type d -exec chmod g+s {} +
}

# How much memory the computer has, in MB; JARDINIER_MEMORY_MB says so where part of it is others'.
memory_mb() { echo "${JARDINIER_MEMORY_MB:-$(awk '/^MemTotal/ { print int($2 / 1024) }' /proc/meminfo)}"; }

require_disk() {
    local free
    mkdir -p var 2>/dev/null && [ -w var ] || fail "Nothing can be written to $ROOT/var. Give whoever starts this the folder, or put the program elsewhere."
    free=$(df -Pm var | awk 'NR == 2 { print $4 }')
    [ "$free" -ge "$LEAST_FREE_MB" ] || fail "Only $free MB of disk are free here. Make at least $LEAST_FREE_MB MB free and start again."
}

require_port() {
    local number=$1 option=$2
    [[ $number =~ ^[0-9]+$ ]] && [ "$number" -ge 1024 ] && [ "$number" -le 65535 ] || fail "\"$number\" is no port to use. Give $option a number from 1024 to 65535."
}

require_free_port() {
    local number=$1 option=$2
    php -r 'exit(@stream_socket_server("tcp://127.0.0.1:$argv[1]") ? 0 : 1);' "$number" \
        || fail "Port $number is in use by another program. Choose another with $option."
}

# Only one start at a time runs in a state folder: it holds this lock as long as it lives.
take_lock() {
    exec 9>"$STATE/run/lock"
    flock --wait 1 9
}

is_running() { [ -f "$STATE/run/lock" ] && ! flock --nonblock "$STATE/run/lock" true; }
