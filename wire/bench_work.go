package wire

import (
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/dribble"
	"keeler/core/method/pad"
	"keeler/core/method/strip"
	"keeler/core/mixing"
)

// Mixing is a recipe as it is made at the bench.
type Mixing struct {
	mixing.Work
	Order    string
	Orders   []string
	Keepings []mixing.Keeping
	Carrier  string     // of a pot: what is soaked
	Pieces   int        // of a pot: how many
	Uptake   chem.Grams // of a pot: what it was planned with
	FullSeam chem.Millilitres
}

// Mixing works a recipe out for the bench, by an order of work; "" takes the first
// that fits.
func (r Recipe) Mixing(order string) (Mixing, error) {
	switch {
	case r.Dribble != nil:
		in, err := r.Dribble.core()
		if err != nil {
			return Mixing{}, err
		}
		p, err := dribble.New(in)
		if err != nil {
			return Mixing{}, err
		}
		m := Mixing{Keepings: dribble.Keepings, FullSeam: in.Rule.FullSeam}
		for _, o := range dribble.Orders {
			for _, kind := range o.For {
				if kind == in.Hold.Kind {
					m.Orders = append(m.Orders, o.ID)
				}
			}
		}
		if order == "" {
			order = m.Orders[0]
		}
		m.Order = order
		m.Work, err = dribble.Work(in, p, order)
		return m, err
	case r.Strip != nil:
		in, err := r.Strip.core()
		if err != nil {
			return Mixing{}, err
		}
		p, err := strip.New(in)
		return Mixing{
			Work: strip.Work(in, p), Order: strip.Order.ID, Orders: []string{strip.Order.ID}, Keepings: strip.Keepings,
			Carrier: string(in.Layout.Carrier), Pieces: p.Strips, Uptake: in.Uptake,
		}, err
	case r.Pad != nil:
		in, err := r.Pad.core()
		if err != nil {
			return Mixing{}, err
		}
		p, err := pad.New(in)
		m := Mixing{Order: pad.Diluting.ID, Keepings: pad.Keepings}
		if in.Hold.Kind == pad.ReadyPads {
			m.Order = pad.Counting.ID
		}
		m.Orders = []string{m.Order}
		if err == nil {
			m.Work = pad.Work(in, p)
		}
		return m, err
	}
	return Mixing{}, fault.List{{Field: "", Reason: fault.Missing}}
}

// ScalesOf reads balances and the cup.
func ScalesOf(balances []BenchBalance, cupG float64) mixing.Scales {
	s := mixing.Scales{Cup: chem.Grams(cupG)}
	for _, b := range balances {
		s.Balances = append(s.Balances, mixing.Balance{
			Division: chem.Grams(b.DivisionG), Capacity: chem.Grams(b.CapacityG), Least: chem.Grams(b.LeastG),
		})
	}
	return s
}

// CheckBench refuses balances, a cup or a vessel that cannot be, or that cannot
// weigh this work in loads that are still counted without slips.
func (m Mixing) CheckBench(in BeginBench) error {
	var l fault.List
	s := ScalesOf(in.Balances, in.CupG)
	s.Check(&l)
	if in.VesselML != 0 {
		l.Within("vessel_ml", in.VesselML, 10, 250000, "mL")
	}
	if len(l) > 0 {
		return l
	}
	for _, line := range m.Lines {
		if line.Mass <= 0 || line.Count > 0 {
			continue
		}
		if _, ok := s.Weigh(line.Mass, line.Acid); !ok {
			l.AddRange("balances", fault.TooLow, float64(line.Mass)/mixing.MaxLoads, 100000, "g")
			break
		}
	}
	return l.Err()
}

