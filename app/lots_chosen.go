package app

import (
	"context"
	"fmt"

	"keeler/core/mixing"
	"keeler/core/stock"
	"keeler/store"

	"github.com/samber/lo"
)

// usualLots are the lots that ingredients come from where nobody says, by ingredient.
func (d Desk) usualLots(ctx context.Context, op store.Operation) (map[string]string, error) {
	lots, err := op.Lots(ctx)
	if err != nil {
		return nil, fmt.Errorf("list lots: %w", err)
	}
	left, err := op.LeftOfLots(ctx)
	if err != nil {
		return nil, fmt.Errorf("read what is left of lots: %w", err)
	}
	opened, err := op.OpenedLots(ctx)
	if err != nil {
		return nil, fmt.Errorf("read when lots were opened: %w", err)
	}
	candidates := map[string][]stock.Candidate{}
	for _, l := range lots {
		past := l.ExpiresOn != nil && d.today() > dayOf(*l.ExpiresOn)
		candidates[l.Ingredient] = append(candidates[l.Ingredient], stock.Candidate{ID: l.ID, Left: left[l.ID], Past: past, Opened: opened[l.ID]})
	}
	return lo.OmitBy(lo.MapValues(candidates, func(of []stock.Candidate, _ string) string { return stock.Choose(of) }),
		func(_, lot string) bool { return lot == "" }), nil
}

// lotsOf are the lots that a run's ingredients come from: as was said, and else the usual ones.
func (d Desk) lotsOf(ctx context.Context, op store.Operation, w making) (map[string]string, error) {
	out, err := d.usualLots(ctx, op)
	if err != nil {
		return nil, err
	}
	for ingredient, lot := range w.lots() {
		out[ingredient] = lot
	}
	return lo.OmitByValues(out, []string{noLot}), nil
}

// takeOff takes so much off the lots that it comes from, for a batch.
func (d Desk) takeOff(ctx context.Context, op store.Operation, lots map[string]string, uses []mixing.Use, batch string) error {
	for _, use := range uses {
		if lots[use.Lot] == "" || use.Amount <= 0 {
			continue
		}
		if err := d.enterFor(ctx, op, store.Account{Lot: lots[use.Lot]}, stock.Used, use.Amount, batch); err != nil {
			return fmt.Errorf("take %s off its lot: %w", use.Lot, err)
		}
	}
	return nil
}
