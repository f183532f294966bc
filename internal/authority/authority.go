// Package authority signs the kitchen's own certificates, so that phones in its network
// can reach it over HTTPS.
//
// Browsers give offline pages, notifications, the clipboard and sharing to secure pages
// only, and no public authority signs an address such as 192.168.1.20. So a kitchen has an
// authority of its own: a root, made once and kept beside the kitchen's file, that a cook
// installs on a phone; and a leaf for whatever name or address the phone asks for, made
// when it is asked for and again before it ends.
//
// A root that is installed is trusted for what it says, so it says little: it is good for
// private addresses and the names of this machine only (RFC 5280, 4.2.1.10), and its key
// never leaves the folder.
package authority

import (
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/sha256"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/pem"
	"errors"
	"fmt"
	"math/big"
	"net"
	"os"
	"strings"
	"sync"
	"time"
)

const (
	rootYears = 10
	// leafDays is the most that phones accept of a leaf (CA/Browser Forum, 398 days).
	leafDays  = 397
	renewDays = 30 // before its end
	// early is how far back a certificate begins: the clocks of a kitchen differ.
	early = 24 * time.Hour
)

// private are the networks a root is good for: RFC 1918, loopback, link-local, and their
// like in IPv6.
var private = []string{"10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "127.0.0.0/8", "169.254.0.0/16", "fc00::/7", "fe80::/10", "::1/128"}

// Authority signs leaves for the names of one kitchen. It is safe for use by several
// connections at once.
type Authority struct {
	root   *x509.Certificate
	key    *ecdsa.PrivateKey
	names  []string // this machine's, in lower case
	now    func() time.Time
	mu     sync.Mutex
	leaves map[string]*tls.Certificate // by name or address
}

// Open reads the authority from a PEM file of its certificate and key, or makes one there,
// readable by its owner only. names are those the kitchen answers to besides addresses.
func Open(file string, names []string, now func() time.Time) (*Authority, error) {
	a := &Authority{names: names, now: now, leaves: map[string]*tls.Certificate{}}
	data, err := os.ReadFile(file)
	if errors.Is(err, os.ErrNotExist) {
		if data, err = newRoot(names, now()); err == nil {
			err = os.WriteFile(file, data, 0o600)
		}
	}
	if err != nil {
		return nil, fmt.Errorf("the kitchen's certificate authority: %w", err)
	}
	pair, err := tls.X509KeyPair(data, data)
	if err != nil {
		return nil, fmt.Errorf("%s is no certificate with its key: %w; move it away and a new one is made", file, err)
	}
	key, ok := pair.PrivateKey.(*ecdsa.PrivateKey)
	if !ok {
		return nil, fmt.Errorf("%s has a key of another kind; move it away and a new one is made", file)
	}
	a.root, a.key = pair.Leaf, key
	return a, nil
}

// newRoot is a root certificate and its key, in PEM.
func newRoot(names []string, now time.Time) ([]byte, error) {
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, err
	}
	root := &x509.Certificate{
		SerialNumber: serial(), Subject: pkix.Name{CommonName: "Plush Ladle kitchen", Organization: []string{"Plush Ladle"}},
		NotBefore: now.Add(-early), NotAfter: now.AddDate(rootYears, 0, 0),
		IsCA: true, BasicConstraintsValid: true, MaxPathLenZero: true, KeyUsage: x509.KeyUsageCertSign,
		PermittedDNSDomainsCritical: true, PermittedDNSDomains: append([]string{"localhost", "local"}, names...),
	}
	for _, network := range private {
		_, n, err := net.ParseCIDR(network)
		if err != nil {
			return nil, err
		}
		root.PermittedIPRanges = append(root.PermittedIPRanges, n)
	}
	der, err := x509.CreateCertificate(rand.Reader, root, root, &key.PublicKey, key)
	if err != nil {
		return nil, err
	}
	secret, err := x509.MarshalPKCS8PrivateKey(key)
	if err != nil {
		return nil, err
	}
	certificate := pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: der})
	return append(certificate, pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: secret})...), nil
}

// serial is a number that no other certificate has.
func serial() *big.Int {
	n, err := rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 120))
	if err != nil {
		panic(err) // the system gives no random numbers
	}
	return n
}

// Certificate is the root as phones install it, in DER, without its key.
func (a *Authority) Certificate() []byte { return a.root.Raw }

// Fingerprint is the root's SHA-256 in pairs, to be held against what a phone shows.
func (a *Authority) Fingerprint() string {
	sum := sha256.Sum256(a.root.Raw)
	return strings.ReplaceAll(fmt.Sprintf("% X", sum[:]), " ", ":")
}

// TLS is how a server speaks with what the authority signs.
func (a *Authority) TLS() *tls.Config {
	return &tls.Config{MinVersion: tls.VersionTLS12, GetCertificate: a.leafFor}
}

// errNotOurs is what a name is refused with that no page of the kitchen has.
var errNotOurs = errors.New("not a name of this kitchen")

// leafFor is the certificate for the name asked for; for the address that was connected to
// where none was.
func (a *Authority) leafFor(hello *tls.ClientHelloInfo) (*tls.Certificate, error) {
	name := strings.ToLower(hello.ServerName)
	if name == "" && hello.Conn != nil {
		host, _, err := net.SplitHostPort(hello.Conn.LocalAddr().String())
		if err != nil {
			return nil, err
		}
		name = host
	}
	return a.Leaf(name)
}

// Leaf is a certificate for a name or an address, the same until it is about to end.
func (a *Authority) Leaf(name string) (*tls.Certificate, error) {
	if !a.isOurs(name) {
		return nil, errNotOurs
	}
	a.mu.Lock()
	defer a.mu.Unlock()
	now := a.now()
	if leaf, ok := a.leaves[name]; ok && now.AddDate(0, 0, renewDays).Before(leaf.Leaf.NotAfter) {
		return leaf, nil
	}
	leaf, err := a.sign(name, now)
	if err == nil {
		a.leaves[name] = leaf
	}
	return leaf, err
}

func (a *Authority) isOurs(name string) bool {
	if net.ParseIP(name) != nil || name == "localhost" {
		return true
	}
	for _, own := range a.names {
		if name == own {
			return true
		}
	}
	return false
}

func (a *Authority) sign(name string, now time.Time) (*tls.Certificate, error) {
	key, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, err
	}
	end := now.AddDate(0, 0, leafDays)
	if end.After(a.root.NotAfter) {
		end = a.root.NotAfter
	}
	leaf := &x509.Certificate{
		SerialNumber: serial(), Subject: pkix.Name{CommonName: name}, NotBefore: now.Add(-early), NotAfter: end,
		KeyUsage: x509.KeyUsageDigitalSignature, ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth},
	}
	if ip := net.ParseIP(name); ip != nil {
		leaf.IPAddresses = []net.IP{ip}
	} else {
		leaf.DNSNames = []string{name}
	}
	der, err := x509.CreateCertificate(rand.Reader, leaf, a.root, &key.PublicKey, a.key)
	if err != nil {
		return nil, err
	}
	parsed, err := x509.ParseCertificate(der)
	if err != nil {
		return nil, err
	}
	return &tls.Certificate{Certificate: [][]byte{der, a.root.Raw}, PrivateKey: key, Leaf: parsed}, nil
}
