package main

import (
	"bufio"
	"bytes"
	"io"
	"net/http"
	"path/filepath"
	"strings"
	"syscall"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const porch = "fourteen rowers on the porch"

// Beyond this machine a kitchen does not open without a passphrase; with one
// it asks whoever is elsewhere, and nobody at the machine itself.
func TestAKitchenBeyondThisMachineAsksForItsPassphrase(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "kitchen.db")
	for typed, says := range map[string]string{"": "needs a passphrase", "short\n": "it is too short"} {
		cmd := program("serve", "--data", data, "--listen", "0.0.0.0:0")
		var stderr bytes.Buffer
		cmd.Stdin, cmd.Stderr = strings.NewReader(typed), &stderr
		require.Error(t, cmd.Run())
		assert.Equal(t, exitUsage, cmd.ProcessState.ExitCode())
		assert.Contains(t, stderr.String(), says)
	}
	var stdout, stderr bytes.Buffer
	require.Equal(t, exitOK, run([]string{"passphrase", "--data", data}, streams{strings.NewReader(porch + "\n"), &stdout, &stderr}), stderr.String())

	cmd := program("serve", "--data", data, "--listen", "0.0.0.0:0")
	out, err := cmd.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, cmd.Start())
	t.Cleanup(func() { _ = cmd.Process.Kill() })
	line, err := bufio.NewReader(out).ReadString('\n')
	require.NoError(t, err)
	require.Contains(t, line, "running at http://127.0.0.1:", "an address to click on")
	port := line[strings.LastIndex(line, ":"):]
	ask := func(from, path, body string, cookies ...*http.Cookie) *http.Response {
		method := map[bool]string{true: "GET", false: "POST"}[body == ""]
		r, err := http.NewRequest(method, "http://127.0.0.1"+strings.TrimSpace(port)+path, strings.NewReader(body))
		require.NoError(t, err)
		r.Header.Set("Content-Type", "application/json")
		if from != "" {
			r.Header.Set("X-Forwarded-For", from)
		}
		for _, c := range cookies {
			r.AddCookie(c)
		}
		answer, err := http.DefaultClient.Do(r)
		require.NoError(t, err)
		t.Cleanup(func() { _, _ = io.Copy(io.Discard, answer.Body); _ = answer.Body.Close() })
		return answer
	}
	assert.Equal(t, http.StatusOK, ask("", "/api/kitchen", "").StatusCode, "at the machine itself")
	assert.Equal(t, http.StatusUnauthorized, ask("192.0.2.7", "/api/kitchen", "").StatusCode)
	in := ask("192.0.2.7", "/api/sign-in", `{"passphrase":"`+porch+`","device":"boat"}`)
	require.Equal(t, http.StatusOK, in.StatusCode)
	assert.Equal(t, http.StatusOK, ask("192.0.2.7", "/api/kitchen", "", in.Cookies()...).StatusCode)
	require.NoError(t, cmd.Process.Signal(syscall.SIGTERM))
	assert.NoError(t, cmd.Wait())
}

func TestWhichAddressesAreBeyondThisMachine(t *testing.T) {
	t.Parallel()
	for listen, want := range map[string]bool{
		"127.0.0.1:8642": false, "127.0.0.2:0": false, "[::1]:8642": false, "localhost:8642": false,
		":8642": true, "0.0.0.0:8642": true, "[::]:8642": true, "192.168.1.4:80": true, "galley.local:8642": true,
	} {
		assert.Equal(t, want, isBeyond(listen), listen)
	}
}
