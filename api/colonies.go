package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/app"
	"keeler/wire"
)

// file is a file as it is downloaded.
type file struct {
	Type        string `header:"Content-Type"`
	Disposition string `header:"Content-Disposition"`
	Body        []byte
}

// colonies registers the bees and what becomes of them.
func colonies(h huma.API, d *desks) {
	answering(h, d, app.Viewer, operation("colonies", "get-colony", http.MethodGet, "colonies/{id}", "A colony with its history", 404),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.ColonyWhole, error) {
			return desk.Colony(ctx, in.ID)
		})
	answering(h, d, app.Keeper, operation("colonies", "add-colony", http.MethodPost, "colonies", "A new colony at the end of its yard's line", 404, 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.SaveColony]) (wire.ColonyWhole, error) {
			return desk.AddColony(ctx, in.Body)
		})
	answering(h, d, app.Keeper, operation("colonies", "change-colony", http.MethodPut, "colonies/{id}", "Change a colony over the version that was seen", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.SaveColony]) (wire.ColonyWhole, error) {
			return desk.ChangeColony(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Keeper, operation("colonies", "move-colony", http.MethodPost, "colonies/{id}/move", "Bring a colony to another yard", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Move]) (wire.ColonyWhole, error) {
			return desk.Move(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Keeper, operation("colonies", "split-colony", http.MethodPost, "colonies/{id}/split", "Take a new colony off; its bees carry their treatments", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Split]) (wire.ColonyWhole, error) {
			return desk.Split(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Keeper, operation("colonies", "end-colony", http.MethodPost, "colonies/{id}/end", "Close a colony: dead, sold, or united with another", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.End]) (wire.ColonyWhole, error) {
			return desk.End(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Keeper, operation("colonies", "happen-colony", http.MethodPost, "colonies/{id}/happened", "Record a swarm, or a brood break by hand; what was seen before a swarm no longer counts", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.HappenColony]) (wire.ColonyWhole, error) {
			return desk.Happened(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Helper, operation("colonies", "treat-colony", http.MethodPost, "colonies/{id}/treatments", "Record what was given", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.Treatment]) (wire.ColonyWhole, error) {
			return desk.Treat(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Helper, operation("colonies", "take-out", http.MethodPost, "colonies/{id}/treatments/{treatment}/out", "Record that it was taken out", 404, 422),
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Treatment string `path:"treatment" format:"uuid"`
			Body      wire.TakeOut
		}) (wire.ColonyWhole, error) {
			return desk.TakeOut(ctx, in.ID, in.Treatment, in.Body)
		})

	load := operation("colonies", "import-colonies", http.MethodPost, "import/colonies", "Read a file of colonies (docs/formats/colonies.md)", 413, 422)
	load.MaxBodyBytes = app.MaxFile
	answering(h, d, app.Keeper, load, func(ctx context.Context, desk app.Desk, in *struct {
		Mode    string `query:"mode" enum:"preview,all,right" default:"preview" doc:"Store nothing; everything or nothing; or the rows that are right."`
		RawBody []byte `contentType:"text/csv"`
	}) (wire.Import, error) {
		return desk.Import(ctx, in.RawBody, app.ImportMode(in.Mode))
	})
	kept(h, d, app.Viewer, operation("colonies", "export-colonies", http.MethodGet, "export/colonies", "All living colonies as CSV"),
		func(ctx context.Context, desk app.Desk, _ *none) (*file, error) {
			text, err := desk.Export(ctx)
			return &file{"text/csv; charset=utf-8", `attachment; filename="colonies.csv"`, text}, err
		})
}
