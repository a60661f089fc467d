package store

import (
	"errors"

	"github.com/google/uuid"
	"gorm.io/gorm"
)

// Whole is the topic of everything of an operation that bears on what there is to do.
var Whole = uuid.Nil.String()

// bearing are the tables that do.
var bearing = map[string]bool{
	"yards": true, "colonies": true, "colony_events": true, "inspections": true, "mite_counts": true, "thresholds": true,
	"label_cards": true, "jobs": true, "job_colonies": true, "job_controls": true, "batches": true, "lots": true, "stock_entries": true, "applications": true,
	"followup_skips": true, "shelf_skips": true, "fortnights": true, "expected_days": true,
}

// spoken is the setting under which a transaction remembers that it has told of the whole.
const spoken = "spoken"

// tell announces what an operation writes: nobody who writes has to think of it. A transaction
// does so once, as a part of it; so nobody asks before it can be read.
func tell(q *gorm.DB) {
	id, known := q.Get(owner)
	if !known || q.Error != nil || q.RowsAffected == 0 || !bearing[q.Statement.Table] {
		return
	}
	if said, within := q.Get(spoken); within {
		if *said.(*bool) {
			return
		}
		*said.(*bool) = true
	}
	o := Operation{q.Session(&gorm.Session{NewDB: true, Context: q.Statement.Context}), id.(uint64)}
	if self, has := q.Get(teller); has {
		o.db = o.db.Set(teller, self)
	}
	_ = q.AddError(o.announce(q.Statement.Context, Whole))
}

// telling has every write pass by tell.
func telling(db *gorm.DB) error {
	call := db.Callback()
	return errors.Join(
		call.Create().After("gorm:create").Register("tell", tell),
		call.Update().After("gorm:update").Register("tell", tell),
		call.Delete().After("gorm:delete").Register("tell", tell),
	)
}
