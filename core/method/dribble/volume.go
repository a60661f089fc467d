package dribble

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/hive"
)

// given is what the colonies will take in all.
func given(r Request, doses []ColonyDose) chem.Millilitres {
	if len(doses) == 0 && r.Mean != nil {
		return r.meanDose() * chem.Millilitres(r.Mean.Colonies)
	}
	sum := chem.Millilitres(0)
	for _, d := range doses {
		sum += d.Given
	}
	return chem.Millilitres(math.Round(float64(sum)*1e6) / 1e6)
}

// meanDose is what a colony of the mean gets, by the same rule as one whose seams are known.
func (r Request) meanDose() chem.Millilitres {
	seams := r.Mean.Seams / float64(r.Mean.Colonies)
	switch card := r.card(); {
	case card != nil && len(card.Rows) > 0:
		row, _ := card.row(int(seams * float64(hive.BeesPerSeam[hive.Deep])))
		return card.Rows[row].Volume
	case r.Rule.Flat > 0:
		return r.Rule.Flat
	}
	return min(r.Rule.Seam()*chem.Millilitres(seams), r.Rule.Most())
}

// byMean reports whether doses go by a mean of seams that nobody drew.
func (r Request) byMean(doses []ColonyDose) bool {
	return len(doses) == 0 && r.Mean != nil && r.Mean.Colonies > 0 && r.Mean.Seams > 0
}

// volume is how much is made, in mL.
func volume(r Request, need chem.Millilitres, s chem.GramsPerLitre) (chem.Millilitres, error) {
	var l fault.List
	v := 0.0
	switch r.Size.By {
	case SizeVolume:
		return r.Size.Volume, nil
	case SizeColonies:
		v = float64(r.Size.Colonies) * float64(r.Rule.Most())
		l.Scaled("size.colonies", float64(r.Size.Colonies), v, MinVolume, MaxVolume, "colonies")
	case SizeSeams:
		field, seams := "colonies", 0.0
		if len(r.Colonies) == 0 {
			field, seams = "mean.seams", r.Mean.Seams
		}
		if need == 0 {
			l.Add(field, fault.Missing)
			return 0, l
		}
		for _, c := range r.Colonies {
			seams += float64(c.Quarters()) / float64(hive.Full)
		}
		dead := float64(r.Applicator.Stays())
		v = math.Ceil(float64(need)*(1+float64(r.Size.Reserved())) + dead - 1e-9)
		l.Scaled(field, seams, v-dead, MinVolume-dead, MaxVolume-dead, "seams")
	case SizeHand:
		field, typed, unit := "hold.count", r.Hold.Count, "of them"
		switch r.Hold.Kind {
		case ReadyToUse:
			return r.Hold.Volume, nil
		case ReadyMix:
			from := r.Hold.Stock.composition()
			v = float64(r.Hold.Volume) * float64(from.Strength()) / float64(s)
			field, typed, unit = "hold.volume_ml", float64(r.Hold.Volume), "mL"
		case Crystals:
			field, typed, unit = "hold.grams", float64(r.Hold.Grams), "g"
			fallthrough
		default:
			v = 1000 * float64(r.Hold.inHand()) / float64(s)
		}
		l.Scaled(field, typed, v, MinVolume, MaxVolume, unit)
	}
	return chem.Millilitres(v), l.Err()
}

// inHand is the OAD in all that is held of a powder, packets or tablets.
func (h Hold) inHand() chem.Grams {
	n := 1.0
	if h.Kind != Crystals {
		n = h.Count
	}
	return h.Grams * chem.Grams(n) * h.gram().OAD
}

// gram is what a gram of the powder holds; a filler counts as sugar. Anhydrous acid
// lacks its crystal water, which the water of the syrup must make up for.
func (h Hold) gram() chem.Mixture {
	oad := chem.Grams(chem.ToDihydrate(float64(h.Share), h.Basis))
	return chem.Mixture{OAD: oad, Water: chem.Grams(h.Share) - oad, Sugar: chem.Grams(1 - h.Share)}
}

// card is the label's, where what is held goes by one.
func (r Request) card() *Card {
	if r.Hold.Kind == ReadyToUse {
		return r.Hold.Card
	}
	return nil
}

// wholeTablets is the whole number nearest to the wanted strength, at least one.
func wholeTablets(h Hold, v chem.Millilitres, t target) (int, error) {
	each := float64(h.Grams * h.gram().OAD)
	n := max(1, int(math.Round(float64(t.strength.In(v))/each)))
	top := chem.MaxStrength(t.sugar, RoomTemperature)
	for n > 1 && 1000*float64(n)*each/float64(v) > float64(top) {
		n--
	}
	if low := 1000 * each / float64(top); low > float64(v) {
		return 0, fault.List{{Field: "hold.grams", Reason: fault.Insoluble, Low: low, High: MaxVolume, Unit: "mL"}}
	}
	return n, nil
}
