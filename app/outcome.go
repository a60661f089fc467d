package app

import (
	"slices"
	"time"

	"keeler/core/calendar"
	"keeler/core/followup"
	"keeler/core/mites"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// told is a job as it is told whether it worked.
type told struct {
	job        store.Job
	terms      followup.Terms
	colonies   []treated // of those that were given anything
	all        []comeback
	controls   []comeback
	today      calendar.Day
	zone       *time.Location // of the operation
	thresholds mites.Thresholds
}

// treated is a colony with its doses of a job and the counts around them.
type treated struct {
	comeback
	followup.Around
	counted mites.Around
	fall    mites.Fall
	fell    bool // and a second treatment told how many were left
}

func (t *told) add(k comeback) {
	t.all = append(t.all, k)
	around, given := followup.Job(k.bees.Treatments, t.job.ID, k.seen, t.terms, k.yard.Latitude, t.today)
	if !given {
		return
	}
	of := treated{comeback: k, Around: around, counted: around.Times.Around(k.counts)}
	if around.Sure {
		of.fall, of.fell = mites.FallBy(around.Times, around.Second, k.counts)
	}
	t.colonies = append(t.colonies, of)
}

// basis is what a share is told by.
type basis string

const (
	byFall  basis = "fall" // what fell, by a second treatment
	byWash  basis = basis(mites.Wash)
	byBoard basis = basis(mites.Board)
)

func (c treated) has(b basis) bool {
	if b == byFall {
		return c.fell
	}
	return c.counted.Kind == mites.Kind(b)
}

// bestBasis is the one that most of some groups can be told by, of those the one that most
// colonies can, and of those the surest.
func bestBasis(groups ...[]treated) (best basis, told int) {
	most := 0
	for _, b := range []basis{byFall, byWash, byBoard} {
		some, all := 0, 0
		for _, of := range groups {
			n := lo.CountBy(of, func(c treated) bool { return c.has(b) })
			all += n
			some += min(n, 1)
		}
		if some > told || some == told && all > most {
			best, told, most = b, some, all
		}
	}
	return best, told
}

// killed is the share of mites that was killed in some colonies, by one basis; false where
// it cannot be told by it.
func (t told) killed(of []treated, by basis) (k mites.Killed, known bool) {
	on := lo.Filter(of, func(c treated, _ int) bool { return c.has(by) })
	if by == byFall {
		return mites.Fallen(lo.Map(on, func(c treated, _ int) mites.Fall { return c.fall }))
	}
	pairs := pairsOf(on)
	if k, known = mites.Fewer(pairs, t.against(of, by)); known {
		return k, known
	}
	return mites.Fewer(pairs, nil)
}

// against is the counts of the hives left untreated around the treatment of some colonies.
func (t told) against(of []treated, by basis) (pairs []mites.Pair) {
	for _, c := range t.controls {
		if around := of[0].Times.Around(c.counts); around.Kind == mites.Kind(by) {
			pairs = append(pairs, around.Pair)
		}
	}
	return pairs
}

func pairsOf(of []treated) []mites.Pair {
	return lo.Map(of, func(c treated, _ int) mites.Pair { return c.counted.Pair })
}

// result is whether it worked in some of its colonies; nil where nothing was counted.
func (t told) result(of []treated) *wire.Result {
	by, k, known := t.best(of)
	return t.resultBy(of, by, k, known)
}

// best is the share by what tells most of some colonies.
func (t told) best(of []treated) (by basis, k mites.Killed, known bool) {
	by, _ = bestBasis(of)
	if k, known = t.killed(of, by); !known && by == byFall { // nothing fell
		by, _ = bestBasis(lo.Map(of, func(c treated, _ int) treated { c.fell = false; return c }))
		k, known = t.killed(of, by)
	}
	return by, k, known
}

// resultBy is the same where the share is known.
func (t told) resultBy(of []treated, by basis, k mites.Killed, known bool) *wire.Result {
	var now mites.Count
	counted, before, mixed := false, false, false
	for _, c := range of {
		before = before || slices.Contains(c.counted.Uses, mites.UseBefore)
		mixed = mixed || slices.Contains(c.counted.Uses, mites.OtherKind)
		switch last := c.counted.Last; {
		case !c.counted.There:
		case !counted:
			now, counted = last, true
		case last.Kind == now.Kind:
			now = now.And(last)
		}
	}
	if !known && !counted && !before {
		return nil
	}
	out := &wire.Result{Killed: k, Enough: mites.GoodEnough}
	stands := mites.Uncounted
	if counted {
		s := standingOf(now, of[0].yard.Latitude, t.thresholds)
		out.Now, stands = &s, s.Stands
	}
	switch {
	case known:
		out.How = words.Measured(k)
	case mixed:
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("other_kind")
	case counted && before: // and none was found
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("none_before")
	case counted:
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("no_before")
	default:
		out.Measure, out.How = mites.AfterAlone, words.Unmeasured("no_after")
	}
	outcome := out.Killed.Outcome(stands)
	out.Outcome, out.Words = string(outcome), words.WhetherItWorked(outcome)
	if !outcome.Told() && known && by != byFall {
		pairs := pairsOf(lo.Filter(of, func(c treated, _ int) bool { return c.has(by) }))
		controls := lo.Ternary(k.Measure == mites.Controlled, t.against(of, by), nil)
		out.Tell = words.WouldTell(mites.Kind(by), pairs, mites.WouldTell(mites.Kind(by), pairs, controls))
	}
	return out
}
