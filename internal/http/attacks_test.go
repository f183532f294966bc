package http

import (
	"bufio"
	"bytes"
	"compress/gzip"
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app/bench"
	"plushladle/internal/app/shelf"
	"plushladle/internal/store"
)

// onTheNetwork serves the kitchen on a port of its own.
func (c *client) onTheNetwork() string {
	c.t.Helper()
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(c.t, err)
	go func() { _ = c.app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	c.t.Cleanup(func() { _ = c.app.ShutdownWithTimeout(time.Second) })
	return listener.Addr().String()
}

// Pages from elsewhere cannot drive the kitchen, nor reach it by a name made
// to point at it.
func TestPagesFromElsewhereAreRefused(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	tests := []struct {
		name, host, origin, site string
		status                   int
	}{
		{"our own page", "localhost:8642", "http://localhost:8642", "same-origin", http.StatusOK},
		{"no browser", "127.0.0.1:8642", "", "", http.StatusOK},
		{"by address", "192.168.1.9:8642", "http://192.168.1.9:8642", "same-origin", http.StatusOK},
		{"by the name it listens on", "galley.local", "http://galley.local", "same-origin", http.StatusOK},
		{"another site's form", "localhost:8642", "http://elsewhere.example", "cross-site", http.StatusForbidden},
		{"a page without origin", "localhost:8642", "null", "cross-site", http.StatusForbidden},
		{"another port here", "localhost:8642", "http://localhost:9999", "same-site", http.StatusForbidden},
		{"a name made to point here", "elsewhere.example:8642", "http://elsewhere.example:8642", "same-origin", http.StatusMisdirectedRequest},
		{"a name that ends like ours", "notgalley.local", "", "", http.StatusMisdirectedRequest},
		{"an address dressed up", "127.0.0.1.elsewhere.example", "", "", http.StatusMisdirectedRequest},
	}
	for _, tt := range tests {
		r := request("POST", "/api/drinks", bench.NewDrink{Name: tt.name})
		r.Host = tt.host
		r.Header.Set("Origin", tt.origin)
		r.Header.Set("Sec-Fetch-Site", tt.site)
		status, answer, _ := c.send(r)
		assert.Equal(t, tt.status, status, "%s: %s", tt.name, answer)
	}
	drinks := call[[]bench.DrinkName](c, "GET", "/api/drinks", nil)
	assert.Len(t, drinks, 4, "only what was allowed was done")
	read := request("GET", "/api/drinks", nil)
	read.Host = "elsewhere.example"
	status, answer, _ := c.send(read)
	assert.Equal(t, http.StatusMisdirectedRequest, status)
	assert.NotContains(t, answer, "our own page", "nor is anything told")
}

func TestEveryAnswerCarriesTheHeaders(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	for path, want := range map[string]int{"/": 200, "/shelf/1": 200, "/api/kitchen": 200, "/api/none": 404, "/none.js": 404, "/assets/app-1.js": 200} {
		status, _, header := c.send(request("GET", path, nil))
		assert.Equal(t, want, status, path)
		policy := header.Get("Content-Security-Policy")
		scripts := policy
		if _, after, named := strings.Cut(policy, "script-src"); named {
			scripts, _, _ = strings.Cut(after, ";")
		} else {
			scripts, _, _ = strings.Cut(policy, ";") // default-src counts for scripts
		}
		assert.NotContains(t, scripts, "unsafe", path)
		assert.Contains(t, policy, "default-src 'self'", path)
		assert.Contains(t, policy, "frame-ancestors 'none'", path)
		assert.Equal(t, "nosniff", header.Get("X-Content-Type-Options"), path)
		assert.Equal(t, "no-referrer", header.Get("Referrer-Policy"), path)
	}
	misled := request("GET", "/", nil)
	misled.Host = "elsewhere.example"
	_, _, header := c.send(misled)
	assert.NotEmpty(t, header.Get("Content-Security-Policy"), "refusals too")
}

// Only what is built in is served, and a download's name is never a path.
func TestPathsDoNotLeadOutOfTheBuild(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	base := c.onTheNetwork()
	for _, path := range []string{"/../../etc/passwd", "/..%2f..%2fetc%2fpasswd", "/assets/../../../etc/passwd", "/assets/..%5c..%5cetc%5cpasswd",
		"/%2e%2e/%2e%2e/etc/passwd.txt", "//etc/passwd.txt", "/api/backup.json/../../../etc/passwd", "/api/bottles/..%2f1/qr.png", "/assets/%00.js"} {
		connection, err := net.Dial("tcp", base)
		require.NoError(t, err)
		fmt.Fprintf(connection, "GET %s HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n", path) // as it stands: no client tidies it
		answer, err := io.ReadAll(connection)
		require.NoError(t, err, path)
		_ = connection.Close()
		assert.NotContains(t, string(answer), "root:", path)
		assert.Regexp(t, `^HTTP/1.1 (404|400|200)`, string(answer), path)
		if strings.HasPrefix(string(answer), "HTTP/1.1 200") {
			assert.Contains(t, string(answer), "<p>page</p>", path)
		}
	}
}

// What is too large, does not say how large it is, or would swell, is refused
// before it is read, and the kitchen answers on.
func TestOversizedBodiesAreRefusedUnread(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	base := c.onTheNetwork()
	var bomb bytes.Buffer
	packed := gzip.NewWriter(&bomb)
	_, _ = packed.Write(bytes.Repeat([]byte{' '}, 64<<20))
	require.NoError(t, packed.Close())
	tests := []struct {
		name, head string
		body       io.Reader
		status     int
	}{
		{"ten gigabytes", "Content-Length: 10737418240", strings.NewReader("{"), http.StatusRequestEntityTooLarge},
		{"a byte too many", fmt.Sprintf("Content-Length: %d", bodyLimit+1), strings.NewReader("{"), http.StatusRequestEntityTooLarge},
		{"no length", "Transfer-Encoding: chunked", strings.NewReader("1\r\n{\r\n0\r\n\r\n"), http.StatusLengthRequired},
		{"packed small", fmt.Sprintf("Content-Encoding: gzip\r\nContent-Length: %d", bomb.Len()), &bomb, http.StatusUnsupportedMediaType},
	}
	for _, tt := range tests {
		connection, err := net.Dial("tcp", base)
		require.NoError(t, err)
		fmt.Fprintf(connection, "POST /api/drinks HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n%s\r\n\r\n", tt.head)
		_, _ = io.Copy(connection, tt.body)
		answer, err := http.ReadResponse(bufio.NewReader(connection), nil)
		require.NoError(t, err, tt.name)
		assert.Equal(t, tt.status, answer.StatusCode, tt.name)
		_ = connection.Close()
	}
	connection, err := net.Dial("tcp", base)
	require.NoError(t, err)
	fmt.Fprintf(connection, "POST %s HTTP/1.1\r\nHost: localhost\r\nContent-Length: %d\r\n\r\n{", restorePath, restoreLimit+1)
	answer, err := http.ReadResponse(bufio.NewReader(connection), nil)
	require.NoError(t, err)
	assert.Equal(t, http.StatusRequestEntityTooLarge, answer.StatusCode, "a backup has its limit too")
	_ = connection.Close()
	assert.Empty(t, call[[]bench.DrinkName](c, "GET", "/api/drinks", nil))
}

// A body that nobody reads never becomes the next request: whatever its size
// and wherever it is sent, it is answered once, and nothing in it is done.
func TestAnUnreadBodyIsNeverTheNextRequest(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	base := c.onTheNetwork()
	const smuggled = `{"name":"smuggled"}`
	inner := fmt.Sprintf("POST /api/drinks HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: %d\r\n\r\n%s", len(smuggled), smuggled)
	targets := []struct{ name, method, path, origin string }{
		{"refused by its origin", "POST", "/", "http://evil.example"}, {"refused operation", "POST", "/api/drinks", "http://evil.example"},
		{"an unknown operation", "POST", "/api/none", ""}, {"a file", "GET", "/assets/app-1.js", ""}, {"the page", "GET", "/", ""},
		{"a wrong method", "PUT", "/shelf", ""}, {"an operation without a body", "POST", "/api/bottles/1/finish", ""},
		{"its undo", "POST", "/api/bottles/1/undo-pour", ""}, {"a restore that is none", "POST", restorePath, ""}, {"a reading operation", "GET", "/api/kitchen", ""},
	}
	for _, tt := range targets {
		for _, before := range []int{0, 1 << 10, 8191, 8192, 8193, 32 << 10, 100_000, 500_000} {
			payload := strings.Repeat(" ", before) + inner
			connection, err := net.Dial("tcp", base)
			require.NoError(t, err)
			origin := ""
			if tt.origin != "" {
				origin = "Origin: " + tt.origin + "\r\n"
			}
			go func() {
				_, _ = fmt.Fprintf(connection, "%s %s HTTP/1.1\r\nHost: localhost\r\n%sContent-Type: text/plain\r\nContent-Length: %d\r\n\r\n%s", tt.method, tt.path, origin, len(payload), payload)
			}()
			_ = connection.SetReadDeadline(time.Now().Add(300 * time.Millisecond))
			answers, _ := io.ReadAll(connection)
			_ = connection.Close()
			assert.LessOrEqual(t, strings.Count(string(answers), "HTTP/1.1 "), 1, "%s, %d bytes before: %.300s", tt.name, before, answers)
		}
	}
	assert.Empty(t, call[[]bench.DrinkName](c, "GET", "/api/drinks", nil), "nothing was created")
}

// An honest client whose request was refused goes on undisturbed.
func TestAClientGoesOnAfterARefusal(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	base := "http://" + c.onTheNetwork()
	for range 5 {
		refused, err := http.Post(base+"/api/none", "application/json", strings.NewReader(strings.Repeat(" ", 50_000)))
		require.NoError(t, err)
		assert.Equal(t, http.StatusNotFound, refused.StatusCode)
		_ = refused.Body.Close()
		next, err := http.Get(base + "/api/kitchen")
		require.NoError(t, err)
		assert.Equal(t, http.StatusOK, next.StatusCode)
		_ = next.Body.Close()
	}
}

// Two hundred clients that send a byte now and then hold nobody up.
func TestSlowClientsHoldNobodyUp(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	base := c.onTheNetwork()
	for n := range 200 {
		connection, err := net.Dial("tcp", base)
		require.NoError(t, err)
		t.Cleanup(func() { _ = connection.Close() })
		if n%2 == 0 {
			fmt.Fprint(connection, "GET /api/kitchen HTTP/1.1\r\nHost: loc") // a head that never ends
			continue
		}
		fmt.Fprintf(connection, "POST %s HTTP/1.1\r\nHost: localhost\r\nContent-Length: 1000\r\n\r\n{", restorePath) // a body that never ends
	}
	for range 10 {
		answer, err := http.Get("http://" + base + "/api/kitchen")
		require.NoError(t, err)
		assert.Equal(t, http.StatusOK, answer.StatusCode)
		_ = answer.Body.Close()
	}
	assert.Equal(t, http.StatusOK, statusOf(c.send(request("POST", "/api/drinks", bench.NewDrink{Name: "while they wait"}))), "and what is written is")
}

func statusOf(status int, _ string, _ http.Header) int { return status }

// Two devices pour the last serving at once: one gets it, and the other is
// told so.
func TestTwoDevicesPourTheLastServing(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	bottles := call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 240, Place: "fridge"}}})
	id := fmt.Sprintf("/api/bottles/%d", bottles[0].ID)
	for range 20 {
		var both sync.WaitGroup
		statuses := make([]int, 2)
		for n := range statuses {
			both.Go(func() { statuses[n], _, _ = c.send(request("POST", id+"/pours", shelf.Poured{ML: 240})) })
		}
		both.Wait()
		assert.ElementsMatch(t, []int{http.StatusOK, http.StatusUnprocessableEntity}, statuses)
		assert.InDelta(t, 240, call[shelf.Bottle](c, "POST", id+"/undo-pour", nil).LeftML, 1e-9)
	}
}

