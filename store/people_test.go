package store

import (
	"errors"
	"fmt"
	"sync"
	"testing"
	"time"
)

var noon = time.Date(2026, 12, 4, 12, 0, 0, 0, time.UTC)

func user(name string) *User { return &User{Login: name, PasswordHash: "x", Epoch: 1, CreatedAt: noon} }

// Of several who come first at once, one becomes the owner.
func TestClaimAtOnce(t *testing.T) {
	s := open(t)
	var all sync.WaitGroup
	won := make(chan string, 8)
	for i := range 8 {
		all.Go(func() {
			name := fmt.Sprint("first ", i)
			if err := s.People().Claim(t.Context(), FirstOperation, "Quay", "UTC", user(name)); err == nil {
				won <- name
			} else if !errors.Is(err, ErrTaken) {
				t.Errorf("%s: %v", name, err)
			}
		})
	}
	all.Wait()
	close(won)
	members, err := s.For(FirstOperation).Members(t.Context())
	if err != nil || len(members) != 1 || len(won) != 1 || members[0].User.Login != <-won || members[0].Role != "owner" {
		t.Errorf("got %+v, %d winners, %v", members, len(won), err)
	}
	if any, err := s.People().Any(t.Context()); err != nil || !any {
		t.Errorf("somebody is there: %v %v", any, err)
	}
}

// An invitation lets one in, whoever comes at once with it, and none when it has
// run out or was taken back.
func TestJoinAtOnce(t *testing.T) {
	s := open(t)
	o := operation(t, s)
	invite := func(name, token string, until time.Time) {
		err := o.Invite(t.Context(), Invitation{ID: id(name), TokenHash: token, Role: "helper", CreatedAt: noon, ExpiresAt: until})
		if err != nil {
			t.Fatal(err)
		}
	}
	invite("1", "once", noon.Add(time.Hour))
	var all sync.WaitGroup
	joined := make(chan uint64, 6)
	for i := range 6 {
		all.Go(func() {
			op, err := s.People().Join(t.Context(), "once", user(fmt.Sprint("guest ", i)), noon)
			if err == nil {
				joined <- op
			} else if !errors.Is(err, ErrNotFound) {
				t.Error(err)
			}
		})
	}
	all.Wait()
	if len(joined) != 1 || <-joined != o.id {
		t.Errorf("%d joined", len(joined)+1)
	}
	if members, err := o.Members(t.Context()); err != nil || len(members) != 1 {
		t.Errorf("got %+v %v", members, err)
	}
	invite("2", "late", noon)
	invite("3", "back", noon.Add(time.Hour))
	if err := o.Uninvite(t.Context(), id("3")); err != nil {
		t.Fatal(err)
	}
	for _, token := range []string{"late", "back", "once", "never was"} {
		if _, err := s.People().Join(t.Context(), token, user("guest of "+token), noon); !errors.Is(err, ErrNotFound) {
			t.Errorf("%s: %v", token, err)
		}
		if _, err := s.People().ByLogin(t.Context(), "guest of "+token); !errors.Is(err, ErrNotFound) {
			t.Errorf("%s left an account: %v", token, err)
		}
	}
	if open, err := o.Invitations(t.Context(), noon); err != nil || len(open) != 0 {
		t.Errorf("still open: %+v %v", open, err)
	}
}

// Names are one person's whatever their case, and failures are counted by both.
func TestLoginsAndFailures(t *testing.T) {
	s := open(t)
	p := s.People()
	if err := p.Claim(t.Context(), FirstOperation, "Quay", "UTC", user("Anna@quay.example")); err != nil {
		t.Fatal(err)
	}
	if u, err := p.ByLogin(t.Context(), "ANNA@Quay.example"); err != nil || u.Login != "Anna@quay.example" {
		t.Errorf("got %+v %v", u, err)
	}
	for i, from := range []string{"a", "a", "b"} {
		at := noon.Add(time.Duration(i) * time.Minute)
		if err := p.Failed(t.Context(), []string{"Anna", "ANNA", "Bob"}[i], from, at, noon.Add(-time.Hour)); err != nil {
			t.Fatal(err)
		}
	}
	for _, c := range []struct {
		login, address string
		since          time.Time
		byLogin, byAt  int64
	}{
		{"anna", "a", noon.Add(-time.Minute), 2, 2}, {"anna", "b", noon.Add(-time.Minute), 2, 1},
		{"anna", "a", noon, 1, 1}, {"carl", "c", noon.Add(-time.Minute), 0, 0},
	} {
		login, address, err := p.Failures(t.Context(), c.login, c.address, c.since)
		if err != nil || login != c.byLogin || address != c.byAt {
			t.Errorf("%+v: %d %d %v", c, login, address, err)
		}
	}
	// The next failure forgets those before the window.
	if err := p.Failed(t.Context(), "Carl", "c", noon.Add(time.Hour), noon.Add(90*time.Second)); err != nil {
		t.Fatal(err)
	}
	if login, _, err := p.Failures(t.Context(), "anna", "a", noon.Add(-time.Hour)); err != nil || login != 0 {
		t.Errorf("%d are remembered: %v", login, err)
	}
}

// A member of several operations is found in each, and by no number in the first.
func TestMemberOfSeveral(t *testing.T) {
	s := open(t)
	first, second := operation(t, s), operation(t, s)
	u := user("Everywhere")
	if err := s.People().Claim(t.Context(), first.id, "First", "UTC", u); err != nil {
		t.Fatal(err)
	}
	if err := second.Invite(t.Context(), Invitation{ID: id("1"), TokenHash: "in", Role: "viewer", CreatedAt: noon, ExpiresAt: noon.Add(time.Hour)}); err != nil {
		t.Fatal(err)
	}
	u.CreatedAt = noon.Add(time.Minute)
	if op, err := s.People().Join(t.Context(), "in", u, noon); err != nil || op != second.id {
		t.Fatal(op, err)
	}
	for operation, role := range map[uint64]string{0: "owner", first.id: "owner", second.id: "viewer"} {
		if m, err := s.People().Member(t.Context(), u.ID, operation); err != nil || m.Role != role || m.User.Login != "Everywhere" {
			t.Errorf("%d: %+v %v", operation, m, err)
		}
	}
	if err := second.SetRole(t.Context(), u.ID, ""); !errors.Is(err, ErrConflict) {
		t.Errorf("an operation without an owner lets its last go: %v", err)
	}
	if err := first.SetRole(t.Context(), u.ID, "keeper"); !errors.Is(err, ErrConflict) {
		t.Errorf("the last owner went: %v", err)
	}
	if err := first.SetRole(t.Context(), u.ID+1, "keeper"); !errors.Is(err, ErrNotFound) {
		t.Errorf("a stranger got a role: %v", err)
	}
}
