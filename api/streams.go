package api

import (
	"context"
	"errors"
	"net/http"
	"reflect"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gin-contrib/sse"
	"github.com/samber/lo"

	"keeler/app"
	"keeler/wire"
)

// streams is the path of what is answered as long as somebody listens: one for a whole
// browser, which has few connections to spare.
const streams = "stream"

// heartbeat is how often a silent stream is written to, so that a lost listener is
// noticed, and one who may no longer listen is let go.
const heartbeat = 15 * time.Second

// Listened names what a stream tells of; exported because the schema looks into it.
type Listened struct {
	At       []string `query:"at" maxItems:"40" doc:"Ids of batches and jobs, with commas between; of zeros alone: anything that bears on what there is to do."`
	Readings bool     `query:"readings" doc:"What the instruments show, too."`
}

// streaming registers the one stream.
func streaming(r routes) {
	op := r.describe(get+" "+streams, "listen", "Server-sent events: open at first, changed with the id of what something happened at, reading with a Reading", 429)
	reading := r.api.OpenAPI().Components.Schemas.Schema(reflect.TypeFor[wire.Reading](), true, "")
	op.Responses = map[string]*huma.Response{"200": {
		Description: "Events; the data of changed is an id, that of reading a Reading.",
		Content:     map[string]*huma.MediaType{sse.ContentType: {Schema: reading}},
	}}
	route(r, op, app.Viewer, func(_ context.Context, desk app.Desk, in *Listened) (*huma.StreamResponse, error) {
		return &huma.StreamResponse{Body: func(c huma.Context) {
			w := desk.Watch(lo.Map(in.At, func(id string, _ int) string { return oneSpelling(id) }), in.Readings)
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
	for on := write(sse.Event{Event: "open"}); on; {
		select {
		case <-ctx.Done():
			return
		case <-d.closing:
			return
		case <-w.Happened:
			for _, id := range w.Changed() {
				on = on && write(sse.Event{Event: "changed", Data: id})
			}
		case r := <-w.Readings:
			on = write(sse.Event{Event: "reading", Data: r})
		case <-beat.C:
			_, err := d.open(c.Context(), app.Viewer)
			on = err == nil && write(sse.Event{Event: "beat"})
		}
	}
}

// isStream reports whether a request is answered bit by bit.
func isStream(path string) bool { return path == "/api/"+streams }

// mostStreams is how many one person may listen to at once: phones and desks, each
// with one.
const mostStreams = 24

var errTooManyStreams = errors.New("too many streams of one person")

// open are the streams that are listened to, by person and session: one ends with its
// session.
type open struct {
	mu sync.Mutex
	by map[*listener]struct{}
}

type listener struct {
	user    uint64
	session string
	end     context.CancelFunc
}

// begin counts a stream; done must be called at its end. Its context ends with the session.
func (o *open) begin(ctx context.Context, m app.Member) (on context.Context, done func(), err error) {
	o.mu.Lock()
	defer o.mu.Unlock()
	n := 0
	for l := range o.by {
		if l.user == m.User {
			n++
		}
	}
	if n >= mostStreams {
		return nil, nil, errTooManyStreams
	}
	if o.by == nil {
		o.by = map[*listener]struct{}{}
	}
	on, end := context.WithCancel(ctx)
	l := &listener{m.User, m.Session, end}
	o.by[l] = struct{}{}
	return on, func() {
		end()
		o.mu.Lock()
		defer o.mu.Unlock()
		delete(o.by, l)
	}, nil
}

// end ends all of a session.
func (o *open) end(session string) { o.each(func(l *listener) bool { return l.session == session }) }

// endOf ends all of a person, but of one session.
func (o *open) endOf(user uint64, but string) {
	o.each(func(l *listener) bool { return l.user == user && l.session != but })
}

func (o *open) each(meant func(*listener) bool) {
	o.mu.Lock()
	defer o.mu.Unlock()
	for l := range o.by {
		if meant(l) {
			l.end()
		}
	}
}

// count is how many there are.
func (o *open) count() int {
	o.mu.Lock()
	defer o.mu.Unlock()
	return len(o.by)
}
