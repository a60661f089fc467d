package wire

import (
	"strings"

	"keeler/core/batch"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
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

// notes are those of the method that answered.
func (a RecipeAnswer) notes() (method.Name, *[]Note) {
	switch {
	case a.Dribble != nil:
		return method.Dribble, &a.Dribble.Notes
	case a.Strip != nil:
		return method.Strip, &a.Strip.Notes
	case a.Pad != nil:
		return method.Pad, &a.Pad.Notes
	}
	return "", new([]Note)
}

// Silent is an answer whose notes are codes alone, to be saved; the words of them are
// added when it is read, see Said.
func (a RecipeAnswer) Silent() RecipeAnswer {
	_, notes := a.notes()
	for i := range *notes {
		(*notes)[i].Text = ""
	}
	return a
}

// Said is an answer with the words of its notes.
func (a RecipeAnswer) Said() RecipeAnswer {
	of, notes := a.notes()
	*notes = said(of, *notes)
	return a
}

// Component is the mass of one substance in a batch.
type Component struct {
	Name  string  `json:"name" enum:"oxalic_acid_dihydrate,formic_acid,glycerol,water,sugar" doc:"Filler counts as sugar."`
	Grams float64 `json:"grams" doc:"g."`
}

// CorrectBatch puts right what a batch really holds; what is left out stays as it is.
type CorrectBatch struct {
	ID         string      `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Why        string      `json:"why" minLength:"1" maxLength:"300"`
	Components []Component `json:"components" minItems:"1" maxItems:"5" doc:"What it really holds, g, 0 to 200000."`
}

// BatchStrength is a batch's strength, computed from its composition.
type BatchStrength struct {
	Value float64 `json:"value"`
	Unit  string  `json:"unit" enum:"g_per_l,percent_ww" doc:"g OAD per litre, or acid by weight."`
}

// Worked is what a recipe comes to, whatever its method.
type Worked struct {
	method.Recipe
	method.Plan
	Answer RecipeAnswer
}

// request is what the recipe of every method tells of itself. A further method is one
// entry of Recipe, of given, and of beginnings.
type request interface {
	recipe() (method.Recipe, error)
	answer(method.Plan) RecipeAnswer
	bare() Recipe
}

// given is the one recipe that there is, and the path of its fields; a fault.List when
// there is none, or more than one.
func (r Recipe) given() (of request, prefix string, err error) {
	n := 0
	if r.Dribble != nil {
		of, prefix, n = r.Dribble, "dribble.", n+1
	}
	if r.Strip != nil {
		of, prefix, n = r.Strip, "strip.", n+1
	}
	if r.Pad != nil {
		of, prefix, n = r.Pad, "pad.", n+1
	}
	switch n {
	case 0:
		return nil, "", fault.List{{Field: "", Reason: fault.Missing}}
	case 1:
		return of, prefix, nil
	}
	return nil, "", fault.List{{Field: "", Reason: fault.NotFitting}}
}

// Core is the recipe as core has it. Its error is a fault.List whose fields are paths in
// it.
func (r Recipe) Core() (method.Recipe, error) {
	of, prefix, err := r.given()
	if err != nil {
		return nil, err
	}
	out, err := of.recipe()
	return out, Beneath(prefix, err)
}

// Work works a recipe out. Its error is a fault.List whose fields are paths in it.
func (r Recipe) Work() (Worked, error) {
	of, prefix, err := r.given()
	if err != nil {
		return Worked{}, err
	}
	w, err := work(of)
	return w, Beneath(prefix, err)
}

func work(of request) (Worked, error) {
	in, err := of.recipe()
	if err != nil {
		return Worked{}, err
	}
	p, err := in.Plan()
	if err != nil {
		return Worked{}, err
	}
	return Worked{in, p, of.answer(p).Said()}, nil
}

// Bare is a recipe without its colonies.
func (r Recipe) Bare() Recipe {
	of, _, err := r.given()
	if err != nil {
		return r
	}
	return of.bare()
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

// Components writes what a mixture holds.
func Components(m chem.Mixture) []Component {
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

// StrengthOf is the strength of a batch by its composition, where it is known.
func StrengthOf(b batch.Batch) *BatchStrength {
	value, perLitre, known := b.Strength()
	if !known {
		return nil
	}
	unit := "percent_ww"
	if perLitre {
		unit = "g_per_l"
	}
	return &BatchStrength{round(value), unit}
}

// CheckParent holds what a pot carries over against the batch that it is said to come
// from. Fields are paths in the recipe.
func (r Recipe) CheckParent(parent chem.Mixture) error {
	if r.Strip == nil {
		return fault.List{{Field: "strip.carried.grams", Reason: fault.Missing}}
	}
	in, err := r.Strip.core()
	if err != nil {
		return Beneath("strip.", err)
	}
	var l fault.List
	in.CheckParent(parent, &l)
	return Beneath("strip.", l.Err())
}

// Beneath puts a prefix before the fields of an error, for a plan that is part
// of a larger request.
func Beneath(prefix string, err error) error {
	return refield(err, func(field string) string { return strings.TrimSuffix(prefix+field, ".") })
}
