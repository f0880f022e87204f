# Starting, stopping and telling what runs.

start_command() {
    local port=$DEFAULT_PORT db_port= empty= demo= detach= given=("$@")
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --db-port) db_port=${2:-}; shift 2 || fail '--db-port needs a number.' ;;
            --empty) empty=1; shift ;;
            --demo) demo=1; shift ;;
            --detach) detach=1; shift ;;
            --lan) lan_option --lan; shift ;;
            --host | --cert | --key | --door-port) lan_option "$1" "${2:-}"; shift 2 || fail "$1 needs a value." ;;
            *) fail "start does not know \"$1\". It takes --port, --db-port, --empty, --demo, --detach, --lan, --host, --cert, --key and --door-port." ;;
        esac
    done
    [[ $port =~ ^[0-9]+$ ]] || fail "\"$port\" is no port. Give --port a number from 1024 to 65535."
    db_port=${db_port:-$((port + 1))}
    [ "$db_port" != "$port" ] || fail "The web and the database cannot both have port $port. Choose another with --db-port."
    [ -z "$demo" ] || [ -z "$empty" ] || fail 'Either --empty or --demo.'
    # What the house reaches is a yard of somebody's own, unless they say otherwise.
    [ -z "$LAN" ] || [ -n "$demo" ] || empty=1
    use_state "$ROOT/var/yard-$port"
    # One that was killed a moment ago holds its lock until it is gone.
    ! { is_running && sleep 1 && is_running; } || { say_running; return 0; }
    require_disk
    command -v php >/dev/null || fail 'php is missing. Install PHP 8.2 or newer first; the rest is installed from here.'
    require_port "$port" --port
    require_port "$db_port" --db-port
    check_lan "$port"
    # Where there is no yard yet, none is begun that could not be served.
    [ -d "$STATE" ] || require_free_ports "$port" "$db_port"
    make_state
    if [ -n "$detach" ]; then
        start_detached "${given[@]}"
        return
    fi
    take_lock || { say_running; return 0; }
    end_supervision
    finish_restore
    require_free_ports "$port" "$db_port"
    echo $$ >"$STATE/run/start.pid"
    trap end_start EXIT
    trap 'exit 130' INT
    trap 'exit 143' TERM HUP
    ensure_everything
    mend_settings
    [ -z "$LAN" ] || renew_certificates
    write_settings "$port" "$db_port"
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE"
    begin_supervision
    describe_kept_database "$db_port"
    describe_serving "$port"
    describe_night
    describe_renewal "$port"
    start_supervisor
    start_database
    make_account jardinier
    before_upgrade
    step 'Bringing the tables up to date' 'See what it says above.' "$STATE/log/migrate.log" artisan migrate --force
    [ -n "$empty" ] || artisan demo:load --if-empty
    step 'Reckoning the yard' 'See what it says above.' "$STATE/log/rebuild.log" artisan yard:rebuild
    # What everybody knows of the demo opens it on the computer itself alone: it is changed before the house reaches it.
    [ -z "$LAN" ] || artisan demo:passwords
    start_serving "$port"
    supervisor start clock night ${LAN:+renewal} >/dev/null || true
    {
        say ''
        say "Jardinier is at $(setting APP_URL)"
        [ -z "$LAN" ] || say_lan
        artisan computer:status --warnings
        artisan demo:accounts
        [ -z "$LAN" ] || artisan keeper:code --if-empty
    } >"$STATE/run/ready.new"
    cat "$STATE/run/ready.new"
    mv "$STATE/run/ready.new" "$STATE/run/ready"
    say_worker
    say 'Ctrl-C stops it.'
    wait "$SUPERVISOR" || true
    fail "The supervisor has ended unasked. The logs are in $STATE/log."
}

# Tables that a newer program made are left alone; before older ones are changed they are backed up.
before_upgrade() {
    local known there
    known=$(cd database/migrations && printf '%s\n' *.php | sed 's/\.php$//' | sort)
    there=$(sql --skip-column-names --execute 'select migration from jardinier.migrations' 2>/dev/null | sort || true)
    [ -n "$there" ] || return 0
    [ -z "$(comm -13 <(echo "$known") <(echo "$there"))" ] \
        || fail 'This yard was last served by a newer Jardinier. Start that one, or put a backup back that was made before it.'
    [ -n "$(comm -23 <(echo "$known") <(echo "$there"))" ] || return 0
    [ "$(sql --skip-column-names --execute 'select count(*) from jardinier.people')" -eq 0 ] \
        || step 'Backing up before the upgrade' 'See what it says above; nothing was changed.' "$STATE/log/backup.log" artisan backup:make "$STATE/backups/before-upgrade-$(date +%Y%m%d-%H%M%S).tar.gz"
}

