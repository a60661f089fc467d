package mites

import (
	"cmp"
	"slices"
)

// Chance draws a whole number from 0 to n − 1, each as likely as the others.
type Chance func(n int) int

// Draw picks n of some colonies by chance, so that those picked are like the rest: they are
// put in the order of a figure, such as their count, parted into n, and one is drawn of
// each part. It gives their places, rising.
func Draw(like []float64, n int, chance Chance) []int {
	order := ordered(like)
	var out []int
	for part := range n {
		from, to := part*len(order)/n, (part+1)*len(order)/n
		if to > from {
			out = append(out, order[from+chance(to-from)])
		}
	}
	slices.Sort(out)
	return out
}

// Deal deals colonies to groups by chance within like strength: they are put in the order of
// a figure, and of each so many neighbours one goes to each group. It gives the group of
// each, from 0.
func Deal(like []float64, groups int, chance Chance) []int {
	order := ordered(like)
	out := make([]int, len(like))
	hand := make([]int, groups)
	for i := range order {
		left := groups - i%groups
		if left == groups {
			for g := range hand {
				hand[g] = g
			}
		}
		drawn := chance(left)
		out[order[i]] = hand[drawn]
		hand[drawn] = hand[left-1]
	}
	return out
}

func ordered(like []float64) []int {
	order := make([]int, len(like))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(like[a], like[b]) })
	return order
}
