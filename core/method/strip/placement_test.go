package strip

import (
	"slices"
	"testing"

	"keeler/core/fault"
	"keeler/core/hive"
)

// cluster is a box of combs with full seams from one gap to another; none if to < from.
func cluster(frames, from, to int) hive.Box {
	b := hive.Box{Kind: hive.Deep, Slots: hive.Combs(frames), Seams: make([]hive.Seam, frames+1)}
	for g := from; g <= to; g++ {
		b.Seams[g] = hive.Full
	}
	return b
}

// clusters is every contiguous cluster in a box of so many frames, and none.
func clusters(frames int) []hive.Box {
	out := []hive.Box{cluster(frames, 1, 0)}
	for from := 0; from <= frames; from++ {
		for to := from; to <= frames; to++ {
			out = append(out, cluster(frames, from, to))
		}
	}
	return out
}

func between(b hive.Box, gap int) bool {
	return gap >= 1 && gap <= len(b.Slots)-1 && b.Slots[gap-1] == hive.Comb && b.Slots[gap] == hive.Comb
}

// valid checks one placement against the rule itself: in gaps with bees between
// two combs, two frames apart in each box that a strip hangs in; all that are
// wanted, or a reason and no gap left in which one more would fit.
func valid(t *testing.T, c hive.Colony, wanted int, how Layout, p Placement) {
	t.Helper()
	fail := func(why string) {
		t.Helper()
		t.Fatalf("%s: wanted %d %+v in %v / %v: got %+v", why, wanted, how, c.Boxes[0].Seams, c.Boxes[len(c.Boxes)-1].Seams, p)
	}
	hangs := make([][]int, len(c.Boxes)) // the gaps of each box in which a strip hangs
	for _, s := range p.Spots {
		b := c.Boxes[s.Box]
		if !between(b, s.Gap) || c.Quarters() > 0 && b.Seams[s.Gap] == 0 {
			fail("outside the nest")
		}
		hangs[s.Box] = append(hangs[s.Box], s.Gap)
		if s.Through {
			if how.Carrier != Long || s.Box == 0 {
				fail("reaches through to nowhere")
			}
			hangs[s.Box-1] = append(hangs[s.Box-1], s.Gap)
		}
	}
	for _, gaps := range hangs {
		slices.Sort(gaps)
		for i := 1; i < len(gaps); i++ {
			if gaps[i]-gaps[i-1] < 2 {
				fail("too close")
			}
		}
	}
	switch {
	case len(p.Spots) > wanted:
		fail("too many")
	case len(p.Spots) == wanted && p.Reason != "":
		fail("a reason for nothing")
	case len(p.Spots) < wanted && p.Reason == "":
		fail("short without a reason")
	}
	if p.Reason == ReasonGaps || p.Reason == ReasonNoGap {
		for i, b := range c.Boxes {
			for g := 1; g < len(b.Slots); g++ {
				inNest := between(b, g) && (b.Seams[g] > 0 || c.Quarters() == 0)
				if inNest && !slices.ContainsFunc(hangs[i], func(h int) bool { return max(h-g, g-h) < 2 }) {
					fail("one more would fit")
				}
			}
		}
	}
}

// Every contiguous cluster in one and two boxes of up to 12 frames, every number
// and both kinds of strip. A run of k gaps has room for half of them, rounded up.
func TestPlaceEveryCluster(t *testing.T) {
	run := func(b hive.Box) int {
		k := 0
		for g := 1; g < len(b.Slots); g++ {
			if b.Seams[g] > 0 {
				k++
			}
		}
		return (k + 1) / 2
	}
	for frames := 1; frames <= 12; frames++ {
		all := clusters(frames)
		for _, lower := range all {
			for wanted := 0; wanted <= 8; wanted++ {
				single := hive.Colony{Boxes: []hive.Box{lower}}
				for _, carrier := range []Carrier{Fibre, Long, Sponge} {
					how := Layout{Carrier: carrier}
					p := Place(single, wanted, how)
					valid(t, single, wanted, how, p)
					if p.Looked && len(p.Spots) != min(wanted, run(lower)) {
						t.Fatalf("%d of %d in %v: %+v", len(p.Spots), wanted, lower.Seams, p)
					}
				}
				for _, upper := range all {
					double := hive.Colony{Boxes: []hive.Box{lower, upper}}
					p := Place(double, wanted, Layout{Carrier: Fibre})
					valid(t, double, wanted, Layout{Carrier: Fibre}, p)
					if p.Looked && len(p.Spots) != min(wanted, run(lower)+run(upper)) {
						t.Fatalf("%d of %d in %v / %v", len(p.Spots), wanted, lower.Seams, upper.Seams)
					}
					valid(t, double, wanted, Layout{Carrier: Long}, Place(double, wanted, Layout{Carrier: Long}))
				}
			}
		}
	}
}

