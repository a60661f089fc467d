package e2e

import (
	"bufio"
	"context"
	"database/sql"
	"fmt"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/e2e/cluster"
	"keeler/store"
	"keeler/wire"
)

// whatItTakes measures how long it takes until those who listen at one server are told of what another
// wrote, and what reading costs that sees it.
func whatItTakes(t *testing.T, c *cluster.Cluster, servers [cluster.Size]owner) {
	for n := range servers {
		servers[n].t = t
	}
	response, err := servers[2].http.Get(servers[2].url + "/api/stream?at=" + store.Whole)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = response.Body.Close() })
	lines := bufio.NewScanner(response.Body)
	hears := func(event string) {
		for lines.Scan() {
			if strings.HasPrefix(lines.Text(), "event:"+event) {
				return
			}
		}
		t.Fatalf("nothing more is told: %v", lines.Err())
	}
	hears("open")
	var took []time.Duration
	for n := range 20 {
		servers[0].post("/api/yards", wire.SaveYard{ID: uuid.NewString(), Name: fmt.Sprint("Told ", n), Latitude: ptr(57.0)})
		written := time.Now()
		hears("changed")
		took = append(took, time.Since(written))
	}
	slices.Sort(took)
	t.Logf("told at another server %v after a write is acknowledged, and %v at the longest of 20", took[10].Round(time.Millisecond), took[19].Round(time.Millisecond))

	quiet := reads(t, c, 1)
	rest := meanwhile(servers)
	busy := reads(t, c, 1)
	rest()
	t.Logf("a statement that waits for what other nodes acknowledged: %v, and %v without; while six write: %v, and %v without", quiet[1], quiet[0], busy[1], busy[0])
}

// meanwhile saves batches at all servers, until the rest is called for.
func meanwhile(servers [cluster.Size]owner) (rest func()) {
	ctx, stop := context.WithCancel(context.Background())
	done := make(chan struct{})
	go func() {
		defer close(done)
		writers(servers, 1<<20, func(o owner, n int) {
			if ctx.Err() == nil {
				o.status("/api/batches", jar(uuid.NewString(), fmt.Sprint("Meanwhile ", n), 100))
			}
		})
	}()
	return func() { stop(); <-done }
}

// reads are the medians of a small statement at a node, as it is, and where it sees what was acknowledged at
// any node.
func reads(t *testing.T, c *cluster.Cluster, node int) (median [2]time.Duration) {
	t.Helper()
	db, err := sql.Open("mysql", c.DSN(node))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = db.Close() }()
	db.SetMaxOpenConns(1)
	var took [2][]time.Duration
	for range 300 {
		for way, wait := range []int{0, 7} {
			if _, err := db.Exec(fmt.Sprint("SET SESSION wsrep_sync_wait = ", wait)); err != nil {
				t.Fatal(err)
			}
			begun, n := time.Now(), 0
			if err := db.QueryRow("SELECT COUNT(*) FROM operations").Scan(&n); err != nil {
				t.Fatal(err)
			}
			took[way] = append(took[way], time.Since(begun))
		}
	}
	for way := range took {
		slices.Sort(took[way])
		median[way] = took[way][len(took[way])/2].Round(time.Microsecond)
	}
	return median
}
