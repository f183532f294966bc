# Two commands do all the set-up on a fresh machine with Go, Node and Debian:
#   make demo   installs what is missing, builds, and opens the demo kitchen
#   make test   installs what is missing, and passes every test

SHELL := /bin/bash
VERSION := $(shell cat VERSION)$(shell git describe --always --dirty --exclude "*" 2>/dev/null | sed "s,^,+,")
WEB := web/node_modules/.installed
TOOLS := web/tools/node_modules/.installed
DIST := web/dist/index.html
LISTEN ?= 127.0.0.1:8642
SAMPLE ?= 20

# SQLite's translated C runs ten times slower under the race detector, and nothing
# of ours runs inside it or inside the hashes: they are built as usual.
RACE := -race '-gcflags=modernc.org/...=-race=false' '-gcflags=github.com/glebarez/go-sqlite/...=-race=false' '-gcflags=golang.org/x/crypto/...=-race=false'

.PHONY: demo test bench dev lint shots e2e axe build unit spec check rooms notices chromium mutate mutate-changed soak fuzz

demo: build
	bin/plushladle demo --listen $(LISTEN)

# On two cores the stages are quicker one after the other than beside each other: each
# keeps both busy by itself.
test: check e2e

check: spec lint unit mutate-changed

build: $(DIST)
	CGO_ENABLED=0 go build -trimpath -ldflags "-s -w -X main.version=$(VERSION)" -o bin/plushladle ./cmd/plushladle

$(DIST): $(WEB) $(shell find web/src web/public web/index.html web/vite.config.ts -type f)
	cd web && npm run --silent build

$(WEB): web/package.json web/package-lock.json
	cd web && npm ci --no-audit --no-fund && touch node_modules/.installed

$(TOOLS): web/tools/package.json web/tools/package-lock.json
	cd web/tools && npm ci --no-audit --no-fund && touch node_modules/.installed

# The front end's types come from the server's operations; neither may drift.
spec: $(TOOLS)
	mkdir -p bin/spec && cp web/openapi.json web/src/api/schema.d.ts bin/spec
	go run ./internal/tools/spec > web/openapi.json
	cd web/tools && npm run --silent types
	diff -q bin/spec/openapi.json web/openapi.json && diff -q bin/spec/schema.d.ts web/src/api/schema.d.ts

lint: $(WEB)
	test -z "$$(gofmt -l cmd core internal web e2e)" || { gofmt -l cmd core internal web e2e; exit 1; }
	go vet ./... && go vet -tags e2e ./e2e && go vet -tags soak ./cmd/...
	go tool staticcheck -tags e2e ./...
	cd web && npm run --silent check && npm run --silent lint

unit: $(WEB)
	CGO_ENABLED=1 go test $(RACE) ./...
	cd web && npm run --silent test

e2e: build chromium
	go test -tags e2e -count=1 -parallel 4 ./e2e

# Every view and dialog by axe, by day and by night, at three widths.
axe: build chromium
	AXE=all go test -tags e2e -count=1 -run TestNoSeriousAccessibilityFault ./e2e

bench: build chromium
	go run ./internal/tools/measure

# Of the files of the core that the last commit changed some are tried with every test run.
mutate-changed:
	if git rev-parse -q --verify HEAD~1 >/dev/null; then go run ./internal/tools/mutate -own -sample 4 -least 40 -since HEAD~1; fi

# Changes the core in one place at a time and runs the tests, to see what they notice.
mutate:
	go run ./internal/tools/mutate -sample $(SAMPLE)

# Hundreds of kills under ten kinds of writers, hundreds of thousands of requests, and every
# operation of the OpenAPI document; bounded, and on this machine only. SOAK=0.02 for a try.
soak: build
	go test -tags soak -count=1 -v -timeout 60m -run Soak ./cmd/plushladle

# Each target that reads what comes from outside, for FUZZTIME.
FUZZTIME ?= 10m
fuzz:
	for target in core/reading:FuzzReadLine core/reading:FuzzReadPage core/quantity:FuzzParseAmount internal/exchange:FuzzReadTemperatures \
	    internal/exchange:FuzzReadLinkedData internal/exchange:FuzzReadTable internal/store:FuzzRestore internal/picture:FuzzTakeIn cmd/plushladle:FuzzReckon; do \
	  go test -run '^$$' -fuzz "^$${target#*:}$$" -fuzztime $(FUZZTIME) "./$${target%:*}" || exit 1; done

# Pictures of the main views, from the demo kitchen, for the README.
shots: build chromium
	SHOTS=$(CURDIR)/docs/screenshots go test -tags e2e -count=1 -run TestShots ./e2e

# The server on $(LISTEN) and the front end reloading as it is edited.
dev: build
	trap 'kill 0' EXIT; bin/plushladle demo --listen $(LISTEN) & cd web && npm run dev

chromium:
	command -v chromium-headless-shell >/dev/null || { \
	  root=$$([ "$$(id -u)" = 0 ] || echo sudo); \
	  $$root apt-get update -qq && $$root apt-get -o DPkg::Lock::Timeout=120 install -y -qq chromium-headless-shell; }

# The picture of the rooms, from the imports as they are.
rooms:
	go run ./internal/tools/rooms > docs/rooms.svg

# The licences of everything that ships, from the modules and packages themselves.
notices: $(WEB)
	go run ./internal/tools/notices > bin/notices.txt && mv bin/notices.txt internal/notices/notices.txt
