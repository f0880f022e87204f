# What has to be on the machine: Debian's packages, PHP's, the web's.

php_version() { php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;'; }

# Prints the Debian packages that are missing, one a line.
missing_packages() {
    local version
    version=$(php_version)
    find_program mariadbd >/dev/null || echo mariadb-server
    find_program nginx >/dev/null || echo nginx-light
    find_program "php-fpm$version" >/dev/null || echo "php$version-fpm"
    find_program supervisord >/dev/null || echo supervisor
    find_program openssl >/dev/null || echo openssl
    local modules pair
    modules=$(php -m)
    for pair in pdo_mysql:mysql curl:curl zip:zip gd:gd bcmath:bcmath intl:intl mbstring:mbstring dom:xml; do
        grep -qix "${pair%%:*}" <<<"$modules" || echo "php$version-${pair##*:}"
    done
    if [[ " ${1:-} " = *" browser "* ]]; then
        find_program chromium >/dev/null || echo chromium
        find_program chromedriver >/dev/null || echo chromium-driver
        find_program pdfinfo >/dev/null || echo poppler-utils
        find_program certutil >/dev/null || echo libnss3-tools
        find_program systemd-analyze >/dev/null || echo systemd
    fi
    if [[ " ${1:-} " = *" load "* ]]; then
        find_program wrk >/dev/null || echo wrk
    fi
}

find_program() { PATH="$PATH:/usr/sbin:/usr/local/sbin:/sbin" command -v "$1"; }

ensure_system_packages() {
    local tool missing sudo=
    for tool in php composer node npm git; do
        command -v "$tool" >/dev/null || fail "$tool is missing. Install it first; with PHP 8.2, Composer, Node 20 and git the rest is installed from here."
    done
    php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || fail "PHP $(php_version) is too old. Install PHP 8.2 or newer."
    missing=$(missing_packages "${1:-}" | tr '\n' ' ')
    missing=${missing% }
    [ -n "$missing" ] || return 0
    command -v apt-get >/dev/null || fail "These are missing: $missing. Install them with this system's package manager and start again."
    if [ "$(id -u)" -ne 0 ]; then
        sudo=sudo
        command -v sudo >/dev/null && sudo -n true 2>/dev/null || [ -t 0 ] && command -v sudo >/dev/null \
            || fail "These packages are missing and may not be installed without root: $missing. Have them installed with: apt-get install $missing"
    fi
    say "Installing $missing"
    mkdir -p var
    step 'Fetching the package lists' 'Is there a network? Start again when there is.' var/apt.log $sudo apt-get update -q
    # shellcheck disable=SC2086
    step 'Installing the packages' 'See what it says above, then start again.' var/apt.log $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends $missing
}

# Runs an installation only when what it depends on has changed since it last succeeded.
#   when_changed STAMP "files" command...
when_changed() {
    local stamp=$1 files=$2 now
    shift 2
    # shellcheck disable=SC2086
    now=$(find $files -type f -not -name schema.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-64)
    [ "$(cat "$stamp" 2>/dev/null)" = "$now" ] && return 0
    "$@"
    mkdir -p "$(dirname "$stamp")"
    printf '%s' "$now" >"$stamp"
}

ensure_php_packages() {
    mkdir -p var bootstrap/cache
    when_changed vendor/.installed composer.json \
        step 'Installing the PHP packages' 'Is there a network? Start again when there is.' var/composer.log composer install --no-interaction --no-progress
}

ensure_web() {
    when_changed node_modules/.installed 'package.json package-lock.json' \
        step 'Installing the web packages' 'Is there a network? Start again when there is.' var/npm.log npm ci --no-audit --no-fund
    when_changed public/build/.built 'web docs/openapi.yaml package-lock.json vite.config.ts tsconfig.json' \
        step 'Building the web application' 'See what it says above.' var/build.log npm run build
}

# What is installed and built may be read by others; only what a yard writes may not. Several who start at once do it one
# after another.
ensure_everything() {
    mkdir -p var
    (
        flock 8
        umask 022
        ensure_system_packages "${1:-}"
        ensure_php_packages
        ensure_web
        # What the framework notes down of the packages and providers is noted now: whoever starts it next writes for fewer readers.
        env -u APP_CONFIG_CACHE -u APP_ROUTES_CACHE -u APP_EVENTS_CACHE php artisan package:discover --quiet
        # Some packages come without the right to be read.
        chmod -R go+rX vendor public bootstrap/cache 2>/dev/null || true
    ) 8>var/installing.lock || exit 1
}
