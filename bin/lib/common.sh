# Shared by the commands in bin/: finding and installing what is needed, and the database cluster.
# Sourced, not run.

root_dir=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)

# Where the built program lies in an installation; in a checkout it is built, see build_if_needed.
program=$root_dir/program
installed() { [ -d "$program" ]; }

say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }

# Where Debian puts the versions of PostgreSQL, a folder each.
postgres_versions=${VELVETCROCK_POSTGRES:-/usr/lib/postgresql}

# The folder with initdb and pg_ctl of the newest installed PostgreSQL; empty if there is none.
postgres_bin() {
  local found
  found=$(ls -d "$postgres_versions"/*/bin 2>/dev/null | sort -V | tail -n 1)
  [ -n "$found" ] && [ -x "$found/initdb" ] && { printf '%s' "$found"; return; }
  found=$(command -v initdb 2>/dev/null) && dirname "$found"
}

# What Java says of its options on standard error is not its version.
has_java() {
  local version
  version=$(javac -version 2>/dev/null | sed -n 's/^javac \([0-9]*\).*/\1/p') || return 1
  [ "${version:-0}" -ge 17 ]
}

# Installs the Debian packages whose need is shown by what is missing, or names them.
# Usage: ensure_installed [chromium|age|house]
ensure_installed() {
  local missing=()
  # An installation has what its package names.
  if ! installed; then
    has_java || missing+=(openjdk-17-jdk-headless)
    command -v mvn >/dev/null 2>&1 || missing+=(maven)
    [ -n "$(postgres_bin)" ] || missing+=(postgresql)
  fi
  if [ "${1:-}" = chromium ]; then
    [ -x /usr/bin/chromium ] || missing+=(chromium)
  fi
  if [ "${1:-}" = age ]; then
    command -v age >/dev/null 2>&1 || missing+=(age)
  fi
  if [ "${1:-}" = house ]; then
    command -v caddy >/dev/null 2>&1 || missing+=(caddy)
    command -v ip >/dev/null 2>&1 || missing+=(iproute2)
    command -v openssl >/dev/null 2>&1 || missing+=(openssl)
    command -v qrencode >/dev/null 2>&1 || missing+=(qrencode)
    [ -x /usr/sbin/avahi-daemon ] || missing+=(avahi-daemon)
  fi
  [ ${#missing[@]} -eq 0 ] && return

  local admin=()
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then
      admin=(sudo)
    else
      fail "Missing: ${missing[*]}. Ask somebody who may install to run:
  apt-get update && apt-get install -y ${missing[*]}"
    fi
  fi
  command -v apt-get >/dev/null 2>&1 || fail "Missing: ${missing[*]}. Install them with your system's package manager."
  say "Installing ${missing[*]} (this takes a few minutes once) …"
  "${admin[@]}" apt-get update -qq >&2
  "${admin[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >&2
  # The package would serve a page of its own on the ports of the house.
  case " ${missing[*]} " in
    *" caddy "*) "${admin[@]}" systemctl disable --now caddy >/dev/null 2>&1 || true ;;
  esac
}

# Runs a command as whoever has the cluster of DIR. PostgreSQL refuses to run as root, who hands it to
# the postgres user, or to the user of the installation where that one has the data. Usage: as_database_user DIR ...
as_database_user() {
  local owner=postgres
  if [ "$(id -u)" -eq 0 ]; then
    [ ! -d "$1/postgres" ] || owner=$(stat -c %U "$1/postgres")
    shift
    (cd / && runuser -u "$owner" -- "$@")
  else
    shift
    "$@"
  fi
}

# Refuses data of another user, such as the service's: that one could not touch what this one leaves in them.
own_data() {
  [ ! -e "$1" ] || [ -O "$1" ] || fail "The data in $1 belong to $(stat -c %U "$1"). What is done with those of the service says: sudo velvetcrock"
}

# A port on loopback that nothing listens on, below those that outgoing connections are given.
free_port() {
  local port
  while :; do
    port=$((20000 + RANDOM % 12000))
    (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null || { printf '%s' "$port"; return; }
  done
}

# What a page on loopback answers, headers and all; nothing if nobody answers. Usage: page PORT PATH
page() {
  (
    exec 3<>"/dev/tcp/127.0.0.1/$1"
    printf 'GET %s HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n' "$2" >&3
    cat <&3
  ) 2>/dev/null || true
}

# Makes a cluster in DIR/postgres with a random password in DIR/password, unless it is there.
cluster_create() {
  local dir=$1 bin
  bin=$(postgres_bin)
  [ -s "$dir/postgres/PG_VERSION" ] && return
  mkdir -p "$dir/postgres"
  [ -s "$dir/password" ] || (umask 077 && head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$dir/password")
  chmod 700 "$dir/postgres"
  local pwfile
  pwfile=$(mktemp)
  cat "$dir/password" >"$pwfile"
  if [ "$(id -u)" -eq 0 ]; then
    chown postgres "$dir/postgres" "$pwfile"
    chmod a+x "$dir"
  fi
  as_database_user "$dir" "$bin/initdb" -D "$dir/postgres" -U velvetcrock --pwfile="$pwfile" \
    --auth=scram-sha-256 --encoding=UTF8 --locale=C.UTF-8 >"$dir/initdb.log" 2>&1 \
    || { rm -f "$pwfile"; fail "The database could not be made; see $dir/initdb.log"; }
  rm -f "$pwfile"
}

# Holds a data folder against every other command until this one ends, or fails with WORDS.
# Usage: hold DIR WORDS
hold() {
  exec 9>"$1/lock"
  flock -n 9 || fail "$2"
}

# Whether a process works in DIR/postgres. A number that a crash left behind may be anybody's by now.
works_in() { [ "/proc/$2/cwd" -ef "$1/postgres" ]; }

# Takes away a pid file whose number belongs to another's process: the server would take that for
# itself and not start, and stopping it would end what is not ours. One whose process is gone, or
# beside which somebody still works in DIR, is left to the server, which knows what to do.
foreign_pid_away() {
  local dir=$1 pid other
  pid=$(head -n 1 "$dir/postgres/postmaster.pid" 2>/dev/null) || return 0
  [ -d "/proc/$pid" ] || return 0
  for other in /proc/[0-9]*; do
    works_in "$dir" "${other#/proc/}" && return 0
  done
  say "A server that is gone left its number, which is another's now: it is not touched."
  rm -f "$dir/postgres/postmaster.pid"
}

# The folder with the commands of the version that wrote DIR; a newer one does not read it (see take_over).
postgres_of() {
  local version newest
  version=$(cat "$1/postgres/PG_VERSION")
  newest=$(postgres_bin)
  if [ -x "$postgres_versions/$version/bin/pg_ctl" ]; then
    printf '%s' "$postgres_versions/$version/bin"
  elif "$newest/postgres" --version | grep -q " $version\."; then
    printf '%s' "$newest"
  else
    fail "The data in $1 were written by PostgreSQL $version, which is not installed. Install it beside the newer one, so that they can be taken over: apt-get install postgresql-$version. Or put the newest backup into a new folder with bin/restore."
  fi
}

# What every server is told: its PORT on loopback, and no other way in.
server_settings() { printf '%s ' -p "$1" -c listen_addresses=127.0.0.1 -c unix_socket_directories=; }

# Starts the cluster of DIR on PORT. Further words are settings for the server.
cluster_start() {
  local dir=$1 port=$2 bin settings setting
  shift 2
  bin=$(postgres_of "$dir")
  foreign_pid_away "$dir"
  settings=$(server_settings "$port")
  for setting in "$@"; do settings="$settings -c $setting"; done
  as_database_user "$dir" "$bin/pg_ctl" -D "$dir/postgres" -w -t 60 -l "$dir/postgres/server.log" \
    -o "$settings" start >/dev/null 2>&1 \
    || fail "The database did not start; see $dir/postgres/server.log"
  printf '%s' "$port" >"$dir/port"
}

cluster_stop() {
  cluster_running "$1" || return 0
  as_database_user "$1" "$(postgres_of "$1")/pg_ctl" -D "$1/postgres" -w -m fast stop >/dev/null 2>&1 || true
}

cluster_running() {
  local pid
  pid=$(head -n 1 "$1/postgres/postmaster.pid" 2>/dev/null) || return 1
  works_in "$1" "$pid"
}

# Where PostgreSQL's commands find the running cluster of DIR.
database_address() {
  export PGPASSWORD PGHOST=127.0.0.1 PGPORT PGUSER=velvetcrock
  PGPASSWORD=$(cat "$1/password")
  PGPORT=$(cat "$1/port")
}

# Whether there is a database of that name. Needs database_address.
database_there() {
  "$(postgres_bin)/psql" -qtA -d postgres -c "select 1 from pg_database where datname = '$1'" | grep -q 1
}

# Makes the database velvetcrock if it is not there, but never in the place of one that a broken restore
# left under another name. Needs a running cluster.
database_create() {
  database_address "$1"
  database_there velvetcrock && return
  if database_there velvetcrock_former || database_there velvetcrock_restoring; then
    fail "A restore into $1 was broken off. Do it again: bin/restore FILE; or go back: bin/restore --back"
  fi
  "$(postgres_bin)/createdb" velvetcrock
}

# How many households live in the database velvetcrock, the demo apart; 0 where there is no table yet.
households() {
  "$(postgres_bin)/psql" -qtA -d velvetcrock -c 'select count(*) from household where not demo' 2>/dev/null || echo 0
}

# Says what a data folder looks like that lost something, instead of serving it as a new house.
# A folder in which somebody lived once has a file that says so.
lived_in() {
  local dir=$1
  if [ "$(households)" != 0 ]; then
    touch "$dir/lived-in"
  elif [ -e "$dir/lived-in" ]; then
    fail "Somebody lived in $dir, and its database is empty. Bring it back: bin/restore FILE. To begin anew, remove $dir/lived-in."
  fi
  if database_there velvetcrock_restoring; then
    say "A restore was broken off; what was there before it is served. Do it again: bin/restore FILE"
  fi
}

# How the application is started: with what was found out of it when it was built, and from the archive of
# its classes where one was kept; see keep_classes.
java_command() {
  local archive
  java=(java -XX:+UseSerialGC -Dspring.aot.enabled=true "$@")
  archive=$(class_archive)
  [ ! -f "$archive" ] || java+=("-XX:SharedArchiveFile=$archive" -Xlog:cds=off -Xlog:cds+dynamic=off)
  java+=(-jar "$jar")
}

# Where the archive of its classes is kept: beside the program, or where an installation may write.
class_folder() { printf '%s' "${CACHE_DIRECTORY:-$(dirname "$jar")}"; }

# The archive of the classes of this very build, for this very Java.
class_archive() {
  printf '%s/classes-%s.jsa' "$(class_folder)" "$(stat -Lc %Y%s "$jar" "$(command -v java)" | cksum | cut -d ' ' -f 1)"
}

# Starts the application once more, has it go through the demo in a database of its own that is thrown away, and ends it, only
# to keep its classes as the machine wants them: the next start takes half the time, and each page when it is first looked at a
# third less. Needs a running cluster.
keep_classes() {
  local archive spool
  archive=$(class_archive)
  [ ! -f "$archive" ] || return 0
  rm -f "$(class_folder)"/classes-*
  spool=$(mktemp -d)
  rehearsal_away
  at_cluster createdb velvetcrock_rehearsal
  VELVETCROCK_DB_URL="jdbc:postgresql://127.0.0.1:$PGPORT/velvetcrock_rehearsal" VELVETCROCK_DB_PASSWORD=$PGPASSWORD \
    VELVETCROCK_DATA=$spool nice -n 19 java -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -Xmx256m -Dspring.aot.enabled=true \
    -Djava.io.tmpdir="$spool" -XX:ArchiveClassesAtExit="$archive.new" -jar "$jar" --server.port=0 \
    --velvetcrock.demo=true --velvetcrock.rehearsal=true >/dev/null 2>&1 &
  # Ended politely, it would still write its archive.
  trap 'kill -KILL $! 2>/dev/null; rm -rf "$spool"; exit 143' TERM
  if wait $!; then mv "$archive.new" "$archive"; fi
  trap - TERM
  rm -rf "$spool"
  rehearsal_away
}

rehearsal_away() { at_cluster dropdb --if-exists --force velvetcrock_rehearsal 2>/dev/null; }

# One of PostgreSQL's commands, at the cluster of PGPORT and PGPASSWORD. Usage: at_cluster COMMAND ...
at_cluster() { PGPASSWORD=$PGPASSWORD "$(postgres_bin)/$1" -h 127.0.0.1 -p "$PGPORT" -U velvetcrock "${@:2}"; }

# How the application serves the data of DIR on PORT: sets serving, and what it finds in its surroundings.
# Further words are its own settings. Usage: serving_command DIR PORT ...
serving_command() {
  local dir=$1 port=$2
  shift 2
  # What an earlier run left half uploaded or half read is nobody's any more.
  rm -rf "$dir/spool"
  (umask 077 && mkdir -p "$dir/spool")
  java_command -Xmx768m -Djava.io.tmpdir="$dir/spool"
  export VELVETCROCK_DB_URL VELVETCROCK_DB_PASSWORD VELVETCROCK_DATA=$dir
  VELVETCROCK_DB_URL=jdbc:postgresql://127.0.0.1:$(cat "$dir/port")/velvetcrock
  VELVETCROCK_DB_PASSWORD=$(cat "$dir/password")
  serving=("${java[@]}" --server.port="$port" --spring.main.banner-mode=off --logging.level.root=WARN
    --logging.level.velvetcrock.happened=INFO "$@")
}

# Waits until the application answers on PORT, for as long as COMMAND is true. Usage: until_ready PORT COMMAND ...
until_ready() {
  local port=$1
  shift
  until page "$port" /actuator/health/readiness | grep '"UP"' >/dev/null; do
    "$@" || return 1
    sleep 0.3
  done
}

# Runs the application on a database of the cluster at hand, with further words. Usage: application DATABASE ...
# VELVETCROCK_RUN runs it otherwise than from its jar.
application() {
  local database=$1 java
  shift
  if [ -n "${VELVETCROCK_RUN:-}" ]; then
    read -ra java <<<"$VELVETCROCK_RUN"
  else
    java_command -XX:TieredStopAtLevel=1 -Xmx768m
  fi
  VELVETCROCK_DB_URL="jdbc:postgresql://127.0.0.1:$PGPORT/$database" VELVETCROCK_DB_PASSWORD=$PGPASSWORD \
    "${java[@]}" --server.port=0 \
    --spring.main.lazy-initialization=true --spring.main.banner-mode=off --logging.level.root=ERROR "$@" 9>&-
}

# Builds the application where it is not built, or older than its sources; sets jar: unpacked by the build, as it
# starts fastest.
build_if_needed() {
  [ -z "${VELVETCROCK_RUN:-}" ] || return 0
  if installed; then
    jar=$program/velvetcrock.jar
    return
  fi
  local built=$root_dir/app/target/velvetcrock.jar newer=
  jar=$root_dir/app/target/velvetcrock/velvetcrock.jar
  if [ -f "$built" ]; then
    newer=$(find "$root_dir/core/src/main" "$root_dir/app/src/main" "$root_dir"/pom.xml "$root_dir"/*/pom.xml \
      -path '*/node_modules' -prune -o -type f -newer "$built" -print -quit)
  fi
  if [ ! -f "$built" ] || [ -n "$newer" ]; then
    say "Building (the first time takes a few minutes) …"
    (cd "$root_dir" && mvn -q -B -Dmaven.test.skip=true -pl core,probe,app package) >&2
  fi
}

# Where data lies unless told otherwise.
default_data_dir() {
  if [ "$(id -u)" -eq 0 ] || installed; then
    printf '/var/lib/velvetcrock'
  else
    printf '%s/velvetcrock' "${XDG_DATA_HOME:-$HOME/.local/share}"
  fi
}
