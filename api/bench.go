package api

import (
	"keeler/app"
)

// bench registers the mixing of a batch, step by step.
func bench(r routes) {
	read(r, "balances", "get-balances", app.Viewer, "What is weighed with", app.Desk.Balances)
	read(r, "vessels", "get-vessels", app.Viewer, "Jars, bottles and pots at hand", app.Desk.Vessels)
	send(r, put+" vessels", "set-vessels", app.Helper, "What is mixed and kept in from now on", app.Desk.SetVessels)
	send(r, put+" balances", "set-balances", app.Helper, "What is weighed with from now on", app.Desk.SetBalances)
	readOne(r, "batches/{id}/bench", "get-bench", app.Viewer, "How a batch stands at the bench", app.Desk.Bench)
	sendTo(r, post+" batches/{id}/bench/plan", "plan-bench", app.Viewer, "How it would be mixed with what is at hand; nothing is kept", app.Desk.PlanBench)
	sendTo(r, post+" batches/{id}/bench", "begin-bench", app.Helper, "Begin to mix a batch; once begun it stays as it is", app.Desk.BeginBench)
	sendTo(r, post+" batches/{id}/bench/events", "at-bench", app.Helper, "Write what happened at the bench; sent twice, it counts once", app.Desk.Happen)
	read(r, "uptakes", "get-uptakes", app.Viewer, "What strips and sponges took up in earlier pots", app.Desk.Learnt)
	read(r, "instruments", "list-instruments", app.Viewer, "Balances and thermometers that are read by themselves", app.Desk.Instruments)
	send(r, post+" instruments", "command-instrument", app.Helper, "Tare or zero a balance; a simulated one can be poured onto", app.Desk.Command)
}
