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
