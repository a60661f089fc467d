package store

import (
	"context"
	"errors"
	"time"

	"github.com/alexedwards/scs/v2"
	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Session is what is kept of who is signed in, by a hash of the token that he holds.
type Session struct {
	Token   string `gorm:"primaryKey"`
	ID      string
	UserID  *uint64
	Device  string
	Data    []byte
	BegunAt time.Time
	SeenAt  time.Time
	Expiry  time.Time
}

// What a session's data are called that can be told of it; they are put there when it is
// begun.
const (
	SessionID     = "id"
	SessionUser   = "user" // int64
	SessionDevice = "device"
)

// Sessions keeps who is signed in, for scs; what has run out is swept away now and then.
type Sessions struct{ db *gorm.DB }

// Sessions opens them.
func (s *Store) Sessions() Sessions { return Sessions{s.db} }

// seenEvery is how exactly it is known when a session was last used.
const seenEvery = 5 * time.Minute

// FindCtx reads a session that has not run out.
func (s Sessions) FindCtx(ctx context.Context, token string) ([]byte, bool, error) {
	ctx, cancel := context.WithTimeout(ctx, answerWithin)
	defer cancel()
	now := time.Now().UTC()
	row, err := first[Session](s.db.WithContext(ctx).Where("token = ? AND expiry > ?", token, now))
	if errors.Is(err, ErrNotFound) {
		return nil, false, nil
	}
	if err == nil && now.Sub(row.SeenAt) > seenEvery {
		err = s.db.WithContext(ctx).Model(&Session{}).Where("token = ?", token).Update("seen_at", now).Error
	}
	return row.Data, err == nil, err
}

// CommitCtx writes a session, with what its data tell of it.
func (s Sessions) CommitCtx(ctx context.Context, token string, data []byte, expiry time.Time) error {
	const swept = 100
	ctx, cancel := context.WithTimeout(ctx, answerWithin)
	defer cancel()
	row, err := sessionOf(data)
	if err != nil {
		return err
	}
	now := time.Now().UTC()
	row.Token, row.BegunAt, row.SeenAt, row.Expiry = token, now, now, expiry.UTC()
	db := s.db.WithContext(ctx)
	if err := db.Where("expiry < ?", now).Limit(swept).Delete(&Session{}).Error; err != nil {
		return err
	}
	return db.Clauses(clause.OnConflict{DoUpdates: clause.AssignmentColumns([]string{"data", "expiry"})}).Create(&row).Error
}

// sessionOf reads what a session's data tell of it.
func sessionOf(data []byte) (Session, error) {
	_, holds, err := scs.GobCodec{}.Decode(data)
	if err != nil {
		return Session{}, err
	}
	row := Session{Data: data}
	row.ID, _ = holds[SessionID].(string)
	row.Device, _ = holds[SessionDevice].(string)
	user, is := holds[SessionUser].(int64)
	if row.ID == "" || !is || user <= 0 {
		return Session{}, errors.New("a session of nobody is not kept")
	}
	id := uint64(user)
	row.UserID = &id
	return row, nil
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

// SessionsOf lists where a user is signed in, the newest first.
func (p People) SessionsOf(ctx context.Context, user uint64) ([]Session, error) {
	return all[Session](p.db.WithContext(ctx).Omit("data").Where("user_id = ? AND expiry > ?", user, time.Now().UTC()).Order("begun_at DESC, id"))
}

// EndSession signs a user out in one place.
func (p People) EndSession(ctx context.Context, user uint64, id string) error {
	return orElse(ErrNotFound, p.db.WithContext(ctx).Where("user_id = ? AND id = ?", user, id).Delete(&Session{}))
}
