package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/cookiejar"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"sync"
	"syscall"
	"testing"

	"github.com/alecthomas/kong"
	"github.com/google/uuid"

	"keeler/core/method/dribble"
	"keeler/wire"
)

// process is a real keeler with its private MariaDB.
type process struct {
	cmd     *exec.Cmd
	url     string
	browser *http.Client // signed in
}

func start(t *testing.T, program, data string) *process {
	t.Helper()
	cmd := exec.Command(program, "serve", "--addr", "127.0.0.1:0", "--data", data, "--log", "error")
	cmd.Stderr = os.Stderr
	out, err := cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if err := cmd.Start(); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = cmd.Process.Kill() })
	console := bufio.NewReader(out)
	line, err := console.ReadString('\n')
	if err != nil {
		t.Fatalf("keeler did not start: %v", err)
	}
	p := &process{cmd: cmd, url: strings.TrimSpace(line[strings.Index(line, "http://"):])}
	p.signIn(t, console)
	return p
}

// signIn is the owner, who is made at the first start.
func (p *process) signIn(t *testing.T, console *bufio.Reader) {
	t.Helper()
	cookies, err := cookiejar.New(nil)
	if err != nil {
		t.Fatal(err)
	}
	p.browser = &http.Client{Jar: cookies}
	in, path := map[string]string{"login": "Owner", "password": "a long enough one"}, "/api/session"
	if read[wire.Start](t, p, "/api/start").Unclaimed {
		line, err := console.ReadString('\n')
		if err != nil {
			t.Fatal(err)
		}
		in["code"], in["operation"], path = strings.TrimSpace(line[strings.LastIndex(line, ":")+1:]), "Quay", "/api/claim"
	}
	body, _ := json.Marshal(in)
	response, err := p.browser.Post(p.url+path, "application/json", bytes.NewReader(body))
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	if response.StatusCode != http.StatusOK {
		t.Fatalf("nobody gets in: %s", response.Status)
	}
}

// child finds the one child of a process, whichever thread started it.
func child(t *testing.T, pid int) int {
	t.Helper()
	lists, err := filepath.Glob(fmt.Sprintf("/proc/%d/task/*/children", pid))
	if err != nil {
		t.Fatal(err)
	}
	for _, list := range lists {
		raw, err := os.ReadFile(list)
		if err != nil {
			continue
		}
		if fields := strings.Fields(string(raw)); len(fields) > 0 {
			id, err := strconv.Atoi(fields[0])
			if err != nil {
				t.Fatal(err)
			}
			return id
		}
	}
	t.Fatal("keeler has no MariaDB")
	return 0
}

// stop ends it in order, its database with it.
func (p *process) stop(t *testing.T) {
	t.Helper()
	if err := p.cmd.Process.Signal(syscall.SIGTERM); err != nil {
		t.Fatal(err)
	}
	if err := p.cmd.Wait(); err != nil {
		t.Errorf("keeler did not stop in order: %v", err)
	}
}

func kill(pid int) { _ = syscall.Kill(pid, syscall.SIGKILL) }

func (p *process) save() (string, bool) {
	id := uuid.NewString()
	body, _ := json.Marshal(wire.SaveBatch{ID: id, Name: "batch " + id, Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"},
		Aim:  wire.Aim{By: "protocol", Protocol: "label-litre"},
		Size: wire.Size{By: "volume", Volume: 262},
	}}}})
	response, err := p.browser.Post(p.url+"/api/batches", "application/json", bytes.NewReader(body))
	if err != nil {
		return id, false
	}
	_ = response.Body.Close()
	return id, response.StatusCode == http.StatusCreated
}

// stream saves from several hands until each has failed, and calls halfway in the middle
// of it. It returns the ids that were acknowledged.
func (p *process) stream(hands int, halfway func()) map[string]bool {
	const enough = 40
	var mu sync.Mutex
	kept := map[string]bool{}
	var all sync.WaitGroup
	var once sync.Once
	for range hands {
		all.Go(func() {
			for {
				id, ok := p.save()
				mu.Lock()
				if ok {
					kept[id] = true
				}
				n := len(kept)
				mu.Unlock()
				if n >= enough {
					once.Do(halfway)
				}
				if !ok {
					return
				}
			}
		})
	}
	all.Wait()
	return kept
}

