package store

import (
	"context"
	"time"

	"github.com/samber/lo"
)

// Recorded lists what stands of doses, removals and amendments of a time, by yard and
// colony, the oldest first; of some yards, or of all where none are listed at all.
func (o Operation) Recorded(ctx context.Context, yards []string, from, to time.Time) ([]Application, error) {
	q := o.named(ctx).Where("superseded = 0 AND given_at >= ? AND given_at < ?", from, to).
		Where("(kind IN ('given', 'other', 'out') OR amends_id IS NOT NULL)")
	if yards != nil {
		q = q.Where("a.yard_id IN ?", yards)
	}
	// R2 comes before R10.
	return all[Application](q.Order("yards.name, a.yard_id, LENGTH(colonies.name), colonies.name, a.colony_id, given_at, seq"))
}

// Amended are the lines that these amend, and those that they amended before, by their ids.
func (o Operation) Amended(ctx context.Context, rows []Application) (map[string]Application, error) {
	out := map[string]Application{}
	for {
		ids := lo.FilterMap(rows, func(r Application, _ int) (string, bool) { return lo.FromPtr(r.AmendsID), r.AmendsID != nil })
		if len(ids) == 0 {
			return out, nil
		}
		var err error
		if rows, err = all[Application](o.named(ctx).Where("a.id IN ?", ids)); err != nil {
			return nil, err
		}
		for _, r := range rows {
			out[r.ID] = r
		}
	}
}

// RecordedFrom are the times of the first and the last dose; zero where there is none.
func (o Operation) RecordedFrom(ctx context.Context) (first, last time.Time, err error) {
	end := func(order string) (time.Time, error) { // read at the ends of the index, and no further
		return value[time.Time](o.own(ctx).Table("applications FORCE INDEX (newest)").Select("given_at").
			Where("superseded = 0 AND kind IN ('given', 'other', 'out')").Order("given_at " + order).Limit(1))
	}
	if first, err = end("ASC"); err == nil {
		last, err = end("DESC")
	}
	return first, last, err
}
