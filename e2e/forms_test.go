package e2e

import (
	"encoding/json"
	"fmt"
	"reflect"
	"testing"

	"keeler/wire"
)

// TestForms puts recipes into the forms of their methods and reads them out again, in both
// systems of units: every figure and choice comes back where it was.
func TestForms(t *testing.T) {
	ask := pure(t)
	for name, recipe := range map[string]string{
		"crystals": `{"dribble": {"hold": {"kind": "crystals", "grams": 300, "oad_percent": 99.6, "basis": "anhydrous"}, "strength": {"by": "protocol", "protocol": "medium"}, "sugar_per_water": 0.5,
			"size": {"by": "volume", "volume_ml": 750}, "applicator": {"device": "bulb", "unit_ml": 2.5, "dead_ml": 0}, "balance_g": 0.01, "balance_capacity_g": 200, "fridge_c": 0, "yard_c": -5, "prices": {"hold": 12, "sugar_kg": 1.5}}}`,
		"a packet as its label": `{"dribble": {"hold": {"kind": "packet", "grams": 30, "oad_percent": 71.4, "sure": true, "count": 3, "made_up_to_ml": 500}, "strength": {"by": "packet"}, "size": {"by": "in_hand"}}}`,
		"a packet, uncounted":   `{"dribble": {"hold": {"kind": "packet", "grams": 35, "oad_percent": 100}, "strength": {"by": "packet"}, "size": {"by": "colonies", "colonies": 4}}}`,
		"tablets, counted hives": `{"dribble": {"hold": {"kind": "tablets", "grams": 1.2, "oad_percent": 80, "count": 60}, "strength": {"by": "value", "value": 4.4, "form": "percent_wv", "basis": "dihydrate"},
			"size": {"by": "seams", "reserve_percent": 0}, "mean": {"seams": 41.5, "colonies": 6}, "rule": {"full_seam_ml": 4, "cap_ml": 40, "flat_ml": 35, "nuc_flat_ml": 12}, "applicator": {"device": "syringe", "size_ml": 20}}}`,
		"a ready-mix": `{"dribble": {"hold": {"kind": "ready_mix", "volume_ml": 400, "stock": {"value": 9.5, "form": "percent_wv", "basis": "anhydrous", "sugar_percent_ww": 5}}, "strength": {"by": "protocol", "protocol": "mild"}, "sugar_percent_ww": 25, "size": {"by": "seams"}}}`,
		"a label": `{"dribble": {"hold": {"kind": "ready_to_use", "volume_ml": 1000, "card": {"name": "Bought", "repeats": 1, "actives": [{"name": "oxalic", "g_per_l": 44, "basis": "dihydrate"}, {"name": "formic", "g_per_l": 5}],
			"rows": [{"up_to_bees": 10000, "dose_ml": 15}, {"dose_ml": 30}]}}, "size": {"by": "seams"}}}`,
		"strips by hives": `{"strip": {"recipe": {"protocol": "one-to-one"}, "glycerol_percent": 86, "acid_basis": "anhydrous", "warm_to_c": 60, "carrier": "sponge", "between_boxes": true, "number": {"by": "box", "each": 2}, "uptake_g": 60,
			"stays_ml": 0, "size": {"by": "colonies"}, "headroom_percent": 0, "jig": {"slots": 6, "most": 8}, "prices": {"acid_kg": 9, "glycerol_l": 4, "strip": 0.2}}}`,
		"strips by number": `{"strip": {"recipe": {"oad_g": 200, "glycerol_ml": 310}, "carrier": "long", "uptake_g": 33, "number": {"by": "bees", "frames": 3, "most_per_box": 0}, "size": {"by": "count", "colonies": 7, "each": 2.5}, "carried": {"grams": 55, "oad_percent": 35, "water_percent": 0}}}`,
		"strips by weight": `{"strip": {"recipe": {"oad_g": 200, "glycerol_g": 390}, "carrier": "strip", "uptake_g": 21, "size": {"by": "glycerol", "glycerol_ml": 500}}}`,
		"formic by density": `{"pad": {"hold": {"kind": "acid", "volume_ml": 900, "reading": {"g_per_ml": 1.195, "temp_c": 18, "off_g_per_ml": 0.002, "temp_off_c": 0}}, "working_percent": 65, "amount": {"per": "box", "ml": 30, "at_percent": 60, "from": "below", "nuc_ml": 10, "cap_ml": 50, "visits": 3, "days_apart": 7},
			"size": {"by": "course", "reserve_percent": 0}, "mean": {"colonies": 8, "combs": 11, "boxes": 2}, "sheet": {"takes_ml": 30, "width_cm": 20, "length_cm": 25}, "bottle_ml": 500, "prices": {"stock": 7}}}`,
		"formic by its label": `{"pad": {"hold": {"kind": "acid", "percent": 85}, "working_percent": 60, "amount": {"protocol": "floor-sheet", "visits": 4}, "size": {"by": "water", "water_g": 200}}}`,
		"ready pads":          `{"pad": {"hold": {"kind": "ready_pads", "count": 20, "card": {"name": "Pads", "formic_g": 30, "each": 2, "per": "box", "from": "below", "nuc_each": 1, "visits": 2, "days_apart": 10}}}}`,
	} {
		var given map[string]map[string]any
		if err := json.Unmarshal([]byte(recipe), &given); err != nil {
			t.Fatal(name, err)
		}
		for _, units := range []string{"metric", "us"} {
			for method, want := range given {
				var got struct {
					Request map[string]any
					Faults  map[string]string
				}
				ask(&got, fmt.Sprintf(`pure.%s.read(pure.inUnits(pure.adopt(a[0], a[1], 'Ropewalk'), %q))`, method, units), given, wire.UsualOf())
				if len(got.Faults) > 0 {
					t.Errorf("%s in %s: %v", name, units, got.Faults)
				}
				same(t, name+" in "+units, want, got.Request, units == "us")
				if hold, _ := got.Request["hold"].(map[string]any); name == "a packet, uncounted" && hold["count"] != nil {
					t.Errorf("%s: %v are counted", name, hold["count"])
				}
			}
		}
	}
}

