# Suites, screenshots and benchmarks, each on a database server of its own that is thrown away afterwards.

test_command() {
    local suite=${1:-all}
    case "$suite" in
        core)
            ensure_system_packages
            ensure_php_packages
            run_suites core,mutants "${@:2}"
            ;;
        tools)
            ensure_everything browser
            suite_tools
            ;;
        faults)
            ensure_everything browser
            php -d memory_limit=1G vendor/bin/phpunit --testsuite faults "${@:2}"
            ;;
        all)
            ensure_everything browser
            suite_tools
            on_throwaway_server suite_all "${@:2}"
            ;;
        http | browser | long) on_throwaway_server "suite_$suite" "${@:2}" ;;
        *) fail "There is no suite \"$suite\". There are tools, core, http, browser, long and faults." ;;
    esac
}

TEST_PROCESSES=2

# A Thursday in mowing weather: suites and pictures are the same whenever they run.
TEST_MOMENT=2026-05-14T09:30:00Z

run_suites() {
    php -d memory_limit=1G vendor/bin/paratest --processes=$TEST_PROCESSES --passthru-php="'-d' 'memory_limit=1G' '-d' 'opcache.enable_cli=1'" --testsuite "$1" "${@:2}"
}

suite_http() { run_suites http "$@"; }
suite_browser() { run_suites browser "$@"; }
suite_all() {
    php script/pin_packages.php --check || fail 'Other packages are installed than are listed. Install what is listed, or list what is meant: php script/pin_packages.php'
    local code=0
    run_suites core,mutants,http,browser "$@" || code=$?
    tell_known_holes
    return $code
}

# What machines find before anything runs: types, the one way in which the code is written, and what the phone's core does.
suite_tools() {
    say 'Held by tools: phpstan, Pint, TypeScript, Biome, Vitest'
    php -d memory_limit=2G vendor/bin/phpstan analyse --no-progress --no-ansi --configuration phpstan.core.neon
    php -d memory_limit=2G vendor/bin/phpstan analyse --no-progress --no-ansi --configuration phpstan.neon
    vendor/bin/pint --test >"$ROOT/var/pint.log" 2>&1 || { cat "$ROOT/var/pint.log" >&2; fail 'Some of it is written otherwise than Pint writes it: vendor/bin/pint.'; }
    npm run --silent check
    npm run --silent test
}

# What is drawn by seed is drawn ten times as often.
suite_long() { JARDINIER_LONG=1 run_suites core,mutants,http --group long "$@"; }

# Holes that the world has heard of since. They are told and fail nothing: what was green yesterday is green today.
tell_known_holes() {
    say 'Known holes in the packages:'
    timeout 60 composer audit --no-interaction --format=plain 2>/dev/null || say '  Composer: some, or its registry cannot be asked here. composer audit tells more.'
    timeout 60 npm audit --omit=dev 2>/dev/null | tail -n 3 | grep . || say '  npm: its registry cannot be asked here.'
}
shots() { php tests/Browser/shots.php; }
bench() { php tests/Bench/bench.php "$@"; }

on_throwaway_server() {
    local task=$1 port db_port process what=browser
    shift
    [ "$task" = bench ] && what='browser load'
    require_disk
    ensure_everything "$what"
    mkdir -p var
    use_state "$(mktemp -d "$(throwaway_place "$task")/jardinier-test-XXXXXX")"
    trap 'end_throwaway_server $?' EXIT
    trap 'exit 130' INT TERM HUP
    make_state
    port=$(php -r 'require "tests/Ports.php"; echo Tests\Ports::free(2);') db_port=$((port + 1))
    # Passwords are hashed cheaply here and nowhere else, and how full this computer's disk is says nothing. What is measured is measured by the real clock.
    JARDINIER_CLOCK_AHEAD=0
    [ "$task" = bench ] || JARDINIER_CLOCK_AHEAD=$(php -r 'echo strtotime($argv[1]) - time();' "$TEST_MOMENT")
    export JARDINIER_CLOCK_AHEAD
    EXTRA_SETTINGS=$(printf 'HASH_MEMORY=8\nHASH_TIME=1\nAPP_ENV=testing\nDISK_LOW_PERCENT=0\nDISK_NO_PHOTOS_PERCENT=0\nCLOCK_AHEAD_SECONDS=%s' "$JARDINIER_CLOCK_AHEAD") write_settings "$port" "$db_port"
    begin_supervision
    # What is measured keeps the durability of a real start.
    if [ "$task" = bench ]; then describe_kept_database "$db_port"; else describe_passing_database "$db_port"; fi
    describe_serving "$port"
    start_supervisor
    start_database
    local database databases=(jardinier jardinier_days jardinier_upgrade)
    for ((process = 1; process <= TEST_PROCESSES; process++)); do databases+=("jardinier_http_$process"); done
    make_account "${databases[@]}"
    DB_DATABASE=jardinier artisan migrate --force >"$STATE/log/migrate.log" 2>&1 || { tail "$STATE/log/migrate.log" >&2; fail 'The tables could not be made.'; }
    mariadb-dump --no-defaults --socket="$STATE/run/db.sock" --user="$(id -un)" jardinier >"$STATE/tables.sql"
    for database in "${databases[@]:1}"; do sql "$database" <"$STATE/tables.sql"; done
    if [ "$task" != bench ]; then
        artisan demo:load --if-empty >/dev/null
        artisan yard:rebuild >/dev/null
    fi
    start_serving "$port"
    # What the suites write in the yard's own folders its workers read.
    [ -z "$WORKER" ] || umask 007
    JARDINIER_URL="http://127.0.0.1:$port" "$task" "$@"
}

# In memory where there is room for it: a test's database is written and thrown away a thousand times. What is measured
# lies on the disk.
throwaway_place() {
    local free
    free=$(df --output=avail -k /dev/shm 2>/dev/null | tail -n 1 || echo 0)
    if [ "$1" != bench ] && [ -w /dev/shm ] && [ "${free:-0}" -gt 3000000 ]; then echo /dev/shm; else echo "$ROOT/var"; fi
}

# Throwaway data need not survive a power cut.
describe_passing_database() { describe_database "$1" --innodb-flush-log-at-trx-commit=0 --innodb-doublewrite=0 --innodb-flush-method=nosync; }

end_throwaway_server() {
    end_supervision
    tell_cpu
    # What the application itself has to say about a failure.
    [ "$1" -eq 0 ] || grep -h ERROR "$STATE"/log/fpm.log 2>/dev/null | tail -n 3 | cut -c1-400 >&2 || true
    keep_failures
    rm -rf "$STATE"
}

# All that this and its children took of the processors.
tell_cpu() {
    # In a pipe it would tell of the pipe.
    times >"$STATE/run/times"
    awk '{ for (i = 1; i <= 2; i++) { split($i, part, "[ms]"); sum += part[1] * 60 + part[2] } } END { printf "CPU: %d s, user and system.\n", sum }' "$STATE/run/times"
}

# Pictures and console logs of failed browser tests outlive the server.
keep_failures() {
    [ -d "$STATE/failures" ] || return 0
    rm -rf var/failures
    mv "$STATE/failures" var/failures
    say 'Pictures of the failures are in var/failures.'
}
