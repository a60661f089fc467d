package words

import (
	"bytes"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"

	"keeler/core/calendar"
	"keeler/core/fault"
	"keeler/core/fit"
	"keeler/core/method"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/mixing"
	"keeler/core/note"
	"keeler/core/treatment"
)

func TestFault(t *testing.T) {
	for _, c := range []struct {
		fault fault.Fault
		want  string
	}{
		{fault.Fault{Field: "size.volume_ml", Reason: fault.TooLow, Low: 10, High: 100000, Unit: "mL"}, "Use 10 to 100,000 mL."},
		// Its ends are rounded inward, so that both are accepted.
		{fault.Fault{Field: "strength.value", Reason: fault.Insoluble, Low: 0.35704, High: 5.7529, Unit: "% w/v"}, "More acid than will stay dissolved at room temperature. Use 0.358 to 5.75 % w/v."},
		{fault.Fault{Field: "hold.stock.basis", Reason: fault.Missing}, "Choose whether the label counts dihydrate or anhydrous: the two differ by 1.4, so Keeler does not guess."},
		{fault.Fault{Field: "colonies", Reason: fault.Missing}, "Nothing to dose yet: tap the gaps that hold bees, or work it out another way."},
		{fault.Fault{Field: "name", Reason: fault.Missing}, "Give it a name."},
		{fault.Fault{Field: "hold.count", Reason: fault.WholeOnly, Low: 1, High: 10000, Unit: "tablets"}, "Only whole tablets. Use 1 to 10,000 tablets."},
		{fault.Fault{Field: "hold.reading.g_per_ml", Reason: fault.TooHigh, Low: 0.986, High: 1.2093, Unit: "g/mL"}, "Use 0.986 to 1.209 g/mL."},
		{fault.Fault{Field: "uptake_g", Reason: fault.Missing, Low: 0.5, High: 500, Unit: "g"}, "Weigh one dry and one soaked: the difference is what one takes up. Use 0.5 to 500 g."},
		{fault.Fault{Field: "carried.grams", Reason: fault.Overfull, High: 221.28, Unit: "g"}, "Too much for this pot to come out right: use less of it, or make a larger pot. Use 0 to 221 g."},
		{fault.Fault{Field: "working_percent", Reason: fault.Upward, Low: 5, High: 60, Unit: "%"}, "Diluting cannot make it stronger than what is in the bottle. Use 5 to 60 %."},
		{fault.Fault{Field: "prices.hold", Reason: fault.TooLow, Low: 0, High: 1e6}, "Use 0 to 1,000,000."},
	} {
		if got := Fault(c.fault); got != c.want {
			t.Errorf("%+v:\n got %q\nwant %q", c.fault, got, c.want)
		}
	}
}

func TestFewColoniesAreNamed(t *testing.T) {
	n := note.Note{Code: dribble.NoteNoBees, Colonies: strings.Fields("A B C D E F G H")}
	if got := Note(method.Dribble, n); !strings.HasPrefix(got, "A, B, C, D, E, F and 2 more: ") {
		t.Errorf("got %q", got)
	}
}

