#!/bin/sh
# Takes Ystrata off this machine. The kitchen stays, unless --data is said: then it goes too, for good.
#   sudo ./uninstall.sh [--data] [--root DIR]
set -eu
root='' data=no
while [ $# -gt 0 ]; do
  case $1 in
    --data) data=yes ;;
    --root)
      root=$2
      shift
      ;;
    *) echo "uninstall.sh: does not know '$1'" >&2 && exit 1 ;;
  esac
  shift
done
if [ -z "$root" ]; then
  [ "$(id -u)" = 0 ] || { echo "uninstall.sh: has to be root" >&2 && exit 1; }
  systemctl disable --now --quiet ystrata 2>/dev/null || true
fi
rm -rf "$root/opt/ystrata" "$root/etc/systemd/system/ystrata.service"
[ -n "$root" ] || systemctl daemon-reload
if [ $data = yes ]; then
  rm -rf "$root/var/lib/ystrata" "$root/etc/ystrata"
  [ -n "$root" ] || userdel ystrata 2>/dev/null || true
  echo "Ystrata and its kitchen are gone."
else
  echo "Ystrata is gone. Its kitchen is still in $root/var/lib/ystrata, its settings in $root/etc/ystrata."
fi
