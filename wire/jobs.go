package wire

// SaveJob makes a job.
type SaveJob struct {
	ID       string      `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Name     string      `json:"name" maxLength:"120"`
	Method   string      `json:"method" enum:"dribble,strip,pad"`
	Under    string      `json:"under" maxLength:"60" doc:"The conditions: id of a protocol, or card: and the id of a card."`
	RuleKind string      `json:"rule_kind" enum:"label,permit,own" doc:"The rule worked under: a registered product by its label, a prescription or permit, or one's own mixture where that is allowed."`
	Rule     string      `json:"rule,omitempty" maxLength:"200" doc:"The same in words: which permit, which product."`
	People   int         `json:"people,omitempty" doc:"The crew, 1 to 12."`
	Colonies []JobColony `json:"colonies" minItems:"1" maxItems:"1000"`
	Controls int         `json:"controls,omitempty" doc:"So many of them are left untreated to compare: drawn by chance from those with like counts, 0 to half of them."`
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
	Open      bool     `json:"open,omitempty" doc:"Neither finished nor cancelled, nor so long past its days that nobody will."`
	Untreated []string `json:"untreated,omitempty" doc:"Names of the colonies that were drawn to compare."`
	EndedOn   string   `json:"ended_on,omitempty"`
	EndedHow  string   `json:"ended_how,omitempty" enum:"finished,cancelled"`
	Archived  bool     `json:"archived,omitempty" doc:"It is put away: lists of what there is to do leave it out."`
	In        int      `json:"in,omitempty" doc:"Colonies that have something of it in them."`
	DueOut    string   `json:"due_out,omitempty" doc:"Of strips and pads in: from when the first come out."`
	DueLast   string   `json:"due_last,omitempty" doc:"And by when at the latest."`
}

// EndJob closes a job.
type EndJob struct {
	How string `json:"how" enum:"finished,cancelled"`
}

// ArchiveJob puts a job away that is over, or takes it out again.
type ArchiveJob struct {
	Archived bool `json:"archived"`
}

// JobDay is what a job comes to on one day: it is mixed fresh.
type JobDay struct {
	Day      string  `json:"day"`
	Colonies int     `json:"colonies"`
	Minutes  float64 `json:"minutes" doc:"For the crew at its pace."`
	Done     int     `json:"done" doc:"Colonies with a line in the register."`
}

// Jobs are the newest.
type Jobs struct {
	Jobs  []Job  `json:"jobs"`
	SoFar *SoFar `json:"so_far,omitempty"`
}

// JobPlan asks to deal colonies out to days.
type JobPlan struct {
	YardID   string   `json:"yard_id" format:"uuid"`
	Method   string   `json:"method" enum:"dribble,strip,pad"`
	Under    string   `json:"under,omitempty" maxLength:"60" doc:"Protocol or card: to judge by; the usual of the season when left out."`
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
