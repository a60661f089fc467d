package api

import (
	"keeler/app"
)

// inspections registers what is seen.
func inspections(r routes) {
	send(r.much(), post+" inspections", "inspect", app.Helper, "Keep inspections of colonies, all or none; sent twice, they count once", app.Desk.Inspect)
}
