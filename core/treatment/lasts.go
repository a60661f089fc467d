package treatment

import (
	"keeler/core/fault"
	"keeler/core/stock"
)

// Lasting is how far what is left in a jar goes.
type Lasting struct {
	Colonies int     `json:"colonies" doc:"That it still does, in their order."`
	Short    float64 `json:"short" doc:"What is missing for all of them; 0 when it is enough."`
	Over     float64 `json:"over" doc:"What stays when all have got theirs."`
}

// Lasts tells how far what is left in a jar goes, for the amounts expected of the colonies to come, mL or pieces. A
// fault names what cannot be: an amount below nothing, or more than anyone has.
func Lasts(left float64, expected []float64) (Lasting, error) {
	var r Lasting
	var l fault.List
	l.Within("left", left, 0, stock.Most, "")
	for i, e := range expected {
		l.Within(fault.Index("expected", i), e, 0, stock.Most, "")
	}
	if len(l) > 0 {
		return r, l
	}
	for _, e := range expected {
		if e <= left+dust && r.Short == 0 {
			r.Colonies++
			left -= e
			continue
		}
		r.Short += e
	}
	if r.Short > 0 {
		r.Short = max(r.Short-max(left, 0), 0)
		return r, nil
	}
	r.Over = max(left, 0)
	return r, nil
}

const dust = 1e-6
