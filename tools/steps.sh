# The steps that ./wendro's commands are made of; each says what it does and how long it took.

say() { printf '%s\n' "$*" >&2; }
fail() { say "wendro: $*"; exit 1; }

# Runs a step and says how long it took; where nothing was to do, it says nothing.
timed() {
  local _step="$1" _begun=$SECONDS
  shift
  "$@"
  [ $((SECONDS - _begun)) -lt 2 ] || say "  $_step: $((SECONDS - _begun)) s"
}

need() {
  command -v dotnet >/dev/null || fail "the .NET SDK 10 is missing: install it and try again."
  [ "$(dotnet --version | cut -d. -f1)" -ge 10 ] || fail "the .NET SDK is older than 10: install version 10."
  command -v node >/dev/null || fail "Node is missing: install Node 20 or newer with npm."
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node is older than 20: install a newer one."
  command -v npm >/dev/null || fail "npm is missing: install it with Node."
}

chromium() {
  if [ -x /usr/bin/chromium ] && [ -x /usr/bin/chromedriver ]; then return; fi
  [ "$(id -u)" = 0 ] || fail "Chromium is missing and only root can install it. Run: sudo apt-get install chromium chromium-driver"
  command -v apt-get >/dev/null || fail "Chromium and ChromeDriver are missing at /usr/bin: install them."
  say "Installing Chromium…"
  apt-get update -qq >/dev/null && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq chromium chromium-driver >/dev/null \
    || fail "Chromium could not be installed: apt-get install chromium chromium-driver"
}

# A sum over the files of folders: what was made of them stands while it stays the same.
sum_of() {
  find "$@" \( -name node_modules -o -name bin -o -name obj -o -name wwwroot -o -name schema.d.ts \) -prune -o -type f -print0 \
    | LC_ALL=C sort -z | xargs -0 sha256sum | sha256sum
}

npm_packages() {
  if [ ! -f src/web/node_modules/.package-lock.json ] || [ src/web/package-lock.json -nt src/web/node_modules/.package-lock.json ]; then
    (cd src/web && npm ci --no-audit --no-fund --loglevel=error >&2) || fail "the npm packages could not be installed."
    touch src/web/node_modules/.package-lock.json
  fi
}

vite_build() { (cd src/web && npx --no-install vite build --logLevel error >&2) || fail "the page did not build."; }

# The page as it is delivered; it stays where nothing of it changed.
page() {
  local stamp=src/Wendro.Host/wwwroot/.stamp sum
  sum=$(sum_of src/web)
  [ "$(cat "$stamp" 2>/dev/null)" != "$sum" ] || return 0
  timed "the page's packages" npm_packages
  timed "the page" vite_build
  printf '%s' "$sum" >"$stamp"
}

# The page's types, made of the server's own description, which is in git.
types() {
  npm_packages
  if [ ! -f src/web/src/api/schema.d.ts ] || [ src/Wendro.Host/openapi.json -nt src/web/src/api/schema.d.ts ]; then
    (cd src/web && npm run --silent types >/dev/null) || fail "the API's types could not be made."
  fi
}

# All projects, with analyzers: warnings are errors.
solution() {
  need
  timed "C# packages" restore Wendro.slnx
  timed "C#" build_all
}
restore() { dotnet restore "$1" --locked-mode -v quiet >&2 || fail "the NuGet packages could not be restored."; }
build_all() { dotnet build Wendro.slnx -c Release --no-restore -v quiet -clp:NoSummary >&2 || fail "the build failed."; }

# What starts: the server compiled ahead for this machine, and the page, side by side. No tests, no analyzers.
delivered() {
  local stamp=.wendro/app/.stamp sum
  mkdir -p .wendro
  sum=$(sum_of src/Wendro.* src/web Directory.Build.props Directory.Packages.props global.json)
  [ "$(cat "$stamp" 2>/dev/null)" != "$sum" ] || return 0
  need
  (page) & local paging=$!
  timed "the server's packages" restore src/Wendro.Host/Wendro.Host.csproj
  timed "the server" server
  wait $paging || fail "the page did not build."
  rm -rf .wendro/app/wwwroot
  cp -r src/Wendro.Host/wwwroot .wendro/app/wwwroot
  printf '%s' "$sum" >"$stamp"
}
server() {
  dotnet publish src/Wendro.Host/Wendro.Host.csproj -c Release --no-restore -o .wendro/app -v quiet -clp:NoSummary \
    -p:RunAnalyzers=false -p:EnforceCodeStyleInBuild=false -p:OpenApiGenerateDocumentsOnBuild=false >&2 || fail "the server did not build."
}
