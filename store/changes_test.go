package store

import (
	"testing"
	"time"

	"github.com/google/uuid"
	"gorm.io/gorm"
)

// What one server writes is told at the others, once, and not at itself; never before it can be
// read, and also where the one who got the lower id was done last.
func TestChangesOfOtherServers(t *testing.T) {
	here := open(t)
	there, err := Open(here.config.FormatDSN())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = there.Close() })
	from, err := there.Changes(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	now := time.Date(2026, 12, 4, 8, 0, 0, 0, time.UTC)
	told := func(when string, want ...string) {
		t.Helper()
		got, err := from.Next(t.Context(), now)
		if err != nil || len(got) != len(want) {
			t.Fatalf("%s: %v %v, want %v", when, got, err, want)
		}
		for i, c := range got {
			if c.Topic != want[i] || c.OperationID != FirstOperation {
				t.Errorf("%s: %v, want %v", when, got, want)
			}
		}
	}
	announce := func(s *Store, db *gorm.DB, topic string) {
		t.Helper()
		o := s.For(FirstOperation)
		if db != nil {
			o.db = db
		}
		if err := o.announce(t.Context(), topic); err != nil {
			t.Fatal(err)
		}
	}
	first, second, third, own := uuid.NewString(), uuid.NewString(), uuid.NewString(), uuid.NewString()
	told("before anything")
	slow := here.For(FirstOperation).db.WithContext(t.Context()).Begin()
	announce(here, slow, first)
	told("while it is not done")
	announce(here, nil, second)
	announce(there, nil, own)
	told("the faster one", second)
	told("again")
	if err := slow.Commit().Error; err != nil {
		t.Fatal(err)
	}
	told("the slower one, of a lower id", first)
	now = now.Add(2 * late)
	told("after a long silence")
	told("and again")
	newest, err := value[uint64](here.db.Table("changes").Select("MAX(id)")) // its own
	if err != nil || from.below != newest || len(from.told) > 0 {
		t.Errorf("what is long past is read again: above %d of %d, %v: %v", from.below, newest, from.told, err)
	}
	announce(here, nil, third)
	told("after it", third)
	if err := here.db.Exec("UPDATE changes SET at = at - INTERVAL 2 HOUR WHERE topic <> ?", third).Error; err != nil {
		t.Fatal(err)
	}
	if err := here.ForgetChanges(t.Context()); err != nil {
		t.Fatal(err)
	}
	if left, err := all[string](here.db.Table("changes").Select("topic")); err != nil || len(left) != 1 || left[0] != third {
		t.Errorf("what is left is %v: %v", left, err)
	}
}
