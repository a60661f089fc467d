package wire

import (
	"math"

	"keeler/core/fault"
	"keeler/core/mites"
)

// PowerRequest asks how many colonies a fair comparison takes.
type PowerRequest struct {
	Kind   string  `json:"kind" enum:"board,wash"`
	Over   float64 `json:"over" doc:"Days of a board, 1 to 60, or bees of a wash, 50 to 1000; each count before and after."`
	Rate   float64 `json:"rate" doc:"Mites before, a day or per 100 bees, 0.1 to 100."`
	First  float64 `json:"first" doc:"% of the mites that the one kills, 0 to 99."`
	Second float64 `json:"second" doc:"And the other, 2 % apart at least."`
	Spread string  `json:"spread" enum:"alike,usual,unlike" doc:"How alike hives answer a treatment."`
	Groups int     `json:"groups" doc:"2 to 6."`
}

// PowerAnswer tells it.
type PowerAnswer struct {
	Chances []mites.Chances `json:"chances" doc:"Of telling the better one, by the colonies in each group."`
	Enough  int             `json:"enough,omitempty" doc:"So many colonies in each group see it in 8 tries of 10; left out where 40 are too few."`
	Wanted  float64         `json:"wanted" doc:"The chance that is enough, 0 to 1."`
}

// Power tells how many colonies a fair comparison takes.
func Power(r PowerRequest) (PowerAnswer, error) {
	plan, err := r.core()
	if err != nil {
		return PowerAnswer{}, err
	}
	chances := plan.Chances()
	return PowerAnswer{Chances: chances, Enough: mites.Enough(chances), Wanted: mites.Wanted}, nil
}

func (r PowerRequest) core() (mites.Plan, error) {
	const mostGroups, mostRate, mostKilled, apart = 6, 100, 99, 2
	least, most, unit, hundred := 1.0, float64(mites.MaxDays), "days", 1.0
	if r.Kind == string(mites.Wash) {
		least, most, unit, hundred = 50, 1000, "bees", 100
	}
	var l fault.List
	l.Within("over", r.Over, least, most, unit)
	l.Within("rate", r.Rate, 0.1, mostRate, "mites")
	l.Within("groups", float64(r.Groups), 2, mostGroups, "groups")
	first, second := l.Within("first", r.First, 0, mostKilled, "%"), l.Within("second", r.Second, 0, mostKilled, "%")
	if first && second && math.Abs(r.First-r.Second) < apart {
		l.AddRange("second", fault.TooHigh, 0, max(0, r.First-apart), "%") // alike: nothing to tell apart
	}
	return mites.Plan{
		Rate: r.Rate, Over: r.Over / hundred, First: r.First / 100, Second: r.Second / 100, Spread: mites.Spreads[r.Spread], Pairs: r.Groups * (r.Groups - 1) / 2,
	}, l.Err()
}
