package dribble

import (
	"errors"
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
)

func TestLadder(t *testing.T) {
	for _, c := range []struct {
		strength     chem.GramsPerLitre
		below, above string
	}{
		{25, "", "mild"},
		{30.14, "mild", "label-litre"},
		{40, "label-litre", "medium"},
		{44.768, "medium", "half-litre-packet"},
		{62.3, "half-litre-packet", ""},
	} {
		if got := Ladder(c.strength); got != (Place{c.below, c.above}) {
			t.Errorf("%v g/L stands at %v, want %s to %s", c.strength, got, c.below, c.above)
		}
	}
	for i := 1; i < len(Protocols); i++ {
		if Protocols[i].Recipe.Strength() <= Protocols[i-1].Recipe.Strength() {
			t.Errorf("%s does not rise above %s", Protocols[i].ID, Protocols[i-1].ID)
		}
	}
}

// The whole of what is put in must come out: thinning makes and loses nothing.
func FuzzThin(f *testing.F) {
	f.Add(60.0, 0.0, 45.0, 0.3, 1000.0)
	f.Add(62.0, 0.55, 35.0, 0.5, 262.0)
	f.Fuzz(func(t *testing.T, from, has, to, wants, v float64) {
		stock := Stock{Value: from, Form: chem.PerLitre, Basis: chem.Dihydrate, Sugar: chem.Share(has)}
		got, err := Thin(stock, chem.Millilitres(v), chem.GramsPerLitre(to), chem.Share(wants))
		var l fault.List
		if err != nil {
			if !errors.As(err, &l) || l[0].Field == "" {
				t.Fatalf("an error without a field: %v", err)
			}
			return
		}
		whole := float64(got.Stock + got.Water + got.Sugar)
		if math.Abs(whole/float64(got.Result.Mass())-1) > 1e-9 {
			t.Errorf("%v g in, %v g out", whole, got.Result.Mass())
		}
		acid := from * float64(got.StockVolume) / 1000
		if math.Abs(acid/float64(got.Result.OAD)-1) > 1e-6 {
			t.Errorf("%v g acid in, %v g out", acid, got.Result.OAD)
		}
		if math.Abs(float64(got.Result.Volume())/v-1) > 1e-6 || math.Abs(float64(got.Result.Strength())/to-1) > 1e-6 {
			t.Errorf("made %v mL of %v g/L, wanted %v of %v", got.Result.Volume(), got.Result.Strength(), v, to)
		}
	})
}

func planned(v, strength, division float64, seams []byte, kind byte) Request {
	c := hive.Colony{Name: "F", Boxes: []hive.Box{{Kind: hive.Deep, Slots: hive.Combs(10), Seams: make([]hive.Seam, 11)}}}
	for i, q := range seams[:min(len(seams), 11)] {
		c.Boxes[0].Seams[i] = hive.Seam(q % 5)
	}
	r := Request{
		Hold:       Hold{Kind: []HoldKind{Crystals, Packet, Tablets}[kind%3], Grams: 35, Share: 0.89},
		Aim:        Aim{By: ByValue, Value: strength, Form: chem.PerLitre, Basis: chem.Dihydrate},
		Size:       Size{By: SizeVolume, Volume: chem.Millilitres(v)},
		Colonies:   []hive.Colony{c},
		Applicator: &Applicator{Device: Syringe, Size: 60},
	}.Settled()
	r.Division = chem.Grams(division)
	return r
}

// A plan either names the field that cannot be, or its masses are those of its
// volume and strength, twice the volume takes twice of everything, and what is
// shown for the water adds up.
func FuzzPlan(f *testing.F) {
	f.Add(262.0, 35.0, 0.1, []byte{0, 2, 4, 4, 4}, byte(0))
	f.Add(500.0, 59.5, 1.0, []byte{4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4}, byte(1))
	f.Add(20000.0, 45.0, 0.01, []byte{}, byte(2))
	f.Fuzz(func(t *testing.T, v, strength, division float64, seams []byte, kind byte) {
		r := planned(v, strength, division, seams, kind)
		p, err := New(r)
		if err != nil {
			var l fault.List
			if !errors.As(err, &l) || l[0].Field == "" {
				t.Fatalf("an error without a field: %v", err)
			}
			return
		}
		if math.Abs(float64(p.Made.Volume())/v-1) > 1e-6 || math.Abs(float64(p.Made.Strength()/p.Strength)-1) > 1e-6 {
			t.Errorf("made %v mL of %v g/L, says %v of %v", p.Made.Volume(), p.Made.Strength(), v, p.Strength)
		}
		water := map[mixing.Step]chem.Grams{}
		for _, line := range p.Lines {
			if line.Mass < 0 || line.Show < 0 || math.IsNaN(float64(line.Mass)) {
				t.Errorf("%s: %v g, shown %v", line.Step, line.Mass, line.Show)
			}
			water[line.Step] = line.Mass
		}
		if r.Hold.Kind != Tablets {
			if sum := water[StepHotWater] + water[StepRestWater]; math.Abs(float64(sum/p.Made.Water)-1) > 1e-9 {
				t.Errorf("water %v in parts, %v in all", sum, p.Made.Water)
			}
			twice := r
			twice.Size.Volume *= 2
			if q, err := New(twice); err == nil && math.Abs(float64(q.Made.Mass()/p.Made.Mass())-2) > 1e-9 {
				t.Errorf("twice the volume takes %v times the mass", q.Made.Mass()/p.Made.Mass())
			}
		}
		if first := water[StepHotWater]; first > 0 && !chem.Dissolves(p.Made.OAD, first, 60) {
			t.Errorf("%v g do not dissolve in the first %v g of water at 60 °C", p.Made.OAD, first)
		}
		if p.Made.OAD > 0 && !chem.Dissolves(p.Made.OAD, p.Made.Water*1.000001, RoomTemperature) {
			t.Errorf("%v g in %v g water do not stay dissolved at 20 °C", p.Made.OAD, p.Made.Water)
		}
	})
}
