#!/usr/bin/env bash
# Installs the Debian packages that are missing: MariaDB's server without its
# system service, Chromium where the browser is needed (setup.sh browser), and what a cluster on
# loopback takes besides (setup.sh browser cluster).
set -euo pipefail

packages=()
[ -x /usr/sbin/mariadbd ] && command -v mariadb-install-db >/dev/null || packages+=(mariadb-server-core)
command -v my_print_defaults >/dev/null || packages+=(mariadb-client-core)
command -v mariadb-dump >/dev/null || packages+=(mariadb-client) # copies before an upgrade
wanted() { [[ " $asked " == *" $1 "* ]]; }
asked=$*
if wanted browser; then
  command -v chromium-headless-shell >/dev/null || packages+=(chromium-headless-shell)
  command -v pdftotext >/dev/null || packages+=(poppler-utils) # reads back what is printed
fi
if wanted cluster; then
  [ -e /usr/lib/galera/libgalera_smm.so ] || packages+=(galera-4)
  command -v mariadb-backup >/dev/null || packages+=(mariadb-backup) # copies a node to another
  command -v socat >/dev/null || packages+=(socat)
  command -v haproxy >/dev/null || [ -x /usr/sbin/haproxy ] || packages+=(haproxy)
fi

# What copies a node to another is in the package that also starts a service: it is taken out of it.
copying() {
  wanted cluster && ! command -v wsrep_sst_mariabackup >/dev/null || return 0
  local folder=${XDG_CACHE_HOME:-$HOME/.cache}/keeler/wsrep
  [ -x "$folder/wsrep_sst_mariabackup" ] && return 0
  mkdir -p "$folder"
  (cd "$folder" && apt-get download -qq mariadb-server && dpkg-deb --fsys-tarfile mariadb-server_*.deb | tar x --strip-components=3 --wildcards './usr/bin/wsrep_sst_*' && rm mariadb-server_*.deb)
}

[ ${#packages[@]} -eq 0 ] && copying && exit 0

root=()
[ "$(id -u)" -eq 0 ] || root=(sudo)
echo "Installing ${packages[*]}"
"${root[@]}" apt-get update -qq
"${root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${packages[@]}" >/dev/null
copying
