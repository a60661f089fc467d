package store

import (
	"context"
	"errors"
	"time"

	"github.com/go-sql-driver/mysql"
	"gorm.io/gorm"
	"gorm.io/gorm/clause"
)

// Yard is a place where hives stand.
type Yard struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	Name        string
	Place       string
	Latitude    float64
	DeepFrom    string // month and day; empty: by the latitude
	DeepTo      string
	Notes       string
	Version     int
	CreatedAt   time.Time
}

// Colony is the bees of one hive.
type Colony struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ID          string `gorm:"primaryKey"`
	YardID      string
	Name        string
	Position    int
	Nuc         bool
	ForHoney    bool
	Queen       string
	QueenOn     *time.Time
	Notes       string
	Version     int
	StartedOn   time.Time
	EndedOn     *time.Time
	EndReason   string
	CreatedAt   time.Time
	Boxes       []ColonyBox `gorm:"foreignKey:OperationID,ColonyID;references:OperationID,ID"`
}

// ColonyBox is a box of a hive, from the floor up; Slots has a letter a place.
type ColonyBox struct {
	OperationID uint64 `gorm:"primaryKey;autoIncrement:false"`
	ColonyID    string `gorm:"primaryKey"`
	Position    int    `gorm:"primaryKey;autoIncrement:false"`
	Kind        string
	Slots       string
}

// ErrStale is returned when somebody else changed a row meanwhile.
var ErrStale = errors.New("changed by somebody else meanwhile")

// bulk is how many rows go into one statement.
const bulk = 1000

// Yards lists the yards by name.
func (o Operation) Yards(ctx context.Context) ([]Yard, error) {
	var out []Yard
	return out, o.own(ctx).Order("name").Find(&out).Error
}

// Yard reads one.
func (o Operation) Yard(ctx context.Context, id string) (Yard, error) {
	return first[Yard](o.own(ctx).Where("id = ?", id))
}

// AddYard writes a new yard.
func (o Operation) AddYard(ctx context.Context, y *Yard) error {
	y.OperationID, y.Version = o.id, 1
	return taken(o.db.WithContext(ctx).Create(y).Error)
}

// ChangeYard writes a yard over the version that it carries.
func (o Operation) ChangeYard(ctx context.Context, y Yard) error {
	return o.change(ctx, &Yard{}, y.ID, y.Version, map[string]any{
		"name": y.Name, "place": y.Place, "latitude": y.Latitude, "deep_from": y.DeepFrom, "deep_to": y.DeepTo, "notes": y.Notes,
	})
}

// change writes columns of a row when it still has the version.
func (o Operation) change(ctx context.Context, model any, id string, version int, columns map[string]any) error {
	columns["version"] = version + 1
	done := o.own(ctx).Model(model).Where("id = ? AND version = ?", id, version).Updates(columns)
	if done.Error != nil {
		return taken(done.Error)
	}
	if done.RowsAffected > 0 {
		return nil
	}
	var n int64
	if err := o.own(ctx).Model(model).Where("id = ?", id).Count(&n).Error; err != nil {
		return err
	}
	if n == 0 {
		return ErrNotFound
	}
	return ErrStale
}

func taken(err error) error {
	switch {
	case errors.Is(err, gorm.ErrDuplicatedKey):
		return ErrTaken
	case errors.Is(err, gorm.ErrForeignKeyViolated):
		return ErrNotFound
	}
	return err
}

// Colonies lists all living colonies in stand order with their boxes.
func (o Operation) Colonies(ctx context.Context) ([]Colony, error) {
	return o.living(ctx, "operation_id = ?", o.id)
}

// ColoniesIn lists the living colonies of a yard, likewise.
func (o Operation) ColoniesIn(ctx context.Context, yard string) ([]Colony, error) {
	return o.living(ctx, "yard_id = ?", yard)
}

// ColoniesAmong lists those of some colonies that live, likewise.
func (o Operation) ColoniesAmong(ctx context.Context, ids []string) ([]Colony, error) {
	return o.living(ctx, "id IN ?", ids)
}

func (o Operation) living(ctx context.Context, where string, of any) ([]Colony, error) {
	var out []Colony
	if err := o.own(ctx).Where("ended_on IS NULL").Where(where, of).Order("yard_id, position, name").Find(&out).Error; err != nil {
		return nil, err
	}
	var rows []ColonyBox
	boxes := o.own(ctx).Where("colony_id IN (?)", o.own(ctx).Model(&Colony{}).Select("id").Where("ended_on IS NULL").Where(where, of))
	if err := boxes.Order("colony_id, position").Find(&rows).Error; err != nil {
		return nil, err
	}
	at := make(map[string]int, len(out))
	for i, c := range out {
		at[c.ID] = i
	}
	for _, b := range rows {
		if i, living := at[b.ColonyID]; living {
			out[i].Boxes = append(out[i].Boxes, b)
		}
	}
	return out, nil
}

// Colony reads one, living or not.
func (o Operation) Colony(ctx context.Context, id string) (Colony, error) {
	return first[Colony](o.own(ctx).Where("id = ?", id).
		Preload("Boxes", func(db *gorm.DB) *gorm.DB { return db.Order("position") }))
}

