package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/method/strip"
)

// Liquor is acid in glycerol.
type Liquor struct {
	Grams      float64 `json:"grams" doc:"All of it, g."`
	VolumeML   float64 `json:"volume_ml" doc:"mL at 20 °C; an estimate, good to about 3 %."`
	OADG       float64 `json:"oad_g" doc:"g oxalic acid dihydrate."`
	GlycerolG  float64 `json:"glycerol_g" doc:"g pure glycerol."`
	WaterG     float64 `json:"water_g" doc:"g water, the glycerol's own."`
	OADPercent float64 `json:"oad_percent" doc:"OAD by weight, %."`
}

// StripAnswer is one pot.
type StripAnswer struct {
	strip.Plan
	Liquor Liquor `json:"liquor" doc:"All of it, with what is carried over."`
}

// StripPlacementAnswer is where the strips go.
type StripPlacementAnswer struct {
	Colonies []strip.ColonyStrips `json:"colonies"`
	Notes    []Note               `json:"notes"`
}

// StripProtocol is one established recipe for a pot.
type StripProtocol struct {
	ID      string  `json:"id"`
	Liquor  Liquor  `json:"liquor" doc:"As it makes it with glycerol of 99.5 %."`
	Carrier string  `json:"carrier" doc:"What it is soaked into."`
	UptakeG float64 `json:"uptake_g,omitempty" doc:"g liquor in one piece, to start from; left out where it must be weighed."`
	Default bool    `json:"default,omitempty"`
}

// PlanStrip works out a pot. Its error is a fault.List whose fields are paths in
// the request.
func PlanStrip(r StripRequest) (StripAnswer, error) {
	w, err := work(&r)
	if err != nil {
		return StripAnswer{}, err
	}
	return *w.Answer.Strip, nil
}

// PlaceStrips works out where strips go that are soaked already.
func PlaceStrips(r StripPlacementRequest) (StripPlacementAnswer, error) {
	var l fault.List
	in := strip.Request{Layout: r.Layout, Number: r.Number}.Settled()
	in.Colonies, in.Placed = readStripColonies(r.Colonies, &l)
	if len(l) > 0 {
		return StripPlacementAnswer{}, l
	}
	placed, noted, err := strip.Lay(in, r.PieceOAD)
	if err == nil && len(placed) == 0 {
		l.Add("colonies", fault.Missing)
		err = l
	}
	return StripPlacementAnswer{Colonies: placed, Notes: said(method.Strip, noted)}, err
}

// StripProtocols lists the established recipes, weakest first.
func StripProtocols() []StripProtocol {
	out := make([]StripProtocol, len(strip.Protocols))
	for i, s := range strip.Protocols {
		out[i] = StripProtocol{
			ID: s.ID, Liquor: liquor(s.Recipe.Made(chem.MaxGlycerol)), Carrier: string(s.Carrier),
			UptakeG: float64(s.Uptake), Default: s.ID == strip.DefaultProtocol,
		}
	}
	return out
}

func liquor(m chem.Mixture) Liquor {
	return Liquor{
		Grams: round(m.Mass()), VolumeML: round(chem.LiquorVolume(m)), OADG: round(m.OAD),
		GlycerolG: round(m.Glycerol), WaterG: round(m.Water), OADPercent: round(100 * strip.Strength(m)),
	}
}
