package strip

import (
	"cmp"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
)

// What a plan takes, in physical sense.
const (
	MinLiquor = 20.0     // g
	MaxLiquor = 150000.0 // g
	MaxStrips = 20000
	// MinRatio and MaxRatio bound g OAD to 1 g glycerol: the strongest protocol puts
	// in 1 : 1, and a tenth more is taken for a slip of the pen.
	MinRatio = 0.1
	MaxRatio = 1.1
)

// Temperatures of the pot, °C: the usual one, the gentler protocol's, and the one
// that is never gone above.
const (
	UsualHeat   chem.Celsius = 70
	GentleHeat  chem.Celsius = 60
	HighestHeat chem.Celsius = 77
	LowestHeat  chem.Celsius = 50
)

// Aim is the wanted recipe: a protocol's, or the keeper's own.
type Aim struct {
	Protocol string `json:"protocol,omitempty" doc:"ID from /api/strip/protocols; or give oad_g and the glycerol."`
	Recipe
}

// SizeBy is what settles how much is made.
type SizeBy string

const (
	SizeColonies SizeBy = "colonies" // the strips placed in the colonies
	SizeCount    SizeBy = "count"    // so many colonies with so many strips each
	SizeStrips   SizeBy = "strips"
	SizeAcid     SizeBy = "acid"     // all the acid in hand
	SizeGlycerol SizeBy = "glycerol" // all the glycerol in hand
	SizeTimes    SizeBy = "times"    // the recipe so many times
	SizeVolume   SizeBy = "volume"   // of the liquor
)

// Size settles how much is made.
type Size struct {
	By       SizeBy           `json:"by" enum:"colonies,count,strips,acid,glycerol,times,volume" doc:"By the strips placed in the colonies; by so many colonies with so many each; by strips; or the other way round by the acid or glycerol in hand, the recipe so many times, or the volume of the liquor."`
	Colonies int              `json:"colonies,omitempty" doc:"By count, 1 to 1000."`
	Each     float64          `json:"each,omitempty" doc:"By count: strips a colony, 0.25 to 40."`
	Strips   int              `json:"strips,omitempty" doc:"1 to 20000."`
	Acid     chem.Grams       `json:"acid_g,omitempty" doc:"Acid as bought in hand, g, 7 to 25000."`
	Glycerol chem.Millilitres `json:"glycerol_ml,omitempty" doc:"Glycerol as bought in hand, mL, 15 to 50000."`
	Times    float64          `json:"times,omitempty" doc:"The recipe so many times, 0.02 to 50."`
	Volume   chem.Millilitres `json:"volume_ml,omitempty" doc:"Liquor at 20 °C, mL, 20 to 75000."`
}

// Carried is liquor left from an earlier pot, with its own composition. What is
// neither acid nor water counts as glycerol.
type Carried struct {
	Mass  chem.Grams `json:"grams" doc:"g of it, at most what this pot can take."`
	OAD   chem.Share `json:"oad_percent" doc:"OAD in it by weight, 1 to 60 %."`
	Water chem.Share `json:"water_percent,omitempty" doc:"Water in it by weight, 0 to 30 %; the rest counts as glycerol."`
}

// Jig is what the strips are soaked in.
type Jig struct {
	Slots int `json:"slots,omitempty" doc:"0 to 500; 0 for none."`
	Most  int `json:"most,omitempty" doc:"Strips in a slot at most, 0 to 500; 0 for no limit."`
}

// Prices in any one currency; 0 when not said.
type Prices struct {
	AcidKg    float64 `json:"acid_kg,omitempty" doc:"For a kilogram of acid as bought, 0 to 1000000."`
	GlycerolL float64 `json:"glycerol_l,omitempty" doc:"For a litre of glycerol as bought, 0 to 1000000."`
	Strip     float64 `json:"strip,omitempty" doc:"For one dry strip or sponge, 0 to 1000000."`
}

