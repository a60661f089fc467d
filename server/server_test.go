package server

import (
	"encoding/json"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"testing"

	"keeler/app"
	"keeler/demo"
	"keeler/store"
	"keeler/store/mariadbd"
	"keeler/wire"
)

// started puts a Keeler together on a database of its own.
func started(t *testing.T, set Settings) *httptest.Server {
	t.Helper()
	db, err := mariadbd.Hasty(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(db.Stop)
	if set.Store, err = store.Open(db.DSN()); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = set.Store.Close() })
	if err := set.Store.Migrate(t.Context()); err != nil {
		t.Fatal(err)
	}
	set.Log = slog.New(slog.DiscardHandler)
	s, err := New(t.Context(), set)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(s.Close)
	front := httptest.NewServer(s.Handler)
	t.Cleanup(front.Close)
	return front
}

func ask(t *testing.T, url string, into any) int {
	t.Helper()
	answer, err := http.Get(url)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = answer.Body.Close() }()
	if err := json.NewDecoder(answer.Body).Decode(into); err != nil {
		t.Fatal(err)
	}
	return answer.StatusCode
}

// The demo is filled, greets with its draft, and keeps to its own clock; a fresh Keeler
// waits for its owner and tells the address that links carry. Neither shows its records
// to somebody who did not sign in.
func TestDemoAndFreshKeeler(t *testing.T) {
	for name, c := range map[string]struct {
		set    Settings
		wanted func(wire.Start) bool
	}{
		"demo": {Settings{Demo: true, Simulate: true, Clock: app.NewMovable(demo.Now)}, func(s wire.Start) bool {
			return s.Demo && s.Draft != nil && !s.Unclaimed && s.Now == "2026-12-04T08:30"
		}},
		"fresh": {Settings{PublicURL: "https://bees.example"}, func(s wire.Start) bool {
			return !s.Demo && s.Draft == nil && s.Unclaimed && s.PublicURL == "https://bees.example" && s.Now != "2026-12-04T08:30"
		}},
	} {
		front := started(t, c.set)
		var start wire.Start
		if code := ask(t, front.URL+"/api/start", &start); code != http.StatusOK || !c.wanted(start) {
			t.Errorf("%s: %d %+v", name, code, start)
		}
		var problem struct{ Status int }
		if code := ask(t, front.URL+"/api/yards", &problem); code != http.StatusUnauthorized {
			t.Errorf("%s: yards to nobody: %d", name, code)
		}
	}
}
