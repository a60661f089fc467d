package pad

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
	own := func(r *Request) *Rule {
		r.Aim = Aim{Rule: Rule{Per: PerColony, ML: 30, At: 0.6, From: Below}}
		return &r.Aim.Rule
	}
	card := func(r *Request) *Card {
		r.Hold = Hold{Kind: ReadyPads, Card: &Card{Pure: 68, Per: PerColony, Each: 2, From: Above, Visits: 1}}
		return r.Hold.Card
	}
	reading := func(r *Request) *Reading {
		r.Hold.Reading = &Reading{Density: 1.19, Temp: new(chem.Celsius(20))}
		return r.Hold.Reading
	}
	for _, c := range []struct {
		field     string
		low, high float64
		set       func(*Request, float64)
	}{
		{"hold.percent", 5, 100, func(r *Request, v float64) { r.Hold.Label, r.Working = chem.Share(v/100), 0.05 }},
		{"working_percent", 5, 85, func(r *Request, v float64) { r.Working = chem.Share(v / 100) }},
		{"hold.volume_ml", 10, 100000, func(r *Request, v float64) { r.Hold.Volume = chem.Millilitres(v) }},
		{"hold.reading.temp_c", 0, 40, func(r *Request, v float64) { reading(r).Temp = new(chem.Celsius(v)) }},
		// The table at 20 °C; weaker than 60 % there is nothing to let down, so 5 % is wanted.
		{"hold.reading.g_per_ml", 1.012, 1.2213, func(r *Request, v float64) { reading(r).Density = chem.GramsPerMillilitre(v); r.Working = 0.05 }},
		{"hold.reading.off_g_per_ml", 0, 0.05, func(r *Request, v float64) { reading(r).Off = new(chem.GramsPerMillilitre(v)) }},
		{"hold.reading.temp_off_c", 0, 10, func(r *Request, v float64) { reading(r).TempOff = new(chem.Celsius(v)) }},
		{"amount.ml", 0.1, 145.87, func(r *Request, v float64) {
			own(r).ML = chem.Millilitres(v)
			r.Size = Size{By: SizeWorking, Working: 100}
		}},
		{"amount.at_percent", 5, 100, func(r *Request, v float64) {
			own(r).At = chem.Share(v / 100)
			r.Size = Size{By: SizeWorking, Working: 100}
		}},
		{"amount.nuc_ml", 0, 145.87, func(r *Request, v float64) { own(r).Nuc = chem.Millilitres(v) }},
		{"amount.cap_ml", 0, 1000, func(r *Request, v float64) { own(r).Cap = chem.Millilitres(v) }},
		{"amount.visits", 1, 15, func(r *Request, v float64) { r.Aim.Visits = int(v) }},
		{"amount.days_apart", 0, 30, func(r *Request, v float64) { r.Aim.Apart = int(v) }},
		{"size.reserve_percent", 0, 100, func(r *Request, v float64) { r.Size.Reserve = new(chem.Share(v / 100)) }},
		{"size.working_ml", 5, 100000, func(r *Request, v float64) { r.Size = Size{By: SizeWorking, Working: chem.Millilitres(v)} }},
		{"size.stock_ml", 5, 100000, func(r *Request, v float64) { r.Size = Size{By: SizeStock, Stock: chem.Millilitres(v)} }},
		{"size.water_g", 2, 50000, func(r *Request, v float64) { r.Size = Size{By: SizeWater, Water: chem.Grams(v)} }},
		{"mean.colonies", 1, 1000, func(r *Request, v float64) { r.Colonies, r.Mean = nil, &Mean{int(v), 10, 1} }},
		{"mean.combs", 1, 20, func(r *Request, v float64) { r.Colonies, r.Mean = nil, &Mean{9, int(v), 1} }},
		{"mean.boxes", 1, 6, func(r *Request, v float64) { r.Colonies, r.Mean = nil, &Mean{9, 10, int(v)} }},
		{"sheet.takes_ml", 1, 1000, func(r *Request, v float64) { r.Sheet = Sheet{chem.Millilitres(v), 10, 10} }},
		{"sheet.width_cm", 1, 200, func(r *Request, v float64) { r.Sheet = Sheet{10, v, 10} }},
		{"sheet.length_cm", 1, 200, func(r *Request, v float64) { r.Sheet = Sheet{10, 10, v} }},
		{"bottle_ml", 50, 50000, func(r *Request, v float64) { r.Bottle = chem.Millilitres(v) }},
		{"prices.stock", 0, 1e6, func(r *Request, v float64) { r.Prices.Stock = v }},
		{"hold.count", 0, 10000, func(r *Request, v float64) { card(r); r.Hold.Count = int(v) }},
		{"hold.card.formic_g", 1, 200, func(r *Request, v float64) { card(r).Pure = chem.Grams(v) }},
		{"hold.card.each", 1, 7, func(r *Request, v float64) { card(r).Each = int(v) }},
		{"hold.card.nuc_each", 0, 7, func(r *Request, v float64) { card(r).Nuc = int(v) }},
		{"hold.card.visits", 1, 15, func(r *Request, v float64) { card(r).Visits = int(v) }},
		{"hold.card.days_apart", 0, 30, func(r *Request, v float64) { card(r).Apart = int(v) }},
	} {
		try := func(v float64) error {
			r := quiet()
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
		for _, beyond := range []float64{c.low - 2, c.high*2.01 + 1} {
			var l fault.List
			if !errors.As(try(beyond), &l) || l[0].Field != c.field {
				t.Errorf("%s: %v gives %v", c.field, beyond, l)
			}
		}
		if c.low != math.Trunc(c.low) {
			var l fault.List
			if !errors.As(try(math.NaN()), &l) || l[0].Field != c.field || l[0].Reason != fault.NotFinite {
				t.Errorf("%s: NaN gives %v", c.field, l)
			}
		}
	}
	for field, spoil := range map[string]func(*Request){
		"hold.kind":       func(r *Request) { r.Hold.Kind = "vinegar" },
		"amount.per":      func(r *Request) { own(r).Per = "hive" },
		"amount.from":     func(r *Request) { own(r).From = "aside" },
		"amount.protocol": func(r *Request) { r.Aim.Protocol = "none" },
		"size.by":         func(r *Request) { r.Size.By = "eye" },
		"hold.card.per":   func(r *Request) { card(r).Per = PerComb },
		"hold.card.from":  func(r *Request) { card(r).From = "" },
	} {
		r := quiet()
		spoil(&r)
		_, err := New(r)
		var l fault.List
		if !errors.As(err, &l) || l[0].Field != field {
			t.Errorf("%s: got %v", field, err)
		}
	}
}
