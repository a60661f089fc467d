package note

import (
	"reflect"
	"testing"
)

// A note about several colonies names each, and tells the worst of them.
func TestRaise(t *testing.T) {
	n := Warning("much", 0, 330).In("mg")
	for _, c := range []struct {
		colony string
		figure float64
	}{{"R1", 340}, {"R2", 410}, {"R3", 335}} {
		n.Raise(c.colony, c.figure)
	}
	want := Note{Code: "much", Warn: true, Figures: []float64{410, 330}, Unit: "mg", Colonies: []string{"R1", "R2", "R3"}}
	if !reflect.DeepEqual(n, want) {
		t.Errorf("got %+v, want %+v", n, want)
	}
	if Info("only").Warn {
		t.Error("what only explains warns")
	}
}
