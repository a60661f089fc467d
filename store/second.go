package store

import (
	"context"

	"github.com/samber/lo"
	"gorm.io/gorm"
)

// recoveryCode stands for the second factor, once.
type recoveryCode struct {
	UserID   uint64 `gorm:"primaryKey;autoIncrement:false"`
	CodeHash string `gorm:"primaryKey"`
}

func (recoveryCode) TableName() string { return "recovery_codes" }

// User reads one.
func (p People) User(ctx context.Context, id uint64) (User, error) {
	return first[User](p.db.WithContext(ctx).Where("id = ?", id))
}

// OfferSecond keeps the secret of a second factor that is still to be proven; ErrConflict
// where one is in use.
func (p People) OfferSecond(ctx context.Context, user uint64, secret string) error {
	return orElse(ErrConflict, p.user(ctx, user).Where("NOT second_on").Update("second_secret", secret))
}

// TurnSecondOn asks for the second factor from now on, and keeps hashes of the codes that
// stand for it.
func (p People) TurnSecondOn(ctx context.Context, user uint64, step int64, codes []string) error {
	return transact(ctx, p.db, func(tx *gorm.DB) error {
		on := People{tx}.user(ctx, user).Where("NOT second_on AND second_secret <> ''").Updates(map[string]any{"second_on": true, "second_step": step})
		if err := orElse(ErrConflict, on); err != nil {
			return err
		}
		if err := tx.Where("user_id = ?", user).Delete(&recoveryCode{}).Error; err != nil {
			return err
		}
		rows := lo.Map(codes, func(c string, _ int) recoveryCode { return recoveryCode{user, c} })
		return tx.Create(&rows).Error
	})
}

// TurnSecondOff asks for it no more.
func (p People) TurnSecondOff(ctx context.Context, user uint64) error {
	return transact(ctx, p.db, func(tx *gorm.DB) error {
		off := People{tx}.user(ctx, user).Updates(map[string]any{"second_on": false, "second_secret": "", "second_step": 0})
		if off.Error != nil {
			return off.Error
		}
		return tx.Where("user_id = ?", user).Delete(&recoveryCode{}).Error
	})
}

// UseStep takes a code of a later step than the last; ErrNotFound when it was taken.
func (p People) UseStep(ctx context.Context, user uint64, step int64) error {
	return orElse(ErrNotFound, p.user(ctx, user).Where("second_step < ?", step).Update("second_step", step))
}

// UseRecoveryCode uses one up; ErrNotFound when there is none such.
func (p People) UseRecoveryCode(ctx context.Context, user uint64, hash string) error {
	return orElse(ErrNotFound, p.db.WithContext(ctx).Where("user_id = ? AND code_hash = ?", user, hash).Delete(&recoveryCode{}))
}

// RecoveryCodes is how many are left.
func (p People) RecoveryCodes(ctx context.Context, user uint64) (n int64, err error) {
	err = p.db.WithContext(ctx).Model(&recoveryCode{}).Where("user_id = ?", user).Count(&n).Error
	return n, err
}

// MembershipsOf are the operations that a user is in.
func (p People) MembershipsOf(ctx context.Context, user uint64) ([]Member, error) {
	return all[Member](p.db.WithContext(ctx).Where("user_id = ?", user).Order("joined_at"))
}
