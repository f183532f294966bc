//go:build e2e

// Package e2e drives the real program in a real browser, from the demo
// kitchen, by what a user sees.
package e2e

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"io/fs"
	"log/slog"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"testing"
	"time"

	kitchenhttp "plushladle/internal/http"

	"github.com/chromedp/chromedp"
	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"plushladle/internal/demo"
	"plushladle/internal/store"
	"plushladle/internal/store/storetest"
	"plushladle/web"
)

// chromium is Debian's without a window of its own, which takes little more than half the time.
const chromium = "/usr/bin/chromium-headless-shell"

// browser is the one browser all tests share; each has its own context in it.
var browser context.Context

func TestMain(m *testing.M) {
	if _, err := fs.Stat(web.Dist(), "index.html"); err != nil {
		fmt.Fprintln(os.Stderr, "e2e: the front end is not built; run: make build")
		os.Exit(1)
	}
	options := append(chromedp.DefaultExecAllocatorOptions[:],
		chromedp.ExecPath(chromium), chromedp.NoSandbox, chromedp.DisableGPU, chromedp.WindowSize(1280, 800),
		chromedp.Flag("hide-scrollbars", true), chromedp.Flag("font-render-hinting", "none"), chromedp.Flag("disable-quic", true),
		chromedp.Flag("host-resolver-rules", "MAP "+kitchenName+" 127.0.0.1"), // as a router names it
		chromedp.Flag("ignore-certificate-errors", true),                      // the roots of test kitchens are installed nowhere
		chromedp.Flag("force-prefers-reduced-motion", true))                   // nothing to wait for that moves
	allocator, stop := chromedp.NewExecAllocator(context.Background(), options...)
	ctx, cancel := chromedp.NewContext(allocator)
	if err := chromedp.Do(ctx); err != nil {
		fmt.Fprintln(os.Stderr, "e2e: Chromium does not start:", err)
		os.Exit(1)
	}
	browser = ctx
	code := m.Run()
	cancel()
	stop()
	os.Exit(code)
}

// kitchenName is a name that a kitchen may answer to in a network.
const kitchenName = "larder.local"

// demoFile is the demo kitchen's file, filled once for all tests.
var demoFile = storetest.Once(func(s *store.Store) error { return demo.Fill(s, time.Now()) })

// demoKitchen opens a demo kitchen of its own on a port of its own and returns its
// address.
func demoKitchen(t testing.TB) string {
	t.Helper()
	return serve(t, demoStore(t))
}

// demoStore is a demo kitchen of the test's own.
func demoStore(t testing.TB) *store.Store {
	t.Helper()
	path := filepath.Join(t.TempDir(), "kitchen.db")
	demoFile.Copy(t, path)
	return openStore(t, path)
}

// emptyKitchen opens a kitchen with nothing in it.
func emptyKitchen(t testing.TB) string {
	t.Helper()
	return serve(t, newStore(t))
}

func newStore(t testing.TB) *store.Store {
	t.Helper()
	return openStore(t, filepath.Join(t.TempDir(), "kitchen.db"))
}

func openStore(t testing.TB, path string) *store.Store {
	t.Helper()
	s, err := store.Open(path, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s
}

func serve(t testing.TB, s *store.Store) string {
	t.Helper()
	return serveAs(t, kitchenhttp.Config{Store: s})
}

// serveAs serves with what else a kitchen is to be.
func serveAs(t testing.TB, config kitchenhttp.Config) string {
	t.Helper()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	config.Now, config.Web, config.Log = time.Now, web.Dist(), slog.New(slog.DiscardHandler)
	app := kitchenhttp.New(config)
	go func() { _ = app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	t.Cleanup(func() { _ = app.ShutdownWithTimeout(time.Second) })
	return "http://" + listener.Addr().String()
}

// ask makes a request of the kitchen and gives its answer.
func ask(t testing.TB, url, method, path string, body any) map[string]any {
	t.Helper()
	var out map[string]any
	askFor(t, url, method, path, body, &out)
	return out
}

// askFor is ask with an answer of another kind.
func askFor(t testing.TB, url, method, path string, body, out any) {
	t.Helper()
	data, err := json.Marshal(body)
	require.NoError(t, err)
	r, err := http.NewRequest(method, url+path, bytes.NewReader(data))
	require.NoError(t, err)
	r.Header.Set("Content-Type", "application/json")
	answer, err := http.DefaultClient.Do(r)
	require.NoError(t, err)
	defer func() { _ = answer.Body.Close() }()
	said, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, answer.StatusCode, "%s %s: %s", method, path, said)
	require.NoError(t, json.Unmarshal(said, out))
}
