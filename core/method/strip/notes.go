package strip

import (
	"math"
	"slices"

	"keeler/core/chem"
	"keeler/core/mixing"
	"keeler/core/note"
)

// What a keeper should know of a pot; the figures that each note carries are
// named behind it.
const (
	NoteWeak     note.Code = "below_protocols" // strength, weakest protocol: %
	NoteStrong   note.Code = "above_protocols" // strength, strongest protocol: %
	NoteUptake   note.Code = "much_uptake"     // uptake, the trade's most: g
	NoteHot      note.Code = "hot_pot"         // heat, usual: °C
	NoteShort    note.Code = "runs_short"      // pieces asked, pieces that the pot does
	NoteCarried  note.Code = "carried_differs" // its strength, the wanted: %
	NoteBalance  note.Code = "finer_balance"   // division g, share of the acid
	NoteGaps     note.Code = "too_few_gaps"    // pieces asked, placed: of the worst colony
	NoteMost     note.Code = "most_per_box"    // pieces asked, placed: of the worst colony
	NoteNoGap    note.Code = "no_gap"          // none
	NoteClose    note.Code = "too_close"       // none: by hand, less than two frames apart
	NoteOutside  note.Code = "outside_nest"    // none: by hand, where neither bees nor brood were seen
	NoteUnlooked note.Code = "not_looked"      // none: placed without bees or brood seen
	NoteNoBees   note.Code = "no_bees"         // none: by bees, and none were seen
	NoteBoxHigh  note.Code = "box_oad_high"    // most OAD in a brood box, where it is warned: g
	NoteHiveHigh note.Code = "colony_oad_high" // most OAD in a colony, where it is warned: g
	NoteWater    note.Code = "wet_glycerol"    // water in the glycerol: %; in the pot: g
)

func notes(r Request, p Plan) []note.Note {
	var out []note.Note
	warn := func(when bool, code note.Code, figures ...float64) {
		if when {
			out = append(out, note.Warning(code, figures...))
		}
	}
	percent := 100 * float64(p.Strength)
	weakest, strongest := Span(r.Glycerol)
	warn(p.Below == "", NoteWeak, percent, 100*float64(weakest))
	warn(p.Strength > strongest*1.005, NoteStrong, percent, 100*float64(strongest))
	warn(r.Layout.Carrier == Fibre && r.Uptake > MostUptake, NoteUptake, float64(r.Uptake), float64(MostUptake))
	warn(r.Heat > UsualHeat, NoteHot, float64(r.Heat), float64(UsualHeat))
	warn(p.Need > p.Strips, NoteShort, float64(p.Need), float64(p.Strips))
	if r.Carried.Mass > 0 && math.Abs(float64(r.Carried.OAD-p.Strength)) > 0.005 {
		out = append(out, note.Info(NoteCarried, 100*float64(r.Carried.OAD), percent))
	}
	if r.Glycerol < dryGlycerol {
		out = append(out, note.Info(NoteWater, 100*float64(1-r.Glycerol), float64(p.Liquor.Water)))
	}
	for _, line := range p.Lines {
		warn(line.Step == StepAcid && line.Off > mixing.Certain, NoteBalance, float64(r.Balance.Division), float64(line.Off))
	}
	if r.Size.By == SizeCount && p.PieceOAD*chem.Grams(r.Size.Each) > r.Layout.Carrier.bounds().warnColony {
		warn(true, NoteHiveHigh, float64(p.PieceOAD)*r.Size.Each, float64(r.Layout.Carrier.bounds().warnColony))
	}
	return append(out, colonyNotes(r, p.Colonies)...)
}

// dryGlycerol is the strength below which the water of glycerol is spoken of.
const dryGlycerol chem.Share = 0.95

// colonyNotes gathers what holds for some colonies, each kind once with its
// worst figures.
func colonyNotes(r Request, colonies []ColonyStrips) []note.Note {
	b := r.Layout.Carrier.bounds()
	all := []note.Note{
		note.Warning(NoteBoxHigh, 0, float64(b.warnBox)), note.Warning(NoteHiveHigh, 0, float64(b.warnColony)),
		note.Warning(NoteClose), note.Warning(NoteOutside),
		note.Warning(NoteNoGap, 0, 0), note.Warning(NoteGaps, 0, 0), note.Info(NoteMost, 0, 0),
		note.Info(NoteNoBees), note.Info(NoteUnlooked),
	}
	of := func(code note.Code) *note.Note {
		return &all[slices.IndexFunc(all, func(n note.Note) bool { return n.Code == code })]
	}
	say := func(code note.Code, colony string) { of(code).Colonies = append(of(code).Colonies, colony) }
	for i, c := range colonies {
		if c.OAD > b.warnColony {
			of(NoteHiveHigh).Raise(c.Name, float64(c.OAD))
		}
		if most := c.fullest(); most > b.warnBox {
			of(NoteBoxHigh).Raise(c.Name, float64(most))
		}
		switch {
		case c.ByHand:
			close, outside := Doubts(r.Colonies[i], c.Placement)
			if close {
				say(NoteClose, c.Name)
			}
			if outside {
				say(NoteOutside, c.Name)
			}
		case c.Wanted == 0:
			say(NoteNoBees, c.Name)
		case c.Placement.Reason != "":
			code := note.Code(c.Placement.Reason)
			say(code, c.Name)
			if f := of(code).Figures; float64(c.Wanted-c.Strips) > f[0]-f[1] {
				f[0], f[1] = float64(c.Wanted), float64(c.Strips)
			}
		case !c.Placement.Looked:
			say(NoteUnlooked, c.Name)
		}
	}
	var out []note.Note
	for _, n := range all {
		if len(n.Colonies) > 0 {
			out = append(out, n)
		}
	}
	return out
}
