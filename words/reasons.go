package words

import (
	"strconv"
	"strings"

	"keeler/core/calendar"
	"keeler/core/fit"
)

// Reason is a reason in words: why, what would change it, the same in a word or two where
// it speaks against, and how old its datum is.
type Reason struct{ Why, Change, Brief, Datum string }

// sentence has the figures of a reason as {0}, as days {0 days} or seams {0 seams}, its
// days as {on}, {from} and {to}, how long ago it was as {age}, and a name as {words}.
type sentence struct{ why, change, brief string }

// Because tells a reason on a day.
func Because(r fit.Reason, day calendar.Day) Reason {
	s, known := reasons[r.Code+":"+variant(r)]
	if !known {
		s = reasons[r.Code]
	}
	in := func(text string) string {
		return fill(text, func(blank string) string { return filled(blank, r, day) })
	}
	return Reason{in(s.why), in(s.change), s.brief, datum(r, day)}
}

// variant tells apart the sentences of one code.
func variant(r fit.Reason) string {
	switch r.Code {
	case "brood_present", "supers_on":
		return strconv.Itoa(int(r.Figures[0]))
	case "overdue":
		return strconv.Itoa(int(r.Figures[2]))
	case "break_look", "break_window":
		if r.To != 0 {
			return "to"
		}
	}
	return ""
}

func filled(what string, r fit.Reason, day calendar.Day) string {
	switch what {
	case "on":
		return date(r.On)
	case "from":
		return date(r.From)
	case "to":
		return date(r.To)
	case "age":
		return days(int(day - r.On))
	case "words":
		return r.Words
	}
	at, unit, _ := strings.Cut(what, " ")
	i, err := strconv.Atoi(at)
	if err != nil || i >= len(r.Figures) {
		return what
	}
	switch unit {
	case "days":
		return days(int(r.Figures[i] + 0.5))
	case "seams":
		return quarters(r.Figures[i])
	}
	return tenths(r.Figures[i])
}

// datum tells how old what a reason rests on is.
func datum(r fit.Reason, day calendar.Day) string {
	verb := map[fit.Source]string{fit.FromInspection: "seen", fit.FromRecord: "given"}[r.Source]
	if verb == "" || r.On == 0 {
		return ""
	}
	switch age := int(day - r.On); age {
	case 0:
		return verb + " today"
	case 1:
		return verb + " the day before"
	default:
		return verb + " " + strconv.Itoa(age) + " days before"
	}
}

