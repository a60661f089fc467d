package mixing

import (
	"math"
	"strconv"

	"keeler/core/chem"
	"keeler/core/fault"
)

// EventKind says what happened at the bench.
type EventKind string

const (
	Added     EventKind = "added"     // a load went in
	Removed   EventKind = "removed"   // the load was written wrongly: it is taken back
	Opened    EventKind = "opened"    // to an act
	Answered  EventKind = "answered"  // the answer to a check or a test
	Measured  EventKind = "measured"  // a temperature was read
	Started   EventKind = "started"   // a wait
	Corrected EventKind = "corrected" // more is to go in
	Finished  EventKind = "finished"  // the batch is made
	Discarded EventKind = "discarded" // it is not to be used
)

// Event is one thing that happened at the bench. A run is the list of them; it
// only grows.
type Event struct {
	Kind   EventKind
	Act    string
	Load   int          // of Added and Removed: which load of the act, from 0
	Grams  chem.Grams   // of Added
	Off    chem.Grams   // how far it may be off
	Count  int          // pieces, where they are counted
	Sure   bool         // of Added: yes, so much
	Answer string       // of Answered
	Temp   chem.Celsius // of Measured
	Add    []Addition   // of Corrected
	AsIs   bool         // of Finished: yes, although it is off its recipe
}

// AddedLoad is a load that went in.
type AddedLoad struct {
	Mass, Off chem.Grams
	Count     int
}

// Station is an act as it stands.
type Station struct {
	Act
	Line   Line       // what is weighed; zero for other kinds
	Part   int        // its ingredient, -1 for other kinds
	Acid   bool       // the ingredient holds acid
	Target chem.Grams // all that is wanted here
	Band   chem.Grams
	// Balance is the one that it is weighed on, by its place.
	Balance   int
	Added     []AddedLoad
	Rest      Weighing // how what is still wanted is weighed; no loads when there is enough
	Answer    string
	Temp      *chem.Celsius
	StartedBy int // the event that began it, from 1; 0 when it has not begun
	Done      bool
	// Distilled: the water test was cloudy. Source: calcium takes acid out as a
	// haze that hides what has not dissolved.
	Distilled bool
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
	st := Station{Act: a, Part: -1}
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

// How many times its target a weight may be before Keeler asks: of acid, and of
// what does nobody harm.
const (
	doubtfulAcid = 2
	doubtful     = 5
)

// Doubt is from how many times its target on a weight is asked about.
func (st Station) Doubt() float64 {
	if st.Acid {
		return doubtfulAcid
	}
	return doubtful
}

// MaxWeight is the heaviest load taken, g.
const MaxWeight = 200000

// Check appends why an event cannot be, as the run stands.
func (s State) Check(e Event, l *fault.List) {
	if s.Ended != "" {
		l.Add("kind", fault.Ended)
		return
	}
	switch e.Kind {
	case Corrected, Discarded:
		return
	case Finished:
		s.checkWhole(l)
		if len(*l) == 0 && !e.AsIs && !s.SoFar.Right() {
			l.AddRange("as_is", fault.OffRecipe, s.SoFar.Strength.Low, s.SoFar.Strength.High, "")
		}
		return
	case Added, Removed, Opened, Answered, Measured, Started:
	default:
		l.Add("kind", fault.Unknown)
		return
	}
	var at *Station
	for i := range s.Stations {
		if s.Stations[i].ID == e.Act {
			at = &s.Stations[i]
		}
	}
	if at == nil {
		l.Add("act", fault.Unknown)
		return
	}
	at.check(e, l)
}

func (st Station) check(e Event, l *fault.List) {
	switch e.Kind {
	case Added:
		switch st.Kind {
		case WeighIt, Left:
		case CountIt:
			l.Within("count", float64(e.Count), 1, 100000, "pieces")
			return
		default:
			l.Add("act", fault.NotFitting)
			return
		}
		least := 0.0
		if st.Kind == WeighIt {
			least = 0.001
		}
		if !l.Within("grams", float64(e.Grams), least, MaxWeight, "g") {
			return
		}
		l.Within("off_g", float64(e.Off), 0, 1000, "g")
		if all := st.in() + e.Grams; st.Kind == WeighIt && !e.Sure && float64(all) >= st.Doubt()*float64(st.Target) {
			l.AddRange("grams", fault.Doubtful, st.Doubt(), float64(st.Target), "times")
		}
	case Removed:
		if e.Load < 0 || e.Load >= len(st.Added) {
			l.Add("load", fault.Unknown)
		}
	case Answered:
		switch e.Answer {
		case Yes, No, Clear, Cloudy:
		default:
			l.Add("answer", fault.Unknown)
		}
	case Measured:
		l.Within("temp_c", float64(e.Temp), -20, 200, "°C")
	case Started:
		if st.Kind != Wait {
			l.Add("act", fault.NotFitting)
		}
	}
}

// checkWhole asks for a weight of everything: of what was not weighed nobody
// knows the strength.
func (s State) checkWhole(l *fault.List) {
	for _, st := range s.Stations {
		if st.Part >= 0 && len(st.Added) == 0 && st.Target > tiny || st.Kind == Left && len(st.Added) == 0 {
			l.Add("acts["+st.ID+"]", fault.Missing)
		}
	}
}
