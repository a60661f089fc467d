package api_test

import (
	"context"
	"fmt"
	"io"
	"net/http"
	"strings"
	"testing"

	"keeler/e2e/stand"
)

func me(t *testing.T, b *http.Client) any {
	t.Helper()
	_, start := send(t, b, http.MethodGet, "/api/start", "")
	return start["me"]
}

// The first to come becomes the owner; the second does not.
func TestClaimOnce(t *testing.T) {
	for what, c := range map[string]struct {
		body, field string
		status      int
	}{
		"twice":            {`{"code":"AAAA-AAAA","operation":"Mine","login":"Second","password":"` + password + `"}`, "", http.StatusForbidden},
		"a short password": {`{"code":"AAAA-AAAA","operation":"Mine","login":"Second","password":"short"}`, "body.password", http.StatusUnprocessableEntity},
		"no name":          {`{"code":"AAAA-AAAA","operation":"Mine","login":" ","password":"` + password + `"}`, "body.login", http.StatusUnprocessableEntity},
	} {
		b := browser()
		status, answer := send(t, b, http.MethodPost, "/api/claim", c.body)
		if status != c.status || c.field != "" && answer["errors"].([]any)[0].(map[string]any)["location"] != c.field {
			t.Errorf("%s: %d %v", what, status, answer)
		}
		if me(t, b) != nil {
			t.Errorf("%s: somebody is signed in", what)
		}
	}
	if _, start := send(t, browser(), http.MethodGet, "/api/start", ""); start["unclaimed"] != false {
		t.Error("a claimed Keeler asks for an owner")
	}
	if status, _ := send(t, browser(), http.MethodPost, "/api/demo", "{}"); status != http.StatusForbidden {
		t.Errorf("the demo's door is open elsewhere: %d", status)
	}
	if status, _ := send(t, owner, http.MethodPost, "/api/demo/clock", `{"days":1}`); status != http.StatusForbidden {
		t.Errorf("the clock moves outside the demo: %d", status)
	}
}

// The cookie is out of reach of scripts and of other sites, and a change that
// another site's page asks for is refused even with it.
func TestCookieAndOtherSites(t *testing.T) {
	response, err := browser().Post(keeler.URL+"/api/session", "application/json", strings.NewReader(`{"login":"owner","password":"`+password+`"}`))
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	cookie := response.Header.Get("Set-Cookie")
	for _, want := range []string{"HttpOnly", "SameSite=Lax", "Path=/"} {
		if !strings.Contains(cookie, want) {
			t.Errorf("%q lacks %s", cookie, want)
		}
	}
	for header, value := range map[string]string{"Sec-Fetch-Site": "cross-site", "Origin": "https://elsewhere.example"} {
		request, err := http.NewRequestWithContext(t.Context(), http.MethodPost, keeler.URL+"/api/yards", strings.NewReader(`{"name":"Forged","latitude":57}`))
		if err != nil {
			t.Fatal(err)
		}
		request.Header.Set("Content-Type", "application/json")
		request.Header.Set(header, value)
		response, err := owner.Do(request)
		if err != nil {
			t.Fatal(err)
		}
		_ = response.Body.Close()
		if response.StatusCode != http.StatusForbidden {
			t.Errorf("%s: %s: got %s", header, value, response.Status)
		}
	}
}

// After eight failures the ninth try is not looked at, even with the right password.
func TestTriesAreLimited(t *testing.T) {
	anew(t)
	joined(t, "Forgetful", "viewer")
	try := func(p string) int {
		status, _ := send(t, browser(), http.MethodPost, "/api/session", fmt.Sprintf(`{"login":"FORGETFUL","password":%q}`, p))
		return status
	}
	if got := try(password); got != http.StatusOK {
		t.Fatalf("the right password: %d", got)
	}
	for range 8 {
		if got := try("not this one"); got != http.StatusUnauthorized {
			t.Fatalf("a wrong password: %d", got)
		}
	}
	if got := try(password); got != http.StatusTooManyRequests {
		t.Errorf("after eight failures: %d", got)
	}
	if status, _ := send(t, browser(), http.MethodPost, "/api/session", `{"login":"nobody at all","password":"x"}`); status != http.StatusUnauthorized {
		t.Errorf("an unknown name: %d, want the same as a wrong password", status)
	}
}

