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
)

const maxSupers = 12

var (
	broods  = []string{"", string(fit.BroodNone), string(fit.BroodLittle), string(fit.BroodMuch)}
	storing = []string{"", string(fit.Light), string(fit.Enough), string(fit.Heavy)}
	tempers = []string{"", "calm", "nervous", "fierce"}
)

// Inspect keeps looks into colonies, all or none.
func (d Desk) Inspect(ctx context.Context, in wire.Looks) (wire.Looks, error) {
	rows, err := d.op.Colonies(ctx, "")
	if err != nil {
		return wire.Looks{}, err
	}
	living := make(map[string]store.Colony, len(rows))
	for _, r := range rows {
		living[r.ID] = r
	}
	var l fault.List
	kept := make([]store.Inspection, len(in.Looks))
	for i, look := range in.Looks {
		before := len(l)
		colony, lives := living[look.ColonyID]
		if !lives {
			l.Add("colony_id", fault.Unknown)
		}
		kept[i] = d.readLook(look, colony, &l)
		l.Beneath(before, "looks", i)
	}
	if err := l.Err(); err != nil {
		return wire.Looks{}, err
	}
	if err := d.op.Inspect(ctx, kept); err != nil {
		return wire.Looks{}, err
	}
	out := wire.Looks{Looks: make([]wire.Look, len(kept))}
	for i, k := range kept {
		out.Looks[i] = lookOf(k)
	}
	return out, nil
}

func (d Desk) readLook(in wire.Look, colony store.Colony, l *fault.List) store.Inspection {
	out := store.Inspection{
		ID: in.ID, ColonyID: in.ColonyID, Brood: in.Brood, Eggs: in.Eggs, Larvae: in.Larvae, Stores: in.Stores, Supers: in.Supers, Queen: in.Queen,
		Temper: in.Temper, Note: strings.TrimSpace(in.Note), UserID: d.who.User, CreatedAt: d.stamp(),
		LookedOn: timeOf(readDay("on", in.On, d.today(), d.today(), l)),
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

func lookOf(r store.Inspection) wire.Look {
	out := wire.Look{
		ID: r.ID, ColonyID: r.ColonyID, On: r.LookedOn.Format(dateForm), Board: wire.BoardOf(r.Seams),
		Brood: r.Brood, Eggs: r.Eggs, Larvae: r.Larvae, Stores: r.Stores, Supers: r.Supers, Queen: r.Queen, Temper: r.Temper, Note: r.Note,
	}
	if r.Quarters != nil {
		full := float64(*r.Quarters) / float64(hive.Full)
		out.Seams = &full
	}
	return out
}
