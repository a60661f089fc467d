package api

import (
	"strconv"
	"time"

	"github.com/gin-gonic/gin"
	"github.com/prometheus/client_golang/prometheus"

	"keeler/app"
)

// measured tells a registry how it goes: requests by route and status, and what waits.
func (f Front) measured(d *desks) gin.HandlerFunc {
	if f.Meters == nil {
		return func(c *gin.Context) { c.Next() }
	}
	requests := prometheus.NewHistogramVec(prometheus.HistogramOpts{
		Name: "keeler_request_seconds", Help: "How long requests took, by route and status.", Buckets: []float64{0.005, 0.02, 0.1, 0.5, 2, 5},
	}, []string{"method", "route", "status"})
	gauge := func(name, help string, of func() float64) prometheus.Collector {
		return prometheus.NewGaugeFunc(prometheus.GaugeOpts{Name: name, Help: help}, of)
	}
	stats := func(of func(app.Stats) int64) func() float64 {
		return func() float64 { return float64(of(f.App.Stats())) }
	}
	f.Meters.MustRegister(requests,
		gauge("keeler_streams", "Streams that are listened to.", func() float64 { return float64(d.streams.count()) }),
		gauge("keeler_password_hashes_waiting", "Passwords that wait for their turn to be looked at.", stats(func(s app.Stats) int64 { return s.HashesWaiting })),
		gauge("keeler_password_hashes_at_work", "Passwords that are looked at.", stats(func(s app.Stats) int64 { return s.HashesAtWork })),
		prometheus.NewCounterFunc(prometheus.CounterOpts{Name: "keeler_lines_refused_total", Help: "Lines of rounds that phones sent and that were refused."},
			stats(func(s app.Stats) int64 { return s.LinesRefused })),
	)
	return func(c *gin.Context) {
		begun := time.Now()
		c.Next()
		requests.WithLabelValues(c.Request.Method, routeOf(c), strconv.Itoa(c.Writer.Status())).Observe(time.Since(begun).Seconds())
	}
}

// routeOf names what was asked for, without what tells of whom: a path may hold an id, or
// the token of a link.
func routeOf(c *gin.Context) string {
	if route := c.FullPath(); route != "" {
		return route
	}
	return "page"
}
