package main

import (
	"bufio"
	"bytes"
	"crypto/tls"
	"crypto/x509"
	"io"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
)

// program is a built keeler.
func program(t *testing.T) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "keeler")
	if out, err := exec.Command("go", "build", "-o", path, ".").CombinedOutput(); err != nil {
		t.Fatalf("%v\n%s", err, out)
	}
	return path
}

// A phone in the same network signs in over HTTPS, by the certificate that keeler
// cert made; the cookie then goes nowhere else, and a change from the public
// address is taken.
func TestServeHTTPS(t *testing.T) {
	keeler, folder := program(t), t.TempDir()
	if out, err := exec.Command(keeler, "cert", "--data", folder).CombinedOutput(); err != nil || !bytes.Contains(out, []byte("--tls-cert")) {
		t.Fatalf("%v\n%s", err, out)
	}
	cert := filepath.Join(folder, certFile)
	cmd := exec.Command(keeler, "serve", "--addr", "127.0.0.1:0", "--data", folder, "--log", "error",
		"--tls-cert", cert, "--tls-key", filepath.Join(folder, "keeler.key"), "--public-url", "https://quay.example")
	out, err := cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if err := cmd.Start(); err != nil {
		t.Fatal(err)
	}
	defer func() {
		_ = cmd.Process.Signal(syscall.SIGTERM)
		if err := cmd.Wait(); err != nil {
			t.Errorf("it did not stop in order: %v", err)
		}
	}()
	console := bufio.NewReader(out)
	said := func(before string) string {
		t.Helper()
		line, err := console.ReadString('\n')
		if err != nil {
			t.Fatal(err)
		}
		return strings.TrimSpace(line[strings.Index(line, before)+len(before):])
	}
	url := "https://" + said("https://")
	code := said("this code: ")
	pem, err := os.ReadFile(filepath.Join(folder, authorityFile))
	if err != nil {
		t.Fatal(err)
	}
	trusted := x509.NewCertPool()
	trusted.AppendCertsFromPEM(pem)
	phone := &http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: trusted}}}
	post := func(path, body, origin string) *http.Response {
		t.Helper()
		request, err := http.NewRequestWithContext(t.Context(), http.MethodPost, url+path, strings.NewReader(body))
		if err != nil {
			t.Fatal(err)
		}
		request.Header.Set("Content-Type", "application/json")
		request.Header.Set("Origin", origin)
		response, err := phone.Do(request)
		if err != nil {
			t.Fatal(err)
		}
		_, _ = io.Copy(io.Discard, response.Body)
		_ = response.Body.Close()
		return response
	}
	owner := `{"code":"` + code + `","operation":"Quay","login":"Owner","password":"several plain words"}`
	if r := post("/api/claim", owner, "https://elsewhere.example"); r.StatusCode != http.StatusForbidden {
		t.Errorf("from elsewhere: %s", r.Status)
	}
	r := post("/api/claim", owner, "https://quay.example")
	cookie := r.Header.Get("Set-Cookie")
	port := url[strings.LastIndex(url, ":")+1:]
	if r.StatusCode != http.StatusOK || !strings.HasPrefix(cookie, "__Host-keeler-"+port+"=") || !strings.Contains(cookie, "Secure") || !strings.Contains(cookie, "HttpOnly") {
		t.Errorf("%s, %q", r.Status, cookie)
	}
	if kept := r.Header.Get("Strict-Transport-Security"); !strings.Contains(kept, "max-age=31536000") {
		t.Errorf("HTTPS is not insisted on: %q", kept)
	}
	// A lone owner sets a new password from the machine, while Keeler is served.
	link, err := exec.Command(keeler, "password", "Owner", "--data", folder, "--public-url", "https://quay.example").CombinedOutput()
	_, token, found := bytes.Cut(link, []byte("https://quay.example/password/"))
	if err != nil || !found {
		t.Fatalf("%v %s", err, link)
	}
	token, _, _ = bytes.Cut(token, []byte("\n"))
	if r := post("/api/password/new", `{"token":"`+string(token)+`","new":"seven wet stones"}`, "https://quay.example"); r.StatusCode != http.StatusNoContent {
		t.Errorf("a new password: %s", r.Status)
	}
	if out, err := exec.Command(keeler, "password", "Nobody", "--data", folder).CombinedOutput(); err == nil || !bytes.Contains(out, []byte("nobody signs in")) {
		t.Errorf("%v %s", err, out)
	}
}
