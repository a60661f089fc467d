package app

import (
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// An operation with more than wholeAtOnce colonies takes long to judge: while somebody waits, that
// is done first for the yards that hold as many as shownFirst.
const (
	wholeAtOnce = 500
	shownFirst  = 300
)

// shown are the yards that a screen is about, by name.
type shown struct {
	yards []store.Yard
	only  []string    // their ids; nil: of all that there are
	soFar *wire.SoFar // there are more
}

// shown are all yards, or one, or with first those that are shown first.
func (d Desk) shown(r *reading, yard string, first bool) shown {
	s := shown{yards: all(r, d.op.Yards)}
	some := s.yards
	switch {
	case yard != "":
		some = lo.Filter(some, func(y store.Yard, _ int) bool { return y.ID == yard })
	case first:
		if some = firstOf(some, all(r, d.op.Stands)); len(some) < len(s.yards) {
			s.soFar = &wire.SoFar{Shown: len(some), Of: len(s.yards)}
		}
	}
	if len(some) < len(s.yards) {
		s.yards, s.only = some, lo.Map(some, func(y store.Yard, _ int) string { return y.ID })
	}
	return s
}

// stood are the colonies that stand in the yards, or did within memory, also as what is read of them.
func (d Desk) stood(r *reading, s shown) ([]store.Colony, store.Among) {
	everything := d.everything()
	if s.only == nil {
		return by(r, d.op.ColoniesSince, everything.Since), everything
	}
	rows := by(r, d.op.ColoniesOf, store.Stood{Yards: s.only, Since: everything.Since})
	return rows, d.remembering(lo.Map(rows, colonyID))
}

// firstOf is as many yards as are shown first, and at least one.
func firstOf(yards []store.Yard, stands map[string]int) []store.Yard {
	if lo.Sum(lo.Values(stands)) <= wholeAtOnce {
		return yards
	}
	sum := 0
	for i, y := range yards {
		if sum += stands[y.ID]; sum > shownFirst && i > 0 {
			return yards[:i]
		}
	}
	return yards
}
