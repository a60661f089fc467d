package chem

import (
	"math"
	"strconv"
)

// Clean frees a figure of binary dust, to six decimals: far finer than anything that is
// weighed or drawn up.
func Clean[T ~float64](v T) float64 { return math.Round(float64(v)*1e6) / 1e6 }

// MarshalJSON tells a quantity as a clean number in its own unit; a Share as a percentage.
func (v Grams) MarshalJSON() ([]byte, error)              { return told(v) }
func (v Milligrams) MarshalJSON() ([]byte, error)         { return told(v) }
func (v Millilitres) MarshalJSON() ([]byte, error)        { return told(v) }
func (v Litres) MarshalJSON() ([]byte, error)             { return told(v) }
func (v GramsPerLitre) MarshalJSON() ([]byte, error)      { return told(v) }
func (v GramsPerMillilitre) MarshalJSON() ([]byte, error) { return told(v) }
func (v Celsius) MarshalJSON() ([]byte, error)            { return told(v) }
func (v Share) MarshalJSON() ([]byte, error)              { return told(100 * v) }

// UnmarshalJSON reads a percentage.
func (v *Share) UnmarshalJSON(text []byte) error {
	percent, err := strconv.ParseFloat(string(text), 64)
	*v = Share(percent / 100)
	return err
}

// Or is what was said, or else what is usual.
func Or[T any](said *T, usual T) T {
	if said == nil {
		return usual
	}
	return *said
}

func told[T ~float64](v T) ([]byte, error) {
	return strconv.AppendFloat(nil, Clean(v), 'f', -1, 64), nil
}