// Whatever hangs in two boxes and wherever the bees are, a placement keeps the rule.
func FuzzPlace(f *testing.F) {
	f.Add("\x00\x04\x04\x03\x00\x01\x04", "\x02\x04\x04", uint16(0), 3, uint8(0))
	f.Add("\x04\x04\x04\x04\x04\x04", "\x04\x04\x04\x04\x04\x04", uint16(0x124), 5, uint8(5))
	f.Fuzz(func(t *testing.T, lower, upper string, blocked uint16, wanted int, how uint8) {
		if wanted < 0 || wanted > 60 {
			t.Skip()
		}
		box := func(seams string) hive.Box {
			b := hive.Box{Kind: hive.Deep, Slots: slices.Clone(hive.Combs(min(max(len(seams), 2), 20) - 1))}
			for i := range b.Slots {
				if blocked>>i&1 == 1 {
					b.Slots[i] = hive.Feeder
				}
			}
			b.Seams = make([]hive.Seam, len(b.Slots)+1)
			for i, open := range b.Open() {
				if open && i < len(seams) {
					b.Seams[i] = hive.Seam(seams[i] % 5)
				}
			}
			return b
		}
		c := hive.Colony{Boxes: []hive.Box{box(lower), box(upper)}}
		layout := Layout{Carrier: []Carrier{Fibre, Long, Sponge}[how%3], Most: int(how / 3 % 5)}
		p := Place(c, wanted, layout)
		valid(t, c, wanted, layout, p)
		var l fault.List
		put := make([][]int, 2)
		for _, s := range p.Spots {
			put[s.Box] = append(put[s.Box], s.Gap)
		}
		if close, outside := Doubts(c, Put(c, put, layout, &l)); close || outside && c.Quarters() > 0 || len(l) > 0 {
			t.Errorf("placed by Keeler %+v, and by hand it is doubted: %v %v %v", p, close, outside, l)
		}
	})
}

func gaps(p Placement, box int) []int {
	var out []int
	for _, s := range p.Spots {
		if s.Box == box {
			out = append(out, s.Gap)
		}
	}
	return out
}

