//go:build e2e

package e2e

import (
	"bytes"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A new drink begins with a wish: what is known is chosen, the rest is worked out, and
// another idea is another drink.
func TestADrinkIsDesignedFromAWish(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.click("button", "Drinks")
	p.click("menuitem", "New drink")
	p.sees("What would you like to make?", "Open on the Bench")
	p.click("button", "cooler")
	p.click("button", "lemongrass and lime")
	p.sees("cooler with lemongrass and lime")
	p.click("button", "coffee creamer")
	p.click("button", "More")
	p.click("button", "Sunflower seeds")
	p.click("button", "cardamom")
	p.sees("Sunflower creamer with cardamom", "¾ cup sunflower seeds", "1½ cups water", "10 servings of 30 mL", "freeze 33 % of it")
	look(p, "start")
	require.Empty(t, axeFaults(p))
	p.size(390, 844)
	look(p, "start-phone")
	assert.LessOrEqual(t, evaluate[float64](p, "(() => document.documentElement.scrollWidth)"), 390.)
	p.size(1280, 800)
	p.fill("Without", "sunflower")
	p.press(kb.Escape)
	p.click("button", "Open on the Bench")
	p.holds("Drink name", "Sunflower creamer with cardamom")
	p.holds("Amount of Sunflower seeds", "¾ cup")
	p.sees("saved")
}

// An allergen that is left out is left out with its kin, whatever was chosen.
func TestAWishLeavesOutWhatItMust(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/start")
	p.click("button", "Pecans")
	p.sees("Pecan creamer")
	p.expects("422")
	p.click("button", "neighbour")
	p.sees("leaves nothing to make this from")
	p.click("button", "Pecans")
	p.until("an idea without pecans", func() bool { return p.region("Idea") != "" && !strings.Contains(p.region("Idea"), "ecan") })
	for range 5 {
		before := p.region("Idea")
		assert.NotContains(t, before, "pecan")
		assert.NotContains(t, before, "walnut")
		p.click("button", "Another idea")
		p.until("another idea", func() bool { return p.region("Idea") != before })
	}
}

// A basic, and a drink of one's own, are one tap away.
func TestADrinkBeginsFromABasicOrAnotherDrink(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/start")
	p.fill("Find a basic", "tiger")
	p.click("button", "Tiger nut milk")
	p.holds("Drink name", "Tiger nut milk")
	p.open("/start")
	p.sees("made ")
	p.click("link", "See all drinks")
	p.fill("Find a drink", "nog")
	p.click("button", "Duplicate Pumpkin-seed nog")
	p.holds("Drink name", "Pumpkin-seed nog, copy")
	p.open("/nowhere")
	p.sees("Page not found")
	p.click("link", "Go to the Bench")
	p.holds("Drink name", "Pumpkin-seed nog, copy")
}

// How many taps a new user needs, from an empty kitchen: to a drink with its figures, and to
// a bottle on the shelf.
func TestTheWayFromAnEmptyKitchenIsShort(t *testing.T) {
	t.Parallel()
	p := visit(t, emptyKitchen(t))
	p.click("button", "Skip all")
	p.click("button", "Open on the Bench")
	p.sees("Contains ", "servings of 30 mL")
	toFigures := p.taps
	p.click("button", "Made it")
	p.click("button", "Bottle")
	p.sees("Why this date")
	t.Logf("%d taps to a drink with its figures, %d to a bottle on the shelf", toFigures, p.taps)
	assert.LessOrEqual(t, toFigures, 4)
	assert.LessOrEqual(t, p.taps, 15)
}

// From the Bench straight to the plan, sized by who comes, and straight to the stove.
func TestADrinkGoesOnFromTheBench(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	p := visit(t, url)
	p.sees("Contains pecan")
	p.click("button", "Plan it")
	p.sees("Plan a drink")
	p.fill("For how many people", "14")
	p.fill("Servings each", "2")
	p.find("combobox", "Drink")
	p.click("combobox", "Ready")
	p.click("option", "as soon as possible")
	p.click("button", "Plan it")
	p.sees("5 drinks, ", "840 mL") // 14 people, two servings of 30 mL each
	p.click("link", "Bench")
	p.sees("Contains pecan")
	p.click("button", "Start cooking")
	p.sees("step 1 of", "Pecan flask creamer")
}

// The keyboard comes back to where it was after a dialog, a sheet and a question.
func TestTheKeyboardComesBack(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.sees("Contains pecan")
	for button, sees := range map[string]string{"Made it": "Expected yield", "Method": "How the drink is blended", "4 cautions, nutrition and cost": "Assumptions"} {
		p.click("button", button)
		p.sees(sees)
		p.press(kb.Escape)
		p.seesNot(sees)
		p.until("the keyboard back at "+button, func() bool { return strings.HasPrefix(p.focused(), button) })
	}
	p.click("button", "Tools")
	p.click("menuitem", "Compare")
	p.sees("First")
	p.press(kb.Escape)
	p.until("the keyboard back at the tools", func() bool { return strings.HasPrefix(p.focused(), "Tools") })
	assert.Equal(t, "Bench · Plush Ladle", evaluate[string](p, "(() => document.title)"))
}

// The shopping list is taken along: with its total, on paper without a control, and copied.
func TestTheShoppingListIsTakenAlong(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/plan")
	p.sees("Shopping list", "Total £")
	p.click("link", "Print, copy or share")
	p.sees("Pecans", "1 × 500 g", "Total £")
	require.Empty(t, axeFaults(p))
	p.click("button", "Copy")
	p.sees("Copied.")
	pdf := p.printed()
	assert.Equal(t, 1, bytes.Count(pdf, []byte("/Type /Page\n")), "on one page")
}

// By the keyboard alone: from an empty kitchen to a bottle on the shelf, and a glass of it.
func TestTheKeyboardAloneGoesFromStartToBottle(t *testing.T) {
	t.Parallel()
	p := visit(t, emptyKitchen(t))
	p.sees("Welcome to Plush Ladle")
	reach(p, "Skip all")
	p.press(kb.Enter)
	p.sees("Open on the Bench")
	reach(p, "Open on the Bench")
	p.press(kb.Enter)
	p.sees("Contains ", "servings of 30 mL")
	reach(p, "Made it")
	p.press(kb.Enter)
	p.sees("Expected yield")
	reach(p, "Bottle")
	p.press(kb.Enter)
	p.sees("Why this date")
	reach(p, "Pour 30 mL")
	p.press(kb.Enter)
	p.sees("30 mL", "Undo the last pour")
	assert.Eventually(t, func() bool { return ask(t, p.url, "GET", "/api/shelf", nil)["totalML"].(float64) < 500 }, 5*time.Second, 50*time.Millisecond)
}

// mostTabs is more than any view has to step through.
const mostTabs = 160

// reach goes on by the Tab key until something of that name has the keyboard.
func reach(p *page, name string) {
	p.t.Helper()
	for range mostTabs {
		p.press(kb.Tab)
		if strings.HasPrefix(p.focused(), name) {
			return
		}
	}
	p.t.Fatalf("%d steps of the Tab key do not come to %q; the keyboard is at %q", mostTabs, name, p.focused())
}

// Drinks are found, put away and brought back; one that was put away is offered nowhere.
func TestDrinksAreALibrary(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/drinks")
	p.sees("Pecan flask creamer", "a litre", "made ", "Not for neighbour")
	look(p, "drinks")
	choose(p, "Kind", "horchata")
	p.seesNot("Pecan flask creamer")
	p.sees("Barley and melon-seed horchata")
	p.click("button", "Archive Barley and melon-seed horchata")
	p.sees("No drink fits")
	p.click("checkbox", "Show archived")
	p.sees("Barley and melon-seed horchata")
	p.open("/")
	p.click("button", "Drinks")
	p.sees("Pistachio and rosewater")
	p.seesNot("Barley and melon-seed horchata")
	p.press(kb.Escape)
	p.open("/drinks")
	p.click("checkbox", "Show archived")
	p.click("button", "Bring back Barley and melon-seed horchata")
	p.find("button", "Archive Barley and melon-seed horchata")
}

// What else is to be bought is written on the list, ticked and taken off.
func TestTheListHasItemsOfTheCooksOwn(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/plan/shopping")
	p.fill("Add to the list", "paper filters")
	p.press(kb.Enter)
	p.sees("paper filters")
	p.click("checkbox", "paper filters")
	p.until("it is in the basket", func() bool {
		var items []map[string]any
		askFor(t, p.url, "GET", "/api/shopping", nil, &items)
		return len(items) == 1 && items[0]["done"] == true
	})
	p.click("button", "Take paper filters off the list")
	p.seesNot("paper filters")
}

// What cannot be made by then is not proposed.
func TestAnIdeaIsReadyInTime(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/start")
	p.expects("422")
	p.click("button", "Almonds")
	p.fill("Ready within", "3")
	p.sees("it would take at least 7.5 hours", "choose a base that needs no soak")
	p.click("button", "Almonds")
	p.sees("Open on the Bench")
}
