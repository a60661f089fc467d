package app

import "sync"

// bell tells listeners which things of an operation changed.
type bell struct {
	mu   sync.Mutex
	ears map[topic]map[*ear]struct{}
}

type topic struct {
	operation uint64
	id        string
}

// ear is somebody who listens at some things. What rings again before he has asked is told
// him once.
type ear struct {
	wake chan struct{}
	mu   sync.Mutex
	due  map[string]struct{}
}

func (b *bell) ring(t topic) {
	b.mu.Lock()
	defer b.mu.Unlock()
	for e := range b.ears[t] {
		e.hear(t.id)
	}
}

func (e *ear) hear(id string) {
	e.mu.Lock()
	e.due[id] = struct{}{}
	e.mu.Unlock()
	select {
	case e.wake <- struct{}{}:
	default: // he has not asked since the last
	}
}

// changed is what rang since it was asked last.
func (e *ear) changed() []string {
	e.mu.Lock()
	defer e.mu.Unlock()
	var out []string
	for id := range e.due {
		out = append(out, id)
	}
	clear(e.due)
	return out
}

// listen begins to listen at things of an operation; deaf ends it.
func (b *bell) listen(operation uint64, ids []string) (e *ear, deaf func()) {
	e = &ear{wake: make(chan struct{}, 1), due: map[string]struct{}{}}
	b.mu.Lock()
	defer b.mu.Unlock()
	if b.ears == nil {
		b.ears = map[topic]map[*ear]struct{}{}
	}
	for _, id := range ids {
		t := topic{operation, id}
		if b.ears[t] == nil {
			b.ears[t] = map[*ear]struct{}{}
		}
		b.ears[t][e] = struct{}{}
	}
	return e, func() {
		b.mu.Lock()
		defer b.mu.Unlock()
		for _, id := range ids {
			t := topic{operation, id}
			delete(b.ears[t], e)
			if len(b.ears[t]) == 0 {
				delete(b.ears, t)
			}
		}
	}
}

func (d Desk) ring(id string) { d.app.bell.ring(topic{d.who.Operation, id}) }
