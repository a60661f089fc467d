package wire

import (
	"encoding/json"
	"errors"
	"maps"
	"math"
	"os"
	"strconv"
	"strings"
	"testing"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/words"
)

func load[T any](t *testing.T, name string) []T {
	t.Helper()
	raw, err := os.ReadFile("../core/testdata/" + name)
	if err != nil {
		t.Fatal(err)
	}
	var out []T
	if err := json.Unmarshal(raw, &out); err != nil {
		t.Fatalf("%s: %v", name, err)
	}
	if len(out) == 0 {
		t.Fatalf("%s is empty", name)
	}
	return out
}

// at follows a path such as "lines.0.show_g" into decoded JSON.
func at(v any, path string) any {
	for _, key := range strings.Split(path, ".") {
		switch node := v.(type) {
		case map[string]any:
			v = node[key]
		case []any:
			i, err := strconv.Atoi(key)
			if err != nil || i >= len(node) {
				return nil
			}
			v = node[i]
		default:
			return nil
		}
	}
	return v
}

// The vectors were worked by hand; each tells how.
func TestVectors(t *testing.T) {
	vectors(t, "dribble", PlanDribble, func(a DribbleAnswer) []Note { return a.Notes })
	vectors(t, "strip", PlanStrip, func(a StripAnswer) []Note { return a.Notes })
	vectors(t, "pad", PlanPad, func(a PadAnswer) []Note { return a.Notes })
}

func vectors[In, Out any](t *testing.T, method string, plan func(In) (Out, error), notes func(Out) []Note) {
	type vector struct {
		Name    string
		Request In
		Want    map[string]any
	}
	for _, v := range load[vector](t, method+".json") {
		t.Run(method+" "+v.Name, func(t *testing.T) {
			answer, err := plan(v.Request)
			if err != nil {
				t.Fatal(err)
			}
			raw, err := json.Marshal(answer)
			if err != nil {
				t.Fatal(err)
			}
			var got any
			if err := json.Unmarshal(raw, &got); err != nil {
				t.Fatal(err)
			}
			for path, want := range v.Want {
				have := at(got, path)
				if number, ok := want.(float64); ok {
					f, _ := have.(float64)
					// Half of the last figure that the working gives, at most 0.05 %.
					if math.Abs(f-number) > max(0.0006, math.Abs(number)*5e-4) {
						t.Errorf("%s: got %v, want %v", path, have, want)
					}
				} else if have != want {
					t.Errorf("%s: got %v, want %v", path, have, want)
				}
			}
			for _, n := range notes(answer) {
				if n.Text == string(n.Code) || strings.Contains(n.Text, "NaN") {
					t.Errorf("note %s has no words: %q", n.Code, n.Text)
				}
			}
		})
	}
}

// Each refusal changes one thing in a good request, and must be named at its
// field in words that a keeper can act on.
func TestRefusals(t *testing.T) {
	raw, err := os.ReadFile("../core/testdata/good.json")
	if err != nil {
		t.Fatal(err)
	}
	var good map[string]map[string]any
	if err := json.Unmarshal(raw, &good); err != nil {
		t.Fatal(err)
	}
	refusals(t, "dribble", PlanDribble, good["dribble"])
	refusals(t, "strip", PlanStrip, good["strip"])
	refusals(t, "pad", PlanPad, good["pad"])
}

func refusals[In, Out any](t *testing.T, method string, plan func(In) (Out, error), good map[string]any) {
	type refusal struct {
		Name, Field, Reason string
		Set                 map[string]any
	}
	for _, v := range load[refusal](t, method+"_refused.json") {
		t.Run(method+" "+v.Name, func(t *testing.T) {
			body := maps.Clone(good)
			maps.Copy(body, v.Set)
			raw, _ := json.Marshal(body)
			var request In
			if err := json.Unmarshal(raw, &request); err != nil {
				t.Fatal(err)
			}
			_, err := plan(request)
			var l fault.List
			if !errors.As(err, &l) {
				t.Fatalf("not refused: %v", err)
			}
			f := l[0]
			if f.Field != v.Field || string(f.Reason) != v.Reason {
				t.Fatalf("got %v, want %s: %s", l, v.Field, v.Reason)
			}
			if text := words.Fault(f); strings.Contains(text, "NaN") || strings.Contains(text, "Inf") || len(text) < 10 {
				t.Errorf("words: %q", text)
			}
		})
	}
}

