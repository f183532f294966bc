//go:build e2e

package e2e

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A bottle is put elsewhere by the mouse and by the keyboard; what the freezer
// refuses is said.
func TestABottleIsCarriedFromPlaceToPlace(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	const walnut = "Walnut cream for porridge"
	holds := func(place string) func() bool {
		return func() bool { return strings.Contains(p.region(place), walnut) }
	}
	p.sees("Fridge door: empty")
	p.carry(walnut, "Fridge door")
	p.until("the bottle in the door", holds("Fridge door"))
	p.fill("Another amount", "2")
	p.click("combobox", "in")
	p.click("option", "servings")
	requests := func() int {
		return evaluate[int](p, "(() => performance.getEntriesByType('resource').filter((e) => /api.(bottles|shelf|rhythm|can-make)/.test(e.name)).length)")
	}
	before, quiet := -1, 0
	p.until("nothing more to be asked for", func() bool { // of the move before
		if quiet++; requests() != before {
			before, quiet = requests(), 0
		}
		return quiet > 20
	})
	p.click("button", "Pour")
	p.sees("240 mL", "16 servings of 15 mL left")
	assert.Equal(t, 1, requests()-before, "a pour makes one request")
	p.click("button", walnut)
	p.press(kb.ArrowDown, chromedp.ModifierAlt)
	p.until("the bottle in the freezer", holds("Freezer"))
	p.sees("30 days")
	p.click("button", walnut)
	p.press(kb.ArrowUp, chromedp.ModifierAlt)
	p.until("the bottle in the door again", holds("Fridge door"))
	p.sees("Thawing in the fridge until")
	p.expects("422")
	p.carry(walnut, "Freezer")
	p.sees("cannot be the freezer")
	assert.True(t, holds("Fridge door")(), "it stays where it is")
	require.Empty(t, axeFaults(p))
}

// The slash finds; a drinker's name marks what is not for them.
func TestBottlesAreFoundAndMarkedForADrinker(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.sees("Ready to make")
	p.press("/")
	p.typeIn("walnut")
	p.until("only the walnut cream", func() bool { return !strings.Contains(p.region("Fridge, set to 4 °C"), "nog") })
	p.fill("Find a bottle", "")
	p.click("combobox", "For")
	p.click("option", "neighbour")
	p.sees("not for neighbour", "for neighbour")
	assert.Equal(t, 3, strings.Count(p.region("Fridge, set to 4 °C"), "not for neighbour"), "of all bottles, the walnut cream and, as its kin, the pecan creamer")
	p.click("button", "Walnut cream for porridge")
	p.sees("Not for neighbour (contains walnut)")
}

// What is open stands on the shelf with its date, and what it would go into.
func TestAnOpenPackIsUsedUp(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.sees("Orange juice", "last day", "Use first: Orange juice")
	p.fill("Opened pack, and what is left", "a splash of joy")
	p.expects("422")
	p.click("button", "Add to the shelf")
	p.sees("splash of joy")
	p.holds("Opened pack, and what is left", "a splash of joy")
	p.fill("Opened pack, and what is left", "120 g pumpkin seeds")
	p.click("button", "Add to the shelf")
	p.until("the seeds on the shelf", func() bool { return strings.Contains(p.region("Open packs"), "Pumpkin seeds, 120 g left") })
	p.click("button", "Missing ingredients")
	p.sees("Missing: 109 g date syrup")
	p.click("link", "1.14 L of Sesame and orange breakfast milk")
	p.holds("Drink name", "Sesame and orange breakfast milk")
	p.sees("140 g", "saved")
}

func TestWhatCanBeMadeNowIsBegun(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.click("button", "Start now: Walnut cream for porridge")
	p.until("it to be on the plan", func() bool {
		return strings.Contains(fmt.Sprint(ask(t, p.url, "GET", "/api/plan", nil)), "Walnut cream for porridge")
	})
	p.open("/plan")
	p.sees("Walnut cream for porridge")
}

func TestARhythmLeadsToThePlan(t *testing.T) {
	t.Parallel()
	p := visit(t, demoKitchen(t))
	p.open("/shelf")
	p.sees("Every week", "from your drinkers", "The way you make it now", "What you have lasts")
	p.click("button", "Remove Sesame and orange breakfast milk")
	p.sees("Make it on")
	p.click("combobox", "Drink")
	p.click("option", "Walnut cream for porridge")
	p.fill("Drunk per day", "100")
	p.sees("100 mL of Walnut cream for porridge, as you set it", "It keeps 3 days; you have 270 mL.", "One batch a week, none of it frozen, throws away 400 mL a week")
	p.click("button", "Add a drink in turn")
	p.click("combobox", "then")
	p.click("option", "Pumpkin-seed nog")
	p.sees("Pumpkin-seed nog. It keeps")
	p.reload()
	p.sees("Pumpkin-seed nog. It keeps", "Next:") // it is kept
	next := p.region("Weekly rhythm")
	p.open("/plan")
	p.sees("Next:")
	p.click("button", "Plan it")
	p.until("the advice to go", func() bool { return p.region("From your weekly rhythm") == "" })
	p.open("/shelf")
	p.sees("It is on the Plan.")
	assert.Contains(t, next, "Next:")
	p.expects("422")
	for _, day := range []string{"Sun", "Tue", "Wed", "Fri"} {
		p.click("button", day)
	}
	p.sees("always leave something past its date")
}

