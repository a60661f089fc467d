package wire

// Today is what there is to do, and where, as it stands on a day.
type Today struct {
	Today     string     `json:"today"`
	Followups []Followup `json:"followups" doc:"Late ones first, then those due, then those that come within a fortnight."`
	Calls     []Call     `json:"calls" doc:"What else there is to see to, the urgent first."`
	Band      Band       `json:"band"`
	Fortnight *Fortnight `json:"fortnight,omitempty" doc:"In which all treat, where one is set and not long over."`
	Sky       *Sky       `json:"sky,omitempty" doc:"The weather of this hour, where there is something to do; left out where no forecast tells."`
	Along     TakeAlong  `json:"along"`
	Late      int        `json:"late" doc:"Things to do that are late."`
	Due       int        `json:"due" doc:"Things to do that are due, calls that are urgent among them."`
	Hives     int        `json:"hives" doc:"Living colonies."`
	Running   int        `json:"running" doc:"Jobs that are open, or of which something is in a hive."`
	SoFar     *SoFar     `json:"so_far,omitempty"`
	Backup    *OldBackup `json:"backup,omitempty" doc:"For owners, where the newest good backup is more than two days old."`
}

// OldBackup is a newest good backup that is too old.
type OldBackup struct {
	On   string `json:"on,omitempty" doc:"The day, by the clock on the wall; left out where there is none at all."`
	Days int    `json:"days,omitempty"`
}

// Call is something to see to that follows from no treatment.
type Call struct {
	Key     string `json:"key" doc:"What a skip names."`
	Kind    string `json:"kind" enum:"double_dose,batch_wrong,treat,count,count_more,count_again,look_in,use_up,throw_out,lot_ends,lot_over"`
	Urgent  bool   `json:"urgent,omitempty" doc:"It is to be seen to now, and not when one comes by next."`
	Title   string `json:"title" doc:"What to do, in words."`
	Why     string `json:"why" doc:"And what for."`
	YardID  string `json:"yard_id,omitempty" doc:"Of hives."`
	Yard    string `json:"yard,omitempty"`
	Hives   []Name `json:"hives,omitempty" doc:"In stand order."`
	BatchID string `json:"batch_id,omitempty"`
	LotID   string `json:"lot_id,omitempty"`
	Method  string `json:"method,omitempty" enum:"dribble,strip,pad" doc:"Of a batch."`
	By      string `json:"by,omitempty" doc:"The last good day of a batch or lot."`
}

// SkipCall says why a batch or lot is not seen to, or that it is after all.
type SkipCall struct {
	Key    string `json:"key" maxLength:"80" pattern:"^(use_up|throw_out|lot_ends|lot_over)\\.[0-9a-f-]{36}$"`
	Reason string `json:"reason,omitempty" maxLength:"300"`
}

// Band is the weeks around a day, yard by yard.
type Band struct {
	From  string     `json:"from" doc:"Its first day."`
	Days  int        `json:"days" doc:"How many it shows."`
	Yards []BandYard `json:"yards"`
}

// BandYard is one yard of it.
type BandYard struct {
	ID      string     `json:"id"`
	Name    string     `json:"name"`
	Bars    []BandBar  `json:"bars" doc:"What is in its hives, or was."`
	Marks   []BandMark `json:"marks" doc:"What was done, and what there is to come back for."`
	Windows []string   `json:"windows" doc:"Days whose weather fits the method that is next there, as far as a forecast goes."`
}

// BandBar is a treatment that stays in hives.
type BandBar struct {
	Method string `json:"method" enum:"dribble,strip,pad"`
	From   string `json:"from"`
	To     string `json:"to" doc:"When it came out, or by when it is to."`
	In     bool   `json:"in,omitempty" doc:"It is in."`
	Hives  int    `json:"hives"`
}

// BandMark is one thing on one day.
type BandMark struct {
	Day    string `json:"day"`
	Kind   string `json:"kind" enum:"count_before,visit,board_in,board_read,weigh,queen,hang,move,reversed,out,count,recount,treat"`
	Method string `json:"method,omitempty" enum:"dribble,strip,pad"`
	State  string `json:"state" enum:"coming,due,late,done,skipped,missed"`
	Title  string `json:"title"`
	Hives  int    `json:"hives"`
}

// Sky is the weather of an hour.
type Sky struct {
	Yard     string  `json:"yard"`
	TempC    float64 `json:"temp_c" doc:"°C."`
	WindMS   float64 `json:"wind_ms" doc:"m/s."`
	Rain     bool    `json:"rain,omitempty"`
	DryUntil int     `json:"dry_until,omitempty" doc:"The hour of the day at which it begins to rain; left out where it stays dry."`
}

// TakeAlong is what the visits of the coming week need.
type TakeAlong struct {
	Gear   []string `json:"gear" doc:"To be worn."`
	Boards int      `json:"boards,omitempty" doc:"Clean ones."`
	Jars   []Jar    `json:"jars"`
	Mix    []Name   `json:"mix" doc:"Jobs of whose method nothing good is there: it is mixed first."`
}

// Jar is a batch of which something is left.
type Jar struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	Method string  `json:"method" enum:"dribble,strip,pad"`
	Left   float64 `json:"left"`
	Unit   string  `json:"unit" enum:"ml,g,pieces"`
}

// SetFortnight says from which day all yards treat within a fortnight.
type SetFortnight struct {
	From string `json:"from,omitempty" doc:"2006-01-02; left out: none is set any more."`
}

// Fortnight is how far the yards are with treating together.
type Fortnight struct {
	From  string          `json:"from"`
	To    string          `json:"to"`
	Yards []FortnightYard `json:"yards" doc:"Those that are furthest behind first."`
}

// FortnightYard is one yard in it.
type FortnightYard struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Hives   int    `json:"hives"`
	Planned int    `json:"planned" doc:"Hives that a job comes to in it, and that are still to be given their dose."`
	Done    int    `json:"done" doc:"Hives that were treated in it."`
}

// Feed is the address by which a member's calendar is read elsewhere.
type Feed struct {
	MadeOn string `json:"made_on,omitempty" doc:"Left out where there is none."`
	Token  string `json:"token,omitempty" doc:"Told this once: the calendar is read at /api/calendar/TOKEN."`
}
