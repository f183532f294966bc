//go:build e2e

package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
)

// How a drink is made stands under its lines: opened, a step says what goes in;
// changed, the figures follow; and the card tells the same.
func TestTheBenchTellsHowItIsMade(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("How it is made", "Contains pecan")
	p.click("button", "grind")
	p.sees("Grind for 90 seconds", "2 tbsp maple syrup", "Smooth between the fingers")
	p.fill("How you know it is right", "until the jug stops humming")
	p.sees("until the jug stops humming.")
	p.click("button", "taste")
	p.click("button", "Leave it out")
	p.sees("Left out: taste.")
	p.click("button", "strain")
	p.click("button", "Add a step after it")
	p.fill("What you do", "Rest it under a cloth")
	p.fill("It takes", "5")
	p.click("button", "Add it")
	p.click("button", "Rest it under a cloth")
	p.click("combobox", "Do it")
	p.click("option", "before: Strain by nut-milk bag, squeezed firmly")
	p.until("the cook's own step to come before the straining", func() bool {
		made := p.region("How it is made")
		return strings.Index(made, "Rest it under a cloth") < strings.Index(made, "strain")
	})
	p.click("button", "wash up")
	p.click("combobox", "Do it")
	p.click("option", "before: Let the foam settle, and bottle it")
	p.find("button", "Put it back in its place")
	p.click("button", "Change the method")
	p.fill("In the blender", "30 s")
	p.sees("Grind for 30 seconds")
	p.click("combobox", "Finished")
	p.click("option", "Brought to the boil, then simmered")
	p.fill("For", "10")
	p.until("the strip to heat and cool it", func() bool {
		made := p.region("How it is made")
		return strings.Contains(made, "heat") && strings.Contains(made, "cool")
	})
	p.click("combobox", "Kind of drink")
	p.click("option", "Milk")
	p.click("button", "Close")
	p.sees("servings of 240 mL", "saved")
	p.work("Print or take elsewhere", "A card to print")
	p.click("link", "A card to print")
	p.sees("Grind for 30 seconds", "until the jug stops humming", "Rest it under a cloth", "Bring it to the boil and simmer 10 minutes", "Cool it fast")
	p.seesNot("Taste and adjust")
}

// A figure opens its working: where it went, and the numbers behind it.
func TestAFigureOpensItsWorking(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	for button, says := range map[string][]string{
		"how fat is reckoned":       {"Where the fat goes", "in the pulp", "Pecans", "until your batches tell better"},
		"how sweetness is reckoned": {"Where the sweetness goes", "Maple syrup"},
		"how keeping is reckoned":   {"How long it keeps", "The shortest life sets the date"},
		"How the yield is reckoned": {"How much comes out", "on the walls and the cloth", "takes up", "Choi and Okos"},
		"how the cost is reckoned":  {"What it costs", "by what you pay"},
	} {
		p.do(chromedp.Click(`//button[contains(., "` + button + `")]`))
		p.sees(says...)
		p.click("button", "Close")
	}
	p.click("button", "4 more to know")
	p.do(chromedp.Click(`//button[contains(., "Where it comes from")]`))
	p.sees("Where the free sugars come from", "A serving of 30 mL holds", "Maple syrup")
	p.click("button", "Close")
	assert.NotContains(t, p.region("Dials"), "NaN")
}
