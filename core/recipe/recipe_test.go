package recipe_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
)

func read(t testing.TB, text string) recipe.Line {
	t.Helper()
	line, err := reading.Standard().Line(text)
	require.NoError(t, err, text)
	return line
}

// What a cook writes beside a name says how the thing comes, what was done to it, and
// when it goes in.
func TestWhatIsWrittenBesideTheName(t *testing.T) {
	t.Parallel()
	assert.Equal(t, "soaked overnight", read(t, "1 1/2 cups raw hazelnuts, soaked overnight").Note)
	for text, stage := range map[string]ingredient.Stage{
		"2 tbsp maple syrup, to serve": ingredient.Serve, "1/4 tsp cardamom after straining": ingredient.Strained, "1 cup water to rinse the pulp": ingredient.Rinse,
		"1/4 tsp nutmeg, while cooking": ingredient.CookIt, "1 cup hot tea, to brew": ingredient.Brew, "4 cups water, soaking water kept": ingredient.Soak, "1 cup almonds": ingredient.Grind,
	} {
		assert.Equal(t, stage, read(t, text).When(), text)
	}
	assert.True(t, read(t, "1 cup water for the second grind").GrindsAgain())
	assert.True(t, read(t, "1 cup cashews, unsoaked").Unsoaked)
	assert.True(t, read(t, "1 cup soaked cashews").SoakedCup)
	assert.False(t, read(t, "1 cup cashews, soaked").SoakedCup, "dry cups, soaked after")
	assert.True(t, read(t, "1 cup almonds, toasted").Treatment.Roasted)
	assert.Equal(t, "sliced", read(t, "1 cup sliced almonds").Form.Name)
	unknown := read(t, "a splash of joy")
	assert.Nil(t, unknown.Ingredient)
	assert.NotEmpty(t, unknown.Name, "it stands as it was written")
	assert.Equal(t, "almonds, 250 g", read(t, "almonds, 250 g").Name+", "+read(t, "almonds, 250 g").Amount.String())
}

// What a line weighs, by hand: bulk densities of the catalogue, pieces, packs, soaked
// cups, ounces of fluids.
func TestWhatALineWeighs(t *testing.T) {
	t.Parallel()
	almond := .6044 * 236.5882365
	for text, want := range map[string]float64{
		"1 cup almonds": almond, "1 cup soaked almonds": almond / 1.4, "150 g soaked almonds": 150 / 1.45, "10 almonds": 12, "8 oz water": 8 * 29.5735295625 * .99821,
		"8 oz almonds": 226.796185, "2 (400 ml) cans coconut milk": 2 * 400 * read(t, "1 cup coconut milk").Ingredient.BulkGPerML, "1-3 large dates": 48,
	} {
		g, _, err := read(t, text).Grams(quantity.US)
		require.NoError(t, err, text)
		assert.InEpsilon(t, want, g, .005, text)
	}
	_, _, err := read(t, "1 carton rosewater").Grams(quantity.US)
	assert.Equal(t, "piece-weight-unknown", fault.Code(err))
	assert.Equal(t, []float64{quantity.Loose, quantity.Tight}, []float64{read(t, "1 cup almonds").Tolerance(), read(t, "1 tsp salt").Tolerance()})
}

// Strong spice is eased beyond double; locked lines stay as they are.
func TestHowALineGrows(t *testing.T) {
	t.Parallel()
	clove := read(t, "1/4 tsp cloves")
	assert.InDelta(t, 8, clove.Growth(8, recipe.Linear), 1e-9)
	assert.InDelta(t, 2*math.Pow(4, .8), clove.Growth(8, recipe.Eased), 1e-9)
	assert.InDelta(t, 2, clove.Growth(2, recipe.Eased), 1e-9)
	clove.Locked = true
	assert.InDelta(t, 1, clove.Growth(8, recipe.Eased), 0)
}

func TestSizesAndKinds(t *testing.T) {
	t.Parallel()
	for _, size := range []recipe.Size{
		{By: recipe.ByTimes}, {By: recipe.ByTimes, Value: 1001}, {By: recipe.ByVolume, Value: math.NaN()}, {By: "length", Value: 1},
		{By: recipe.ByBottles, Value: 3}, {By: recipe.ByDays, Value: 3}, {By: recipe.ByServings, Value: math.Inf(1)},
	} {
		assert.Error(t, size.Check(), "%+v", size)
	}
	for _, size := range []recipe.Size{{}, {By: recipe.ByTimes, Value: .01}, {By: recipe.ByBottles, Value: 3, EachML: 500}, {By: recipe.ByDays, Value: 3, PerDay: 2}} {
		assert.NoError(t, size.Check(), "%+v", size)
	}
	for name, kind := range map[string]recipe.Kind{
		"Almond coffee creamer": recipe.Creamer, "Chocolate milk": recipe.Milk, "Rose sherbet concentrate": recipe.Concentrate, "Eggnog": recipe.Nog, "Tuesday": recipe.AsGuessed,
		"Peanut horchata with evaporated milk": recipe.Horchata, "Creamer for milk tea": recipe.Creamer, "With milk": recipe.Milk, "Oats for chai": recipe.Brewed, "Cooler without cream": recipe.Cooler,
	} {
		assert.Equal(t, kind, recipe.KindInName(name), name)
	}
	servings := []float64{240, 30, 15, 240, 120, 20, 240, 240, 240}
	for n, k := range recipe.Kinds {
		parsed, err := recipe.ParseKind(string(k))
		require.NoError(t, err)
		assert.Equal(t, k, parsed)
		assert.InDelta(t, servings[n], k.ServingML(), 0, "%s", k)
	}
	_, err := recipe.ParseKind("soup")
	assert.Equal(t, "unknown-kind", fault.Code(err))
}
