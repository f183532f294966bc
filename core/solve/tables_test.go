package solve

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
)

// What goes in for each flavour, g to a litre, written down once more (common practice, no source).
func TestWhatAFlavourTakes(t *testing.T) {
	t.Parallel()
	want := map[string][]FlavourPart{
		"vanilla": {{"vanilla", 6}}, "cardamom": {{"cardamom", 1.2}, {"vanilla", 4}}, "cinnamon": {{"cinnamon-ceylon", 2.5}, {"vanilla", 4}},
		"cinnamon-orange": {{"cinnamon-ceylon", 2}, {"orange-peel", 8}}, "mace": {{"mace", 1}, {"vanilla", 4}}, "nutmeg": {{"nutmeg", 1}, {"vanilla", 4}},
		"clove": {{"clove", .25}, {"cinnamon-ceylon", 1.5}, {"allspice", .5}}, "chai": {{"chai-spice", 3}}, "pumpkin-spice": {{"pumpkin-pie-spice", 3}},
		"ginger": {{"ginger-ground", 2}, {"lemon-peel", 5}}, "golden": {{"turmeric", 4}, {"ginger-ground", 2}, {"black-pepper", .3}}, "star-anise": {{"star-anise", .8}, {"orange-peel", 6}},
		"fennel": {{"fennel-seed", 4}}, "saffron": {{"saffron", .08}, {"cardamom", .8}}, "rose": {{"rosewater", 15}, {"cardamom", .6}}, "orange-flower": {{"orange-flower-water", 15}},
		"pandan": {{"pandan", 12}}, "lemongrass-lime": {{"lemongrass", 15}, {"lime-peel", 6}}, "lime": {{"lime-juice", 40}, {"lime-peel", 4}}, "lemon": {{"lemon-juice", 40}, {"lemon-peel", 4}},
		"orange": {{"orange-juice", 120}, {"orange-peel", 6}}, "baobab": {{"baobab", 25}}, "cocoa": {{"cocoa", 25}, {"vanilla", 4}}, "carob": {{"carob", 30}, {"vanilla", 4}},
		"coffee": {{"instant-coffee", 10}}, "chicory": {{"chicory-root", 10}, {"vanilla", 4}}, "chilli": {{"cayenne", .2}, {"cinnamon-ceylon", 1.5}},
	}
	for code, parts := range want {
		assert.Equal(t, parts, partsOf(recipe.Milk, code), code)
	}
	assert.Len(t, flavours, len(want)+1, "and plain")
	assert.Equal(t, []FlavourPart{{"cocoa", 40}, {"rosewater", 15}, {"cardamom", .6}}, partsOf(recipe.Chocolate, "rose"))
	thinned := partsOf(recipe.Concentrate, "rose")
	assert.InDelta(t, 45, thinned[0].GPerL, 1e-9)
	assert.InDelta(t, 1.8, thinned[1].GPerL, 1e-9)
	assert.InDelta(t, 15, flavours["rose"][0].GPerL, 1e-9, "and the family itself stays as it is")
}

// The pantry first, from thirty grams on, then what a kind is usually made from, then the rest;
// never what is refused, and nothing twice.
func TestWhichBaseIsTriedFirst(t *testing.T) {
	t.Parallel()
	all := ingredient.Standard()
	ids := func(kind recipe.Kind, stock map[string]float64) (ids []string) {
		seen := map[string]bool{}
		for _, i := range Bases(kind, stock, all) {
			require.False(t, seen[i.ID], i.ID)
			require.True(t, i.Role == ingredient.Base && !i.Has(ingredient.TagRefused) && !i.Bare && !i.Retired, i.ID)
			seen[i.ID] = true
			ids = append(ids, i.ID)
		}
		return ids
	}
	assert.Equal(t, []string{"almond", "oats", "cashew"}, ids(recipe.Milk, nil)[:3])
	assert.Equal(t, []string{"white-rice", "tiger-nut", "barley", "melon-seed", "almond", "oats"}, ids(recipe.Horchata, nil)[:6])
	assert.Equal(t, []string{"coconut-desiccated", "almond", "melon-seed", "cashew", "oats"}, ids(recipe.Cooler, nil)[:5])
	assert.Equal(t, "sesame", ids(recipe.Milk, map[string]float64{"sesame": 30, "hemp": 29.9, "maple-syrup": 500})[0])
	assert.Equal(t, "almond", ids(recipe.Milk, map[string]float64{"sesame": 29.9})[0])
}