// Request is all that a plan depends on.
type Request struct {
	Aim      Aim          `json:"recipe"`
	Glycerol chem.Share   `json:"glycerol_percent,omitempty" doc:"Strength of the glycerol as bought, by weight, 86 to 99.5 %; 99.5 when left out."`
	Basis    chem.Basis   `json:"acid_basis,omitempty" doc:"Of the acid as bought: anhydrous where it has no crystal water, which is then weighed in beside it; dihydrate, which is what is sold, when left out."`
	Heat     chem.Celsius `json:"warm_to_c,omitempty" doc:"Temperature of the pot, 50 to 77 °C; 70 when left out, 60 by the gentler protocol."`
	Layout
	Number   *Number          `json:"number,omitempty" doc:"1 strip to 2½ frames of bees and up to 4 a box when left out; for sponges 2 a box."`
	Uptake   chem.Grams       `json:"uptake_g,omitempty" doc:"Liquor that one piece takes up, from 0.5 g to what brings the most acid that a box may get; 20 for a strip when left out, never guessed for a long one or a sponge."`
	Stays    chem.Millilitres `json:"stays_ml,omitempty" doc:"Liquor that must still stand in the vessel to cover the pieces, 0 to 20000 mL."`
	Size     Size             `json:"size"`
	Colonies []hive.Colony    `json:"-"`
	Placed   [][][]int        `json:"-"` // by colony and box, the gaps the keeper chose; nil where Keeler places
	Carried  Carried          `json:"carried,omitzero" doc:"Left over from an earlier pot and going into this one."`
	Headroom *chem.Share      `json:"headroom_percent,omitempty" doc:"Free room in the pot over the liquor, 0 to 200 %; 30 when left out."`
	Jig      Jig              `json:"jig,omitzero"`
	mixing.Balance
	Prices Prices `json:"prices,omitzero"`
}

// Settled is a request with what is usual where nothing is said.
func (r Request) Settled() Request {
	r.Glycerol, r.Heat, r.Carrier = cmp.Or(r.Glycerol, chem.MaxGlycerol), cmp.Or(r.Heat, UsualHeat), cmp.Or(r.Carrier, Fibre)
	if r.Carrier == Fibre {
		r.Uptake = cmp.Or(r.Uptake, UsualUptake)
	}
	r.Number, r.Balance = new(r.Number.settled(r.Carrier)), r.Balance.Settled()
	r.Headroom = new(chem.Or(r.Headroom, UsualHeadroom))
	return r
}

// powder is so much OAD in grams of the powder as bought. Anhydrous acid lacks its
// crystal water, which is weighed in beside it, so that the liquor is the same.
func (r Request) powder(oad chem.Grams) chem.Grams {
	return chem.Grams(chem.FromDihydrate(float64(oad), r.Basis))
}

// inHand is the OAD in the acid in hand.
func (r Request) inHand() chem.Grams {
	return chem.Grams(chem.ToDihydrate(float64(r.Size.Acid), r.Basis))
}

func (r Request) check() fault.List {
	var l fault.List
	hive.CheckAll(r.Colonies, &l)
	r.Aim.check(r.Glycerol, &l)
	if r.Basis != "" && r.Basis != chem.Dihydrate && r.Basis != chem.Anhydrous {
		l.Add("acid_basis", fault.Unknown)
	}
	l.Within("glycerol_percent", float64(r.Glycerol)*100, float64(chem.MinGlycerol)*100, float64(chem.MaxGlycerol)*100, "%")
	l.Within("warm_to_c", float64(r.Heat), float64(LowestHeat), float64(HighestHeat), "°C")
	r.Layout.check(&l)
	r.Number.check(&l)
	if most := r.mostUptake(len(l) == 0); r.Uptake == 0 {
		l.AddRange("uptake_g", fault.Missing, minUptake, most, "g")
	} else {
		l.Within("uptake_g", float64(r.Uptake), minUptake, most, "g")
	}
	l.Within("stays_ml", float64(r.Stays), 0, 20000, "mL")
	r.Size.check(&l)
	if r.Carried.Mass != 0 {
		l.Within("carried.grams", float64(r.Carried.Mass), 0, MaxLiquor, "g")
		if l.Within("carried.oad_percent", float64(r.Carried.OAD)*100, 1, 60, "%") {
			l.Within("carried.water_percent", float64(r.Carried.Water)*100, 0, min(30, 100-float64(r.Carried.OAD)*100), "%")
		}
	}
	l.Within("headroom_percent", float64(*r.Headroom)*100, 0, 200, "%")
	l.Within("jig.slots", float64(r.Jig.Slots), 0, 500, "slots")
	l.Within("jig.most", float64(r.Jig.Most), 0, 500, "strips")
	r.Balance.Check(&l)
	l.Within("prices.acid_kg", r.Prices.AcidKg, 0, 1e6, "")
	l.Within("prices.glycerol_l", r.Prices.GlycerolL, 0, 1e6, "")
	l.Within("prices.strip", r.Prices.Strip, 0, 1e6, "")
	return l
}

