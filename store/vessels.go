package store

import "context"

// Vessel is a jar, bottle or pot at hand.
type Vessel struct {
	OperationID uint64
	Position    int
	Name        string
	Kind        string
	ML          float64 `gorm:"column:ml"`
}

// Vessels lists what is mixed and kept in.
func (o Operation) Vessels(ctx context.Context) ([]Vessel, error) {
	return all[Vessel](o.own(ctx).Order("position"))
}

// SetVessels puts these in the place of those before.
func (o Operation) SetVessels(ctx context.Context, rows []Vessel) error {
	for i := range rows {
		rows[i].Position = i
	}
	return replaced(ctx, o, rows)
}
