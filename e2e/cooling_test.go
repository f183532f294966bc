//go:build e2e

package e2e

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"
)

// boiledAndCooling has the first drink boiled, planned from now and cooked up
// to where it cools; it gives the plan's item.
func boiledAndCooling(t testing.TB, url string) int {
	t.Helper()
	drink := ask(t, url, "GET", "/api/drinks/1", nil)
	recipe := drink["draft"].(map[string]any)
	recipe["heat"], recipe["cookMin"] = "boil", 5
	ask(t, url, "PUT", "/api/drinks/1/draft", map[string]any{"name": drink["name"], "recipe": recipe, "revision": drink["revision"]})
	for _, item := range ask(t, url, "GET", "/api/plan", nil)["items"].([]any) {
		path := fmt.Sprintf("/api/plan/items/%v", item.(map[string]any)["id"])
		ask(t, url, "DELETE", path, nil)
	}
	plan := ask(t, url, "POST", "/api/plan/items", map[string]any{"drinkID": 1, "readyBy": "", "startNow": true})
	item := plan["items"].([]any)[0].(map[string]any)
	id := int(item["id"].(float64))
	for range 40 {
		front := item["front"].(map[string]any)
		if front["cools"] == true {
			return id
		}
		plan = ask(t, url, "POST", fmt.Sprintf("/api/plan/items/%d/done", id), map[string]any{"step": front["step"], "undo": false})
		item = plan["items"].([]any)[0].(map[string]any)
	}
	t.Fatal("it never cools")
	return 0
}

func TestACookedDrinkIsWatchedAsItCools(t *testing.T) {
	t.Parallel()
	url := demoKitchen(t)
	id := boiledAndCooling(t, url)
	p := visit(t, url)
	p.open(fmt.Sprintf("/cook/%d", id))
	p.sees("Cooling", "21 °C at about", "at the latest")
	p.click("combobox", "Cooling in")
	p.click("option", "the open air")
	p.sees("5 °C", "What still helps:", "a stirred ice bath")
	p.expects("422") // 1 and 15, on the way to 150, are colder than the air
	p.fill("Thermometer reading", "150")
	p.sees("Enter -5 to 110 °C.")
	p.fill("Thermometer reading", "")
	p.click("button", "Alert me in time")
	p.sees("? Measure it. Ice helps")
	require.Empty(t, axeFaults(p))
}
