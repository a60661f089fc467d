// Package weather is a stand-in for a forecast service: it answers over HTTP with
// hours of weather that are made up, but plausible for latitude and season, and
// the same for the same yard, day and seed.
package weather

import (
	"encoding/json"
	"hash/fnv"
	"math"
	"math/rand/v2"
	"net/http"
	"strconv"
	"time"
)

// Days is how far the service looks ahead.
const Days = 10

// Hour is the weather of one hour.
type Hour struct {
	Time   string  `json:"time"` // local, 2006-01-02T15:04
	TempC  float64 `json:"temp_c"`
	WindMS float64 `json:"wind_ms"`
	GustMS float64 `json:"gust_ms"`
	RainMM float64 `json:"rain_mm"`
}

// Answer is what the service says.
type Answer struct {
	Simulated bool   `json:"simulated"`
	Hours     []Hour `json:"hours"`
}

// Service answers GET /forecast?place=…&latitude=…&from=2006-01-02.
func Service(seed uint64) http.Handler {
	mux := http.NewServeMux()
	mux.HandleFunc("GET /forecast", func(w http.ResponseWriter, r *http.Request) {
		q := r.URL.Query()
		latitude, err := strconv.ParseFloat(q.Get("latitude"), 64)
		if err != nil || math.Abs(latitude) > 90 {
			http.Error(w, "latitude: degrees, -90 to 90", http.StatusBadRequest)
			return
		}
		from, err := time.Parse(time.DateOnly, q.Get("from"))
		if err != nil {
			http.Error(w, "from: a day, 2006-01-02", http.StatusBadRequest)
			return
		}
		w.Header().Set("Content-Type", "application/json")
		_ = json.NewEncoder(w).Encode(Answer{Simulated: true, Hours: Forecast(q.Get("place"), latitude, from, seed)})
	})
	return mux
}

// Forecast makes the hours of Days days.
func Forecast(place string, latitude float64, from time.Time, seed uint64) []Hour {
	out := make([]Hour, 0, Days*24)
	for day := range Days {
		out = append(out, oneDay(place, latitude, from.AddDate(0, 0, day), seed)...)
	}
	return out
}

// oneDay depends on its own date alone, so that tomorrow's forecast of a day is
// today's.
func oneDay(place string, latitude float64, date time.Time, seed uint64) []Hour {
	// Weather comes in spells of some days: each has a warm or cold, wet or dry leaning.
	dayNumber := uint64(date.Unix() / 86400)
	spell := chance(seed, place, dayNumber/4)
	leaning, wet, blow := spell.NormFloat64(), spell.Float64(), spell.Float64()
	today := chance(seed+1, place, dayNumber)
	mean := seasonal(latitude, date) + 2.2*leaning + 1.1*today.NormFloat64()
	swing := 2 + 5*summer(latitude, date)*(1-0.5*wet) // between night and day
	wind := 1.2 + 4.5*blow*blow + 0.8*today.Float64()
	rains := wet > 0.55 && today.Float64() < wet
	begin, lasts := today.IntN(20), 2+today.IntN(7)
	out := make([]Hour, 24)
	for h := range out {
		// Coldest before sunrise, warmest in the afternoon.
		warmth := -math.Cos(float64(h-3) / 24 * 2 * math.Pi)
		o := Hour{
			Time:   date.Add(time.Duration(h) * time.Hour).Format("2006-01-02T15:04"),
			TempC:  tenth(mean + swing*warmth + 0.3*today.NormFloat64()),
			WindMS: tenth(max(0, wind*(0.85+0.25*warmth)+0.3*today.NormFloat64())),
		}
		o.GustMS = tenth(o.WindMS * 1.55)
		if rains && h >= begin && h < begin+lasts {
			o.RainMM = tenth(0.2 + 1.5*today.Float64())
		}
		out[h] = o
	}
	return out
}

// seasonal is the mean of a day, °C: by latitude over the year, and a swing that
// grows towards the pole. Near a coast, as a beekeeper's country mostly is.
func seasonal(latitude float64, date time.Time) float64 {
	yearly := 27 - 0.33*math.Abs(latitude)
	return yearly + (1+0.1*math.Abs(latitude))*(2*summer(latitude, date)-1)
}

// summer is 1 in the middle of summer, 0 in the middle of winter.
func summer(latitude float64, date time.Time) float64 {
	const warmest = 205 // late July
	phase := float64(date.YearDay()-warmest) / 365.25
	if latitude < 0 {
		phase += 0.5
	}
	return (1 + math.Cos(2*math.Pi*phase)) / 2
}

func chance(seed uint64, place string, n uint64) *rand.Rand {
	h := fnv.New64a()
	_, _ = h.Write([]byte(place))
	return rand.New(rand.NewPCG(seed^h.Sum64(), n))
}

func tenth(v float64) float64 { return math.Round(v*10) / 10 }
