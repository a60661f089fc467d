package store

import (
	"context"
	"errors"
	"time"

	"gorm.io/gorm"
)

// SpentPiece is what became of pieces that came out of hives.
type SpentPiece struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	JobID       string
	Kind        string
	Pieces      int
	Note        string
	HappenedOn  time.Time
	UserID      uint64
	CreatedAt   time.Time
}

// Spend writes what became of some pieces. The same id a second time writes nothing.
func (o Operation) Spend(ctx context.Context, p *SpentPiece) error {
	err := o.db.WithContext(ctx).Create(p).Error
	if errors.Is(err, gorm.ErrDuplicatedKey) {
		return nil
	}
	return taken(err)
}

// Spent lists what became of pieces, in the order in which it was written.
func (o Operation) Spent(ctx context.Context) ([]SpentPiece, error) {
	return all[SpentPiece](o.own(ctx).Order("created_at, id"))
}

// CameOut is how many pieces of a job came out of hives, and were not found there.
type CameOut struct {
	JobID         string
	Came, Missing int
}

// CameOut counts them, of all jobs of which any did.
func (o Operation) CameOut(ctx context.Context) ([]CameOut, error) {
	var out []CameOut
	err := o.db.WithContext(ctx).Raw(`SELECT job_id, SUM(COALESCE(JSON_VALUE(detail, '$.came'), 0)) AS came, SUM(COALESCE(JSON_VALUE(detail, '$.missing'), 0)) AS missing
		FROM applications WHERE operation_id = ? AND superseded = 0 AND kind = 'out' AND job_id IS NOT NULL GROUP BY job_id HAVING came + missing > 0 ORDER BY MAX(seq) DESC`, o.id).Scan(&out).Error
	return out, err
}
