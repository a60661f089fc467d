package instruments

import (
	"context"
	"net"

	"keeler/guard"
)

// Set starts a kitchen balance, a fine balance and a probe, each on a free port of
// loopback, until the context ends, and gives their addresses.
func Set(ctx context.Context, seed uint64) ([]string, error) {
	var out []string
	for _, i := range []Instrument{NewBalance(1, 5000, seed), NewBalance(0.1, 500, seed+1), NewProbe(seed)} {
		listener, err := net.Listen("tcp", "127.0.0.1:0")
		if err != nil {
			return nil, err
		}
		go func() { _ = guard.Try(func() error { return Serve(ctx, listener, i) }) }()
		out = append(out, listener.Addr().String())
	}
	return out, nil
}
