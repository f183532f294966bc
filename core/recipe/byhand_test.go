package recipe

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// Every way to size a batch at its edges.
func TestEverySizeAtItsEdges(t *testing.T) {
	t.Parallel()
	for by, edge := range map[SizeBy]struct {
		least, most float64
		code        string
	}{
		ByTimes: {.01, 1000, "times-out-of-range"}, ByVolume: {1, 1e6, "litres-out-of-range"}, ByServings: {.1, 1e5, "servings-to-make-out-of-range"},
		ByBase: {.1, 1e6, "base-out-of-range"}, ByBottles: {.1, 1000, "bottles-out-of-range"}, ByDays: {.1, 400, "days-out-of-range"},
	} {
		for value, ok := range map[float64]bool{edge.least: true, edge.least * .999: false, edge.most: true, edge.most * 1.001: false, math.NaN(): false} {
			err := Size{By: by, Value: value, EachML: 500, PerDay: 2}.Check()
			assert.Equal(t, ok, err == nil, "%s %g", by, value)
			if !ok {
				assert.Equal(t, edge.code, fault.Code(err))
			}
		}
	}
	assert.Equal(t, "unknown-size", fault.Code(Size{By: "buckets", Value: 1}.Check()))
	for each, ok := range map[float64]bool{1: true, .9: false, 1e6: true, 1e6 + 1: false} {
		assert.Equal(t, ok, Size{By: ByBottles, Value: 2, EachML: each}.Check() == nil, each)
	}
	for _, c := range []struct {
		each, day float64
		ok        bool
	}{{0, .1, true}, {200, 1000, true}, {200, 1000.1, false}, {200, 0, false}, {-1, 1, false}, {1e6, 1, true}, {1e6 + 1, 1, false}} {
		assert.Equal(t, c.ok, Size{By: ByDays, Value: 2, EachML: c.each, PerDay: c.day}.Check() == nil, c)
	}
}

// How a line grows with its batch: in step, a locked one not at all, a strong spice by the eased
// school in step up to its beginning and by a power beyond.
func TestHowALineGrows(t *testing.T) {
	t.Parallel()
	strong := (&ingredient.Ingredient{}).Tagged(ingredient.TagStrong)
	for _, c := range []struct {
		line   Line
		school SpiceSchool
		factor float64
		want   float64
	}{
		{Line{Ingredient: strong}, Eased, easedFrom, easedFrom}, {Line{Ingredient: strong}, Eased, 2 * easedFrom, easedFrom * math.Pow(2, easedPower)}, {Line{Ingredient: strong}, Eased, .5, .5},
		{Line{Ingredient: strong}, Linear, 4 * easedFrom, 4 * easedFrom}, {Line{Ingredient: &ingredient.Ingredient{}}, Eased, 4 * easedFrom, 4 * easedFrom},
		{Line{}, Eased, 9, 9}, {Line{Ingredient: strong, Locked: true}, Eased, 9, 1},
	} {
		assert.InDelta(t, c.want, c.line.Growth(c.factor, c.school), 1e-9, c)
	}
}

// What a measure weighs by hand, of a base that takes up half its weight and swells to one and a
// half of its volume: a cup of it dry and soaked, a pack, an inch in centimetres, and what cannot be
// weighed.
func TestWhatAMeasureWeighs(t *testing.T) {
	t.Parallel()
	i := &ingredient.Ingredient{Name: "Base", Role: ingredient.Base, BulkGPerML: .6, UptakeGPerG: .5, Swelling: 1.5, PieceG: map[quantity.Unit]float64{quantity.Inch: 10, quantity.Piece: 4}}
	bare := &ingredient.Ingredient{Name: "Bare"}
	for _, c := range []struct {
		line Line
		g    float64
		code string
	}{
		{Line{Ingredient: i, Amount: quantity.Of(250, quantity.Millilitre)}, 150, ""},
		{Line{Ingredient: i, Amount: quantity.Of(250, quantity.Millilitre), SoakedCup: true}, 100, ""},
		{Line{Ingredient: i, Amount: quantity.Of(150, quantity.Gram), SoakedCup: true}, 100, ""},
		{Line{Ingredient: i, Amount: quantity.Of(150, quantity.Gram)}, 150, ""},
		{Line{Ingredient: i, Amount: quantity.Of(250, quantity.Millilitre), Form: ingredient.Form{Name: "sliced", BulkGPerML: .4}}, 100, ""},
		{Line{Ingredient: i, Amount: quantity.Of(2.54, quantity.Centimetre)}, 10, ""},
		{Line{Ingredient: i, Amount: quantity.Of(3, quantity.Piece)}, 12, ""},
		{Line{Ingredient: i, Amount: quantity.Of(1, quantity.Piece).And(quantity.Of(6, quantity.Gram))}, 10, ""},
		{Line{Ingredient: i, Amount: quantity.Of(1000, quantity.Kilogram)}, 1e6, ""},
		{Line{Ingredient: i, Amount: quantity.Of(1001, quantity.Kilogram)}, 0, "mass-over-limit"},
		{Line{Ingredient: bare, Amount: quantity.Of(250, quantity.Millilitre)}, 0, "cup-weight-unknown"},
		{Line{Ingredient: bare, Amount: quantity.Of(2, quantity.Piece)}, 0, "piece-weight-unknown"},
		{Line{Ingredient: bare, Amount: quantity.Of(150, quantity.Gram), SoakedCup: true}, 150, ""},
	} {
		g, _, err := c.line.Grams(quantity.US)
		assert.Equal(t, c.code, fault.Code(err), c.line.Amount.String())
		assert.InDelta(t, c.g, g, 1e-9, c.line.Amount.String())
	}
}

// A liquid that is only soaked in is poured away; what comes behind "plus" is soaked in besides.
func TestWhatIsOnlySoakedIn(t *testing.T) {
	t.Parallel()
	for words, is := range map[string]bool{"water for soaking": true, "water to soak": true, "water, plus more for soaking": false, "water": false, "water for soaking plus rinsing": true} {
		l := Line{}
		assert.Equal(t, is, l.IsForSoaking(words), words)
		l.Stage = ingredient.Soak
		assert.False(t, l.IsForSoaking(words), "it says by itself that it stays in")
	}
}