// A night of a warm fridge is taken in, shows in the strip, and throws out what
// stood there, with the reason; what is in the freezer stays.
func TestAWarmSpellThrowsOutWhatStoodThere(t *testing.T) {
	t.Parallel()
	url := emptyKitchen(t)
	made := ask(t, url, "POST", "/api/drinks", map[string]any{"name": "Sesame porch milk"})
	recipe := made["draft"].(map[string]any)
	recipe["lines"] = []any{}
	for _, text := range []string{"1 cup sesame seeds", "4 cups water"} {
		recipe["lines"] = append(recipe["lines"].([]any), ask(t, url, "POST", "/api/lines", map[string]any{"text": text})["lines"].([]any)...)
	}
	ask(t, url, "PUT", "/api/drinks/1/draft", map[string]any{"name": "Sesame porch milk", "recipe": recipe, "revision": made["revision"]})
	yesterday := time.Now().AddDate(0, 0, -1)
	askFor(t, url, "POST", "/api/drinks/1/batches", map[string]any{"madeOn": yesterday.Format("2006-01-02"), "bottles": []any{
		map[string]any{"volumeML": 400, "place": "fridge"}, map[string]any{"volumeML": 300, "place": "freezer"},
	}}, &[]map[string]any{})
	p := visit(t, url)
	p.open("/shelf")
	p.click("button", "Sesame porch milk, 400 mL")
	p.sees("use by")
	var readings []string
	for at := time.Now().Add(-6 * time.Hour); at.Before(time.Now()); at = at.Add(10 * time.Minute) {
		readings = append(readings, at.UTC().Format(time.RFC3339)+",9.5")
	}
	p.click("button", "Import readings")
	p.paste("Or paste the readings", strings.Join(readings, "\n"))
	p.click("button", "Show what is in it")
	p.sees("What it changes", "throw it away")
	p.click("button", "Import")
	p.sees("Throw it away: over 4 hours above 8 °C", "Do not drink it, whatever its date", "up to 9.5 °C")
	p.click("button", "Throw away")
	p.fill("Reason", "the fridge was warm all night")
	p.click("button", "Throw it away")
	p.seesNot("400 mL of 400 mL")
	p.click("button", "Sesame porch milk, 300 mL")
	p.sees("frozen: it does not age", "use by")
}

// A base of the cook's own gets its life where bottling asks for it, and the bottle its date.
func TestAnOwnBaseGetsItsLifeWhereItIsBottled(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	ask(t, url, "POST", "/api/pantry/ingredients", map[string]any{
		"name": "Beech mast", "role": "base", "vegan": true, "allergens": []string{},
		"label":   map[string]any{"proteinG": 6, "fatG": 50, "saturatedFatG": 6, "carbohydrateG": 20, "sugarsG": 2, "fibreG": 4, "sodiumMg": 5},
		"gPerCup": 120,
	})
	p := visit(t, url)
	p.open("/start")
	p.sees("What")
	begun := ask(t, url, "POST", "/api/drinks", map[string]any{"name": "Mast milk"})
	line := func(key, amount, ingredient string) map[string]any {
		return map[string]any{"key": key, "amount": amount, "ingredient": ingredient, "stage": "", "note": "", "written": "", "locked": false, "soakedCup": false, "unsoaked": false}
	}
	draft := begun["draft"].(map[string]any)
	draft["lines"] = []any{line("a", "1 cup", "Beech mast"), line("b", "4 cups", "water")}
	id := begun["id"]
	ask(t, url, "PUT", fmt.Sprintf("/api/drinks/%v/draft", id), map[string]any{"name": "Mast milk", "recipe": draft, "revision": begun["revision"]})
	p.open(fmt.Sprintf("/bench/%v", id))
	p.sees("1 cup", "servings")
	p.click("button", "Made it")
	p.sees("no use-by date")
	p.fill("Beech mast: days in the fridge", "3")
	p.click("button", "Save")
	p.seesNot("no use-by date")
	p.click("button", "Bottle")
	p.sees("Mast milk", "Use first")
}
