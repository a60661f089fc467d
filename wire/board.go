package wire

import (
	"encoding/json"
	"keeler/core/fault"
	"keeler/core/hive"
	"strings"
)

// CheckHive checks the boxes of a hive and gives the letters of their slots.
func CheckHive(boxes []HiveBox) (slots []string, err error) {
	var l fault.List
	l.Within("boxes", float64(len(boxes)), 1, hive.MaxBoxes, "boxes")
	slots = make([]string, len(boxes))
	for i, b := range boxes {
		before := len(l)
		Box{Kind: b.Kind, Slots: b.Slots}.core(&l).Check(&l)
		l.Beneath(before, "boxes", i)
		slots[i] = letters(b.Slots)
	}
	return slots, l.Err()
}

// CountedHive is one hive, and its seams as they were counted and typed.
type CountedHive struct {
	Typed string    `json:"typed" maxLength:"40" doc:"Full seams of its boxes from the floor up, joined by +: 6, 5½ or 7+4."`
	Boxes []HiveBox `json:"boxes" maxItems:"6"`
}

// DrawnHive is where its bees sit.
type DrawnHive struct {
	Board [][]float64 `json:"board" doc:"Bees in each gap of each box, 0 to 1: a cluster in the middle."`
}

// DrawHive draws seams that were only counted, as a cluster in the middle of each box. Its
// error is a fault.List.
func DrawHive(in CountedHive) (DrawnHive, error) {
	counts, err := hive.ReadCounts(in.Typed, len(in.Boxes))
	if err == nil && len(counts) != 1 {
		err = fault.List{{Field: "typed", Reason: fault.NoCount, Low: float64(min(len(counts)+1, 2))}}
	}
	if err != nil {
		return DrawnHive{}, err
	}
	var l fault.List
	out := DrawnHive{Board: make([][]float64, len(in.Boxes))}
	for i, b := range in.Boxes {
		counted := 0.0
		if i < len(counts[0]) {
			counted = counts[0][i]
		}
		box := Box{Kind: b.Kind, Slots: b.Slots}
		before := len(l)
		core := box.core(&l)
		core.Check(&l)
		l.Beneath(before, "boxes", i)
		if core.CheckCount("typed", counted, &l); len(l) == before {
			for _, seam := range core.Cluster(int(counted * float64(hive.Full))) {
				out.Board[i] = append(out.Board[i], float64(seam)/float64(hive.Full))
			}
		}
	}
	return out, l.Err()
}

// CheckBoard checks the seams seen in a hive, and gives them in quarters.
func CheckBoard(boxes []HiveBox, board [][]float64) (quarters int, err error) {
	var l fault.List
	if len(board) != len(boxes) {
		l.AddRange("board", fault.TooMany, 0, float64(len(boxes)), "boxes")
		return 0, l
	}
	for i, b := range boxes {
		before := len(l)
		box := Box{Kind: b.Kind, Slots: b.Slots, Seams: board[i]}.core(&l)
		box.Check(&l)
		for k := before; k < len(l); k++ {
			l[k].Field = strings.Replace(l[k].Field, "seams", fault.Index("board", i), 1)
		}
		quarters += box.Quarters()
	}
	return quarters, l.Err()
}

var slotLetters = map[hive.Slot]byte{hive.Comb: 'c', hive.Feeder: 'f', hive.Dummy: 'd', hive.Empty: 'e'}

func letters(slots []string) string {
	out := make([]byte, len(slots))
	for i, s := range slots {
		out[i] = slotLetters[hive.Slot(s)]
	}
	return string(out)
}

var letterSlots = map[byte]string{'c': string(hive.Comb), 'f': string(hive.Feeder), 'd': string(hive.Dummy), 'e': string(hive.Empty)}

// SlotsOf reads letters of slots back.
func SlotsOf(text string) []string {
	out := make([]string, len(text))
	for i := range out {
		out[i] = letterSlots[text[i]]
	}
	return out
}

// BoardOf reads a board as it is kept.
func BoardOf(kept json.RawMessage) [][]float64 {
	var out [][]float64
	if json.Unmarshal(kept, &out) != nil {
		return nil
	}
	return out
}