// BenchState writes a run as it stands; what the store knows besides is left to
// the caller.
func (m Mixing) BenchState(s mixing.State, scales mixing.Scales, vesselML float64) BenchRun {
	out := BenchRun{
		Order: m.Order, Orders: m.Orders, At: s.At, Complete: s.Complete, Ended: string(s.Ended), VesselML: vesselML,
		Acts: make([]BenchAct, len(s.Stations)), Lots: []BenchLot{}, Events: []BenchEvent{}, Keepings: []BenchKeeping{},
	}
	for _, k := range m.Keepings {
		out.Keepings = append(out.Keepings, BenchKeeping(k))
	}
	for i, st := range s.Stations {
		out.Acts[i] = m.act(st)
	}
	d := mixing.DiscardOf(s.SoFar.Mixture)
	out.Discard = BenchDiscard{round(d.Bicarbonate), round(d.Gas), d.Portions, round(d.Each), round(d.Bucket)}
	if m.Measure == mixing.Unmeasured {
		return out
	}
	out.SoFar, out.Comes = m.made(s.SoFar), m.made(s.Comes)
	out.RoomML = round(m.Room(s.Comes))
	if t, ok := s.JugTemp(m.Work); ok {
		c := round(t)
		out.JugC = &c
		warm, read := s.Warmth()
		out.JugCold = read && warm < t
	}
	if !s.Comes.Right() && s.Ended == "" {
		out.Mending = m.mending(s, vesselML)
		if over, ok := s.Surplus(m.Work); ok {
			out.Surplus = &BenchSurplus{over.Act, round(over.Mass)}
		}
	}
	if s.Complete && s.Ended == "" && !s.SoFar.Right() {
		out.OffBy = m.offBy(s.SoFar)
	}
	return out
}

// offBy tells what a batch that is off its recipe would do at the usual dose.
func (m Mixing) offBy(made mixing.Made) *BenchOff {
	aim := m.Measure.Strength(m.Aim)
	out := &BenchOff{Percent: round(100 * (made.Strength.Value/aim - 1))}
	dose := func(strength float64, mixture chem.Mixture) float64 {
		switch {
		case m.Measure == mixing.PerLitre:
			out.Dose = "full_seam"
			return strength * float64(m.FullSeam)
		case m.Carrier != "":
			out.Dose = "piece"
			return 1000 * strength / 100 * float64(m.Uptake)
		}
		out.Dose = "ten_ml"
		return 1000 * float64(chem.FormicMass(10, mixture.Share(mixture.Formic))) * strength / 100
	}
	out.Mg, out.MeantMg = round(dose(made.Strength.Value, made.Mixture)), round(dose(aim, m.Aim))
	return out
}

func (m Mixing) mending(s mixing.State, vesselML float64) *BenchMending {
	mend := s.Mending(m.Work)
	out := &BenchMending{
		Possible: mend.Possible, Add: []BenchAdd{}, Made: *m.made(mend.Made),
		MoreML: round(mend.Made.Volume - m.Measure.Volume(m.Aim)),
	}
	for _, a := range mend.Add {
		p := m.Parts[a.Part]
		add := BenchAdd{Ingredient: p.Name, Grams: round(a.Mass)}
		if p.Each > 0 {
			add.Count = int(a.Mass/p.Each + 0.5)
		} else if w, ok := s.WeighAddition(m.Work, a); ok {
			add.Weighing = weighing(w)
		}
		out.Add = append(out.Add, add)
	}
	if vesselML > 0 {
		fits := float64(m.Room(mend.Made)) <= vesselML
		out.Fits = &fits
	}
	return out
}

