package quantity

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What every unit holds, worked by hand. US: NIST Handbook 44, appendix C (a gallon is 231 cubic
// inches, 3785.411784 mL). Imperial: UK Weights and Measures Act 1985 (a gallon is 4546.09 mL, a
// pint an eighth, a fluid ounce a twentieth of that). Metric cup 250, spoon 15 and 5, Australian
// spoon 20 (AS 1325). Ounce and pound: NIST SP 811. Imperial cup half a pint, tablespoon five
// eighths of a fluid ounce and teaspoon a third of that, to three figures: common practice. The rest: common practice or from memory, as beside each.
var held = map[Unit][4]float64{ // US, metric, Australian, imperial
	Milligram: {.001, .001, .001, .001}, Gram: {1, 1, 1, 1}, Kilogram: {1000, 1000, 1000, 1000},
	Ounce: {28.349523125, 28.349523125, 28.349523125, 28.349523125}, Pound: {453.59237, 453.59237, 453.59237, 453.59237},
	Millilitre: {1, 1, 1, 1}, Centilitre: {10, 10, 10, 10}, Decilitre: {100, 100, 100, 100}, Litre: {1000, 1000, 1000, 1000},
	Cup: {236.5882365, 250, 250, 284.130625}, Tablespoon: {14.78676478125, 15, 20, 17.758}, Teaspoon: {4.92892159375, 5, 5, 5.919},
	FluidOunce: {29.5735295625, 28.4130625, 28.4130625, 28.4130625}, Pint: {473.176473, 568.26125, 568.26125, 568.26125},
	Quart: {946.352946, 1136.5225, 1136.5225, 1136.5225}, Gallon: {3785.411784, 4546.09, 4546.09, 4546.09},
	Dash: {.616115, .625, .625, .739875}, Pinch: {.308058, .3125, .3125, .3699375}, Smidgen: {.154029, .15625, .15625, .18496875},
	Dessertspoon: {9.857843, 10, 10, 11.838},
	Capful:       {5, 5, 5, 5}, Drizzle: {5, 5, 5, 5}, Shake: {.3, .3, .3, .3}, Drop: {.05, .05, .05, .05}, Splash: {5, 5, 5, 5},
	Glug: {15, 15, 15, 15}, Handful: {120, 120, 120, 120}, Shot: {30, 30, 30, 30}, Glass: {240, 240, 240, 240}, Mug: {300, 300, 300, 300}, Bowl: {150, 150, 150, 150},
}

func TestEveryUnitHoldsWhatItShould(t *testing.T) {
	t.Parallel()
	for u := Unit(0); u < unitCount; u++ {
		want := held[u] // counts hold nothing
		for s := range want {
			assert.InDelta(t, want[s], u.Size(System(s)), 1e-5+1e-6*want[s], "%s, %s", u, System(s))
		}
		assert.Equal(t, want == [4]float64{}, u.Dimension() == Count || u == OwnMeasure, u.String())
	}
}

// Each amount that cups and spoons hold is written as itself, and reads back as what it was.
func TestEveryStepOfTheSpoonsIsWritten(t *testing.T) {
	t.Parallel()
	for _, text := range []string{
		"1/4 cup", "1/3 cup", "1/2 cup", "2/3 cup", "3/4 cup", "1 cup", "1 1/4 cups", "2 2/3 cups",
		"1 tbsp", "1 1/2 tbsp", "2 1/2 tbsp", "3 tbsp", "1/8 tsp", "1/4 tsp", "1/2 tsp", "3/4 tsp", "1 tsp", "1 1/4 tsp", "2 1/2 tsp",
	} {
		a, err := ParseAmount(text)
		require.NoError(t, err)
		ml, ok := a.Volume(US)
		require.True(t, ok)
		written, wrong := Kitchen(ml, US, .001)
		assert.InDelta(t, 0, wrong, 1e-9, text)
		again, ok := written.Volume(US)
		require.True(t, ok)
		assert.InDelta(t, ml, again, 1e-9, "%s is written %s", text, written)
	}
	for ml, want := range map[float64]string{
		60: "1/4 cup", 78.86: "1/3 cup", 14.79: "1 tbsp", 22.18: "1 1/2 tbsp", 4.93: "1 tsp", .616: "1/8 tsp", 1.848: "3/8 tsp", 3.08: "5/8 tsp", 4.313: "7/8 tsp", .308: "1 pinch", 1183: "5 cups",
	} {
		written, _ := Kitchen(ml, US, .02)
		assert.Equal(t, want, plain(written.String()), "%g mL", ml)
	}
}

// plain writes vulgar fractions as people type them.
func plain(text string) string {
	return strings.TrimSpace(strings.NewReplacer("½", " 1/2", "¼", " 1/4", "¾", " 3/4", "⅓", " 1/3", "⅔", " 2/3", "⅛", " 1/8", "⅜", " 3/8", "⅝", " 5/8", "⅞", " 7/8").Replace(text))
}

// The limits of what is an amount, just within and just beyond.
func TestTheLimitsOfAnAmount(t *testing.T) {
	t.Parallel()
	terms := func(n int) string { return strings.TrimSuffix(strings.Repeat("1 tsp + ", n), " + ") }
	for text, ok := range map[string]bool{
		"1000000 g": true, "1000001 g": false, "0.000001 g": true, "0.00000099 g": false, terms(8): true, terms(9): false,
		"1 cup" + strings.Repeat(" ", 190) + "x": false, "0 cups": false, "-1 cup": false, "3-2 cups": false, "2-3 cups": true,
	} {
		_, err := ParseAmount(text)
		assert.Equal(t, ok, err == nil, "%.40s: %v", text, err)
	}
	for text, want := range map[string]float64{
		"1,000 g": 1000, "12,500 g": 12500, "1,5 g": 1.5, "0,125 g": .125, "1.000,5 g": 1000.5, "1,000.5 g": 1000.5, "0.5 g": .5,
	} {
		a, err := ParseAmount(text)
		if !assert.NoError(t, err, text) {
			continue
		}
		g, ok := a.Mass(US)
		assert.True(t, ok, text)
		assert.InDelta(t, want, g, 1e-9, text)
	}
}

// Two measures where one does not hold it: the larger as full as it goes.
func TestTwoMeasuresHoldWhatOneDoesNot(t *testing.T) {
	t.Parallel()
	cup, tbsp, tsp := Cup.Size(US), Tablespoon.Size(US), Teaspoon.Size(US)
	for ml, want := range map[float64]string{
		cup + tbsp: "1 cup + 1 tbsp", tbsp + tsp: "4 tsp", cup/4 + 2*tsp: "1/4 cup + 2 tsp", 2*tbsp + tsp/4: "2 tbsp + 1/4 tsp", 2*cup/3 + 1.5*tbsp: "3/4 cup + 1/2 tsp",
	} {
		written, wrong := Kitchen(ml, US, .002)
		assert.Equal(t, want, strings.ReplaceAll(plain(written.String()), "+  ", "+ "), "%g mL", ml)
		assert.InDelta(t, 0, wrong, 1e-9)
	}
}
