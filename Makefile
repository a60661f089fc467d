# Two commands are all a newcomer needs: make demo, make test.
SHELL := bash
.SHELLFLAGS := -euo pipefail -c
.DEFAULT_GOAL := help
# Nobody sends MessagePack, whose package is a fifth of what there is to compile.
export GOFLAGS += -tags=nomsgpack

GO_FILES := $(shell git ls-files '*.go')
EMBEDDED := words/en.json demo/scenario.json $(wildcard store/migrations/*.sql)
WEB_SOURCES := $(shell find words/names web/src web/public web/index.html web/vite.config.ts web/vite.pure.ts -type f -not -path web/src/api/schema.d.ts -not -name core.wasm -not -name wasm_exec.js)

.PHONY: help demo dev test tests lint lint-go lint-web build bench shots outlook deb deb-test cluster cluster-test reset setup setup-browser format

help: ## this page
	@grep -hE '^[a-z-]+:.*##' Makefile | sed 's/:.*##/\t/'

demo: setup build ## serve the demo scenario on http://127.0.0.1:8080
	@exec bin/keeler demo

dev: setup build ## the demo with Vite in front of it, reloading on http://localhost:5173
	@bin/keeler demo & trap 'kill %1; wait' EXIT; cd web && npm run dev

test: setup-browser ## build, check and run every test, the browser's included
	@$(MAKE) --no-print-directory -j2 lint tests

# After what it shares the compiling with, vet included; the interface is read beside it.
# Journeys begin first: they take longest, and all else fits in beside them.
tests: lint-go
	@data=$$(mktemp -d "$$(scripts/roomy.sh)/keeler-tests-XXXXXX"); trap 'rm -rf "$$data"' EXIT; chmod 1777 "$$data"; \
	GOTMPDIR="$${TMPDIR:-/tmp}" TMPDIR="$$data" go test -vet=off -timeout 20m ./e2e ./...

lint: lint-go lint-web ## formatting, vet, static checks, types

lint-go: build
	@test -z "$$(gofmt -l $(GO_FILES))" || { gofmt -l $(GO_FILES); echo 'gofmt: run make format'; exit 1; }
	go vet ./...
	go tool staticcheck ./...
	GOOS=js GOARCH=wasm go build -trimpath ./core/... ./wire/...

lint-web: web/src/api/schema.d.ts web/src/core/core.wasm
	cd web && npm run --silent check

format: ## put every file into its format
	gofmt -w $(GO_FILES)
	cd web && npm run --silent format

bench: setup-browser build ## speed and size, as ratios in one run
	go test ./perf -run NONE -bench . -timeout 30m

shots: setup-browser build ## the pictures of docs/screenshots, from a fresh demo
	go test ./e2e -count=1 -run TestShots -shots "$$PWD/docs/screenshots"

outlook: ## the forecast's bands against four hundred colonies whose truth is known
	mkdir -p docs/outlook
	go test ./core/outlook -count=1 -v -run 'TestCoverage|TestPlots' -long

deb: setup build ## a Debian package, in dist/
	@scripts/deb.sh

deb-test: setup build ## try the package in a fresh Debian (as root, with debootstrap)
	@scripts/deb-test.sh

cluster: build ## three nodes, three servers and HAProxy with the demo, on loopback
	@scripts/setup.sh cluster
	@go build -o bin/cluster ./e2e/cluster/run && exec bin/cluster bin/keeler

cluster-test: build ## saves that meet, a round with a node and a server killed, no quorum
	@scripts/setup.sh browser cluster
	go test ./e2e -count=1 -v -run TestCluster -cluster "$$PWD/bin/keeler"

reset: ## throw the local databases away
	rm -rf .data

build: bin/keeler ## the program, the interface inside it

setup:
	@scripts/setup.sh

setup-browser:
	@scripts/setup.sh browser

# npm writes this file last; the folder's own time changes with every cache in it.
web/node_modules/.package-lock.json: web/package.json web/package-lock.json
	cd web && npm ci --no-audit --no-fund --silent
	@touch $@

web/openapi.json: $(filter-out %_test.go,$(filter api/% wire/% words/% core/%,$(GO_FILES)))
	go run ./cmd/keeler openapi > $@

web/src/api/schema.d.ts: web/node_modules/.package-lock.json web/openapi.json
	cd web && npm run --silent api > /dev/null

# The rules in the browser, for where there is no signal; loaded by the round alone.
web/src/core/core.wasm: $(filter-out %_test.go,$(filter cmd/wasm/% wire/% words/% core/%,$(GO_FILES) $(EMBEDDED)))
	GOOS=js GOARCH=wasm go build -trimpath -ldflags='-s -w' -o $@ ./cmd/wasm
	cp "$$(go env GOROOT)/lib/wasm/wasm_exec.js" web/src/core/wasm_exec.js

web/dist/index.html: web/src/api/schema.d.ts web/src/core/core.wasm $(WEB_SOURCES)
	cd web && npm run --silent build -- --logLevel warn
	cd web && npm run --silent build -- --logLevel error --config vite.pure.ts
	for f in web/dist/assets/*.wasm; do gzip -9 -k -f "$$f"; done

bin/keeler: web/dist/index.html $(GO_FILES) $(EMBEDDED) go.mod
	go build -o $@ ./cmd/keeler
