package api_test

import (
	"bytes"
	"fmt"
	"io"
	"net/http"
	"testing"
)

// An operation goes through the door as one file and into an empty one, all of it or nothing;
// what is no archive is told, and so is an operation that is not empty.
func TestArchiveByHTTP(t *testing.T) {
	archive := func() []byte {
		t.Helper()
		response, err := owner.Get(keeler.URL + "/api/export/archive")
		if err != nil {
			t.Fatal(err)
		}
		defer func() { _ = response.Body.Close() }()
		raw, err := io.ReadAll(response.Body)
		if err != nil || response.StatusCode != http.StatusOK || response.Header.Get("Content-Type") != "application/zip" {
			t.Fatalf("%d %v", response.StatusCode, err)
		}
		return raw
	}
	var whole []byte
	t.Run("out", func(t *testing.T) {
		anew(t)
		_, yard := call(t, "/api/yards", `{"id":"3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01","name":"Quay","latitude":57}`)
		if status, _ := call(t, "/api/colonies", `{"id":"3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d02","yard_id":"`+yard["id"].(string)+`","name":"A1",`+box+`}`); status >= 300 {
			t.Fatal(status)
		}
		look := `{"inspections":[{"id":"3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d08","colony_id":"3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d02","brood":"none"}]}`
		if status, answer := send(t, joined(t, "Miller", "helper"), http.MethodPost, "/api/inspections", look); status >= 300 {
			t.Fatalf("%d %v", status, answer)
		}
		whole = archive()
		if status, answer := call(t, "/api/import/archive", string(whole)); status != http.StatusConflict {
			t.Errorf("onto itself: %d %v", status, answer)
		}
	})
	t.Run("in elsewhere", func(t *testing.T) {
		anew(t)
		for what, wrong := range map[string]string{"no archive": "a letter to the keeper, and no archive of anything", "a cut one": string(whole[:len(whole)-50])} {
			if status, answer := call(t, "/api/import/archive", wrong); status != http.StatusUnprocessableEntity || answer["detail"] == "" {
				t.Errorf("%s: %d %v", what, status, answer)
			}
		}
		if status, answer := call(t, "/api/import/archive", string(whole)); status != http.StatusOK || answer["colonies"] != 1.0 {
			t.Fatalf("%d %v", status, answer)
		}
		if !bytes.Equal(archive(), whole) {
			t.Error("what came out again is another")
		}
		// Who is named in it is a name that opens nothing, and that keeps nobody out.
		if status, _ := send(t, browser(), http.MethodPost, "/api/session", `{"login":"Miller","password":"`+password+`"}`); status != http.StatusUnauthorized {
			t.Errorf("a name that came in opens something: %d", status)
		}
		joined(t, "Miller", "viewer")
		if status, _ := send(t, browser(), http.MethodPost, "/api/session", `{"login":"Miller","password":"`+password+`"}`); status != http.StatusOK {
			t.Errorf("who took his name cannot sign in: %d", status)
		}
		_, invitation := call(t, "/api/invitations", `{"role":"viewer"}`)
		again := fmt.Sprintf(`{"token":%q,"login":"Miller","password":"another long one"}`, invitation["token"])
		if status, _ := send(t, browser(), http.MethodPost, "/api/join", again); status != http.StatusUnprocessableEntity {
			t.Errorf("a name that is somebody's is taken: %d", status)
		}
	})
}
