// Package device reads balances and thermometers over TCP. The lines they speak
// are in docs/formats/instruments.md; sim/instruments speaks them, too.
package device

import (
	"bufio"
	"context"
	"fmt"
	"log/slog"
	"math"
	"net"
	"strconv"
	"sync"
	"time"

	"keeler/guard"
	"keeler/wire"
)

const (
	patience = 2 * time.Second // to connect, and between two lines
	again    = time.Second     // before the next try
	// forgiven is how many lines that cannot be read are passed over in one
	// connection: noise on a serial line is no reason to lose the balance.
	forgiven = 5
	// backlog is how many readings a listener may be behind before it misses some.
	backlog = 64
)

// Rack is the instruments that are set up.
type Rack struct {
	log     *slog.Logger
	devices []*device

	mu        sync.Mutex
	listeners map[chan wire.Reading]struct{}
}

type device struct {
	address string

	mu   sync.Mutex
	is   wire.Instrument
	last wire.Reading
	conn net.Conn // nil while there is none
}

// New sets instruments up by their addresses, host:port each; the first is named
// i1, and so on. They are read once Run does.
func New(addresses []string, log *slog.Logger) *Rack {
	r := &Rack{log: log, listeners: map[chan wire.Reading]struct{}{}}
	for i, a := range addresses {
		id := "i" + strconv.Itoa(i+1)
		r.devices = append(r.devices, &device{
			address: a, is: wire.Instrument{ID: id, Kind: Balance, Trouble: "away"}, last: wire.Reading{Instrument: id, State: Lost},
		})
	}
	return r
}

// Run reads all instruments until the context ends, trying again what is lost.
func (r *Rack) Run(ctx context.Context) {
	var all sync.WaitGroup
	for _, d := range r.devices {
		all.Go(func() {
			for ctx.Err() == nil {
				var trouble string
				if err := guard.Try(func() error { trouble = r.read(ctx, d); return nil }); err != nil {
					r.log.Error("instrument", "address", d.address, "error", err)
					trouble = "garbled"
				}
				r.lost(d, trouble)
				select {
				case <-ctx.Done():
				case <-time.After(again):
				}
			}
		})
	}
	all.Wait()
}

// read keeps one connection for as long as it lasts, and says why it ended.
func (r *Rack) read(ctx context.Context, d *device) (trouble string) {
	dialer := net.Dialer{Timeout: patience}
	conn, err := dialer.DialContext(ctx, "tcp", d.address)
	if err != nil {
		return "away"
	}
	defer context.AfterFunc(ctx, func() { _ = conn.Close() })()
	defer func() { _ = conn.Close() }()
	lines := bufio.NewScanner(conn)
	lines.Buffer(make([]byte, longest), longest)
	next := func() bool {
		_ = conn.SetReadDeadline(time.Now().Add(patience))
		return lines.Scan()
	}
	if !next() {
		return ended(lines.Err())
	}
	h, err := readHello(lines.Text())
	if err != nil {
		return "garbled"
	}
	d.mu.Lock()
	d.conn = conn
	d.is = wire.Instrument{ID: d.is.ID, Kind: h.kind, Connected: true, Division: h.division, Capacity: h.capacity, Simulated: h.simulated}
	d.mu.Unlock()
	r.log.Info("instrument", "address", d.address, "kind", h.kind)
	for bad := 0; next(); {
		state, value, err := readReading(lines.Text(), h.kind)
		if err != nil {
			if bad++; bad > forgiven {
				return "garbled"
			}
			continue
		}
		r.tell(d, state, value)
	}
	return ended(lines.Err())
}

// ended says why there are no more lines.
func ended(err error) string {
	if timeout, ok := err.(net.Error); ok && timeout.Timeout() {
		return "silent"
	}
	if err == bufio.ErrTooLong {
		return "garbled"
	}
	return "away"
}

func (r *Rack) tell(d *device, state string, value float64) {
	d.mu.Lock()
	d.last = wire.Reading{Instrument: d.is.ID, State: state, Value: value}
	reading := d.last
	d.mu.Unlock()
	r.mu.Lock()
	defer r.mu.Unlock()
	for l := range r.listeners {
		select {
		case l <- reading:
		default: // too slow: the next comes in a moment
		}
	}
}

func (r *Rack) lost(d *device, trouble string) {
	d.mu.Lock()
	d.conn, d.is.Connected, d.is.Trouble = nil, false, trouble
	d.mu.Unlock()
	r.tell(d, Lost, 0)
}

// List tells how each instrument stands.
func (r *Rack) List() []wire.Instrument {
	out := make([]wire.Instrument, len(r.devices))
	for i, d := range r.devices {
		d.mu.Lock()
		out[i] = d.is
		d.mu.Unlock()
	}
	return out
}

// Watch gives what each shows now, and then all that they show until stop.
func (r *Rack) Watch() (readings <-chan wire.Reading, stop func()) {
	l := make(chan wire.Reading, backlog)
	r.mu.Lock()
	r.listeners[l] = struct{}{}
	r.mu.Unlock()
	for _, d := range r.devices {
		d.mu.Lock()
		last := d.last
		d.mu.Unlock()
		select {
		case l <- last:
		default:
		}
	}
	return l, func() {
		r.mu.Lock()
		defer r.mu.Unlock()
		delete(r.listeners, l)
	}
}

// Steady reports whether a balance stands still on a weight, to its division.
func (r *Rack) Steady(id string, grams float64) bool {
	d := r.find(id)
	if d == nil {
		return false
	}
	d.mu.Lock()
	defer d.mu.Unlock()
	return d.is.Kind == Balance && d.last.State == Stable && d.last.Value >= 0 && math.Abs(d.last.Value-grams) <= d.is.Division*1.001
}

func (r *Rack) find(id string) *device {
	for _, d := range r.devices {
		if d.is.ID == id { // the id never changes
			return d
		}
	}
	return nil
}

// Send asks an instrument to do something; false when there is none of that name,
// it is not connected, or it cannot.
func (r *Rack) Send(c wire.Command) bool {
	d := r.find(c.Instrument)
	if d == nil {
		return false
	}
	d.mu.Lock()
	defer d.mu.Unlock()
	line := map[string]string{"tare": "TARE", "zero": "ZERO"}[c.Do]
	if line == "" && d.is.Simulated {
		switch c.Do {
		case "lift":
			line = "LIFT"
		case "pour", "heat":
			line = fmt.Sprintf("%s %s", map[string]string{"pour": "POUR", "heat": "HEAT"}[c.Do], strconv.FormatFloat(c.Amount, 'f', 3, 64))
		}
	}
	if line == "" || d.conn == nil {
		return false
	}
	_ = d.conn.SetWriteDeadline(time.Now().Add(patience))
	_, err := d.conn.Write([]byte(line + "\n"))
	return err == nil
}
