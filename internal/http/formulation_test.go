package http

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/kitchen"
)

// creamer is a recipe with something for every dial.
func (c *client) creamer() kitchen.Recipe {
	c.t.Helper()
	f := kitchen.New("us")
	for n, text := range []string{"1 1/2 cups pecans, soaked 8 h", "3 cups water", "2 tbsp maple syrup", "1/2 tsp cardamom after straining", "1 tbsp coconut oil"} {
		line := call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: text}).Lines[0]
		line.Key = fmt.Sprint("k", n)
		f.Lines = append(f.Lines, line)
	}
	return f
}

func TestADialIsTurned(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := c.creamer()
	f.Lines = append(f.Lines, kitchen.Line{Key: "odd", Ingredient: "moon dust", Amount: "lots"})
	to := 10.5
	out := call[bench.Solved](c, "POST", "/api/turns", bench.Turn{Recipe: f, Dial: "fat", Value: &to})
	assert.InDelta(t, 10.5, out.Reckoning.Dials[1].Value, .05)
	assert.Equal(t, f.Lines[0], out.Recipe.Lines[0], "what did not change stays as it was typed")
	assert.Equal(t, f.Lines[5], out.Recipe.Lines[5], "what is not understood stays as it was typed")
	assert.Empty(t, out.Said)
	middle := .5
	out = call[bench.Solved](c, "POST", "/api/turns", bench.Turn{Recipe: f, Dial: "strength", Position: &middle, Give: "k0"})
	assert.InDelta(t, .5, out.Reckoning.Dials[2].Position, .01)
	assert.NotEqual(t, f.Lines[0].Amount, out.Recipe.Lines[0].Amount)
	assert.Equal(t, f.Lines[1], out.Recipe.Lines[1])
	none := 0.
	out = call[bench.Solved](c, "POST", "/api/turns", bench.Turn{Recipe: f, Dial: "fat", Value: &none})
	require.NotEmpty(t, out.Said)
	assert.Contains(t, out.Said[0], "Fat cannot reach 0 %")
	for n := range f.Lines {
		f.Lines[n].Locked = true
	}
	p := c.refused("POST", "/api/turns", bench.Turn{Recipe: f, Dial: "sweetness", Value: &to})
	assert.Contains(t, p.Errors[0].Message, "locked")
	assert.Equal(t, "body.sweetness", p.Errors[0].Location)
}

func TestASwapSaysWhatItChanges(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	out := call[bench.Swapped](c, "POST", "/api/swaps", bench.Swap{Recipe: c.creamer(), Line: "k0", To: "walnuts"})
	assert.Equal(t, "equal-weight", out.How)
	assert.Contains(t, out.Ways, "equal-fat")
	assert.Contains(t, out.Worst[0], "adds an allergen: walnut", "the worst is told first")
	assert.Equal(t, "Walnuts", out.Recipe.Lines[0].Ingredient)
	assert.Empty(t, out.Recipe.Lines[0].Note, "it is not said to be soaked any more")
	for field, bad := range map[string]bench.Swap{
		"body.line": {Line: "none", To: "walnuts"}, "body.to": {Line: "k0", To: "moon dust"}, "body.how": {Line: "k0", To: "walnuts", How: "by ear"},
	} {
		bad.Recipe = c.creamer()
		assert.Equal(t, field, c.refused("POST", "/api/swaps", bad).Errors[0].Location)
	}
}

