# Shared by bin/demo and bin/test: makes a fresh machine ready. Needs node and npm, nothing else.
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
cd "$root" || exit 1

need_node() {
  command -v node >/dev/null || { echo "Node.js is needed (version 20.19 or later)." >&2; exit 1; }
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' ||
    { echo "Node.js 20.19 or later is needed; this is $(node --version)." >&2; exit 1; }
}

# Installs the packages when they are missing or the lock file has changed since.
need_packages() {
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.verdant-burrow ]; then
    echo "Installing packages..."
    npm ci --no-audit --no-fund --loglevel=error || exit 1
    touch node_modules/.verdant-burrow
  fi
}

# need_debian COMMAND PACKAGE: installs a Debian package when its command is missing.
need_debian() {
  [ -x "$1" ] || command -v "$1" >/dev/null && return 0
  echo "Installing $2 from Debian..."
  local sudo=""
  [ "$(id -u)" = 0 ] || sudo="sudo"
  { $sudo apt-get update -qq && DEBIAN_FRONTEND=noninteractive $sudo apt-get install -y -qq --no-install-recommends "$2"; } >/dev/null ||
    { echo "$2 could not be installed: install it by hand (apt-get install $2)." >&2; exit 1; }
}
