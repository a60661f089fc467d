package hive

import "strconv"

// MarshalJSON tells the bees in a gap as a part of a full one, 0 to 1.
func (s Seam) MarshalJSON() ([]byte, error) {
	return strconv.AppendFloat(nil, float64(s)/float64(Full), 'f', -1, 64), nil
}

// UnmarshalJSON reads what MarshalJSON wrote.
func (s *Seam) UnmarshalJSON(text []byte) error {
	part, err := strconv.ParseFloat(string(text), 64)
	*s = Seam(part * float64(Full))
	return err
}