func read[T any](t *testing.T, p *process, path string) T {
	t.Helper()
	response, err := p.browser.Get(p.url + path)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = response.Body.Close() }()
	var out T
	if err := json.NewDecoder(response.Body).Decode(&out); err != nil {
		t.Fatal(err)
	}
	return out
}

// Whatever is killed under a stream of saves, what was acknowledged is there afterwards,
// and whatever is there is whole: 24 kills under 8 writers. A database that is killed alone
// is started again beside its Keeler.
func TestKilledUnderSaves(t *testing.T) {
	const kills, writers = 24, 8
	program, data := program(t), t.TempDir()
	kept := map[string]bool{}
	p := start(t, program, data)
	for n := range kills {
		db := child(t, p.cmd.Process.Pid)
		var fresh map[string]bool
		switch n % 3 {
		case 0: // the server
			fresh = p.stream(writers, func() { kill(p.cmd.Process.Pid) })
		case 1: // both
			fresh = p.stream(writers, func() { kill(db); kill(p.cmd.Process.Pid) })
		case 2: // the database
			fresh = p.stream(writers, func() { kill(db) })
		}
		for id := range fresh {
			kept[id] = true
		}
		if n%3 != 2 {
			_ = p.cmd.Wait()
			p = start(t, program, data)
		}
		p.answers(t)
		there := map[string]bool{}
		for _, b := range read[wire.BatchList](t, p, "/api/batches").Batches {
			there[b.ID] = true
		}
		for id := range fresh {
			whole := read[wire.Batch](t, p, "/api/batches/"+id)
			if !there[id] || len(whole.Answer.Dribble.Lines) != 4 || whole.Recipe.Dribble.Size.Volume != 262 {
				t.Errorf("after kill %d, acknowledged batch %s is gone or not whole: %+v", n, id, whole)
			}
		}
	}
	for id := range kept { // those of long ago, too
		if whole := read[wire.Batch](t, p, "/api/batches/"+id); whole.ID != id || len(whole.Answer.Dribble.Lines) != 4 {
			t.Errorf("after all, batch %s is gone or not whole", id)
		}
	}
	p.stop(t)
	if len(kept) < 40*kills {
		t.Errorf("only %d saves were acknowledged: the test did not press", len(kept))
	}
}

// answers waits until the database is there again.
func (p *process) answers(t *testing.T) {
	t.Helper()
	for t.Context().Err() == nil {
		if response, err := p.browser.Get(p.url + "/api/yards"); err == nil {
			_ = response.Body.Close()
			if response.StatusCode == http.StatusOK {
				return
			}
		}
	}
	t.Fatal("it never answers again")
}

// parse reads a command line, as main does.
func parse(args ...string) (settings, error) {
	var line commandLine
	_, err := kong.Must(&line).Parse(args)
	return line.settings, err
}

func TestSettings(t *testing.T) {
	t.Setenv("KEELER_ADDR", "127.0.0.1:1")
	s, err := parse("serve", "--data", "elsewhere")
	if err != nil || s.Addr != "127.0.0.1:1" || s.Data != "elsewhere" {
		t.Errorf("got %+v %v", s, err)
	}
	if s, err = parse("serve", "--addr", ":2"); err != nil || s.Addr != ":2" {
		t.Errorf("the flag must win over the environment: %+v %v", s, err)
	}
	for _, args := range [][]string{{"serve", "--spoons", "3"}, {"serve", "extra"}, {"serve", "--log", "loud"}, {"serve", "--tls-key", "x"}, {"spoon"}, {}} {
		if _, err := parse(args...); err == nil {
			t.Errorf("%v must be refused", args)
		}
	}
}
