// Package method names the ways of giving acid; each has a folder beneath.
package method

// Name names a way of giving acid to bees.
type Name string

const (
	Dribble Name = "dribble"
	Strip   Name = "strip"
	Pad     Name = "pad"
	// Vapour and Other are given otherwise and recorded only.
	Vapour Name = "vapour"
	Other  Name = "other"
)

// All are the methods that are worked out, in the order of a matrix.
var All = [3]Name{Dribble, Strip, Pad}

// Oxalic reports whether it gives the bees oxalic acid on the day itself.
func (n Name) Oxalic() bool { return n == Dribble || n == Vapour }

// Stays reports whether what is given stays in the hive until it is taken out.
func (n Name) Stays() bool { return n == Strip || n == Pad }

// BySeams reports whether its dose goes by the seams of bees; formic acid goes by combs and boxes.
func (n Name) BySeams() bool { return n == Dribble || n == Strip }
