package store

import (
	"context"
	"encoding/json"
)

// Alike gives each name a key, which those have in common that the database takes for one
// name: by case, by width, by how their letters are put together.
func (o Operation) Alike(ctx context.Context, names []string) (map[string]string, error) {
	list, err := json.Marshal(names)
	if err != nil {
		return nil, err
	}
	var rows []struct {
		I      int
		Weight string
	}
	err = o.db.WithContext(ctx).Raw(`SELECT n.i, HEX(WEIGHT_STRING(n.name COLLATE utf8mb4_uca1400_as_ci)) AS weight
		FROM JSON_TABLE(?, '$[*]' COLUMNS (i FOR ORDINALITY, name VARCHAR(200) PATH '$')) n`, string(list)).Scan(&rows).Error
	out := make(map[string]string, len(names))
	for _, r := range rows {
		out[names[r.I-1]] = r.Weight
	}
	return out, err
}
