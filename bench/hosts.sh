# Three hosts on one machine, as deploy/ sets them up: each a Debian of its own with systemd, in a network namespace of
# its own on one bridge. Sourced, by root, after bin/lib/common.sh.

. "$(dirname "${BASH_SOURCE[0]}")/machine.sh"

bridge=vch$$
bridge=${bridge:0:12}
declare -A address=([one]=10.78.0.1 [two]=10.78.0.2 [three]=10.78.0.3) kind=([one]=database [two]=database [three]=copies)
door=http://${address[three]}
db_password=$(head -c 12 /dev/urandom | od -An -tx1 | tr -d ' \n')

hosts_clear_away() {
  local host
  for host in one two three; do
    power_cut "$host"
    umount "$dir/$host" 2>/dev/null || true
    ip netns del "vc-$host-$$" 2>/dev/null || true
  done
  ip link del "$bridge" 2>/dev/null || true
  clear_away
}

# What every host has, once: Debian's packages, the program, deploy/. HOSTS names a folder where it is kept for the next run.
base_made() {
  base=${HOSTS:-$dir/base}
  if [ ! -f "$base/made" ]; then
    fresh "$base"
    printf '#!/bin/sh\nexit 101\n' >"$base/usr/sbin/policy-rc.d"
    chmod +x "$base/usr/sbin/policy-rc.d"
    mkdir -p "$base/etc/postgresql-common"
    printf 'create_main_cluster = false\n' >"$base/etc/postgresql-common/createcluster.conf"
    mount -t proc proc "$base/proc"
    chroot "$base" env DEBIAN_FRONTEND=noninteractive sh -ec 'apt-get update -qq; apt-get install -y -qq --no-install-recommends \
      openjdk-17-jre-headless etcd-server etcd-client pgbackrest postgresql-15 procps curl patroni python3-etcd haproxy pgbouncer' \
      >"$dir/packages.log" 2>&1 || { umount "$base/proc"; fail "$(tail -5 "$dir/packages.log")"; }
    umount "$base/proc"
    rm -f "$base/usr/sbin/policy-rc.d"
    # What runs on which host is decided by hand, and nothing before.
    chroot "$base" systemctl -q disable etcd patroni pgbackrest haproxy pgbouncer postgresql
    touch "$base/made"
  fi
  mkdir -p "$base/opt/velvetcrock"
  rm -rf "$base/opt/velvetcrock/deploy"
  cp -a "$root_dir/deploy" "$base/opt/velvetcrock/"
  cp "$root_dir/app/target/velvetcrock.jar" "$base/opt/velvetcrock/velvetcrock.jar"
  rm -rf "$base/opt/velvetcrock/programs"
}

# The machine of HOST, with its own changes over what all have, on the bridge; switched on, not set up.
host_made() {
  local host=$1 space=vc-$1-$$
  mkdir -p "$dir/$host" "$dir/of-$host" "$dir/work-$host"
  mount -t overlay overlay -o "lowerdir=$base,upperdir=$dir/of-$host,workdir=$dir/work-$host" "$dir/$host"
  ip netns add "$space"
  ip link add "$bridge-$host" type veth peer name wire netns "$space"
  ip link set "$bridge-$host" master "$bridge" up
  ip -n "$space" addr add "${address[$host]}/24" dev wire
  ip -n "$space" link set wire up
  ip -n "$space" link set lo up
  switch_on "$host" "$dir/$host" "$space"
}

# Its power fails, and with it its wire: nobody is told that it is gone.
host_lost() {
  ip link set "$bridge-$1" down
  power_cut "$1"
}

host_back() {
  ip link set "$bridge-$1" up
  switch_on "$1" "$dir/$1" "vc-$1-$$"
}

