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

// Names are one person's whatever their case. Tries are counted before they are looked at,
// by name and address together and by address, each in its own place; a right one clears
// those for its name from its address alone.
func TestLoginsAndTries(t *testing.T) {
	s := open(t)
	p := s.People()
	if err := p.Claim(t.Context(), FirstOperation, "Quay", "UTC", user("Anna@quay.example")); err != nil {
		t.Fatal(err)
	}
	if u, err := p.ByLogin(t.Context(), "ANNA@Quay.example"); err != nil || u.Login != "Anna@quay.example" {
		t.Errorf("got %+v %v", u, err)
	}
	since := noon.Add(-time.Minute)
	try := func(login, address string, at time.Time) Try { return Try{Login: login, Address: address, At: at} }
	var last Try
	for _, c := range []struct {
		Try
		want Tries
	}{
		{try("Anna", "a", noon), Tries{1, 1}}, {try("ANNA", "a", noon), Tries{2, 2}}, {try("Anna", "b", noon), Tries{1, 1}}, {try("Bob", "a", noon), Tries{1, 3}},
	} {
		got, err := p.Try(t.Context(), &c.Try, since)
		if err != nil || got != c.want {
			t.Errorf("%+v: %+v %v", c.Try, got, err)
		}
		last = c.Try
	}
	if err := p.Forgive(t.Context(), try("anna", "a", noon)); err != nil {
		t.Fatal(err)
	}
	if err := p.Untry(t.Context(), last); err != nil {
		t.Fatal(err)
	}
	for address, want := range map[string]Tries{"a": {1, 1}, "b": {2, 2}} {
		again := try("Anna", address, noon)
		if got, err := p.Try(t.Context(), &again, since); err != nil || got != want {
			t.Errorf("from %s then: %+v %v", address, got, err)
		}
	}
	// A hundred at once are a hundred.
	var all sync.WaitGroup
	places := make(chan int64, 100)
	for range cap(places) {
		all.Go(func() {
			t100 := try("Carl", "c", noon)
			n, err := p.Try(t.Context(), &t100, since)
			if err != nil {
				t.Error(err)
			}
			places <- n.ByBoth
		})
	}
	all.Wait()
	close(places)
	most := int64(0)
	few := 0
	for n := range places {
		most = max(most, n)
		if n <= 8 {
			few++
		}
	}
	if most != 100 || few > 8 {
		t.Errorf("the last of a hundred is number %d, and %d are within eight", most, few)
	}
	later := try("Dora", "d", noon.Add(time.Hour))
	if _, err := p.Try(t.Context(), &later, noon.Add(time.Second)); err != nil {
		t.Fatal(err)
	}
	again := try("Anna", "b", noon.Add(time.Hour))
	if n, err := p.Try(t.Context(), &again, since); err != nil || n.ByBoth != 1 {
		t.Errorf("those before the while are remembered: %+v %v", n, err)
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
