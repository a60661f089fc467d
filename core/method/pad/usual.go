package pad

import "keeler/core/chem"

// What a plan goes by where the keeper says nothing; it is let down to WeakestWorking.
const (
	// UsualReserve is made on top of what is given.
	UsualReserve chem.Share = 0.05
	// UsualBottle is what stock is sold in, mL.
	UsualBottle chem.Millilitres = 1000
	// UsualOff and UsualTempOff are how far a hydrometer and a thermometer may be off.
	UsualOff     chem.GramsPerMillilitre = 0.001
	UsualTempOff chem.Celsius            = 1
)
