package app

import (
	"context"

	"keeler/core/fault"
	"keeler/wire"
)

// Instruments are the balances and thermometers that are read by themselves.
type Instruments interface {
	// List tells how each stands.
	List() []wire.Instrument
	// Watch gives what each shows now, and then all that they show until stop.
	Watch() (readings <-chan wire.Reading, stop func())
	// Steady reports whether a balance stands still on a weight.
	Steady(id string, grams float64) bool
	// Send asks one to do something; false where it cannot be asked.
	Send(wire.Command) bool
}

// noInstruments is what is there where none are set up.
type noInstruments struct{}

func (noInstruments) List() []wire.Instrument              { return []wire.Instrument{} }
func (noInstruments) Watch() (<-chan wire.Reading, func()) { return nil, func() {} }
func (noInstruments) Steady(string, float64) bool          { return false }
func (noInstruments) Send(wire.Command) bool               { return false }

// Instruments lists what is set up.
func (d Desk) Instruments(context.Context) (wire.Instruments, error) {
	return wire.Instruments{Instruments: d.app.set.Instruments.List()}, nil
}

// Command asks an instrument to do something, and lists them all.
func (d Desk) Command(ctx context.Context, c wire.Command) (wire.Instruments, error) {
	var l fault.List
	if l.Within("amount", c.Amount, 0, 20000, "") && !d.app.set.Instruments.Send(c) {
		l.Add("instrument", fault.Unknown)
	}
	if err := l.Err(); err != nil {
		return wire.Instruments{}, err
	}
	return d.Instruments(ctx)
}

// Watching is what somebody is told of: that something happened at some things, and what
// the instruments show.
type Watching struct {
	Happened <-chan struct{}
	Changed  func() []string // where, since it was asked last
	Readings <-chan wire.Reading
	Stop     func()
}

// Watch lets somebody look on at things, such as a batch's bench or a job's rounds, and
// with readings at the instruments; Stop must be called at the end. Of what is not the
// operation's nothing is ever told.
func (d Desk) Watch(ids []string, readings bool) Watching {
	e, deaf := d.app.bell.listen(d.who.Operation, ids)
	out := Watching{Happened: e.wake, Changed: e.changed, Stop: deaf}
	if readings {
		shown, stop := d.app.set.Instruments.Watch()
		out.Readings, out.Stop = shown, func() { deaf(); stop() }
	}
	return out
}
