package wire

import (
	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/words"
)

// Sent is what became of all, and what of the round changes by it.
type Sent struct {
	Results []Applied    `json:"results"`
	Batches []VisitBatch `json:"batches" doc:"As in the round; of a removal none."`
	Visited
}

// Visited is what was written of a round.
type Visited struct {
	Records []Application `json:"records" doc:"What stands of the day, in the order in which it was written."`
	Newest  uint64        `json:"newest" doc:"Grows with whatever is written of the day: an answer with less is an older one."`
}

// VisitColony is a colony of a round, as it was last seen.
type VisitColony struct {
	ID        string  `json:"id"`
	YardID    string  `json:"yard_id"`
	Yard      string  `json:"yard"`
	Hive      Colony  `json:"hive" doc:"Its boxes with the seams as last seen."`
	Override  string  `json:"override_reason,omitempty" doc:"Why it is in the job although it did not fit."`
	InHive    int     `json:"in_hive,omitempty" doc:"Strips or pads that the register says are in it."`
	DaysIn    int     `json:"days_in,omitempty" doc:"And for how many days."`
	Gaps      [][]int `json:"gaps,omitempty" doc:"Where they were put, by boxes, the lowest first; a gap counts from 0."`
	GapsOn    string  `json:"gaps_on,omitempty" doc:"And when; boxes may have changed since."`
	WeightG   float64 `json:"weight_g,omitempty" doc:"What its bottle or pad weighed last."`
	ReadML    float64 `json:"read_ml,omitempty" doc:"Or what was read off it last."`
	WeighedOn string  `json:"weighed_on,omitempty"`
	Early     int     `json:"early_days,omitempty" doc:"So many days before they are to come out: taking them out is asked about."`
	Stop      []Stop  `json:"stop,omitempty" doc:"What to stop at before anything is given: it is given only with a reason."`
}

// Stop is a dose of the same acid that bees had not long ago or on the same day, or another
// open job that they are in.
type Stop struct {
	Code   string `json:"code" enum:"same_day,given_already,in_job"`
	On     string `json:"on"`
	Method string `json:"method" enum:"dribble,strip,pad,vapour"`
	Job    string `json:"job,omitempty" doc:"Its name."`
	What   string `json:"what,omitempty"`
}

// VisitBatch is what can be given from.
type VisitBatch struct {
	ID           string  `json:"id"`
	Number       int     `json:"number"`
	Name         string  `json:"name"`
	GPerL        float64 `json:"g_per_l,omitempty" doc:"Of a syrup."`
	OADMg        float64 `json:"oad_mg" doc:"mg in 1 mL or piece."`
	FormicMg     float64 `json:"formic_mg" doc:"mg in 1 mL or piece."`
	BicarbonateG float64 `json:"bicarbonate_g,omitempty" doc:"That takes up the acid in what is left, g."`
	OnHand       OnHand  `json:"on_hand"`
	TooStrong    bool    `json:"too_strong,omitempty" doc:"It holds more acid for a seam, or in a piece, than the recipe of the job means: its doses will be flagged."`
	Base         *Recipe `json:"base,omitempty" doc:"Its own plan, by which the round doses from it; the job's where it has none."`
	Made         bool    `json:"made" doc:"It was finished at the bench, or said to be mixed without it. Of any other nothing is poured without saying so."`
}

// Visit is a day of a job in the yard: all that a phone needs to go through it, with
// signal or without.
type Visit struct {
	JobID    string        `json:"job_id"`
	Name     string        `json:"name"`
	Method   string        `json:"method" enum:"dribble,strip,pad"`
	Day      string        `json:"day" doc:"That it was planned for, or that it goes on."`
	Planned  bool          `json:"planned,omitempty" doc:"The job planned that day."`
	Today    string        `json:"today" doc:"On which its lines are recorded: today, or the earlier day that was asked for."`
	Rule     string        `json:"rule_worked_under"`
	CapML    float64       `json:"cap_ml,omitempty" doc:"Of a dribble: at most for a colony."`
	MeantMg  float64       `json:"meant_mg" doc:"mg of acid that were meant in 1 mL or piece; 0 where nobody can say."`
	Act      string        `json:"act" enum:"give,out,move,weigh,check,board" doc:"What it goes out for: a dose, what is in comes out, strips or sponges are moved along, bottles are weighed, eggs and the queen are looked for, clean boards go in."`
	Next     bool          `json:"next,omitempty" doc:"It is a later dose of a course, on a day that was not planned with the job."`
	Swaps    bool          `json:"swaps,omitempty" doc:"What is given takes the place of what is in."`
	Base     Recipe        `json:"base" doc:"The recipe without colonies: with one of them it is what that colony gets."`
	Colonies []VisitColony `json:"colonies" doc:"In stand order, yard by yard."`
	Batches  []VisitBatch  `json:"batches" doc:"The newest first."`
	Visited
	Season  string       `json:"season"`
	Extras  []string     `json:"extras" doc:"What is ticked on this operation's visits in this season."`
	All     VisitChoices `json:"all"`
	Gear    []string     `json:"gear" doc:"To be worn in the yard."`
	DueOut  string       `json:"due_out,omitempty" doc:"Of strips and pads: from when they come out."`
	DueLast string       `json:"due_last,omitempty" doc:"And by when at the latest."`
}

