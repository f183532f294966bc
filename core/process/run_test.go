package process

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
)

// line is so much of an ingredient, its liquid at the tap's temperature.
func line(t testing.TB, id string, g float64) Line {
	t.Helper()
	i, ok := ingredient.Standard().ByID(id)
	require.True(t, ok, id)
	return Line{Key: id, Ingredient: i, Per: &i.PerGram, G: g}
}

const cupG = 236.588 * .998 // of water

// Hand-worked from the release, the hold and the walls; g dry, then mL at 4 °C,
// wet pulp in g and fat in %. The almonds are bracketed by what is measured in the
// trade, 860 to 920 mL.
func TestBalancesWorkedByHand(t *testing.T) {
	t.Parallel()
	rinse := line(t, "water", cupG)
	rinse.Stage = ingredient.Rinse
	raw := line(t, "oats", 250)
	rinsed := raw
	rinsed.Rinsed = true
	for name, c := range map[string]struct {
		lines          []Line
		m              Method
		ml, pulpG, fat float64 // 0 where it is not asked
	}{
		"almonds":       {[]Line{line(t, "almond", 143), line(t, "water", 4*cupG)}, Method{Strainer: Cloth, Seconds: 90}, 890, 258, 3.7},
		"cashews":       {[]Line{line(t, "cashew", 137), line(t, "water", 1.5*cupG)}, Method{Seconds: 90, HighSpeed: true}, 449, 71, 11},
		"oats raw":      {[]Line{raw, line(t, "water", 998)}, Method{Seconds: 30, WaterC: 15, WarmsC: 1e-9}, 678, 0, 0},
		"oats":          {[]Line{rinsed, line(t, "water", 998)}, Method{Seconds: 30, WaterC: 15, WarmsC: 1e-9}, 776, 0, 0},
		"tiger nuts":    {[]Line{line(t, "tiger-nut", 150), line(t, "water", 750)}, Method{}, 732, 249, 2.2},
		"hemp":          {[]Line{line(t, "hemp", 160), line(t, "water", 6.25*cupG)}, Method{Strainer: Sieve, Seconds: 30, HighSpeed: true}, 1504, 96, 4.2},
		"hazelnuts":     {[]Line{line(t, "hazelnut", 135), line(t, "water", 1.5*cupG)}, Method{Seconds: 30, HighSpeed: true}, 327, 209, 9.4},
		"rice":          {[]Line{line(t, "white-rice", 370), line(t, "water", 4*cupG)}, Method{Strainer: SievePushed, Seconds: 60, WaterC: 15, WarmsC: 1e-9}, 0, 220, 0},
		"cashews whole": {[]Line{line(t, "cashew", 205), line(t, "water", 1.25*cupG)}, Method{Strainer: None}, 548, 0, 15.7},
		"let down":      {[]Line{line(t, "cashew", 205), line(t, "water", 1.25*cupG+280)}, Method{Strainer: None}, 0, 0, 10.5},
		"soy":           {[]Line{line(t, "soybean", 186), line(t, "water", 3.25*cupG), rinse}, Method{Strainer: Cloth, Seconds: 120, Heat: Unheated}, 0, 304, 0},
		"soy, boiled":   {[]Line{line(t, "soybean", 186), line(t, "water", 3.25*cupG), rinse}, Method{Strainer: Cloth, Seconds: 120}, 977, 0, 2.3},
		"let to milk":   {[]Line{line(t, "cashew", 205), line(t, "water", 1.25*cupG+770)}, Method{Strainer: None}, 0, 0, 6.7},
		"let to light":  {[]Line{line(t, "cashew", 205), line(t, "water", 1.25*cupG+2000)}, Method{Strainer: None}, 0, 0, 3.5},
	} {
		made := Make(c.lines, c.m)
		drink := made.Balance.Drink
		t.Logf("%-14s %.0f mL %.0f g  pulp %.0f g  fat %.2f %%  ground %.1f °C", name, VolumeML(drink, 4), drink.MassG(), made.Balance.Pulp.MassG(), 100*drink[ingredient.Fat]/drink.MassG(), made.GroundC)
		near := func(want, got float64, what string) {
			if want > 0 {
				assert.InEpsilon(t, want, got, .05, "%s: %s", name, what)
			}
		}
		near(c.ml, VolumeML(drink, 4), "mL")
		near(c.pulpG, made.Balance.Pulp.MassG(), "g of pulp")
		near(c.fat, 100*drink[ingredient.Fat]/drink.MassG(), "% of fat")
	}
}

