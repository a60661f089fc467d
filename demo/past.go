package demo

import (
	"time"

	"keeler/wire"
)

// kept is a batch of an earlier winter.
type kept struct {
	at      time.Time
	save    wire.SaveBatch
	remarks []wire.Remark
	void    string
}

func past() []kept {
	saltmarsh := wire.PlanRequest{
		Hold:       wire.Hold{Kind: "crystals", OADPercent: 100},
		Strength:   wire.Aim{By: "school", School: "label-litre"},
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
				ID: "5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0001", Name: "Saltmarsh Hut, first try",
				Rule: "permit held, own colonies", Plan: tooStrong,
			},
			void: "Read the 4.5 % as anhydrous; it was meant as dihydrate. Neutralised, not used.",
		},
		{
			at: time.Date(2025, time.December, 12, 9, 40, 0, 0, time.UTC),
			save: wire.SaveBatch{
				ID: "5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0002", Name: "Saltmarsh Hut, midwinter",
				Rule: "permit held, own colonies", Plan: saltmarsh,
			},
			remarks: []wire.Remark{{
				ID:   "5b0f0f5e-6a0e-4b5e-9a51-0d5b1c9e0003",
				Text: "Came out clear. About 60 mL left over, neutralised in the yard bucket.",
			}},
		},
	}
}
