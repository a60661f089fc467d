package store

import (
	"errors"
	"testing"

	"gorm.io/gorm"
)

// Whatever bears on what there is to do is told of, once by a transaction, however much it writes; what
// was taken back, what changed nothing and what bears on nothing is not.
func TestWritesAreTold(t *testing.T) {
	s := open(t)
	o := operation(t, s)
	line(t, o, "a", 2)
	from, err := s.Changes(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	told := func(what string, want int, err error) {
		t.Helper()
		got, failed := from.Next(t.Context(), noon)
		if err != nil || failed != nil || len(got) != want {
			t.Errorf("%s: told %v, want %d: %v %v", what, got, want, err, failed)
		}
	}
	count := []MiteCount{{UserID: someone, ID: id("1"), ColonyID: id("a-c0"), Kind: "wash", Mites: 1, Bees: 300, CountedOn: noon, CreatedAt: noon}}
	told("a count", 1, o.Count(t.Context(), count))
	told("the same again", 0, o.Count(t.Context(), count))
	told("a count that is struck out", 1, o.VoidCount(t.Context(), id("1"), "wrong hive", noon))
	told("two skips, and one of them taken back, at once", 1, o.Within(t.Context(), func(o Operation) error {
		return errors.Join(o.Skip(t.Context(), []FollowupSkip{
			{ColonyID: id("a-c0"), What: "out.1", UserID: someone, CreatedAt: noon}, {ColonyID: id("a-c1"), What: "out.1", UserID: someone, CreatedAt: noon},
		}), o.Unskip(t.Context(), "out.1", []string{id("a-c1")}))
	}))
	told("a skip that is taken back", 1, o.Unskip(t.Context(), "out.1", []string{id("a-c0")}))
	refused := errors.New("no")
	if err := o.Within(t.Context(), func(o Operation) error {
		return errors.Join(o.Skip(t.Context(), []FollowupSkip{{ColonyID: id("a-c0"), What: "out.1", UserID: someone, CreatedAt: noon}}), refused)
	}); !errors.Is(err, refused) {
		t.Error(err)
	}
	told("what was not done after all", 0, nil)
	told("how hands are washed", 0, o.SetExtras(t.Context(), VisitExtras{Season: "winter", Extras: []byte("[]")}))
}

// Of every table with colonies, batches or jobs somebody has said whether it bears on what there is to do.
func TestEveryTableIsTold(t *testing.T) {
	silent := map[string]bool{}
	for _, name := range []string{
		"operations", "members", "invitations", "tokens", "log_entries", "changes", "holds",
		"colony_boxes", "count_photos", "batch_components", "batch_lines", "batch_remarks", "balances", "bench_runs", "bench_events", "uptakes", "portions",
		"visit_extras", "spent_pieces", "comparisons", "comparison_colonies", "feeds", "push_keys", "reminders", "vessels",
	} {
		silent[name] = true
	}
	tables, err := all[string](open(t).db.Session(&gorm.Session{}).Table("information_schema.columns").
		Where("table_schema = DATABASE() AND column_name = 'operation_id'").Select("table_name"))
	if err != nil {
		t.Fatal(err)
	}
	for _, name := range tables {
		if bearing[name] == silent[name] {
			t.Errorf("%s: does it bear on what there is to do?", name)
		}
	}
}
