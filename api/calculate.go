package api

import (
	"context"
	"log/slog"
	"net/http"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"keeler/wire"
)

// calculations registers the stateless operations, by method.
func calculations(h huma.API) {
	calculate(h, "dribble/plan", "A whole batch of syrup: what to weigh, what it is, who gets how much", wire.PlanDribble)
	calculate(h, "dribble/dose", "What each gap, box and colony gets of a syrup", wire.Dose)
	calculate(h, "dribble/packet", "How far packets in hand go", wire.Packet)
	calculate(h, "dribble/tablets", "Whole tablets, and the strength they really give", wire.Tablets)
	calculate(h, "dribble/thinning", "A bought solution let down with water and sugar", wire.Thinning)
	calculate(h, "dribble/calibration", "What one shot of an applicator gives", wire.Calibrate)
	calculate(h, "dribble/strength", "A strength in every form and on both bases", wire.Convert)
	list(h, "dribble/protocols", "The established syrups, weakest first", wire.Protocols)

	calculate(h, "hive/counts", "Seams as they were counted and typed, hive by hive", wire.ReadCounts)
	calculate(h, "hive/drawn", "Seams of one hive that were only counted, as a cluster in the middle of each box", wire.DrawHive)
	calculate(h, "round/lasts", "How far what is left in a jar goes", wire.Lasts)

	calculate(h, "reach/visits", "Which mites in a colony a set of visits could meet", wire.Reach)

	calculate(h, "strip/plan", "A whole pot of acid in glycerol: what to weigh, how many strips, where they go", wire.PlanStrip)
	calculate(h, "strip/placement", "Which gaps of each hive the strips hang in", wire.PlaceStrips)
	list(h, "strip/protocols", "The established recipes for strips, weakest first", wire.StripProtocols)

	calculate(h, "pad/plan", "Formic acid let down for all colonies and visits, or ready pads", wire.PlanPad)
	calculate(h, "pad/dilution", "Formic acid let down by weight, any of stock, working acid or water given", wire.DilutePad)
	calculate(h, "pad/assay", "The strength of formic acid from its density and temperature", wire.AssayPad)
	list(h, "pad/strengths", "The strengths that formic acid is worked with and bought at", wire.PadStrengths)
	list(h, "pad/protocols", "The established ways of giving formic acid", wire.PadProtocols)
}

// describe names an operation by its path: strip/plan is strip-plan.
func describe(method, name, summary string) huma.Operation {
	tag, _, _ := strings.Cut(name, "/")
	return huma.Operation{
		OperationID: strings.ReplaceAll(name, "/", "-"), Method: method, Path: "/api/" + name,
		Summary: summary, Tags: []string{tag},
	}
}

func list[Row any](h huma.API, name, summary string, rows func() []Row) {
	huma.Register(h, describe(http.MethodGet, name, summary), func(context.Context, *struct{}) (*body[[]Row], error) {
		return &body[[]Row]{rows()}, nil
	})
}

func calculate[In, Out any](h huma.API, name, summary string, work func(In) (Out, error)) {
	operation := describe(http.MethodPost, name, summary)
	operation.Errors = []int{http.StatusUnprocessableEntity}
	operation.SkipValidateBody = true // exact does it
	operation.MaxBodyBytes = wideBody
	huma.Register(h, operation, func(ctx context.Context, in *body[exact[In]]) (*body[Out], error) {
		var out Out
		var err error
		if waited := slots.Do(ctx, func() { out, err = work(in.Body.value) }); waited != nil {
			err = waited
		}
		if err != nil {
			return nil, problem(ctx, slog.Default(), operation.Method, err)
		}
		return &body[Out]{out}, nil
	})
}
