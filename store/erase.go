package store

import (
	"context"
	"slices"
	"time"

	"gorm.io/gorm"
)

// registered are the tables that the register tells from: of what was given to which hive
// where, out of which batch and which lots, under which rule.
var registered = []string{"yards", "colonies", "label_cards", "jobs", "batches", "batch_components", "batch_lines", "batch_remarks",
	"lots", "stock_entries", "portions", "applications", "spent_pieces"}

// admitting are the tables of who may come in, and their log.
var admitting = []string{"members", "log_entries"}

// Close deletes everything of the operation but its register, and its members with the log of
// who came in, and keeps these until a day. It deletes every way in but by password, too.
func (o Operation) Close(ctx context.Context, until time.Time) error {
	return o.Within(ctx, func(o Operation) error {
		if err := o.emptied(ctx, slices.Concat(registered, admitting)); err != nil {
			return err
		}
		return o.db.WithContext(ctx).Exec("UPDATE operations SET kept_until = ? WHERE id = ?", until, o.id).Error
	})
}

// Erase deletes everything of the operation, itself, and every person who belongs to no other
// and whom no line of another names.
func (o Operation) Erase(ctx context.Context) error {
	return o.Within(ctx, func(o Operation) error {
		if err := o.emptied(ctx, nil); err != nil {
			return err
		}
		db := o.db.WithContext(ctx)
		erased := db.Exec("DELETE FROM operations WHERE id = ?", o.id)
		if erased.Error == nil && o.id == FirstOperation { // there for the next owner
			erased = db.Exec("INSERT INTO operations (id, name, created_at) VALUES (?, '', UTC_TIMESTAMP(6))", o.id)
		}
		if erased.Error != nil {
			return erased.Error
		}
		if err := db.Exec("DELETE s FROM sessions s LEFT JOIN members m ON m.user_id = s.user_id WHERE m.user_id IS NULL").Error; err != nil {
			return err
		}
		// Whom a line of another operation names stays, as a name: the key holds it.
		return db.Exec("DELETE IGNORE FROM users WHERE NOT EXISTS (SELECT 1 FROM members m WHERE m.user_id = users.id)").Error
	})
}

// emptied deletes the rows of all tables of the operation but some.
func (o Operation) emptied(ctx context.Context, but []string) error {
	// Those that others belong to go first: what is being written meanwhile then waits for a line
	// that will not be there, and is refused.
	return o.unheld(ctx, func(db *gorm.DB) error {
		tables := slices.Clone(leftOut)
		for _, t := range archived {
			tables = append(tables, t.name)
		}
		for _, t := range tables {
			if slices.Contains(but, t) {
				continue
			}
			if err := db.Exec("DELETE FROM `"+t+"` WHERE operation_id = ?", o.id).Error; err != nil {
				return err
			}
		}
		return nil
	})
}

// Due lists the closed operations that are kept no longer on a day.
func (p People) Due(ctx context.Context, day time.Time) ([]uint64, error) {
	return all[uint64](p.db.WithContext(ctx).Table("operations").Select("id").Where("kept_until < ?", day))
}
