package serve

import (
	"math"
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
	"plushladle/core/solve"
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
	d := reckontest.Drink(t, "1 cup pecans", "2 cups water")
	r := reckontest.Reckoned(t, d)
	want := FatToReach(r.Drink.MassG, r.Batch.Finished[ingredient.Fat], .105)
	out, err := solve.Dials(&d, solve.Turn{To: map[reckon.DialName]float64{reckon.Fat: 10.5}})
	require.NoError(t, err)
	assert.InEpsilon(t, want, reckontest.Reckoned(t, out.Drink).Lines[2].MassG, 1e-3)
}

func TestLadderGoesDownRungByRung(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "2 cups cashews", "2 cups water", "40 g coconut oil"))
	rungs := Ladder(r)
	require.Greater(t, len(rungs), 5)
	for n := 1; n < len(rungs); n++ {
		assert.GreaterOrEqual(t, rungs[n].WaterG, rungs[n-1].WaterG)
		assert.LessOrEqual(t, rungs[n].FatPct, rungs[n-1].FatPct+1e-9)
	}
	for _, rung := range rungs {
		if rung.Name.Code == "dairy-half-and-half" {
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
		d := reckontest.Drink(t, "1 cup pecans", "4 cups water")
		d.Lines[1].Amount = quantity.Of(4*eighths/8, quantity.Cup)
		assert.Equal(t, recipe.Creamer, reckontest.Reckoned(t, d).Kind)
	}
	assert.Equal(t, recipe.Milk, reckontest.Reckoned(t, reckontest.Drink(t, "1 cup pecans", "4 cups water")).Kind)
}

func TestSecondPressing(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "2 cups almonds", "2 cups water"))
	second, err := PressAgain(r, 500)
	require.NoError(t, err)
	assert.InDelta(t, 500*.98+25, second.ML, 25, "a little more than went in: the solids give up some more")
	assert.Less(t, second.FatPct, r.FatPct)
	assert.Positive(t, second.FatPct)
	_, err = PressAgain(r, -1)
	require.Error(t, err)
	whole := reckontest.Drink(t, "1 cup cashews", "3 cups water")
	whole.Method.Strainer = process.None
	_, err = PressAgain(reckontest.Reckoned(t, whole), 100)
	require.Error(t, err, "what is not strained leaves no pulp")
	_, err = PressAgain(reckontest.Reckoned(t, reckontest.Drink(t, "1 cup carton oat milk")), 100)
	require.Error(t, err)
}

func TestSplitsAddUpToTheBase(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup sunflower seeds", "4 cups water", "1/8 tsp salt")
	whole := reckontest.Reckoned(t, d)
	parts, err := Split(&d, []recipe.Portion{
		{Name: "peppered flask", ML: 300, Lines: reckontest.Drink(t, "1 tbsp cocoa", "a pinch of black pepper").Lines},
		{Name: "plain bottle"},
	})
	require.NoError(t, err)
	flask, plain := reckontest.Reckoned(t, parts[0]), reckontest.Reckoned(t, parts[1])
	assert.InDelta(t, 300, flask.Drink.VolumeML, 8, "what joins it takes up room")
	assert.InEpsilon(t, whole.Drink.VolumeML-300, plain.Drink.VolumeML, 2e-3)
	assert.Contains(t, parts[0].Lines[4].Ingredient.ID, "pepper")
	assert.InDelta(t, whole.FatPct, plain.FatPct, .01)
	assert.Less(t, flask.Keeps.CautiousDays, plain.Keeps.CautiousDays, "cocoa keeps less")
	for field, portions := range map[string][]recipe.Portion{
		"portions": {{Name: "one"}}, "portions[1].name": {{Name: "a"}, {}}, "portions[0].ml": {{Name: "a", ML: 1e6}, {Name: "b"}},
	} {
		_, err := Split(&d, portions)
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
	_, err = Split(&d, []recipe.Portion{{Name: "a", ML: 500}, {Name: "b", ML: 500}})
	assert.Equal(t, "portions-over-base", fault.Code(err))
}

func TestInTheCup(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, reckontest.Flask...))
	cup, err := Serve(r, Cup{Into: IntoCoffee, CupC: 75})
	require.NoError(t, err)
	assert.InDelta(t, 30, cup.SpoonML, 1e-9)
	assert.InDelta(t, 228, cup.TotalML, 4)
	// By hand, both taken as water: (200·75 + 30·4)/230 = 65.7 °C.
	assert.InDelta(t, 65.7, cup.FinalC, 1)
	assert.Equal(t, "low", cup.SplitRisk)
	hot, err := Serve(r, Cup{Into: IntoCoffee, CupC: 92, Acid: true})
	require.NoError(t, err)
	assert.Equal(t, "high", hot.SplitRisk)
	assert.Len(t, hot.SplitReasons, 2)
	// Ice: 240 g of near water from 4 °C give 240·4.2·4 J, which melts 12 g.
	ice, err := Serve(reckontest.Reckoned(t, reckontest.Drink(t, "1 cup almonds", "4 cups water")), Cup{Into: OverIce, CupC: 4})
	require.NoError(t, err)
	assert.InDelta(t, 12, ice.MeltedG, .7)
	for field, c := range map[string]Cup{"into": {Into: "soup"}, "cupC": {Into: IntoCoffee, CupC: 140}, "cupML": {Into: IntoWater, CupML: -1}, "spoonML": {Into: IntoWater, SpoonML: math.NaN()}} {
		_, err := Serve(r, c)
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
}

// A base is ground and heated in one, and divided after: its parts are together
// what it is whole.
func TestTheHeatBeforeASplitHappensOnce(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup soybeans", "6 cups water", "2 tbsp sugar")
	whole := reckontest.Reckoned(t, d)
	parts, err := Split(&d, []recipe.Portion{{Name: "plain"}, {Name: "other", ML: 300}})
	require.NoError(t, err)
	ml, steam := 0., 0.
	for _, part := range parts {
		r := reckontest.Reckoned(t, part)
		ml, steam = ml+r.Drink.VolumeML, steam+r.SteamG
	}
	assert.InEpsilon(t, whole.Drink.VolumeML, ml, .002)
	assert.InEpsilon(t, whole.SteamG, steam, .01)
}

// A concentrate is let down by the spoon: 30 mL in 200 of water is a 7.7th of its
// strength, by volume.
func TestAConcentrateIsLetDownByTheSpoon(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "1 cup pistachios", "1 1/2 cups water", "600 g white sugar, after straining"))
	require.Equal(t, recipe.Concentrate, r.Kind)
	two := Ladder(r)[2]
	assert.Equal(t, "spoons-to-a-glass(2)", two.Name.String())
	assert.InEpsilon(t, r.Per100mL.SucroseEquivalentG*30/230, two.SweetG, .02)
}

func standard(id string) *ingredient.Ingredient {
	i, _ := ingredient.Standard().ByID(id)
	return i
}
