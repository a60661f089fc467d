package wire

import (
	"reflect"
	"regexp"
	"strconv"
	"strings"
	"testing"
)

// TestUsual holds what the documentation of a recipe says of a figure left out against
// what its form begins with, and both against what a plan goes by.
func TestUsual(t *testing.T) {
	requests := map[string]any{"dribble": DribbleRequest{}, "strip": StripRequest{}, "pad": PadRequest{}}
	elsewhere := map[string]string{"sugar_per_water": "1", "mean.boxes": "1", "applicator.unit_ml": "5", "uptake_g": UsualOf()["strip"]["uptake.strip"]}
	for of, request := range requests {
		said := map[string]float64{}
		told(reflect.TypeOf(request), "", said)
		if len(said) < 5 {
			t.Errorf("%s: %v", of, said)
		}
		for path, given := range said {
			want, here := UsualOf()[of][path]
			if !here {
				want = elsewhere[path]
			}
			if figure(given) != want {
				t.Errorf("%s: %s is documented as %v when left out, a form begins with %q", of, path, given, want)
			}
		}
	}
	dribble, _ := DribbleRequest{}.core()
	strip, _ := StripRequest{}.core()
	pad, _ := PadRequest{}.core()
	for of, goesBy := range map[string]map[string]float64{
		"dribble": {
			"balance_g": float64(dribble.Balance.Division), "rule.full_seam_ml": float64(dribble.Rule.Seam()), "rule.cap_ml": float64(dribble.Rule.Most()),
			"size.reserve_percent": round(100 * dribble.Size.Reserved()), "sugar_percent_ww": round(100 * *dribble.ThinSugar),
			"applicator.dead_ml": float64(dribble.Applicator.Stays()), "applicator.size_ml": float64(dribble.Applicator.Size),
			"fridge_c": float64(*dribble.Fridge), "yard_c": float64(*dribble.Yard),
		},
		"strip": {
			"balance_g": float64(strip.Balance.Division), "uptake.strip": float64(strip.Uptake), "glycerol_percent": round(100 * strip.Glycerol),
			"warm_to_c": float64(strip.Heat), "headroom_percent": round(100 * *strip.Headroom),
			"number.frames": strip.Number.Frames, "number.most_per_box": float64(*strip.Number.Most),
		},
		"pad": {
			"balance_g": float64(pad.Balance.Division), "working_percent": round(100 * pad.Working),
			"size.reserve_percent": round(100 * pad.Size.Reserved()), "bottle_ml": float64(pad.Bottle),
		},
	} {
		for path, given := range goesBy {
			if want := UsualOf()[of][path]; figure(given) != want {
				t.Errorf("%s: a plan goes by %v for %s, a form begins with %q", of, given, path, want)
			}
		}
	}
}

var leftOut = regexp.MustCompile(`(\d[\d.]*)(?: for a strip)? when left out`)

// told are the figures that the fields of a request are documented to have when left out.
func told(of reflect.Type, prefix string, into map[string]float64) {
	for f := range of.Fields() {
		name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
		path := strings.TrimPrefix(prefix+"."+name, ".")
		inner := f.Type
		if inner.Kind() == reflect.Pointer {
			inner = inner.Elem()
		}
		if m := leftOut.FindStringSubmatch(f.Tag.Get("doc")); m != nil && path != "hold.oad_percent" {
			into[path], _ = strconv.ParseFloat(m[1], 64)
		}
		if inner.Kind() == reflect.Struct {
			told(inner, path, into)
		}
	}
}
