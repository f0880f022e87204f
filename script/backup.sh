# Backing a yard up and putting it back. What is put back is made beside what is there, and takes its place when it is whole.

LEAST_PASSPHRASE=12

backup_command() {
    local port=$DEFAULT_PORT file= verify= does=make
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --verify) verify=--verify; shift ;;
            --passphrase) does=passphrase; shift ;;
            --list) does=list; shift ;;
            --*) fail "backup does not know \"$1\". It takes a file, --verify, --list, --passphrase and --port." ;;
            *) file=$(realpath -m "$1"); shift ;;
        esac
    done
    use_state "$ROOT/var/yard-$port"
    umask 077
    case "$does" in
        passphrase) set_passphrase ;;
        list)
            require_running "$port"
            artisan backup:list ;;
        make)
            require_running "$port"
            artisan backup:make ${file:+"$file"} $verify ;;
    esac
}

# Asks twice for what backups are sealed with, and keeps it in a file of its own that nobody else reads.
set_passphrase() {
    local first second
    say 'Backups are sealed with it from now on; whoever loses it has no backup. Write it on paper.'
    first=$(ask_unseen 'Passphrase') && second=$(ask_unseen 'Once more') || fail 'Nothing was changed.'
    [ "$first" = "$second" ] || fail 'These were two. Nothing was changed.'
    [ "${#first}" -ge $LEAST_PASSPHRASE ] || fail "At least $LEAST_PASSPHRASE characters: four words that belong together only for you. Nothing was changed."
    mkdir -p "$STATE"
    printf '%s\n' "$first" >"$STATE/backup-passphrase.new"
    mv "$STATE/backup-passphrase.new" "$STATE/backup-passphrase"
    say 'It is set. Make a backup now, so that there is one that is sealed.'
}

#   ask_unseen QUESTION     a line from the keyboard that is not shown, or from what is piped in
ask_unseen() {
    local line
    [ ! -t 0 ] || printf '%s: ' "$1" >&2
    if [ -t 0 ]; then IFS= read -rs line && echo >&2; else IFS= read -r line; fi && printf '%s' "$line"
}

restore_command() {
    local port=$DEFAULT_PORT file= replace= to= unsealed= over=
    while [ $# -gt 0 ]; do
        case "$1" in
            --port) port=${2:-}; shift 2 || fail '--port needs a number.' ;;
            --to) to=${2:-}; shift 2 || fail "--to needs a moment, like '2026-11-25 14:00'." ;;
            --over) over=${2:-}; shift 2 || fail '--over needs the name of the yard here.' ;;
            --replace) replace=1; shift ;;
            --unsealed) unsealed=--unsealed; shift ;;
            --*) fail "restore does not know \"$1\". It takes a file, --replace, --to, --unsealed, --over and --port." ;;
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
    mend_settings
    [ -f "$STATE/.env" ] || write_settings "$port" "$((port + 1))"
    if holds_a_yard; then
        [ -n "$replace" ] || fail 'There is a yard here already. --replace puts the backup in its place, after a backup of what is there.'
        # One that was put back and never served since has no account for the application yet.
        make_account jardinier
        artisan backup:make "$STATE/backups/before-restore-$(date +%Y%m%d-%H%M%S).tar.gz"
    fi
    say 'Making the yard of it'
    artisan backup:unpack "$file" $unsealed ${over:+--over="$over"} ${to:+--to="$to"} || exit 1
    end_supervision
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
        put_back_key
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

# What came out of a backup goes into a file as it is, and only if it is a key.
put_back_key() {
    local key
    key=$(cat "$STATE/restored/keys/app.key")
    [[ $key =~ ^base64:[A-Za-z0-9+/]{43}=$ ]] || fail 'The key in the backup is not a key. Nothing of it was taken.'
    { grep -av '^APP_KEY=' "$STATE/.env" || true; printf 'APP_KEY=%s\n' "$key"; } >"$STATE/.env.new"
    mv "$STATE/.env.new" "$STATE/.env"
}
