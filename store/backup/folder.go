package backup

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"time"

	"keeler/store/mariadbd"
)

const (
	day = 24 * time.Hour
	// keptDaily and keptWeekly are how many of each stay.
	keptDaily, keptWeekly = 7, 8

	daily, weekly = "daily-", "weekly-"
	stamp         = "20060102-150405"
	ending        = ".zip"
)

// Folder is where backups are kept by age: one a day for a week, one a week for eight. What
// lies there by its name was read back once into a server of its own.
type Folder struct{ Path string }

// Last is when the newest backup was made; false where there is none.
func (f Folder) Last() (time.Time, bool) { return f.newest(daily) }

// Due reports whether the newest is a day old.
func (f Folder) Due(now time.Time) bool { return f.older(daily, now, day) }

func (f Folder) older(kind string, now time.Time, by time.Duration) bool {
	last, has := f.newest(kind)
	return !has || now.Sub(last) >= by
}

// Make backs a database up, reads that back into a server of its own, and only then puts it
// among the others, of which the oldest go. Where it fails those that are there stay.
func (f Folder) Make(ctx context.Context, dsn string, schema int64, now time.Time) (err error) {
	unchecked := filepath.Join(f.Path, "unchecked"+ending)
	about, err := Write(ctx, dsn, schema, unchecked)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, os.Remove(unchecked)) }()
	if err := Try(ctx, unchecked, about.Schema); err != nil {
		return fmt.Errorf("the backup cannot be read back: %w", err)
	}
	return f.place(unchecked, now)
}

// place puts a backup among the others by its age.
func (f Folder) place(path string, at time.Time) error {
	kinds := []string{daily}
	if f.older(weekly, at, 7*day) {
		kinds = append(kinds, weekly)
	}
	for _, kind := range kinds {
		if err := os.Link(path, f.file(kind, at)); err != nil {
			return err
		}
	}
	return errors.Join(f.prune(daily, keptDaily), f.prune(weekly, keptWeekly))
}

// Try reads a backup into a server of its own, which vanishes.
func Try(ctx context.Context, path string, newest int64) error {
	scratch, err := mariadbd.Hasty(ctx)
	if err != nil {
		return err
	}
	defer scratch.Stop()
	_, err = Restore(ctx, scratch.DSN(), path, newest)
	return err
}

func (f Folder) file(kind string, at time.Time) string {
	return filepath.Join(f.Path, kind+at.UTC().Format(stamp)+ending)
}

// of lists the backups of a kind, the newest first.
func (f Folder) of(kind string) ([]time.Time, error) {
	names, err := filepath.Glob(filepath.Join(f.Path, kind+"*"+ending))
	var out []time.Time
	for _, name := range names {
		if at, err := time.Parse(kind+stamp+ending, filepath.Base(name)); err == nil {
			out = append(out, at)
		}
	}
	slices.SortFunc(out, func(a, b time.Time) int { return b.Compare(a) })
	return out, err
}

func (f Folder) newest(kind string) (time.Time, bool) {
	all, err := f.of(kind)
	if err != nil || len(all) == 0 {
		return time.Time{}, false
	}
	return all[0], true
}

func (f Folder) prune(kind string, kept int) error {
	all, err := f.of(kind)
	for _, at := range all[min(kept, len(all)):] {
		err = errors.Join(err, os.Remove(f.file(kind, at)))
	}
	return err
}
