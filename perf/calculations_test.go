package perf

import (
	"errors"
	"fmt"
	"testing"
	"time"

	"keeler/core/chem"
	"keeler/core/method/strip"
	"keeler/core/mixing"
	"keeler/demo"
	"keeler/wire"
)

// colonies is the demo's yard as often as it takes for n.
func colonies(n int) []wire.Colony {
	eight := demo.Welcome().Draft.Dribble.Colonies
	out := make([]wire.Colony, n)
	for i := range out {
		out[i] = eight[i%len(eight)]
		out[i].Name = fmt.Sprint(out[i].Name, "-", i)
	}
	return out
}

// eight balances, from a spring balance to one for jewellers.
var eight = mixing.Scales{Cup: 40, Balances: []mixing.Balance{
	{Division: 10, Capacity: 50000}, {Division: 5, Capacity: 20000}, {Division: 1, Capacity: 5000}, {Division: 1, Capacity: 2000},
	{Division: 0.5, Capacity: 1000}, {Division: 0.1, Capacity: 500}, {Division: 0.01, Capacity: 200}, {Division: 0.001, Capacity: 50},
}}

// each runs a calculation again and again; most is the longest that one may take.
func each(b *testing.B, name string, most time.Duration, work func() error) {
	b.Run(name, func(b *testing.B) {
		for b.Loop() {
			if err := work(); err != nil {
				b.Fatal(err)
			}
		}
		if one := b.Elapsed() / time.Duration(b.N); most > 0 && one >= most {
			b.Errorf("%v is over %v", one, most)
		}
	})
}

func BenchmarkCalculations(b *testing.B) {
	const many, most = 1000, 5 * time.Millisecond
	drafts := demo.Welcome().Draft
	syrup := func(n int) func() error {
		request := *drafts.Dribble
		request.Colonies, request.Hold.Grams = colonies(n), 0
		return func() error { _, err := wire.PlanDribble(request); return err }
	}
	// Doubles of long strips are the widest choice of places.
	pot := func(carrier strip.Carrier, boxes int) func() error {
		request := *drafts.Strip
		request.Carrier, request.Colonies = carrier, nil
		for _, c := range colonies(many) {
			for len(c.Boxes) < boxes {
				c.Boxes = append(c.Boxes, c.Boxes[0])
			}
			request.Colonies = append(request.Colonies, wire.StripColony{Colony: c})
		}
		return func() error { _, err := wire.PlanStrip(request); return err }
	}
	acid := *drafts.Pad
	acid.Colonies = colonies(many)
	dose := wire.DoseRequest{Colonies: colonies(8), GPerL: 35}
	dilution := wire.PadDilutionRequest{
		Hold: wire.PadHold{Kind: "acid", Label: 0.85}, Working: 0.6, Size: wire.PadSize{By: "working", Working: 1000},
	}
	temperature := chem.Celsius(30)
	reading := wire.PadAssayRequest{Reading: wire.PadReading{Density: 1.1834, Temp: &temperature}}
	work, err := wire.Recipe{Dribble: drafts.Dribble}.Mixing("")
	scales := wire.ScalesOf(wire.UsualBalances().Balances, 0)
	spilt := []mixing.Event{{Kind: mixing.Added, Act: "sugar", Grams: 150}, {Kind: mixing.Added, Act: "acid", Grams: 12}}
	each(b, "bench: a run as it stands, and its mending", 0, func() error {
		if m := work.Fold(spilt, scales).Mending(work.Work); err != nil || !m.Possible {
			return fmt.Errorf("not mended: %w", err)
		}
		return nil
	})
	each(b, "bench: weighing plan over 8 balances", 0, func() error {
		if _, ok := eight.Weigh(1234, true); !ok {
			return errors.New("no balance carries it")
		}
		return nil
	})
	each(b, "syrup, 8 colonies", 0, syrup(8))
	each(b, "syrup, 1,000 colonies", most, syrup(many))
	each(b, "dose, 8 colonies", 0, func() error { _, err := wire.Dose(dose); return err })
	each(b, "pot of strips, 1,000 colonies", most, pot("strip", 1))
	each(b, "pot of long strips, 1,000 doubles", most, pot("long", 2))
	each(b, "formic acid, 1,000 colonies", most, func() error { _, err := wire.PlanPad(acid); return err })
	each(b, "dilution", 0, func() error { _, err := wire.DilutePad(dilution); return err })
	each(b, "strength from a density", 0, func() error { _, err := wire.AssayPad(reading); return err })
}
