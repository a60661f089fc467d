package wire

import (
	"strconv"

	"keeler/core/chem"
	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/mixing"
)

// Usual is what a plan goes by where the keeper says nothing, by its path in the recipe,
// as it would be typed.
type Usual map[string]string

func figure[T ~float64](v T) string { return strconv.FormatFloat(round(v), 'f', -1, 64) }

// UsualOf is that of each method. A form begins with it. It is a function, so that the core
// in the browser goes without.
func UsualOf() map[string]Usual {
	own := strip.Usual()
	return map[string]Usual{
		string(method.Dribble): {
			"balance_g": figure(mixing.UsualDivision), "strength.protocol": dribble.DefaultProtocol, "packet.grams": figure(dribble.UsualPacket),
			"rule.full_seam_ml": figure(dribble.UsualSeam), "rule.cap_ml": figure(dribble.UsualCap),
			"size.reserve_percent": figure(100 * dribble.UsualReserve), "sugar_percent_ww": figure(100 * dribble.UsualThinSugar),
			"applicator.size_ml": figure(dribble.UsualSyringe), "applicator.dead_ml": figure(dribble.UsualDead),
			"fridge_c": figure(dribble.UsualFridge), "yard_c": figure(dribble.UsualYard),
		},
		string(method.Strip): {
			"balance_g": figure(mixing.UsualDivision), "recipe.protocol": strip.DefaultProtocol,
			"recipe.oad_g": figure(own.OAD), "recipe.glycerol_ml": figure(own.Volume), "recipe.glycerol_g": figure(own.Glycerol),
			"uptake.strip":     figure(strip.UsualUptake),
			"glycerol_percent": figure(100 * chem.MaxGlycerol), "warm_to_c": figure(strip.UsualHeat),
			"headroom_percent": figure(100 * strip.UsualHeadroom), "stays_ml": figure(strip.UsualStays),
			"number.frames": figure(strip.DefaultNumber.Frames), "number.most_per_box": strconv.Itoa(*strip.DefaultNumber.Most),
		},
		string(method.Pad): {
			"balance_g": figure(mixing.UsualDivision), "amount.protocol": pad.DefaultProtocol, "working_percent": figure(100 * pad.WeakestWorking),
			"size.reserve_percent": figure(100 * pad.UsualReserve), "bottle_ml": figure(pad.UsualBottle),
			"hold.reading.off_g_per_ml": figure(pad.UsualOff), "hold.reading.temp_off_c": figure(pad.UsualTempOff),
		},
	}
}
