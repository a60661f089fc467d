package store

import (
	"context"
	"encoding/json"
	"time"

	"gorm.io/gorm/clause"
)

// States of a batch.
const (
	Planned   = "planned"
	OnBench   = "bench"
	IsMade    = "made"
	Discarded = "discarded"
)

// Balance is what an operation weighs with.
type Balance struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	Position    int    `gorm:"primaryKey;autoIncrement:false"`
	Name        string
	DivisionG   float64 `gorm:"column:division_g"`
	CapacityG   float64 `gorm:"column:capacity_g"`
	LeastG      float64 `gorm:"column:least_g"`
}

// BenchRun is a batch as it is mixed.
type BenchRun struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	BatchID     string `gorm:"primaryKey"`
	WorkOrder   string
	CupG        float64 `gorm:"column:cup_g"`
	VesselML    float64 `gorm:"column:vessel_ml"`
	Balances    json.RawMessage
	UserID      uint64
	CreatedAt   time.Time
	Events      []BenchEvent `gorm:"foreignKey:OperationID,BatchID;references:OperationID,BatchID"`
}

// BenchEvent is one thing that happened in a run. It is never changed.
type BenchEvent struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	BatchID     string `gorm:"primaryKey"`
	Seq         int    `gorm:"primaryKey;autoIncrement:false"`
	ID          string
	Kind        string
	Act         string
	LoadNo      int
	Grams       float64
	OffG        float64 `gorm:"column:off_g"`
	Pieces      int
	Sure        bool
	AsIs        bool
	Answer      string
	TempC       float64 `gorm:"column:temp_c"`
	Additions   json.RawMessage
	Source      string
	UserID      uint64
	CreatedAt   time.Time
	WorkedAt    time.Time
	Login       string `gorm:"->;-:migration"`
}

// Balances lists what is weighed with.
func (o Operation) Balances(ctx context.Context) ([]Balance, error) {
	return all[Balance](o.own(ctx).Order("position"))
}

// SetBalances puts these in the place of those before.
func (o Operation) SetBalances(ctx context.Context, rows []Balance) error {
	for i := range rows {
		rows[i].Position = i
	}
	return replaced(ctx, o, rows)
}

// replaced puts rows in the place of all those before.
func replaced[T any](ctx context.Context, o Operation, rows []T) error {
	return o.Within(ctx, func(o Operation) error {
		if err := o.own(ctx).Delete(new(T)).Error; err != nil || len(rows) == 0 {
			return err
		}
		return o.db.WithContext(ctx).Create(&rows).Error
	})
}

// BeginRun starts a run on a planned batch; one that runs already stays as it is.
func (o Operation) BeginRun(ctx context.Context, r *BenchRun) error {
	return o.Within(ctx, func(o Operation) error {
		made := o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(r)
		if made.Error != nil || made.RowsAffected == 0 {
			return taken(made.Error)
		}
		if err := o.announce(ctx, r.BatchID); err != nil {
			return err
		}
		return o.SetState(ctx, r.BatchID, OnBench)
	})
}

// Run reads a run with its events in their order.
func (o Operation) Run(ctx context.Context, batch string) (BenchRun, error) {
	r, err := first[BenchRun](o.own(ctx).Where("batch_id = ?", batch))
	if err != nil {
		return r, err
	}
	err = o.db.WithContext(ctx).Table("bench_events").Select("bench_events.*, users.login").
		Joins("LEFT JOIN users ON users.id = bench_events.user_id").
		Where("operation_id = ? AND batch_id = ?", o.id, batch).Order("seq").Find(&r.Events).Error
	return r, err
}

// AtBench does something with a run that nobody else touches meanwhile, all or
// nothing.
func (o Operation) AtBench(ctx context.Context, batch string, do func(Operation, BenchRun) error) error {
	return o.Within(ctx, func(o Operation) error {
		if err := o.hold(ctx, "batches", batch); err != nil {
			return err
		}
		r, err := o.Run(ctx, batch)
		if err != nil {
			return err
		}
		if err := do(o, r); err != nil {
			return err
		}
		return o.announce(ctx, batch)
	})
}

