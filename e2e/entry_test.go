//go:build e2e

package e2e

import (
	"fmt"
	"net/http/httptest"
	"net/http/httputil"
	"net/url"
	"testing"

	kitchenhttp "plushladle/internal/http"

	"github.com/stretchr/testify/require"

	"plushladle/internal/passphrase"
)

const kitchenWords = "fourteen rowers on the porch"

// lockedKitchen is the demo kitchen open beyond its machine: its address at
// home, and one where requests arrive as from elsewhere.
func lockedKitchen(t testing.TB) (home, elsewhere string) {
	t.Helper()
	s := demoStore(t)
	hash, err := passphrase.Hash(kitchenWords)
	require.NoError(t, err)
	require.NoError(t, s.SetPassphrase(hash, 0))
	home = serveAs(t, kitchenhttp.Config{Store: s, Beyond: true})
	at, err := url.Parse(home)
	require.NoError(t, err)
	passOn := httptest.NewServer(&httputil.ReverseProxy{Rewrite: func(r *httputil.ProxyRequest) {
		r.SetURL(at)
		r.SetXForwarded()
		r.Out.Host = r.In.Host
	}})
	t.Cleanup(passOn.Close)
	return home, passOn.URL
}

// A phone comes in with the passphrase, is listed, and is signed out from the
// kitchen's own machine, where nobody is asked.
func TestADeviceSignsInAndIsSignedOut(t *testing.T) {
	t.Parallel()
	home, elsewhere := lockedKitchen(t)
	var shelf struct{ Bottles []struct{ ID int } }
	askFor(t, home, "GET", "/api/shelf", nil, &shelf)
	bottle := shelf.Bottles[0].ID // the one to use first
	phone := visit(t, elsewhere)
	phone.expects("401")
	phone.expects("403")
	phone.open(fmt.Sprintf("/shelf/%d", bottle))
	phone.sees("Sign in to the kitchen")
	phone.seesNot("Pecan flask creamer")
	require.Empty(t, axeFaults(phone))
	phone.fill("Kitchen passphrase", "not the words")
	phone.fill("Name of this device", "The phone by the stove")
	phone.click("button", "Sign in")
	phone.sees("Wrong passphrase")
	phone.fill("Kitchen passphrase", kitchenWords)
	phone.click("button", "Sign in")
	phone.sees(fmt.Sprintf("bottle %d", bottle))

	desk := visit(t, home)
	desk.expects("422")
	desk.click("link", "Settings")
	desk.sees("The phone by the stove, signed in")
	require.Empty(t, axeFaults(desk))
	desk.fill("New passphrase", "short")
	desk.click("button", "Change passphrase")
	desk.sees("it is too short; use 8 to 200 characters")
	desk.click("button", "Create a calendar link")
	desk.sees("/api/plan.ics?key=")
	desk.click("button", "Sign out The phone by the stove")
	desk.seesNot("The phone by the stove, signed in")

	phone.fill("Another amount", "17")
	phone.click("button", "Undo the last pour") // the first thing it does then
	phone.sees("You have been signed out")
	phone.fill("Kitchen passphrase", kitchenWords)
	phone.click("button", "Sign in")
	phone.seesNot("You have been signed out")
	phone.sees(fmt.Sprintf("bottle %d", bottle))
	phone.holds("Another amount", "17") // what was typed is still there
}
