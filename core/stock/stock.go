// Package stock is what is there of a batch or of a lot of an ingredient, told
// from what was written of it. Nothing written is refused for want of stock: what
// falls below nothing is to be reconciled.
package stock

import (
	"keeler/core/calendar"
	"keeler/core/fault"
)

// Kind says why an amount came or went.
type Kind string

const (
	Made      Kind = "made"
	Bought    Kind = "bought"
	Used      Kind = "used"
	Spilled   Kind = "spilled"
	Discarded Kind = "discarded"
	Amended   Kind = "amended" // a use that was corrected comes back
	Found     Kind = "found"   // measured: what is really there, whatever was written
)

// Entry is one line of an account. Amount is in the account's own unit; for Found
// it is the difference to what was written before.
type Entry struct {
	Kind   Kind
	Amount float64 // above 0 what came, below 0 what went
}

// dust is what adding up leaves of nothing, in mL, g or pieces.
const dust = 1e-6

// Left is what is there by the entries.
func Left(entries []Entry) float64 {
	sum := 0.0
	for _, e := range entries {
		sum += e.Amount
	}
	if sum < dust && sum > -dust {
		return 0
	}
	return sum
}

// ToReconcile reports whether more went than there was.
func ToReconcile(left float64) bool { return left < -dust }

// Most is more than anyone has of anything, in mL, g or pieces.
const Most = 1e7

// Write makes an entry of an amount as the keeper says it, 0 or more: what was
// used, or with Found what is there. It appends why it cannot be: an amount that
// is none, or no reason where one is needed.
func Write(kind Kind, amount, left float64, reason string, l *fault.List) Entry {
	least := dust
	if kind == Found {
		least = 0
	}
	l.Within("amount", amount, least, Most, "")
	switch kind {
	case Made, Bought, Amended:
		return Entry{kind, amount}
	case Used:
		return Entry{kind, -amount}
	case Found:
		amount = amount - left
	case Spilled, Discarded:
		amount = -amount
	default:
		l.Add("kind", fault.Unknown)
	}
	if reason == "" {
		l.Add("reason", fault.Missing)
	}
	return Entry{kind, amount}
}

// Freshness says how a use-by day stands to today.
type Freshness string

const (
	Fresh Freshness = "fresh"
	Soon  Freshness = "soon" // it ends today or tomorrow
	Past  Freshness = "past"
)

// Keeps tells the freshness; the use-by day itself is still good.
func Keeps(today, useBy calendar.Day) Freshness {
	switch {
	case today > useBy:
		return Past
	case useBy-today <= 1:
		return Soon
	}
	return Fresh
}

// Cost is what an amount costs at the price of its lot: for a kilogram or a litre,
// or for a piece.
func Cost(amount, price float64, unit string) float64 {
	if unit != "pieces" {
		amount /= 1000
	}
	return amount * price
}

// PerColony shares the cost of a batch: over the colonies it was used on, each by
// its part of what was made, and their mean; or before that over those it was
// planned for.
func PerColony(total, made float64, used map[string]float64, planned int) (each float64, colonies int) {
	if len(used) == 0 {
		if planned == 0 {
			return 0, 0
		}
		return total / float64(planned), planned
	}
	sum := 0.0
	for _, amount := range used {
		sum += amount
	}
	if made <= 0 {
		return 0, len(used)
	}
	return total * sum / made / float64(len(used)), len(used)
}
