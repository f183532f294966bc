package reckon

import (
	"errors"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/say"
)

// At most six ticks, in round steps: 1, 2, 2.5 or 5 times a power of ten.
func TestTicksAreRound(t *testing.T) {
	t.Parallel()
	for top, step := range map[float64]float64{6: 1, 6.1: 2, 12: 2, 12.1: 2.5, 15: 2.5, 15.1: 5, 30: 5, 31: 10, 600: 100, 1680: 500, 1500: 250, 900: 200} {
		assert.InDelta(t, step, tickStep(top), 1e-9, top)
	}
}

// 1000 g of water at 4 °C are 1000 mL: two loads of a jug that takes 600, four of a hot one, for
// which half a jug is the most (common practice).
func TestTheJugByHand(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "1 g almonds, unsoaked", "1000 g water")
	d.JugML, d.Method.Strainer = 600, process.None
	r := reckoned(t, d)
	j := r.Jug
	assert.InDelta(t, 600, j.FillML, 1e-9)
	assert.Equal(t, 2, j.Loads)
	assert.Zero(t, j.Strains, "nothing is strained")
	assert.InDelta(t, r.Drink.VolumeML, j.GroundML, 1, "what is ground is what is drunk")
	assert.InDelta(t, r.Drink.VolumeML*1.12, j.TopML, 1e-6, "an eighth of the jug stays empty on the drawing")
	assert.Equal(t, []float64{200, 400, 600, 800, 1000}, j.TicksML)
	d.Method.Strainer = process.Cloth
	assert.Equal(t, 1, reckoned(t, d).Jug.Strains)
	d.Method.WaterC = 95
	hot := reckoned(t, d).Jug
	assert.InDelta(t, 300, hot.FillML, 1e-9)
	assert.Equal(t, 4, hot.Loads)
	d.JugML, d.Method.WaterC = 0, 0
	usual := reckoned(t, d).Jug
	assert.InDelta(t, 1500, usual.FillML, 1e-9)
	assert.Equal(t, 1, usual.Loads)
	assert.InDelta(t, 1680, usual.TopML, 1e-9, "the jug is larger than what is in it")
	assert.Equal(t, []float64{500, 1000, 1500}, usual.TicksML)
}

// What stands beside each line: what it does in the drink.
func TestWhatALineDoes(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "100 g almonds", "300 g water", "100 g water to rinse the pulp", "50 g water after straining", "20 g white sugar", "30 g honey",
		"10 g coconut oil", "2 g nutmeg", "1 g salt", "5 g cocoa powder to serve", "about a moon")
	noRange := *d.Lines[8].Ingredient
	noRange.Usual, d.Lines[8].Ingredient = ingredient.Usual{}, &noRange
	d.Method.Strainer, d.Kind = process.Cloth, recipe.Milk
	r := reckoned(t, d)
	said := r.Contributions()
	sugarG := 0.
	for _, n := range []int{0, 4, 5, 7, 9} {
		c := d.Lines[n].Ingredient.PerGram.Times(r.Lines[n].MassG)
		sugarG += c.SucroseEquivalentG()
	}
	honey := d.Lines[5].Ingredient.PerGram.Times(30)
	litres := r.Drink.VolumeML / 1000
	nutmeg := d.Lines[7].Ingredient.Usual
	oilG := 10 * .98 // 2 % stays on the walls and in the cloth; near enough for the sentence
	for n, want := range []say.Text{
		say.Of("soak-and-drain", d.Lines[0].Ingredient.SoakH.Ideal), say.Of("to-grind-with"), say.Of("rinses-the-pulp"), say.Of("after-straining"),
		say.Of("brings-sweetness", 20, sugarG), say.Of("brings-sweetness", honey.SucroseEquivalentG(), sugarG),
		say.Of("brings-fat", (r.FatPct*r.Drink.MassG-100*oilG)/(r.Drink.MassG-10), r.FatPct),
		say.Of("usual-range", 2/litres, nutmeg.LowGPerL, nutmeg.HighGPerL), say.Of("g-per-litre", 1/litres), say.Of("brings-to-the-glass"), {},
	} {
		require.Equal(t, want.Code, said[n].Code, "line %d", n)
		for a, arg := range want.Args {
			assert.InDelta(t, arg, said[n].Args[a], .06, "line %d", n)
		}
	}
	assert.Len(t, (&Reckoning{Lines: make([]LineReckoning, 2)}).Contributions(), 2, "nothing was reckoned")
}

