package dribble

import (
	"keeler/core/chem"
	"keeler/core/fault"
)

// target is what the syrup shall be: its strength and its sugar's share of
// water and sugar.
type target struct {
	strength chem.GramsPerLitre
	sugar    chem.Share
}

// resolve turns the keeper's aim into a target, refusing what does not stay
// dissolved at room temperature. The request has passed check.
func (r Request) resolve() (target, error) {
	if r.Hold.Kind == ReadyToUse {
		return target{strength: r.Hold.Card.strength()}, nil
	}
	t := target{sugar: 0.5}
	protocol, _ := Find(r.Aim.Protocol)
	if r.Aim.By == ByProtocol {
		t.sugar = protocol.Recipe.SugarShare()
	}
	if r.SugarRatio > 0 {
		t.sugar = chem.Share(r.SugarRatio / (1 + r.SugarRatio))
	}
	if r.Hold.Kind == ReadyMix { // sugar is asked for of the whole weight, the acid's included
		t.sugar = *r.ThinSugar
		if r.Aim.By == ByValue && r.Aim.Form == chem.PercentWeight {
			acid := chem.Share(chem.ToDihydrate(r.Aim.Value, r.Aim.Basis) / 100)
			t.sugar = min(*r.ThinSugar/max(1-acid, *r.ThinSugar), 1)
		}
	}
	medium := r.medium(t.sugar)

	var l fault.List
	top := chem.MaxStrength(t.sugar, RoomTemperature)
	switch r.Aim.By {
	case ByProtocol:
		t.strength = protocol.Recipe.Strength()
		if t.strength > top {
			l.AddRange("sugar_per_water", fault.Insoluble, 0, 0, "")
		}
	case ByPacket:
		oad := float64(r.Hold.Grams * r.Hold.gram().OAD)
		t.strength = chem.GramsPerLitre(1000 * oad / float64(r.Hold.MadeUpTo))
		low, high := 1000*oad/float64(top), 1000*oad/MinStrength
		if t.strength > top {
			l.AddRange("hold.made_up_to_ml", fault.Insoluble, low, high, "mL")
		} else {
			l.Within("hold.made_up_to_ml", float64(r.Hold.MadeUpTo), low, high, "mL")
		}
	case ByValue:
		form, basis := r.Aim.Form, r.Aim.Basis
		low, high := medium.FromPerLitre(MinStrength, form, basis), medium.FromPerLitre(top, form, basis)
		if l.Within("strength.value", r.Aim.Value, low, high, unitOf(form)) {
			t.strength = medium.ToPerLitre(r.Aim.Value, form, basis)
		} else if l[0].Reason == fault.TooHigh {
			l[0].Reason = fault.Insoluble
		}
	}
	return t, l.Err()
}

func (r Request) medium(sugar chem.Share) chem.Medium {
	return chem.Medium{Sugar: sugar, FullSeam: r.Rule.Seam(), Cap: r.Rule.Most()}
}
