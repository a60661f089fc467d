package store

import (
	"context"
	"time"

	"gorm.io/gorm"
)

// Try is a try to sign in.
type Try struct {
	ID             uint64
	Login, Address string
	At             time.Time
}

func (Try) TableName() string { return "sign_in_tries" }

// Tries are how many there were in a while, each with those before it only: of many at
// once each has its own place.
type Tries struct{ ByBoth, ByAddress int64 }

// Try counts a try, before it is looked at, and tells which it is of those since a time
// for its name from its address, and from there for any name. Those before are forgotten.
func (p People) Try(ctx context.Context, t *Try, since time.Time) (n Tries, err error) {
	db := p.db.WithContext(ctx)
	const swept = 200
	if err := db.Where("at <= ?", since).Limit(swept).Delete(&Try{}).Error; err != nil {
		return n, err
	}
	if err := db.Create(t).Error; err != nil {
		return n, err
	}
	of := func() *gorm.DB {
		return db.Model(&Try{}).Where("address = ? AND at > ? AND id <= ?", t.Address, since, t.ID)
	}
	if err := of().Count(&n.ByAddress).Error; err != nil {
		return n, err
	}
	err = of().Where("login = ?", t.Login).Count(&n.ByBoth).Error
	return n, err
}

// Untry forgets a try that was not looked at.
func (p People) Untry(ctx context.Context, t Try) error {
	return p.db.WithContext(ctx).Where("id = ?", t.ID).Delete(&Try{}).Error
}

// Forgive forgets all tries for a name from an address: it was known after all.
func (p People) Forgive(ctx context.Context, t Try) error {
	return p.db.WithContext(ctx).Where("login = ? AND address = ?", t.Login, t.Address).Delete(&Try{}).Error
}

// PasswordLink lets a user set a new password, once.
type PasswordLink struct {
	TokenHash string `gorm:"primaryKey"`
	UserID    uint64
	ExpiresAt time.Time
	UsedAt    *time.Time
	User      User
}

// AddPasswordLink keeps a link; those that the user had before are void.
func (p People) AddPasswordLink(ctx context.Context, l PasswordLink) error {
	return transact(ctx, p.db, func(tx *gorm.DB) error {
		if err := tx.Where("user_id = ?", l.UserID).Delete(&PasswordLink{}).Error; err != nil {
			return err
		}
		return tx.Omit("User").Create(&l).Error
	})
}

// PasswordLink finds a link that can still be used.
func (p People) PasswordLink(ctx context.Context, tokenHash string, now time.Time) (PasswordLink, error) {
	return first[PasswordLink](usable(p.db.WithContext(ctx), tokenHash, now).Joins("User"))
}

func usable(q *gorm.DB, tokenHash string, now time.Time) *gorm.DB {
	return q.Where("token_hash = ? AND used_at IS NULL AND expires_at > ?", tokenHash, now)
}

// UsePasswordLink gives the user of a link the password of this hash, and signs him out
// everywhere. A link that was used meanwhile is ErrNotFound.
func (p People) UsePasswordLink(ctx context.Context, tokenHash, password string, now time.Time) error {
	return transact(ctx, p.db, func(tx *gorm.DB) error {
		if err := orElse(ErrNotFound, usable(tx.Model(&PasswordLink{}), tokenHash, now).Update("used_at", now)); err != nil {
			return err
		}
		link, err := first[PasswordLink](tx.Where("token_hash = ?", tokenHash))
		if err != nil {
			return err
		}
		_, err = People{tx}.SetPassword(ctx, link.UserID, password)
		return err
	})
}
