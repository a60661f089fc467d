package app

import (
	"slices"

	"keeler/core/calendar"
	"keeler/core/stock"
	"keeler/store"
	"keeler/wire"

	"github.com/samber/lo"
)

// benchOf puts colonies that live on the bench, with their bees as they were last seen.
func (d Desk) benchOf(r *reading, rows []store.Colony) []wire.Colony {
	ids := lo.FilterMap(rows, func(c store.Colony, _ int) (string, bool) { return c.ID, c.EndedOn == nil })
	return onBench(rows, ids, by(r, d.op.LastSeams, ids))
}

// inStock is what there is of every lot, the newest first.
func (d Desk) inStock(r *reading) []stock.Lot {
	left := all(r, d.op.LeftOfLots)
	return lo.Map(all(r, d.op.Lots), func(l store.Lot, _ int) stock.Lot {
		out := stock.Lot{Ingredient: l.Ingredient, Left: left[l.ID], Price: l.Price, Unit: l.Unit}
		if l.ExpiresOn != nil {
			out.UseBy = dayOf(*l.ExpiresOn)
		}
		return out
	})
}

// worked is the recipe of a treatment as the bench begins with it.
func (p planned) worked(bench []wire.Colony) (wire.Worked, error) {
	return wire.RecipeOf(string(p.under.Method), p.under.ID, bench, p.card).Work()
}

// needs is what a treatment takes from the stock for some hives; known is false where its recipe cannot be worked out as it is. What is
// given at several visits is mixed for each.
func (p planned) needs(bench []wire.Colony) (out []stock.Need, known bool) {
	worked, err := p.worked(bench)
	if err != nil {
		return nil, false
	}
	work, err := worked.Plan.Work("")
	if err != nil {
		return nil, false
	}
	days := []calendar.Day{p.dose.From}
	if pads := worked.Answer.Pad; pads != nil {
		days = p.visits[:min(max(pads.Course.Visits, 1), len(p.visits))]
	}
	for _, on := range days {
		for _, u := range work.Needs() {
			out = append(out, stock.Need{Ingredient: u.Lot, Amount: u.Amount, On: on})
		}
	}
	return out, true
}

// take adds to plans what each takes from the stock, for a hive and for its yard.
func (d Desk) take(r *reading, yard string, hive []wire.Colony, plans [][]planned, told []wire.PlanComes) {
	lots, all := d.inStock(r), d.benchOf(r, by(r, d.op.ColoniesIn, yard))
	for i, plan := range plans {
		told[i].Takes = &wire.PlanTaking{Hive: takes(plan, hive, lots), Yard: takes(plan, all, lots)}
	}
}

// takes is what a plan takes from the stock for some hives.
func takes(plan []planned, bench []wire.Colony, lots []stock.Lot) wire.PlanTakes {
	out := wire.PlanTakes{Hives: len(bench), Unseen: unseenOn(bench, plan), Unknown: []string{}, Unpriced: []string{}, Of: []wire.PlanTake{}}
	var all []stock.Need
	for _, p := range plan {
		needs, known := p.needs(bench)
		all = append(all, needs...)
		if of := string(p.under.Method); !known && !slices.Contains(out.Unknown, of) {
			out.Unknown = append(out.Unknown, of)
		}
	}
	for _, w := range stock.Wants(all, lots) {
		out.Cost += w.Cost
		if w.Cost == 0 {
			out.Unpriced = append(out.Unpriced, w.Ingredient)
		}
		out.Of = append(out.Of, wire.PlanTake{
			Ingredient: w.Ingredient, Unit: wire.LotUnit(w.Ingredient), Amount: wire.Round(w.Amount), There: wire.Round(w.There), Buy: wire.Round(w.Buy()),
		})
	}
	out.Cost = wire.Round(out.Cost)
	return out
}

// unseenOn are the hives that get nothing by their seams, since nobody knows those.
func unseenOn(bench []wire.Colony, plan []planned) []string {
	out := []string{}
	if !lo.SomeBy(plan, func(p planned) bool { return p.under.Method.BySeams() }) {
		return out
	}
	for _, c := range bench {
		if !lo.SomeBy(c.Boxes, func(b wire.Box) bool { return b.Seams != nil }) {
			out = append(out, c.Name)
		}
	}
	return out
}
