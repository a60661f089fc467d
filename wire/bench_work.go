package wire

import (
	"cmp"
	"keeler/core/batch"
	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method/strip"
	"keeler/core/mixing"
	"keeler/words"
)

// Mixing is a recipe as it is made at the bench.
type Mixing struct {
	mixing.Work
	Order    string
	Orders   []string
	Keepings []mixing.Keeping
}

// Mixing works a recipe out for the bench, by an order of work; "" takes the first
// that fits.
func (r Recipe) Mixing(order string) (Mixing, error) {
	of, err := r.Core()
	if err != nil {
		return Mixing{}, err
	}
	p, err := of.Plan()
	if err != nil {
		return Mixing{}, err
	}
	m := Mixing{Orders: of.Orders(), Keepings: of.Keepings()}
	m.Order = cmp.Or(order, m.Orders[0])
	m.Work, err = p.Work(m.Order)
	return m, err
}

// ScalesOf reads balances and the cup.
func ScalesOf(balances []BenchBalance, cupG float64) mixing.Scales {
	s := mixing.Scales{Cup: chem.Grams(cupG)}
	for _, b := range balances {
		s.Balances = append(s.Balances, b.Balance)
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
	s.CheckWork(m.Work, &l)
	return l.Err()
}

// BenchState writes a run as it stands; what the store knows besides is left to
// the caller.
func (m Mixing) BenchState(s mixing.State, scales mixing.Scales, vesselML float64) BenchRun {
	out := BenchRun{
		Order: m.Order, Orders: m.Orders, At: s.At, Complete: s.Complete, Ended: string(s.Ended), VesselML: vesselML,
		Acts: make([]BenchAct, len(s.Stations)), Lots: []BenchLot{}, Events: []BenchEvent{}, Keepings: m.Keepings,
	}
	for i, st := range s.Stations {
		out.Acts[i] = m.act(st)
	}
	out.Discard = mixing.DiscardOf(s.SoFar.Mixture)
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
			out.Surplus = &over
		}
	}
	if s.Complete && s.Ended == "" && !s.SoFar.Right() {
		out.OffBy = m.offBy(s.SoFar)
	}
	return out
}

// offBy tells what a batch that is off its recipe would do at the usual dose.
func (m Mixing) offBy(made mixing.Made) *BenchOff {
	return &BenchOff{
		Percent: round(100 * (made.Strength.Value/m.Measure.Strength(m.Aim) - 1)), Dose: m.Dose.Name,
		Mg: round(m.DoseMg(made.Mixture)), MeantMg: round(m.DoseMg(m.Aim)),
	}
}

func (m Mixing) mending(s mixing.State, vesselML float64) *BenchMending {
	mend := s.Mending(m.Work)
	out := &BenchMending{
		Possible: mend.Possible, Add: []BenchAdd{}, Made: *m.made(mend.Made),
		MoreML: round(mend.Made.Volume - m.Measure.Volume(m.Aim)),
	}
	for _, a := range mend.Add {
		p := m.Parts[a.Part]
		add := BenchAdd{Ingredient: p.Name, Name: words.Ingredient(p.Name), Grams: round(a.Mass)}
		if p.Each > 0 {
			add.Count = int(a.Mass/p.Each + 0.5)
		} else if w, ok := s.WeighAddition(m.Work, a); ok {
			add.Weighing = &w
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
	a := BenchAct{Station: st, Volume: st.Line.Volume, Count: st.Line.Count}
	if st.Part >= 0 {
		a.Ingredient = m.Parts[st.Part].Name
		a.Name = words.Ingredient(a.Ingredient)
	}
	a.Title, a.Hint = words.Act(st.ID, st.Kind == mixing.CountIt, a.Ingredient)
	return a
}

func (m Mixing) made(b mixing.Made) *BenchMade { return made(m.Measure, b) }

// Is tells what a batch is, in all bases, without uncertainty: as planned; nil for a
// product.
func Is(b batch.Batch) *BenchMade {
	is, known := b.Is()
	if !known {
		return nil
	}
	return made(b.Measure(), is)
}

func made(k mixing.Measure, b mixing.Made) *BenchMade {
	out := &BenchMade{
		Composition: Components(b.Mixture), MassG: round(b.Mixture.Mass()), VolumeML: round(b.Volume),
		Unit: string(k), Strength: b.Strength, Ratio: b.Ratio,
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
	if k == mixing.PerLitre {
		c := round(b.Clear)
		out.ClearDownC = &c
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
	each, off := strip.Weighed(s, pieces)
	out := BenchUptake{
		Carrier: m.Soaks.Carrier, EachG: round(each), OffG: round(off), Pieces: pieces,
		OADG: round(float64(each) * float64(s.SoFar.Mixture.Share(s.SoFar.Mixture.OAD))), Strange: l.Strange(each, m.Soaks.Uptake),
	}
	if l.Pots > 0 {
		learnt := LearntOf(m.Soaks.Carrier, l)
		out.Learnt = &learnt
	}
	return out
}

// LearntOf writes what was learnt of a carrier.
func LearntOf(carrier string, l strip.Learnt) Learnt {
	return Learnt{carrier, l}
}

// UsualBalances are those of a kitchen, until the keeper says what there is.
func UsualBalances() Balances {
	kitchen, fine := mixing.Balance{Division: 1, Capacity: 5000}, mixing.Balance{Division: 0.1, Capacity: 500}
	return Balances{[]BenchBalance{{"kitchen balance", kitchen}, {"fine balance", fine}}}
}

// MadeOf is what a run comes to, with its uncertainty; nil for a product.
func (m Mixing) MadeOf(s mixing.State) *BenchMade {
	if m.Measure == mixing.Unmeasured {
		return nil
	}
	return m.made(s.SoFar)
}