#   require_free_ports WEB-PORT DB-PORT
require_free_ports() {
    require_free_port "$1" --port
    require_free_port "$2" --db-port
    [ -z "$LAN" ] || require_free_port "$DOOR_PORT" --door-port
}

say_running() {
    if [ -f "$STATE/run/ready" ]; then
        say 'Already running.'
        cat "$STATE/run/ready"
    else
        say 'Another start of it is under way.'
    fi
}

end_start() {
    local code=$?
    trap - EXIT
    end_supervision
    rm -f "$STATE/run/start.pid"
    exit "$code"
}

start_detached() {
    local options=() option pid log
    TOLD=0
    for option in "$@"; do [ "$option" = --detach ] || options+=("$option"); done
    is_running || rm -f "$STATE/run/ready"
    log=$(mktemp "$STATE/log/start.XXXXXX")
    setsid "$ROOT/jardinier" start "${options[@]}" </dev/null >"$log" 2>&1 &
    pid=$!
    while [ ! -f "$STATE/run/ready" ] && kill -0 "$pid" 2>/dev/null; do
        tell_more "$log"
        sleep 0.2
    done
    tell_more "$log"
    mv "$log" "$STATE/log/start.log"
    [ -f "$STATE/run/ready" ] || wait "$pid" || exit 1
    say './jardinier stop ends it.'
}

# Passes on what a detached start has said since it was last asked.
tell_more() {
    local lines
    lines=$(wc -l <"$1")
    sed -n "$((TOLD + 1)),${lines}p" "$1" | { grep -v 'Ctrl-C' || true; }
    TOLD=$lines
}

each_state() {
    local folder port='*'
    if [ "${1:-}" = --port ]; then port=${2:-}; fi
    # The star must be expanded.
    # shellcheck disable=SC2231
    for folder in "$ROOT"/var/yard-$port; do
        if [ -d "$folder" ]; then echo "$folder"; fi
    done
}

stop_command() {
    local folder stopped=
    for folder in $(each_state "$@"); do
        use_state "$folder"
        if is_running; then
            end_running
            say "Stopped the one on port ${folder##*-}."
            stopped=1
        fi
        end_supervision
    done
    [ -n "$stopped" ] || say 'Nothing was running.'
}

# Asks the start to end, and waits until it has.
end_running() {
    local pid signal
    pid=$(cat "$STATE/run/start.pid" 2>/dev/null || true)
    for signal in TERM KILL; do
        [ -z "$pid" ] || kill "-$signal" "$pid" 2>/dev/null || true
        for _ in $(seq 400); do
            is_running || return 0
            sleep 0.1
        done
    done
}

status_command() {
    local folder running=
    for folder in $(each_state "$@"); do
        use_state "$folder"
        if is_running && [ -f "$STATE/run/ready" ]; then
            grep -m1 http "$STATE/run/ready"
            artisan computer:status
            running=1
        fi
    done
    [ -n "$running" ] || say 'Nothing is running.'
}

demo_command() {
    [ "${1:-}" = --reset ] || fail 'Say ./jardinier demo --reset to put the demo data back. Everything written since is lost.'
    shift
    local port=$DEFAULT_PORT
    [ "${1:-}" = --port ] && port=${2:-}
    use_state "$ROOT/var/yard-$port"
    require_running "$port"
    artisan demo:load --reset
}

code_command() {
    local port=$DEFAULT_PORT
    [ "${1:-}" != --port ] || port=${2:-}
    use_state "$ROOT/var/yard-$port"
    require_running "$port"
    artisan keeper:code
}

# What somebody needs to know who helps; whatever is broken, it is written all the same.
trouble_command() {
    local port=$DEFAULT_PORT file
    [ "${1:-}" != --port ] || port=${2:-}
    use_state "$ROOT/var/yard-$port"
    [ -d "$STATE" ] || fail "There is no yard on port $port."
    umask 077
    file=$ROOT/var/trouble-$port-$(date +%Y%m%d-%H%M%S).txt
    artisan computer:trouble "$file"
}

keeper_command() {
    [ "${1:-}" = --reset ] || fail 'Say ./jardinier keeper --reset to give a keeper a new password.'
    shift
    local port=$DEFAULT_PORT name=
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --name) name=${2:-}; shift 2 || fail '--name needs a sign-in name.' ;;
            *) fail "keeper --reset does not know \"$1\". It takes --name and --port." ;;
        esac
    done
    use_state "$ROOT/var/yard-$port"
    require_running "$port"
    artisan keeper:reset ${name:+"$name"}
}

require_running() { is_running || fail "Nothing runs on port $1. Start it first: ./jardinier start --port $1"; }
