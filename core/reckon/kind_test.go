package reckon

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// Where a guess of the kind turns, on either side of each turn. Modelling assumptions, from the
// figures of `guessKind`: 40 g of sugar in 100 mL, .8 g of nutmeg a litre, half the liquid brewed, 18
// and 7 % of fat, three and a half times as much water as nuts.
func TestWhereTheKindTurns(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		kind  recipe.Kind
		lines []string
	}{
		{recipe.Concentrate, []string{"100 g water", "60 g white sugar"}}, // 43 g in 100 mL
		{recipe.Milk, []string{"100 g water", "50 g white sugar"}},        // 38
		{recipe.Nog, []string{"1000 g water", "40 g white sugar", "0.9 g nutmeg"}},
		{recipe.Milk, []string{"1000 g water", "40 g white sugar", "0.7 g nutmeg"}},
		{recipe.Milk, []string{"1000 g water", "25 g white sugar", "0.9 g nutmeg"}},                                      // not sweet
		{recipe.Nog, []string{"1000 g water", "40 g white sugar", "1 g nutmeg", "1 g cinnamon"}},                         // it leads as much as it follows
		{recipe.Milk, []string{"1000 g water", "40 g white sugar", "1 g nutmeg", "1.2 g cinnamon"}},                      //
		{recipe.Horchata, []string{"100 g white rice", "700 g water", "1 g cinnamon"}},                                   //
		{recipe.Milk, []string{"100 g white rice", "700 g water"}},                                                       // without a spice
		{recipe.Chocolate, []string{"500 g water", "10 g cocoa powder"}},                                                 //
		{recipe.Cream, []string{"190 g coconut oil", "810 g water"}},                                                     //
		{recipe.Creamer, []string{"170 g coconut oil", "830 g water"}},                                                   //
		{recipe.Creamer, []string{"75 g coconut oil", "925 g water"}},                                                    //
		{recipe.Milk, []string{"65 g coconut oil", "935 g water"}},                                                       //
		{recipe.Creamer, []string{"100 g almonds, unsoaked", "350 g water"}},                                             //
		{recipe.Milk, []string{"100 g almonds, unsoaked", "400 g water"}},                                                //
		{recipe.Milk, []string{"100 g rolled oats", "300 g water"}},                                                      // grain is no creamer
		{recipe.Creamer, []string{"100 g almonds, unsoaked", "100 g rolled oats", "350 g water"}},                        // half of it is nuts
		{recipe.Milk, []string{"100 g almonds, unsoaked", "110 g rolled oats", "350 g water"}},                           //
		{recipe.Milk, []string{"100 g rolled oats", "400 g water", "10 g cocoa powder to serve", "1 g nutmeg to serve"}}, // in the glass
	} {
		d := drinkOf(t, tt.lines...)
		d.Name, d.Method.Strainer = "", process.Cloth
		r := reckoned(t, d)
		assert.Equal(t, tt.kind, r.Kind, "%v: fat %.1f %%, sweet %.1f", tt.lines, r.FatPct, r.Per100mL.SucroseEquivalentG)
		assert.Equal(t, recipe.KindGuess, r.KindFrom)
	}
	d := drinkOf(t, "1000 g water", "40 g white sugar", "0.9 g nutmeg")
	d.Name = "Barley horchata"
	assert.Equal(t, []any{recipe.Horchata, recipe.KindByName}, []any{reckoned(t, d).Kind, reckoned(t, d).KindFrom})
	d.Kind = recipe.Milk
	assert.Equal(t, []any{recipe.Milk, recipe.KindSaid}, []any{reckoned(t, d).Kind, reckoned(t, d).KindFrom})
}

// Half of the liquid is brewed from half of it on; what waits for the glass does not count.
func TestHowMuchIsBrewed(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "300 g water", "100 g water", "600 g water")
	d.Lines[0].Stage, d.Lines[2].Stage = ingredient.Brew, ingredient.Serve
	r := reckoned(t, d)
	assert.InDelta(t, .75, r.Batch.brewedLiquid(), 1e-12)
	none := reckoned(t, drinkOf(t, "20 g white sugar"))
	assert.Zero(t, none.Batch.brewedLiquid())
	d.Lines[1].Amount = quantity.Of(300, quantity.Gram)
	d.Name = ""
	assert.Equal(t, recipe.Brewed, reckoned(t, d).Kind, "half and half")
}

