package hive

import (
	"slices"
	"testing"

	"keeler/core/fault"
)

func TestGaps(t *testing.T) {
	for _, c := range []struct {
		name  string
		slots []Slot
		want  []bool
	}{
		{"combs have a gap at each side", Combs(3), []bool{true, true, true, true}},
		{"a feeder at the wall has no gap behind it", []Slot{Comb, Comb, Feeder}, []bool{true, true, true, false}},
		{"between feeder and dummy sits nobody", []Slot{Comb, Feeder, Dummy}, []bool{true, true, false, false}},
		{"an empty place keeps its neighbours' sides", []Slot{Comb, Empty, Comb}, []bool{true, true, true, true}},
	} {
		if got := (Box{Slots: c.slots}).Open(); !slices.Equal(got, c.want) {
			t.Errorf("%s: got %v, want %v", c.name, got, c.want)
		}
	}
}

func TestClusterKeepsTheCount(t *testing.T) {
	slots := append(Combs(9), Feeder)
	for quarters := 0; quarters <= 40; quarters++ {
		b := Box{Kind: Deep, Slots: slots}
		b.Seams = b.Cluster(quarters)
		if b.Quarters() != quarters {
			t.Errorf("%d quarters became %d", quarters, b.Quarters())
		}
		if b.Seams[10] != 0 {
			t.Error("bees were put behind the feeder")
		}
	}
	want := []Seam{0, 2, 4, 4, 4, 0, 0, 0}
	if got := (Box{Slots: Combs(7)}).Cluster(14); !slices.Equal(got, want) {
		t.Errorf("3½ seams in 7 combs: got %v, want %v", got, want)
	}
}

func TestBees(t *testing.T) {
	// 6½ deep seams at 2,200 and 2 medium at 1,500: 14,300 + 3,000.
	c := Colony{Boxes: []Box{
		{Kind: Deep, Slots: Combs(10), Seams: []Seam{0, 4, 4, 4, 4, 4, 4, 2}},
		{Kind: Medium, Slots: Combs(10), Seams: []Seam{4, 4}},
	}}
	if c.Bees() != 17300 || c.Quarters() != 34 {
		t.Errorf("got %d bees, %d quarters; want 17300, 34", c.Bees(), c.Quarters())
	}
}

// A gap between two combs lies beside brood when either comb holds it.
func TestBroodAndGapsBetween(t *testing.T) {
	b := Box{Slots: []Slot{Comb, Comb, Comb, Feeder, Comb}, Brood: []bool{false, false, true}, Seams: []Seam{0, 3}}
	for gap, want := range []struct{ between, brood bool }{
		{false, false}, {true, false}, {true, true}, {false, true}, {false, false}, {false, false},
	} {
		if b.Between(gap) != want.between || b.BroodBeside(gap) != want.brood {
			t.Errorf("gap %d: between %v, brood %v", gap, b.Between(gap), b.BroodBeside(gap))
		}
	}
	if b.Seam(1) != 3 || b.Seam(4) != 0 || b.Seam(-1) != 0 {
		t.Error("where nobody looked there are no bees")
	}
	if n := (Colony{Boxes: []Box{b, {Slots: Combs(10)}}}).Combs(); n != 14 {
		t.Errorf("%d combs, want 14: feeders are none", n)
	}
	var l fault.List
	CheckAll(make([]Colony, MaxColonies+1), &l)
	if len(l) != 1 || l[0].Reason != fault.TooMany {
		t.Errorf("too many colonies: %v", l)
	}
}

func TestWhatCannotBe(t *testing.T) {
	good := func() Colony {
		return Colony{Name: "R1", Boxes: []Box{{Kind: Deep, Slots: slices.Clone(Combs(3)), Seams: []Seam{0, 4, 4, 0}}}}
	}
	for _, c := range []struct {
		name   string
		break_ func(*Colony)
		field  string
		reason fault.Reason
	}{
		{"no box", func(c *Colony) { c.Boxes = nil }, "boxes", fault.TooLow},
		{"odd box", func(c *Colony) { c.Boxes[0].Kind = "tall" }, "boxes[0].kind", fault.Unknown},
		{"no frames", func(c *Colony) { c.Boxes[0].Slots = nil }, "boxes[0].slots", fault.TooLow},
		{"odd slot", func(c *Colony) { c.Boxes[0].Slots[1] = "hat" }, "boxes[0].slots[1]", fault.Unknown},
		{"more seams than gaps", func(c *Colony) { c.Boxes[0].Seams = make([]Seam, 5) }, "boxes[0].seams", fault.TooMany},
		{"over full", func(c *Colony) { c.Boxes[0].Seams[2] = 5 }, "boxes[0].seams[2]", fault.TooHigh},
		{"brood in a feeder", func(c *Colony) {
			c.Boxes[0].Slots, c.Boxes[0].Brood = []Slot{Comb, Feeder, Comb}, []bool{true, true}
		}, "boxes[0].brood[1]", fault.NoGap},
		{"more brood than combs", func(c *Colony) { c.Boxes[0].Brood = make([]bool, 4) }, "boxes[0].brood", fault.TooMany},
		{"bees behind the feeder", func(c *Colony) { c.Boxes[0].Slots = []Slot{Comb, Feeder, Feeder} }, "boxes[0].seams[2]", fault.NoGap},
	} {
		colony, l := good(), fault.List{}
		colony.Check(&l)
		if len(l) != 0 {
			t.Fatalf("the good colony: %v", l)
		}
		c.break_(&colony)
		colony.Check(&l)
		if len(l) != 1 || l[0].Field != c.field || l[0].Reason != c.reason {
			t.Errorf("%s: got %v, want %s %s", c.name, l, c.field, c.reason)
		}
	}

	var l fault.List
	box := Box{Kind: Deep, Slots: Combs(4)}
	box.CheckCount("n", 5, &l)
	box.CheckCount("n", 2.75, &l)
	if len(l) != 0 {
		t.Errorf("5 and 2¾ seams fit 4 combs: %v", l)
	}
	box.CheckCount("n", 5.25, &l)
	box.CheckCount("n", 2.1, &l)
	if len(l) != 2 || l[0].Reason != fault.TooHigh || l[1].Reason != fault.WholeOnly {
		t.Errorf("got %v", l)
	}
}
