package http

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
)

// Bought at a price, used by a batch, taken back: the stock, the lots and what a litre costs follow.
func TestStockFollowsWhatIsBoughtAndMade(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, _ := tastedMilk(t, c)
	stock := func() pantry.StockPage { return call[pantry.StockPage](c, "GET", "/api/pantry/stock/almond", nil) }
	cost := func() float64 {
		return call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: drink.Name, Recipe: drink.Draft}).Cost.Batch
	}
	assert.Zero(t, cost())
	call[pantry.StockPage](c, "POST", "/api/pantry/stock/almond/lots", pantry.Purchase{Pack: "500 g", Price: 6, BestBefore: "2027-03-01"})
	page := call[pantry.StockPage](c, "POST", "/api/pantry/stock/almond/lots", pantry.Purchase{Pack: "250 g", Packs: 2, Price: 8, BestBefore: "2026-12-20"})
	assert.Equal(t, []float64{1000, 14}, []float64{page.MassG, page.PaidPerKG})
	require.Len(t, page.Lots, 2)
	assert.InDelta(t, 143*.014, cost(), .01, "a US cup of almonds, by what was paid")

	_, _, header := c.send(request("POST", fmt.Sprintf("/api/drinks/%d/batches", drink.ID), shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 400, Place: "fridge"}}}))
	after := stock()
	assert.InDelta(t, 857, after.MassG, 1)
	assert.InDelta(t, 357, after.Lots[0].LeftG, 1, "what is good for less long goes first")
	assert.Equal(t, 500., after.Lots[1].LeftG)
	call[app.Nothing](c, "POST", "/api/undo/"+header.Get("Undo"), nil)
	assert.Equal(t, page, stock(), "taken back, all of it is there again")

	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/almond", pantry.StockOf{MassG: 600})
	counted := stock()
	assert.Equal(t, []float64{100, 500}, []float64{counted.Lots[0].LeftG, counted.Lots[1].LeftG}, "counted, less is there than was bought")
	call[pantry.StockPage](c, "PUT", "/api/pantry/stock/almond/low", pantry.LowAt{LowG: 700})
	low := call[planning.Plan](c, "GET", "/api/plan", nil).ToBuy
	require.Len(t, low, 1, "it runs low, whatever the plan needs")
	assert.True(t, low[0].Low)
	c.now = c.now.AddDate(0, 0, 40)
	assert.True(t, stock().Lots[0].Past)
	assert.Contains(t, fmt.Sprint(c.refused("POST", "/api/pantry/stock/almond/lots", pantry.Purchase{Pack: "some"})), "pack")
}

// Of packs of several sizes the cheapest are bought that hold enough.
func TestTheListChoosesAmongPacks(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 7.5, Pack: "500 g"})
	page := call[pantry.StockPage](c, "POST", "/api/pantry/stock/almond/packs", pantry.NewPack{Price: 3.4, Pack: "200 g"})
	require.Len(t, page.Packs, 1)
	call[pantry.StockPage](c, "PUT", "/api/pantry/stock/almond/low", pantry.LowAt{LowG: 399})
	list := call[planning.Plan](c, "GET", "/api/plan", nil).ToBuy
	require.Len(t, list, 1)
	assert.Equal(t, []any{2, "2 × 200 g", 6.8}, []any{list[0].Packs, list[0].Pack, list[0].Cost})
}

// The rest of a can that a batch took from stands on the shelf by itself, and what was brewed and
// not used.
func TestWhatIsLeftOpenStandsOnTheShelf(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/coconut-milk-can", pantry.PackPrice{Price: 1.8, Pack: "400 mL"})
	drink, _ := tastedMilk(t, c, "150 mL coconut milk, canned")
	packs := call[shelf.Shelf](c, "GET", "/api/shelf", nil).Packs
	require.Len(t, packs, 1)
	assert.Equal(t, "coconut-milk-can", packs[0].Ingredient)
	assert.InDelta(t, 250, packs[0].LeftG, 15)
	makeMilk(c, drink.ID, 900)
	packs = call[shelf.Shelf](c, "GET", "/api/shelf", nil).Packs
	require.Len(t, packs, 1, "the open can first")
	assert.InDelta(t, 100, packs[0].LeftG, 15)
}

// What was brewed and not used stands there as well.
func TestADecoctionsLeftoverStandsOnTheShelf(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "Root brew"})
	f := kitchen.New("us")
	f.BrewPct = 60
	f.Lines = []kitchen.Line{
		{Key: "a", Ingredient: "Almonds", Amount: "1 cup"}, {Key: "w", Ingredient: "Water", Amount: "3 cups"},
		{Key: "h", Ingredient: "Herb powder for brewing", Amount: "20 g", Stage: "brew"}, {Key: "b", Ingredient: "Water", Amount: "500 mL", Stage: "brew"},
	}
	call[bench.Drink](c, "PUT", fmt.Sprintf("/api/drinks/%d/draft", drink.ID), bench.Draft{Name: drink.Name, Recipe: f, Revision: drink.Revision})
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: drink.Name, Recipe: f})
	require.Greater(t, r.LeftoverML, 100.)
	call[[]shelf.Bottle](c, "POST", fmt.Sprintf("/api/drinks/%d/batches", drink.ID), shelf.NewBatch{Anyway: true, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}}})
	packs := call[shelf.Shelf](c, "GET", "/api/shelf", nil).Packs
	require.Len(t, packs, 1)
	assert.Equal(t, "decoction", packs[0].Ingredient)
	assert.InDelta(t, r.LeftoverML, packs[0].LeftG, 1)
}

// What a label says goes before the row that ships; a longer life does not.
func TestARowThatShipsIsAdjusted(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, _ := tastedMilk(t, c)
	reckon := func() bench.Reckoning {
		return call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: drink.Name, Recipe: drink.Draft})
	}
	before := reckon()
	g, days := 120., 30.
	page := call[pantry.StockPage](c, "PUT", "/api/pantry/stock/almond/adjustment", kitchen.Adjustment{GPerCup: &g, LifeDays: &days, Label: &kitchen.Label{ProteinG: 21, FatG: 30, CarbohydrateG: 20, SugarsG: 4, FibreG: 12}})
	require.NotNil(t, page.Adjusted)
	after := reckon()
	assert.InDelta(t, 120, after.Lines[0].MassG, .5)
	assert.Less(t, after.Per100mL.FatG, .7*before.Per100mL.FatG)
	assert.LessOrEqual(t, after.Keeps.CautiousDays, before.Keeps.CautiousDays)
	assert.Equal(t, before.Allergens, after.Allergens)
	fat := 130.
	assert.Contains(t, fmt.Sprint(c.refused("PUT", "/api/pantry/stock/almond/adjustment", kitchen.Adjustment{Label: &kitchen.Label{FatG: fat}})), "fatG")
	call[pantry.StockPage](c, "PUT", "/api/pantry/stock/almond/adjustment", kitchen.Adjustment{})
	assert.Equal(t, before.Per100mL.FatG, reckon().Per100mL.FatG)
}