// A clock that was wrong, and is put right or back, costs no bottle and no
// answer.
func TestAClockThatMovesCostsNothing(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}}})
	today := c.now
	for _, jump := range []time.Duration{-400 * 24 * time.Hour, -26 * time.Hour, -time.Hour, 3 * time.Hour, 0} {
		c.now = today.Add(jump)
		theShelf := call[shelf.Shelf](c, "GET", "/api/shelf", nil)
		require.Len(t, theShelf.Bottles, 1, jump)
		b := theShelf.Bottles[0]
		assert.LessOrEqual(t, b.LeftDays, 3., "no life is won: %v", jump)
		assert.GreaterOrEqual(t, b.LifeShare, 0., jump)
		assert.LessOrEqual(t, b.LifeShare, 1., jump)
		call[shelf.Bottle](c, "POST", "/api/bottles/1/pours", shelf.Poured{ML: 10})
		call[shelf.Story](c, "GET", "/api/bottles/1/story", nil)
	}
	assert.InDelta(t, 450, call[shelf.Shelf](c, "GET", "/api/shelf", nil).Bottles[0].LeftML, 1e-9)
}

func TestABackupComesBackFromThePage(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	c.begun()
	_, before, header := c.send(request("GET", "/api/backup.json", nil))
	assert.Contains(t, header.Get("Content-Disposition"), "plush-ladle-2026-11-24.json")
	call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "made since"})
	p := c.refused("POST", restorePath, "a shopping list")
	assert.Contains(t, p.Errors[0].Message, "not a Plush Ladle backup")
	assert.Len(t, call[[]bench.DrinkName](c, "GET", "/api/drinks", nil), 2, "nothing was changed")

	restored := call[Restored](c, "POST", restorePath, before+strings.Repeat("\n", bodyLimit)) // larger than other requests may be
	_, after, _ := c.send(request("GET", "/api/backup.json", nil))
	assert.Equal(t, before, after)
	kept, err := os.ReadFile(restored.Kept)
	require.NoError(t, err)
	assert.Contains(t, string(kept), "made since", "what was there before is kept beside")
	assert.Equal(t, "Almond milk", call[bench.Drink](c, "GET", "/api/drinks/1", nil).Name)
	_, err = c.store.Bottle(1)
	assert.ErrorIs(t, err, store.ErrNotFound)
}