// Rinsed oats to a litre by the temperature at the end of grinding: they swell and
// turn slimy with warmth, and the yield never rises with it. Hand-worked.
func TestOatsByTheWarmthAtTheEnd(t *testing.T) {
	t.Parallel()
	for endC, wantML := range map[float64]float64{2: 784, 15: 776, 45: 757, 54: 664, 65: 410} {
		oats := line(t, "oats", 250)
		oats.Rinsed = true
		made := Make([]Line{oats, line(t, "water", 998)}, Method{Seconds: 30, WaterC: endC, RoomC: endC, WarmsC: 1e-9})
		assert.InDelta(t, endC, made.GroundC, .1)
		assert.InEpsilon(t, wantML, VolumeML(made.Balance.Drink, 4), .05, "%v °C", endC)
	}
}

// Soy brought to the boil without a time said simmers as long as it needs; nothing
// else is heated without being asked.
func TestSoyIsNeverBroughtToTheBoilForNoTime(t *testing.T) {
	t.Parallel()
	soy, almonds := []Line{line(t, "soybean", 186), line(t, "water", 900)}, []Line{line(t, "almond", 143), line(t, "water", 900)}
	for _, h := range []Heat{ByBase, Simmer, Boil} {
		l := Lay(soy, Method{Heat: h})
		assert.True(t, l.Heat.Reaches(), h)
		assert.InDelta(t, soyMinutes, l.Minutes, 1e-9, h)
	}
	assert.Equal(t, Unheated, Make(soy, Method{Heat: Unheated}).Layout.Heat, "the cook's own word counts, and is cautioned")
	assert.Equal(t, Unheated, Lay(almonds, Method{}).Heat)
	assert.Zero(t, Lay(almonds, Method{Heat: Simmer}).Minutes)
}

// A litre simmered ten minutes in a 20 cm pan loses about 86 g; covered a tenth.
func TestALitreSimmered(t *testing.T) {
	t.Parallel()
	lost := func(m Method) float64 {
		m.Heat, m.Minutes = Simmer, 10
		return Make([]Line{line(t, "water", 998)}, m).Balance.Evaporated.MassG()
	}
	assert.InDelta(t, 86, lost(Method{WaterC: 20}), 2)
	assert.InDelta(t, 8.6, lost(Method{WaterC: 20, Covered: true}), .2)
}

// 150 g of ice in a litre of milk at 25 °C: (4.18·1000·25 − 150·334)/(1150·4.18)
// is 11.3 °C.
func TestIceMeltsAndCoolsWhatWasGround(t *testing.T) {
	t.Parallel()
	made := Make([]Line{line(t, "almond", 30), line(t, "water", 970), line(t, "ice", 150)}, Method{WaterC: 25, RoomC: 25, WarmsC: 1e-9})
	assert.InDelta(t, 25, made.GroundC, .1)
	assert.InDelta(t, 11.3, made.IcedC, .5)
}

// What soaks in water that is poured away does not make that water drink, and a
// pinch of seaweed goes with it; what was said to be kept is kept.
func TestAnAidInTheSoakIsPouredAway(t *testing.T) {
	t.Parallel()
	without := Make([]Line{line(t, "almond", 143), line(t, "water", 900)}, Method{})
	aid := line(t, "salt", 5)
	aid.Stage = ingredient.Soak
	with := Make([]Line{line(t, "almond", 143), line(t, "water", 900), aid}, Method{})
	assert.InDelta(t, without.Balance.Drink.MassG(), with.Balance.Drink.MassG(), 1e-9)
	assert.InDelta(t, without.Balance.Thrown.MassG()+5, with.Balance.Thrown.MassG(), 1e-9)
	assert.Equal(t, []int{0}, with.Layout.Soaked)
}

// The longer and the harder a nut is ground, the more of it is in the milk, and
// never all of it; the second grind of its pulp gives less than the first.
func TestGrindingLongerBringsMore(t *testing.T) {
	t.Parallel()
	fat := func(m Method) float64 {
		return Make([]Line{line(t, "almond", 143), line(t, "water", 900)}, m).Balance.Drink[ingredient.Fat]
	}
	assert.Less(t, fat(Method{Seconds: 30}), fat(Method{Seconds: 90}))
	assert.Less(t, fat(Method{Seconds: 60}), fat(Method{Seconds: 60, HighSpeed: true}))
	assert.Less(t, fat(Method{Seconds: 60, Coarse: true}), fat(Method{Seconds: 60}))
	assert.Less(t, fat(Method{Seconds: 600}), .64*.4993*143)
}