// Every note of every method has words of its own, with all its figures in them.
func TestEveryNoteHasWords(t *testing.T) {
	figures := []float64{11, 12, 13, 14, 15}
	for of, codes := range map[method.Name]map[note.Code]int{ // figures that the keeper must read
		method.Dribble: {
			dribble.NoteWeak: 2, dribble.NoteStrong: 2, dribble.NoteSeamLow: 2, dribble.NoteSeamHigh: 2, dribble.NoteCap: 2,
			dribble.NoteBigCap: 2, dribble.NoteMean: 2, dribble.NoteShort: 2, dribble.NoteHolding: 1, dribble.NoteCrystals: 1,
			dribble.NoteRatio: 1, dribble.NoteBalance: 1, dribble.NoteNoBees: 0, dribble.NoteTablets: 2, dribble.NoteSteps: 1,
			dribble.NoteBeyond: 2, dribble.NoteNoOxalic: 0,
		},
		method.Strip: {
			strip.NoteWeak: 2, strip.NoteStrong: 2, strip.NoteUptake: 2, strip.NoteHot: 2, strip.NoteShort: 2,
			strip.NoteCarried: 2, strip.NoteBalance: 1, strip.NoteGaps: 2, strip.NoteMost: 2, strip.NoteNoGap: 0,
			strip.NoteClose: 0, strip.NoteOutside: 0, strip.NoteUnlooked: 0, strip.NoteNoBees: 0,
		},
		method.Pad: {
			pad.NoteWeak: 2, pad.NoteStrong: 2, pad.NoteFuming: 2, pad.NoteReading: 2, pad.NoteScaled: 4,
			pad.NoteSpoons: 5, pad.NoteCap: 2, pad.NoteShort: 2, pad.NoteHolding: 1, pad.NoteVisits: 2,
			pad.NoteApart: 3, pad.NoteNuc: 0, pad.NoteNoNuc: 0, pad.NoteBalance: 1,
		},
	} {
		for code, n := range codes {
			text := Note(of, note.Note{Code: code, Figures: figures, Unit: "packets"})
			if len(text) < 20 || !strings.HasSuffix(text, ".") {
				t.Errorf("%s %s: %q", of, code, text)
			}
			for i := range n {
				if !strings.Contains(text, figure(figures[i])) {
					t.Errorf("%s %s does not tell its figure %d: %q", of, code, i, text)
				}
			}
		}
	}
}

// codes finds the reasons that the rules give, where they give them.
var codes = regexp.MustCompile(`(?:un)?seen\("(\w+)"|Code: "(\w+)"|Code(?:, [\w.\[\]]+)* = "(\w+)"|Cause = "(\w+)"`)

// Every reason has words, with all its blanks filled; and no words are left over.
func TestEveryReasonHasWords(t *testing.T) {
	files, err := filepath.Glob("../core/fit/*.go")
	if err != nil {
		t.Fatal(err)
	}
	given := map[string]bool{}
	for _, change := range []fit.Change{fit.United, fit.Divided, fit.Swarmed, fit.Restacked, fit.Requeened} {
		given["changed_"+string(change)] = true
	}
	for _, cause := range []fit.Cause{fit.TooCold, fit.TooWarm, fit.Windy, fit.Rainy} {
		given[string(cause)] = true
	}
	for _, lead := range []fit.Lead{fit.OverNow, fit.PerhapsNow, fit.OverBetween, fit.PerhapsLater, fit.NotBefore} {
		given["ahead_"+string(lead)] = true
	}
	for _, name := range files {
		source, err := os.ReadFile(name)
		if err != nil {
			t.Fatal(err)
		}
		if strings.HasSuffix(name, "_test.go") {
			continue
		}
		for _, found := range codes.FindAllSubmatch(source, -1) {
			if code := string(bytes.Join(found[1:], nil)); !strings.HasSuffix(code, "_") {
				given[code] = true
			}
		}
	}
	day := calendar.Of(2026, 12, 4)
	for code := range given {
		for _, to := range []calendar.Day{0, day + 30} {
			r := fit.Reason{Code: code, Source: fit.FromRecord, On: day - 1, From: day + 7, To: to, Figures: []float64{2, 3, 1, 5.25}, Words: "Round"}
			told := Because(r, day)
			if len(told.Why) < 5 || !strings.HasSuffix(told.Why, ".") || strings.ContainsAny(told.Why+told.Change, "{}") || told.Datum != "given the day before" {
				t.Errorf("%s: %+v", code, told)
			}
		}
	}
	for code := range said.Reasons {
		if name, _, _ := strings.Cut(code, ":"); !given[name] {
			t.Errorf("nobody gives %s", name)
		}
	}
}

