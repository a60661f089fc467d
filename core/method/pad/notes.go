package pad

import (
	"math"

	"keeler/core/chem"
	"keeler/core/mixing"
	"keeler/core/note"
)

// What a keeper should know of formic acid; the figures that each note carries
// are named behind it.
const (
	NoteWeak    note.Code = "below_protocols"    // strength, weakest worked with: %
	NoteStrong  note.Code = "above_protocols"    // strength, strongest worked with: %
	NoteFuming  note.Code = "fuming_stock"       // strength, strongest that is sold to keepers: %
	NoteReading note.Code = "unsure_stock"       // strength, either way: %
	NoteScaled  note.Code = "same_acid"          // strength meant, strength worked with: %; mL meant, mL given for the largest dose
	NoteSpoons  note.Code = "spoons"             // spoons, what they hold in the US, metric, Australian: mL; the dose
	NoteCap     note.Code = "cap_bites"          // most asked, given: mL
	NoteShort   note.Code = "runs_short"         // one visit, the batch: mL
	NoteHolding note.Code = "holding_short"      // missing, mL of stock or pads
	NoteVisits  note.Code = "few_visits"         // visits, the protocol's least
	NoteApart   note.Code = "odd_gap"            // days apart, the protocol's least and most
	NoteNuc     note.Code = "nuc_part"           // none
	NoteNoNuc   note.Code = "nuc_unspoken"       // none
	NoteBalance note.Code = "finer_balance"      // division g, share of the acid
	NoteBoxHigh note.Code = "box_formic_high"    // most pure acid in a brood box at a visit, where it is warned: g
	NoteAllHigh note.Code = "course_formic_high" // and in all visits: g
	NoteMany    note.Code = "many_visits"        // visits, the most that are usual
)

func notes(r Request, rule Rule, p Plan) []note.Note {
	var out []note.Note
	warn := func(when bool, code note.Code, figures ...float64) {
		if when {
			out = append(out, note.Warning(code, figures...))
		}
	}
	if r.Hold.Kind == ReadyPads && r.Hold.Count > 0 && r.Hold.Count < p.VisitPads {
		out = append(out, note.Warning(NoteHolding, float64(p.VisitPads-r.Hold.Count)).In("pads"))
	}
	if r.Hold.Kind == Acid {
		working, stock := 100*float64(p.Working), 100*float64(p.Stock)
		warn(p.Working < WeakestWorking-1e-9, NoteWeak, working, 100*float64(WeakestWorking))
		warn(p.Working > StrongestWorking+1e-9, NoteStrong, working, 100*float64(StrongestWorking))
		warn(p.Stock > StrongestBought+0.005, NoteFuming, stock, 100*float64(StrongestBought))
		warn(p.StockOff > 0.005, NoteReading, stock, 100*float64(p.StockOff))
		warn(p.Visit > p.Dilution.WorkingML+1e-6, NoteShort, float64(p.Visit), float64(p.Dilution.WorkingML))
		short := p.Dilution.StockML - r.Hold.Volume
		if r.Hold.Volume > 0 && short > 1e-6 {
			out = append(out, note.Warning(NoteHolding, float64(short)).In("mL"))
		}
		if s := p.Spoons; s.Count > 0 {
			out = append(out, note.Info(NoteSpoons, float64(s.Count), float64(s.US), float64(s.Metric), float64(s.Australian), float64(s.Dose)))
		}
		for _, line := range p.Lines {
			warn(line.Acid && line.Off > mixing.Certain, NoteBalance, float64(r.Balance.Division), float64(line.Off))
		}
		out = append(out, ruleNotes(r, rule, p)...)
	}
	return append(out, colonyNotes(rule, p)...)
}

// ruleNotes hold a course against its protocol, or the keeper's own against them all.
func ruleNotes(r Request, rule Rule, p Plan) []note.Note {
	var out []note.Note
	if rule.Per != PerDay && math.Abs(float64(rule.At-p.Working)) > 0.001 && p.Spoons.Dose > 0 {
		meant := float64(p.Spoons.Dose) * potency(p.Working) / potency(rule.At)
		out = append(out, note.Info(NoteScaled, 100*float64(rule.At), 100*float64(p.Working), meant, float64(p.Spoons.Dose)))
	}
	if rule.Label {
		return out
	}
	if rule.Visits > manyVisits {
		out = append(out, note.Warning(NoteMany, float64(rule.Visits), manyVisits))
	}
	s := r.limits()
	if rule.Visits < s.LeastVisits {
		out = append(out, note.Warning(NoteVisits, float64(rule.Visits), float64(s.LeastVisits)))
	}
	if rule.Visits > 1 && (rule.Apart < s.LeastApart || rule.Apart > s.MostApart) {
		out = append(out, note.Warning(NoteApart, float64(rule.Apart), float64(s.LeastApart), float64(s.MostApart)))
	}
	return out
}

// limits are the protocol's own, or the widest of the protocols that give their acid
// in visits. A filling that lasts has none for its gaps.
func (r Request) limits() Protocol {
	if r.Aim.Protocol != "" {
		s, _ := Find(r.Aim.Protocol)
		if s.Rule.Per == PerDay {
			s.MostApart = math.MaxInt
		}
		return s
	}
	out := Protocol{LeastVisits: math.MaxInt, LeastApart: math.MaxInt}
	for _, s := range Protocols {
		if s.Rule.Per != PerDay {
			out.LeastVisits = min(out.LeastVisits, s.LeastVisits)
			out.LeastApart = min(out.LeastApart, s.LeastApart)
			out.MostApart = max(out.MostApart, s.MostApart)
		}
	}
	return out
}

func colonyNotes(rule Rule, p Plan) []note.Note {
	box, all := note.Warning(NoteBoxHigh, 0, float64(rule.visit().warn)), note.Warning(NoteAllHigh, 0, float64(shortCourse.warn))
	capped, nuc, silent := note.Info(NoteCap, 0, 0), note.Info(NoteNuc), note.Warning(NoteNoNuc)
	for _, a := range p.Amounts {
		if pure := a.BoxPure(); !rule.Label {
			if pure > rule.visit().warn {
				box.Raise(a.Name, float64(pure))
			}
			if course := pure * chem.Grams(rule.Visits); !rule.slow() && course > shortCourse.warn {
				all.Raise(a.Name, float64(course))
			}
		}
		if a.Capped {
			capped.Raise(a.Name, float64(a.Asked))
			capped.Figures[1] = float64(a.ML)
		}
		if a.ByPart {
			nuc.Colonies = append(nuc.Colonies, a.Name)
		}
		if a.Unspoken {
			silent.Colonies = append(silent.Colonies, a.Name)
		}
	}
	var out []note.Note
	for _, n := range []note.Note{box, all, capped, nuc, silent} {
		if len(n.Colonies) > 0 {
			out = append(out, n)
		}
	}
	return out
}
