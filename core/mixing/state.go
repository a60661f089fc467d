package mixing

import (
	"keeler/core/chem"
)

// Station is an act as it stands.
type Station struct {
	Act
	Line      Line          `json:"-"` // what is weighed; zero for other kinds
	Part      int           `json:"-"` // its ingredient, -1 for other kinds
	Acid      bool          `json:"acid,omitempty" doc:"What is handled holds acid."`
	Target    chem.Grams    `json:"target_g,omitempty" doc:"All that is wanted here."`
	Band      chem.Grams    `json:"band_g,omitempty"`
	Balance   int           `json:"balance" doc:"The one it is weighed on, of the balances, from 0."`
	Added     []AddedLoad   `json:"added"`
	Rest      Weighing      `json:"rest,omitzero" doc:"How what is still wanted is weighed; left out where there is enough."`
	Answer    string        `json:"answer,omitempty"`
	Temp      *chem.Celsius `json:"temp_c,omitempty" doc:"As last read."`
	StartedBy int           `json:"-"` // the event that began it, from 1; 0 when it has not begun
	Done      bool          `json:"done,omitempty"`
	// Source: calcium takes acid out as a haze that hides what has not dissolved.
	Distilled bool `json:"distilled,omitempty" doc:"The water test was cloudy: take distilled water."`
}

// State is a run as it stands.
type State struct {
	At       int // the act on the screen
	Stations []Station
	SoFar    Made // of what is in
	Comes    Made // when the rest goes in as wanted
	Complete bool // all that is weighed or counted is in
	Ended    EventKind
	scales   Scales
}

// Mending is what a run still needs so that it comes out as wanted.
type Mending struct {
	Possible bool
	Add      []Addition
	Made     Made // when that is in
}

// Mending proposes what must go in from here, in place of what was still to come.
func (s State) Mending(w Work) Mending {
	in := s.Taken()
	add, ok := w.Mend(in)
	m := Mending{Possible: ok, Add: add}
	for _, a := range add {
		weighing, _ := s.WeighAddition(w, a)
		in = append(in, Taken{a.Part, a.Mass, weighing.Off})
	}
	m.Made = w.Made(in)
	return m
}

// WeighAddition is how an addition is weighed: as part of all of its ingredient.
func (s State) WeighAddition(w Work, a Addition) (Weighing, bool) {
	whole := a.Mass
	for _, t := range s.Taken() {
		if t.Part == a.Part {
			whole += t.Mass
		}
	}
	return s.scales.WeighPart(a.Mass, whole, w.Parts[a.Part].Acid())
}

// Acid reports whether an ingredient holds any.
func (p Part) Acid() bool { return p.Gram.OAD+p.Gram.Formic > 0 }

// Taken lists what is in.
func (s State) Taken() []Taken {
	var out []Taken
	for _, st := range s.Stations {
		for _, g := range st.Added {
			if st.Part >= 0 {
				out = append(out, Taken{st.Part, g.Mass, g.Off})
			}
		}
	}
	return out
}

// LeftOver is what was weighed as left over, g; 0 while it was not.
func (s State) LeftOver() chem.Grams {
	sum := chem.Grams(0)
	for _, st := range s.Stations {
		if st.Kind == Left {
			sum += st.in()
		}
	}
	return sum
}

// Rested reports whether what is left over was weighed.
func (s State) Rested() bool {
	for _, st := range s.Stations {
		if st.Kind == Left && len(st.Added) > 0 {
			return true
		}
	}
	return false
}

// Carried is how much liquor of an earlier pot went in, g.
func (s State) Carried(w Work) chem.Grams {
	sum := chem.Grams(0)
	for _, t := range s.Taken() {
		if w.Parts[t.Part].mixed() {
			sum += t.Mass
		}
	}
	return sum
}

// JugTemp is how warm the water with the acid must at least be for the acid to go
// clear in it, from what was weighed into the jug; false where there is no jug.
func (s State) JugTemp(w Work) (chem.Celsius, bool) {
	water, acid := chem.Grams(0), chem.Grams(0)
	for _, st := range s.Stations {
		if st.Part < 0 {
			continue
		}
		mass := st.Target
		if len(st.Added) > 0 {
			mass = st.in()
		}
		m := w.Parts[st.Part].Gram.Times(mass)
		acid += m.OAD
		if st.Jug {
			water += m.Water
		}
	}
	if water <= 0 || acid <= 0 || w.Measure != PerLitre {
		return 0, false
	}
	return chem.Saturation(acid, water), true
}

// Warmth is the temperature last read of what was heated; false when none was.
func (s State) Warmth() (t chem.Celsius, ok bool) {
	for _, st := range s.Stations {
		if st.Kind == Heat && st.Temp != nil {
			t, ok = *st.Temp, true
		}
	}
	return t, ok
}
