package wire

// Yard is a place where hives stand.
type Yard struct {
	ID       string  `json:"id" format:"uuid"`
	Name     string  `json:"name"`
	Place    string  `json:"place,omitempty" doc:"In words."`
	Latitude float64 `json:"latitude" doc:"Degrees, negative in the south."`
	Notes    string  `json:"notes,omitempty"`
	No       string  `json:"registration_no,omitempty" doc:"The number by which an authority knows it."`
	DeepFrom string  `json:"deep_from,omitempty" doc:"Month and day from which its colonies sit in their deepest cluster, 12-01; left out where they never do."`
	DeepTo   string  `json:"deep_to,omitempty" doc:"And until which."`
	Version  int     `json:"version" doc:"Rises with every change; a change names the version it was made from."`
	Colonies int     `json:"colonies" doc:"How many stand there."`
}

// SaveYard makes or changes a yard.
type SaveYard struct {
	ID       string   `json:"id,omitempty" format:"uuid" doc:"Of a new yard, made by the client; ignored when one is changed."`
	Name     string   `json:"name" maxLength:"60"`
	Place    string   `json:"place,omitempty" maxLength:"200" doc:"In words."`
	Latitude *float64 `json:"latitude,omitempty" doc:"Degrees, −66 to 70, negative in the south: it settles the season."`
	DeepFrom string   `json:"deep_from,omitempty" maxLength:"5" doc:"As a month and day, 12-01, both or neither; by the latitude when left out."`
	DeepTo   string   `json:"deep_to,omitempty" maxLength:"5"`
	Notes    string   `json:"notes,omitempty" maxLength:"2000"`
	No       string   `json:"registration_no,omitempty" maxLength:"60" doc:"The number by which an authority knows it."`
	Version  int      `json:"version,omitempty" doc:"When one is changed: the version that was seen, from 1."`
}

// YardList is all yards.
type YardList struct {
	Yards []Yard `json:"yards"`
}

// HiveBox is a box of a hive as it stands.
type HiveBox struct {
	Kind  string   `json:"kind" enum:"deep,medium,shallow" doc:"Depth of its frames."`
	Slots []string `json:"slots" maxItems:"20" doc:"What hangs in each of its 1 to 20 places: comb, feeder, dummy or empty."`
}

// Seen is the newest that is known of a colony, each with the day it was seen.
type Seen struct {
	Seams    *float64    `json:"seams,omitempty" doc:"Full seams in all boxes."`
	SeamsOn  string      `json:"seams_on,omitempty"`
	Board    [][]float64 `json:"board,omitempty" doc:"For each box from the floor up its gaps, 0 to 1; as last drawn."`
	Brood    string      `json:"brood,omitempty" doc:"Sealed: none, little or much."`
	BroodOn  string      `json:"brood_on,omitempty"`
	Eggs     *bool       `json:"eggs,omitempty" doc:"Seen or not, with that inspection; left out when not looked for."`
	Larvae   *bool       `json:"larvae,omitempty" doc:"Open brood, likewise."`
	Stores   string      `json:"stores,omitempty" doc:"light, enough or heavy."`
	StoresOn string      `json:"stores_on,omitempty"`
	Supers   *int        `json:"supers,omitempty" doc:"Supers for harvest."`
	SupersOn string      `json:"supers_on,omitempty"`
	Queen    string      `json:"queen,omitempty" doc:"laying, young, queenless or unseen."`
	QueenOn  string      `json:"queen_on,omitempty"`
}

// ColonyRecord is a colony that is kept.
type ColonyRecord struct {
	ID        string      `json:"id" format:"uuid"`
	YardID    string      `json:"yard_id" format:"uuid"`
	Name      string      `json:"name"`
	Nuc       bool        `json:"nuc,omitempty"`
	ForHoney  bool        `json:"for_honey,omitempty" doc:"It makes honey for people."`
	Notes     string      `json:"notes,omitempty"`
	Version   int         `json:"version"`
	StartedOn string      `json:"started_on"`
	EndedOn   string      `json:"ended_on,omitempty"`
	EndReason string      `json:"end_reason,omitempty"`
	Boxes     []HiveBox   `json:"boxes" doc:"From the floor up."`
	Seen      Seen        `json:"seen"`
	Count     *Standing   `json:"count,omitempty" doc:"The newest count."`
	Need      string      `json:"need" enum:"treat,with_yard,watch,none,count,count_again" doc:"What the counts of the yard ask for."`
	In        []Treatment `json:"in,omitempty" doc:"What is in the hive today."`
	Honey     *HoneyHeld  `json:"honey_held,omitempty" doc:"Honey on it, or put on it, is not for people; left out where nothing holds it back."`
	BoardOn   string      `json:"board_on,omitempty" doc:"A clean board lies under it since then: put in, or read last."`
	Changed   string      `json:"changed,omitempty" enum:"joined,split,swarmed,boxes,queen" doc:"What happened to the bees since they were last looked at."`
	ChangedOn string      `json:"changed_on,omitempty"`
	Break     *BroodBreak `json:"brood_break,omitempty" doc:"While one made by the keeper lasts."`
}

