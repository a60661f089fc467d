#!/usr/bin/env bash
# Builds a Debian package of bin/keeler: scripts/deb.sh [VERSION], the day and hour of the
# commit when none is given. It prints where the package is.
set -euo pipefail
cd "$(dirname "$0")/.."

version=${1:-0.$(git log -1 --format=%cd --date=format:%Y%m%d.%H%M)}
architecture=$(dpkg --print-architecture)
root=$(mktemp -d)
trap 'rm -rf "$root"' EXIT
chmod 0755 "$root"

install -D -m 0755 bin/keeler "$root/usr/bin/keeler"
strip "$root/usr/bin/keeler"
install -D -m 0644 <(sed 's#{program}#/usr/bin/keeler#' cmd/keeler/keeler.service) "$root/lib/systemd/system/keeler.service"
install -D -m 0640 packaging/deb/keeler.env "$root/etc/keeler/keeler.env"
install -D -m 0644 docs/operations.md "$root/usr/share/doc/keeler/operations.md"
install -D -m 0644 LICENSE "$root/usr/share/doc/keeler/copyright"
install -D -m 0644 packaging/deb/conffiles "$root/DEBIAN/conffiles"
for script in postinst prerm postrm; do
  install -m 0755 "packaging/deb/$script" "$root/DEBIAN/$script"
done
sed "s#{version}#$version#; s#{architecture}#$architecture#" packaging/deb/control >"$root/DEBIAN/control"

mkdir -p dist
package="dist/keeler_${version}_$architecture.deb"
dpkg-deb --root-owner-group --build "$root" "$package" >/dev/null
echo "$package"
