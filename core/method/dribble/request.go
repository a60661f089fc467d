package dribble

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
	"keeler/core/mixing"
)

// What a plan takes, in physical sense.
const (
	MinVolume   = 10.0     // mL
	MaxVolume   = 100000.0 // mL
	MinStrength = 5.0      // g OAD per litre
	// StockTemperature is the warmest room in which a bought solution is still
	// expected to be clear, °C.
	StockTemperature chem.Celsius = 30
	// RoomTemperature is where a finished syrup must stay clear, °C.
	RoomTemperature chem.Celsius = 20
)

// HoldKind is what the keeper has.
type HoldKind string

const (
	Crystals   HoldKind = "crystals"
	Packet     HoldKind = "packet"
	Tablets    HoldKind = "tablets"
	ReadyMix   HoldKind = "ready_mix"    // a bought solution, to be thinned
	ReadyToUse HoldKind = "ready_to_use" // a product given as it is, by its label
)

// Hold is what the keeper has.
type Hold struct {
	Kind     HoldKind         `json:"kind" enum:"crystals,packet,tablets,ready_mix,ready_to_use" doc:"What is held: oxalic acid dihydrate (OAD) crystals, packets of powder, tablets, a bought solution to be thinned, or a product given as it is."`
	Grams    chem.Grams       `json:"grams,omitempty" doc:"g. Crystals: in hand, 0.5 to 25000, may be left out unless sized by in_hand. Packet: powder in one packet, 1 to 5000. Tablets: one tablet, 0.1 to 50."`
	Share    chem.Share       `json:"oad_percent,omitempty" doc:"Share of acid in the powder or tablet, 1 to 100 %; required for packets and tablets, 100 for crystals when left out. Filler counts as sugar. A share of about 71.4 is asked about, see sure."`
	Basis    chem.Basis       `json:"basis,omitempty" doc:"Of the powder or tablet: anhydrous where its acid has no crystal water; dihydrate, which is what is sold, when left out."`
	Sure     bool             `json:"sure,omitempty" doc:"Yes, oad_percent is a purity, and not the dihydrate counted anhydrous."`
	Count    float64          `json:"count,omitempty" doc:"Packets (0.05 to 1000) or whole tablets (1 to 10000) in hand; may be left out unless sized by in_hand."`
	MadeUpTo chem.Millilitres `json:"made_up_to_ml,omitempty" doc:"Finished volume that one packet's label makes of it, mL, 10 to 100000."`
	Volume   chem.Millilitres `json:"volume_ml,omitempty" doc:"Bought solution or product in hand, mL, 10 to 100000."`
	Stock    Stock            `json:"stock,omitzero" doc:"The label of a bought solution; required for ready_mix."`
	Card     *Card            `json:"card,omitempty" doc:"What the keeper copied from the label of a ready-to-use product; required for ready_to_use."`
}

// AimBy is how the wanted strength is given.
type AimBy string

const (
	ByProtocol AimBy = "protocol"
	ByValue    AimBy = "value"
	ByPacket   AimBy = "packet" // as the packet's own label makes it
)

// Aim is the wanted strength.
type Aim struct {
	By       AimBy      `json:"by" enum:"protocol,value,packet" doc:"By a protocol, by a free value, or as the packet's own label makes it."`
	Protocol string     `json:"protocol,omitempty" doc:"ID from /api/protocols."`
	Value    float64    `json:"value,omitempty" doc:"Free strength in form and on basis; at least 5 g OAD per litre, at most what stays dissolved at 20 °C (about 80 g OAD per litre in 1 : 1 syrup)."`
	Form     chem.Form  `json:"form,omitempty" doc:"g_per_l, percent_wv, percent_ww, mg_per_seam (in a full seam) or g_per_colony (at the cap)."`
	Basis    chem.Basis `json:"basis,omitempty" doc:"dihydrate or anhydrous; never guessed."`
}

// SizeBy is what settles how much is made.
type SizeBy string

const (
	SizeSeams    SizeBy = "seams"    // the doses of the colonies, or of a mean, plus reserve
	SizeColonies SizeBy = "colonies" // so many at the cap
	SizeVolume   SizeBy = "volume"
	SizeHand     SizeBy = "in_hand" // all that is held
)

