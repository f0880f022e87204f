# Starting with the computer, by systemd; where there is none it says what to do instead.

at_boot_command() {
    local port=$DEFAULT_PORT remove= print= begins=--empty options=()
    while [ $# -gt 0 ]; do
        case "$1" in
            --remove) remove=1; shift ;;
            --print) print=1; shift ;;
            --port) port=${2:-}; options+=(--port "$port"); shift 2 || fail '--port needs a number.' ;;
            --lan) options+=("$1"); shift ;;
            --empty | --demo) begins=$1; shift ;;
            --host | --cert | --key | --door-port | --db-port) options+=("$1" "${2:-}"); shift 2 || fail "$1 needs a value." ;;
            *) fail "at-boot does not know \"$1\". It takes what start takes, --print and --remove." ;;
        esac
    done
    require_port "$port" --port
    options+=("$begins")
    local name=jardinier-$port.service folder systemctl=(systemctl)
    if [ "$(id -u)" -eq 0 ]; then folder=/etc/systemd/system; else folder=$HOME/.config/systemd/user systemctl=(systemctl --user); fi
    if [ -n "$print" ]; then
        unit_of "$port" "${options[@]}"
        return
    fi
    if [ ! -d /run/systemd/system ]; then
        [ -z "$remove" ] || { say 'This computer starts nothing by systemd. If crontab -e has a line that starts Jardinier, take it out there.'; return 0; }
        say 'This computer does not start its programs by systemd. Put this line into crontab -e instead:'
        say "  @reboot cd $(printf %q "$ROOT") && ./jardinier start --detach ${options[*]}"
        return 0
    fi
    if [ -n "$remove" ]; then
        "${systemctl[@]}" disable --now "$name" 2>/dev/null || true
        rm -f "$folder/$name"
        "${systemctl[@]}" daemon-reload
        say 'It does not start with the computer any more.'
        return 0
    fi
    mkdir -p "$folder"
    unit_of "$port" "${options[@]}" >"$folder/$name"
    "${systemctl[@]}" daemon-reload
    "${systemctl[@]}" enable "$name"
    # Whoever is not root has programs only while they are signed in, unless they linger.
    [ "$(id -u)" -eq 0 ] || loginctl enable-linger || say "Have root say once: loginctl enable-linger $(id -un)"
    say "It starts with the computer from now on. ${systemctl[*]} start $name starts it now; ./jardinier at-boot --remove --port $port takes that away."
}

#   unit_of PORT option...
unit_of() {
    local port=$1 wanted=multi-user.target word line
    shift
    [ "$(id -u)" -eq 0 ] || wanted=default.target
    line=$(unit_word "$ROOT/jardinier")" start"
    for word in "$@"; do line+=" $(unit_word "$word")"; done
    cat <<END
[Unit]
Description=Jardinier on port $port
Wants=network-online.target
After=network-online.target

[Service]
WorkingDirectory=${ROOT//%/%%}
ExecStart=$line
KillMode=mixed
TimeoutStartSec=infinity
TimeoutStopSec=90
Restart=on-failure
RestartSec=10
UMask=0077

[Install]
WantedBy=$wanted
END
}

# A word as a unit writes it: in quotes, its own signs taken back.
unit_word() {
    local word=${1//\\/\\\\}
    word=${word//\"/\\\"}
    word=${word//%/%%}
    echo "\"${word//\$/\$\$}\""
}
