package main

import (
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/pem"
	"errors"
	"fmt"
	"io"
	"math/big"
	"net"
	"os"
	"path/filepath"
	"slices"
	"time"
)

const (
	certLasts      = 397 * 24 * time.Hour // browsers take no longer one
	authorityLasts = 10 * 365 * 24 * time.Hour
)

// The files of a certificate, and of the authority that signs it: that is what a phone is
// told to trust, and its key is needed only to make the next certificate.
const (
	certFile         = "keeler.crt"
	keyFile          = "keeler.key"
	authorityFile    = "keeler-ca.crt"
	authorityKeyFile = "keeler-ca.key"
)

type certCommand struct{}

// Run makes a certificate in the data folder.
func (certCommand) Run(s settings) error {
	names, addresses, err := here()
	if err != nil {
		return err
	}
	return makeCert(s.Data, names, addresses, os.Stdout)
}

// makeCert writes a certificate for this machine's names and addresses, signed by an
// authority of its own, so that a phone in the same network can use HTTPS once it was told
// to trust that. No key that is there is overwritten: the authority's is used again, and
// the certificate's made anew only when it was moved away.
func makeCert(folder string, names []string, addresses []net.IP, out io.Writer) error {
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return err
	}
	at := func(name string) string { return filepath.Join(folder, name) }
	authority, signs, err := readPair(at(authorityFile), at(authorityKeyFile))
	if errors.Is(err, os.ErrNotExist) {
		authority, signs, err = makeAuthority(at(authorityFile), at(authorityKeyFile), names, addresses)
	}
	if err != nil {
		return err
	}
	if !signsFor(authority, names, addresses) {
		return fmt.Errorf("this machine has another name or address than when %s was made; move that and %s away for new ones, which phones must be told to trust",
			at(authorityFile), at(authorityKeyFile))
	}
	now := time.Now()
	template := &x509.Certificate{
		Subject: pkix.Name{CommonName: "Keeler on " + names[0]}, NotBefore: now.Add(-time.Hour), NotAfter: now.Add(certLasts),
		KeyUsage: x509.KeyUsageDigitalSignature, ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth},
		BasicConstraintsValid: true, DNSNames: names, IPAddresses: addresses,
	}
	if _, _, err := makePair(at(certFile), at(keyFile), template, authority, signs); err != nil {
		return err
	}
	fmt.Fprintf(out, "Made %s and %s, for", at(certFile), at(keyFile))
	for _, n := range names {
		fmt.Fprint(out, " ", n)
	}
	for _, a := range addresses {
		fmt.Fprint(out, " ", a)
	}
	public := net.JoinHostPort(reached(addresses), "8443")
	fmt.Fprintf(out, "\nkeeler serve --addr :8443 --tls-cert %s --tls-key %s --public-url https://%s\n", at(certFile), at(keyFile), public)
	fmt.Fprintf(out, "Have phones trust %s; it signs for this machine and private networks alone. Keep %s to yourself.\n", at(authorityFile), at(authorityKeyFile))
	return nil
}

// makeAuthority makes what signs for some names and addresses and for private networks, and
// for nothing else.
func makeAuthority(cert, key string, names []string, addresses []net.IP) (*x509.Certificate, *ecdsa.PrivateKey, error) {
	now := time.Now()
	template := &x509.Certificate{
		Subject: pkix.Name{CommonName: "Keeler's own authority on " + names[0]}, NotBefore: now.Add(-time.Hour), NotAfter: now.Add(authorityLasts),
		KeyUsage: x509.KeyUsageCertSign, BasicConstraintsValid: true, IsCA: true, MaxPathLenZero: true,
		PermittedDNSDomainsCritical: true, PermittedDNSDomains: names,
	}
	// A private network may give this machine another address tomorrow.
	for _, private := range []string{"10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "fc00::/7"} {
		_, network, err := net.ParseCIDR(private)
		if err != nil {
			return nil, nil, err
		}
		template.PermittedIPRanges = append(template.PermittedIPRanges, network)
	}
	for _, ip := range addresses {
		bits := 8 * len(ip)
		template.PermittedIPRanges = append(template.PermittedIPRanges, &net.IPNet{IP: ip, Mask: net.CIDRMask(bits, bits)})
	}
	return makePair(cert, key, template, nil, nil)
}

