# A private PostgreSQL cluster on loopback for the storage tests; gone when they are over.
postgres_folder=""

# PostgreSQL refuses to run as root: as root, it runs as the user that Debian's package made.
as_postgres() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

start_postgres() {
  need_debian /usr/lib/postgresql/*/bin/initdb postgresql
  local bin port
  bin=$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)
  postgres_folder=$(mktemp -d /tmp/vb-postgres.XXXXXX)
  [ "$(id -u)" = 0 ] && chown postgres "$postgres_folder"
  port=$(node -e 'const s = require("net").createServer().listen(0, "127.0.0.1", () => { console.log(s.address().port); s.close(); })')
  as_postgres "$bin/initdb" -D "$postgres_folder/data" -U verdant -A trust -E UTF8 --locale=C >"$postgres_folder.log" 2>&1 &&
    as_postgres "$bin/pg_ctl" -D "$postgres_folder/data" -w -l "$postgres_folder/server.log" \
      -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=off" start >>"$postgres_folder.log" 2>&1 ||
    { echo "PostgreSQL did not start:" >&2; cat "$postgres_folder.log" >&2; return 1; }
  postgres_stop="$bin/pg_ctl"
  postgres_url="postgres://verdant@127.0.0.1:$port/postgres"
}

stop_postgres() {
  [ -n "$postgres_folder" ] || return 0
  as_postgres "$postgres_stop" -D "$postgres_folder/data" -m immediate stop >/dev/null 2>&1
  rm -rf "$postgres_folder" "$postgres_folder.log"
}
