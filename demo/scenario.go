package demo

import (
	_ "embed"
	"encoding/json"
	"time"

	"keeler/wire"
)

//go:embed scenario.json
var file []byte

// told is the whole scenario: what is on the bench by each method, what there is to mix
// from, the batches and the yards of the year behind, and the job that is ready to mix.
var told = read()

type scenario struct {
	Drafts  wire.Recipe
	Vessels []wire.Vessel
	Lots    []struct {
		On  time.Time
		Lot wire.Lot
	}
	Past  []kept
	Yards []place
	Cards []wire.LabelCard
	Jobs  []done
	Job   wire.SaveJob
}

// done is a job of the past, and what was done in it.
type done struct {
	Made  time.Time
	Drawn []int // what chance drew, where hives were left untreated to compare
	Save  wire.SaveJob
	// Compared are groups that its hives were dealt to before, and what chance drew.
	Compared *struct {
		Drawn []int
		Save  wire.SaveComparison
	}
	Hives  []string
	Day    string
	Seen   []struct{ On, Hive, Brood string }
	Counts []struct {
		Kind, On string
		Days     float64
		Bees     int
		Mites    map[string]int
	}
	Done []struct {
		On, Kind string
		Batch    string // it was given from
		Hives    []string
		Amount   float64
		Amounts  map[string]float64 // where it is another one
		Extras   []string
		Eggs     *bool
		Came     int
		Area     float64
	}
	Finished string
}

// kept is a batch of earlier work.
type kept struct {
	At       time.Time
	Save     wire.SaveBatch
	FromRest bool   `json:"from_rest"` // liquor comes from what the pot before it left over
	Mixed    *bench // nil: it never was
	Remarks  []wire.Remark
	Void     string
}

// bench is how a batch of the past was mixed, and what became of it.
type bench struct {
	Keeping      string
	LeftG        float64 `json:"left_g"` // of a pot: what was weighed back
	Used, Thrown float64
	Why          string
}

// place is a yard, and what each of its colonies was given; those have the last figures
// of their ids.
type place struct {
	ID, Name, Place string
	Given           []wire.Treatment
	Colonies        []stand
}

// stand is a colony of the scenario.
type stand struct {
	ID, Name, Hive         string
	Nuc, Honey             bool
	Queen                  string
	Quarters               [][]int // seams as last seen, by box
	Brood, Stores          string
	Spring, August, Autumn int  // mites in a wash of 300 bees in April, in August, and in September
	Board                  *int // mites in a week in late November
	Looked                 time.Time
}

func read() (s scenario) {
	if err := json.Unmarshal(file, &s); err != nil {
		panic(err) // it ships with the program
	}
	return s
}

// board is the bees in its gaps, 0 to 1.
func (s stand) board() [][]float64 {
	out := make([][]float64, len(s.Quarters))
	for i, box := range s.Quarters {
		for _, q := range box {
			out[i] = append(out[i], float64(q)/4)
		}
	}
	return out
}

// drafts is the first yard on the bench, by each method.
func drafts() *wire.Recipe {
	var colonies []wire.Colony
	var strips []wire.StripColony
	for _, s := range told.Yards[0].Colonies {
		seams := s.board()[0]
		c := wire.Colony{Name: s.Name, Boxes: []wire.Box{{Kind: "deep", Frames: len(seams) - 1, Seams: seams}}}
		colonies, strips = append(colonies, c), append(strips, wire.StripColony{Colony: c})
	}
	dribble, strip, pad := *told.Drafts.Dribble, *told.Drafts.Strip, *told.Drafts.Pad
	dribble.Colonies, strip.Colonies, pad.Colonies = colonies, strips, colonies
	return &wire.Recipe{Dribble: &dribble, Strip: &strip, Pad: &pad}
}
