package api

import (
	"keeler/app"
)

// yards registers the places.
func yards(r routes) {
	read(r, "yards", "list-yards", app.Viewer, "All yards", app.Desk.Yards)
	readOne(r, "yards/{id}", "get-yard", app.Viewer, "A yard with its colonies in stand order", app.Desk.Yard)
	send(r, post+" yards", "add-yard", app.Keeper, "A new yard", app.Desk.AddYard)
	sendTo(r, put+" yards/{id}", "change-yard", app.Keeper, "Change a yard over the version that was seen", app.Desk.ChangeYard)
	sendTo(r.much(), put+" yards/{id}/order", "arrange-yard", app.Keeper, "The order in which the hives stand", app.Desk.Arrange)
	readOne(r, "yards/{id}/closed", "list-closed", app.Viewer, "The hives of a yard that ended", app.Desk.Closed)
	readOne(r, "yards/{id}/ahead", "get-yard-ahead", app.Viewer, "What a model makes of the hives of a yard, and which of them to count", app.Desk.YardAhead)
	readOne(r, "yards/{id}/counts", "list-counts", app.Viewer, "All counts of a yard", app.Desk.Counts)
}
