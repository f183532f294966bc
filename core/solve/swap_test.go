package solve

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/say"
)

func named(t testing.TB, id string) *ingredient.Ingredient {
	t.Helper()
	i, ok := ingredient.Standard().ByID(id)
	require.True(t, ok, id)
	return i
}

func swapped(t *testing.T, d reckon.Drink, place int, to string, how SwapHow) *Swapped {
	t.Helper()
	out, err := Swap(&d, place, named(t, to), how)
	require.NoError(t, err, to)
	return out
}

// Swapped there and back, every amount is what it was within 0.5 %.
func TestSwapThereAndBack(t *testing.T) {
	t.Parallel()
	tests := []struct {
		from string
		to   []string
		how  SwapHow
	}{
		{"100 g maple syrup", []string{"white-sugar", "honey", "agave", "molasses", "date-large", "xylitol", "erythritol", "stevia-extract", "condensed-milk", "banana"}, EqualSweetness},
		{"60 g white sugar", []string{"maple-syrup", "date-syrup", "coconut-sugar", "monk-fruit"}, EqualSweetness},
		{"2 tsp vanilla extract", []string{"vanilla-bean", "vanilla-paste"}, EqualUse},
		{"2 cinnamon sticks", []string{"cinnamon", "cinnamon-ceylon"}, EqualUse},
		{"40 g cocoa", []string{"carob"}, EqualUse},
		{"4 small dates", []string{"date-large"}, ByCount},
		{"1 cup whole milk", []string{"carton-almond", "carton-oat"}, EqualFat},
		{"1 cup whole milk", []string{"carton-soy", "coconut-milk-can"}, EqualVolume},
		{"90 g cashews", []string{"walnut", "sesame"}, EqualFat},
		{"90 g cashews", []string{"walnut", "oats"}, EqualWeight},
	}
	for _, tt := range tests {
		for _, id := range tt.to {
			d := reckontest.Drink(t, "1 cup pecans", "800 g water", "10 g coconut oil", tt.from)
			before := reckontest.Reckoned(t, d)
			there := swapped(t, d, 3, id, tt.how)
			back := swapped(t, there.Drink, 3, d.Lines[3].Ingredient.ID, tt.how)
			again := reckontest.Reckoned(t, back.Drink)
			require.Len(t, again.Lines, 4, id)
			for n := range before.Lines {
				assert.InEpsilon(t, before.Lines[n].MassG, again.Lines[n].MassG, .005, "%s for %s: line %d", id, tt.from, n)
			}
		}
	}
}

func TestSweetenersAreSwappedAtEqualSweetnessAndVolume(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water", "60 g white sugar, after straining")
	out := swapped(t, d, 2, "maple-syrup", "")
	assert.Equal(t, EqualSweetness, out.How)
	assert.InEpsilon(t, out.Before.Per100mL.SucroseEquivalentG, out.After.Per100mL.SucroseEquivalentG, 1e-3)
	assert.InEpsilon(t, out.Before.Drink.VolumeML, out.After.Drink.VolumeML, 1e-3)
	assert.Less(t, out.After.Lines[1].MassG, out.Before.Lines[1].MassG, "the water in the syrup is taken off")
	said := say.Strings(swapped(t, d, 2, "honey", "").Changes)
	for _, want := range []string{"no-longer-vegan", "character-instead(flowery", "honey-not-for-an-infant", "water-goes"} {
		assert.Contains(t, said, want)
	}
	assert.Contains(t, say.Strings(swapped(t, d, 2, "stevia-extract", "").Changes), "no bulk")
	d.Lines[1].Locked = true
	assert.Contains(t, say.Strings(swapped(t, d, 2, "maple-syrup", "").Changes), "no-free-water")
}

func TestASwapAnnouncesAllergensAndWhatItCosts(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup pecans", "2 cups water")
	d.Prices = reckon.Prices{"pecan": .02, "walnut": .012}
	out := swapped(t, d, 0, "walnut", EqualWeight)
	said := say.Strings(out.Changes)
	assert.Contains(t, said, "adds-allergen([walnut])")
	assert.Contains(t, said, "takes-out([pecan])")
	assert.Contains(t, said, "cost-goes")
	assert.InDelta(t, out.Before.Lines[0].MassG, out.After.Lines[0].MassG, .1)
}

// Common practice, no source: two large dates for four small by count; a bean
// for a tablespoon of extract; carob for cocoa one for one at any share.
func TestTradeSwaps(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup pecans", "4 cups water", "4 small dates", "1 tbsp vanilla extract", "30 g cocoa")
	out := swapped(t, d, 2, "date-large", ByCount)
	assert.Equal(t, "2 pieces", out.Drink.Lines[2].Amount.String())
	out = swapped(t, d, 3, "vanilla-bean", "")
	assert.InDelta(t, 3, out.After.Lines[3].MassG, .01)
	out = swapped(t, d, 4, "carob", "")
	assert.InDelta(t, 30, out.After.Lines[4].MassG, .001)
}

func TestABlendForItsPartsAndBack(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup pumpkin seeds", "4 cups water", "10 g pumpkin-pie spice", "1 tbsp maple syrup")
	parts, err := Swap(&d, 2, nil, "")
	require.NoError(t, err)
	require.Len(t, parts.Drink.Lines, 8)
	assert.InDelta(t, 5.5, parts.After.Lines[2].MassG, .01)
	back := swapped(t, parts.Drink, 2, "pumpkin-pie-spice", AsBlend)
	require.Len(t, back.Drink.Lines, 4)
	assert.InDelta(t, 10, back.After.Lines[2].MassG, .01)
	assert.Equal(t, "stands-for", back.Changes[0].Code)
}

func TestSwapsThatCannotBe(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup pecans", "4 cups water", "salt", "moon dust")
	for _, tt := range []struct {
		place int
		to    *ingredient.Ingredient
		how   SwapHow
		field string
	}{
		{9, named(t, "walnut"), "", "line"},
		{3, named(t, "walnut"), "", "line"},
		{2, named(t, "walnut"), "", "line"},
		{0, nil, "", "to"},
		{0, named(t, "pecan"), "", "to"},
		{0, named(t, "bitter-almond"), "", "to"},
		{0, named(t, "walnut"), ByCount, "how"},
	} {
		_, err := Swap(&d, tt.place, tt.to, tt.how)
		var e *fault.Error
		require.ErrorAs(t, err, &e)
		assert.Equal(t, tt.field, e.Field)
	}
}
