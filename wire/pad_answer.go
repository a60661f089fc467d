package wire

import (
	"keeler/core/method/pad"
)

// PadAnswer is one mixing of working acid, or ready pads, and whom it serves.
type PadAnswer struct{ pad.Plan }

// PadDilutionAnswer is a dilution alone.
type PadDilutionAnswer struct {
	Dilution pad.Dilution `json:"dilution"`
	Lines    []Line       `json:"lines"`
	Notes    []Note       `json:"notes" doc:"As a plan would say them."`
}

// PadAssayAnswer is what a density says.
type PadAssayAnswer struct {
	Percent    float64 `json:"percent" doc:"Strength by weight, %."`
	OffPercent float64 `json:"off_percent" doc:"How far off either way, %."`
}

// PadProtocol is one established way of giving formic acid.
type PadProtocol struct {
	ID        string    `json:"id"`
	Per       string    `json:"per" doc:"comb, box, colony, or day: g evaporated a day."`
	ML        float64   `json:"ml,omitempty" doc:"For it, mL."`
	AtPercent float64   `json:"at_percent,omitempty" doc:"The strength that ml is meant in, %."`
	GPerDay   []float64 `json:"g_per_day,omitempty" doc:"By day: g aimed at on one box, and on more."`
	Days      int       `json:"days,omitempty" doc:"By day: that a filling lasts."`
	From      string    `json:"from"`
	Visits    int       `json:"visits"`
	DaysApart int       `json:"days_apart,omitempty"`
	Default   bool      `json:"default,omitempty"`
}

// PadStrength is one strength on the ladder.
type PadStrength struct {
	ID      string  `json:"id"`
	Percent float64 `json:"percent" doc:"By weight, %."`
	Worked  bool    `json:"worked" doc:"Protocols work with it; otherwise it is only bought."`
}

// PlanPad works out working acid or ready pads. Its error is a fault.List whose
// fields are paths in the request.
func PlanPad(r PadRequest) (PadAnswer, error) {
	w, err := work(&r)
	if err != nil {
		return PadAnswer{}, err
	}
	return *w.Answer.Pad, nil
}

// DilutePad works out a dilution alone.
func DilutePad(r PadDilutionRequest) (PadDilutionAnswer, error) {
	a, err := PlanPad(PadRequest{Request: pad.Request{
		Hold: r.Hold, Working: r.Working, Size: r.Size, Balance: r.Balance, Aim: pad.Aim{Protocol: pad.DefaultProtocol},
	}})
	return PadDilutionAnswer{Dilution: a.Dilution, Lines: a.Lines, Notes: a.Notes}, err
}

// AssayPad reads a strength out of a density.
func AssayPad(r PadAssayRequest) (PadAssayAnswer, error) {
	strength, off, err := pad.Assay(r.Reading)
	return PadAssayAnswer{Percent: round(100 * strength), OffPercent: round(100 * off)}, err
}

// PadProtocols lists the established ways.
func PadProtocols() []PadProtocol {
	out := make([]PadProtocol, len(pad.Protocols))
	for i, s := range pad.Protocols {
		out[i] = PadProtocol{
			ID: s.ID, Per: string(s.Rule.Per), ML: float64(s.Rule.ML), AtPercent: round(100 * s.Rule.At),
			From: string(s.Rule.From), Visits: s.Rule.Visits, DaysApart: s.Rule.Apart, Default: s.ID == pad.DefaultProtocol,
		}
		if s.Rule.Per == pad.PerDay {
			out[i].GPerDay, out[i].Days = []float64{float64(s.Rule.Day[0]), float64(s.Rule.Day[1])}, s.Rule.Days
		}
	}
	return out
}

// PadStrengths lists what is worked with and bought, the weakest first.
func PadStrengths() []PadStrength {
	return []PadStrength{
		{"weak", round(100 * pad.WeakestWorking), true},
		{"strong", round(100 * pad.StrongestWorking), true},
		{"bought", round(100 * pad.StrongestBought), false},
	}
}
