package api

import (
	"bytes"
	"encoding/json"
	"reflect"

	"github.com/danielgtaylor/huma/v2"
)

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
	strict := json.NewDecoder(bytes.NewReader(raw))
	strict.DisallowUnknownFields()
	err := strict.Decode(&b.value)
	if err == nil {
		return nil
	}
	var parsed any
	if err := json.Unmarshal(raw, &parsed); err != nil {
		return err
	}
	var result huma.ValidateResult
	place := huma.NewPathBuffer([]byte("body"), len("body"))
	huma.Validate(shapes, b.Schema(shapes), place, huma.ModeWriteToServer, parsed, &result)
	if b.wrong = result.Errors; len(b.wrong) == 0 {
		b.wrong = []error{&huma.ErrorDetail{Location: "body", Message: err.Error()}}
	}
	return nil
}
