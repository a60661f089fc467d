package store

import (
	"context"
	"encoding/json"
	"time"

	"gorm.io/gorm/clause"
)

// Inspection is one look into a colony.
type Inspection struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	ColonyID    string
	SeenOn      time.Time
	Quarters    *int
	Seams       json.RawMessage
	Brood       string
	Eggs        *bool
	Larvae      *bool
	Stores      string
	Supers      *int
	Queen       string
	Temper      string
	Note        string
	UserID      uint64
	CreatedAt   time.Time
}

// Inspect writes a look into a colony; the same id a second time is dropped.
func (o Operation) Inspect(ctx context.Context, rows []Inspection) error {
	for i := range rows {
		rows[i].OperationID = o.id
	}
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&rows).Error)
}

// Inspections lists the looks since a day, the oldest first, of one colony or with
// an empty id of all, without notes and seams unless whole.
func (o Operation) Inspections(ctx context.Context, colony string, since time.Time, whole bool) ([]Inspection, error) {
	q := o.own(ctx).Where("seen_on >= ?", since)
	if colony != "" {
		q = q.Where("colony_id = ?", colony)
	}
	if !whole {
		q = q.Select("colony_id", "seen_on", "quarters", "brood", "eggs", "larvae", "stores", "supers", "queen", "created_at")
	}
	var out []Inspection
	return out, q.Order("seen_on, created_at").Find(&out).Error
}

// LastSeams finds the newest seams of each of some colonies, by colony; none from before
// its bees changed.
func (o Operation) LastSeams(ctx context.Context, colonies []string) (map[string]json.RawMessage, error) {
	var rows []Inspection
	err := o.own(ctx).Select("colony_id", "seams").Where("colony_id IN ? AND seams IS NOT NULL", colonies).
		Where(`NOT EXISTS (SELECT 1 FROM colony_events e WHERE e.operation_id = inspections.operation_id AND e.colony_id = inspections.colony_id
			AND e.kind IN ('joined', 'split', 'swarmed', 'boxes', 'queen')
			AND (e.happened_on > inspections.seen_on OR e.happened_on = inspections.seen_on AND e.created_at > inspections.created_at))`).
		Order("seen_on, created_at").Find(&rows).Error
	out := make(map[string]json.RawMessage, len(colonies))
	for _, r := range rows {
		out[r.ColonyID] = r.Seams
	}
	return out, err
}
