package dribble

import (
	"math"
	"slices"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
)

// GapDose is what one gap gets.
type GapDose struct {
	Open  bool             `json:"open" doc:"Whether bees can sit here on a comb."`
	Seam  hive.Seam        `json:"seam" doc:"Bees in it, 0 to 1 in quarters."`
	Given chem.Millilitres `json:"ml" doc:"What it gets, in steps the applicator can give."`
	OAD   chem.Milligrams  `json:"mg" doc:"mg OAD in that."`
}

// BoxDose is what one box gets; its gaps add up to it.
type BoxDose struct {
	Given chem.Millilitres `json:"ml" doc:"The sum of its gaps."`
	Gaps  []GapDose        `json:"gaps"`
}

// ColonyDose is what one colony gets. Given is Dose in steps that the
// applicator can really give; boxes, gaps and draws add up to Given.
type ColonyDose struct {
	Name      string           `json:"name"`
	Nuc       bool             `json:"-"`
	Quarters  int              `json:"-"` // seams in quarters
	Reached   int              `json:"-"` // of them in the boxes that are dosed
	Bees      int              `json:"bees" doc:"Estimated from the seams."`
	Asked     chem.Millilitres `json:"asked_ml" doc:"By the rule, before the cap."`
	Dose      chem.Millilitres `json:"dose_ml" doc:"After the cap."`
	Given     chem.Millilitres `json:"ml" doc:"The dose in steps the applicator can give; boxes, gaps and draws add up to it."`
	Short     chem.Millilitres `json:"short_ml,omitempty" doc:"Of a dose that is not rounded up, what the applicator cannot give."`
	Capped    bool             `json:"capped"`
	PerSeam   chem.Millilitres `json:"seam_ml" doc:"In each full seam that is reached, on average; 0 without bees."`
	SeamMilli chem.Milligrams  `json:"mg_per_seam" doc:"mg OAD in each of them."`
	Boxes     []BoxDose        `json:"boxes" doc:"The lowest first, in the order of dosing."`
	Draws     []Draw           `json:"draws"`
	noMore    bool
}

// Dose works out what each colony gets of a syrup of strength s.
//
// Source: the trade's rule, 5 mL a full seam pro rata and at most 50 mL a
// colony, shared by seams over its boxes; or a flat dose; or, with a card, the
// table on the label of a ready-to-use product. A colony without bees gets
// nothing. Faults name the field of the request.
func Dose(colonies []hive.Colony, r Rule, card *Card, a Applicator, s chem.GramsPerLitre) ([]ColonyDose, error) {
	var l fault.List
	r.check("rule", &l)
	a.check("applicator", &l)
	hive.CheckAll(colonies, &l)
	if card != nil {
		card.check("hold.card", r.Label, &l)
	}
	if err := l.Err(); err != nil {
		return nil, err
	}
	return doses(colonies, r, card, a, s)
}

// doses refuses the first that is beyond all sense: the others go by the same figure.
func doses(colonies []hive.Colony, r Rule, card *Card, a Applicator, s chem.GramsPerLitre) ([]ColonyDose, error) {
	var l fault.List
	out := make([]ColonyDose, len(colonies))
	for i, c := range colonies {
		out[i] = doseColony(c, r, card, a, s)
		if len(l) == 0 {
			out[i].refuse(c, r, card, &l)
		}
	}
	return out, l.Err()
}

// reached is the colony as the dose goes by it: from above the topmost box with bees.
func (r Rule) reached(c hive.Colony) hive.Colony {
	if !r.FromAbove {
		return c
	}
	for i := len(c.Boxes) - 1; i > 0; i-- {
		if c.Boxes[i].Quarters() > 0 {
			c.Boxes = slices.Clone(c.Boxes)
			for k := range i {
				c.Boxes[k].Seams = nil
			}
			return c
		}
	}
	return c
}