// Import writes yards and colonies with their boxes, all or nothing.
func (o Operation) Import(ctx context.Context, yards []Yard, colonies []Colony) error {
	boxes := make([]ColonyBox, 0, len(colonies))
	for i := range yards {
		yards[i].OperationID, yards[i].Version = o.id, 1
	}
	for i := range colonies {
		c := &colonies[i]
		c.OperationID, c.Version = o.id, 1
		boxes = append(boxes, o.stack(c.ID, c.Boxes)...)
	}
	return taken(o.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error {
		if len(yards) > 0 {
			if err := tx.CreateInBatches(yards, bulk).Error; err != nil {
				return err
			}
		}
		if err := tx.Omit(clause.Associations).CreateInBatches(colonies, bulk).Error; err != nil {
			return err
		}
		return tx.CreateInBatches(boxes, bulk).Error
	}))
}

func (o Operation) stack(colony string, boxes []ColonyBox) []ColonyBox {
	for i := range boxes {
		boxes[i].OperationID, boxes[i].ColonyID, boxes[i].Position = o.id, colony, i
	}
	return boxes
}

// ChangeColony writes a colony and its boxes over the version that it carries, and what
// thereby happened to its bees.
func (o Operation) ChangeColony(ctx context.Context, c Colony, happened ...Event) error {
	return o.within(ctx, func(o Operation) error {
		err := o.change(ctx, &Colony{}, c.ID, c.Version, map[string]any{
			"name": c.Name, "nuc": c.Nuc, "for_honey": c.ForHoney, "queen": c.Queen, "queen_on": c.QueenOn, "notes": c.Notes,
		})
		if err != nil {
			return err
		}
		if err := o.own(ctx).Where("colony_id = ?", c.ID).Delete(&ColonyBox{}).Error; err != nil {
			return err
		}
		if err := o.db.Create(o.stack(c.ID, c.Boxes)).Error; err != nil {
			return err
		}
		return o.happened(happened...)
	})
}

// within does several things, all or nothing.
func (o Operation) within(ctx context.Context, do func(Operation) error) error {
	_, inside := o.db.Statement.ConnPool.(gorm.TxCommitter)
	for try := 1; ; try++ {
		err := o.db.WithContext(ctx).Transaction(func(tx *gorm.DB) error { return do(Operation{tx, o.id}) })
		// Of two that wait for each other the database ends one, whole: it is done again.
		if inside || try == mostTries || !deadlocked(err) {
			return err
		}
	}
}

const mostTries = 4

func deadlocked(err error) bool {
	const code = 1213
	var of *mysql.MySQLError
	return errors.As(err, &of) && of.Number == code
}

// Arrange puts the colonies of a yard in an order.
func (o Operation) Arrange(ctx context.Context, yard string, colonies []string) error {
	return o.within(ctx, func(o Operation) error {
		for i, id := range colonies {
			err := o.own(ctx).Model(&Colony{}).Where("id = ? AND yard_id = ?", id, yard).Update("position", i).Error
			if err != nil {
				return err
			}
		}
		return nil
	})
}

// Move brings a colony to another yard, at the end of its line.
func (o Operation) Move(ctx context.Context, id, yard string, version int, happened Event) error {
	return o.within(ctx, func(o Operation) error {
		var last int
		err := o.own(ctx).Model(&Colony{}).Where("yard_id = ?", yard).Select("COALESCE(MAX(position), -1)").Scan(&last).Error
		if err != nil {
			return err
		}
		if err := o.change(ctx, &Colony{}, id, version, map[string]any{"yard_id": yard, "position": last + 1}); err != nil {
			return err
		}
		return o.happened(happened)
	})
}

// Split writes the colony that was taken off another.
func (o Operation) Split(ctx context.Context, child *Colony, happened ...Event) error {
	child.OperationID, child.Version = o.id, 1
	return taken(o.within(ctx, func(o Operation) error {
		if err := o.db.Omit(clause.Associations).Create(child).Error; err != nil {
			return err
		}
		if err := o.db.Create(o.stack(child.ID, child.Boxes)).Error; err != nil {
			return err
		}
		return o.happened(happened...)
	}))
}

// End closes a colony.
func (o Operation) End(ctx context.Context, id string, version int, on time.Time, reason string, happened ...Event) error {
	return o.within(ctx, func(o Operation) error {
		if err := o.change(ctx, &Colony{}, id, version, map[string]any{"ended_on": on, "end_reason": reason}); err != nil {
			return err
		}
		return o.happened(happened...)
	})
}

// Reopen takes back that a colony ended.
func (o Operation) Reopen(ctx context.Context, id string, version int, happened ...Event) error {
	return o.within(ctx, func(o Operation) error {
		if err := o.change(ctx, &Colony{}, id, version, map[string]any{"ended_on": nil, "end_reason": ""}); err != nil {
			return err
		}
		return o.happened(happened...)
	})
}

// Stands counts the living colonies of each yard.
func (o Operation) Stands(ctx context.Context) (map[string]int, error) {
	var rows []struct {
		YardID string
		N      int
	}
	err := o.own(ctx).Model(&Colony{}).Where("ended_on IS NULL").Select("yard_id, COUNT(*) AS n").Group("yard_id").Scan(&rows).Error
	out := make(map[string]int, len(rows))
	for _, r := range rows {
		out[r.YardID] = r.N
	}
	return out, err
}

// LastPosition is the last place that is taken in the line of each yard.
func (o Operation) LastPosition(ctx context.Context) (map[string]int, error) {
	var rows []struct {
		YardID string
		Last   int
	}
	err := o.own(ctx).Model(&Colony{}).Select("yard_id, MAX(position) AS last").Group("yard_id").Scan(&rows).Error
	out := make(map[string]int, len(rows))
	for _, r := range rows {
		out[r.YardID] = r.Last
	}
	return out, err
}
