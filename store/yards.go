package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm"
)

// Yard is a place where hives stand.
type Yard struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	Place       string
	Latitude    float64
	DeepFrom    string // month and day; empty: by the latitude
	DeepTo      string
	Notes       string
	// RegistrationNo is the number by which an authority knows it.
	RegistrationNo string
	Version        int
	CreatedAt      time.Time
}

// ErrStale is returned when somebody else changed a row meanwhile.
var ErrStale = errors.New("changed by somebody else meanwhile")

// bulk is how many rows go into one statement.
const bulk = 1000

// Yards lists the yards by name.
func (o Operation) Yards(ctx context.Context) ([]Yard, error) {
	return all[Yard](o.own(ctx).Order("name"))
}

// Yard reads one.
func (o Operation) Yard(ctx context.Context, id string) (Yard, error) {
	return first[Yard](o.own(ctx).Where("id = ?", id))
}

// AddYard writes a new yard.
func (o Operation) AddYard(ctx context.Context, y *Yard) error {
	y.Version = 1
	return taken(o.db.WithContext(ctx).Create(y).Error)
}

// ChangeYard writes a yard over the version that it carries.
func (o Operation) ChangeYard(ctx context.Context, y Yard) error {
	y.Version++
	return o.change(ctx, &y, y.ID, y.Version, "name", "place", "latitude", "deep_from", "deep_to", "notes", "registration_no")
}

// Colony reads one, living or not.
func (o Operation) Colony(ctx context.Context, id string) (Colony, error) {
	return first[Colony](o.own(ctx).Where("id = ?", id).
		Preload("Boxes", func(db *gorm.DB) *gorm.DB { return db.Order("position") }))
}

// Import writes yards and colonies with their boxes, all or nothing.
func (o Operation) Import(ctx context.Context, yards []Yard, colonies []Colony) error {
	for i := range yards {
		yards[i].Version = 1
	}
	for i := range colonies {
		colonies[i].Version = 1
		colonies[i].stack()
	}
	return taken(o.Within(ctx, func(o Operation) error {
		if len(yards) > 0 {
			if err := o.db.CreateInBatches(yards, bulk).Error; err != nil {
				return err
			}
		}
		return o.db.CreateInBatches(colonies, bulk).Error
	}))
}
