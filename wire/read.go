package wire

import (
	"bytes"
	"encoding/json"
	"errors"
	"io"
	"math"
	"strconv"
)

// Read decodes JSON. A number too large for the type that it is read into is read as one
// that is too large for every range instead, so that core names its field and what could
// be there; with exact, a name that is not known is an error, too.
func Read(raw []byte, into any, exact bool) error {
	err := decode(raw, into, exact)
	if err == nil {
		return nil
	}
	tame, changed := tamed(raw)
	if !changed {
		return err
	}
	return decode(tame, into, exact)
}

func decode(raw []byte, into any, exact bool) error {
	d := json.NewDecoder(bytes.NewReader(raw))
	if exact {
		d.DisallowUnknownFields()
	}
	if err := d.Decode(into); err != nil {
		return err
	}
	if _, err := d.Token(); err != io.EOF {
		return errTrailing
	}
	return nil
}

var errTrailing = errors.New("more than one value")

// beyond is above every range there is, and a whole number in every type.
const beyond = 1e15

// tamed writes what is beyond all ranges as the number that just is.
func tamed(raw []byte) ([]byte, bool) {
	d := json.NewDecoder(bytes.NewReader(raw))
	d.UseNumber()
	var parsed any
	if d.Decode(&parsed) != nil {
		return nil, false
	}
	changed := false
	parsed = tame(parsed, &changed)
	if !changed {
		return nil, false
	}
	out, err := json.Marshal(parsed)
	return out, err == nil
}

func tame(v any, changed *bool) any {
	switch v := v.(type) {
	case map[string]any:
		for key, of := range v {
			v[key] = tame(of, changed)
		}
	case []any:
		for i, of := range v {
			v[i] = tame(of, changed)
		}
	case json.Number:
		f, _ := strconv.ParseFloat(v.String(), 64) // what is out of its range comes as infinite
		if math.Abs(f) > beyond {
			*changed = true
			return json.Number(strconv.FormatFloat(math.Copysign(beyond, f), 'f', 0, 64))
		}
	}
	return v
}
