package wire

import (
	"strings"

	"keeler/core/fault"
	"keeler/core/season"
)

// Conditions are what a school or a label asks of colony, day and weather.
type Conditions struct {
	ID         string  `json:"id" doc:"Of a school, or card: and the id of a card."`
	Method     string  `json:"method" enum:"dribble,strip,pad"`
	Name       string  `json:"name,omitempty" doc:"Of a card."`
	MinC       float64 `json:"min_c" doc:"Outside temperature, °C."`
	MaxC       float64 `json:"max_c" doc:"°C."`
	BestLowC   float64 `json:"best_low_c" doc:"°C."`
	BestHighC  float64 `json:"best_high_c" doc:"°C."`
	ByDay      bool    `json:"by_day,omitempty" doc:"Held against the maximum of the day, not each hour."`
	Broodless  bool    `json:"broodless,omitempty" doc:"There must be no sealed brood."`
	DaysInLow  int     `json:"days_in_low,omitempty" doc:"Days in the hive; 0 for what does not stay."`
	DaysInHigh int     `json:"days_in_high,omitempty" doc:"Days."`
}

// Decide is what fits which colony on a day.
type Decide struct {
	Day        string       `json:"day"`
	Conditions []Conditions `json:"conditions" doc:"What each method was held against, in the order of cells; a dribble in the north and the south can differ, then it is the first yard's."`
	Reasons    []Reason     `json:"reasons" doc:"Every reason that occurs, once; cells name them by their place here."`
	Yards      []DecideYard `json:"yards"`
}

// Reason is why a method fits or does not.
type Reason struct {
	Code    string    `json:"code"`
	Verdict string    `json:"verdict" enum:"fits,with_care,look_first,does_not_fit,must_not"`
	Source  string    `json:"source" enum:"inspection,colony,record,forecast" doc:"Where the datum came from."`
	On      string    `json:"on,omitempty" doc:"The day of the datum."`
	Age     int       `json:"age" doc:"Days from then to the day in question; -1 where it has no day."`
	Figures []float64 `json:"figures,omitempty"`
}

// Cell is one method for one colony.
type Cell struct {
	Verdict string `json:"verdict" enum:"fits,with_care,look_first,does_not_fit,must_not"`
	Reasons []int  `json:"reasons" doc:"Places in the list of reasons, the weightiest first."`
}

// DecideYard is a yard with its colonies and its weather.
type DecideYard struct {
	ID       string         `json:"id" format:"uuid"`
	Name     string         `json:"name"`
	Season   string         `json:"season" enum:"winter,spring,early_summer,late_summer,autumn"`
	Over     int            `json:"over" doc:"Colonies over the line: one is enough to treat the whole yard."`
	Forecast bool           `json:"forecast" doc:"Whether anything is known of the weather."`
	Colonies []DecideColony `json:"colonies"`
	Outlooks []Outlook      `json:"outlooks" doc:"By method, in the order of cells."`
}

// DecideColony is a row of the matrix.
type DecideColony struct {
	ID    string    `json:"id" format:"uuid"`
	Name  string    `json:"name"`
	Nuc   bool      `json:"nuc,omitempty"`
	Boxes int       `json:"boxes"`
	Seams *float64  `json:"seams,omitempty" doc:"Full seams as last seen."`
	Need  string    `json:"need" enum:"treat,with_yard,watch,none,count,count_anew"`
	Count *Standing `json:"count,omitempty"`
	Cells []Cell    `json:"cells" doc:"dribble, strip, pad."`
}

// Outlook is the coming days of one yard for one method.
type Outlook struct {
	Days []DayOutlook `json:"days"`
}

// DayOutlook is one day.
type DayOutlook struct {
	Day     string   `json:"day"`
	Known   bool     `json:"known"`
	Cause   string   `json:"cause,omitempty" doc:"Why there is no window: too_cold, too_warm, windy, rainy or heat."`
	LowC    float64  `json:"low_c" doc:"°C in the hours in question."`
	HighC   float64  `json:"high_c" doc:"°C."`
	Windows []Window `json:"windows,omitempty"`
	Takes   int      `json:"takes" doc:"Single hives that the crew gets through in its windows."`
}

// Window is a time in which hives can be opened.
type Window struct {
	From  int     `json:"from" doc:"Hour of the day, 0 to 24."`
	To    int     `json:"to" doc:"Hour of the day, 0 to 24."`
	MeanC float64 `json:"mean_c" doc:"°C."`
	Good  bool    `json:"good,omitempty" doc:"At the best temperature."`
}

// LabelCard is what a keeper copied from the label of the product in hand.
type LabelCard struct {
	ID      string      `json:"id" format:"uuid" doc:"Made by the client."`
	Name    string      `json:"name" maxLength:"80"`
	Method  string      `json:"method" enum:"dribble,strip,pad"`
	Version int         `json:"version,omitempty" doc:"When one is changed: the version that was seen, from 1."`
	Content CardContent `json:"content"`
}