// Size settles how much is made.
type Size struct {
	By       SizeBy           `json:"by" enum:"seams,colonies,volume,in_hand" doc:"By the seams of the colonies (or of the mean) plus reserve and dead volume; by colonies at the cap; by finished volume; or by all that is held (packets, tablets, loose acid, bought solution)."`
	Volume   chem.Millilitres `json:"volume_ml,omitempty" doc:"Finished volume at 20 °C, mL, 10 to 100000."`
	Colonies int              `json:"colonies,omitempty" doc:"Colonies at the cap, 1 to 1000."`
	Reserve  *chem.Share      `json:"reserve_percent,omitempty" doc:"On top of the doses when sized by seams, 0 to 100 %; 10 when left out."`
}

// Reserved is the reserve as said, or the usual one.
func (s Size) Reserved() chem.Share { return chem.Or(s.Reserve, UsualReserve) }

// Mean is a count over many colonies of which none was looked at singly.
type Mean struct {
	Seams    float64 `json:"seams" doc:"Full seams in all, from 0.25."`
	Colonies int     `json:"colonies" doc:"In so many colonies, 1 to 1000."`
}

// Prices in any one currency; 0 when not said.
type Prices struct {
	Hold  float64 `json:"hold,omitempty" doc:"For a kilogram of crystals, one packet, one tablet, or a litre of solution."`
	Sugar float64 `json:"sugar_kg,omitempty" doc:"For a kilogram of sugar."`
}

// Request is all that a plan depends on.
type Request struct {
	Hold       Hold          `json:"hold"`
	Aim        Aim           `json:"strength,omitzero" doc:"Not needed for ready_to_use."`
	SugarRatio float64       `json:"sugar_per_water,omitempty" doc:"g sugar to 1 g water, 0.1 to 2; the protocol's ratio, or 1, when left out."`
	ThinSugar  *chem.Share   `json:"sugar_percent_ww,omitempty" doc:"Sugar wanted in a thinned ready-mix, 0 to 65 % of the whole weight; 30 when left out."`
	Size       Size          `json:"size"`
	Colonies   []hive.Colony `json:"-"`
	Mean       *Mean         `json:"mean,omitempty" doc:"Used when there are no colonies."`
	Rule       Rule          `json:"rule,omitzero"`
	Applicator *Applicator   `json:"applicator,omitempty" doc:"A 60 mL syringe when left out."`
	mixing.Balance
	Fridge *chem.Celsius `json:"fridge_c,omitempty" doc:"Where the syrup is kept, 0 to 30 °C; 4 when left out."`
	Yard   *chem.Celsius `json:"yard_c,omitempty" doc:"Where it is used, −20 to 40 °C; 4 when left out."`
	Prices Prices        `json:"prices,omitzero"`
}

// Settled is a request with what is usual where nothing is said.
func (r Request) Settled() Request {
	r.Hold, r.Balance = r.Hold.Settled(), r.Balance.Settled()
	r.ThinSugar = new(chem.Or(r.ThinSugar, UsualThinSugar))
	r.Applicator = new(chem.Or(r.Applicator, UsualApplicator))
	r.Fridge, r.Yard = new(chem.Or(r.Fridge, UsualFridge)), new(chem.Or(r.Yard, UsualYard))
	return r
}

func (r Request) check() fault.List {
	var l fault.List
	r.Rule.check("rule", &l)
	r.Applicator.check("applicator", &l)
	hive.CheckAll(r.Colonies, &l)
	r.Hold.check("hold", r.Size.By == SizeHand, r.Rule.Label, &l)
	r.checkAim(&l)
	r.checkSize(&l)
	if r.SugarRatio != 0 {
		l.Within("sugar_per_water", r.SugarRatio, 0.1, 2, "g sugar to 1 g water")
	}
	r.Balance.Check(&l)
	l.Within("fridge_c", float64(*r.Fridge), 0, 30, "°C")
	l.Within("yard_c", float64(*r.Yard), -20, 40, "°C")
	l.Within("prices.hold", r.Prices.Hold, 0, 1e6, "")
	l.Within("prices.sugar_kg", r.Prices.Sugar, 0, 1e6, "")
	return l
}

