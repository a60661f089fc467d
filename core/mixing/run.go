package mixing

import (
	"math"
	"strconv"

	"keeler/core/chem"
)

// Answers.
const (
	Yes    = "yes"
	No     = "no"
	Cloudy = "cloudy"
	Clear  = "clear"
)

// Fold tells how a run stands after its events, weighed on these scales.
func (w Work) Fold(events []Event, s Scales) State {
	r := running{w: w, scales: s, state: State{scales: s}}
	for _, a := range w.Acts {
		r.add(len(r.state.Stations), a, w.line(a.Line).Mass)
	}
	for n, e := range events {
		r.happen(n, e)
	}
	r.read()
	return r.state
}

type running struct {
	w      Work
	scales Scales
	state  State
	more   int
}

// add puts an act in at a place.
func (r *running) add(at int, a Act, target chem.Grams) {
	st := Station{Act: a, Part: -1, Acid: a.Kind == Left, Added: []AddedLoad{}}
	if a.Kind == WeighIt || a.Kind == CountIt {
		st.Line, st.Part, st.Target = r.w.line(a.Line), r.w.part(a.Line), target
		st.Acid = r.w.Parts[st.Part].Acid()
		r.aim(&st)
	}
	if a.Kind == Left { // nobody knows yet how much it is
		st.Balance = r.scales.strongest()
	}
	all := append(r.state.Stations, Station{})
	copy(all[at+1:], all[at:])
	all[at] = st
	r.state.Stations = all
}

// aim works out how the rest is weighed. How well it is known goes by all of the
// ingredient that is in the vessel or still to come, not by the last top-up alone.
func (r *running) aim(st *Station) {
	whole := chem.Grams(0)
	for i := range r.state.Stations {
		if of := &r.state.Stations[i]; of.Part == st.Part && of.ID != st.ID {
			whole += of.Target
		}
	}
	whole += st.Target
	all, _ := r.scales.WeighPart(st.Target, whole, st.Acid)
	st.Band, st.Balance = all.Band, all.Balance
	rest := st.Target - st.in()
	st.Rest = Weighing{}
	nothing := st.Target <= tiny
	if st.Kind == CountIt {
		st.Done = nothing || len(st.Added) > 0
		return
	}
	st.Done = nothing || len(st.Added) > 0 && rest <= st.Band
	if !st.Done {
		st.Rest, _ = r.scales.WeighPart(rest, whole, st.Acid)
		st.Balance = st.Rest.Balance
	}
}

func (r *running) find(act string) *Station {
	for i := range r.state.Stations {
		if r.state.Stations[i].ID == act {
			return &r.state.Stations[i]
		}
	}
	return nil
}

func (r *running) happen(n int, e Event) {
	switch e.Kind {
	case Corrected:
		r.mend(e.Add)
		return
	case Finished, Discarded:
		r.state.Ended = e.Kind
		return
	}
	st := r.find(e.Act)
	if st == nil {
		return
	}
	switch e.Kind {
	case Added:
		st.Added = append(st.Added, AddedLoad{e.Grams, e.Off, e.Count})
		r.aimAt(st)
	case Removed:
		if e.Load < len(st.Added) {
			st.Added = append(st.Added[:e.Load:e.Load], st.Added[e.Load+1:]...)
			r.aimAt(st)
		}
	case Opened:
		for i := range r.state.Stations {
			if r.state.Stations[i].ID == e.Act {
				r.state.At = i
			}
		}
	case Answered:
		st.Answer = e.Answer
		st.Done = e.Answer != No
		if st.Kind == Test {
			r.water(e.Answer == Cloudy)
		}
	case Measured:
		t := e.Temp
		st.Temp = &t
		if st.Kind == Heat || st.Kind == Wait && st.High > 0 {
			st.Done = t >= st.Low && t <= st.High && (!st.Check || st.Answer == Yes)
		}
	case Started:
		st.StartedBy = n + 1
	}
}