// CardContent is the label itself.
type CardContent struct {
	Contents    string  `json:"contents,omitempty" maxLength:"500" doc:"What is in it, as printed."`
	Preparation string  `json:"preparation,omitempty" maxLength:"500" doc:"Shake, warm, look for sediment…"`
	MinC        float64 `json:"min_c" doc:"Outside temperature, −20 to 40 °C."`
	MaxC        float64 `json:"max_c" doc:"Above min_c, to 40 °C."`
	Broodless   bool    `json:"broodless,omitempty" doc:"Only without sealed brood."`
	Supers      string  `json:"supers" enum:"off,label,allowed" doc:"Supers for harvest: off, not said, or allowed."`
	OutOfHoney  bool    `json:"out_of_honey,omitempty" doc:"Only for colonies that make no honey for people."`
	DaysInLow   int     `json:"days_in_low,omitempty" doc:"Days in the hive at least, 0 to 120."`
	DaysInHigh  int     `json:"days_in_high,omitempty" doc:"Days in the hive at most, days_in_low to 120."`
	Repeats     int     `json:"repeats,omitempty" doc:"Further times, 0 to 20."`
	DaysApart   int     `json:"days_apart,omitempty" doc:"Days between, 0 to 60."`
	Withdrawal  int     `json:"withdrawal_days,omitempty" doc:"Days until honey may be taken, 0 to 365."`

	Dribble *Card        `json:"dribble,omitempty" doc:"For a solution: the table from bees to mL."`
	Rule    *Rule        `json:"rule,omitempty" doc:"For a solution: mL per seam and cap."`
	Strip   *StripNumber `json:"strip,omitempty" doc:"For strips: how many to how many frames of bees, a box or a colony."`
	Pad     *PadCard     `json:"pad,omitempty" doc:"For ready pads."`
	Amount  *PadAmount   `json:"amount,omitempty" doc:"For acid: mL per comb, box or colony."`
}

// LabelCards are all of an operation, and blank ones to begin with.
type LabelCards struct {
	Cards []LabelCard `json:"cards"`
	Blank []LabelCard `json:"blank" doc:"Generic templates: nothing of any product."`
}

