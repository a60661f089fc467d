package dribble

import "keeler/core/chem"

// What a plan goes by where the keeper says nothing.
const (
	// UsualSeam is for a full seam, UsualCap for a colony at most, mL. Source:
	// docs/sources.md, Dribble.
	UsualSeam chem.Millilitres = 5
	UsualCap  chem.Millilitres = 50
	// UsualReserve is made on top of the doses when sized by seams.
	UsualReserve chem.Share = 0.10
	// UsualThinSugar is wanted in a thinned ready-mix, by the whole weight.
	UsualThinSugar chem.Share = 0.30
	// UsualFridge is where syrup is kept, UsualYard where it is given, °C.
	UsualFridge chem.Celsius = 4
	UsualYard   chem.Celsius = 4
	// UsualSyringe is a syringe's size, UsualDead what stays in it and the jar, mL.
	UsualSyringe chem.Millilitres = 60
	UsualDead    chem.Millilitres = 10
	// UsualPacket is the powder in one packet, g.
	UsualPacket chem.Grams = 35
)

// UsualApplicator is what is given with.
var UsualApplicator = Applicator{Device: Syringe, Size: UsualSyringe}

// Settled is what is held with what is not said of it as it is sold: crystals are pure.
func (h Hold) Settled() Hold {
	if h.Kind == Crystals && h.Share == 0 {
		h.Share = 1
	}
	return h
}
