package api_test

import (
	"fmt"
	"io"
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
)

// An export is whole, as its last line shows, or an error: wherever the database is cut
// off, half a register never ends like a whole one.
func TestExportIsWholeOrAnError(t *testing.T) {
	s, line := onLine(t, false)
	mine, by := keeler, owner
	keeler, owner = s, browser()
	t.Cleanup(func() {
		keeler, owner = mine, by
	})
	if err := claim(owner); err != nil {
		t.Fatal(err)
	}
	yard, colony := uuid.NewString(), uuid.NewString()
	post := func(path, body string) {
		t.Helper()
		if status, answer := call(t, path, body); status >= 300 {
			t.Fatal(path, status, answer)
		}
	}
	post("/api/yards", fmt.Sprintf(`{"id":%q,"name":"Slipway","latitude":57}`, yard))
	post("/api/colonies", fmt.Sprintf(`{"id":%q,"yard_id":%q,"name":"A","boxes":[{"kind":"deep","slots":["comb"]}]}`, colony, yard))
	const each, times = 250, 20 // small enough to be kept in time on a busy machine
	for range times {
		var lines []string
		for range each {
			lines = append(lines, fmt.Sprintf(`{"id":%q,"colony_id":%q}`, uuid.NewString(), colony))
		}
		post("/api/register", `{"method":"vapour","product":"x","given_on":"2026-11-20","colonies":[`+strings.Join(lines, ",")+`]}`)
	}
	get := func(path string) (whole bool) {
		t.Helper()
		response, err := owner.Get(keeler.URL + path)
		if err != nil {
			return false
		}
		raw, err := io.ReadAll(response.Body)
		_ = response.Body.Close()
		if err != nil || response.StatusCode != http.StatusOK {
			return false
		}
		rows := strings.Split(strings.TrimSpace(string(raw)), "\n")
		if want := fmt.Sprintf("rows,%d,", len(rows)-2); !strings.HasPrefix(rows[len(rows)-1], want) {
			t.Errorf("%s ends cleanly after %d rows with %q", path, len(rows), rows[len(rows)-1])
		}
		return true
	}
	for _, path := range []string{"/api/export/register", "/api/export/colonies"} {
		line.CutAt(0, false)
		if !get(path) {
			t.Fatal(path, "is not whole with nothing cut")
		}
		statements := line.Asked()
		for n := 1; n <= statements; n++ {
			for _, delivered := range []bool{false, true} {
				line.CutAt(n, delivered)
				get(path)
			}
		}
	}
}
