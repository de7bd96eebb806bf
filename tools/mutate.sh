#!/usr/bin/env bash
# ./wendro mutate PROJECT [FOLDER]: small mistakes put into a project, one at a time, held against its own tests; the
# share they catch, and what they let pass. Words are left alone: they are read aloud, not computed.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
. tools/steps.sh
project="Wendro.${1:-}" folder="${2:-}"
[ -n "${1:-}" ] && [ -d "tests/$project.Tests" ] || fail "mutate which project? One of $(cd tests && ls -d Wendro.*.Tests | sed 's/Wendro.//; s/.Tests//' | tr '\n' ' ')"
[ -z "$folder" ] || [ -d "src/$project/$folder" ] || fail "$project has no folder $folder."
need
dotnet tool restore >/dev/null || fail "the tools of .config/dotnet-tools.json could not be restored."
restore Wendro.slnx
out="$PWD/.wendro/mutations/$project${folder:+.$folder}"
mkdir -p "$out"
# Properties are tried on fewer cases; two processes try mistakes side by side.
export CsCheck_Iter=2 DOTNET_PROCESSOR_COUNT=1
cat >"$out/config.json" <<EOT
{ "stryker-config": {
  "project": "$project.csproj",
  "mutate": ["**/${folder:+$folder/}*.cs"],
  "test-runner": "mtp",
  "configuration": "Release",
  "ignore-mutations": ["string"],
  "ignore-methods": ["ArgumentNullException.ThrowIfNull"],
  "reporters": ["dots", "cleartext", "json"],
  "concurrency": 2,
  "additional-timeout": 60000,
  "break-on-initial-test-failure": true,
  "verbosity": "error"
} }
EOT
(cd "tests/$project.Tests" && dotnet stryker --config-file "$out/config.json" --output "$out" --skip-version-check) \
  || fail "the mutations could not be run."