# Usage: host_set_up HOST [existing]
host_set_up() {
  local host=$1
  cp -a "$dir/certificates/$host" "$dir/$host/srv/certificates"
  cp "$dir/secrets" "$dir/$host/srv/secrets"
  at "$host" /opt/velvetcrock/deploy/set-up "$host" "${kind[$host]}" /srv/certificates /srv/secrets "${@:2}"
}

# The machine of HOST is gone with its disk, and a fresh one is there under its name and address, not set up.
host_replaced() {
  host_lost "$1"
  umount "$dir/$1"
  rm -rf "$dir/of-$1" "$dir/work-$1"
  ip netns del "vc-$1-$$"
  ip link del "$bridge-$1" 2>/dev/null || true
  host_made "$1"
}

# All three, set up and working: an agreement, a database with its replica, copies, an instance each, the door.
hosts_up() {
  local host
  ip link add "$bridge" type bridge
  ip addr add 10.78.0.254/24 dev "$bridge"
  ip link set "$bridge" up
  base_made
  "$root_dir/deploy/certificates" "$dir/certificates" one two three
  printf 'PATRONI_REPLICATION_PASSWORD=%s\nPATRONI_REWIND_PASSWORD=%s\nVELVETCROCK_DB_PASSWORD=%s\nVELVETCROCK_REGISTRATION=%s\nVELVETCROCK_ORIGIN=%s\n' \
    replicate rewind "$db_password" "${REGISTRATION:-invitation}" "$door" >"$dir/secrets"
  for host in one two three; do
    host_made "$host"
    host_set_up "$host"
  done
  for host in one two three; do at "$host" systemctl -q enable --now --no-block etcd pgbackrest; done
  wait_for "an agreement of three" 60 agreed
  at one systemctl -q enable --now patroni
  wait_for "a leader" 90 leads one
  at three runuser -u postgres -- pgbackrest --stanza=velvetcrock stanza-create
  at two systemctl -q enable --now patroni
  wait_for "a replica that has all" 120 has_replica
  at three runuser -u postgres -- pgbackrest --stanza=velvetcrock check
}

# Instances on HOST …, and the door.
instances_up() {
  local host
  for host in "$@"; do
    at "$host" /opt/velvetcrock/deploy/program /opt/velvetcrock/velvetcrock.jar
    at "$host" systemctl -q enable --now velvetcrock@8081
    wait_for "an instance on $host" 300 ready "$host"
  done
  at three systemctl -q enable haproxy
  at three systemctl -q start haproxy
  wait_for "the door is open" 30 open_door
}

# Usage: wait_for WORDS SECONDS COMMAND …
wait_for() {
  local words=$1 began=${EPOCHREALTIME/./} limit=$((SECONDS + $2))
  shift 2
  until "$@" >/dev/null 2>&1; do
    [ "$SECONDS" -lt "$limit" ] || fail "Not there in time: $words"
    sleep 0.2
  done
  say "$words: after $(since "$began") s"
}

agreed() { at three /opt/velvetcrock/deploy/agreement endpoint health; }
leads() { curl -sf -m 2 -o /dev/null --cacert "$dir/certificates/ca.crt" --resolve "$1:8008:${address[$1]}" "https://$1:8008/primary"; }
leader() { local host; for host in one two; do ! leads "$host" || printf '%s' "$host"; done; }
follows() { [ "$(leader)" = one ] && printf two || printf one; }
has_replica() {
  local host
  for host in one two; do
    ! curl -sf -m 2 -o /dev/null --cacert "$dir/certificates/ca.crt" --resolve "$host:8008:${address[$host]}" "https://$host:8008/synchronous" || return 0
  done
  return 1
}
ready() { curl -sf -m 2 -o /dev/null -H "Host: localhost" "http://${address[$1]}:8081/ready"; }
open_door() { curl -sf -m 2 -o /dev/null "$door/sign-in"; }

# SQL on the host that leads, as its superuser.
hosts_sql() { at "$(leader)" runuser -u postgres -- psql -q -v ON_ERROR_STOP=1 -d velvetcrock "$@"; }
