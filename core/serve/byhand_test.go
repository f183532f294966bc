package serve

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
)

// M·(c/c′ − 1) by hand: 500 g at 40 % come to 20 % with as much water again, to 25 % with three
// fifths of it. What is weaker already takes none, and no water makes nothing of something.
func TestWaterToLetDown(t *testing.T) {
	t.Parallel()
	for _, c := range []struct{ massG, from, to, waterG float64 }{
		{500, 40, 20, 500}, {500, 40, 25, 300}, {500, .8, .4, 500}, {500, 20, 20, 0}, {500, 20, 40, 0}, {500, 20, 0, 0}, {500, 20, -1, 0},
	} {
		assert.InDelta(t, c.waterG, LetDown(c.massG, c.from, c.to), 1e-9, c)
	}
}

// What makes a plant milk split, each at its edge: hotter than 80 °C, older than three fifths of
// its cautious life, leaner than 4 %, sour coffee, sour drink. One may, two will.
func TestWhatSplits(t *testing.T) {
	t.Parallel()
	rich := reckontest.Reckoned(t, reckontest.Drink(t, "2 cups cashews", "3 cups water"))
	require.Greater(t, rich.FatPct, 4.)
	old := .6 * rich.Keeps.CautiousDays
	lean := reckontest.Reckoned(t, reckontest.Drink(t, "1 cup oats", "4 cups water"))
	require.Less(t, lean.FatPct, 4.)
	four := *rich
	four.FatPct = 4
	sour := reckontest.Reckoned(t, reckontest.Drink(t, "2 cups cashews", "3 cups water", "3 tbsp lemon juice"))
	for _, c := range []struct {
		r       *reckon.Reckoning
		cup     Cup
		risk    string
		reasons []string
	}{
		{rich, Cup{CupC: 80, AgeDays: old}, "low", nil},
		{&four, Cup{}, "low", nil},
		{rich, Cup{CupC: 80.1}, "some", []string{"splits-hot"}},
		{rich, Cup{AgeDays: old + .01}, "some", []string{"splits-old"}},
		{rich, Cup{Acid: true}, "some", []string{"splits-acidic"}},
		{lean, Cup{}, "some", []string{"splits-lean"}},
		{sour, Cup{}, "some", []string{"splits-juice"}},
		{lean, Cup{Acid: true}, "high", []string{"splits-acidic", "splits-lean"}},
	} {
		c.cup.Into = IntoCoffee
		got, err := Serve(c.r, c.cup)
		require.NoError(t, err)
		assert.Equal(t, c.risk, got.SplitRisk, c.cup)
		var codes []string
		for _, reason := range got.SplitReasons {
			codes = append(codes, reason.Code)
		}
		assert.Equal(t, c.reasons, codes, c.cup)
	}
}

// The heat of both, by hand, where nearly all is water: 30 mL from the fridge in 200 of 75 °C.
func TestTheHeatOfACup(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "1 cup almonds", "8 cups water"))
	for into, id := range map[Into]string{IntoCoffee: "coffee", IntoWater: "water", IntoMilk: "dairy-milk"} {
		got, err := Serve(r, Cup{Into: into, SpoonML: 30, CupC: 75})
		require.NoError(t, err)
		assert.InDelta(t, (200*75+30*4)/230., got.FinalC, .25, into)
		of, _ := ingredient.Standard().ByID(id)
		mine := r.Batch.Finished.Times(30 / r.Drink.VolumeML)
		assert.InDelta(t, 200*of.BulkGPerML*of.PerGram[ingredient.Fat]+mine[ingredient.Fat],
			got.FatPct/100*(200*of.BulkGPerML*of.PerGram.MassG()+mine.MassG()), 1e-6, into)
	}
	for _, c := range []struct {
		cup   Cup
		field string
	}{
		{Cup{Into: IntoWater, SpoonML: .1, CupML: .1}, ""}, {Cup{Into: IntoWater, AgeDays: 400}, ""}, {Cup{Into: IntoWater, AgeDays: 400.1}, "ageDays"},
		{Cup{Into: IntoWater, AgeDays: -.1}, "ageDays"}, {Cup{Into: IntoWater}, ""},
	} {
		_, err := Serve(r, c.cup)
		var e *fault.Error
		if c.field == "" {
			assert.NoError(t, err, c.cup)
			continue
		}
		require.ErrorAs(t, err, &e)
		assert.Equal(t, c.field, e.Field, c.cup)
	}
}

