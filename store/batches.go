package store

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Batch is one saved recipe with all that it was worked out from.
type Batch struct {
	OperationID     uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID              string `gorm:"primaryKey"`
	Number          int    // counts up in the operation: what stands on the jar
	Name            string
	Method          string
	MadeOn          string // local date and time of the work, 2006-01-02T15:04
	CreatedAt       time.Time
	VolumeML        float64 `gorm:"column:volume_ml"`
	Pieces          int     // ready pads
	ParentID        *string // where the liquor carried into a pot comes from
	SnapshotVersion int
	Inputs          json.RawMessage
	Bare            json.RawMessage `gorm:"->"` // the inputs without their colonies
	Answer          json.RawMessage
	State           string
	Unit            string // of its account: ml, g or pieces
	Leftover        bool   // liquor that its parent's pot left over
	Keeping         string
	UseBy           *time.Time
	VoidedAt        *time.Time
	VoidReason      string
	Components      []BatchComponent `gorm:"foreignKey:OperationID,BatchID;references:OperationID,ID"`
	Lines           []BatchLine      `gorm:"foreignKey:OperationID,BatchID;references:OperationID,ID"`
	Remarks         []BatchRemark    `gorm:"foreignKey:OperationID,BatchID;references:OperationID,ID"`
}

// BatchComponent is the mass of one substance in a batch; together they are what
// it is, and its strength is computed from them.
type BatchComponent struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	BatchID     string `gorm:"primaryKey"`
	Component   string `gorm:"primaryKey"`
	Grams       float64
}

// BatchLine is one ingredient and how much of it is wanted, in g, mL or pieces.
type BatchLine struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	BatchID     string `gorm:"primaryKey"`
	Position    int    `gorm:"primaryKey;autoIncrement:false"`
	Step        string
	Ingredient  string
	WantedG     float64 `gorm:"column:wanted_g"`
	WantedML    float64 `gorm:"column:wanted_ml"`
	WantedCount int
}

// BatchRemark is a note written to a batch; it is never changed.
type BatchRemark struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	BatchID     string
	Text        string
	CreatedAt   time.Time
}

// NewestBatches is how many a list holds at most.
const NewestBatches = 500

// SaveBatch writes a batch with its composition and lines, all or nothing, and
// gives it the next number. When the id is already there it writes nothing: saved
// is false, and the caller compares.
func (o Operation) SaveBatch(ctx context.Context, b *Batch) (saved bool, err error) {
	b.State, b.Unit = cmp.Or(b.State, Planned), cmp.Or(b.Unit, "ml")
	for i := range b.Lines {
		b.Lines[i].Position = i
	}
	err = o.Within(ctx, func(o Operation) error {
		if b.Number, err = o.nextNumber(ctx); err != nil {
			return err
		}
		return o.db.Create(b).Error
	})
	if errors.Is(err, gorm.ErrDuplicatedKey) {
		return false, nil
	}
	return err == nil, err
}

// nextNumber holds the operation until the batch is written, so that two batches saved at
// once do not meet in one number.
func (o Operation) nextNumber(ctx context.Context) (int, error) {
	if err := o.holdName(ctx, wholeOperation); err != nil {
		return 0, err
	}
	return value[int](o.own(ctx).Table("batches").Select("COALESCE(MAX(number), 0) + 1"))
}

// Batches lists the newest batches with their composition, without lines and snapshots.
func (o Operation) Batches(ctx context.Context) ([]Batch, error) {
	return all[Batch](o.own(ctx).Omit("inputs", "answer").Preload("Components").Order("created_at DESC, id").Limit(NewestBatches))
}

// Jar is a batch without lines and snapshots, with what is left of it.
type Jar struct {
	Batch
	Left float64 `gorm:"->;-:migration"`
}

// recent is how many of the newest batches are looked through for what is still poured.
const recent = 60

// Pourable lists of the newest batches of a method those that were planned, or made and
// not used up; none that is void, or what a pot left over.
func (o Operation) Pourable(ctx context.Context, method string) ([]Jar, error) {
	var out []Jar
	newest := o.own(ctx).Model(&Batch{}).Where("method = ? AND leftover = 0 AND voided_at IS NULL AND state IN (?, ?)", method, Planned, IsMade).
		Select("operation_id", "id", "number", "name", "method", "created_at", "made_on", "volume_ml", "pieces", "state", "unit", "use_by", "bare").
		Order("created_at DESC, id").Limit(recent)
	err := o.db.WithContext(ctx).Table("(?) batches", newest).Preload("Components").
		Select("batches.*, COALESCE((SELECT e.left_before + e.amount FROM stock_entries e "+
			"WHERE e.operation_id = batches.operation_id AND e.batch_id = batches.id ORDER BY e.seq DESC LIMIT 1), 0) AS `left`").
		Having("state = ? OR `left` <> 0", Planned).Order("created_at DESC, id").Find(&out).Error
	return out, err
}

// Batch reads one batch whole.
func (o Operation) Batch(ctx context.Context, id string) (Batch, error) {
	return first[Batch](o.own(ctx).Where("id = ?", id).Preload("Components").
		Preload("Lines", func(db *gorm.DB) *gorm.DB { return db.Order("position") }).
		Preload("Remarks", func(db *gorm.DB) *gorm.DB { return db.Order("created_at, id") }))
}

// AddRemark writes a remark to a batch; the same id a second time is dropped.
func (o Operation) AddRemark(ctx context.Context, r BatchRemark) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&r).Error)
}

// VoidBatch marks a batch as void, for good. The first reason stays.
func (o Operation) VoidBatch(ctx context.Context, id, reason string, at time.Time) error {
	if _, err := o.Batch(ctx, id); err != nil {
		return err
	}
	return o.own(ctx).Model(&Batch{}).Where("id = ? AND voided_at IS NULL", id).
		Updates(Batch{VoidedAt: &at, VoidReason: reason}).Error
}
