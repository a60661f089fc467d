package wire

import (
	"slices"
	"strconv"
	"strings"

	"keeler/core/fault"
	"keeler/core/hive"
)

// ParseHive reads a hive written as text, from the floor up: boxes joined by +,
// each its kind and either its number of combs or a letter a place (c comb,
// f feeder, d dummy, e empty), such as "deep 10 + medium ccccccccfe". What it is
// not is a fault at "boxes".
func ParseHive(text string) ([]HiveBox, error) {
	bad := fault.List{{Field: "boxes", Reason: fault.NoHive}}
	if strings.TrimSpace(text) == "" {
		return nil, fault.List{{Field: "boxes", Reason: fault.Missing}}
	}
	parts := strings.Split(text, "+")
	if len(parts) > hive.MaxBoxes {
		return nil, bad
	}
	out := make([]HiveBox, len(parts))
	for i, part := range parts {
		words := strings.Fields(strings.ToLower(part))
		if len(words) != 2 {
			return nil, bad
		}
		slots, ok := parseSlots(words[1])
		if !ok {
			return nil, bad
		}
		out[i] = HiveBox{Kind: words[0], Slots: slots}
	}
	if _, err := CheckHive(out); err != nil {
		return nil, bad
	}
	return out, nil
}

func parseSlots(word string) ([]string, bool) {
	if n, err := strconv.Atoi(word); err == nil {
		if n < 1 || n > hive.MaxFrames {
			return nil, false
		}
		return slices.Repeat([]string{string(hive.Comb)}, n), true
	}
	slots := SlotsOf(word)
	return slots, !slices.Contains(slots, "")
}

// FormatHive writes a hive as ParseHive reads it.
func FormatHive(boxes []HiveBox) string {
	parts := make([]string, len(boxes))
	for i, b := range boxes {
		places := letters(b.Slots)
		if strings.Trim(places, "c") == "" {
			places = strconv.Itoa(len(b.Slots))
		}
		parts[i] = b.Kind + " " + places
	}
	return strings.Join(parts, " + ")
}
