package hive

import (
	"errors"
	"reflect"
	"testing"

	"keeler/core/fault"
)

func TestReadCounts(t *testing.T) {
	for typed, want := range map[string][][]float64{
		"6 5½ 7,25": {{6}, {5.5}, {7.25}}, "7+4;½": {{7, 4}, {0.5}}, " 3¾\t2.5+¼ ": {{3.75}, {2.5, 0.25}}, ".5 ,75": {{0.5}, {0.75}}, "": nil, " ; ": nil, "0": {{0}},
	} {
		if got, err := ReadCounts(typed, 2); err != nil || !reflect.DeepEqual(got, want) {
			t.Errorf("%q: got %v %v, want %v", typed, got, err, want)
		}
	}
	// What is no count, and which it is.
	for typed, place := range map[string]float64{
		"6 lots": 2, "1+2+3": 1, "5 6 7+": 3, "+4": 1, "-3": 1, "5½½": 1, "3O": 1, "1e3": 1, "5..5": 1, "½5": 1, "6 7 +": 3, "0x10": 1, "NaN": 1, "5.": 1,
	} {
		var l fault.List
		if _, err := ReadCounts(typed, 2); !errors.As(err, &l) || len(l) != 1 || l[0].Reason != fault.NoCount || l[0].Low != place {
			t.Errorf("%q: got %v, want number %v to be no count", typed, err, place)
		}
	}
}

func FuzzReadCounts(f *testing.F) {
	f.Add("6 5½ 7+4", 2)
	f.Add("99999999999999999999½ ,", 1)
	f.Fuzz(func(t *testing.T, typed string, boxes int) {
		got, err := ReadCounts(typed, boxes)
		for _, h := range got {
			if err != nil || len(h) == 0 || len(h) > boxes {
				t.Fatalf("%q in %d boxes: %v %v", typed, boxes, got, err)
			}
			for _, n := range h {
				if !(n >= 0) {
					t.Fatalf("%q: %v", typed, n)
				}
			}
		}
	})
}
