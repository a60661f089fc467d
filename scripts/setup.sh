#!/usr/bin/env bash
# Installs the Debian packages that are missing: MariaDB's server without its
# system service, and Chromium where the browser is needed (setup.sh browser).
set -euo pipefail

packages=()
[ -x /usr/sbin/mariadbd ] && command -v mariadb-install-db >/dev/null || packages+=(mariadb-server-core)
command -v my_print_defaults >/dev/null || packages+=(mariadb-client-core)
command -v mariadb-dump >/dev/null || packages+=(mariadb-client) # copies before an upgrade
if [ "${1:-}" = browser ]; then
  command -v chromium-headless-shell >/dev/null || packages+=(chromium-headless-shell)
  command -v pdftotext >/dev/null || packages+=(poppler-utils) # reads back what is printed
fi
[ ${#packages[@]} -eq 0 ] && exit 0

root=()
[ "$(id -u)" -eq 0 ] || root=(sudo)
echo "Installing ${packages[*]}"
"${root[@]}" apt-get update -qq
"${root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${packages[@]}" >/dev/null
