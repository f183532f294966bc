package record_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/process"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/record"
)

func TestTheFirstBatchMovesItPartOfTheWay(t *testing.T) {
	t.Parallel()
	assert.Equal(t, record.Learned{Share: 1, SD: .25}, record.Learn(record.Held, nil))
	one := record.Learn(record.Held, []float64{1.4})
	// precisions 16 and 100 (1/.25² and 1/.1²), of logarithms: (16·ln 1 + 100·ln 1.4) / 116
	assert.InDelta(t, math.Pow(1.4, 100/116.), one.Share, 1e-9)
	assert.InDelta(t, one.Share*math.Sqrt(1/116.), one.SD, 1e-9)
	assert.Equal(t, 1, one.Batches)
}

// From the third batch on a single one that is off by two times hardly moves it.
func TestASlipHardlyMovesIt(t *testing.T) {
	t.Parallel()
	for _, truth := range []float64{.7, 1, 1.3} {
		for n := 2; n < 8; n++ {
			good := make([]float64, n)
			for k := range good {
				good[k] = truth * (1 + .04*float64(k%3-1))
			}
			before := record.Learn(record.Held, good).Share
			for _, slip := range []float64{2 * truth, truth / 2} {
				after := record.Learn(record.Held, append(append([]float64{}, good...), slip)).Share
				assert.InEpsilon(t, before, after, .05, "%d batches about %g, and one of %g", n, truth, slip)
			}
		}
	}
}

// A kitchen that really differs, seen through jugs that are read to a tenth: after five
// batches the error is under half of the default's, and the spread holds the truth as often
// as it says.
func TestASimulatedKitchenIsLearned(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(2, 7))
	const kitchens = 2000
	var defaultError, learnedError float64
	within, next := 0, 0
	for range kitchens {
		truth := math.Exp(.25 * random.NormFloat64())
		shares := make([]float64, 5)
		for n := range shares {
			shares[n] = truth * math.Exp(.1*random.NormFloat64())
		}
		l := record.Learn(record.Held, shares)
		defaultError += math.Abs(1 - truth)
		learnedError += math.Abs(l.Share - truth)
		if math.Abs(l.Share-truth) < 1.645*l.SD { // nine in ten of a normal distribution
			within++
		}
		if batch := truth * math.Exp(.1*random.NormFloat64()); math.Abs(l.Share-batch) < l.Spread() {
			next++
		}
	}
	assert.Less(t, learnedError, defaultError/2)
	assert.InDelta(t, .9, float64(within)/kitchens, .06, "a range of nine in ten")
	assert.InDelta(t, .87, float64(next)/kitchens, .05, "the range of the next batch")
	t.Logf("error %.3f of the default's; %.1f %% within", learnedError/defaultError, 100*float64(within)/kitchens)
}

// What a kitchen's hands keep back is worked back from what came out, whatever the base and
// the strainer, and gives that yield again.
func TestTheShareIsWorkedBackFromTheYield(t *testing.T) {
	t.Parallel()
	for _, lines := range [][]string{
		{"1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup"},
		{"1 cup rolled oats", "4 cups ice-cold water"},
		{"1 cup soybeans", "6 cups water"},
	} {
		for _, strainer := range []process.Strainer{process.Bag, process.Gentle, process.Sieve} {
			for _, truth := range []float64{.6, 1, 1.5} {
				d := reckontest.Drink(t, lines...)
				d.Method.Strainer = strainer
				made := d
				made.Method.HeldShare = truth
				r, err := made.Reckon()
				require.NoError(t, err)
				share, ok := record.HeldShare(&d, r.Drink.VolumeML)
				require.True(t, ok, "%v %v", lines, strainer)
				assert.InDelta(t, truth, share, 1e-3, "%v %v", lines, strainer)
			}
		}
	}
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water")
	_, ok := record.HeldShare(&d, 5000)
	assert.False(t, ok, "more than went in")
	d.Method.Strainer = process.None
	_, ok = record.HeldShare(&d, 900)
	assert.False(t, ok, "nothing is strained")
}

func TestABaseInAStrainerIsLearnedByItself(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "2 tbsp cashews", "4 cups water")
	assert.Equal(t, "almond/bag", record.Key(&d))
	d.Method.Strainer = process.Cloth
	assert.Equal(t, "almond/cloth", record.Key(&d))
	d.Method.Strainer = process.None
	assert.Empty(t, record.Key(&d))
}
