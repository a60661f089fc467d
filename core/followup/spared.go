package followup

import "keeler/core/calendar"

// treatWithin is within how many days of the counts after a colony that was left untreated
// is treated.
const treatWithin = 14

// Spared is what follows for a colony that a job left untreated to compare: it is counted
// when the treated ones are, and then it is treated. with is what follows for one of those;
// nothing follows before anything was given.
func Spared(c Colony, with []Followup, skipped map[string]string, today calendar.Day) []Followup {
	var out []Followup
	begun, told := calendar.Day(0), Followup{}
	for _, f := range with {
		switch {
		case f.Kind == Visit && f.State == Done && begun == 0:
			begun = f.On
		case f.Kind == BoardRead || f.Kind == Count:
			if f.Kind == Count && f.Way == Dribbled {
				continue // long after: nobody is left untreated until then
			}
			f.On, f.Reason = c.done(f, course{days: []calendar.Day{begun}}), ""
			out, told = append(out, f), f
		}
	}
	if begun == 0 || len(out) == 0 {
		return nil
	}
	treat := Followup{Kind: Treat, N: 1, Job: told.Job, Way: told.Way, From: told.From, By: told.By + treatWithin}
	if told.On != 0 {
		treat.From, treat.By = told.On, min(treat.By, told.On+treatWithin)
	}
	for _, t := range c.Treatments {
		if t.Given >= begun && treat.On == 0 {
			treat.On = t.Given
		}
	}
	out = append(out, treat)
	for i := range out {
		out[i].stands(today, skipped)
	}
	return out
}
