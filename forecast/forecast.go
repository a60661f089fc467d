// Package forecast asks a service for the weather over HTTP. The shape of what it
// says is in docs/formats/forecast.md; sim/weather speaks it, too.
package forecast

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"math"
	"net/http"
	"net/url"
	"strconv"
	"strings"
	"sync"
	"time"

	"keeler/app"
	"keeler/core/calendar"
	"keeler/core/fit"
)

// Patience is how long a service may take.
const Patience = 2 * time.Second

const (
	// How long an answer is used again, and how soon a silent service is asked again.
	fresh, silence = time.Hour, time.Minute
	mostBytes      = 1 << 20
	mostKept       = 1000
)

// Client asks one service, and remembers what it said.
type Client struct {
	base string
	http *http.Client
	now  func() time.Time

	mu   sync.Mutex
	kept map[key]kept
}

type key struct {
	place    string
	latitude float64
	from     calendar.Day
}

type kept struct {
	hours fit.Forecast
	err   error
	until time.Time
}

// New makes a client of the service at a base address; now is wall time.
func New(base string, now func() time.Time) *Client {
	return &Client{base: strings.TrimSuffix(base, "/"), http: &http.Client{Timeout: Patience}, now: now, kept: map[key]kept{}}
}

// Forecast gives the hours from a day on. An error means that nothing is known;
// for a minute it is then not asked for again.
func (c *Client) Forecast(ctx context.Context, place string, latitude float64, from calendar.Day) (fit.Forecast, error) {
	k := key{place, latitude, from}
	c.mu.Lock()
	was, there := c.kept[k]
	c.mu.Unlock()
	if there && c.now().Before(was.until) {
		return was.hours, was.err
	}
	hours, err := c.ask(ctx, k)
	if ctx.Err() != nil {
		return nil, ctx.Err() // whoever asked went away: that says nothing of the service
	}
	keep := kept{hours, err, c.now().Add(fresh)}
	if err != nil {
		keep.until = c.now().Add(silence)
	}
	c.mu.Lock()
	defer c.mu.Unlock()
	if len(c.kept) >= mostKept {
		clear(c.kept)
	}
	c.kept[k] = keep
	return hours, err
}

func (c *Client) ask(ctx context.Context, k key) (fit.Forecast, error) {
	q := url.Values{
		"place": {k.place}, "latitude": {strconv.FormatFloat(k.latitude, 'f', -1, 64)},
		"from": {k.from.String()},
	}
	request, err := http.NewRequestWithContext(ctx, http.MethodGet, c.base+"/forecast?"+q.Encode(), nil)
	if err != nil {
		return nil, err
	}
	response, err := c.http.Do(request)
	if err != nil {
		return nil, err
	}
	defer func() { _ = response.Body.Close() }()
	if response.StatusCode != http.StatusOK {
		return nil, fmt.Errorf("%w: %s", app.ErrNoForecast, response.Status)
	}
	return read(io.LimitReader(response.Body, mostBytes))
}

// read takes the hours of an answer; one that cannot be makes all of it void.
func read(r io.Reader) (fit.Forecast, error) {
	var answer struct {
		Hours []struct {
			Time   string  `json:"time"`
			TempC  float64 `json:"temp_c"`
			WindMS float64 `json:"wind_ms"`
			GustMS float64 `json:"gust_ms"`
			RainMM float64 `json:"rain_mm"`
		} `json:"hours"`
	}
	if err := json.NewDecoder(r).Decode(&answer); err != nil {
		return nil, fmt.Errorf("%w: %w", app.ErrNoForecast, err)
	}
	if len(answer.Hours) == 0 {
		return nil, fmt.Errorf("%w: no hours", app.ErrNoForecast)
	}
	out := make(fit.Forecast, len(answer.Hours))
	for i, h := range answer.Hours {
		at, err := time.Parse("2006-01-02T15:04", h.Time)
		if err != nil {
			return nil, fmt.Errorf("%w: %w", app.ErrNoForecast, err)
		}
		if math.Abs(h.TempC) > 60 || h.WindMS < 0 || h.WindMS > 100 || h.GustMS < 0 || h.RainMM < 0 {
			return nil, fmt.Errorf("%w: %s cannot be", app.ErrNoForecast, h.Time)
		}
		out[i] = fit.Hour{
			Day: calendar.On(at), Hour: at.Hour(),
			TempC: h.TempC, WindMS: h.WindMS, GustMS: h.GustMS, Rain: h.RainMM,
		}
	}
	return out, nil
}
