package solve

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
)

func TestTrialCup(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup pecans", "4 cups water")
	ml := reckontest.Reckoned(t, d).Drink.VolumeML
	cup := reckontest.Drink(t, "1 tsp maple syrup").Lines
	out, err := TryCup(&d, Trial{CupML: 100, Lines: cup})
	require.NoError(t, err)
	g := out.Additions[0].InCupG
	assert.InDelta(t, ml-100, out.RestML, 1e-9)
	assert.InEpsilon(t, g/100*(ml-100), out.Additions[0].ToRestG, 1e-9)
	r := reckontest.Reckoned(t, out.Drink)
	assert.InEpsilon(t, g/100*ml, r.Lines[2].MassG, quantity.Tight)
	assert.InDelta(t, r.Drink.VolumeML*(ml-100)/ml, out.AfterML, 1e-6, "with what is added")
	back, err := TryCup(&d, Trial{CupML: 100, Lines: cup, Returned: true})
	require.NoError(t, err)
	assert.InDelta(t, r.Drink.VolumeML, back.AfterML, 1e-6)
	for field, trial := range map[string]Trial{
		"cupML": {CupML: 5000, Lines: cup}, "lines[0].ingredient": {CupML: 100, Lines: []recipe.Line{{Name: "dust"}}},
		"lines[0].amount": {CupML: 100, Lines: []recipe.Line{{Ingredient: standard("salt"), Name: "salt"}}},
	} {
		_, err := TryCup(&d, trial)
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
}

// What is there already gets more of it, and tastes as the cup did, wherever it goes in.
func TestATrialAddsToTheLineThatIsThere(t *testing.T) {
	t.Parallel()
	for _, line := range []string{"2 tbsp maple syrup, after straining", "2 tbsp maple syrup, while blending", "40 g maple syrup"} {
		d := reckontest.Drink(t, "1 cup pecans", "3 cups water", line)
		before := reckontest.Reckoned(t, d)
		out, err := TryCup(&d, Trial{CupML: 100, Lines: reckontest.Drink(t, "1 tsp maple syrup").Lines, Returned: true})
		require.NoError(t, err)
		require.Len(t, out.Drink.Lines, 3, line)
		after := reckontest.Reckoned(t, out.Drink)
		maple := named(t, "maple-syrup").PerGram.SucroseEquivalentG()
		g := out.Additions[0].InCupG
		want := (before.Per100mL.SucroseEquivalentG + g*maple) / (100 + g/1.32) * 100 // maple syrup is 1.32 g/mL
		assert.InEpsilon(t, want, after.Per100mL.SucroseEquivalentG, .03, line)
	}
}

func TestMatchFigures(t *testing.T) {
	t.Parallel()
	found, err := Match(Figures{FatG: 3.4, SugarsG: 4.8, ProteinG: 3.3}, reckon.New(""), ingredient.Standard())
	require.NoError(t, err)
	require.Len(t, found, 3)
	assert.Empty(t, found[0].Unmet)
	assert.InDelta(t, 3.4, found[0].Reached.FatG, .1)
	r := reckontest.Reckoned(t, found[0].Drink)
	assert.InDelta(t, 3.3, r.Per100mL.ProteinG, .1, "what is proposed is what was reckoned")
	assert.InEpsilon(t, 1000, r.Drink.VolumeML, quantity.Loose)
	for _, want := range []Figures{{3.4, 4.8, 3.3}, {6, 5, 1.5}} { // which poppy seeds and Brazil nuts come nearest to
		found, err := Match(want, reckon.New(""), ingredient.Standard())
		require.NoError(t, err)
		for _, m := range found {
			assertNotTooMuch(t, m.Drink, reckontest.Reckoned(t, m.Drink))
		}
	}
	impossible, err := Match(Figures{ProteinG: 40}, reckon.New(""), ingredient.Standard())
	require.NoError(t, err)
	assert.NotEmpty(t, impossible[0].Unmet)
	for _, bad := range []Figures{{}, {FatG: -1}, {SugarsG: 90}, {ProteinG: math.NaN()}} {
		_, err := Match(bad, reckon.New(""), ingredient.Standard())
		require.Error(t, err)
	}
}

// Whatever a label says, what is proposed is a drink: three ideas, soy among them, of amounts
// that a cook can measure, within bounds of strength and sweetness, each with what it misses.
func TestWhatIsProposedForALabelCanBeMade(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(7, 11))
	for n := range 60 {
		want := Figures{FatG: 20 * rng.Float64(), SugarsG: 30 * rng.Float64(), ProteinG: 8 * rng.Float64()}
		switch n % 5 {
		case 0:
			want.FatG = 0
		case 1:
			want.SugarsG = 0
		case 2:
			want.ProteinG = 0
		}
		found, err := Match(want, reckon.New(""), ingredient.Standard())
		require.NoError(t, err)
		require.Len(t, found, 3, "%v", want)
		soy := false
		for _, m := range found {
			r := reckontest.Reckoned(t, m.Drink)
			soy = soy || slices.Contains(r.Allergens, "soy")
			assert.GreaterOrEqual(t, r.Ratio.ByVolume, matchLeastWater*(1-quantity.Loose), "%v", want)
			assert.LessOrEqual(t, r.Per100mL.SugarsG, 55., "%v", want)
			assertNotTooMuch(t, m.Drink, r)
			for _, l := range r.Lines {
				assert.GreaterOrEqual(t, l.MassG, .5, "%v", want)
			}
			missed := 0
			for _, miss := range []float64{want.FatG - m.Reached.FatG, want.SugarsG - m.Reached.SugarsG, want.ProteinG - m.Reached.ProteinG} {
				if math.Abs(miss) > matchOf {
					missed++
				}
			}
			assert.Len(t, m.Unmet, missed, "%v", want)
		}
		assert.True(t, soy, "%v", want)
	}
}

