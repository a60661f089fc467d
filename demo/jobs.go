package demo

import (
	"context"
	"fmt"
	"slices"
	"time"

	"github.com/google/uuid"

	"keeler/app"
	"keeler/wire"
)

// hives are the ids of the scenario's colonies by their names.
var hives = func() map[string]string {
	out := map[string]string{}
	for _, y := range told.Yards {
		for _, c := range y.Colonies {
			out[c.Name] = c.ID
		}
	}
	return out
}()

// seedJobs writes the jobs of the past, as they were done. Nobody asked for the weather then.
func seedJobs(ctx context.Context, on func(time.Time, ...int) app.Desk) error {
	for _, j := range told.Jobs {
		if err := j.keep(ctx, on); err != nil {
			return fmt.Errorf("%s: %w", j.Save.Name, err)
		}
	}
	return nil
}

// part makes the id of something of a job.
func (j done) part(of ...any) string {
	return uuid.NewSHA1(uuid.MustParse(j.Save.ID), []byte(fmt.Sprint(of...))).String()
}

func at(day string) (time.Time, error) {
	t, err := time.Parse("2006-01-02", day)
	return t.Add(11 * time.Hour), err
}

func (j done) keep(ctx context.Context, on func(time.Time, ...int) app.Desk) error {
	made := on(j.Made, j.Drawn...)
	save := j.Save
	for _, h := range j.Hives {
		save.Colonies = append(save.Colonies, wire.JobColony{ColonyID: hives[h], Day: j.Day})
	}
	if j.Compared != nil {
		groups := j.Compared.Save
		groups.Groups = slices.Clone(groups.Groups)
		for _, h := range j.Hives {
			groups.Groups[0].Colonies = append(groups.Groups[0].Colonies, wire.ComparisonColony{ID: hives[h]})
		}
		if _, err := on(j.Made, j.Compared.Drawn...).SaveComparison(ctx, groups); err != nil {
			return err
		}
	}
	if _, err := made.SaveJob(ctx, save); err != nil {
		return err
	}
	for i, s := range j.Seen {
		_, err := on(j.Made.AddDate(0, 0, 2)).Inspect(ctx, wire.Inspections{Inspections: []wire.Inspection{{
			ID: j.part("seen", i), ColonyID: hives[s.Hive], On: s.On, Brood: s.Brood,
		}}})
		if err != nil {
			return err
		}
	}
	for i, c := range j.Counts {
		then, err := at(c.On)
		if err != nil {
			return err
		}
		var counts []wire.MiteCount
		for hive, mites := range c.Mites {
			counts = append(counts, wire.MiteCount{ID: j.part("count", i, hive), ColonyID: hives[hive], Kind: c.Kind, Mites: mites, Days: c.Days, Bees: c.Bees, On: c.On})
		}
		if _, err := on(then).Count(ctx, wire.MiteCounts{Counts: counts}); err != nil {
			return err
		}
	}
	for i, d := range j.Done {
		then, err := at(d.On)
		if err != nil {
			return err
		}
		var lines []wire.Application
		for _, hive := range d.Hives {
			amount := d.Amount
			if other, is := d.Amounts[hive]; is {
				amount = other
			}
			lines = append(lines, wire.Application{
				ID: j.part("done", i, hive), ColonyID: hives[hive], Kind: d.Kind, BatchID: d.Batch, Amount: amount, Asked: amount, Eggs: d.Eggs,
				ApplicationDetail: wire.ApplicationDetail{Extras: d.Extras, Came: d.Came, AreaCM2: d.Area},
			})
		}
		sent, err := on(then).Apply(ctx, save.ID, d.On, wire.Applications{Applications: lines})
		if err != nil {
			return err
		}
		for _, r := range sent.Results {
			if r.State == "refused" {
				return fmt.Errorf("%s on %s: %s", d.Kind, d.On, r.Text)
			}
		}
	}
	if j.Finished == "" {
		return nil
	}
	then, err := at(j.Finished)
	if err != nil {
		return err
	}
	_, err = on(then).EndJob(ctx, save.ID, wire.EndJob{How: "finished"})
	return err
}
