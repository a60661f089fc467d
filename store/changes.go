package store

import (
	"context"
	"time"
)

// Change is that something happened at a job or a batch.
type Change struct {
	ID          uint64
	OperationID uint64
	Topic       string
	Server      string // where it was written
	At          time.Time
}

// teller is the setting under which a query carries which server it comes from.
const teller = "server"

// announce tells the other servers that something happened, with the transaction that it is
// part of: never before they can read it.
func (o Operation) announce(ctx context.Context, topic string) error {
	self, _ := o.db.Get(teller)
	return o.db.WithContext(ctx).Exec("INSERT INTO changes (operation_id, topic, server, at) VALUES (?, ?, ?, UTC_TIMESTAMP(6))", o.id, topic, self).Error
}

// changesKept is how long a change is there to be read.
const changesKept = time.Hour

// ForgetChanges deletes what every server has read long ago.
func (s *Store) ForgetChanges(ctx context.Context) error {
	return s.db.WithContext(ctx).Exec("DELETE FROM changes WHERE at < UTC_TIMESTAMP(6) - INTERVAL ? SECOND", changesKept.Seconds()).Error
}

// Changes are read by one server, of what the others wrote.
type Changes struct {
	store *Store
	below uint64               // every change up to here was told
	told  map[uint64]time.Time // of those above: when
}

// late is how much later than others with higher ids a change may come into sight: longer than
// any transaction goes on.
const late = time.Minute

// Changes begins to read with what happens from now on.
func (s *Store) Changes(ctx context.Context) (*Changes, error) {
	below, err := value[uint64](s.db.WithContext(ctx).Table("changes").Select("COALESCE(MAX(id), 0)"))
	return &Changes{store: s, below: below, told: map[uint64]time.Time{}}, err
}

// Next is what happened at other servers since it was asked last, each once; of the whole of an operation
// at this one, too, for nobody else tells of it. An id is given when a change is
// written and seen when its transaction is over: lower ones that come late are looked for, too.
func (c *Changes) Next(ctx context.Context, now time.Time) ([]Change, error) {
	rows, err := all[Change](c.store.db.WithContext(ctx).Table("changes").Where("id > ?", c.below).Order("id"))
	if err != nil {
		return nil, err
	}
	var out []Change
	for _, r := range rows {
		if _, told := c.told[r.ID]; !told {
			c.told[r.ID] = now
			if r.Server != c.store.self || r.Topic == Whole {
				out = append(out, r)
			}
		}
	}
	for id, at := range c.told {
		if now.Sub(at) > late {
			c.below = max(c.below, id)
		}
	}
	for id := range c.told {
		if id <= c.below {
			delete(c.told, id)
		}
	}
	return out, nil
}
