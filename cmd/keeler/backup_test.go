package main

import (
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"testing"

	"keeler/wire"
)

// A backup is taken under a stream of saves, and then the data folder is lost: in an empty
// one every save is there that was acknowledged before the backup began, and all is whole.
func TestDataFolderIsLost(t *testing.T) {
	program, data := program(t), t.TempDir()
	file := filepath.Join(t.TempDir(), "kept", "keeler.zip")
	run := func(args ...string) (string, error) {
		out, err := exec.Command(program, append(args, "--data", data, "--log", "error")...).CombinedOutput()
		return string(out), err
	}
	p := start(t, program, data)
	var before []wire.BatchSummary
	var backedUp sync.WaitGroup
	p.stream(4, func() {
		backedUp.Go(func() {
			before = read[wire.BatchList](t, p, "/api/batches").Batches
			if out, err := run("backup", file); err != nil || !strings.Contains(out, "SHA-256") {
				t.Errorf("backup: %v %s", err, out)
			}
			kill(child(t, p.cmd.Process.Pid))
			kill(p.cmd.Process.Pid)
		})
	})
	backedUp.Wait()
	_ = p.cmd.Wait()
	if err := os.RemoveAll(data); err != nil {
		t.Fatal(err)
	}

	if out, err := run("restore", file); err != nil || !strings.Contains(out, "Restored") {
		t.Fatalf("restore: %v %s", err, out)
	}
	if out, err := run("restore", file); err == nil || !strings.Contains(out, "something in this database") {
		t.Errorf("a second time: %v %s", err, out)
	}
	p = start(t, program, data)
	if len(before) < 40 {
		t.Errorf("only %d saves: the test did not press", len(before))
	}
	for _, b := range before {
		if whole := read[wire.Batch](t, p, "/api/batches/"+b.ID); whole.Number != b.Number || len(whole.Answer.Dribble.Lines) != 4 {
			t.Errorf("batch %d is gone or not whole: %+v", b.Number, whole)
		}
	}
	p.stop(t)
}
