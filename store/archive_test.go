package store

import "testing"

// Every table of an operation is in an archive, or left out on purpose.
func TestArchiveHasEveryTable(t *testing.T) {
	s := open(t)
	tables, err := all[string](s.db.Raw("SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'operation_id'"))
	if err != nil {
		t.Fatal(err)
	}
	known := map[string]bool{"sessions": true} // of whom they are, not of what
	for _, name := range leftOut {
		known[name] = true
	}
	for _, a := range archived {
		known[a.name] = true
	}
	for _, name := range tables {
		if !known[name] {
			t.Errorf("%s is in no archive: list it in archived, or in leftOut", name)
		}
	}
}
