package main

import (
	"context"
	"errors"
	"fmt"
	"net/http"
	"strings"
	"time"

	"keeler/demo"
	"keeler/sim/instruments"
	"keeler/sim/weather"
)

const graceful = 10 * time.Second // for a request's head

type weatherCommand struct{}

// Run serves simulated forecasts.
func (weatherCommand) Run(ctx context.Context, s settings) error {
	server := &http.Server{Addr: s.Addr, Handler: weather.Service(demo.WeatherSeed), ReadHeaderTimeout: graceful}
	context.AfterFunc(ctx, func() { _ = server.Close() })
	fmt.Printf("Simulated weather is at http://%s/forecast\n", s.Addr)
	if err := server.ListenAndServe(); !errors.Is(err, http.ErrServerClosed) {
		return err
	}
	return nil
}

type instrumentsCommand struct{}

// Run serves simulated instruments.
func (instrumentsCommand) Run(ctx context.Context) error {
	addresses, err := instruments.Set(ctx, demo.WeatherSeed)
	if err != nil {
		return err
	}
	fmt.Printf("Simulated balances (1 g, 0.1 g) and a thermometer: --instruments %s\n", strings.Join(addresses, ","))
	<-ctx.Done()
	return nil
}
