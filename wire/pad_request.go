package wire

import (
	"cmp"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/pad"
)

// PadReading is a density of formic acid and the temperature it was read at.
type PadReading struct {
	GPerML    float64  `json:"g_per_ml" doc:"Density as read, g/mL; within the table from water to pure acid at that temperature."`
	TempC     *float64 `json:"temp_c,omitempty" doc:"Temperature of the acid when read, 0 to 40 °C. Required: 10 °C are worth 6 % near 85 %."`
	OffGPerML *float64 `json:"off_g_per_ml,omitempty" doc:"How far off the reading can be, 0 to 0.05 g/mL; 0.001 when left out."`
	TempOffC  *float64 `json:"temp_off_c,omitempty" doc:"How far off the temperature can be, 0 to 10 °C; 1 when left out."`
}

// What core takes as it is.
type (
	PadCard   = pad.Card
	PadMean   = pad.Mean
	PadSheet  = pad.Sheet
	PadPrices = pad.Prices
)

// PadHold is what the keeper has.
type PadHold struct {
	Kind     string      `json:"kind" enum:"acid,ready_pads" doc:"Formic acid to be let down or given as it is, or ready pads."`
	Percent  float64     `json:"percent,omitempty" doc:"Acid: strength on its label by weight, 5 to 100 %; or give a reading."`
	Reading  *PadReading `json:"reading,omitempty" doc:"Acid: its density, where the label is doubtful."`
	VolumeML float64     `json:"volume_ml,omitempty" doc:"Acid in hand, mL, 10 to 100000."`
	Card     *PadCard    `json:"card,omitempty" doc:"Required for ready_pads."`
	Count    int         `json:"count,omitempty" doc:"Ready pads in hand, 0 to 10000."`
}

// PadRule is how much a colony gets and how often: a protocol's, or the keeper's own.
type PadRule struct {
	Protocol  string  `json:"protocol,omitempty" doc:"ID from /api/pad/protocols; or give per, ml and from."`
	Per       string  `json:"per,omitempty" doc:"Own: comb, box or colony."`
	ML        float64 `json:"ml,omitempty" doc:"Own: mL for it, from 0.1; as much as brings no box over 100 g of pure acid at a visit."`
	AtPercent float64 `json:"at_percent,omitempty" doc:"Own: the strength that ml, nuc_ml and cap_ml are meant in, 5 to 100 %; the working strength when left out."`
	From      string  `json:"from,omitempty" doc:"Own: above or below."`
	NucML     float64 `json:"nuc_ml,omitempty" doc:"Own: mL for every nuc; 0 for its part by combs."`
	CapML     float64 `json:"cap_ml,omitempty" doc:"Own: mL for any colony at a visit at most, 0 to 1000; 0 for no cap."`
	Visits    int     `json:"visits,omitempty" doc:"1 to 15, and as many as bring no box over 500 g of pure acid; the protocol's when left out, 1 for one's own."`
	ByLabel   bool    `json:"by_label,omitempty" doc:"Own: these are a label's figures: never rounded up, and not warned about."`
	DaysApart int     `json:"days_apart,omitempty" doc:"0 to 30; the protocol's when left out."`
}

// PadSize settles how much is let down.
type PadSize struct {
	By             string   `json:"by,omitempty" doc:"visit (all colonies once), course (all visits), working, stock or water; not needed for ready pads."`
	WorkingML      float64  `json:"working_ml,omitempty" doc:"Working acid wanted, mL at 20 °C, 5 to 100000."`
	StockML        float64  `json:"stock_ml,omitempty" doc:"Stock to be used up, mL at 20 °C, 5 to 100000."`
	WaterG         float64  `json:"water_g,omitempty" doc:"Water that is in the bottle already, g, 2 to 50000."`
	ReservePercent *float64 `json:"reserve_percent,omitempty" doc:"On top for a visit or course, 0 to 100 %; 5 when left out."`
}

