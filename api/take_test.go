package api

import (
	"encoding/json"
	"strings"
	"testing"

	"keeler/wire"
)

// longestList is how many entries the longest list or object of a JSON value has.
func longestList(v any) int {
	most := 0
	switch v := v.(type) {
	case []any:
		most = len(v)
		for _, item := range v {
			most = max(most, longestList(item))
		}
	case map[string]any:
		for _, item := range v {
			most = max(most, longestList(item))
		}
	}
	return most
}

// Whatever is sent, a body is read or refused, with few words about it; no list that is too
// long is read, and none that is not is taken for one.
func FuzzTake(f *testing.F) {
	for _, body := range []string{
		`{"applications":[{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01","colony_id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d02","kind":"given","amount":30}]}`,
		`{"applications":[` + strings.Repeat("{},", 120) + `{}]}`, `{"colonies":[{"boxes":[{"kind":"deep","seams":[0,"x"]}]}]}`, `[1,2,[3,"a,b\"],[",4]]`,
		``, `{`, `null`, `"x"`, `{"applications":null}`, `[[[[[[`, `{"applications":{"a":[1,2,3]}}`,
	} {
		f.Add([]byte(body))
	}
	f.Fuzz(func(t *testing.T, raw []byte) {
		var sent checked[wire.Applications]
		sent.take(raw)
		var plan exact[wire.DribbleRequest]
		plan.take(raw)
		for _, wrong := range [][]error{sent.wrong, plan.wrong} {
			if len(wrong) > mostErrors {
				t.Errorf("%d things are said", len(wrong))
			}
		}
		var v any
		if json.Unmarshal(raw, &v) != nil {
			if len(sent.wrong) == 0 {
				t.Errorf("%q is taken", raw)
			}
			return
		}
		if n := longestList(v); n > 3 != tooLong(raw, max(3, n-1)) && n > 3 {
			t.Errorf("a list of %d in %q is not seen", n, raw)
		}
	})
}
