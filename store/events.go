package store

import (
	"context"
	"errors"
	"time"
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

// EventsSince lists what happened to any colony since a day, the oldest first.
func (o Operation) EventsSince(ctx context.Context, since time.Time) ([]Event, error) {
	return all[Event](o.own(ctx).Where("happened_on >= ?", since).Order("happened_on, seq"))
}

// Among are some colonies, and since when.
type Among struct {
	Colonies []string
	Since    time.Time
}

// EventsAmong is EventsSince for some colonies.
func (o Operation) EventsAmong(ctx context.Context, a Among) ([]Event, error) {
	return all[Event](o.own(ctx).Where("colony_id IN ? AND happened_on >= ?", a.Colonies, a.Since).Order("happened_on, seq"))
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
