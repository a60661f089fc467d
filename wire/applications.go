package wire

import (
	"encoding/json"
	"strings"
	"time"
)

// Application is what was done at one colony: a line of the register.
type Application struct {
	ID       string  `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	ColonyID string  `json:"colony_id" format:"uuid"`
	YardID   string  `json:"yard_id,omitempty" format:"uuid" doc:"Where it stood; where it stands when left out."`
	Kind     string  `json:"kind" enum:"given,skipped,out,other,board,moved,weighed,checked" doc:"Out: strips or pads taken out. Other: given outside a job, recorded only. Board: a clean one put in. Moved: strips or sponges moved along, or seen to hang well. Weighed: a bottle or pad. Checked: looked for the queen and eggs."`
	Reason   string  `json:"reason,omitempty" maxLength:"20" doc:"Why it is other than was meant, from reasons; or taken_back for a slip. Needed for skipped."`
	BatchID  string  `json:"batch_id,omitempty" format:"uuid" doc:"What it was given from."`
	Amount   float64 `json:"amount,omitempty" doc:"Given, in mL or pieces as its unit says; of weighed, g."`
	Asked    float64 `json:"asked,omitempty" doc:"What was meant, in the same unit."`
	Extra    bool    `json:"extra,omitempty" doc:"Of given: a strip or sponge replaced, a bottle topped up. It is no visit of its course."`
	Eggs     *bool   `json:"eggs,omitempty" doc:"Of checked: seen, or looked for and not seen; left out when not looked for."`
	ApplicationDetail
	Keeping string     `json:"keeping,omitempty" enum:"room,fridge,sealed,closed" doc:"With by_hand: how the batch is kept, which gives its last good day; the way that keeps it shortest when left out."`
	OpenS   float64    `json:"open_s,omitempty" doc:"How long the hive stood open, s; over 4 hours it is flagged."`
	AgoS    float64    `json:"ago_s,omitempty" doc:"How long ago it happened when it is sent, s: what waited on a phone without signal."`
	PhoneAt *time.Time `json:"phone_at,omitempty" doc:"What the phone's clock said then; only to tell when that clock is wrong."`
	GivenOn string     `json:"given_on,omitempty" maxLength:"16" doc:"Where it is entered afterwards: when it happened, 2006-01-02T15:04 where the yards are, not in the future."`
	Giver   string     `json:"giver,omitempty" maxLength:"80" doc:"Who gave it: the name of a member, or of anybody else; the sender when left out."`

	Amends      string    `json:"amends,omitempty" readOnly:"true" doc:"The line that this one corrects."`
	JobID       string    `json:"job_id,omitempty" readOnly:"true"`
	Day         string    `json:"day,omitempty" readOnly:"true" doc:"On which it happened, where the yards are."`
	PlannedFor  string    `json:"planned_for,omitempty" readOnly:"true" doc:"The day of its round, where it happened on another."`
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
	Withdrawal  *int      `json:"withdrawal_days,omitempty" readOnly:"true" doc:"Left out: not stated."`
	Override    string    `json:"override_reason,omitempty" readOnly:"true" doc:"Why it was done although it did not fit."`
	Flags       []string  `json:"flags,omitempty" readOnly:"true" doc:"What should be looked at: twice, again, not_in_job, moved, ended, clock, open_long, no_batch, not_made, too_much, too_strong, past_day, formic_much, batch_wrong, batch_void, more_out, none_in, rose."`
	FlagWords   []string  `json:"flags_in_words,omitempty" readOnly:"true"`
	ReasonWords string    `json:"reason_in_words,omitempty" readOnly:"true"`
	GivenAt     time.Time `json:"given_at,omitzero" readOnly:"true" doc:"By the clock of the work."`
	By          string    `json:"by,omitempty" readOnly:"true" doc:"Who gave it."`
	RecordedBy  string    `json:"recorded_by,omitempty" readOnly:"true" doc:"Who wrote it first."`
	RecordedAt  time.Time `json:"recorded_at,omitzero" readOnly:"true" doc:"When, by the clock of the work."`
	ChangedBy   string    `json:"changed_by,omitempty" readOnly:"true" doc:"Of an amendment: who made it."`
	ChangedAt   time.Time `json:"changed_at,omitzero" readOnly:"true" doc:"And when."`
	ChangeWhy   string    `json:"change_reason,omitempty" maxLength:"300" doc:"And why."`
	Entered     string    `json:"entered,omitempty" readOnly:"true" enum:"afterwards,import" doc:"How it came in, when not as it was done."`
	EnteredFrom string    `json:"entered_from,omitempty" readOnly:"true" doc:"Of an import: its file."`
	Changes     []Change  `json:"changes,omitempty" readOnly:"true" doc:"What was amended, back to what was written first; the newest first."`
}

// Change is one amendment of a line.
type Change struct {
	At   time.Time `json:"at"`
	By   string    `json:"by"`
	Why  string    `json:"why,omitempty"`
	What []string  `json:"what" doc:"In words: what stood there, and what stands there now."`
}

// Correction puts a line of the register right. What is left out stays as it is; what follows from
// the line is worked out anew, and the old line can still be read.
type Correction struct {
	ID       string   `json:"id" format:"uuid" doc:"Of the line that stands from now on, made by the client; counts once."`
	Why      string   `json:"why" minLength:"1" maxLength:"300"`
	ColonyID string   `json:"colony_id,omitempty" format:"uuid"`
	GivenOn  string   `json:"given_on,omitempty" maxLength:"16" doc:"When it happened, 2006-01-02T15:04 where the yards are, not in the future."`
	Amount   *float64 `json:"amount,omitempty" doc:"In the line's own unit."`
	BatchID  *string  `json:"batch_id,omitempty" doc:"What it was given from; empty: from no batch."`
	Giver    string   `json:"giver,omitempty" maxLength:"80" doc:"Who gave it: the name of a member, or of anybody else."`
	Method   string   `json:"method,omitempty" enum:"dribble,strip,pad,vapour,other" doc:"Another than that of its job takes the line out of the job: it is recorded only."`
	Product  *string  `json:"product,omitempty" maxLength:"120"`
	Came     *int     `json:"came,omitempty" doc:"Of out: pieces that came out."`
	Missing  *int     `json:"missing,omitempty" doc:"Of out: pieces that were not found."`
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

// OtherColony is a colony that it was given to.
type OtherColony struct {
	ID       string `json:"id" format:"uuid" doc:"Of the line, made by the client; counts once."`
	ColonyID string `json:"colony_id" format:"uuid"`
}

// OtherTreatment is given outside a job: recorded only, so that exposures add up.
type OtherTreatment struct {
	Colonies   []OtherColony `json:"colonies" minItems:"1" maxItems:"1000"`
	Method     string        `json:"method" enum:"dribble,strip,pad,vapour,other"`
	Product    string        `json:"product" maxLength:"120" doc:"What it was, in the keeper's words."`
	GivenOn    string        `json:"given_on" doc:"2006-01-02."`
	Amount     float64       `json:"amount,omitempty" doc:"For each colony, in unit."`
	Unit       string        `json:"unit,omitempty" enum:"ml,g,pieces"`
	Rule       string        `json:"rule_worked_under,omitempty" maxLength:"200"`
	Withdrawal *int          `json:"withdrawal_days,omitempty" doc:"0 to 365 days; left out: not stated."`
	Giver      string        `json:"giver,omitempty" maxLength:"80" doc:"Who gave it: the name of a member, or of anybody else; left out: the sender."`
	Lot        string        `json:"lot,omitempty" maxLength:"80" doc:"The lot number of the product."`
	TreatedFor string        `json:"treated_for,omitempty" maxLength:"200" doc:"The reason for treating."`
	Note       string        `json:"note,omitempty" maxLength:"500"`
}

// Register is a page of the medicine record.
type Register struct {
	Lines []Application `json:"lines"`
	More  string        `json:"more,omitempty" doc:"Where the next page begins, for after; left out on the last."`
}

// ApplicationDetail is what of a line is kept as it was told.
type ApplicationDetail struct {
	ByHand  bool        `json:"by_hand,omitempty" doc:"The batch was mixed without the bench: said once, it stays with the batch and the line."`
	Against string      `json:"against,omitempty" maxLength:"300" doc:"Why it was given although the round stopped at this hive; kept."`
	Boxes   []float64   `json:"boxes,omitempty" maxItems:"6" doc:"The amount by boxes, the lowest first."`
	Seams   [][]float64 `json:"seams,omitempty" maxItems:"6" doc:"Bees in the gaps of each box, 0 to 1, as seen at the hive."`
	Gaps    [][]int     `json:"gaps,omitempty" maxItems:"6" doc:"Of strips or sponges given or moved: the gaps that they are in, by boxes, the lowest first; a gap counts from 0."`
	Extras  []string    `json:"extras,omitempty" maxItems:"12" doc:"What else was done on the visit, from extras."`
	Came    int         `json:"came,omitempty" doc:"Of out: pieces that came out."`
	Missing int         `json:"missing,omitempty" doc:"Of out: pieces that were not found."`
	Chewed  int         `json:"chewed,omitempty" doc:"Of out: pieces of those that were chewed away or nearly so."`
	Dead    string      `json:"dead,omitempty" enum:"none,few,many" doc:"Of checked: dead bees at the entrance."`
	Read    bool        `json:"read,omitempty" doc:"Of weighed: the amount is mL read off the bottle, not g on a balance."`
	AreaCM2 float64     `json:"area_cm2,omitempty" doc:"Of weighed: how much of the wick is left open from now on, cm²; 0 to 2000."`
	AirC    *float64    `json:"air_c,omitempty" readOnly:"true" doc:"Of given: °C outside at that hour, by the forecast; left out where nobody knew."`
	HighC   *float64    `json:"high_c,omitempty" readOnly:"true" doc:"Of given: the highest of that day, °C."`
	Note    string      `json:"note,omitempty" maxLength:"500"`
	Lot     string      `json:"lot,omitempty" readOnly:"true" doc:"Of a product that Keeler keeps no account of: its lot number."`
	For     string      `json:"treated_for,omitempty" readOnly:"true" doc:"The reason for treating, where it was told."`
	Close   bool        `json:"close,omitempty" doc:"Of a colony found dead: it is closed with this."`
}

// Kept writes the detail of a line.
func (d ApplicationDetail) Kept() ([]byte, error) {
	d.Against, d.Note = strings.TrimSpace(d.Against), strings.TrimSpace(d.Note)
	return json.Marshal(d)
}

// ApplicationOf puts the detail back into a line; one that cannot be read is left out.
func ApplicationOf(raw []byte, a Application) Application {
	_ = json.Unmarshal(raw, &a.ApplicationDetail)
	return a
}
