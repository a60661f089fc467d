package main

import (
	"bytes"
	"errors"
	"strings"
	"testing"

	"keeler/store"
)

// keeler migrate says what it finds and does, does it once, and takes nothing back that
// was there before.
func TestMigrateTellsWhatItDoes(t *testing.T) {
	s := settings{Data: t.TempDir()}
	err := withStore(t.Context(), s, "own", func(d database) error {
		said := func(m migrateCommand) (string, error) {
			var out bytes.Buffer
			err := m.do(t.Context(), s, d, &out)
			return out.String(), err
		}
		if text, err := said(migrateCommand{}); err != nil || !strings.Contains(text, "has schema 0") || !strings.Contains(text, "now has schema 2") {
			t.Errorf("an empty database: %s %v", text, err)
		}
		if text, err := said(migrateCommand{}); err != nil || !strings.Contains(text, "Nothing was to be done") {
			t.Errorf("again: %s %v", text, err)
		}
		if text, err := said(migrateCommand{Back: true}); err != nil {
			t.Errorf("back: %s %v", text, err)
		}
		if text, err := said(migrateCommand{Back: true}); !errors.Is(err, store.ErrFirst) {
			t.Errorf("back from the first: %s %v", text, err)
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
}
