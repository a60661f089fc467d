package app

import (
	"bufio"
	"context"
	"errors"
	"strings"
	"testing"

	"github.com/alexedwards/argon2id"

	"keeler/core/fault"
)

// A password that everybody tries first is refused, in any case; a plain one of several
// words is not. The list is a short one, and each on it is long enough to be asked about.
func TestCommonPasswordsAreRefused(t *testing.T) {
	listed := 0
	for lines := bufio.NewScanner(strings.NewReader(common)); lines.Scan(); listed++ {
		if word := lines.Text(); len(word) < leastPassword || word != strings.ToLower(word) {
			t.Errorf("%q is not asked about", word)
		}
	}
	if listed != 146 { // as docs/operations.md says
		t.Errorf("%d are listed", listed)
	}
	for password, want := range map[string]fault.Reason{
		"Password123": fault.Guessable, " qwertyuiop": fault.Guessable, "anna@quay.example": fault.Guessable, "aaaaaaaaaaaa": fault.Guessable,
		"1212121212": fault.Guessable, "short": fault.TooLow, "several plain words": "", "seven wet stones": "",
	} {
		var l fault.List
		checkPassword("password", password, "Anna@Quay.example", &l)
		if want == "" && len(l) > 0 || want != "" && (len(l) != 1 || l[0].Reason != want) {
			t.Errorf("%q: %v", password, l)
		}
	}
}

// A try for a name that is none is compared with a hash that can be compared, by
// the same parameters as a real one, so that it takes as long.
func TestNobodyTakesAsLong(t *testing.T) {
	none, _, _, err := argon2id.DecodeHash(nobody)
	if err != nil || none.Memory != hashing.Memory || none.Iterations != hashing.Iterations || none.Parallelism != hashing.Parallelism || none.KeyLength != hashing.KeyLength {
		t.Errorf("got %+v %v", none, err)
	}
	for _, password := range []string{"", "nobody", "several plain words"} {
		if same, err := matches(t.Context(), password, ""); same || err != nil {
			t.Errorf("%q opens what has no password: %v", password, err)
		}
	}
	kept, err := hash(t.Context(), "several plain words")
	if err != nil {
		t.Fatal(err)
	}
	for password, want := range map[string]bool{"several plain words": true, "several plain word": false, "": false} {
		if same, err := matches(t.Context(), password, kept); same != want || err != nil {
			t.Errorf("%q opens it: %v %v", password, same, err)
		}
	}
	gone, leave := context.WithCancel(t.Context())
	for range cap(atOnce) {
		atOnce <- struct{}{}
	}
	leave()
	if _, err := hash(gone, "several plain words"); !errors.Is(err, context.Canceled) {
		t.Errorf("who has left still waits for his turn: %v", err)
	}
	for range cap(atOnce) {
		<-atOnce
	}
}

// Each role may do what those before it may; a word that is no role may nothing.
func TestRoles(t *testing.T) {
	order := []Role{Viewer, Helper, Keeper, Owner}
	for i, r := range order {
		for j, least := range order {
			if r.May(least) != (i >= j) {
				t.Errorf("%s as %s: %v", r, least, r.May(least))
			}
		}
		if Role("guest").May(r) || Role("").May(r) {
			t.Errorf("a guest may what a %s may", r)
		}
	}
}
