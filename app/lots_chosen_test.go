package app

import (
	"testing"

	"github.com/google/uuid"

	"keeler/wire"
)

// A litre that was mixed without the bench takes its acid off the only lot there is, which its doses then name; it
// keeps as long as it was said to, and as short as any way where nobody says: no syrup is without a last good day.
func TestMadeByHand_TakesLotsAndKeepsForDays(t *testing.T) {
	for keeping, useBy := range map[string]string{"": "2026-03-06", "room": "2026-03-06", "fridge": "2026-03-12"} {
		v := early(t)
		lot := uuid.NewString()
		if _, err := v.d.AddLot(t.Context(), wire.Lot{ID: lot, Ingredient: "acid", Name: "White tub", SupplierNo: "L-4711", Amount: 500}); err != nil {
			t.Fatal(err)
		}
		line := v.givesIn(v.job, "2026-03-08", wire.Application{ColonyID: v.hives[0], BatchID: v.batch, Amount: 30, Keeping: keeping})
		if len(line.Lots) != 1 || line.Lots[0] != "acid White tub (L-4711)" {
			t.Errorf("%q: the dose names %q", keeping, line.Lots)
		}
		book, err := v.d.Lot(t.Context(), lot)
		// 1000/998.68 of 35 g.
		if err != nil || off(book.Left, 500-35.05, 0.01) {
			t.Errorf("%q: %v g left of the lot, %v", keeping, book.Left, err)
		}
		b, err := v.d.Batch(t.Context(), v.batch)
		if err != nil || b.OnHand.UseBy != useBy {
			t.Errorf("%q: good until %q, want %s: %v", keeping, b.OnHand.UseBy, useBy, err)
		}
	}
}
