package syrup

import (
	"math"

	"keeler/core/bench"
	"keeler/core/chem"
	"keeler/core/hive"
)

// NoteCode names a thing the keeper should know; the callers put it in words.
type NoteCode string

// The figures that each note carries are named behind it.
const (
	NoteWeak     NoteCode = "below_schools"   // strength, weakest school: g/L
	NoteStrong   NoteCode = "above_schools"   // strength, strongest school: g/L
	NoteSeamLow  NoteCode = "seam_low"        // mg in a full seam, lowest of the span
	NoteSeamHigh NoteCode = "seam_high"       // mg in a full seam, highest of the span
	NoteCap      NoteCode = "cap_bites"       // most asked, given: mL
	NoteBigCap   NoteCode = "cap_raised"      // cap, the trade's cap: mL
	NoteMean     NoteCode = "mean_hides_cap"  // seams a colony, seams at which the cap bites
	NoteShort    NoteCode = "runs_short"      // doses, volume: mL
	NoteHolding  NoteCode = "holding_short"   // missing, in the unit held
	NoteCrystals NoteCode = "crystals"        // saturation °C; 1 when in the fridge; 1 when in the yard
	NoteRatio    NoteCode = "stray_ratio"     // sugar to 1 water
	NoteBalance  NoteCode = "finer_balance"   // division g, share of the acid
	NoteNoBees   NoteCode = "no_bees"         // none
	NoteTablets  NoteCode = "tablets_rounded" // really, wanted: g/L
	NoteSteps    NoteCode = "coarse_steps"    // step mL, worst share off
	NoteBeyond   NoteCode = "beyond_card"     // bees, largest row's mL
	NoteNoOxalic NoteCode = "no_oxalic"       // none: a product whose card names no oxalic acid
)

// Note is one thing the keeper should know, and the colonies it is about.
type Note struct {
	Code     NoteCode
	Warn     bool
	Figures  []float64
	Colonies []string
}

func notes(r Request, p Plan) []Note {
	var out []Note
	add := func(code NoteCode, warn bool, figures ...float64) {
		out = append(out, Note{Code: code, Warn: warn, Figures: figures})
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
func mixingNotes(r Request, p Plan) []Note {
	var out []Note
	if !p.Clarity.Fridge || !p.Clarity.Yard {
		out = append(out, Note{NoteCrystals, true, []float64{float64(p.Clarity.Saturation), flag(!p.Clarity.Fridge), flag(!p.Clarity.Yard)}, nil})
	}
	if r.SugarRatio > 0 && math.Abs(r.SugarRatio-1) > 0.05 {
		out = append(out, Note{NoteRatio, true, []float64{r.SugarRatio}, nil})
	}
	for _, line := range p.Lines {
		if line.Step != StepAcid && line.Step != StepStock {
			continue
		}
		if part, coarse := bench.Coarse(line.Mass, r.Division); coarse {
			out = append(out, Note{NoteBalance, true, []float64{float64(r.Division), float64(part)}, nil})
		}
	}
	if r.Hold.Kind == Tablets {
		want, err := r.resolve()
		if err == nil && math.Abs(float64(p.Strength/want.strength)-1) > 0.005 {
			off := math.Abs(float64(p.Strength/want.strength)-1) > 0.05
			out = append(out, Note{NoteTablets, off, []float64{float64(p.Strength), float64(want.strength)}, nil})
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
func colonyNotes(r Request, p Plan) []Note {
	low := Note{Code: NoteSeamLow, Warn: true, Figures: []float64{math.MaxFloat64, float64(SeamLow)}}
	high := Note{Code: NoteSeamHigh, Warn: true, Figures: []float64{0, float64(SeamHigh)}}
	capped := Note{Code: NoteCap, Figures: []float64{0, float64(r.Rule.Cap)}}
	empty := Note{Code: NoteNoBees}
	steps := Note{Code: NoteSteps, Warn: true, Figures: []float64{float64(r.Applicator.step()), 0}}
	beyond := Note{Code: NoteBeyond, Warn: true, Figures: []float64{0, 0}}
	for _, d := range p.Doses {
		if d.Quarters == 0 {
			empty.Colonies = append(empty.Colonies, d.Name)
			continue
		}
		if d.Capped {
			capped.raise(d.Name, float64(d.Asked))
		}
		if off := math.Abs(float64(d.Given/d.Dose) - 1); off > 0.101 {
			steps.Colonies = append(steps.Colonies, d.Name)
			steps.Figures[1] = max(steps.Figures[1], off)
		}
		if r.Hold.Card != nil && r.Hold.Kind == ReadyToUse {
			if v, over := r.Hold.Card.row(d.Bees); over {
				beyond.raise(d.Name, float64(d.Bees))
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
			high.raise(d.Name, milli)
		}
	}
	var out []Note
	for _, n := range []Note{high, low, capped, beyond, steps, empty} {
		if len(n.Colonies) > 0 {
			out = append(out, n)
		}
	}
	return out
}

// raise names a colony and keeps the largest figure.
func (n *Note) raise(colony string, figure float64) {
	n.Colonies = append(n.Colonies, colony)
	n.Figures[0] = max(n.Figures[0], figure)
}
