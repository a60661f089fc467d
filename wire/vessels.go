package wire

import "keeler/core/fault"

// Vessel is a jar, bottle or pot at hand.
type Vessel struct {
	Name string  `json:"name" maxLength:"40" doc:"What the keeper calls it."`
	Kind string  `json:"kind" enum:"jar,bottle,pot"`
	ML   float64 `json:"ml" doc:"What it holds, mL, 20 to 100000."`
}

// Vessels are all that an operation mixes and keeps in.
type Vessels struct {
	Vessels []Vessel `json:"vessels" maxItems:"12"`
}

// Check names what cannot be, and trims the names.
func (v Vessels) Check() error {
	var l fault.List
	for i := range v.Vessels {
		at := fault.Index("vessels", i)
		v.Vessels[i].Name = l.Said(at+".name", v.Vessels[i].Name)
		l.Within(at+".ml", v.Vessels[i].ML, 20, 100000, "mL")
	}
	return l.Err()
}