// same holds every leaf that is wanted against what was read. Typed in fluid ounces a
// volume is known to 0.005 of one, 0.15 mL.
func same(t *testing.T, path string, want, got any, rounded bool) {
	t.Helper()
	switch w := want.(type) {
	case map[string]any:
		g, _ := got.(map[string]any)
		for k, v := range w {
			same(t, path+" "+k, v, g[k], rounded)
		}
	case []any:
		g, _ := got.([]any)
		for i, v := range w {
			if i >= len(g) {
				t.Errorf("%s: %d are missing", path, len(w)-len(g))
				return
			}
			same(t, fmt.Sprint(path, " ", i), v, g[i], rounded)
		}
	case float64:
		g, is := got.(float64)
		if off := g - w; !is || off > 0.15 || off < -0.15 || off != 0 && !rounded {
			t.Errorf("%s: got %v, want %v", path, got, want)
		}
	default:
		if got != want {
			t.Errorf("%s: got %v, want %v", path, got, want)
		}
	}
}

// TestUsualForms holds what a form begins with: the usual figures, in the units chosen.
func TestUsualForms(t *testing.T) {
	ask := pure(t)
	var got map[string]map[string]any
	ask(&got, `(d => ({metric: d, us: pure.inUnits(d, 'us'), back: pure.inUnits(pure.inUnits(d, 'us'), 'metric')}))(pure.emptyDraft(a[0]))`, wire.UsualOf())
	// One's own recipe begins as the usual one, 500 g to 750 mL; by weight that is 750 × 1.26.
	s, _ := got["metric"]["strip"].(map[string]any)
	if s["recipe.oad_g"] != "500" || s["recipe.glycerol_ml"] != "750" || s["recipe.glycerol_g"] != "945" {
		t.Errorf("one's own recipe begins with %v g to %v mL or %v g", s["recipe.oad_g"], s["recipe.glycerol_ml"], s["recipe.glycerol_g"])
	}
	for units, want := range map[string][3]string{"metric": {"4", "10", "1000"}, "us": {"39.2", "10", "1000"}, "back": {"4", "10", "1000"}} {
		d, _ := got[units]["dribble"].(map[string]any)
		p, _ := got[units]["pad"].(map[string]any)
		if d["fridge_c"] != want[0] || d["size.reserve_percent"] != want[1] || p["bottle_ml"] != want[2] {
			t.Errorf("%s: got %v %v %v, want %v", units, d["fridge_c"], d["size.reserve_percent"], p["bottle_ml"], want)
		}
	}
}

// A fault that no field in sight is named for must be said besides; and words that are not
// there are told, so that the server can say at their field what it wants.
func TestFaultsAreSeen(t *testing.T) {
	ask := pure(t)
	const panel = `({ title: '', entries: [{ of: 'id', unseen: true }, { of: 'name', as: 'words' }, { of: 'size', options: [['a', 'A']], list: true },
		{ of: 'deep', when: (t) => t.name === 'x' }, { of: 'sure', as: 'tick' }, { of: 'grams' }] })`
	for faults, want := range map[string]bool{
		`{}`: false, `{"name": "no"}`: true, `{"size": "no", "sure": "no"}`: true, `{"id": "taken"}`: false, `{"deep": "no"}`: false, `{"name": "no", "elsewhere": "no"}`: false,
	} {
		var got bool
		if ask(&got, "pure.entries.atFields("+panel+", { name: 'y' }, JSON.parse(a[0]))", faults); got != want {
			t.Errorf("%s stands at fields: %v, want %v", faults, got, want)
		}
	}
	var request map[string]any
	ask(&request, "pure.entries.read(["+panel+"], { size: 'a' }, new pure.Reader('metric'))")
	if want := map[string]any{"name": "", "size": "a", "sure": false}; !reflect.DeepEqual(request, want) {
		t.Errorf("read %v, want %v", request, want)
	}
}
