package store

import (
	"context"
	"time"

	"gorm.io/gorm/clause"
)

// ExpectedDay is the weather that a keeper expects on a day at a yard.
type ExpectedDay struct {
	OperationID uint64    `gorm:"primaryKey;autoIncrement:false"`
	YardID      string    `gorm:"primaryKey"`
	Day         time.Time `gorm:"primaryKey"`
	LowC        float64
	HighC       float64
	WindMS      float64 `gorm:"column:wind_ms"`
	RainMM      float64 `gorm:"column:rain_mm"`
	UserID      uint64
	CreatedAt   time.Time
}

// Expect writes what is expected, the newer over the older.
func (o Operation) Expect(ctx context.Context, days []ExpectedDay) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&days).Error)
}

// Expected is what is expected from a day on.
func (o Operation) Expected(ctx context.Context, from time.Time) ([]ExpectedDay, error) {
	return all[ExpectedDay](o.own(ctx).Where("day >= ?", from))
}
