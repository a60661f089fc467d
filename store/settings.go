package store

import (
	"context"
	"time"
)

// Form is how figures and days are written; empty fields of a person's: as the operation.
type Form struct {
	Units string // metric, us
	Hours string // 24h, 12h
	Dates string // day_month, month_day, iso
}

// Settings are what is set for a whole operation.
type Settings struct {
	ID       uint64
	TimeZone string // by its IANA name: its days are days there
	Form     `gorm:"embedded"`
	Currency string
	// Seasons are its own names of them, winter first; empty: the usual ones.
	Seasons []string `gorm:"serializer:json"`
	// Who keeps the bees, where, and by which number an authority knows it.
	Holder, HolderAddress, HolderNo string
	// ForecastURL is whom it asks for the weather; empty: whom the server asks.
	ForecastURL string
	// KeptUntil is set once the operation is closed: the last day on which its register is there.
	KeptUntil *time.Time
	Practice  `gorm:"embedded"`
	Version   int
}

// TableName is that of the operations themselves.
func (Settings) TableName() string { return "operations" }

// Settings are what is set now.
func (o Operation) Settings(ctx context.Context) (Settings, error) {
	return first[Settings](o.db.WithContext(ctx).Where("id = ?", o.id))
}

// ChangeSettings writes them over the version before; ErrStale when somebody else was faster.
func (o Operation) ChangeSettings(ctx context.Context, s Settings) error {
	return orElse(ErrStale, o.db.WithContext(ctx).Model(&Settings{}).Where("id = ? AND version = ?", o.id, s.Version-1).
		Select("TimeZone", "Units", "Hours", "Dates", "Currency", "Seasons", "ForecastURL", "Holder", "HolderAddress", "HolderNo", "Version").Updates(s))
}

// SetForm is how a person would have figures and days.
func (p People) SetForm(ctx context.Context, user uint64, f Form) error {
	return p.user(ctx, user).Select("Units", "Hours", "Dates").Updates(User{Form: f}).Error
}
