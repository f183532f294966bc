//go:build e2e

package e2e

import (
	"crypto/tls"
	"log/slog"
	"net"
	"path/filepath"
	"strings"
	"testing"
	"time"

	kitchenhttp "plushladle/internal/http"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/authority"
	"plushladle/web"
)

// The Wi-Fi drops in the middle of Cook, on a phone: the work goes on, what is marked waits,
// and arrives in order and once.
func TestTheNetworkIsCutInTheMiddleOfCook(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	line := lineTo(t, url)
	phone := visit(t, line.url)
	phone.size(390, 844)
	phone.open("/plan")
	phone.sees("Shopping list")
	phone.open("/cook/3")
	phone.sees("step 1 of")
	phone.click("button", "Done")
	phone.sees("step 2 of")
	phone.expects("ERR_")
	line.cut()
	phone.click("button", "Done")
	phone.sees("step 3 of", "1 change is saved on this device, to be sent later", "Step marked done.")
	look(phone, "cook-cut")
	phone.click("button", "Done")
	phone.sees("step 4 of", "2 changes are saved on this device")
	phone.click("link", "Plan") // what was read last stays
	phone.sees("Pecan flask creamer", "Not connected.")
	phone.click("link", "Cook")
	phone.sees("step 4 of")
	line.mend()
	phone.seesNot("saved on this device")
	phone.seesNot("Not connected.")
	phone.sees("step 4 of")

	done := 0
	for _, item := range ask(t, url, "GET", "/api/plan", nil)["items"].([]any) {
		if item := item.(map[string]any); item["id"] == 3. {
			for _, step := range item["steps"].([]any) {
				if step := step.(map[string]any); step["handsOn"] == true && step["doneAt"] != nil {
					done++
				}
			}
		}
	}
	assert.Equal(t, 3, done, "each mark once")
}

// A page that was open once opens again without the kitchen, where the browser allows it.
func TestThePageOpensWithoutTheKitchen(t *testing.T) {
	t.Parallel()
	line := lineTo(t, demoKitchen(t))
	p := visit(t, line.url)
	p.sees("Contains pecan")
	p.expects("ERR_")
	keepOffline(p)
	for _, view := range []string{"/plan", "/shelf", "/cook/3", "/"} { // read once
		p.open(view)
		p.sees(map[string]string{"/plan": "Shopping list", "/shelf": "Why this date", "/cook/3": "step 1 of", "/": "Contains pecan"}[view])
	}
	line.cut()
	p.open("/plan")
	p.sees("Pecan flask creamer", "Shopping list", "Not connected.")
	p.open("/shelf")
	p.sees("Why this date")
	p.open("/cook/3")
	p.sees("step 1 of")
	p.click("button", "Done")
	p.sees("step 2 of", "saved on this device")
	p.reload() // also a phone that was switched off does not lose it
	p.sees("saved on this device")
	line.mend()
	p.seesNot("saved on this device")
	p.sees("step 2 of")
}

// keepOffline has the page kept now, which it does by itself some seconds after opening.
func keepOffline(p *page) {
	p.t.Helper()
	evaluate[bool](p, `(() => { navigator.serviceWorker.register('/sw.js'); return true })`)
	p.until("the page kept", func() bool {
		return evaluate[bool](p, `(() => navigator.serviceWorker.controller !== null)`)
	})
}

// Over plain HTTP under a name of the network all works, and the page says what does not.
func TestAPlainConnectionSaysWhatNeedsASecureOne(t *testing.T) {
	t.Parallel()
	url := serveAs(t, kitchenhttp.Config{Store: demoStore(t), Hosts: []string{kitchenName}, SecureURL: "https://" + kitchenName + ":8643"})
	p := visit(t, strings.Replace(url, "127.0.0.1", kitchenName, 1))
	p.sees("Contains pecan")
	assert.False(t, evaluate[bool](p, `(() => window.isSecureContext)`))
	p.fill("Drink name", "Pecan flask creamer, plain")
	p.sees("saved")
	p.open("/cook/3")
	p.sees("step 1 of")
	p.click("button", "Done")
	p.sees("step 2 of")
	p.open("/settings")
	p.sees("does not allow offline use, notifications or sharing", "Open https://"+kitchenName+":8643 instead")
}

// Over HTTPS with the kitchen's own certificate the page is a secure one, and opens without the kitchen.
func TestASecureConnectionByTheKitchensOwnCertificate(t *testing.T) {
	t.Parallel()
	own, err := authority.Open(filepath.Join(t.TempDir(), "authority.pem"), []string{kitchenName}, time.Now)
	require.NoError(t, err)
	listener, err := tls.Listen("tcp", "127.0.0.1:0", own.TLS())
	require.NoError(t, err)
	line := lineTo(t, "http://"+listener.Addr().String())
	_, port, err := net.SplitHostPort(line.at)
	require.NoError(t, err)
	url := "https://" + kitchenName + ":" + port
	app := kitchenhttp.New(kitchenhttp.Config{
		Store: demoStore(t), Hosts: []string{kitchenName}, SecureURL: url, Authority: own, Now: time.Now, Web: web.Dist(), Log: slog.New(slog.DiscardHandler),
	})
	go func() { _ = app.Listener(listener, fiber.ListenConfig{DisableStartupMessage: true}) }()
	t.Cleanup(func() { _ = app.ShutdownWithTimeout(time.Second) })

	p := visit(t, url)
	p.sees("Contains pecan")
	assert.True(t, evaluate[bool](p, `(() => window.isSecureContext)`))
	p.fill("Drink name", "Pecan flask creamer, safe")
	p.sees("saved")
	p.open("/settings")
	p.sees("This device uses a secure connection", "install it as a CA certificate", own.Fingerprint())
	look(p, "settings-secure")
	assert.Equal(t, "application/x-x509-ca-cert", evaluate[string](p, `(() => { const r = new XMLHttpRequest(); r.open('GET', '/plush-ladle-root.crt', false); r.send(); return r.getResponseHeader('Content-Type') })`))

	keepOffline(p)
	p.open("/plan")
	p.sees("Shopping list")
	p.expects("ERR_")
	line.cut()
	p.open("/plan")
	p.sees("Shopping list", "Not connected.")
}
