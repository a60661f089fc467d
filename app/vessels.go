package app

import (
	"context"

	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// Vessels lists what is mixed and kept in; none where nothing was said.
func (d Desk) Vessels(ctx context.Context) (wire.Vessels, error) {
	rows, err := d.op.Vessels(ctx)
	return wire.Vessels{Vessels: lo.Map(rows, func(r store.Vessel, _ int) wire.Vessel {
		return wire.Vessel{Name: r.Name, Kind: r.Kind, ML: r.ML}
	})}, err
}

// SetVessels puts these in the place of those before.
func (d Desk) SetVessels(ctx context.Context, in wire.Vessels) (wire.Vessels, error) {
	if err := in.Check(); err != nil {
		return wire.Vessels{}, err
	}
	rows := lo.Map(in.Vessels, func(v wire.Vessel, _ int) store.Vessel {
		return store.Vessel{Name: v.Name, Kind: v.Kind, ML: v.ML}
	})
	r := reading{ctx, d.op.SetVessels(ctx, rows)}
	out := all(&r, d.Vessels)
	return out, r.err
}
