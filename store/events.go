package store

import (
	"context"
	"time"
)

// Event is something that happened to a colony as a whole.
type Event struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	ColonyID    string
	Kind        string
	OtherID     *string
	HappenedOn  time.Time
	Detail      string
	UserID      uint64
	CreatedAt   time.Time
}

func (Event) TableName() string { return "colony_events" }

// Events lists what happened to a colony, the newest first.
func (o Operation) Events(ctx context.Context, colony string) ([]Event, error) {
	var out []Event
	return out, o.own(ctx).Where("colony_id = ?", colony).Order("happened_on DESC, created_at DESC").Find(&out).Error
}

func (o Operation) happened(events ...Event) error {
	for i := range events {
		events[i].OperationID = o.id
	}
	return o.db.Create(&events).Error
}
