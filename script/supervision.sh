# Debian's supervisor watches the programs: starts again what dies, with growing pauses, and ends all of it with itself.

#   begin_supervision     writes the settings that every program shares
begin_supervision() {
    cat >"$STATE/run/supervisord.conf" <<END
[supervisord]
nodaemon=true
silent=true
umask=077
pidfile=$STATE/run/supervisord.pid
logfile=$STATE/log/supervisord.log
logfile_maxbytes=2MB
logfile_backups=2
childlogdir=$STATE/log
$([ "$(id -u)" -eq 0 ] && echo user=root)
[unix_http_server]
file=$STATE/run/supervisor.sock
chmod=0700
[rpcinterface:supervisor]
supervisor.rpcinterface_factory=supervisor.rpcinterface:make_main_rpcinterface
[supervisorctl]
serverurl=unix://$STATE/run/supervisor.sock
END
}

#   supervise NAME SIGNAL program [argument...]     ended by SIGNAL; dies with the supervisor, even a killed one
supervise() {
    local name=$1 signal=$2 command=
    shift 2
    for word in "$ROOT/script/supervised" "$STATE/run/$name.group" "$@"; do command+=" '${word//%/%%}'"; done
    cat >>"$STATE/run/supervisord.conf" <<END
[program:$name]
command=$(command -v setpriv) --pdeathsig KILL$command
autostart=false
autorestart=true
startsecs=1
startretries=1000
stopsignal=$signal
stopwaitsecs=30
umask=$([ -n "$WORKER" ] && [[ $name =~ ^(fpm|clock|night)$ ]] && echo 007 || echo 077)
killasgroup=true
redirect_stderr=true
stdout_logfile=$STATE/log/$name.log
stdout_logfile_maxbytes=5MB
stdout_logfile_backups=2
END
}

# Ends with whoever runs this script, however they end.
start_supervisor() {
    rm -f "$STATE/run/supervisor.sock"
    setpriv --pdeathsig TERM "$(find_program supervisord)" --configuration "$STATE/run/supervisord.conf" </dev/null >>"$STATE/log/supervisord.out" 2>&1 9>&- &
    SUPERVISOR=$!
    for _ in $(seq 100); do
        [ -S "$STATE/run/supervisor.sock" ] && return 0
        sleep 0.1
    done
    tail -n 5 "$STATE/log/supervisord.out" "$STATE/log/supervisord.log" >&2
    fail "The supervisor did not start. Its log is $STATE/log/supervisord.log."
}

supervisor() { supervisorctl --configuration "$STATE/run/supervisord.conf" "$@" 9>&-; }

# Ends a supervisor, perhaps of an earlier start, with all that it watches; and what one that was killed left behind.
end_supervision() {
    local pid note
    pid=$(cat "$STATE/run/supervisord.pid" 2>/dev/null || true)
    if [ -n "$pid" ] && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF "$STATE/run/supervisord.conf"; then
        kill -TERM "$pid" 2>/dev/null || true
        for _ in $(seq 350); do
            kill -0 "$pid" 2>/dev/null || break
            sleep 0.1
        done
        kill -KILL "$pid" 2>/dev/null || true
    fi
    for note in "$STATE"/run/*.group; do
        [ -f "$note" ] && end_leftovers "$note"
    done
    rm -f "$STATE/run/ready" "$STATE/run/supervisord.pid"
}
