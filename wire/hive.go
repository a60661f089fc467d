package wire

import (
	"keeler/core/fault"
	"keeler/core/hive"
)

// Colony is one colony and its boxes.
type Colony struct {
	Name  string `json:"name" maxLength:"40" doc:"The keeper's name for it."`
	Nuc   bool   `json:"nuc,omitempty" doc:"A nucleus colony."`
	Boxes []Box  `json:"boxes" maxItems:"6" doc:"The lowest first; 1 to 6."`
}

// Box is one box of a hive.
type Box struct {
	Kind    string    `json:"kind" enum:"deep,medium,shallow" doc:"Depth of its frames."`
	Frames  int       `json:"frames,omitempty" doc:"Combs side by side, 1 to 20; or give slots."`
	Slots   []string  `json:"slots,omitempty" maxItems:"20" doc:"What hangs in each place: comb, feeder, dummy or empty; overrides frames."`
	Seams   []float64 `json:"seams,omitempty" maxItems:"21" doc:"Bees in each gap from the left wall to the right, 0 to 1 in quarters; one gap more than slots, none beside a place without a comb on either side."`
	Counted *float64  `json:"counted,omitempty" doc:"Full seams counted in the whole box, 0 to what it has room for, in steps of 0.25, instead of seams; drawn as a cluster in the middle."`
	Brood   []bool    `json:"brood,omitempty" maxItems:"20" doc:"Whether each comb holds sealed brood, one a slot; left out when that is not known."`
}

func readColonies(colonies []Colony, l *fault.List) []hive.Colony {
	out := make([]hive.Colony, len(colonies))
	for i, c := range colonies {
		out[i] = hive.Colony{Name: c.Name, Nuc: c.Nuc, Boxes: make([]hive.Box, len(c.Boxes))}
		ofColony := len(*l)
		for j := range c.Boxes {
			ofBox := len(*l)
			out[i].Boxes[j] = c.Boxes[j].core(l)
			l.Beneath(ofBox, "boxes", j)
		}
		l.Beneath(ofColony, "colonies", i)
	}
	return out
}

func (b Box) core(l *fault.List) hive.Box {
	out := hive.Box{Kind: hive.Kind(b.Kind)}
	if b.Slots == nil {
		if !l.Within("frames", float64(b.Frames), 1, hive.MaxFrames, "frames") {
			return out
		}
		out.Slots = hive.Combs(b.Frames)
	} else {
		out.Slots = make([]hive.Slot, len(b.Slots))
	}
	for i, s := range b.Slots {
		out.Slots[i] = hive.Slot(s)
	}
	out.Brood = b.Brood
	if b.Counted == nil {
		out.Seams = hive.ReadSeams("seams", b.Seams, l)
		return out
	}
	before := len(*l)
	out.CheckCount("counted", *b.Counted, l)
	if len(*l) == before {
		out.Seams = out.Cluster(int(*b.Counted * float64(hive.Full)))
	}
	return out
}

// CountsRequest is seams as they were counted and typed.
type CountsRequest struct {
	Typed string `json:"typed" maxLength:"10000" doc:"Hives between spaces, the boxes of each from the floor up joined by +, such as 6 5½ 7+4."`
	Boxes int    `json:"boxes" doc:"Boxes of one hive, 1 to 6."`
}

// CountsAnswer is the full seams in each box of each hive.
type CountsAnswer struct {
	Hives [][]float64 `json:"hives"`
}

// ReadCounts reads them. Its error is a fault.List.
func ReadCounts(r CountsRequest) (CountsAnswer, error) {
	hives, err := hive.ReadCounts(r.Typed, r.Boxes)
	return CountsAnswer{hives}, err
}
