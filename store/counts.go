package store

import (
	"context"
	"encoding/json"
	"time"

	"gorm.io/gorm/clause"
)

// MiteCount is one count of mites.
type MiteCount struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	ColonyID    string
	Kind        string
	Mites       int
	Days        float64
	Share       float64 // of the board; 0: all of it
	Bees        int
	CountedOn   time.Time
	Note        string
	Marks       json.RawMessage // on a photo; nil: none
	UserID      uint64
	CreatedAt   time.Time
	VoidedAt    *time.Time
	VoidReason  string
	Photo       bool `gorm:"->;-:migration"`
}

// CountPhoto is a photo of a board that was counted.
type CountPhoto struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	CountID     string `gorm:"primaryKey"`
	Image       []byte
	CreatedAt   time.Time
}

// Threshold is where a keeper acts in a season.
type Threshold struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	Season      string `gorm:"primaryKey"`
	Wash, Board float64
}

// Count writes counts; the same id a second time is dropped.
func (o Operation) Count(ctx context.Context, rows []MiteCount) error {
	return taken(o.Within(ctx, func(o Operation) error {
		return o.db.Clauses(clause.OnConflict{DoNothing: true}).CreateInBatches(&rows, bulk).Error
	}))
}

// CountsOf lists the counts of a colony, the oldest first; void ones, too.
func (o Operation) CountsOf(ctx context.Context, colony string) ([]MiteCount, error) {
	return all[MiteCount](o.own(ctx).Where("colony_id = ?", colony).Order("counted_on, created_at").Select(`mite_counts.*, EXISTS (
		SELECT 1 FROM count_photos p WHERE p.operation_id = mite_counts.operation_id AND p.count_id = mite_counts.id) AS photo`))
}

// AttachPhoto keeps a photo with a count; the first one stays.
func (o Operation) AttachPhoto(ctx context.Context, p *CountPhoto) error {
	return taken(o.db.WithContext(ctx).Clauses(clause.OnConflict{DoNothing: true}).Create(p).Error)
}

// PhotoOf reads the photo of a count.
func (o Operation) PhotoOf(ctx context.Context, count string) (CountPhoto, error) {
	return first[CountPhoto](o.own(ctx).Where("count_id = ?", count))
}

// CountsIn lists the counts of a yard's colonies, likewise.
func (o Operation) CountsIn(ctx context.Context, yard string) ([]MiteCount, error) {
	return all[MiteCount](o.own(ctx).Where("colony_id IN (?)", o.own(ctx).Model(&Colony{}).Select("id").Where("yard_id = ?", yard)).
		Order("counted_on, created_at, colony_id"))
}

// Counts hands over those of some colonies, the oldest first, without void ones and remarks.
func (o Operation) Counts(ctx context.Context, a Among, with func(MiteCount)) error {
	q := a.in(o.own(ctx).Table(a.from("mite_counts", "by_day", "newest")), "colony_id").Where("voided_at IS NULL AND counted_on >= ?", a.Since).
		Select("colony_id", "kind", "mites", "days", "share", "bees", "counted_on").Order("counted_on")
	return each(q, func(c *MiteCount) []any {
		return []any{&c.ColonyID, &c.Kind, &c.Mites, &c.Days, &c.Share, &c.Bees, &c.CountedOn}
	}, with)
}

// LastCounts gives the newest count of each of some colonies that is not void, however old.
func (o Operation) LastCounts(ctx context.Context, a Among) ([]MiteCount, error) {
	// The newest is found by its index alone; the planner would read every count of every colony.
	newest := a.in(o.own(ctx).Table("colonies k"), "k.id").Select(`k.id AS colony_id, (SELECT l.counted_on FROM mite_counts l FORCE INDEX (newest)
		WHERE l.operation_id = k.operation_id AND l.colony_id = k.id AND l.voided_at IS NULL ORDER BY l.counted_on DESC LIMIT 1) AS last`)
	var out []MiteCount
	err := o.db.WithContext(ctx).Raw(`SELECT STRAIGHT_JOIN c.colony_id, c.kind, c.mites, c.days, c.share, c.bees, c.counted_on FROM (?) n
		JOIN mite_counts c FORCE INDEX (newest)
			ON c.operation_id = ? AND c.colony_id = n.colony_id AND c.voided_at IS NULL AND c.counted_on = n.last
		ORDER BY c.created_at`, newest, o.id).Scan(&out).Error
	return out, err
}

// CountSums gives for each of some colonies a sum over its counts that are not void: another one once any
// of them is added, changed or voided.
func (o Operation) CountSums(ctx context.Context, a Among) (map[string]uint64, error) {
	return byID[uint64](a.in(o.own(ctx).Table(a.from("mite_counts", "by_day", "newest")), "colony_id").Where("voided_at IS NULL AND counted_on >= ?", a.Since).
		Select("colony_id AS id, SUM(CRC32(CONCAT_WS(' ', counted_on, kind, mites, days, share, bees))) AS value").Group("colony_id"))
}

// VoidCount voids a count; it stays.
func (o Operation) VoidCount(ctx context.Context, id, reason string, at time.Time) error {
	if _, err := first[MiteCount](o.own(ctx).Where("id = ?", id)); err != nil {
		return err
	}
	return o.own(ctx).Model(&MiteCount{}).Where("id = ? AND voided_at IS NULL", id).
		Updates(MiteCount{VoidedAt: &at, VoidReason: reason}).Error
}

// Thresholds are the operation's own, where it has any.
func (o Operation) Thresholds(ctx context.Context) ([]Threshold, error) {
	return all[Threshold](o.own(ctx))
}

// SetThresholds writes the thresholds over what was there.
func (o Operation) SetThresholds(ctx context.Context, rows []Threshold) error {
	return o.db.WithContext(ctx).Clauses(clause.OnConflict{UpdateAll: true}).Create(&rows).Error
}

// Latitudes gives the latitude of the yard of every colony.
func (o Operation) Latitudes(ctx context.Context) (map[string]float64, error) {
	return byID[float64](o.db.WithContext(ctx).Table("colonies").Select("colonies.id, yards.latitude AS value").
		Joins("JOIN yards ON yards.operation_id = colonies.operation_id AND yards.id = colonies.yard_id").
		Where("colonies.operation_id = ?", o.id))
}
