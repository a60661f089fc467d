package api_test

import (
	"bufio"
	"fmt"
	"net/http"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/pquerna/otp/totp"
)

// Where one is signed in is listed and ended one by one; another's is none of one's own.
func TestSessionsAreEndedOneByOne(t *testing.T) {
	anew(t)
	desk, phone := joined(t, "Guest", "helper"), browser()
	in := fmt.Sprintf(`{"login":"Guest","password":%q}`, password)
	if status, _ := send(t, phone, http.MethodPost, "/api/session", in); status != http.StatusOK {
		t.Fatal(status)
	}
	_, list := send(t, desk, http.MethodGet, "/api/sessions", "")
	sessions := list["sessions"].([]any)
	if len(sessions) != 2 {
		t.Fatalf("%v", list)
	}
	other := ""
	for _, s := range sessions {
		row := s.(map[string]any)
		if row["here"] != true {
			other = row["id"].(string)
		}
		if !strings.HasPrefix(row["device"].(string), "Go-http-client") {
			t.Errorf("it is called %q", row["device"])
		}
	}
	if status, _ := call(t, "/api/sessions", ""); status != http.StatusOK {
		t.Fatal(status)
	}
	if status, _ := send(t, owner, http.MethodDelete, "/api/sessions/"+other, ""); status != http.StatusNotFound {
		t.Errorf("another ends it: %d", status)
	}
	if status, _ := send(t, desk, http.MethodDelete, "/api/sessions/"+other, ""); status != http.StatusNoContent {
		t.Errorf("ended: %d", status)
	}
	if me(t, phone) != nil || me(t, desk) == nil {
		t.Errorf("the phone %v, the desk %v", me(t, phone), me(t, desk))
	}
}

// A stream ends with its session, however it ends; and one person has only so many.
func TestStreamEndsWithItsSession(t *testing.T) {
	anew(t)
	listen := func(b *http.Client) *http.Response {
		t.Helper()
		response, err := b.Get(keeler.URL + "/api/stream?at=2d9a1c5e-3f52-4c7b-8a51-6f0e2b7c9d07")
		if err != nil {
			t.Fatal(err)
		}
		t.Cleanup(func() { _ = response.Body.Close() })
		return response
	}
	ended := func(r *http.Response) bool { // or this waits for ever
		for lines := bufio.NewScanner(r.Body); lines.Scan(); {
			continue
		}
		return true
	}
	desk := joined(t, "Guest", "helper")
	in := func() *http.Client {
		b := browser()
		if status, _ := send(t, b, http.MethodPost, "/api/session", fmt.Sprintf(`{"login":"Guest","password":%q}`, password)); status != http.StatusOK {
			t.Fatal(status)
		}
		return b
	}
	phone := in()
	s := listen(phone)
	send(t, phone, http.MethodDelete, "/api/session", "")
	if !ended(s) {
		t.Error("signed out, it goes on")
	}
	phone = in()
	s = listen(phone)
	_, list := send(t, desk, http.MethodGet, "/api/sessions", "")
	for _, one := range list["sessions"].([]any) {
		if row := one.(map[string]any); row["here"] != true {
			send(t, desk, http.MethodDelete, "/api/sessions/"+row["id"].(string), "")
		}
	}
	if !ended(s) {
		t.Error("ended from elsewhere, it goes on")
	}
	phone = in()
	s = listen(phone)
	send(t, desk, http.MethodPost, "/api/password", `{"old":"`+password+`","new":"another long one"}`)
	if !ended(s) {
		t.Error("with another password, it goes on")
	}
	var open []int
	for range 26 {
		open = append(open, listen(desk).StatusCode)
	}
	if n := len(slices.DeleteFunc(open, func(c int) bool { return c != http.StatusOK })); n != 24 {
		t.Errorf("one person has %d streams", n)
	}
	if got := listen(owner).StatusCode; got != http.StatusOK {
		t.Errorf("another is turned away: %d", got)
	}
}

