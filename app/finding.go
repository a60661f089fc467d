package app

import (
	"context"

	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Names lists what can be gone to by its name.
func (d Desk) Names(ctx context.Context) (wire.Names, error) {
	r := reading{ctx: ctx}
	yards, colonies := all(&r, d.op.Yards), all(&r, d.op.Colonies)
	batches, jobs := all(&r, d.op.Batches), by(&r, d.op.Jobs, everyJob)
	where := lo.SliceToMap(yards, func(y store.Yard) (string, string) { return y.ID, y.Name })
	return wire.Names{
		Yards: lo.Map(yards, func(y store.Yard, _ int) wire.Name { return wire.Name{ID: y.ID, Name: y.Name} }),
		Hives: lo.Map(colonies, func(c store.Colony, _ int) wire.Name {
			return wire.Name{ID: c.ID, Name: c.Name, Where: where[c.YardID]}
		}),
		Batches: lo.Map(batches, func(b store.Batch, _ int) wire.Name { return wire.Name{ID: b.ID, Name: b.Name} }),
		Jobs:    lo.Map(jobs, func(j store.Job, _ int) wire.Name { return wire.Name{ID: j.ID, Name: j.Name} }),
	}, r.err
}