// Happen writes the next event of a run; within AtBench.
func (o Operation) Happen(ctx context.Context, e *BenchEvent) error {
	return taken(o.db.WithContext(ctx).Create(e).Error)
}

// Finished is what a batch came to at the bench.
type Finished struct {
	State      string // IsMade or Discarded
	VolumeML   float64
	Pieces     int
	Keeping    string
	UseBy      *time.Time
	MadeOn     string
	Components []BatchComponent // nil: as they were planned, of a product
}

// FinishBatch puts what a batch really is in the place of what was planned.
func (o Operation) FinishBatch(ctx context.Context, id string, f Finished) error {
	return o.Within(ctx, func(o Operation) error {
		if f.Components != nil {
			if err := o.own(ctx).Where("batch_id = ?", id).Delete(&BatchComponent{}).Error; err != nil {
				return err
			}
			for i := range f.Components {
				f.Components[i].BatchID = id
			}
			if len(f.Components) > 0 {
				if err := o.db.WithContext(ctx).Create(&f.Components).Error; err != nil {
					return err
				}
			}
		}
		return o.own(ctx).Model(&Batch{}).Where("id = ?", id).Select("state", "volume_ml", "pieces", "keeping", "use_by", "made_on").Updates(&Batch{
			State: f.State, VolumeML: f.VolumeML, Pieces: f.Pieces, Keeping: f.Keeping, UseBy: f.UseBy, MadeOn: f.MadeOn,
		}).Error
	})
}

// SetState says that a batch is at the bench, or was made without it.
func (o Operation) SetState(ctx context.Context, batch, state string) error {
	return o.own(ctx).Model(&Batch{}).Where("id = ?", batch).Update("state", state).Error
}

// Uptake is what a piece of a kind took up in one pot.
type Uptake struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	BatchID     string `gorm:"primaryKey"`
	Carrier     string
	EachG       float64 `gorm:"column:each_g"`
	OffG        float64 `gorm:"column:off_g"`
	Pieces      int
	Accepted    bool
	CreatedAt   time.Time
}

// Uptakes lists what was seen of all carriers, the oldest first.
func (o Operation) Uptakes(ctx context.Context) ([]Uptake, error) {
	return all[Uptake](o.own(ctx).Order("created_at, batch_id"))
}

// UptakesOf lists what was seen of one carrier, likewise.
func (o Operation) UptakesOf(ctx context.Context, carrier string) ([]Uptake, error) {
	return all[Uptake](o.own(ctx).Where("carrier = ?", carrier).Order("created_at, batch_id"))
}

// AddUptake writes what was seen in a pot.
func (o Operation) AddUptake(ctx context.Context, u Uptake) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&u).Error)
}

// Portion is part of a batch in a vessel of its own, to be carried.
type Portion struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	BatchID     string
	YardID      *string
	Vessel      string
	Amount      float64
	UserID      uint64
	CreatedAt   time.Time
	Yard        string `gorm:"->;-:migration"`
}

// Portions lists the portions of a batch.
func (o Operation) Portions(ctx context.Context, batch string) ([]Portion, error) {
	return all[Portion](o.db.WithContext(ctx).Table("portions").Select("portions.*, yards.name AS yard").
		Joins("LEFT JOIN yards ON yards.operation_id = portions.operation_id AND yards.id = portions.yard_id").
		Where("portions.operation_id = ? AND batch_id = ?", o.id, batch).Order("portions.created_at, portions.id"))
}

// LeftoverOf is the batch that a pot's rest became; empty when there is none.
func (o Operation) LeftoverOf(ctx context.Context, batch string) (string, error) {
	return value[string](o.own(ctx).Table("batches").Where("parent_id = ? AND leftover", batch).Select("id"))
}

// AddPortion writes a portion; the same id a second time is dropped.
func (o Operation) AddPortion(ctx context.Context, p Portion) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&p).Error)
}

// RemovePortion pours a portion back.
func (o Operation) RemovePortion(ctx context.Context, batch, id string) error {
	return orElse(ErrNotFound, o.own(ctx).Where("batch_id = ? AND id = ?", batch, id).Delete(&Portion{}))
}