// A base or a liquid that was left open is planned by one to four: of 1000 mL of water a base of
// 250, of a cup of base four cups of water, of neither a cup and four.
func TestWhatIsPlannedForAnOpenAmount(t *testing.T) {
	t.Parallel()
	guessed := func(lines ...string) map[int]float64 {
		d := drinkOf(t, lines...)
		ml := map[int]float64{}
		for _, w := range d.guesses(d.Weigh(&Reckoning{Lines: make([]LineReckoning, len(d.Lines))})) {
			ml[w.Index] = w.VolumeML()
		}
		return ml
	}
	for _, tt := range []struct {
		want  map[int]float64
		lines []string
	}{
		{map[int]float64{0: 250}, []string{"almonds", "1000 ml water"}},
		{map[int]float64{1: 4 * 236.588}, []string{"1 cup almonds", "water"}},
		{map[int]float64{0: 236.6, 1: 4 * 236.6}, []string{"almonds", "water"}},
		{map[int]float64{0: 125, 1: 125}, []string{"almonds", "cashews", "1000 ml water"}},
		{map[int]float64{1: 4*236.588 - 500}, []string{"1 cup almonds", "water", "500 ml water"}},
		{map[int]float64{1: 0}, []string{"1 cup almonds", "water", "1500 ml water"}},
		{map[int]float64{}, []string{"1 cup almonds", "1 l water", "cinnamon", "ice"}},
	} {
		got := guessed(tt.lines...)
		require.Len(t, got, len(tt.want), "%v", tt.lines)
		for n, ml := range tt.want {
			assert.InDelta(t, ml, got[n], .05, "%v: line %d", tt.lines, n)
		}
	}
	rough := reckoned(t, drinkOf(t, "almonds", "1000 ml water", "1 tsp nutmeg"))
	assert.Nil(t, rough.Drink, "no figure is shown from it")
	assert.InDelta(t, 2*rough.Rough.VolumeML, rough.Rough.HighML, 1e-9, "vessels for twice as much")
	assert.Zero(t, rough.Jug.MilkML+rough.Jug.PulpML)
	for _, c := range rough.Cautions {
		assert.Nil(t, c.Value, c.Code)
		assert.Nil(t, c.Limit, c.Code)
	}
}

// What a pan boils away more of is made up with water: solids come to the same share.
func TestToppingUpKeepsTheSolids(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "100 g almonds", "300 g water", "500 g water")
	d.Method.Heat, d.Method.Minutes, d.Method.Strainer = process.Simmer, 20, process.Cloth
	once := reckoned(t, d)
	for _, times := range []float64{.5, 3} {
		d.Size = recipe.Size{By: recipe.ByTimes, Value: times}
		r := reckoned(t, d)
		assert.InEpsilon(t, solidShare(once.Batch.Finished), solidShare(r.Batch.Finished), .01, "× %v", times)
		assert.InDelta(t, times*300, r.Lines[1].MassG, 1e-9, "only one water gives")
		assert.InDelta(t, r.Lines[2].MassG/(times*500), r.Batch.watered, 1e-9)
		assert.InDelta(t, times*r.Batch.watered, r.Lines[2].Growth, 1e-9)
	}
	d.Lines[1].Locked, d.Lines[2].Locked = true, true
	assert.InDelta(t, 500, reckoned(t, d).Lines[2].MassG, 1e-9, "locked water gives nothing")
	assert.InDelta(t, .25, solidShare(contentOf(25, 75)), 1e-12)
	assert.InDelta(t, 1, solidShare(ingredient.Content{}), 1e-12)
	assert.InDelta(t, 1, once.Factor, 1e-12)
	assert.Equal(t, -1, once.Batch.waterAt)
}

// contentOf is so much fat in so much water, g.
func contentOf(fatG, waterG float64) ingredient.Content {
	var c ingredient.Content
	c[ingredient.Fat], c[ingredient.Water] = fatG, waterG
	return c
}

// 46 g of solids dried to eight hundredths of water weigh 50.
func TestPulpDriedByHand(t *testing.T) {
	t.Parallel()
	p := pulpOf(contentOf(46, 154))
	assert.InDelta(t, 200, p.WetG, 1e-12)
	assert.InDelta(t, 50, p.DriedG, 1e-12)
	assert.InDelta(t, 46, p.FatG, 1e-12)
	assert.Equal(t, []string{"porridge", "biscuits", "meal", "compost"}, p.GoodFor())
	p.FibreG = 47
	assert.Equal(t, []string{"porridge", "crackers", "meal", "compost"}, p.GoodFor())
}

// Whether it is vegan is not known while a line is not understood, unless another rules it out.
func TestWhoKnowsWhetherItIsVegan(t *testing.T) {
	t.Parallel()
	yes := reckoned(t, drinkOf(t, "100 g almonds", "500 g water")).Vegan
	assert.True(t, *yes)
	no := reckoned(t, drinkOf(t, "100 g almonds", "500 g water", "20 g honey", "3 moonbeams")).Vegan
	assert.False(t, *no)
	d := drinkOf(t, "100 g almonds", "500 g water", "3 moonbeams")
	assert.Nil(t, reckoned(t, d).Vegan)
	assert.Equal(t, []int{2}, reckoned(t, d).Lacks())
	d.Lines[2].Kept = true
	assert.True(t, *reckoned(t, d).Vegan, "a note is nothing to drink")
	assert.Empty(t, reckoned(t, d).Lacks())
}

