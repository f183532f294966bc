package process

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

// The table of strainers once more: what a gram of pulp solids holds (g) and what of it passes, both
// modelling assumptions that the kitchen's record replaces; what one straining takes (mL, from
// memory), and the minutes a litre takes (common practice, no source).
func TestEveryStrainer(t *testing.T) {
	t.Parallel()
	for s, want := range map[Strainer]struct {
		name                      string
		held, fines, mL, minutesL float64
		squeezes, clogs           bool
	}{
		Bag: {"bag", 2.4, 0, 2000, 2, true, false}, Cloth: {"cloth", 2.8, 0, 1500, 5, true, true}, Gentle: {"gentle", 3.5, .05, 1500, 12, false, true},
		Passes: {"passes", 3.2, .02, 1500, 12, false, true}, Sieve: {"sieve", 3, .35, 700, 15, false, true}, SievePushed: {"sieve-pushed", 3, .5, 700, 8, false, true},
		SieveCloth: {"sieve-cloth", 2.8, .02, 1500, 15, false, true}, None: {"none", 0, 1, 0, 0, false, false}, Juicer: {"juicer", 1, 0, 0, 8, true, false},
	} {
		assert.Equal(t, want.name, s.String())
		assert.InDelta(t, want.held, strainers[s].held, 1e-12, s)
		assert.InDelta(t, want.fines, strainers[s].fines, 1e-12, s)
		assert.Equal(t, []float64{want.mL, want.minutesL}, []float64{s.CapacityML(), s.MinutesPerL()}, s)
		assert.Equal(t, []bool{want.squeezes, want.clogs}, []bool{s.Squeezes(), s.Clogs()}, s)
		again, err := ParseStrainer(want.name)
		assert.NoError(t, err)
		assert.Equal(t, s, again)
	}
	assert.Len(t, Strainers(), 9)
}

// Choi and Okos at 80 °C, with all digits they print (ASHRAE Handbook—Refrigeration, "Thermal
// Properties of Foods"): 997.18 + .0031439·80 − .0037574·6400, and so on.
func TestDensityToItsLastDigit(t *testing.T) {
	t.Parallel()
	for c, want := range map[ingredient.Component]float64{
		ingredient.Water: 973.384152, ingredient.Protein: 1288.428, ingredient.Fat: 892.1844, ingredient.Fibre: 1282.2288, ingredient.Ash: 2401.3496, ingredient.Starch: 1574.2632,
	} {
		assert.InDelta(t, want, densityOf(c, 80), 1e-6, c)
	}
	for c, want := range map[ingredient.Component]float64{
		ingredient.Water: 4.1289 - .00726912 + .03502784, ingredient.Protein: 2.0082 + .096712 - .00840256, ingredient.Fat: 1.9842 + .117864 - .03072512,
		ingredient.Fibre: 1.8459 + .146448 - .02976576, ingredient.Ash: 1.0926 + .151168 - .02356288, ingredient.Starch: 1.5488 + .157 - .03801536,
	} {
		assert.InDelta(t, want, specificHeat(c, 80), 1e-9, c)
	}
}