// A litre of a base in twelve jugs, and not in thirteen; those that take no share of their own
// share what is left alike.
func TestSharesOfABase(t *testing.T) {
	t.Parallel()
	jugs := func(ml ...float64) (portions []recipe.Portion) {
		for n, ml := range ml {
			portions = append(portions, recipe.Portion{Name: fmt.Sprint(n), ML: ml})
		}
		return portions
	}
	for _, c := range []struct {
		ml   []float64
		want []float64
		code string
	}{
		{[]float64{250, 750}, []float64{.25, .75}, ""},
		{[]float64{400, 0, 0}, []float64{.4, .3, .3}, ""},
		{[]float64{0, 0}, []float64{.5, .5}, ""},
		{[]float64{250, 750.05}, []float64{.25, .75005}, ""}, // a rounded figure is not too much
		{[]float64{250, 750.2}, nil, "portions-over-base"},
		{[]float64{1000, 0}, nil, "portions-over-base"},
		{[]float64{999, 0}, []float64{.999, .001}, ""},
		{[]float64{1000.2, 0}, nil, "more-than-there-is"},
		{[]float64{-1, 0}, nil, "more-than-there-is"},
		{[]float64{1000}, nil, "portions-out-of-range"},
		{make([]float64, 12), []float64{1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12., 1 / 12.}, ""},
		{make([]float64, 13), nil, "portions-out-of-range"},
		{[]float64{.25, .75}, []float64{.00025, .00075}, ""},
	} {
		shares, err := sharesOf(jugs(c.ml...), 1000)
		assert.Equal(t, c.code, fault.Code(err), c.ml)
		assert.InDeltaSlice(t, c.want, shares, 1e-9, c.ml)
	}
}

// Half cream of 36 % and half milk of 3.25 %, in round figures: at 19.625 % as much of each by
// mass; and oil to reach a fat: 1000 g with 20 g of it reach 5 % with 31.6 g more.
func TestABlendByHand(t *testing.T) {
	t.Parallel()
	cream := &ingredient.Ingredient{PerGram: ingredient.Content{ingredient.Fat: .4, ingredient.Water: .6}, BulkGPerML: .98}
	milk := &ingredient.Ingredient{PerGram: ingredient.Content{ingredient.Fat: .04, ingredient.Water: .96}, BulkGPerML: 1.03}
	got, err := BlendTwo(cream, milk, ForFat, 22, 500)
	require.NoError(t, err)
	assert.InDelta(t, got.AG, got.BG, 1e-9)
	assert.InDelta(t, 22, got.FatPct, 1e-9)
	assert.InDelta(t, 22, got.SolidsPct, 1e-9, "all that is not water is fat")
	assert.InDelta(t, got.AG/.98, got.AML, 1e-9)
	assert.InDelta(t, got.BG/1.03, got.BML, 1e-9)
	assert.InDelta(t, 490, got.AG+got.BG, 12, "near the mass of 500 mL of water and fat")
	quarter, err := BlendTwo(cream, milk, ForSolids, 13, 500)
	require.NoError(t, err)
	assert.InDelta(t, 3*quarter.AG, quarter.BG, 1e-9)
	for _, volumeML := range []float64{0, -1, recipe.MaxScaleG * 1.01} {
		_, err = BlendTwo(cream, milk, ForFat, 22, volumeML)
		assert.Equal(t, "volume-out-of-range", fault.Code(err))
	}
	_, err = BlendTwo(cream, milk, ForFat, 22, .5)
	assert.NoError(t, err)
	_, err = BlendTwo(cream, milk, "salt", 22, 500)
	assert.Equal(t, "unknown-blend", fault.Code(err))
	for _, target := range []float64{3.9, 40.1} {
		_, err = BlendTwo(cream, milk, ForFat, target, 500)
		assert.Equal(t, "not-between-the-two", fault.Code(err))
	}
	solids, err := BlendTwo(&ingredient.Ingredient{PerGram: ingredient.Content{ingredient.Fat: .3, ingredient.Protein: .1, ingredient.Water: .6}, BulkGPerML: 1}, milk, ForSolids, 22, 500)
	require.NoError(t, err)
	assert.InDelta(t, solids.AG, solids.BG, 1e-9, "by what is not water: 40 and 4")
	assert.InDelta(t, 17, solids.FatPct, 1e-9, "of which 30 and 4 are fat")
	aG, bG, err := Square(40, 4, 40, 100)
	require.NoError(t, err)
	assert.Equal(t, [2]float64{100, 0}, [2]float64{aG, bG})
	_, _, err = Square(4, 4, 4, 100)
	assert.Error(t, err, "two that are alike make nothing between them")
	assert.InDelta(t, 30/.95, FatToReach(1000, 20, .05), 1e-9)
}

