package pad

import (
	"math"
	"testing"

	"keeler/core/mixing"
)

// Water with clean hands, then the gear, then acid into it. 85 ± 1 % stock lets
// the working acid be off by as much in proportion: 60 × 1/85 = 0.71 %.
func TestDilutionInOrder(t *testing.T) {
	r := quiet()
	r.Hold.Label, r.Working = 0.85, 0.6
	p, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	p.StockOff = 0.01
	w, order := Work(r, p), ""
	for _, a := range w.Acts {
		order += a.ID + " "
	}
	if order != "cold_water gear outdoors stock close " {
		t.Errorf("the order is %s", order)
	}
	// The stock's 1 % is 0.71 in 60 %; a hundredth of 40 g water more or less in 100 g 0.24: 0.75 × 1.13.
	m := w.Made([]mixing.Taken{{Part: 0, Mass: p.Dilution.Stock}, {Part: 1, Mass: p.Dilution.Water}})
	if math.Abs(m.Strength.Value-60) > 1e-6 || math.Abs(m.Strength.Off-0.845) > 0.01 || m.Strength.Stand != mixing.Within {
		t.Errorf("makes %+v", m.Strength)
	}
	r.Hold = Hold{Kind: ReadyPads}
	if w = Work(r, p); w.Measure != mixing.Unmeasured || len(w.Acts) != 2 {
		t.Errorf("ready pads: %+v", w)
	}
}
