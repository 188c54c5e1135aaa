#!/usr/bin/env bash
# Unpacks an archive where there is neither .NET nor Node, runs it, installs it under a folder, lays a newer version over it and goes back: check.sh ARCHIVE
set -euo pipefail
archive=$1
place=$(mktemp -d)
server=''
trap '[ -z "$server" ] || kill "$server" 2>/dev/null || true; rm -rf "$place"' EXIT
die() { echo "pack: $*" >&2 && exit 1; }
# Nothing on the PATH but what a script needs: wherever a toolchain lies, it is not found.
mkdir "$place/tools"
for tool in sh env cat dirname readlink; do ln -s "$(command -v $tool)" "$place/tools/$tool"; done
bare() { env -i PATH="$place/tools" HOME="$place/home" "$@"; }

tar -C "$place" -xzf "$archive"
folder=$(echo "$place"/ystrata-*)
version=$(cat "$folder/VERSION")
mkdir "$place/home"
! bare sh -c 'command -v dotnet || command -v node' || die "there is a toolchain on the PATH: nothing is shown here"

# From nothing to the first answer, three times; the first makes the kitchen.
began() {
  local from=$(($(date +%s%N) / 1000000))
  : >"$place/said"
  env -i PATH="$place/tools" HOME="$place/home" "$1/ystrata" start --port 0 --data "$2" >"$place/said" 2>&1 &
  server=$!
  for _ in $(seq 1000); do
    address=$(sed -n 's/^Ystrata is at //p' "$place/said")
    [ -z "$address" ] || break
    kill -0 "$server" 2>/dev/null || { cat "$place/said" >&2 && die "it does not start"; }
    sleep 0.02
  done
  curl -sf "$address/api/larder" >"$place/larder" || die "it does not answer"
  took=$(($(date +%s%N) / 1000000 - from))
}
ended() { kill "$server" && wait "$server" 2>/dev/null || true; server=''; }

for _ in 1 2 3; do
  began "$folder" "$place/kitchen"
  echo "pack: started and answered in $took ms"
  curl -sf "$address/healthz" | grep -qx "Ystrata $version" || die "it does not say its version"
  curl -sf "$address/" | grep -q '<div id="app">' || die "it has no pages"
  ended
done
[ "$(stat -c %a "$place/kitchen/ystrata.db")" = 600 ] || die "the kitchen's file is not its owner's alone"
bare "$folder/ystrata" start --port 0 --data "$folder/bin/data" >"$place/said" 2>&1 && die "data may lie inside the program" || grep -q "inside the program" "$place/said" || die "it does not say why data may not lie inside it"

root=$place/machine
"$folder/install.sh" --root "$root" >/dev/null
mkdir -p "$root/var/lib/ystrata"
began "$root/opt/ystrata/current" "$root/var/lib/ystrata"
curl -sf -X POST -H 'X-Ystrata: pack' -H 'content-type: application/json' -d '{"name":"Quay bowl","item":"water","fill":"spooned","mass":500}' "$address/api/vessels" >/dev/null || die "it keeps nothing"
ended

cp -R "$folder" "$place/newer"
echo "$version-newer" >"$place/newer/VERSION"
"$place/newer/install.sh" --root "$root" >/dev/null
[ "$(readlink "$root/opt/ystrata/current")" = "releases/$version-newer" ] || die "the newer one is not the one that runs"
began "$root/opt/ystrata/current" "$root/var/lib/ystrata"
grep -q "Quay bowl" "$place/larder" || die "the newer version lost the kitchen"
curl -sf -X POST -H 'X-Ystrata: pack' -H 'content-type: application/json' -d '{"name":"Later bowl","item":"water","fill":"spooned","mass":600}' "$address/api/vessels" >/dev/null
ended
"$place/newer/install.sh" --back --root "$root" >/dev/null
[ "$(readlink "$root/opt/ystrata/current")" = "releases/$version" ] || die "it did not go back"
began "$root/opt/ystrata/current" "$root/var/lib/ystrata"
grep -q "Quay bowl" "$place/larder" && ! grep -q "Later bowl" "$place/larder" || die "going back did not bring the kitchen back"
ended
[ -s "$root/var/lib/ystrata/after-$version-newer/ystrata.db" ] || die "what was kept since is lost"
"$folder/uninstall.sh" --root "$root" >/dev/null
[ ! -e "$root/opt/ystrata" ] && [ -s "$root/var/lib/ystrata/ystrata.db" ] || die "uninstalled, the kitchen has to stay"
! command -v systemd-analyze >/dev/null || systemd-analyze security --offline=yes "$folder/ystrata.service" | tail -1
echo "pack: unpacked, run, installed, upgraded, gone back and uninstalled; $(($(stat -c %s "$archive") / 1000000)) MB"
