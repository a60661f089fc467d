package words

// rules are the kinds of rule that a job is worked under.
var rules = map[string]string{"label": "By the product's label", "permit": "Prescription or permit", "own": "Own mixture, where allowed"}

// Rule says in a line which rule something is worked under: its kind, and the keeper's
// own words.
func Rule(kind, words string) string {
	prefix := rules[kind]
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
	case kind == "label" && words != "":
		return words
	case kind == "label":
		return "as the product's label says"
	}
	return "own mixture"
}

var causes = map[string]string{"by_hand": "mixed without the bench", "at_bench": "discarded at the bench", "amended": "amended"}

// Cause is why Keeler wrote something into a ledger by itself.
func Cause(code string) string { return causes[code] }

// LeftOver names what a pot left over, by the pot's name.
func LeftOver(pot string) string { return pot + ", left over" }
