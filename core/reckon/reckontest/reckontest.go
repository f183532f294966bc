// Package reckontest makes drinks for tests from lines as a cook writes them.
package reckontest

import (
	"testing"

	"plushladle/core/reading"
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
