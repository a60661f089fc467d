package store

import (
	"context"
	"time"
)

// Token lets a script ask in a member's name.
type Token struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	UserID      uint64
	Name        string
	TokenHash   string
	CreatedAt   time.Time
	ExpiresAt   time.Time
}

// Tokens lists a member's tokens, those that have run out, too.
func (o Operation) Tokens(ctx context.Context, user uint64) ([]Token, error) {
	return all[Token](o.own(ctx).Where("user_id = ?", user).Order("created_at DESC, id"))
}

// AddToken keeps a token.
func (o Operation) AddToken(ctx context.Context, t Token) error {
	return taken(o.db.WithContext(ctx).Create(&t).Error)
}

// EndToken takes a member's token back.
func (o Operation) EndToken(ctx context.Context, user uint64, id string) error {
	return orElse(ErrNotFound, o.own(ctx).Where("user_id = ? AND id = ?", user, id).Delete(&Token{}))
}

// ByToken finds a token that has not run out.
func (p People) ByToken(ctx context.Context, hash string, now time.Time) (Token, error) {
	return first[Token](p.db.WithContext(ctx).Where("token_hash = ? AND expires_at > ?", hash, now))
}
