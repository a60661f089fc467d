package words

// outcomes are why a colony got something else than was meant, or nothing.
var outcomes = map[string]string{
	"ran_out":     "Ran out",
	"low_cluster": "Low cluster",
	"aggressive":  "Fierce",
	"queenless":   "Queenless",
	"dead":        "Dead",
	"brood":       "Brood seen",
	"light":       "Too light",
	"weather":     "Weather",
	"spilled":     "Spilled",
	"more_bees":   "More bees",
	"fewer_bees":  "Fewer bees",
	"elsewhere":   "Not here",
	"not_given":   "Not given",
	"taken_back":  "Taken back",
}

var extras = map[string]string{
	"hefted":           "Hefted",
	"mouse_guard":      "Mouse guard",
	"upper_entrance":   "Upper entrance",
	"insulation":       "Insulation",
	"wrapped":          "Wrapped",
	"weighted":         "Weighted",
	"tipped":           "Tipped",
	"woodpecker_guard": "Woodpecker guard",
	"fed":              "Fed",
}

// Outcome tells in a word or two why something else was given than was meant.
func Outcome(code string) string { return outcomes[code] }

// Choices names all that can be chosen at a hive, by code.
func Choices() map[string]string {
	out := make(map[string]string, len(outcomes)+len(extras))
	for _, of := range []map[string]string{outcomes, extras} {
		for code, name := range of {
			out[code] = name
		}
	}
	return out
}