func TestKitchenWork(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	on := bench.OnBench{Name: "creamer", Recipe: c.creamer()}

	ladder := call[bench.Ladder](c, "POST", "/api/ladders", bench.ToLetDown{OnBench: on, SecondML: 300})
	assert.NotEmpty(t, ladder.Rungs)
	assert.Positive(t, ladder.Second.FatPct)

	blend := call[bench.Blended](c, "POST", "/api/blends", bench.ToBlend{A: "coconut milk", B: "oat milk", Of: "fat", Target: 10.5, VolumeML: 500})
	assert.InDelta(t, 10.5, blend.FatPct, 1e-6)
	assert.Equal(t, "body.b", c.refused("POST", "/api/blends", bench.ToBlend{A: "coconut milk", B: "salt", Of: "fat", Target: 10, VolumeML: 500}).Errors[0].Location)
	assert.Equal(t, "body.target", c.refused("POST", "/api/blends", bench.ToBlend{A: "coconut milk", B: "oat milk", Of: "fat", Target: 50, VolumeML: 500}).Errors[0].Location)

	trial := call[bench.Tried](c, "POST", "/api/trials", bench.Trial{OnBench: on, CupML: 100, Lines: []string{"1/2 tsp honey", ""}, Returned: true})
	require.Len(t, trial.Additions, 1)
	assert.Len(t, trial.Recipe.Lines, 6)
	assert.InDelta(t, trial.Reckoning.DrinkML, trial.AfterML, 1e-6, "what is said is what is reckoned")
	assert.Equal(t, "body.lines[1]", c.refused("POST", "/api/trials", bench.Trial{OnBench: on, CupML: 100, Lines: []string{"", "joy"}, Returned: false}).Errors[0].Location)
	assert.Equal(t, "body.lines", c.refused("POST", "/api/trials", bench.Trial{OnBench: on, CupML: 100, Lines: []string{" "}, Returned: false}).Errors[0].Location)

	split := call[[]bench.SplitDrink](c, "POST", "/api/splits", bench.Split{OnBench: on, Portions: []kitchen.Portion{{Name: "flask", ML: 300, Lines: []string{"1 tbsp cocoa"}}, {Name: "plain", Lines: []string{}}}})
	assert.Contains(t, split[0].Recipe.Lines[5].Ingredient, "Cocoa")
	assert.Less(t, split[0].Reckoning.DrinkML, split[1].Reckoning.DrinkML)

	cup := call[bench.InTheCup](c, "POST", "/api/cups", bench.Cup{OnBench: on, Into: "coffee", CupC: 90, Acid: true})
	assert.Equal(t, "high", cup.SplitRisk)

	matched := call[[]bench.Matched](c, "POST", "/api/matches", bench.ToMatch{Figures: bench.Figures{FatG: 6, SugarsG: 5, ProteinG: 1.5}, Recipe: on.Recipe})
	assert.Len(t, matched, 3)
	assert.Empty(t, matched[0].Unmet)

	iced := call[kitchen.Recipe](c, "POST", "/api/ice", on)
	assert.Equal(t, "Ice", iced.Lines[2].Ingredient)

	nudged := call[bench.Nudged](c, "POST", "/api/nudges", on)
	assert.Empty(t, nudged.Changes, "all of it is in cups and spoons already")
}

// Three hundred lines are taken, and solved for.
func TestThreeHundredLines(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := c.creamer()
	for n := len(f.Lines); n < 300; n++ {
		f.Lines = append(f.Lines, kitchen.Line{Key: fmt.Sprint("s", n), Ingredient: "Maple syrup", Amount: "1/4 tsp"})
	}
	to := 9.
	out := call[bench.Solved](c, "POST", "/api/turns", bench.Turn{Recipe: f, Dial: "sweetness", Value: &to})
	assert.InDelta(t, 9, out.Reckoning.Dials[0].Value, .05)
}

func TestSizedByBottlesAndByDays(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := c.creamer()
	f.SizeBy, f.SizeValue, f.SizeEach = "bottles", 3, 330
	assert.InDelta(t, 990, call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f}).DrinkML, .01)
	f.SizeBy, f.SizeValue, f.SizeEach, f.PerDay = "days", 4, 0, 3
	assert.InDelta(t, 360, call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f}).DrinkML, .01, "cups of a serving, 30 mL")
	f.PerDay = 0
	assert.Equal(t, "body.size.perDay", c.refused("POST", "/api/reckonings", bench.ToReckon{Recipe: f}).Errors[0].Location)
}

