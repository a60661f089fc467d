// Package dribble is the dribble: how strong, how much of it, what to weigh, and
// what goes into each gap between the combs.
package dribble

import "keeler/core/chem"

// Protocol is one established recipe for about a litre or half a litre of syrup.
// It is its masses; its strength is computed from them.
type Protocol struct {
	ID     string
	Recipe chem.Syrup
}

// Protocols is the table of established recipes, weakest first. Adding a protocol
// is one entry here, its words in the interface and a row in its test.
// The half-litre packet is 35 g of powder with 89 % OAD; its filler counts as sugar.
// Source: docs/sources.md, Strength.
var Protocols = []Protocol{
	{"mild", chem.Syrup{OAD: 30, Water: 600, Sugar: 600}},
	{"label-litre", chem.Syrup{OAD: 35, Water: 600, Sugar: 600}},
	{"medium", chem.Syrup{OAD: 45, Water: 600, Sugar: 600}},
	{"half-litre-packet", chem.Syrup{OAD: 35 * 0.89, Water: 308, Sugar: 308 + 35*0.11}},
}

// DefaultProtocol is the protocol a new plan starts from.
const DefaultProtocol = "label-litre"

// Find looks a protocol up by its ID.
func Find(id string) (Protocol, bool) {
	for _, s := range Protocols {
		if s.ID == id {
			return s, true
		}
	}
	return Protocol{}, false
}

// Place says where a strength stands among the protocols.
type Place struct {
	Below, Above string // the nearest protocols at or below, and above; "" beyond either end
}

// Ladder places a strength among the protocols. A strength within half a per cent
// of a protocol stands on it.
func Ladder(s chem.GramsPerLitre) Place {
	var p Place
	for _, protocol := range Protocols {
		rung := protocol.Recipe.Strength()
		if s >= rung*0.995 {
			p.Below = protocol.ID
		} else {
			p.Above = protocol.ID
			return p
		}
	}
	return p
}

// Span is the strength of the weakest and of the strongest protocol.
func Span() (weakest, strongest chem.GramsPerLitre) {
	return Protocols[0].Recipe.Strength(), Protocols[len(Protocols)-1].Recipe.Strength()
}
