//go:build e2e

package e2e

import (
	"os"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestFromNewDrinkToPouredBottle(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.click("button", "Drinks")
	p.click("menuitem", "New drink")
	p.click("button", "Empty drink")
	p.holds("Drink name", "New drink")
	p.fill("Drink name", "Sesame porch milk")
	for _, line := range []string{"1 cup sesame seeds, soaked overnight", "4 cups cold water", "2 large dates, pitted", "1/4 tsp salt"} {
		p.fill("Add an ingredient", line)
		p.press(kb.Enter)
	}
	p.sees("Base", "1 : 4 by cups", "Contains sesame", "saved")

	p.click("button", "×2")
	p.sees("2 cups", "8 cups", "2 loads")
	p.fill("Volume", "1000")
	p.sees("1 L", "4 servings of 240 mL")
	p.click("button", "Save version")
	p.fill("What changed", "first try")
	p.click("button", "Save version 1")
	p.sees("Version 1 · first try")

	p.click("button", "Made it")
	p.fill("Measured yield, if you measured it", "980")
	p.fill("Bottle 1", "600")
	p.click("button", "Add a bottle")
	p.fill("Bottle 2", "380")
	p.click("button", "Bottle")
	p.sees("Shelf")
	p.click("button", "Sesame porch milk, 600 mL of 600 mL")
	p.sees("Why this date", "Sesame seeds: 3 days, 4 by the traditional rule", "Contains sesame", "2.5 servings of 240 mL left")
	p.click("button", "Pour 240 mL")
	p.sees("360 mL", "1.5 servings")

	p.reload()
	p.click("button", "Sesame porch milk, 360 mL of 600 mL")
	p.click("link", "version 1")
	p.holds("Drink name", "Sesame porch milk")
	p.holds("Volume", "1000")
}

func TestKeystrokesShowTheirEffectAndMistakesStay(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Pecan flask creamer", "1 : 2 by cups, 1 : 4.8 by weight")
	p.fill("Amount of Water", "4 1/2 cups")
	p.sees("1 : 3 by cups", "Changed since version 3")
	for typed, said := range map[string]string{
		"lots":      "is not an amount",
		"-1 cup":    "is less than zero",
		"1e300 kg":  "is too much",
		"3 fathoms": "is not an amount",
	} {
		p.fill("Amount of Water", typed)
		p.sees(said)
		p.holds("Amount of Water", typed)
	}
	p.fill("Amount of Water", "700 g")
	p.sees("3 cups", "700 g")
	p.fill("Ingredient", "moon dust")
	p.sees("Keep as a note")
	p.click("button", "Undo")
	p.holds("Ingredient", "Pecans")
	p.click("button", "Redo")
	p.holds("Ingredient", "moon dust")
	p.press("z", chromedp.ModifierCtrl)
	p.holds("Ingredient", "Pecans")
}

func TestLinesAreLockedMovedStagedAndRemoved(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	order := func() string { return p.region("Ingredients") }
	p.sees("Contains pecan")
	p.find("textbox", "Amount of Salt")
	before := evaluate[[]string](p, "fields", "Amount of ")
	require.Contains(t, strings.Join(before, ","), "Amount of Coconut oil, refined,Amount of Salt")
	p.click("textbox", "Amount of Salt")
	p.press(kb.ArrowUp, chromedp.ModifierAlt)
	p.until("the salt to stand above the oil", func() bool {
		return strings.Contains(strings.Join(evaluate[[]string](p, "fields", "Amount of "), ","), "Amount of Salt,Amount of Coconut oil, refined")
	})
	p.click("button", "More for Small dates")
	p.click("menuitem", "In the glass")
	p.sees("added in the glass, not in the bottle")
	p.click("button", "More for Small dates")
	p.click("menuitem", "Remove")
	p.until("the dates to go", func() bool { return !strings.Contains(order(), "1 piece") && !evaluate[bool](p, "sees", "Small dates") })
	p.click("button", "Lock") // the first line, pecans
	p.sees("×1")
	p.click("button", "×2")
	p.sees("1 : 4 by cups") // the water doubled, the pecans did not
	p.click("button", "More")
	p.click("button", "Save amounts at this size")
	p.holds("Amount of Water", "6 cups")
	p.holds("Amount of Pecans", "1½ cups")
}

func TestLeavingThePageLosesNothing(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.expects("409") // what the closing page sends may come after the next one has asked; that one finds it is its own
	p.fill("Amount of Maple syrup", "3 tbsp")
	p.reload() // at once, before the draft had time to be saved
	p.holds("Amount of Maple syrup", "3 tbsp")
	p.fill("Amount of Maple syrup", "4 tbsp")
	p.click("link", "Shelf")
	p.sees("bottles")
	p.click("link", "Bench")
	p.holds("Amount of Maple syrup", "4 tbsp")
}

func TestASecondTabIsToldAndNothingIsOverwritten(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	first, second := visit(t, url), visit(t, url)
	second.expects("409")
	first.sees("Pecan flask creamer")
	second.sees("Pecan flask creamer")
	first.fill("Amount of Maple syrup", "5 tbsp")
	first.sees("Changed since version 3", "saved")
	second.fill("Amount of Maple syrup", "1 tbsp")
	second.sees("This drink was changed in another tab", "nothing was overwritten")
	second.holds("Amount of Maple syrup", "1 tbsp")
	first.reload()
	first.holds("Amount of Maple syrup", "5 tbsp")
	second.click("button", "Load the other version")
	second.holds("Amount of Maple syrup", "5 tbsp")
}

func TestPastItsDateIsSaidInWordsAndThrownOutWithAReason(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.click("link", "Shelf")
	p.sees("past its date", "Past its date.")
	before := p.region("Fridge, set to 4 °C")
	p.click("button", "Throw away")
	p.fill("Reason", "")
	p.expects("422")
	p.click("button", "Throw it away")
	p.sees("a reason is needed")
	p.fill("Reason", "smelled of the canal")
	p.click("button", "Throw it away")
	p.seesNot("will be thrown away")
	p.until("a bottle less", func() bool { return p.region("Fridge, set to 4 °C") != before })
}

func TestEverythingCanBeDoneFromTheKeyboard(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Pecan flask creamer")
	p.press("4", chromedp.ModifierAlt)
	p.sees("Shelf", "Fridge, set to")
	p.press("1", chromedp.ModifierAlt)
	p.sees("Pecan flask creamer", "saved")
	p.press(kb.F1)
	p.sees("Keyboard shortcuts", "undo, redo")
	p.press(kb.Escape)
	p.seesNot("undo, redo")
	p.shortcut("+")
	p.sees("3 cups", "6 cups")
	p.shortcut("/")
	p.until("the line to add to have the keyboard", func() bool { return p.focused() == "Add an ingredient" })
	p.typeIn("1 tsp rosew")
	p.find("option", "Rosewater")
	p.press(kb.ArrowDown)
	p.press(kb.Enter)
	p.holds("Add an ingredient", "1 tsp Rosewater")
	p.press(kb.Enter)
	p.holds("Amount of Rosewater before scaling", "1 tsp")
	for range 60 { // to the button at the end of the Bench, by Tab alone
		if p.focused() == "Made it" {
			break
		}
		p.press(kb.Tab)
	}
	require.Equal(t, "Made it", p.focused())
	p.press(kb.Enter)
	p.sees("Made Pecan flask creamer")
	for range 12 {
		if p.focused() == "Bottle" {
			break
		}
		p.press(kb.Tab)
	}
	p.press(kb.Enter)
	p.sees("Why this date")
}

func TestItFitsAPhone(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	for _, width := range []int64{320, 390} {
		p.size(width, 844)
		for view, sees := range map[string]string{"/": "Method options", "/start": "Open on the Bench", "/shelf": "Pecan flask creamer", "/pantry": "Spoons and cups", "/plan": "Put the pecans in water to soak", "/cook": "step 1 of", "/plan/shopping": "Total ", "/notes": "24 of 24 batches", "/notes/batch/23": "Blind tasting", "/notes/drink/8": "Vitamin B12"} {
			p.open(view)
			p.sees(sees)
			wide := evaluate[float64](p, "(() => document.documentElement.scrollWidth)")
			assert.LessOrEqual(t, wide, float64(width), "%s scrolls sideways", view)
		}
	}
	p.open("/shelf")
	p.click("button", "Pour 30 mL")
	p.click("link", "Bench")
	p.click("button", "×2")
	p.sees("6 cups")
	p.click("button", "Made it")
	p.click("button", "Bottle")
	p.sees("Why this date")
}

func TestAnEmptyKitchenSaysHowToBegin(t *testing.T) {
	t.Parallel()
	p := visit(t, emptyKitchen(t))
	p.sees("Welcome to Plush Ladle", "Step 1 of 3")
	choose(p, "Measure new drinks in", "Metric cups")
	p.click("button", "Next")
	p.click("button", "Add a drinker")
	p.fill("Name", "neighbour")
	p.click("button", "Save")
	p.sees("Step 2 of 3", "neighbour")
	p.click("button", "Next")
	p.click("button", "Choose a drink")
	p.sees("What would you like to make?", "neighbour")
	p.click("link", "Shelf")
	p.sees("The shelf is empty")
	p.click("link", "Go to the Bench")
	p.click("button", "Empty drink")
	p.sees("Start with a base and water.")
	p.fill("Add an ingredient", "1 cup bitter almonds")
	p.press(kb.Enter)
	p.sees("cannot be used as a base")
}

// Once each by day at a desk; AXE=all looks at every theme and width.
func TestNoSeriousAccessibilityFault(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	themes, widths := []string{"Day"}, []int64{1280}
	if os.Getenv("AXE") == "all" {
		themes, widths = []string{"Day", "Night"}, []int64{1280, 768, 390}
	}
	for _, theme := range themes {
		p.size(1280, 800)
		p.open("/")
		p.sees("Pecan flask creamer")
		p.click("link", "Settings")
		p.click("combobox", "Theme")
		p.click("option", theme)
		p.click("button", "Save")
		p.sees("Saved.")
		for name, arrive := range map[string]func(){
			"bench":    func() { p.open("/"); p.sees("Contains pecan") },
			"start":    func() { p.open("/start"); p.sees("Open on the Bench") },
			"list":     func() { p.open("/plan/shopping"); p.sees("Total ") },
			"plan":     func() { p.open("/plan"); p.sees("Shopping list") },
			"shelf":    func() { p.open("/shelf"); p.sees("Why this date") },
			"made it":  func() { p.open("/"); p.click("button", "Made it"); p.sees("Bottle") },
			"details":  func() { p.open("/"); p.click("button", "4 cautions, nutrition and cost"); p.sees("Nutrition") },
			"method":   func() { p.open("/"); p.click("button", "Method"); p.sees("Blending water") },
			"ladder":   func() { p.open("/"); p.work("Dilute", "Add water") },
			"split":    func() { p.open("/"); p.work("Split the batch", "Amount of the base, drink 2") },
			"cup":      func() { p.open("/"); p.work("In a cup of coffee", "Risk of splitting") },
			"compare":  func() { p.open("/"); p.work("Compare", "g in 100 mL") },
			"pantry":   func() { p.open("/pantry"); p.sees("Spoons and cups", "Drinkers") },
			"drinks":   func() { p.open("/drinks"); p.sees("Archive", "Sort by") },
			"welcome":  func() { p.open("/welcome"); p.sees("Step 1 of 3") },
			"settings": func() { p.open("/settings"); p.sees("Fridge temperature", "Restore a backup") },
			"price":    func() { p.open("/pantry"); p.click("button", "Price and stock of Walnuts"); p.sees("Pack size") },
			"cook":     func() { p.open("/cook/3"); p.sees("step 1 of") },
			"weighing": func() {
				p.open("/cook/3")
				p.click("button", "Connect the scale")
				p.sees("to go")
				p.click("button", "Disconnect")
			},
			"bowl":  func() { p.open("/plan"); p.click("button", "Start a bowl"); p.sees("In the fridge") },
			"notes": func() { p.open("/notes"); p.sees("Worth knowing", "24 of 24 batches", "How was it?") },
			"batch": func() {
				p.open("/notes/batch/23")
				p.sees("a bit gritty at the end")
				p.click("button", "slimy")
				p.sees("let it drain")
			},
			"correct": func() { p.open("/notes/batch/23"); p.click("button", "Correct"); p.sees("Date made") },
			"history": func() { p.open("/notes/drink/8"); p.sees("Vitamin B12", "Versions") },
			"labels":  func() { p.open("/labels?bottles=1,2"); p.sees("Print", "use by") },
			"story":   func() { p.open("/shelf"); p.click("button", "history"); p.sees("filled with") },
			"made":    func() { p.open("/shelf"); p.click("link", "batch"); p.sees("How was it?") },
			"Plan":    func() { p.open("/plan"); p.sees("Next", "Shopping list") },
			"card": func() {
				p.open("/")
				p.work("Print or export", "Recipe card to print")
				p.click("link", "Recipe card to print")
				p.sees("Good to know")
			},
		} {
			p.size(1280, 800)
			arrive()
			for _, width := range widths {
				p.size(width, 800)
				assert.Empty(t, axeFaults(p), "%s, %s, %d wide", name, strings.ToLower(theme), width)
			}
		}
	}
}

func TestPulpIsUsed(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.sees("Pulp", "wet,", "Good for")
	before := p.region("Pulp")
	p.click("summary", "Used it, or threw it away?")
	p.expects("422")
	p.click("button", "Used")
	p.sees("say what it was used for")
	p.fill("Pulp of ", "crackers")
	p.click("button", "Used")
	p.until("one pulp less", func() bool { return len(p.region("Pulp")) < len(before) })
	p.fill("Another amount", "15")
	p.click("button", "Pour")
	p.sees("25 mL")
}

func TestABottleIsMovedThawedAndItsStoryTold(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.sees("Fridge temperature", "above 5 °C for", "days off the shelf life")
	p.click("button", "Pecan flask creamer, 300 mL of 300 mL")
	p.click("button", "Move")
	p.click("menuitem", "Into the fridge, to thaw")
	p.sees("Thawing in the fridge until", "two days")
	p.sees("Nothing is poured from it until it has thawed")
	assert.False(t, evaluate[found](p, "find", "button", "Pour 30 mL").Able)
	p.click("button", "history")
	p.sees("filled with 300 mL, into the freezer", "moved to the fridge")
	p.click("button", "Close")
	p.fill("Find a bottle", "walnut")
	p.seesNot("Sunflower cocoa")
	p.click("button", "Walnut cream for porridge, 270 mL")
	p.click("button", "Pour 15 mL")
	p.sees("255 mL")
	p.click("button", "Undo the last pour")
	p.sees("270 mL")
	p.sees("Not for neighbour (contains walnut)")
	p.fill("Find a bottle", "")
	p.click("link", "label")
	p.sees("Walnut cream for porridge", "18 servings of 15 mL", "Contains walnut.", "Print")
	p.click("combobox", "Labels")
	p.click("option", "Single, 90")
	p.click("link", "Back to the Shelf")
	p.click("button", "Connect a thermometer")
	p.sees("Disconnect", "Practice thermometer")
}
