package wire

import (
	"cmp"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/pad"
	"keeler/core/mixing"
)

// What core takes as it is.
type (
	PadCard    = pad.Card
	PadMean    = pad.Mean
	PadSheet   = pad.Sheet
	PadPrices  = pad.Prices
	PadReading = pad.Reading
	PadHold    = pad.Hold
	PadSize    = pad.Size
)

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

// PadRequest is all that a plan with formic acid depends on.
type PadRequest struct {
	Hold           PadHold   `json:"hold"`
	WorkingPercent float64   `json:"working_percent,omitempty" doc:"Strength to be used by weight, 5 to 100 % and never above the stock's; 60 when left out."`
	Amount         PadRule   `json:"amount,omitempty" doc:"Not needed for ready pads."`
	Size           PadSize   `json:"size,omitempty"`
	Colonies       []Colony  `json:"colonies,omitempty" doc:"Up to 1000; seams do not matter."`
	Mean           *PadMean  `json:"mean,omitempty" doc:"Used when there are no colonies."`
	Sheet          *PadSheet `json:"sheet,omitempty" doc:"With it the answer says how many sheets, or how large."`
	BottleML       float64   `json:"bottle_ml,omitempty" doc:"In which the stock is sold, mL, 50 to 50000; 1000 when left out."`
	mixing.Balance
	Prices PadPrices `json:"prices,omitempty"`
}

// PadDilutionRequest asks for a dilution alone.
type PadDilutionRequest struct {
	Hold           PadHold `json:"hold" doc:"kind acid, with percent or a reading."`
	WorkingPercent float64 `json:"working_percent" doc:"5 to 100 %, never above the stock's."`
	Size           PadSize `json:"size" doc:"by working, stock or water."`
	mixing.Balance
}

// PadAssayRequest asks what a density says.
type PadAssayRequest struct {
	Reading PadReading `json:"reading"`
}

func (r PadRequest) core() (pad.Request, error) {
	var l fault.List
	out := pad.Request{
		Hold:     r.Hold,
		Working:  chem.Share(r.WorkingPercent / 100),
		Protocol: r.Amount.Protocol, Visits: r.Amount.Visits, Apart: r.Amount.DaysApart,
		Size:     r.Size,
		Colonies: readColonies(r.Colonies, &l),
		Bottle:   pad.UsualBottle,
		Balance:  usual(r.Balance),
		Prices:   r.Prices,
	}
	if r.WorkingPercent == 0 {
		out.Working = pad.WeakestWorking
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