func (m Mixing) act(st mixing.Station) BenchAct {
	a := BenchAct{
		Distilled: st.Distilled,
		ID:        st.ID, Kind: string(st.Kind), Acid: st.Acid || st.Kind == mixing.Left, Gear: gear(st.Gear), Clean: st.Clean, Check: st.Check,
		TargetG: round(st.Target), BandG: round(st.Band), VolumeML: round(st.Line.Volume), Count: st.Line.Count,
		Added: make([]BenchAdded, len(st.Added)), LowC: float64(st.Low), HighC: float64(st.High), AlarmC: float64(st.Alarm),
		Seconds: st.Seconds, Answer: st.Answer, Done: st.Done, Balance: st.Balance,
	}
	if st.Part >= 0 {
		a.Ingredient = m.Parts[st.Part].Name
	}
	for i, g := range st.Added {
		a.Added[i] = BenchAdded{round(g.Mass), round(g.Off), g.Count}
	}
	if len(st.Rest.Loads) > 0 {
		a.Rest = weighing(st.Rest)
	}
	if st.Temp != nil {
		t := float64(*st.Temp)
		a.TempC = &t
	}
	return a
}

func weighing(w mixing.Weighing) *BenchWeighing {
	out := &BenchWeighing{
		Balance: w.Balance, TotalG: round(w.Total), OffG: round(w.Off), OffPercent: round(100 * w.Share), FinerG: round(w.Finer), Light: w.Light,
		Loads: make([]BenchLoad, len(w.Loads)),
	}
	for i, l := range w.Loads {
		out.Loads[i] = BenchLoad{round(l.Target), round(l.Band)}
	}
	return out
}

func (m Mixing) made(b mixing.Made) *BenchMade { return made(m.Measure, b) }

// MeasureOf is what a method's batch is measured in; a product's in nothing.
func MeasureOf(method string, composition []Component) mixing.Measure {
	m := Mixture(composition)
	switch {
	case m.Water+m.Glycerol+m.Sugar == 0:
		return mixing.Unmeasured
	case method == Strip:
		return mixing.PercentOAD
	case method == Pad:
		return mixing.PercentFormic
	}
	return mixing.PerLitre
}

// Is tells what a composition is, in all bases, without uncertainty: as planned.
func Is(method string, composition []Component) *BenchMade {
	k := MeasureOf(method, composition)
	if k == mixing.Unmeasured {
		return nil
	}
	mixture := Mixture(composition)
	whole := mixing.Work{Measure: k, Aim: mixture, Parts: []mixing.Part{{Gram: mixture.Take(1)}}}
	return made(k, whole.Made([]mixing.Taken{{Mass: mixture.Mass()}}))
}

func made(k mixing.Measure, b mixing.Made) *BenchMade {
	out := &BenchMade{
		Composition: components(b.Mixture), MassG: round(b.Mixture.Mass()), VolumeML: round(b.Volume),
		Unit: string(k), Strength: span(b.Strength),
	}
	if out.Composition == nil {
		out.Composition = []Component{}
	}
	share := b.Mixture.Share(b.Mixture.OAD + b.Mixture.Formic)
	out.PercentWW = round(100 * share)
	if k != mixing.PercentFormic {
		out.PercentWWA = round(chem.FromDihydrate(100*float64(share), chem.Anhydrous))
		if b.Volume > 0 {
			wv := 100 * float64(b.Mixture.OAD) / float64(b.Volume)
			out.PercentWV, out.PercentWVA = round(wv), round(chem.FromDihydrate(wv, chem.Anhydrous))
		}
	}
	if b.Ratio != nil {
		r := span(*b.Ratio)
		out.Ratio = &r
	}
	if k == mixing.PerLitre {
		c := round(b.Clear)
		out.ClearDownC = &c
	}
	return out
}

func span(s mixing.Span) BenchSpan {
	return BenchSpan{round(s.Value), round(s.Off), round(s.Low), round(s.High), string(s.Stand)}
}

// shelf has the lots that each ingredient comes from, by the names of lots.
var shelf = map[string]string{"acid": "acid", "sugar": "sugar", "glycerol": "glycerol", "tablets": "tablets"}

// lotOf is the kind of lot that an ingredient comes from; empty for water and for
// liquor carried over.
func (m Mixing) lotOf(ingredient string) string {
	if ingredient != "stock" {
		return shelf[ingredient]
	}
	if m.Measure == mixing.PercentFormic {
		return "formic"
	}
	return "ready_mix"
}