// signsFor reports whether an authority's word is taken for all of these.
func signsFor(authority *x509.Certificate, names []string, addresses []net.IP) bool {
	for _, n := range names {
		if !slices.Contains(authority.PermittedDNSDomains, n) {
			return false
		}
	}
	for _, ip := range addresses {
		if !slices.ContainsFunc(authority.PermittedIPRanges, func(n *net.IPNet) bool { return n.Contains(ip) }) {
			return false
		}
	}
	return true
}

// makePair writes a new key and its certificate, signed by an authority or by itself.
func makePair(cert, key string, template, by *x509.Certificate, signs *ecdsa.PrivateKey) (*x509.Certificate, *ecdsa.PrivateKey, error) {
	fresh, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, nil, err
	}
	if by == nil {
		by, signs = template, fresh
	}
	if template.SerialNumber, err = rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 127)); err != nil {
		return nil, nil, err
	}
	der, err := x509.CreateCertificate(rand.Reader, template, by, &fresh.PublicKey, signs)
	if err != nil {
		return nil, nil, err
	}
	secret, err := x509.MarshalPKCS8PrivateKey(fresh)
	if err != nil {
		return nil, nil, err
	}
	if err := writeNew(key, 0o600, "PRIVATE KEY", secret); err != nil {
		return nil, nil, err
	}
	// A certificate without its key is of no use: that one is written over.
	if err := os.WriteFile(cert, pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: der}), 0o644); err != nil {
		return nil, nil, err
	}
	made, err := x509.ParseCertificate(der)
	return made, fresh, err
}

// writeNew writes a file that is not there yet.
func writeNew(path string, mode os.FileMode, kind string, content []byte) (err error) {
	file, err := os.OpenFile(path, os.O_CREATE|os.O_EXCL|os.O_WRONLY, mode)
	if errors.Is(err, os.ErrExist) {
		return fmt.Errorf("%s is there already and stays as it is; move it away for a new one", path)
	}
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, file.Close()) }()
	return pem.Encode(file, &pem.Block{Type: kind, Bytes: content})
}

// readPair reads a certificate and its key; os.ErrNotExist when the key is not there.
func readPair(cert, key string) (*x509.Certificate, *ecdsa.PrivateKey, error) {
	secret, err := readPEM(key)
	if err != nil {
		return nil, nil, err
	}
	parsed, err := x509.ParsePKCS8PrivateKey(secret)
	if err != nil {
		return nil, nil, fmt.Errorf("%s: %w", key, err)
	}
	private, is := parsed.(*ecdsa.PrivateKey)
	if !is {
		return nil, nil, fmt.Errorf("%s is a key of another kind", key)
	}
	der, err := readPEM(cert)
	if err != nil {
		return nil, nil, fmt.Errorf("%s is there without its certificate: %v", key, err)
	}
	made, err := x509.ParseCertificate(der)
	return made, private, err
}

func readPEM(path string) ([]byte, error) {
	raw, err := os.ReadFile(path)
	if err != nil {
		return nil, err
	}
	block, _ := pem.Decode(raw)
	if block == nil {
		return nil, fmt.Errorf("%s holds no PEM", path)
	}
	return block.Bytes, nil
}

// reached is the address that others most likely reach this machine at: of the old kind
// where there is one, which nobody has to put in brackets.
func reached(addresses []net.IP) string {
	best := addresses[0]
	for _, ip := range addresses {
		if !ip.IsLoopback() && (best.IsLoopback() || best.To4() == nil && ip.To4() != nil) {
			best = ip
		}
	}
	return best.String()
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
	addresses = []net.IP{net.IPv4(127, 0, 0, 1).To4(), net.IPv6loopback}
	for _, a := range all {
		if ip, isNet := a.(*net.IPNet); isNet && ip.IP.IsGlobalUnicast() {
			addresses = append(addresses, bare(ip.IP))
		}
	}
	return []string{name, "localhost"}, addresses, nil
}

// bare is an address in as many bytes as its kind has.
func bare(ip net.IP) net.IP {
	if old := ip.To4(); old != nil {
		return old
	}
	return ip
}
