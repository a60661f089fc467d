package dribble

import (
	"math"
	"slices"

	"keeler/core/chem"
	"keeler/core/hive"
	"keeler/core/mixing"
	"keeler/core/note"
)

// The figures that each note carries are named behind it.
const (
	NoteWeak     note.Code = "below_protocols" // strength, weakest protocol: g/L
	NoteStrong   note.Code = "above_protocols" // strength, strongest protocol: g/L
	NoteSeamLow  note.Code = "seam_low"        // mg in a full seam, lowest of the span
	NoteSeamHigh note.Code = "seam_high"       // most mg in a full seam or gap, highest of the span
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
	NoteUnder    note.Code = "step_short"      // mL short, given mL, of the worst; 1 when it is a syringe already
	NoteBelow    note.Code = "not_reached"     // seams in the boxes below, of the worst
	NoteLabel    note.Code = "label_strength"  // strength, strongest protocol: g/L
	NoteOther    note.Code = "other_acid"      // none: an acid that bicarbonate and register do not count
	NoteBeyond   note.Code = "beyond_card"     // bees, largest row's mL
	NoteDissolve note.Code = "label_dissolves" // strength of a label, what stays dissolved in water at 20 °C: g/L
	NoteNoOxalic note.Code = "no_oxalic"       // none: a product whose card names no oxalic acid
)

// nearCap is within how many seams of the cap a mean hides that some colonies reach it.
const nearCap = 2.0

// units is how each kind of thing held is counted.
var units = map[HoldKind]string{Crystals: "g", Packet: "packets", Tablets: "tablets", ReadyMix: "mL", ReadyToUse: "mL"}

func notes(r Request, p Plan) []note.Note {
	var out []note.Note
	add := func(code note.Code, warn bool, figures ...float64) {
		out = append(out, note.Note{Code: code, Warn: warn, Figures: figures})
	}
	if r.Hold.Kind == ReadyToUse {
		if p.Strength == 0 {
			add(NoteNoOxalic, false)
		}
		if most := chem.MaxStrength(0, RoomTemperature); p.Strength > most {
			add(NoteDissolve, true, float64(p.Strength), float64(most))
		}
		if slices.ContainsFunc(r.Hold.Card.Actives, func(a Active) bool { return a.Acid == OtherAcid }) {
			add(NoteOther, true)
		}
	} else {
		out = append(out, strengthNotes(p.Strength, r.Aim.By == ByPacket)...)
		out = append(out, mixingNotes(r, p)...)
	}
	d := dosing{rule: r.Rule, with: *r.Applicator, card: r.card(), strength: p.Strength, most: SeamHigh}
	if r.Aim.By == ByPacket { // its own strength at the usual dose is what the label means
		d.most = max(d.most, milligrams(UsualSeam, p.Strength)*1.001)
	}
	switch {
	case r.byMean(p.Doses):
		mean := r.Mean.Seams / float64(r.Mean.Colonies)
		out = append(out, d.alone(milligrams(r.meanDose()/chem.Millilitres(mean), p.Strength))...)
	case len(p.Doses) == 0:
		out = append(out, d.alone(p.SeamOAD)...)
	}
	out = append(out, d.notes(p.Doses)...)
	if r.byMean(p.Doses) && r.Size.By == SizeSeams && r.card() == nil && r.Rule.Flat == 0 {
		mean, most := r.Mean.Seams/float64(r.Mean.Colonies), float64(r.Rule.Most()/r.Rule.Seam())
		if math.Abs(mean-most) <= nearCap {
			add(NoteMean, true, mean, most)
		}
	}
	if p.Leftover < 0 {
		add(NoteShort, true, float64(p.Given), float64(p.Volume))
	}
	if p.Use.Left != nil && *p.Use.Left < 0 {
		out = append(out, note.Warning(NoteHolding, -*p.Use.Left).In(units[r.Hold.Kind]))
	}
	return out
}

// strengthNotes hold a strength against the protocols. One that a packet's label makes
// is the label's: it is told, and not called harmful.
func strengthNotes(s chem.GramsPerLitre, label bool) []note.Note {
	weakest, strongest := Span()
	switch {
	case label:
		return []note.Note{note.Info(NoteLabel, float64(s), float64(strongest))}
	case Ladder(s).Below == "":
		return []note.Note{note.Warning(NoteWeak, float64(s), float64(weakest))}
	case s > strongest*1.005:
		return []note.Note{note.Warning(NoteStrong, float64(s), float64(strongest))}
	}
	return nil
}

