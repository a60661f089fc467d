package store

import (
	"context"
	"errors"
	"time"

	"github.com/samber/lo"
	"gorm.io/gorm"
)

// Event is something that happened to a colony as a whole.
type Event struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Seq         uint64 `gorm:"->"`
	ColonyID    string
	Kind        string
	OtherID     *string
	HappenedOn  time.Time
	Detail      string
	UserID      uint64
	CreatedAt   time.Time
}

func (Event) TableName() string { return "colony_events" }

// Among are some colonies, or all, and since when.
type Among struct {
	All      bool
	Colonies []string
	Since    time.Time
}

// in narrows a query to them. Of all of them nothing is said: the planner takes longer over a
// list of hundreds than their rows do.
func (a Among) in(q *gorm.DB, column string) *gorm.DB {
	if a.All {
		return q
	}
	return q.Where(column+" IN ?", a.Colonies)
}

// from is a table read by the index that suits: one by time, or one by colony.
func (a Among) from(table, byTime, byColony string) string {
	return table + " FORCE INDEX (" + lo.Ternary(a.All, byTime, byColony) + ")"
}

// Events lists what happened to some colonies, the oldest first.
func (o Operation) Events(ctx context.Context, a Among) ([]Event, error) {
	return all[Event](a.in(o.own(ctx), "colony_id").Where("happened_on >= ?", a.Since).Order("happened_on, seq"))
}

// HappenedOnce writes what happened to a colony; the same on the same day is one.
func (o Operation) HappenedOnce(ctx context.Context, e Event) error {
	return taken(o.Within(ctx, func(o Operation) error {
		if err := o.hold(ctx, "colonies", e.ColonyID); err != nil {
			return err
		}
		_, err := first[Event](o.own(ctx).Where("colony_id = ? AND kind = ? AND happened_on = ?", e.ColonyID, e.Kind, e.HappenedOn))
		if !errors.Is(err, ErrNotFound) {
			return err
		}
		return o.db.Create(&e).Error
	}))
}

func (o Operation) happened(events ...Event) error {
	if len(events) == 0 {
		return nil
	}
	return o.db.Create(&events).Error
}
