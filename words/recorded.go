package words

import (
	_ "embed"
	"encoding/json"
	"math"
	"strconv"
	"strings"
)

//go:embed names/kit.json
var shared []byte

// named are the methods and units by the names that the interface has for them, too.
var named = func() (n struct{ Methods, Units map[string]string }) {
	if err := json.Unmarshal(shared, &n); err != nil {
		panic(err) // it ships with the program
	}
	return n
}()

// Recorded tells what a line of the medicine record says was done: given, taken out or
// taken back, by which method and with what.
func Recorded(kind, method, product string, came, missing int) string {
	variant := kind
	switch {
	case kind == "out" && missing > 0:
		variant = "out:missing"
	case kind == "out" && came == 0: // nobody counted them
		variant = "out:all"
	}
	text := fill(said.Record[variant], func(blank string) string {
		switch blank {
		case "method":
			return named.Methods[method]
		case "came":
			return strconv.Itoa(came)
		case "missing":
			return strconv.Itoa(missing)
		}
		return product
	})
	return strings.TrimSuffix(text, ": ")
}

// Amount writes an amount in its unit, to the thousandth as the register does; nothing for none.
func Amount(amount float64, unit string) string {
	if amount == 0 {
		return ""
	}
	return strings.TrimSpace(strconv.FormatFloat(math.Round(amount*1000)/1000, 'f', -1, 64) + " " + named.Units[unit])
}

// Acids writes the acids of a dose: to the mg, and from 10 g on to a tenth of a g.
func Acids(oadMg, formicMg float64) string {
	acids := []struct {
		name string
		mg   float64
	}{{"oad", oadMg}, {"formic", formicMg}}
	var out []string
	for _, acid := range acids {
		if mg := math.Round(acid.mg); mg > 0 {
			amount := tidy(mg, 1, math.Round) + " mg"
			if mg >= 10_000 {
				amount = strconv.FormatFloat(mg/1000, 'f', 1, 64) + " g"
			}
			out = append(out, fill(said.Record[acid.name], func(string) string { return amount }))
		}
	}
	return strings.Join(out, ", ")
}

// WithdrawalAfter tells that honey waits for days from when something comes out.
func WithdrawalAfter(n int) string {
	return fill(said.Record["withdrawal:after"], func(string) string { return days(n) })
}

// WithdrawalUntil tells until when it waits.
func WithdrawalUntil(n int, until string) string {
	return fill(said.Record["withdrawal:until"], func(blank string) string {
		if blank == "until" {
			return until
		}
		return days(n)
	})
}

// Amended tells that a line was amended: on which day, by whom, what of it, and why.
func Amended(on, by, what, why string) string {
	text := fill(said.Record["amended"], func(blank string) string {
		return map[string]string{"on": on, "by": by, "what": what}[blank]
	})
	if why != "" {
		text += " " + fill(said.Record["why"], func(string) string { return why })
	}
	return text
}

// Changed tells what of a line was changed, from what to what; an empty one was or is none.
func Changed(code, from, to string) string {
	return fill(said.Record["changed:"+code], func(blank string) string {
		value := map[string]string{"from": from, "to": to}[blank]
		if value == "" {
			return said.Record["changed:none"]
		}
		return value
	})
}

// Undone tells that a line was a slip, and what it said.
func Undone(was string) string {
	return fill(said.Record["changed:undone"], func(string) string { return was })
}

// BatchNo is a batch as its number names it; empty for none.
func BatchNo(n int) string {
	if n == 0 {
		return ""
	}
	return fill(said.Record["batch_no"], func(string) string { return strconv.Itoa(n) })
}

// WithdrawalNone tells that honey need not wait.
func WithdrawalNone() string { return said.Record["withdrawal:none"] }

// WithdrawalUnstated tells that nobody said whether it waits.
func WithdrawalUnstated() string { return said.Record["withdrawal:unstated"] }

// Overridden tells why something was done although it did not fit.
func Overridden(why string) string {
	return fill(said.Record["overridden"], func(string) string { return why })
}

// Entered tells when and by whom a line was written that was not written as it was done.
func Entered(how, on, by, file string) string {
	key := "recorded"
	if how != "" {
		key = "entered:" + how
	}
	return fill(said.Record[key], func(blank string) string {
		return map[string]string{"on": on, "by": by, "file": file}[blank]
	})
}

// RecallOf heads a recall of a lot, a batch or a colony by its name.
func RecallOf(what, name string) string {
	return fill(said.Record["recall:"+what], func(string) string { return name })
}