// assertNotTooMuch holds a glass that somebody is offered against a day of an adult: 255 µg of
// selenium (EFSA 2023) and 30 g of poppy seeds (half a gram a kg, from memory).
func assertNotTooMuch(t *testing.T, d reckon.Drink, r *reckon.Reckoning) {
	t.Helper()
	perServing := 240 / r.Drink.VolumeML
	assert.LessOrEqual(t, perServing*r.Batch.Finished[ingredient.SeleniumUg], 255., "%v", d.Lines)
	for n, l := range d.Lines {
		if l.Ingredient.ID == "poppy-seed" {
			assert.LessOrEqual(t, perServing*r.Lines[n].MassG, 30., "%v", d.Lines)
		}
	}
}

// What a larger spoon holds in one is rounded to it, and what is in the fewest spoons stays.
func TestManySmallSpoonsBecomeFewLargeOnes(t *testing.T) {
	t.Parallel()
	drawer, err := quantity.Reader{}.NewDrawer(quantity.StandardDrawer, quantity.US, 0)
	require.NoError(t, err)
	for from, to := range map[string]string{"24 tsp": "½ cup", "4 tbsp": "¼ cup", "9 tsp": "3 tbsp", "3 tbsp + 1 tsp": "3 tbsp + 1 tsp", "¾ cup": "¾ cup", "1½ cups": "1½ cups"} {
		d := reckontest.Drink(t, "1 cup almonds", "4 cups water", from+" maple syrup")
		d.Drawer = &drawer
		out, err := ToSpoons(&d)
		require.NoError(t, err)
		assert.Equal(t, to, out.Drink.Lines[2].Amount.String(), from)
	}
}

