package pad

import (
	"keeler/core/chem"
	"keeler/core/fault"
)

// Dilution is stock and water that make the working acid, by weight; volumes at 20 °C.
type Dilution struct {
	Stock     chem.Grams       `json:"stock_g" doc:"g of the acid as bought."`
	StockML   chem.Millilitres `json:"stock_ml" doc:"The same, mL."`
	Water     chem.Grams       `json:"water_g" doc:"g of water."`
	WaterML   chem.Millilitres `json:"water_ml" doc:"The same, mL."`
	Working   chem.Grams       `json:"working_g" doc:"g of working acid."`
	WorkingML chem.Millilitres `json:"working_ml" doc:"The same, mL."`
	Shrinkage chem.Millilitres `json:"shrinkage_ml" doc:"By so much stock and water apart take up more room, mL."`
}

// Given says which of the three is known.
type Given string

const (
	GivenWorking Given = "working"
	GivenStock   Given = "stock"
	GivenWater   Given = "water"
)

// Dilute works out the other two of stock, water and working acid. Strengths are
// by mass, the working one at most the stock's; with water given, below it.
//
// Source: stock × its strength = working × its strength; the rest is water.
func Dilute(stock, working chem.Share, given Given, mass chem.Grams) Dilution {
	part := chem.Grams(working / stock) // of stock in the working acid
	d := Dilution{}
	switch given {
	case GivenStock:
		d.Working = mass / part
	case GivenWater:
		d.Working = mass / (1 - part)
	default:
		d.Working = mass
	}
	d.Stock = d.Working * part
	d.Water = d.Working - d.Stock
	d.StockML = chem.FormicVolume(d.Stock, stock)
	d.WaterML = chem.FormicVolume(d.Water, 0)
	d.WorkingML = chem.FormicVolume(d.Working, working)
	d.Shrinkage = d.StockML + d.WaterML - d.WorkingML
	return d
}

// checkDown appends a fault when the acid would have to become stronger.
func checkDown(stock, working chem.Share, l *fault.List) {
	if !l.Within("working_percent", float64(working)*100, 5, 100, "%") {
		return
	}
	if working > stock {
		l.AddRange("working_percent", fault.Upward, 5, float64(stock)*100, "%")
	}
}
