package store

import (
	"context"
	"time"

	"gorm.io/gorm/clause"
)

// PushKeys are by which keys this server speaks to push services.
type PushKeys struct {
	ID         uint8
	PublicKey  string
	PrivateKey string
	CreatedAt  time.Time
}

// PushKeys are those that are kept; the fresh ones where there are none yet.
func (s *Store) PushKeys(ctx context.Context, fresh PushKeys) (PushKeys, error) {
	fresh.ID = 1
	if err := s.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&fresh).Error; err != nil {
		return PushKeys{}, err
	}
	return first[PushKeys](s.db.WithContext(ctx).Where("id = 1"))
}

// Reminder is a browser in which a member wants to be reminded.
type Reminder struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	UserID      uint64
	ID          string `gorm:"primaryKey"` // SHA-256 of the endpoint, in hex
	Endpoint    string
	P256dh      string
	Auth        string
	SentOn      *time.Time // the last day that it was reminded of
	CreatedAt   time.Time
}

// mostReminded is in how many browsers of one operation reminders are asked for.
const mostReminded = 1000

// Remind keeps a browser, the newer over the older.
func (o Operation) Remind(ctx context.Context, r Reminder) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoUpdates: clause.AssignmentColumns([]string{"user_id", "endpoint", "p256dh", "auth"})}).Create(&r).Error)
}

// Forget takes a browser out, of a member, or with user 0 of whoever it is.
func (o Operation) Forget(ctx context.Context, user uint64, id string) error {
	rows := o.own(ctx).Where("id = ?", id)
	if user != 0 {
		rows = rows.Where("user_id = ?", user)
	}
	return rows.Delete(&Reminder{}).Error
}

// RemindNowhere forgets all browsers of a user, in all operations.
func (p People) RemindNowhere(ctx context.Context, user uint64) error {
	return p.db.WithContext(ctx).Where("user_id = ?", user).Delete(&Reminder{}).Error
}

// Reminder is one browser of a member.
func (o Operation) Reminder(ctx context.Context, user uint64, id string) (Reminder, error) {
	return first[Reminder](o.own(ctx).Where("user_id = ? AND id = ?", user, id))
}

// Reminders lists the browsers of all operations.
func (s *Store) Reminders(ctx context.Context) ([]Reminder, error) {
	return all[Reminder](s.db.WithContext(ctx).Order("operation_id, user_id").Limit(100 * mostReminded))
}

// Reminded takes a day of a browser for oneself: false where it was taken already. With no day it
// is given back.
func (o Operation) Reminded(ctx context.Context, id string, day *time.Time) (bool, error) {
	rows := o.own(ctx).Model(&Reminder{}).Where("id = ?", id)
	if day != nil {
		rows = rows.Where("sent_on IS NULL OR sent_on < ?", *day)
	}
	done := rows.Update("sent_on", day)
	return done.RowsAffected > 0, done.Error
}