// Every component that goes in comes out, whatever is made and how; and every
// line goes in once.
func TestMassCloses(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(11, 1))
	all := ingredient.Standard().All()
	for range 10_000 {
		lines := make([]Line, 1+random.IntN(9))
		for n := range lines {
			i := all[random.IntN(len(all))]
			if n == 0 {
				i, _ = ingredient.Standard().ByID("water")
			}
			lines[n] = Line{Ingredient: i, Per: i.Treated(ingredient.Treatment{}), G: random.Float64() * 500, Rinsed: random.IntN(2) == 0,
				Unsoaked: random.IntN(4) == 0, Again: random.IntN(3) == 0, Before: random.IntN(3) == 0}
			if random.IntN(2) == 0 {
				lines[n].Stage = ingredient.Stages[random.IntN(len(ingredient.Stages))]
			}
		}
		m := Method{
			Strainer: Strainers()[random.IntN(9)], Seconds: random.Float64() * 150, HighSpeed: random.IntN(2) == 0, WaterC: random.Float64() * 98, Coarse: random.IntN(5) == 0,
			Heat: Heats[random.IntN(len(Heats))], Minutes: random.Float64() * 20, BrewUsed: random.Float64(), HeldShare: .5 + random.Float64(),
		}
		made := Make(lines, m)
		b := made.Balance
		out := b.Drink.Plus(b.Pulp).Plus(b.Thrown).Plus(b.Walls).Plus(b.Evaporated).Plus(b.Skimmed).Plus(b.Leftover)
		for _, c := range ingredient.Components {
			require.InDelta(t, b.In[c], out[c], 1e-6*math.Max(1, b.In[c]), "component %d of %v in %+v", c, m, lines)
			require.GreaterOrEqual(t, b.Drink[c], -1e-9)
			require.GreaterOrEqual(t, b.Pulp[c], -1e-9)
		}
		for n := range lines {
			require.Equal(t, 1, made.Layout.goesIn(n), "line %d of %+v", n, lines)
		}
	}
}

// goesIn is in how many operations a line goes in.
func (l *Layout) goesIn(n int) int {
	times := 0
	for _, at := range [][]int{l.Aids, l.Brewed, l.Ground, l.Ice, l.Early, l.Rinse, l.Again, l.Whisked, l.Blooms, l.InPan, l.Joins, l.Late, l.Serve} {
		for _, m := range at {
			if m == n {
				times++
			}
		}
	}
	return times
}

// A hundred grams of baobab on its seed are forty of pulp: of its sugars .95, of the
// rest but its water .8 go into the liquid, and sixty grams of seed hold eighteen of
// it, by hand: 900 + 33.9 − 18.
func TestPulpIsWhiskedOffItsSeed(t *testing.T) {
	t.Parallel()
	baobab := line(t, "baobab-seed", 100)
	baobab.Per = baobab.Ingredient.Treated(ingredient.Treatment{})
	made := Make([]Line{baobab, line(t, "water", 900)}, Method{})
	assert.InDelta(t, 915.9, made.Balance.Drink.MassG(), .5)
	assert.InDelta(t, 24.1, made.Balance.Pulp.MassG(), .5)
	assert.False(t, made.Layout.IsGround)
}

// A second grind gives back what the pulp held and a little more, and nothing is
// made of nothing: what went in is the milk, the walls and the pulp.
func TestASecondGrindInventsNoMilk(t *testing.T) {
	t.Parallel()
	for _, id := range []string{"soybean", "almond", "oats"} {
		first := Make([]Line{line(t, id, 186), line(t, "water", 900)}, Method{Heat: Unheated})
		milk, left := first.Again(500, Method{})
		assert.InDelta(t, first.Balance.Pulp.MassG()+500, milk.MassG()/.98+left.MassG(), 1e-6, id)
		assert.Less(t, milk[ingredient.Fat], first.Balance.Drink[ingredient.Fat], id)
	}
}

// Oats are in the blender for the last thirty seconds of a longer grind, whatever
// its length; on their own they are ground for as long as it runs.
func TestOatsJoinALongerGrindForItsEnd(t *testing.T) {
	t.Parallel()
	almonds, oats, water := line(t, "almond", 100), line(t, "oats", 50), line(t, "water", 800)
	starch := func(seconds float64, lines ...Line) float64 {
		how := Method{Seconds: seconds, WarmsC: 1e-9}
		made := Make(lines, how)
		share, ok := made.Released(&lines[0], 0, how, ingredient.Starch)
		require.True(t, ok)
		return share
	}
	assert.InEpsilon(t, starch(90, oats, almonds, water), starch(200, oats, almonds, water), 1e-9, "the almonds run on, the oats do not")
	assert.InEpsilon(t, starch(30, oats, water), starch(90, oats, almonds, water), .02)
	assert.InEpsilon(t, math.Sqrt2, starch(60, oats, water)/starch(30, oats, water), 1e-9, "oats alone are ground longer")
	assert.Equal(t, 90., Make([]Line{almonds, oats, water}, Method{}).Seconds, "as long as the one that wants longest")
}
