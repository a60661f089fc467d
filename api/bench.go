package api

import (
	"context"
	"net/http"
	"reflect"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gin-contrib/sse"

	"keeler/app"
	"keeler/wire"
)

// bench registers the mixing of a batch, step by step.
func bench(h huma.API, d *desks) {
	answering(h, d, app.Viewer, operation("bench", "get-balances", http.MethodGet, "balances", "What is weighed with"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.Balances, error) { return desk.Balances(ctx) })
	answering(h, d, app.Helper, operation("bench", "set-balances", http.MethodPut, "balances", "What is weighed with from now on", 422),
		func(ctx context.Context, desk app.Desk, in *body[wire.Balances]) (wire.Balances, error) {
			return desk.SetBalances(ctx, in.Body)
		})
	answering(h, d, app.Viewer, operation("bench", "get-bench", http.MethodGet, "batches/{id}/bench", "How a batch stands at the bench", 404, 422),
		func(ctx context.Context, desk app.Desk, in *ByID) (wire.BenchRun, error) {
			return desk.Bench(ctx, in.ID)
		})
	answering(h, d, app.Viewer, operation("bench", "plan-bench", http.MethodPost, "batches/{id}/bench/plan", "How it would be mixed with what is at hand; nothing is kept", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.BeginBench]) (wire.BenchRun, error) {
			return desk.PlanBench(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Helper, operation("bench", "begin-bench", http.MethodPost, "batches/{id}/bench", "Begin to mix a batch; once begun it stays as it is", 404, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.BeginBench]) (wire.BenchRun, error) {
			return desk.BeginBench(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Helper, operation("bench", "at-bench", http.MethodPost, "batches/{id}/bench/events", "Write what happened at the bench; sent twice, it counts once", 404, 409, 422),
		func(ctx context.Context, desk app.Desk, in *change[wire.BenchEvent]) (wire.BenchRun, error) {
			return desk.Happen(ctx, in.ID, in.Body)
		})
	answering(h, d, app.Viewer, operation("bench", "get-uptakes", http.MethodGet, "uptakes", "What strips and sponges took up in earlier pots"),
		func(ctx context.Context, desk app.Desk, _ *none) (wire.Uptakes, error) { return desk.Learnt(ctx) })
	answering(h, d, app.Viewer, operation("bench", "list-instruments", http.MethodGet, "instruments", "Balances and thermometers that are read by themselves"),
		func(_ context.Context, desk app.Desk, _ *none) (wire.Instruments, error) {
			return desk.Instruments(), nil
		})
	answering(h, d, app.Helper, operation("bench", "command-instrument", http.MethodPost, "instruments", "Tare or zero a balance; a simulated one can be poured onto", 422),
		func(_ context.Context, desk app.Desk, in *body[wire.Command]) (wire.Instruments, error) {
			return desk.Command(in.Body)
		})
	watch(h, d, "bench", "watch-bench", "batches/{id}", app.Desk.Watch)
}

// streams ends the path of what is answered as long as somebody listens.
const streams = "/stream"

// heartbeat is how often a silent stream is written to, so that a lost listener is
// noticed, and one who may no longer listen is let go.
const heartbeat = 15 * time.Second

// watch registers the stream of events of one thing: "changed" when something
// happened there, "reading" for what the instruments show.
func watch(h huma.API, d *desks, tag, id, path string, begin func(app.Desk, context.Context, string) (app.Watching, error)) {
	op := operation(tag, id, http.MethodGet, path+streams, "Server-sent events: changed (something happened, ask again) and at a bench reading (a Reading)", 404)
	op.Responses = map[string]*huma.Response{"200": {
		Description: "Events; the data of reading is a Reading.", Content: map[string]*huma.MediaType{sse.ContentType: {Schema: h.OpenAPI().Components.Schemas.Schema(reflect.TypeFor[wire.Reading](), true, "")}},
	}}
	kept(h, d, app.Viewer, op, func(ctx context.Context, desk app.Desk, in *ByID) (*huma.StreamResponse, error) {
		w, err := begin(desk, ctx, in.ID)
		if err != nil {
			return nil, err
		}
		return &huma.StreamResponse{Body: func(c huma.Context) {
			defer w.Stop()
			d.stream(c, w)
		}}, nil
	})
}

func (d *desks) stream(c huma.Context, w app.Watching) {
	c.SetHeader("Content-Type", sse.ContentType)
	c.SetHeader("Cache-Control", "no-store")
	c.SetHeader("X-Accel-Buffering", "no")
	out := c.BodyWriter()
	write := func(e sse.Event) bool {
		if err := sse.Encode(out, e); err != nil {
			return false
		}
		out.(http.Flusher).Flush()
		return true
	}
	beat := time.NewTicker(heartbeat)
	defer beat.Stop()
	for on := write(sse.Event{Event: "changed"}); on; {
		select {
		case <-c.Context().Done():
			return
		case <-d.closing:
			return
		case <-w.Happened:
			on = write(sse.Event{Event: "changed"})
		case r := <-w.Readings:
			on = write(sse.Event{Event: "reading", Data: r})
		case <-beat.C:
			_, err := d.sit(c.Context(), app.Viewer)
			on = err == nil && write(sse.Event{Event: "beat"})
		}
	}
}

// isStream reports whether a request is answered bit by bit.
func isStream(path string) bool { return strings.HasSuffix(path, streams) }
