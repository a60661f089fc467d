package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Session is what is kept of who is signed in, by a hash of the token that he holds.
type Session struct {
	Token  string `gorm:"primaryKey"`
	Data   []byte
	Expiry time.Time
}

// Sessions keeps who is signed in, for scs; what has run out is swept away now and then.
type Sessions struct{ db *gorm.DB }

// Sessions opens them.
func (s *Store) Sessions() Sessions { return Sessions{s.db} }

// FindCtx reads a session that has not run out.
func (s Sessions) FindCtx(ctx context.Context, token string) ([]byte, bool, error) {
	ctx, cancel := context.WithTimeout(ctx, answerWithin)
	defer cancel()
	row, err := first[Session](s.db.WithContext(ctx).Where("token = ? AND expiry > ?", token, time.Now().UTC()))
	if errors.Is(err, ErrNotFound) {
		return nil, false, nil
	}
	return row.Data, err == nil, err
}

// CommitCtx writes a session.
func (s Sessions) CommitCtx(ctx context.Context, token string, data []byte, expiry time.Time) error {
	const swept = 100
	ctx, cancel := context.WithTimeout(ctx, answerWithin)
	defer cancel()
	if err := s.db.WithContext(ctx).Where("expiry < ?", time.Now().UTC()).Limit(swept).Delete(&Session{}).Error; err != nil {
		return err
	}
	return s.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&Session{token, data, expiry.UTC()}).Error
}

// DeleteCtx ends a session.
func (s Sessions) DeleteCtx(ctx context.Context, token string) error {
	ctx, cancel := context.WithTimeout(ctx, answerWithin)
	defer cancel()
	return s.db.WithContext(ctx).Where("token = ?", token).Delete(&Session{}).Error
}

// Find is FindCtx for who has no context, as scs asks for.
func (s Sessions) Find(token string) ([]byte, bool, error) {
	return s.FindCtx(context.Background(), token)
}

// Commit is CommitCtx, likewise.
func (s Sessions) Commit(token string, data []byte, expiry time.Time) error {
	return s.CommitCtx(context.Background(), token, data, expiry)
}

// Delete is DeleteCtx, likewise.
func (s Sessions) Delete(token string) error { return s.DeleteCtx(context.Background(), token) }
