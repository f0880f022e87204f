# Backing a yard up and putting it back. What is put back is made beside what is there, and takes its place when it is whole.

backup_command() {
    local port=$DEFAULT_PORT file= verify=
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --verify) verify=--verify; shift ;;
            --*) fail "backup does not know \"$1\". It takes a file, --verify and --port." ;;
            *) file=$(realpath -m "$1"); shift ;;
        esac
    done
    use_state "$ROOT/var/yard-$port"
    require_running "$port"
    umask 077
    artisan backup:make ${file:+"$file"} $verify
}

restore_command() {
    local port=$DEFAULT_PORT file= replace= to=
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --to) to=${2:-}; shift 2 || fail "--to needs a moment, like '2026-11-25 14:00'." ;;
            --replace) replace=1; shift ;;
            --*) fail "restore does not know \"$1\". It takes a file, --replace, --to and --port." ;;
            *) file=$(realpath -m "$1"); shift ;;
        esac
    done
    [ -n "$file" ] || fail 'Say which backup: ./jardinier restore FILE'
    [ -r "$file" ] || fail "$file cannot be read."
    require_port "$port" --port
    use_state "$ROOT/var/yard-$port"
    make_state
    take_lock || fail "It runs. Stop it first: ./jardinier stop --port $port"
    end_supervision
    trap end_supervision EXIT
    require_disk
    ensure_everything
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE"
    finish_restore
    [ -f "$STATE/.env" ] || write_settings "$port" "$((port + 1))"
    if holds_a_yard; then
        [ -n "$replace" ] || fail 'There is a yard here already. --replace puts the backup in its place, after a backup of what is there.'
        artisan backup:make "$STATE/backups/before-restore-$(date +%Y%m%d-%H%M%S).tar.gz"
    fi
    end_supervision
    say 'Making the yard of it'
    artisan backup:unpack "$file" ${to:+--to="$to"} || exit 1
    sync "$STATE/restored"
    touch "$STATE/restored/whole"
    finish_restore
    say "Put back. ./jardinier start --port $port serves it."
}

# Whether there is anything of a keeper's in the database. Leaves it running where there is one.
holds_a_yard() {
    [ -d "$STATE/db" ] || return 1
    begin_supervision
    describe_kept_database "$(setting DB_PORT)"
    start_supervisor
    start_database
    [ "$(sql --skip-column-names --execute 'select count(*) from jardinier.people' 2>/dev/null || echo 0)" != 0 ]
}

# What was made whole takes the place of what was there; until then that stands. Can be cut off at any moment and run again.
finish_restore() {
    local part
    [ -f "$STATE/restored/whole" ] || { rm -rf "$STATE/restored"; return 0; }
    mkdir -p "$STATE/before-restore"
    for part in db photos; do
        local place=$STATE/$part
        [ "$part" = db ] || place=$STATE/storage/photos
        [ -d "$STATE/restored/$part" ] || continue
        mkdir -p "$(dirname "$place")"
        if [ -d "$place" ]; then
            rm -rf "$STATE/before-restore/$part"
            mv -T "$place" "$STATE/before-restore/$part"
        fi
        mv -T "$STATE/restored/$part" "$place"
    done
    if [ -d "$STATE/restored/keys" ]; then
        sed -i "s|^APP_KEY=.*|APP_KEY=$(cat "$STATE/restored/keys/app.key")|" "$STATE/.env"
        for part in authority.key authority.crt; do
            [ ! -f "$STATE/restored/keys/$part" ] || { mkdir -p "$STATE/tls"; cp "$STATE/restored/keys/$part" "$STATE/tls/$part"; }
        done
    fi
    # Its own changes begin anew; those before belong to what was there.
    if [ -d "$STATE/binlog" ]; then
        rm -rf "$STATE/before-restore/binlog"
        mv -T "$STATE/binlog" "$STATE/before-restore/binlog"
    fi
    rm -rf "$STATE/restored"
}