// An invitation works once; another password, or signing out everywhere, ends all
// other sessions.
func TestInvitationsAndSessions(t *testing.T) {
	anew(t)
	_, invitation := call(t, "/api/invitations", `{"role":"helper","note":"Summer help"}`)
	token := invitation["token"].(string)
	_, to := send(t, browser(), http.MethodGet, "/api/join/"+token, "")
	if to["operation"] != "Quay" || to["role"] != "helper" {
		t.Errorf("got %v", to)
	}
	desk, phone := browser(), browser()
	join := func(b *http.Client, login string) int {
		status, _ := send(t, b, http.MethodPost, "/api/join", fmt.Sprintf(`{"token":%q,"login":%q,"password":%q}`, token, login, password))
		return status
	}
	if got := join(desk, "owner"); got != http.StatusOK {
		t.Errorf("who has an account joins with its password: %d", got)
	}
	if got := join(phone, "Second guest"); got != http.StatusNotFound {
		t.Errorf("a used invitation: %d", got)
	}
	desk = joined(t, "Helper", "helper")
	in := func(p string) int {
		status, _ := send(t, phone, http.MethodPost, "/api/session", fmt.Sprintf(`{"login":"Helper","password":%q}`, p))
		return status
	}
	if in(password) != http.StatusOK || me(t, phone) == nil {
		t.Fatal("the helper does not get in")
	}
	if status, _ := send(t, desk, http.MethodPost, "/api/password", `{"old":"wrong","new":"another long one"}`); status != http.StatusUnprocessableEntity {
		t.Errorf("with a wrong old password: %d", status)
	}
	if status, _ := send(t, desk, http.MethodPost, "/api/password", `{"old":"`+password+`","new":"another long one"}`); status >= 300 {
		t.Errorf("another password: %d", status)
	}
	if me(t, desk) == nil || me(t, phone) != nil {
		t.Errorf("here %v, elsewhere %v: want signed in here alone", me(t, desk), me(t, phone))
	}
	if in(password) != http.StatusUnauthorized || in("another long one") != http.StatusOK {
		t.Error("the old password still works, or the new one does not")
	}
	if status, _ := send(t, desk, http.MethodDelete, "/api/sessions", ""); status >= 300 || me(t, desk) != nil || me(t, phone) != nil {
		t.Errorf("signed out everywhere: %d, %v, %v", status, me(t, desk), me(t, phone))
	}
}

// The last owner stays; who is taken out sees nothing from then on.
func TestRoles(t *testing.T) {
	anew(t)
	guest := joined(t, "Guest", "viewer")
	_, people := call(t, "/api/people", "")
	ids := map[string]int{}
	for _, m := range people["members"].([]any) {
		p := m.(map[string]any)
		ids[p["login"].(string)] = int(p["id"].(float64))
	}
	role := func(login, role string) int {
		status, _ := call(t, fmt.Sprintf("/api/people/%d/role", ids[login]), `{"role":"`+role+`"}`)
		return status
	}
	if got := role("Owner", "keeper"); got != http.StatusConflict {
		t.Errorf("the last owner went: %d", got)
	}
	if got := role("Guest", "keeper"); got != http.StatusOK {
		t.Errorf("a new role: %d", got)
	}
	if status, _ := send(t, guest, http.MethodPost, "/api/yards", `{"name":"Guest's yard","latitude":57}`); status != http.StatusOK {
		t.Errorf("a keeper adds no yard: %d", status)
	}
	if got := role("Guest", "out"); got != http.StatusOK {
		t.Errorf("taken out: %d", got)
	}
	if status, _ := send(t, guest, http.MethodGet, "/api/yards", ""); status != http.StatusUnauthorized {
		t.Errorf("who was taken out still reads: %d", status)
	}
}

