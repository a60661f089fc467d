package api

import (
	"github.com/danielgtaylor/huma/v2"
	"github.com/samber/lo"
)

// mostErrors is how many places are named of a body that does not fit.
const mostErrors = 20

// unfit tells where a value does not fit its schema: first of all lists that are too long,
// and else the first few places, so that what is wrong costs no more than what was sent.
func unfit(s *huma.Schema, value any) []error {
	h := holding{place: huma.NewPathBuffer([]byte("body"), len("body"))}
	if h.count(s, value); len(h.found.Errors) == 0 {
		h.whole(s, value)
	}
	return lo.Map(h.found.Errors[:min(len(h.found.Errors), mostErrors)], func(err error, _ int) error {
		of := err.(*huma.ErrorDetail)
		return &huma.ErrorDetail{Location: of.Location, Message: of.Message} // what was sent is not sent back
	})
}

// holding is a value being held against its schema, which the library does as a whole and
// without an end.
type holding struct {
	place *huma.PathBuffer
	found huma.ValidateResult
}

func (h *holding) enough() bool { return len(h.found.Errors) >= mostErrors }

// each calls back for what a value holds, with its schema.
func (h *holding) each(s *huma.Schema, value any, do func(at int, s *huma.Schema, value any)) {
	s = meant(s)
	switch v := value.(type) {
	case []any:
		for i := 0; i < len(v) && s.Items != nil && !h.enough(); i++ {
			h.place.PushIndex(i)
			do(i, s.Items, v[i])
			h.place.Pop()
		}
	case map[string]any:
		for name, of := range s.Properties {
			if item, there := v[name]; there && !h.enough() {
				h.place.Push(name)
				do(0, of, item)
				h.place.Pop()
			}
		}
	}
}

func meant(s *huma.Schema) *huma.Schema {
	if s.Ref != "" {
		return shapes.SchemaFromRef(s.Ref)
	}
	return s
}

// count names lists that are too long, before anything in them is looked at, and ids that
// are not in their one spelling: two of them would be held for two things.
func (h *holding) count(s *huma.Schema, value any) {
	if id, is := value.(string); is && meant(s).Format == "uuid" && oneSpelling(id) != id {
		h.found.Addf(h.place, nil, "expected the id as %s", oneSpelling(id))
		return
	}
	if list, is := value.([]any); is && meant(s).MaxItems != nil && len(list) > *meant(s).MaxItems {
		h.found.Addf(h.place, nil, "expected at most %d of these", *meant(s).MaxItems)
		return
	}
	h.each(s, value, func(_ int, s *huma.Schema, value any) { h.count(s, value) })
}

// whole holds a value against its schema without most of what is in its lists, and then
// those one by one.
func (h *holding) whole(s *huma.Schema, value any) {
	huma.Validate(shapes, s, h.place, huma.ModeWriteToServer, brief(s, value), &h.found)
	h.rest(s, value)
}

func (h *holding) rest(s *huma.Schema, value any) {
	list, _ := value.([]any)
	seen := len(list)
	if list != nil {
		seen = kept(meant(s), list)
	}
	h.each(s, value, func(at int, s *huma.Schema, value any) {
		if list == nil || at < seen {
			h.rest(s, value)
		} else {
			h.whole(s, value)
		}
	})
}

// kept is how many of a list brief leaves in it.
func kept(s *huma.Schema, list []any) int {
	return min(len(list), lo.FromPtr(s.MinItems))
}

// brief is a value with its lists no longer than they must be, and not many names that
// nobody knows.
func brief(s *huma.Schema, value any) any {
	s = meant(s)
	switch v := value.(type) {
	case []any:
		if s.Items == nil {
			return v[:0]
		}
		return lo.Map(v[:kept(s, v)], func(item any, _ int) any { return brief(s.Items, item) })
	case map[string]any:
		out, strange := make(map[string]any, len(s.Properties)), 0
		for name, item := range v {
			if of, known := s.Properties[name]; known {
				out[name] = brief(of, item)
			} else if strange++; strange <= mostErrors {
				out[name] = nil
			}
		}
		return out
	}
	return value
}