// PutBoard writes that a clean board went in.
type PutBoard struct {
	ID string `json:"id" format:"uuid" doc:"Made by the client; counts once."`
}

// HoneyHeld is why, and until when, honey is not taken.
type HoneyHeld struct {
	Until string `json:"until,omitempty" doc:"The first day on which it may be; left out while something is in the hive."`
	Words string `json:"words"`
}

// BroodBreak is a break in the brood by the keeper's hand, and the window in which an
// oxalic treatment meets all mites.
type BroodBreak struct {
	StoppedOn string `json:"stopped_on" doc:"Laying stopped."`
	ResumedOn string `json:"resumed_on,omitempty" doc:"Laying began again; left out while it has not."`
	From      string `json:"from" doc:"From then on all brood is out, drones too."`
	To        string `json:"to,omitempty" doc:"The last day before new cells are capped; left out while laying has not begun."`
}

// HappenColony records what happened to the bees.
type HappenColony struct {
	Kind string `json:"kind" enum:"swarmed,queen_caged,queen_removed,cell_given,queen_released,laying_again"`
	On   string `json:"on,omitempty" doc:"2006-01-02; today when left out."`
}

// SaveColony makes or changes a colony.
type SaveColony struct {
	ID       string    `json:"id,omitempty" format:"uuid" doc:"Of a new colony, made by the client; ignored when one is changed."`
	YardID   string    `json:"yard_id,omitempty" format:"uuid" doc:"Of a new colony."`
	Name     string    `json:"name" maxLength:"40"`
	Nuc      bool      `json:"nuc,omitempty"`
	ForHoney bool      `json:"for_honey,omitempty" doc:"It makes honey for people."`
	Queen    string    `json:"queen,omitempty" doc:"laying, young, queenless or unseen; left out: as it was."`
	Notes    string    `json:"notes,omitempty" maxLength:"2000"`
	Boxes    []HiveBox `json:"boxes" maxItems:"6" doc:"From the floor up, 1 to 6."`
	Version  int       `json:"version,omitempty" doc:"When one is changed: the version that was seen, from 1."`
}

// YardWhole is a yard with its colonies in stand order.
type YardWhole struct {
	Yard
	Over   int            `json:"over" doc:"Colonies over the threshold by a count that still holds."`
	Stands []ColonyRecord `json:"stands" doc:"In stand order, from the left."`
}

// Order is the stand order of a yard.
type Order struct {
	Colonies []string `json:"colonies" maxItems:"5000" doc:"Their ids from the left."`
}

// Treatment is something given to the bees of a colony.
type Treatment struct {
	ID      string `json:"id" format:"uuid"`
	Method  string `json:"method" enum:"dribble,strip,pad,vapour,other"`
	What    string `json:"what,omitempty" maxLength:"120" doc:"In the keeper's words."`
	GivenOn string `json:"given_on" doc:"2006-01-02"`
	OutOn   string `json:"out_on,omitempty" doc:"The same day for what does not stay; left out while it is in the hive."`
	Carried bool   `json:"carried,omitempty" doc:"Given before a split or union, to the same bees."`
	Twice   bool   `json:"twice_a_day,omitempty" readOnly:"true" doc:"Another dose of the same acid was given on the same day."`
	DueFrom string `json:"due_from,omitempty" readOnly:"true" doc:"Of what stays: from when it comes out."`
	DueBy   string `json:"due_by,omitempty" readOnly:"true" doc:"And by when at the latest."`
	Overdue int    `json:"overdue_days,omitempty" readOnly:"true" doc:"By so many days it is past that."`
}

// ColonyEvent is something that happened to a colony as a whole.
type ColonyEvent struct {
	Kind    string `json:"kind" enum:"began,split,split_off,united,joined,moved,ended,reopened,boxes,queen,swarmed,queen_caged,queen_removed,cell_given,queen_released,laying_again"`
	On      string `json:"on"`
	Detail  string `json:"detail,omitempty"`
	OtherID string `json:"other_id,omitempty" format:"uuid"`
}

