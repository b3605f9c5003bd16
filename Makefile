# What a newcomer needs is `make demo` and `make test`; both install what they miss.
SHELL := /bin/bash
GO    := go
VERSION := $(shell git describe --always --dirty 2>/dev/null || echo dev)
export CGO_ENABLED = 1

.PHONY: demo build web test check check-static check-web check-go check-race e2e bench fuzz generate screenshots clean

## demo: build everything and start with the demo jobs
demo: build
	./bin/zaino demo

## build: the program with the front end inside
build: web
	@scripts/need gcc
	$(GO) build -ldflags "-X main.version=$(VERSION)" -o bin/zaino ./cmd/zaino

## web: the built front end in web/dist
web: web/dist/index.html

WEB_SOURCES := $(shell find web/src web/public -type f ! -name schema.d.ts 2>/dev/null) web/index.html web/package.json web/vite.config.ts web/tsconfig.json

web/node_modules/.installed: web/package-lock.json
	cd web && npm ci --no-audit --no-fund
	touch $@

web/dist/index.html: web/node_modules/.installed $(WEB_SOURCES)
	cd web && npm run --silent build
	touch $@

web/src/api/schema.d.ts: web/node_modules/.installed web/src/api/openapi.json
	cd web && npm run --silent types

## test: everything that CI runs
test: check e2e
	@echo "make test: everything passed"

## check: all that needs no browser, three things at a time: the linter and most of the race detector's run use one
## processor each, and what asks nothing of the front end need not wait for it
check:
	@scripts/need gcc
	@$(MAKE) --no-print-directory -j3 --output-sync=line check-race check-lint check-web check-static check-go

check-static check-lint check-web: web
check-lint check-web: web/src/api/schema.d.ts

check-static:
	@echo "== gofmt" && test -z "$$(gofmt -l cmd internal e2e web/*.go | tee /dev/stderr)"
	@echo "== vet and staticcheck" && $(GO) vet ./cmd/... ./internal/... ./e2e/... ./web && $(GO) tool staticcheck ./cmd/... ./internal/... ./e2e/... ./web
	@echo "== columns" && scripts/columns
	@echo "== generated contract is fresh" && scripts/fresh

check-lint:
	@echo "== front end: lint" && cd web && npm run --silent lint

check-web:
	@echo "== front end: types and tests" && cd web && npm run --silent test

# Tests make much that is soon gone: collected a quarter as often they take an eighth less. All is vetted once, in
# check-static, and not with every package again.
check-go check-race e2e: export GOFLAGS += -vet=off
check-go check-race e2e: export GOGC = 400
# The race detector sees no C, so SQLite is compiled for it once more, and quickly: 14 s of a processor and not 108.
check-race: export CGO_CFLAGS = -O0

check-go:
	@echo "== Go tests" && $(GO) test -timeout 30m $$($(GO) list -f '{{if or .TestGoFiles .XTestGoFiles}}{{.Dir}}{{end}}' ./cmd/... ./internal/... | sed 's|^$(CURDIR)|.|' | grep -vxF "$$(scripts/racing)")

check-race:
	@echo "== Go tests with the race detector" && $(GO) test -race -timeout 30m $$(scripts/racing)

## e2e: the real interface in a real browser
e2e: web
	@scripts/need gcc chromium
	@echo "== browser tests" && $(GO) test -count=1 -timeout 40m ./e2e

## bench: the speeds that the architecture promises
bench: web
	@scripts/need gcc chromium
	$(GO) test -run '^$$' -bench . -benchmem ./internal/...
	$(GO) test -run '^$$' -bench . -benchtime 100x ./e2e

## fuzz: ten minutes of bytes that nobody would write, for every reader and for all that answers
fuzz: web
	@scripts/need gcc
	scripts/fuzz 600

## generate: the contract, the front end's types and the licences, after a change of the API or of what is linked
generate: web/node_modules/.installed
	$(GO) run ./cmd/zaino openapi > web/src/api/openapi.json
	cd web && npm run --silent generate
	$(GO) run ./internal/licences/collect > internal/licences/LICENCES.fresh && mv internal/licences/LICENCES.fresh internal/licences/LICENCES.txt

## screenshots: the pictures in docs/screenshots, from the demo jobs
screenshots: web
	@scripts/need gcc chromium
	ZAINO_SCREENSHOTS=$(CURDIR)/docs/screenshots $(GO) test -count=1 -run TestScreenshots ./e2e

clean:
	rm -rf bin web/dist/assets web/dist/index.html web/node_modules
