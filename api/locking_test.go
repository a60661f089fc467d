package api_test

import (
	"context"
	"fmt"
	"net/http"
	"strings"
	"sync"
	"testing"

	"keeler/e2e/stand"
)

// as sends a request that comes from an address, by the word of a proxy.
func as(t *testing.T, url, path, address, body string) int {
	t.Helper()
	request, err := http.NewRequestWithContext(t.Context(), http.MethodPost, url+path, strings.NewReader(body))
	if err != nil {
		t.Fatal(err)
	}
	request.Header.Set("Content-Type", "application/json")
	request.Header.Set("X-Forwarded-For", address)
	response, err := http.DefaultClient.Do(request)
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	return response.StatusCode
}

// Wrong tries slow down the one who tries: an attacker's lock him out and not the owner,
// and a hundred at once are a hundred. Who is in front of Keeler is believed only when it
// was said to be a proxy.
func TestAttackerLocksOutHimselfAlone(t *testing.T) {
	its, err := keeler.DB.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	s, err := stand.Behind(context.Background(), its, "127.0.0.0/8")
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = s.Down() }()
	const owner, attacker, household = "192.0.2.1", "198.51.100.7", "2001:db8:1:2::"
	if got := as(t, s.URL, "/api/claim", owner, fmt.Sprintf(`{"code":%q,"operation":"Quay","login":"Owner","password":%q}`, s.Code, password)); got != http.StatusOK {
		t.Fatal(got)
	}
	try := func(address, login, p string) int {
		return as(t, s.URL, "/api/session", address, fmt.Sprintf(`{"login":%q,"password":%q}`, login, p))
	}
	for _, from := range []func(int) string{
		func(int) string { return attacker },
		func(i int) string { return fmt.Sprintf("%s%x", household, i+1) }, // any address of one network
	} {
		var all sync.WaitGroup
		answers := make(chan int, 100)
		for i := range cap(answers) {
			all.Go(func() { answers <- try(from(i), "Owner", "not this one") })
		}
		all.Wait()
		close(answers)
		looked := 0
		for a := range answers {
			if a == http.StatusUnauthorized {
				looked++
			} else if a != http.StatusTooManyRequests {
				t.Errorf("got %d", a)
			}
		}
		if looked == 0 || looked > 8 {
			t.Errorf("of a hundred at once %d were looked at", looked)
		}
		if got := try(from(200), "Owner", password); got != http.StatusTooManyRequests {
			t.Errorf("who has tried so often comes in: %d", got)
		}
	}
	if got := try(owner, "Owner", password); got != http.StatusOK {
		t.Errorf("the owner is locked out: %d", got)
	}
	// Many names from one address are slowed down, too.
	last := 0
	for i := range 60 {
		last = try("203.0.113.9", fmt.Sprint("name ", i), "x")
	}
	if last != http.StatusTooManyRequests {
		t.Errorf("the sixtieth name from one address: %d", last)
	}
	// Without a proxy that is named, nobody's word is taken for where he is.
	anew(t)
	for i := range 12 {
		last = as(t, keeler.URL, "/api/session", fmt.Sprint("192.0.2.", i), `{"login":"Owner","password":"not this one"}`)
	}
	if last != http.StatusTooManyRequests {
		t.Errorf("twelve addresses made up: %d", last)
	}
}

// An owner lets a member set a new password by a link that works once; one who belongs to
// other operations, too, is not his to open.
func TestNewPasswordByLink(t *testing.T) {
	anew(t)
	guest := joined(t, "Guest", "helper")
	_, people := call(t, "/api/people", "")
	id := people["members"].([]any)[1].(map[string]any)["id"]
	if status, _ := send(t, guest, http.MethodPost, fmt.Sprintf("/api/people/%v/password", id), "{}"); status != http.StatusForbidden {
		t.Errorf("a helper makes a link: %d", status)
	}
	if status, _ := call(t, "/api/people/999/password", "{}"); status != http.StatusNotFound {
		t.Errorf("for somebody else: %d", status)
	}
	status, link := call(t, fmt.Sprintf("/api/people/%v/password", id), "{}")
	if status != http.StatusOK {
		t.Fatal(status, link)
	}
	token := link["token"].(string)
	if _, to := send(t, browser(), http.MethodGet, "/api/password/"+token, ""); to["login"] != "Guest" {
		t.Errorf("it is for %v", to)
	}
	use := func(p string) int {
		status, _ := send(t, browser(), http.MethodPost, "/api/password/new", fmt.Sprintf(`{"token":%q,"new":%q}`, token, p))
		return status
	}
	if got := use("password123"); got != http.StatusUnprocessableEntity {
		t.Errorf("a common password: %d", got)
	}
	if got := use("seven wet stones"); got != http.StatusNoContent {
		t.Errorf("a new one: %d", got)
	}
	if got := use("eight wet stones"); got != http.StatusNotFound {
		t.Errorf("a used link: %d", got)
	}
	if me(t, guest) != nil {
		t.Error("the sessions before are not ended")
	}
	for p, want := range map[string]int{password: http.StatusUnauthorized, "seven wet stones": http.StatusOK} {
		if status, _ := send(t, browser(), http.MethodPost, "/api/session", fmt.Sprintf(`{"login":"Guest","password":%q}`, p)); status != want {
			t.Errorf("%s: %d", p, status)
		}
	}
}

