package wire

import (
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/method/strip"
	"keeler/core/mixing"
)

// StripRecipe is the wanted recipe: a protocol's, or the keeper's own.
type StripRecipe struct {
	Protocol   string  `json:"protocol,omitempty" doc:"ID from /api/strip/protocols; or give oad_g and the glycerol."`
	OADG       float64 `json:"oad_g,omitempty" doc:"Own: g OAD, 1 to 25000; 0.1 to 1.1 g for each gram of glycerol."`
	GlycerolG  float64 `json:"glycerol_g,omitempty" doc:"Own: g glycerol as bought to that much acid, 1 to 60000; or give glycerol_ml."`
	GlycerolML float64 `json:"glycerol_ml,omitempty" doc:"Own: mL glycerol as bought to that much acid, 1 to 50000."`
}

// StripRule is the rule for how many strips a colony gets.
type StripRule struct {
	By         string  `json:"by" enum:"bees,box,colony" doc:"One to so many frames of bees (a full seam counts as one), so many a box with bees, or so many a colony."`
	Each       int     `json:"each,omitempty" doc:"By box or colony, 1 to 40."`
	Frames     float64 `json:"frames,omitempty" doc:"By bees: frames of bees to one strip, 0.5 to 20; 2.5 when left out."`
	MostPerBox *int    `json:"most_per_box,omitempty" doc:"By bees: at most so many a box, 0 to 20; 4 when left out, 0 for no limit."`
}

// What core takes as it is.
type (
	StripSize    = strip.Size
	StripCarried = strip.Carried
	StripJig     = strip.Jig
	StripPrices  = strip.Prices
)

// StripColony is one colony, and where the keeper himself puts the strips.
type StripColony struct {
	Colony
	Placed [][]int `json:"placed,omitempty" doc:"The gaps chosen by hand, by box from the lowest, counted from 0 at the left wall; left out where Keeler places."`
}

// StripRequest is all that a pot depends on.
type StripRequest struct {
	Recipe          StripRecipe   `json:"recipe"`
	GlycerolPercent float64       `json:"glycerol_percent,omitempty" doc:"Strength of the glycerol as bought, by weight, 86 to 99.5 %; 99.5 when left out."`
	AcidBasis       string        `json:"acid_basis,omitempty" doc:"Of the acid as bought: anhydrous where it has no crystal water, which is then weighed in beside it; dihydrate, which is what is sold, when left out."`
	WarmToC         float64       `json:"warm_to_c,omitempty" doc:"Temperature of the pot, 50 to 77 °C; 70 when left out, 60 by the gentler protocol."`
	Carrier         string        `json:"carrier,omitempty" enum:"strip,long,sponge" doc:"Fibre strips over a top bar, long ones that reach into the box below, or sponges on the top bars; strip when left out."`
	BetweenBoxes    bool          `json:"between_boxes,omitempty" doc:"Sponges of a colony in several boxes lie between them."`
	Number          *StripRule    `json:"number,omitempty" doc:"1 strip to 2½ frames of bees and up to 4 a box when left out; for sponges 2 a box."`
	UptakeG         float64       `json:"uptake_g,omitempty" doc:"Liquor that one piece takes up, from 0.5 g to what brings the most acid that a box may get; 20 for a strip when left out, never guessed for a long one or a sponge."`
	StaysML         float64       `json:"stays_ml,omitempty" doc:"Liquor that must still stand in the vessel to cover the pieces, 0 to 20000 mL."`
	Size            StripSize     `json:"size"`
	Colonies        []StripColony `json:"colonies,omitempty" doc:"Up to 1000."`
	Carried         *StripCarried `json:"carried,omitempty" doc:"Left over from an earlier pot and going into this one."`
	HeadroomPercent *float64      `json:"headroom_percent,omitempty" doc:"Free room in the pot over the liquor, 0 to 200 %; 30 when left out."`
	Jig             StripJig      `json:"jig,omitempty"`
	mixing.Balance
	Prices StripPrices `json:"prices,omitempty"`
}

// StripPlacementRequest asks where strips go, without a pot.
type StripPlacementRequest struct {
	Carrier      string        `json:"carrier,omitempty" enum:"strip,long,sponge" doc:"strip when left out."`
	BetweenBoxes bool          `json:"between_boxes,omitempty" doc:"Sponges of a colony in several boxes lie between them."`
	Number       *StripRule    `json:"number,omitempty" doc:"As in a plan."`
	PieceOADG    float64       `json:"piece_oad_g,omitempty" doc:"g OAD in one piece, so that boxes and colonies are held against their bounds; left out when it is not known."`
	Colonies     []StripColony `json:"colonies" doc:"1 to 1000."`
}

func (r StripRequest) core() (strip.Request, error) {
	var l fault.List
	out := strip.Request{
		Aim:      strip.Aim{Protocol: r.Recipe.Protocol},
		Glycerol: chem.MaxGlycerol,
		Basis:    chem.Basis(r.AcidBasis),
		Heat:     strip.UsualHeat,
		Layout:   strip.Layout{Carrier: carrier(r.Carrier), Between: r.BetweenBoxes},
		Uptake:   chem.Grams(r.UptakeG),
		Stays:    chem.Millilitres(r.StaysML),
		Size:     r.Size,
		Headroom: share(r.HeadroomPercent, strip.UsualHeadroom),
		Jig:      r.Jig,
		Balance:  usual(r.Balance),
		Prices:   r.Prices,
	}
	out.Colonies, out.Placed = readStripColonies(r.Colonies, &l)
	if r.GlycerolPercent != 0 {
		out.Glycerol = chem.Share(r.GlycerolPercent / 100)
	}
	if r.WarmToC != 0 {
		out.Heat = chem.Celsius(r.WarmToC)
	}
	if r.Recipe.Protocol == "" {
		out.Aim.Own = &strip.Recipe{
			OAD: chem.Grams(r.Recipe.OADG), Glycerol: chem.Grams(r.Recipe.GlycerolG), Volume: chem.Millilitres(r.Recipe.GlycerolML),
		}
	}
	sponges := out.Layout.Carrier == strip.Sponge
	if out.Uptake == 0 && out.Layout.Carrier == strip.Fibre {
		out.Uptake = strip.UsualUptake
	}
	out.Number = r.Number.core(sponges)
	if r.Carried != nil {
		out.Carried = *r.Carried
	}
	return out, l.Err()
}

// carrier is a fibre strip where nothing is said.
func carrier(named string) strip.Carrier {
	if named == "" {
		return strip.Fibre
	}
	return strip.Carrier(named)
}

func (n *StripRule) core(sponges bool) strip.Number {
	switch {
	case n == nil && sponges:
		return strip.Number{By: strip.PerBox, Each: strip.SpongesPerBox}
	case n == nil:
		return strip.DefaultNumber
	}
	out := strip.Number{By: strip.NumberBy(n.By), Each: n.Each, Frames: n.Frames, Most: strip.DefaultNumber.Most}
	if n.Frames == 0 {
		out.Frames = strip.DefaultNumber.Frames
	}
	if n.MostPerBox != nil {
		out.Most = *n.MostPerBox
	}
	return out
}

func readStripColonies(in []StripColony, l *fault.List) (colonies []hive.Colony, placed [][][]int) {
	plain := make([]Colony, len(in))
	placed = make([][][]int, len(in))
	for i, c := range in {
		plain[i], placed[i] = c.Colony, c.Placed
	}
	return readColonies(plain, l), placed
}
