package api

import (
	"context"
	"net/http"
	"slices"

	"keeler/app"
	"keeler/core/fault"
	"keeler/wire"
)

// pictures are what a browser shows of itself; of others nobody knows what is in them.
var pictures = []string{"image/jpeg", "image/png", "image/webp"}

// counts registers mites.
func counts(r routes) {
	send(r.much(), post+" counts", "count", app.Helper, "Keep counts of mites, all or none; sent twice, they count once", app.Desk.Count)
	route(r, r.describe(post+" counts/{id}/void", "void-count", "Void a count; it stays", 404, 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *toOne[wire.Void]) (*none, error) {
			return nil, desk.VoidCount(ctx, in.ID, in.Body.value)
		})
	photo := r.describe(put+" counts/{id}/photo", "attach-photo", "Keep a photo of the board with a count: JPEG, PNG or WebP, at most 2 MB", 404, 413, 422)
	photo.MaxBodyBytes = app.MostPhoto
	route(r, photo, app.Helper, func(ctx context.Context, desk app.Desk, in *struct {
		ByID
		RawBody []byte `contentType:"image/*"`
	}) (*none, error) {
		if !slices.Contains(pictures, http.DetectContentType(in.RawBody)) {
			return nil, fault.List{{Field: "body", Reason: fault.NotImage}}
		}
		return nil, desk.AttachPhoto(ctx, in.ID, in.RawBody)
	})
	route(r, r.describe(get+" counts/{id}/photo", "get-photo", "The photo that is kept with a count", 404), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *ByID) (*file, error) {
			image, err := desk.PhotoOf(ctx, in.ID)
			return &file{http.DetectContentType(image), "inline", image}, err
		})
	read(r, "thresholds", "get-thresholds", app.Viewer, "Where the operation acts, by season", app.Desk.Thresholds)
	send(r, put+" thresholds", "set-thresholds", app.Keeper, "Change where the operation acts", app.Desk.SetThresholds)
}
