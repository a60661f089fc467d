package mixing

import (
	"keeler/core/fault"
)

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
