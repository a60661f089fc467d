package strip

import (
	"errors"
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
)

// Each figure of a request: its ends are taken, what lies beyond and what is no
// number is refused at its own field. The ends stand in the API's descriptions.
func TestEndsOfEachFigure(t *testing.T) {
	many := func(r *Request) { r.Size.Strips, r.Balance.Division = 400, 0.1 }
	for _, c := range []struct {
		field     string
		low, high float64
		set       func(*Request, float64)
	}{
		{"glycerol_percent", 86, 99.5, func(r *Request, v float64) { r.Glycerol = chem.Share(v / 100) }},
		{"warm_to_c", 50, 77, func(r *Request, v float64) { r.Heat = chem.Celsius(v) }},
		{"uptake_g", 0.5, 346.79, func(r *Request, v float64) { many(r); r.Size.Strips = 150; r.Uptake = chem.Grams(v) }},
		{"stays_ml", 0, 20000, func(r *Request, v float64) { r.Stays = chem.Millilitres(v) }},
		{"headroom_percent", 0, 200, func(r *Request, v float64) { r.Headroom = new(chem.Share(v / 100)) }},
		{"number.each", 1, 40, func(r *Request, v float64) { r.Number = &Number{By: PerBox, Each: int(v)} }},
		{"number.frames", 0.5, 20, func(r *Request, v float64) { r.Number.Frames = v }},
		{"number.most_per_box", 0, 20, func(r *Request, v float64) { r.Number.Most = new(int(v)) }},
		{"size.colonies", 1, 1000, func(r *Request, v float64) { r.Size = Size{By: SizeCount, Colonies: int(v), Each: 2} }},
		{"size.each", 0.25, 40, func(r *Request, v float64) { r.Size = Size{By: SizeCount, Colonies: 20, Each: v} }},
		{"size.strips", 1, 20000, func(r *Request, v float64) { r.Uptake = 4; r.Stays = 20; r.Size.Strips = int(v) }},
		{"size.acid_g", 7, 25000, func(r *Request, v float64) { r.Size = Size{By: SizeAcid, Acid: chem.Grams(v)} }},
		{"size.glycerol_ml", 15, 50000, func(r *Request, v float64) { r.Size = Size{By: SizeGlycerol, Glycerol: chem.Millilitres(v)} }},
		{"size.times", 0.02, 50, func(r *Request, v float64) { r.Size = Size{By: SizeTimes, Times: v} }},
		{"size.volume_ml", 20, 75000, func(r *Request, v float64) { r.Size = Size{By: SizeVolume, Volume: chem.Millilitres(v)} }},
		{"carried.oad_percent", 1, 60, func(r *Request, v float64) { r.Carried = Carried{20, chem.Share(v / 100), 0} }},
		{"carried.water_percent", 0, 30, func(r *Request, v float64) { r.Carried = Carried{20, 0.3, chem.Share(v / 100)} }},
		{"jig.slots", 0, 500, func(r *Request, v float64) { r.Jig.Slots = int(v) }},
		{"jig.most", 0, 500, func(r *Request, v float64) { r.Jig = Jig{Slots: 4, Most: int(v)} }},
		{"balance_g", 0.001, 10, func(r *Request, v float64) { many(r); r.Balance.Division = chem.Grams(v) }},
		{"prices.acid_kg", 0, 1e6, func(r *Request, v float64) { r.Prices.AcidKg = v }},
		{"prices.glycerol_l", 0, 1e6, func(r *Request, v float64) { r.Prices.GlycerolL = v }},
		{"prices.strip", 0, 1e6, func(r *Request, v float64) { r.Prices.Strip = v }},
	} {
		try := func(v float64) error {
			r := forty()
			r.Balance.Division = 0.001
			c.set(&r, v)
			_, err := New(r)
			return err
		}
		for _, end := range []float64{c.low, c.high} {
			if err := try(end); err != nil {
				t.Errorf("%s: its end %v is refused: %v", c.field, end, err)
			}
		}
		for _, beyond := range []float64{c.low - 1, c.high*1.01 + 1} {
			var l fault.List
			if !errors.As(try(beyond), &l) || l[0].Field != c.field {
				t.Errorf("%s: %v gives %v", c.field, beyond, l)
			}
		}
		if isFloat := c.low != math.Trunc(c.low) || c.field == "warm_to_c"; isFloat {
			var l fault.List
			if !errors.As(try(math.NaN()), &l) || l[0].Field != c.field || l[0].Reason != fault.NotFinite {
				t.Errorf("%s: NaN gives %v", c.field, l)
			}
		}
	}
	for field, spoil := range map[string]func(*Request){
		"carrier":           func(r *Request) { r.Layout.Carrier = "rope" },
		"number.by":         func(r *Request) { r.Number.By = "feel" },
		"size.by":           func(r *Request) { r.Size.By = "eye" },
		"recipe.protocol":   func(r *Request) { r.Aim.Protocol = "none" },
		"recipe.oad_g":      func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 5, Glycerol: 100}} }, // a twentieth
		"carried.grams":     func(r *Request) { r.Carried.Mass = -5 },
		"colonies":          func(r *Request) { r.Size = Size{By: SizeColonies} },
		"balance_g":         func(r *Request) { r.Size.Strips, r.Uptake, r.Balance.Division = 2, 20, 50 },
		"recipe.glycerol_g": func(r *Request) { r.Aim = Aim{Recipe: Recipe{OAD: 5}} },
	} {
		r := forty()
		spoil(&r)
		_, err := New(r)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: got %v", field, err)
		}
	}
}
