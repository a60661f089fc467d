package fit

import "keeler/core/calendar"

// noSeason: no_season. Where none can be assumed the keeper says which way of dribbling
// suits the bees.
func noSeason(c Case) (Reason, bool) {
	r := Reason{Code: "no_season", Verdict: LookFirst, Source: FromColony}
	return r, !c.Chosen && !calendar.Seasonal(c.Latitude)
}

// heat: heat (°C forecast, the limit, days it holds for); heat_unknown (days).
func heat(c Case) (Reason, bool) {
	if c.Under.HarmC == 0 || !c.Weather.Known {
		return Reason{}, false
	}
	days := float64(c.Under.HarmDays)
	if c.Weather.Harms(c.Under) {
		return Reason{Code: "heat", Verdict: MustNot, Source: FromForecast, Figures: []float64{c.Weather.HarmMaxC, c.Under.HarmC, days}}, true
	}
	return Reason{Code: "heat_unknown", Verdict: WithCare, Source: FromForecast, Figures: []float64{days}}, !c.Weather.HarmKnown
}

// weather: no_forecast; the cause that leaves no window (see Outlook.Cause, with
// the temperatures of the day and the range asked for); window_fair; window_good,
// both with the temperature in it and the range that is best.
func weather(c Case) (Reason, bool) {
	w := c.Weather
	if !w.Known {
		return Reason{Code: "no_forecast", Verdict: LookFirst, Source: FromForecast}, true
	}
	if len(w.Windows) == 0 {
		return Reason{Code: string(w.Cause), Verdict: DoesNotFit, Source: FromForecast,
			Figures: []float64{w.LowC, w.HighC, c.Under.MinC, c.Under.MaxC}}, true
	}
	best := w.Best()
	r := Reason{Code: "window_fair", Verdict: WithCare, Source: FromForecast,
		Figures: []float64{best.MeanC, c.Under.BestLowC, c.Under.BestHighC}}
	if best.Good {
		r.Code, r.Verdict = "window_good", Fits
	}
	return r, true
}

// courseWeather: course_cold, course_cool, both with the days that are too cold and the
// days known; course_warm (days above the range after the harmful first ones).
func courseWeather(c Case) (Reason, bool) {
	w := c.Weather
	r := Reason{Verdict: WithCare, Source: FromForecast, Figures: []float64{float64(w.Cold), float64(w.DaysKnown)}}
	switch {
	case !w.Known || w.Cold+w.Warm == 0:
		return Reason{}, false
	case 2*w.Cold > w.DaysKnown:
		r.Code, r.Verdict = "course_cold", DoesNotFit
	case w.Cold > 0:
		r.Code = "course_cool"
	default:
		r.Code, r.Figures[0] = "course_warm", float64(w.Warm)
	}
	return r, true
}

// walking: walk_cold (days above 10 °C, days known of the first fortnight).
func walking(c Case) (Reason, bool) {
	w := c.Weather
	return Reason{
		Code: "walk_cold", Verdict: DoesNotFit, Source: FromForecast, Figures: []float64{float64(w.Walk), float64(w.WalkKnown)},
	}, w.Known && 2*w.Walk < w.WalkKnown
}

// frost: night_frost (°C in the night after).
func frost(c Case) (Reason, bool) {
	w := c.Weather
	return Reason{
		Code: "night_frost", Verdict: WithCare, Source: FromForecast, Figures: []float64{w.NightC},
	}, w.Known && w.NightKnown && w.NightC < deepFrost
}

// deepFrost, °C, in the night after a dribble.
const deepFrost = -5