// water chooses what water is weighed.
func (r *running) water(distilled bool) {
	for i := range r.state.Stations {
		if st := &r.state.Stations[i]; st.Part >= 0 && r.w.Parts[st.Part].Gram.Water == 1 {
			st.Distilled = distilled
		}
	}
}

// aimAt is aim, or for what is left over the one load it is.
func (r *running) aimAt(st *Station) {
	if st.Kind == Left {
		st.Done = len(st.Added) > 0
		return
	}
	r.aim(st)
}

// mend raises what is still to be weighed of an ingredient, or puts an act in for it.
func (r *running) mend(add []Addition) {
	r.more++
	for i := range r.w.Parts {
		mass := chem.Grams(0)
		for _, a := range add {
			if a.Part == i {
				mass = a.Mass
			}
		}
		if a := (Addition{i, mass}); !r.raise(a) && mass > 0 {
			r.insert(a)
		}
	}
	fresh := false
	for i := range r.state.Stations { // what was seen before the addition must be seen again
		st := &r.state.Stations[i]
		if st.Join {
			fresh = true
		}
		if fresh && (st.Kind == Do || st.Kind == Heat) {
			st.Answer, st.Done, st.Temp = "", false, nil
		}
	}
	for i, st := range r.state.Stations[:r.state.At] { // back to what was passed and is open again
		if !st.Done && (st.Kind == WeighIt || st.Kind == CountIt) {
			r.state.At = i
			return
		}
	}
}

// raise spreads what is still to go in of an ingredient over its open acts; with
// nothing to go in they are done.
func (r *running) raise(a Addition) bool {
	open := chem.Grams(0)
	each := func(do func(*Station, chem.Grams)) {
		for i := range r.state.Stations {
			if st := &r.state.Stations[i]; st.Part == a.Part && !st.Done {
				do(st, st.in())
			}
		}
	}
	each(func(st *Station, in chem.Grams) { open += st.Target - in })
	if open <= 0 {
		return false
	}
	each(func(st *Station, in chem.Grams) {
		st.Target = in + a.Mass*(st.Target-in)/open
		st.Line.Mass, st.Line.Count = st.Target, r.w.Parts[a.Part].pieces(st.Target)
		r.aim(st)
	})
	return true
}

// in is all that went in here.
func (st Station) in() chem.Grams {
	sum := chem.Grams(0)
	for _, g := range st.Added {
		sum += g.Mass
	}
	return sum
}

// pieces is how many pieces a mass is; 0 for what is weighed.
func (p Part) pieces(mass chem.Grams) int {
	if p.Each <= 0 {
		return 0
	}
	return int(math.Round(float64(mass / p.Each)))
}

// insert puts an act for an addition before the act that joins all.
func (r *running) insert(a Addition) {
	part := r.w.Parts[a.Part]
	act := Act{ID: "more_" + part.Name + "_" + strconv.Itoa(r.more), Kind: WeighIt, Line: part.Steps[0]}
	if part.Each > 0 {
		act.Kind = CountIt
	}
	at := len(r.state.Stations)
	for i, st := range r.state.Stations {
		if st.Join {
			at = i
			break
		}
	}
	r.add(at, act, a.Mass)
	st := &r.state.Stations[at]
	st.Line = Line{Step: act.Line, Mass: a.Mass, Count: part.pieces(a.Mass)}
	if r.state.At >= at {
		r.state.At++
	}
}

// read adds up what is in, and what comes of it.
func (r *running) read() {
	var rest []Taken
	r.state.Complete = true
	for i := range r.state.Stations {
		st := &r.state.Stations[i]
		if st.Part < 0 {
			continue
		}
		if !st.Done {
			r.state.Complete = false
			rest = append(rest, Taken{st.Part, max(st.Target-st.in(), 0), st.Rest.Off})
		}
	}
	in := r.state.Taken()
	r.state.SoFar = r.w.Made(in)
	r.state.Comes = r.w.Made(append(in, rest...))
}