func TestPlacements(t *testing.T) {
	ten := func(from, to int) hive.Box { return cluster(10, from, to) }
	brood := ten(2, 8)
	brood.Brood = []bool{false, false, false, true, true, true} // combs 4 to 6: gaps 3 to 6
	feeder := hive.Box{Kind: hive.Deep, Slots: []hive.Slot{hive.Comb, hive.Comb, hive.Feeder, hive.Comb}, Seams: []hive.Seam{4, 4, 4, 4, 4}}
	for _, c := range []struct {
		name   string
		boxes  []hive.Box
		wanted int
		how    Layout
		want   [][]int
		reason Reason
	}{
		// In 3 and 6 the bees of 1, 2, 4, 5, 7 and 8 walk 2+1+1+1+1+2 = 8 gaps; no other
		// two do better, and of those that do as well these lie evenly.
		{"two in eight seams", []hive.Box{ten(1, 8)}, 2, Layout{Carrier: Fibre}, [][]int{{3, 6}}, ""},
		{"one in the middle", []hive.Box{ten(3, 7)}, 1, Layout{Carrier: Fibre}, [][]int{{5}}, ""},
		{"only beside brood", []hive.Box{brood}, 3, Layout{Carrier: Fibre}, [][]int{{3, 5}}, ReasonGaps},
		{"the rule's most", []hive.Box{ten(0, 10)}, 5, Layout{Carrier: Fibre, Most: 4}, [][]int{{2, 4, 6, 8}}, ReasonMost},
		{"never beside a feeder", []hive.Box{feeder}, 2, Layout{Carrier: Fibre}, [][]int{{1}}, ReasonGaps},
		{"bees at the wall alone", []hive.Box{ten(0, 0)}, 1, Layout{Carrier: Fibre}, [][]int{nil}, ReasonNoGap},
		// 3 seams below and 6 above: one strip to two.
		{"shared by bees", []hive.Box{ten(4, 6), ten(2, 7)}, 3, Layout{Carrier: Fibre}, [][]int{{5}, {3, 6}}, ""},
		{"long ones from above", []hive.Box{ten(3, 7), ten(3, 7)}, 2, Layout{Carrier: Long}, [][]int{nil, {4, 6}}, ""},
		{"sponges between the boxes", []hive.Box{ten(2, 8), ten(2, 8)}, 4, Layout{Carrier: Sponge, Between: true}, [][]int{{2, 4, 6, 8}, nil}, ""},
		{"sponges on one box", []hive.Box{ten(2, 8)}, 2, Layout{Carrier: Sponge, Between: true}, [][]int{{3, 6}}, ""},
	} {
		p := Place(hive.Colony{Boxes: c.boxes}, c.wanted, c.how)
		for i, want := range c.want {
			if got := gaps(p, i); !slices.Equal(got, want) {
				t.Errorf("%s, box %d: got %v, want %v", c.name, i, got, want)
			}
		}
		if p.Reason != c.reason {
			t.Errorf("%s: reason %q, want %q", c.name, p.Reason, c.reason)
		}
	}
}

func TestPutByHand(t *testing.T) {
	c := hive.Colony{Boxes: []hive.Box{cluster(10, 3, 7), cluster(10, 3, 7)}}
	for _, x := range []struct {
		name           string
		gaps           [][]int
		carrier        Carrier
		close, outside bool
	}{
		{"as the trade does", [][]int{{4, 6}}, Fibre, false, false},
		{"next to each other", [][]int{{4, 5}}, Fibre, true, false},
		{"outside the bees", [][]int{{1, 5}}, Fibre, false, true},
		{"above each other, short", [][]int{{4}, {5}}, Fibre, false, false},
		{"above each other, long", [][]int{{4}, {5}}, Long, true, false},
	} {
		var l fault.List
		close, outside := Doubts(c, Put(c, x.gaps, Layout{Carrier: x.carrier}, &l))
		if len(l) > 0 || close != x.close || outside != x.outside {
			t.Errorf("%s: close %v, outside %v, %v", x.name, close, outside, l)
		}
	}
	for _, bad := range [][][]int{{{11}}, {{-1}}, {{4, 4}}, {nil, nil, {3}}} {
		var l fault.List
		if Put(c, bad, Layout{Carrier: Fibre}, &l); len(l) == 0 {
			t.Errorf("%v must be refused", bad)
		}
	}
}

// 1 strip to 2½ frames: 6 seams are 2.4, 6¼ are 2.5, 7 are 2.8.
func TestWanted(t *testing.T) {
	for quarters, want := range map[int]int{0: 0, 1: 1, 4: 1, 24: 2, 25: 3, 28: 3, 40: 4} {
		b := hive.Box{Kind: hive.Deep, Slots: hive.Combs(10)}
		b.Seams = b.Cluster(quarters)
		if got := DefaultNumber.Wanted(hive.Colony{Boxes: []hive.Box{b}}); got != want {
			t.Errorf("%d quarters: %d strips, want %d", quarters, got, want)
		}
	}
	double := hive.Colony{Boxes: []hive.Box{cluster(10, 3, 7), cluster(10, 1, 0)}}
	if got := (Number{By: PerBox, Each: 2}).Wanted(double); got != 2 {
		t.Errorf("a box without bees counts: %d", got)
	}
	if got := (Number{By: PerColony, Each: 3}).Wanted(double); got != 3 {
		t.Errorf("by colony: %d", got)
	}
}