var reasons = map[string]sentence{
	"no_bees":              {"No bees were seen in it.", "Look or listen again: a quiet cluster can sit low.", "no bees seen"},
	"seams_unseen":         {"Nobody has counted its seams.", "Count them: the dose goes by them.", "count its seams"},
	"seams_old":            {"Its seams were counted long ago.", "Count them again on the day.", "old count of seams"},
	"brood_unseen":         {"Nobody has looked for sealed brood.", "Look at the middle combs first.", "look for brood"},
	"brood_may_be_gone":    {"There was sealed brood, which may have emerged since.", "Look again.", "brood then"},
	"brood_old":            {"An inspection without brood holds {0} days; this one is older.", "Look again.", "brood check out of date"},
	"brood_soon":           {"No sealed brood then, but eggs or larvae may be capped by now, and surely after {0} days.", "Go soon, or look again.", "brood soon"},
	"broodless":            {"No sealed brood.", "", ""},
	"dribbled_already":     {"Dribbled already in this broodless time. A second dribble harms the same bees.", "Count first: if it is still over the threshold, choose another method.", "dribbled already"},
	"vaporised_already":    {"Oxalic acid was vaporised in this broodless time: doses of the same acid add up on the same bees.", "Count first: if it is still over the threshold, choose another method.", "vaporised already"},
	"dribbled_this_winter": {"Dribbled earlier in this winter. The same bees live until spring.", "Count first, and give it only if the count is over the threshold.", "dribbled this winter"},
	"repeat":               {"The label's dose {0} of {1}.", "", ""},
	"repeat_early":         {"The label asks for {0 days} more between its doses.", "Wait for that day.", "too early again"},
	"strips_just_out":      {"Strips came out {0 days} ago: their acid is still on the bees.", "Wait until they have been out for two weeks.", "strips just out"},
	"formic_just_given":    {"Formic acid was given {0 days} ago.", "Leave a week between the two acids.", "formic just given"},
	"oxalic_just_given":    {"Oxalic acid was given {0 days} ago.", "Leave a week between the two acids.", "oxalic just given"},
	"course_next":          {"Visit {0} of {1}, {2 days} after the last.", "", "next of its course"},
	"course_late":          {"Visit {0} of {1} is late: {2 days} after the last. Mites have come out between.", "Go soon.", "course is late"},
	"course_early":         {"The last visit was {1 days} ago: {0 days} too early for the next.", "Wait for that day.", "next visit later"},
	"in_job":               {"Already in the open job {words}, for {on}.", "Leave it to that job, or cancel that one first.", "in a job"},
	"in_other_job":         {"Also in the open job {words}, for {on}.", "See that the two do not meet.", "in another job"},
	"changed_joined":       {"Bees were joined to it since it was looked at.", "Look again: both count now.", "bees joined"},
	"changed_split":        {"It was split since it was looked at.", "Look again.", "split since"},
	"changed_swarmed":      {"It swarmed since it was looked at.", "Look again.", "swarmed since"},
	"changed_boxes":        {"A box was taken or given since it was looked at.", "Look again.", "boxes changed"},
	"changed_queen":        {"Its queen changed since it was looked at.", "Look again.", "queen changed"},
	"too_small":            {"{0 seams} seams: too small to treat, it cannot keep itself warm.", "Unite it with a healthy one, then treat the whole.", "unite it"},
	"break_early":          {"The queen stopped {age} ago: brood is still sealed.", "Wait until {from}, when drones are out, too.", "brood still sealed"},
	"break_drones":         {"Worker brood is out, drone brood may not be.", "From {from} drones are out, too.", "drones still sealed"},
	"withdrawal":           {"{1} on the hive: no honey from it for {0 days} after, until {to}.", "Take the supers off first, or leave that honey to the bees.", "honey must wait"},
	"no_season":            {"So near the equator no season tells whether there is brood.", "Choose what it is judged by, above.", "which season?"},
	"course_cold":          {"Too cold to evaporate on {0} of the {1} days it works.", "Wait for warmer days.", "too cold after"},
	"course_cool":          {"Too cold to evaporate on {0} of the {1} days it works.", "A warmer spell does more.", "cool days after"},
	"course_warm":          {"Too warm on {0} of the {1} days it works.", "A cooler spell is kinder.", "warm days after"},
	"walk_cold":            {"Warm enough for bees to walk over the strips on only {0} of the {1} days known.", "Wait for warmer days: a cluster does not spread the acid.", "too cold to walk"},
	"night_frost":          {"{0} °C in the night after: wet bees in deep frost.", "A milder night is kinder.", "deep frost"},
	"same_still_in":        {"The last ones are still in the hive.", "Take them out first.", "still in"},
	"other_still_in":       {"Another treatment is in the hive: what bees take up adds up.", "Take it out first, or wait.", "another is in"},
	"supers_label":         {"Supers for harvest are on.", "Some labels allow that, many keepers do not: ask the label in hand.", "supers on"},
	"supers_unseen":        {"Nobody has noted whether supers for harvest are on.", "Look, and note it.", "supers?"},
	"supers_old":           {"It was long ago that no supers were on.", "Look again.", "supers?"},
	"for_honey":            {"It makes honey for people; this label is for others only.", "Take it out of honey production, or choose another.", "makes honey"},
	"for_honey_permit":     {"It makes honey for people; some permits cover only hives that do not.", "Read the permit.", "makes honey"},
	"stores_unseen":        {"Nobody has hefted it: hungry bees drink syrup.", "Heft it first.", "heft it"},
	"stores_light":         {"Light: hungry bees would drink the syrup.", "Feed it first, and do not dribble it now.", "light"},
	"stores_arch":          {"Light: stores should arch over the brood, under the vapour.", "Feed it first.", "light"},
	"stores_old":           {"It was hefted long ago.", "Heft it again on the day.", "heft it again"},
	"queenless":            {"No queen.", "Unite or requeen first; treating alone does not save it.", "no queen"},
	"queen_young":          {"The queen is new: vapour can kill young queens.", "Wait until she has laid for a month.", "new queen"},
	"queen_unseen":         {"The queen was not seen.", "Look for eggs before, and a week after.", "queen not seen"},
	"nuc_room":             {"A nuc: too little room above the brood for vapour.", "Only if the label gives a dose for nucs.", "a nuc"},
	"heat":                 {"{0} °C comes within {2} days: above {1} °C queens and brood die.", "Wait for a cooler spell.", "harmful heat"},
	"heat_unknown":         {"The forecast does not reach the first {0} days.", "Look again nearer the day.", "forecast ends"},
	"no_forecast":          {"No forecast for that day.", "Read the thermometer and the sky in the yard.", "no forecast"},
	"too_cold":             {"Too cold: {0} to {1} °C; it takes {2} to {3} °C.", "Another day below.", "too cold"},
	"too_warm":             {"Too warm: {0} to {1} °C; it takes {2} to {3} °C.", "Another day below.", "too warm"},
	"windy":                {"Too windy to open hives.", "Another day below.", "wind"},
	"rainy":                {"Rain.", "Another day below.", "rain"},
	"window_fair":          {"{0} °C: it can be done, best is {1} to {2} °C.", "", "possible, not ideal"},
	"window_good":          {"{0} °C, dry and still enough.", "", ""},
	"brood_present":        {"Sealed brood: little. Mites under caps are not reached.", "Wait until it has emerged, three weeks after the queen stops; or take a method that reaches through brood.", "sealed brood"},
	"brood_present:2":      {"Sealed brood: much. Mites under caps are not reached.", "Wait until it has emerged, three weeks after the queen stops; or take a method that reaches through brood.", "sealed brood"},
	"overdue":              {"A treatment is {0 days} overdue, in for {1 days}.", "Take it out: what lingers too weak breeds mites that bear it.", "overdue"},
	"overdue:1":            {"Strips are {0 days} overdue, in for {1 days}.", "Take them out: what lingers too weak breeds mites that bear it.", "overdue"},
	"overdue:2":            {"Pads are {0 days} overdue, in for {1 days}.", "Take them out: what lingers too weak breeds mites that bear it.", "overdue"},
	"break_look":           {"In its break without brood; nobody has looked since it began.", "Look at the combs first.", "look for brood"},
	"break_look:to":        {"In its break without brood, until {to}; nobody has looked since it began.", "Look at the combs first.", "look for brood"},
	"break_window":         {"In its break without brood.", "", ""},
	"break_window:to":      {"In its break without brood, until {to}.", "", ""},
	"supers_on":            {"{0} supers for harvest on the hive.", "Take them off first.", "supers on"},
	"supers_on:1":          {"One super for harvest on the hive.", "Take it off first.", "supers on"},
}
