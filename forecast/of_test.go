package forecast

import (
	"errors"
	"net/http"
	"net/http/httptest"
	"testing"
	"time"

	"keeler/app"
	"keeler/outside"
	"keeler/sim/weather"
)

// What an operation sets must not lead into the server's own network, whatever its name; where
// the server allows it, it is asked.
func TestOutsideOnly(t *testing.T) {
	s := httptest.NewServer(weather.Service(2))
	defer s.Close()
	for _, address := range []string{s.URL, "http://localhost:1", "http://10.0.0.1", "http://[::1]:80", "http://[::ffff:127.0.0.1]:80", "http://169.254.169.254"} {
		if _, err := Of(outside.Client(Patience, false), time.Now)(address).Forecast(t.Context(), "A", 50, day); !errors.Is(err, app.ErrInside) {
			t.Errorf("%s: %v", address, err)
		}
	}
	if hours, err := Of(outside.Client(Patience, true), time.Now)(s.URL+"/").Forecast(t.Context(), "A", 50, day); err != nil || !hours.Tells(day) {
		t.Errorf("allowed: %d hours, %v", len(hours), err)
	}
	other := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = w.Write([]byte("<html>")) }))
	defer other.Close()
	if _, err := Of(outside.Client(Patience, true), time.Now)(other.URL).Forecast(t.Context(), "A", 50, day); !errors.Is(err, app.ErrNoForecast) {
		t.Errorf("something else: %v", err)
	}
}
