//go:build e2e

package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestABreakfastIsPlannedMovedAndFollowed(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	p.press("2", chromedp.ModifierAlt)
	p.sees("4 drinks, ", "visits to the kitchen", "Next", "Blender", "Drain and rinse")
	p.click("button", "Add a drink")
	p.click("combobox", "Drink")
	p.click("option", "Walnut cream for porridge")
	p.expects("422")
	p.do(chromedp.Func(setDate("1999-01-01T09:00")))
	p.click("button", "Plan it")
	p.sees("is in the past")
	p.press(kb.Escape)
	p.seesNot("Plan a drink")

	ready := func() string { return p.dial("Pecan flask creamer ready by") }
	before := ready()
	require.Contains(t, before, "11:00")
	p.click("slider", "Pecan flask creamer ready by")
	p.press(kb.ArrowRight)
	p.until("a quarter of an hour later", func() bool { return strings.Contains(ready(), "11:15") })
	p.until("it to be kept", func() bool { return !p.busy() })
	p.drag("Pecan flask creamer ready by", 60)
	p.until("later still", func() bool { return ready() != before && !strings.Contains(ready(), "11:15") })
	p.until("it is kept", func() bool { return !p.busy() })
	p.reload()
	p.until("and it is still so", func() bool { return ready() != "" && !strings.Contains(ready(), "11:15") })

	p.click("button", "Done: Put the pearl barley")
	p.sees("Mark it done early?", "is planned for")
	p.click("button", "Mark it done")
	p.until("the next one to come up", func() bool {
		return strings.Contains(p.region("Next"), "Drain and rinse the pearl barley")
	})
	require.Contains(t, p.region("Marked done"), "Put the pearl barley")
	p.click("button", "List")
	p.sees("Sun")
	look(p, "plan-list")
	p.click("button", "Timeline")
	p.click("button", "Undo: Put the pearl barley")
	p.until("it to be to do again", func() bool { return strings.Contains(p.region("Next"), "Put the pearl barley") })
	p.click("button", "Done: Put the pearl barley")
	p.click("button", "Mark it done")
	p.sees("Undo")
	p.click("button", "Bought: Sunflower seeds")
	p.sees("Sunflower seeds", "Enough in stock")
	p.click("button", "Remove Sunflower cocoa milk")
	p.sees("3 drinks, ")
	p.click("link", "Bench")
	p.sees("Contains pecan")
	assert.Contains(t, evaluate[string](p, "(() => document.querySelector('header').innerText)"), "Drain and rinse", "the next thing is said in every view")
}

func TestAnEmptyPlanOffersToBegin(t *testing.T) {
	t.Parallel()
	p := visit(t, emptyKitchen(t))
	p.click("link", "Plan")
	p.sees("Nothing planned yet", "works backwards")
	p.click("button", "Plan a drink")
	p.sees("At the size set on the Bench.")
}
