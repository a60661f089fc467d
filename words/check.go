package words

import (
	"strconv"
	"strings"

	"keeler/core/followup"
	"keeler/core/mites"
)

// Followup tells what to do and what for.
func Followup(f followup.Followup) (title, why string) {
	kind := string(f.Kind)
	s, known := said.Followups[kind+":"+followupVariant(f)]
	if !known {
		s = said.Followups[kind]
	}
	things := said.GivenThings[f.Way]
	in := func(blank string) string {
		return map[string]string{"total": strconv.Itoa(f.Total), "n": strconv.Itoa(f.N), "give": things.Give, "things": things.Things}[blank]
	}
	return fill(s.Title, in), s.Why
}

func followupVariant(f followup.Followup) string {
	switch {
	case f.Again:
		return "again"
	case f.Kind == followup.Out:
		return string(f.Way)
	case f.Kind == followup.Visit && f.N == 1:
		return "first"
	case f.Kind == followup.Count && f.Way == followup.Dribbled:
		return "spring"
	}
	return strconv.Itoa(f.N)
}

// WhetherItWorked tells an outcome.
func WhetherItWorked(o mites.Outcome) string { return said.Results[string(o)] }

// Measured tells by which measure a share was come by, and what to mind about it.
func Measured(k mites.Killed) string {
	out := fill(said.Results[string(k.Measure)], func(string) string { return strconv.Itoa(k.Controls) })
	if k.Counting {
		return out + " · " + said.Results["counting"]
	}
	if k.Few {
		out += " · " + said.Results["few"]
	}
	return out
}

// Unmeasured tells why no share can be told: no_before, no_after or other_kind.
func Unmeasured(code string) string { return said.Results[code] }

// WouldTell tells what would tell where the counts of some colonies do not.
func WouldTell(kind mites.Kind, of []mites.Pair, t mites.Telling) string {
	before := 0
	for _, p := range of {
		before += p.Before.Mites
	}
	over := func(n float64) string {
		if kind == mites.Board {
			return tenths(n) + " days"
		}
		return tenths(n) + " bees"
	}
	say := func(code string, n float64) string {
		return fill(said.Results[code], func(blank string) string {
			if blank == "mites" {
				return plural(before, "mite")
			}
			return over(n)
		})
	}
	switch {
	case before == 0:
		return said.Results["tell_none"]
	case t.Before > 0:
		return say("tell_before", t.Before)
	case t.After > 0 && len(of) == 1:
		return say("tell_after", t.After)
	case t.After > 0:
		return say("tell_after:each", t.After)
	case len(of) == 1:
		return said.Results["tell_never"]
	}
	return said.Results["tell_more"]
}

func plural(n int, of string) string {
	if n == 1 {
		return "1 " + of
	}
	return strconv.Itoa(n) + " " + of + "s"
}

// Use tells what a count is good for.
func Use(u mites.Use) string { return said.Uses[u] }

// WhyNot tells why a treatment may not have worked.
func WhyNot(w mites.Why) string {
	return fill(said.WhyNot[w.Code], func(blank string) string {
		i, err := strconv.Atoi(blank)
		switch {
		case blank == "on":
			return date(w.On)
		case err != nil || i >= len(w.Figures):
			return blank
		case w.Code == "out_early":
			return days(int(w.Figures[i]))
		case w.Code == "too_cold" || w.Code == "too_warm":
			return strings.Replace(tenths(w.Figures[i]), "-", "−", 1)
		case w.Code == "missing":
			return plural(int(w.Figures[i]), "piece")
		}
		return strconv.Itoa(int(w.Figures[i] + 0.5))
	})
}

// Meets tells which share of the mites a method could meet, by the sealed brood.
func Meets(method, brood string, share float64) string {
	text, known := said.Meets[method+":"+brood]
	if !known {
		text = said.Meets[method]
	}
	return fill(text, func(string) string { return strconv.Itoa(int(100*share + 0.5)) })
}

// Pace tells how fast formic acid goes, and what to change: so much wick, where it is known.
func Pace(pace string, area float64) string {
	if area > 0 {
		return fill(said.Paces[pace+":area"], func(string) string { return figure(area) })
	}
	return said.Paces[pace]
}
