package main

import (
	"fmt"
	"math"
	"sync"
	"testing"

	"github.com/google/uuid"

	"keeler/wire"
)

// Three hands send doses while the server and its database are killed half-way; what
// got no answer is sent again under its id when they are back. Every dose counts once,
// and the jar is what is left of it.
func TestKilledUnderARound(t *testing.T) {
	program := program(t)
	data := t.TempDir()
	p := start(t, program, data)
	batch, created := p.save()
	if !created {
		t.Fatal("nothing to give")
	}
	yard, job, lat := uuid.NewString(), uuid.NewString(), 57.0
	post[wire.YardWhole](t, p, "/api/yards", wire.SaveYard{ID: yard, Name: "Slipway", Latitude: &lat})
	const hives, each = 60, 4.2
	in := wire.SaveJob{ID: job, Name: "Slipway", Method: "dribble", Under: "winter", RuleKind: "own", Rule: "permit"}
	doses := make([]wire.Application, hives)
	for i := range doses {
		colony := uuid.NewString()
		post[wire.ColonyWhole](t, p, "/api/colonies", wire.SaveColony{
			ID: colony, YardID: yard, Name: fmt.Sprint("H", i), Boxes: []wire.HiveBox{{Kind: "deep", Slots: []string{"comb", "comb"}}},
		})
		in.Colonies = append(in.Colonies, wire.JobColony{ColonyID: colony, Override: "as agreed"})
		doses[i] = wire.Application{ID: uuid.NewString(), ColonyID: colony, Kind: "given", BatchID: batch, ApplicationDetail: wire.ApplicationDetail{ByHand: true}, Amount: each}
	}
	post[wire.Job](t, p, "/api/jobs", in)
	path, db := "/api/jobs/"+job+"/applications", child(t, p.cmd.Process.Pid)
	var mu sync.Mutex
	kept := 0
	var once sync.Once
	var hands sync.WaitGroup
	for hand := range 3 {
		hands.Go(func() {
			for i := hand; i < hives; i += 3 {
				if !p.sends(path, doses[i]) {
					return // the server is gone
				}
				mu.Lock()
				kept++
				half := kept == hives/2
				mu.Unlock()
				if half {
					once.Do(func() { kill(db); kill(p.cmd.Process.Pid) })
				}
			}
		})
	}
	hands.Wait()
	if kept < hives/2 || kept >= hives {
		t.Fatalf("%d were kept before it was killed", kept)
	}
	_ = p.cmd.Wait()
	p = start(t, program, data)
	for i := range doses { // a phone sends all that had no answer, and more
		if !p.sends(path, doses[i]) {
			t.Fatalf("dose %d is not kept", i)
		}
	}
	round := read[wire.Visit](t, p, "/api/jobs/"+job+"/visit")
	seen := map[string]bool{}
	for _, r := range round.Records {
		if seen[r.ColonyID] || len(r.Flags) > 0 {
			t.Errorf("%s: %v", r.Colony, r.Flags)
		}
		seen[r.ColonyID] = true
	}
	ledger := read[wire.Ledger](t, p, "/api/batches/"+batch+"/entries")
	if len(seen) != hives || len(ledger.Entries) != hives+1 || math.Abs(ledger.Left-(ledger.Entries[0].Change-hives*each)) > 0.1 {
		t.Errorf("%d colonies, %d entries, %v left", len(seen), len(ledger.Entries), ledger.Left)
	}
	p.stop(t)
}

// sends one dose; false when it got no good answer.
func (p *process) sends(path string, a wire.Application) bool {
	sent, err := tryPost[wire.Sent](p, path, wire.Applications{Applications: []wire.Application{a}})
	return err == nil && len(sent.Results) == 1 && sent.Results[0].State != "refused"
}
