package store

import (
	"context"
	"time"

	"gorm.io/gorm/clause"
)

// Treatment is something given to a colony.
type Treatment struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	ColonyID    string
	Method      string
	What        string
	GivenOn     time.Time
	OutOn       *time.Time
	DaysLow     int // in the hive by what it was given under; 0: not known
	DaysHigh    int
	CarriedFrom *string
	UserID      uint64
	CreatedAt   time.Time
}

// Treated writes a treatment; the same id a second time is dropped.
func (o Operation) Treated(ctx context.Context, rows []Treatment) error {
	for i := range rows {
		rows[i].OperationID = o.id
	}
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&rows).Error)
}

// TakeOut ends a treatment that is still in the hive.
func (o Operation) TakeOut(ctx context.Context, colony, id string, on time.Time) error {
	done := o.own(ctx).Model(&Treatment{}).Where("id = ? AND colony_id = ? AND out_on IS NULL", id, colony).Update("out_on", on)
	if done.Error == nil && done.RowsAffected == 0 {
		return ErrNotFound
	}
	return done.Error
}

// Treatments lists what was given, the newest first, of one colony or with an
// empty id of all since a day.
func (o Operation) Treatments(ctx context.Context, colony string, since time.Time) ([]Treatment, error) {
	q := o.own(ctx).Where("(given_on >= ? OR out_on IS NULL)", since)
	if colony != "" {
		q = q.Where("colony_id = ?", colony)
	}
	var out []Treatment
	return out, q.Order("given_on DESC, created_at DESC").Find(&out).Error
}

// carry copies the treatments of one colony to another that its bees go into; with a
// day, what was still in the hive is out of theirs from then on.
func (o Operation) carry(from, to string, until *time.Time) error {
	return o.db.Exec(`INSERT INTO treatments (operation_id, id, colony_id, method, what, given_on, out_on, days_low, days_high, carried_from, user_id, created_at)
		SELECT operation_id, UUID(), ?, method, what, given_on, COALESCE(out_on, ?), days_low, days_high, COALESCE(carried_from, colony_id), user_id, created_at
		FROM treatments WHERE operation_id = ? AND colony_id = ?`, to, until, o.id, from).Error
}
