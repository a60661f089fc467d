package demo

import (
	"time"

	"keeler/wire"
)

// kept is a batch of earlier work.
type kept struct {
	at      time.Time
	save    wire.SaveBatch
	remarks []wire.Remark
	void    string
	mixed   *bench // nil: it never was
	// fromRest: liquor comes from what the pot before it left over.
	fromRest bool
}

const permit = "permit held, own colonies"

// The ids of the past; their last figures tell them apart.
const id = "5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e000"

// springPot is the pot whose rest goes into the next ones.
const springPot = id + "4"

func past() []kept { return append(lastWinter(), thisYear()...) }

func lastWinter() []kept {
	saltmarsh := wire.DribbleRequest{
		Hold:       wire.Hold{Kind: "crystals", Share: 1},
		Strength:   wire.Aim{By: "protocol", Protocol: "label-litre"},
		Size:       wire.Size{By: "seams"},
		Mean:       &wire.Mean{Seams: 88, Colonies: 10},
		Applicator: &wire.Applicator{Device: "syringe", SizeML: 60},
		BalanceG:   0.1,
	}
	tooStrong := saltmarsh
	tooStrong.Strength = wire.Aim{By: "value", Value: 4.5, Form: "percent_wv", Basis: "anhydrous"}
	return []kept{
		{
			at: time.Date(2025, time.December, 12, 9, 10, 0, 0, time.UTC),
			save: wire.SaveBatch{
				ID: id + "1", Name: "Saltmarsh Hut, first try",
				Rule: permit, Recipe: wire.Recipe{Dribble: &tooStrong},
			},
			void: "Read the 4.5 % as anhydrous; it was meant as dihydrate. Neutralised, not used.",
		},
		{
			at: time.Date(2025, time.December, 12, 9, 40, 0, 0, time.UTC),
			save: wire.SaveBatch{
				ID: id + "2", Name: "Saltmarsh Hut, midwinter",
				Rule: permit, Recipe: wire.Recipe{Dribble: &saltmarsh},
			},
			remarks: []wire.Remark{{
				ID: id + "3", Text: "Came out clear. About 60 mL left over, neutralised in the yard bucket.",
			}},
			mixed: &bench{keeping: "room", used: 434, thrown: 60, why: "neutralised in the yard bucket"},
		},
	}
}

// thisYear is the spring comparison of strips and the August job with formic acid.
func thisYear() []kept {
	recipe := wire.StripRecipe{Protocol: "two-to-three"}
	first := wire.StripRequest{
		Recipe: recipe, StaysML: 120, Size: wire.StripSize{By: "count", Colonies: 10, Each: 4.4},
		Jig: wire.StripJig{Slots: 6, Most: 8}, BalanceG: 0.1, BalanceCapacityG: 500,
	}
	second := wire.StripRequest{
		Recipe: recipe, StaysML: 120, Size: wire.StripSize{By: "count", Colonies: 8, Each: 3},
		Carried: &wire.StripCarried{Mass: 150, OAD: 0.346, Water: 0.0033},
		Jig:     wire.StripJig{Slots: 6, Most: 8}, BalanceG: 0.1, BalanceCapacityG: 500,
	}
	august := wire.PadRequest{
		Hold: wire.PadHold{Kind: "acid", Percent: 85, VolumeML: 1000}, WorkingPercent: 60,
		Amount: wire.PadRule{Protocol: "sponge-above"}, Size: wire.PadSize{By: "visit"},
		Mean: &wire.PadMean{Colonies: 8, Combs: 10}, BalanceG: 0.1,
	}
	return []kept{
		{
			at:   time.Date(2026, time.April, 3, 10, 0, 0, 0, time.UTC),
			save: wire.SaveBatch{ID: springPot, Name: "Saltmarsh Hut, spring pot", Rule: permit, Recipe: wire.Recipe{Strip: &first}},
			remarks: []wire.Remark{{
				ID: id + "5", Text: "152 g came back out of the tray. The strips hold nearer 20 than 19 g.",
			}},
			mixed: &bench{keeping: "sealed", leftG: 152, used: 44},
		},
		{
			at:    time.Date(2026, time.April, 11, 9, 30, 0, 0, time.UTC),
			save:  wire.SaveBatch{ID: id + "6", Name: "Ropewalk, spring pot", Rule: permit, Recipe: wire.Recipe{Strip: &second}},
			mixed: &bench{keeping: "sealed", leftG: 118, used: 24}, fromRest: true,
		},
		{
			at:    time.Date(2026, time.August, 14, 18, 20, 0, 0, time.UTC),
			save:  wire.SaveBatch{ID: id + "7", Name: "Ropewalk, August, first visit", Rule: "label of the acid", Recipe: wire.Recipe{Pad: &august}},
			mixed: &bench{keeping: "closed", used: 160},
		},
	}
}
