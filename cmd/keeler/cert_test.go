package main

import (
	"crypto/tls"
	"crypto/x509"
	"io"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// A browser that was told to trust the certificate reaches this machine by it, and
// its key is nobody else's to read.
func TestCert(t *testing.T) {
	folder := t.TempDir()
	var said strings.Builder
	if err := makeCert(folder, &said); err != nil {
		t.Fatal(err)
	}
	if !strings.Contains(said.String(), "--tls-cert") || !strings.Contains(said.String(), "--public-url https://") {
		t.Errorf("it does not say how to use it: %s", said.String())
	}
	key := filepath.Join(folder, "keeler.key")
	if info, err := os.Stat(key); err != nil || info.Mode().Perm() != 0o600 {
		t.Errorf("the key: %v %v", info, err)
	}
	pair, err := tls.LoadX509KeyPair(filepath.Join(folder, "keeler.crt"), key)
	if err != nil {
		t.Fatal(err)
	}
	server := httptest.NewUnstartedServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = io.WriteString(w, "here") }))
	server.TLS = &tls.Config{Certificates: []tls.Certificate{pair}}
	server.StartTLS()
	defer server.Close()
	trusted := x509.NewCertPool()
	trusted.AddCert(pair.Leaf)
	browser := &http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: trusted}}}
	for _, name := range []string{"127.0.0.1", "localhost"} {
		response, err := browser.Get(strings.Replace(server.URL, "127.0.0.1", name, 1))
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		_ = response.Body.Close()
	}
	if _, err := parse("serve", "--tls-cert", "x"); err == nil {
		t.Error("a certificate without its key was taken")
	}
}
