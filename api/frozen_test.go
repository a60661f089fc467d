package api_test

import (
	"context"
	"net/http"
	"sync"
	"testing"

	"keeler/e2e/stand"
	"keeler/store/mariadbd"
)

// A database that stands still makes nobody wait for ever: each is told so, and when it
// goes on again so does Keeler.
func TestFrozenDatabaseIsTold(t *testing.T) {
	s, line := onLine(t, true)
	who := browser()
	if response, err := who.Post(s.URL+"/api/demo", "application/json", nil); err != nil || response.StatusCode != http.StatusOK {
		t.Fatal(response, err)
	}
	paths := []string{"/healthz", "/api/yards", "/api/start", "/api/register", "/api/export/colonies", "/api/decide"}
	ask := func(want int) {
		t.Helper()
		var all sync.WaitGroup
		for range 8 { // more than there are connections, all together
			for _, path := range paths {
				all.Go(func() {
					response, err := who.Get(s.URL + path)
					if err != nil {
						t.Error(err)
						return
					}
					_ = response.Body.Close()
					if response.StatusCode != want {
						t.Errorf("%s: %s, want %d", path, response.Status, want)
					}
				})
			}
		}
		all.Wait()
	}
	line.Hold()
	ask(http.StatusServiceUnavailable)
	line.Go()
	ask(http.StatusOK)
}

// Three hundred who read at once all get their answer.
func TestThreeHundredReadAtOnce(t *testing.T) {
	anew(t)
	var all sync.WaitGroup
	for range 300 {
		all.Go(func() {
			response, err := owner.Get(keeler.URL + "/api/decide")
			if err != nil {
				t.Error(err)
				return
			}
			_ = response.Body.Close()
			if response.StatusCode != http.StatusOK {
				t.Errorf("got %s", response.Status)
			}
		})
	}
	all.Wait()
}

// onLine is a Keeler for one test, whose database is at the end of a line of its own.
func onLine(t *testing.T, withDemo bool) (*stand.Stand, *mariadbd.Line) {
	t.Helper()
	its, err := keeler.DB.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	line, through, err := mariadbd.NewLine(its)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(line.Close)
	s, err := stand.On(context.Background(), through, withDemo)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = s.Down() })
	return s, line
}
