package stock_test

import (
	"math"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/stock"
)

func day(n int) time.Time { return time.Date(2026, 11, n, 0, 0, 0, 0, time.UTC) }

func TestTheLotToUseFirstGoesFirst(t *testing.T) {
	t.Parallel()
	lots := []stock.Lot{
		{ID: 1, LeftG: 100, BoughtOn: day(1)},
		{ID: 2, LeftG: 100, BoughtOn: day(5), BestBefore: day(20)},
		{ID: 3, LeftG: 100, BoughtOn: day(2), BestBefore: day(25)},
	}
	assert.Equal(t, []stock.Lot{
		{ID: 2, LeftG: 0, BoughtOn: day(5), BestBefore: day(20)},
		{ID: 3, LeftG: 60, BoughtOn: day(2), BestBefore: day(25)},
	}, stock.Take(lots, 140))
	assert.Len(t, stock.Take(lots, 1000), 3, "more than there is takes all there is")
	assert.Empty(t, stock.Take(lots, 0))
}

// By hand: 100 g left at 1.5 a 100 g, and 200 g left at 1.2: (1.5 + 2.4) / 300.
func TestWhatAGramReallyCost(t *testing.T) {
	t.Parallel()
	lots := []stock.Lot{{BoughtG: 500, LeftG: 100, Price: 7.5, BoughtOn: day(1)}, {BoughtG: 1000, LeftG: 200, Price: 12, BoughtOn: day(9)}, {BoughtG: 100, LeftG: 100}}
	perG, ok := stock.PaidPerG(lots)
	require.True(t, ok)
	assert.InDelta(t, 3.9/300, perG, 1e-12)
	for n := range lots {
		lots[n].LeftG = 0
	}
	perG, _ = stock.PaidPerG(lots)
	assert.InDelta(t, .012, perG, 1e-12, "of what was bought last")
	_, ok = stock.PaidPerG(lots[2:])
	assert.False(t, ok)
}

func TestTheCheapestPacks(t *testing.T) {
	t.Parallel()
	small, large := stock.Size{Pack: "200 g", G: 200, Price: 3.4}, stock.Size{Pack: "500 g", G: 500, Price: 7.5}
	for need, want := range map[float64][]stock.Count{
		150:  {{Size: small, N: 1}},
		400:  {{Size: small, N: 2}},                      // 6.80 against 7.50
		450:  {{Size: large, N: 1}},                      // 7.50 against 10.20
		650:  {{Size: large, N: 1}, {Size: small, N: 1}}, // 10.90 against 13.60 and 15
		1000: {{Size: large, N: 2}},
		0:    nil,
	} {
		assert.Equal(t, want, stock.Cheapest(need, []stock.Size{small, large}), need)
	}
	assert.Empty(t, stock.Cheapest(100, nil))
}

// Against every combination there is: no other holds enough for less.
func TestNoPacksAreCheaper(t *testing.T) {
	t.Parallel()
	at := rand.New(rand.NewPCG(7, 1))
	for range 300 {
		sizes := []stock.Size{{G: float64(50 + at.IntN(200)), Price: 1 + 5*at.Float64()}, {G: float64(250 + at.IntN(300)), Price: 3 + 8*at.Float64()}}
		need := float64(20 + at.IntN(1500))
		got, cost := 0., 0.
		for _, c := range stock.Cheapest(need, sizes) {
			got, cost = got+float64(c.N)*c.Size.G, cost+float64(c.N)*c.Size.Price
		}
		best := math.Inf(1)
		for a := range 40 {
			for b := range 12 {
				if float64(a)*sizes[0].G+float64(b)*sizes[1].G >= need {
					best = math.Min(best, float64(a)*sizes[0].Price+float64(b)*sizes[1].Price)
				}
			}
		}
		assert.GreaterOrEqual(t, got, need)
		assert.InDelta(t, best, cost, 1e-9)
	}
}

func TestWhatStaysOpen(t *testing.T) {
	t.Parallel()
	assert.Equal(t, 150., stock.Open(250, 0, 400))
	assert.Equal(t, 350., stock.Open(450, 0, 400))
	assert.Equal(t, 0., stock.Open(400, 0, 400), "to the last")
	assert.Equal(t, 0., stock.Open(100, 150, 400), "what stood open was enough")
	assert.Equal(t, 350., stock.Open(200, 150, 400), "and where it was not, another was opened")
}
