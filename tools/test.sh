#!/usr/bin/env bash
# ./wendro test [quick|PROJECT|page] [NAME]: all of it, or what tells most before a commit, or a part, or what has NAME in its name.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
. tools/steps.sh
domain="Units Scheduling Hair Fall Lightening Planning Service"
part="${1:-all}" only="${2:-}" passed=0 failed=0
results="$(mktemp -d)"
trap 'rm -rf "$results"' EXIT

# Tests of one C# project, counted from their results.
run() {
  local project="Wendro.$1.Tests" report counters all good
  shift
  report="$results/$project.trx"
  [ -z "$only" ] || set -- "$@" --filter-method "*$only*"
  dotnet "tests/$project/bin/Release/net10.0/$project.dll" --report-xunit-trx --report-xunit-trx-filename "$project.trx" --results-directory "$results" \
    --no-progress --no-ansi "$@" >"$results/$project.log" 2>&1 || true
  grep -vE '^\s*$|^xUnit|^  (Discovering|Discovered|Starting|Finished)' "$results/$project.log" | grep -v " WRN A request body" | tail -60 >&2
  if [ ! -f "$report" ]; then
    say "The $project ended without results."
    failed=$((failed + 1))
    return
  fi
  counters="$(grep -o '<Counters [^>]*>' "$report")"
  all=$(sed 's/.* total="\([0-9]*\)".*/\1/' <<<"$counters") good=$(sed 's/.* passed="\([0-9]*\)".*/\1/' <<<"$counters")
  # A project in which nothing ran is no success, unless tests were asked for by name.
  [ "$all" -gt 0 ] || [ -n "$only" ] || { say "Nothing of $project ran."; failed=$((failed + 1)); }
  passed=$((passed + good)) failed=$((failed + all - good))
}

# Tests of the page's own logic.
run_page() {
  (cd src/web && npx --no-install vitest run ${only:+-t "$only"} --reporter=default --reporter=json --outputFile.json="$results/page.json" >&2) || true
  if [ ! -f "$results/page.json" ]; then
    say "The page's tests ended without results."
    failed=$((failed + 1))
    return
  fi
  passed=$((passed + $(node -p "require('$results/page.json').numPassedTests")))
  # A file that can't be run at all has no tests to count, but is no success.
  failed=$((failed + $(node -p "const r = require('$results/page.json'); Math.max(r.numFailedTests, r.testResults.filter((f) => f.status === 'failed').length)")))
}

# C# and the page are formatted, the linter has nothing to say, the page's types are those of the server's description.
style() {
  dotnet tool restore >/dev/null || fail "the tools of .config/dotnet-tools.json could not be restored."
  dotnet csharpier check . --log-level Warning >&2 || fail "C# is not formatted: run dotnet csharpier format ."
  types
  (cd src/web && npx --no-install biome ci --log-level=warn . >&2 && npx --no-install tsc --noEmit >&2) || fail "the page's code does not pass its linter."
  git diff --quiet -- src/Wendro.Host/openapi.json || fail "src/Wendro.Host/openapi.json has changed with this build: commit it."
}

case "$part" in
  all)
    chromium
    solution
    timed "style" style
    delivered
    export WENDRO_APP="$PWD/.wendro/app"
    for project in $domain Host; do timed "$project" run "$project"; done
    timed "the page's tests" run_page
    timed "Browser" run Browser
    ;;
  quick)
    need
    timed "C#" dotnet build tests/Wendro.Quick.slnf -c Release -v quiet -clp:NoSummary >&2 || fail "the build failed."
    for project in Units Scheduling Hair Fall Lightening; do timed "$project" run "$project" --filter-not-trait Category=Long; done
    timed "Host" run Host --filter-class '*WireTests' --filter-class '*DeskTests' --filter-class '*PlanTests' --filter-class '*DocumentsTests'
    npm_packages
    timed "the page's tests" run_page
    ;;
  page) need; types; run_page ;;
  units | scheduling | hair | fall | lightening | planning | service | host | browser)
    [ "$part" != browser ] || { chromium; delivered; export WENDRO_APP="$PWD/.wendro/app"; }
    project="${part^}"
    need
    dotnet build "tests/Wendro.$project.Tests" -c Release -v quiet -clp:NoSummary >&2 || fail "the build failed."
    [ "$part" != host ] || page
    run "$project"
    ;;
  *) fail "what is $part? Parts are quick, page, units, scheduling, hair, fall, lightening, planning, service, host and browser." ;;
esac
printf '%d passed, %d failed\n' "$passed" "$failed"
[ "$failed" -eq 0 ] && [ "$passed" -gt 0 ]
