package store

import (
	"context"
	"encoding/json"
	"time"

	"gorm.io/gorm/clause"
)

// Inspection is one look into a hive.
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

// Inspect writes inspections; the same id a second time is dropped.
func (o Operation) Inspect(ctx context.Context, rows []Inspection) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&rows).Error)
}

// InspectionsOf lists the inspections of a colony, whole, the oldest first.
func (o Operation) InspectionsOf(ctx context.Context, colony string) ([]Inspection, error) {
	return all[Inspection](o.own(ctx).Where("colony_id = ?", colony).Order("seen_on, created_at"))
}

// Inspections lists those of some colonies, the oldest first, without notes and seams.
func (o Operation) Inspections(ctx context.Context, a Among) ([]Inspection, error) {
	q := a.in(o.own(ctx).Table(a.from("inspections", "by_day", "of_colony")), "colony_id").Where("seen_on >= ?", a.Since)
	return all[Inspection](q.Select("colony_id", "seen_on", "quarters", "brood", "eggs", "larvae", "stores", "supers", "queen", "created_at").
		Order("seen_on, created_at"))
}

// LastSeams finds the newest seams of each of some colonies, by colony; none from before
// its bees changed.
func (o Operation) LastSeams(ctx context.Context, colonies []string) (map[string]json.RawMessage, error) {
	// The newest is found by its index alone, however long the history is.
	return byID[json.RawMessage](o.db.WithContext(ctx).Raw(`SELECT STRAIGHT_JOIN i.colony_id AS id, i.seams AS value
		FROM (SELECT c.id, (SELECT l.seen_on FROM inspections l FORCE INDEX (last_drawn)
				WHERE l.operation_id = c.operation_id AND l.colony_id = c.id AND l.drawn = 1 ORDER BY l.seen_on DESC LIMIT 1) AS last
			FROM colonies c WHERE c.operation_id = ? AND c.id IN ?) n
		JOIN inspections i FORCE INDEX (last_drawn) ON i.operation_id = ? AND i.colony_id = n.id AND i.drawn = 1 AND i.seen_on = n.last
		WHERE NOT EXISTS (SELECT 1 FROM colony_events e WHERE e.operation_id = i.operation_id AND e.colony_id = i.colony_id
			AND e.kind IN ('joined', 'split', 'swarmed', 'boxes', 'queen')
			AND (e.happened_on > i.seen_on OR e.happened_on = i.seen_on AND e.created_at > i.created_at))
		ORDER BY i.created_at`, o.id, colonies, o.id))
}
