package wire

import (
	"time"

	"keeler/core/chem"
	"keeler/core/method/strip"
	"keeler/core/mixing"
)

// BenchBalance is a balance at hand.
type BenchBalance struct {
	Name string `json:"name" maxLength:"40" doc:"What the keeper calls it."`
	mixing.Balance
}

// Balances is all that an operation weighs with.
type Balances struct {
	Balances []BenchBalance `json:"balances" maxItems:"8"`
}

// BeginBench starts the work at the bench.
type BeginBench struct {
	Order    string         `json:"order,omitempty" maxLength:"16" doc:"Of work, from orders; the first when left out."`
	CupG     float64        `json:"cup_g,omitempty" doc:"Tare of the cup that is weighed in, 0 to 20000 g: the balance carries it, too."`
	VesselML float64        `json:"vessel_ml,omitempty" doc:"Size of the jug, pot or bottle, 10 to 250000 mL; left out when not said."`
	Balances []BenchBalance `json:"balances" minItems:"1" maxItems:"8"`
}

// BenchEvent is one thing that happened at the bench.
type BenchEvent struct {
	ID         string  `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Kind       string  `json:"kind" enum:"added,removed,opened,answered,measured,started,corrected,lot,finished,discarded" doc:"A load went in, or is taken back; went to an act; an answer; a temperature; a wait begun; more is to go in (the server works out what); the lot used of an ingredient (act); the end."`
	Act        string  `json:"act,omitempty" maxLength:"32"`
	Load       int     `json:"load,omitempty" doc:"Of added: how many loads of the act were seen before, so that two people never put in one load twice. Of removed: which one."`
	Grams      float64 `json:"grams,omitempty" doc:"Of added."`
	Balance    int     `json:"balance,omitempty" doc:"Of added: which of the balances, from 0."`
	Count      int     `json:"count,omitempty" doc:"Of added: pieces, where they are counted."`
	Sure       bool    `json:"sure,omitempty" doc:"Of added: yes, so much; asked when it is twice the target of acid, or five times of anything else, and more. Of finished: take the uptake although it is far from what was learnt."`
	Answer     string  `json:"answer,omitempty" maxLength:"40" doc:"Of answered: yes, no, clear or cloudy. Of lot: its id, or none."`
	TempC      float64 `json:"temp_c,omitempty" doc:"Of measured, -20 to 200 °C."`
	Instrument string  `json:"instrument,omitempty" maxLength:"20" doc:"Of added from a balance: which of the instruments. It must stand still on that weight."`
	Source     string  `json:"source,omitempty" enum:"typed,balance,probe" doc:"Where the figure comes from; typed when left out."`
	Pieces     int     `json:"pieces,omitempty" doc:"Of finished, for a pot: strips or sponges soaked; as planned when left out."`
	Keeping    string  `json:"keeping,omitempty" maxLength:"10" doc:"Of finished: where the batch is kept, from keepings."`
	AsIs       bool    `json:"as_is,omitempty" doc:"Of finished: yes, although it is more than 5 % off its recipe."`

	Seq int       `json:"seq,omitempty" readOnly:"true"`
	By  string    `json:"by,omitempty" readOnly:"true"`
	At  time.Time `json:"at,omitzero" readOnly:"true"`
}

// BenchMade is what a batch is, by its weights.
type BenchMade struct {
	Composition []Component  `json:"composition"`
	MassG       float64      `json:"mass_g"`
	VolumeML    float64      `json:"volume_ml" doc:"At 20 °C."`
	Unit        string       `json:"unit" enum:"g_per_l,percent_oad,percent_formic" doc:"Of the strength: g OAD per litre, or acid by weight."`
	Strength    mixing.Span  `json:"strength"`
	PercentWV   float64      `json:"percent_wv_oad,omitempty" doc:"g OAD per 100 mL."`
	PercentWVA  float64      `json:"percent_wv_oaa,omitempty" doc:"g OAA per 100 mL."`
	PercentWW   float64      `json:"percent_ww" doc:"Acid by weight: OAD, or formic acid."`
	PercentWWA  float64      `json:"percent_ww_oaa,omitempty" doc:"The oxalic acid counted anhydrous, by weight."`
	Ratio       *mixing.Span `json:"sugar_per_water,omitempty"`
	ClearDownC  *float64     `json:"clear_down_c,omitempty" doc:"Of a syrup: colder than this, crystals can fall out, °C."`
}

// BenchAct is one step of the work, as it stands.
type BenchAct struct {
	mixing.Station
	Title      string           `json:"title" doc:"What to do, in words."`
	Hint       string           `json:"hint,omitempty" doc:"And how."`
	Ingredient string           `json:"ingredient,omitempty" doc:"sugar, water, acid, tablets, stock, glycerol or carried."`
	Name       string           `json:"name,omitempty" doc:"The same in words."`
	Volume     chem.Millilitres `json:"volume_ml,omitempty"`
	Count      int              `json:"count,omitempty"`
	LeftS      *float64         `json:"left_s,omitempty" doc:"Of a wait that has begun: seconds left, below 0 when it is over."`
}

// BenchMending is what brings a batch back.
type BenchMending struct {
	Possible bool       `json:"possible" doc:"False where no addition does it: then it is kept as it is, or discarded."`
	Add      []BenchAdd `json:"add" doc:"From here on, in place of what was still to come."`
	Made     BenchMade  `json:"made" doc:"What it then is."`
	MoreML   float64    `json:"more_ml" doc:"By so much it is more than was planned."`
	Fits     *bool      `json:"fits,omitempty" doc:"Whether the vessel still takes it; left out when its size was not said."`
}

// BenchOff is what a batch that is off its recipe would do.
type BenchOff struct {
	Percent float64 `json:"percent" doc:"Stronger, or below 0 weaker, than the recipe."`
	Dose    string  `json:"dose" enum:"full_seam,piece,ten_ml" doc:"Of a syrup a full seam, of a pot one piece, of working acid 10 mL."`
	Mg      float64 `json:"mg" doc:"Acid in it."`
	MeantMg float64 `json:"meant_mg"`
}

// BenchAdd is an ingredient that still goes in.
type BenchAdd struct {
	Ingredient string           `json:"ingredient"`
	Name       string           `json:"name" doc:"The same in words."`
	Grams      float64          `json:"grams"`
	Count      int              `json:"count,omitempty"`
	Weighing   *mixing.Weighing `json:"weighing,omitempty"`
}

// BenchUptake is what the strips of a pot took up.
type BenchUptake struct {
	Carrier string  `json:"carrier" enum:"strip,long,sponge"`
	EachG   float64 `json:"each_g"`
	OffG    float64 `json:"off_g" doc:"± at 95 %."`
	Pieces  int     `json:"pieces"`
	OADG    float64 `json:"oad_g" doc:"In one of them."`
	Strange bool    `json:"strange,omitempty" doc:"So far from what was learnt or planned that it is taken only with a yes."`
	Learnt  *Learnt `json:"learnt,omitempty" doc:"From the pots before."`
}

// Learnt is what pieces of a kind take up.
type Learnt struct {
	Carrier string `json:"carrier" enum:"strip,long,sponge"`
	strip.Learnt
}

// Uptakes is what was learnt, by carrier.
type Uptakes struct {
	Learnt []Learnt `json:"learnt"`
}

// BenchRun is a batch at the bench, as it stands.
type BenchRun struct {
	BatchID  string           `json:"batch_id"`
	Number   int              `json:"number"`
	Name     string           `json:"name"`
	State    string           `json:"state" enum:"planned,bench,made,discarded"`
	Method   string           `json:"method" enum:"dribble,strip,pad"`
	Begun    bool             `json:"begun" doc:"Before it is begun all figures are those of the plan, on the balances at hand."`
	Seq      int              `json:"seq" doc:"Of the last event."`
	Order    string           `json:"order"`
	Orders   []string         `json:"orders" doc:"Those that fit what is held."`
	Balances []BenchBalance   `json:"balances"`
	CupG     float64          `json:"cup_g,omitempty"`
	VesselML float64          `json:"vessel_ml,omitempty"`
	RoomML   float64          `json:"room_ml" doc:"The vessel that it goes into with headroom, as it will come."`
	At       int              `json:"at" doc:"The act on the screen, from 0."`
	Acts     []BenchAct       `json:"acts"`
	SoFar    *BenchMade       `json:"so_far,omitempty" doc:"What is in; left out for a product."`
	Comes    *BenchMade       `json:"comes,omitempty" doc:"What comes of it when the rest goes in as wanted."`
	JugC     *float64         `json:"jug_c,omitempty" doc:"How warm the water with the acid must at least be for it to go clear."`
	JugCold  bool             `json:"jug_cold,omitempty" doc:"The water was read colder than that."`
	Complete bool             `json:"complete"`
	Mending  *BenchMending    `json:"mending,omitempty" doc:"Where it would not come out as wanted."`
	Surplus  *mixing.Surplus  `json:"surplus,omitempty" doc:"What can be undone instead: dry powder that comes off with a spoon."`
	OffBy    *BenchOff        `json:"off_by,omitempty" doc:"What is in, held against the recipe, where it is complete and more than 5 % off: asked before it is finished."`
	Discard  mixing.Discard   `json:"discard"`
	Uptake   *BenchUptake     `json:"uptake,omitempty" doc:"Of a pot, once what is left was weighed."`
	Keepings []mixing.Keeping `json:"keepings"`
	Lots     []BenchLot       `json:"lots" doc:"What comes out of stock, and from which lot."`
	Ended    string           `json:"ended,omitempty" enum:"finished,discarded"`
	Leftover string           `json:"leftover_id,omitempty" doc:"The batch that what the pot left over became."`
	Events   []BenchEvent     `json:"events" doc:"All that happened, in its order."`
}

// BenchLot is the lot that an ingredient comes from.
type BenchLot struct {
	Ingredient string `json:"ingredient" doc:"As lots name it."`
	LotID      string `json:"lot_id,omitempty" doc:"Left out while none is named."`
}
