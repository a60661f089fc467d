package app

import (
	"testing"

	"github.com/alexedwards/argon2id"
)

// A try for a name that is none is compared with a hash that can be compared, by
// the same parameters as a real one, so that it takes as long.
func TestNobodyTakesAsLong(t *testing.T) {
	none, _, _, err := argon2id.DecodeHash(nobody)
	if err != nil || none.Memory != hashing.Memory || none.Iterations != hashing.Iterations || none.Parallelism != hashing.Parallelism || none.KeyLength != hashing.KeyLength {
		t.Errorf("got %+v %v", none, err)
	}
	for _, password := range []string{"", "nobody", "several plain words"} {
		if matches(password, "") {
			t.Errorf("%q opens what has no password", password)
		}
	}
	kept, err := hash("several plain words")
	if err != nil || !matches("several plain words", kept) || matches("several plain word", kept) || matches("", kept) {
		t.Errorf("a password does not open its own alone: %v", err)
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