// The owner reads who came in, who did not, and who was let do what; nobody else does.
func TestOwnerReadsTheLog(t *testing.T) {
	anew(t)
	guest := joined(t, "Guest", "helper")
	send(t, browser(), http.MethodPost, "/api/session", `{"login":"Guest","password":"not this one"}`)
	send(t, browser(), http.MethodPost, "/api/session", fmt.Sprintf(`{"login":"Guest","password":%q}`, password))
	_, people := call(t, "/api/people", "")
	id := people["members"].([]any)[1].(map[string]any)["id"]
	call(t, fmt.Sprintf("/api/people/%v/role", id), `{"role":"keeper"}`)
	call(t, "/api/export/register", "")
	call(t, "/api/export/colonies", "")
	if status, _ := send(t, guest, http.MethodGet, "/api/log", ""); status != http.StatusForbidden {
		t.Errorf("a keeper reads it: %d", status)
	}
	_, log := call(t, "/api/log", "")
	var told []string
	for _, e := range log["entries"].([]any) {
		row := e.(map[string]any)
		told = append(told, row["login"].(string)+" "+row["in_words"].(string))
		if row["address"] != "127.0.0.1" {
			t.Errorf("from where? %v", row)
		}
	}
	slices.Reverse(told)
	want := []string{
		"Owner made an invitation: helper ", "Guest joined by an invitation", "Guest wrong password or code", "Guest signed in",
		"Owner changed a role: Guest keeper", "Owner exported: register", "Owner exported: colonies",
	}
	if !slices.Equal(told, want) {
		t.Errorf("it tells\n%s\nwant\n%s", strings.Join(told, "\n"), strings.Join(want, "\n"))
	}
}

// With a second factor a password alone opens nothing; a code works once, and a recovery
// code stands for one, once.
func TestSecondFactor(t *testing.T) {
	anew(t)
	_, offer := call(t, "/api/second-factor/offer", "{}")
	secret := offer["secret"].(string)
	if !strings.HasPrefix(offer["uri"].(string), "otpauth://totp/Keeler:Owner?") {
		t.Errorf("%v", offer["uri"])
	}
	code := func(ago time.Duration) string {
		t.Helper()
		out, err := totp.GenerateCode(secret, time.Now().Add(-ago))
		if err != nil {
			t.Fatal(err)
		}
		return out
	}
	prove := func(c string) (int, map[string]any) {
		typed := c[:3] + " " + c[3:] // as an app shows it
		return call(t, "/api/second-factor", `{"code":"`+typed+`"}`)
	}
	if status, _ := prove("000000"); status != http.StatusUnprocessableEntity && code(0) != "000000" {
		t.Errorf("a guess turns it on: %d", status)
	}
	in := func(c string) int {
		status, _ := send(t, browser(), http.MethodPost, "/api/session", fmt.Sprintf(`{"login":"Owner","password":%q,"code":%q}`, password, c))
		return status
	}
	if got := in(""); got != http.StatusOK {
		t.Errorf("not proven, it is asked for: %d", got)
	}
	status, on := prove(code(30 * time.Second)) // of the step before: an app's clock may differ
	if status != http.StatusOK || on["on"] != true || len(on["recovery_codes"].([]any)) != 10 {
		t.Fatal(status, on)
	}
	now := code(0)
	for c, want := range map[string]int{"": 422, "12 34": 422, code(time.Hour): 422} {
		if got := in(c); got != want && c != now {
			t.Errorf("code %q: %d", c, got)
		}
	}
	if got := in(now[:3] + " " + now[3:]); got != http.StatusOK {
		t.Errorf("the code: %d", got)
	}
	if got := in(now); got != http.StatusUnprocessableEntity {
		t.Errorf("the same again: %d", got)
	}
	recovery := on["recovery_codes"].([]any)[3].(string)
	if got := in(strings.ToUpper(recovery)); got != http.StatusOK {
		t.Errorf("a recovery code: %d", got)
	}
	if got := in(recovery); got != http.StatusUnprocessableEntity {
		t.Errorf("the same again: %d", got)
	}
	if _, is := call(t, "/api/second-factor", ""); is["codes_left"] != 9.0 {
		t.Errorf("%v are left", is["codes_left"])
	}
	if status, _ := call(t, "/api/second-factor/offer", "{}"); status != http.StatusConflict {
		t.Errorf("another is offered over it: %d", status)
	}
	if status, _ := call(t, "/api/second-factor/off", `{"code":"`+on["recovery_codes"].([]any)[4].(string)+`"}`); status != http.StatusOK {
		t.Errorf("turned off: %d", status)
	}
	if got := in(""); got != http.StatusOK {
		t.Errorf("turned off, it is asked for: %d", got)
	}
	// Guesses of the code are tries like those of the password.
	_, offer = call(t, "/api/second-factor/offer", "{}")
	secret = offer["secret"].(string)
	prove(code(0))
	last := 0
	for range 10 {
		last = in("000001")
	}
	if last != http.StatusTooManyRequests {
		t.Errorf("the tenth guess: %d", last)
	}
}

