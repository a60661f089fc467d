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
func bench(r routes) {
	read(r, "balances", "get-balances", app.Viewer, "What is weighed with", app.Desk.Balances)
	send(r, put+" balances", "set-balances", app.Helper, "What is weighed with from now on", app.Desk.SetBalances)
	readOne(r, "batches/{id}/bench", "get-bench", app.Viewer, "How a batch stands at the bench", app.Desk.Bench)
	sendTo(r, post+" batches/{id}/bench/plan", "plan-bench", app.Viewer, "How it would be mixed with what is at hand; nothing is kept", app.Desk.PlanBench)
	sendTo(r, post+" batches/{id}/bench", "begin-bench", app.Helper, "Begin to mix a batch; once begun it stays as it is", app.Desk.BeginBench)
	sendTo(r, post+" batches/{id}/bench/events", "at-bench", app.Helper, "Write what happened at the bench; sent twice, it counts once", app.Desk.Happen)
	read(r, "uptakes", "get-uptakes", app.Viewer, "What strips and sponges took up in earlier pots", app.Desk.Learnt)
	read(r, "instruments", "list-instruments", app.Viewer, "Balances and thermometers that are read by themselves", app.Desk.Instruments)
	send(r, post+" instruments", "command-instrument", app.Helper, "Tare or zero a balance; a simulated one can be poured onto", app.Desk.Command)
	watch(r, "watch-bench", "batches/{id}", app.Desk.Watch)
}

// streams ends the path of what is answered as long as somebody listens.
const streams = "/stream"

// heartbeat is how often a silent stream is written to, so that a lost listener is
// noticed, and one who may no longer listen is let go.
const heartbeat = 15 * time.Second

// watch registers the stream of events of one thing: "changed" when something
// happened there, "reading" for what the instruments show.
func watch(r routes, id, path string, begin func(app.Desk, context.Context, string) (app.Watching, error)) {
	op := r.describe(get+" "+path+streams, id, "Server-sent events: changed (something happened, ask again) and at a bench reading (a Reading)", 404)
	reading := r.api.OpenAPI().Components.Schemas.Schema(reflect.TypeFor[wire.Reading](), true, "")
	op.Responses = map[string]*huma.Response{"200": {
		Description: "Events; the data of reading is a Reading.",
		Content:     map[string]*huma.MediaType{sse.ContentType: {Schema: reading}},
	}}
	route(r, op, app.Viewer, func(ctx context.Context, desk app.Desk, in *ByID) (*huma.StreamResponse, error) {
		w, err := begin(desk, ctx, in.ID)
		if err != nil {
			return nil, err
		}
		return &huma.StreamResponse{Body: func(c huma.Context) {
			defer w.Stop()
			r.desks.stream(c, desk.Who(), w)
		}}, nil
	})
}

func (d *desks) stream(c huma.Context, m app.Member, w app.Watching) {
	ctx, done, err := d.streams.begin(c.Context(), m)
	if err != nil {
		c.SetStatus(http.StatusTooManyRequests)
		return
	}
	defer done()
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
		case <-ctx.Done():
			return
		case <-d.closing:
			return
		case <-w.Happened:
			on = write(sse.Event{Event: "changed"})
		case r := <-w.Readings:
			on = write(sse.Event{Event: "reading", Data: r})
		case <-beat.C:
			_, err := d.open(c.Context(), app.Viewer)
			on = err == nil && write(sse.Event{Event: "beat"})
		}
	}
}

// isStream reports whether a request is answered bit by bit.
func isStream(path string) bool { return strings.HasSuffix(path, streams) }
