package wire

import "testing"

// The narrow calculations agree with the plan they are a part of.
func TestNarrowCalculations(t *testing.T) {
	protocol := Aim{By: "protocol", Protocol: "label-litre"}

	// 35 g at 89 % are 31.15 g OAD; at 35.046 g/L that is 888.8 mL, 17 colonies.
	packet, err := Packet(PacketRequest{Hold: Hold{Kind: "packet", Grams: 35, Share: 0.89, Count: 1}, Strength: protocol})
	if err != nil || packet.OADG != 31.15 || packet.AtCap != 17 || packet.Volume < 888.7 || packet.Volume > 888.9 {
		t.Errorf("packet: %+v %v", packet, err)
	}
	tablets, err := Tablets(TabletsRequest{Hold: Hold{Kind: "tablets", Grams: 1, Share: 1}, Strength: protocol, VolumeML: 500})
	if err != nil || tablets.Tablets != 18 || tablets.Strength.GPerL != 36 {
		t.Errorf("tablets: %+v %v", tablets, err)
	}
	thin, err := Thinning(ThinningRequest{
		Stock:    Stock{Value: 6, Form: "percent_wv", Basis: "dihydrate"},
		Strength: Aim{By: "value", Value: 4.5, Form: "percent_wv", Basis: "dihydrate"}, Sugar: 0.30, VolumeML: 1000,
	})
	if err != nil || round(thin.StockVolume) != 750 || thin.Sugar < 343.3 || thin.Sugar > 343.7 || thin.Water < 36.7 || thin.Water > 37.3 {
		t.Errorf("thinning: %+v %v", thin, err)
	}
	// 45 g/L OAD is 4.5 % w/v, 3.2139 % w/v OAA.
	s, err := Convert(StrengthRequest{Strength: Aim{By: "value", Value: 45, Form: "g_per_l", Basis: "dihydrate"}})
	if err != nil || s.PercentWVOAD != 4.5 || s.PercentWVOAA != 3.2139 || s.Below != "medium" {
		t.Errorf("strength: %+v %v", s, err)
	}
	shot, err := Calibrate(CalibrationRequest{Shots: 10, Grams: 49.91, Liquid: "water"})
	if err != nil || shot.UnitML != 5 {
		t.Errorf("calibration: %+v %v", shot, err)
	}
	if _, err := Calibrate(CalibrationRequest{Shots: 10, Grams: 50, Liquid: "mead"}); err == nil {
		t.Error("a liquid of unknown density must be refused")
	}
	if _, err := Packet(PacketRequest{Hold: Hold{Kind: "tablets"}, Strength: protocol}); err == nil {
		t.Error("tablets are no packet")
	}
}
