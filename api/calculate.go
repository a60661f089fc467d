package api

import (
	"context"
	"log/slog"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"keeler/wire"
)

type body[T any] struct{ Body T }

// calculations registers the stateless operations.
func calculations(h huma.API) {
	calculate(h, "plan", "A whole batch of syrup: what to weigh, what it is, who gets how much", wire.Plan)
	calculate(h, "dose", "What each gap, box and colony gets of a syrup", wire.Dose)
	calculate(h, "packet", "How far packets in hand go", wire.Packet)
	calculate(h, "tablets", "Whole tablets, and the strength they really give", wire.Tablets)
	calculate(h, "thinning", "A bought solution let down with water and sugar", wire.Thinning)
	calculate(h, "calibration", "What one shot of an applicator gives", wire.Calibrate)
	calculate(h, "strength", "A strength in every form and on both bases", wire.Convert)
	huma.Register(h, huma.Operation{
		OperationID: "schools", Method: http.MethodGet, Path: "/api/schools", Tags: []string{"calculations"},
		Summary: "The established recipes, weakest first",
	}, func(context.Context, *struct{}) (*body[[]wire.School], error) {
		return &body[[]wire.School]{wire.Schools()}, nil
	})
}

func calculate[In, Out any](h huma.API, name, summary string, work func(In) (Out, error)) {
	huma.Register(h, huma.Operation{
		OperationID: name, Method: http.MethodPost, Path: "/api/" + name, Summary: summary,
		Tags: []string{"calculations"}, Errors: []int{http.StatusUnprocessableEntity},
		SkipValidateBody: true, // exact does it
	}, func(ctx context.Context, in *body[exact[In]]) (*body[Out], error) {
		if len(in.Body.wrong) > 0 {
			return nil, huma.Error422UnprocessableEntity("The request is not of the documented shape.", in.Body.wrong...)
		}
		out, err := work(in.Body.value)
		if err != nil {
			return nil, problem(ctx, slog.Default(), err)
		}
		return &body[Out]{out}, nil
	})
}
