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
	p.holds("Name of the drink", "New drink")
	p.fill("Name of the drink", "Sesame porch milk")
	for _, line := range []string{"1 cup sesame seeds, soaked overnight", "4 cups cold water", "2 large dates, pitted", "1/4 tsp salt"} {
		p.fill("Add a line", line)
		p.press(kb.Enter)
	}
	p.sees("Base", "1 : 4 in cups", "Contains sesame", "saved")

	p.click("button", "×2")
	p.sees("2 cups", "8 cups", "2 loads")
	p.fill("Volume in mL", "1000")
	p.sees("1 L", "4 servings of 240 mL")
	p.click("button", "Keep version")
	p.fill("What is new in it", "first try")
	p.click("button", "Keep version 1")
	p.sees("Version 1 · first try")

	p.click("button", "Made it")
	p.fill("It gave, if you measured it", "980")
	p.fill("Bottle 1", "600")
	p.click("button", "Another bottle")
	p.fill("Bottle 2", "380")
	p.click("button", "Bottle it")
	p.sees("Shelf")
	p.click("button", "Sesame porch milk, 600 mL of 600 mL")
	p.sees("Why that date.", "Sesame seeds: 3 days, 4 by custom", "Contains sesame", "2.5 servings of 240 mL left")
	p.click("button", "Pour 240 mL")
	p.sees("360 mL", "1.5 servings")

	p.reload()
	p.click("button", "Sesame porch milk, 360 mL of 600 mL")
	p.click("link", "version 1")
	p.holds("Name of the drink", "Sesame porch milk")
	p.holds("Volume in mL", "1000")
}

func TestKeystrokesShowTheirEffectAndMistakesStay(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Pecan flask creamer", "1 : 2 in cups, 1 : 4.8 by weight")
	p.fill("Amount of Water", "4 1/2 cups")
	p.sees("1 : 3 in cups", "Changed since version 3")
	for typed, said := range map[string]string{
		"lots":      "is not an amount",
		"-1 cup":    "is below zero",
		"1e300 kg":  "is more than a kitchen holds",
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
	before := evaluate[[]string](p, "fields", "Amount of ")
	require.Contains(t, strings.Join(before, ","), "Amount of Coconut oil, refined,Amount of Salt")
	p.click("textbox", "Amount of Salt")
	p.press(kb.ArrowUp, chromedp.ModifierAlt)
	p.until("the salt to stand above the oil", func() bool {
		return strings.Contains(strings.Join(evaluate[[]string](p, "fields", "Amount of "), ","), "Amount of Salt,Amount of Coconut oil, refined")
	})
	p.click("button", "More for Small dates")
	p.click("menuitem", "In the glass")
	p.sees("in the glass, not in the bottle")
	p.click("button", "More for Small dates")
	p.click("menuitem", "Remove")
	p.until("the dates to go", func() bool { return !strings.Contains(order(), "1 piece") && !evaluate[bool](p, "sees", "Small dates") })
	p.click("button", "Lock") // the first line, pecans
	p.sees("×1")
	p.click("button", "×2")
	p.sees("1 : 4 in cups") // the water doubled, the pecans did not
	p.click("button", "More ways")
	p.click("button", "Write the drink at this size")
	p.holds("Amount of Water", "6 cups")
	p.holds("Amount of Pecans", "1½ cups")
}

func TestLeavingThePageLosesNothing(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
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
	second.click("button", "Show the other one")
	second.holds("Amount of Maple syrup", "5 tbsp")
}

func TestPastItsDateIsSaidInWordsAndThrownOutWithAReason(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.click("link", "Shelf")
	p.sees("past its date", "Past its date.")
	before := p.region("Fridge, set to 4 °C")
	p.click("button", "Throw out")
	p.fill("Why", "")
	p.expects("422")
	p.click("button", "Throw it out")
	p.sees("a reason is needed")
	p.fill("Why", "smelled of the canal")
	p.click("button", "Throw it out")
	p.seesNot("Throw it out")
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
	p.sees("Keys", "undo, redo")
	p.press(kb.Escape)
	p.seesNot("undo, redo")
	p.shortcut("+")
	p.sees("3 cups", "6 cups")
	p.shortcut("/")
	p.until("the line to add to have the keyboard", func() bool { return p.focused() == "Add a line" })
	p.typeIn("1 tsp rosew")
	p.find("option", "Rosewater")
	p.press(kb.ArrowDown)
	p.press(kb.Enter)
	p.holds("Add a line", "1 tsp Rosewater")
	p.press(kb.Enter)
	p.holds("Amount of Rosewater as written", "1 tsp")
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
		if p.focused() == "Bottle it" {
			break
		}
		p.press(kb.Tab)
	}
	p.press(kb.Enter)
	p.sees("Why that date.")
}

func TestItFitsAPhone(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.size(390, 844)
	for view, sees := range map[string]string{"/": "Pecan flask creamer", "/shelf": "Pecan flask creamer", "/pantry": "Drawer of measures", "/plan": "Next in the kitchen", "/cook": "step 1 of"} {
		p.open(view)
		p.sees(sees)
		wide := evaluate[float64](p, "(() => document.documentElement.scrollWidth)")
		assert.LessOrEqual(t, wide, 390., "%s scrolls sideways", view)
	}
	p.open("/shelf")
	p.click("button", "Pour")
	p.click("link", "Bench")
	p.click("button", "×2")
	p.sees("6 cups")
	p.click("button", "Made it")
	p.click("button", "Bottle it")
	p.sees("Why that date.")
}

