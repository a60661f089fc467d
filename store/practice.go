package store

import (
	"context"
	"time"

	"gorm.io/gorm"
)

// Practice is what makes an operation a season of practice.
type Practice struct {
	PracticeSeed  *uint32 // nil: the operation is real
	PracticeLevel int
	PracticeFrom  *time.Time // by its own clock
	PracticeDays  int        // by which that was brought forward
	PracticeHome  *uint64    // the operation that it was begun from
}

// BeginPractice makes an operation for a season of practice, which its only member owns.
func (p People) BeginPractice(ctx context.Context, name, zone string, of Practice, u User, now time.Time) (operation uint64, err error) {
	err = transact(ctx, p.db, func(tx *gorm.DB) error {
		row := struct {
			ID             uint64
			Name, TimeZone string
			CreatedAt      time.Time
			Practice       `gorm:"embedded"`
		}{Name: name, TimeZone: zone, CreatedAt: now, Practice: of}
		if err := tx.Table("operations").Create(&row).Error; err != nil {
			return err
		}
		operation = row.ID
		u.CreatedAt = now
		return enrol(tx, operation, "owner", &u)
	})
	return operation, err
}

// Practices are the seasons of practice that a person owns.
func (p People) Practices(ctx context.Context, user uint64) ([]uint64, error) {
	return all[uint64](p.db.WithContext(ctx).Table("members m").Select("o.id").Joins("JOIN operations o ON o.id = m.operation_id").
		Where("m.user_id = ? AND m.role = 'owner' AND o.practice_seed IS NOT NULL", user))
}

// MovePractice brings the clock of a season of practice forward, up to a last day counted from its first; ErrNotFound
// where it would go beyond it, or the operation is real.
func (o Operation) MovePractice(ctx context.Context, days, last int) error {
	return orElse(ErrNotFound, o.db.WithContext(ctx).Table("operations").Where("id = ? AND practice_seed IS NOT NULL AND practice_days + ? <= ?", o.id, days, last).
		Update("practice_days", gorm.Expr("practice_days + ?", days)))
}
