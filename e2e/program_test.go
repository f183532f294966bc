//go:build e2e

package e2e

import (
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// program is the built program with the demo kitchen, on one port and one file
// however often it is killed and started.
type program struct {
	t    testing.TB
	cmd  *exec.Cmd
	data string
	at   string
	url  string
}

func ownProgram(t testing.TB) *program {
	t.Helper()
	at := ownAddress(t)
	k := &program{t: t, data: filepath.Join(t.TempDir(), "kitchen.db"), at: at, url: "http://" + at}
	demoFile.Copy(t, k.data)
	k.start()
	t.Cleanup(k.kill)
	return k
}

// lastPort is the last that was given away. They lie below those that the system gives to
// connections, since a browser's own would take one before the program listens on it.
var lastPort atomic.Int32

func init() { lastPort.Store(20_000 + int32(os.Getpid()%10_000)) }

// ownAddress is one that nobody listens on, and that nobody else is given.
func ownAddress(t testing.TB) string {
	t.Helper()
	for range 1000 {
		at := fmt.Sprintf("127.0.0.1:%d", lastPort.Add(1))
		if free, err := net.Listen("tcp", at); err == nil {
			require.NoError(t, free.Close())
			return at
		}
	}
	require.Fail(t, "no port is free")
	return ""
}

func (k *program) start() {
	k.t.Helper()
	k.cmd = exec.Command("../bin/plushladle", "demo", "--listen", k.at, "--data", k.data)
	require.NoError(k.t, k.cmd.Start())
	require.Eventually(k.t, func() bool {
		answer, err := http.Get(k.url + "/api/ready")
		if err != nil {
			return false
		}
		return answer.Body.Close() == nil && answer.StatusCode == http.StatusNoContent
	}, 20*time.Second, 20*time.Millisecond)
}

// kill ends it as a power cut does: nothing is written on the way out.
func (k *program) kill() {
	_ = k.cmd.Process.Kill()
	_ = k.cmd.Wait()
}

// line is a connection to a kitchen that can be cut.
type line struct {
	t       testing.TB
	to, at  string
	url     string
	mu      sync.Mutex
	through []net.Conn
	in      net.Listener
}

func lineTo(t testing.TB, url string) *line {
	t.Helper()
	l := &line{t: t, to: strings.TrimPrefix(url, "http://"), at: ownAddress(t)}
	l.mend()
	l.at = l.in.Addr().String()
	l.url = "http://" + l.at
	t.Cleanup(func() {
		if l.in != nil {
			l.cut()
		}
	})
	return l
}

// mend lets it through again, at the same address.
func (l *line) mend() {
	l.t.Helper()
	in, err := net.Listen("tcp", l.at)
	require.NoError(l.t, err)
	l.mu.Lock()
	l.in = in
	l.mu.Unlock()
	go func() {
		for {
			near, err := in.Accept()
			if err != nil {
				return
			}
			far, err := net.Dial("tcp", l.to)
			if err != nil {
				_ = near.Close()
				continue
			}
			if !l.letThrough(in, near, far) {
				return
			}
			go func() { _, _ = io.Copy(far, near); _ = far.Close() }()
			go func() { _, _ = io.Copy(near, far); _ = near.Close() }()
		}
	}()
}

// letThrough keeps the two ends of a connection, unless it was cut meanwhile.
func (l *line) letThrough(in net.Listener, ends ...net.Conn) bool {
	l.mu.Lock()
	defer l.mu.Unlock()
	if l.in != in {
		for _, end := range ends {
			_ = end.Close()
		}
		return false
	}
	l.through = append(l.through, ends...)
	return true
}

// cut ends what goes through, and lets nothing more.
func (l *line) cut() {
	l.mu.Lock()
	defer l.mu.Unlock()
	_ = l.in.Close()
	l.in = nil
	for _, c := range l.through {
		_ = c.Close()
	}
	l.through = nil
}