// A line is written down exactly: as it is where that changes it by less than a thousandth, in grams
// otherwise; below 5 mL always in grams where it is metric.
func TestWhatIsExact(t *testing.T) {
	t.Parallel()
	spoons := quantity.Of(2, quantity.Tablespoon)
	for _, tt := range []struct {
		l    LineReckoning
		want string
	}{
		{LineReckoning{MassG: 24.567, VolumeML: 30, Amount: spoons, AmountErr: .0009}, "2 tbsp"},
		{LineReckoning{MassG: 24.567, VolumeML: 30, Amount: spoons, AmountErr: -.002}, "24.57 g"},
		{LineReckoning{MassG: 4.1234, VolumeML: 4.9, Amount: quantity.Of(4.9, quantity.Millilitre)}, "4.123 g"},
		{LineReckoning{MassG: 5.1, VolumeML: 5, Amount: quantity.Of(5, quantity.Millilitre)}, "5 mL"},
	} {
		a, ok := tt.l.Exact()
		assert.True(t, ok)
		assert.Equal(t, tt.want, a.String())
	}
	_, ok := LineReckoning{Amount: spoons}.Exact()
	assert.False(t, ok)
}

// Half a piece is the least that is counted: what is left over is weighed.
func TestPiecesAtASize(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "4 small dates", "500 g water")
	each := reckoned(t, d).Lines[0].MassG / 4
	for times, want := range map[float64]string{.5: "2 pieces", .625: "2½ pieces", .075: "g"} {
		d.Size = recipe.Size{By: recipe.ByTimes, Value: times}
		l := reckoned(t, d).Lines[0]
		assert.Contains(t, l.Amount.String(), want, times)
		assert.InDelta(t, 4*each*times, l.MassG, 1e-9)
	}
	d.Size.Value = 1.07 // 4.28: four, and the rest by weight
	l := reckoned(t, d).Lines[0]
	assert.Contains(t, l.Amount.String(), "4 pieces")
	assert.Contains(t, l.Amount.String(), quantity.Of(FourFigures(.28*each), quantity.Gram).String())
}

// Ice brings down what the blender warms: the mass, its heat capacity and the degrees between, over
// what a gram of ice takes up as it melts and warms (334 J/g, and 4.2 J/g and °C).
func TestTheIceByHand(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 g almonds, unsoaked", "1000 g water")
	d.Method.WaterC, d.Method.Seconds, d.Method.WarmsC = 24, 60, 1
	c := reckoned(t, d).Chill
	assert.InDelta(t, 25, c.GroundC, .1)
	assert.InDelta(t, 1000*4.19*21/(334+4.21*4+4.19*21), c.IceG, 3)
	assert.Zero(t, reckoned(t, drinkOf(t, "1000 g water")).Chill, "nothing is ground")
}

// Wholes and halves are counted, a quarter of a hair more is not; stages before the strainer are
// three; a line that is kept for later is not lacking.
func TestSmallJudgements(t *testing.T) {
	t.Parallel()
	for v, whole := range map[float64]bool{.5: true, 1: true, 1.5: true, 12: true, .49: false, .25: false, 1.25: false, 1.49: false, 1.51: false, 0: false, 2.0000001: true, 1.9999999: true} {
		assert.Equal(t, whole, isWhole(v), v)
	}
	for _, s := range ingredient.Stages {
		assert.Equal(t, s == ingredient.Soak || s == ingredient.Grind || s == ingredient.Rinse, BeforeStraining(s), s)
	}
	r := &Reckoning{Lines: []LineReckoning{{Understood: true}, {}, {Understood: true, Err: assert.AnError}, {Kept: true}, {Kept: true, Err: assert.AnError}}}
	assert.Equal(t, []int{1, 2}, r.Lacks())
}

// How strong a spice is, from what is usual of it: nothing, a share of the least, one at the least
// and two at the most, half way by the logarithm, three at twice the most and no further.
func TestHowStrongASpiceIs(t *testing.T) {
	t.Parallel()
	for gPerL, want := range map[float64]float64{0: 0, -1: 0, .5: .5, .999: .999, 1: 1, 2: 1.5, 4: 2, 6: 2.5, 8: 3, 80: 3} {
		assert.InDelta(t, want, usualLevel(gPerL, ingredient.Usual{LowGPerL: 1, HighGPerL: 4}, 1), 1e-9, gPerL)
		assert.InDelta(t, want, usualLevel(2*gPerL, ingredient.Usual{LowGPerL: 1, HighGPerL: 4}, 2), 1e-9, "in a drink that takes twice as much")
	}
	s := newScale([]string{"a", "b", "c", "d"}, []float64{1, 2, 3})
	for n, b := range s.bands {
		assert.InDelta(t, float64(n)/4, b.From, 1e-12)
		assert.InDelta(t, float64(n+1)/4, b.To, 1e-12)
	}
}
