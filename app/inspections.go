package app

import (
	"context"
	"encoding/json"
	"slices"
	"strings"

	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/hive"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

const maxSupers = 12

var (
	broods  = []string{"", string(fit.BroodNone), string(fit.BroodLittle), string(fit.BroodMuch)}
	storing = []string{"", string(fit.Light), string(fit.Enough), string(fit.Heavy)}
	tempers = []string{"", "calm", "nervous", "fierce"}
)

// Inspect saves inspections, all or none.
func (d Desk) Inspect(ctx context.Context, in wire.Inspections) (wire.Inspections, error) {
	rows, err := d.op.ColoniesAmong(ctx, lo.Map(in.Inspections, func(i wire.Inspection, _ int) string { return i.ColonyID }))
	if err != nil {
		return wire.Inspections{}, err
	}
	living := lo.KeyBy(rows, func(r store.Colony) string { return r.ID })
	var l fault.List
	kept := make([]store.Inspection, len(in.Inspections))
	for i, inspection := range in.Inspections {
		before := len(l)
		colony, lives := living[inspection.ColonyID]
		if !lives {
			l.Add("colony_id", fault.Unknown)
		}
		kept[i] = d.readInspection(inspection, colony, &l)
		l.Beneath(before, "inspections", i)
	}
	if err := l.Err(); err != nil {
		return wire.Inspections{}, err
	}
	return wire.Inspections{Inspections: lo.Map(kept, func(i store.Inspection, _ int) wire.Inspection { return inspectionOf(i) })}, d.op.Inspect(ctx, kept)
}

func (d Desk) readInspection(in wire.Inspection, colony store.Colony, l *fault.List) store.Inspection {
	out := store.Inspection{
		ID: in.ID, ColonyID: in.ColonyID, Brood: in.Brood, Eggs: in.Eggs, Larvae: in.Larvae, Stores: in.Stores, Supers: in.Supers, Queen: in.Queen,
		Temper: in.Temper, Note: strings.TrimSpace(in.Note), UserID: d.who.User, CreatedAt: d.stamp(),
		SeenOn: timeOf(readDay("on", in.On, d.today(), d.today(), l)),
	}
	for _, word := range []struct {
		field, is string
		known     []string
	}{{"brood", in.Brood, broods}, {"stores", in.Stores, storing}, {"queen", in.Queen, queens}, {"temper", in.Temper, tempers}} {
		if !slices.Contains(word.known, word.is) {
			l.Add(word.field, fault.Unknown)
		}
	}
	if in.Supers != nil {
		l.Within("supers", float64(*in.Supers), 0, maxSupers, "supers")
	}
	if in.Board == nil && in.Typed != "" {
		drawn, err := wire.DrawHive(wire.CountedHive{Typed: in.Typed, Boxes: boxesOf(colony)})
		if of, wrong := err.(fault.List); wrong {
			*l = append(*l, of...)
			return out
		}
		in.Board = drawn.Board
	}
	switch {
	case in.Board != nil:
		quarters, err := wire.CheckBoard(boxesOf(colony), in.Board)
		if of, wrong := err.(fault.List); wrong {
			*l = append(*l, of...)
		}
		out.Quarters = &quarters
		out.Seams, _ = json.Marshal(in.Board) // numbers that were checked
	case in.Seams != nil:
		const most = hive.MaxBoxes * (hive.MaxFrames + 1)
		if l.Within("seams", *in.Seams, 0, most, "seams") {
			quarters := int(*in.Seams*float64(hive.Full) + 0.5)
			out.Quarters = &quarters
		}
	}
	return out
}

func inspectionOf(r store.Inspection) wire.Inspection {
	out := wire.Inspection{
		ID: r.ID, ColonyID: r.ColonyID, On: r.SeenOn.Format(dateForm), Board: wire.BoardOf(r.Seams),
		Brood: r.Brood, Eggs: r.Eggs, Larvae: r.Larvae, Stores: r.Stores, Supers: r.Supers, Queen: r.Queen, Temper: r.Temper, Note: r.Note,
	}
	if r.Quarters != nil {
		full := float64(*r.Quarters) / float64(hive.Full)
		out.Seams = &full
	}
	return out
}
