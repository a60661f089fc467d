package wire

import (
	"encoding/json"
	"strings"
	"testing"
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

// No list that is too long is missed, whatever is in its strings.
func FuzzTooLong(f *testing.F) {
	for _, text := range []string{
		`{"applications":[` + strings.Repeat("{},", 120) + `{}]}`, `{"colonies":[{"boxes":[{"kind":"deep","seams":[0,"x"]}]}]}`, `[1,2,[3,"a,b\"],[",4]]`,
		``, `{`, `null`, `"x"`, `[[[[[[`, `{"applications":{"a":[1,2,3,4,5]}}`, `["\\",1,2,3,4]`,
	} {
		f.Add([]byte(text))
	}
	f.Fuzz(func(t *testing.T, raw []byte) {
		var v any
		if json.Unmarshal(raw, &v) != nil {
			return
		}
		if n := longestList(v); n > 3 && !TooLong(raw, n-1) {
			t.Errorf("a list of %d in %q is not seen", n, raw)
		}
		if strings.Count(string(raw), ",") < 3 && TooLong(raw, 3) {
			t.Errorf("%q is taken for a long list", raw)
		}
	})
}