// ColonyWhole is a colony with its history.
type ColonyWhole struct {
	ColonyRecord
	YardName    string        `json:"yard_name"`
	Inspections []Inspection  `json:"inspections" doc:"Newest first."`
	Counts      []MiteCount   `json:"counts" doc:"Oldest first."`
	Treatments  []Treatment   `json:"treatments" doc:"Newest first."`
	Events      []ColonyEvent `json:"events" doc:"Newest first."`
}

// Inspection is one look into a colony. What was not looked at is left out.
type Inspection struct {
	ID       string      `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	ColonyID string      `json:"colony_id" format:"uuid"`
	On       string      `json:"on,omitempty" doc:"2006-01-02; today when left out."`
	Board    [][]float64 `json:"board,omitempty" maxItems:"6" doc:"Bees in each gap, 0 to 1 in quarters, for each box from the floor up."`
	Typed    string      `json:"typed,omitempty" maxLength:"40" doc:"Instead of a board: full seams of each box from the floor up, joined by +, such as 6, 5½ or 7+4; drawn as a cluster in the middle."`
	Seams    *float64    `json:"seams,omitempty" doc:"Full seams counted in all boxes, 0 to 126 in quarters; not needed with a board."`
	Brood    string      `json:"brood,omitempty" doc:"Sealed: none, little (up to one side of a comb) or much."`
	Eggs     *bool       `json:"eggs,omitempty" doc:"Eggs seen, or looked for and not seen; left out when not looked for."`
	Larvae   *bool       `json:"larvae,omitempty" doc:"Open brood, likewise. It settles how long the inspection counts."`
	Stores   string      `json:"stores,omitempty" doc:"light, enough or heavy."`
	Supers   *int        `json:"supers,omitempty" doc:"Supers for harvest, 0 to 12."`
	Queen    string      `json:"queen,omitempty" doc:"laying, young, queenless or unseen."`
	Temper   string      `json:"temper,omitempty" doc:"calm, nervous or fierce."`
	Note     string      `json:"note,omitempty" maxLength:"1000"`
}

// Inspections are several looks at once.
type Inspections struct {
	Inspections []Inspection `json:"inspections" minItems:"1" maxItems:"1000"`
}

// ClosedHives are those of a yard that ended, the last first.
type ClosedHives struct {
	Hives []ClosedHive `json:"hives"`
}

// ClosedHive is one of them.
type ClosedHive struct {
	ID        string `json:"id"`
	Name      string `json:"name"`
	StartedOn string `json:"started_on"`
	EndedOn   string `json:"ended_on"`
	EndReason string `json:"end_reason,omitempty"`
}

// SaveColonies are several new colonies at once: all of them, or none.
type SaveColonies struct {
	YardID   string       `json:"yard_id" format:"uuid"`
	Colonies []SaveColony `json:"colonies" minItems:"1" maxItems:"100" doc:"In stand order; each with an id made by the client."`
}

// Move brings a colony to another yard.
type Move struct {
	YardID  string `json:"yard_id" format:"uuid"`
	On      string `json:"on,omitempty" doc:"2006-01-02; today when left out."`
	Version int    `json:"version"`
}

// Split takes a new colony off another; its bees carry what they were treated with.
type Split struct {
	Child SaveColony `json:"child" doc:"The new colony; in the same yard unless it says another."`
	On    string     `json:"on,omitempty" doc:"2006-01-02; today when left out."`
}

// End closes a colony.
type End struct {
	Reason  string `json:"reason" maxLength:"200" doc:"Dead, sold, robbed out…"`
	Into    string `json:"into,omitempty" doc:"The colony that its bees were united with, which then carries its treatments."`
	On      string `json:"on,omitempty" doc:"2006-01-02; today when left out."`
	Version int    `json:"version"`
}

// TakeOut ends a treatment that is in a hive.
type TakeOut struct {
	Sure bool   `json:"sure,omitempty" doc:"Yes, although its days are not over."`
	On   string `json:"on,omitempty" doc:"2006-01-02; today when left out."`
}

// SoFar tells that an answer is about those alone that are shown first, of many yards or jobs.
type SoFar struct {
	Shown int `json:"shown" doc:"How many it is about."`
	Of    int `json:"of" doc:"How many there are."`
}
