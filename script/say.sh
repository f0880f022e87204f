# Words for the person at the keyboard.

say() { printf '%s\n' "$*"; }

# One clear sentence and what to do, then the end.
fail() {
    printf 'jardinier: %s\n' "$*" >&2
    exit 1
}

# Runs a step, its output kept in a log; where it fails, says so, shows the end of the log and stops.
#   step "what is being done" "what to do if it fails" LOG command...
step() {
    local what=$1 remedy=$2 log=$3
    shift 3
    say "  $what"
    if ! "$@" >"$log" 2>&1; then
        tail -n 15 "$log" >&2
        fail "$what failed. $remedy"
    fi
}
