package device

import (
	"bufio"
	"context"
	"io"
	"log/slog"
	"net"
	"strings"
	"testing"

	"keeler/sim/instruments"
	"keeler/wire"
)

// bridge is an instrument in the hands of the test.
type bridge struct {
	t        *testing.T
	listener net.Listener
	rack     *Rack
	readings <-chan wire.Reading
}

func up(t *testing.T) *bridge {
	t.Helper()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	ctx, end := context.WithCancel(context.Background())
	t.Cleanup(func() { end(); _ = listener.Close() })
	b := &bridge{t: t, listener: listener, rack: New([]string{listener.Addr().String()}, slog.New(slog.DiscardHandler))}
	var stop func()
	b.readings, stop = b.rack.Watch()
	t.Cleanup(stop)
	<-b.readings // that nothing is known yet
	go b.rack.Run(ctx)
	return b
}

// speaks waits for Keeler, says something and leaves the connection open.
func (b *bridge) speaks(text string) net.Conn {
	b.t.Helper()
	conn, err := b.listener.Accept()
	if err != nil {
		b.t.Fatal(err)
	}
	b.t.Cleanup(func() { _ = conn.Close() })
	if _, err := io.WriteString(conn, text); err != nil {
		b.t.Fatal(err)
	}
	return conn
}

func (b *bridge) shows(state string, value float64) {
	b.t.Helper()
	if r := <-b.readings; r != (wire.Reading{Instrument: "i1", State: state, Value: value}) {
		b.t.Errorf("it shows %+v, want %s %v", r, state, value)
	}
}

const hi = "KEELER 1 balance 0.1 2000\n"

// What is read, is told at once; only what stands still and is not below nothing
// can be taken; commands arrive as lines.
func TestReadsABalance(t *testing.T) {
	b := up(t)
	conn := b.speaks(hi + "U 44.8 g\nS 45.0 g\n")
	b.shows(Unstable, 44.8)
	b.shows(Stable, 45)
	is := b.rack.List()[0]
	if !is.Connected || is.Kind != Balance || is.Division != 0.1 || is.Capacity != 2000 || is.Simulated {
		t.Errorf("it is %+v", is)
	}
	for grams, want := range map[float64]bool{45: true, 45.1: true, 45.3: false, 4.5: false} {
		if b.rack.Steady("i1", grams) != want {
			t.Errorf("steady on %v: want %v", grams, want)
		}
	}
	if b.rack.Steady("i2", 45) {
		t.Error("there is no second one")
	}
	if !b.rack.Send(wire.Command{Instrument: "i1", Do: "tare"}) {
		t.Error("it cannot be tared")
	}
	if b.rack.Send(wire.Command{Instrument: "i1", Do: "pour", Amount: 5}) || b.rack.Send(wire.Command{Instrument: "i9", Do: "tare"}) {
		t.Error("only a simulated one can be poured onto, and only one that is there")
	}
	if line, err := bufio.NewReader(conn).ReadString('\n'); err != nil || line != "TARE\n" {
		t.Errorf("it was told %q %v", line, err)
	}
	for _, c := range []struct {
		line, state string
		value       float64
	}{{"S -0.3 g", Stable, -0.3}, {"U 45.0 g", Unstable, 45}, {"O", Overload, 0}} {
		if _, err := io.WriteString(conn, c.line+"\n"); err != nil {
			t.Fatal(err)
		}
		b.shows(c.state, c.value)
		if b.rack.Steady("i1", c.value) {
			t.Errorf("%q is taken", c.line)
		}
	}
	_ = conn.Close()
	b.shows(Lost, 0)
}

// Noise is passed over; garbage, 10 MB without an end, and a stranger are let go,
// told apart, and tried again.
func TestWhatCannotBeRead(t *testing.T) {
	b := up(t)
	conn := b.speaks(hi + "\x00\xff\nS 1e999 g\nS 45 C\nX 1 g\nS 45.0 g\n")
	b.shows(Stable, 45)
	_, _ = io.WriteString(conn, strings.Repeat("what\n", forgiven))
	b.shows(Lost, 0)
	b.trouble("garbled")

	conn = b.speaks(hi)
	for range 1000 { // it hangs up long before
		if _, err := io.WriteString(conn, strings.Repeat("9", 10_000)); err != nil {
			break
		}
	}
	b.shows(Lost, 0)
	b.trouble("garbled")

	b.speaks("220 good morning\n")
	b.shows(Lost, 0)
	b.trouble("garbled")

	b.speaks("") // it says nothing at all
	b.shows(Lost, 0)
	b.trouble("silent")

	b.speaks("KEELER 1 probe 0.1 0\nS 68.4 C\n")
	b.shows(Stable, 68.4)
	if b.rack.Steady("i1", 68.4) {
		t.Error("a thermometer weighs nothing")
	}
}

func (b *bridge) trouble(want string) {
	b.t.Helper()
	if is := b.rack.List()[0]; is.Connected || is.Trouble != want {
		b.t.Errorf("it is %+v, want %s", is, want)
	}
}

// A listener who is slow misses readings and holds nobody up.
func TestSlowListener(t *testing.T) {
	b := up(t)
	b.rack.Watch() // and never looks
	conn := b.speaks(hi)
	for i := range 5 * backlog {
		if _, err := io.WriteString(conn, "S 1.0 g\n"); err != nil {
			t.Fatal(err)
		}
		if i%2 == 0 {
			b.shows(Stable, 1)
		}
	}
}

// The stand-ins speak the lines that are read here.
func TestReadsTheStandIns(t *testing.T) {
	ctx, end := context.WithCancel(context.Background())
	defer end()
	addresses, err := instruments.Set(ctx, 1)
	if err != nil {
		t.Fatal(err)
	}
	r := New(addresses, slog.New(slog.DiscardHandler))
	go r.Run(ctx)
	readings, stop := r.Watch()
	defer stop()
	wanted := map[string]float64{"i1": 250, "i2": 45, "i3": 30}
	sent := map[string]bool{}
	for seen := range readings {
		if seen.State == Lost {
			continue
		}
		if !sent[seen.Instrument] {
			sent[seen.Instrument] = true
			do := map[bool]string{true: "heat", false: "pour"}[seen.Instrument == "i3"]
			if !r.Send(wire.Command{Instrument: seen.Instrument, Do: do, Amount: wanted[seen.Instrument]}) {
				t.Fatalf("%s does not listen", seen.Instrument)
			}
		}
		if want, waits := wanted[seen.Instrument]; waits && seen.State == Stable && seen.Value > want-0.5 && seen.Value < want+0.5 {
			delete(wanted, seen.Instrument)
		}
		if len(wanted) == 0 {
			return
		}
	}
}

// No line breaks the reader, and what it accepts is a figure.
func FuzzLines(f *testing.F) {
	for _, line := range []string{"S 45.02 g", "U -1 g", "O", "KEELER 1 balance 0.1 2000 simulated", "KEELER 1 probe 0.1 0", "S NaN g", "S +Inf g", "S 0x1p4 g"} {
		f.Add(line)
	}
	f.Fuzz(func(t *testing.T, line string) {
		if h, err := readHello(line); err == nil && (h.division <= 0 || h.capacity < 0 || units[h.kind] == "") {
			t.Errorf("%q is %+v", line, h)
		}
		for kind := range units {
			state, value, err := readReading(line, kind)
			if err == nil && (state == "" || value != value || value > most || value < -most) {
				t.Errorf("%q is %s %v", line, state, value)
			}
		}
	})
}
