# Process groups of programs that were supervised once. A group keeps its number as long as one of its processes lives, so what is found under the number
# noted is what was started then, unless a process of that number has begun at another time.

# The moment a process began, in ticks since the computer was started; nothing where there is none.
started_at() { sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }

#   end_leftovers NOTE
end_leftovers() {
    local group began where now
    read -r group began where 2>/dev/null <"$1" || return 0
    [ "$group" != "$$" ] || return 0
    # In a copy of a state folder it speaks of the programs of another.
    [ "$where" = "$1" ] || { rm -f "$1"; return 0; }
    now=$(started_at "$group" || true)
    if [ -z "$now" ] || [ "$now" = "$began" ]; then
        for signal in TERM KILL; do
            kill "-$signal" -- "-$group" 2>/dev/null || break
            for _ in $(seq 50); do
                kill -0 -- "-$group" 2>/dev/null || break 2
                sleep 0.1
            done
        done
    fi
    rm -f "$1"
}
