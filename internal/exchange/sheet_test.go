package exchange

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/plan"
	"plushladle/core/reading"
	"plushladle/core/reckon"
	"plushladle/core/say"
	"plushladle/internal/wording"
)

// The card, the exports and the command line tell the same steps, in the same
// order, as Plan and Cook lay out.
func TestEverySheetTellsTheSameSteps(t *testing.T) {
	t.Parallel()
	d := reckon.New("Towpath soy")
	for _, text := range []string{"1 cup soybeans", "4 cups water", "1 cup hot tea, to brew", "1 tbsp sugar", "1 tsp cinnamon, to serve"} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err)
		d.Lines = append(d.Lines, line)
	}
	r, err := d.Reckon()
	require.NoError(t, err)
	steps := plan.Steps(&d, r, KitchenOf(&d), plan.OnTheBench)
	sheet, exported := SheetOf(&d, r), Export(&d, []string{"", "", "", "", ""}, r, nil)
	require.Len(t, sheet.Steps, len(steps))
	require.Len(t, exported.Steps, len(steps))
	for n, step := range steps {
		assert.Contains(t, sheet.Steps[n], wording.Text(step.Title))
		assert.Equal(t, wording.Text(step.Title), exported.Steps[n].Title)
		assert.Equal(t, sheet.Steps[n], exported.Steps[n].Text)
	}
	data, err := sheet.JSONLD()
	require.NoError(t, err)
	var recipe struct {
		RecipeInstructions []struct{ Text string }
	}
	require.NoError(t, json.Unmarshal(data, &recipe))
	for n, text := range sheet.Steps {
		assert.Equal(t, text, recipe.RecipeInstructions[n].Text)
	}
	assert.Contains(t, sheet.Markdown(), "Bring to the boil")
}

// A count is said as people say it: one date, three dates, half a stick.
func TestPiecesAreCountedInWords(t *testing.T) {
	t.Parallel()
	for text, want := range map[string]string{
		"1 piece": "1 small date (7.0 g)", "½ piece": "½ small date (7.0 g)", "3 pieces": "3 small dates (7.0 g)", "about 6 pieces": "about 6 small dates (7.0 g)", "2 tbsp": "2 tbsp small dates (7.0 g)",
	} {
		assert.Equal(t, want, amountText(plan.Amount{Name: "Small dates", Text: say.Written(text), MassG: 7}))
	}
	assert.Equal(t, "1 lemongrass (12 g)", amountText(plan.Amount{Name: "Lemongrass", Text: say.Written("1 piece"), MassG: 12}))
}