// SaveJob makes a job.
type SaveJob struct {
	ID       string      `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Name     string      `json:"name" maxLength:"120"`
	Method   string      `json:"method" enum:"dribble,strip,pad"`
	Under    string      `json:"under" maxLength:"60" doc:"The conditions: id of a school, or card: and the id of a card."`
	RuleKind string      `json:"rule_kind" enum:"label,permit,own" doc:"The rule worked under: a registered product by its label, a prescription or permit, or one's own mixture where that is allowed."`
	Rule     string      `json:"rule,omitempty" maxLength:"200" doc:"The same in words: which permit, which product."`
	People   int         `json:"people,omitempty" doc:"The crew, 1 to 12."`
	Colonies []JobColony `json:"colonies" minItems:"1" maxItems:"1000"`
}

// JobColony is a colony of a job.
type JobColony struct {
	ColonyID string `json:"colony_id" format:"uuid"`
	Day      string `json:"day" doc:"2006-01-02"`
	Override string `json:"override,omitempty" maxLength:"500" doc:"Why it is done although it does not fit; kept."`
	Verdict  string `json:"verdict,omitempty" readOnly:"true" doc:"As it was when the job was made."`
	Against  string `json:"against,omitempty" readOnly:"true" doc:"Codes of what spoke against it."`
	Name     string `json:"name,omitempty" readOnly:"true"`
}

// Job is one treatment of some colonies by one method.
type Job struct {
	SaveJob
	CreatedAt string   `json:"created_at"`
	Days      []JobDay `json:"days"`
}

// JobDay is what a job comes to on one day: it is mixed fresh.
type JobDay struct {
	Day      string  `json:"day"`
	Colonies int     `json:"colonies"`
	Minutes  float64 `json:"minutes" doc:"For the crew at its pace."`
}

// Jobs are the newest.
type Jobs struct {
	Jobs []Job `json:"jobs"`
}

// JobPlan asks to deal colonies out to days.
type JobPlan struct {
	YardID   string   `json:"yard_id" format:"uuid"`
	Under    string   `json:"under" maxLength:"60"`
	Colonies []string `json:"colonies" maxItems:"1000" doc:"Their ids in stand order."`
	People   int      `json:"people" doc:"The crew, 1 to 12."`
	From     string   `json:"from" doc:"The first day, 2006-01-02."`
}

// JobShare is a day of such a plan.
type JobShare struct {
	Day      string   `json:"day"`
	Minutes  float64  `json:"minutes" doc:"For the crew at its pace."`
	Colonies []string `json:"colonies"`
}

// JobShares are all days, and what finds no room.
type JobShares struct {
	Days []JobShare `json:"days"`
	Left []string   `json:"left,omitempty" doc:"For these no window is known."`
}

// JobRecipe is a job's day as it is carried on to mixing.
type JobRecipe struct {
	Place  string `json:"place"`
	Rule   string `json:"rule"`
	Recipe Recipe `json:"recipe"`
}

// CardPrefix stands before the id of a card where a school could be named.
const CardPrefix = "card:"

// CoreConditions are what a card asks, as core judges by them; a fault.List when
// they cannot be.
func (c LabelCard) CoreConditions() (season.Conditions, error) {
	base, _ := season.School(map[string]string{"dribble": "winter", "strip": "strips", "pad": "formic"}[c.Method])
	k := c.Content
	out := base
	out.ID, out.Method = CardPrefix+c.ID, season.Method(c.Method)
	out.Broodless, out.Supers, out.OutOfHoney = k.Broodless, season.Supers(k.Supers), k.OutOfHoney
	out.MinC, out.MaxC, out.BestLowC, out.BestHighC = k.MinC, k.MaxC, k.MinC, k.MaxC
	out.DaysInLow, out.DaysInHigh = k.DaysInLow, k.DaysInHigh
	out.HarmC = 0 // the label's range is its own
	if out.Method == season.Pad {
		out.HarmC = k.MaxC
	}
	return out, out.Check()
}

// Check names what is wrong with a card.
func (c LabelCard) Check() error {
	var l fault.List
	if strings.TrimSpace(c.Name) == "" {
		l.Add("name", fault.Missing)
	}
	_, err := c.CoreConditions()
	if of, ok := err.(fault.List); ok {
		for _, f := range of {
			f.Field = "content." + f.Field
			l = append(l, f)
		}
	}
	l.Within("content.repeats", float64(c.Content.Repeats), 0, 20, "times")
	l.Within("content.days_apart", float64(c.Content.DaysApart), 0, 60, "days")
	l.Within("content.withdrawal_days", float64(c.Content.Withdrawal), 0, 365, "days")
	c.checkDose(&l)
	return l.Err()
}

// doses are where each part of a card's dose lies in a recipe that is made of it.
var doses = []struct{ recipe, card string }{
	{"dribble.hold.card.", "content.dribble."}, {"dribble.rule.", "content.rule."}, {"strip.number.", "content.strip."},
	{"pad.hold.card.", "content.pad."}, {"pad.amount.", "content.amount."},
}

// checkDose works a recipe out of the card for one hive, as it would be on the
// bench, and tells what is wrong at the place on the card.
func (c LabelCard) checkDose(l *fault.List) {
	seams := []float64{0, 1, 1, 1, 1, 1, 0}
	one := []Colony{{Name: "1", Boxes: []Box{{Kind: "deep", Frames: 6, Seams: seams}}}}
	_, err := RecipeOf(c.Method, one, &c).Work()
	of, _ := err.(fault.List)
	for _, f := range of {
		for _, d := range doses {
			if rest, here := strings.CutPrefix(f.Field, d.recipe); here {
				f.Field = d.card + rest
				*l = append(*l, f)
			}
		}
	}
}

// BlankCards are generic templates, one for each kind of product.
func BlankCards() []LabelCard {
	return []LabelCard{
		{Name: "Ready solution", Method: "dribble", Content: CardContent{MinC: 0, MaxC: 10, Broodless: true, Supers: "off", Rule: &Rule{}}},
		{Name: "Strips", Method: "strip", Content: CardContent{MinC: 10, MaxC: 35, Supers: "label", DaysInLow: 42, DaysInHigh: 56, Strip: &StripNumber{By: "bees"}}},
		{Name: "Ready pads", Method: "pad", Content: CardContent{MinC: 10, MaxC: 29, Supers: "off", DaysInLow: 10, DaysInHigh: 14, Pad: &PadCard{Per: "colony", Each: 2, From: "above", Visits: 1}}},
		{Name: "Formic acid", Method: "pad", Content: CardContent{MinC: 10, MaxC: 29, Supers: "off", Repeats: 3, DaysApart: 5, Amount: &PadAmount{Per: "comb", ML: 2, From: "above", Visits: 4}}},
	}
}

// WriteConditions puts conditions into their answer.
func WriteConditions(c season.Conditions) Conditions {
	return Conditions{
		ID: c.ID, Method: string(c.Method), MinC: c.MinC, MaxC: c.MaxC, BestLowC: c.BestLowC, BestHighC: c.BestHighC,
		ByDay: c.ByDay, Broodless: c.Broodless, DaysInLow: c.DaysInLow, DaysInHigh: c.DaysInHigh,
	}
}

// Schools of one method, as conditions.
func SeasonSchools(method string) []Conditions {
	var out []Conditions
	for _, s := range season.Schools {
		if method == "" || string(s.Method) == method {
			out = append(out, WriteConditions(s))
		}
	}
	return out
}
