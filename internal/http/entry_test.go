package http

import (
	"encoding/json"
	"fmt"
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

	"plushladle/internal/app"
	"plushladle/internal/app/access"
	"plushladle/internal/passphrase"
)

const words = "fourteen rowers on the porch"

// lockedClient is a kitchen open beyond its machine; requests of the tests
// come from elsewhere.
func lockedClient(t testing.TB) *client {
	t.Helper()
	c := newClient(t)
	hash, err := passphrase.Hash(words)
	require.NoError(t, err)
	require.NoError(t, c.store.SetPassphrase(hash, 0))
	c.app = New(Config{Store: c.store, Now: func() time.Time { return c.now }, Web: page, Hosts: []string{"galley.local"}, Beyond: true, Log: c.log, Scale: c.scale})
	return c
}

// signIn is the cookie a device is given.
func (c *client) signIn(device string) *http.Cookie {
	c.t.Helper()
	status, answer, header := c.send(request("POST", signInPath, access.SignIn{Passphrase: words, Device: device}))
	require.Equal(c.t, http.StatusOK, status, answer)
	cookies := (&http.Response{Header: header}).Cookies()
	require.Len(c.t, cookies, 1)
	return cookies[0]
}

// as makes a request as a signed-in device does.
func (c *client) as(device *http.Cookie, method, path string, body any) (int, string) {
	c.t.Helper()
	r := request(method, path, body)
	r.AddCookie(device)
	status, answer, _ := c.send(r)
	return status, answer
}

func TestNothingIsToldWithoutThePassphrase(t *testing.T) {
	t.Parallel()
	c := lockedClient(t)
	c.begunBehindTheGate()
	spec, err := Spec()
	require.NoError(t, err)
	var described struct {
		Paths map[string]map[string]any `json:"paths"`
	}
	require.NoError(t, json.Unmarshal(spec, &described))
	require.Greater(t, len(described.Paths), 60)
	tried := 0
	for path, methods := range described.Paths {
		for method := range methods {
			if path == signInPath || path == phrasePath { // throttled, and tried below
				continue
			}
			status, answer, _ := c.send(request(strings.ToUpper(method), strings.ReplaceAll(path, "{id}", "1"), "{}"))
			assert.Equal(t, http.StatusUnauthorized, status, "%s %s: %s", method, path, answer)
			tried++
		}
	}
	assert.Greater(t, tried, 80)
	for _, path := range []string{"/API/drinks", "//api/drinks", "/api//drinks", "/api/./drinks", "/x/../api/drinks", "/%61pi/drinks", "/api/drinks/", "/api%2fdrinks",
		"/api/changes", "/api/backup.json", "/api/thermometer.csv", "/api/plan.ics", "/api/plan.ics?key=1", "/api/openapi.json", "/api/bottles/1/qr.png"} {
		status, answer, _ := c.send(request("GET", path, nil))
		isPage := answer == "<p>page</p>" // which anyone may have: it asks for the passphrase
		assert.True(t, isPage || status >= 400, "%s: %d %s", path, status, answer)
	}
	status, _, _ := c.send(request("PUT", phrasePath, access.NewPassphrase{Passphrase: "another one altogether"}))
	assert.Equal(t, http.StatusUnauthorized, status)
	status, _, _ = c.send(request("GET", readyPath, nil))
	assert.Equal(t, http.StatusNoContent, status)
}

// begunBehindTheGate is a drink to be hidden.
func (c *client) begunBehindTheGate() {
	c.t.Helper()
	_, err := c.store.StartDrink("Almond milk", almondMilk())
	require.NoError(c.t, err)
}

func TestADeviceIsLetInListedAndSignedOut(t *testing.T) {
	t.Parallel()
	c := lockedClient(t)
	phone, boat := c.signIn("The phone by the stove"), c.signIn(" The boat ")
	assert.True(t, phone.HttpOnly)
	assert.Equal(t, http.SameSiteStrictMode, phone.SameSite)
	assert.Equal(t, "/", phone.Path)
	kept, err := c.store.Devices()
	require.NoError(t, err)
	assert.NotContains(t, fmt.Sprint(kept), phone.Value, "the token itself is not kept")

	status, answer := c.as(phone, "GET", "/api/devices", nil)
	require.Equal(t, http.StatusOK, status, answer)
	var devices access.Devices
	require.NoError(t, json.Unmarshal([]byte(answer), &devices))
	require.Len(t, devices.Devices, 2)
	for _, d := range devices.Devices {
		assert.Equal(t, d.Name == "The phone by the stove", d.This, d.Name)
	}
	assert.True(t, devices.Beyond && devices.HasPassphrase && !devices.AtHome)

	status, _ = c.as(phone, "DELETE", "/api/devices/2", nil)
	assert.Equal(t, http.StatusOK, status)
	status, _ = c.as(boat, "GET", "/api/kitchen", nil)
	assert.Equal(t, http.StatusUnauthorized, status, "signed out from the phone")

	status, _ = c.as(phone, "POST", "/api/sign-out", nil)
	assert.Equal(t, http.StatusOK, status)
	status, _ = c.as(phone, "GET", "/api/kitchen", nil)
	assert.Equal(t, http.StatusUnauthorized, status)
}

