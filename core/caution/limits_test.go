package caution

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// dayOf is each limit of a day, by age, written down from the tables again and not from the code.
// Selenium µg: EFSA 2023, doi:10.2903/j.efsa.2023.7704 (255 for adults, 70 to 230 for the young;
// 11 to 17 from memory). Iodine µg: EFSA 2006. Free sugars g: UK SACN 2015, adults WHO 2015.
// Weights kg: adults 60 on the safe side, the rest usual ones, common practice. Under a year the
// limits of one to three.
var dayOf = []struct {
	age                          Age
	selenium, iodine, sugars, kg float64
}{
	{Infant, 70, 200, 14, 8}, {To3, 70, 200, 14, 12}, {To6, 95, 250, 19, 18}, {To10, 130, 300, 24, 28},
	{To14, 180, 450, 30, 43}, {To17, 230, 500, 30, 58}, {Adult, 255, 600, 25, 60},
}

// holding is a drink whose one serving brings so much of a component, with what carries it.
func holding(t *testing.T, id string, of ingredient.Component, amount float64, p Drinker) Drink {
	t.Helper()
	i, ok := ingredient.Standard().ByID(id)
	require.True(t, ok, id)
	d := Drink{BatchML: 1000, ServingML: 100, FridgeC: 4, Parts: []Part{{Ingredient: i, MassG: 1}}, Drinkers: []Drinker{p}}
	d.PerServing[of] = amount
	return d
}

// Every limit by every age: raised from half of it on, and not for them above it.
func TestEveryLimitByEveryAge(t *testing.T) {
	t.Parallel()
	for _, day := range dayOf {
		for _, held := range []struct {
			code, id, reason string
			of               ingredient.Component
			limit            float64
		}{
			{"selenium", "brazil-nut", "a-day-of-selenium", ingredient.SeleniumUg, day.selenium},
			{"iodine", "seaweed", "a-day-of-iodine", ingredient.IodineUg, day.iodine},
			{"free-sugars", "white-sugar", "a-day-of-free-sugars", ingredient.FreeSugars, day.sugars},
			{"coumarin", "cinnamon", "a-day-of-coumarin", ingredient.CoumarinMg, day.kg * .1}, // EFSA 2008: 0.1 mg/kg
		} {
			p := Drinker{Name: "one", Age: day.age}
			for share, raised := range map[float64]bool{.499: false, .5: true, 1: true, 1.001: true} {
				d := holding(t, held.id, held.of, held.limit*share, p)
				c, ok := find(t, d, held.code)
				require.True(t, ok, "%s %s", held.code, day.age)
				assert.InDelta(t, held.limit, *c.Limit, 1e-9, "%s %s", held.code, day.age)
				assert.InDelta(t, held.limit*share, *c.Value, 1e-9)
				assert.Equal(t, raised, c.Raised, "%s %s at %g of it", held.code, day.age, share)
				who := ForWhom(d)[0]
				if day.age != Infant { // for whom nothing here is
					assert.Equal(t, share > 1, who.Not, "%s %s at %g of it", held.code, day.age, share)
					assert.Equal(t, raised, tells(who.Reasons, held.reason), "%s %s %v", held.code, day.age, who.Reasons)
				}
			}
			p.ServingsDay = 3
			c, _ := find(t, holding(t, held.id, held.of, held.limit/5.99, p), held.code)
			assert.True(t, c.Raised, "three servings a day of a sixth")
		}
	}
	heavy, _ := find(t, holding(t, "cinnamon", ingredient.CoumarinMg, 1, Drinker{Name: "one", Age: To6, WeightKG: 40}), "coumarin")
	assert.InDelta(t, 4, *heavy.Limit, 1e-9, "their own weight where it is known")
}

func tells(reasons []say.Text, code string) bool {
	for _, r := range reasons {
		if r.Code == code {
			return true
		}
	}
	return false
}

// Nutmeg is held by its mass, 5 g a day (from memory); free sugars under half a gram are not told;
// the fridge from 5 °C on (FDA Food Code 3-501.16).
func TestTheLimitsThatAgesShare(t *testing.T) {
	t.Parallel()
	for grams, want := range map[float64]struct{ raised, not bool }{24.9: {false, false}, 25: {true, false}, 50: {true, false}, 50.1: {true, true}} {
		d := glass(t, map[string]float64{"nutmeg": grams}, Drinker{Name: "one", Age: Adult})
		d.ServingML = 100 // a tenth of the batch
		c, ok := find(t, d, "nutmeg")
		require.True(t, ok)
		assert.InDelta(t, 5, *c.Limit, 1e-9)
		assert.InDelta(t, grams/10, *c.Value, 1e-9)
		assert.Equal(t, want.raised, c.Raised, grams)
		assert.Equal(t, want.not, ForWhom(d)[0].Not, grams)
	}
	for g, told := range map[float64]bool{.49: false, .5: true} {
		_, ok := find(t, holding(t, "white-sugar", ingredient.FreeSugars, g, anyAdult), "free-sugars")
		assert.Equal(t, told, ok, g)
	}
	for c, told := range map[float64]bool{5: false, 5.1: true} {
		found, ok := find(t, Drink{FridgeC: c}, "fridge-warm")
		assert.Equal(t, told, ok, c)
		assert.Equal(t, told, found.Raised)
	}
}

