package mixing

import (
	"math"

	"keeler/core/chem"
)

// Discard is how a batch that is not to be used is made harmless.
type Discard struct {
	Bicarbonate chem.Grams  `json:"bicarbonate_g"`
	Gas         chem.Litres `json:"gas_l"`
	Portions    int         `json:"portions" doc:"One after another, each when the foam of the last has fallen."`
	Each        chem.Grams  `json:"each_g"`
	Bucket      chem.Litres `json:"bucket_l" doc:"Water that makes the same a wash-down bucket."`
}

const (
	// bucket is the bicarbonate in a litre of the wash-down bucket, g. Source: the
	// trade's bucket.
	bucket = 45
	// portion is so little bicarbonate that its 3 L of gas rise as a foam that an
	// open vessel twice as large as its content holds, g.
	portion = 10
)

// DiscardOf tells how to neutralise the acid in a mixture.
func DiscardOf(m chem.Mixture) Discard {
	var d Discard
	d.Bicarbonate, d.Gas = Bicarbonate(m)
	if d.Bicarbonate <= 0 {
		return d
	}
	d.Portions = int(math.Ceil(float64(d.Bicarbonate) / portion))
	d.Each = d.Bicarbonate / chem.Grams(d.Portions)
	d.Bucket = chem.Litres(d.Bicarbonate / bucket)
	return d
}
