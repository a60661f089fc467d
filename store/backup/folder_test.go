package backup

import (
	"path/filepath"
	"testing"
	"time"
)

// Twenty days of backups leave seven daily and three weekly ones; one is due a day after the
// last. One that fails leaves them, and no half of its own.
func TestFolderKeepsByAge(t *testing.T) {
	s, _ := filled(t)
	f := Folder{filepath.Join(t.TempDir(), "backups")}
	if _, has := f.Last(); has || !f.Due(time.Now()) {
		t.Error("an empty folder has a backup")
	}
	begun := time.Date(2026, 11, 1, 3, 0, 0, 0, time.UTC)
	at := func(n int) time.Time { return begun.Add(time.Duration(n) * day) }
	for n := range 20 {
		if n > 2 { // reading one back takes a second: three are enough of it
			f.pretend(t, at(n))
			continue
		}
		if err := f.Make(t.Context(), s.DSN(), 8, at(n)); err != nil {
			t.Fatal(err)
		}
	}
	dailies, _ := f.of(daily)
	weeklies, _ := f.of(weekly)
	if len(dailies) != keptDaily || !dailies[6].Equal(at(13)) || len(weeklies) != 3 || !weeklies[2].Equal(begun) {
		t.Errorf("daily %v, weekly %v", dailies, weeklies)
	}
	if last, _ := f.Last(); !last.Equal(at(19)) || f.Due(at(19).Add(day-time.Minute)) || !f.Due(at(20)) {
		t.Errorf("the last is of %v", last)
	}
	if err := f.Make(t.Context(), s.DSN()+"_unknown", 8, at(20)); err == nil {
		t.Error("a database that is not there is backed up")
	}
	if all, _ := filepath.Glob(filepath.Join(f.Path, "*")); len(all) != keptDaily+3 {
		t.Errorf("%v", all)
	}
}

// pretend puts a backup of another day in the folder as Make does, without reading it back.
func (f Folder) pretend(t *testing.T, at time.Time) {
	t.Helper()
	last, _ := f.Last()
	if err := f.place(f.file(daily, last), at); err != nil {
		t.Fatal(err)
	}
}
