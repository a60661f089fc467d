package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm/clause"
)

// Feed is the secret address by which a member's calendar is read elsewhere.
type Feed struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	UserID      uint64 `gorm:"primaryKey;autoIncrement:false"`
	TokenHash   string
	CreatedAt   time.Time
}

// Feed is a member's; nil: none was made.
func (o Operation) Feed(ctx context.Context, user uint64) (*Feed, error) {
	f, err := first[Feed](o.own(ctx).Where("user_id = ?", user))
	if errors.Is(err, ErrNotFound) {
		return nil, nil
	}
	return &f, err
}

// SetFeed keeps a member's feed; the address before it leads nowhere any more.
func (o Operation) SetFeed(ctx context.Context, f Feed) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&f).Error)
}

// EndFeed revokes a member's address.
func (o Operation) EndFeed(ctx context.Context, user uint64) error {
	return o.own(ctx).Where("user_id = ?", user).Delete(&Feed{}).Error
}

// ByFeed finds whose calendar an address is.
func (p People) ByFeed(ctx context.Context, hash string) (Feed, error) {
	return first[Feed](p.db.WithContext(ctx).Where("token_hash = ?", hash))
}
