package store

import (
	"context"
	"errors"

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
