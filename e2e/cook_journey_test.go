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
	p.click("option", "as soon as it can be")
	p.click("button", "Plan it")
	p.sees("5 drinks, ")
	p.click("link", "Cook Walnut cream for porridge")
	p.sees("To have out", "missing", "Put the walnuts in to soak")

	p.click("button", "Weigh with the scale")
	p.click("summary", "Stand-in scale")
	p.fill("Grams to pour", "100")
	p.click("button", "Pour")
	p.sees("of 150 g, 50 g to go")
	p.click("button", "Pull the plug")
	p.sees("The scale is gone. What was taken down is safe")
	p.expects("409")
	p.click("button", "Connect the scale again")
	p.sees("it is not plugged in")
	p.click("button", "Plug in")
	p.click("button", "Connect the scale again")
	p.sees("50 g to go", "No scale")
	p.fill("Grams to pour", "100")
	p.click("button", "Pour")
	p.sees("50 g over: Walnuts", "Leave it as it is", "fat ")
	p.click("button", "Let the rest follow")
	p.seesNot("Let the rest follow")
	p.sees("All of this step is weighed")

	p.through("Grind for")
	p.sees("Walnuts, soaked")
	p.click("button", "No scale")
	p.fill("Weighed: Water", "a lot")
	p.click("button", "Take down")
	p.expects("422")
	p.sees("is not a mass that goes in")
	p.fill("Weighed: Water", "300")
	p.click("button", "Take down")
	p.sees("to go.")
	p.click("button", "Leave it")
	p.sees("300 g")
	p.click("button", "As written, by the spoon")
	p.seesNot("Weighed: Salt")
	p.through("Taste and adjust")
	p.click("button", "Leave it out")
	p.sees("Let the foam settle")

	p.press(" ")
	p.sees("Bottle Walnut cream for porridge")
	p.fill("It gave, if you measured it", "420")
	p.fill("Wet pulp, if you weighed it", "150")
	p.fill("Bottle 1", "4000")
	p.click("button", "Bottle it")
	p.sees("the batch gave 420 mL")
	p.fill("Bottle 1", "400")
	p.click("button", "Bottle it")
	p.sees("Rinse and wash up")
	p.press(" ")
	p.sees("All of it is done")
	p.click("link", "Shelf")
	p.click("button", "Walnut cream for porridge, 400 mL of 400 mL")
	p.click("button", "how it was made")
	p.sees("on the scale, 150 g planned", "typed, ", "Taste and adjust (left out)", "420 mL measured", "150 g of wet pulp")
}

// The server is killed in the middle of a cook and started again: what was
// marked, weighed and timed is there, and the page goes on by itself.
func TestACookOutlivesTheServer(t *testing.T) {
	t.Parallel()
	k := ownProgram(t)
	p := visit(t, k.url)
	p.expects("ERR_")
	p.expects("502")
	p.open("/cook/3")
	p.click("button", "As written")
	p.sees("148 g")
	p.fill("Own time", "30")
	p.click("button", "Start")
	p.find("button", "Hold Put the pecans in to soak")
	p.click("button", "Done")
	p.sees("step 2 of", "until")
	k.kill()
	p.click("button", "Done")
	p.sees("The kitchen cannot be reached.")
	k.start()
	p.until("the page to come back by itself", func() bool {
		return evaluate[bool](p, "(() => document.querySelector('[aria-label^=\"Hold \"]') !== null)")
	})
	p.sees("step 2 of", "until")
	p.click("button", "Not done after all")
	p.sees("step 1 of", "148 g")
	assert.Equal(t, "Put the pecans in to soak", p.step())
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
	stove.click("button", "Timer for ")
	stove.find("button", "Hold Soak the pecans")
	table.sees("step 1 of")
	line.mend()
	table.sees("step 2 of")
	table.find("button", "Hold Soak the pecans")
}

func TestASoakingBowlIsKept(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	p.press("2", chromedp.ModifierAlt)
	p.click("button", "Start a bowl")
	p.click("combobox", "Soaks")
	p.click("option", "Walnuts")
	p.fill("Dry", "none")
	p.expects("422")
	p.click("button", "Put it in to soak")
	p.sees("Enter grams, from 1 to 20000.")
	p.fill("Dry", "300")
	p.click("button", "Put it in to soak")
	p.sees("300 g as dry, 405 g soaked, in the fridge", "no drink on the plan draws from it", "Change the water of the walnuts")
	p.click("button", "Add a drink")
	p.click("combobox", "Its base")
	p.click("option", "from the bowl of walnuts")
	p.click("combobox", "Drink")
	p.click("option", "Walnut cream for porridge")
	p.click("button", "Plan it")
	p.sees("5 drinks, ", "enough for what is planned, and 150 g over")
	p.fill("Top up Walnuts", "50")
	p.click("button", "Top up: Walnuts")
	p.sees("350 g as dry")
	p.click("button", "To the bench: Walnuts")
	p.sees("on the bench")
	p.press("4", chromedp.ModifierAlt)
	p.sees("Soaking bowls", "350 g as dry")
	p.click("button", "Empty it: Walnuts")
	p.click("button", "Empty it: Pecans")
	p.sees("One lot in to soak can do for several drinks")
}

func TestABlockIsDraggedWithinItsWindow(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/plan")
	p.sees("Next in the kitchen")
	const block = "Pecan flask creamer: Put the pecans in to soak"
	at := func() string { return p.dial(block) }
	before := at()
	p.drag(block, -40)
	p.until("the block to stand earlier", func() bool { return at() != before && !p.busy() })
	p.sees("Times by the planner")
	moved := at()
	p.reload()
	p.until("and it is still so", func() bool { return at() == moved })
	p.expects("422")
	p.drag(block, 400)
	p.sees("does not fit there", "it can begin from")
	p.until("it goes back", func() bool { return at() == moved })
	p.click("button", "Times by the planner")
	p.until("the planner's own time", func() bool { return at() == before })
}

func TestADrinkIsMarkedRawAndDivided(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	p.click("button", "Method")
	p.click("checkbox", "Marked raw")
	p.sees("Raw by your 46 °C")
	p.fill("Raw up to", "20")
	p.sees("Raw by your 20 °C")
	p.click("combobox", "Finished")
	p.click("option", "Warmed")
	p.sees("Not raw by your 20 °C: the pan gets to 80 °C.")
	p.click("button", "Close")
	p.work("Split the base", "Of the base, drink 2")
	p.fill("Of the base, drink 1", "300")
	p.fill("What joins drink 1", "1 tbsp cocoa")
	p.click("button", "Keep the split with the drink")
	p.sees("Once finished, divided into Pecan flask creamer, one and Pecan flask creamer, other.")
	p.click("link", "Plan")
	p.click("button", "Add a drink")
	p.click("button", "Plan it")
	p.sees("5 drinks, ")
	p.click("link", "Cook Pecan flask creamer")
	p.through("Divide it into 304 mL of Pecan flask creamer, one")
	p.sees("Cocoa powder, into Pecan flask creamer, one")
}
