package store

import (
	"context"
	"encoding/json"
	"slices"
	"strings"
	"time"

	"gorm.io/gorm"
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
	for i := range rows {
		rows[i].OperationID = o.id
	}
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&rows).Error)
}

// InspectionsOf lists the inspections of a colony, whole, the oldest first.
func (o Operation) InspectionsOf(ctx context.Context, colony string) ([]Inspection, error) {
	var out []Inspection
	return out, o.own(ctx).Where("colony_id = ?", colony).Order("seen_on, created_at").Find(&out).Error
}

// InspectionsSince lists those of all colonies since a day, the oldest first, without
// notes and seams.
func (o Operation) InspectionsSince(ctx context.Context, since time.Time) ([]Inspection, error) {
	return bare(o.own(ctx).Where("seen_on >= ?", since))
}

// InspectionsAmong is InspectionsSince for some colonies.
func (o Operation) InspectionsAmong(ctx context.Context, colonies []string, since time.Time) ([]Inspection, error) {
	return bare(o.own(ctx).Where("colony_id IN ? AND seen_on >= ?", colonies, since))
}

func bare(q *gorm.DB) ([]Inspection, error) {
	var out []Inspection
	return out, q.Select("colony_id", "seen_on", "quarters", "brood", "eggs", "larvae", "stores", "supers", "queen", "created_at").
		Order("seen_on, created_at").Find(&out).Error
}

// LastSeams finds the newest seams of each of some colonies, by colony; none from before
// its bees changed.
func (o Operation) LastSeams(ctx context.Context, colonies []string) (map[string]json.RawMessage, error) {
	out := make(map[string]json.RawMessage, len(colonies))
	if len(colonies) == 0 {
		return out, nil
	}
	// One look into the index a colony, however long its history is.
	one := `(SELECT i.colony_id, i.seams FROM inspections i WHERE i.operation_id = ? AND i.colony_id = ? AND i.seams IS NOT NULL
		AND NOT EXISTS (SELECT 1 FROM colony_events e WHERE e.operation_id = i.operation_id AND e.colony_id = i.colony_id
			AND e.kind IN ('joined', 'split', 'swarmed', 'boxes', 'queen')
			AND (e.happened_on > i.seen_on OR e.happened_on = i.seen_on AND e.created_at > i.created_at))
		ORDER BY i.seen_on DESC, i.created_at DESC LIMIT 1)`
	var rows []Inspection
	for part := range slices.Chunk(colonies, bulk/4) {
		queries, arguments := make([]string, len(part)), make([]any, 0, 2*len(part))
		for i, id := range part {
			queries[i] = one
			arguments = append(arguments, o.id, id)
		}
		var found []Inspection
		if err := o.db.WithContext(ctx).Raw(strings.Join(queries, " UNION ALL "), arguments...).Scan(&found).Error; err != nil {
			return nil, err
		}
		rows = append(rows, found...)
	}
	for _, r := range rows {
		out[r.ColonyID] = r.Seams
	}
	return out, nil
}