// A token lets a script ask in a person's name, at most as a keeper, until it ends or is
// taken back; what is a person's own it does not reach.
func TestTokenForAScript(t *testing.T) {
	anew(t)
	if status, _ := call(t, "/api/tokens", `{"name":"x","days":400}`); status != http.StatusUnprocessableEntity {
		t.Errorf("for 400 days: %d", status)
	}
	_, made := call(t, "/api/tokens", `{"name":"Backup","days":30}`)
	script := &http.Client{Transport: bearer(made["token"].(string))}
	for path, want := range map[string]int{
		"GET /api/yards": 200, "GET /api/export/register": 200, "GET /api/people": 200, "GET /api/start": 200, "GET /api/sessions": 403, "GET /api/tokens": 403, "GET /api/log": 403,
		"GET /api/second-factor": 403, "DELETE /api/session": 403, "DELETE /api/sessions": 403,
	} {
		method, at, _ := strings.Cut(path, " ")
		if status, _ := send(t, script, method, at, ""); status != want {
			t.Errorf("%s: %d", path, status)
		}
	}
	for path, body := range map[string]string{
		"/api/tokens": `{"name":"another","days":3}`, "/api/invitations": `{"role":"owner"}`, "/api/password": `{"old":"` + password + `","new":"seven wet stones"}`,
	} {
		if status, _ := send(t, script, http.MethodPost, path, body); status != http.StatusForbidden {
			t.Errorf("%s: %d", path, status)
		}
	}
	if status, _ := send(t, script, http.MethodPost, "/api/yards", `{"name":"By script","latitude":57}`); status != http.StatusOK {
		t.Errorf("a keeper's work: %d", status)
	}
	_, log := call(t, "/api/log", "")
	for _, entry := range log["entries"].([]any) {
		if e := entry.(map[string]any); e["address"] == nil || e["address"] == "" {
			t.Errorf("from nowhere: %v", e)
		}
	}
	_, list := call(t, "/api/tokens", "")
	if rows := list["tokens"].([]any); len(rows) != 1 || rows[0].(map[string]any)["name"] != "Backup" || rows[0].(map[string]any)["token"] != nil {
		t.Errorf("%v", list)
	}
	db := database(t)
	run := func(statement string) {
		t.Helper()
		if _, err := db.Exec(statement); err != nil {
			t.Fatal(err)
		}
	}
	is := func() int {
		status, _ := send(t, script, http.MethodGet, "/api/yards", "")
		return status
	}
	run("UPDATE tokens SET expires_at = UTC_TIMESTAMP(6)")
	if got := is(); got != http.StatusUnauthorized {
		t.Errorf("past its end: %d", got)
	}
	run("UPDATE tokens SET expires_at = UTC_TIMESTAMP(6) + INTERVAL 1 DAY")
	if status, _ := send(t, owner, http.MethodDelete, "/api/tokens/"+made["id"].(string), ""); status != http.StatusNoContent || is() != http.StatusUnauthorized {
		t.Errorf("taken back: %d, then %d", status, is())
	}
	if status, _ := send(t, &http.Client{Transport: bearer("keeler_guess")}, http.MethodGet, "/api/yards", ""); status != http.StatusUnauthorized {
		t.Errorf("a guess: %d", status)
	}
}
