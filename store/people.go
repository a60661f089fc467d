package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// User is a person who can sign in; of no operation until a member of one.
type User struct {
	ID           uint64
	Login        string
	PasswordHash string
	Epoch        int
	SecondSecret string
	SecondOn     bool
	SecondStep   int64
	CreatedAt    time.Time
	Form         `gorm:"embedded"`
}

// Member is a person in an operation.
type Member struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	UserID      uint64 `gorm:"primaryKey;autoIncrement:false"`
	Role        string
	JoinedAt    time.Time
	User        User
}

// Invitation lets one person join an operation, once.
type Invitation struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	TokenHash   string
	Role        string
	Note        string
	CreatedAt   time.Time
	ExpiresAt   time.Time
	UsedAt      *time.Time
}

// ErrTaken is returned when a name that must be the only one is in use.
var ErrTaken = errors.New("this name is in use")

// People is the store as signing in needs it, before an operation is known.
type People struct{ db *gorm.DB }

// People opens what belongs to no operation.
func (s *Store) People() People { return People{s.db} }

// Any reports whether anybody can sign in.
func (p People) Any(ctx context.Context) (bool, error) {
	var n int64
	err := p.db.WithContext(ctx).Model(&User{}).Limit(1).Count(&n).Error
	return n > 0, err
}

// ByLogin finds a user by the name he signs in with.
func (p People) ByLogin(ctx context.Context, login string) (User, error) {
	return first[User](p.db.WithContext(ctx).Where("login = ?", login))
}

// Member finds a person's place in an operation; with operation 0, in the first
// that the person joined.
func (p People) Member(ctx context.Context, user, operation uint64) (Member, error) {
	q := p.db.WithContext(ctx).Joins("User").Where("members.user_id = ?", user)
	if operation != 0 {
		q = q.Where("members.operation_id = ?", operation)
	}
	return first[Member](q.Order("members.joined_at"))
}

// Membership is a person's part in an operation.
type Membership struct {
	ID         uint64 // of the operation
	Name, Role string
}

// Memberships lists the operations that a person belongs to, the first joined first.
func (p People) Memberships(ctx context.Context, user uint64) ([]Membership, error) {
	var out []Membership
	err := p.db.WithContext(ctx).Table("members m").Select("o.id, o.name, m.role").Joins("JOIN operations o ON o.id = m.operation_id").
		Where("m.user_id = ?", user).Order("m.joined_at, o.id").Scan(&out).Error
	return out, err
}

// ClaimCode is what who makes the first owner must know; a fresh one is kept where there
// is none.
func (p People) ClaimCode(ctx context.Context, fresh string) (string, error) {
	q := p.db.WithContext(ctx).Table("operations").Where("id = ?", FirstOperation)
	if err := q.Session(&gorm.Session{}).Where("claim_code = ''").Update("claim_code", fresh).Error; err != nil {
		return "", err
	}
	return value[string](q.Select("claim_code"))
}

// Claim makes a user the owner of an operation that has nobody yet, named so, in a time
// zone.
func (p People) Claim(ctx context.Context, operation uint64, name, zone string, u *User) error {
	return transact(ctx, p.db, func(tx *gorm.DB) error {
		// The operation's row serialises two who come at once.
		if err := tx.Exec("UPDATE operations SET name = ?, time_zone = ?, claim_code = '' WHERE id = ?", name, zone, operation).Error; err != nil {
			return err
		}
		var n int64
		if err := tx.Model(&Member{}).Where("operation_id = ?", operation).Count(&n).Error; err != nil {
			return err
		}
		if n > 0 {
			return ErrTaken
		}
		return enrol(tx, operation, "owner", u)
	})
}

func enrol(tx *gorm.DB, operation uint64, role string, u *User) error {
	if u.ID == 0 {
		if err := taken(tx.Create(u).Error); err != nil {
			return err
		}
	}
	m := Member{OperationID: operation, UserID: u.ID, Role: role, JoinedAt: u.CreatedAt}
	return tx.Omit(clause.Associations).Clauses(clause.OnConflict{DoNothing: true}).Create(&m).Error
}

// Invited finds an invitation that can still be used.
func (p People) Invited(ctx context.Context, tokenHash string, now time.Time) (Invitation, error) {
	return first[Invitation](usable(p.db.WithContext(ctx), tokenHash, now))
}

