package main

import (
	"bytes"
	"crypto/tls"
	"crypto/x509"
	"encoding/json"
	"io"
	"net/http"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
)

// A phone that trusts the kitchen's root is served over HTTPS, and still is once the
// kitchen was opened again.
func TestTheKitchenSpeaksHTTPSByItsOwnAuthority(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "kitchen.db")
	var pool *x509.CertPool
	for range 2 {
		o := openKitchen(t, "serve", "--data", data, "--https", "127.0.0.1:0")
		_, told := o.call("GET", "/api/secure", "")
		var secure app.Secure
		require.NoError(t, json.Unmarshal([]byte(told), &secure), told)
		require.True(t, strings.HasPrefix(secure.URL, "https://127.0.0.1:"), told)
		_, root := o.call("GET", secure.Root, "")
		if pool == nil {
			parsed, err := x509.ParseCertificate([]byte(root))
			require.NoError(t, err)
			pool = x509.NewCertPool()
			pool.AddCert(parsed)
		}
		phone := &http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: pool}}}
		answer, err := phone.Get(secure.URL + "/api/kitchen")
		require.NoError(t, err)
		body, err := io.ReadAll(answer.Body)
		require.NoError(t, err)
		require.NoError(t, answer.Body.Close())
		assert.Equal(t, http.StatusOK, answer.StatusCode)
		assert.Contains(t, string(body), `"fridgeC":4`)
		phone.CloseIdleConnections()
		require.NoError(t, o.cmd.Process.Kill())
		_ = o.cmd.Wait()
	}
}

func TestWhatIsWrongWithHTTPSIsSaidInOneLine(t *testing.T) {
	t.Parallel()
	folder := t.TempDir()
	for says, args := range map[string][]string{
		"--cert and --key go together":               {"--cert", "kitchen.pem"},
		"--cert and --key are PEM files that belong": {"--cert", filepath.Join(folder, "none.pem"), "--key", filepath.Join(folder, "none.key")},
		"choose another address with --https":        {"--https", "256.0.0.1:1"},
	} {
		cmd := program(append([]string{"serve", "--data", filepath.Join(folder, "kitchen.db"), "--listen", "127.0.0.1:0"}, args...)...)
		var stderr bytes.Buffer
		cmd.Stderr = &stderr
		require.Error(t, cmd.Run())
		assert.Equal(t, exitUsage, cmd.ProcessState.ExitCode())
		assert.Contains(t, stderr.String(), says)
		assert.Equal(t, 1, strings.Count(stderr.String(), "\n"), stderr.String())
	}
}
