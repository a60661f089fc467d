package main

import (
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/pem"
	"fmt"
	"io"
	"math/big"
	"net"
	"os"
	"path/filepath"
	"time"
)

// certLasts is how long a local certificate lasts; browsers take no longer one.
const certLasts = 397 * 24 * time.Hour

type certCommand struct{}

// Run makes a certificate in the data folder.
func (certCommand) Run(s settings) error { return makeCert(s.Data, os.Stdout) }

// makeCert writes a certificate for this machine's names and addresses, signed by
// itself, so that a phone in the same network can use HTTPS once it was told to
// trust it.
func makeCert(folder string, out io.Writer) error {
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return err
	}
	serial, err := rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 127))
	if err != nil {
		return err
	}
	names, addresses, err := here()
	if err != nil {
		return err
	}
	now := time.Now()
	template := &x509.Certificate{
		SerialNumber: serial, Subject: pkix.Name{CommonName: "Keeler on " + names[0]},
		NotBefore: now.Add(-time.Hour), NotAfter: now.Add(certLasts),
		KeyUsage: x509.KeyUsageDigitalSignature | x509.KeyUsageCertSign, ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth},
		BasicConstraintsValid: true, IsCA: true, DNSNames: names, IPAddresses: addresses,
	}
	der, err := x509.CreateCertificate(rand.Reader, template, template, &key.PublicKey, key)
	if err != nil {
		return err
	}
	secret, err := x509.MarshalPKCS8PrivateKey(key)
	if err != nil {
		return err
	}
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return err
	}
	cert, private := filepath.Join(folder, "keeler.crt"), filepath.Join(folder, "keeler.key")
	if err := os.WriteFile(cert, pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: der}), 0o644); err != nil {
		return err
	}
	if err := os.WriteFile(private, pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: secret}), 0o600); err != nil {
		return err
	}
	fmt.Fprintf(out, "Made %s and %s, for", cert, private)
	for _, n := range names {
		fmt.Fprint(out, " ", n)
	}
	for _, a := range addresses {
		fmt.Fprint(out, " ", a)
	}
	fmt.Fprintf(out, "\nkeeler serve --addr :8443 --tls-cert %s --tls-key %s --public-url https://%s:8443\n", cert, private, addresses[len(addresses)-1])
	return nil
}

// here is what this machine is called and where it is reached; loopback first.
func here() (names []string, addresses []net.IP, err error) {
	name, err := os.Hostname()
	if err != nil {
		return nil, nil, err
	}
	all, err := net.InterfaceAddrs()
	if err != nil {
		return nil, nil, err
	}
	addresses = []net.IP{net.IPv4(127, 0, 0, 1), net.IPv6loopback}
	for _, a := range all {
		if ip, isNet := a.(*net.IPNet); isNet && ip.IP.IsGlobalUnicast() {
			addresses = append(addresses, ip.IP)
		}
	}
	return []string{name, "localhost"}, addresses, nil
}
