package main

import (
	"bytes"
	"crypto/ecdsa"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"io"
	"net"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"
)

var (
	ourNames     = []string{"shed", "localhost"}
	ourAddresses = []net.IP{net.IPv4(127, 0, 0, 1).To4(), net.IPv6loopback, net.ParseIP("2001:db8::7"), net.IPv4(192, 0, 2, 7).To4()}
)

// A browser that was told to trust the authority reaches this machine by the certificate,
// and its keys are nobody else's to read.
func TestCert(t *testing.T) {
	folder := t.TempDir()
	var said strings.Builder
	if err := makeCert(folder, ourNames, ourAddresses, &said); err != nil {
		t.Fatal(err)
	}
	if !strings.Contains(said.String(), "--tls-cert") || !strings.Contains(said.String(), "--public-url https://192.0.2.7:8443") {
		t.Errorf("it does not say how to use it: %s", said.String())
	}
	for _, name := range []string{keyFile, authorityKeyFile} {
		if info, err := os.Stat(filepath.Join(folder, name)); err != nil || info.Mode().Perm() != 0o600 {
			t.Errorf("%s: %v %v", name, info, err)
		}
	}
	authority, signs, err := readPair(filepath.Join(folder, authorityFile), filepath.Join(folder, authorityKeyFile))
	if err != nil {
		t.Fatal(err)
	}
	pair, err := tls.LoadX509KeyPair(filepath.Join(folder, certFile), filepath.Join(folder, keyFile))
	if err != nil {
		t.Fatal(err)
	}
	if pair.Leaf.IsCA || pair.Leaf.KeyUsage&x509.KeyUsageCertSign != 0 {
		t.Error("what is served with can sign")
	}
	server := httptest.NewUnstartedServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = io.WriteString(w, "here") }))
	server.TLS = &tls.Config{Certificates: []tls.Certificate{pair}}
	server.StartTLS()
	defer server.Close()
	trusted := x509.NewCertPool()
	trusted.AddCert(authority)
	browser := &http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: trusted}}}
	for _, name := range []string{"127.0.0.1", "localhost"} {
		response, err := browser.Get(strings.Replace(server.URL, "127.0.0.1", name, 1))
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		_ = response.Body.Close()
	}
	// Stolen, the authority's key opens no other site: phones that trust it take its word
	// for this machine and private networks alone.
	for name, ip := range map[string]net.IP{"bank.example": nil, "": net.IPv4(198, 51, 100, 1).To4()} {
		if takes(t, authority, signs, name, ip) {
			t.Errorf("it is believed for %s%v", name, ip)
		}
	}
	if !takes(t, authority, signs, "", net.IPv4(192, 168, 1, 5).To4()) {
		t.Error("another address of a private network is not signed for")
	}
	if _, err := parse("serve", "--tls-cert", "x"); err == nil {
		t.Error("a certificate without its key was taken")
	}
}

// takes reports whether a certificate of the authority is believed for a name or address.
func takes(t *testing.T, authority *x509.Certificate, signs *ecdsa.PrivateKey, name string, ip net.IP) bool {
	t.Helper()
	template := &x509.Certificate{Subject: pkix.Name{CommonName: "x"}, NotAfter: time.Now().Add(time.Hour), ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth}}
	asked := name
	if ip != nil {
		template.IPAddresses, asked = []net.IP{ip}, ip.String()
	} else {
		template.DNSNames = []string{name}
	}
	folder := t.TempDir()
	made, _, err := makePair(filepath.Join(folder, "c"), filepath.Join(folder, "k"), template, authority, signs)
	if err != nil {
		t.Fatal(err)
	}
	trusted := x509.NewCertPool()
	trusted.AddCert(authority)
	_, err = made.Verify(x509.VerifyOptions{Roots: trusted, DNSName: asked})
	return err == nil
}

// No key is ever overwritten; moved away, the next certificate is signed by the same
// authority; and a machine that has a name the authority does not sign for is told.
func TestCertOverwritesNoKey(t *testing.T) {
	folder := t.TempDir()
	at := func(name string) string { return filepath.Join(folder, name) }
	read := func(name string) []byte {
		t.Helper()
		raw, err := os.ReadFile(at(name))
		if err != nil {
			t.Fatal(err)
		}
		return raw
	}
	if err := makeCert(folder, ourNames, ourAddresses, io.Discard); err != nil {
		t.Fatal(err)
	}
	key, authority, cert := read(keyFile), read(authorityFile), read(certFile)
	if err := makeCert(folder, ourNames, ourAddresses, io.Discard); err == nil || !strings.Contains(err.Error(), "stays as it is") {
		t.Errorf("again: %v", err)
	}
	if !bytes.Equal(read(keyFile), key) || !bytes.Equal(read(certFile), cert) {
		t.Error("something was overwritten")
	}
	if err := os.Rename(at(keyFile), at("old.key")); err != nil {
		t.Fatal(err)
	}
	if err := makeCert(folder, append(ourNames, "other"), ourAddresses, io.Discard); err == nil || !strings.Contains(err.Error(), "another name") {
		t.Errorf("for another name: %v", err)
	}
	if err := makeCert(folder, ourNames, ourAddresses, io.Discard); err != nil || !bytes.Equal(read(authorityFile), authority) || bytes.Equal(read(keyFile), key) {
		t.Errorf("a new certificate by the same authority: %v", err)
	}
	// Where there is only the new kind of address, the command works all the same.
	var said strings.Builder
	if err := makeCert(t.TempDir(), ourNames, ourAddresses[1:3], &said); err != nil || !strings.Contains(said.String(), "--public-url https://[2001:db8::7]:8443") {
		t.Errorf("%s %v", said.String(), err)
	}
}
