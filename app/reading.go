package app

import (
	"context"

	"keeler/guard"
)

// reading is several things read one after the other. Once one has failed the rest is not
// read, and err tells why: it is looked at before what was read is used.
type reading struct {
	ctx context.Context
	err error
}

// all reads what needs no key.
func all[Out any](r *reading, read func(context.Context) (Out, error)) (out Out) {
	if r.err == nil {
		out, r.err = read(r.ctx)
	}
	return out
}

// by reads what belongs to a key.
func by[Key, Out any](r *reading, read func(context.Context, Key) (Out, error), key Key) (out Out) {
	if r.err == nil {
		out, r.err = read(r.ctx, key)
	}
	return out
}

// after reads what was changed, unless the change failed.
func after[Key, Out any](ctx context.Context, err error, read func(context.Context, Key) (Out, error), key Key) (Out, error) {
	r := reading{ctx, err}
	out := by(&r, read, key)
	return out, r.err
}

// beside reads something while the next things are read; the function that it gives waits
// for it.
func beside[Key, Out any](r *reading, read func(context.Context, Key) (Out, error), key Key) func() Out {
	var out Out
	if r.err != nil {
		return func() Out { return out }
	}
	err := make(chan error, 1)
	go func() {
		err <- guard.Try(func() (failed error) {
			out, failed = read(r.ctx, key)
			return failed
		})
	}()
	return func() Out {
		if failed := <-err; r.err == nil {
			r.err = failed
		}
		return out
	}
}
