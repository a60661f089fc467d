//go:build js && wasm

// Command wasm is Keeler's rules in the browser, for where there is no signal.
package main

import (
	"encoding/json"
	"errors"
	"syscall/js"

	"keeler/core/fault"
	"keeler/wire"
	"keeler/words"
)

func main() {
	js.Global().Set("keelerCore", map[string]any{
		"dribblePlan": answering(wire.PlanDribble),
		"dribbleDose": answering(wire.Dose),
		"stripPlan":   answering(wire.PlanStrip),
		"stripPlace":  answering(wire.PlaceStrips),
		"padPlan":     answering(wire.PlanPad),
		"lasts":       answering(wire.Lasts),
	})
	select {} // it answers for as long as the page is open
}

// answering turns a calculation into a function from JSON to JSON: {"answer": …}, or
// {"faults": {field: words}}.
func answering[In, Out any](work func(In) (Out, error)) js.Func {
	return js.FuncOf(func(_ js.Value, args []js.Value) any {
		var in In
		if err := wire.Read([]byte(args[0].String()), &in, true); err != nil {
			return told(map[string]string{"": "This cannot be read as JSON of the documented shape."})
		}
		out, err := work(in)
		var l fault.List
		if errors.As(err, &l) {
			faults := map[string]string{}
			for _, f := range l {
				faults[f.Field] = words.Fault(f)
			}
			return told(faults)
		}
		raw, err := json.Marshal(map[string]Out{"answer": out})
		if err != nil {
			return told(map[string]string{"": err.Error()})
		}
		return string(raw)
	})
}

func told(faults map[string]string) string {
	raw, _ := json.Marshal(map[string]map[string]string{"faults": faults}) // strings always can
	return string(raw)
}
