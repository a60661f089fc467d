package syrup

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
)

// GapDose is what one gap gets.
type GapDose struct {
	Open  bool // bees can sit here on a comb
	Seam  hive.Seam
	Given chem.Millilitres
}

// BoxDose is what one box gets; its gaps add up to it.
type BoxDose struct {
	Given chem.Millilitres
	Gaps  []GapDose
}

// ColonyDose is what one colony gets. Given is Dose in steps that the
// applicator can really give; boxes, gaps and draws add up to Given.
type ColonyDose struct {
	Name      string
	Nuc       bool
	Quarters  int // seams in quarters
	Bees      int
	Asked     chem.Millilitres // by the rule, before the cap
	Dose      chem.Millilitres // after the cap
	Given     chem.Millilitres
	Capped    bool
	PerSeam   chem.Millilitres // Given in each full seam; 0 without bees
	SeamMilli chem.Milligrams  // OAD in each full seam
	Boxes     []BoxDose        // lowest first, the order in which they are dosed
	Draws     []Draw
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
		card.check("hold.card", &l)
	}
	if err := l.Err(); err != nil {
		return nil, err
	}
	return doses(colonies, r, card, a, s), nil
}

func doses(colonies []hive.Colony, r Rule, card *Card, a Applicator, s chem.GramsPerLitre) []ColonyDose {
	out := make([]ColonyDose, len(colonies))
	for i, c := range colonies {
		out[i] = doseColony(c, r, card, a, s)
	}
	return out
}

func doseColony(c hive.Colony, r Rule, card *Card, a Applicator, s chem.GramsPerLitre) ColonyDose {
	d := ColonyDose{Name: c.Name, Nuc: c.Nuc, Quarters: c.Quarters(), Bees: c.Bees()}
	d.Asked, d.Dose = r.ask(c, d, card)
	d.Capped = d.Dose < d.Asked

	step := float64(a.step())
	steps := int(math.Floor(float64(d.Dose)/step + 0.5 + 1e-9))
	if card == nil { // rounding never carries a dose over the cap
		steps = min(steps, int(math.Floor(float64(r.Cap)/step+1e-9)))
	}
	d.Given = inSteps(steps, step)
	d.Boxes = split(c, steps, step, r.FromAbove)
	d.Draws = a.draws(steps)
	if d.Quarters > 0 {
		d.PerSeam = d.Given * chem.Millilitres(hive.Full) / chem.Millilitres(d.Quarters)
		d.SeamMilli = chem.Milligrams(float64(d.PerSeam) * float64(s)) // 1 g/L is 1 mg/mL
	}
	return d
}

// ask is the dose by the rule before and after the cap.
func (r Rule) ask(c hive.Colony, d ColonyDose, card *Card) (asked, capped chem.Millilitres) {
	bySeam := r.FullSeam * chem.Millilitres(d.Quarters) / chem.Millilitres(hive.Full)
	switch {
	case d.Quarters == 0:
		return 0, 0
	case card != nil:
		v, _ := card.row(d.Bees)
		return v, v
	case c.Nuc && r.NucFlat > 0:
		return r.NucFlat, r.NucFlat
	case !c.Nuc && r.Flat > 0:
		return r.Flat, r.Flat
	}
	return bySeam, min(bySeam, r.Cap)
}

// split shares whole steps over the boxes by their seams, and within each box
// over its gaps.
func split(c hive.Colony, steps int, step float64, fromAbove bool) []BoxDose {
	weights := make([]int, len(c.Boxes))
	for i, b := range c.Boxes {
		weights[i] = b.Quarters()
		if fromAbove && weights[i] > 0 {
			clear(weights[:i])
		}
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
			gaps[g] = GapDose{Open: open[g], Seam: hive.Seam(seams[g]), Given: inSteps(m, step)}
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
