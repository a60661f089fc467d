package wire

import (
	"strings"
	"testing"

	"keeler/core/fault"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/note"
)

func TestSay(t *testing.T) {
	for _, c := range []struct {
		fault fault.Fault
		want  string
	}{
		{fault.Fault{Field: "size.volume_ml", Reason: fault.TooLow, Low: 10, High: 100000, Unit: "mL"}, "Too low. Possible: 10 to 100,000 mL."},
		// Its ends are rounded inward, so that both are accepted.
		{fault.Fault{Field: "strength.value", Reason: fault.Insoluble, Low: 0.35704, High: 5.7529, Unit: "% w/v"}, "More acid than stays dissolved at room temperature. Possible: 0.358 to 5.75 % w/v."},
		{fault.Fault{Field: "hold.stock.basis", Reason: fault.Missing}, "Say whether the label counts dihydrate or anhydrous: the two differ by 1.4, so it is not guessed."},
		{fault.Fault{Field: "colonies", Reason: fault.Missing}, "Nobody gets anything yet: tap the gaps that hold bees, or size the batch another way."},
		{fault.Fault{Field: "hold.count", Reason: fault.WholeOnly, Low: 1, High: 10000, Unit: "tablets"}, "Only whole tablets. Possible: 1 to 10,000 tablets."},
		{fault.Fault{Field: "hold.reading.g_per_ml", Reason: fault.TooHigh, Low: 0.986, High: 1.2093, Unit: "g/mL"}, "Too high. Possible: 0.986 to 1.209 g/mL."},
		{fault.Fault{Field: "uptake_g", Reason: fault.Missing, Low: 0.5, High: 500, Unit: "g"}, "Weigh one dry and one soaked: the difference is what a piece takes up. Possible: 0.5 to 500 g."},
		{fault.Fault{Field: "carried.grams", Reason: fault.Overfull, High: 221.28, Unit: "g"}, "More than this pot takes and still comes out right: weigh less of it in, or make a larger pot. Possible: 0 to 221 g."},
		{fault.Fault{Field: "working_percent", Reason: fault.Upward, Low: 5, High: 60, Unit: "%"}, "Thinning cannot make it stronger than what is in the bottle. Possible: 5 to 60 %."},
		{fault.Fault{Field: "prices.hold", Reason: fault.TooLow, Low: 0, High: 1e6}, "Too low. Possible: 0 to 1,000,000."},
	} {
		if got := Say(c.fault); got != c.want {
			t.Errorf("%+v:\n got %q\nwant %q", c.fault, got, c.want)
		}
	}
}

func TestSayNamesFewColonies(t *testing.T) {
	n := note.Note{Code: dribble.NoteNoBees, Colonies: strings.Fields("A B C D E F G H")}
	if got := sayDribble(n, dribble.Crystals); !strings.HasPrefix(got, "A, B, C, D, E, F and 2 more: ") {
		t.Errorf("got %q", got)
	}
}

