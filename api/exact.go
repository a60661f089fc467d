package api

import (
	"bytes"
	"encoding/json"
	"io"
	"reflect"
	"runtime"

	"github.com/danielgtaylor/huma/v2"

	"keeler/guard"
	"keeler/wire"
)

// errNoJSON is told of what cannot be read at all, in place of the library's words.
var errNoJSON = plain("This cannot be read as JSON of the documented shape.")

// errTooLong is told of lists that nothing takes, before they are read.
var errTooLong = plain("A list in this is too long: the document says how many each may hold.")

// mostInList is more than any list may hold.
const mostInList = 5000

// slots keep calculating, which is for everybody, from taking every processor.
var slots = guard.NewSlots(runtime.NumCPU() / 2)

// plain is an error in words for people.
type plain string

func (p plain) Error() string { return string(p) }

// tolerant reads bodies as wire does: a number beyond all ranges is named at its field.
var tolerant = huma.Format{
	Marshal: func(w io.Writer, v any) error { return json.NewEncoder(w).Encode(v) },
	Unmarshal: func(raw []byte, into any) error {
		if b, is := into.(interface{ take(raw []byte) }); is {
			b.take(raw)
			return nil
		}
		if err := wire.Read(raw, into, false); err != nil {
			return errNoJSON
		}
		return nil
	},
}

// checked is a body that was held against its schema before anything is done with it.
type checked[T any] struct {
	value T
	wrong []error
}

// exact is a body that is decoded once, strictly: only one that does not fit its type is
// held against the schema, to name the places that do not; values are judged by core alone.
type exact[T any] struct {
	checked[T]
	raw []byte
}

// shapes is where schemas are looked up: all are there before anybody asks, for it is
// asked by many at once.
var shapes huma.Registry

func init() { shapes = described().OpenAPI().Components.Schemas }

// Schema is the schema of the body itself.
func (checked[T]) Schema(r huma.Registry) *huma.Schema {
	return r.Schema(reflect.TypeFor[T](), true, "")
}

// Resolve tells what is wrong, before the operation is begun.
func (b *checked[T]) Resolve(huma.Context) []error { return b.wrong }

// take reads a body and keeps what is wrong with it. None of it is ever sent back.
func (b *checked[T]) take(raw []byte) {
	if b.check(raw); len(b.wrong) == 0 && wire.Read(raw, &b.value, false) != nil {
		b.refuse(errNoJSON)
	}
}

// take keeps the body until there is a slot to read it in.
func (b *exact[T]) take(raw []byte) { b.raw = bytes.Clone(raw) }

// Resolve reads the body, and tells what is wrong with it.
func (b *exact[T]) Resolve(c huma.Context) []error {
	err := slots.Do(c.Context(), func() {
		if !wire.TooLong(b.raw, mostInList) && wire.Read(b.raw, &b.value, true) == nil {
			return
		}
		if b.check(b.raw); len(b.wrong) == 0 {
			b.refuse(errNoJSON)
		}
	})
	if err != nil {
		b.refuse(err) // who asked is gone
	}
	return b.wrong
}

// check holds a body against the schema.
func (b *checked[T]) check(raw []byte) {
	if wire.TooLong(raw, mostInList) {
		b.refuse(errTooLong)
		return
	}
	var parsed any
	if err := wire.Read(raw, &parsed, false); err != nil {
		b.refuse(errNoJSON)
		return
	}
	b.wrong = unfit(b.Schema(shapes), parsed)
}

func (b *checked[T]) refuse(why error) {
	b.wrong = []error{&huma.ErrorDetail{Location: "body", Message: why.Error()}}
}
