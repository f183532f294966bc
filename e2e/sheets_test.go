//go:build e2e

package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// What is typed into a sheet stays there, right or wrong, and nothing acts while it is wrong.
func TestSheetsKeepWhatIsTypedAndActOnNothingWrong(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	able := func(button string) bool { return evaluate[found](p, "find", "button", button).Able }
	p.work("Trial cup", "Cup size")
	p.fill("What you added", "1/2 tsp maple syrup")
	p.sees("add to the jug")
	for _, silly := range []string{"abc", "-5", ""} {
		p.fill("Cup size", silly)
		p.sees("Enter")
		assert.False(t, able("Add to the drink"), "with a cup of %q", silly)
	}
	p.press(kb.Escape)
	p.seesNot("What you added")
	p.work("Trial cup", "Cup size")
	p.holds("What you added", "1/2 tsp maple syrup")
	p.holds("Cup size", "")
	p.fill("Cup size", "120 mL")
	p.sees("add to the jug")
	p.press(kb.Escape)

	p.work("Match a label", "Protein")
	p.fill("Fat", "2")
	p.sees("Use this")
	p.fill("Protein", "abc")
	p.seesNot("Use this")
	p.press(kb.Escape)
	p.work("Match a label", "Protein")
	p.holds("Fat", "2")
	p.holds("Protein", "abc")
	p.press(kb.Escape)

	p.work("Split the batch", "Drink 1")
	p.fill("Drink 1", "Plain flask")
	p.fill("Amount of the base, drink 1", "-5")
	p.press(kb.Escape)
	p.work("Split the batch", "Drink 1")
	p.holds("Drink 1", "Plain flask")
	p.holds("Amount of the base, drink 1", "-5")
	assert.False(t, able("Save as separate drinks"))
	p.press(kb.Escape)

	// a blender of 99,999 s is refused at its field, and every figure stays
	figures := p.region("At a glance")
	assert.Contains(t, figures, "servings of 30 mL")
	p.click("button", "Method")
	p.fill("Blending time", "99999")
	p.sees("Enter 0 to 600 s.")
	p.press(kb.Escape)
	assert.Equal(t, figures, p.region("At a glance"))
	p.click("button", "Method")
	p.holds("Blending time", "99999")
	p.fill("Blending time", "2 min")
	p.until("the new figures", func() bool { return !strings.Contains(p.region("Method"), "Enter 0") })
}

// A swap tells first what could hurt, and any two drinks, versions or batches stand side by side.
func TestASwapTellsTheWorstFirstAndAnythingIsCompared(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains ")
	p.opens("More for Pecans", "menuitem", "Swap")
	p.click("menuitem", "Swap")
	p.fill("Swap for", "soybeans")
	p.click("option", "Soybeans, dry")
	p.sees("Look at this first", "adds an allergen: soy")
	worst := p.region("Look at this first")
	assert.Contains(t, worst, "10 minutes", "raw soy must boil")
	look(p, "swap")
	p.press(kb.Escape)
	p.work("Round to my spoons", "stays as it is")
	look(p, "nudge")
	p.press(kb.Escape)
	p.work("Compare", "g in 100 mL")
	p.click("combobox", "Second")
	p.click("option", "Barley and melon-seed horchata")
	p.sees("Barley and melon-seed horchata (now)")
	p.click("combobox", "Which, second")
	p.click("option", "batch of")
	p.sees("Barley and melon-seed horchata, batch of")
	look(p, "compare")
}
