package api_test

import (
	"encoding/json"
	"strings"
	"testing"
)

// Whatever is sent, a body is read or refused, with few words about it.
func FuzzTake(f *testing.F) {
	for _, body := range []string{
		`{"applications":[{"id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01","colony_id":"2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d02","kind":"given","amount":30}]}`,
		`{"applications":[` + strings.Repeat("{},", 120) + `{}]}`, `{"colonies":[{"boxes":[{"kind":"deep","seams":[0,"x"]}]}]}`, `[1,2,[3,"a,b\"],[",4]]`,
		`x`, `{`, `null`, `"x"`, `{"applications":null}`, `[[[[[[`, `{"applications":{"a":[1,2,3]}}`, `[` + strings.Repeat("1,", 6000) + `1]`,
	} {
		f.Add(body)
	}
	f.Fuzz(func(t *testing.T, body string) {
		for _, path := range []string{
			"/api/dribble/plan", // held exactly
			"/api/jobs/2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d03/applications?day=2026-12-04",
		} {
			status, said := send(t, owner, "POST", path, body)
			errors, _ := said["errors"].([]any)
			if status >= 500 || len(errors) > 20 || status == 422 && len(errors) == 0 {
				t.Errorf("%s answers %q with %d and %d errors", path, body, status, len(errors))
			}
			if status < 300 && !json.Valid([]byte(body)) {
				t.Errorf("%s takes %q", path, body)
			}
		}
	})
}
