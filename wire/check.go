package wire

import (
	"keeler/core/fit"
	"keeler/core/mites"
	"keeler/core/reach"
)

// Followup is one thing to come back for, for the hives of a job that stand in one yard.
type Followup struct {
	Key      string           `json:"key" doc:"Kind, number, and what it follows from: what a skip names."`
	Kind     string           `json:"kind" enum:"count_before,visit,board_in,board_read,weigh,queen,hang,move,reversed,out,count,recount,treat"`
	N        int              `json:"n" doc:"Which of its kind, from 1."`
	Total    int              `json:"total,omitempty" doc:"Of a visit: how many its course has."`
	Again    bool             `json:"again,omitempty" doc:"So much time went by that the course begins again."`
	JobID    string           `json:"job_id,omitempty" doc:"Left out of what was recorded only."`
	Job      string           `json:"job,omitempty" doc:"Its name."`
	Method   string           `json:"method,omitempty" enum:"dribble,strip,pad"`
	YardID   string           `json:"yard_id"`
	Yard     string           `json:"yard"`
	From     string           `json:"from" doc:"The first day of its window, of the first hive."`
	By       string           `json:"by" doc:"The last day of its window, of the first hive."`
	Until    string           `json:"until,omitempty" doc:"The last day on which it can be done at all; left out where it is as long as it takes."`
	State    string           `json:"state" enum:"coming,due,late,done,skipped,missed" doc:"Of the hive that is furthest behind."`
	Title    string           `json:"title" doc:"What to do, in words."`
	Why      string           `json:"why" doc:"And what for."`
	Weather  []FollowupDay    `json:"weather,omitempty" doc:"Of a dose that is still to be given: its days, as far as a forecast goes."`
	Colonies []FollowupColony `json:"colonies" doc:"In stand order."`
}

// FollowupDay is the weather of one day for a dose.
type FollowupDay struct {
	Day    string      `json:"day"`
	Window *fit.Window `json:"window,omitempty" doc:"Its best hours; left out where none fit."`
	Cause  string      `json:"cause,omitempty" doc:"Why none fit: too_cold, too_warm, windy, rainy, short or heat."`
}

// FollowupColony is one hive of it.
type FollowupColony struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	State  string `json:"state" enum:"coming,due,late,done,skipped,missed"`
	On     string `json:"on,omitempty" doc:"When it was done."`
	Reason string `json:"reason,omitempty" doc:"Why it was skipped."`
}

// SkipFollowups says why something is not done.
type SkipFollowups struct {
	Key      string   `json:"key" maxLength:"80"`
	Colonies []string `json:"colonies" minItems:"1" maxItems:"1000" doc:"Their ids."`
	Reason   string   `json:"reason,omitempty" maxLength:"300" doc:"In words; kept."`
	Undo     bool     `json:"undo,omitempty" doc:"Without a reason: it is to be done after all."`
}

// Check is what there is to come back for, and how the jobs stand.
type Check struct {
	Today     string      `json:"today"`
	Followups []Followup  `json:"followups" doc:"Late ones first, then those due, then those that come within eight weeks."`
	Jobs      []JobStands `json:"jobs" doc:"The newest first; none while there are yards to come."`
	SoFar     *SoFar      `json:"so_far,omitempty"`
}

// JobStands is how one job stands.
type JobStands struct {
	ID       string  `json:"id"`
	Name     string  `json:"name"`
	Method   string  `json:"method" enum:"dribble,strip,pad"`
	Yards    string  `json:"yards" doc:"Their names."`
	Given    string  `json:"given,omitempty" doc:"The day of the first dose."`
	Colonies int     `json:"colonies"`
	Treated  int     `json:"treated" doc:"How many were given anything."`
	In       int     `json:"in,omitempty" doc:"In how many something is."`
	Gone     int     `json:"gone,omitempty" doc:"How many have ended since: died, or were given away."`
	Late     int     `json:"late,omitempty" doc:"Follow-ups."`
	Due      int     `json:"due,omitempty"`
	Result   *Result `json:"result,omitempty"`
}

// Result is whether it worked.
type Result struct {
	mites.Killed
	Outcome string    `json:"outcome" enum:"surely,worked,points,did_not,cannot_tell"`
	Now     *Standing `json:"now,omitempty" doc:"How the newest count after stands; of a group the mean."`
	Enough  float64   `json:"enough" doc:"The share from which it worked, 0 to 1."`
	Words   string    `json:"words" doc:"The outcome in words."`
	How     string    `json:"how" doc:"By which measure, and how sure."`
	Tell    string    `json:"tell,omitempty" doc:"Where it cannot be told: what would tell."`
}

