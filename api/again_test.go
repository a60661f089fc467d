package api_test

import (
	"fmt"
	"net/http"
	"regexp"
	"strings"
	"testing"
)

// What was saved and is sent again, because its answer was lost, is a success and changes
// nothing, whatever it is.
func TestSavingAgainIsASuccess(t *testing.T) {
	anew(t)
	db := database(t)
	makesAnother := map[string]bool{ // each time something of its own, or it is used up
		"POST /api/invitations": true, "POST /api/tokens": true, "POST /api/feed": true, "POST /api/people/{id}/password": true, "POST /api/second-factor/offer": true,
		"POST /api/second-factor": true, "POST /api/second-factor/off": true, "POST /api/password": true, "POST /api/demo/clock": true,
		"POST /api/people/{id}/role": true, "POST /api/instruments": true, "POST /api/import/colonies": true,
	}
	log := regexp.MustCompile(`(?m)^(log_entries|changes|holds) .*\n`)
	for _, b := range bodies {
		method, path, _ := strings.Cut(b.call, " ")
		if makesAnother[b.call] {
			continue
		}
		body := fill(b.body)
		first, answer := send(t, owner, method, at(path), body)
		if first >= 300 {
			t.Logf("%s is not possible here: %d %v", b.call, first, answer)
			continue
		}
		before := log.ReplaceAllString(rows(t, db, 1), "")
		again, told := send(t, owner, method, at(path), body)
		if again >= 300 {
			t.Errorf("%s again: %d %v", b.call, again, told)
		}
		if after := log.ReplaceAllString(rows(t, db, 1), ""); after != before {
			t.Errorf("%s again changed\n%s\nto\n%s", b.call, before, after)
		}
	}
}

// An id is one id in any spelling where it names a thing, and told at its field where
// another spelling would make two of one.
func TestIDsInAnySpelling(t *testing.T) {
	anew(t)
	const id = "3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9dab"
	if status, _ := call(t, "/api/yards", `{"id":"`+id+`","name":"Slipway","latitude":57}`); status != http.StatusOK {
		t.Fatal(status)
	}
	for _, spelt := range []string{strings.ToUpper(id), strings.ReplaceAll(id, "-", ""), "urn:uuid:" + id} {
		status, yard := call(t, "/api/yards/"+spelt, "")
		if status == http.StatusOK && yard["id"] != id || status != http.StatusOK && status != http.StatusUnprocessableEntity {
			t.Errorf("%s: %d %v", spelt, status, yard["id"])
		}
		status, answer := call(t, "/api/colonies", fmt.Sprintf(`{"id":%q,"yard_id":%q,"name":"A","boxes":[{"kind":"deep","slots":["comb"]}]}`, spelt, spelt))
		if status != http.StatusUnprocessableEntity || !strings.Contains(fmt.Sprint(answer["errors"]), "body.yard_id") {
			t.Errorf("%s in a body: %d %v", spelt, status, answer)
		}
		if status, _ := call(t, "/api/register?yard="+spelt, ""); status != http.StatusOK && status != http.StatusUnprocessableEntity {
			t.Errorf("%s as a filter: %d", spelt, status)
		}
	}
	for _, none := range []string{"x", "%27%20OR%201", "3d9a1c5e"} {
		if status, _ := call(t, "/api/register?batch="+none, ""); status != http.StatusUnprocessableEntity {
			t.Errorf("%q as a filter: %d", none, status)
		}
	}
}
