//go:build e2e

package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

func TestADrinkIsCookedStepByStep(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	p.press("3", chromedp.ModifierAlt)
	p.sees("step 1 of")
	heading := func() string { return evaluate[string](p, "(() => document.querySelector('h1').innerText)") }
	first := heading()
	p.press(" ")
	p.until("the next step", func() bool { return heading() != first })
	p.sees("step 2 of")
	p.click("button", "Undo")
	p.sees("step 1 of")
	assert.Equal(t, first, heading())

	p.fill("Your own time", "soon")
	p.sees("Enter minutes, such as 5.")
	p.fill("Your own time", "0.1")
	p.click("button", "Start")
	p.find("button", "Pause "+first+", ")
	p.press("1")
	p.sees(", paused")
	p.reload()
	p.sees(", paused")
	p.press("1")
	p.seesNot(", paused")
	p.click("link", "Plan")
	p.click("link", "Shelf")
	p.sees("time is up")
	alarm := p.region("Alarm")
	assert.True(t, strings.Contains(alarm, first), "it names its step: %s", alarm)
	p.press("3", chromedp.ModifierAlt)
	p.sees("over by")
	p.press("1")
	p.seesNot("time is up")
}

func TestTwoDevicesFollowOneCook(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	stove, table := visit(t, url), visit(t, url)
	stove.open("/cook/3")
	table.open("/cook/3")
	stove.sees("step 1 of")
	table.sees("step 1 of")
	stove.click("button", "Done")
	stove.sees("step 2 of", "until")
	table.sees("step 2 of")
	table.click("button", "Timer ")
	stove.find("button", "Pause Soak the pecans")
	table.click("button", "Undo")
	stove.sees("step 1 of")
}

func TestNothingToCook(t *testing.T) {
	t.Parallel()
	p := visit(t, emptyKitchen(t))
	p.open("/cook")
	p.sees("Nothing to cook", "one by one")
}