// The demo opens without a password, says that it is one, and its clock moves on.
func TestDemo(t *testing.T) {
	demo, err := stand.Up(context.Background(), true)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = demo.Down() }()
	mine := keeler
	keeler = demo
	defer func() { keeler = mine }()
	b := browser()
	_, start := send(t, b, http.MethodPost, "/api/demo", "{}")
	if start["demo"] != true || start["me"].(map[string]any)["operation"] != "Marrow Quay" {
		t.Errorf("got %v", start["me"])
	}
	if _, helper := send(t, browser(), http.MethodPost, "/api/demo?as=helper", "{}"); helper["me"].(map[string]any)["role"] != "helper" {
		t.Errorf("got %v", helper["me"])
	}
	if _, moved := send(t, b, http.MethodPost, "/api/demo/clock", `{"days":3}`); moved["now"] != "2026-12-07T08:30" {
		t.Errorf("got %v", moved["now"])
	}
	if status, _ := send(t, b, http.MethodPost, "/api/demo/clock", `{"days":-3}`); status != http.StatusUnprocessableEntity {
		t.Errorf("the clock went back: %d", status)
	}
	if status, _ := send(t, browser(), http.MethodPost, "/api/demo/clock", `{"days":3}`); status != http.StatusUnauthorized {
		t.Errorf("who has not entered moves the clock: %d", status)
	}
	moved := 0
	for ; moved < 20; moved++ {
		if status, _ := send(t, b, http.MethodPost, "/api/demo/clock", `{"days":366}`); status != http.StatusOK {
			break
		}
	}
	if moved != 9 { // within ten years
		t.Errorf("the clock moves on by %d years", moved)
	}
	_, people := send(t, b, http.MethodGet, "/api/people", "")
	for _, role := range []string{"out", "viewer"} {
		id := people["members"].([]any)[0].(map[string]any)["id"]
		if status, _ := send(t, b, http.MethodPost, fmt.Sprintf("/api/people/%v/role", id), `{"role":"`+role+`"}`); status != http.StatusConflict {
			t.Errorf("the demo's keeper becomes %s: %d", role, status)
		}
	}
	if status, _ := send(t, browser(), http.MethodPost, "/api/session", `{"login":"Demo keeper","password":""}`); status == http.StatusOK {
		t.Error("an empty password lets in")
	}
}

// A file that is too large is refused, and told so.
func TestLargeFile(t *testing.T) {
	status, answer := send(t, owner, http.MethodPost, "/api/import/colonies?mode=all", "yard,colony,boxes\n"+strings.Repeat("Slipway,A,deep 10\n", 3_000_000))
	if status != http.StatusRequestEntityTooLarge {
		t.Errorf("54 MB: %d %v", status, answer)
	}
}

// A page that was opened by one person does nothing in the name of another who has signed
// in since.
func TestNothingInAnothersName(t *testing.T) {
	anew(t)
	guest := joined(t, "Guest", "keeper")
	who := me(t, owner).(map[string]any)["who"].(string)
	for what, c := range map[string]struct {
		by    *http.Client
		meant string
		want  int
	}{
		"one's own":       {owner, who, http.StatusOK},
		"nobody's":        {guest, "", http.StatusOK},
		"left by another": {guest, who, http.StatusUnauthorized},
	} {
		request, err := http.NewRequestWithContext(t.Context(), http.MethodPost, keeler.URL+"/api/yards", strings.NewReader(`{"name":"`+what+`","latitude":57}`))
		if err != nil {
			t.Fatal(err)
		}
		request.Header.Set("Content-Type", "application/json")
		request.Header.Set("Keeler-Me", c.meant)
		response, err := c.by.Do(request)
		if err != nil {
			t.Fatal(err)
		}
		_ = response.Body.Close()
		if response.StatusCode != c.want {
			t.Errorf("%s: %s", what, response.Status)
		}
	}
}

