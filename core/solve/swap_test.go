package solve

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
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

// Swapped there and back, every amount that was weighed is what it was within 0.5 %; one in
// cups and spoons by no more than a measure may err each way.
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
		{"240 g whole milk", []string{"carton-almond", "carton-oat"}, EqualFat},
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
				within := .005
				if !d.Lines[n].Amount.IsMetric() {
					within = 2 * quantity.Loose
				}
				assert.InEpsilon(t, before.Lines[n].MassG, again.Lines[n].MassG, within, "%s for %s: line %d", id, tt.from, n)
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
	assert.Contains(t, say.Strings(out.Worst), "adds-allergen([walnut])")
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

// What could hurt comes first, and only what is new.
func TestASwapTellsTheWorstFirst(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water", "1 tbsp maple syrup")
	d.Drinkers = []caution.Drinker{{Name: "mate", Age: caution.Adult, Allergens: []string{"brazil nut", "soy"}}}
	for to, want := range map[string][]string{
		"soybean":    {"adds-allergen([soy])", "no-longer-for([mate])"},
		"brazil-nut": {"adds-allergen", "no-longer-for([mate])", "selenium"},
		"oats":       {},
	} {
		out := swapped(t, d, 0, to, EqualWeight)
		worst := say.Strings(out.Worst)
		for _, w := range want {
			assert.Contains(t, worst, w, to)
		}
		if len(want) > 0 {
			assert.Equal(t, "adds-allergen", out.Worst[0].Code, to)
		}
		for _, text := range out.Changes {
			assert.NotContains(t, worst, text.Code+"(", "%s is told once", to)
		}
	}
	soy := swapped(t, d, 0, "soybean", EqualWeight)
	codes := map[string]bool{}
	for _, c := range soy.After.Cautions {
		codes[c.Code] = true
	}
	for _, c := range soy.Before.Cautions {
		delete(codes, c.Code)
	}
	require.NotEmpty(t, codes, "soy brings cautions of its own")
	for _, c := range soy.After.Cautions {
		if codes[c.Code] {
			assert.Contains(t, soy.Worst, c.Text, c.Code)
		}
	}
}

// A base too lean for equal fat goes in by weight, and oil makes up the rest: almonds hold
// half their weight of fat, oats a fourteenth (IFCT 2017).
func TestALeanBaseIsMadeUpWithOil(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water")
	out := swapped(t, d, 0, "oats", EqualFat)
	assert.InEpsilon(t, out.Before.Lines[0].MassG, out.After.Lines[0].MassG, quantity.Loose)
	assert.InEpsilon(t, out.Before.FatPct, out.After.FatPct, .04)
	require.Equal(t, "fat-by-oil", out.Changes[0].Code)
	assert.Len(t, out.Drink.Lines, 3)
}

// Whatever is swapped, nothing is written that a cook cannot measure.
func TestASwapIsWrittenInSpoons(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water", "1/8 tsp cardamom", "2 tbsp maple syrup", "1/4 tsp salt")
	for place, to := range map[int]string{0: "cashew", 2: "nutmeg", 3: "white-sugar"} {
		for _, how := range WaysToSwap(&d, place, named(t, to)) {
			out := swapped(t, d, place, to, how)
			for n, l := range out.Drink.Lines {
				assert.False(t, l.Amount.IsMetric(), "%s, %s: line %d is %s", to, how, n, l.Amount)
			}
		}
	}
}

// Fat that cannot be reached by a base nor by oil leaves no oil in the list: an empty line would
// bring its allergen along.
func TestWhatIsNotNeededIsNotAdded(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup white rice", "1/4 cup almonds", "5 cups water", "1/2 cup sugar")
	out := swapped(t, d, 0, "cashew", EqualFat)
	assert.Len(t, out.Drink.Lines, 4)
	for _, w := range out.Worst {
		assert.NotContains(t, w.String(), "coconut")
	}
}

// A trace of a spice that no spoon holds is written in grams, and never as nothing.
func TestATraceIsNotWrittenAsNothing(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup cashews", "3 cups water", "1 pinch saffron")
	out := swapped(t, d, 2, "cinnamon-ceylon", EqualWeight)
	assert.InDelta(t, .0437, reckontest.Reckoned(t, out.Drink).Lines[2].MassG, 1e-4)
}
