package solve

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/say"
)

// What went in is worked back from what came out: conservation of mass, held
// against the amounts the drink was made with.
func TestWhatWasLeftOpenIsWorkedBack(t *testing.T) {
	t.Parallel()
	tests := []struct {
		what  string
		open  []int
		lines []string
	}{
		{"water", []int{1}, []string{"150 g almonds", "700 g water", "20 g maple syrup"}},
		{"a base", []int{0}, []string{"150 g almonds", "700 g water"}},
		{"both", []int{0, 1}, []string{"90 g rolled oats, unsoaked", "1000 g water"}},
		{"syrup that joins late", []int{2}, []string{"150 g almonds", "700 g water", "40 g maple syrup"}},
		{"rinsed, boiled", []int{2}, []string{"150 g almonds", "500 g water", "200 g water, to rinse the pulp"}},
	}
	for _, tt := range tests {
		d := reckontest.Drink(t, tt.lines...)
		d.Method.Heat, d.Method.Minutes = process.Simmer, 5
		r := reckontest.Reckoned(t, d)
		open := d
		open.Lines = append([]recipe.Line{}, d.Lines...)
		for _, n := range tt.open {
			open.Lines[n].Amount = quantity.Amount{}
		}
		found, err := WorkBack(&open, r.Drink.MassG, r.PulpG)
		require.NoError(t, err, tt.what)
		require.Len(t, found, len(tt.open), tt.what)
		for k, n := range tt.open {
			assert.InEpsilon(t, r.Lines[n].MassG, found[k].MassG, .001, tt.what)
			assert.Less(t, found[k].LeastG, found[k].MassG, tt.what)
			assert.Greater(t, found[k].LargestG, found[k].MassG, tt.what)
			assert.Less(t, found[k].LargestG-found[k].MassG, .5*found[k].MassG+.01*r.Drink.MassG, tt.what)
		}
		if len(tt.open) == 1 {
			_, err = WorkBack(&open, 1, 1)
			assert.Error(t, err, "%s: less came out than went in", tt.what)
		}
	}
	d := reckontest.Drink(t, "almonds", "cashews", "water")
	_, err := WorkBack(&d, 500, 100)
	assert.Equal(t, "too-many-open", fault.Code(err))
	d = reckontest.Drink(t, "100 g almonds", "400 g water")
	found, err := WorkBack(&d, 500, 100)
	assert.Empty(t, found, "nothing is open")
	assert.NoError(t, err)
}

func TestAsUsed(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "150 g almonds", "700 g water", "20 g maple syrup")
	d.Size = recipe.Size{By: recipe.ByTimes, Value: 2}
	d.Lines[2].Key = "syrup"
	r := reckontest.Reckoned(t, d)
	used := AsUsed(&d, r, map[string]float64{"syrup": 50})
	got := reckontest.Reckoned(t, used)
	assert.InDelta(t, 300, got.Lines[0].MassG, .1)
	assert.InDelta(t, 50, got.Lines[2].MassG, .1)
	assert.Greater(t, got.Per100mL.SucroseEquivalentG, r.Per100mL.SucroseEquivalentG)
}

func TestTooMuchIsFollowedOrTaken(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "200 g almonds", "800 g water", "20 g maple syrup", "1 g salt")
	for n := range d.Lines {
		d.Lines[n].Key = d.Lines[n].Ingredient.ID
	}
	d.Lines[3].Locked = true
	r := reckontest.Reckoned(t, d)
	usedG := map[string]float64{"almond": 220}
	taken := AsUsed(&d, r, usedG)
	scaled, factor := Rescaled(&d, r, usedG, "almond", func(string) bool { return false })
	assert.InDelta(t, 1.1, factor, 1e-9)
	after := reckontest.Reckoned(t, scaled)
	for n, g := range []float64{220, 880, 22, 1} {
		assert.InDelta(t, g, after.Lines[n].MassG, .01, "more water for more almonds; what is locked stays")
	}
	assert.InDelta(t, r.FatPct, after.FatPct, .02, "as strong as it was to be")
	assert.Contains(t, say.Strings(reckon.Apart(r, reckontest.Reckoned(t, taken))), "fat-instead")
	assert.NotContains(t, say.Strings(reckon.Apart(r, after)), "fat-instead")
	assert.Empty(t, reckon.Apart(r, r))
	scaled, _ = Rescaled(&d, r, map[string]float64{"maple-syrup": 30}, "maple-syrup", func(key string) bool { return key != "salt" })
	assert.InDelta(t, 800, reckontest.Reckoned(t, scaled).Lines[1].MassG, .01, "what is in cannot follow")
}
