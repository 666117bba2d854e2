# shellcheck shell=bash
# Shared by the commands in bin/: the backups that are kept. Sourced after common.sh, not run.

# A setting of DIR/backup.conf, or what it is without. Usage: backup_setting DIR NAME DEFAULT
backup_setting() {
  local found
  found=$(sed -n "s/^$2=//p" "$1/backup.conf" 2>/dev/null | tail -n 1)
  printf '%s' "${found:-$3}"
}

# Where the backups of DIR are kept.
backup_folder() { backup_setting "$1" to "$1/backups"; }

# Writes the database velvetcrock to FILE, whole or not at all, readable to its owner alone.
dump_to() {
  (umask 077 && "$(postgres_bin)/pg_dump" --format=custom --no-owner --no-privileges -d velvetcrock >"$1.part")
  mv "$1.part" "$1"
}

# Restores FILE into the database velvetcrock_trial and checks every log in it with this version; says how
# many seconds the restore alone took. The throw-away database goes again either way.
prove() {
  local file=$1 bin began took proved=0
  bin=$(postgres_bin)
  "$bin/dropdb" --if-exists --force velvetcrock_trial
  "$bin/createdb" velvetcrock_trial
  began=$(date +%s)
  if "$bin/pg_restore" --no-owner --no-privileges --exit-on-error -d velvetcrock_trial "$file" >&2; then
    took=$(($(date +%s) - began))
    application velvetcrock_trial --velvetcrock.check=true >&2 || proved=1
  else
    proved=1
  fi
  "$bin/dropdb" --if-exists --force velvetcrock_trial
  [ "$proved" = 0 ] && printf '%s' "$took"
}

# Notes a backup in DIR/backups.tsv, which the kitchen page reads: when, file, bytes, seconds of the trial
# restore, whether it is encrypted, why it was made, and what went wrong.
note_backup() {
  local dir=$1
  shift
  (umask 077 && printf '%s\t%s\t%s\t%s\t%s\t%s\t%s\n' "$(date +%s)" "$@" >>"$dir/backups.tsv")
}

# Makes a backup of DIR that is kept. It counts only once it was proved. Needs a running cluster, its address
# and, unless VELVETCROCK_RUN is set, the built application. Usage: keep_backup DIR WHY
keep_backup() {
  local dir=$1 why=$2 folder name took recipient encrypted=no
  folder=$(backup_folder "$dir")
  recipient=$(backup_setting "$dir" recipient "")
  [ -z "$recipient" ] || command -v age >/dev/null 2>&1 || ensure_installed age
  name=velvetcrock-$(date +%Y%m%d-%H%M%S).backup
  if ! (umask 077 && mkdir -p "$folder") || ! dump_to "$folder/$name"; then
    note_backup "$dir" "" 0 0 no "$why" "It could not be written to $folder."
    fail "The backup could not be written to $folder."
  fi
  if ! took=$(prove "$folder/$name"); then
    rm -f "$folder/$name"
    note_backup "$dir" "" 0 0 no "$why" "It did not pass its trial restore."
    fail "The backup did not pass its trial restore, and does not count."
  fi
  if [ -n "$recipient" ]; then
    if ! (umask 077 && age -r "$recipient" -o "$folder/$name.age.part" "$folder/$name"); then
      rm -f "$folder/$name" "$folder/$name.age.part"
      note_backup "$dir" "" 0 0 no "$why" "It could not be encrypted to the recipient that is set."
      fail "The backup could not be encrypted to $recipient."
    fi
    mv "$folder/$name.age.part" "$folder/$name.age"
    rm -f "$folder/$name"
    name=$name.age encrypted=yes
  fi
  note_backup "$dir" "$name" "$(wc -c <"$folder/$name")" "$took" "$encrypted" "$why" ""
  thin_out "$folder"
  say "Backed up to $folder/$name, proved by a trial restore of $took s."
}

# The kept backups of a folder, newest first.
kept_backups() { (cd "$1" 2>/dev/null && ls -1 velvetcrock-*.backup velvetcrock-*.backup.age 2>/dev/null | sort -r) || true; }

# Keeps the newest of each of the last 7 days, 5 weeks and 12 months that have one; the newest always.
thin_out() {
  local folder=$1 name day days=" " weeks=" " months=" " stays week month
  for name in $(kept_backups "$folder"); do
    day=$(printf '%s' "$name" | sed -n 's/^velvetcrock-\([0-9]\{8\}\)-.*/\1/p')
    [ -n "$day" ] || continue
    week=$(date -d "$day" +%G%V) month=${day%??} stays=
    case "$days" in *" $day "*) ;; *) [ "$(wc -w <<<"$days")" -ge 7 ] || { days="$days$day "; stays=yes; } ;; esac
    case "$weeks" in *" $week "*) ;; *) [ "$(wc -w <<<"$weeks")" -ge 5 ] || { weeks="$weeks$week "; stays=yes; } ;; esac
    case "$months" in *" $month "*) ;; *) [ "$(wc -w <<<"$months")" -ge 12 ] || { months="$months$month "; stays=yes; } ;; esac
    [ -n "$stays" ] || rm -f "$folder/$name"
  done
}

