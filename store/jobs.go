package store

import (
	"context"
	"encoding/json"
	"errors"
	"time"

	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// LabelCard is what a keeper copied from the label of a product.
type LabelCard struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	Method      string
	Content     json.RawMessage
	Version     int
	CreatedAt   time.Time
}

// Job is one treatment of some colonies by one method.
type Job struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	Method      string
	School      string
	CardID      *string
	RuleKind    string
	RuleWords   string
	People      int
	UserID      uint64
	CreatedAt   time.Time
	Colonies    []JobColony `gorm:"foreignKey:OperationID,JobID;references:OperationID,ID"`
}

// JobColony is a colony of a job, and how it was judged when the job was made.
type JobColony struct {
	OperationID    uint64 `gorm:"primaryKey;autoIncrement:false"`
	JobID          string `gorm:"primaryKey"`
	Position       int    `gorm:"primaryKey;autoIncrement:false"`
	ColonyID       string
	Day            time.Time
	Verdict        string
	Reasons        string
	OverrideReason string
}

// Cards lists the label cards by name.
func (o Operation) Cards(ctx context.Context) ([]LabelCard, error) {
	var out []LabelCard
	return out, o.own(ctx).Order("name").Find(&out).Error
}

// Card reads one.
func (o Operation) Card(ctx context.Context, id string) (LabelCard, error) {
	return first[LabelCard](o.own(ctx).Where("id = ?", id))
}

// AddCard writes a new card.
func (o Operation) AddCard(ctx context.Context, c *LabelCard) error {
	c.OperationID, c.Version = o.id, 1
	return taken(o.db.WithContext(ctx).Create(c).Error)
}

// ChangeCard writes a card over the version that it carries.
func (o Operation) ChangeCard(ctx context.Context, c LabelCard) error {
	return o.change(ctx, &LabelCard{}, c.ID, c.Version, map[string]any{"name": c.Name, "method": c.Method, "content": c.Content})
}

// SaveJob writes a job with its colonies, all or nothing; created is false when
// the id is already there.
func (o Operation) SaveJob(ctx context.Context, j *Job) (created bool, err error) {
	j.OperationID = o.id
	for i := range j.Colonies {
		j.Colonies[i].OperationID, j.Colonies[i].JobID, j.Colonies[i].Position = o.id, j.ID, i
	}
	err = o.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		if err := tx.Omit(clause.Associations).Create(j).Error; err != nil {
			return err
		}
		return tx.CreateInBatches(j.Colonies, bulk).Error
	})
	if errors.Is(err, gorm.ErrDuplicatedKey) {
		return false, nil
	}
	return err == nil, taken(err)
}

// Jobs lists the newest with their colonies.
func (o Operation) Jobs(ctx context.Context) ([]Job, error) {
	var out []Job
	return out, o.own(ctx).Preload("Colonies", func(db *gorm.DB) *gorm.DB { return db.Order("position") }).
		Order("created_at DESC, id").Limit(100).Find(&out).Error
}

// Job reads one whole.
func (o Operation) Job(ctx context.Context, id string) (Job, error) {
	return first[Job](o.own(ctx).Where("id = ?", id).
		Preload("Colonies", func(db *gorm.DB) *gorm.DB { return db.Order("position") }))
}

// ColonyName is a colony as it is named in lists, living or not.
type ColonyName struct {
	ID    string
	Name  string
	Boxes int
}

// Names gives every colony's name and how many boxes its hive has.
func (o Operation) Names(ctx context.Context) (map[string]ColonyName, error) {
	var rows []ColonyName
	err := o.db.WithContext(ctx).Raw(`SELECT c.id, c.name, COUNT(b.position) AS boxes FROM colonies c
		LEFT JOIN colony_boxes b ON b.operation_id = c.operation_id AND b.colony_id = c.id
		WHERE c.operation_id = ? GROUP BY c.id, c.name`, o.id).Scan(&rows).Error
	out := make(map[string]ColonyName, len(rows))
	for _, r := range rows {
		out[r.ID] = r
	}
	return out, err
}