// Every note of every method has words of its own, with all its figures in them.
func TestEveryNoteHasWords(t *testing.T) {
	figures := []float64{11, 12, 13, 14, 15}
	for method, list := range map[string]struct {
		say   func(note.Note) string
		codes map[note.Code]int // figures that the keeper must read
	}{
		"dribble": {func(n note.Note) string { return sayDribble(n, dribble.Packet) }, map[note.Code]int{
			dribble.NoteWeak: 2, dribble.NoteStrong: 2, dribble.NoteSeamLow: 2, dribble.NoteSeamHigh: 2, dribble.NoteCap: 2,
			dribble.NoteBigCap: 2, dribble.NoteMean: 2, dribble.NoteShort: 2, dribble.NoteHolding: 1, dribble.NoteCrystals: 1,
			dribble.NoteRatio: 1, dribble.NoteBalance: 1, dribble.NoteNoBees: 0, dribble.NoteTablets: 2, dribble.NoteSteps: 1,
			dribble.NoteBeyond: 2, dribble.NoteNoOxalic: 0,
		}},
		"strip": {sayStrip, map[note.Code]int{
			strip.NoteWeak: 2, strip.NoteStrong: 2, strip.NoteUptake: 2, strip.NoteHot: 2, strip.NoteShort: 2,
			strip.NoteCarried: 2, strip.NoteBalance: 1, strip.NoteGaps: 2, strip.NoteMost: 2, strip.NoteNoGap: 0,
			strip.NoteClose: 0, strip.NoteOutside: 0, strip.NoteUnlooked: 0, strip.NoteNoBees: 0,
		}},
		"pad": {sayPad, map[note.Code]int{
			pad.NoteWeak: 2, pad.NoteStrong: 2, pad.NoteFuming: 2, pad.NoteReading: 2, pad.NoteScaled: 4,
			pad.NoteSpoons: 5, pad.NoteCap: 2, pad.NoteShort: 2, pad.NoteHolding: 1, pad.NoteVisits: 2,
			pad.NoteApart: 3, pad.NoteNuc: 0, pad.NoteNoNuc: 0, pad.NoteBalance: 1,
		}},
	} {
		for code, n := range list.codes {
			text := list.say(note.Note{Code: code, Figures: figures})
			if len(text) < 20 || !strings.HasSuffix(text, ".") {
				t.Errorf("%s %s: %q", method, code, text)
			}
			for i := range n {
				if !strings.Contains(text, figure(figures[i])) {
					t.Errorf("%s %s does not tell its figure %d: %q", method, code, i, text)
				}
			}
		}
	}
}

// The narrow calculations agree with the plan they are a part of.
func TestNarrowCalculations(t *testing.T) {
	protocol := Aim{By: "protocol", Protocol: "label-litre"}

	// 35 g at 89 % are 31.15 g OAD; at 35.046 g/L that is 888.8 mL, 17 colonies.
	packet, err := Packet(PacketRequest{Hold: Hold{Kind: "packet", Grams: 35, OADPercent: 89, Count: 1}, Strength: protocol})
	if err != nil || packet.OADG != 31.15 || packet.AtCap != 17 || packet.VolumeML < 888.7 || packet.VolumeML > 888.9 {
		t.Errorf("packet: %+v %v", packet, err)
	}
	tablets, err := Tablets(TabletsRequest{Hold: Hold{Kind: "tablets", Grams: 1, OADPercent: 100}, Strength: protocol, VolumeML: 500})
	if err != nil || tablets.Tablets != 18 || tablets.Strength.GPerL != 36 {
		t.Errorf("tablets: %+v %v", tablets, err)
	}
	thin, err := Thinning(ThinningRequest{
		Stock:    Stock{Value: 6, Form: "percent_wv", Basis: "dihydrate"},
		Strength: Aim{By: "value", Value: 4.5, Form: "percent_wv", Basis: "dihydrate"}, SugarPercentWW: 30, VolumeML: 1000,
	})
	if err != nil || thin.StockML != 750 || thin.SugarG < 343.3 || thin.SugarG > 343.7 || thin.WaterG < 36.7 || thin.WaterG > 37.3 {
		t.Errorf("thinning: %+v %v", thin, err)
	}
	// 45 g/L OAD is 4.5 % w/v, 3.2139 % w/v OAA.
	s, err := Convert(StrengthRequest{Strength: Aim{By: "value", Value: 45, Form: "g_per_l", Basis: "dihydrate"}})
	if err != nil || s.PercentWVOAD != 4.5 || s.PercentWVOAA != 3.2139 || s.Below != "medium" {
		t.Errorf("strength: %+v %v", s, err)
	}
	shot, err := Calibrate(CalibrationRequest{Shots: 10, Grams: 49.91, Liquid: "water"})
	if err != nil || shot.UnitML != 5 {
		t.Errorf("calibration: %+v %v", shot, err)
	}
	if _, err := Calibrate(CalibrationRequest{Shots: 10, Grams: 50, Liquid: "mead"}); err == nil {
		t.Error("a liquid of unknown density must be refused")
	}
	if _, err := Packet(PacketRequest{Hold: Hold{Kind: "tablets"}, Strength: protocol}); err == nil {
		t.Error("tablets are no packet")
	}
}
