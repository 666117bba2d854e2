# Machines for benchmarks: each a fresh Debian with systemd of its own, its own processes, mounts, names and groups, and
# where wanted its own network. Made for one run and thrown away. Sourced, by root, after bin/lib/common.sh; sets dir.

[ "$(id -u)" -eq 0 ] || fail "Another root file system is root's: sudo $0"
for each in debootstrap curl nsenter; do command -v "$each" >/dev/null 2>&1 || fail "Missing: $each"; done
suite=bookworm # MIRROR names another place of Debian’s packages than debootstrap’s own
dir=$(mktemp -d)
chmod 755 "$dir"
groups=$dir/groups
mkdir "$groups"
mount -t cgroup2 none "$groups"
declare -A group=() init=()

# What was switched on is cut off, and nothing stays.
clear_away() {
  local name
  for name in "${!init[@]}"; do power_cut "$name"; done
  for name in "${!group[@]}"; do rmdir_all "${group[$name]}"; done
  umount "$groups"
  rm -rf --one-file-system "$dir"
}
rmdir_all() { find "$1" -depth -type d -exec rmdir {} + 2>/dev/null || true; }

expect() {
  case "$3" in
    *"$2"*) say "as it should be: $1" ;;
    *) fail "$1: expected “$2”, found “$3”" ;;
  esac
}

# Seconds since a moment in microseconds.
since() { awk -v from="$1" -v to="${EPOCHREALTIME/./}" 'BEGIN { printf "%.1f", (to - from) / 1e6 }'; }

# A fresh Debian in FOLDER, as little as has systemd. DEBIAN names a folder with one that was made before.
fresh() {
  [ -z "${DEBIAN:-}" ] || [ -d "$dir/debian" ] || cp -a "$DEBIAN" "$dir/debian"
  [ -d "$dir/debian" ] || debootstrap --variant=minbase --include=systemd,systemd-sysv,dbus,ca-certificates,iproute2 \
    "$suite" "$dir/debian" ${MIRROR:+"$MIRROR"} >"$dir/debootstrap.log" 2>&1 || fail "See $dir/debootstrap.log: $(tail -3 "$dir/debootstrap.log")"
  cp -a "$dir/debian" "$1"
  cp /etc/resolv.conf "$1/etc/"
  # Its security updates, too, where this machine knows them.
  if [ -f /etc/apt/sources.list.d/debian.sources ]; then
    cp /etc/apt/sources.list.d/debian.sources "$1/etc/apt/sources.list.d/"
    rm -f "$1/etc/apt/sources.list"
  fi
  rm -f "$1/etc/systemd/system/getty.target.wants/"*
  ln -sf /dev/null "$1/etc/systemd/system/console-getty.service"
}

# Switches the machine NAME in FOLDER on. Its network is that of NAMESPACE, or this machine's.
# Usage: switch_on NAME FOLDER [NAMESPACE]
switch_on() {
  local name=$1 root=$2 net=() starter each
  [ -z "${3:-}" ] || net=(nsenter "--net=/run/netns/$3")
  group[$name]=$groups/velvetcrock-$$-$name
  mkdir -p "${group[$name]}"
  (
    echo "$BASHPID" >"${group[$name]}/cgroup.procs"
    exec "${net[@]}" setsid unshare --mount --pid --fork --uts --ipc --cgroup --propagation private bash -euc '
      mount --bind "$0" "$0"
      cd "$0"
      mount -t proc proc proc
      mount -t sysfs sysfs sys
      mount -t tmpfs tmpfs run
      mount -t tmpfs -o mode=755 tmpfs dev
      mknod -m 666 dev/null c 1 3; mknod -m 666 dev/zero c 1 5; mknod -m 666 dev/full c 1 7
      mknod -m 666 dev/random c 1 8; mknod -m 666 dev/urandom c 1 9; mknod -m 666 dev/tty c 5 0
      mkdir dev/shm dev/pts
      mount -t tmpfs -o mode=1777 tmpfs dev/shm
      mount -t devpts -o newinstance,ptmxmode=666,mode=620,gid=5 devpts dev/pts
      ln -s pts/ptmx dev/ptmx; ln -s /proc/self/fd dev/fd; ln -s fd/0 dev/stdin; ln -s fd/1 dev/stdout; ln -s fd/2 dev/stderr
      mount -t cgroup2 none sys/fs/cgroup
      hostname "$1"
      echo "$1" >etc/hostname
      pivot_root . mnt
      exec env -i container=other PATH=/usr/sbin:/usr/bin:/sbin:/bin \
        chroot . sh -c "umount -l /mnt; exec /lib/systemd/systemd --system --show-status=false"
    ' "$root" "$name"
  ) </dev/null >"$dir/boot-$name.log" 2>&1 &
  starter=$!
  disown
  init[$name]=
  # The first of its line that has become systemd: what that one starts comes after it.
  until [ -n "${init[$name]}" ]; do
    each=$starter
    while each=$(pgrep -o -P "$each") && [ "$(cat "/proc/$each/comm" 2>/dev/null)" != systemd ]; do :; done
    init[$name]=$each
    kill -0 $starter 2>/dev/null || fail "$name did not boot: $(cat "$dir/boot-$name.log")"
    sleep 0.2
  done
  until at "$name" systemctl is-system-running --wait >/dev/null 2>&1 || [ "$(at "$name" systemctl is-system-running 2>/dev/null)" = degraded ]; do sleep 0.5; done
}

# Everything on the machine NAME ends at once, and nobody is asked.
power_cut() {
  [ -n "${init[$1]:-}" ] || return 0
  echo 1 >"${group[$1]}/cgroup.kill"
  while [ -d "/proc/${init[$1]}" ]; do sleep 0.1; done
  init[$1]=
}

# Runs a command on the machine NAME, which is on. Usage: at NAME COMMAND …
at() {
  local name=$1
  shift
  nsenter -t "${init[$name]}" --mount --pid --uts --ipc --cgroup --net --root --wd \
    env -i PATH=/usr/sbin:/usr/bin:/sbin:/bin HOME=/ DEBIAN_FRONTEND=noninteractive "$@"
}
