package wire

import (
	"strings"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/strip"
)

// The methods.
const (
	Dribble = "dribble"
	Strip   = "strip"
	Pad     = "pad"
)

// Recipe is the plan of one method: exactly one is given.
type Recipe struct {
	Dribble *DribbleRequest `json:"dribble,omitempty" doc:"As for /api/dribble/plan."`
	Strip   *StripRequest   `json:"strip,omitempty" doc:"As for /api/strip/plan."`
	Pad     *PadRequest     `json:"pad,omitempty" doc:"As for /api/pad/plan."`
}

// RecipeAnswer is what the same method answered.
type RecipeAnswer struct {
	Dribble *DribbleAnswer `json:"dribble,omitempty"`
	Strip   *StripAnswer   `json:"strip,omitempty"`
	Pad     *PadAnswer     `json:"pad,omitempty"`
}

// Component is the mass of one substance in a batch.
type Component struct {
	Name  string  `json:"name" enum:"oxalic_acid_dihydrate,formic_acid,glycerol,water,sugar" doc:"Filler counts as sugar."`
	Grams float64 `json:"grams" doc:"g."`
}

// BatchStrength is a batch's strength, computed from its composition.
type BatchStrength struct {
	Value float64 `json:"value"`
	Unit  string  `json:"unit" enum:"g_per_l,percent_ww" doc:"g OAD per litre, or acid by weight."`
}

// Worked is what a recipe comes to, whatever its method.
type Worked struct {
	Method      string
	Answer      RecipeAnswer
	Lines       []Line
	Composition []Component
	VolumeML    float64
	Pieces      int // strips or ready pads; 0 for what is poured
}

// Notes is what the plan says.
func (w Worked) Notes() []Note {
	switch {
	case w.Answer.Dribble != nil:
		return w.Answer.Dribble.Notes
	case w.Answer.Strip != nil:
		return w.Answer.Strip.Notes
	case w.Answer.Pad != nil:
		return w.Answer.Pad.Notes
	}
	return nil
}

// Work works a recipe out. Its error is a fault.List whose fields are paths in it.
func (r Recipe) Work() (Worked, error) {
	switch {
	case r.Dribble != nil && r.Strip == nil && r.Pad == nil:
		a, holds, err := r.Dribble.plan() // of a product only the acids are known
		return Worked{
			Method: Dribble, Answer: RecipeAnswer{Dribble: &a}, Lines: a.Lines, VolumeML: a.VolumeML, Composition: components(holds),
		}, Beneath("dribble.", err)
	case r.Strip != nil && r.Dribble == nil && r.Pad == nil:
		a, err := PlanStrip(*r.Strip)
		l := a.Liquor
		return Worked{
			Method: Strip, Answer: RecipeAnswer{Strip: &a}, Lines: a.Lines, VolumeML: l.VolumeML, Pieces: a.Strips,
			Composition: components(chem.Mixture{OAD: chem.Grams(l.OADG), Glycerol: chem.Grams(l.GlycerolG), Water: chem.Grams(l.WaterG)}),
		}, Beneath("strip.", err)
	case r.Pad != nil && r.Dribble == nil && r.Strip == nil:
		a, err := PlanPad(*r.Pad)
		out := Worked{Method: Pad, Answer: RecipeAnswer{Pad: &a}, Lines: a.Lines}
		if d := a.Dilution; d != nil {
			pure := d.WorkingG * a.WorkingPercent / 100
			out.VolumeML = d.WorkingML
			out.Composition = components(chem.Mixture{Formic: chem.Grams(pure), Water: chem.Grams(d.WorkingG - pure)})
		} else {
			out.Pieces = a.VisitPads
			out.Composition = components(chem.Mixture{Formic: chem.Grams(a.VisitFormicG)})
		}
		return out, Beneath("pad.", err)
	case r == Recipe{}:
		return Worked{}, fault.List{{Field: "", Reason: fault.Missing}}
	}
	return Worked{}, fault.List{{Field: "", Reason: fault.NotFitting}}
}

// of names the parts of a mixture.
var of = []struct {
	name string
	part func(*chem.Mixture) *chem.Grams
}{
	{"oxalic_acid_dihydrate", func(m *chem.Mixture) *chem.Grams { return &m.OAD }},
	{"formic_acid", func(m *chem.Mixture) *chem.Grams { return &m.Formic }},
	{"glycerol", func(m *chem.Mixture) *chem.Grams { return &m.Glycerol }},
	{"water", func(m *chem.Mixture) *chem.Grams { return &m.Water }},
	{"sugar", func(m *chem.Mixture) *chem.Grams { return &m.Sugar }},
}

func components(m chem.Mixture) []Component {
	var out []Component
	for _, p := range of {
		if g := *p.part(&m); g > 0 {
			out = append(out, Component{p.name, round(g)})
		}
	}
	return out
}

// Mixture is what a batch of these components holds.
func Mixture(components []Component) chem.Mixture {
	var m chem.Mixture
	for _, c := range components {
		for _, p := range of {
			if p.name == c.Name {
				*p.part(&m) = chem.Grams(c.Grams)
			}
		}
	}
	return m
}

// StrengthOf is the strength of a batch by its composition. There is none where
// only the acid of a product is known and not how much it is in.
func StrengthOf(method string, composition []Component, volumeML float64) *BatchStrength {
	m := Mixture(composition)
	if method == Dribble {
		s := chem.Syrup{OAD: m.OAD, Water: m.Water, Sugar: m.Sugar}
		perLitre := float64(s.Strength())
		if m.Water == 0 { // a product: by the volume poured
			perLitre = 1000 * float64(m.OAD) / volumeML
		}
		return &BatchStrength{round(perLitre), "g_per_l"}
	}
	acid := m.OAD + m.Formic
	if m.Mass() == acid {
		return nil
	}
	return &BatchStrength{round(100 * m.Share(acid)), "percent_ww"}
}

// CheckParent holds what a pot carries over against the composition of the batch
// it is said to come from: the same strength, to a tenth of a per cent. Fields
// are paths in the recipe.
func (r Recipe) CheckParent(parent chem.Mixture) error {
	var l fault.List
	if r.Strip == nil || r.Strip.Carried == nil {
		l.Add("strip.carried.grams", fault.Missing)
		return l.Err()
	}
	is := 100 * float64(strip.Strength(parent))
	if off := r.Strip.Carried.OADPercent - is; off > 0.1 || off < -0.1 {
		l.AddRange("strip.carried.oad_percent", fault.NotFitting, is-0.1, is+0.1, "%")
	}
	return l.Err()
}

// Beneath puts a prefix before the fields of an error, for a plan that is part
// of a larger request.
func Beneath(prefix string, err error) error {
	return refield(err, func(field string) string { return strings.TrimSuffix(prefix+field, ".") })
}

// Colonies is how many colonies a recipe is for; 0 where it does not say.
func (r Recipe) Colonies() int {
	switch {
	case r.Dribble != nil && r.Dribble.Mean != nil:
		return r.Dribble.Mean.Colonies
	case r.Dribble != nil:
		return max(len(r.Dribble.Colonies), r.Dribble.Size.Colonies)
	case r.Strip != nil:
		return max(len(r.Strip.Colonies), r.Strip.Size.Colonies)
	case r.Pad != nil && r.Pad.Mean != nil:
		return r.Pad.Mean.Colonies
	case r.Pad != nil:
		return len(r.Pad.Colonies)
	}
	return 0
}