// VisitChoices is all that there is to choose from.
type VisitChoices struct {
	Reasons  []string          `json:"reasons"`
	Skipping []string          `json:"skipping" doc:"Those of the reasons that mean that nothing was given."`
	Extras   []string          `json:"extras"`
	Words    map[string]string `json:"words" doc:"Reasons and extras in words, by code."`
}

// Choices are core's.
func Choices() VisitChoices {
	return VisitChoices{Reasons: treatment.Reasons, Skipping: treatment.Skipping, Extras: treatment.Extras, Words: words.Choices()}
}

// VisitExtras chooses what is ticked on visits in a season.
type VisitExtras struct {
	Season string   `json:"season" enum:"winter,spring,early_summer,late_summer,autumn"`
	Extras []string `json:"extras" maxItems:"12"`
}

// Giving is what a round has to know of a recipe.
type Giving struct {
	Dosing
	MeantMg float64 // of acid in 1 mL or piece; 0 where nobody can say
	Unit    string
	Gear    []string
}

// Dosing is how a recipe is shared out by seams, mL; 0 where nothing says it.
type Dosing struct{ SeamML, CapML float64 }

// Dosing tells it; nothing of what cannot be read.
func (r Recipe) Dosing() Dosing {
	of, err := r.Core()
	if err != nil {
		return Dosing{}
	}
	return dosingOf(of)
}

func dosingOf(of method.Recipe) Dosing {
	d := of.Dosing()
	return Dosing{SeamML: round(d.Seam), CapML: round(d.Cap)}
}

// Amount is how much of its own, mL or pieces, a recipe means where something else was given
// of another strength: by the seams where it goes by them. A part of what was asked for
// is meant to hold a part of it.
func (g Giving) Amount(given, asked, seams float64) float64 {
	if g.SeamML == 0 || seams == 0 || asked == 0 {
		return given
	}
	meant := seams * g.SeamML
	if g.CapML > 0 {
		meant = min(meant, g.CapML)
	}
	return meant * given / asked
}

// Meant is the acid that is meant in 1 mL or piece, mg, of what is shared out otherwise:
// what this recipe means for a seam, spread over the mL that the other gives to one.
func (g Giving) Meant(by Dosing) float64 {
	if g.SeamML == 0 || by.SeamML == 0 {
		return g.MeantMg
	}
	return g.MeantMg * g.SeamML / by.SeamML
}

// Giving tells it; what cannot be worked out is left out.
func (r Recipe) Giving() Giving {
	of, err := r.Core()
	if err != nil {
		return Giving{Unit: method.Millilitres}
	}
	out := Giving{Dosing: dosingOf(of), Unit: of.Unit(), Gear: gear(of.GiveGear())}
	if p, err := of.Plain().Plan(); err == nil {
		out.MeantMg = round(p.Meant())
	}
	return out
}

// LastsRequest asks how far what is left in a jar goes.
type LastsRequest struct {
	Left     float64   `json:"left" doc:"mL or pieces, 0 to 10000000."`
	Expected []float64 `json:"expected" maxItems:"1000" doc:"For the colonies to come, in their order, each 0 to 10000000."`
}

// Lasts tells how far what is left goes.
func Lasts(r LastsRequest) (treatment.Lasting, error) {
	out, err := treatment.Lasts(r.Left, r.Expected)
	out.Short, out.Over = round(out.Short), round(out.Over)
	return out, err
}
