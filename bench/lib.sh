# Shared by the benchmarks: the application on a throw-away database, both stopped at the end. Sourced.

. "$(dirname "${BASH_SOURCE[0]}")/../bin/lib/common.sh"

# Starts both; sets dir, port, db_port and password. heap is an option of Java's, options are the application's. Where also is set, with velvetcrock.bench.Also from that folder; see compile_also.
start_app() {
  ensure_installed
  build_if_needed
  dir=$(mktemp -d)
  read -r db_port password < <("$root_dir/bin/lib/cluster" start "$dir")
  port=$(free_port)
  java_command "${heap:--Xmx768m}"
  [ -z "${also:-}" ] || java=(java -XX:+UseSerialGC "${heap:--Xmx768m}" -Dpages="$dir" -cp "$jar:$also:$root_dir/bench/target/classes:$root_dir/bench/target/lib/*" velvetcrock.bench.Also)
  run_app
  trap 'kill "$app" 2>/dev/null || true; wait "$app" 2>/dev/null || true; cluster_stop "$dir"; rm -rf "$dir"' EXIT
}

# Compiles what the benchmarks compare the application with (bench/also) into a folder of its own: sets also.
compile_also() {
  ensure_installed
  build_if_needed
  (cd "$root_dir" && mvn -q -B -ntp -DskipTests -pl core,bench package >&2)
  also=$(mktemp -d)
  javac -parameters -d "$also" -cp "$jar:$(dirname "$jar")/lib/*:$root_dir/bench/target/classes:$root_dir/bench/target/lib/*" "$root_dir/bench/also/Also.java"
}

# The application that start_app has made ready; as after a restart.
run_app() {
  VELVETCROCK_DB_URL="jdbc:postgresql://127.0.0.1:$db_port/velvetcrock" VELVETCROCK_DB_PASSWORD=$password \
    "${java[@]}" --server.port="$port" ${options[@]+"${options[@]}"} >>"$dir/app.log" 2>&1 &
  app=$!
  until (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
    kill -0 "$app" || fail "It did not start; see $dir/app.log"
    sleep 0.3
  done
}

# Has run_app start it as a house does that was started before: with its classes kept (decision 061).
start_again_as_a_house() {
  PGPORT=$db_port PGPASSWORD=$password keep_classes
  java_command "${heap:--Xmx768m}"
}

# SQL against the database: from standard input, or as psql's options say. Stops at the first error.
# Rows are copied from models by jsonb_populate_record, whatever columns a table has by now.
sql() {
  PGPASSWORD=$password "$(postgres_bin)/psql" -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$db_port" -U velvetcrock -d velvetcrock "$@"
}

# A household with 500 batches (40 standing), 50,000 log entries, 2,000 lots and 200 loads that dry; its session is
# in $dir/session, and behind it the path of a jar.
fill() {
  java "$root_dir/bench/Pages.java" prepare "$port" "$dir/session"
  sql <<'SQL'
  create temp view written as select id, household_id, subject, subject_id, number, kind, version, data, happened_at,
    written_at, written_by, replaces, idempotency_key, answer from entry;
  create temp table model as select * from batch;
  create temp table lines as select * from written where subject = 'BATCH';
  create temp table copies as
    select n, gen_random_uuid() as id,
      chr(65 + n % 26) || (n / 26) % 10 || chr(65 + n / 260) || 'Z' as code from generate_series(1, 499) n;
  insert into batch
    select r.* from copies c, model m, lateral jsonb_populate_record(m, jsonb_build_object(
      'id', c.id, 'code', c.code, 'standing', c.n < 40, 'status', case when c.n < 40 then m.status else 'FINISHED' end)) r;
  insert into written
    select r.* from copies c, lines l, lateral jsonb_populate_record(l, jsonb_build_object(
      'id', gen_random_uuid(), 'subject_id', c.id, 'replaces', null, 'idempotency_key', c.code || l.number)) r;
  create temp table lot_model as select * from lot;
  create temp table load_model as select * from drying_load;
  create temp table ledger_lines as select * from written where subject <> 'BATCH';
  create temp table herb_keys as
    select row_number() over () - 1 as n, k from unnest(array['yarrow','calendula','chamomile','lavender','plantain',
      'rose','rosemary','thyme','sage','nettle','elderflower','meadowsweet','violet-leaf','mullein-flower','self-heal',
      'bog-myrtle','heather','mugwort','bay','hops','oregano','spearmint','lemon-balm','chickweed','echinacea']) as k;
  create temp table lot_copies as
    select g.n, gen_random_uuid() as id, k from generate_series(1, 1999) g(n) join herb_keys h on h.n = g.n % 25;
  insert into lot
    select r.* from lot_copies c, lot_model m, lateral jsonb_populate_record(m, jsonb_build_object(
      'id', c.id, 'thing_key', c.k, 'state', jsonb_set(m.state, '{details,thing}', to_jsonb(c.k)))) r;
  insert into written
    select r.* from lot_copies c, lot_model m, ledger_lines l, lateral jsonb_populate_record(l, jsonb_build_object(
      'id', gen_random_uuid(), 'subject_id', c.id, 'idempotency_key', c.id || ':' || l.number)) r
    where m.id = l.subject_id;
  create temp table load_copies as select gen_random_uuid() as id from generate_series(1, 199);
  insert into drying_load
    select r.* from load_copies c, load_model m, lateral jsonb_populate_record(m, jsonb_build_object('id', c.id)) r;
  insert into written
    select r.* from load_copies c, load_model m, ledger_lines l, lateral jsonb_populate_record(l, jsonb_build_object(
      'id', gen_random_uuid(), 'subject_id', c.id, 'idempotency_key', c.id || ':' || l.number)) r
    where m.id = l.subject_id;
  analyze;
SQL
}