# Seconds since the newest good backup of DIR; a very large number where there is none.
since_backup() {
  local last
  last=$(awk -F'\t' '$2 != "" { at = $1 } END { print at + 0 }' "$1/backups.tsv" 2>/dev/null || echo 0)
  echo $(($(date +%s) - ${last:-0}))
}

# Whether a backup is due: nightly between 2 and 5, or when none was made for 30 hours, as on a machine that
# is off at night. A household that nobody has moved into needs none.
backup_due() {
  local hour since
  hour=$(date +%-H) since=$(since_backup "$1")
  [ "$(households)" != 0 ] || return 1
  [ "$since" -gt 108000 ] || { [ "$since" -gt 64800 ] && [ "$hour" -ge 2 ] && [ "$hour" -lt 5 ]; }
}

# Looks every quarter of an hour, until it is ended, whether one is due.
backups_by_themselves() {
  local dir=$1
  while sleep 900; do
    if backup_due "$dir"; then
      (keep_backup "$dir" nightly) >>"$dir/velvetcrock.log" 2>&1 || true
    fi
  done
}

# The newest change of the schema that this version knows.
schema_known() {
  local file changes=$root_dir/app/src/main/resources/db/migration
  ! installed || changes=$program/migration
  for file in "$changes"/V*__*.sql; do
    file=${file##*/V}
    printf '%s\n' "${file%%__*}"
  done | sort -n | tail -n 1
}

# The newest change of the schema that the data have seen; 0 for an empty database.
schema_seen() {
  "$(postgres_bin)/psql" -qtA -d velvetcrock \
    -c "select coalesce(max(version::int), 0) from flyway_schema_history where success" 2>/dev/null || echo 0
}

# Refuses data that a newer version wrote; before an upgrade makes a backup, whose trial restore is the trial
# of the upgrade too. Usage: before_upgrade DIR
before_upgrade() {
  local seen known
  seen=$(schema_seen) known=$(schema_known)
  if [ "$seen" -gt "$known" ]; then
    fail "The data in $1 were written by a newer Velvet Crock (schema $seen; this one knows $known). Nothing was changed."
  fi
  if [ "$seen" -gt 0 ] && [ "$seen" -lt "$known" ] && [ "$(households)" != 0 ]; then
    say "The data are of an earlier version: a backup is made and the upgrade is tried on a copy first …"
    (keep_backup "$1" upgrade) || fail "The upgrade was not begun: $1 is as it was."
  fi
}

# Takes DIR over to the newest installed PostgreSQL where an older one wrote it: through a dump, into a cluster
# beside it that is checked before the two change places. What was there is kept as DIR/postgres-VERSION.
take_over() {
  local dir=$1 beside=$1/taking-over was now
  if [ ! -e "$dir/postgres" ] && [ -e "$beside/proved" ]; then
    mv "$beside/postgres" "$dir/postgres"
    rm -rf "$beside"
  fi
  [ -s "$dir/postgres/PG_VERSION" ] || return 0
  was=$(cat "$dir/postgres/PG_VERSION")
  now=$(basename "$(dirname "$(postgres_bin)")")
  case "$now" in [0-9]*) ;; *) return 0 ;; esac
  [ "$was" != "$now" ] || return 0
  say "Taking the data over from PostgreSQL $was to $now …"
  cluster_stop "$dir"
  cluster_start "$dir" "$(free_port)" 9>&-
  database_address "$dir"
  rm -rf "$beside"
  mkdir -p "$beside"
  chmod 755 "$beside"
  if ! dump_to "$beside/dump"; then
    cluster_stop "$dir"
    fail "The data could not be read out of PostgreSQL $was. Nothing was changed."
  fi
  cluster_stop "$dir"
  (umask 077 && cp "$dir/password" "$beside/password")
  cluster_create "$beside"
  cluster_start "$beside" "$(free_port)" 9>&-
  database_address "$beside"
  "$(postgres_bin)/createdb" velvetcrock
  if ! "$(postgres_bin)/pg_restore" --no-owner --no-privileges --exit-on-error -d velvetcrock "$beside/dump" >&2 \
    || ! application velvetcrock --velvetcrock.check=true >&2; then
    cluster_stop "$beside"
    fail "The data did not pass their check under PostgreSQL $now. Nothing was changed."
  fi
  cluster_stop "$beside"
  rm -f "$beside/dump"
  touch "$beside/proved"
  rm -rf "$dir/postgres-$was"
  mv "$dir/postgres" "$dir/postgres-$was"
  mv "$beside/postgres" "$dir/postgres"
  rm -rf "$beside"
  say "Taken over. The former data are kept in $dir/postgres-$was; remove them once you are content."
}
