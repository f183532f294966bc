package caution_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
)

// By hand: 143 g of almonds hold 326 mg of calcium (IFCT 2017, H001: 228 mg in 100 g); of 880 mL
// a day's 240 mL have at most 89 mg, where a carton has 288.
func TestTheGapOfADay(t *testing.T) {
	t.Parallel()
	drunk := caution.Drunk{DayML: 240, BatchML: 880, ProteinG: 1.2, BasesG: map[*ingredient.Ingredient]float64{row(t, "almond"): 143}}
	gaps := caution.Gaps(drunk)
	require.Len(t, gaps, 5)
	calcium := gaps[1]
	assert.True(t, calcium.Known)
	assert.InDelta(t, 88.9, calcium.Here, .1)
	assert.InDelta(t, 288, calcium.Carton, .1)
	assert.InDelta(t, 199.1, calcium.LessThanTheCarton, .1)
	assert.InDelta(t, 2.88, gaps[0].Here, 1e-9)
	assert.Zero(t, gaps[0].LessThanTheCarton) // a carton of oat has 2.4 g
	assert.InDelta(t, 2.16, gaps[3].CowsMilk, 1e-9)

	drunk.Seaweed = true
	assert.False(t, caution.Gaps(drunk)[2].Known)
	drunk.Seaweed, drunk.Mixed = false, true
	for _, g := range caution.Gaps(drunk) {
		assert.Equal(t, g.Nutrient == caution.Protein, g.Known, g.Nutrient)
	}
	drunk.Mixed, drunk.BasesG = false, map[*ingredient.Ingredient]float64{row(t, "almond"): 100, row(t, "pecan"): 10}
	assert.False(t, caution.Gaps(drunk)[1].Known, "no table here tells of pecans")
}

func row(t *testing.T, id string) *ingredient.Ingredient {
	t.Helper()
	i, ok := ingredient.Standard().ByID(id)
	require.True(t, ok, id)
	return i
}