// What must be read of a pasted recipe, each line by hand.
func TestAPastedRecipeLosesNoLine(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	tests := []struct{ text, amount, ingredient, note string }{
		{"1-1/2 cups raw cashews, soaked overnight", "1½ cups", "Cashews", "soaked overnight"},
		{"1,5 dl water", "1.5 dL", "Water", ""},
		{"2 tbsp + 1 tsp maple syrup", "2 tbsp + 1 tsp", "Maple syrup", ""},
		{"1 lb 4 oz almonds", "1 lb + 4 oz", "Almonds", ""},
		{"1 (14 oz) can coconut milk", "1 (14 oz) can", "Coconut milk, canned", ""},
		{"2 x 400 ml coconut milk", "2 x 400 mL", "Coconut milk, canned", ""},
		{"a pinch of salt", "1 pinch", "Salt", ""},
		{"half a cup rolled oats", "½ cup", "Rolled oats", ""},
		{"3-4 large dates (pitted)", "3–4 pieces", "Large dates", "pitted"},
		{"~ 2 cups water", "about 2 cups", "Water", ""},
		{"1 heaped tbsp cocoa", "1 heaped tbsp", "Cocoa powder", ""},
		{"1 scant cup sunflower seeds", "1 scant cup", "Sunflower seeds", ""},
		{"• ½ tsp nutmeg", "½ tsp", "Nutmeg, ground", ""},
		{"- 8 fl. oz. oat milk", "8 fl oz", "Oat milk, carton, unsweetened", ""},
		{"2 T agave nectar", "2 tbsp", "Agave syrup", ""},
		{"1 t vanilla", "1 tsp", "Vanilla extract", ""},
		{"seeds of 1 vanilla bean", "1 bean", "Vanilla bean", ""},
		{"two thumbs fresh ginger, sliced", "2 thumbs", "Ginger, fresh", "sliced"},
		{"1 cup roasted almonds", "1 cup", "Almonds", "roasted"},
		{"salt, to taste", "", "Salt", "to taste"},
	}
	var list []string
	for _, tt := range tests {
		list = append(list, tt.text)
	}
	out := call[bench.Pasted](c, "POST", "/api/pastes", bench.Paste{Text: "# Porch milk\n" + strings.Join(list, "\n") + "\n\na splash of joy\n-1 cup water"})
	assert.Equal(t, "Porch milk", out.Name)
	require.Len(t, out.Lines, 1+len(tests)+2, "and the title")
	for n, tt := range tests {
		got := out.Lines[1+n]
		assert.True(t, got.Understood, tt.text)
		assert.Equal(t, []string{strings.TrimLeft(tt.text, "•- "), tt.amount, tt.ingredient, tt.note}, []string{got.Text, got.Lines[0].Amount, got.Lines[0].Ingredient, got.Lines[0].Note})
	}
	for _, odd := range out.Lines[1+len(tests):] {
		assert.False(t, odd.Understood)
		assert.NotEmpty(t, odd.Problem+odd.Question)
		assert.NotEmpty(t, odd.Lines[0].Ingredient, "what was written is kept")
	}
	for _, bad := range []string{"   ", `{"@type":"Recipe"`, `{"@type":"Thing"}`, `{"a":{"b":[[[[[[[[[[1]]]]]]]]]]}}`} {
		assert.Equal(t, "body.text", c.refused("POST", "/api/pastes", bench.Paste{Text: bad}).Errors[0].Location, bad)
	}
}

