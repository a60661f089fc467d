package app

import (
	"context"
	"encoding/json"

	"keeler/core/fault"
	"keeler/store"
	"keeler/wire"
	"keeler/words"

	"github.com/samber/lo"
)

// JobRecipe is a day of a job as it is carried on to mixing: its colonies with the
// seams as last seen, and what its card says.
func (d Desk) JobRecipe(ctx context.Context, id, day string) (wire.JobRecipe, error) {
	job, err := d.op.Job(ctx, id)
	if err != nil {
		return wire.JobRecipe{}, err
	}
	var wanted []string
	for _, c := range job.Colonies {
		if day == "" || c.Day.Format(dateForm) == day {
			wanted = append(wanted, c.ColonyID)
		}
	}
	if len(wanted) == 0 {
		return wire.JobRecipe{}, fault.List{{Field: "day", Reason: fault.Unknown}}
	}
	r := reading{ctx: ctx}
	boards, rows := by(&r, d.op.LastSeams, wanted), by(&r, d.op.ColoniesAmong, wanted)
	var card *wire.LabelCard
	if job.CardID != nil {
		c := by(&r, d.card, *job.CardID)
		card = &c
	}
	return recipeOf(job, onBench(rows, wanted, boards), card), r.err
}

func recipeOf(job store.Job, colonies []wire.Colony, card *wire.LabelCard) wire.JobRecipe {
	return wire.JobRecipe{
		Place: job.Name, Rule: words.Rule(job.RuleKind, job.RuleWords), Recipe: wire.RecipeOf(job.Method, job.Protocol, colonies, card),
	}
}

// onBench puts colonies on the bench in the order of the job; one that has ended
// since is left out.
func onBench(rows []store.Colony, wanted []string, boards map[string]json.RawMessage) []wire.Colony {
	living := lo.KeyBy(rows, func(r store.Colony) string { return r.ID })
	var out []wire.Colony
	for _, id := range wanted {
		r, lives := living[id]
		if !lives {
			continue
		}
		c := wire.Colony{Name: r.Name, Nuc: r.Nuc}
		hive := boxesOf(r)
		board := wire.BoardOf(boards[id])
		if _, err := wire.CheckBoard(hive, board); err != nil {
			board = nil // the hive was changed since: its seams must be looked at anew
		}
		for i, b := range hive {
			box := wire.Box{Kind: b.Kind, Slots: b.Slots}
			if board != nil {
				box.Seams = board[i]
			}
			c.Boxes = append(c.Boxes, box)
		}
		out = append(out, c)
	}
	return out
}
