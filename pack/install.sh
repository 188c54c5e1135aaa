#!/bin/sh
# Installs Ystrata on this machine, or this version over an older one; --back goes back to the one before, with the kitchen as it was then.
#   sudo ./install.sh [--back] [--root DIR]
# --root lays everything out under a folder instead of on this machine, and starts nothing.
set -eu
here=$(cd "$(dirname "$(readlink -f "$0")")" && pwd)
root='' back=no
while [ $# -gt 0 ]; do
  case $1 in
    --back) back=yes ;;
    --root)
      root=$2
      shift
      ;;
    *) echo "install.sh: does not know '$1'" >&2 && exit 1 ;;
  esac
  shift
done

version=$(cat "$here/VERSION")
opt=$root/opt/ystrata
data=$root/var/lib/ystrata
etc=$root/etc/ystrata
unit=$root/etc/systemd/system/ystrata.service
keep=3

die() { echo "install.sh: $*" >&2 && exit 1; }
here_too() { [ -z "$root" ]; }
here_too || mkdir -p "$root"
! here_too || [ "$(id -u)" = 0 ] || die "has to be root"
! here_too || command -v systemctl >/dev/null || die "this machine has no systemd; see docs/running.md for others"

stop() { ! here_too || systemctl stop ystrata 2>/dev/null || true; }

# What is switched is one link, at one moment.
switch() {
  ln -sfn "releases/$1" "$opt/current.new"
  mv -T "$opt/current.new" "$opt/current"
}

start() {
  here_too || return 0
  systemctl daemon-reload
  systemctl enable --quiet ystrata
  systemctl restart ystrata
  sleep 3
  systemctl is-active --quiet ystrata
}

# The kitchen's file as it lies while nothing works on it. Who may come in is no part of it: a screen that was sent away stays away.
copy_kitchen() {
  rm -rf "$2"
  mkdir -p "$2"
  for file in "$1"/ystrata.db "$1"/ystrata.db-wal; do
    [ ! -e "$file" ] || cp -p "$file" "$2/"
  done
}

go_back() {
  [ -f "$opt/before" ] || die "there is no version to go back to"
  old=$(cat "$opt/before")
  [ -d "$opt/releases/$old" ] || die "version $old is no longer there"
  stop
  copy_kitchen "$data" "$data/after-$(basename "$(readlink "$opt/current")")"
  if [ -d "$data/before-$old" ]; then
    rm -f "$data"/ystrata.db "$data"/ystrata.db-wal "$data"/ystrata.db-shm
    cp -p "$data/before-$old"/* "$data/"
  fi
  switch "$old"
  rm "$opt/before"
  start || die "$old does not start: journalctl -u ystrata says why"
  echo "Back at $old, with the kitchen as it was before. What was kept since is in $data/after-…"
}

if [ $back = yes ]; then
  go_back
  exit 0
fi

if here_too && ! getent passwd ystrata >/dev/null; then
  useradd --system --home-dir /var/lib/ystrata --no-create-home --shell /usr/sbin/nologin ystrata
fi
mkdir -p "$opt/releases" "$data" "$etc" "$(dirname "$unit")"
chmod 700 "$data"

was=''
[ ! -L "$opt/current" ] || was=$(basename "$(readlink "$opt/current")")
[ "$was" != "$version" ] || [ ! -d "$opt/releases/$version" ] || echo "Version $version is there already; it is laid down anew."

rm -rf "$opt/releases/$version.new"
mkdir "$opt/releases/$version.new"
cp -R "$here/." "$opt/releases/$version.new/"
here_too && chown -R root:root "$opt/releases/$version.new"
chmod -R go=u-w "$opt/releases/$version.new"

stop
if [ -n "$was" ] && [ "$was" != "$version" ]; then
  copy_kitchen "$data" "$data/before-$was"
  echo "$was" >"$opt/before"
fi
rm -rf "$opt/releases/$version"
mv "$opt/releases/$version.new" "$opt/releases/$version"
switch "$version"
[ -f "$etc/ystrata.json" ] || printf '{\n  "lan": false\n}\n' >"$etc/ystrata.json"
cp "$here/ystrata.service" "$unit"
! here_too || chown -R ystrata:ystrata "$data"

if ! start; then
  [ -z "$was" ] || [ "$was" = "$version" ] || go_back
  die "$version does not start: journalctl -u ystrata says why"
fi
ls -1t "$opt/releases" | tail -n +$((keep + 1)) | while read -r old; do
  [ "$old" = "$was" ] || rm -rf "$opt/releases/$old"
done
echo "Ystrata $version is installed. The kitchen lies in $data, its settings in $etc/ystrata.json."
echo "On the machine itself: http://127.0.0.1:5180. For tablets: set \"lan\": true there, a passphrase, and start it again:"
echo "  sudo -u ystrata /opt/ystrata/current/ystrata passphrase --data /var/lib/ystrata && sudo systemctl restart ystrata"