// JobCheck is a job, and whether it worked.
type JobCheck struct {
	Job       Job          `json:"job"`
	Card      string       `json:"card,omitempty" doc:"Name of the label card that it is given by."`
	Given     []string     `json:"given" doc:"The days on which anything was given."`
	Treated   int          `json:"treated"`
	Result    *Result      `json:"result,omitempty"`
	Colonies  []ColonyTold `json:"colonies" doc:"In stand order."`
	Controls  []string     `json:"controls,omitempty" doc:"Names of the colonies that were left untreated to compare."`
	Falls     []DayFall    `json:"falls" doc:"Mites a day on a board, the mean of the hives that had one."`
	Reach     []JobReach   `json:"reach" doc:"By the brood that was seen."`
	Followups []Followup   `json:"followups"`
	Device    *DeviceKind  `json:"device,omitempty" doc:"Of formic acid that evaporates: what was learnt of such devices, in this job and those under the same conditions."`
	Spent     *Spent       `json:"spent,omitempty" doc:"What came out of the hives; left out where nothing did."`
}

// ColonyTold is one colony of it.
type ColonyTold struct {
	ID          string       `json:"id"`
	Name        string       `json:"name"`
	Yard        string       `json:"yard"`
	EndedOn     string       `json:"ended_on,omitempty"`
	EndReason   string       `json:"end_reason,omitempty" doc:"In words."`
	Result      *Result      `json:"result,omitempty"`
	Why         []string     `json:"why,omitempty" doc:"Where it did not work: what the records show, each with its datum."`
	Evaporation *Evaporation `json:"evaporation,omitempty" doc:"Of a bottle or pad that was weighed twice."`
	Counts      []CountUsed  `json:"counts,omitempty" doc:"Those around the treatment, and what each is good for."`
}

// Evaporation is how fast formic acid goes in one hive.
type Evaporation struct {
	DayG      float64  `json:"day_g,omitempty" doc:"g of acid and water lost a day, between the last two weighings; left out where there are none."`
	LowG      float64  `json:"low_g" doc:"What is aimed at, g a day."`
	HighG     float64  `json:"high_g"`
	ExpectG   float64  `json:"expect_g,omitempty" doc:"g over the next 24 hours, by the forecast and what was learnt of such devices; left out when it is out, or nobody knows the weather."`
	Pace      string   `json:"pace,omitempty" enum:"slow,in_band,fast,too_fast"`
	Words     string   `json:"words,omitempty" doc:"The same in words, and what to change."`
	AreaCM2   float64  `json:"area_cm2,omitempty" doc:"So much of the wick left open would bring it to the middle."`
	Factor    float64  `json:"factor,omitempty" doc:"By how much this device is faster than the rule, learnt from its weighings."`
	FactorOff float64  `json:"factor_off,omitempty" doc:"Its standard error."`
	EmptyOn   string   `json:"empty_on,omitempty" doc:"By the forecast, within 40 days of the first weighing."`
	Rose      bool     `json:"rose,omitempty" doc:"It weighs more than before, and nothing was added: weigh it again."`
	Weighed   []LeftAt `json:"weighed,omitempty" doc:"What was left in it; left out where nobody knows how much was in it."`
	Ahead     []LeftAt `json:"ahead,omitempty" doc:"What is left by the forecast, every six hours until it is empty."`
}

// LeftAt is how much is left in a device.
type LeftAt struct {
	Hour int     `json:"hour" doc:"Since it was weighed first."`
	G    float64 `json:"g" doc:"g of acid and water."`
}

// DeviceKind is what was learnt of all devices of one kind.
type DeviceKind struct {
	Factor    float64 `json:"factor" doc:"By how much they are faster than the rule."`
	FactorOff float64 `json:"factor_off,omitempty" doc:"Its standard error; left out of one weighing."`
	Weighings int     `json:"weighings"`
}

// CountUsed is a count, and what it is good for.
type CountUsed struct {
	Kind  string  `json:"kind" enum:"board,wash"`
	Mites int     `json:"mites"`
	Over  float64 `json:"over" doc:"Days, or bees."`
	On    string  `json:"on"`
	Use   string  `json:"use" enum:"before,during,after,too_old,too_soon,too_late,treated,other_kind"`
	Words string  `json:"words" doc:"The same in words."`
}

// DayFall is the mites that fell on a day.
type DayFall struct {
	Day   string  `json:"day"`
	Mites float64 `json:"mites" doc:"A hive."`
	Hives int     `json:"hives" doc:"That had a board."`
}

// JobReach is which mites a job could meet in the hives with such brood.
type JobReach struct {
	Brood    string   `json:"brood" enum:"none,little,much" doc:"Sealed, as seen before the first dose."`
	Unseen   bool     `json:"unseen,omitempty" doc:"Nobody looked: the usual of the season is taken."`
	Colonies []string `json:"colonies" doc:"Their names."`
	Visits   []Meets  `json:"visits"`
	reach.Reach
}

// Meets is when one treatment meets mites on bees.
type Meets struct {
	From int     `json:"from" doc:"Days from the start, 0 to 400."`
	To   int     `json:"to" doc:"Days from the start, from from to 400."`
	Caps float64 `json:"caps,omitempty" doc:"The chance that it reaches a mite under a cap, 0 to 1."`
}