// PadRequest is all that a plan with formic acid depends on.
type PadRequest struct {
	Hold             PadHold   `json:"hold"`
	WorkingPercent   float64   `json:"working_percent,omitempty" doc:"Strength to be used by weight, 5 to 100 % and never above the stock's; 60 when left out."`
	Amount           PadRule   `json:"amount,omitempty" doc:"Not needed for ready pads."`
	Size             PadSize   `json:"size,omitempty"`
	Colonies         []Colony  `json:"colonies,omitempty" doc:"Up to 1000; seams do not matter."`
	Mean             *PadMean  `json:"mean,omitempty" doc:"Used when there are no colonies."`
	Sheet            *PadSheet `json:"sheet,omitempty" doc:"With it the answer says how many sheets, or how large."`
	BottleML         float64   `json:"bottle_ml,omitempty" doc:"In which the stock is sold, mL, 50 to 50000; 1000 when left out."`
	BalanceG         float64   `json:"balance_g,omitempty" doc:"What the balance reads, 0.001 to 10 g; 0.1 when left out."`
	BalanceCapacityG float64   `json:"balance_capacity_g,omitempty" doc:"What it carries, g, at least 100 divisions; left out when it is not known."`
	Prices           PadPrices `json:"prices,omitempty"`
}

// PadDilutionRequest asks for a dilution alone.
type PadDilutionRequest struct {
	Hold           PadHold `json:"hold" doc:"kind acid, with percent or a reading."`
	WorkingPercent float64 `json:"working_percent" doc:"5 to 100 %, never above the stock's."`
	Size           PadSize `json:"size" doc:"by working, stock or water."`
	BalanceG       float64 `json:"balance_g,omitempty" doc:"What the balance reads, 0.001 to 10 g; 0.1 when left out."`
}

// PadAssayRequest asks what a density says.
type PadAssayRequest struct {
	Reading PadReading `json:"reading"`
}

func (r PadRequest) core() (pad.Request, error) {
	var l fault.List
	out := pad.Request{
		Hold: pad.Hold{
			Kind: pad.HoldKind(r.Hold.Kind), Label: chem.Share(r.Hold.Percent / 100),
			Volume: chem.Millilitres(r.Hold.VolumeML), Card: r.Hold.Card, Count: r.Hold.Count,
		},
		Working:  chem.Share(r.WorkingPercent / 100),
		Protocol: r.Amount.Protocol, Visits: r.Amount.Visits, Apart: r.Amount.DaysApart,
		Size: pad.Size{
			By: pad.SizeBy(r.Size.By), Working: chem.Millilitres(r.Size.WorkingML),
			Stock: chem.Millilitres(r.Size.StockML), Water: chem.Grams(r.Size.WaterG),
			Reserve: share(r.Size.ReservePercent, pad.UsualReserve),
		},
		Colonies: readColonies(r.Colonies, &l),
		Bottle:   pad.UsualBottle,
		Balance:  balance(r.BalanceG, r.BalanceCapacityG),
		Prices:   r.Prices,
	}
	if r.WorkingPercent == 0 {
		out.Working = pad.WeakestWorking
	}
	if r.Hold.Reading != nil {
		reading := r.Hold.Reading.core()
		out.Hold.Reading = &reading
	}
	if a := r.Amount; a.Protocol == "" {
		out.Own = &pad.Rule{
			Per: pad.Per(a.Per), ML: chem.Millilitres(a.ML), At: chem.Share(a.AtPercent / 100),
			From: pad.From(a.From), Nuc: chem.Millilitres(a.NucML), Cap: chem.Millilitres(a.CapML),
			Label: a.ByLabel,
		}
		if a.AtPercent == 0 {
			out.Own.At = out.Working
		}
	}
	if r.Mean != nil {
		mean := *r.Mean
		mean.Boxes = cmp.Or(mean.Boxes, 1)
		out.Mean = &mean
	}
	if r.Sheet != nil {
		out.Sheet = *r.Sheet
	}
	if r.BottleML != 0 {
		out.Bottle = chem.Millilitres(r.BottleML)
	}
	return out, l.Err()
}

func (r PadReading) core() pad.Reading {
	return pad.Reading{
		Density: chem.GramsPerMillilitre(r.GPerML), Temp: or[chem.Celsius](r.TempC, 0), NoTemp: r.TempC == nil,
		Off:     or(r.OffGPerML, pad.UsualOff),
		TempOff: or(r.TempOffC, pad.UsualTempOff),
	}
}
