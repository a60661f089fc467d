package wire

// MiteYear is what a model makes of the counts of a colony: the mites of the past year, and of the time ahead if nothing
// is done.
type MiteYear struct {
	Today   string        `json:"today"`
	Words   string        `json:"words" doc:"When it comes to be over the threshold, as far as that can be told."`
	Rests   string        `json:"rests_on" doc:"How many counts and inspections it rests on, and how old the last count is."`
	Misfit  string        `json:"misfit,omitempty" doc:"That counts and model do not go together; left out where they do."`
	From    string        `json:"from,omitempty" doc:"The day by which it is over the threshold in one case of ten; left out where that is not in sight."`
	To      string        `json:"to,omitempty" doc:"And in nine of ten."`
	Chance  float64       `json:"chance" doc:"That it is over the threshold at any time until the last day, 0 to 1."`
	Points  []MitePoint   `json:"points" doc:"The oldest first; those after today are what is ahead."`
	Boards  []TurnedBoard `json:"boards" doc:"Counts on boards in the measure of the points."`
	Telling []string      `json:"telling" doc:"Which counts would narrow the band most, and when, the best first."`
}

// MitePoint is the mites of a day, as a wash of nest bees would find them.
type MitePoint struct {
	Day       string  `json:"day"`
	Low       float64 `json:"low" doc:"Per 100 bees; in eight cases of ten it is between low and high."`
	Middle    float64 `json:"middle"`
	High      float64 `json:"high"`
	Threshold float64 `json:"threshold" doc:"Of its season, per 100 bees."`
	Seams     float64 `json:"seams" doc:"Bees in the middle of what is likely, in full seams of a deep box."`
	Brood     string  `json:"brood" doc:"Sealed, as likely: none, little or much."`
}

// TurnedBoard is a count on a board as mites per 100 bees.
type TurnedBoard struct {
	Day    string  `json:"day"`
	Low    float64 `json:"low"`
	Middle float64 `json:"middle"`
	High   float64 `json:"high"`
}

// YardAhead is what a model makes of the hives of a yard.
type YardAhead struct {
	Words string      `json:"words" doc:"Which hives to count first."`
	Count []string    `json:"count" doc:"Their names: about one in three, whose counts would tell most."`
	Hives []HiveAhead `json:"hives" doc:"In stand order."`
	More  int         `json:"more,omitempty" doc:"Hives of the yard that it is not told of."`
}

// HiveAhead is a hive of it.
type HiveAhead struct {
	ID     string      `json:"id" format:"uuid"`
	Name   string      `json:"name"`
	Words  string      `json:"words" doc:"When it comes to be over the threshold if nothing is done, in short."`
	Chance float64     `json:"chance" doc:"That it does in the next 200 days, 0 to 1."`
	Counts int         `json:"counts" doc:"That it rests on, of the past year."`
	Points []MitePoint `json:"points" doc:"What is ahead if nothing is done."`
}

// WhatIf are plans for a colony, to be held against each other.
type WhatIf struct {
	Plans []MitePlan `json:"plans" minItems:"1" maxItems:"4"`
	Rough bool       `json:"rough,omitempty" doc:"A quick answer, of fewer possible colonies: while something is dragged."`
}

// MitePlan is what would be done to a colony in the year ahead.
type MitePlan struct {
	Steps []PlanStep `json:"steps" maxItems:"6" doc:"None: nothing is done."`
}

// PlanStep is one treatment of a plan.
type PlanStep struct {
	Under string `json:"under" maxLength:"60" doc:"The conditions: id of a protocol, or card: and the id of a card."`
	On    string `json:"on" doc:"2006-01-02, within the year ahead."`
}

// PlansCome are what plans come to, in their order, all tried on the same possible colonies.
type PlansCome struct {
	Since  string      `json:"since" doc:"From when on being over the threshold counts: what is given at once has worked by then."`
	Winter string      `json:"winter" doc:"The day on which mites are said to go into winter."`
	Rests  string      `json:"rests_on"`
	Plans  []PlanComes `json:"plans"`
}

// PlanComes is what a plan comes to.
type PlanComes struct {
	Points []MitePoint   `json:"points"`
	Words  string        `json:"words" doc:"The chance of being over the threshold."`
	Chance float64       `json:"chance" doc:"0 to 1."`
	Mites  MiteBand      `json:"mites" doc:"In the colony as it goes into winter."`
	Bears  string        `json:"bears,omitempty" doc:"That so many are more than a colony lives through, as a rule."`
	Visits int           `json:"visits"`
	Oxalic float64       `json:"oxalic_g,omitempty" doc:"Oxalic acid dihydrate that the hive is given, by the recipe that the bench begins with, g."`
	Formic float64       `json:"formic_g,omitempty" doc:"Pure formic acid, g."`
	Steps  []PlannedStep `json:"steps"`
	Takes  *PlanTaking   `json:"takes,omitempty" doc:"What it takes from the stock; left out of a rough answer."`
}

// PlanTaking is what a plan takes for the hive alone, and for all hives of its yard.
type PlanTaking struct {
	Hive PlanTakes `json:"hive"`
	Yard PlanTakes `json:"yard"`
}

// PlanTakes is what a plan takes from the stock, by the recipes that the bench begins with.
type PlanTakes struct {
	Hives    int        `json:"hives"`
	Unseen   []string   `json:"unseen" doc:"Those among them whose bees nobody wrote down, or not since the hive was changed: nothing is reckoned for them."`
	Unknown  []string   `json:"unknown" doc:"Methods whose recipe cannot be worked out as it is: nothing is reckoned for them."`
	Cost     float64    `json:"cost,omitempty" doc:"Of what has a price, by the newest lot of each."`
	Unpriced []string   `json:"unpriced" doc:"Ingredients without one."`
	Of       []PlanTake `json:"of" doc:"In the order in which they are first needed."`
}

// PlanTake is one ingredient of it.
type PlanTake struct {
	Ingredient string  `json:"ingredient" enum:"acid,sugar,glycerol,tablets,ready_mix,formic,carrier,product,ready_pads"`
	Unit       string  `json:"unit" enum:"ml,g,pieces"`
	Amount     float64 `json:"amount"`
	There      float64 `json:"there" doc:"In lots that are still good on the day."`
	Buy        float64 `json:"buy,omitempty"`
}

// MiteBand is a number of mites, in eight cases of ten between low and high.
type MiteBand struct {
	Low    float64 `json:"low"`
	Middle float64 `json:"middle"`
	High   float64 `json:"high"`
}

// PlannedStep is a treatment of a plan as it would go.
type PlannedStep struct {
	PlanStep
	Method  string   `json:"method" enum:"dribble,strip,pad"`
	Out     string   `json:"out,omitempty" doc:"Of what stays: the day on which it comes out."`
	Days    []string `json:"days" doc:"On which somebody comes for it."`
	Against []string `json:"against" doc:"What speaks against it on that day, as far as it can be known now."`
	Off     string   `json:"off,omitempty" doc:"What must come off the hive for it."`
}

// PlanOffers are plans that Keeler offers for a colony.
type PlanOffers struct {
	Words  string      `json:"words" doc:"What was found."`
	Offers []PlanOffer `json:"offers"`
}

// PlanOffer is one of them.
type PlanOffer struct {
	Name  string        `json:"name"`
	Steps []OfferedStep `json:"steps"`
}

// OfferedStep is a treatment of it, and why then.
type OfferedStep struct {
	PlanStep
	Why string `json:"why"`
}
