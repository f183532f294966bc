package caution

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// glass is a drink of one batch of a litre in glasses of 240 mL, of
// ingredients in g.
func glass(t *testing.T, grams map[string]float64, drinkers ...Drinker) Drink {
	t.Helper()
	d := Drink{BatchML: 1000, ServingML: 240, FridgeC: 4, Drinkers: drinkers}
	for id, g := range grams {
		i, ok := ingredient.Standard().ByID(id)
		require.True(t, ok, id)
		d.Parts = append(d.Parts, Part{Ingredient: i, MassG: g})
		d.PerServing = d.PerServing.Plus(i.PerGram.Times(g * .24))
		d.SucroseG += g * i.PerGram[ingredient.Sucrose]
		d.WaterG += g * i.PerGram[ingredient.Water]
	}
	return d
}

func find(t *testing.T, d Drink, code string) (Caution, bool) {
	t.Helper()
	for _, c := range Of(d) {
		if c.Code == code {
			return c, true
		}
	}
	return Caution{}, false
}

// Sources: EFSA 2023 (selenium: 255 µg adults, 70 at 1 to 3, 95 at 4 to 6, 130
// at 7 to 10 years), EFSA 2006 (iodine: 600 and 200 µg), EFSA 2008 (coumarin:
// 0.1 mg/kg), UK SACN 2015 (free sugars: 19 g at 4 to 6, 24 g at 7 to 10).
func TestLimitsHangOnWhoDrinks(t *testing.T) {
	t.Parallel()
	grown := Drinker{Name: "rower", Age: Adult, WeightKG: 80}
	tests := []struct {
		code     string
		grams    map[string]float64
		drinkers []Drinker
		limit    float64
		raised   bool
	}{
		{"selenium", map[string]float64{"brazil-nut": 20}, nil, 255, false},
		{"selenium", map[string]float64{"brazil-nut": 40}, nil, 255, true},
		{"selenium", map[string]float64{"brazil-nut": 20}, []Drinker{grown, {Name: "small one", Age: To3}}, 70, true},
		{"selenium", map[string]float64{"brazil-nut": 20}, []Drinker{{Name: "a", Age: To6}}, 95, true},
		{"selenium", map[string]float64{"brazil-nut": 10}, []Drinker{{Name: "a", Age: To10}}, 130, false},
		{"selenium", map[string]float64{"brazil-nut": 20}, []Drinker{grown, {Name: "small one", Age: To3, Allergens: []string{"tree nuts"}}}, 255, false},
		{"iodine", map[string]float64{"seaweed": .1}, nil, 600, false},
		{"iodine", map[string]float64{"seaweed": .1}, []Drinker{{Name: "a", Age: To3}}, 200, true},
		{"coumarin", map[string]float64{"cinnamon": 3}, []Drinker{grown}, 8, false},
		{"coumarin", map[string]float64{"cinnamon": 3}, []Drinker{{Name: "twice", Age: Adult, ServingsDay: 2}}, 6, true},
		{"coumarin", map[string]float64{"cinnamon-ceylon": 3}, nil, 6, false},
		{"free-sugars", map[string]float64{"white-sugar": 60}, nil, 25, true}, // WHO 2015
		{"free-sugars", map[string]float64{"white-sugar": 30}, []Drinker{{Name: "a", Age: To6}}, 19, false},
		{"free-sugars", map[string]float64{"white-sugar": 60}, []Drinker{{Name: "a", Age: To10}}, 24, true},
		{"nutmeg", map[string]float64{"nutmeg": 12}, nil, 5, true},
		{"nutmeg", map[string]float64{"pumpkin-pie-spice": 12}, nil, 5, false},
	}
	for _, tt := range tests {
		c, ok := find(t, glass(t, tt.grams, tt.drinkers...), tt.code)
		require.True(t, ok, "%s %v", tt.code, tt.grams)
		assert.InDelta(t, tt.limit, *c.Limit, 1e-9, "%s %v", tt.code, tt.drinkers)
		assert.Equal(t, tt.raised, c.Raised, "%s %v: %v", tt.code, tt.grams, *c.Value)
	}
}

// ICUMSA, from memory: sucrose saturates at 64.2 % by mass at 0 °C.
func TestASyrupThatCrystallisesSaysWhatStopsIt(t *testing.T) {
	t.Parallel()
	c, ok := find(t, glass(t, map[string]float64{"white-sugar": 700, "water": 300}), "crystallise")
	require.True(t, ok)
	assert.InDelta(t, 89.6, c.Text.Args[1], .1, "g more water") // 699.3·35.8/64.2 − 300.35
	_, ok = find(t, glass(t, map[string]float64{"white-sugar": 640, "water": 360}), "crystallise")
	assert.False(t, ok)
}

func TestForWhom(t *testing.T) {
	t.Parallel()
	drinkers := []Drinker{
		{Name: "neighbour", Age: Adult, Allergens: []string{"walnuts"}},
		{Name: "bow", Age: Adult, Dislikes: []string{"cinnamon"}},
		{Name: "stroke", Age: Adult, Vegan: true},
		{Name: "baby", Age: Infant},
		{Name: "small one", Age: To6},
		{Name: "cox", Age: Adult},
		{Name: "keeper", Age: Adult, DairyFree: true, Allergens: []string{"gluten"}},
	}
	d := glass(t, map[string]float64{"walnut": 80, "cinnamon": 1, "honey": 30, "white-rice": 20, "evaporated-milk": 50, "barley": 10}, drinkers...)
	got := map[string]For{}
	for _, f := range ForWhom(d) {
		got[f.Name] = f
	}
	for name, reason := range map[string]string{
		"neighbour": "contains-allergen(walnut)", "bow": "will-not-have(cinnamon)", "stroke": "not-vegan(Honey)", "baby": "honey-not-for-an-infant",
		"small one": "rice-not-for-a-child", "keeper": "contains-allergen(gluten (barley))",
	} {
		assert.True(t, got[name].Not, name)
		assert.Contains(t, say.Strings(got[name].Reasons), reason, name)
	}
	assert.Contains(t, say.Strings(got["keeper"].Reasons), "dairy(Evaporated milk)")
	assert.False(t, got["cox"].Not)
}

func TestDrinkersThatCannotBe(t *testing.T) {
	t.Parallel()
	require.NoError(t, Drinker{Name: "cox", Age: Adult}.Check())
	for field, p := range map[string]Drinker{
		"name": {Age: Adult}, "age": {Name: "x", Age: "old"}, "weightKG": {Name: "x", Age: Adult, WeightKG: 1000}, "servingsDay": {Name: "x", Age: Adult, ServingsDay: -1},
	} {
		var e *fault.Error
		require.ErrorAs(t, p.Check(), &e)
		assert.Equal(t, field, e.Field)
	}
}
