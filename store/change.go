package store

import (
	"context"
	"errors"

	"github.com/go-sql-driver/mysql"
	"gorm.io/gorm"
)

// change writes these columns of a row, and its version, over the one before that.
func (o Operation) change(ctx context.Context, row any, id string, version int, columns ...string) error {
	done := o.own(ctx).Model(row).Where("id = ? AND version = ?", id, version-1).Select(append(columns, "version")).Updates(row)
	if done.Error != nil {
		return taken(done.Error)
	}
	if done.RowsAffected > 0 {
		return nil
	}
	var n int64
	if err := o.own(ctx).Model(row).Where("id = ?", id).Count(&n).Error; err != nil {
		return err
	}
	if n == 0 {
		return ErrNotFound
	}
	return ErrStale
}

func taken(err error) error {
	switch {
	case errors.Is(err, gorm.ErrDuplicatedKey):
		return ErrTaken
	case errors.Is(err, gorm.ErrForeignKeyViolated):
		return ErrNotFound
	}
	return err
}

// mostTries is how often what deadlocks is done in all.
const mostTries = 4

// within does several things, all or nothing.
func (o Operation) within(ctx context.Context, do func(Operation) error) error {
	_, inside := o.db.Statement.ConnPool.(gorm.TxCommitter)
	for try := 1; ; try++ {
		err := o.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error { return do(Operation{tx, o.id}) })
		// Of two that wait for each other the database ends one, whole: it is done again.
		if inside || try == mostTries || !deadlocked(err) {
			return err
		}
	}
}

func deadlocked(err error) bool {
	const code = 1213
	var of *mysql.MySQLError
	return errors.As(err, &of) && of.Number == code
}
