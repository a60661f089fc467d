package wire

import (
	"strings"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/method/dribble"
)

// PlanDribble works out a batch of syrup. Like all calculations here, its error is a fault.List
// whose fields are paths in the request.
func PlanDribble(r DribbleRequest) (DribbleAnswer, error) {
	w, err := work(&r)
	if err != nil {
		return DribbleAnswer{}, err
	}
	return *w.Answer.Dribble, nil
}

// plan is that of a request which names no colonies.
func plan(r dribble.Request) (DribbleAnswer, error) { return PlanDribble(DribbleRequest{Request: r}) }

// Dose works out what each colony gets.
func Dose(r DoseRequest) (DoseAnswer, error) {
	var l fault.List
	colonies := readColonies(r.Colonies, &l)
	l.Within("g_per_l", r.GPerL, dribble.MinStrength, 150, "g/L")
	l.Within("colonies", float64(len(r.Colonies)), 1, 1000, "colonies")
	if len(l) > 0 {
		return DoseAnswer{}, l
	}
	rule, with, strength := r.Rule, chem.Or(r.Applicator, dribble.UsualApplicator), chem.GramsPerLitre(r.GPerL)
	doses, err := dribble.Dose(colonies, rule, nil, with, strength)
	if err != nil {
		return DoseAnswer{}, err
	}
	out := DoseAnswer{
		Doses: colonyDoses(doses, strength),
		Notes: said(method.Dribble, dribble.DoseNotes(doses, rule, with, strength)),
	}
	for _, d := range out.Doses {
		out.Given += d.Given
	}
	return out, nil
}

// Packet says how far packets in hand go.
func Packet(r PacketRequest) (PacketAnswer, error) {
	if r.Hold.Kind != dribble.Packet {
		return PacketAnswer{}, fault.List{{Field: "hold.kind", Reason: fault.NotFitting}}
	}
	p, err := plan(dribble.Request{Hold: r.Hold, Aim: r.Strength, Size: Size{By: dribble.SizeHand}})
	return PacketAnswer{
		OADG: round(float64(r.Hold.Grams) * r.Hold.Count * float64(r.Hold.Share)), Volume: p.Volume,
		Strength: p.Strength, AtCap: p.AtCap, FullSeams: p.FullSeams, Notes: p.Notes,
	}, err
}

// Tablets rounds to whole tablets and says what strength they really give.
func Tablets(r TabletsRequest) (TabletsAnswer, error) {
	if r.Hold.Kind != dribble.Tablets {
		return TabletsAnswer{}, fault.List{{Field: "hold.kind", Reason: fault.NotFitting}}
	}
	size := Size{By: dribble.SizeVolume, Volume: chem.Millilitres(r.VolumeML)}
	p, err := plan(dribble.Request{Hold: r.Hold, Aim: r.Strength, Size: size})
	if err != nil {
		return TabletsAnswer{}, under(err, "size.")
	}
	return TabletsAnswer{
		Tablets: int(p.Use.Count), Made: *p.Made, Lines: p.Lines, Strength: p.Strength, Notes: p.Notes,
	}, nil
}

// Thinning lets a bought solution down.
func Thinning(r ThinningRequest) (ThinningAnswer, error) {
	p, err := plan(dribble.Request{
		Hold: Hold{Kind: dribble.ReadyMix, Stock: r.Stock}, Aim: r.Strength, ThinSugar: &r.Sugar,
		Size: Size{By: dribble.SizeVolume, Volume: chem.Millilitres(r.VolumeML)},
	})
	if err != nil {
		return ThinningAnswer{}, under(under(err, "size."), "hold.")
	}
	return ThinningAnswer{Thinning: *p.Thinning, Made: *p.Made, Strength: p.Strength, Notes: p.Notes}, nil
}

// Calibrate gives what one shot gives.
func Calibrate(r CalibrationRequest) (CalibrationAnswer, error) {
	var l fault.List
	if r.Liquid != "water" && r.Liquid != "syrup" {
		l.Add("liquid", fault.Unknown)
	}
	usual, _ := dribble.Find(dribble.DefaultProtocol)
	strength := usual.Recipe.Strength()
	if r.GPerL != 0 && l.Within("g_per_l", r.GPerL, dribble.MinStrength, 150, "g/L") {
		strength = chem.GramsPerLitre(r.GPerL)
	}
	if len(l) > 0 {
		return CalibrationAnswer{}, l
	}
	unit, err := dribble.Calibrate(r.Shots, chem.Grams(r.Grams), dribble.Calibrated(r.Liquid == "water", strength))
	return CalibrationAnswer{UnitML: round(unit)}, err
}

// Convert gives a strength in every form.
func Convert(r StrengthRequest) (Strength, error) {
	p, err := plan(dribble.Request{
		Hold: Hold{Kind: dribble.Crystals}, Aim: r.Strength, SugarRatio: r.SugarPerWater, Rule: r.Rule,
		Size: Size{By: dribble.SizeVolume, Volume: 1000},
	})
	return p.Strength, err
}

// Protocols lists the established recipes, weakest first.
func Protocols() []Protocol {
	out := make([]Protocol, len(dribble.Protocols))
	for i, s := range dribble.Protocols {
		m := chem.Medium{Sugar: s.Recipe.SugarShare(), FullSeam: dribble.UsualSeam, Cap: dribble.UsualCap}
		out[i] = Protocol{
			ID: s.ID, Recipe: mixture(s.Recipe), Strength: strength(s.Recipe.Strength(), m),
			Default: s.ID == dribble.DefaultProtocol,
		}
	}
	return out
}

// under takes a prefix off the fields of an error, for a request that is flatter
// than a plan's.
func under(err error, prefix string) error {
	return refield(err, func(field string) string { return strings.TrimPrefix(field, prefix) })
}
