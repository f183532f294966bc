package formula

import (
	"fmt"
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
)

// Source: Wagner & Stanton, "Formulating Rations with the Pearson Square",
// Colorado State University Extension fact sheet 1.618, from memory: 14 % from
// 45 % and 10 % is 4 parts to 31, 11.43 % and 88.57 %.
func TestPearsonSquare(t *testing.T) {
	t.Parallel()
	a, b, err := Square(45, 10, 14, 100)
	require.NoError(t, err)
	assert.InDelta(t, 11.43, a, .005)
	assert.InDelta(t, 88.57, b, .005)
	for _, target := range []float64{9.9, 45.1, math.NaN()} {
		_, _, err := Square(45, 10, target, 100)
		var e *fault.Error
		require.ErrorAs(t, err, &e)
		assert.Equal(t, "target", e.Field)
	}
	milk, err := BlendTwo(standard("coconut-milk-can"), standard("carton-oat"), ForFat, 10.5, 500)
	require.NoError(t, err)
	assert.InDelta(t, 10.5, milk.FatPct, 1e-9)
	assert.InDelta(t, 500, milk.AML+milk.BML, 10)
}

// Oil to reach t from fat F in mass M is (tM − F)/(1 − t): by hand, 20.9 g in
// 1000 g with 86 g of fat for 10.5 %.
func TestOilToReachAFat(t *testing.T) {
	t.Parallel()
	assert.InDelta(t, (105-86)/.895, FatToReach(1000, 86, .105), 1e-9)
	d := drinkOf(t, "1 cup pecans", "2 cups water")
	r := reckoned(t, d)
	want := FatToReach(r.Drink.MassG, r.batch.finished[ingredient.Fat], .105)
	out, err := d.Turn(Turn{To: map[DialName]float64{Fat: 10.5}})
	require.NoError(t, err)
	assert.InEpsilon(t, want, reckoned(t, out.Drink).Lines[2].MassG, 1e-3)
}

func TestLadderGoesDownRungByRung(t *testing.T) {
	t.Parallel()
	r := reckoned(t, drinkOf(t, "2 cups cashews", "2 cups water", "40 g coconut oil"))
	rungs := r.Ladder()
	require.Greater(t, len(rungs), 5)
	for n := 1; n < len(rungs); n++ {
		assert.GreaterOrEqual(t, rungs[n].WaterG, rungs[n-1].WaterG)
		assert.LessOrEqual(t, rungs[n].FatPct, rungs[n-1].FatPct+1e-9)
	}
	for _, rung := range rungs {
		if rung.Name == "half-and-half" {
			assert.InDelta(t, 10.5, rung.FatPct, 1e-6, "21 CFR 131.180")
		}
	}
	assert.InDelta(t, 100, LetDown(100, 20, 10), 1e-9)
	assert.Zero(t, LetDown(100, 10, 20))
}

// A creamer is the same base with three eighths to a half of a milk's water
// (common practice, no source).
func TestACreamerIsAMilkWithLessWater(t *testing.T) {
	t.Parallel()
	for _, eighths := range []float64{3, 4} {
		d := drinkOf(t, "1 cup pecans", "4 cups water")
		d.Lines[1].Amount = quantity.Of(4*eighths/8, quantity.Cup)
		assert.Equal(t, recipe.Creamer, reckoned(t, d).Kind)
	}
	assert.Equal(t, recipe.Milk, reckoned(t, drinkOf(t, "1 cup pecans", "4 cups water")).Kind)
}

func TestSecondPressing(t *testing.T) {
	t.Parallel()
	r := reckoned(t, drinkOf(t, "2 cups almonds", "2 cups water"))
	second, err := r.PressAgain(500)
	require.NoError(t, err)
	assert.InDelta(t, 500*.98+25, second.ML, 25, "a little more than went in: the solids give up some more")
	assert.Less(t, second.FatPct, r.FatPct)
	assert.Positive(t, second.FatPct)
	_, err = r.PressAgain(-1)
	require.Error(t, err)
	_, err = reckoned(t, drinkOf(t, "1 cup carton oat milk")).PressAgain(100)
	require.Error(t, err)
}