// What is said beside a line is what its process does with it.
func TestWhatIsSaidIsWhatIsDone(t *testing.T) {
	t.Parallel()
	hot := func(d *Drink) { d.Method.Heat, d.Method.Minutes = process.Boil, 5 }
	coarse := func(d *Drink) { d.Method.Coarse = true }
	for _, c := range []struct {
		lines []string
		way   func(*Drink)
		n     int
		want  say.Text
	}{
		{[]string{"1 cup almonds", "4 cups water"}, nil, 0, say.Of("soak-and-drain", 12)},
		{[]string{"1 cup almonds", "4 cups water"}, func(d *Drink) { d.Method.SoakHours = 6 }, 0, say.Of("soak-and-drain", 6)},
		{[]string{"20 g almonds", "60 g pistachios", "1 tbsp poppy seeds", "2 cups water"}, nil, 2, say.Of("soak-and-drain", 8)},
		{[]string{"1 cup almonds, unsoaked", "4 cups water"}, nil, 0, say.Of("goes-in-dry")},
		{[]string{"1 cup sesame seeds", "4 cups hot water"}, coarse, 0, say.Of("goes-in-dry")},
		{[]string{"1/2 cup pearl barley", "6 cups water, soaking water kept"}, nil, 0, say.Of("soak-and-keep", 4)},
		{[]string{"1/2 cup pearl barley", "6 cups water, soaking water kept"}, nil, 1, say.Of("soaks-and-stays-in")},
		{[]string{"1 cup rolled oats, rinsed", "4 cups water"}, nil, 0, say.Of("rinse-and-drain")},
		{[]string{"1 cup rolled oats", "4 cups water"}, nil, 0, say.Of("dry-or-soak-minutes", 15)},
		{[]string{"1 cup hemp seeds", "4 cups water"}, nil, 0, say.Of("goes-in-dry")},
		{[]string{"1 cup almonds", "4 cups water", "1 cup whole milk"}, hot, 2, say.Of("after-straining")},
		{[]string{"1 cup almonds", "4 cups water", "1 cup whole milk"}, nil, 2, say.Of("to-grind-with")},
		{[]string{"1 cup almonds", "4 cups water", "1 cup water to rinse the pulp"}, nil, 2, say.Of("rinses-the-pulp")},
		{[]string{"1 cup almonds", "4 cups water", "1 cup hot water, to brew", "1 tbsp chicory root, to brew"}, nil, 2, say.Of("to-brew-with")},
	} {
		d := drinkOf(t, c.lines...)
		if c.way != nil {
			c.way(&d)
		}
		assert.Equal(t, c.want, reckoned(t, d).Contributions()[c.n], c.lines)
	}
	said := say.Strings(reckoned(t, drinkOf(t, "1 cup rolled oats, rinsed", "1 cup almonds", "4 cups water")).Assumptions())
	assert.Contains(t, said, "taken-as-rinsed(Rolled oats)")
	assert.Contains(t, said, "taken-as-soaked(Almonds)")
	said = say.Strings(reckoned(t, drinkOf(t, "1 cup rolled oats", "4 cups water")).Assumptions())
	assert.NotContains(t, said, "taken-as-")
	stick := drinkOf(t, "1 cup almonds", "4 cups water", "1 cinnamon stick, while cooking")
	assert.Contains(t, say.Strings(reckoned(t, stick).Assumptions()), "nothing-to-cook-in(Cinnamon stick)")
	stick.Method.Heat = process.Warm
	assert.Contains(t, say.Strings(reckoned(t, stick).Assumptions()), "goes-in-while-cooking(Cinnamon stick)")
}

// Every default that was taken is listed, and why a line was left out.
func TestWhatWasTakenAsUsual(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "100 g almonds", "50 g soybeans", "30 g rolled oats", "800 g water", "1 large date", "3 moonbeams", "2 g nutmeg to serve", "1 g salt while cooking", strings.Repeat("ä", 81))
	d.Lines[len(d.Lines)-1].Kept = true
	d.Method.Strainer = process.Cloth
	r := reckoned(t, d)
	said := say.Strings(r.Assumptions())
	for _, want := range []string{
		"measures-are(system-us)", "strained-by(", "line-not-understood(", "taken-as-soaked(Almonds)", "taken-as-soaked(Soybeans",
		"boiled-after-straining(Soybeans", "ground-with(Rolled oats", "goes-in-at-serving(Nutmeg", "goes-in-while-cooking(", "soaked-and-kept(", "figures-are-estimates",
	} {
		assert.Contains(t, said, want)
	}
	assert.NotContains(t, said, "ä", "a note is no line that was left out")
	d.Method.Strainer, d.System = process.None, quantity.Metric
	said = say.Strings(reckoned(t, d).Assumptions())
	assert.NotContains(t, said, "strained-by(")
	assert.Contains(t, said, "measures-are(system-metric)")
	assert.Nil(t, (&Reckoning{}).Assumptions())

	long := strings.Repeat("ä", 81)
	for _, tt := range []struct {
		l    LineReckoning
		want []say.Text
	}{
		{LineReckoning{}, []say.Text{say.Of("line-not-understood", strings.Repeat("ä", 80)+"…")}},
		{LineReckoning{Kept: true}, nil},
		{LineReckoning{Understood: true}, nil},
		{LineReckoning{Understood: true, Err: errors.New("why")}, []say.Text{say.Of("line-left-out", strings.Repeat("ä", 80)+"…", say.Written("why"))}},
		{LineReckoning{Understood: true, Note: say.Of("medium")}, []say.Text{say.Of("taken-for", long, say.Of("medium"))}},
	} {
		assert.Equal(t, tt.want, lineAssumptions(&recipe.Line{Name: long}, tt.l))
	}
	assert.Equal(t, strings.Repeat("ä", 80), shorten(strings.Repeat("ä", 80)), "eighty are short enough")
}

