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

// Watching is what somebody at a bench is told of: that something happened there,
// and what the instruments show.
type Watching struct {
	Happened <-chan struct{}
	Readings <-chan wire.Reading
	Stop     func()
}

// WatchJob lets somebody look on at the rounds of a job; Stop must be called at the end.
func (d Desk) WatchJob(ctx context.Context, id string) (Watching, error) {
	if _, err := d.op.Job(ctx, id); err != nil {
		return Watching{}, err
	}
	happened, deaf := d.app.bell.listen(topic{d.who.Operation, id})
	return Watching{Happened: happened, Stop: deaf}, nil
}

// Watch lets somebody look on at a batch's bench; Stop must be called at the end.
func (d Desk) Watch(ctx context.Context, id string) (Watching, error) {
	if _, err := d.op.Batch(ctx, id); err != nil {
		return Watching{}, err
	}
	happened, deaf := d.app.bell.listen(topic{d.who.Operation, id})
	readings, stop := d.app.set.Instruments.Watch()
	return Watching{happened, readings, func() { deaf(); stop() }}, nil
}
