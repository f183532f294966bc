// Package reckontest makes drinks for tests from lines as a cook writes them.
package reckontest

import (
	"fmt"
	"testing"

	"plushladle/core/process"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

// Flask is a creamer with something to turn on every dial.
var Flask = []string{"1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup", "1 small date", "1/2 tsp cardamom after straining", "1 tsp vanilla", "1 tbsp coconut oil", "1/8 tsp salt"}

// Drink is a drink of these lines.
func Drink(t testing.TB, lines ...string) reckon.Drink {
	t.Helper()
	d := reckon.New("test")
	for _, text := range lines {
		line, err := reading.Standard().Line(text)
		if err != nil {
			t.Fatal(text, err)
		}
		d.Lines = append(d.Lines, line)
	}
	return d
}

// Reckoned is what comes of it.
func Reckoned(t testing.TB, d reckon.Drink) *reckon.Reckoning {
	t.Helper()
	r, err := d.Reckon()
	if err != nil {
		t.Fatal(err)
	}
	return r
}

// Random is a drink of a base, water, and whatever else, made in any way and size. intN gives any
// whole number from 0 to below n.
func Random(t testing.TB, intN func(n int) int) reckon.Drink {
	t.Helper()
	pick := func(from ...string) string { return from[intN(len(from))] }
	d := Drink(t,
		pick("1 cup almonds", "1 cup cashews, unsoaked", "1 cup rolled oats, rinsed", "1 cup white rice", "1 cup soybeans", "1 cup tiger nuts", "100 g baobab on the seed", "1 cup pecans, skins rubbed off"),
		fmt.Sprintf("%d cups %s", 2+intN(8), pick("water", "cold water", "hot water", "water, soaking water kept")),
		pick("2 tbsp maple syrup", "3 dates", "50 g white sugar", "1 pinch saffron", "100 g ice"),
		pick("1 tsp vanilla extract", "1/4 tsp cardamom after straining", "1 cinnamon stick", "1/4 tsp nutmeg, while cooking", "1 tsp cinnamon, to serve"),
		pick("1 cup water to rinse the pulp", "1 cup water for the second grind", "1 cup hot tea, to brew", "1 tbsp coconut oil", "1/4 tsp salt", "1 cup whole milk"))
	for n := range d.Lines {
		d.Lines[n].Key = fmt.Sprint("line-", n+1)
	}
	d.Method.Strainer = process.Strainers()[intN(len(process.Strainers()))]
	d.Method.Heat = process.Heats[intN(len(process.Heats))]
	d.Method.Minutes = float64(intN(15))
	d.Method.Coarse = intN(6) == 0
	d.Method.HotFill = intN(4) == 0
	d.Size = recipe.Size{By: recipe.ByTimes, Value: []float64{.5, 1, 3}[intN(3)]}
	return d
}