// Off is what comes off the shelf for what is taken, in the units of lots.
type Off struct {
	Lot    string
	Amount float64
}

// OffShelf lists what comes off the shelf, in the order of the ingredients; a
// product whole, by its volume or pieces.
func (m Mixing) OffShelf(s mixing.State, pieces int, productML float64) []Off {
	var out []Off
	for i, p := range m.Parts {
		kind := m.lotOf(p.Name)
		if kind == "" {
			continue
		}
		o := Off{Lot: kind}
		for _, st := range s.Stations {
			for _, g := range st.Added {
				switch {
				case st.Part != i:
				case p.Each > 0:
					o.Amount += float64(g.Count)
				default:
					o.Amount += float64(g.Mass)
				}
			}
		}
		out = append(out, o)
	}
	switch {
	case m.Carrier != "":
		out = append(out, Off{"carrier", float64(pieces)})
	case m.Measure == mixing.Unmeasured && productML > 0:
		out = append(out, Off{"product", productML})
	case m.Measure == mixing.Unmeasured:
		out = append(out, Off{"ready_pads", float64(pieces)})
	}
	return out
}

// Additions turns what a mending puts in into core's, by the names of ingredients.
func (m Mixing) Additions(add []BenchAdd) []mixing.Addition {
	var out []mixing.Addition
	for _, a := range add {
		for i, p := range m.Parts {
			if p.Name == a.Ingredient {
				out = append(out, mixing.Addition{Part: i, Mass: chem.Grams(a.Grams)})
			}
		}
	}
	return out
}

// Components writes what a mixture holds.
func Components(m chem.Mixture) []Component { return components(m) }

// MendingOf is what must go in to mend a run, in the words of the wire; empty
// where nothing would.
func (m Mixing) MendingOf(s mixing.State) []BenchAdd {
	mend := s.Mending(m.Work)
	if !mend.Possible {
		return nil
	}
	out := make([]BenchAdd, len(mend.Add))
	for i, a := range mend.Add {
		out[i] = BenchAdd{Ingredient: m.Parts[a.Part].Name, Grams: float64(a.Mass)}
	}
	return out
}

// Uptakes tells what so many pieces took up, held against what was learnt.
func (m Mixing) Uptakes(s mixing.State, pieces int, l strip.Learnt) BenchUptake {
	in, off := chem.Grams(0), 0.0
	for _, t := range s.Taken() {
		in += t.Mass
		off = math.Hypot(off, float64(t.Off))
	}
	leftOff := 0.0
	for _, st := range s.Stations {
		if st.Kind == mixing.Left {
			for _, g := range st.Added {
				leftOff = math.Hypot(leftOff, float64(g.Off))
			}
		}
	}
	each, each1 := strip.Uptake(in, chem.Grams(off), s.LeftOver(), chem.Grams(leftOff), pieces)
	out := BenchUptake{
		Carrier: m.Carrier, EachG: round(each), OffG: round(each1), Pieces: pieces,
		OADG: round(float64(each) * float64(s.SoFar.Mixture.Share(s.SoFar.Mixture.OAD))), Strange: l.Strange(each, m.Uptake),
	}
	if l.Pots > 0 {
		learnt := LearntOf(m.Carrier, l)
		out.Learnt = &learnt
	}
	return out
}

// LearntOf writes what was learnt of a carrier.
func LearntOf(carrier string, l strip.Learnt) Learnt {
	return Learnt{carrier, round(l.Each), round(l.Off), l.Pots}
}

// UsualBalances are those of a kitchen, until the keeper says what there is.
func UsualBalances() Balances {
	return Balances{[]BenchBalance{{Name: "kitchen balance", DivisionG: 1, CapacityG: 5000}, {Name: "fine balance", DivisionG: 0.1, CapacityG: 500}}}
}
