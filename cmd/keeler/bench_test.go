package main

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"
	"testing"

	"github.com/google/uuid"

	"keeler/wire"
)

// post sends something as the owner and reads the answer.
func post[T any](t *testing.T, p *process, path string, in any) T {
	t.Helper()
	out, err := tryPost[T](p, path, in)
	if err != nil {
		t.Fatal(err)
	}
	return out
}

func tryPost[T any](p *process, path string, in any) (out T, err error) {
	body, err := json.Marshal(in)
	if err != nil {
		return out, err
	}
	response, err := p.browser.Post(p.url+path, "application/json", bytes.NewReader(body))
	if err != nil {
		return out, err
	}
	defer func() { _ = response.Body.Close() }()
	if response.StatusCode >= http.StatusBadRequest {
		return out, fmt.Errorf("%s: %s", path, response.Status)
	}
	return out, json.NewDecoder(response.Body).Decode(&out)
}

// next is what a keeper does at the act on the screen; after it the next act is gone to.
func next(run wire.BenchRun) []wire.BenchEvent {
	a := run.Acts[run.At]
	var out []wire.BenchEvent
	switch a.Kind {
	case "weigh":
		out = append(out, wire.BenchEvent{Kind: "added", Act: a.ID, Load: len(a.Added), Grams: float64(a.Rest.Loads[0].Target), Balance: a.Balance})
	case "heat":
		out = append(out, wire.BenchEvent{Kind: "measured", Act: a.ID, TempC: float64(a.Low) + 1})
	case "wait":
		out = append(out, wire.BenchEvent{Kind: "started", Act: a.ID})
	case "test":
		out = append(out, wire.BenchEvent{Kind: "answered", Act: a.ID, Answer: "cloudy"})
	default:
		out = append(out, wire.BenchEvent{Kind: "answered", Act: a.ID, Answer: "yes"})
	}
	if run.At+1 < len(run.Acts) {
		return append(out, wire.BenchEvent{Kind: "opened", Act: run.Acts[run.At+1].ID})
	}
	return append(out, wire.BenchEvent{Kind: "finished", Keeping: "fridge"})
}

// whole is a run without the seconds that pass while a server is away.
func whole(t *testing.T, run wire.BenchRun) string {
	t.Helper()
	for i := range run.Acts {
		run.Acts[i].LeftS = nil
	}
	raw, err := json.Marshal(run)
	if err != nil {
		t.Fatal(err)
	}
	return string(raw)
}

// Killed between any two steps of a mix, the server, or with it the database, has
// every weight, answer and the place of the work when it is started again.
func TestKilledAtEveryStepOfTheBench(t *testing.T) {
	program := program(t)
	data := t.TempDir()
	p := start(t, program, data)
	id, created := p.save()
	if !created {
		t.Fatal("nothing to mix")
	}
	bench := "/api/batches/" + id + "/bench"
	run := post[wire.BenchRun](t, p, bench, wire.BeginBench{Balances: wire.UsualBalances().Balances})
	steps := 0
	for run.Ended == "" {
		for _, e := range next(run) {
			e.ID = uuid.NewString()
			run = post[wire.BenchRun](t, p, bench+"/events", e)
		}
		if steps++; steps%2 == 0 {
			kill(child(t, p.cmd.Process.Pid))
		}
		kill(p.cmd.Process.Pid)
		_ = p.cmd.Wait()
		p = start(t, program, data)
		if again := read[wire.BenchRun](t, p, bench); whole(t, again) != whole(t, run) {
			t.Fatalf("after step %d it is\n%+v\nand was\n%+v", steps, again, run)
		}
	}
	if steps != len(run.Acts) || run.State != "made" || run.SoFar.Strength.Stand != "within" {
		t.Errorf("after %d steps: %+v", steps, run)
	}
	ledger := read[wire.Ledger](t, p, "/api/batches/"+id+"/entries")
	if len(ledger.Entries) != 1 || ledger.Left < 255 || ledger.Left > 270 {
		t.Errorf("made once: %+v", ledger)
	}
	p.stop(t)
}