func TestAnotherPassphraseSignsTheOthersOut(t *testing.T) {
	t.Parallel()
	c := lockedClient(t)
	phone, boat := c.signIn("phone"), c.signIn("boat")
	tests := []struct {
		current, next, field string
		status               int
	}{
		{"not the one", "another one altogether", "body.current", http.StatusForbidden},
		{words, "short", "body.passphrase", http.StatusUnprocessableEntity},
		{words, "another one altogether", "", http.StatusOK},
	}
	for _, tt := range tests {
		status, answer := c.as(phone, "PUT", phrasePath, access.NewPassphrase{Passphrase: tt.next, Current: tt.current})
		assert.Equal(t, tt.status, status, answer)
		assert.Contains(t, answer, tt.field)
	}
	status, _ := c.as(boat, "GET", "/api/kitchen", nil)
	assert.Equal(t, http.StatusUnauthorized, status)
	status, _ = c.as(phone, "GET", "/api/kitchen", nil)
	assert.Equal(t, http.StatusOK, status, "the one that changed it stays")
	status, _, _ = c.send(request("POST", signInPath, access.SignIn{Passphrase: words}))
	assert.Equal(t, http.StatusForbidden, status, "the old words")
}

func TestADeviceThatStaysAwayIsForgotten(t *testing.T) {
	t.Parallel()
	c := lockedClient(t)
	phone := c.signIn("phone")
	for _, days := range []int{60, 60, 60} { // each time it is seen counts anew
		c.now = c.now.AddDate(0, 0, days)
		status, _ := c.as(phone, "GET", "/api/kitchen", nil)
		assert.Equal(t, http.StatusOK, status)
	}
	c.now = c.now.AddDate(0, 0, 91)
	status, _ := c.as(phone, "GET", "/api/kitchen", nil)
	assert.Equal(t, http.StatusUnauthorized, status)
}

func TestACalendarReadsTheCalendarOnly(t *testing.T) {
	t.Parallel()
	c := lockedClient(t)
	status, answer := c.as(c.signIn("phone"), "POST", "/api/calendar-keys", nil)
	require.Equal(t, http.StatusOK, status, answer)
	var key CalendarKey
	require.NoError(t, json.Unmarshal([]byte(answer), &key))
	status, body, _ := c.send(request("GET", key.Address, nil))
	assert.Equal(t, http.StatusOK, status)
	assert.Contains(t, body, "BEGIN:VCALENDAR")
	token := strings.TrimPrefix(key.Address, app.CalendarPath+"?key=")
	for _, r := range []*http.Request{request("GET", "/api/kitchen?key="+token, nil), request("GET", "/api/kitchen", nil)} {
		r.AddCookie(&http.Cookie{Name: cookieName, Value: token})
		status, _, _ = c.send(r)
		assert.Equal(t, http.StatusUnauthorized, status)
	}
}

// Many wrong passphrases, over the network: few are looked at, the log stays
// short, and whoever is in already is answered all the while. TRIES in the
// environment makes them more; a hundred thousand take a quarter of a minute.
func TestManyWrongPassphrases(t *testing.T) {
	t.Parallel()
	const together = 8
	tries := 8_000
	if _, err := fmt.Sscan(os.Getenv("TRIES"), &tries); err != nil {
		tries = 8_000
	}
	c := lockedClient(t)
	phone := c.signIn("phone")
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	go func() { _ = c.app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	t.Cleanup(func() { _ = c.app.Shutdown() })
	base := "http://" + listener.Addr().String()
	try := func(passphrase string) (int, http.Header, error) {
		r, _ := http.NewRequest("POST", base+signInPath, strings.NewReader(fmt.Sprintf(`{"passphrase":%q,"device":"x"}`, passphrase)))
		r.Header.Set("Content-Type", "application/json")
		r.Header.Set("X-Forwarded-For", "203.0.113.9") // counted by who connects, whatever it says of itself
		answer, err := crowd.Do(r)
		if err != nil {
			return 0, nil, err
		}
		return answer.StatusCode, answer.Header, answer.Body.Close()
	}
	var all sync.WaitGroup
	statuses := make([]map[int]int, together)
	for n := range together {
		statuses[n] = map[int]int{}
		all.Go(func() {
			for k := range tries / together {
				status, _, err := try(fmt.Sprintf("guess %d of %d", k, n))
				if assert.NoError(t, err) {
					statuses[n][status]++
				}
			}
		})
	}
	for range 5 {
		r, _ := http.NewRequest("GET", base+"/api/kitchen", nil)
		r.AddCookie(phone)
		r.Header.Set("X-Forwarded-For", "203.0.113.9")
		answer, err := http.DefaultClient.Do(r)
		require.NoError(t, err)
		assert.Equal(t, http.StatusOK, answer.StatusCode, "a device that is in is answered")
		_ = answer.Body.Close()
	}
	all.Wait()
	sum := map[int]int{}
	for _, s := range statuses {
		for status, n := range s {
			sum[status] += n
		}
	}
	assert.LessOrEqual(t, sum[http.StatusForbidden], 2*triesOfAddress, "looked at, in the one or two stretches this took")
	assert.Equal(t, tries, sum[http.StatusForbidden]+sum[http.StatusTooManyRequests], "all refused: %v", sum)
	status, header, err := try(words)
	require.NoError(t, err)
	assert.Equal(t, http.StatusTooManyRequests, status, "the right words too, for now")
	assert.NotEmpty(t, header.Get("Retry-After"))
	assert.Regexp(t, `a wrong passphrase.*address=127.0.0.1`, c.logs.String(), "who really connects")
	assert.Contains(t, c.logs.String(), "too many wrong passphrases")
	assert.Less(t, strings.Count(c.logs.String(), "\n"), 100, "the log is not flooded")
}

// crowd keeps its connections open, as one who tries many words would.
var crowd = &http.Client{Transport: &http.Transport{MaxIdleConnsPerHost: 16}}