// DoseNotes is what a plan says of doses, for those of a syrup that is there already.
func DoseNotes(doses []ColonyDose, r Rule, a Applicator, s chem.GramsPerLitre) []note.Note {
	d := dosing{rule: r, with: a, strength: s, most: SeamHigh}
	return append(strengthNotes(s, false), d.notes(doses)...)
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
		if line.Acid && line.Off > mixing.Certain {
			out = append(out, note.Warning(NoteBalance, float64(r.Balance.Division), float64(line.Off)))
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

// dosing is what doses were worked out by.
type dosing struct {
	rule     Rule
	with     Applicator
	card     *Card // whose own figures are not warned about
	strength chem.GramsPerLitre
	most     chem.Milligrams // in a full seam or gap without a warning
}

// alone is what there is to say of a full seam where nobody was looked at.
func (d dosing) alone(seam chem.Milligrams) []note.Note {
	var out []note.Note
	if d.card == nil && d.strength > 0 {
		if seam < SeamLow {
			out = append(out, note.Warning(NoteSeamLow, float64(seam), float64(SeamLow)))
		} else if seam > d.most {
			out = append(out, note.Warning(NoteSeamHigh, float64(seam), float64(SeamHigh)))
		}
	}
	if off := d.off(d.rule.Seam()); off > coarse+1e-9 && d.card == nil {
		out = append(out, note.Warning(NoteSteps, float64(d.with.step()), off))
	}
	return out
}

// off is by what share a dose comes out otherwise on the applicator.
func (d dosing) off(dose chem.Millilitres) float64 {
	step := d.with.step()
	nearest := step * chem.Millilitres(math.Ceil(float64(dose/step)-0.5-1e-9))
	return math.Abs(float64(nearest/dose) - 1)
}

// stray is by what share the worst of a colony's doses comes out otherwise than the
// seams ask, and whether that is to be warned about: the whole by a tenth, a full
// seam by a fifth, or any gap over the dose of a full seam.
func (d dosing) stray(c ColonyDose) (off float64, warn bool) {
	whole := math.Abs(float64(c.Given/c.Dose) - 1)
	seam := d.off(c.Dose * chem.Millilitres(hive.Full) / chem.Millilitres(c.Reached))
	gap := 0.0
	for _, b := range c.Boxes {
		for _, g := range b.Gaps {
			gap = max(gap, float64(g.Given/d.rule.Seam())-1)
		}
	}
	const dust = 1e-9
	return max(whole, seam, gap), whole > 0.101 || seam > coarse+dust || gap > dust
}

// short is so much of a dose that is not rounded up that it is to be told.
func short(c ColonyDose) bool { return c.Short > c.Dose/20 }

// notes gathers what holds for some colonies, each kind once with its worst figure.
func (d dosing) notes(doses []ColonyDose) []note.Note {
	low := note.Note{Code: NoteSeamLow, Warn: true, Figures: []float64{math.MaxFloat64, float64(SeamLow)}}
	high := note.Warning(NoteSeamHigh, 0, float64(SeamHigh))
	capped := note.Info(NoteCap, 0, float64(d.rule.Most()))
	below, empty := note.Warning(NoteBelow, 0), note.Info(NoteNoBees)
	steps := note.Warning(NoteSteps, float64(d.with.step()), 0)
	under := note.Warning(NoteUnder, 0, 0, flag(d.with.Device == Syringe))
	beyond := note.Warning(NoteBeyond, 0, 0)
	for _, c := range doses {
		if c.Quarters == 0 {
			empty.Colonies = append(empty.Colonies, c.Name)
			continue
		}
		if c.Capped {
			capped.Raise(c.Name, float64(c.Asked))
		}
		if left := c.Quarters - c.Reached; left > 0 {
			below.Raise(c.Name, float64(left)/float64(hive.Full))
		}
		if c.noMore {
			if short(c) {
				if under.Raise(c.Name, float64(c.Short)); under.Figures[0] == float64(c.Short) {
					under.Figures[1] = float64(c.Given)
				}
			}
		} else if off, warn := d.stray(c); warn {
			steps.Colonies = append(steps.Colonies, c.Name)
			steps.Figures[1] = max(steps.Figures[1], off)
		}
		if d.card != nil {
			if row, over := d.card.row(c.Bees); over && len(d.card.Rows) > 0 {
				beyond.Raise(c.Name, float64(c.Bees))
				beyond.Figures[1] = float64(d.card.Rows[row].Volume)
			}
			continue
		}
		if d.strength == 0 {
			continue
		}
		// Too little is judged by what the rule asks, too much by what is really given.
		asks := milligrams(c.Dose, d.strength) * chem.Milligrams(hive.Full) / chem.Milligrams(c.Reached)
		if asks < SeamLow {
			low.Colonies = append(low.Colonies, c.Name)
			low.Figures[0] = min(low.Figures[0], float64(asks))
		}
		if most := c.Strongest(); most > d.most {
			high.Raise(c.Name, float64(most))
		}
	}
	var out []note.Note
	if d.rule.Most() > UsualCap && !d.rule.Label {
		out = append(out, note.Warning(NoteBigCap, float64(d.rule.Most()), float64(UsualCap)))
	}
	for _, n := range []note.Note{high, low, below, under, capped, beyond, steps, empty} {
		if len(n.Colonies) > 0 {
			out = append(out, n)
		}
	}
	return out
}