// carriedOff is how far what is carried over may be from the strength of the batch that it
// is said to come from, as a share of the liquor.
const carriedOff chem.Share = 0.001

// CheckParent appends that what a pot carries over is not of the strength of the batch
// that it comes from: to a tenth of a per cent.
func (r Request) CheckParent(parent chem.Mixture, l *fault.List) {
	if r.Carried.Mass == 0 {
		l.Add("carried.grams", fault.Missing)
		return
	}
	is := Strength(parent)
	if off := r.Carried.OAD - is; off > carriedOff || off < -carriedOff {
		l.AddRange("carried.oad_percent", fault.NotFitting, 100*float64(is-carriedOff), 100*float64(is+carriedOff), "%")
	}
}

// What one piece takes up, g.
const minUptake, maxUptake = 0.5, 500

// mostUptake is that of a piece which alone brings as much acid as a box may get; of a
// recipe or carrier that cannot be nothing is known.
func (r Request) mostUptake(known bool) float64 {
	if !known {
		return maxUptake
	}
	strength := Strength(r.recipe().Made(r.Glycerol))
	return min(maxUptake, float64(r.Layout.Carrier.bounds().mostBox)/float64(strength))
}

func (how Layout) check(l *fault.List) {
	switch how.Carrier {
	case Fibre, Long, Sponge:
	case "":
		l.Add("carrier", fault.Missing)
	default:
		l.Add("carrier", fault.Unknown)
	}
}

func (a Aim) check(glycerol chem.Share, l *fault.List) {
	if a.Protocol != "" {
		if _, ok := Find(a.Protocol); !ok {
			l.Add("recipe.protocol", fault.Unknown)
		}
		return
	}
	low := len(*l)
	l.Within("recipe.oad_g", float64(a.OAD), 1, 25000, "g")
	switch {
	case a.Volume != 0 && a.Glycerol != 0:
		l.Add("recipe.glycerol_ml", fault.NotFitting)
	case a.Volume != 0:
		l.Within("recipe.glycerol_ml", float64(a.Volume), 1, 50000, "mL")
	case a.Glycerol != 0:
		l.Within("recipe.glycerol_g", float64(a.Glycerol), 1, 60000, "g")
	default:
		l.AddRange("recipe.glycerol_g", fault.Missing, 1, 60000, "g")
	}
	if len(*l) > low {
		return
	}
	weight := float64(a.Weight(glycerol))
	switch ratio := float64(a.OAD) / weight; {
	case ratio > MaxRatio:
		l.AddRange("recipe.oad_g", fault.UpsideDown, MinRatio*weight, MaxRatio*weight, "g")
	case ratio < MinRatio:
		l.AddRange("recipe.oad_g", fault.TooLow, MinRatio*weight, MaxRatio*weight, "g")
	}
}

func (s Size) check(l *fault.List) {
	switch s.By {
	case SizeColonies:
	case SizeCount:
		l.Within("size.colonies", float64(s.Colonies), 1, hive.MaxColonies, "colonies")
		l.Within("size.each", s.Each, 0.25, 40, "strips")
	case SizeStrips:
		l.Within("size.strips", float64(s.Strips), 1, MaxStrips, "strips")
	case SizeAcid:
		l.Within("size.acid_g", float64(s.Acid), 7, 25000, "g")
	case SizeGlycerol:
		l.Within("size.glycerol_ml", float64(s.Glycerol), 15, 50000, "mL")
	case SizeTimes:
		l.Within("size.times", s.Times, 0.02, 50, "times")
	case SizeVolume:
		l.Within("size.volume_ml", float64(s.Volume), 20, 75000, "mL")
	case "":
		l.Add("size.by", fault.Missing)
	default:
		l.Add("size.by", fault.Unknown)
	}
}
