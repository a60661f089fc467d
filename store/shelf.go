package store

import (
	"context"
	"time"

	"gorm.io/gorm/clause"
)

// ShelfSkip is a reason why a batch or lot is not seen to.
type ShelfSkip struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	What        string `gorm:"primaryKey"`
	Reason      string
	UserID      uint64
	CreatedAt   time.Time
}

// ShelfSkips are the reasons by what they are about.
func (o Operation) ShelfSkips(ctx context.Context) (map[string]string, error) {
	return byID[string](o.own(ctx).Model(&ShelfSkip{}).Select("what AS id", "reason AS value"))
}

// SkipShelf writes a reason, the newer over the older.
func (o Operation) SkipShelf(ctx context.Context, s ShelfSkip) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&s).Error)
}

// UnskipShelf takes a reason back.
func (o Operation) UnskipShelf(ctx context.Context, what string) error {
	return o.own(ctx).Where("what = ?", what).Delete(&ShelfSkip{}).Error
}
