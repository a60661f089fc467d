package store

import (
	"encoding/json"
	"math"
	"testing"

	"github.com/pressly/goose/v3"
)

// A dribble that was kept before there were other methods is found again whole,
// with its composition; and the way back leads to what it was.
func TestMigrateKeptDribbles(t *testing.T) {
	s := open(t)
	provider, err := s.migrations()
	if err != nil {
		t.Fatal(err)
	}
	step := func(_ []*goose.MigrationResult, err error) {
		t.Helper()
		if err != nil {
			t.Fatal(err)
		}
	}
	step(provider.DownTo(t.Context(), 1))
	const inputs = `{"rule_worked_under":"permit","plan":{"hold":{"kind":"crystals"}}}`
	const answer = `{"made":{"oad_g":9.182,"water_g":157.41,"sugar_g":157.41},"strength":{"g_per_l":35.046},"lines":[{"step":"hot_water","water_c":65}]}`
	err = s.db.Exec(`INSERT INTO batches (operation_id, id, name, method, made_on, created_at, volume_ml, g_per_l, snapshot_version, inputs, answer)
		VALUES (1, 'old', 'Old', 'dribble', '2025-12-12T09:10', NOW(6), 262, 35.046, 1, ?, ?),
		       (1, 'product', 'Product', 'dribble', '2025-12-12T09:10', NOW(6), 200, 44, 1, '{"plan":{}}', '{"strength":{"g_per_l":44}}')`, inputs, answer).Error
	if err != nil {
		t.Fatal(err)
	}
	step(provider.Up(t.Context()))

	b, err := s.For(1).Batch(t.Context(), "old")
	if err != nil {
		t.Fatal(err)
	}
	if len(b.Components) != 3 || b.Components[0].Component != "oxalic_acid_dihydrate" || b.Components[0].Grams != 9.182 || b.SnapshotVersion != 2 {
		t.Errorf("got %+v, version %d", b.Components, b.SnapshotVersion)
	}
	var in struct {
		Rule   string `json:"rule_worked_under"`
		Recipe struct {
			Dribble struct{ Hold struct{ Kind string } }
		}
	}
	var out struct {
		Dribble struct {
			Lines []struct {
				TempC float64 `json:"temp_c"`
			}
		}
	}
	if err := json.Unmarshal(b.Inputs, &in); err != nil || in.Rule != "permit" || in.Recipe.Dribble.Hold.Kind != "crystals" {
		t.Errorf("inputs %s: %v", b.Inputs, err)
	}
	if err := json.Unmarshal(b.Answer, &out); err != nil || len(out.Dribble.Lines) != 1 || out.Dribble.Lines[0].TempC != 65 {
		t.Errorf("answer %s: %v", b.Answer, err)
	}
	// 44 g/L in 200 mL.
	if b.Number < 1 || b.Number > 2 || b.State != Planned || b.Unit != "ml" {
		t.Errorf("numbered %d, %s, in %s", b.Number, b.State, b.Unit)
	}
	if p, err := s.For(1).Batch(t.Context(), "product"); err != nil || len(p.Components) != 1 || math.Abs(p.Components[0].Grams-8.8) > 1e-9 {
		t.Errorf("a product: %+v %v", p.Components, err)
	}

	step(provider.DownTo(t.Context(), 1))
	var back struct {
		Inputs string
		GPerL  float64 `gorm:"column:g_per_l"`
	}
	err = s.db.Raw("SELECT JSON_COMPACT(JSON_EXTRACT(inputs, '$.plan')) AS inputs, g_per_l FROM batches WHERE id = 'old'").Scan(&back).Error
	if err != nil || back.Inputs != `{"hold":{"kind":"crystals"}}` || back.GPerL != 35.046 {
		t.Errorf("back: %+v %v", back, err)
	}
	step(provider.Up(t.Context()))
}
