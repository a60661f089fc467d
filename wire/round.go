package wire

import (
	"encoding/json"
	"strings"
	"time"

	"keeler/core/method"
	"keeler/core/treatment"
	"keeler/words"
)

// Application is what was done at one colony: a line of the register.
type Application struct {
	ID       string      `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	ColonyID string      `json:"colony_id" format:"uuid"`
	YardID   string      `json:"yard_id,omitempty" format:"uuid" doc:"Where it stood; where it stands when left out."`
	Kind     string      `json:"kind" enum:"given,skipped,out,other" doc:"Out: strips or pads taken out. Other: given outside a job, recorded only."`
	Reason   string      `json:"reason,omitempty" maxLength:"20" doc:"Why it is other than was meant, from reasons; or taken_back for a slip. Needed for skipped."`
	BatchID  string      `json:"batch_id,omitempty" format:"uuid" doc:"What it was given from."`
	ByHand   bool        `json:"by_hand,omitempty" doc:"The batch was mixed without the bench: said once, it stays with the batch and the line."`
	Against  string      `json:"against,omitempty" maxLength:"300" doc:"Why it was given although the round stopped at this hive; kept."`
	Amount   float64     `json:"amount,omitempty" doc:"Given, in mL or pieces as its unit says."`
	Asked    float64     `json:"asked,omitempty" doc:"What was meant, in the same unit."`
	Boxes    []float64   `json:"boxes,omitempty" maxItems:"6" doc:"The amount by boxes, the lowest first."`
	Seams    [][]float64 `json:"seams,omitempty" maxItems:"6" doc:"Bees in the gaps of each box, 0 to 1, as seen at the hive."`
	Extras   []string    `json:"extras,omitempty" maxItems:"12" doc:"What else was done on the visit, from extras."`
	Came     int         `json:"came,omitempty" doc:"Of out: pieces that came out."`
	Missing  int         `json:"missing,omitempty" doc:"Of out: pieces that were not found."`
	Chewed   int         `json:"chewed,omitempty" doc:"Of out: pieces of those that were chewed away or nearly so."`
	Note     string      `json:"note,omitempty" maxLength:"500"`
	Close    bool        `json:"close,omitempty" doc:"Of a colony found dead: it is closed with this."`
	OpenS    float64     `json:"open_s,omitempty" doc:"How long the hive stood open, s, up to 4 hours."`
	AgoS     float64     `json:"ago_s,omitempty" doc:"How long ago it happened when it is sent, s: what waited on a phone without signal."`
	PhoneAt  *time.Time  `json:"phone_at,omitempty" doc:"What the phone's clock said then; only to tell when that clock is wrong."`

	Amends      string    `json:"amends,omitempty" readOnly:"true" doc:"The line that this one corrects."`
	JobID       string    `json:"job_id,omitempty" readOnly:"true"`
	Day         string    `json:"day,omitempty" readOnly:"true"`
	Colony      string    `json:"colony,omitempty" readOnly:"true"`
	Yard        string    `json:"yard,omitempty" readOnly:"true"`
	Method      string    `json:"method,omitempty" readOnly:"true" enum:"dribble,strip,pad,vapour,other"`
	Product     string    `json:"product,omitempty" readOnly:"true"`
	BatchNumber int       `json:"batch_number,omitempty" readOnly:"true"`
	Lots        []string  `json:"lots,omitempty" readOnly:"true" doc:"What the batch was mixed from."`
	Unit        string    `json:"unit,omitempty" readOnly:"true" enum:"ml,g,pieces"`
	OADMg       float64   `json:"oad_mg,omitempty" readOnly:"true" doc:"mg oxalic acid dihydrate in it."`
	FormicMg    float64   `json:"formic_mg,omitempty" readOnly:"true" doc:"mg formic acid in it."`
	Rule        string    `json:"rule_worked_under,omitempty" readOnly:"true"`
	Withdrawal  int       `json:"withdrawal_days,omitempty" readOnly:"true"`
	Override    string    `json:"override_reason,omitempty" readOnly:"true" doc:"Why it was done although it did not fit."`
	Flags       []string  `json:"flags,omitempty" readOnly:"true" doc:"What should be looked at: twice, again, not_in_job, moved, ended, clock, no_batch, not_made, too_much, too_strong, past_day."`
	FlagWords   []string  `json:"flags_in_words,omitempty" readOnly:"true"`
	ReasonWords string    `json:"reason_in_words,omitempty" readOnly:"true"`
	GivenAt     time.Time `json:"given_at,omitzero" readOnly:"true" doc:"By the clock of the work."`
	By          string    `json:"by,omitempty" readOnly:"true"`
}

// Applications are sent together: what a phone has gathered.
type Applications struct {
	Applications []Application `json:"applications" maxItems:"500" doc:"In the order in which they happened."`
}

// Applied says what became of one of them.
type Applied struct {
	ID    string `json:"id"`
	State string `json:"state" enum:"saved,again,refused" doc:"Again: it was there already. Refused: it cannot be; it stays on the phone."`
	Text  string `json:"text,omitempty" doc:"Why it is refused."`
}

// Sent is what became of all, and what of the round changes by it.
type Sent struct {
	Results []Applied     `json:"results"`
	Records []Application `json:"records" doc:"What stands of the day, as in the round."`
	Batches []RoundBatch  `json:"batches" doc:"As in the round; of a removal none."`
}

// RoundColony is a colony of a round, as it was last seen.
type RoundColony struct {
	ID       string `json:"id"`
	YardID   string `json:"yard_id"`
	Yard     string `json:"yard"`
	Hive     Colony `json:"hive" doc:"Its boxes with the seams as last seen."`
	SeenOn   string `json:"seen_on,omitempty" doc:"When its seams were seen."`
	Override string `json:"override_reason,omitempty" doc:"Why it is in the job although it did not fit."`
	InHive   int    `json:"in_hive,omitempty" doc:"Strips or pads that the register says are in it."`
	DaysIn   int    `json:"days_in,omitempty" doc:"And for how many days."`
	Early    int    `json:"early_days,omitempty" doc:"So many days before they are to come out: taking them out is asked about."`
	Stop     []Stop `json:"stop,omitempty" doc:"What to stop at before anything is given: it is given only with a reason."`
}

// Stop is a dose of the same acid that bees had not long ago, or another open job that
// they are in.
type Stop struct {
	Code   string  `json:"code" enum:"given_already,in_job"`
	On     string  `json:"on"`
	Method string  `json:"method" enum:"dribble,strip,pad,vapour"`
	Job    string  `json:"job,omitempty" doc:"Its name."`
	What   string  `json:"what,omitempty"`
	Amount float64 `json:"amount,omitempty"`
	Unit   string  `json:"unit,omitempty" enum:"ml,g,pieces"`
}

// RoundBatch is what can be given from.
type RoundBatch struct {
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

// RoundDay is a day of a job in the yard: all that a phone needs to go through it, with
// signal or without.
type RoundDay struct {
	JobID    string        `json:"job_id"`
	Name     string        `json:"name"`
	Method   string        `json:"method" enum:"dribble,strip,pad"`
	Day      string        `json:"day"`
	Rule     string        `json:"rule_worked_under"`
	CapML    float64       `json:"cap_ml,omitempty" doc:"Of a dribble: at most for a colony."`
	MeantMg  float64       `json:"meant_mg" doc:"mg of acid that were meant in 1 mL or piece; 0 where nobody can say."`
	Out      bool          `json:"out,omitempty" doc:"It is a removal: what is in comes out, nothing is given."`
	Base     Recipe        `json:"base" doc:"The recipe without colonies: with one of them it is what that colony gets."`
	Colonies []RoundColony `json:"colonies" doc:"In stand order, yard by yard."`
	Batches  []RoundBatch  `json:"batches" doc:"The newest first."`
	Records  []Application `json:"records" doc:"What stands of the day, in the order in which it was written."`
	Season   string        `json:"season"`
	Extras   []string      `json:"extras" doc:"What is ticked on this operation's visits in this season."`
	All      RoundChoices  `json:"all"`
	Gear     []string      `json:"gear" doc:"To be worn in the yard."`
	DueOut   string        `json:"due_out,omitempty" doc:"Of strips and pads: from when they come out."`
	DueLast  string        `json:"due_last,omitempty" doc:"And by when at the latest."`
}

// RoundChoices is all that there is to choose from.
type RoundChoices struct {
	Reasons  []string          `json:"reasons"`
	Skipping []string          `json:"skipping" doc:"Those of the reasons that mean that nothing was given."`
	Extras   []string          `json:"extras"`
	Words    map[string]string `json:"words" doc:"Reasons and extras in words, by code."`
}

// Choices are core's.
func Choices() RoundChoices {
	return RoundChoices{Reasons: treatment.Reasons, Skipping: treatment.Skipping, Extras: treatment.Extras, Words: words.Choices()}
}

// VisitExtras chooses what is ticked on visits in a season.
type VisitExtras struct {
	Season string   `json:"season" enum:"winter,spring,early_summer,late_summer,autumn"`
	Extras []string `json:"extras" maxItems:"12"`
}

// OtherTreatment is given outside a job: recorded only, so that exposures add up.
type OtherTreatment struct {
	Colonies []struct {
		ID       string `json:"id" format:"uuid" doc:"Of the line, made by the client; counts once."`
		ColonyID string `json:"colony_id" format:"uuid"`
	} `json:"colonies" minItems:"1" maxItems:"1000"`
	Method     string  `json:"method" enum:"dribble,strip,pad,vapour,other"`
	Product    string  `json:"product" maxLength:"120" doc:"What it was, in the keeper's words."`
	GivenOn    string  `json:"given_on" doc:"2006-01-02."`
	Amount     float64 `json:"amount,omitempty" doc:"For each colony, in unit."`
	Unit       string  `json:"unit,omitempty" enum:"ml,g,pieces"`
	Rule       string  `json:"rule_worked_under,omitempty" maxLength:"200"`
	Withdrawal int     `json:"withdrawal_days,omitempty" doc:"0 to 365 days."`
	Note       string  `json:"note,omitempty" maxLength:"500"`
}

// Register is a page of the medicine record.
type Register struct {
	Lines []Application `json:"lines"`
	More  string        `json:"more,omitempty" doc:"Where the next page begins, for after; left out on the last."`
}

// detail is what of a line is kept as it was told.
type detail struct {
	ByHand  bool        `json:"by_hand,omitempty"`
	Against string      `json:"against,omitempty"`
	Boxes   []float64   `json:"boxes,omitempty"`
	Seams   [][]float64 `json:"seams,omitempty"`
	Extras  []string    `json:"extras,omitempty"`
	Came    int         `json:"came,omitempty"`
	Missing int         `json:"missing,omitempty"`
	Chewed  int         `json:"chewed,omitempty"`
	Note    string      `json:"note,omitempty"`
	Close   bool        `json:"close,omitempty"`
}

// DetailOf writes the detail of a line.
func DetailOf(a Application) ([]byte, error) {
	return json.Marshal(detail{a.ByHand, strings.TrimSpace(a.Against), a.Boxes, a.Seams, a.Extras, a.Came, a.Missing, a.Chewed, strings.TrimSpace(a.Note), a.Close})
}

// ApplicationOf puts the detail back into a line; one that cannot be read is left out.
func ApplicationOf(raw []byte, a Application) Application {
	var d detail
	if err := json.Unmarshal(raw, &d); err != nil {
		return a
	}
	a.ByHand, a.Against, a.Close = d.ByHand, d.Against, d.Close
	a.Boxes, a.Seams, a.Extras, a.Came, a.Missing, a.Chewed, a.Note = d.Boxes, d.Seams, d.Extras, d.Came, d.Missing, d.Chewed, d.Note
	return a
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
	Expected []float64 `json:"expected" doc:"For the colonies to come, in their order, each 0 to 10000000."`
}

// Lasts tells how far what is left goes.
func Lasts(r LastsRequest) (treatment.Lasting, error) {
	out, err := treatment.Lasts(r.Left, r.Expected)
	out.Short, out.Over = round(out.Short), round(out.Over)
	return out, err
}