// What grinding takes out of each class, by hand: 64 % of the most after one τ, 85 % of that unsoaked.
func TestReleaseByHand(t *testing.T) {
	t.Parallel()
	nut := ingredient.Ingredient{Class: ingredient.Nut, Role: ingredient.Base, HasSoak: true, SoakH: ingredient.Span{Ideal: 8, Max: 12}, ReleaseMax: .8}
	oneTau := 1 - math.Exp(-1)
	release := func(i ingredient.Ingredient, g grinding, change func(*Line)) released {
		l := &Line{Ingredient: &i}
		if change != nil {
			change(l)
		}
		return l.releaseOf(g)
	}
	dry := func(l *Line) { l.Unsoaked = true }
	for _, tt := range []struct {
		name string
		r    released
		fat  float64
	}{
		{"one τ", release(nut, grinding{seconds: 40}, nil), .8 * oneTau},
		{"a strong blender", release(nut, grinding{seconds: 15, highSpeed: true}, nil), .8 * oneTau},
		{"unsoaked", release(nut, grinding{seconds: 40}, dry), .8 * oneTau * .85},
		{"half soaked", release(nut, grinding{seconds: 40}, func(l *Line) { l.SoakHours = 4 }), .8 * oneTau * .925},
		{"in the fridge", release(nut, grinding{seconds: 40}, func(l *Line) { l.SoakHours, l.SoakCold = 8, true }), .8 * oneTau * .925},
		{"roasted", release(nut, grinding{seconds: 40}, func(l *Line) { l.Treatment.Roasted = true }), .8 * oneTau * .95},
		{"coarse", release(nut, grinding{seconds: 400, coarse: true}, nil), .3},
		{"by a juicer", release(nut, grinding{juicer: true}, nil), .8},
		{"learned", release(nut, grinding{juicer: true, frees: 1.1}, nil), .88},
		{"never all", release(nut, grinding{juicer: true, frees: 2}, nil), .95},
	} {
		assert.InDelta(t, tt.fat, tt.r[ingredient.Fat], 1e-9, tt.name)
		assert.InDelta(t, tt.fat, tt.r[ingredient.Protein], 1e-9, tt.name)
		assert.InDelta(t, .95, tt.r[ingredient.Sucrose], 1e-12, tt.name)
		assert.InDelta(t, .7, tt.r[ingredient.Ash], 1e-12, tt.name)
		assert.InDelta(t, .05, tt.r[ingredient.Fibre], 1e-12, tt.name)
	}
	assert.InDelta(t, .4, release(nut, grinding{seconds: 40}, nil)[ingredient.Starch], 1e-12)
	assert.InDelta(t, .1, release(nut, grinding{coarse: true}, nil)[ingredient.Starch], 1e-12)
	assert.InDelta(t, .35, release(ingredient.Ingredient{Class: ingredient.Tuber}, grinding{seconds: 40}, nil)[ingredient.Starch], 1e-12)
	soy := release(ingredient.Ingredient{Class: ingredient.Soy}, grinding{juicer: true}, nil)
	assert.Equal(t, []float64{.8, .75}, []float64{soy[ingredient.Protein], soy[ingredient.Fat]})
	others := release(ingredient.Ingredient{Class: ingredient.Nut}, grinding{juicer: true}, nil)
	assert.InDelta(t, .64, others[ingredient.Fat], 1e-12)
	soft := *ingredient.Ingredient{Class: ingredient.Nut, ReleaseMax: .8}.Tagged(ingredient.TagSoft)
	assert.InDelta(t, .8*oneTau, release(soft, grinding{seconds: 25}, nil)[ingredient.Fat], 1e-9)
	assert.InDelta(t, .8*oneTau, release(soft, grinding{seconds: 10, highSpeed: true}, nil)[ingredient.Fat], 1e-9)
	for class, want := range map[ingredient.Class][]float64{ // protein, fat, sugar, starch, fibre, ash
		ingredient.Fruit: {.3, .3, .95, .3, .3, .3}, ingredient.SpiceDry: {.3, .3, .3, .3, .3, .3}, ingredient.Soluble: {1, 1, 1, 1, 1, 1},
	} {
		r := release(ingredient.Ingredient{Class: class}, grinding{seconds: 40}, nil)
		assert.Equal(t, want, []float64{r[ingredient.Protein], r[ingredient.Fat], r[ingredient.Glucose], r[ingredient.Starch], r[ingredient.Fibre], r[ingredient.Ash]}, class)
	}
	grain := release(ingredient.Ingredient{Class: ingredient.Grain}, grinding{seconds: 30, tempC: 5}, nil)
	assert.Equal(t, []float64{.35, .5, .95, .25, .15, .6}, []float64{grain[ingredient.Protein], grain[ingredient.Fat], grain[ingredient.Glucose], grain[ingredient.Starch], grain[ingredient.Fibre], grain[ingredient.Ash]})
	coarse := release(ingredient.Ingredient{Class: ingredient.Grain}, grinding{coarse: true}, nil)
	assert.Equal(t, []float64{.15, .15, .08}, []float64{coarse[ingredient.Protein], coarse[ingredient.Fat], coarse[ingredient.Starch]})
	assert.InDelta(t, .25*2*math.Pow(1.03, 4), grainStarchAt(120, 9), 1e-12)
	assert.InDelta(t, .15, grainStarchAt(0, 0), 1e-12)
	assert.InDelta(t, .6, grainStarchAt(600, 60), 1e-12)
}

