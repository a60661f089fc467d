package dribble

import (
	"slices"
	"testing"

	"keeler/core/mixing"
)

func steps(p Plan) []mixing.Step {
	var out []mixing.Step
	for _, l := range p.Lines {
		out = append(out, l.Step)
	}
	return out
}

// Sugar comes first with clean hands; the gear is on before any acid.
func TestOrderOfWork(t *testing.T) {
	card := &Card{Rows: []CardRow{{0, 30}}}
	for _, c := range []struct {
		name string
		hold Hold
		want []mixing.Step
		gear mixing.Step
	}{
		{"crystals", Hold{Kind: Crystals, Share: 1}, []mixing.Step{StepSugar, StepHotWater, StepAcid, StepRestWater}, StepHotWater},
		{"packet", Hold{Kind: Packet, Grams: 35, Share: 0.89}, []mixing.Step{StepSugar, StepHotWater, StepAcid, StepRestWater}, StepHotWater},
		{"tablets", Hold{Kind: Tablets, Grams: 1, Share: 1}, []mixing.Step{StepSugar, StepAllWater, StepTablets}, StepTablets},
		{"ready-mix", Hold{Kind: ReadyMix, Stock: Stock{6, "percent_wv", "dihydrate", 0}}, []mixing.Step{StepSugar, StepWater, StepStock}, StepStock},
		{"ready to use", Hold{Kind: ReadyToUse, Card: card}, []mixing.Step{StepWarmBottle}, StepWarmBottle},
	} {
		r := quiet()
		r.Hold = c.hold
		p, err := New(r)
		if err != nil {
			t.Errorf("%s: %v", c.name, err)
			continue
		}
		if got := steps(p); !slices.Equal(got, c.want) {
			t.Errorf("%s: got %v, want %v", c.name, got, c.want)
		}
		for _, l := range p.Lines {
			if (l.Step == c.gear) != (len(l.Gear) > 0) {
				t.Errorf("%s: gear before %s is %v", c.name, l.Step, l.Gear)
			}
		}
	}
}

// Nitrile is no protection against formic acid.
func TestGearForAProductWithFormicAcid(t *testing.T) {
	r := quiet()
	r.Hold = Hold{Kind: ReadyToUse, Card: &Card{
		Actives: []Active{{Oxalic, 39, "dihydrate"}, {Formic, 5, ""}}, Rows: []CardRow{{0, 30}},
	}}
	p, err := New(r)
	if err != nil || !slices.Equal(p.Lines[0].Gear, []mixing.Gear{mixing.ButylGloves, mixing.Goggles}) {
		t.Errorf("got %v %v", p.Lines, err)
	}
	if !slices.Equal(p.GiveGear, []mixing.Gear{mixing.ButylGloves, mixing.Goggles, mixing.WaterBottle}) {
		t.Errorf("in the yard: %v", p.GiveGear)
	}
	if p, err = New(quiet()); err != nil || !slices.Equal(p.GiveGear, []mixing.Gear{mixing.Gloves, mixing.Goggles, mixing.WaterBottle}) {
		t.Errorf("for a syrup: %v %v", p.GiveGear, err)
	}
}

// A packet's filler stands for as much of the sugar: 35 g of powder at 89 % bring
// 3.85 g filler, so that 500 mL of the half-litre recipe take 500/523.64 of 308 g.
func TestFillerIsSugar(t *testing.T) {
	r := quiet()
	r.Aim.Protocol = "half-litre-packet"
	r.Hold = Hold{Kind: Packet, Grams: 35, Share: 0.89}
	packet, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	within(t, "sugar beside the packet", float64(packet.Lines[0].Mass), 294.10, 0.02)
	within(t, "powder", float64(packet.Lines[2].Mass), 33.42, 0.01)
	// With pure crystals the same syrup takes the filler's mass in sugar instead.
	r.Hold = Hold{Kind: Crystals, Share: 1}
	pure, err := New(r)
	if err != nil {
		t.Fatal(err)
	}
	within(t, "sugar beside crystals", float64(pure.Lines[0].Mass), 297.77, 0.02)
	within(t, "crystals", float64(pure.Lines[2].Mass), 29.74, 0.01)
}