func TestNudgeToSpoonsThatExist(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "148 g pecans", "690 g water", "37 g maple syrup", "1/2 tsp cardamom", "1/8 tsp salt")
	drawer, err := quantity.Reader{}.NewDrawer([]string{"1 cup", "1/2 cup", "1 tbsp", "1 tsp", "1/4 tsp"}, quantity.US, 0)
	require.NoError(t, err)
	d.Drawer = &drawer
	out, err := ToSpoons(&d)
	require.NoError(t, err)
	assert.Equal(t, "2 tbsp", out.Drink.Lines[2].Amount.String(), "%v", out)
	before, after := reckontest.Reckoned(t, d), reckontest.Reckoned(t, out.Drink)
	assert.Equal(t, before.Dials[0].Band, after.Dials[0].Band)
	assert.Equal(t, before.Dials[1].Band, after.Dials[1].Band)
	assert.InEpsilon(t, before.Drink.VolumeML, after.Drink.VolumeML, .03)
	assert.Equal(t, "2 × ¼ tsp", before.Lines[3].Scoop.Text)
	assert.Equal(t, "half of ¼ tsp", before.Lines[4].Scoop.Text)
	d = reckontest.Drink(t, "1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup")
	d.Drawer, d.Size = &drawer, recipe.Size{By: recipe.ByVolume, Value: 620}
	out, err = ToSpoons(&d)
	require.NoError(t, err)
	require.NotEmpty(t, out.Changes, "at a size that no spoon fits")
	assert.InEpsilon(t, 620, reckontest.Reckoned(t, out.Drink).Drink.VolumeML, .03)
	d.Drawer = nil
	_, err = ToSpoons(&d)
	assert.Equal(t, "drawer-is-empty", fault.Code(err))
}

// Ice in the place of water leaves the drink what it was, and cold: by hand,
// 334 J/g and the heat of its own water.
func TestIceTakesThePlaceOfWater(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup rolled oats", "1000 g water")
	d.Method.WaterC = 15
	r := reckontest.Reckoned(t, d)
	assert.InDelta(t, 16.2, r.Chill.GroundC, 1, "oats at 20 °C in water at 15, and 30 s of a blender")
	iced, err := WithIce(&d)
	require.NoError(t, err)
	after := reckontest.Reckoned(t, *iced)
	assert.InEpsilon(t, r.Drink.VolumeML, after.Drink.VolumeML, .01)
	require.Len(t, iced.Lines, 3)
	assert.InDelta(t, r.Chill.IceG, after.Lines[2].MassG, 20)
	assert.InDelta(t, 4, after.Made.IcedC, .1, "cold, by the balance")
	_, err = WithIce(iced)
	assert.Equal(t, "no-ice-needed", fault.Code(err), "asked again, nothing changes")
	water := ingredient.Content{ingredient.Water: 1000}
	ice := process.IceForWaterG(water, 20, 4)
	assert.InEpsilon(t, (1000-ice)*4.18*16, ice*(334+4.2*4), .02)
	_, err = func() (*reckon.Drink, error) { none := reckontest.Drink(t, "1 cup oats"); return WithIce(&none) }()
	require.Error(t, err)
}

// Coffee in the place of milk is not swapped by its fat: next to nothing would do.
func TestALeanLiquidIsSwappedByVolume(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup pecans", "2 cups water", "1 cup coffee")
	out, err := Swap(&d, 2, named(t, "coconut-milk-can"), "")
	require.NoError(t, err)
	assert.Equal(t, EqualVolume, out.How)
}

// Equal wordings give equal results: soaked before the noun is soaked volume or
// mass, after it dry.
func TestEqualWordingsGiveEqualResults(t *testing.T) {
	t.Parallel()
	massG := func(text string) float64 {
		return reckontest.Reckoned(t, reckontest.Drink(t, text, "4 cups water")).Lines[0].MassG
	}
	assert.InEpsilon(t, massG("1 cup soaked almonds"), massG("one cup of soaked almonds"), 1e-9)
	assert.Less(t, massG("1 cup soaked almonds"), massG("1 cup almonds, soaked"))
	assert.InEpsilon(t, 150/1.45, massG("150 g of soaked almonds"), 1e-9)
	assert.InEpsilon(t, 150., massG("150 g almonds, soaked"), 1e-9)
}
