package strip

import (
	"slices"

	"keeler/core/hive"
)

// gapSet is what the strips of one box can choose from: for each gap whether it
// is in the nest, and how many quarters of bees a strip there is for.
type gapSet struct {
	gaps  int
	in    [hive.MaxFrames + 1]bool
	bees  [hive.MaxFrames + 1]int16
	total int // quarters of bees in all its gaps
}

// nest finds the gaps of each box in which a strip hangs among brood: between two
// combs, beside brood where brood is known in the colony, otherwise where there
// are bees. Where nobody looked, every gap between combs stands for it, and
// looked is false. The sets lie in room, where they fit.
func nest(c hive.Colony, room []gapSet) (sets []gapSet, looked bool) {
	brood := false
	for _, b := range c.Boxes {
		for _, holds := range b.Brood {
			brood = brood || holds
		}
	}
	looked = brood || c.Quarters() > 0
	sets = append(room, make([]gapSet, len(c.Boxes))...)
	for i := range c.Boxes {
		b, s := &c.Boxes[i], &sets[i]
		s.gaps = len(b.Slots) + 1
		s.total = b.Quarters()
		for g := range s.gaps {
			seam := b.Seam(g)
			switch {
			case !b.Between(g):
			case brood:
				s.in[g] = b.BroodBeside(g)
			default:
				s.in[g] = seam > 0 || !looked
			}
			s.bees[g] = max(int16(seam), 1)
		}
	}
	return sets, looked
}

// maxRoom is how many strips fit into the largest box there is.
const maxRoom = (hive.MaxFrames + apart) / apart

// holds reports whether any gap of the set is in the nest.
func (s *gapSet) holds() bool { return slices.Contains(s.in[:s.gaps], true) }

// anyHolds reports whether any of the sets has a gap in the nest.
func anyHolds(sets []gapSet) bool {
	for i := range sets {
		if sets[i].holds() {
			return true
		}
	}
	return false
}

// room is how many strips fit, at least two frames apart: the first gap and then
// the next one that is far enough, which no other choice can better.
func (s *gapSet) room() int {
	n, last := 0, -apart
	for g := range s.gaps {
		if s.in[g] && g-last >= apart {
			n, last = n+1, g
		}
	}
	return n
}

// near takes the gaps closer than two frames to one that is taken out of the set.
func (s *gapSet) near(taken int) {
	for g := max(0, taken-apart+1); g < min(s.gaps, taken+apart); g++ {
		s.in[g] = false
	}
}

// spread chooses n gaps (at most room), at least two frames apart, so that the
// bees of the nest have the shortest way to a strip: the smallest sum of quarters
// of bees times gaps to walk. Of equal choices it takes the most even one.
func (s *gapSet) spread(n int, chosen []int) []int {
	if n <= 0 {
		return chosen
	}
	var in [hive.MaxFrames + 1]int // the gaps of the nest, by their order in it
	m := 0
	for g := range s.gaps {
		if s.in[g] {
			in[m] = g
			m++
		}
	}
	// way[k][i]: the shortest sum for the bees up to choice i, when it is strip k;
	// from[k][i]: the choice before it. What speaks for evenness is below any bee.
	const far = 1 << 40
	const bee = 1 << 16
	uneven := func(k, i int) int {
		even := (2*k + 1) * (in[m-1] - in[0]) // of 2n parts of the nest
		return max(2*n*(in[i]-in[0])-even, even-2*n*(in[i]-in[0]))
	}
	var way [maxRoom][hive.MaxFrames + 1]int
	var from [maxRoom][hive.MaxFrames + 1]int8
	for i := range m {
		way[0][i] = bee*s.walk(in[:i], -far, in[i]) + uneven(0, i)
		for k := 1; k < n; k++ {
			way[k][i] = far
		}
		for j := range i {
			if in[i]-in[j] < apart {
				break
			}
			between := bee * s.walk(in[j+1:i], in[j], in[i])
			for k := 1; k < n && way[k-1][j] < far; k++ {
				if sum := way[k-1][j] + between + uneven(k, i); sum < way[k][i] {
					way[k][i], from[k][i] = sum, int8(j)
				}
			}
		}
	}
	best, least := -1, far
	for i := range m {
		if way[n-1][i] == far {
			continue
		}
		if sum := way[n-1][i] + bee*s.walk(in[i+1:m], in[i], far); sum < least {
			best, least = i, sum
		}
	}
	for k := n - 1; k >= 0; k-- {
		chosen = append(chosen, in[best])
		best = int(from[k][best])
	}
	return chosen
}

// walk is how far the bees of some gaps have to the nearer of two strips.
func (s *gapSet) walk(gaps []int, left, right int) int {
	sum := 0
	for _, g := range gaps {
		sum += int(s.bees[g]) * min(g-left, right-g)
	}
	return sum
}
