package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
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

// StripGap is one gap beside the combs.
type StripGap struct {
	Seam      float64 `json:"seam" doc:"Bees in it, 0 to 1 in quarters."`
	Open      bool    `json:"open" doc:"Whether bees can sit here on a comb."`
	Strip     bool    `json:"strip,omitempty" doc:"A strip hangs from here, or a sponge lies above it."`
	Through   bool    `json:"through,omitempty" doc:"It reaches into the box below."`
	FromAbove bool    `json:"from_above,omitempty" doc:"One reaches into it from the box above."`
}

// StripBox is what one box gets.
type StripBox struct {
	Strips int        `json:"strips"`
	OADG   float64    `json:"oad_g,omitempty" doc:"g OAD in them; left out where there is no pot."`
	Gaps   []StripGap `json:"gaps"`
}

// ColonyStrips is what one colony gets, and where.
type ColonyStrips struct {
	Name   string     `json:"name"`
	Frames float64    `json:"frames" doc:"Frames of bees."`
	Wanted int        `json:"wanted" doc:"By the rule."`
	Strips int        `json:"strips" doc:"Placed."`
	ByHand bool       `json:"by_hand,omitempty" doc:"Placed by the keeper."`
	Reason string     `json:"reason,omitempty" doc:"Why fewer than wanted: too_few_gaps, most_per_box or no_gap."`
	OADG   float64    `json:"oad_g,omitempty" doc:"g OAD in all its strips; left out where there is no pot."`
	Boxes  []StripBox `json:"boxes" doc:"The lowest first."`
}

// StripAnswer is one pot.
type StripAnswer struct {
	strip.Plan
	Liquor   Liquor         `json:"liquor" doc:"All of it, with what is carried over."`
	Colonies []ColonyStrips `json:"colonies"`
}

// StripPlacementAnswer is where the strips go.
type StripPlacementAnswer struct {
	Colonies []ColonyStrips `json:"colonies"`
	Notes    []Note         `json:"notes"`
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
	return StripPlacementAnswer{Colonies: colonyStripsOf(placed, in), Notes: said(method.Strip, noted)}, err
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

func colonyStripsOf(placed []strip.ColonyStrips, in strip.Request) []ColonyStrips {
	out := make([]ColonyStrips, len(placed))
	for i, c := range placed {
		out[i] = colonyStrips(c, in.Colonies[i])
	}
	return out
}

func colonyStrips(c strip.ColonyStrips, bees hive.Colony) ColonyStrips {
	out := ColonyStrips{
		Name: c.Name, Frames: c.Frames, Wanted: c.Wanted, Strips: len(c.Placement.Spots), ByHand: c.ByHand,
		Reason: string(c.Placement.Reason), OADG: round(c.OAD), Boxes: make([]StripBox, len(bees.Boxes)),
	}
	all := 0
	for i := range bees.Boxes {
		all += len(bees.Boxes[i].Slots) + 1
	}
	free := make([]StripGap, all)
	for i := range bees.Boxes {
		b := &bees.Boxes[i]
		gaps := free[: len(b.Slots)+1 : len(b.Slots)+1]
		free = free[len(gaps):]
		for g, open := range b.Open() {
			gaps[g] = StripGap{Open: open, Seam: float64(b.Seam(g)) / float64(hive.Full)}
		}
		out.Boxes[i] = StripBox{OADG: round(c.BoxOAD[i]), Gaps: gaps}
	}
	for _, s := range c.Placement.Spots {
		box := &out.Boxes[s.Box]
		box.Strips++
		box.Gaps[s.Gap].Strip, box.Gaps[s.Gap].Through = true, s.Through
		if s.Through {
			out.Boxes[s.Box-1].Gaps[s.Gap].FromAbove = true
		}
	}
	return out
}
