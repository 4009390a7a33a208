# The set-up steps. Each is skipped when what it reads has not changed since it last went through.
stamps=var/stamps

digest() { cat "$@" | sha256sum | cut -d' ' -f1; }
done_before() { [ -f "$stamps/$1" ] && [ "$(cat "$stamps/$1")" = "$2" ]; }
remember() { mkdir -p "$stamps"; printf '%s' "$2" > "$stamps/$1"; }

ensure_packages() {
    wanted=$(grep -v '^#' setup/apt.txt)
    missing=""
    for name in $wanted; do
        dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'ok installed' || missing="$missing $name"
    done
    [ -z "$missing" ] && return 0
    if [ "$(id -u)" -ne 0 ]; then
        echo "These Debian packages are missing:$missing" >&2
        echo "Install them as root (apt-get install$missing), then run this again." >&2
        exit 1
    fi
    echo "Installing Debian packages:$missing"
    mkdir -p var
    { apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends $missing; } \
        > var/apt.log 2>&1 || { tail -n 20 var/apt.log >&2; echo "apt-get failed; all of it is in var/apt.log" >&2; exit 1; }
}

ensure_python() {
    mark=$(digest requirements-dev.txt setup/steps.sh)
    [ -x .venv/bin/python ] && done_before python "$mark" && return 0
    base=/usr/bin/python3
    { [ -x "$base" ] && "$base" -c 'import ensurepip, sys; sys.exit(sys.version_info < (3, 11))' 2>/dev/null; } || base=python3
    command -v "$base" >/dev/null 2>&1 || { ensure_packages; base=/usr/bin/python3; }
    "$base" -c 'import ensurepip' 2>/dev/null || ensure_packages
    echo "Installing the Python packages of requirements-dev.txt"
    rm -rf .venv
    "$base" -m venv .venv
    .venv/bin/pip install -q --disable-pip-version-check uv==0.13.9 2>&1 | grep -v '^WARNING' || true
    .venv/bin/uv pip install -q --python .venv/bin/python --require-hashes -r requirements-dev.txt 2> .venv/install.log \
        || { cat .venv/install.log >&2; exit 1; }
    remember python "$mark"
}

ensure_web() {
    PATH="$PWD/.venv/bin:$PATH"; export PATH
    mark=$(digest web/package-lock.json web/.npmrc requirements-dev.txt)
    if ! { [ -d web/node_modules ] && done_before node "$mark"; }; then
        echo "Installing the packages of web/package-lock.json"
        mkdir -p var
        (cd web && npm ci --no-progress) > var/npm.log 2>&1 || { tail -n 30 var/npm.log >&2; exit 1; }
        remember node "$mark"
    fi
    mark=$(find web/src web/index.html web/vite.config.ts web/package-lock.json -type f | LC_ALL=C sort | xargs cat | sha256sum | cut -d' ' -f1)
    if ! { [ -f web/dist/index.html ] && done_before built "$mark"; }; then
        echo "Building the pages"
        (cd web && npm run --silent build) > var/build.log 2>&1 || { tail -n 40 var/build.log >&2; exit 1; }
        remember built "$mark"
    fi
}

# The search for a shorter lay is compiled once; what it compiles to is kept in var/numba.
ensure_search() {
    NUMBA_CACHE_DIR="$PWD/var/numba"; export NUMBA_CACHE_DIR
    mark=$(stat -c '%n %s %Y' cutting/lay/search/*.py | cat - requirements-dev.txt | sha256sum | cut -d' ' -f1)
    [ -d var/numba ] && done_before search "$mark" && return 0
    echo "Compiling the search for a shorter lay"
    mkdir -p var
    .venv/bin/python -m cutting.search_child warm > var/search.log 2>&1 || { tail -n 20 var/search.log >&2; exit 1; }
    remember search "$mark"
}
