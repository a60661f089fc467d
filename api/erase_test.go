package api_test

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"
)

// An operation is closed by its owner alone, with his password and a day that is to come. Then it
// is read and not written, and gone once it is erased.
func TestErase(t *testing.T) {
	anew(t)
	keeper := joined(t, "Keeper of hives", "keeper")
	if status, _ := call(t, "/api/yards", `{"id":"3d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d01","name":"Quay","latitude":57}`); status >= 300 {
		t.Fatal(status)
	}
	erase := func(who *http.Client, body string) (int, string) {
		t.Helper()
		status, answer := send(t, who, http.MethodPost, "/api/operation/erase", body)
		return status, fmt.Sprint(answer)
	}
	year := time.Now().Year()
	for what, c := range map[string]struct {
		who  *http.Client
		body string
		want int
		says string
	}{
		"by a keeper":            {keeper, `{"password":"` + password + `"}`, http.StatusForbidden, ""},
		"by another password":    {owner, `{"password":"not the right one"}`, http.StatusUnprocessableEntity, "body.password"},
		"kept until yesterday":   {owner, `{"password":"` + password + `","keep_until":"2020-01-01"}`, http.StatusUnprocessableEntity, "body.keep_until"},
		"kept for a century":     {owner, fmt.Sprintf(`{"password":%q,"keep_until":"%d-01-01"}`, password, year+100), http.StatusUnprocessableEntity, "body.keep_until"},
		"kept until no such day": {owner, `{"password":"` + password + `","keep_until":"2031-02-30"}`, http.StatusUnprocessableEntity, "body.keep_until"},
	} {
		if status, answer := erase(c.who, c.body); status != c.want || !strings.Contains(answer, c.says) {
			t.Errorf("%s: %d %s", what, status, answer)
		}
	}
	until := fmt.Sprintf("%d-12-31", year+5)
	if status, answer := erase(owner, fmt.Sprintf(`{"password":%q,"keep_until":%q}`, password, until)); status != http.StatusOK || !strings.Contains(answer, until) {
		t.Fatalf("%d %s", status, answer)
	}
	if _, start := send(t, owner, http.MethodGet, "/api/start", ""); start["me"].(map[string]any)["kept_until"] != until {
		t.Errorf("it is not told: %v", start["me"])
	}
	for path, body := range map[string]string{"/api/yards": `{"name":"Weir","latitude":57}`, "/api/invitations": `{"role":"viewer"}`} {
		if status, answer := call(t, path, body); status != http.StatusConflict || !strings.Contains(fmt.Sprint(answer), "closed") {
			t.Errorf("%s: %d %v", path, status, answer)
		}
	}
	for _, path := range []string{"/api/record", "/api/register", "/api/yards"} {
		if status, answer := send(t, keeper, http.MethodGet, path, ""); status != http.StatusOK {
			t.Errorf("%s: %d %v", path, status, answer)
		}
	}
	if status, answer := erase(owner, `{"password":"`+password+`"}`); status != http.StatusOK {
		t.Fatalf("%d %s", status, answer)
	}
	if _, start := send(t, owner, http.MethodGet, "/api/start", ""); start["me"] != nil || start["unclaimed"] != true {
		t.Errorf("somebody is left: %v", start)
	}
}
