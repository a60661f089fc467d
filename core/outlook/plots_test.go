package outlook

import (
	"fmt"
	"math"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// plot writes a drawing for docs/outlook.md, in the long run only.
func plot(t *testing.T, name, title string, marks ...string) {
	t.Helper()
	if !*long {
		return
	}
	svg := fmt.Sprintf(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 720 300" font-family="sans-serif" font-size="13"><rect width="720" height="300" fill="#fff"/><text x="50" y="20" font-weight="bold">%s</text>%s</svg>`,
		title, strings.Join(marks, "\n"))
	if err := os.WriteFile(filepath.Join("..", "..", "docs", "outlook", name+".svg"), []byte(svg+"\n"), 0o644); err != nil {
		t.Fatal(err)
	}
}

const plotLeft, plotRight, plotTop, plotFloor = 50.0, 700.0, 40.0, 260.0

func plotX(share float64) float64 { return plotLeft + share*(plotRight-plotLeft) }

func plotY(share float64) float64 { return plotFloor - min(share, 1)*(plotFloor-plotTop) }

// months are the marks below a year, and a line at the ground.
func months() string {
	out := fmt.Sprintf(`<path d="M%g %gH%g" stroke="#999"/>`, plotLeft, plotFloor, plotRight)
	for m, name := range strings.Fields("Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec") {
		out += fmt.Sprintf(`<text x="%.0f" y="280" text-anchor="middle">%s</text>`, plotX((float64(m)+0.5)/12), name)
	}
	return out
}

// TestPlots draws a year of the middle colony at 50° north in `make outlook`: without treatment, with strips in August, and with a
// dribble in December besides.
func TestPlots(t *testing.T) {
	strips := Dose{Strips, newYear + 215, newYear + 264, 1}
	dribble := Dose{Dribble, newYear + 340, newYear + 340, 1}
	marks := []string{months()}
	for i, plan := range [][]Dose{nil, {strips}, {strips, dribble}} {
		c := NewColony(middling(), At(50), 1, newYear, 50)
		var bees, mites []string
		for day := range 365 {
			for int(c.Day-newYear) < day {
				c.Step(plan, false)
			}
			at := plotX(float64(day) / 365)
			bees = append(bees, fmt.Sprintf("%.1f %.1f", at, plotY(c.Bees()/50_000)))
			mites = append(mites, fmt.Sprintf("%.1f %.1f", at, plotY(math.Log10(max(c.Mites(), 1))/4)))
		}
		colour := []string{"#9c2a22", "#6b3a7d", "#1c6b5d"}[i]
		marks = append(marks, fmt.Sprintf(`<path d="M%s" fill="none" stroke="%s" stroke-width="2"/><text x="60" y="%d" fill="%s">mites, %s</text>`,
			strings.Join(mites, "L"), colour, 60+18*i, colour, []string{"untreated", "strips in August", "strips and a dribble"}[i]))
		if i == 0 {
			marks = append(marks, fmt.Sprintf(`<path d="M%s" fill="none" stroke="#777" stroke-width="2" stroke-dasharray="5 4"/><text x="60" y="114" fill="#555">bees, to 50,000</text>`, strings.Join(bees, "L")))
		}
	}
	for _, n := range []int{1, 10, 100, 1000, 10_000} {
		y := plotY(math.Log10(float64(n)) / 4)
		marks = append(marks, fmt.Sprintf(`<text x="46" y="%.0f" text-anchor="end">%d</text>`, y+4, n))
	}
	plot(t, "year", "A colony's year by the model, middle values at 50° north", marks...)
}

// plotMonths draws which share of the days of each month lies in the band.
func plotMonths(t *testing.T, shares []float64) {
	t.Helper()
	marks := []string{months(), fmt.Sprintf(`<rect x="%g" y="%.1f" width="%g" height="%.1f" fill="#dde9e6"/>`, plotLeft, plotY(0.9), plotRight-plotLeft, plotY(0.7)-plotY(0.9))}
	for m, s := range shares {
		marks = append(marks, fmt.Sprintf(`<rect x="%.1f" y="%.1f" width="30" height="%.1f" fill="#1c6b5d"/><text x="%.1f" y="%.1f" text-anchor="middle">%.0f</text>`,
			plotX((float64(m)+0.5)/12)-15, plotY(s/100), plotFloor-plotY(s/100), plotX((float64(m)+0.5)/12), plotY(s/100)-5, s))
	}
	plot(t, "coverage", "Days of the truth in the band of eight of ten, in percent; asked for: the shaded span", marks...)
}