// Who was taken out can come back by another invitation, with the password he had.
func TestRemovedMemberComesBack(t *testing.T) {
	anew(t)
	joined(t, "Guest", "helper")
	_, people := call(t, "/api/people", "")
	id := people["members"].([]any)[1].(map[string]any)["id"]
	if status, _ := call(t, fmt.Sprintf("/api/people/%v/role", id), `{"role":"out"}`); status != http.StatusOK {
		t.Fatal(status)
	}
	in := fmt.Sprintf(`{"login":"Guest","password":%q}`, password)
	if status, _ := send(t, browser(), http.MethodPost, "/api/session", in); status != http.StatusUnauthorized {
		t.Errorf("taken out: %d", status)
	}
	_, invitation := call(t, "/api/invitations", `{"role":"keeper"}`)
	back := browser()
	join := func(p string) int {
		status, _ := send(t, back, http.MethodPost, "/api/join", fmt.Sprintf(`{"token":%q,"login":"Guest","password":%q}`, invitation["token"], p))
		return status
	}
	if got := join("not this one"); got != http.StatusUnprocessableEntity {
		t.Errorf("with another password: %d", got)
	}
	if got := join(password); got != http.StatusOK || me(t, back).(map[string]any)["role"] != "keeper" {
		t.Errorf("he does not come back: %d", got)
	}
}

// The first owner is who knows the console's code.
func TestFirstClaimNeedsTheCode(t *testing.T) {
	its, err := keeler.DB.Database(t.Context(), t.Name())
	if err != nil {
		t.Fatal(err)
	}
	s, err := stand.On(context.Background(), its, false)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = s.Down() }()
	claim := func(code string) int {
		return as(t, s.URL, "/api/claim", "", fmt.Sprintf(`{"code":%q,"operation":"Quay","login":"Owner","password":%q}`, code, password))
	}
	for _, wrong := range []string{"", "AAAA-AAAA", s.Code[:8]} {
		if got := claim(wrong); got != http.StatusUnprocessableEntity {
			t.Errorf("code %q: %d", wrong, got)
		}
	}
	if got := claim(" " + strings.ToLower(s.Code)); got != http.StatusOK {
		t.Errorf("the code: %d", got)
	}
	if got := claim(s.Code); got != http.StatusForbidden {
		t.Errorf("again: %d", got)
	}
}

// A name that is not Keeler's is not answered for: a page elsewhere cannot have its own
// name lead here. Private answers are kept by no cache, and the page loads from nowhere.
func TestHostAndHeaders(t *testing.T) {
	for host, want := range map[string]int{"": 200, "localhost:1": 200, "192.0.2.7:8080": 200, "[2001:db8::1]:8080": 200, "elsewhere.example": 421, "localhost.elsewhere.example:80": 421} {
		request, err := http.NewRequestWithContext(t.Context(), http.MethodGet, keeler.URL+"/api/start", nil)
		if err != nil {
			t.Fatal(err)
		}
		request.Host = host
		response, err := http.DefaultClient.Do(request)
		if err != nil {
			t.Fatal(err)
		}
		_ = response.Body.Close()
		if response.StatusCode != want {
			t.Errorf("host %q: %s", host, response.Status)
		}
		if want == 200 && response.Header.Get("Cache-Control") != "no-store" {
			t.Errorf("it may be cached: %q", response.Header.Get("Cache-Control"))
		}
	}
	response, err := http.Get(keeler.URL + "/")
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	for _, part := range []string{"default-src 'self'", "base-uri 'none'", "form-action 'self'", "frame-ancestors 'none'", "object-src 'none'"} {
		if policy := response.Header.Get("Content-Security-Policy"); !strings.Contains(policy, part) {
			t.Errorf("%q lacks %s", policy, part)
		}
	}
	if response, err = http.Get(keeler.URL + "/assets/index-old.js"); err != nil || response.StatusCode != http.StatusNotFound {
		t.Errorf("a file of another version: %v %v", response, err)
	}
	_ = response.Body.Close()
}
