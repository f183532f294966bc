package formula

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
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
		d := drinkOf(t, tt.lines...)
		d.Method.Heat, d.Method.Minutes = process.Simmer, 5
		r := reckoned(t, d)
		open := d
		open.Lines = append([]recipe.Line{}, d.Lines...)
		for _, n := range tt.open {
			open.Lines[n].Amount = quantity.Amount{}
		}
		found, err := open.WorkBack(r.Drink.MassG, r.PulpG)
		require.NoError(t, err, tt.what)
		require.Len(t, found, len(tt.open), tt.what)
		for k, n := range tt.open {
			assert.InEpsilon(t, r.Lines[n].MassG, found[k].MassG, .001, tt.what)
			assert.Less(t, found[k].LeastG, found[k].MassG, tt.what)
			assert.Greater(t, found[k].LargestG, found[k].MassG, tt.what)
			assert.Less(t, found[k].LargestG-found[k].MassG, .5*found[k].MassG+.01*r.Drink.MassG, tt.what)
		}
		if len(tt.open) == 1 {
			_, err = open.WorkBack(1, 1)
			assert.Error(t, err, "%s: less came out than went in", tt.what)
		}
	}
	d := drinkOf(t, "almonds", "cashews", "water")
	_, err := d.WorkBack(500, 100)
	assert.ErrorContains(t, err, "3 open amounts")
	d = drinkOf(t, "100 g almonds", "400 g water")
	found, err := d.WorkBack(500, 100)
	assert.Empty(t, found, "nothing is open")
	assert.NoError(t, err)
}

func TestAsUsed(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "150 g almonds", "700 g water", "20 g maple syrup")
	d.Size = recipe.Size{By: recipe.ByTimes, Value: 2}
	d.Lines[2].Key = "syrup"
	r := reckoned(t, d)
	used := d.AsUsed(r, map[string]float64{"syrup": 50})
	got := reckoned(t, used)
	assert.InDelta(t, 300, got.Lines[0].MassG, .1)
	assert.InDelta(t, 50, got.Lines[2].MassG, .1)
	assert.Greater(t, got.Per100mL.SucroseEquivalentG, r.Per100mL.SucroseEquivalentG)
}

func TestTheRawMark(t *testing.T) {
	t.Parallel()
	tests := []struct {
		lines   []string
		way     func(*Drink)
		kept    bool
		warmest string
	}{
		{[]string{"1 cup almonds", "3 cups water"}, func(*Drink) {}, true, "the kitchen"},
		{[]string{"1 cup almonds", "3 cups water"}, func(d *Drink) { d.Method.WaterC = 45; d.Method.Seconds = 120 }, false, "the blender"},
		{[]string{"1 cup almonds", "3 cups water"}, func(d *Drink) { d.Method.Seconds, d.Method.WarmsC = 120, 5 }, true, "the blender"},
		{[]string{"1 cup roasted almonds", "3 cups water"}, func(*Drink) {}, false, "Almonds, roasted"},
		{[]string{"1 cup almonds", "3 cups boiling water"}, func(*Drink) {}, false, "the grinding water"},
		{[]string{"1 cup almonds", "3 cups water"}, func(d *Drink) { d.Method.Heat = process.UnderIt }, false, "the pan"},
	}
	for _, tt := range tests {
		d := drinkOf(t, tt.lines...)
		assert.Nil(t, reckoned(t, d).Raw, "it is not marked")
		d.RawLimitC = DefaultRawC
		tt.way(&d)
		raw := reckoned(t, d).Raw
		require.NotNil(t, raw)
		assert.Equal(t, tt.kept, raw.Kept, "%v: %+v", tt.lines, raw)
		assert.Equal(t, tt.warmest, raw.Warmest)
	}
}

func TestTooMuchIsFollowedOrTaken(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "200 g almonds", "800 g water", "20 g maple syrup", "1 g salt")
	for n := range d.Lines {
		d.Lines[n].Key = d.Lines[n].Ingredient.ID
	}
	d.Lines[3].Locked = true
	r := reckoned(t, d)
	usedG := map[string]float64{"almond": 220}
	taken := d.AsUsed(r, usedG)
	scaled, factor := d.Rescaled(r, usedG, "almond", func(string) bool { return false })
	assert.InDelta(t, 1.1, factor, 1e-9)
	after := reckoned(t, scaled)
	for n, g := range []float64{220, 880, 22, 1} {
		assert.InDelta(t, g, after.Lines[n].MassG, .01, "more water for more almonds; what is locked stays")
	}
	assert.InDelta(t, r.FatPct, after.FatPct, .02, "as strong as it was to be")
	assert.Contains(t, Apart(r, reckoned(t, taken)), "fat ")
	assert.NotContains(t, Apart(r, after), "fat ")
	assert.Empty(t, Apart(r, r))
	scaled, _ = d.Rescaled(r, map[string]float64{"maple-syrup": 30}, "maple-syrup", func(key string) bool { return key != "salt" })
	assert.InDelta(t, 800, reckoned(t, scaled).Lines[1].MassG, .01, "what is in cannot follow")
}

// Milk, pulp and loss add up to what went in (conservation of mass): what is
// left in the pulp is what did not reach the milk.
func TestWhatIsLeftInThePulp(t *testing.T) {
	t.Parallel()
	r := reckoned(t, drinkOf(t, "150 g almonds, unsoaked", "700 g water"))
	p := r.Pulp
	almonds := drinkOf(t, "1 g almonds").Lines[0].Ingredient.PerGram.Times(150)
	milk := r.Per100mL.ProteinG * r.Drink.VolumeML / 100
	assert.InDelta(t, almonds[ingredient.Protein], p.ProteinG+milk/.98, .02, "2 % of the milk stays on walls and cloth")
	assert.InDelta(t, r.PulpG, p.WetG, 1e-9)
	assert.Less(t, p.DriedG, p.WetG*.6)
	assert.Equal(t, 300., p.Weighing(300).WetG)
	assert.Equal(t, p.DriedG, p.Weighing(300).DriedG, "what it holds besides is water")
	assert.NotEmpty(t, p.GoodFor())
}
