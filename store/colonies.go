package store

import (
	"context"
	"time"

	"github.com/samber/lo"
	"gorm.io/gorm"
)

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

// ColoniesSince lists those that live or ended on a day or later, likewise.
func (o Operation) ColoniesSince(ctx context.Context, day time.Time) ([]Colony, error) {
	return o.stacked(ctx, "(ended_on IS NULL OR ended_on >= ?)", day)
}

// Stood are yards, and since when colonies are asked for that stood there.
type Stood struct {
	Yards []string
	Since time.Time
}

// ColoniesOf is ColoniesSince for some yards.
func (o Operation) ColoniesOf(ctx context.Context, s Stood) ([]Colony, error) {
	return o.stacked(ctx, "yard_id IN ? AND (ended_on IS NULL OR ended_on >= ?)", s.Yards, s.Since)
}

// ClosedIn lists those that ended in a yard, the last first, without their boxes.
func (o Operation) ClosedIn(ctx context.Context, yard string) ([]Colony, error) {
	return all[Colony](o.own(ctx).Where("yard_id = ? AND ended_on IS NOT NULL", yard).Order("ended_on DESC, name").Limit(closedMost))
}

// closedMost is how many closed hives of a yard are listed.
const closedMost = 500

func (o Operation) living(ctx context.Context, where string, of any) ([]Colony, error) {
	return o.stacked(ctx, "ended_on IS NULL AND "+where, of)
}

// stacked reads colonies with their boxes.
func (o Operation) stacked(ctx context.Context, where string, of ...any) ([]Colony, error) {
	living := func() *gorm.DB { return o.own(ctx).Where(where, of...) }
	out, err := all[Colony](living().Order("yard_id, position, name"))
	if err != nil {
		return nil, err
	}
	boxes, err := all[ColonyBox](o.own(ctx).Where("colony_id IN (?)", living().Model(&Colony{}).Select("id")).Order("colony_id, position"))
	by := lo.GroupBy(boxes, func(b ColonyBox) string { return b.ColonyID })
	for i, c := range out {
		out[i].Boxes = by[c.ID]
	}
	return out, err
}

// stack numbers the boxes of a colony from the floor up.
func (c *Colony) stack() {
	for i := range c.Boxes {
		c.Boxes[i].ColonyID, c.Boxes[i].Position = c.ID, i
	}
}

// ChangeColony writes a colony and its boxes over the version that it carries, and what
// thereby happened to its bees.
func (o Operation) ChangeColony(ctx context.Context, c Colony, happened ...Event) error {
	return o.Within(ctx, func(o Operation) error {
		row := Colony{Name: c.Name, Nuc: c.Nuc, ForHoney: c.ForHoney, Queen: c.Queen, QueenOn: c.QueenOn, Notes: c.Notes, Version: c.Version + 1}
		if err := o.change(ctx, &row, c.ID, row.Version, "name", "nuc", "for_honey", "queen", "queen_on", "notes"); err != nil {
			return err
		}
		if err := o.own(ctx).Where("colony_id = ?", c.ID).Delete(&ColonyBox{}).Error; err != nil {
			return err
		}
		c.stack()
		if err := o.db.Create(&c.Boxes).Error; err != nil {
			return err
		}
		return o.happened(happened...)
	})
}

// Arrange puts the colonies of a yard in an order.
func (o Operation) Arrange(ctx context.Context, yard string, colonies []string) error {
	return o.Within(ctx, func(o Operation) error {
		for i, id := range colonies {
			err := o.own(ctx).Model(&Colony{}).Where("id = ? AND yard_id = ?", id, yard).Update("position", i).Error
			if err != nil {
				return err
			}
		}
		return nil
	})
}

// Stand writes a new colony at the end of its yard's line, and what thereby happened.
func (o Operation) Stand(ctx context.Context, c *Colony, happened ...Event) error {
	c.Version = 1
	c.stack()
	return taken(o.Within(ctx, func(o Operation) error {
		var err error
		if c.Position, err = o.lineEnd(ctx, c.YardID); err != nil {
			return err
		}
		if err := o.db.Create(c).Error; err != nil {
			return err
		}
		return o.happened(happened...)
	}))
}

// lineEnd is the first free place behind the line of a yard, which is held.
func (o Operation) lineEnd(ctx context.Context, yard string) (int, error) {
	if err := o.HoldYard(ctx, yard); err != nil {
		return 0, err
	}
	return value[int](o.own(ctx).Model(&Colony{}).Where("yard_id = ?", yard).Select("COALESCE(MAX(position), -1) + 1"))
}

// Move brings a colony to another yard, at the end of its line.
func (o Operation) Move(ctx context.Context, id, yard string, version int, happened Event) error {
	return o.Within(ctx, func(o Operation) error {
		end, err := o.lineEnd(ctx, yard)
		if err != nil {
			return err
		}
		if err := o.change(ctx, &Colony{YardID: yard, Position: end, Version: version + 1}, id, version+1, "yard_id", "position"); err != nil {
			return err
		}
		return o.happened(happened)
	})
}

// End closes a colony.
func (o Operation) End(ctx context.Context, id string, version int, on time.Time, reason string, happened ...Event) error {
	return o.Within(ctx, func(o Operation) error {
		if err := o.change(ctx, &Colony{EndedOn: &on, EndReason: reason, Version: version + 1}, id, version+1, "ended_on", "end_reason"); err != nil {
			return err
		}
		return o.happened(happened...)
	})
}

// Reopen takes back that a colony ended.
func (o Operation) Reopen(ctx context.Context, id string, version int, happened ...Event) error {
	return o.Within(ctx, func(o Operation) error {
		if err := o.change(ctx, &Colony{Version: version + 1}, id, version+1, "ended_on", "end_reason"); err != nil {
			return err
		}
		return o.happened(happened...)
	})
}

// Stands counts the living colonies of each yard.
func (o Operation) Stands(ctx context.Context) (map[string]int, error) {
	// A living name is one a colony; its index is read alone.
	return byID[int](o.own(ctx).Table("colonies FORCE INDEX (living)").Select("yard_id AS id, COUNT(living_name) AS value").Group("yard_id"))
}

// LastPosition is the last place that is taken in the line of each yard.
func (o Operation) LastPosition(ctx context.Context) (map[string]int, error) {
	return byID[int](o.own(ctx).Model(&Colony{}).Select("yard_id AS id, MAX(position) AS value").Group("yard_id"))
}
