package main

import (
	"net"
	"net/http"

	"github.com/prometheus/client_golang/prometheus"
	"github.com/prometheus/client_golang/prometheus/collectors"
	"github.com/prometheus/client_golang/prometheus/promhttp"

	"keeler/guard"
	"keeler/server"
)

// measure serves /metrics on an address of its own, where one is set: they are for who
// runs the server and for nobody else. end stops it.
func (s settings) measure(set *server.Settings) (end func(), err error) {
	if s.Metrics == "" {
		return func() {}, nil
	}
	meters := prometheus.NewRegistry()
	meters.MustRegister(collectors.NewGoCollector(), collectors.NewProcessCollector(collectors.ProcessCollectorOpts{}))
	set.Meters = meters
	listener, err := net.Listen("tcp", s.Metrics)
	if err != nil {
		return nil, err
	}
	routes := http.NewServeMux()
	routes.Handle("GET /metrics", promhttp.HandlerFor(meters, promhttp.HandlerOpts{}))
	front := &http.Server{Handler: routes, ReadHeaderTimeout: graceful}
	go func() { _ = guard.Try(func() error { return front.Serve(listener) }) }()
	return func() { _ = front.Close() }, nil
}
