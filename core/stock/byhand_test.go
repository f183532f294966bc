package stock_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/stock"
)

// What a kitchen has least of, saffron or ground cardamom, is had by tenths of a gram: nothing
// here may begin to count at a whole one.
func TestLotsOfLessThanAGram(t *testing.T) {
	t.Parallel()
	lot := func(left float64) []stock.Lot { return []stock.Lot{{ID: 1, BoughtG: .9, LeftG: left, Price: .8}} }
	left := func(lots []stock.Lot) (left []float64) {
		for _, l := range lots {
			left = append(left, l.LeftG)
		}
		return left
	}
	assert.Equal(t, []float64{0}, left(stock.Take(lot(.9), .8)), "a tenth is too little to call a rest")
	assert.Equal(t, []float64{.5}, left(stock.Take(lot(1), .5)), "half a gram is a rest")
	assert.Empty(t, stock.Take(lot(0), .8), "an empty lot does not change")
	perG, ok := stock.PaidPerG(lot(.9))
	assert.True(t, ok)
	assert.InDelta(t, .8/.9, perG, 1e-12)
	assert.Equal(t, 1, stock.Cheapest(.8, []stock.Size{{G: .9, Price: .8}})[0].N)
}

func TestWhatCostsNothingIsNoPrice(t *testing.T) {
	t.Parallel()
	given := stock.Lot{BoughtG: 100, LeftG: 100, BoughtOn: day(1)}
	unweighed := stock.Lot{Price: 3, LeftG: 100, BoughtOn: day(2)}
	perG, ok := stock.PaidPerG([]stock.Lot{given, unweighed})
	assert.False(t, ok)
	assert.Zero(t, perG)
	// of two that are used up the later one tells the price, whichever stands first
	used := []stock.Lot{{BoughtG: 100, Price: 5, BoughtOn: day(9)}, {BoughtG: 100, Price: 3, BoughtOn: day(1)}}
	for range 2 {
		perG, _ = stock.PaidPerG(used)
		assert.InDelta(t, .05, perG, 1e-12)
		slices.Reverse(used)
	}
}

// Which of two lots is used first: the one with the earlier date, and one with a date before one
// without; else the one bought earlier, else the one written down first.
func TestWhichLotIsUsedFirst(t *testing.T) {
	t.Parallel()
	lot := func(id int64, bought, best int) stock.Lot {
		l := stock.Lot{ID: id, LeftG: 10, BoughtOn: day(bought)}
		if best > 0 {
			l.BestBefore = day(best)
		}
		return l
	}
	for name, two := range map[string][2]stock.Lot{
		"the earlier date":          {lot(2, 5, 20), lot(1, 1, 21)},
		"a date before none":        {lot(2, 5, 20), lot(1, 1, 0)},
		"bought earlier":            {lot(2, 1, 20), lot(1, 2, 20)},
		"bought earlier, no date":   {lot(2, 1, 0), lot(1, 2, 0)},
		"written down first":        {lot(1, 1, 20), lot(2, 1, 20)},
		"written down first, later": {lot(3, 1, 0), lot(4, 1, 0)},
	} {
		for _, lots := range [][]stock.Lot{{two[0], two[1]}, {two[1], two[0]}} {
			assert.Equal(t, two[0].ID, stock.Take(lots, 5)[0].ID, name)
		}
	}
}

// Two packs of 500 g cost what one of 600 g and four of 100 g do: fewer is less to carry.
func TestOfWhatCostsTheSameTheFewest(t *testing.T) {
	t.Parallel()
	large, middle, small := stock.Size{G: 600, Price: 5.6}, stock.Size{G: 500, Price: 5}, stock.Size{G: 100, Price: 1.1}
	assert.Equal(t, []stock.Count{{Size: middle, N: 2}}, stock.Cheapest(1000, []stock.Size{large, middle, small}))
	// and where the fewer are found first, they stay
	assert.Equal(t, []stock.Count{{Size: stock.Size{G: 400, Price: 4}, N: 1}}, stock.Cheapest(400, []stock.Size{{G: 200, Price: 2}, {G: 400, Price: 4}}))
	// a pack that holds nothing is none
	assert.Empty(t, stock.Cheapest(400, []stock.Size{{G: 0, Price: 1}}))
}

// Packs are looked at to the most there may be: 200 of 5 g make the kilogram, and no more.
func TestAsManyPacksAsItTakes(t *testing.T) {
	t.Parallel()
	tea := []stock.Size{{G: 5, Price: .2}}
	assert.Equal(t, 200, stock.Cheapest(1000, tea)[0].N)
	assert.Equal(t, 3, stock.Cheapest(15, tea)[0].N, "three to the gram, not four")
	assert.Equal(t, 4, stock.Cheapest(15.1, tea)[0].N)
	// of seven sizes the smallest is not tried
	var sizes []stock.Size
	for n := range 7 {
		sizes = append(sizes, stock.Size{G: float64(700 - 100*n), Price: float64(700-100*n) / 100})
	}
	assert.Equal(t, 200., stock.Cheapest(90, sizes)[0].Size.G)
}

// What is left of a pack that was opened, where half a gram is nothing.
func TestARestOfHalfAGram(t *testing.T) {
	t.Parallel()
	for _, c := range []struct{ used, open, pack, left float64 }{
		{399.5, 0, 400, .5}, {399.6, 0, 400, 0},
		{.5, 0, 400, 0}, {.6, 0, 400, 399.4},
		{200.5, 200, 400, 0}, {200.6, 200, 400, 399.4},
		{1, 0, 0, 0}, {1.2, 0, .9, .6}, {800, 0, 400, 0},
	} {
		assert.InDelta(t, c.left, stock.Open(c.used, c.open, c.pack), 1e-9, c)
	}
}