// A measure stands for a solved amount where it holds it to half a thousandth, in three scoops at most.
func TestHowASolvedAmountIsWritten(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "3 small dates", "2 tbsp white sugar", "20 g white sugar", "1 cup water", "1/2 date, small")
	sugar := d.Lines[1].BulkGPerML()
	date := d.Lines[0].Ingredient.PieceG[quantity.Piece]
	for _, tt := range []struct {
		line int
		g    float64
		want string
	}{
		{0, 2 * date, "2"}, {0, 2.5 * date, "2½"}, {4, .5 * date, "½"},
		{1, 14.78676 * 3 * sugar, "3 tbsp"}, {1, 14.78676 * 3 * 1.0004 * sugar, "3 tbsp"},
		{3, 236.588 * 2, "2 cups"},
	} {
		assert.Contains(t, d.MeasureOf(d.Lines[tt.line], tt.g).String(), tt.want)
	}
	for line, g := range map[int]float64{0: 2.3 * date, 1: 14.78676 * 3 * 1.002 * sugar, 2: 14.78676 * 3 * sugar} {
		a := d.MeasureOf(d.Lines[line], g)
		assert.True(t, a.IsMetric(), "%v", a)
		assert.Equal(t, quantity.Of(FourFigures(g), quantity.Gram), a)
	}
	_, ok := d.Spooned(&d.Lines[1], 0)
	assert.False(t, ok, "nothing fills no spoon")
	for v, whole := range map[float64]bool{.5: true, 1: true, 1.5: true, 2: true, .25: false, .1: false, 1.1: false, 1.9999999: true, 2.0000001: true, 0: false} {
		assert.Equal(t, whole, isWhole(v), v)
	}
	for v, want := range map[float64]float64{0: 0, 1234.56: 1235, 12.3456: 12.35, .00123456: .001235, -12.3456: -12.35, 9999.6: 10000} {
		assert.InDelta(t, want, FourFigures(v), 1e-12)
	}
}

// A bed of nuts is two fifths air, and a tenth more than fills that covers it; a rest of a total is
// what the other lines do not bring.
func TestAmountsThatFollow(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "200 g almonds", "50 g cashews", "water to cover", "100 g water", "water to make 600 g")
	lines := d.Weigh(&Reckoning{Lines: make([]LineReckoning, len(d.Lines))})
	bedML := 200/d.Lines[0].BulkGPerML() + 50/d.Lines[1].BulkGPerML()
	cover := bedML * .4 * 1.1 * d.Lines[2].Ingredient.BulkGPerML
	assert.InDelta(t, cover, lines[2].MassG, 1e-9)
	require.True(t, d.Lines[4].Amount.IsToTotal())
	assert.InDelta(t, 600-100-cover, lines[4].MassG, 1e-9)
}