// A person in two operations goes on in the other with the part that is theirs there, and in
// one that is not theirs not at all.
func TestPersonInTwoOperations(t *testing.T) {
	anew(t)
	guest, db := joined(t, "Guest of two", "keeper"), database(t)
	for _, statement := range []string{
		"INSERT INTO operations (id, name, created_at) VALUES (78, 'Upriver', NOW(6)), (79, 'Strangers', NOW(6))",
		"INSERT INTO members (user_id, operation_id, role, joined_at) SELECT id, 78, 'viewer', NOW(6) FROM users WHERE login = 'Guest of two'",
	} {
		if _, err := db.Exec(statement); err != nil {
			t.Fatal(err)
		}
	}
	me := func(start map[string]any) string {
		t.Helper()
		m := start["me"].(map[string]any)
		return fmt.Sprint(m["operation"], " ", m["role"], " ", m["others"])
	}
	_, start := send(t, guest, http.MethodGet, "/api/start", "")
	first := start["me"].(map[string]any)["operation"].(string)
	if got := me(start); got != first+" keeper [map[id:78 name:Upriver role:viewer]]" {
		t.Error(got)
	}
	if status, _ := send(t, guest, http.MethodPost, "/api/session/operation", `{"operation":79}`); status != http.StatusNotFound {
		t.Errorf("among strangers: %d", status)
	}
	status, start := send(t, guest, http.MethodPost, "/api/session/operation", `{"operation":78}`)
	if got := me(start); status != http.StatusOK || got != "Upriver viewer [map[id:1 name:"+first+" role:keeper]]" {
		t.Errorf("%d %s", status, got)
	}
	yard := `{"id":"7e0f0f5e-6a0e-4b5e-9a51-0d5b1c9e1001","name":"Weir","latitude":55}`
	if status, _ := send(t, guest, http.MethodPost, "/api/yards", yard); status != http.StatusForbidden {
		t.Errorf("a viewer there adds a yard: %d", status)
	}
	if status, _ := send(t, browser(), http.MethodPost, "/api/session/operation", `{"operation":1}`); status != http.StatusUnauthorized {
		t.Errorf("nobody goes there: %d", status)
	}
}

// An address for the calendar is told once, read without signing in, and leads nowhere once it
// was revoked or another was made. It tells of nothing but what is to be done.
func TestAddressOfACalendar(t *testing.T) {
	anew(t)
	guest := joined(t, "Reader", "viewer")
	address := func() string {
		t.Helper()
		status, made := send(t, guest, http.MethodPost, "/api/feed", "")
		if status != http.StatusOK || made["token"] == nil {
			t.Fatalf("%d %v", status, made)
		}
		return "/api/calendar/" + made["token"].(string)
	}
	read := func(path string, want int) {
		t.Helper()
		response, err := browser().Get(keeler.URL + path)
		if err != nil {
			t.Fatal(err)
		}
		file, err := io.ReadAll(response.Body)
		_ = response.Body.Close()
		if err != nil || response.StatusCode != want || (want == http.StatusOK) != strings.HasPrefix(string(file), "BEGIN:VCALENDAR") {
			t.Errorf("%s: %s %.80s %v", path, response.Status, file, err)
		}
	}
	first := address()
	read(first, http.StatusOK)
	if _, has := send(t, guest, http.MethodGet, "/api/feed", ""); has["made_on"] == nil || has["token"] != nil {
		t.Errorf("%v", has)
	}
	second := address()
	read(first, http.StatusNotFound)
	read(second, http.StatusOK)
	if status, _ := send(t, guest, http.MethodDelete, "/api/feed", ""); status != http.StatusNoContent {
		t.Error(status)
	}
	read(second, http.StatusNotFound)
	read("/api/calendar/"+strings.Repeat("A", 26), http.StatusNotFound)
}