// Taken out as JSON-LD and pasted in again, a drink is the same drink.
func TestExportsComeInAgain(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := c.creamer()
	f.Lines[2].Stage = "at serving"
	before := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	out := call[bench.Exported](c, "POST", "/api/exports", bench.OnBench{Name: "A <b>creamer</b> of *ours*", Recipe: f})
	var recipe struct {
		Context string `json:"@context"`
		Type    string `json:"@type"`
		Name    string
		Yield   string   `json:"recipeYield"`
		Lines   []string `json:"recipeIngredient"`
		Steps   []struct {
			Type string `json:"@type"`
			Text string
		} `json:"recipeInstructions"`
	}
	require.NoError(t, json.Unmarshal([]byte(out.JSONLD), &recipe))
	assert.Equal(t, []string{"https://schema.org", "Recipe", "A <b>creamer</b> of *ours*"}, []string{recipe.Context, recipe.Type, recipe.Name})
	assert.NotEmpty(t, recipe.Yield)
	assert.Equal(t, "HowToStep", recipe.Steps[0].Type)
	assert.NotContains(t, out.Markdown, "<b>")
	assert.Contains(t, out.Markdown, `\*ours\*`)
	pasted := call[bench.Pasted](c, "POST", "/api/pastes", bench.Paste{Text: out.JSONLD})
	again := kitchen.New("us")
	for _, l := range pasted.Lines {
		again.Lines = append(again.Lines, l.Lines...)
	}
	after := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: again})
	assert.InEpsilon(t, before.DrinkML, after.DrinkML, 1e-3)
	assert.InEpsilon(t, before.Per100mL.FatG, after.Per100mL.FatG, 1e-3)
	assert.Equal(t, before.Lines[2].Stage, after.Lines[2].Stage)
}

func TestComparingVersions(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	d := c.begun()
	call[bench.Drink](c, "POST", "/api/drinks/1/versions", bench.VersionNote{})
	f := d.Draft
	f.Lines[1].Amount = "3 cups"
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: f, Revision: d.Revision})
	out := call[bench.Comparison](c, "POST", "/api/comparisons", bench.ToCompare{A: bench.Compared{DrinkID: 1, Version: 0}, B: bench.Compared{DrinkID: 1, Version: 1}})
	assert.Equal(t, "Almond milk, version 1", out.BName)
	require.NotEmpty(t, out.Rows)
	assert.True(t, out.Rows[0].Differs)
	assert.False(t, out.Rows[len(out.Rows)-1].Differs)
	assert.Equal(t, "body.b", c.refused("POST", "/api/comparisons", bench.ToCompare{A: bench.Compared{DrinkID: 1, Version: 0}, B: bench.Compared{DrinkID: 1, Version: 9}}).Errors[0].Location)
	assert.Equal(t, http.StatusNotFound, c.refused("POST", "/api/comparisons", bench.ToCompare{A: bench.Compared{DrinkID: 1, Version: 0}, B: bench.Compared{DrinkID: 7, Version: 0}}).Status)
}

