package wire

import (
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

// PadRequest is all that a plan with formic acid depends on.
type PadRequest struct {
	pad.Request
	Colonies []Colony `json:"colonies,omitempty" maxItems:"1000" doc:"Up to 1000; seams do not matter."`
}

// PadDilutionRequest asks for a dilution alone.
type PadDilutionRequest struct {
	Hold    PadHold    `json:"hold" doc:"kind acid, with percent or a reading."`
	Working chem.Share `json:"working_percent" doc:"5 to 100 %, never above the stock's."`
	Size    PadSize    `json:"size" doc:"by working, stock or water."`
	mixing.Balance
}

// PadAssayRequest asks what a density says.
type PadAssayRequest struct {
	Reading PadReading `json:"reading"`
}

func (r PadRequest) core() (pad.Request, error) {
	var l fault.List
	out := r.Settled()
	out.Colonies = readColonies(r.Colonies, &l)
	return out, l.Err()
}
