package record_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/record"
)

// By hand: 2 L drunk at 4 a litre that cost 9.80 in the shop, and half a litre thrown away, save
// 19.60 - 8 - 2 = 9.60; the other's price in the shop nobody knows.
func TestWhatAWeekWasWorth(t *testing.T) {
	t.Parallel()
	w := record.WeekOf([]record.WeekDrink{
		{Name: "Walnut cream", MadeML: 300, DrunkML: 200, DrunkCost: 1, Stars: 3, Tasted: 1},
		{Name: "Pecan flask creamer", MadeML: 2500, DrunkML: 2000, ThrownML: 500, DrunkCost: 8, DrunkShop: 19.6, ThrownFor: 2, Stars: 4.5, Tasted: 3},
	})
	assert.Equal(t, "Pecan flask creamer", w.Drinks[0].Name)
	assert.Equal(t, []float64{2800, 2200, 500}, []float64{w.MadeML, w.DrunkML, w.ThrownML})
	assert.InDelta(t, 9.6, w.Saved, 1e-9)
	assert.Equal(t, 1, w.Unpriced)
	assert.InDelta(t, (3+3*4.5)/4, w.Stars, 1e-9)
	assert.Equal(t, 4, w.Tasted)
}
