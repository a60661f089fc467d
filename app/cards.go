package app

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"strings"

	"keeler/core/calendar"
	"keeler/core/card"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/store"
	"keeler/wire"
)

// Cards lists the label cards by name, and blank ones.
func (d Desk) Cards(ctx context.Context) (wire.LabelCards, error) {
	rows, err := d.op.Cards(ctx)
	if err != nil {
		return wire.LabelCards{}, err
	}
	out := wire.LabelCards{Cards: make([]wire.LabelCard, len(rows)), Blank: wire.BlankCards()}
	for i, r := range rows {
		if out.Cards[i], err = cardOf(r); err != nil {
			return out, err
		}
	}
	return out, nil
}

// card reads one.
func (d Desk) card(ctx context.Context, id string) (wire.LabelCard, error) {
	row, err := d.op.Card(ctx, id)
	if err != nil {
		return wire.LabelCard{}, err
	}
	return cardOf(row)
}

func cardOf(r store.LabelCard) (wire.LabelCard, error) {
	out := wire.LabelCard{ID: r.ID, Name: r.Name, Method: r.Method, Version: r.Version}
	if err := json.Unmarshal(r.Content, &out.Content); err != nil {
		return out, fmt.Errorf("card %s: %w", r.ID, err)
	}
	out.Notes = out.Said()
	recipe := wire.RecipeOf(out.Method, "", nil, &out)
	out.Recipe = &recipe
	return out, nil
}

// AddCard makes a card.
func (d Desk) AddCard(ctx context.Context, in wire.LabelCard) (wire.LabelCard, error) {
	return d.saveCard(ctx, "", in)
}

// ChangeCard changes a card over the version that was seen; store.ErrStale when somebody
// else was faster.
func (d Desk) ChangeCard(ctx context.Context, id string, in wire.LabelCard) (wire.LabelCard, error) {
	return d.saveCard(ctx, id, in)
}

// practiceHive is what a card is tried on where there is no hive of one's own.
var practiceHive = wire.Colony{Name: "1", Boxes: []wire.Box{{Kind: "deep", Frames: 10, Seams: []float64{0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0}}}}

// TryCard works out what a card would give a colony, and saves nothing.
func (d Desk) TryCard(ctx context.Context, in wire.TryCard) (wire.CardTried, error) {
	if in.ColonyID == "" {
		return in.Try(practiceHive)
	}
	wanted := []string{in.ColonyID}
	r := reading{ctx: ctx}
	boards, rows := by(&r, d.op.LastSeams, wanted), by(&r, d.op.ColoniesAmong, wanted)
	if r.err != nil {
		return wire.CardTried{}, r.err
	}
	hive := onBench(rows, wanted, boards)
	if len(hive) == 0 {
		return wire.CardTried{}, fault.List{{Field: "colony_id", Reason: fault.Unknown}}
	}
	return in.Try(hive[0])
}

func (d Desk) saveCard(ctx context.Context, id string, in wire.LabelCard) (wire.LabelCard, error) {
	if err := in.Check(); err != nil {
		return wire.LabelCard{}, err
	}
	content, err := json.Marshal(in.Content)
	if err != nil {
		return wire.LabelCard{}, err
	}
	row := store.LabelCard{ID: id, Name: strings.TrimSpace(in.Name), Method: in.Method, Content: content, Version: in.Version, CreatedAt: d.stamp()}
	if id == "" {
		row.ID = newID(in.ID)
		err = d.op.AddCard(ctx, &row)
	} else {
		err = d.op.ChangeCard(ctx, row)
	}
	return after(ctx, named(again(ctx, err, d.op.Card, row.ID, sameCard(row))), d.card, row.ID)
}

// chosen is what a method is held against: a protocol, a card, or the usual protocol of
// the day and the latitude.
type chosen struct {
	method method.Name
	fixed  *fit.Conditions
	card   *wire.LabelCard
}

func (c chosen) on(day calendar.Day, latitude float64) fit.Conditions {
	if c.fixed != nil {
		return *c.fixed
	}
	return fit.Usual(c.method, day, latitude)
}

// choose finds what an id names; an empty one is the usual protocol. What is not
// known, or of another method, is a fault at the field.
func (d Desk) choose(ctx context.Context, field string, method method.Name, id string) (chosen, error) {
	out := chosen{method: method}
	if id == "" {
		return out, nil
	}
	unknown := fault.List{{Field: field, Reason: fault.Unknown}}
	if cardID, isCard := strings.CutPrefix(id, card.Prefix); isCard {
		found, err := d.card(ctx, cardID)
		if errors.Is(err, store.ErrNotFound) || err == nil && found.Method != string(method) {
			return out, unknown
		}
		if err != nil {
			return out, err
		}
		conditions, err := found.CoreConditions()
		out.card, out.fixed = &found, &conditions
		return out, err
	}
	protocol, known := fit.Protocol(id)
	if !known || protocol.Method != method {
		return out, unknown
	}
	out.fixed = &protocol
	return out, nil
}