func TestTrialCup(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup pecans", "4 cups water")
	ml := reckoned(t, d).Drink.VolumeML
	cup := drinkOf(t, "1 tsp maple syrup").Lines
	out, err := d.TryCup(Trial{CupML: 100, Lines: cup})
	require.NoError(t, err)
	g := out.Additions[0].InCupG
	assert.InDelta(t, ml-100, out.RestML, 1e-9)
	assert.InEpsilon(t, g/100*(ml-100), out.Additions[0].ToRestG, 1e-9)
	r := reckoned(t, out.Drink)
	assert.InEpsilon(t, g/100*ml, r.Lines[2].MassG, 1e-3)
	for field, trial := range map[string]Trial{
		"cupML": {CupML: 5000, Lines: cup}, "lines[0].ingredient": {CupML: 100, Lines: []recipe.Line{{Name: "dust"}}},
		"lines[0].amount": {CupML: 100, Lines: []recipe.Line{{Ingredient: standard("salt"), Name: "salt"}}},
	} {
		_, err := d.TryCup(trial)
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
}

func TestSplitsAddUpToTheBase(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup sunflower seeds", "4 cups water", "1/8 tsp salt")
	whole := reckoned(t, d)
	parts, err := d.Split([]Portion{
		{Name: "peppered flask", ML: 300, Lines: drinkOf(t, "1 tbsp cocoa", "a pinch of black pepper").Lines},
		{Name: "plain bottle"},
	})
	require.NoError(t, err)
	flask, plain := reckoned(t, parts[0]), reckoned(t, parts[1])
	assert.InDelta(t, 300, flask.Drink.VolumeML, 8, "what joins it takes up room")
	assert.InEpsilon(t, whole.Drink.VolumeML-300, plain.Drink.VolumeML, 2e-3)
	assert.Contains(t, parts[0].Lines[4].Ingredient.ID, "pepper")
	assert.InDelta(t, whole.FatPct, plain.FatPct, .01)
	assert.Less(t, flask.Keeps.CautiousDays, plain.Keeps.CautiousDays, "cocoa keeps less")
	for field, portions := range map[string][]Portion{
		"portions": {{Name: "one"}}, "portions[1].name": {{Name: "a"}, {}}, "portions[0].ml": {{Name: "a", ML: 1e6}, {Name: "b"}},
	} {
		_, err := d.Split(portions)
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
	_, err = d.Split([]Portion{{Name: "a", ML: 500}, {Name: "b", ML: 500}})
	require.ErrorContains(t, err, "there are")
}

func TestInTheCup(t *testing.T) {
	t.Parallel()
	r := reckoned(t, drinkOf(t, flask...))
	cup, err := r.Serve(Cup{Into: IntoCoffee, CupC: 75})
	require.NoError(t, err)
	assert.InDelta(t, 30, cup.SpoonML, 1e-9)
	assert.InDelta(t, 228, cup.TotalML, 4)
	// By hand, both taken as water: (200·75 + 30·4)/230 = 65.7 °C.
	assert.InDelta(t, 65.7, cup.FinalC, 1)
	assert.Equal(t, "low", cup.SplitRisk)
	hot, err := r.Serve(Cup{Into: IntoCoffee, CupC: 92, Acid: true})
	require.NoError(t, err)
	assert.Equal(t, "high", hot.SplitRisk)
	assert.Len(t, hot.SplitReasons, 2)
	// Ice: 240 g of near water from 4 °C give 240·4.2·4 J, which melts 12 g.
	ice, err := reckoned(t, drinkOf(t, "1 cup almonds", "4 cups water")).Serve(Cup{Into: OverIce, CupC: 4})
	require.NoError(t, err)
	assert.InDelta(t, 12, ice.MeltedG, .7)
	for field, c := range map[string]Cup{"into": {Into: "soup"}, "cupC": {Into: IntoCoffee, CupC: 140}, "cupML": {Into: IntoWater, CupML: -1}, "spoonML": {Into: IntoWater, SpoonML: math.NaN()}} {
		_, err := r.Serve(c)
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
}

func TestMatchFigures(t *testing.T) {
	t.Parallel()
	found, err := Match(Figures{FatG: 6, SugarsG: 5, ProteinG: 1.5}, New(""), ingredient.Standard())
	require.NoError(t, err)
	require.Len(t, found, 3)
	assert.Empty(t, found[0].Unmet)
	assert.InDelta(t, 6, found[0].Reached.FatG, .1)
	r := reckoned(t, found[0].Drink)
	assert.InDelta(t, 1.5, r.Per100mL.ProteinG, .1, "what is proposed is what was reckoned")
	assert.InDelta(t, 1000, r.Drink.VolumeML, 5)
	impossible, err := Match(Figures{ProteinG: 40}, New(""), ingredient.Standard())
	require.NoError(t, err)
	assert.NotEmpty(t, impossible[0].Unmet)
	for _, bad := range []Figures{{}, {FatG: -1}, {SugarsG: 90}, {ProteinG: math.NaN()}} {
		_, err := Match(bad, New(""), ingredient.Standard())
		require.Error(t, err)
	}
}

func TestNudgeToSpoonsThatExist(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "148 g pecans", "690 g water", "37 g maple syrup", "1/2 tsp cardamom", "1/8 tsp salt")
	drawer, err := quantity.Reader{}.NewDrawer([]string{"1 cup", "1/2 cup", "1 tbsp", "1 tsp", "1/4 tsp"}, quantity.US, 0)
	require.NoError(t, err)
	d.Drawer = &drawer
	out, err := d.Nudge()
	require.NoError(t, err)
	assert.Equal(t, "2 tbsp", out.Drink.Lines[2].Amount.String(), "%v", out)
	before, after := reckoned(t, d), reckoned(t, out.Drink)
	assert.Equal(t, before.Dials[0].Band, after.Dials[0].Band)
	assert.Equal(t, before.Dials[1].Band, after.Dials[1].Band)
	assert.InEpsilon(t, before.Drink.VolumeML, after.Drink.VolumeML, .03)
	assert.Equal(t, "2 × ¼ tsp", before.Lines[3].Scoop.Text)
	assert.Equal(t, "half of ¼ tsp", before.Lines[4].Scoop.Text)
	d = drinkOf(t, "1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup")
	d.Drawer, d.Size = &drawer, recipe.Size{By: recipe.ByVolume, Value: 620}
	out, err = d.Nudge()
	require.NoError(t, err)
	require.NotEmpty(t, out.Changes, "at a size that no spoon fits")
	assert.InEpsilon(t, 620, reckoned(t, out.Drink).Drink.VolumeML, .03)
	d.Drawer = nil
	_, err = d.Nudge()
	require.ErrorContains(t, err, "no measures in the drawer")
}

// Ice in the place of water leaves the drink what it was, and cold: by hand,
// 334 J/g and the heat of its own water.
func TestIceTakesThePlaceOfWater(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup rolled oats", "1000 g water")
	d.Method.WaterC = 15
	r := reckoned(t, d)
	assert.InDelta(t, 16.2, r.Chill.GroundC, 1, "oats at 20 °C in water at 15, and 30 s of a blender")
	iced, err := d.WithIce()
	require.NoError(t, err)
	after := reckoned(t, *iced)
	assert.InEpsilon(t, r.Drink.VolumeML, after.Drink.VolumeML, .01)
	require.Len(t, iced.Lines, 3)
	assert.InDelta(t, r.Chill.IceG, after.Lines[2].MassG, 20)
	assert.InDelta(t, 4, after.Made.IcedC, .1, "cold, by the balance")
	_, err = iced.WithIce()
	require.ErrorContains(t, err, "cold", "asked again, nothing changes")
	water := ingredient.Content{ingredient.Water: 1000}
	ice := process.IceForWaterG(water, 20, 4)
	assert.InEpsilon(t, (1000-ice)*4.18*16, ice*(334+4.2*4), .02)
	_, err = func() (*Drink, error) { none := drinkOf(t, "1 cup oats"); return none.WithIce() }()
	require.Error(t, err)
}

func TestDecoctionsKeepALeftover(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup pecans", "2 cups water", "2 tbsp chicory root", "1 cup hot water")
	d.Lines[2].Stage, d.Lines[3].Stage = ingredient.Brew, ingredient.Brew
	all := reckoned(t, d)
	d.Method.BrewUsed = .6
	most := reckoned(t, d)
	assert.Equal(t, recipe.Milk, most.Kind)
	assert.Positive(t, most.LeftoverML)
	assert.InDelta(t, all.Drink.VolumeML-most.LeftoverML, most.Drink.VolumeML, 1)
	assert.Zero(t, all.LeftoverML)
}

// 15 kg an hour and square metre off a 20 cm pan is 79 g in ten minutes, and some
// more on the way to the boil (from memory); a hundredth is skimmed off.
func TestCookingBoilsWaterAway(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup soybeans", "6 cups water")
	d.Method.Heat = process.Unheated
	raw := reckoned(t, d)
	d.Method.Heat, d.Method.Minutes = process.Simmer, 10
	boiled := reckoned(t, d)
	assert.InDelta(t, 15000*math.Pi/4*.04/6+11, boiled.SteamG, 3)
	assert.InEpsilon(t, raw.Drink.MassG*.01, boiled.FoamG, 1e-9)
	d.Method.Heat, d.Method.Minutes = process.ByBase, 0
	assert.InEpsilon(t, boiled.Drink.MassG, reckoned(t, d).Drink.MassG, 1e-9, "soy simmers ten minutes without being asked")
	assert.InDelta(t, raw.Drink.MassG-boiled.SteamG-boiled.FoamG, boiled.Drink.MassG, 1e-6)
	assert.False(t, raw.Keeps.Known(), "raw soy has no date")
	assert.InDelta(t, 5+1, boiled.Keeps.CustomaryDays, 1e-9)
}

func TestACoarseInfusionGivesLess(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup white rice", "1/2 cup almonds", "4 cups water, soaking water kept")
	fine := reckoned(t, d)
	d.Method.Coarse = true
	coarse := reckoned(t, d)
	assert.Less(t, coarse.Per100mL.ProteinG, fine.Per100mL.ProteinG)
	assert.Greater(t, coarse.Per100mL.ProteinG, .5*fine.Per100mL.ProteinG)
}

// A base is ground and heated in one, and divided after: its parts are together
// what it is whole.
func TestTheHeatBeforeASplitHappensOnce(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup soybeans", "6 cups water", "2 tbsp sugar")
	whole := reckoned(t, d)
	parts, err := d.Split([]Portion{{Name: "plain"}, {Name: "other", ML: 300}})
	require.NoError(t, err)
	ml, steam := 0., 0.
	for _, part := range parts {
		r := reckoned(t, part)
		ml, steam = ml+r.Drink.VolumeML, steam+r.SteamG
	}
	assert.InEpsilon(t, whole.Drink.VolumeML, ml, .002)
	assert.InEpsilon(t, whole.SteamG, steam, .01)
}

// A cooked drink at another size is as sweet and as fat: the water makes up for
// what a wider or a fuller pan loses.
func TestSizingACookedDrinkKeepsItsDials(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup pecans", "4 cups water", "3 tbsp maple syrup")
	d.Method.Heat, d.Method.Minutes = process.Simmer, 15
	as := reckoned(t, d)
	for _, times := range []float64{.5, 2, 4} {
		d.Size = recipe.Size{By: recipe.ByTimes, Value: times}
		sized := reckoned(t, d)
		assert.InEpsilon(t, as.FatPct, sized.FatPct, .01, "× %v", times)
		assert.InEpsilon(t, as.Per100mL.SucroseEquivalentG, sized.Per100mL.SucroseEquivalentG, .01, "× %v", times)
	}
}

// An eighth of a teaspoon of nutmeg makes no nog, and oats no creamer.
func TestTheKindIsNotGuessedByAPinch(t *testing.T) {
	t.Parallel()
	creamer := reckoned(t, drinkOf(t, "1 cup pecans", "2 cups water", "2 tbsp maple syrup", "1/8 tsp nutmeg"))
	assert.Equal(t, recipe.Creamer, creamer.Kind)
	assert.Equal(t, recipe.Milk, reckoned(t, drinkOf(t, "100 g rolled oats", "400 g water")).Kind)
	d := drinkOf(t, "1 cup pecans", "4 cups water")
	d.Name = "Almond coffee creamer"
	named := reckoned(t, d)
	assert.Equal(t, []any{recipe.Creamer, recipe.KindByName, 30.}, []any{named.Kind, named.KindFrom, named.Servings.SizeML})
	d.Kind = recipe.Cream
	assert.Equal(t, recipe.KindSaid, reckoned(t, d).KindFrom)
	cooler := drinkOf(t, "1 1/2 cups desiccated coconut", "4 cups water", "2 tbsp lime juice")
	assert.Equal(t, recipe.Cooler, reckoned(t, cooler).Kind)
}

// Pieces are wholes and halves, with what is left over by weight and the nearest
// pieces beside it.
func TestPiecesAreWholeOrHalf(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup almonds", "4 cups water", "2 large dates")
	for times, want := range map[float64][2]string{1.5: {"3 pieces", "3 pieces"}, .6: {"1 piece + 4.8 g", "about 1 piece"}, .25: {"½ piece", "½ piece"}} {
		d.Size = recipe.Size{By: recipe.ByTimes, Value: times}
		l := reckoned(t, d).Lines[2]
		assert.Equal(t, want, [2]string{l.Amount.String(), l.Kitchen.String()}, "× %v", times)
	}
}

// Coffee in the place of milk is not swapped by its fat: next to nothing would do.
func TestALeanLiquidIsSwappedByVolume(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 cup pecans", "2 cups water", "1 cup coffee")
	out, err := d.Swap(2, named(t, "coconut-milk-can"), "")
	require.NoError(t, err)
	assert.Equal(t, EqualVolume, out.How)
}

// A concentrate is let down by the spoon: 30 mL in 200 of water is a 7.7th of its
// strength, by volume.
func TestAConcentrateIsLetDownByTheSpoon(t *testing.T) {
	t.Parallel()
	r := reckoned(t, drinkOf(t, "1 cup pistachios", "1 1/2 cups water", "600 g white sugar, after straining"))
	require.Equal(t, recipe.Concentrate, r.Kind)
	two := r.Ladder()[2]
	assert.Equal(t, "2 tablespoons to a glass", two.Name)
	assert.InEpsilon(t, r.Per100mL.SucroseEquivalentG*30/230, two.SweetG, .02)
}

// Water that is only soaked in is poured away, and counts for nothing.
func TestWaterForSoakingIsNotDrink(t *testing.T) {
	t.Parallel()
	plain := reckoned(t, drinkOf(t, "1 cup almonds", "4 cups water"))
	soaking := reckoned(t, drinkOf(t, "1 cup almonds", "2 cups water for soaking", "4 cups water"))
	assert.InEpsilon(t, plain.Drink.VolumeML, soaking.Drink.VolumeML, 1e-9)
	assert.InDelta(t, plain.Ratio.ByVolume, soaking.Ratio.ByVolume, 1e-9)
	assert.Equal(t, ingredient.Soak, soaking.Lines[1].Stage)
	kept := reckoned(t, drinkOf(t, "1 cup almonds", "2 cups water, soaking water kept", "4 cups water"))
	assert.Greater(t, kept.Drink.VolumeML, 1.3*plain.Drink.VolumeML)
}

// Equal wordings give equal results: soaked before the noun is soaked volume or
// mass, after it dry.
func TestEqualWordingsGiveEqualResults(t *testing.T) {
	t.Parallel()
	massG := func(text string) float64 { return reckoned(t, drinkOf(t, text, "4 cups water")).Lines[0].MassG }
	assert.InEpsilon(t, massG("1 cup soaked almonds"), massG("one cup of soaked almonds"), 1e-9)
	assert.Less(t, massG("1 cup soaked almonds"), massG("1 cup almonds, soaked"))
	assert.InEpsilon(t, 150/1.45, massG("150 g of soaked almonds"), 1e-9)
	assert.InEpsilon(t, 150., massG("150 g almonds, soaked"), 1e-9)
}

// Ten per cent more of anything moves no figure by more than thirty, with the kind
// held.
func TestNothingMakesAFigureJump(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(11, 30))
	bases := []string{"almonds", "cashews", "rolled oats", "white rice", "soybeans", "tiger nuts", "hemp seeds", "pecans, unsoaked"}
	for range 400 {
		d := drinkOf(t, fmt.Sprintf("%.0f g %s", 80+200*random.Float64(), bases[random.IntN(len(bases))]), fmt.Sprintf("%.0f g water", 900+1500*random.Float64()),
			fmt.Sprintf("%.0f g maple syrup", 20+60*random.Float64()), fmt.Sprintf("%.0f g coconut oil", 5+20*random.Float64()), "2 g salt")
		d.Kind = recipe.Milk
		d.Method.Strainer = process.Strainers()[random.IntN(len(process.Strainers()))]
		d.Method.Heat = process.Heats[random.IntN(len(process.Heats))]
		d.Method.Minutes = float64(random.IntN(15))
		before := reckoned(t, d)
		for n := range d.Lines {
			more := d
			more.Lines = slices.Clone(d.Lines)
			more.Lines[n].Amount = quantity.Of(before.Lines[n].MassG*1.1, quantity.Gram)
			after := reckoned(t, more)
			for what, pair := range map[string][2]float64{
				"volume": {before.Drink.VolumeML, after.Drink.VolumeML}, "fat": {before.FatPct, after.FatPct},
				"sweetness": {before.Per100mL.SucroseEquivalentG, after.Per100mL.SucroseEquivalentG}, "life": {before.Keeps.CautiousDays, after.Keeps.CautiousDays},
			} {
				assert.LessOrEqual(t, math.Abs(pair[1]-pair[0]), .3*pair[0]+1e-9, "%s by %s, strained by %v", what, d.Lines[n].Name, d.Method.Strainer)
			}
		}
	}
}
