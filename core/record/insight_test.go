package record_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/record"
)

var today = time.Date(2026, 11, 28, 9, 0, 0, 0, time.UTC)

// weekly are n batches a week apart, the last of them yesterday.
func weekly(n int, of record.Making) []record.Making {
	out := make([]record.Making, n)
	for k := range out {
		out[k] = of
		out[k].Batch, out[k].MadeOn = int64(10*of.Drink)+int64(k), today.AddDate(0, 0, -1-7*(n-1-k))
	}
	return out
}

var (
	lowYield = record.Making{Drink: 1, Name: "Pecan flask creamer", Base: "Pecans", Key: "pecan/bag", ForecastML: 735, YieldML: 690, MadeML: 690, DrunkML: 690, IsGone: true, PerL: 4}
	wasted   = record.Making{Drink: 2, Name: "Barley horchata", MadeML: 1200, DrunkML: 800, ThrownML: 400, IsGone: true, PerL: 3}
	liked    = record.Making{Drink: 3, Name: "Sunflower cocoa", MadeML: 700, DrunkML: 700, IsGone: true, PerL: 1.9, ShopPerL: 3.8, Stars: 4.5, Tasted: 1}
	sweet    = record.Making{Drink: 4, Name: "Walnut milk", MadeML: 500, DrunkML: 500, IsGone: true, Sweet: 1, Stars: 3, Tasted: 1}
)

func codes(all []record.Insight) []string {
	out := []string{}
	for _, i := range all {
		out = append(out, i.Code)
	}
	return out
}

// Worked by hand: three weekly batches take three weeks. A week, 400 mL at 3 a litre are thrown
// away (1.20), 700 mL at 1.90 less than the shop's are drunk (1.33), 45 mL at 4 are missing (0.18).
func TestInsightsRankByWhatTheyAreWorth(t *testing.T) {
	t.Parallel()
	all := append(append(append(weekly(3, lowYield), weekly(3, wasted)...), weekly(3, liked)...), weekly(3, sweet)...)
	got := record.Insights(all, today)
	require.Equal(t, []string{"best", "thrown", "sweet", "yield/pecan/bag"}, codes(got))
	assert.InDelta(t, 1.33, got[0].Money, .001)
	assert.InDelta(t, 1.20, got[1].Money, .001)
	assert.InDelta(t, .18, got[3].Money, .001)
	assert.Equal(t, 800., got[1].ActionML)
	assert.Equal(t, 400., got[1].FreezeML)
	assert.Equal(t, []record.Action{record.PlanOne, record.MakeLess, record.TasteIt, record.SeeLearned}, []record.Action{got[0].Action, got[1].Action, got[2].Action, got[3].Action})
	assert.Equal(t, "insight-best-cheaper(Sunflower cocoa, 50)", got[0].Text.String())
}

// Two batches tell nothing, and a scatter about the forecast is none of the bag's.
func TestWhatIsNoNewsIsNotTold(t *testing.T) {
	t.Parallel()
	for _, one := range []record.Making{lowYield, wasted, liked, sweet} {
		assert.Empty(t, record.Insights(weekly(2, one), today), one.Name)
	}
	scattered := weekly(4, lowYield)
	for n, ml := range []float64{600, 870, 640, 830} {
		scattered[n].YieldML = ml
	}
	assert.Empty(t, record.Insights(scattered, today))
	old := weekly(4, wasted)
	for n := range old {
		old[n].MadeOn = old[n].MadeOn.AddDate(-1, 0, 0)
	}
	assert.Empty(t, record.Insights(old, today))
}

func TestNeverMoreThanFive(t *testing.T) {
	t.Parallel()
	var all []record.Making
	for drink := range int64(9) {
		w := wasted
		w.Drink, w.ThrownML = drink+20, 300+10*float64(drink)
		all = append(all, weekly(3, w)...)
	}
	got := record.Insights(all, today)
	require.Len(t, got, 5)
	assert.Equal(t, int64(28), got[0].Drink)
}
