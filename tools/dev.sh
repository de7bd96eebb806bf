#!/usr/bin/env bash
# ./wendro dev [--port N]: the server under dotnet watch, the page under vite with hot reload, demo data.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
. tools/steps.sh
port=5170
[ "${1:-}" != --port ] || port="${2:?--port needs a number}"
need
npm_packages
types
mkdir -p .wendro/dev
touch .wendro/dev/.demo
say "Wendro: http://127.0.0.1:$port  (the page; its API on $((port + 1)); Ctrl-C stops both)"
export ASPNETCORE_ENVIRONMENT=Development WENDRO_API="http://127.0.0.1:$((port + 1))"
trap 'kill 0' EXIT
(cd src/web && npx --no-install vite --port "$port" --strictPort --logLevel warn) &
dotnet watch --project src/Wendro.Host --non-interactive run -- --data "$PWD/.wendro/dev" --port "$((port + 1))" --demo "$PWD/demo"
