package mites

import "math"

// Sample is mites counted over so much: days of a board, or hundreds of bees of a wash.
type Sample struct {
	Mites int
	Over  float64
}

// And is two samples of a kind together.
func (s Sample) And(other Sample) Sample {
	return Sample{s.Mites + other.Mites, s.Over + other.Over}
}

// Sample is what a count has counted, and over how much.
func (c Count) Sample() Sample {
	if c.Kind == Board {
		return Sample{c.Mites, c.over()}
	}
	return Sample{c.Mites, float64(c.Bees) / 100}
}

// Pair is the counts of one colony before and after, of one kind.
type Pair struct{ Before, After Sample }

// Fall is what fell on the boards of one colony: because of a treatment, what would have
// fallen anyway taken off, and after a second, sure treatment soon after.
type Fall struct{ First, Second float64 }

// Measure is how a share was come by.
type Measure string

const (
	FallShare   Measure = "fall_share"   // of all that fell, by a second treatment
	Controlled  Measure = "controlled"   // before and after, against untreated colonies
	BeforeAfter Measure = "before_after" // before and after alone
	AfterAlone  Measure = "after_alone"  // no share: where the colony stands now
)

// Killed is the share of mites that a treatment killed, with its 95 % interval. Below 0
// there were more than before.
type Killed struct {
	Measure  Measure `json:"measure" enum:"fall_share,controlled,before_after,after_alone"`
	Share    float64 `json:"share" doc:"0 to 1; below 0 where there were more than before."`
	Low      float64 `json:"low" doc:"Lower end of the 95 % interval."`
	High     float64 `json:"high" doc:"Upper end of the 95 % interval."`
	Before   int     `json:"before" doc:"Mites counted before; of a fall share, all that fell."`
	After    int     `json:"after" doc:"Mites counted after; of a fall share, those of the second treatment."`
	Colonies int     `json:"colonies"`
	Controls int     `json:"controls,omitempty" doc:"Untreated colonies that it is held against."`
	Few      bool    `json:"few,omitempty" doc:"Under five colonies."`
	Counting bool    `json:"counting_only,omitempty" doc:"The interval knows the error of counting alone, not how colonies differ: of one or two."`
}

// Group sizes: from how many colonies on they tell how they differ, and under how many
// they are few.
const (
	tellSpread = 3
	few        = 5
)

// Fewer is the share of mites killed by counts of one kind before and after, 1 − after ÷
// before, each as a rate; with controls, 1 − (T after × C before) ÷ (T before × C after).
// Its interval is that of the log of the ratio. ok is false where nothing was counted
// before, or the controls have no counts.
//
// Source: docs/sources.md, Did it work (Henderson and Tilton).
func Fewer(treated, controls []Pair) (k Killed, ok bool) {
	of, known := ratioOf(treated)
	if !known {
		return Killed{}, false
	}
	k = Killed{Measure: BeforeAfter, Colonies: len(treated)}
	log, half := of.log, of.half()
	if len(controls) > 0 {
		against, known := ratioOf(controls)
		if !known {
			return Killed{}, false
		}
		k.Measure, k.Controls = Controlled, len(controls)
		log, half = log-against.log, math.Hypot(half, against.half())
	}
	k.Share, k.Low, k.High = 1-math.Exp(log), 1-math.Exp(log+half), 1-math.Exp(log-half)
	for _, p := range treated {
		k.Before += p.Before.Mites
		k.After += p.After.Mites
	}
	k.sized(len(treated), len(controls))
	return k, true
}

// Fallen is the share of mites killed by what fell: first ÷ (first + second), by Wilson's
// interval; of three colonies or more the wider of that and how they differ. ok is false
// where nothing fell.
func Fallen(falls []Fall) (k Killed, ok bool) {
	first, second := 0.0, 0.0
	for _, f := range falls {
		first += max(0, f.First)
		second += f.Second
	}
	if first+second <= 0 {
		return Killed{}, false
	}
	k = Killed{
		Measure: FallShare, Colonies: len(falls), Share: first / (first + second),
		Before: int(math.Round(first + second)), After: int(math.Round(second)),
	}
	k.Low, k.High = wilson(first, first+second)
	if len(falls) >= tellSpread {
		logit := func(without int) float64 {
			a, b := 0.5, 0.5 // so that none is none at all
			for i, f := range falls {
				if i != without {
					a, b = a+max(0, f.First), b+f.Second
				}
			}
			return math.Log(a / b)
		}
		half := student(freedom(len(falls), func(i int) float64 { return max(0, falls[i].First) + falls[i].Second })) * leaveOneOut(len(falls), logit)
		middle := logit(-1)
		share := func(l float64) float64 { return 1 / (1 + math.Exp(-l)) }
		k.Low, k.High = min(k.Low, share(middle-half)), max(k.High, share(middle+half))
	}
	k.sized(len(falls), 0)
	return k, true
}

