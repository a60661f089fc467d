package words

import (
	"keeler/core/treatment"
	"maps"
)

// Rule says in a line which rule something is worked under: its kind, and the keeper's
// own words.
func Rule(kind, words string) string {
	prefix := said.Rules[kind]
	switch {
	case prefix == "":
		return words
	case words == "":
		return prefix
	}
	return prefix + ": " + words
}

// Product is what was given where nobody named it: what the rule says, for a mixture by
// a product's label is not called one's own.
func Product(kind, words string) string {
	switch {
	case kind != "label":
		return said.Products["own"]
	case words != "":
		return words
	}
	return said.Products["label"]
}

// Cause is why Keeler wrote something into a ledger by itself.
func Cause(code string) string { return said.Causes[code] }

// LeftOver names what a pot left over, by the pot's name.
func LeftOver(pot string) string {
	return fill(said.LeftOver, func(string) string { return pot })
}

// Flags tells what about a record should be looked at.
func Flags(codes []string) []string {
	out := make([]string, len(codes))
	for i, c := range codes {
		out[i] = said.Flags[treatment.Flag(c)]
	}
	return out
}

// Logged tells what somebody did, about who comes in and who may what.
func Logged(code, detail string) string {
	return fill(said.Logged[code], func(string) string { return detail })
}

// Outcome tells in a word or two why something else was given than was meant.
func Outcome(code string) string { return said.Outcomes[code] }

// Choices names all that can be chosen at a hive, by code.
func Choices() map[string]string {
	out := maps.Clone(said.Outcomes)
	maps.Copy(out, said.Extras)
	return out
}

// HoneyHeld tells why, and until when, honey is not taken.
func HoneyHeld(h treatment.Hold) string {
	code := "until"
	if h.In {
		code = "in:" + string(h.Method)
	}
	return fill(said.Held[code], func(blank string) string {
		return map[string]string{"product": h.Product, "until": date(h.Until)}[blank]
	})
}
