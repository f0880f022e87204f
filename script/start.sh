# Starting, stopping and telling what runs.

start_command() {
    local port=$DEFAULT_PORT db_port= empty= detach= given=("$@")
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --db-port) db_port=${2:-}; shift 2 || fail '--db-port needs a number.' ;;
            --empty) empty=1; shift ;;
            --detach) detach=1; shift ;;
            *) fail "start does not know \"$1\". It takes --port, --db-port, --empty and --detach." ;;
        esac
    done
    [[ $port =~ ^[0-9]+$ ]] || fail "\"$port\" is no port. Give --port a number from 1024 to 65535."
    db_port=${db_port:-$((port + 1))}
    use_state "$ROOT/var/yard-$port"
    if lives "$STATE/run/start.pid"; then
        say "Already running."
        [ -f "$STATE/run/ready" ] && cat "$STATE/run/ready"
        return 0
    fi
    require_disk
    end_all_processes
    command -v php >/dev/null || fail 'php is missing. Install PHP 8.2 or newer first; the rest is installed from here.'
    require_port "$port" --port
    require_port "$db_port" --db-port
    make_state
    if [ -n "$detach" ]; then
        start_detached "${given[@]}"
        return
    fi
    echo $$ >"$STATE/run/start.pid"
    trap end_start EXIT
    trap 'exit 130' INT
    trap 'exit 143' TERM HUP
    ensure_everything
    write_settings "$port" "$db_port"
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE"
    start_database "$db_port"
    make_account jardinier
    step 'Bringing the tables up to date' 'See what it says above.' "$STATE/log/migrate.log" artisan migrate --force
    [ -n "$empty" ] || artisan demo:load --if-empty
    step 'Reckoning the yard' 'See what it says above.' "$STATE/log/rebuild.log" artisan yard:rebuild
    start_serving "$port"
    {
        say ''
        say "Jardinier is at http://127.0.0.1:$port"
        artisan demo:accounts
    } >"$STATE/run/ready.new"
    cat "$STATE/run/ready.new"
    mv "$STATE/run/ready.new" "$STATE/run/ready"
    say 'Ctrl-C stops it.'
    wait -n || true
    fail "Something it runs has ended unasked. The logs are in $STATE/log."
}

end_start() {
    local code=$?
    trap - EXIT
    end_all_processes
    rm -f "$STATE/run/start.pid"
    exit "$code"
}

start_detached() {
    local options=() option pid
    TOLD=0
    for option in "$@"; do [ "$option" = --detach ] || options+=("$option"); done
    : >"$STATE/log/start.log"
    setsid "$ROOT/jardinier" start "${options[@]}" </dev/null >"$STATE/log/start.log" 2>&1 &
    pid=$!
    while [ ! -f "$STATE/run/ready" ]; do
        tell_more
        kill -0 "$pid" 2>/dev/null || { tell_more; exit 1; }
        sleep 0.2
    done
    tell_more
    say './jardinier stop ends it.'
}

# Passes on what the detached start has said since it was last asked.
tell_more() {
    local lines
    lines=$(wc -l <"$STATE/log/start.log")
    sed -n "$((TOLD + 1)),${lines}p" "$STATE/log/start.log" | { grep -v 'Ctrl-C' || true; }
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
        if lives "$STATE/run/start.pid"; then
            end_process "$STATE/run/start.pid" TERM
            say "Stopped the one on port ${folder##*-}."
            stopped=1
        fi
        end_all_processes
    done
    [ -n "$stopped" ] || say 'Nothing was running.'
}

status_command() {
    local folder running=
    for folder in $(each_state "$@"); do
        use_state "$folder"
        if lives "$STATE/run/start.pid" && [ -f "$STATE/run/ready" ]; then
            grep -m1 http "$STATE/run/ready"
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
    lives "$STATE/run/start.pid" || fail "Nothing runs on port $port. Start it first: ./jardinier start --port $port"
    artisan demo:load --reset
}
