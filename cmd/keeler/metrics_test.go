package main

import (
	"bufio"
	"bytes"
	"io"
	"net"
	"net/http"
	"os/exec"
	"regexp"
	"strings"
	"syscall"
	"testing"
)

// Whoever runs Keeler sees on an address of its own how it goes; nothing there, and nothing
// that is logged, tells of a person or holds the token of a link.
func TestMetricsAndLogTellOfNobody(t *testing.T) {
	keeler, folder := program(t), t.TempDir()
	free, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	metrics := free.Addr().String()
	if err := free.Close(); err != nil {
		t.Fatal(err)
	}
	cmd := exec.Command(keeler, "serve", "--addr", "127.0.0.1:0", "--data", folder, "--log", "debug", "--metrics", metrics)
	var logged bytes.Buffer
	cmd.Stderr = &logged
	out, err := cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if err := cmd.Start(); err != nil {
		t.Fatal(err)
	}
	line, err := bufio.NewReader(out).ReadString('\n')
	if err != nil {
		t.Fatal(err)
	}
	url := strings.TrimSpace(line[strings.Index(line, "http://"):])
	get := func(url string) (int, string) {
		t.Helper()
		response, err := http.Get(url)
		if err != nil {
			t.Fatal(err)
		}
		defer func() { _ = response.Body.Close() }()
		raw, err := io.ReadAll(response.Body)
		if err != nil {
			t.Fatal(err)
		}
		return response.StatusCode, string(raw)
	}
	const token, name = "SECRETTOKEN0123456789", "anna@quay.example"
	get(url + "/api/join/" + token)
	response, err := http.Post(url+"/api/session", "application/json", strings.NewReader(`{"login":"`+name+`","password":"hidden words here"}`))
	if err != nil {
		t.Fatal(err)
	}
	_ = response.Body.Close()
	_, told := get("http://" + metrics + "/metrics")
	for _, want := range []string{
		`keeler_request_seconds_count{method="GET",route="/api/join/:token",status="404"} 1`, `keeler_request_seconds_count{method="POST",route="/api/session",status="401"} 1`,
		"keeler_streams 0", "keeler_password_hashes_waiting 0", "keeler_lines_refused_total 0", `go_sql_max_open_connections{db_name="keeler"} 24`,
	} {
		if !strings.Contains(told, want) {
			t.Errorf("nothing tells %s", want)
		}
	}
	if status, _ := get(url + "/metrics"); status != http.StatusOK { // the page, not the figures
		t.Errorf("/metrics beside the page: %d", status)
	}
	if _, page := get(url + "/metrics"); strings.Contains(page, "keeler_request") {
		t.Error("strangers read the figures")
	}
	if err := cmd.Process.Signal(syscall.SIGTERM); err != nil {
		t.Fatal(err)
	}
	if err := cmd.Wait(); err != nil {
		t.Error(err)
	}
	for _, secret := range []string{token, name, "hidden words"} {
		if strings.Contains(told, secret) || strings.Contains(logged.String(), secret) {
			t.Errorf("%s is told:\n%s", secret, logged.String())
		}
	}
	if !strings.Contains(logged.String(), "/api/join/:token") {
		t.Errorf("requests are not logged:\n%s", logged.String())
	}
}

// The unit that is printed runs the program that was asked, by flags that there are.
func TestUnit(t *testing.T) {
	keeler := program(t)
	out, err := exec.Command(keeler, "unit").CombinedOutput()
	if err != nil {
		t.Fatal(err)
	}
	runs := regexp.MustCompile(`(?m)^ExecStart=(\S+) (.*)$`).FindSubmatch(out)
	if len(runs) == 0 || string(runs[1]) != keeler || bytes.Contains(out, []byte("{")) {
		t.Fatalf("%s", out)
	}
	if s, err := parse(strings.Fields(string(runs[2]))...); err != nil || s.Data != "/var/lib/keeler" {
		t.Errorf("%+v %v", s, err)
	}
	for _, want := range []string{"Restart=on-failure", "NoNewPrivileges=yes", "StateDirectory=keeler", "RuntimeDirectory=keeler"} {
		if !bytes.Contains(out, []byte(want)) {
			t.Errorf("it lacks %s", want)
		}
	}
}
