package api

import (
	"context"
	"strings"

	"keeler/app"
	"keeler/wire"

	"github.com/danielgtaylor/huma/v2"
)

// file is a file as it is downloaded.
type file struct {
	Type        string `header:"Content-Type"`
	Disposition string `header:"Content-Disposition"`
	Body        []byte
}

// colonies registers the bees and what becomes of them.
func colonies(r routes) {
	readOne(r, "colonies/{id}", "get-colony", app.Viewer, "A colony with its history", app.Desk.Colony)
	readOne(r, "colonies/{id}/ahead", "get-colony-ahead", app.Viewer, "What a model makes of its counts, and what is ahead if nothing is done", app.Desk.MiteYear)
	sendTo(r.much(), post+" colonies/{id}/what-if", "what-if", app.Viewer, "What plans for a colony come to; none of it is kept", app.Desk.WhatIf)
	answer(r, r.describe(get+" colonies/{id}/plans", "offer-plans", "Plans for a colony that keep the chance of being over the threshold low", 404, 422), app.Viewer,
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Level int `query:"level" minimum:"1" maximum:"9" default:"2" doc:"The chance stays below so many of ten."`
		}) (wire.PlanOffers, error) {
			return desk.PlanOffers(ctx, in.ID, in.Level)
		})
	send(r, post+" colonies", "add-colony", app.Keeper, "A new colony at the end of its yard's line", app.Desk.AddColony)
	send(r.much(), post+" colonies/several", "add-colonies", app.Keeper, "Several new colonies at the end of a yard's line: all of them, or none", app.Desk.AddColonies)
	sendTo(r, put+" colonies/{id}", "change-colony", app.Keeper, "Change a colony over the version that was seen", app.Desk.ChangeColony)
	sendTo(r, post+" colonies/{id}/move", "move-colony", app.Keeper, "Bring a colony to another yard", app.Desk.Move)
	sendTo(r, post+" colonies/{id}/split", "split-colony", app.Keeper, "Take a new colony off; its bees carry their treatments", app.Desk.Split)
	sendTo(r, post+" colonies/{id}/end", "end-colony", app.Keeper, "Close a colony: dead, sold, or united with another", app.Desk.End)
	sendTo(r, post+" colonies/{id}/happened", "happen-colony", app.Keeper,
		"Record a swarm, or a brood break by hand; what was seen before a swarm no longer counts", app.Desk.Happened)
	sendTo(r, post+" colonies/{id}/treatments", "treat-colony", app.Helper, "Record what was given", app.Desk.Treat)
	answer(r, r.describe(post+" colonies/{id}/treatments/{treatment}/out", "take-out", "Record that it was taken out", 404, 422), app.Helper,
		func(ctx context.Context, desk app.Desk, in *struct {
			ByID
			Treatment string `path:"treatment" format:"uuid"`
			Body      checked[wire.TakeOut]
		}) (wire.ColonyWhole, error) {
			return desk.TakeOut(ctx, in.ID, oneSpelling(in.Treatment), in.Body.value)
		})
	sendTo(r, post+" colonies/{id}/board", "put-board", app.Helper, "Record that a clean board went in today", app.Desk.PutBoard)

	load := r.describe(post+" import/colonies", "import-colonies", "Read a file of colonies (docs/formats/colonies.md)", 413, 422)
	load.MaxBodyBytes = app.MaxFile
	answer(r, load, app.Keeper, func(ctx context.Context, desk app.Desk, in *struct {
		Mode    string `query:"mode" enum:"preview,all,right" default:"preview" doc:"Store nothing; everything or nothing; or the rows that are right."`
		RawBody []byte `contentType:"text/csv"`
	}) (wire.Import, error) {
		return desk.Import(ctx, in.RawBody, app.ImportMode(in.Mode))
	})
	records := r.describe(post+" import/records/{kind}", "import-records", "Read a file of counts, inspections or treatments (docs/formats/records.md)", 413, 422)
	records.MaxBodyBytes = app.MaxFile
	answer(r, records, app.Keeper, func(ctx context.Context, desk app.Desk, in *struct {
		Kind    string   `path:"kind" enum:"counts,inspections,treatments"`
		Mode    string   `query:"mode" enum:"preview,all,right" default:"preview" doc:"Store nothing; everything or nothing; or the rows that are right."`
		File    string   `query:"file" maxLength:"200" doc:"The name of the file."`
		Column  []string `query:"column,explode" maxItems:"40" doc:"What a head of the file means, as head=column; an empty column is not read. Others are found by their names."`
		Days    string   `query:"days" enum:"iso,day_month,month_day" doc:"How days are written where the file does not tell."`
		AllOut  bool     `query:"all_out" doc:"Strips and pads that must be out by now, and of which no day is told, came out on their last day."`
		RawBody []byte   `contentType:"text/csv"`
	}) (wire.RecordsImport, error) {
		q := app.RecordsQuery{Mode: app.ImportMode(in.Mode), File: in.File, Column: map[string]string{}, Days: app.DayForm(in.Days), AllOut: in.AllOut}
		for _, of := range in.Column {
			head, column, _ := strings.Cut(of, "=")
			q.Column[strings.ReplaceAll(strings.ToLower(strings.TrimSpace(head)), " ", "_")] = column
		}
		return desk.ImportRecords(ctx, in.Kind, in.RawBody, q)
	})
	route(r, r.describe(get+" export/colonies", "export-colonies", "All living colonies as CSV"), app.Viewer,
		func(ctx context.Context, desk app.Desk, _ *none) (*huma.StreamResponse, error) {
			return r.csv("colonies", desk.ColoniesFile), desk.BeginColoniesFile(ctx)
		})
}