func (k *Killed) sized(treated, controls int) {
	k.Few = treated < few || controls > 0 && controls < few
	k.Counting = treated < tellSpread
}

// ratio is the log of after ÷ before of a group.
type ratio struct {
	log    float64
	counts float64 // its standard error from counting alone
	spread float64 // and from how the colonies differ; 0 where they are too few to tell
	// freedom is of Student's t for it.
	freedom int
}

// half is half of its 95 % interval: the wider of the two errors.
func (r ratio) half() float64 {
	if r.spread == 0 {
		return z * r.counts
	}
	return max(z*r.counts, student(r.freedom)*r.spread)
}

func ratioOf(pairs []Pair) (r ratio, ok bool) {
	before := 0
	for _, p := range pairs {
		if p.Before.Over <= 0 || p.After.Over <= 0 {
			return ratio{}, false
		}
		before += p.Before.Mites
	}
	if before == 0 {
		return ratio{}, false
	}
	r.log, r.counts = logRatio(pairs, -1)
	if len(pairs) >= tellSpread {
		r.freedom = freedom(len(pairs), func(i int) float64 { return float64(pairs[i].Before.Mites) / pairs[i].Before.Over })
		r.spread = leaveOneOut(len(pairs), func(without int) float64 {
			log, _ := logRatio(pairs, without)
			return log
		})
	}
	return r, true
}

// logRatio is the log of the ratio of the summed rates after and before, and its standard
// error by counting: the sum of 1 ÷ count, with ½ added to each where one is 0. Each colony
// weighs alike, however long its board lay. One can be left out.
func logRatio(pairs []Pair, without int) (log, err float64) {
	var before, after side
	for i, p := range pairs {
		if i != without {
			before.add(p.Before)
			after.add(p.After)
		}
	}
	half := 0.0
	if before.rate == 0 || after.rate == 0 {
		half = 0.5
	}
	b, nb := before.with(half)
	a, na := after.with(half)
	return math.Log(a / b), math.Sqrt(1/na + 1/nb)
}

// side adds rates up. What they count for is a count over a mean exposure that is as sure.
type side struct{ rate, variance, inverse, n float64 }

func (s *side) add(c Sample) {
	s.rate += float64(c.Mites) / c.Over
	s.variance += float64(c.Mites) / c.Over / c.Over
	s.inverse += 1 / c.Over
	s.n++
}

// with is the rate and the count behind it, with so many mites more.
func (s side) with(more float64) (rate, count float64) {
	over := s.n / s.inverse
	if s.rate > 0 {
		over = s.rate / s.variance
	}
	count = s.rate*over + more
	return count / over, count
}

// leaveOneOut is the standard error of a figure of a group, from what it is without each
// of its members.
func leaveOneOut(n int, figure func(without int) float64) float64 {
	all := make([]float64, n)
	mean := 0.0
	for i := range all {
		all[i] = figure(i)
		mean += all[i] / float64(n)
	}
	sum := 0.0
	for _, f := range all {
		sum += (f - mean) * (f - mean)
	}
	return math.Sqrt(sum * float64(n-1) / float64(n))
}

// freedom is how many degrees of freedom a group has. Where few of its members hold most of
// the mites it tells no more than those few: (Σ w)² ÷ Σ w² of them, less one, and never
// under one.
func freedom(n int, weight func(i int) float64) int {
	sum, squares := 0.0, 0.0
	for i := range n {
		w := weight(i)
		sum += w
		squares += w * w
	}
	return max(1, int(math.Round(sum*sum/squares))-1)
}

// students are the 97.5 % quantiles of Student's t for 1, 2, 3 … degrees of freedom.
var students = [...]float64{
	12.7062, 4.3027, 3.1824, 2.7764, 2.5706, 2.4469, 2.3646, 2.3060, 2.2622, 2.2281, 2.2010, 2.1788, 2.1604, 2.1448, 2.1314,
	2.1199, 2.1098, 2.1009, 2.0930, 2.0860, 2.0796, 2.0739, 2.0687, 2.0639, 2.0595, 2.0555, 2.0518, 2.0484, 2.0452, 2.0423,
}

func student(freedom int) float64 {
	if freedom <= len(students) {
		return students[freedom-1]
	}
	// Cornish and Fisher's expansion, right to four figures from 30 on.
	v := float64(freedom)
	return z + (z*z*z+z)/(4*v) + (5*math.Pow(z, 5)+16*z*z*z+3*z)/(96*v*v)
}
