package strip

import "keeler/core/mixing"

// The steps of a pot, in the order of the work.
const (
	StepGlycerol mixing.Step = "glycerol" // into the pot, to be warmed
	StepWater    mixing.Step = "water"    // the crystal water that anhydrous acid lacks, into the glycerol
	StepCarried  mixing.Step = "carried"  // liquor left from the last pot, into the warm glycerol
	StepAcid     mixing.Step = "acid"     // into the hot pot, which it cools; then back to heat until clear
)

// lines is the order of the work: what holds no acid first, then the gear.
func (r Request) lines(p Pot) []mixing.Line {
	var out []mixing.Line
	if p.Glycerol > dust {
		line := mixing.Weighed(StepGlycerol, "glycerol", p.Glycerol, r.Balance)
		line.Volume = p.Pour
		out = append(out, line)
	}
	if water := p.Acid - r.powder(p.Acid); water > dust {
		out = append(out, mixing.Weighed(StepWater, "water", water, r.Balance))
	}
	if mass := p.Carried.Mass(); mass > dust {
		out = append(out, mixing.WeighedAcid(StepCarried, "carried_liquor", mass, r.Balance))
	}
	if p.Acid > dust {
		line := mixing.WeighedAcid(StepAcid, r.Basis.Crystals(), r.powder(p.Acid), r.Balance)
		line.Temp = r.Heat
		out = append(out, line)
	}
	for i := range out { // before the first that holds acid
		if out[i].Step != StepGlycerol && out[i].Step != StepWater {
			out[i].Gear = mixing.PotGear
			break
		}
	}
	return out
}