func TestAnEmptyKitchenSaysHowToBegin(t *testing.T) {
	t.Parallel()
	p := visit(t, emptyKitchen(t))
	p.sees("No drink yet")
	p.click("link", "Shelf")
	p.sees("The shelf is empty")
	p.click("link", "Go to the Bench")
	p.click("button", "Drinks")
	p.click("menuitem", "New drink")
	p.sees("Ingredients go here.")
	p.fill("Add a line", "1 cup bitter almonds")
	p.press(kb.Enter)
	p.sees("are not used as a base")
}

// Once each by day at a desk; AXE=all looks at every theme and width.
func TestNoSeriousAccessibilityFault(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	themes, widths := []string{"Day"}, []int64{1280}
	if os.Getenv("AXE") == "all" {
		themes, widths = []string{"Day", "Night kitchen"}, []int64{1280, 768, 390}
	}
	for _, theme := range themes {
		p.size(1280, 800)
		p.open("/")
		p.sees("Pecan flask creamer")
		p.click("button", "Kitchen")
		p.click("combobox", "Light")
		p.click("option", theme)
		p.click("button", "Keep these")
		p.seesNot("Keep these")
		for name, arrive := range map[string]func(){
			"bench":   func() { p.open("/"); p.sees("Contains pecan") },
			"shelf":   func() { p.open("/shelf"); p.sees("Why that date.") },
			"made it": func() { p.open("/"); p.click("button", "Made it"); p.sees("Bottle it") },
			"details": func() { p.open("/"); p.click("button", "4 more to know"); p.sees("Nutrition") },
			"method":  func() { p.open("/"); p.click("button", "Method"); p.sees("Grinding water") },
			"ladder":  func() { p.open("/"); p.work("Let it down", "With water") },
			"split":   func() { p.open("/"); p.work("Split the base", "Of the base, drink 2") },
			"cup":     func() { p.open("/"); p.work("In the cup", "Risk of splitting") },
			"compare": func() { p.open("/"); p.work("Compare", "g in 100 mL") },
			"pantry":  func() { p.open("/pantry"); p.sees("Drawer of measures", "Who drinks here") },
			"price":   func() { p.open("/pantry"); p.click("button", "Price and stock of Walnuts"); p.sees("There is in it") },
			"cook":    func() { p.open("/cook/3"); p.sees("step 1 of") },
			"weighing": func() {
				p.open("/cook/3")
				p.click("button", "Weigh with the scale")
				p.sees("to go")
				p.click("button", "No scale")
			},
			"bowl":   func() { p.open("/plan"); p.click("button", "Start a bowl"); p.sees("In the fridge") },
			"labels": func() { p.open("/labels?bottles=1,2"); p.sees("Print them", "use by") },
			"story":  func() { p.open("/shelf"); p.click("button", "its story"); p.sees("filled with") },
			"made":   func() { p.open("/shelf"); p.click("button", "how it was made"); p.sees("expected") },
			"plan":   func() { p.open("/plan"); p.sees("Next in the kitchen", "To buy") },
			"card": func() {
				p.open("/")
				p.work("Print or take elsewhere", "A card to print")
				p.click("link", "A card to print")
				p.sees("To know")
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
	p.click("summary", "What became of it")
	p.expects("422")
	p.click("button", "Used")
	p.sees("say what it was used for")
	p.fill("Pulp of ", "crackers")
	p.click("button", "Used")
	p.until("one pulp less", func() bool { return len(p.region("Pulp")) < len(before) })
	p.fill("Another amount", "15")
	p.click("button", "Pour it")
	p.sees("25 mL")
}

func TestABottleIsMovedThawedAndItsStoryTold(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.sees("The fridge, seven days", "above 5 °C, up to", "days of life from what stood there")
	p.click("button", "Pecan flask creamer, 300 mL of 300 mL")
	p.click("button", "Move")
	p.click("menuitem", "Into the fridge, to thaw")
	p.sees("It thaws in the fridge until", "two days at most")
	p.click("button", "Pour 30 mL")
	p.sees("270 mL")
	p.click("button", "Take the last pour back")
	p.sees("300 mL")
	p.click("button", "its story")
	p.sees("filled with 300 mL, into the freezer", "put into the fridge")
	p.click("button", "Close")
	p.fill("Find a bottle", "walnut")
	p.seesNot("Sunflower cocoa")
	p.click("button", "Walnut cream for porridge, 270 mL")
	p.sees("Not for neighbour (contains walnut)")
	p.fill("Find a bottle", "")
	p.click("link", "label")
	p.sees("Walnut cream for porridge", "18 servings of 15 mL", "Contains walnut.", "Print them")
	p.click("combobox", "Labels")
	p.click("option", "single, 90")
	p.click("link", "Back to the Shelf")
	p.click("button", "Take readings in")
	p.fill("Readings", "yesterday,4")
	p.click("button", "Take them in")
	p.expects("422")
	p.sees("holds no reading that can be taken in", "its time is none")
	p.fill("Readings", "2026-11-24 15:00,4.1\nyesterday,4")
	p.click("button", "Take them in")
	p.sees("1 readings taken in; 1 lines were not understood", "its time is none", "Readings imported.")
	p.click("button", "Close it")
	p.click("button", "Read the thermometer")
	p.sees("Read it no more", "Stand-in thermometer")
}
