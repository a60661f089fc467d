package perf

import (
	"context"
	"fmt"
	"net/http"
	"sync"
	"testing"
	"time"

	"keeler/e2e/stand"
	"keeler/store/mariadbd"
)

const (
	toldWithin    = 5 * time.Second
	healthWithin  = time.Second
	waitingAtOnce = 60
)

// frozen measures how long anybody waits for a database that stands still.
func frozen() ([]figure, error) {
	db, err := mariadbd.Temporary(context.Background())
	if err != nil {
		return nil, err
	}
	defer db.Stop()
	line, through, err := mariadbd.NewLine(db.DSN())
	if err != nil {
		return nil, err
	}
	defer line.Close()
	s, err := stand.On(context.Background(), through, true)
	if err != nil {
		return nil, err
	}
	defer func() { _ = s.Down() }()
	c := crew{Stand: s, client: newClient()}
	if err := c.post("/api/demo", struct{}{}); err != nil {
		return nil, err
	}
	line.Hold()
	wait := func(path string) (time.Duration, error) {
		begun := time.Now()
		response, err := c.client.Get(s.URL + path)
		if err != nil {
			return 0, err
		}
		_ = response.Body.Close()
		if response.StatusCode != http.StatusServiceUnavailable {
			return 0, fmt.Errorf("%s: %s", path, response.Status)
		}
		return time.Since(begun), nil
	}
	health, err := wait("/healthz")
	if err != nil {
		return nil, err
	}
	var all sync.WaitGroup
	var mu sync.Mutex
	longest := time.Duration(0)
	var failed error
	for range waitingAtOnce {
		all.Go(func() {
			took, err := wait("/api/yards")
			mu.Lock()
			defer mu.Unlock()
			if longest = max(longest, took); err != nil {
				failed = err
			}
		})
	}
	all.Wait()
	line.Go()
	return []figure{
		{"healthz of a frozen database", health.Round(time.Millisecond).String(), "under " + healthWithin.String(), health < healthWithin},
		{fmt.Sprintf("503 of it, the longest of %d at once", waitingAtOnce), longest.Round(time.Millisecond).String(), "under " + toldWithin.String(), longest < toldWithin},
	}, failed
}

func BenchmarkFrozen(b *testing.B) { report(b, frozen) }
