package chem

// point is one row of a measured table.
type point struct{ x, y float64 }

// interpolate reads a table whose x rises, straight between its rows and held
// at its ends.
func interpolate(table []point, x float64) float64 {
	if x <= table[0].x {
		return table[0].y
	}
	for i := 1; i < len(table); i++ {
		a, b := table[i-1], table[i]
		if x <= b.x {
			return a.y + (b.y-a.y)*(x-a.x)/(b.x-a.x)
		}
	}
	return table[len(table)-1].y
}

// turned gives a table whose y rises, read the other way round.
func turned(table []point) []point {
	out := make([]point, len(table))
	for i, p := range table {
		out[i] = point{p.y, p.x}
	}
	return out
}
