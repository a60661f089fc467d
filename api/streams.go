package api

import (
	"context"
	"errors"
	"sync"

	"keeler/app"
)

// mostStreams is how many one person may listen to at once: some phones and desks, each
// with one.
const mostStreams = 12

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
