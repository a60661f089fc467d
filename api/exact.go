package api

import (
	"encoding/json"
	"io"
	"reflect"

	"github.com/danielgtaylor/huma/v2"

	"keeler/wire"
)

// errNoJSON is told of what cannot be read at all, in place of the library's words.
var errNoJSON = plain("This cannot be read as JSON of the documented shape.")

// plain is an error in words for people.
type plain string

func (p plain) Error() string { return string(p) }

// tolerant reads bodies as wire does: a number beyond all ranges is named at its field.
var tolerant = huma.Format{
	Marshal: func(w io.Writer, v any) error { return json.NewEncoder(w).Encode(v) },
	Unmarshal: func(raw []byte, into any) error {
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
type exact[T any] struct{ checked[T] }

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

// UnmarshalJSON fails for what is no JSON and otherwise keeps what is wrong.
func (b *checked[T]) UnmarshalJSON(raw []byte) error {
	if err := b.check(raw); err != nil || len(b.wrong) > 0 {
		return err
	}
	return wire.Read(raw, &b.value, false)
}

// UnmarshalJSON is the same, but a body that fits is read once.
func (b *exact[T]) UnmarshalJSON(raw []byte) error {
	if wire.Read(raw, &b.value, true) == nil {
		return nil
	}
	err := b.check(raw)
	if err == nil && len(b.wrong) == 0 {
		b.wrong = []error{&huma.ErrorDetail{Location: "body", Message: errNoJSON.Error()}}
	}
	return err
}

// check holds a body against the schema.
func (b *checked[T]) check(raw []byte) error {
	var parsed any
	if err := wire.Read(raw, &parsed, false); err != nil {
		return errNoJSON
	}
	b.wrong = unfit(b.Schema(shapes), parsed)
	return nil
}
