package store

import (
	"context"
	"errors"
	"fmt"
	"sync"
	"testing"

	"github.com/go-sql-driver/mysql"
	"github.com/google/uuid"
)

// What deadlocks is done again, within a bound, and told as it was when that is reached;
// what fails otherwise is not.
func TestRetriedWithABound(t *testing.T) {
	deadlock, other := &mysql.MySQLError{Number: 1213}, errors.New("no")
	for what, c := range map[string]struct {
		fails int // of these times, and then not
		with  error
		tries int
		want  error
	}{
		"no fault":         {0, nil, 1, nil},
		"a deadlock twice": {2, fmt.Errorf("write: %w", deadlock), 3, nil},
		"always":           {1000, deadlock, mostTries, deadlock},
		"another fault":    {1000, other, 1, other},
		"a lock not had":   {1000, &mysql.MySQLError{Number: 1205}, 1, nil},
	} {
		tries := 0
		err := retried(t.Context(), func() error {
			if tries++; tries > c.fails {
				return nil
			}
			return c.with
		})
		if tries != c.tries || c.want != nil && !errors.Is(err, c.want) || (err == nil) != (c.fails < c.tries) {
			t.Errorf("%s: %d tries, %v", what, tries, err)
		}
	}
	gone, leave := context.WithCancel(t.Context())
	tries := 0
	err := retried(gone, func() error { tries++; leave(); return deadlock })
	if tries != 1 || !errors.Is(err, context.Canceled) {
		t.Errorf("who has left waits for %d tries: %v", tries, err)
	}
}

// A transaction that has read before it holds an account does not write on from what the
// account was by then.
func TestAccountAfterReading(t *testing.T) {
	o := operation(t, open(t))
	_, _, jar := stand(t, o, 1)
	var all sync.WaitGroup
	const hands, each = 8, 5
	failed := make(chan error, hands*each)
	for range hands {
		all.Go(func() {
			for range each {
				err := o.Within(t.Context(), func(o Operation) error {
					if _, err := o.Batch(t.Context(), jar); err != nil {
						return err
					}
					_, err := o.Enter(t.Context(), Account{Batch: jar}, uuid.NewString(), entry(1))
					return err
				})
				if err != nil {
					failed <- err
				}
			}
		})
	}
	all.Wait()
	close(failed)
	for err := range failed {
		t.Error(err)
	}
	rows, err := o.Entries(t.Context(), Account{Batch: jar})
	if err != nil || len(rows) != hands*each {
		t.Fatalf("%d lines: %v", len(rows), err)
	}
	for i, r := range rows {
		if r.LeftBefore != float64(i) {
			t.Errorf("line %d goes on from %v", i, r.LeftBefore)
		}
	}
}
