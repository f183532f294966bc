package reckon

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/say"
)

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

// Scaling by a and then by b is scaling by a·b, in both spice schools: it is
// always done from the size that was stored.
func TestScalingTwiceIsScalingOnce(t *testing.T) {
	t.Parallel()
	for _, school := range []recipe.SpiceSchool{recipe.Linear, recipe.Eased} {
		for _, ab := range [][2]float64{{2, 3}, {.5, 2}, {1.7, 4.1}, {3, 1. / 3}} {
			d := drinkOf(t, append(flask, "1/4 tsp clove")...)
			d.Spices = school
			d.Size = recipe.Size{By: recipe.ByTimes, Value: ab[0]}
			once := d
			d.Size.Value *= ab[1]
			once.Size = recipe.Size{By: recipe.ByTimes, Value: ab[0] * ab[1]}
			got, want := reckoned(t, d), reckoned(t, once)
			for n := range want.Lines {
				assert.InEpsilon(t, want.Lines[n].MassG, got.Lines[n].MassG, 1e-12)
			}
		}
	}
}

func TestCompareSaysWhatDiffersFirst(t *testing.T) {
	t.Parallel()
	a, b := reckoned(t, drinkOf(t, flask...)), reckoned(t, drinkOf(t, append(flask, "3 tbsp honey")...))
	rows := Compare(a, b)
	same := false
	for _, row := range rows {
		assert.False(t, same && row.Differs, "%s differs and stands behind what does not", row.Name)
		same = same || !row.Differs
	}
	assert.Equal(t, say.Written("Honey"), rows[0].Name)
	assert.True(t, math.Abs(rows[0].B-rows[0].A) > 1)
	for _, row := range Compare(a, a) {
		assert.False(t, row.Differs, row.Name)
	}
}

func TestCost(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "100 g pecans", "500 g water", "20 g maple syrup")
	d.Prices = Prices{"pecan": PerGram(6, 500, 1), "maple-syrup": PerGram(4, 250, 1)}
	c := reckoned(t, d).Cost
	assert.InDelta(t, 100*.012+20*.016, c.Batch, 1e-9)
	assert.InDelta(t, c.Batch/reckoned(t, d).Drink.VolumeML*1000, c.PerLitre, 1e-9)
	assert.Empty(t, c.Unpriced)
	assert.InDelta(t, .024, PerGram(6, 500, .5), 1e-12, "half of it is shell")
	d.Prices = Prices{}
	c = reckoned(t, d).Cost
	assert.False(t, c.Known)
	assert.Equal(t, []string{"Pecans", "Maple syrup"}, c.Unpriced)
}

func TestTheRawMark(t *testing.T) {
	t.Parallel()
	tests := []struct {
		lines   []string
		way     func(*Drink)
		kept    bool
		warmest string
	}{
		{[]string{"1 cup almonds", "3 cups water"}, func(*Drink) {}, true, "raw-kitchen"},
		{[]string{"1 cup almonds", "3 cups water"}, func(d *Drink) { d.Method.WaterC = 45; d.Method.Seconds = 120 }, false, "raw-blender"},
		{[]string{"1 cup almonds", "3 cups water"}, func(d *Drink) { d.Method.Seconds, d.Method.WarmsC = 120, 5 }, true, "raw-blender"},
		{[]string{"1 cup roasted almonds", "3 cups water"}, func(*Drink) {}, false, "raw-roasted(Almonds)"},
		{[]string{"1 cup almonds", "3 cups boiling water"}, func(*Drink) {}, false, "raw-water"},
		{[]string{"1 cup almonds", "3 cups water"}, func(d *Drink) { d.Method.Heat = process.UnderIt }, false, "raw-pan"},
	}
	for _, tt := range tests {
		d := drinkOf(t, tt.lines...)
		assert.Nil(t, reckoned(t, d).Raw, "it is not marked")
		d.RawLimitC = DefaultRawC
		tt.way(&d)
		raw := reckoned(t, d).Raw
		require.NotNil(t, raw)
		assert.Equal(t, tt.kept, raw.Kept, "%v: %+v", tt.lines, raw)
		assert.Equal(t, tt.warmest, raw.Warmest.String())
	}
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

var flask = []string{"1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup", "1 small date", "1/2 tsp cardamom after straining", "1 tsp vanilla", "1 tbsp coconut oil", "1/8 tsp salt"}

// What is crushed dry and poured on steeps: nothing soaks first, and hot water is in no blender.
func TestACrushedBaseIsNeitherSoakedNorBlendedHot(t *testing.T) {
	t.Parallel()
	for _, coarse := range []bool{false, true} {
		d := drinkOf(t, "1 cup white rice", "4 cups hot water")
		d.Method.Coarse = coarse
		r, err := d.Reckon()
		require.NoError(t, err)
		isHot := slices.ContainsFunc(r.Cautions, func(c caution.Caution) bool { return c.Code == "hot-blend" })
		assert.Equal(t, !coarse, isHot)
		assert.Equal(t, coarse, r.Contributions()[0].Code == "goes-in-dry")
	}
}
