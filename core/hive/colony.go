package hive

import "keeler/core/fault"

// BeesPerSeam is the number of bees in a full seam of each kind of box, by comb
// area; the trade's rule of thumb.
var BeesPerSeam = map[Kind]int{Deep: 2200, Medium: 1500, Shallow: 1200}

// InASeam is how many bees a full seam of a stack of boxes has, in the middle of its boxes; of a deep box where there is
// none.
func InASeam(boxes []Kind) float64 {
	if len(boxes) == 0 {
		boxes = []Kind{Deep}
	}
	sum := 0
	for _, k := range boxes {
		sum += BeesPerSeam[k]
	}
	return float64(sum) / float64(len(boxes))
}

// Colony is the bees of one hive and the boxes they sit in, the lowest first.
type Colony struct {
	Name  string
	Nuc   bool
	Boxes []Box
}

// Quarters is the sum of the seams of all boxes, in quarters.
func (c Colony) Quarters() int {
	sum := 0
	for _, b := range c.Boxes {
		sum += b.Quarters()
	}
	return sum
}

// Bees estimates how many bees the seams hold.
func (c Colony) Bees() int {
	quarters := 0
	for _, b := range c.Boxes {
		quarters += b.Quarters() * BeesPerSeam[b.Kind]
	}
	return quarters / int(Full)
}

// Combs is the number of combs in all boxes.
func (c Colony) Combs() int {
	n := 0
	for _, b := range c.Boxes {
		for _, s := range b.Slots {
			if s == Comb {
				n++
			}
		}
	}
	return n
}

// Check appends what is wrong with the colony, by paths within it: an unknown
// kind or slot, no frames, more seams than gaps, or bees where nothing hangs.
func (c Colony) Check(l *fault.List) {
	l.Length("name", c.Name, MaxName)
	if !l.Within("boxes", float64(len(c.Boxes)), 1, MaxBoxes, "boxes") {
		return
	}
	for i := range c.Boxes {
		before := len(*l)
		c.Boxes[i].Check(l)
		l.Beneath(before, "boxes", i)
	}
}

// CheckAll appends what is wrong with any of the colonies, and that there are
// too many of them.
func CheckAll(colonies []Colony, l *fault.List) {
	if len(colonies) > MaxColonies {
		l.AddRange("colonies", fault.TooMany, 0, MaxColonies, "colonies")
		return
	}
	for i := range colonies {
		before := len(*l)
		colonies[i].Check(l)
		l.Beneath(before, "colonies", i)
	}
}

// CheckCount appends a fault when a counted number of seams (0 or more) does
// not fit the box or is not counted in quarters.
func (b Box) CheckCount(field string, seams float64, l *fault.List) {
	high := float64(b.room()) / float64(Full)
	if !l.Within(field, seams, 0, high, "seams") {
		return
	}
	if q := seams * float64(Full); q != float64(int(q)) {
		l.AddRange(field, fault.WholeOnly, 0, high, "quarter seams")
	}
}
