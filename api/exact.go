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

// exact is a body that is decoded once, strictly. Only one that does not fit
// its type is walked again against the schema, to name the places that do not;
// values are judged by core alone.
type exact[T any] struct {
	value T
	wrong []error
}

// shapes is where schemas are looked up when a body is walked.
var shapes = huma.NewMapRegistry("#/components/schemas/", huma.DefaultSchemaNamer)

// Schema is the schema of the body itself.
func (exact[T]) Schema(r huma.Registry) *huma.Schema {
	return r.Schema(reflect.TypeFor[T](), true, "")
}

// UnmarshalJSON fails for what is no JSON and otherwise keeps what is wrong.
func (b *exact[T]) UnmarshalJSON(raw []byte) error {
	err := wire.Read(raw, &b.value, true)
	if err == nil {
		return nil
	}
	var parsed any
	if err := wire.Read(raw, &parsed, false); err != nil {
		return errNoJSON
	}
	var result huma.ValidateResult
	place := huma.NewPathBuffer([]byte("body"), len("body"))
	huma.Validate(shapes, b.Schema(shapes), place, huma.ModeWriteToServer, parsed, &result)
	if b.wrong = result.Errors; len(b.wrong) == 0 {
		b.wrong = []error{&huma.ErrorDetail{Location: "body", Message: errNoJSON.Error()}}
	}
	return nil
}
