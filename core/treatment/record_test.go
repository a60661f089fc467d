package treatment

import (
	"fmt"
	"math"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
)

// 100 mL do 30, 28 and 35; for the 20 after those 7 are left, and with the 46 that
// follow 66 − 7 = 59 are missing. 200 mL do all 159 and leave 41.
func TestLasts(t *testing.T) {
	all := []float64{30, 28, 35, 20, 46}
	for left, want := range map[float64]Lasting{
		100: {3, 59, 0}, 200: {5, 0, 41}, 159: {5, 0, 0}, 0: {0, 159, 0},
	} {
		if got, err := Lasts(left, all); got != want || err != nil {
			t.Errorf("%v mL: %+v %v, want %+v", left, got, err, want)
		}
	}
	if got, _ := Lasts(50, nil); got != (Lasting{0, 0, 50}) {
		t.Errorf("nobody to come: %+v", got)
	}
	for _, c := range []struct {
		left     float64
		expected []float64
		field    string
		reason   fault.Reason
	}{
		{1e308, []float64{1e308}, "left", fault.TooHigh}, {50, []float64{30, 1e308}, "expected[1]", fault.TooHigh},
		{-1, nil, "left", fault.TooLow}, {50, []float64{-1}, "expected[0]", fault.TooLow}, {math.NaN(), nil, "left", fault.NotFinite},
	} {
		_, err := Lasts(c.left, c.expected)
		if l, ok := err.(fault.List); !ok || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%+v: %v", c, err)
		}
	}
}

// Of a litre with 35 g, 30 mL hold 1050 mg; 2 of 44 strips with 308 g hold 14 g.
func TestActives(t *testing.T) {
	for _, c := range []struct {
		of            chem.Mixture
		whole, amount float64
		oad, formic   float64
	}{
		{chem.Mixture{OAD: 35, Water: 600, Sugar: 600}, 1000, 30, 1050, 0},
		{chem.Mixture{OAD: 308, Glycerol: 580}, 44, 2, 14000, 0},
		{chem.Mixture{Formic: 600, Water: 400}, 875, 20, 0, 13714.286},
		{chem.Mixture{OAD: 35}, 0, 30, 0, 0},
	} {
		oad, formic := Actives(c.of, c.whole, c.amount)
		if math.Abs(float64(oad)-c.oad) > 0.01 || math.Abs(float64(formic)-c.formic) > 0.01 {
			t.Errorf("%+v: %v %v", c, oad, formic)
		}
	}
}

func TestRecordsRefused(t *testing.T) {
	ok := Record{Kind: Given, Amount: 30, Unit: "ml"}
	for _, c := range []struct {
		change func(*Record)
		field  string
		reason fault.Reason
	}{
		{func(r *Record) {}, "", ""},
		{func(r *Record) { r.Reason = "ran_out" }, "", ""},
		{func(r *Record) { *r = Record{Kind: Skipped, Reason: "dead"} }, "", ""},
		{func(r *Record) { *r = Record{Kind: Skipped, Reason: TakenBack} }, "", ""},
		{func(r *Record) { *r = Record{Kind: Out, Came: 3, Missing: 1} }, "", ""},
		{func(r *Record) { r.Amount = 0 }, "amount", fault.TooLow},
		{func(r *Record) { r.Amount = -3 }, "amount", fault.TooLow},
		{func(r *Record) { r.Amount = 3000 }, "amount", fault.TooHigh},
		{func(r *Record) { r.Dribble, r.Amount = true, 251 }, "amount", fault.TooHigh},
		{func(r *Record) { r.Dribble, r.Amount = true, 250 }, "", ""},
		{func(r *Record) { r.Amount = math.NaN() }, "amount", fault.NotFinite},
		{func(r *Record) { r.Unit, r.Amount = "pieces", 2.5 }, "amount", fault.WholeOnly},
		{func(r *Record) { r.Unit, r.Amount = "pieces", 500 }, "amount", fault.TooHigh},
		{func(r *Record) { *r = Record{Kind: Skipped} }, "reason", fault.Missing},
		{func(r *Record) { r.Reason = "a whim" }, "reason", fault.Unknown},
		{func(r *Record) { r.Kind = "thrown" }, "kind", fault.Unknown},
		{func(r *Record) { *r = Record{Kind: Out, Came: -1} }, "came", fault.TooLow},
	} {
		r := ok
		c.change(&r)
		var l fault.List
		r.Check(&l)
		if c.field == "" && len(l) > 0 || c.field != "" && (len(l) != 1 || l[0].Field != c.field || l[0].Reason != c.reason) {
			t.Errorf("%+v: %v, want %s %s", r, l, c.field, c.reason)
		}
	}
	var l fault.List
	if CheckExtras([]string{"hefted", "painted"}, &l); len(l) != 1 || l[0].Field != "extras[1]" {
		t.Errorf("%v", l)
	}
}

