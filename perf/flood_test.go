package perf

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"os/exec"
	"regexp"
	"runtime"
	"slices"
	"strconv"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/google/uuid"

	"keeler/core/method/dribble"
	"keeler/wire"
)

const (
	flooding     = 8 // strangers at once, as in the attack
	floodBody    = 900 << 10
	floodTaps    = 60
	slowerTaps   = 3.0
	floodMB      = 200
	triesAtOnce  = 100
	triesMB      = 350
	flooded      = "../bin/keeler"
	secretOfMine = "a long enough one"
)

// alone is a Keeler in a process of its own, whose memory can be looked at.
type alone struct {
	cmd *exec.Cmd
	crew
	url string
}

func startAlone(data string) (a alone, err error) {
	a.cmd = exec.Command(flooded, "serve", "--addr", "127.0.0.1:0", "--data", data, "--log", "error")
	out, err := a.cmd.StdoutPipe()
	if err != nil {
		return a, err
	}
	if err := a.cmd.Start(); err != nil {
		return a, err
	}
	console := bufio.NewReader(out)
	at, err := console.ReadString('\n')
	if err != nil {
		return a, err
	}
	code, err := console.ReadString('\n')
	if err != nil {
		return a, err
	}
	a.url, a.client = strings.TrimSpace(at[strings.Index(at, "http://"):]), newClient()
	return a, a.ask("/api/claim", wire.Claim{Code: strings.TrimSpace(code[strings.LastIndex(code, ":")+1:]), Operation: "Quay", Login: "Owner", Password: secretOfMine})
}

func (a alone) ask(path string, in any) error {
	body, err := json.Marshal(in)
	if err != nil {
		return err
	}
	response, err := a.client.Post(a.url+path, "application/json", bytes.NewReader(body))
	if err != nil {
		return err
	}
	defer func() { _ = response.Body.Close() }()
	if said, _ := io.ReadAll(response.Body); response.StatusCode >= http.StatusMultipleChoices {
		return fmt.Errorf("%s: %s %s", path, response.Status, said)
	}
	return nil
}

// peak is the most memory that the process ever had, MB.
func (a alone) peak() (float64, error) {
	raw, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", a.cmd.Process.Pid))
	if err != nil {
		return 0, err
	}
	found := regexp.MustCompile(`VmHWM:\s+(\d+) kB`).FindSubmatch(raw)
	if found == nil {
		return 0, fmt.Errorf("no peak in %s", raw)
	}
	kB, err := strconv.ParseFloat(string(found[1]), 64)
	return kB / 1024, err
}

// taps is how long a signed-in tap takes in the middle: a line in the ledger of a batch.
func (a alone) taps(batch string) (time.Duration, error) {
	took := make([]time.Duration, floodTaps)
	for i := range took {
		begun := time.Now()
		if err := a.ask("/api/batches/"+batch+"/entries", wire.StockEntry{ID: uuid.NewString(), Kind: "used", Amount: 1}); err != nil {
			return 0, err
		}
		took[i] = time.Since(begun)
	}
	slices.Sort(took)
	return took[len(took)/2], nil
}

// stranger sends a request over a connection of its own, and reads what comes back.
func stranger(address, path, body string) {
	connection, err := net.Dial("tcp", address)
	if err != nil {
		return
	}
	defer func() { _ = connection.Close() }()
	_, _ = fmt.Fprintf(connection, "POST %s HTTP/1.1\r\nHost: %s\r\nContent-Type: application/json\r\nContent-Length: %d\r\nConnection: close\r\n\r\n%s", path, address, len(body), body)
	_, _ = io.Copy(io.Discard, connection)
}

// flood measures what strangers cost who send what they like, and a hundred tries at once.
func flood() ([]figure, error) {
	data, err := os.MkdirTemp("", "keeler-flood-")
	if err != nil {
		return nil, err
	}
	defer func() { _ = os.RemoveAll(data) }()
	a, err := startAlone(data)
	if err != nil {
		return nil, err
	}
	defer func() { _ = a.cmd.Process.Signal(syscall.SIGTERM); _ = a.cmd.Wait() }()
	batch := uuid.NewString()
	err = a.ask("/api/batches", wire.SaveBatch{ID: batch, Name: "Jar", Recipe: wire.Recipe{Dribble: &wire.DribbleRequest{Request: dribble.Request{
		Hold: wire.Hold{Kind: "crystals"}, Aim: wire.Aim{By: "protocol", Protocol: "label-litre"}, Size: wire.Size{By: "volume", Volume: 1000},
	}}}})
	if err != nil {
		return nil, err
	}
	quiet, err := a.taps(batch)
	if err != nil {
		return nil, err
	}
	before, err := a.peak()
	if err != nil {
		return nil, err
	}
	paths := []string{"/api/inspections", "/api/counts", "/api/session", "/api/join", "/api/dribble/plan", "/api/dribble/dose", "/api/strip/plan", "/api/import/colonies"}
	list := `{"inspections":[` + strings.TrimSuffix(strings.Repeat("{},", floodBody/3), ",") + `],"colonies":[{}]}`
	many := `{"colonies":[` + strings.TrimSuffix(strings.Repeat("{},", 160_000), ",") + `]}`
	end := make(chan struct{})
	var strangers sync.WaitGroup
	for i := range flooding {
		strangers.Go(func() {
			// They are elsewhere: what they do themselves takes no processor from the server.
			runtime.LockOSThread()
			_ = syscall.Setpriority(syscall.PRIO_PROCESS, 0, 19)
			for body := list; ; body = map[string]string{list: many, many: list}[body] {
				select {
				case <-end:
					return
				default:
					stranger(strings.TrimPrefix(a.url, "http://"), paths[i], body)
				}
			}
		})
	}
	beside, err := a.taps(batch)
	close(end)
	strangers.Wait()
	if err != nil {
		return nil, err
	}
	after, err := a.peak()
	if err != nil {
		return nil, err
	}
	var tries sync.WaitGroup
	for i := range triesAtOnce {
		tries.Go(func() {
			body := fmt.Sprintf(`{"login":"name %d","password":"not this one"}`, i)
			if response, err := http.Post(a.url+"/api/session", "application/json", strings.NewReader(body)); err == nil {
				_ = response.Body.Close()
			}
		})
	}
	tries.Wait()
	hashed, err := a.peak()
	if err != nil {
		return nil, err
	}
	ratio := float64(beside) / float64(quiet)
	return []figure{
		{fmt.Sprintf("memory under %d strangers", flooding), fmt.Sprintf("+%.0f MB", after-before), fmt.Sprintf("under +%d MB", floodMB), after-before < floodMB},
		{"tap beside them, to one alone", fmt.Sprintf("%.2f (%s)", ratio, beside.Round(time.Millisecond/10)), fmt.Sprintf("at most %.0f", slowerTaps), ratio <= slowerTaps},
		{fmt.Sprintf("memory at %d tries to sign in at once", triesAtOnce), fmt.Sprintf("%.0f MB", hashed), fmt.Sprintf("under %d MB", triesMB), hashed < triesMB},
	}, nil
}

func BenchmarkFlood(b *testing.B) { report(b, flood) }
