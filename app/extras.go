package app

import (
	"context"
	"encoding/json"
	"errors"
	"keeler/core/fault"
	"keeler/core/treatment"
	"keeler/store"
	"keeler/wire"
)

// extras is what is ticked on visits in a season: as chosen, or nothing.
func (d Desk) extras(ctx context.Context, name string) ([]string, error) {
	out := []string{}
	row, err := d.op.Extras(ctx, name)
	if errors.Is(err, store.ErrNotFound) {
		return out, nil
	}
	if err != nil {
		return nil, err
	}
	return out, json.Unmarshal(row.Extras, &out)
}

// SetExtras chooses what is ticked on visits in a season.
func (d Desk) SetExtras(ctx context.Context, in wire.VisitExtras) (wire.VisitExtras, error) {
	var l fault.List
	treatment.CheckExtras(in.Extras, &l)
	if err := l.Err(); err != nil {
		return in, err
	}
	raw, err := json.Marshal(in.Extras)
	if err != nil {
		return in, err
	}
	return in, d.op.SetExtras(ctx, store.VisitExtras{Season: in.Season, Extras: raw})
}