// How a cook would take a mass: salt by whole pinches, dates by their number, the rest by spoons,
// to a quarter of one and no less.
func TestHowAMassIsTaken(t *testing.T) {
	t.Parallel()
	d := reckon.New("")
	for _, c := range []struct {
		id   string
		g    float64
		want string
	}{
		{"salt", .1, "1 pinch"}, {"salt", 1, "3 pinches"}, {"date", 3, "1 piece"}, {"date", 25, "2 pieces"}, {"cardamom", .02, "¼ tsp"},
	} {
		i := standard(c.id)
		require.NotNil(t, i, c.id)
		assert.Equal(t, c.want, measured(&d, recipe.Line{Ingredient: i, Name: i.Name}, c.g).String(), "%g g %s", c.g, c.id)
	}
	w := Wish{}
	assert.Equal(t, "white-sugar", w.sweetener().ID)
	for given, want := range map[int]int{-1: 0, 0: 0, 1: 1, 3: 3, 4: 3} {
		assert.Equal(t, want, Wish{Sweetness: given}.sweetness())
	}
}

// The ways from one ingredient to another, the usual one first.
func TestWaysToSwap(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		from, to string
		want     []SwapHow
	}{
		{"maple syrup", "honey", []SwapHow{EqualSweetness, EqualWeight}},
		{"white sugar", "stevia-extract", []SwapHow{EqualSweetness}}, // of which a like weight is a bottle too sweet to drink
		{"stevia extract", "honey", []SwapHow{EqualSweetness}},
		{"almonds", "cashew", []SwapHow{EqualWeight, EqualFat}},
		{"coffee", "water", []SwapHow{EqualVolume}},
		{"almonds", "oats", []SwapHow{EqualWeight, EqualFat}},
		{"whole milk", "cream-double", []SwapHow{EqualFat, EqualVolume}},
		{"chai spice", "", []SwapHow{ForItsParts}},
		{"almonds", "", nil},
	} {
		d := reckontest.Drink(t, "100 g "+c.from)
		require.NotNil(t, d.Lines[0].Ingredient, c.from)
		assert.Equal(t, c.want, WaysToSwap(&d, 0, standard(c.to)), "%s for %s", c.from, c.to)
	}
	// a tenth as much fat as it takes is not swapped by it
	lean, rich := &ingredient.Ingredient{Role: ingredient.Liquid, PerGram: ingredient.Content{ingredient.Fat: .005}}, &ingredient.Ingredient{Role: ingredient.Liquid, PerGram: ingredient.Content{ingredient.Fat: .2}}
	d := reckon.New("")
	d.Lines = []recipe.Line{{Ingredient: lean}}
	assert.Equal(t, []SwapHow{EqualFat, EqualVolume}, WaysToSwap(&d, 0, rich))
	lean.PerGram[ingredient.Fat] = .0049
	assert.Equal(t, []SwapHow{EqualVolume}, WaysToSwap(&d, 0, rich))
	bean, extract := &ingredient.Ingredient{ID: "b"}, &ingredient.Ingredient{ID: "e"}
	bean.CountsAs.ID, bean.CountsAs.Pieces = "e", 2
	for _, c := range []struct {
		from, to *ingredient.Ingredient
		want     float64
		ok       bool
	}{{bean, extract, 2, true}, {extract, bean, .5, true}, {bean, bean, 0, false}, {extract, extract, 0, false}} {
		got, ok := countRatio(c.from, c.to)
		assert.Equal(t, c.ok, ok)
		assert.InDelta(t, c.want, got, 1e-12)
	}
}

