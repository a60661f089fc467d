package store

import (
	"context"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Lot is an ingredient as it was bought at one time.
type Lot struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Ingredient  string
	Name        string
	SupplierNo  string
	Supplier    string
	BoughtOn    *time.Time
	// Authorisation is the number of the product that it is.
	Authorisation string
	ExpiresOn     *time.Time
	Unit          string
	Price         float64
	UserID        uint64
	CreatedAt     time.Time
}

// StockEntry is a line in the account of a batch or a lot. It is never changed.
type StockEntry struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	BatchID     *string
	LotID       *string
	Kind        string
	Amount      float64
	LeftBefore  float64
	ColonyID    *string
	ForBatchID  *string
	Reason      string // in a person's words
	Cause       string // of what Keeler wrote by itself
	WorkedAt    time.Time
	UserID      uint64
	CreatedAt   time.Time
	Login       string `gorm:"->;-:migration"`
	Colony      string `gorm:"->;-:migration"`
}

// Account names whose entries are meant: a batch's or a lot's.
type Account struct{ Batch, Lot string }

func (a Account) of(q *gorm.DB) *gorm.DB {
	if a.Batch != "" {
		return q.Where("batch_id = ?", a.Batch)
	}
	return q.Where("lot_id = ?", a.Lot)
}

// Entries lists an account in its order, with who wrote it.
func (o Operation) Entries(ctx context.Context, a Account) ([]StockEntry, error) {
	return all[StockEntry](a.of(o.db.WithContext(ctx).Table("stock_entries").Select("stock_entries.*, users.login, colonies.name AS colony").
		Joins("LEFT JOIN users ON users.id = stock_entries.user_id").
		Joins("LEFT JOIN colonies ON colonies.operation_id = stock_entries.operation_id AND colonies.id = stock_entries.colony_id").
		Where("stock_entries.operation_id = ?", o.id)).Order("seq"))
}

// Enter writes the next line of an account: make is given what is left and what
// was written before, while nobody else writes to it. The same id a second time
// is dropped, and done is false; for another account it is ErrConflict.
func (o Operation) Enter(ctx context.Context, a Account, id string, make func(left float64) (StockEntry, error)) (done bool, err error) {
	err = o.Within(ctx, func(o Operation) error {
		done = false
		table, key := "batches", a.Batch
		if a.Lot != "" {
			table, key = "lots", a.Lot
		}
		if err := o.hold(ctx, table, key); err != nil {
			return err
		}
		was, err := first[StockEntry](o.own(ctx).Where("id = ?", id))
		if err == nil {
			if a.Batch != "" && (was.BatchID == nil || *was.BatchID != a.Batch) || a.Lot != "" && (was.LotID == nil || *was.LotID != a.Lot) {
				return ErrConflict
			}
			return nil
		}
		if err != ErrNotFound {
			return err
		}
		left, err := o.Left(ctx, a)
		if err != nil {
			return err
		}
		e, err := make(left)
		if err != nil {
			return err
		}
		e.ID, e.LeftBefore = id, left
		if a.Batch != "" {
			e.BatchID = &a.Batch
		} else {
			e.LotID = &a.Lot
		}
		done = true
		return taken(o.db.WithContext(ctx).Create(&e).Error)
	})
	return done && err == nil, err
}

// Left is what is there by an account: what its last line left.
func (o Operation) Left(ctx context.Context, a Account) (float64, error) {
	return value[float64](a.of(o.own(ctx).Table("stock_entries")).Select("left_before + amount").Order("seq DESC").Limit(1))
}

// LeftOfBatches is what is there of every batch that has a ledger, by its id.
func (o Operation) LeftOfBatches(ctx context.Context) (map[string]float64, error) {
	return o.lefts(ctx, "batch_id")
}

// LeftOfLots is what is there of every lot, likewise.
func (o Operation) LeftOfLots(ctx context.Context) (map[string]float64, error) {
	return o.lefts(ctx, "lot_id")
}

// BoughtOfLots is how much of every lot was bought.
func (o Operation) BoughtOfLots(ctx context.Context) (map[string]float64, error) {
	return byID[float64](o.own(ctx).Table("stock_entries").Where("lot_id IS NOT NULL AND kind = 'bought'").Select("lot_id AS id, SUM(amount) AS value").Group("lot_id"))
}

// lefts finds the last line of each account by the index alone.
func (o Operation) lefts(ctx context.Context, column string) (map[string]float64, error) {
	last := o.own(ctx).Table("stock_entries").Where(column + " IS NOT NULL").Select("MAX(seq)").Group("operation_id, " + column)
	return byID[float64](o.db.WithContext(ctx).Table("stock_entries").Where("seq IN (?)", last).Select(column + " AS id, left_before + amount AS value"))
}

// OpenedLots tells of each lot when something was taken from it last, in the order of all entries.
func (o Operation) OpenedLots(ctx context.Context) (map[string]uint64, error) {
	return byID[uint64](o.own(ctx).Table("stock_entries").Select("lot_id AS id, MAX(seq) AS value").Where("lot_id IS NOT NULL AND kind = 'used'").Group("lot_id"))
}

// Into lists what went out of lots into a batch.
func (o Operation) Into(ctx context.Context, batch string) ([]StockEntry, error) {
	return all[StockEntry](o.own(ctx).Where("for_batch_id = ? AND lot_id IS NOT NULL", batch).Order("seq"))
}

// Lots lists the lots, the newest first.
func (o Operation) Lots(ctx context.Context) ([]Lot, error) {
	return all[Lot](o.own(ctx).Order("created_at DESC, id"))
}

// Lot reads one lot.
func (o Operation) Lot(ctx context.Context, id string) (Lot, error) {
	return first[Lot](o.own(ctx).Where("id = ?", id))
}

// AddLot writes a lot; created is false when the id is already there.
func (o Operation) AddLot(ctx context.Context, l Lot) (created bool, err error) {
	made := o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(&l)
	return made.RowsAffected > 0, taken(made.Error)
}
