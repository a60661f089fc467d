package forecast

import (
	"context"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"keeler/core/calendar"
	"keeler/sim/weather"
)

var day = calendar.Of(2026, 12, 4)

// clock is wall time that the test moves.
type clock struct{ at time.Time }

func (c *clock) now() time.Time { return c.at }

func serve(t *testing.T, h http.Handler) (*Client, *clock, *atomic.Int32) {
	t.Helper()
	var asked atomic.Int32
	s := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		asked.Add(1)
		h.ServeHTTP(w, r)
	}))
	t.Cleanup(s.Close)
	c := &clock{time.Date(2026, 12, 4, 8, 0, 0, 0, time.UTC)}
	return New(s.URL, c.now), c, &asked
}

// The simulated service is read as a real one: ten whole days, once an hour.
func TestForecast(t *testing.T) {
	client, clock, asked := serve(t, weather.Service(2))
	for _, step := range []struct {
		after time.Duration
		asked int32
	}{{0, 1}, {59 * time.Minute, 1}, {2 * time.Minute, 2}} {
		clock.at = clock.at.Add(step.after)
		hours, err := client.Forecast(t.Context(), "ropewalk", 57.5, day)
		if err != nil || len(hours) != 240 || hours[0].Day != day || hours[239].Day != day+9 || hours[239].Hour != 23 {
			t.Fatalf("%d hours: %v", len(hours), err)
		}
		if asked.Load() != step.asked {
			t.Errorf("asked %d times, want %d", asked.Load(), step.asked)
		}
	}
	want := weather.Forecast("ropewalk", 57.5, time.Date(2026, 12, 4, 0, 0, 0, 0, time.UTC), 2)[30]
	if got, _ := client.Forecast(t.Context(), "ropewalk", 57.5, day); got[30].TempC != want.TempC || got[30].GustMS != want.GustMS || got[30].Rain != want.RainMM {
		t.Errorf("got %+v, want %+v", got[30], want)
	}
}

// What cannot be makes the whole answer void, and a service that fails is left
// alone for a minute.
func TestNoForecast(t *testing.T) {
	answer := ""
	client, clock, asked := serve(t, http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		if answer == "" {
			w.WriteHeader(http.StatusBadGateway)
			return
		}
		_, _ = fmt.Fprint(w, answer)
	}))
	for i, a := range []string{
		"", "no json", `{"hours":[]}`, `{"hours":[{"time":"noon","temp_c":3}]}`, `{"hours":[{"time":"2026-12-04T00:00","temp_c":300}]}`,
		`{"hours":[{"time":"2026-12-04T00:00","temp_c":3,"wind_ms":-1}]}`, `{"hours":[` + strings.Repeat(" ", 2<<20),
	} {
		answer = a
		for range 2 {
			if hours, err := client.Forecast(t.Context(), "x", 57.5, day); err == nil || hours != nil {
				t.Errorf("%.40q was taken: %v", a, hours)
			}
		}
		if asked.Load() != int32(i+1) {
			t.Errorf("%.40q: asked %d times, want %d", a, asked.Load(), i+1)
		}
		clock.at = clock.at.Add(silence)
	}
	if _, err := New("http://127.0.0.1:1", clock.now).Forecast(t.Context(), "x", 57.5, day); err == nil {
		t.Error("nobody is there, and there is a forecast")
	}
}

// Who goes away while asking spoils nothing for the next.
func TestGoneWhileAsking(t *testing.T) {
	client, _, _ := serve(t, weather.Service(2))
	gone, cancel := context.WithCancel(t.Context())
	cancel()
	if _, err := client.Forecast(gone, "x", 57.5, day); err == nil {
		t.Error("an answer for nobody")
	}
	if _, err := client.Forecast(t.Context(), "x", 57.5, day); err != nil {
		t.Error(err)
	}
}
