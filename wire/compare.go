package wire

import "keeler/core/mites"

// Compare is groups of treated colonies, held against each other.
type Compare struct {
	By         string         `json:"by" enum:"job,year,yard,method,protocol,batch,carrier,groups"`
	Basis      string         `json:"basis,omitempty" enum:"fall,wash,board" doc:"What most shares are told by: what fell, by a second treatment; counts of one kind before and after. Left out where nothing can be told."`
	Comparison *Comparison    `json:"comparison,omitempty" doc:"Of groups that were made for it."`
	Groups     []CompareGroup `json:"groups"`
	Pairs      []ComparePair  `json:"pairs" doc:"Each group against each that is told by the same; none where there are more than six."`
}

// CompareGroup is one of them.
type CompareGroup struct {
	Key      string   `json:"key" doc:"A year; id of a yard, job or batch; a method, protocol or carrier; card: and the id of a label card; name of a group."`
	Name     string   `json:"name,omitempty" doc:"Left out of methods, protocols and carriers."`
	Method   string   `json:"method,omitempty" enum:"dribble,strip,pad" doc:"Where it is one for all of it."`
	Colonies []string `json:"colonies" doc:"Names of those that were given anything."`
	Told     int      `json:"told" doc:"How many of them the share is told by."`
	Basis    string   `json:"basis,omitempty" enum:"fall,wash,board" doc:"What its share is told by; of another kind than most it is held against nothing."`
	Result   *Result  `json:"result,omitempty" doc:"Left out where nothing was counted."`
}

// ComparePair is one group against another.
type ComparePair struct {
	First  int `json:"first" doc:"Which group, from 0."`
	Second int `json:"second"`
	mites.Difference
	Beyond bool `json:"beyond,omitempty" doc:"It is more than chance makes."`
	Small  bool `json:"small,omitempty" doc:"A group is of one or two colonies: how colonies differ is not known of it, and nothing is told."`
}

// SaveComparison makes groups of colonies that are to be held against each other.
type SaveComparison struct {
	ID     string            `json:"id" format:"uuid" doc:"Made by the client; counts once."`
	Name   string            `json:"name" maxLength:"120"`
	Groups []ComparisonGroup `json:"groups" minItems:"2" maxItems:"6"`
	Deal   bool              `json:"deal,omitempty" doc:"All colonies are dealt to the groups by chance within like strength, whichever they were sent in."`
}

// ComparisonGroup is one group of it.
type ComparisonGroup struct {
	Name     string             `json:"name" maxLength:"80"`
	Colonies []ComparisonColony `json:"colonies" maxItems:"1000"`
}

// ComparisonColony is one colony in its group.
type ComparisonColony struct {
	ID    string  `json:"id" format:"uuid"`
	Name  string  `json:"name,omitempty" readOnly:"true"`
	Seams float64 `json:"seams,omitempty" readOnly:"true" doc:"As last seen; left out where nobody looked."`
}

// Comparison is such groups as they were made.
type Comparison struct {
	SaveComparison
	MadeOn string `json:"made_on"`
}

// Comparisons is all of them.
type Comparisons struct {
	Comparisons []Comparison `json:"comparisons" doc:"The newest first."`
}
