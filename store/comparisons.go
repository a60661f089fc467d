package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm"
)

// Comparison is groups of colonies whose treatments are to be held against each other.
type Comparison struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	MadeOn      time.Time
	Dealt       bool
	UserID      uint64
	CreatedAt   time.Time
	Colonies    []ComparisonColony `gorm:"foreignKey:OperationID,ComparisonID;references:OperationID,ID"`
}

// ComparisonColony is a colony in its group.
type ComparisonColony struct {
	OperationID  uint64 `gorm:"primaryKey;autoIncrement:false"`
	ComparisonID string `gorm:"primaryKey"`
	ColonyID     string `gorm:"primaryKey"`
	Position     int
	GroupNo      int
	InGroup      string
}

// SaveComparison writes one with its groups, all or nothing. The same id a second time
// writes nothing.
func (o Operation) SaveComparison(ctx context.Context, c *Comparison) error {
	err := o.Within(ctx, func(o Operation) error { return o.db.Create(c).Error })
	if errors.Is(err, gorm.ErrDuplicatedKey) {
		return nil
	}
	return taken(err)
}

// Comparisons lists them, the newest first.
func (o Operation) Comparisons(ctx context.Context) ([]Comparison, error) {
	return all[Comparison](o.comparing(ctx).Order("created_at DESC, id"))
}

// Comparison reads one.
func (o Operation) Comparison(ctx context.Context, id string) (Comparison, error) {
	return first[Comparison](o.comparing(ctx).Where("id = ?", id))
}

func (o Operation) comparing(ctx context.Context) *gorm.DB {
	return o.own(ctx).Preload("Colonies", func(db *gorm.DB) *gorm.DB { return db.Order("group_no, position") })
}

// RemoveComparison forgets one with its groups; what was given and counted stays.
func (o Operation) RemoveComparison(ctx context.Context, id string) error {
	return orElse(ErrNotFound, o.own(ctx).Where("id = ?", id).Delete(&Comparison{}))
}

// Source is the batch that a dose came from.
type Source struct {
	Application, Batch, Name, Carrier string
	Number                            int
	WickOne, WickMore                 float64 // cm², of a bottle's
}

// Sources lists of which batches the doses of some jobs came.
func (o Operation) Sources(ctx context.Context, jobs []string) ([]Source, error) {
	var out []Source
	err := o.db.WithContext(ctx).Raw(`SELECT a.id AS application, b.id AS batch, b.number, b.name, COALESCE(JSON_VALUE(b.bare, '$.recipe.strip.carrier'), IF(b.method = 'strip', 'strip', '')) AS carrier,
			COALESCE(JSON_VALUE(b.bare, '$.recipe.pad.amount.wick_one_cm2'), 0) AS wick_one, COALESCE(JSON_VALUE(b.bare, '$.recipe.pad.amount.wick_more_cm2'), 0) AS wick_more
		FROM applications a FORCE INDEX (by_job) JOIN batches b ON b.operation_id = a.operation_id AND b.id = a.batch_id
		WHERE a.operation_id = ? AND a.job_id IN ? AND a.superseded = 0 AND a.kind = 'given'`, o.id, jobs).Scan(&out).Error
	return out, err
}