// Join uses an invitation up and makes the user a member; a user without an id is
// made. An invitation that was used meanwhile is ErrNotFound.
func (p People) Join(ctx context.Context, tokenHash string, u *User, now time.Time) (operation uint64, err error) {
	err = transact(ctx, p.db, func(tx *gorm.DB) error {
		if err := orElse(ErrNotFound, usable(tx.Model(&Invitation{}), tokenHash, now).Update("used_at", now)); err != nil {
			return err
		}
		invitation, err := first[Invitation](tx.Where("token_hash = ?", tokenHash))
		if err != nil {
			return err
		}
		operation = invitation.OperationID
		return enrol(tx, operation, invitation.Role, u)
	})
	return operation, err
}

// SetPassword gives a user another password, and voids all his sessions.
func (p People) SetPassword(ctx context.Context, user uint64, hash string) (epoch int, err error) {
	err = transact(ctx, p.db, func(tx *gorm.DB) (err error) {
		p := People{tx}
		if epoch, err = p.VoidSessions(ctx, user); err != nil {
			return err
		}
		return p.user(ctx, user).Update("password_hash", hash).Error
	})
	return epoch, err
}

// VoidSessions signs a user out everywhere.
func (p People) VoidSessions(ctx context.Context, user uint64) (epoch int, err error) {
	err = transact(ctx, p.db, func(tx *gorm.DB) error {
		p := People{tx}
		if err := p.user(ctx, user).Update("epoch", gorm.Expr("epoch + 1")).Error; err != nil {
			return err
		}
		u, err := p.User(ctx, user)
		if err != nil {
			return err
		}
		epoch = u.Epoch
		return tx.Where("user_id = ?", user).Delete(&Session{}).Error
	})
	return epoch, err
}

func (p People) user(ctx context.Context, id uint64) *gorm.DB {
	return p.db.WithContext(ctx).Model(&User{}).Where("id = ?", id)
}

// Name is what the operation is called.
func (o Operation) Name(ctx context.Context) (string, error) {
	return value[string](o.db.WithContext(ctx).Table("operations").Where("id = ?", o.id).Select("name"))
}

// Members lists the people of the operation.
func (o Operation) Members(ctx context.Context) ([]Member, error) {
	return all[Member](o.db.WithContext(ctx).Joins("User").Where("members.operation_id = ?", o.id).Order("members.joined_at, members.user_id"))
}

// SetRole changes what a member may do, or with an empty role takes the member
// out. An operation never loses its last owner: that is ErrConflict.
func (o Operation) SetRole(ctx context.Context, user uint64, role string) error {
	return transact(ctx, o.db, func(tx *gorm.DB) error {
		if err := (Operation{tx, o.id}).holdName(ctx, wholeOperation); err != nil {
			return err
		}
		var members []Member
		err := tx.Clauses(clause.Locking{Strength: "UPDATE"}).Where("operation_id = ?", o.id).Find(&members).Error
		if err != nil {
			return err
		}
		found, owners := false, 0
		for _, m := range members {
			if m.UserID == user {
				found = true
			} else if m.Role == "owner" {
				owners++
			}
		}
		switch {
		case !found:
			return ErrNotFound
		case owners == 0 && role != "owner":
			return ErrConflict
		case role == "":
			return tx.Where("operation_id = ? AND user_id = ?", o.id, user).Delete(&Member{}).Error
		}
		return tx.Model(&Member{}).Where("operation_id = ? AND user_id = ?", o.id, user).Update("role", role).Error
	})
}

// Invite keeps an invitation.
func (o Operation) Invite(ctx context.Context, i Invitation) error {
	return o.db.WithContext(ctx).Create(&i).Error
}

// Invitations lists those that can still be used.
func (o Operation) Invitations(ctx context.Context, now time.Time) ([]Invitation, error) {
	return all[Invitation](o.own(ctx).Where("used_at IS NULL AND expires_at > ?", now).Order("created_at"))
}

// Uninvite takes an invitation back.
func (o Operation) Uninvite(ctx context.Context, id string) error {
	return orElse(ErrNotFound, o.own(ctx).Where("id = ?", id).Delete(&Invitation{}))
}
