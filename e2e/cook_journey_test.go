//go:build e2e

package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// step is the title of the step in front.
func (p *page) step() string {
	return evaluate[string](p, "(() => document.querySelector('h1')?.innerText ?? '')")
}

// through marks steps done until one whose title begins so is in front.
func (p *page) through(title string) {
	p.t.Helper()
	for range 20 {
		now := p.step()
		if strings.HasPrefix(now, title) {
			return
		}
		p.press(" ")
		p.until("the next step", func() bool { return p.step() != now })
	}
	p.t.Fatalf("there is no step %q", title)
}

// From the plan through the weigh-out to the bottle, with a scale that is
// unplugged on the way, too much of one thing, and one step left out.
func TestFromThePlanToTheBottle(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.click("link", "Plan")
	p.click("button", "Add a drink")
	p.click("combobox", "Drink")
	p.click("option", "Walnut cream for porridge")
	p.click("combobox", "Ready")
	p.click("option", "as soon as possible")
	p.click("button", "Plan it")
	p.sees("5 drinks, ")
	p.click("link", "Cook Walnut cream for porridge")
	p.sees("Get ready", "short", "Put the walnuts in water to soak")

	p.click("button", "Connect the scale")
	p.click("summary", "Practice scale")
	p.fill("Grams to pour", "100")
	p.click("button", "Pour")
	p.sees("of 150 g, 50 g to go")
	p.click("button", "Unplug")
	p.sees("The scale is disconnected. What you recorded is safe")
	p.expects("409")
	p.click("button", "Reconnect the scale")
	p.sees("is not plugged in")
	p.click("button", "Plug in")
	p.click("button", "Reconnect the scale")
	p.sees("50 g to go", "Disconnect")
	p.fill("Grams to pour", "100")
	p.click("button", "Pour")
	p.sees("50 g too much: Walnuts", "Keep it", "fat ")
	p.click("button", "Adjust the rest")
	p.seesNot("Adjust the rest")
	p.sees("Everything for this step is weighed")

	p.through("Blend for")
	p.sees("Walnuts, soaked")
	p.click("button", "Disconnect")
	p.fill("Weighed: Water", "a lot")
	p.click("button", "Record")
	p.expects("422")
	p.sees("Enter it like this: 250 g or 1.2 kg.")
	p.fill("Weighed: Water", "300")
	p.click("button", "Record")
	p.sees("to go.")
	p.click("button", "Skip")
	p.sees("300 g")
	p.click("button", "Use as measured, with a spoon")
	p.seesNot("Weighed: Salt")
	p.through("Taste and adjust")
	p.click("button", "Skip")
	p.sees("Let the foam settle")

	p.press(" ")
	p.sees("Bottle Walnut cream for porridge")
	p.fill("Measured yield, if you measured it", "420")
	p.fill("Wet pulp, if you weighed it", "150")
	p.fill("Bottle 1", "4000")
	p.click("button", "Bottle")
	p.sees("the batch made 420 mL")
	p.fill("Bottle 1", "400")
	p.click("button", "Bottle")
	p.sees("Wash up")
	p.press(" ")
	p.sees("All done")
	p.click("link", "Shelf")
	p.click("button", "Walnut cream for porridge, 400 mL of 400 mL")
	p.click("link", "batch")
	p.sees("weighed, 150 g planned", "typed in, ", "Taste and adjust", "skipped", "420 mL", "Wet pulp", "150 g")
}

// The server is killed in the middle of a cook and started again: what was
// marked, weighed and timed is there, and the page goes on by itself.
func TestACookOutlivesTheServer(t *testing.T) {
	t.Parallel()
	k := ownProgram(t)
	p := visit(t, k.url)
	p.expects("ERR_")
	p.expects("502")
	p.expects("fetching the script") // the page's worker, looked for while the kitchen is away
	p.open("/cook/3")
	p.click("button", "Use as measured")
	p.sees("148 g")
	p.fill("Your own time", "30")
	p.click("button", "Start")
	p.find("button", "Pause Put the pecans in water to soak")
	p.click("button", "Done")
	p.sees("step 2 of", "until")
	k.kill()
	p.click("button", "Done")
	p.sees("saved on this device", "step 3 of")
	k.start()
	p.until("the page to come back by itself", func() bool {
		return evaluate[bool](p, "(() => document.querySelector('[aria-label^=\"Pause \"]') !== null)")
	})
	p.seesNot("saved on this device")
	p.sees("step 3 of")
	p.click("button", "Undo")
	p.sees("step 2 of", "until")
	p.click("button", "Undo")
	p.sees("step 1 of", "148 g")
	assert.Equal(t, "Put the pecans in water to soak", p.step())
}

