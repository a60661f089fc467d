package chem

// Form is a way of quoting a strength.
type Form string

const (
	PerLitre       Form = "g_per_l"      // g per litre of finished liquid
	PercentVolume  Form = "percent_wv"   // g per 100 mL
	PercentWeight  Form = "percent_ww"   // g per 100 g
	PerSeam        Form = "mg_per_seam"  // mg in the dose of a full seam
	PerColonyAtCap Form = "g_per_colony" // g in the largest dose of a colony
)

// Medium is what a strength must be read against: the sugar share of water and
// sugar (for % w/w) and the doses (for the amounts per seam and colony).
type Medium struct {
	Sugar    Share
	FullSeam Millilitres
	Cap      Millilitres
}

// ToPerLitre gives g OAD per litre for a value quoted in a form and on a basis.
// An unknown form is taken as g per litre; callers check it first.
func (m Medium) ToPerLitre(value float64, f Form, b Basis) GramsPerLitre {
	v := ToDihydrate(value, b)
	switch f {
	case PercentVolume:
		return GramsPerLitre(v * 10)
	case PercentWeight:
		rest := (100 - v) / float64(SugarDensity(m.Sugar))
		return GramsPerLitre(1000 * v / (rest + OxalicVolume*v))
	case PerSeam:
		return GramsPerLitre(v / float64(m.FullSeam))
	case PerColonyAtCap:
		return GramsPerLitre(1000 * v / float64(m.Cap))
	}
	return GramsPerLitre(v)
}

// FromPerLitre is the inverse of ToPerLitre.
func (m Medium) FromPerLitre(s GramsPerLitre, f Form, b Basis) float64 {
	v := float64(s)
	switch f {
	case PercentVolume:
		v /= 10
	case PercentWeight:
		rest := (1000 - OxalicVolume*v) * float64(SugarDensity(m.Sugar))
		v = 100 * v / (rest + v)
	case PerSeam:
		v *= float64(m.FullSeam)
	case PerColonyAtCap:
		v *= float64(m.Cap) / 1000
	}
	return FromDihydrate(v, b)
}
