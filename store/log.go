package store

import (
	"context"
	"time"
)

// LogEntry is something about who comes in and who may what, for the owner to read.
type LogEntry struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	Seq         uint64 `gorm:"primaryKey;->"`
	At          time.Time
	What        string
	Login       string
	Detail      string
	Address     string
}

// logLasts is how long the log remembers: it tells of people.
const logLasts = 400 * 24 * time.Hour

// Log writes an entry, and forgets those of long ago.
func (o Operation) Log(ctx context.Context, e LogEntry) error {
	const swept = 100
	if err := o.own(ctx).Where("at < ?", e.At.Add(-logLasts)).Limit(swept).Delete(&LogEntry{}).Error; err != nil {
		return err
	}
	return o.db.WithContext(ctx).Create(&e).Error
}

// LogBefore lists so many entries, the newest first: those before one, or with 0 the last.
func (o Operation) LogBefore(ctx context.Context, before uint64, most int) ([]LogEntry, error) {
	q := o.own(ctx)
	if before > 0 {
		q = q.Where("seq < ?", before)
	}
	return all[LogEntry](q.Order("seq DESC").Limit(most))
}
