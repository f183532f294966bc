package solve

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// What each kind is usually like, written down once more (common practice, no source): cups of water
// to one of base, thin to thick; fat in %; g of sucrose in 100 mL by how sweet; g of salt a litre.
func TestWhatAKindAimsAt(t *testing.T) {
	t.Parallel()
	for kind, want := range map[recipe.Kind][]float64{
		recipe.Milk: {5, 4, 3, 0, 0, 2.5, 4.5, 7, .5}, recipe.Creamer: {2.4, 2, 1.5, 9, 0, 4.4, 7.5, 13, .6}, recipe.Cream: {1.2, 1.05, .9, 20, 0, 3, 6, 10, .4},
		recipe.Horchata: {5, 4, 3, 0, 0, 4.4, 7, 10, .4}, recipe.Nog: {3.2, 2.8, 2.3, 5, 0, 5, 7.5, 12, .5}, recipe.Chocolate: {4.5, 4, 3, 0, 0, 5, 7.5, 11, .6},
		recipe.Concentrate: {2.4, 2, 1.6, 0, 20, 30, 38, 50, 0}, recipe.Cooler: {7, 6, 5, 0, 0, 3, 5, 7.5, .3},
	} {
		a := aims[kind]
		assert.Equal(t, want, append(append(append(a.cups[:], a.fatPct), a.sweetG[:]...), a.saltGPer), kind)
	}
	assert.Len(t, aims, 8)
}

// A litre of a milk is four cups of water to one of base, two to a third where there are two; sizes
// go by quarter cups, the water as strong as the bases came out.
func TestCupsByHand(t *testing.T) {
	t.Parallel()
	almond, oats := standard("almond"), standard("oats")
	w := Wish{Kind: recipe.Milk}
	aim := aims[recipe.Milk]
	one := w.cupsFor(idea{bases: []*ingredient.Ingredient{almond}}, aim)
	assert.Equal(t, cups{[]float64{1}, 4}, one)
	two := w.cupsFor(idea{bases: []*ingredient.Ingredient{almond, oats}}, aim)
	assert.InDeltaSlice(t, []float64{2. / 3, 1. / 3}, two.bases, 1e-12)
	assert.Equal(t, cups{[]float64{2.25}, 9}, w.sized(one, 2.2, aim))
	assert.Equal(t, cups{[]float64{.25}, 1}, w.sized(one, .01, aim), "a quarter cup is the least")
	assert.Equal(t, cups{[]float64{.75, .25}, 4}, w.sized(two, 1, aim))
	for r, place := range map[Richness]int{Lighter: 0, "": 1, Richer: 2} {
		assert.Equal(t, place, r.place())
	}
	salt := &ingredient.Ingredient{BulkGPerML: 1.2}
	ml, _ := teaspoons(salt, 11.829).Volume(quantity.US)
	assert.InDelta(t, 11.829/1.2, ml, 1e-9)
	lines := w.lines(idea{bases: []*ingredient.Ingredient{almond}, flavour: "plain"}, aim, cups{[]float64{2}, 8})
	last := lines[len(lines)-1]
	g, _, err := last.Grams(quantity.US)
	assert.NoError(t, err)
	assert.InDelta(t, .5*2, g, .02, "half a gram of salt a litre, of about two")
}
