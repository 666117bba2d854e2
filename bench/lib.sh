# Shared by the benchmarks: the application on a throw-away database, both stopped at the end. Sourced.

. "$(dirname "${BASH_SOURCE[0]}")/../bin/lib/common.sh"

# Starts both; sets dir, port, db_port and password.
start_app() {
  ensure_installed
  build_if_needed
  dir=$(mktemp -d)
  read -r db_port password < <("$root_dir/bin/lib/cluster" start "$dir")
  port=$(free_port)
  java_command -Xmx768m
  VELVETCROCK_DB_URL="jdbc:postgresql://127.0.0.1:$db_port/velvetcrock" VELVETCROCK_DB_PASSWORD=$password \
    "${java[@]}" --server.port="$port" >"$dir/app.log" 2>&1 &
  app=$!
  trap 'kill "$app" 2>/dev/null || true; wait "$app" 2>/dev/null || true; cluster_stop "$dir"; rm -rf "$dir"' EXIT
  until (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do
    kill -0 "$app" || fail "It did not start; see $dir/app.log"
    sleep 0.3
  done
}

# SQL against the database: from standard input, or as psql's options say. Stops at the first error.
# Rows are copied from models by jsonb_populate_record, whatever columns a table has by now.
sql() {
  PGPASSWORD=$password "$(postgres_bin)/psql" -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$db_port" -U velvetcrock -d velvetcrock "$@"
}
