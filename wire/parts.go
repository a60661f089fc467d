// Package wire holds the request and answer types of Keeler's calculations and
// turns them into core's types and back. It is shared by the HTTP API and by
// any other build that speaks the same JSON; it knows neither HTTP nor SQL.
//
// Names carry their units. Ranges are checked by core alone; the descriptions
// repeat them for readers of the OpenAPI document.
package wire

import (
	"errors"
	"math"

	"keeler/core/chem"
	"keeler/core/fault"
	"keeler/core/method"
	"keeler/core/mixing"
	"keeler/core/note"
	"keeler/words"
)

// Line is one thing to weigh, count or pour, in the order of the work.
type Line struct {
	Step       string   `json:"step" doc:"Dribble: sugar, hot_water, acid, rest_water, all_water, tablets, water, stock or warm_bottle. Strip: glycerol, carried or acid. Pad: cold_water, stock or pads."`
	Ingredient string   `json:"ingredient" doc:"sugar, water, glycerol, oxalic_acid_dihydrate, oxalic_acid_anhydrous, packet_powder, tablets, ready_mix, ready_to_use, carried_liquor, formic_acid or ready_pads."`
	Grams      float64  `json:"grams,omitempty" doc:"Exact mass, g."`
	ShowG      float64  `json:"show_g,omitempty" doc:"The same as read on the balance, g."`
	BandG      float64  `json:"band_g,omitempty" doc:"Allowed either way, g."`
	Loads      int      `json:"loads,omitempty" doc:"Loads that the balance carries; 1 when it carries all at once."`
	LoadG      float64  `json:"load_g,omitempty" doc:"One load, g."`
	LastG      float64  `json:"last_g,omitempty" doc:"The last load, g, which makes up the rest of show_g; left out where it is like the others."`
	OffPercent float64  `json:"off_percent,omitempty" doc:"How far the mass may be off although it reads true, %."`
	VolumeML   float64  `json:"volume_ml,omitempty" doc:"Of a liquid, mL at 20 °C."`
	Count      int      `json:"count,omitempty" doc:"Whole tablets or pads."`
	TempC      float64  `json:"temp_c,omitempty" doc:"Temperature of what is poured, or of what it goes into, °C."`
	Gear       []string `json:"gear,omitempty" doc:"To be put on before this line."`
}

// Neutralise is the bicarbonate that takes up the acid, and the gas.
type Neutralise struct {
	LeftoverG    float64 `json:"leftover_g" doc:"g sodium bicarbonate for what is left over."`
	LeftoverGasL float64 `json:"leftover_gas_l" doc:"L carbon dioxide from it."`
	WholeG       float64 `json:"whole_g" doc:"g sodium bicarbonate for the whole batch."`
	WholeGasL    float64 `json:"whole_gas_l" doc:"L carbon dioxide from it."`
}

// Cost is in the currency of the prices.
type Cost struct {
	Total     float64 `json:"total"`
	PerColony float64 `json:"per_colony"`
}

// Note is one thing the keeper should know.
type Note struct {
	Code     string    `json:"code"`
	Level    string    `json:"level" enum:"info,warn"`
	Figures  []float64 `json:"figures,omitempty"`
	Unit     string    `json:"unit,omitempty" doc:"Of the first figure, where it goes by what is held."`
	Colonies []string  `json:"colonies,omitempty"`
	Text     string    `json:"text" doc:"The same in words."`
}

// or is the value behind a pointer, or a default.
func or[T ~float64](p *float64, otherwise T) T {
	if p == nil {
		return otherwise
	}
	return T(*p)
}

// share is the percentage behind a pointer, or a default.
func share(p *float64, otherwise chem.Share) chem.Share {
	if p == nil {
		return otherwise
	}
	return chem.Share(*p / 100)
}

// balance is the keeper's.
func balance(division, capacity float64) mixing.Balance {
	if division == 0 {
		division = float64(mixing.UsualDivision)
	}
	return mixing.Balance{Division: chem.Grams(division), Capacity: chem.Grams(capacity)}
}

// round cleans a figure of binary dust, to six decimals: far finer than
// anything that is weighed or drawn up.
func round[T ~float64](v T) float64 { return math.Round(float64(v)*1e6) / 1e6 }

// Round is round, for what is added up outside.
func Round(v float64) float64 { return round(v) }

func line(l mixing.Line, ingredient string) Line {
	out := Line{
		Step: string(l.Step), Ingredient: ingredient,
		Grams: round(l.Mass), ShowG: round(l.Read.Show), BandG: round(l.Read.Band),
		Loads: l.Read.Loads, LoadG: round(l.Read.Each),
		VolumeML: round(l.Volume), Count: l.Count, TempC: float64(l.Temp), Gear: gear(l.Gear),
		OffPercent: round(100 * l.Read.Off),
	}
	if last := round(l.Read.Last); last != out.LoadG {
		out.LastG = last
	}
	return out
}

func gear(in []mixing.Gear) []string {
	out := make([]string, len(in))
	for i, g := range in {
		out[i] = string(g)
	}
	return out
}

func neutralise(n mixing.Neutralise) Neutralise {
	return Neutralise{
		LeftoverG: round(n.Leftover), LeftoverGasL: round(n.LeftoverGas),
		WholeG: round(n.Whole), WholeGasL: round(n.WholeGas),
	}
}

func cost(c mixing.Cost) *Cost {
	if !c.Known {
		return nil
	}
	return &Cost{Total: round(c.Total), PerColony: round(c.PerColony)}
}

// notes tells the notes of a method's plan.
func notes(of method.Name, in []note.Note) []Note {
	out := make([]Note, len(in))
	for i, n := range in {
		out[i] = Note{Code: string(n.Code), Level: "info", Figures: n.Figures, Unit: n.Unit, Colonies: n.Colonies, Text: words.Note(of, n)}
		if n.Warn {
			out[i].Level = "warn"
		}
	}
	return out
}

// refield rewrites the fields of an error that is a fault.List; nil stays nil.
func refield(err error, rewrite func(string) string) error {
	var l fault.List
	if !errors.As(err, &l) {
		return err
	}
	for i := range l {
		l[i].Field = rewrite(l[i].Field)
	}
	return l
}
