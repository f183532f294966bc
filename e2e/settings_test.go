//go:build e2e

package e2e

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// Units, hours and the week are the kitchen's: set on one page, and shown so everywhere.
func TestTheKitchensUnitsAreShownEverywhere(t *testing.T) {
	t.Parallel()
	p := visit(t, ownProgram(t).url) // of a process of its own: the words of a process are those of one kitchen
	p.sees("Contains pecan", "mL")
	p.click("link", "Settings")
	p.fill("Fridge temperature", "cold")
	p.click("button", "Save")
	p.sees("Enter it like this: 4 °C")
	p.fill("Fridge temperature", "39.2 °F")
	choose(p, "Show volumes in", "US fluid ounces")
	choose(p, "Show temperatures in", "°F")
	choose(p, "The week starts on", "Sunday")
	choose(p, "Dates and clock", "United States")
	p.click("button", "Save")
	p.sees("Settings", "°F") // read anew in its units
	p.holds("Fridge temperature", "39.2")
	p.holds("Time zone", "UTC") // the browser's, until another is chosen
	assert.Eventually(t, func() bool {
		now := ask(t, p.url, "GET", "/api/kitchen", nil)
		return now["fridgeC"] == 4. && now["temperature"] == "f" && now["handsQuiet"] == "22:30-06:30"
	}, 5*time.Second, 50*time.Millisecond)

	p.open("/")
	p.sees("Contains pecan", "fl oz")
	p.open("/shelf")
	p.sees("Fridge, set to 39 °F")
	p.open("/plan")
	p.sees("PM")
	look(p, "plan-us")
	p.open("/")
	p.sees("Contains pecan")
	look(p, "bench-us")
	p.open("/settings")
	p.sees("Fridge temperature")
	look(p, "settings")
}

// choose picks one of a labelled list.
func choose(p *page, label, option string) {
	p.t.Helper()
	p.click("combobox", label)
	p.click("option", option)
}
