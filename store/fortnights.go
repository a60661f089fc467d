package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm/clause"
)

// Fortnight is when all yards of an operation are treated.
type Fortnight struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	Begins      time.Time
	UserID      uint64
	CreatedAt   time.Time
}

// Fortnight is the one that is set; nil: none.
func (o Operation) Fortnight(ctx context.Context) (*Fortnight, error) {
	f, err := first[Fortnight](o.own(ctx))
	if errors.Is(err, ErrNotFound) {
		return nil, nil
	}
	return &f, err
}

// SetFortnight sets it, in the place of the one before.
func (o Operation) SetFortnight(ctx context.Context, f Fortnight) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&f).Error)
}

// ClearFortnight takes it back.
func (o Operation) ClearFortnight(ctx context.Context) error {
	return o.own(ctx).Delete(&Fortnight{}).Error
}
