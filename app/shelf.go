package app

import (
	"context"
	"strings"

	"keeler/core/agenda"
	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/followup"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// shelf is what stands on it: what there is to see to, and what can be given.
type shelf struct {
	calls []wire.Call
	jars  []wire.Jar
}

// shelfOn reads batches and lots as they stand on a day.
func (d Desk) shelfOn(ctx context.Context, today calendar.Day) (shelf, error) {
	r := reading{ctx: ctx}
	batches, lots := all(&r, d.Batches), all(&r, d.Lots)
	skips := all(&r, d.op.ShelfSkips)
	out := shelf{jars: []wire.Jar{}}
	call := func(c wire.Call, kind agenda.Kind, what, name, of string) {
		c.Kind, c.Key, c.Urgent = string(kind), string(kind)+"."+of, kind.Urgent()
		c.Title, c.Why = words.Call(c.Kind, what, name)
		if _, skipped := skips[c.Key]; !skipped {
			out.calls = append(out.calls, c)
		}
	}
	var never fault.List // Keeler wrote these days
	lastDay := func(day string) calendar.Day {
		if day == "" {
			return 0
		}
		return readDay("use_by", day, 0, farAhead, &never)
	}
	for _, b := range batches.Batches {
		if b.VoidedAt != nil || b.State != store.IsMade {
			continue
		}
		if kind, calls := agenda.Batch(b.OnHand.Left, lastDay(b.OnHand.UseBy), today); calls {
			call(wire.Call{BatchID: b.ID, Method: b.Method, By: b.OnHand.UseBy}, kind, b.Method, b.Name, b.ID)
		}
		if b.OnHand.Left > 0 && !b.Leftover && b.OnHand.Keeps != string(stock.Past) {
			out.jars = append(out.jars, wire.Jar{ID: b.ID, Name: b.Name, Method: b.Method, Left: b.OnHand.Left, Unit: b.OnHand.Unit})
		}
	}
	for _, l := range lots.Lots {
		if kind, calls := agenda.Lot(l.Left, lastDay(l.ExpiresOn), today); calls {
			call(wire.Call{LotID: l.ID, By: l.ExpiresOn}, kind, l.Ingredient, l.Name, l.ID)
		}
	}
	return out, r.err
}

// SkipCall says why a batch or lot is not seen to; without a reason, that it is after all.
func (d Desk) SkipCall(ctx context.Context, in wire.SkipCall) error {
	reason := strings.TrimSpace(in.Reason)
	if reason == "" {
		return d.op.UnskipShelf(ctx, in.Key)
	}
	return d.op.SkipShelf(ctx, store.ShelfSkip{What: in.Key, Reason: reason, UserID: d.who.User, CreatedAt: d.stamp()})
}

// along is what the visits until a day need: gear by what each job gives, clean boards, and
// what of each method is there, or the jobs that must be mixed for.
func along(of []wire.Followup, gear func(job string) []string, jars []wire.Jar, until string) wire.TakeAlong {
	out := wire.TakeAlong{Gear: []string{}, Jars: []wire.Jar{}, Mix: []wire.Name{}}
	for _, f := range of {
		if f.From > until {
			continue
		}
		waiting := lo.CountBy(f.Colonies, func(c wire.FollowupColony) bool { return followup.State(c.State).Open() })
		switch followup.Kind(f.Kind) {
		case followup.BoardIn:
			out.Boards += waiting
		case followup.Visit:
			fit := lo.Filter(jars, func(j wire.Jar, _ int) bool { return j.Method == f.Method })
			if len(fit) == 0 {
				out.Mix = lo.Union(out.Mix, []wire.Name{{ID: f.JobID, Name: f.Job}})
			}
			out.Jars = lo.Union(out.Jars, fit)
			fallthrough
		case followup.Out, followup.Move, followup.Reversed, followup.Hang, followup.Weigh:
			out.Gear = lo.Union(out.Gear, gear(f.JobID))
		}
	}
	return out
}