// Figures and days stand in the sentences as a keeper reads them.
func TestBecause(t *testing.T) {
	day := calendar.Of(2026, 12, 4)
	for _, c := range []struct {
		reason fit.Reason
		why    string
	}{
		{fit.Reason{Code: "overdue", Figures: []float64{1, 57, 1}}, "Strips are 1 day overdue, in for 57 days."},
		{fit.Reason{Code: "too_small", Figures: []float64{1.25}}, "1¼ seams: too small to treat; it cannot keep itself warm."},
		{fit.Reason{Code: "break_window", To: calendar.Of(2027, 1, 9)}, "In its brood break, until 9 Jan 2027."},
		{fit.Reason{Code: "in_job", Words: "Ropewalk", On: day}, "Already planned in the open job Ropewalk, for 4 Dec 2026."},
		{fit.Reason{Code: "too_cold", Figures: []float64{-2.04, 1.5, 3, 8}}, "Too cold: -2 to 1.5 °C; it needs 3 to 8 °C."},
		{fit.Reason{Code: "dribbled_already", On: day - 12, Figures: []float64{1}}, "Already dribbled in this broodless period. A second dribble harms the same bees."},
		{fit.Reason{Code: "dribbled_already", On: day - 112, Figures: []float64{0}}, "Already dribbled on 14 Aug 2026. A second dribble so soon harms the same bees."},
		{fit.Reason{Code: "ahead_perhaps", From: day + 30, To: day + 200, Figures: []float64{0, 0.42}}, "By the forecast of mites it may go over the threshold from 3 Jan 2027 on if nothing is done: 4 chances in 10 by 22 Jun 2027."},
		{fit.Reason{Code: "count_first", From: day, Figures: []float64{31, 7, 0}}, "Nobody can say yet whether it is over the threshold. A board put in on 4 Dec 2026 and read after 7 days would tell more here than in most other hives of the yard."},
		{fit.Reason{Code: "count_helps", From: day, Figures: []float64{31, 0, 300}}, "A count here would tell more than in most other hives of the yard: a wash of 300 bees on 4 Dec 2026 would make the band of its forecast about 31 % narrower."},
		{fit.Reason{Code: "break_early", On: day - 12}, "The queen stopped laying 12 days ago: some brood is still sealed."},
	} {
		if got := Because(c.reason, day); got.Why != c.why {
			t.Errorf("%s: %q, want %q", c.reason.Code, got.Why, c.why)
		}
	}
}

// Every flag has words.
func TestEveryFlagHasWords(t *testing.T) {
	source, err := os.ReadFile("../core/treatment/flags.go")
	if err != nil {
		t.Fatal(err)
	}
	all := regexp.MustCompile(`Flag = "(\w+)"`).FindAllSubmatch(source, -1)
	if len(all) != len(said.Flags) {
		t.Errorf("%d said.Flags, words for %d", len(all), len(said.Flags))
	}
	for _, f := range all {
		if said := Flags([]string{string(f[1])}); len(said[0]) < 5 {
			t.Errorf("%s: %q", f[1], said)
		}
	}
}

// Every outcome and extra has its words.
func TestChoices(t *testing.T) {
	named := Choices()
	for _, code := range slices.Concat(treatment.Reasons, treatment.Extras, []string{treatment.TakenBack}) {
		if named[code] == "" {
			t.Errorf("%s has no words", code)
		}
	}
	if Outcome("ran_out") != "Ran out" || Outcome("") != "" {
		t.Errorf("got %q", Outcome("ran_out"))
	}
}

// Every step of every order of work has words, and so has what mends a batch.
func TestEveryActHasWords(t *testing.T) {
	orders := []mixing.Order{strip.Order, pad.Diluting, pad.Counting}
	for _, o := range dribble.Orders {
		orders = append(orders, o.Order)
	}
	known := map[string]bool{"more": true, "more:count": true, "turn": true} // a sponge is turned
	for _, o := range orders {
		for _, a := range o.Acts {
			known[a.ID] = true
			if title, _ := Act(a.ID, false, ""); len(title) < 3 || strings.HasPrefix(title, "Weigh in more") {
				t.Errorf("%s of %s: %q", a.ID, o.ID, title)
			}
		}
	}
	for id := range said.Acts {
		if !known[id] {
			t.Errorf("no order has %s", id)
		}
	}
	if title, hint := Act("more_carried_1", false, "carried"); title != "Weigh in more left-over solution" || hint == "" {
		t.Errorf("%q %q", title, hint)
	}
	if title, _ := Act("more_tablets_1", true, "tablets"); title != "Count in more tablets" {
		t.Errorf("%q", title)
	}
}
