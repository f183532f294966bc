//go:build e2e

package e2e

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// What was done is offered to be taken back, wherever it was done.
func TestWhatWasDoneCanBeTakenBack(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.click("button", "Walnut cream for porridge")
	p.click("button", "Throw away")
	p.fill("Reason", "by mistake")
	p.click("button", "Throw it away")
	p.sees("Bottle thrown away.")
	p.until("it is gone", func() bool { return !strings.Contains(p.region("Fridge, set to 4 °C"), "Walnut") })
	p.click("button", "Undo")
	p.until("it is back", func() bool { return strings.Contains(p.region("Fridge, set to 4 °C"), "Walnut") })
	p.seesNot("Bottle thrown away.")
}

// A label of a bottle that is gone, or never was, does not lead to another.
func TestALabelLeadsToItsOwnBottle(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	shelf := ask(t, url, "GET", "/api/shelf", nil)
	gone := fmt.Sprint(shelf["bottles"].([]any)[0].(map[string]any)["id"])
	ask(t, url, "POST", "/api/bottles/"+gone+"/finish", nil)
	p := visit(t, url)
	p.open("/shelf/" + gone)
	p.sees("bottle "+gone, "This bottle is no longer on the shelf.", "used up")
	p.expects("404")
	p.open("/shelf/9999")
	p.sees("No bottle 9999")
}

// An empty second drink leaves the Shelf as it is, and a view in which
// something goes wrong leaves the header and can be tried again.
func TestNoViewGoesWhite(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	made := ask(t, url, "POST", "/api/drinks", map[string]any{"name": "Still empty"})
	ask(t, url, "PUT", "/api/rhythm", map[string]any{"drinkIDs": []int{1}, "perDayML": 50, "days": []bool{true, true, true, true, true, true, true}})
	p := visit(t, url)
	p.open("/shelf")
	p.sees("Weekly rhythm", "Days you can make it")
	for _, said := range []string{"Cannot read", "TypeError", "error occurred"} {
		p.expects(said)
	}
	evaluate[bool](p, `(() => {
		const real = window.fetch
		window.fetch = (r, o) => (r.url.endsWith('/api/pantry') ? Promise.resolve(Response.json({ ingredients: null })) : real(r, o))
		return true
	})`)
	p.click("link", "Pantry")
	p.sees("Pantry could not be shown.", "Nothing you saved is lost")
	p.sees("Bench", "Shelf")
	p.click("link", "Shelf")
	p.sees("Weekly rhythm")
	assert.NotZero(t, made["id"])
}

// Fields take units as people write them, keep what is none, and say what works.
func TestFieldsUnderstandUnits(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.fill("Volume", "2 L")
	p.until("two litres", func() bool { return strings.Contains(p.region("At a glance"), "66") })
	p.sees("saved")
	p.fill("Volume", "lots")
	p.sees("Enter it like this: 1.5 L or 750 mL.")
	p.fill("Volume", "1.5 l")
	p.seesNot("Enter it like this: 1.5 L or 750 mL.")
	p.click("button", "Made it")
	p.fill("Measured yield, if you measured it", "abc")
	p.sees("Enter it like this: 1.5 L or 750 mL. Or leave it empty.")
	p.fill("Measured yield, if you measured it", "1.4 L")
	p.seesNot("Enter it like this: 1.5 L or 750 mL. Or leave it empty.")
	p.press("\x1b")
}

// A click beside a dialog leaves what was typed into it.
func TestAClickBesideADialogLosesNothing(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/pantry")
	p.click("button", "Add a drinker")
	p.fill("Name", "the night watch")
	p.do(chromedp.MouseClickXY(5, 5))
	time.Sleep(300 * time.Millisecond)
	assert.Equal(t, "the night watch", evaluate[string](p, "(() => document.querySelector('[role=dialog] input').value)"))
}

// Two tabs that change the settings are told of each other, with both values.
func TestTwoTabsChangeTheSettings(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	mine := visit(t, url)
	mine.click("link", "Settings")
	mine.sees("Fridge temperature")
	now := ask(t, url, "GET", "/api/kitchen", nil)
	delete(now, "today")
	now["jugML"] = 900
	ask(t, url, "PUT", "/api/kitchen", now)
	mine.expects("409")
	mine.fill("Fridge temperature", "3")
	mine.click("button", "Save")
	mine.sees("Changed on another device", "You entered 1600, but it was set to 900")
	mine.click("button", "Save")
	mine.seesNot("Changed on another device")
	assert.Eventually(t, func() bool { return fmt.Sprint(ask(t, url, "GET", "/api/kitchen", nil)["fridgeC"]) == "3" }, 5*time.Second, 50*time.Millisecond)
}
