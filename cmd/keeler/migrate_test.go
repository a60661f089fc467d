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
		if text, err := said(migrateCommand{}); err != nil || !strings.Contains(text, "has schema 0") || !strings.Contains(text, "now has schema") {
			t.Errorf("an empty database: %s %v", text, err)
		}
		if text, err := said(migrateCommand{}); err != nil || !strings.Contains(text, "Nothing was to be done") {
			t.Errorf("again: %s %v", text, err)
		}
		back := 0
		text, err := said(migrateCommand{Back: true})
		for ; err == nil && back < 100; back++ {
			text, err = said(migrateCommand{Back: true})
		}
		if back == 0 || !errors.Is(err, store.ErrFirst) {
			t.Errorf("back %d steps: %s %v", back, text, err)
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
}
