package guard

import (
	"bytes"
	"context"
	"errors"
	"log/slog"
	"strings"
	"sync/atomic"
	"testing"
)

// A panic gives its slot back: as many as there are may fail, and the next still gets one.
func TestSlots_PanicGivesTheSlotBack(t *testing.T) {
	slots := NewSlots(2)
	for range 3 {
		err := Try(func() error { return slots.Do(t.Context(), func() { panic("a figure that cannot be") }) })
		var p *Panic
		if !errors.As(err, &p) || p.Value != "a figure that cannot be" || !strings.Contains(err.Error(), "guard_test.go") {
			t.Fatalf("%v", err)
		}
	}
	done := false
	if err := slots.Do(t.Context(), func() { done = true }); err != nil || !done {
		t.Errorf("after panics nothing is done: %v", err)
	}
}

// Who goes away does not wait any more, and takes no slot with him.
func TestSlots_WaitingEndsWithTheRequest(t *testing.T) {
	slots := NewSlots(1)
	gone, leave := context.WithCancel(t.Context())
	err := slots.Do(t.Context(), func() {
		leave()
		if err := slots.Do(gone, func() { t.Error("done without a slot") }); !errors.Is(err, context.Canceled) {
			t.Errorf("%v", err)
		}
	})
	if err != nil {
		t.Error(err)
	}
	if err := slots.Do(t.Context(), func() {}); err != nil {
		t.Error(err)
	}
}

func TestEach(t *testing.T) {
	var done, most, at atomic.Int64
	err := Each(t.Context(), 20, 3, func(i int) {
		most.Store(max(most.Load(), at.Add(1)))
		defer at.Add(-1)
		if i == 7 {
			panic("seven")
		}
		done.Add(1)
	})
	var p *Panic
	if !errors.As(err, &p) || p.Value != "seven" || done.Load() != 19 || most.Load() > 3 {
		t.Errorf("%d done, %d at once, %v", done.Load(), most.Load(), err)
	}
	ended, end := context.WithCancel(t.Context())
	end()
	if err := Each(ended, 5, 1, func(int) {}); !errors.Is(err, context.Canceled) {
		t.Errorf("after its end: %v", err)
	}
}

// A group outlives a panic in one of its own, tells of it, and is closed once all have ended.
func TestGroup(t *testing.T) {
	var told bytes.Buffer
	g := NewGroup(slog.New(slog.NewTextHandler(&told, nil)))
	ended := false
	g.Go("failing", func(context.Context) { panic("unforeseen") })
	g.Go("waiting", func(ctx context.Context) {
		<-ctx.Done()
		ended = true
	})
	g.Close()
	g.Go("too late", func(context.Context) { t.Error("begun after its end") })
	if !ended || !strings.Contains(told.String(), "failing") || !strings.Contains(told.String(), "unforeseen") {
		t.Errorf("ended %v, told %s", ended, told.String())
	}
}
