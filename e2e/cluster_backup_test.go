package e2e

import (
	"database/sql"
	"keeler/e2e/cluster"
	"keeler/store/mariadbd"
	"os/exec"
	"path/filepath"
	"testing"
)

// backedUp backs the cluster up by one node while others are written to, and reads the backup into a
// Keeler by itself: all that was acknowledged before is in it.
func backedUp(t *testing.T, c *cluster.Cluster, servers [cluster.Size]owner) {
	count := func(dsn string) (n int) {
		t.Helper()
		db, err := sql.Open("mysql", dsn)
		if err != nil {
			t.Fatal(err)
		}
		defer func() { _ = db.Close() }()
		if err := db.QueryRow("SELECT COUNT(*) FROM batches").Scan(&n); err != nil {
			t.Fatal(err)
		}
		return n
	}
	before := count(c.DSN(0))
	file, folder := filepath.Join(t.TempDir(), "cluster.zip"), filepath.Join(t.TempDir(), "alone")
	run := func(args ...string) {
		t.Helper()
		if said, err := exec.CommandContext(t.Context(), *keeler, args...).CombinedOutput(); err != nil {
			t.Fatalf("%v: %v\n%s", args[0], err, said)
		}
	}
	rest := meanwhile(servers)
	run("backup", file, "--dsn", c.DSN(1), "--data", folder+"-of-backup")
	rest()
	run("restore", file, "--data", folder)
	alone, err := mariadbd.Start(t.Context(), filepath.Join(folder, "own"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(alone.Stop)
	if n, after := count(alone.DSN()), count(c.DSN(0)); n < before || n > after || after == before {
		t.Errorf("%d batches are in the backup; there were %d before it and %d after", n, before, after)
	}
}