// A device that slept, its connection gone, knows on waking what another did.
func TestADeviceThatSleptCatchesUp(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	line := lineTo(t, url)
	stove, table := visit(t, url), visit(t, line.url)
	stove.open("/cook/3")
	table.open("/cook/3")
	table.sees("step 1 of")
	table.expects("ERR_")
	line.cut()
	stove.press(" ")
	stove.sees("step 2 of")
	stove.click("button", "Timer ")
	stove.find("button", "Pause Soak the pecans")
	table.sees("step 1 of")
	line.mend()
	table.sees("step 2 of")
	table.find("button", "Pause Soak the pecans")
}

func TestASoakingBowlIsKept(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	p.press("2", chromedp.ModifierAlt)
	p.click("button", "Start a bowl")
	p.click("combobox", "Ingredient")
	p.click("option", "Walnuts")
	p.fill("Dry weight", "none")
	p.click("button", "Start soaking")
	p.sees("Enter it like this: 250 g or 1.2 kg.")
	p.fill("Dry weight", "300")
	p.click("button", "Start soaking")
	p.sees("300 g dry, 405 g soaked, in the fridge", "no planned drink uses it", "Change the water of the walnuts")
	p.click("button", "Add a drink")
	p.click("combobox", "Base")
	p.click("option", "from the bowl of walnuts")
	p.click("combobox", "Drink")
	p.click("option", "Walnut cream for porridge")
	p.click("button", "Plan it")
	p.sees("5 drinks, ", "enough for the planned drinks, with 150 g left over")
	p.fill("Top up Walnuts", "50")
	p.click("button", "Top up: Walnuts")
	p.sees("350 g dry")
	p.click("button", "Onto the counter: Walnuts")
	p.sees("on the counter")
	p.press("4", chromedp.ModifierAlt)
	p.sees("Soaking bowls", "350 g dry")
	p.expects("409")
	p.click("button", "Empty: Walnuts")
	p.sees("Walnut cream for porridge draws from this bowl")
	p.click("button", "Cancel")
	p.seesNot("Empty it?")
	p.click("button", "Empty: Pecans")
	p.seesNot("Top up Pecans") // what is left moves into its place
	p.click("button", "Empty: Walnuts")
	p.click("button", "Empty the bowl")
	p.sees("Soak once for several drinks")
	p.press("2", chromedp.ModifierAlt)
	p.sees("Put the walnuts in water to soak")
}

func TestABlockIsDraggedWithinItsWindow(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/plan")
	p.sees("Next")
	const block = "Pecan flask creamer: Put the pecans in water to soak"
	at := func() string { return p.dial(block) }
	before := at()
	p.drag(block, -40)
	p.until("the block to stand earlier", func() bool { return at() != before && !p.busy() })
	p.sees("Reset times")
	moved := at()
	p.reload()
	p.until("and it is still so", func() bool { return at() == moved })
	p.expects("422")
	p.drag(block, 400)
	p.sees("does not fit there", "it can start from")
	p.until("it goes back", func() bool { return at() == moved })
	p.click("button", "Reset times")
	p.until("the planner's own time", func() bool { return at() == before })
}

func TestADrinkIsMarkedRawAndDivided(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	p.click("button", "Method")
	p.click("checkbox", "Label it “raw”")
	p.sees("Raw by your limit of 46 °C")
	p.fill("Raw means up to", "20")
	p.sees("by your limit of 20 °C")
	p.click("combobox", "Heating")
	p.click("option", "Warmed")
	p.sees("Not raw by your limit of 20 °C: the pan reaches 80 °C.")
	p.click("button", "Close")
	p.work("Split the batch", "Amount of the base, drink 2")
	p.fill("Amount of the base, drink 1", "300")
	p.expects("422") // what is typed slowly is asked about half typed
	p.fill("Added to drink 1", "1 tbsp cocoa")
	p.click("button", "Save the split with this drink")
	p.sees("Divided into Pecan flask creamer, first and Pecan flask creamer, second at the end.")
	p.click("link", "Plan")
	p.click("button", "Add a drink")
	p.click("button", "Plan it")
	p.sees("5 drinks, ")
	p.click("link", "Cook Pecan flask creamer")
	p.through("Divide it into 304 mL of Pecan flask creamer, first")
	p.sees("Cocoa powder, into Pecan flask creamer, first")
}