// The working of a drink in which nothing is ground: all of it runs through to the bottle.
func TestTheWorkingOfAStirredDrink(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "475 g water", "25 g white sugar", "2 g nutmeg", "10 g coconut oil", "1 g cinnamon to serve")
	d.Method.Strainer = process.None
	d.Prices = Prices{"sugar-white": .002, "water": 1}
	r := reckoned(t, d)
	w, err := r.Working(SweetnessFigure)
	require.NoError(t, err)
	assert.Equal(t, Brought{1, d.Lines[1].Ingredient.Name, 25, 25 * .999}, w.In[0])
	assert.InDelta(t, w.brought(), w.Streams[0].Amount, 1e-9)
	assert.Equal(t, "drink", w.Streams[0].Code)
	assert.Len(t, w.Streams, 1)
	assert.InDelta(t, 100*w.brought()/w.VolumeML, w.Result, 1e-9)
	assert.InDelta(t, 512, w.DrinkG, 1e-9)
	assert.Empty(t, w.Constants, "nothing was parted")

	w, err = r.Working(FatFigure)
	require.NoError(t, err)
	assert.InDelta(t, 100*w.brought()/512, w.Result, 1e-9)
	w, err = r.Working(YieldFigure)
	require.NoError(t, err)
	assert.Len(t, w.In, 4, "what waits for the glass is not in the bottle")
	assert.InDelta(t, 512, w.brought(), 1e-9)
	assert.Equal(t, []float64{r.Drink.VolumeML, r.Drink.VolumeML, r.Drink.VolumeML}, []float64{w.Result, w.Low, w.High})

	shareOfBatch := r.Servings.SizeML / r.Drink.VolumeML
	w, err = r.Working(NutmegFigure)
	require.NoError(t, err)
	assert.Equal(t, []Brought{{2, d.Lines[2].Ingredient.Name, 2, 2}}, w.In)
	assert.InDelta(t, 2*shareOfBatch, w.Result, 1e-9)
	w, err = r.Working(AddedOilFigure)
	require.NoError(t, err)
	assert.InDelta(t, 100*10./512, w.Result, 1e-9)
	w, err = r.Working(FreeSugarsFigure)
	require.NoError(t, err)
	assert.InDelta(t, 25*shareOfBatch, w.Result, .02)
	w, err = r.Working(CalciumFigure)
	require.NoError(t, err)
	assert.InDelta(t, caution.CartonCalciumMg*w.ServingML, w.Result, 1e-9)
	assert.Equal(t, []Constant{{Code: "carton", Value: caution.CartonCalciumMg}}, w.Constants)
	w, err = r.Working(CostFigure)
	require.NoError(t, err)
	assert.InDelta(t, r.Cost.Batch, w.Result, 1e-9)
	w, err = r.Working(KeepsFigure)
	require.NoError(t, err)
	assert.InDelta(t, r.Keeps.CautiousDays, w.Result, 1e-9)

	var wrong *fault.Error
	_, err = r.Working("moon")
	require.ErrorAs(t, err, &wrong)
	assert.Equal(t, "figure", wrong.Field)
	_, err = (&Reckoning{}).Working(FatFigure)
	require.ErrorAs(t, err, &wrong)
}

// What was ground is parted: the working names what parted it, and its streams add up to what went in.
func TestTheWorkingOfAGroundDrink(t *testing.T) {
	t.Parallel()
	d := drinkOf(t, "150 g almonds", "700 g water", "40 g white sugar")
	d.Method.Strainer = process.Cloth
	codes := func(d Drink, f Figure) ([]string, Working) {
		w, err := reckoned(t, d).Working(f)
		require.NoError(t, err)
		var all []string
		for _, c := range w.Constants {
			all = append(all, c.Code)
		}
		streams := 0.
		for _, s := range w.Streams {
			streams += s.Amount
		}
		assert.InDelta(t, w.brought(), streams, .02, f)
		return all, w
	}
	yield, w := codes(d, YieldFigure)
	assert.Equal(t, []string{"uptake", "released", "held", "walls", "spread"}, yield)
	almonds := d.Lines[0].Ingredient
	assert.Equal(t, Constant{"uptake", almonds.Name, almonds.UptakeGPerG, 0}, w.Constants[0])
	assert.Equal(t, -1, w.In[3].Line, "what the soak takes up comes in besides")
	assert.InDelta(t, process.WallShare, w.Constants[3].Value, 1e-12)
	m := reckoned(t, d).Batch.Method
	assert.InDelta(t, m.Spread()/m.Held(), w.Constants[4].Value, 1e-12)
	fat, w := codes(d, FatFigure)
	assert.Equal(t, []string{"released", "held", "walls"}, fat)
	assert.InDelta(t, 150*almonds.PerGram[ingredient.Fat], w.In[0].Amount, 1e-9)
	sweet, _ := codes(d, SweetnessFigure)
	assert.Equal(t, []string{"released-sugar", "held", "walls"}, sweet)
	d.Method.HeldRange, d.Method.SteamShare, d.Method.FreesShare = .2, 1.1, .9
	d.Method.Heat, d.Method.Minutes = process.Simmer, 5
	yield, w = codes(d, YieldFigure)
	assert.Equal(t, []string{"uptake", "released", "held-learned", "walls", "evaporated", "steam-learned", "frees-learned", "spread-learned"}, yield)
	r := reckoned(t, d)
	assert.InDelta(t, r.SteamG, w.Constants[4].Value, 1e-9)
	assert.InDelta(t, w.Constants[2].Value/r.Batch.Method.Held(), w.Constants[2].With, 1e-12)
}
