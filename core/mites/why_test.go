package mites

import (
	"reflect"
	"testing"

	"keeler/core/method"
)

// Each reason stands on its own datum, and without it nothing is said: a dose of 44 of 50 is
// 88 %, of 45 it is all; 70 of 100 mg are 70 %; strips out after 30 of 42 days.
func TestWhyNot(t *testing.T) {
	d := Dose{On: 9, Method: method.Dribble, Amount: 50, Asked: 50, Acid: 100, Meant: 100, Boxes: []float64{25, 25}, Seams: []float64{5, 5}}
	with := func(change func(*Dose)) Circumstances {
		of := d
		change(&of)
		return Circumstances{Broodless: true, Doses: []Dose{of}}
	}
	for name, c := range map[string]struct {
		of   Circumstances
		want []Why
	}{
		"nothing is amiss":  {with(func(d *Dose) {}), nil},
		"brood":             {Circumstances{Broodless: true, Sealed: 8}, []Why{{"brood_seen", 8, nil}}},
		"brood, of strips":  {Circumstances{Sealed: 8}, nil},
		"short":             {with(func(d *Dose) { d.Amount = 44 }), []Why{{"dose_short", 9, []float64{88}}}},
		"as good as all":    {with(func(d *Dose) { d.Amount = 45 }), nil},
		"weak":              {with(func(d *Dose) { d.Acid = 70 }), []Why{{"weak", 9, []float64{70}}}},
		"not known":         {with(func(d *Dose) { d.Acid = 0 }), nil},
		"old syrup":         {with(func(d *Dose) { d.PastDay = true }), []Why{{"past_day", 9, nil}}},
		"not opened":        {with(func(d *Dose) { d.Boxes = []float64{0, 50} }), []Why{{"box_left", 9, []float64{1}}}},
		"out early":         {with(func(d *Dose) { d.Days, d.Least = 30, 42 }), []Why{{"out_early", 9, []float64{30, 42}}}},
		"strips missing":    {with(func(d *Dose) { d.Missing = 2 }), []Why{{"missing", 9, []float64{2}}}},
		"frost":             {with(func(d *Dose) { d.Air, d.Warm = new(-2.5), 10 }), []Why{{"too_cold", 9, []float64{-2.5, 0}}}},
		"heat":              {with(func(d *Dose) { d.Air, d.High, d.Cold, d.Warm = new(22.), new(31.), 10, 29 }), []Why{{"too_warm", 9, []float64{31, 29}}}},
		"as warm as may be": {with(func(d *Dose) { d.Air, d.High, d.Cold, d.Warm = new(10.), new(29.), 10, 29 }), nil},
		"neighbours":        {Circumstances{Untreated: 3}, []Why{{"untreated", 0, []float64{3}}}},
	} {
		got := WhyNot(c.of)
		for i := range got {
			if len(got[i].Figures) == 0 {
				got[i].Figures = nil
			}
		}
		if !reflect.DeepEqual(got, c.want) {
			t.Errorf("%s: %+v", name, got)
		}
	}
}
