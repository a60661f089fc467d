package store

import (
	"context"
	"crypto/rand"
	"errors"
	"time"

	"keeler/guard"
)

// beatless is how long a lease must have been without a beat to be anybody's: nobody's clock is
// compared with another's.
var beatless = 20 * time.Second

const (
	beatEvery = 2 * time.Second
	// leaseWithin is how long it is waited for.
	leaseWithin = 90 * time.Second
	askLease    = 100 * time.Millisecond
)

// errLeased is returned for what another server holds.
var errLeased = errors.New("another Keeler is changing the schema of this database")

// lease holds something for one server of a database alone, until it is given back. It is a row
// that is written, for what is locked at one node of a cluster is not at the others.
func (s *Store) lease(ctx context.Context, name string) (giveBack func() error, err error) {
	db, self := s.db.WithContext(ctx), rand.Text()
	err = db.Exec("CREATE TABLE IF NOT EXISTS leases (name VARCHAR(40) NOT NULL PRIMARY KEY, holder CHAR(26) NOT NULL, beats BIGINT UNSIGNED NOT NULL) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin").Error
	if err == nil {
		err = db.Exec("INSERT IGNORE INTO leases (name, holder, beats) VALUES (?, '', 0)", name).Error
	}
	if err != nil {
		return nil, err
	}
	type state struct {
		Holder string
		Beats  uint64
	}
	was, since, begun := state{}, time.Now(), time.Now()
	for {
		is, err := value[state](db.Table("leases").Select("holder, beats").Where("name = ?", name))
		if err != nil {
			return nil, err
		}
		if is != was {
			was, since = is, time.Now()
		}
		if is.Holder == "" || time.Since(since) > beatless {
			done := db.Exec("UPDATE leases SET holder = ?, beats = beats + 1 WHERE name = ? AND holder = ? AND beats = ?", self, name, is.Holder, is.Beats)
			if done.Error != nil {
				return nil, done.Error
			}
			if done.RowsAffected > 0 {
				return s.beating(ctx, name, self), nil
			}
		}
		if time.Since(begun) > leaseWithin {
			return nil, errLeased
		}
		select {
		case <-ctx.Done():
			return nil, ctx.Err()
		case <-time.After(askLease):
		}
	}
}

// beating keeps a lease until it is given back.
func (s *Store) beating(ctx context.Context, name, self string) (giveBack func() error) {
	ctx, end := context.WithCancel(context.WithoutCancel(ctx))
	ended := make(chan struct{})
	set := func(to string) error {
		return s.db.WithContext(ctx).Exec("UPDATE leases SET holder = ?, beats = beats + 1 WHERE name = ? AND holder = ?", to, name, self).Error
	}
	stop := make(chan struct{})
	go func() {
		defer close(ended)
		tick := time.NewTicker(beatEvery)
		defer tick.Stop()
		for {
			select {
			case <-stop:
				return
			case <-tick.C:
				_ = guard.Try(func() error { return set(self) }) // the next may come through
			}
		}
	}()
	return func() error {
		close(stop)
		<-ended
		defer end()
		return set("")
	}
}
