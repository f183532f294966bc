package authority

import (
	"crypto/tls"
	"crypto/x509"
	"io"
	"log"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var today = time.Date(2026, 11, 28, 9, 0, 0, 0, time.UTC)

func opened(t *testing.T, file string, at *time.Time) *Authority {
	t.Helper()
	a, err := Open(file, []string{"larder", "larder.local"}, func() time.Time { return *at })
	require.NoError(t, err)
	return a
}

// trusts are what a phone has that the root was installed on.
func trusts(t *testing.T, a *Authority) *x509.CertPool {
	t.Helper()
	root, err := x509.ParseCertificate(a.Certificate())
	require.NoError(t, err)
	pool := x509.NewCertPool()
	pool.AddCert(root)
	return pool
}

func TestAPhoneThatTrustsTheRootIsServed(t *testing.T) {
	t.Parallel()
	at := time.Now()
	a := opened(t, filepath.Join(t.TempDir(), "authority.pem"), &at)
	listener, err := tls.Listen("tcp", "127.0.0.1:0", a.TLS())
	require.NoError(t, err)
	server := &http.Server{ErrorLog: log.New(io.Discard, "", 0), Handler: http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = io.WriteString(w, "milk") })}
	go func() { _ = server.Serve(listener) }()
	t.Cleanup(func() { _ = server.Close() })
	url := "https://" + listener.Addr().String()

	phone := &http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: trusts(t, a)}}}
	answer, err := phone.Get(url)
	require.NoError(t, err)
	body, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	require.NoError(t, answer.Body.Close())
	assert.Equal(t, "milk", string(body))

	_, err = http.Get(url)
	assert.ErrorContains(t, err, "unknown authority", "whoever does not trust the root does not trust the kitchen")
}

func TestTheRootIsGoodForTheKitchenOnly(t *testing.T) {
	t.Parallel()
	at := today
	a := opened(t, filepath.Join(t.TempDir(), "authority.pem"), &at)
	for name, ok := range map[string]bool{
		"192.168.1.20": true, "10.0.0.7": true, "fd00::7": true, "127.0.0.1": true, "larder": true, "larder.local": true, "localhost": true,
		"8.8.8.8": false, "2001:db8::1": false,
	} {
		leaf, err := a.Leaf(name)
		require.NoError(t, err)
		_, err = leaf.Leaf.Verify(x509.VerifyOptions{Roots: trusts(t, a), DNSName: name, CurrentTime: today, KeyUsages: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth}})
		assert.Equal(t, ok, err == nil, "%s: %v", name, err)
	}
	_, err := a.Leaf("bank.example")
	assert.ErrorIs(t, err, errNotOurs)

	// whoever had its key could still sign for nobody else
	a.names = append(a.names, "bank.example")
	leaf, err := a.Leaf("bank.example")
	require.NoError(t, err)
	_, err = leaf.Leaf.Verify(x509.VerifyOptions{Roots: trusts(t, a), DNSName: "bank.example", CurrentTime: today})
	assert.Error(t, err)
}

func TestTheRootStaysAndLeavesAreRenewed(t *testing.T) {
	t.Parallel()
	file := filepath.Join(t.TempDir(), "authority.pem")
	at := today
	a := opened(t, file, &at)
	first, err := a.Leaf("10.0.0.7")
	require.NoError(t, err)
	at = today.AddDate(0, 0, leafDays-renewDays-1)
	same, err := a.Leaf("10.0.0.7")
	require.NoError(t, err)
	assert.Same(t, first, same)
	at = today.AddDate(0, 0, leafDays-renewDays+1)
	next, err := a.Leaf("10.0.0.7")
	require.NoError(t, err)
	assert.True(t, next.Leaf.NotAfter.After(first.Leaf.NotAfter))
	assert.LessOrEqual(t, next.Leaf.NotAfter.Sub(at), 398*24*time.Hour, "longer is refused by phones")

	again := opened(t, file, &at)
	assert.Equal(t, a.Fingerprint(), again.Fingerprint(), "what was installed stays good")
	assert.Regexp(t, `^([0-9A-F]{2}:){31}[0-9A-F]{2}$`, a.Fingerprint())
	kept, err := os.Stat(file)
	require.NoError(t, err)
	assert.Equal(t, os.FileMode(0o600), kept.Mode().Perm())

	require.NoError(t, os.WriteFile(file, []byte("milk"), 0o600))
	_, err = Open(file, nil, time.Now)
	assert.ErrorContains(t, err, "move it away and a new one is made")
}

func TestTheAddressConnectedToIsTheName(t *testing.T) {
	t.Parallel()
	at := today
	a := opened(t, filepath.Join(t.TempDir(), "authority.pem"), &at)
	near, far := net.Pipe()
	t.Cleanup(func() { _ = near.Close(); _ = far.Close() })
	leaf, err := a.leafFor(&tls.ClientHelloInfo{ServerName: "LARDER.local", Conn: near})
	require.NoError(t, err)
	assert.Equal(t, []string{"larder.local"}, leaf.Leaf.DNSNames)
}
