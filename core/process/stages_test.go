package process

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

// When a line goes in where the cook does not say: by what it is, whether anything is ground, and
// whether the drink is heated.
func TestWhenALineGoesIn(t *testing.T) {
	t.Parallel()
	of := func(role ingredient.Role, class ingredient.Class, stage ingredient.Stage, tags ingredient.Tag) *ingredient.Ingredient {
		return ingredient.Ingredient{Role: role, Class: class, Stage: stage}.Tagged(tags)
	}
	syrup := of(ingredient.Sweetener, ingredient.Soluble, ingredient.Strained, 0)
	for _, tt := range []struct {
		name                  string
		i                     *ingredient.Ingredient
		cold, coldNoGrind, on ingredient.Stage // ground cold, stirred cold, heated
	}{
		{"syrup", syrup, ingredient.Grind, ingredient.Strained, ingredient.Strained},
		{"date", of(ingredient.Sweetener, ingredient.Fruit, ingredient.Grind, 0), ingredient.Grind, ingredient.Grind, ingredient.Grind},
		{"oil", of(ingredient.FatRole, ingredient.Soluble, ingredient.Strained, 0), ingredient.Grind, ingredient.Strained, ingredient.CookIt},
		{"starch", of(ingredient.Body, ingredient.Soluble, ingredient.Strained, 0), ingredient.Grind, ingredient.Strained, ingredient.CookIt},
		{"extract", of(ingredient.Flavour, ingredient.Soluble, ingredient.Strained, 0), ingredient.Grind, ingredient.Strained, ingredient.Strained},
		{"nut", of(ingredient.Base, ingredient.Nut, ingredient.Grind, 0), ingredient.Grind, ingredient.Grind, ingredient.Grind},
		{"water", of(ingredient.Liquid, ingredient.Soluble, ingredient.Grind, ingredient.TagWater), ingredient.Grind, ingredient.Grind, ingredient.Grind},
		{"milk", of(ingredient.Dairy, ingredient.Soluble, ingredient.Grind, ingredient.TagDairy), ingredient.Grind, ingredient.Grind, ingredient.Strained},
		{"stirred liquid", of(ingredient.Liquid, ingredient.Soluble, ingredient.Strained, 0), ingredient.Strained, ingredient.Strained, ingredient.Strained},
	} {
		line := &Line{Ingredient: tt.i}
		assert.Equal(t, tt.cold, (&Layout{Heat: Unheated, IsGround: true}).stageOf(line), tt.name)
		assert.Equal(t, tt.coldNoGrind, (&Layout{Heat: Unheated}).stageOf(line), tt.name)
		assert.Equal(t, tt.on, (&Layout{Heat: Simmer, IsGround: true}).stageOf(line), tt.name)
		line.Stage = ingredient.Serve
		assert.Equal(t, ingredient.Serve, (&Layout{Heat: Simmer, IsGround: true}).stageOf(line), tt.name)
	}
	assert.True(t, (&Line{Ingredient: of(ingredient.FatRole, "", "", 0)}).BlendsIn())
	assert.True(t, (&Line{Ingredient: of(ingredient.Flavour, ingredient.SpiceDry, "", ingredient.TagChocolate)}).BlendsIn())
	assert.False(t, (&Line{Ingredient: of(ingredient.Spice, ingredient.SpiceDry, "", 0)}).BlendsIn())
	assert.False(t, (&Line{Ingredient: of(ingredient.Flavour, ingredient.Soluble, "", ingredient.TagChocolate)}).BlendsIn())
}

// What is never raw is brought to the simmer without being asked, and for ten minutes; other drinks
// stay as they are.
func TestHowFarItIsHeated(t *testing.T) {
	t.Parallel()
	soy := []Line{{Ingredient: ingredient.Ingredient{}.Tagged(ingredient.TagBoil)}}
	nut := []Line{{Ingredient: &ingredient.Ingredient{}}}
	for _, tt := range []struct {
		lines   []Line
		m       Method
		heat    Heat
		minutes float64
	}{
		{nut, Method{}, Unheated, 0}, {soy, Method{}, Simmer, 10}, {soy, Method{Minutes: 25}, Simmer, 25}, {soy, Method{Heat: Boil}, Boil, 10},
		{soy, Method{Heat: Warm}, Warm, 0}, {soy, Method{Heat: Unheated, Minutes: 5}, Unheated, 0}, {nut, Method{Heat: Simmer}, Simmer, 0}, {nut, Method{Heat: Warm, Minutes: 3}, Warm, 3},
	} {
		heat, minutes := tt.m.heatFor(tt.lines)
		assert.Equal(t, []any{tt.heat, tt.minutes}, []any{heat, minutes})
	}
	assert.Equal(t, []bool{true, true, false, false, false}, []bool{Simmer.Reaches(), Boil.Reaches(), UnderIt.Reaches(), Warm.Reaches(), Unheated.Reaches()})
}

// What a change can set, to the last that is taken.
func TestTheBoundsOfAChange(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		kind, param string
		least, most float64
	}{{"grind", "seconds", 1, 600}, {"grind", "gradual", 0, 1}, {"heat", "minutes", 0, 600}, {"soak", "hours", .25, 72}, {"soak", "fridge", 0, 1}} {
		for value, ok := range map[float64]bool{tt.least: true, tt.most: true, tt.least - .01: false, tt.most + .01: false} {
			err := Change{At: At{Kind: tt.kind}, Do: Set, Params: map[string]float64{tt.param: value}}.Check()
			assert.Equal(t, ok, err == nil, "%s %s %v: %v", tt.kind, tt.param, value, err)
		}
	}
	for value, ok := range map[float64]bool{0: true, 720: true, -1: false, 721: false} {
		err := Change{At: At{Kind: "grind"}, Do: AddAfter, Cue: "Froth it", Params: map[string]float64{"minutes": value}}.Check()
		assert.Equal(t, ok, err == nil, "%v: %v", value, err)
	}
}
