package store

import (
	"time"

	"github.com/alexedwards/scs/mysqlstore"
	"github.com/alexedwards/scs/v2"
)

// Sessions keeps who is signed in; what has run out is swept away now and then.
func (s *Store) Sessions() (scs.Store, error) {
	if s.sessions == nil {
		s.sessions = mysqlstore.NewWithCleanupInterval(s.pool, time.Hour)
	}
	return s.sessions, nil
}