// No figure that is none gets past.
func TestNotANumber(t *testing.T) {
	for _, v := range []float64{math.NaN(), math.Inf(1)} {
		request := DribbleRequest{Request: dribble.Request{
			Hold: Hold{Kind: "crystals"}, Aim: Aim{By: "protocol", Protocol: "mild"},
			Size: Size{By: "volume", Volume: chem.Millilitres(v)},
		}}
		_, err := PlanDribble(request)
		var l fault.List
		if !errors.As(err, &l) || l[0].Reason != fault.NotFinite {
			t.Errorf("%v: got %v", v, err)
		}
	}
}

// The range in the words must itself be accepted: a keeper who types its end
// gets a plan.
func TestRangeInWordsIsAccepted(t *testing.T) {
	request := DribbleRequest{Request: dribble.Request{
		Hold: Hold{Kind: "ready_mix", Stock: Stock{Value: 4, Form: "percent_wv", Basis: "dihydrate", Sugar: 0.5}},
		Aim:  Aim{By: "value", Value: 3, Form: "percent_wv", Basis: "dihydrate"},
		Size: Size{By: "volume", Volume: 500},
	}}
	request.ThinSugar = new(chem.Share(0.05))
	_, err := PlanDribble(request)
	var l fault.List
	if !errors.As(err, &l) {
		t.Fatal("5 % sugar cannot be reached from a stock of 50 %")
	}
	for _, word := range strings.Fields(words.Fault(l[0])) {
		end, err := strconv.ParseFloat(strings.TrimSuffix(word, "."), 64)
		if err != nil {
			continue
		}
		request.ThinSugar = new(chem.Share(end / 100))
		if _, err := PlanDribble(request); err != nil {
			t.Errorf("%q offers %v, which is refused: %v", words.Fault(l[0]), end, err)
		}
	}
}

// Lists are told as lists also where nothing is in them: a page goes through them.
func TestNoListIsNull(t *testing.T) {
	empty := []Colony{{Name: "A", Boxes: []Box{{Kind: "deep", Frames: 10}}}}
	full := []Colony{seamed("A", 0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0)}
	for name, colonies := range map[string][]Colony{"nobody": nil, "no bees": empty, "bees": full, "some": {empty[0], full[0]}} {
		for method, r := range map[string]Recipe{
			"dribble": {Dribble: &DribbleRequest{Colonies: colonies, Request: dribble.Request{Hold: Hold{Kind: "crystals"}, Aim: Aim{By: "protocol", Protocol: "mild"}, Size: Size{By: "volume", Volume: 500}}}},
			"bought":  {Dribble: &DribbleRequest{Colonies: colonies, Request: dribble.Request{Hold: Hold{Kind: "ready_to_use", Card: &Card{Rows: []CardRow{{Volume: 20}}}}, Size: Size{By: "volume", Volume: 500}}}},
			"strip":   {Strip: &StripRequest{Request: strip.Request{Aim: strip.Aim{Protocol: "two-to-three"}, Size: StripSize{By: "strips", Strips: 4}}, Colonies: unplaced(colonies)}},
			"pad":     {Pad: &PadRequest{Request: pad.Request{Hold: PadHold{Kind: "acid", Label: 0.85}, Aim: pad.Aim{Protocol: "sponge-above"}, Size: PadSize{By: "working", Working: 500}}, Colonies: colonies}},
			"pads":    {Pad: &PadRequest{Request: pad.Request{Hold: PadHold{Kind: "ready_pads", Card: &PadCard{Pure: 68, Per: "colony", Each: 2, From: "above", Visits: 1}}, Mean: &PadMean{Colonies: 2, Combs: 10}}}},
		} {
			w, err := r.Work()
			if err != nil {
				t.Fatalf("%s, %s: %v", method, name, err)
			}
			raw, err := json.Marshal(w.Answer)
			if err != nil || strings.Contains(string(raw), "null") {
				t.Errorf("%s, %s: %s %v", method, name, raw, err)
			}
			m, err := r.Mixing("")
			if err != nil {
				t.Fatalf("%s, %s at the bench: %v", method, name, err)
			}
			scales := ScalesOf(UsualBalances().Balances, 0)
			run := m.BenchState(m.Fold(nil, scales), scales, 0)
			run.Balances = UsualBalances().Balances // which the caller knows
			raw, err = json.Marshal(run)
			if err != nil || strings.Contains(string(raw), "null") {
				t.Errorf("%s, %s at the bench: %s %v", method, name, raw, err)
			}
		}
	}
}

func unplaced(colonies []Colony) []StripColony {
	out := make([]StripColony, len(colonies))
	for i, c := range colonies {
		out[i].Colony = c
	}
	return out
}
