package exchange

import (
	"encoding/json"
	"math/rand/v2"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/plan"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/say"
	"plushladle/internal/wording"
)

// The card, the Markdown, the JSON-LD and the command line tell the same steps, in the same order,
// as Plan and Cook lay out, of whatever drink.
func TestEverySheetTellsTheSameSteps(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(3, 29))
	for range 200 {
		d := reckontest.Random(t, random.IntN)
		r := reckontest.Reckoned(t, d)
		if r.Drink == nil {
			continue
		}
		steps := plan.Steps(&d, r, KitchenOf(&d), plan.OnTheBench)
		sheet, exported := SheetOf(&d, r), Export(&d, make([]string, len(d.Lines)), r, nil)
		require.Len(t, sheet.Steps, len(steps))
		require.Len(t, exported.Steps, len(steps))
		data, err := sheet.JSONLD()
		require.NoError(t, err)
		var recipe struct {
			RecipeInstructions []struct{ Text string }
		}
		require.NoError(t, json.Unmarshal(data, &recipe))
		require.GreaterOrEqual(t, len(recipe.RecipeInstructions), len(steps), "and what is to be known after them")
		_, rest, found := strings.Cut(sheet.Markdown(), "\n1. ")
		require.True(t, found)
		for n, step := range steps {
			require.Contains(t, sheet.Steps[n], wording.Text(step.Title))
			require.Equal(t, wording.Text(step.Title), exported.Steps[n].Title)
			require.Equal(t, sheet.Steps[n], exported.Steps[n].Text)
			require.Equal(t, sheet.Steps[n], recipe.RecipeInstructions[n].Text)
			_, rest, found = strings.Cut(rest, wording.Text(step.Title))
			require.True(t, found, "%s in its place of the Markdown", wording.Text(step.Title))
		}
	}
}

// What right looks like is not said again where the caution says it.
func TestAStepSaysNothingTwice(t *testing.T) {
	t.Parallel()
	text := StepText(plan.Step{Kind: plan.Heat, HandsOn: true, Title: say.Of("simmer", 10), Right: say.Of("boil-right"), Caution: say.Of("soy-boil")})
	assert.Equal(t, 1, strings.Count(text, wording.Text(say.Of("boil-right"))), text)
	assert.Contains(t, StepText(plan.Step{Title: say.Of("simmer", 10), Right: say.Of("boil-right")}), wording.Text(say.Of("boil-right")))
}

// A count is said as people say it: one date, three dates, half a stick.
func TestPiecesAreCountedInWords(t *testing.T) {
	t.Parallel()
	for text, want := range map[string]string{
		"1 piece": "1 small date (7.0 g)", "½ piece": "½ small date (7.0 g)", "3 pieces": "3 small dates (7.0 g)", "about 6 pieces": "about 6 small dates (7.0 g)", "2 tbsp": "2 tbsp small dates (7.0 g)",
	} {
		assert.Equal(t, want, amountText(plan.Amount{Name: "Small dates", Text: say.Written(text), MassG: 7}))
	}
	for text, want := range map[string]string{"1 stick": "1 cinnamon stick (6.0 g)", "1½ sticks": "1½ cinnamon sticks (6.0 g)", "2 tsp": "2 tsp cinnamon stick (6.0 g)"} {
		assert.Equal(t, want, amountText(plan.Amount{Name: "Cinnamon stick", Text: say.Written(text), MassG: 6}), "the unit is in the name already")
	}
	for _, c := range []struct {
		a    plan.Amount
		want string
	}{
		{plan.Amount{Name: "White sugar", Text: say.Written("300 g"), MassG: 300}, "300 g white sugar"},
		{plan.Amount{Name: "Saffron", Text: say.Written("1 pinch"), MassG: .044}, "1 pinch saffron"},
		{plan.Amount{Name: "Almonds", MassG: 218, Soaked: true}, "218 g soaked almonds"},
		{plan.Amount{Name: "Pearl barley", MassG: 758, Soaked: true, Kept: true}, "758 g pearl barley with the liquid it soaked in"},
	} {
		assert.Equal(t, c.want, amountText(c.a))
	}
	for text, want := range map[string]string{"1 piece": "peel of 1 lime (5.0 g)", "½ piece": "peel of ½ lime (5.0 g)", "2 pieces": "peel of 2 limes (5.0 g)", "1 tsp": "1 tsp lime peel (5.0 g)", "2 strips": "2 strips lime peel (5.0 g)"} {
		assert.Equal(t, want, amountText(plan.Amount{Name: "Lime peel", Text: say.Written(text), MassG: 5}))
	}
	assert.Equal(t, "juice of 2 limes (88 g)", amountText(plan.Amount{Name: "Lime juice", Text: say.Written("2 pieces"), MassG: 88}))
	assert.Equal(t, "1 lemongrass (12 g)", amountText(plan.Amount{Name: "Lemongrass", Text: say.Written("1 piece"), MassG: 12}))
}
