package store

import (
	"context"
	"time"

	"gorm.io/gorm/clause"
)

// FollowupSkip is a reason why something that a keeper comes back for is not done.
type FollowupSkip struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ColonyID    string `gorm:"primaryKey"`
	What        string `gorm:"primaryKey"`
	Reason      string
	UserID      uint64
	CreatedAt   time.Time
}

// Skips lists those of some colonies.
func (o Operation) Skips(ctx context.Context, a Among) ([]FollowupSkip, error) {
	return all[FollowupSkip](a.in(o.own(ctx), "colony_id").Where("created_at >= ?", a.Since))
}

// Skip writes reasons, the newer over the older.
func (o Operation) Skip(ctx context.Context, rows []FollowupSkip) error {
	return taken(o.Within(ctx, func(o Operation) error {
		return o.db.Clauses(clause.OnConflict{UpdateAll: true}).CreateInBatches(&rows, bulk).Error
	}))
}

// Unskip takes reasons back.
func (o Operation) Unskip(ctx context.Context, what string, colonies []string) error {
	return o.own(ctx).Where("what = ? AND colony_id IN ?", what, colonies).Delete(&FollowupSkip{}).Error
}