func doseColony(c hive.Colony, r Rule, card *Card, a Applicator, s chem.GramsPerLitre) ColonyDose {
	dosed := r.reached(c)
	d := ColonyDose{Name: c.Name, Nuc: c.Nuc, Quarters: c.Quarters(), Reached: dosed.Quarters(), Bees: c.Bees()}
	asked := r.ask(dosed, card)
	d.Asked, d.Dose = asked.asked, asked.capped
	d.Capped, d.noMore = d.Dose < d.Asked, asked.noMore

	step := float64(a.step())
	exact := float64(d.Dose) / step
	steps := int(math.Ceil(exact - 0.5 - 1e-9)) // to nearest, a tie down
	if asked.noMore {
		steps = int(math.Floor(exact + 1e-9))
		d.Short = d.Dose - inSteps(steps, step)
	} else { // rounding never carries a dose over the cap
		steps = min(steps, int(math.Floor(float64(r.Most())/step+1e-9)))
	}
	d.Given = inSteps(steps, step)
	d.Boxes = split(c, dosed, steps, step, s)
	d.Draws = a.draws(steps)
	if d.Reached > 0 {
		d.PerSeam = d.Given * chem.Millilitres(hive.Full) / chem.Millilitres(d.Reached)
		d.SeamMilli = milligrams(d.PerSeam, s)
	}
	return d
}

// milligrams is the OAD in a volume; 1 g/L is 1 mg/mL.
func milligrams(v chem.Millilitres, s chem.GramsPerLitre) chem.Milligrams {
	return chem.Milligrams(float64(v) * float64(s))
}

// asking is what the rule says of a colony.
type asking struct {
	asked, capped chem.Millilitres
	noMore        bool // a label's, or one dose for all sizes: never rounded up
}

// ask is the dose by the rule before and after the cap.
func (r Rule) ask(c hive.Colony, card *Card) asking {
	quarters := c.Quarters()
	bySeam := r.Seam() * chem.Millilitres(quarters) / chem.Millilitres(hive.Full)
	switch {
	case quarters == 0:
		return asking{}
	case card != nil && len(card.Rows) > 0:
		row, _ := card.row(c.Bees())
		v := card.Rows[row].Volume
		return asking{v, v, true}
	case c.Nuc && r.NucFlat > 0:
		return asking{r.NucFlat, r.NucFlat, true}
	case !c.Nuc && r.Flat > 0:
		return asking{r.Flat, r.Flat, true}
	}
	return asking{bySeam, min(bySeam, r.Most()), r.Label}
}

// split shares whole steps over the boxes that are dosed by their seams, and within
// each over its gaps.
func split(c, dosed hive.Colony, steps int, step float64, s chem.GramsPerLitre) []BoxDose {
	weights := make([]int, len(c.Boxes))
	for i, b := range dosed.Boxes {
		weights[i] = b.Quarters()
	}
	out := make([]BoxDose, len(c.Boxes))
	for i, n := range share(steps, weights) {
		b := c.Boxes[i]
		open := b.Open()
		seams := make([]int, len(open))
		for g, seam := range b.Seams {
			seams[g] = int(seam)
		}
		gaps := make([]GapDose, len(open))
		for g, m := range share(n, seams) {
			given := inSteps(m, step)
			gaps[g] = GapDose{Open: open[g], Seam: hive.Seam(seams[g]), Given: given, OAD: milligrams(given, s)}
		}
		out[i] = BoxDose{Given: inSteps(n, step), Gaps: gaps}
	}
	return out
}

// inSteps is n steps of a volume, cleaned of binary dust.
func inSteps(n int, step float64) chem.Millilitres {
	return chem.Millilitres(math.Round(float64(n)*step*1e6) / 1e6)
}

// share splits n whole steps by weight, so that the parts add up to n: each
// gets its part rounded down, and the steps left go to the largest remainders,
// nearest the middle first, where the most bees sit.
func share(n int, weights []int) []int {
	parts := make([]int, len(weights))
	total := 0
	for _, w := range weights {
		total += w
	}
	if total == 0 {
		return parts
	}
	left := n
	rest := make([]int, len(weights))
	for i, w := range weights {
		parts[i], rest[i] = n*w/total, n*w%total
		left -= parts[i]
	}
	for ; left > 0; left-- {
		best := -1
		for i := range rest {
			if best < 0 || rest[i] > rest[best] || rest[i] == rest[best] && central(i, len(rest)) < central(best, len(rest)) {
				best = i
			}
		}
		parts[best]++
		rest[best] = -1
	}
	return parts
}

// central is twice the distance of entry i from the middle of n entries.
func central(i, n int) int {
	d := 2*i - (n - 1)
	return max(d, -d)
}
