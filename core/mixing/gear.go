package mixing

// Gear is a piece of protection.
type Gear string

const (
	Gloves       Gear = "nitrile_gloves"
	HeatGloves   Gear = "heat_gloves"  // over the nitrile, where a pot is hot
	ButylGloves  Gear = "butyl_gloves" // or neoprene: formic acid goes through nitrile fast
	Goggles      Gear = "goggles"
	TightGoggles Gear = "tight_goggles" // or the full mask's own window
	ParticleMask Gear = "particle_mask" // P2 / N95 at least, P3 half mask better
	HotMask      Gear = "acid_gas_p3"   // acid gas and P3 filters together
	GasMask      Gear = "acid_gas_mask" // full mask, acid-gas filter in date
	LongSleeves  Gear = "long_sleeves"
	WaterBottle  Gear = "water_bottle" // a squeeze bottle, for splashes in the yard
	WaterBucket  Gear = "water_bucket"
	Rinse        Gear = "bicarbonate_rinse"
	Thermometer  Gear = "thermometer" // in the pot
	Fan          Gear = "fan"         // across the pot, away from the person
	Helper       Gear = "second_person"
)

// What each kind of work asks for. Source: the trade's table of protection.
var (
	CrystalGear = []Gear{Gloves, Goggles, ParticleMask, LongSleeves}
	LiquidGear  = []Gear{Gloves, Goggles}
	PotGear     = []Gear{Gloves, HeatGloves, Goggles, HotMask, LongSleeves, Thermometer, Fan}
	StripGear   = []Gear{Gloves, Goggles, Rinse}
	FormicGear  = []Gear{ButylGloves, TightGoggles, GasMask, LongSleeves, WaterBucket, Helper}
)