func (h Hold) check(path string, all, labelBySeam bool, l *fault.List) {
	switch h.Kind {
	case Crystals:
		h.checkAmount(path+".grams", float64(h.Grams), all, 0.5, 25000, "g", l)
	case Packet:
		l.Within(path+".grams", float64(h.Grams), 1, 5000, "g")
		h.checkAmount(path+".count", h.Count, all, 0.05, 1000, "packets", l)
		if h.MadeUpTo != 0 {
			l.Within(path+".made_up_to_ml", float64(h.MadeUpTo), MinVolume, MaxVolume, "mL")
		}
	case Tablets:
		l.Within(path+".grams", float64(h.Grams), 0.1, 50, "g")
		h.checkAmount(path+".count", h.Count, all, 1, 10000, "tablets", l)
		if h.Count != float64(int(h.Count)) {
			l.AddRange(path+".count", fault.WholeOnly, 1, 10000, "tablets")
		}
	case ReadyMix:
		h.Stock.check(path+".stock", l)
		h.checkAmount(path+".volume_ml", float64(h.Volume), all, MinVolume, MaxVolume, "mL", l)
		return
	case ReadyToUse:
		h.checkAmount(path+".volume_ml", float64(h.Volume), all, MinVolume, MaxVolume, "mL", l)
		if h.Card == nil {
			l.Add(path+".card", fault.Missing)
			return
		}
		h.Card.check(path+".card", labelBySeam, l)
		return
	case "":
		l.Add(path+".kind", fault.Missing)
		return
	default:
		l.Add(path+".kind", fault.Unknown)
		return
	}
	if h.Basis != "" {
		checkBasis(path+".basis", h.Basis, l)
	}
	// A share of 71.4 % is what pure dihydrate holds counted anhydrous: taken for a
	// purity it would make the syrup stronger by two fifths.
	off := math.Abs(float64(h.Share) - chem.AnhydrousShare)
	if l.Within(path+".oad_percent", float64(h.Share)*100, 1, 100, "%") && off < 0.005 && !h.Sure {
		l.Add(path+".oad_percent", fault.BasisShare)
	}
}

// checkAmount lets a missing amount pass unless the plan is sized by it.
func (h Hold) checkAmount(field string, v float64, needed bool, low, high float64, unit string, l *fault.List) {
	if v == 0 && !needed {
		return
	}
	if v == 0 {
		l.AddRange(field, fault.Missing, low, high, unit)
		return
	}
	l.Within(field, v, low, high, unit)
}

func (r Request) checkAim(l *fault.List) {
	if r.Hold.Kind == ReadyToUse {
		return
	}
	switch r.Aim.By {
	case ByProtocol:
		if _, ok := Find(r.Aim.Protocol); !ok {
			l.Add("strength.protocol", fault.Unknown)
		}
	case ByPacket:
		if r.Hold.Kind != Packet {
			l.Add("strength.by", fault.NotFitting)
		} else if r.Hold.MadeUpTo == 0 {
			l.AddRange("hold.made_up_to_ml", fault.Missing, MinVolume, MaxVolume, "mL")
		}
	case ByValue:
		switch r.Aim.Form {
		case chem.PerSeam, chem.PerColonyAtCap:
		default:
			checkForm("strength.form", r.Aim.Form, l)
		}
		checkBasis("strength.basis", r.Aim.Basis, l)
	case "":
		l.Add("strength.by", fault.Missing)
	default:
		l.Add("strength.by", fault.Unknown)
	}
}

func (r Request) checkSize(l *fault.List) {
	switch r.Size.By {
	case SizeVolume:
		l.Within("size.volume_ml", float64(r.Size.Volume), MinVolume, MaxVolume, "mL")
	case SizeColonies:
		l.Within("size.colonies", float64(r.Size.Colonies), 1, hive.MaxColonies, "colonies")
	case SizeSeams:
		l.Within("size.reserve_percent", float64(r.Size.Reserved())*100, 0, 100, "%")
		if len(r.Colonies) > 0 {
			return
		}
		if r.Mean == nil {
			l.Add("mean.seams", fault.Missing)
			return
		}
		if l.Within("mean.colonies", float64(r.Mean.Colonies), 1, hive.MaxColonies, "colonies") {
			most := float64(r.Mean.Colonies * 2 * (hive.MaxFrames + 1))
			l.Within("mean.seams", r.Mean.Seams, 0.25, most, "seams")
		}
	case SizeHand:
	case "":
		l.Add("size.by", fault.Missing)
	default:
		l.Add("size.by", fault.Unknown)
	}
}
