package exchange

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/plan"
	"plushladle/core/recipe"
)

// The card, the exports and the command line tell the same steps, in the same
// order, as Plan and Cook lay out.
func TestEverySheetTellsTheSameSteps(t *testing.T) {
	t.Parallel()
	d := formula.New("Towpath soy")
	for _, text := range []string{"1 cup soybeans", "4 cups water", "1 cup hot tea, to brew", "1 tbsp sugar", "1 tsp cinnamon, to serve"} {
		line, err := recipe.ReadLine(text, ingredient.Standard())
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
		assert.Contains(t, sheet.Steps[n], step.Title)
		assert.Equal(t, step.Title, exported.Steps[n].Title)
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
	assert.Contains(t, sheet.Markdown(), "Bring it to the boil")
}