// What a line's solids hold back, and what of them passes.
func TestWhatPulpHoldsByHand(t *testing.T) {
	t.Parallel()
	solids := ingredient.Content{ingredient.Fibre: 10}
	hold := func(i ingredient.Ingredient, s Strainer, g grinding) float64 {
		return (&Line{Ingredient: &i}).holds(s, solids, g)
	}
	nut, soy, grain := ingredient.Ingredient{Class: ingredient.Nut}, ingredient.Ingredient{Class: ingredient.Soy}, ingredient.Ingredient{Class: ingredient.Grain}
	assert.InDelta(t, 24, hold(nut, Bag, grinding{}), 1e-12)
	assert.InDelta(t, .65*30, hold(nut, Sieve, grinding{}), 1e-12, "what passes holds nothing back")
	assert.InDelta(t, 24*1.4, hold(soy, Bag, grinding{}), 1e-12)
	assert.InDelta(t, 12, hold(grain, Bag, grinding{tempC: 20}), 1e-12, "its starch is raw")
	assert.InDelta(t, 18, hold(grain, Bag, grinding{tempC: 69.5}), 1e-12, "halfway through swelling, 62 to 77 °C")
	assert.InDelta(t, 24, hold(grain, Bag, grinding{tempC: 80}), 1e-12)
	soft := *ingredient.Ingredient{Class: ingredient.Nut}.Tagged(ingredient.TagSoft)
	l := &Line{Ingredient: &soft}
	for seconds, fines := range map[float64]float64{30: 0, 60: .15, 90: .3, 300: .3} {
		assert.InDelta(t, fines, l.fines(Bag, grinding{seconds: seconds, highSpeed: true}), 1e-12, seconds)
	}
	assert.Zero(t, l.fines(Bag, grinding{seconds: 90}), "a usual blender leaves it in the bag")
	assert.Zero(t, l.fines(Bag, grinding{seconds: 90, highSpeed: true, coarse: true}))
	assert.InDelta(t, .8, l.fines(SievePushed, grinding{seconds: 90, highSpeed: true}), 1e-12)
	assert.InDelta(t, 1, l.fines(None, grinding{seconds: 90, highSpeed: true}), 1e-12)
	oats := *ingredient.Ingredient{Class: ingredient.Grain}.Tagged(ingredient.TagClings)
	// 100 g that are starch alone: 85 g stay at the least release, cold, and hold .875 of 2.4 g each
	flakes := &Line{Ingredient: &oats, G: 100, Per: &ingredient.Content{ingredient.Starch: 1}}
	cold := flakes.holds(Bag, solids, grinding{seconds: 0, tempC: 0})
	assert.InDelta(t, .875*2.4*85, cold, 1e-9)
	assert.InDelta(t, .875*2.4*85*2+1.3*45*1, flakes.holds(Bag, solids, grinding{seconds: 600, tempC: 65}), 1e-9, "swollen twice, with 45 g more set free")
}