// Another size keeps the dials within a hundredth, in whatever pan and for however long. What is
// boiled down to a half and less in one is not quite that: less water to grind in also leaves more
// in the pulp. It is never another drink.
func TestAnotherSizeKeepsTheDials(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(10, 30))
	held, sized := 0, 0
	for range 600 {
		d := reckontest.Random(t, random.IntN)
		d.Size = recipe.Size{}
		as := reckontest.Reckoned(t, d)
		d.Size = recipe.Size{By: recipe.ByTimes, Value: .4 + 3*random.Float64()}
		at := reckontest.Reckoned(t, d)
		for _, two := range [][2]float64{{as.FatPct, at.FatPct}, {as.Per100mL.SucroseEquivalentG, at.Per100mL.SucroseEquivalentG}} {
			assert.InDelta(t, two[0], two[1], .2*two[0]+.01, "× %g %+v %v", d.Size.Value, d.Method, d.Lines)
			if sized++; math.Abs(two[1]-two[0]) <= .01*two[0] {
				held++
			}
		}
	}
	assert.Greater(t, float64(held), .95*float64(sized))
}

// What is kept as a note, or not understood, goes into each part as it is written.
func TestNotesAreDividedAsTheyAre(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water", "2 cups of joy", "3 cups of patience")
	d.Lines[3].Kept = true
	parts, err := Split(&d, []recipe.Portion{{Name: "a"}, {Name: "b"}})
	require.NoError(t, err)
	for _, part := range parts {
		assert.Equal(t, "2 cups", part.Lines[2].Amount.String())
		assert.Equal(t, "3 cups", part.Lines[3].Amount.String())
		assert.True(t, part.Lines[3].Kept)
	}
}

// Dividing changes nothing but what joins: the parts together are the whole, and each is as sweet
// and as fat as it, however it is cooked and whatever its size.
func TestADividedDrinkIsTheWhole(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(10, 29))
	divided := 0
	for range 300 {
		d := reckontest.Random(t, random.IntN)
		whole := reckontest.Reckoned(t, d)
		if whole.Drink == nil {
			continue
		}
		parts, err := Split(&d, []recipe.Portion{{Name: "a", ML: whole.Drink.VolumeML * (.2 + .5*random.Float64())}, {Name: "b"}, {Name: "c"}})
		require.NoError(t, err)
		ml, fatG, sweetG := 0., 0., 0.
		for _, part := range parts {
			r := reckontest.Reckoned(t, part)
			require.NotNil(t, r.Drink, "%v", d)
			ml, fatG, sweetG = ml+r.Drink.VolumeML, fatG+r.Batch.Finished[ingredient.Fat], sweetG+r.Batch.Finished.SucroseEquivalentG()
			assert.InDelta(t, whole.FatPct, r.FatPct, .01*whole.FatPct+.01, "%s of %+v", part.Name, d.Method)
			for what, two := range map[string][2]float64{"ground": {whole.Made.GroundC, r.Made.GroundC}, "iced": {whole.Made.IcedC, r.Made.IcedC}, "heated": {whole.Made.HeatedC, r.Made.HeatedC}} {
				assert.InDelta(t, two[0], two[1], .2, "%s at one temperature, whose part it is: %s of %+v", what, part.Name, d.Method)
			}
		}
		assert.InEpsilon(t, whole.Drink.VolumeML, ml, .005, "%+v", d.Method)
		assert.InDelta(t, whole.Batch.Finished[ingredient.Fat], fatG, .01*fatG+.05)
		assert.InDelta(t, whole.Batch.Finished.SucroseEquivalentG(), sweetG, .01*sweetG+.05)
		divided++
	}
	assert.Greater(t, divided, 200)
}