func TestFlags(t *testing.T) {
	for _, c := range []struct {
		amount, asked, most float64
		want                bool
	}{{50, 62, 50, false}, {51, 62, 50, true}, {30, 15, 50, false}, {31, 15, 50, true}, {5, 0, 0, false}, {90, 0, 0, false}} {
		if Much(c.amount, c.asked, c.most) != c.want {
			t.Errorf("%+v", c)
		}
	}
	// 30 mL of 35 g/L are 1,050 mg: of a batch 5 % over it is as meant, of 6 % it is more.
	if Stronger(1102, 1050) || !Stronger(1113, 1050) || Stronger(1113, 0) {
		t.Error("what is stronger than meant")
	}
	if Off(0, 11*3600) || !Off(0, 13*3600) || !Off(86400, 0) {
		t.Error("a day off is off, a time zone is not")
	}
}

// A clock that was set while a record waited, and a hive that stood open for hours, are
// flagged: what was done was done.
func TestTimesAreBelievedOrFlagged(t *testing.T) {
	const day = 86400
	for _, c := range []struct {
		told, want Timing
		flags      string
	}{
		{Timing{600, 90}, Timing{600, 90}, "[]"},
		{Timing{-3, 0}, Timing{0, 0}, "[]"}, // a network sets a clock by seconds
		{Timing{-3600, 90}, Timing{0, 90}, "[clock]"},
		{Timing{400 * day, 0}, Timing{400 * day, 0}, "[]"},
		{Timing{56 * 365 * day, 90}, Timing{0, 90}, "[clock]"}, // from 1970
		{Timing{60, 4 * 3600}, Timing{60, 4 * 3600}, "[]"},
		{Timing{60, 5 * 3600}, Timing{60, 5 * 3600}, "[open_long]"},
		{Timing{60, -5}, Timing{60, 0}, "[clock]"},
		{Timing{60, 50 * 365 * day}, Timing{60, 0}, "[clock]"},
		{Timing{math.NaN(), math.Inf(1)}, Timing{0, 0}, "[clock]"},
	} {
		got, flags := c.told.Believed()
		if got != c.want || fmt.Sprint(flags) != c.flags {
			t.Errorf("%+v: %+v %v, want %+v %s", c.told, got, flags, c.want, c.flags)
		}
	}
}

// However much is left and whoever comes, nothing is made or lost: what is given to
// those it does, what is missing, and what stays, add up.
func FuzzLasts(f *testing.F) {
	f.Add(100.0, 30.0, 28.0, 46.0)
	f.Add(-3.0, 0.0, 1e-9, 5.0)
	f.Fuzz(func(t *testing.T, left, a, b, c float64) {
		expected := []float64{a, b, c}
		sum := 0.0
		for _, e := range append(expected, left) {
			if math.IsNaN(e) || math.Abs(e) > 1e6 {
				t.Skip()
			}
		}
		for i, e := range expected {
			expected[i] = math.Abs(e)
			sum += expected[i]
		}
		r, err := Lasts(left, expected)
		if left < 0 {
			if err == nil {
				t.Fatalf("%v left is taken", left)
			}
			return
		}
		if r.Short < 0 || r.Over < 0 || r.Colonies < 0 || r.Colonies > 3 || r.Short > 0 && r.Over > 0 {
			t.Fatalf("%v for %v: %+v", left, expected, r)
		}
		if want := max(sum-max(left, 0), 0); r.Short > 0 && math.Abs(r.Short-want) > 1e-3 {
			t.Errorf("%v for %v: %+v, want %v short", left, expected, r, want)
		}
	})
}