// How long each is ground where the cook does not say, and how much water it soaks in.
func TestUsualSecondsAndSoakWater(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		i       ingredient.Ingredient
		seconds float64
	}{
		{ingredient.Ingredient{GrindS: 45}, 45}, {ingredient.Ingredient{Class: ingredient.Grain}, 60}, {ingredient.Ingredient{Class: ingredient.Soy}, 120},
		{ingredient.Ingredient{Class: ingredient.Tuber}, 120}, {ingredient.Ingredient{Class: ingredient.Nut, Role: ingredient.Base}, 90}, {ingredient.Ingredient{}, leastSeconds},
	} {
		assert.InDelta(t, tt.seconds, secondsFor(&tt.i), 1e-12)
	}
	// 100 g that lie in 160 mL: 400 mL of water, or what they take up and a quarter more
	assert.InDelta(t, 2.5/.625*100, (&Line{G: 100, Ingredient: &ingredient.Ingredient{BulkGPerML: .625, UptakeGPerG: 1}}).SoakWaterML(), 1e-9)
	assert.InDelta(t, 1.25*4*100, (&Line{G: 100, Ingredient: &ingredient.Ingredient{BulkGPerML: .625, UptakeGPerG: 4}}).SoakWaterML(), 1e-9)
	assert.InDelta(t, 2.5*100*1.5, (&Line{G: 100, Ingredient: &ingredient.Ingredient{UptakeGPerG: .5}}).SoakWaterML(), 1e-9)
}

// The words for how warm a liquid is; the first that is there counts, and only whole words.
func TestTemperaturesInWords(t *testing.T) {
	t.Parallel()
	for words, c := range map[string]float64{
		"ice-cold water": 2, "ice cold": 2, "iced": 2, "boiling water": 98, "boiled": 98, "just off the boil": 95, "very hot": 80, "hot": 60, "lukewarm": 35, "tepid": 35,
		"warm": 45, "room temperature": 20, "room-temperature": 20, "chilled": 4, "cold": 4, "from the tap": TapC, "hot water not boiling": 60, "not hot": 0, "shot of espresso": 0, "water": 0, "": 0,
	} {
		assert.InDelta(t, c, WordsC(words), 1e-12, words)
	}
}

// Soak words: a night is 8 to 12 hours, and the ideal is kept within what is said.
func TestHoursInWords(t *testing.T) {
	t.Parallel()
	for words, want := range map[string][2]float64{
		"soaked overnight": {8, 12}, "soak for 8-12 hours": {8, 12}, "soaked 8 h, then drained 2 h": {8, 8}, "soak for an hour": {1, 1}, "soaked 30 minutes": {.5, .5},
		"soak two days": {48, 48}, "soaked 1.5 hours": {1.5, 1.5}, "soaked 12 to 8 hours": {12, 12}, "soak": {0, 0}, "blend 60 seconds": {0, 0},
	} {
		low, high, _ := SoakIn(words)
		assert.Equal(t, want, [2]float64{low, high}, words)
	}
	almonds := &ingredient.Ingredient{SoakH: ingredient.Span{Ideal: 10}}
	assert.InDelta(t, 10, SaidSoakH("soaked overnight", almonds), 1e-12)
	assert.InDelta(t, 12, SaidSoakH("soaked 12 to 24 hours", almonds), 1e-12)
	assert.InDelta(t, 4, SaidSoakH("soaked 2 to 4 hours", almonds), 1e-12)
	assert.Zero(t, SaidSoakH("soaked 100 hours", almonds), "nobody means that")
	assert.Zero(t, SaidSoakH("soaked", almonds))
}

// What the pan loses: open at the simmer and the boil, below it less, under a lid a share; more than
// nine tenths of the water never goes.
func TestWhatThePanLoses(t *testing.T) {
	t.Parallel()
	water := func(method Method) float64 {
		i := *ingredient.Ingredient{Role: ingredient.Liquid, Class: ingredient.Soluble, Stage: ingredient.Grind}.Tagged(ingredient.TagWater)
		per := ingredient.Content{ingredient.Water: 1}
		return Make([]Line{{Ingredient: &i, Per: &per, G: 1000}}, method).Balance.Evaporated.MassG()
	}
	ten := water(Method{Heat: Simmer, Minutes: 10, Strainer: None})
	twenty := water(Method{Heat: Simmer, Minutes: 20, Strainer: None})
	// the ten minutes between are 15 kg an hour and square metre off a pan of 20 cm (from memory)
	assert.InDelta(t, 15000*math.Pi/4*.04/6, twenty-ten, .01)
	assert.InDelta(t, coveredShare*ten, water(Method{Heat: Simmer, Minutes: 10, Strainer: None, Covered: true}), 1e-9)
	assert.InDelta(t, 1.2*ten, water(Method{Heat: Simmer, Minutes: 10, Strainer: None, SteamShare: 1.2}), 1e-9)
	assert.InDelta(t, 900, water(Method{Heat: Boil, Minutes: 600, Strainer: None}), 1e-9)
	assert.Zero(t, water(Method{Heat: Unheated, Strainer: None}))
	for ml, want := range map[float64][2]float64{0: {1, 20}, 2500: {1, 20}, 2501: {1, 24}, 4000: {1, 24}, 4001: {2, 24}, 8001: {3, 24}} {
		count, cm := Method{}.Pans(ml)
		assert.Equal(t, want, [2]float64{count, cm}, ml)
	}
}

