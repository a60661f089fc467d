package api

import (
	"keeler/app"
)

// cards registers what was copied from labels.
func cards(r routes) {
	read(r, "cards", "list-cards", app.Viewer, "The label cards, and blank ones", app.Desk.Cards)
	send(r, post+" cards", "add-card", app.Keeper, "A new label card", app.Desk.AddCard)
	send(r, post+" cards/tried", "try-card", app.Viewer, "What a card would give a hive, saving nothing", app.Desk.TryCard)
	sendTo(r, put+" cards/{id}", "change-card", app.Keeper, "Change a card over the version that was seen", app.Desk.ChangeCard)
}
