#!/usr/bin/env bash
# Prints where tests write best: in memory, where there is plenty and programs may run from it.
set -euo pipefail

plenty=$((8 * 1024 * 1024)) # KiB
memory=/dev/shm
free=$(df -k --output=avail "$memory" 2>/dev/null | tail -1 || true)
if [ "${free:-0}" -ge "$plenty" ] && [ -w "$memory" ] && ! findmnt -no OPTIONS "$memory" | grep -qw noexec; then
  echo "$memory"
else
  echo "${TMPDIR:-/tmp}"
fi
