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
	p.sees("Method", "Contains pecan")
	p.click("button", "blend")
	p.sees("Blend for 90 seconds", "2 tbsp maple syrup", "It feels smooth between your fingers")
	p.fill("How to tell it is right", "until the jug stops humming")
	p.sees("until the jug stops humming.")
	p.click("button", "taste")
	p.click("button", "Skip this step")
	p.sees("Skipped: taste.")
	p.click("button", "strain")
	p.click("button", "Add a step after this")
	p.fill("What to do", "Rest it under a cloth")
	p.fill("Time", "5")
	p.click("button", "Add")
	p.click("button", "Rest it under a cloth")
	p.click("combobox", "When")
	p.click("option", "before: Strain through the nut-milk bag, and squeeze it firmly")
	p.until("the cook's own step to come before the straining", func() bool {
		made := p.region("Method")
		return strings.Index(made, "Rest it under a cloth") < strings.Index(made, "strain")
	})
	p.click("button", "wash up")
	p.click("combobox", "When")
	p.click("option", "before: Let the foam settle, then bottle")
	p.find("button", "Put back in its usual place")
	p.click("button", "Method options")
	p.fill("Blending time", "30 s")
	p.sees("Blend for 30 seconds")
	p.click("combobox", "Heating")
	p.click("option", "Boiled, then simmered")
	p.fill("For", "10")
	p.until("the strip to heat and cool it", func() bool {
		made := p.region("Method")
		return strings.Contains(made, "heat") && strings.Contains(made, "cool")
	})
	p.click("combobox", "Kind of drink")
	p.click("option", "Milk")
	p.click("button", "Close")
	p.sees("servings of 240 mL", "saved")
	p.work("Print or export", "Recipe card to print")
	p.click("link", "Recipe card to print")
	p.sees("Blend for 30 seconds", "until the jug stops humming", "Rest it under a cloth", "Bring to the boil and simmer for 10 minutes", "Cool fast")
	p.seesNot("Taste and adjust")
}

// A figure opens its working: where it went, and the numbers behind it.
func TestAFigureOpensItsWorking(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	for button, says := range map[string][]string{
		"how fat is worked out":       {"Where the fat goes", "in the pulp", "Pecans", "until your batches show better"},
		"how sweetness is worked out": {"Where the sweetness goes", "Maple syrup"},
		"how storage is worked out":   {"How long it keeps", "The ingredient that keeps shortest sets the date"},
		"How the yield is worked out": {"Yield", "on the walls and the cloth", "takes up", "Choi and Okos"},
		"how the cost is worked out":  {"What it costs", "at your Pantry prices"},
	} {
		p.do(chromedp.Click(`//button[contains(., "` + button + `")]`))
		p.sees(says...)
		p.click("button", "Close")
	}
	p.click("button", "4 cautions, nutrition and cost")
	p.do(chromedp.Click(`//button[contains(., "Where it comes from")]`))
	p.sees("Where the free sugars come from", "A serving of 30 mL contains", "Maple syrup")
	p.click("button", "Close")
	assert.NotContains(t, p.region("Dials"), "NaN")
}
