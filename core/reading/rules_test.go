package reading_test

import (
	"math/rand/v2"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/quantity"
	"plushladle/core/reading"
)

// Equal wordings give equal results: however a number, a unit, a name and what is done with it are
// written, the line is the same ingredient of the same mass, soaked or not.
func TestEqualWordingsAreEqual(t *testing.T) {
	t.Parallel()
	numbers := [][]string{{"1", "one", "a", "1.0", "1,0"}, {"1/2", "½", "half a", "0.5", "0,5", ".5"}, {"2", "two", "2.0"}, {"1 1/2", "1½", "1.5", "1,5", "1-1/2", "1 ½"}, {"3", "three"}}
	units := [][]string{{"cup", "cups", "c.", "Cup", "CUPS"}, {"tbsp", "tablespoon", "tablespoons", "Tbsp", "tbs", "tbsp."}, {"tsp", "teaspoon", "teaspoons", "tsp."}, {"g", "gram", "grams", "gr"}, {"kg", "kilogram", "kilograms"}, {"ml", "mL", "millilitres", "milliliters"}}
	names := [][]string{{"almonds", "Almonds", "of almonds", "almond"}, {"cashews", "cashew nuts", "of cashews", "CASHEWS"}, {"soaked almonds", "of soaked almonds", "Soaked Almonds"}, {"rolled oats", "of rolled oats", "Rolled oats"}, {"maple syrup", "of maple syrup", "Maple Syrup"}, {"water", "of water", "Water"}}
	befores, afters := []string{"", "- ", "• ", "* "}, []string{"", " ", ", divided", " (for the base)"}
	random := rand.New(rand.NewPCG(7, 29))
	of := func(ways []string) string { return ways[random.IntN(len(ways))] }
	reader := reading.Standard()
	for range 4000 {
		number, unit, name := numbers[random.IntN(len(numbers))], units[random.IntN(len(units))], names[random.IntN(len(names))]
		first := number[0] + " " + unit[0] + " " + name[0]
		again := of(befores) + of(number) + " " + of(unit) + " " + of(name) + of(afters)
		one, err := reader.Line(first)
		require.NoError(t, err, first)
		other, err := reader.Line(again)
		require.NoError(t, err, again)
		require.NotNil(t, other.Ingredient, again)
		assert.Equal(t, one.Ingredient.ID, other.Ingredient.ID, "%q and %q", first, again)
		oneG, _, err := one.Grams(quantity.US)
		require.NoError(t, err, first)
		otherG, _, err := other.Grams(quantity.US)
		require.NoError(t, err, again)
		assert.InEpsilon(t, oneG, otherG, 1e-9, "%q and %q", first, again)
		if t.Failed() {
			return
		}
	}
}

// Soaked before the noun is what it weighs soaked, after it what it weighs dry; the mass of what
// was soaked holds the water it took up. By hand: 150 / 1.45 = 103.4 g of almonds.
func TestSoakedBeforeTheNoun(t *testing.T) {
	t.Parallel()
	for text, g := range map[string]float64{"150 g soaked almonds": 150 / 1.45, "150 g almonds, soaked": 150, "150 g of almonds, soaked overnight": 150, "150 g soaked and drained almonds": 150 / 1.45} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err)
		got, _, err := line.Grams(quantity.US)
		require.NoError(t, err)
		assert.InEpsilon(t, g, got, 1e-9, "%s: %s", text, strings.TrimSpace(line.Note))
	}
}
