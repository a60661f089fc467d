#!/usr/bin/env bash
# Tries the package in a fresh Debian, made in a folder by debootstrap: installed, used, upgraded
# with its data, removed and purged. As root; it takes some minutes and a gigabyte.
set -Eeuo pipefail
cd "$(dirname "$0")/.."

root=$(mktemp -d)
chmod 0755 "$root" # it is the / of a user, too
served=
away() {
  [ -z "$served" ] || kill "$served" 2>/dev/null || true
  wait 2>/dev/null || true
  umount "$root/proc" 2>/dev/null || true
  rm -rf "$root"
}
trap away EXIT
. /etc/os-release
mirror=${MIRROR:-http://deb.debian.org/debian}

trap 'echo "failed in line $LINENO: $BASH_COMMAND" >&2' ERR
say() { echo "== $*"; }
inside() { chroot "$root" env DEBIAN_FRONTEND=noninteractive "$@"; }
take() { # installs a package with what it needs
  cp "$1" "$root/tmp/"
  inside apt-get install -y -qq --no-install-recommends "/tmp/$(basename "$1")" >/dev/null
}
serve() { # runs it as its unit would
  inside su -s /bin/sh keeler -c 'cd /; set -a; exec /usr/bin/keeler serve --addr 127.0.0.1:18080 --data /var/lib/keeler' >"$root/tmp/said" 2>&1 &
  served=$!
  for _ in $(seq 300); do
    curl -fs http://127.0.0.1:18080/healthz >/dev/null && return
    sleep 0.2
  done
  cat "$root/tmp/said"
  exit 1
}
stop() {
  pkill -TERM -u "$(inside id -u keeler)" -x keeler
  wait "$served" || true
  served=
}

say "a fresh $VERSION_CODENAME"
debootstrap --variant=minbase --include=ca-certificates "$VERSION_CODENAME" "$root" "$mirror" >/dev/null
cp -r /etc/apt/apt.conf.d "$root/etc/apt/" 2>/dev/null || true
cp /etc/resolv.conf "$root/etc/"
echo "127.0.0.1 localhost" >"$root/etc/hosts"
mount -t proc proc "$root/proc"
inside apt-get update -qq

say "installed and used"
take "$(scripts/deb.sh 0.1)"
serve
code=$(sed -n 's/.*this code: *//p' "$root/tmp/said")
curl -fs -H 'Content-Type: application/json' -c "$root/tmp/jar" http://127.0.0.1:18080/api/claim \
  -d "{\"code\":\"$code\",\"operation\":\"Quay\",\"login\":\"Owner\",\"password\":\"a long enough one\"}" >/dev/null
curl -fs -H 'Content-Type: application/json' -b "$root/tmp/jar" http://127.0.0.1:18080/api/yards \
  -d '{"id":"3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01","name":"Kept yard","latitude":57}' >/dev/null
stop
[ "$(inside stat -c %U%a /var/lib/keeler)" = keeler700 ]

say "upgraded with its data"
echo '#KEELER_LOG=debug' >>"$root/etc/keeler/keeler.env"
take "$(scripts/deb.sh 0.2)"
grep -q 'KEELER_LOG=debug' "$root/etc/keeler/keeler.env"
serve
curl -fs -b "$root/tmp/jar" http://127.0.0.1:18080/api/yards | grep -q 'Kept yard'
stop

say "removed: the records stay"
inside apt-get remove -y -qq keeler >/dev/null
[ ! -e "$root/usr/bin/keeler" ] && [ -d "$root/var/lib/keeler/own" ]

say "purged: they go, the settings with them, and the backups stay"
inside apt-get purge -y -qq keeler >/dev/null
[ ! -e "$root/var/lib/keeler" ] && [ ! -e "$root/etc/keeler/keeler.env" ] && [ -d "$root/var/backups/keeler" ]
if inside id keeler 2>/dev/null; then exit 1; fi
say "all as it should be"