// What is said of how a drink is made, on either side of where it begins.
func TestWhatIsSaidOfTheMaking(t *testing.T) {
	t.Parallel()
	with := func(id string, change func(*Drink)) Drink {
		d := glass(t, map[string]float64{id: 50})
		change(&d)
		return d
	}
	for name, tt := range map[string]struct {
		d    Drink
		code string
		told bool
	}{
		"oats, not long, not warm":    {with("oats", func(d *Drink) { d.BlendS, d.GroundC = 30, 20 }), "slime", false},
		"oats, long":                  {with("oats", func(d *Drink) { d.BlendS = 30.5 }), "slime", true},
		"oats, warm":                  {with("oats", func(d *Drink) { d.GroundC = 20.5 }), "slime", true},
		"rice, warm":                  {with("white-rice", func(d *Drink) { d.GroundC = 20.5 }), "slime", true},
		"rice, squeezed":              {with("white-rice", func(d *Drink) { d.Squeezed = true }), "slime", true},
		"oats, squeezed":              {with("oats", func(d *Drink) { d.Squeezed = true }), "slime", true},
		"almonds, squeezed":           {with("almond", func(d *Drink) { d.Squeezed, d.BlendS = true, 90 }), "slime", false},
		"flax through cloth":          {with("flax", func(d *Drink) { d.Clogs = true }), "clogs", true},
		"flax through a sieve":        {with("flax", func(d *Drink) {}), "clogs", false},
		"almonds through cloth":       {with("almond", func(d *Drink) { d.Clogs = true }), "clogs", false},
		"3 % oil":                     {with("almond", func(d *Drink) { d.AddedOilG, d.BatchG = 30, 1000 }), "oil-separates", false},
		"more oil":                    {with("almond", func(d *Drink) { d.AddedOilG, d.BatchG = 30.1, 1000 }), "oil-separates", true},
		"more oil, heated":            {with("almond", func(d *Drink) { d.AddedOilG, d.BatchG, d.Heated = 90, 1000, true }), "oil-separates", false},
		"oil in a batch of nothing":   {with("almond", func(d *Drink) { d.AddedOilG, d.BatchG = .02, 0 }), "oil-separates", false},
		"grain in its soaking water":  {with("white-rice", func(d *Drink) { d.Parts[0].SoakKept = true }), "kept-soak", true},
		"grain drained":               {with("white-rice", func(d *Drink) {}), "kept-soak", false},
		"a nut in its soaking water":  {with("almond", func(d *Drink) { d.Parts[0].SoakKept = true }), "kept-soak", false},
		"hot into the blender":        {with("almond", func(d *Drink) { d.Parts[0].Hot = true }), "hot-blend", true},
		"cold into it":                {with("almond", func(d *Drink) {}), "hot-blend", false},
		"raw soy":                     {with("soybean", func(d *Drink) {}), "soy-boil", true},
		"no soy":                      {with("almond", func(d *Drink) {}), "soy-boil", false},
		"every drink, not for babies": {Drink{}, "infant", true},
	} {
		c, ok := find(t, tt.d, tt.code)
		assert.Equal(t, tt.told, ok, name)
		if tt.code == "oil-separates" && ok {
			assert.InDelta(t, 3.01, *c.Value, 1e-9)
		}
	}
	raw, _ := find(t, with("soybean", func(*Drink) {}), "soy-boil")
	assert.True(t, raw.Raised)
	c, ok := find(t, Drink{ServingML: 250, Drinkers: []Drinker{{Age: Adult}, {Age: To6, ServingsDay: 2}}}, "unfortified")
	require.True(t, ok)
	assert.InDelta(t, 1.2*250*2, *c.Value, 1e-9, "a fortified carton has 120 mg of calcium in 100 mL (typical label, from memory)")
}

// Sucrose in water at 0 °C: 64.2 % by mass (ICUMSA, from memory).
func TestASyrupAtItsLimit(t *testing.T) {
	t.Parallel()
	_, told := find(t, Drink{SucroseG: 64.2, WaterG: 35.8}, "crystallise")
	assert.False(t, told)
	c, told := find(t, Drink{SucroseG: 70, WaterG: 30}, "crystallise")
	require.True(t, told)
	assert.InDelta(t, 70, *c.Value, 1e-9)
	water, invert := c.Text.Args[1].(float64), c.Text.Args[2].(float64)
	assert.InDelta(t, 64.2, 100*70/(100+water), 1e-6, "so much water dissolves it")
	assert.InDelta(t, 64.2, 100*(70-invert)/(100-invert), 1e-6, "or so much of it turned into other sugars")
}

func TestWeightsAndServingsThatCanBe(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		kg, servings float64
		field        string
	}{
		{0, 0, ""}, {2, .01, ""}, {300, 50, ""}, {1.99, 0, "weightKG"}, {300.1, 0, "weightKG"}, {0, .009, "servingsDay"}, {0, 50.1, "servingsDay"}, {math.NaN(), 0, "weightKG"}, {0, math.NaN(), "servingsDay"},
	} {
		err := Drinker{Name: "one", Age: Adult, WeightKG: tt.kg, ServingsDay: tt.servings}.Check()
		var amiss *fault.Error
		if tt.field == "" {
			assert.NoError(t, err, tt)
			continue
		}
		require.ErrorAs(t, err, &amiss, tt)
		assert.Equal(t, tt.field, amiss.Field)
	}
}

// The raised ones stand first, each group in the order of the rules.
func TestWhatHarmsSoonestIsSaidFirst(t *testing.T) {
	t.Parallel()
	d := glass(t, map[string]float64{"soybean": 100, "brazil-nut": 40, "honey": 10, "white-rice": 20})
	d.FridgeC = 7
	var codes []string
	raised := 0
	for _, c := range Of(d) {
		codes = append(codes, c.Code)
		if c.Raised {
			raised++
			assert.Len(t, codes, raised, "no raised one after one that is not")
		}
	}
	assert.True(t, strings.HasPrefix(strings.Join(codes, " "), "soy-boil fridge-warm selenium"), codes)
}
