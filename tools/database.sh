#!/usr/bin/env bash
# A private MariaDB on loopback, in a folder of its own: ./ebauche and the tests start and stop it through this.
#
#   tools/database.sh start FOLDER   starts it if it is not running; makes users and database the first time
#   tools/database.sh stop FOLDER    stops it cleanly and waits until it is down
#   tools/database.sh password FOLDER NAME HASH
#                                    gives a maker another password's hash (both in hexadecimal); prints how many it was
#
# FOLDER then holds data/, log and `connection`: shell assignments DB_PORT, DB_APP_PASSWORD, DB_MIGRATE_PASSWORD
# (mode 0600). The system's own server, if there is one, is never touched.
set -euo pipefail

verb=${1:-}
folder=${2:-}
if [[ $verb != start && $verb != stop && $verb != password || -z $folder ]]; then
  echo "usage: tools/database.sh start|stop FOLDER, or password FOLDER NAME HASH" >&2
  exit 2
fi
mkdir -p "$folder"
folder=$(cd "$folder" && pwd -P)
data=$folder/data
pid_file=$folder/mariadb.pid
connection=$folder/connection
as_root=()
[[ $(id -u) -eq 0 ]] && as_root=(--user=root)

# A socket's path may not be longer than 107 characters, so it lives in the short temporary folder.
sockets=${TMPDIR:-/tmp}/ebauche-$(id -u)
[[ ${#sockets} -le 60 ]] || sockets=/tmp/ebauche-$(id -u)
mkdir -p -m 700 "$sockets"
[[ -O $sockets ]] || { echo "The folder $sockets belongs to somebody else." >&2; exit 1; }
socket=$sockets/$(printf %s "$folder" | sha256sum | cut -c1-16).sock

server() { PATH=$PATH:/usr/sbin command -v mariadbd; }

# The process that serves this folder, if it lives: a pid file left behind by kill -9 proves nothing by itself.
living() {
  local pid
  [[ -s $pid_file ]] && pid=$(<"$pid_file") && [[ -r /proc/$pid/cmdline ]] || return 1
  tr '\0' '\n' <"/proc/$pid/cmdline" | grep -qxF -- "--datadir=$data" && echo "$pid"
}

admin() { mariadb-admin --no-defaults --socket="$socket" -u "$(id -un)" "$@"; }

password() { head -c 24 /dev/urandom | base64 | tr -d '/+=\n'; }

taken() { [[ -z $1 ]] || (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
  local port
  for _ in $(seq 100); do
    port=$((20000 + RANDOM % 12000))
    taken "$port" || { echo "$port"; return; }
  done
  echo "No free port was found on loopback." >&2
  return 1
}

make_data() {
  rm -rf "$data.new"
  # A temporary folder of its own: one that starts clears away what others have in a shared one.
  mariadb-install-db --no-defaults "${as_root[@]}" --datadir="$data.new" --tmpdir="$folder/tmp" \
    --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db --skip-name-resolve >"$folder/install.log" 2>&1 ||
    { echo "The database could not be made:" >&2; head -n 20 "$folder/install.log" >&2; exit 1; }
  mv "$data.new" "$data"
}

make_users() {
  mariadb --no-defaults --socket="$socket" -u "$(id -un)" <<SQL
CREATE DATABASE IF NOT EXISTS ebauche CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'ebauche_migrate'@'127.0.0.1' IDENTIFIED BY '$DB_MIGRATE_PASSWORD';
ALTER USER 'ebauche_migrate'@'127.0.0.1' IDENTIFIED BY '$DB_MIGRATE_PASSWORD';
GRANT ALL ON ebauche.* TO 'ebauche_migrate'@'127.0.0.1' WITH GRANT OPTION;
CREATE USER IF NOT EXISTS 'ebauche_app'@'127.0.0.1' IDENTIFIED BY '$DB_APP_PASSWORD';
ALTER USER 'ebauche_app'@'127.0.0.1' IDENTIFIED BY '$DB_APP_PASSWORD';
SQL
}

start() {
  if living >/dev/null && [[ -s $connection ]] && admin ping >/dev/null 2>&1; then
    return
  fi
  umask 077
  mkdir -p "$folder/tmp"
  [[ -d $data ]] || make_data
  # The same port and passwords again where possible, so that an app that outlived the server finds it back.
  # shellcheck source=/dev/null
  [[ -s $connection ]] && . "$connection"
  taken "${DB_PORT:-}" && DB_PORT=$(free_port)
  DB_APP_PASSWORD=${DB_APP_PASSWORD:-$(password)}
  DB_MIGRATE_PASSWORD=${DB_MIGRATE_PASSWORD:-$(password)}
  rm -f "$pid_file"
  # Acknowledged means flushed: every commit reaches the disk before it is answered.
  setsid "$(server)" --no-defaults "${as_root[@]}" --datadir="$data" --socket="$socket" --pid-file="$pid_file" \
    --log-error="$folder/mariadb.log" --tmpdir="$folder/tmp" --bind-address=127.0.0.1 --port="$DB_PORT" \
    --skip-name-resolve --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
    --innodb-buffer-pool-size=128M --innodb-flush-log-at-trx-commit=1 </dev/null >"$folder/mariadb.out" 2>&1 9>&- &
  local process=$!
  for _ in $(seq 300); do
    admin ping >/dev/null 2>&1 && break
    kill -0 $process 2>/dev/null || break
    sleep 0.1
  done
  if ! admin ping >/dev/null 2>&1; then
    echo "The database did not start:" >&2
    tail -n 20 "$folder/mariadb.log" >&2
    exit 1
  fi
  make_users
  printf 'DB_PORT=%s\nDB_APP_PASSWORD=%s\nDB_MIGRATE_PASSWORD=%s\n' \
    "$DB_PORT" "$DB_APP_PASSWORD" "$DB_MIGRATE_PASSWORD" >"$connection.new"
  mv "$connection.new" "$connection"
}

password_of() {
  [[ $1 =~ ^[0-9a-f]+$ && $2 =~ ^[0-9a-f]+$ ]] || { echo "NAME and HASH are wanted in hexadecimal." >&2; exit 2; }
  mariadb --no-defaults --socket="$socket" -u "$(id -un)" -N ebauche <<SQL
SET @name = CONVERT(UNHEX('$1') USING utf8mb4) COLLATE utf8mb4_unicode_ci;
INSERT INTO maker_password (shop, maker, password)
SELECT shop, id, CONVERT(UNHEX('$2') USING utf8mb4) FROM maker m WHERE name = @name AND name <> 'demo'
  AND NOT EXISTS (SELECT 1 FROM maker_gone g WHERE g.shop = m.shop AND g.maker = m.id);
SELECT ROW_COUNT();
DELETE FROM SPRING_SESSION WHERE PRINCIPAL_NAME = @name;
SQL
}

stop() {
  local pid
  pid=$(living) || return 0
  kill "$pid"
  for _ in $(seq 300); do
    [[ -d /proc/$pid ]] || return 0
    sleep 0.1
  done
  echo "The database (process $pid) did not stop within 30 s." >&2
  return 1
}

if [[ $verb == password ]]; then
  password_of "${3:-}" "${4:-}"
else
  $verb
fi
