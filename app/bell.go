package app

import "sync"

// bell tells listeners that a thing of an operation changed.
type bell struct {
	mu        sync.Mutex
	listeners map[topic]map[chan struct{}]struct{}
}

type topic struct {
	operation uint64
	id        string
}

func (b *bell) ring(t topic) {
	b.mu.Lock()
	defer b.mu.Unlock()
	for l := range b.listeners[t] {
		select {
		case l <- struct{}{}:
		default: // it has not looked since the last
		}
	}
}

func (b *bell) listen(t topic) (<-chan struct{}, func()) {
	l := make(chan struct{}, 1)
	b.mu.Lock()
	defer b.mu.Unlock()
	if b.listeners == nil {
		b.listeners = map[topic]map[chan struct{}]struct{}{}
	}
	if b.listeners[t] == nil {
		b.listeners[t] = map[chan struct{}]struct{}{}
	}
	b.listeners[t][l] = struct{}{}
	return l, func() {
		b.mu.Lock()
		defer b.mu.Unlock()
		delete(b.listeners[t], l)
		if len(b.listeners[t]) == 0 {
			delete(b.listeners, t)
		}
	}
}

func (d Desk) ring(id string) { d.app.bell.ring(topic{d.who.Operation, id}) }