func TestPantry(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	weight := 320.
	p := call[pantry.Pantry](c, "POST", "/api/pantry/ingredients", kitchen.OwnRow{Name: "Towpath syrup", Role: "sweetener", Allergens: []string{"hazelnuts"}, Vegan: true})
	assert.Contains(t, p.Ingredients[0].Lacks, "its nutrition is not known")
	own := kitchen.OwnRow{Name: "Towpath syrup", Role: "sweetener", GPerCup: &weight, Allergens: []string{}, Label: &kitchen.Label{CarbohydrateG: 70, SugarsG: 65}}
	p = call[pantry.Pantry](c, "PUT", "/api/pantry/ingredients/1", own)
	assert.Empty(t, p.Ingredients[0].Lacks)
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/own-1", pantry.PackPrice{Price: 3.2, Pack: "250 g"})
	call[pantry.Pantry](c, "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 4, Pack: "500 g", InShell: true})
	call[pantry.Pantry](c, "POST", "/api/pantry/measures", pantry.OwnMeasure{Name: "Mug", WaterG: 299.463, Replace: false})

	f := almondMilk()
	f.Lines[1].Amount = "3 mugs"
	f.Lines = append(f.Lines, kitchen.Line{Key: "s", Ingredient: "towpath syrup", Amount: "25 g"})
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.InDelta(t, 900*.9982, r.Lines[1].MassG, .5)
	assert.InDelta(t, .32+143*4/(500*.4), r.Cost.Batch, .01, "two fifths of almonds in their shell are eaten")
	assert.Empty(t, r.Cost.Unpriced)
	assert.Greater(t, r.Per100mL.FreeSugarsG, 1.)

	tests := []struct {
		name, method, path string
		body               any
		field              string
	}{
		{"a price of nothing", "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 0, Pack: "500 g"}, "body.price"},
		{"a pack of nothing", "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 1, Pack: ""}, "body.pack"},
		{"a pack of letters", "PUT", "/api/pantry/prices/almond", pantry.PackPrice{Price: 1, Pack: "big"}, "body.pack"},
		{"a name that is there", "POST", "/api/pantry/ingredients", kitchen.OwnRow{Name: "almonds", Role: "base", Allergens: []string{}}, "body.name"},
		{"a name twice", "POST", "/api/pantry/ingredients", kitchen.OwnRow{Name: "towpath SYRUP", Role: "base", Allergens: []string{}}, "body.name"},
		{"more sugar than carbohydrate", "POST", "/api/pantry/ingredients", kitchen.OwnRow{Name: "x", Role: "base", Allergens: []string{}, Label: &kitchen.Label{SugarsG: 3}}, "body.sugarsG"},
		{"a measure of two words", "POST", "/api/pantry/measures", pantry.OwnMeasure{Name: "my mug", WaterG: 300, Replace: false}, "body.name"},
		{"a measure of nothing", "POST", "/api/pantry/measures", pantry.OwnMeasure{Name: "jar", WaterG: 0, Replace: false}, "body.waterG"},
		{"a drinker of no age", "POST", "/api/pantry/drinkers", kitchen.Drinker{Name: "cox", Age: "old", Allergens: []string{}, Dislikes: []string{}}, "body.age"},
		{"a drinker of no weight", "POST", "/api/pantry/drinkers", kitchen.Drinker{Name: "cox", Age: "adult", WeightKG: 1, Allergens: []string{}, Dislikes: []string{}}, "body.weightKG"},
		{"a drawer of weights", "PUT", "/api/kitchen", app.Settings{System: "us", School: "cautious", FridgeC: 4, JugML: 1000, Theme: "day", Currency: "GBP", Measures: []string{"5 g"}, KitchenC: 20}, "body.measures"},
		{"no currency", "PUT", "/api/kitchen", app.Settings{System: "us", School: "cautious", FridgeC: 4, JugML: 1000, Theme: "day", Currency: "shells", Measures: []string{}, KitchenC: 20}, "body.currency"},
	}
	for _, tt := range tests {
		refused := c.refused(tt.method, tt.path, tt.body)
		if assert.NotEmpty(t, refused.Errors, tt.name) {
			assert.Equal(t, tt.field, refused.Errors[0].Location, tt.name)
		}
	}
	p = call[pantry.Pantry](c, "DELETE", "/api/pantry/ingredients/1", nil)
	assert.NotEqual(t, "Towpath syrup", p.Ingredients[0].Name)
	call[pantry.Pantry](c, "DELETE", "/api/pantry/prices/almond", nil)
	assert.Equal(t, http.StatusNotFound, c.refused("DELETE", "/api/pantry/prices/almond", nil).Status)
}

func TestDrinkersAreHeldAgainstEveryDrink(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", kitchen.Drinker{Name: "neighbour", Age: "adult", Allergens: []string{"almonds"}, Dislikes: []string{}})
	p := call[pantry.Pantry](c, "POST", "/api/pantry/drinkers", kitchen.Drinker{Name: "small one", Age: "1 to 3", Allergens: []string{}, Dislikes: []string{}})
	f := almondMilk()
	f.Lines = append(f.Lines, kitchen.Line{Key: "b", Ingredient: "Brazil nuts", Amount: "20 g"})
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.Equal(t, bench.ForWhom{Name: "neighbour", Not: true, Reasons: []string{"contains almond"}}, r.ForWhom[0])
	assert.True(t, r.ForWhom[1].Not)
	assert.InDelta(t, 70, *r.Cautions[0].Limit, 1e-9, "EFSA 2023, one to three years")
	call[pantry.Pantry](c, "DELETE", fmt.Sprintf("/api/pantry/drinkers/%d", p.Drinkers[1].ID), nil)
	r = call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	require.Len(t, r.ForWhom, 1)
}
