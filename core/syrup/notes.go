package syrup

import (
	"math"

	"keeler/core/chem"
	"keeler/core/hive"
	"keeler/core/note"
)

// The figures that each note carries are named behind it.
const (
	NoteWeak     note.Code = "below_schools"   // strength, weakest school: g/L
	NoteStrong   note.Code = "above_schools"   // strength, strongest school: g/L
	NoteSeamLow  note.Code = "seam_low"        // mg in a full seam, lowest of the span
	NoteSeamHigh note.Code = "seam_high"       // mg in a full seam, highest of the span
	NoteCap      note.Code = "cap_bites"       // most asked, given: mL
	NoteBigCap   note.Code = "cap_raised"      // cap, the trade's cap: mL
	NoteMean     note.Code = "mean_hides_cap"  // seams a colony, seams at which the cap bites
	NoteShort    note.Code = "runs_short"      // doses, volume: mL
	NoteHolding  note.Code = "holding_short"   // missing, in the unit held
	NoteCrystals note.Code = "crystals"        // saturation °C; 1 when in the fridge; 1 when in the yard
	NoteRatio    note.Code = "stray_ratio"     // sugar to 1 water
	NoteBalance  note.Code = "finer_balance"   // division g, share of the acid
	NoteNoBees   note.Code = "no_bees"         // none
	NoteTablets  note.Code = "tablets_rounded" // really, wanted: g/L
	NoteSteps    note.Code = "coarse_steps"    // step mL, worst share off
	NoteBeyond   note.Code = "beyond_card"     // bees, largest row's mL
	NoteNoOxalic note.Code = "no_oxalic"       // none: a product whose card names no oxalic acid
)

func notes(r Request, p Plan) []note.Note {
	var out []note.Note
	add := func(code note.Code, warn bool, figures ...float64) {
		out = append(out, note.Note{Code: code, Warn: warn, Figures: figures})
	}
	if r.Hold.Kind == ReadyToUse {
		if p.Strength == 0 {
			add(NoteNoOxalic, false)
		}
	} else {
		weakest, strongest := Span()
		if p.Place.Below == "" {
			add(NoteWeak, true, float64(p.Strength), float64(weakest))
		} else if p.Strength > strongest*1.005 {
			add(NoteStrong, true, float64(p.Strength), float64(strongest))
		}
		out = append(out, mixingNotes(r, p)...)
	}
	if p.Strength > 0 && len(p.Doses) == 0 {
		if p.SeamOAD < SeamLow {
			add(NoteSeamLow, true, float64(p.SeamOAD), float64(SeamLow))
		} else if p.SeamOAD > SeamHigh {
			add(NoteSeamHigh, true, float64(p.SeamOAD), float64(SeamHigh))
		}
	}
	if r.Rule.Cap > DefaultRule.Cap {
		add(NoteBigCap, true, float64(r.Rule.Cap), float64(DefaultRule.Cap))
	}
	out = append(out, colonyNotes(r, p)...)
	if len(p.Doses) == 0 && r.Mean != nil && r.Size.By == SizeSeams {
		add(NoteMean, true, r.Mean.Seams/float64(r.Mean.Colonies), float64(r.Rule.Cap/r.Rule.FullSeam))
	}
	if p.Leftover < 0 {
		add(NoteShort, true, float64(p.Given), float64(p.Volume))
	}
	if p.Use.Known && p.Use.Left < -1e-6 {
		add(NoteHolding, true, -p.Use.Left)
	}
	return out
}

// mixingNotes are about what happens in the jug.
func mixingNotes(r Request, p Plan) []note.Note {
	var out []note.Note
	if !p.Clarity.Fridge || !p.Clarity.Yard {
		out = append(out, note.Warning(NoteCrystals, float64(p.Clarity.Saturation), flag(!p.Clarity.Fridge), flag(!p.Clarity.Yard)))
	}
	if r.SugarRatio > 0 && math.Abs(r.SugarRatio-1) > 0.05 {
		out = append(out, note.Warning(NoteRatio, r.SugarRatio))
	}
	for _, line := range p.Lines {
		if line.Step != StepAcid && line.Step != StepStock {
			continue
		}
		if part, coarse := r.Balance.Coarse(line.Mass); coarse {
			out = append(out, note.Warning(NoteBalance, float64(r.Balance.Division), float64(part)))
		}
	}
	if r.Hold.Kind == Tablets {
		want, err := r.resolve()
		if err == nil && math.Abs(float64(p.Strength/want.strength)-1) > 0.005 {
			off := math.Abs(float64(p.Strength/want.strength)-1) > 0.05
			out = append(out, note.Note{Code: NoteTablets, Warn: off, Figures: []float64{float64(p.Strength), float64(want.strength)}})
		}
	}
	return out
}

func flag(b bool) float64 {
	if b {
		return 1
	}
	return 0
}

// colonyNotes gathers what holds for some colonies, each kind once with its
// worst figure.
func colonyNotes(r Request, p Plan) []note.Note {
	low := note.Note{Code: NoteSeamLow, Warn: true, Figures: []float64{math.MaxFloat64, float64(SeamLow)}}
	high := note.Note{Code: NoteSeamHigh, Warn: true, Figures: []float64{0, float64(SeamHigh)}}
	capped := note.Note{Code: NoteCap, Figures: []float64{0, float64(r.Rule.Cap)}}
	empty := note.Note{Code: NoteNoBees}
	steps := note.Note{Code: NoteSteps, Warn: true, Figures: []float64{float64(r.Applicator.step()), 0}}
	beyond := note.Note{Code: NoteBeyond, Warn: true, Figures: []float64{0, 0}}
	for _, d := range p.Doses {
		if d.Quarters == 0 {
			empty.Colonies = append(empty.Colonies, d.Name)
			continue
		}
		if d.Capped {
			capped.Raise(d.Name, float64(d.Asked))
		}
		if off := math.Abs(float64(d.Given/d.Dose) - 1); off > 0.101 {
			steps.Colonies = append(steps.Colonies, d.Name)
			steps.Figures[1] = max(steps.Figures[1], off)
		}
		if r.Hold.Card != nil && r.Hold.Kind == ReadyToUse {
			if v, over := r.Hold.Card.row(d.Bees); over {
				beyond.Raise(d.Name, float64(d.Bees))
				beyond.Figures[1] = float64(v)
			}
		}
		// Judged before rounding to steps: what the rule asks of the bees.
		milli := float64(p.Strength) * float64(d.Dose) * float64(hive.Full) / float64(d.Quarters)
		if p.Strength > 0 && chem.Milligrams(milli) < SeamLow {
			low.Colonies = append(low.Colonies, d.Name)
			low.Figures[0] = min(low.Figures[0], milli)
		}
		if chem.Milligrams(milli) > SeamHigh {
			high.Raise(d.Name, milli)
		}
	}
	var out []note.Note
	for _, n := range []note.Note{high, low, capped, beyond, steps, empty} {
		if len(n.Colonies) > 0 {
			out = append(out, n)
		}
	}
	return out
}
