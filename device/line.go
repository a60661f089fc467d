package device

import (
	"errors"
	"math"
	"strconv"
	"strings"
)

// Kinds of instruments.
const (
	Balance = "balance"
	Probe   = "probe"
)

// States of a reading.
const (
	Stable   = "stable"
	Unstable = "unstable"
	Overload = "overload"
	Lost     = "lost"
)

// longest is the longest line an instrument may send, in bytes.
const longest = 120

// most is more than any instrument here shows, in g or °C.
const most = 1e6

var errGarbled = errors.New("this is no line of an instrument")

var units = map[string]string{Balance: "g", Probe: "C"}

// hello is how an instrument names itself.
type hello struct {
	kind               string
	division, capacity float64
	simulated          bool
}

// readHello reads "KEELER 1 balance 0.1 2000", with "simulated" at its end for a
// stand-in. A capacity of 0 is not known.
func readHello(line string) (hello, error) {
	f := strings.Fields(line)
	if len(f) == 6 && f[5] == "simulated" {
		h, err := readHello(strings.Join(f[:5], " "))
		h.simulated = true
		return h, err
	}
	if len(f) != 5 || f[0] != "KEELER" || f[1] != "1" || units[f[2]] == "" {
		return hello{}, errGarbled
	}
	division, err := number(f[3])
	capacity, worse := number(f[4])
	if err != nil || worse != nil || division <= 0 || capacity < 0 {
		return hello{}, errGarbled
	}
	return hello{kind: f[2], division: division, capacity: capacity}, nil
}

// readReading reads "S 45.02 g", "U 44.8 g" or "O".
func readReading(line, kind string) (state string, value float64, err error) {
	f := strings.Fields(line)
	if len(f) == 1 && f[0] == "O" {
		return Overload, 0, nil
	}
	if len(f) != 3 || f[2] != units[kind] {
		return "", 0, errGarbled
	}
	switch f[0] {
	case "S":
		state = Stable
	case "U":
		state = Unstable
	default:
		return "", 0, errGarbled
	}
	value, err = number(f[1])
	return state, value, err
}

func number(text string) (float64, error) {
	v, err := strconv.ParseFloat(text, 64)
	if err != nil || math.IsNaN(v) || math.Abs(v) > most {
		return 0, errGarbled
	}
	return v, nil
}
