package method

import (
	"keeler/core/chem"
	"keeler/core/mixing"
)

// Recipe is what a keeper wants, as every method answers it.
type Recipe interface {
	Method() Name
	// Plan works it out; its error is a fault.List.
	Plan() (Plan, error)
	// Plain is the same for nobody in particular, in an amount that shows what 1 mL or
	// piece holds.
	Plain() Recipe
	// Unit is what it is given in, and its ledger kept.
	Unit() string
	// Colonies is how many it is for; 0 where it does not say.
	Colonies() int
	// Dosing is how it is shared out by seams.
	Dosing() Dosing
	// GiveGear is what is worn in the yard.
	GiveGear() []mixing.Gear
	// Orders are the orders of work that fit, by their ids; the first is the usual one.
	Orders() []string
	// Keepings are the rules of keeping what is made.
	Keepings() []mixing.Keeping
}

// Dosing is mL for a full seam, and at most for a colony; 0 where nothing says it.
type Dosing struct{ Seam, Cap chem.Millilitres }

// Plan is a recipe worked out, as every method answers it.
type Plan interface {
	// Lines are what is weighed, counted or poured, in the order of the work.
	Lines() []mixing.Line
	// Holds is what the batch will hold: of a product the acids alone.
	Holds() chem.Mixture
	// Volume is mL at 20 °C, 0 for what is counted.
	Volume() chem.Millilitres
	// Pieces is how many strips or ready pads there are; 0 for what is poured.
	Pieces() int
	// Work is the batch as it is made, by one of the recipe's orders; "" takes the first.
	Work(order string) (mixing.Work, error)
	// Meant is the acid that is meant in 1 mL or piece, mg.
	Meant() chem.Milligrams
}

// Units that things are given in.
const (
	Millilitres = "ml"
	Grams       = "g"
	Pieces      = "pieces"
)