// Why a line is not brought to a spoon, one reason at a time.
func TestWhyALineStaysAsItIs(t *testing.T) {
	t.Parallel()
	scale, err := quantity.Reader{}.NewDrawer([]string{"1 cup", "1 tsp"}, quantity.US, 1)
	require.NoError(t, err)
	spoons, err := quantity.Reader{}.NewDrawer([]string{"1 cup", "1 tsp"}, quantity.US, 0)
	require.NoError(t, err)
	for _, c := range []struct {
		text   string
		drawer *quantity.Drawer
		locked bool
		want   string
	}{
		{"20 g white sugar", &scale, false, "weighed-on-the-scale"}, {"20 g white sugar", &spoons, false, ""}, {"2 tsp white sugar", &scale, false, ""},
		{"2 tsp white sugar", &scale, true, "line-is-locked"}, {"3 dates", &spoons, false, isCounted}, {"3 dates", &spoons, true, isCounted}, {"water to cover", &spoons, false, isCounted},
	} {
		d := reckontest.Drink(t, c.text)
		d.Drawer, d.Lines[0].Locked = c.drawer, c.locked
		assert.Equal(t, c.want, keptWhy(&d, d.Lines[0], reckontest.Reckoned(t, d).Lines[0]), c.text)
	}
	unknown := recipe.Line{Amount: quantity.Of(20, quantity.Gram)}
	d := reckon.New("")
	d.Drawer = &spoons
	assert.Equal(t, "no-volume-known", keptWhy(&d, unknown, reckon.LineReckoning{}))
}

// What another dial has to move by to be told: a twentieth, and not the one that was turned.
func TestWhatIsToldToMove(t *testing.T) {
	t.Parallel()
	before := map[reckon.DialName]float64{reckon.Sweetness: 5, reckon.Fat: 3, reckon.Strength: 4, reckon.SpiceDial: 1}
	after := map[reckon.DialName]float64{reckon.Sweetness: 6, reckon.Fat: 3.0501, reckon.Strength: 3.9499, reckon.SpiceDial: 1.0499}
	assert.Equal(t, []Move{{reckon.Fat, 3, 3.0501}, {reckon.Strength, 4, 3.9499}}, moves(before, after, map[reckon.DialName]float64{reckon.Sweetness: 6}))
	for _, c := range []struct {
		dial reckon.DialName
		to   float64
		ok   bool
	}{
		{reckon.Strength, .1, true}, {reckon.Strength, .099, false}, {reckon.Sweetness, 0, true}, {reckon.Sweetness, -.1, false}, {"colour", 1, false},
	} {
		assert.Equal(t, c.ok, checkTarget(c.dial, c.to) == nil, c)
	}
}

// A growing figure is found by halving: 3 of x² at the root of 3, and not where it begins beyond.
func TestHalving(t *testing.T) {
	t.Parallel()
	square := func(x float64) float64 { return x * x }
	x, ok := halve(3, square)
	assert.True(t, ok)
	assert.InDelta(t, 1.7320508, x, 1e-4)
	x, ok = halve(0, square)
	assert.True(t, ok, "at its very beginning")
	assert.InDelta(t, 0, x, 1e-3)
	_, ok = halve(-1, square)
	assert.False(t, ok)
	_, ok = halve(2, func(float64) float64 { return 1 })
	assert.False(t, ok, "never gets there")
}

// Water gives way to ice by weight, and where next to none of it is left its line goes.
func TestIceForWaterByHand(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "500 g water")
	r := reckontest.Reckoned(t, d)
	for _, c := range []struct {
		iceG, water float64
		lines       int
	}{{120, 380, 3}, {499.5, .5, 3}, {499.6, 0, 2}, {900, 0, 2}} {
		like := *r
		like.Chill.IceG, like.Factor = c.iceG, 1
		iced, err := withIce(&d, &like)
		require.NoError(t, err)
		require.Len(t, iced.Lines, c.lines, c.iceG)
		if c.lines == 3 {
			g, _, err := iced.Lines[1].Grams(quantity.US)
			require.NoError(t, err)
			assert.InDelta(t, c.water, g, 1e-9)
		}
		g, _, err := iced.Lines[c.lines-1].Grams(quantity.US)
		require.NoError(t, err)
		assert.InDelta(t, min(c.iceG, 500), g, 1e-9)
	}
}
