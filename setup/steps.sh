# The set-up steps. Each is skipped when what it reads has not changed since it last went through.
stamps=var/stamps

digest() { cat "$@" | sha256sum | cut -d' ' -f1; }
done_before() { [ -f "$stamps/$1" ] && [ "$(cat "$stamps/$1")" = "$2" ]; }
remember() { mkdir -p "$stamps"; printf '%s' "$2" > "$stamps/$1"; }

# With "test": what the tests need on top.
ensure_packages() {
    wanted=$(grep -hv '^#' setup/apt.txt ${1:+setup/apt-$1.txt})
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

# What Plavet runs on; with "test" what the tests need on top: they are more packages, at the same versions.
ensure_python() {
    mark=$(digest requirements.txt setup/steps.sh)
    if ! { [ -x .venv/bin/python ] && done_before python "$mark"; }; then
        base=/usr/bin/python3
        { [ -x "$base" ] && "$base" -c 'import ensurepip, sys; sys.exit(sys.version_info < (3, 11))' 2>/dev/null; } || base=python3
        command -v "$base" >/dev/null 2>&1 || { ensure_packages; base=/usr/bin/python3; }
        "$base" -c 'import ensurepip' 2>/dev/null || ensure_packages
        rm -rf .venv "$stamps/python-test"
        "$base" -m venv .venv
        .venv/bin/pip install -q --disable-pip-version-check uv==0.13.9 2>&1 | grep -v '^WARNING' || true
        install_python requirements.txt
        remember python "$mark"
    fi
    [ "${1:-}" = test ] || return 0
    mark=$(digest requirements-dev.txt setup/steps.sh)
    done_before python-test "$mark" && return 0
    install_python requirements-dev.txt
    remember python-test "$mark"
}

install_python() {
    echo "Installing the Python packages of $1"
    .venv/bin/uv pip install -q --python .venv/bin/python --require-hashes -r "$1" 2> .venv/install.log \
        || { cat .venv/install.log >&2; exit 1; }
}

ensure_web() {
    PATH="$PWD/.venv/bin:$PATH"; export PATH
    mark=$(digest web/package-lock.json web/.npmrc requirements.txt)
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
    mark=$(stat -c '%n %s %Y' cutting/lay/search/*.py | cat - requirements.txt | sha256sum | cut -d' ' -f1)
    [ -d var/numba ] && done_before search "$mark" && return 0
    echo "Compiling the search for a shorter lay"
    mkdir -p var
    .venv/bin/python -m cutting.search_child warm > var/search.log 2>&1 || { tail -n 20 var/search.log >&2; exit 1; }
    remember search "$mark"
}
