package store

import (
	"context"
	"fmt"

	"github.com/samber/lo"
)

// BatchesOfLot lists the batches that a lot went into, and those that a left-over of one was carried into.
func (o Operation) BatchesOfLot(ctx context.Context, lot string) ([]string, error) {
	var ids []string
	err := o.db.WithContext(ctx).Table("stock_entries").Distinct("for_batch_id").
		Where("operation_id = ? AND lot_id = ? AND for_batch_id IS NOT NULL", o.id, lot).Scan(&ids).Error
	if err != nil {
		return nil, fmt.Errorf("list the batches of lot %s: %w", lot, err)
	}
	return o.WithCarried(ctx, ids)
}

// WithCarried adds to some batches those into which a left-over of theirs was carried, and so on.
func (o Operation) WithCarried(ctx context.Context, batches []string) ([]string, error) {
	all, fresh := batches, batches
	for len(fresh) > 0 {
		var next []string
		if err := o.own(ctx).Table("batches").Where("parent_id IN ?", fresh).Pluck("id", &next).Error; err != nil {
			return nil, fmt.Errorf("list what batches were carried into: %w", err)
		}
		fresh = lo.Without(next, all...)
		all = append(all, fresh...)
	}
	return lo.Uniq(all), nil
}

// LotsIn lists the lots that went into some batches, and into those whose left-overs they carry.
func (o Operation) LotsIn(ctx context.Context, batches []string) ([]Lot, error) {
	all, fresh := batches, batches
	for len(fresh) > 0 {
		var parents []string
		if err := o.own(ctx).Table("batches").Where("id IN ? AND parent_id IS NOT NULL", fresh).Pluck("parent_id", &parents).Error; err != nil {
			return nil, fmt.Errorf("list what batches carry: %w", err)
		}
		fresh = lo.Without(parents, all...)
		all = append(all, fresh...)
	}
	var lots []Lot
	err := o.own(ctx).Where("id IN (SELECT lot_id FROM stock_entries WHERE operation_id = ? AND for_batch_id IN ?)", o.id, all).Order("ingredient, name").Find(&lots).Error
	if err != nil {
		return nil, fmt.Errorf("list the lots of batches: %w", err)
	}
	return lots, nil
}

// BatchesAmong reads some batches whole, by number.
func (o Operation) BatchesAmong(ctx context.Context, ids []string) ([]Batch, error) {
	var out []Batch
	if err := o.own(ctx).Preload("Components").Where("id IN ?", ids).Order("number").Find(&out).Error; err != nil {
		return nil, fmt.Errorf("read batches: %w", err)
	}
	return out, nil
}

// GivenFrom lists the doses that stand of some batches, by yard and colony, the oldest first.
func (o Operation) GivenFrom(ctx context.Context, batches []string) ([]Application, error) {
	return all[Application](o.named(ctx).Where("a.superseded = 0 AND a.kind = 'given' AND a.batch_id IN ?", batches).
		Order("yards.name, a.yard_id, LENGTH(colonies.name), colonies.name, a.colony_id, given_at, seq"))
}

// GivenToColony lists the doses that stand of a colony and came from a batch, the oldest first.
func (o Operation) GivenToColony(ctx context.Context, colony string) ([]Application, error) {
	return all[Application](o.named(ctx).Where("a.superseded = 0 AND a.kind = 'given' AND a.colony_id = ? AND a.batch_id IS NOT NULL", colony).Order("given_at, seq"))
}
