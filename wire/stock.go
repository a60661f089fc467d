package wire

import "time"

// StockEntry is one line in the account of a batch or a lot.
type StockEntry struct {
	ID       string  `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Kind     string  `json:"kind" enum:"made,bought,used,spilled,discarded,found,amended" doc:"Made: of a batch that was mixed without the bench. Found: measured, what is really there."`
	Amount   float64 `json:"amount" doc:"0 or more, in the unit of the account: what came, what went, or what was found."`
	ColonyID string  `json:"colony_id,omitempty" format:"uuid" doc:"Of used: on which colony."`
	Reason   string  `json:"reason,omitempty" maxLength:"500" doc:"Why; needed for spilled, discarded and found."`

	Change     float64   `json:"change,omitempty" readOnly:"true" doc:"What it changed: above 0 came, below 0 went."`
	LeftBefore float64   `json:"left_before,omitempty" readOnly:"true" doc:"What was there by the account before it was written."`
	Colony     string    `json:"colony,omitempty" readOnly:"true"`
	ForBatch   string    `json:"for_batch_id,omitempty" readOnly:"true" doc:"The batch that it went into."`
	At         time.Time `json:"at,omitzero" readOnly:"true" doc:"By the clock of the work."`
	By         string    `json:"by,omitempty" readOnly:"true"`
}

// OnHand is what is there of a batch or a lot.
type OnHand struct {
	Unit        string  `json:"unit" enum:"ml,g,pieces"`
	Left        float64 `json:"left"`
	ToReconcile bool    `json:"to_reconcile,omitempty" doc:"More went than there was: measure what is there, and say why."`
	UseBy       string  `json:"use_by,omitempty" doc:"The last good day."`
	Keeps       string  `json:"keeps,omitempty" enum:"fresh,soon,past" doc:"How today stands to it."`
}

// Ledger is the account of a batch.
type Ledger struct {
	OnHand
	Entries   []StockEntry `json:"entries" doc:"In their order; never changed, only added to."`
	Cost      *LedgerCost  `json:"cost,omitempty" doc:"Left out while no lot with a price went in."`
	Portions  []Portion    `json:"portions" doc:"What of it is in vessels of its own."`
	InPortion float64      `json:"in_portions"`
	OverFull  bool         `json:"over_portioned,omitempty" doc:"More is said to be in vessels than there is."`
}

// LedgerCost is what the ingredients by their lots cost.
type LedgerCost struct {
	Total     float64  `json:"total"`
	PerColony float64  `json:"per_colony,omitempty" doc:"Over the colonies it was used on, or else those it was planned for."`
	Colonies  int      `json:"colonies,omitempty"`
	Unpriced  []string `json:"unpriced" doc:"Ingredients that no lot with a price is named for."`
}

// Portion is part of a batch in a vessel that is carried to a yard.
type Portion struct {
	ID     string  `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Vessel string  `json:"vessel" minLength:"1" maxLength:"60" doc:"What it is in."`
	Amount float64 `json:"amount" doc:"In the unit of the batch."`
	YardID string  `json:"yard_id,omitempty" format:"uuid"`
	Yard   string  `json:"yard,omitempty" readOnly:"true"`
}

// Lot is an ingredient as it was bought at one time.
type Lot struct {
	ID         string  `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Ingredient string  `json:"ingredient" enum:"acid,sugar,glycerol,tablets,ready_mix,formic,carrier,product,ready_pads,filter" doc:"Carrier: strips or sponges. Product: a solution ready to use. Filter: of a mask."`
	Name       string  `json:"name" minLength:"1" maxLength:"80" doc:"What the keeper calls it."`
	SupplierNo string  `json:"supplier_no,omitempty" maxLength:"60" doc:"The supplier's batch number."`
	Supplier   string  `json:"supplier,omitempty" maxLength:"120" doc:"Of whom it was bought."`
	BoughtOn   string  `json:"bought_on,omitempty" doc:"2006-01-02."`
	Authorised string  `json:"authorisation,omitempty" maxLength:"60" doc:"The authorisation number of the product that it is."`
	ExpiresOn  string  `json:"expires_on,omitempty" doc:"2006-01-02."`
	Amount     float64 `json:"amount,omitempty" doc:"Bought, in its unit: g, mL of a product, pieces of what is counted."`
	Price      float64 `json:"price,omitempty" doc:"For a kilogram or litre, or for a piece; left out when not said."`
}

// LotStock is a lot with what is left of it.
type LotStock struct {
	Lot
	OnHand
	Bought float64 `json:"bought,omitempty" doc:"In its unit; only in the list."`
	Does   *Does   `json:"does,omitempty" doc:"Left out where it cannot be said without a label or a strength."`
}

// Lots are all there are.
type Lots struct {
	Lots []LotStock `json:"lots" doc:"The newest first."`
}

// LotBook is a lot with its account.
type LotBook struct {
	LotStock
	Entries []StockEntry `json:"entries" doc:"In their order; never changed, only added to."`
}

// Label is what stands on the vessel of a batch.
type Label struct {
	BatchID     string     `json:"batch_id"`
	Number      int        `json:"number"`
	Name        string     `json:"name"`
	Method      string     `json:"method" enum:"dribble,strip,pad"`
	Kind        string     `json:"kind" enum:"syrup,liquor,strips,formic,product" doc:"What is in the vessel."`
	Weighed     bool       `json:"weighed" doc:"By what was really weighed; otherwise by the plan."`
	MadeOn      string     `json:"made_on"`
	UseBy       string     `json:"use_by,omitempty"`
	Keeping     string     `json:"keeping,omitempty" enum:"room,fridge,sealed,closed"`
	Rule        string     `json:"rule_worked_under,omitempty"`
	Is          *BenchMade `json:"is,omitempty" doc:"Left out where only the acid of a product is known."`
	Amount      float64    `json:"amount" doc:"Made."`
	Unit        string     `json:"unit" enum:"ml,g,pieces"`
	OADPerPiece float64    `json:"oad_g_per_piece,omitempty"`
	Acids       []string   `json:"acids" doc:"oxalic_acid_dihydrate, formic_acid."`
	Hazards     []string   `json:"hazards" doc:"Marks: poison, corrosive."`
	Portions    []Portion  `json:"portions"`
}

// LotUnit is what a lot of an ingredient is counted in.
func LotUnit(ingredient string) string {
	switch ingredient {
	case "tablets", "carrier", "ready_pads", "filter":
		return "pieces"
	case "product":
		return "ml"
	}
	return "g"
}
