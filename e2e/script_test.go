//go:build e2e

package e2e

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// script is what must stay text, wherever it is shown. It is short, as some
// fields are; were it run, the console would say that k is not defined.
const script = `"><img src onerror=k()>`

// cookScript puts it into every text field the kitchen keeps. It gives the
// numbers of the drink, of a bottle of it, and of its place on the plan.
func cookScript(t *testing.T, url string) (drink, bottle, item int) {
	t.Helper()
	number := func(answer map[string]any) int { return int(answer["id"].(float64)) }
	ask(t, url, "POST", "/api/pantry/ingredients", map[string]any{"name": "Elder " + script, "role": "sweetener", "allergens": []string{"hazelnut"}, "vegan": true})
	ask(t, url, "POST", "/api/pantry/drinkers", map[string]any{
		"name": "cox " + script, "age": "adult", "weightKG": 60, "allergens": []string{"pecan"}, "vegan": false, "dairyFree": false, "dislikes": []string{"mace " + script}, "servingsDay": 1,
	})
	made := ask(t, url, "POST", "/api/drinks", map[string]any{"name": "Nog " + script})
	drink = number(made)
	recipe := made["draft"].(map[string]any)
	line := func(key, ingredient, amount string) map[string]any {
		return map[string]any{"key": key, "ingredient": ingredient, "amount": amount, "stage": "", "note": "note " + script, "unsoaked": true, "soakedCup": false, "locked": false}
	}
	recipe["lines"] = []any{line("a", "Pecans", "1 cup"), line("w", "Water", "4 cups"), line("e", "Elder "+script, "20 g"), line("u", "moon "+script, script)}
	recipe["portions"] = []any{map[string]any{"name": "half " + script, "ml": 200, "lines": []string{"1 tsp cocoa"}}, map[string]any{"name": "rest", "ml": 0, "lines": []string{}}}
	ask(t, url, "PUT", fmt.Sprintf("/api/drinks/%d/draft", drink), map[string]any{"name": "Nog " + script, "recipe": recipe, "revision": made["revision"]})
	ask(t, url, "POST", fmt.Sprintf("/api/drinks/%d/versions", drink), map[string]any{"note": "first " + script})
	var bottles []map[string]any
	askFor(t, url, "POST", fmt.Sprintf("/api/drinks/%d/batches", drink), map[string]any{"anyway": true, "madeOn": "", "bottles": []any{map[string]any{"volumeML": 300, "place": "fridge"}, map[string]any{"volumeML": 200, "place": "fridge"}}}, &bottles)
	bottle = number(bottles[0])
	ask(t, url, "POST", fmt.Sprintf("/api/batches/%d/tastings", int(bottles[0]["batchID"].(float64))), map[string]any{"who": "mate " + script, "words": "taste " + script})
	ask(t, url, "POST", fmt.Sprintf("/api/bottles/%d/throw-out", number(bottles[1])), map[string]any{"why": "sour " + script})
	ask(t, url, "PUT", "/api/rhythm", map[string]any{"drinkIDs": []int{drink}, "perDayML": 50, "days": []bool{true, true, true, true, true, true, true}})
	ask(t, url, "POST", "/api/packs", map[string]any{"what": "40 g elder " + script, "openedOn": "", "printed": ""})
	ask(t, url, "POST", "/api/timers", map[string]any{"name": "soak " + script, "minutes": 90})
	ask(t, url, "PUT", "/api/passphrase", map[string]any{"passphrase": kitchenWords, "current": ""})
	ask(t, url, "POST", "/api/sign-in", map[string]any{"passphrase": kitchenWords, "device": "boat " + script})
	plan := ask(t, url, "POST", "/api/plan/items", map[string]any{"anyway": true, "drinkID": drink, "readyBy": time.Now().AddDate(0, 0, 3).Format("2006-01-02T15:04")})
	for _, i := range plan["items"].([]any) {
		if one := i.(map[string]any); int(one["drinkID"].(float64)) == drink {
			item = number(one)
		}
	}
	return drink, bottle, item
}

// Script typed into any text field is shown as it was typed, in every view and
// on labels, and never run.
func TestScriptInTextIsShownAndNeverRun(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	drink, bottle, item := cookScript(t, url)
	p := visit(t, url)
	for _, view := range []struct {
		path, sees string
		opens      []string // buttons
	}{
		{fmt.Sprintf("/bench/%d", drink), "moon " + script, []string{"Drinks", "Made it"}},
		{"/settings", "Fridge temperature", nil},
		{fmt.Sprintf("/bench/%d/card", drink), "Nog " + script, nil},
		{"/plan", "Nog " + script, nil},
		{fmt.Sprintf("/cook/%d", item), "soak " + script, nil},
		{fmt.Sprintf("/shelf/%d", bottle), "cox " + script, []string{"history"}},
		{"/notes", "taste " + script, nil},
		{fmt.Sprintf("/labels?bottles=%d", bottle), "Nog " + script, nil},
		{"/pantry", "Elder " + script, nil},
	} {
		p.open(view.path)
		p.sees(view.sees)
		for _, button := range view.opens {
			p.click("button", button)
			time.Sleep(300 * time.Millisecond) // for what it opens to ask for its figures
			p.press("Escape")
		}
		assert.True(t, evaluate[bool](p, "(() => document.querySelector('[onerror]') === null)"), view.path)
	}
	own := evaluate[bool](p, "(() => document.scripts.length > 0 && [...document.scripts].every((s) => s.src.startsWith(location.origin)))")
	assert.True(t, own, "all scripts are the kitchen's own")
}