// The numbers that methods have in words, and how long they are in each unit.
func TestTimesInWords(t *testing.T) {
	t.Parallel()
	for word, n := range map[string]float64{"a": 1, "an": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "eight": 8, "seven": 7, "nine": 9, "ten": 10, "twelve": 12, "fifteen": 15, "twenty": 20, "twenty-four": 24, "thirty": 30, "forty": 40, "forty-five": 45, "sixty": 60, "1.5": 1.5, "2,5": 2.5} {
		low, high, ok := SpanIn("for "+word+" minutes", Minute)
		assert.True(t, ok, word)
		assert.Equal(t, [2]float64{n, n}, [2]float64{low, high}, word)
	}
	for words, want := range map[string][2]float64{
		"half an hour": {30, 30}, "1/2 hour": {30, 30}, "½ hour": {30, 30}, "1 1/2 hours": {90, 90}, "1½ hours": {90, 90}, "an hour and a half": {90, 90},
		"1 hour 30 minutes": {90, 90}, "1 hr 15 min": {75, 75}, "1 hour and 5 mins": {65, 65}, "fifteen minutes": {15, 15}, "two to three minutes": {2, 3}, "1 to 1½ hours": {60, 90}, "a quarter of an hour": {15, 15},
		"2 minutes, 30 seconds rest": {2, 2}, "1.5-2 hours": {90, 120}, "30-minute": {30, 30}, "1 minute 30 seconds": {1.5, 1.5},
	} {
		low, high, _ := SpanIn(words, Minute)
		assert.Equal(t, want, [2]float64{low, high}, words)
	}
	for words, want := range map[string][2]float64{"a week": {7, 7}, "two weeks": {14, 14}, "1-2 weeks": {7, 14}, "seven days": {7, 7}, "36 hours": {1.5, 1.5}} {
		low, high, _ := SpanIn(words, Day)
		assert.Equal(t, want, [2]float64{low, high}, words)
	}
	for words, want := range map[string][2]float64{"60 to 90 seconds": {60, 90}, "1-2 minutes": {60, 120}, "2 min": {120, 120}, "90 to 60 secs": {90, 90}} {
		low, high, ok := SpanIn(words, Second)
		assert.True(t, ok, words)
		assert.Equal(t, want, [2]float64{low, high}, words)
	}
	_, _, ok := SpanIn("0 seconds", Second)
	assert.False(t, ok, "no time is none")
}

// Ice that takes the place of water by hand: a kilogram of water from 20 to 4 °C gives 1000·4.19·16 J.
// Each gram of ice takes 334 to melt and 4·4.2 to warm, and is a gram less of water to cool.
func TestIceInPlaceOfWater(t *testing.T) {
	t.Parallel()
	water := ingredient.Content{ingredient.Water: 1000}
	given := 1000 * 4.19 * 16.
	assert.InEpsilon(t, given/(334+4.2*4+4.19*16), IceForWaterG(water, 20, 4), .015) // Choi and Okos have water a hundredth and a half lighter to warm than IAPWS
	assert.InEpsilon(t, given/(334+4.2*4), IceG(water, 20, 4), .015)
	assert.Zero(t, IceForWaterG(water, 4, 4))
	assert.Zero(t, IceForWaterG(water, 3, 4))
	dry := ingredient.Content{ingredient.Water: 5, ingredient.Fat: 1000}
	assert.Equal(t, 5., IceForWaterG(dry, 60, 4), "no more than there is water")
}
