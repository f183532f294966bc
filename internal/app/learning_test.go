package app

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/record"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// A batch that an older version kept teaches what it gave, where its version explains what was
// forecast of it; made in other amounts, it teaches nothing.
func TestBatchesOfOlderKitchensTeach(t *testing.T) {
	t.Parallel()
	ways := kitchen.Setup{School: "cautious", FridgeC: 4, JugML: 1500, Catalogue: ingredient.Standard()}
	recipe := kitchen.New("us")
	recipe.Lines = []kitchen.Line{{Key: "a", Ingredient: "Almonds", Amount: "1 cup"}, {Key: "w", Ingredient: "Water", Amount: "4 cups"}}
	d, _, err := recipe.Drink("Almond milk", ways)
	require.NoError(t, err)
	r, err := d.Reckon()
	require.NoError(t, err)
	gave := .97 * r.Drink.VolumeML
	b := store.Batch{DrinkName: "Almond milk", Version: store.Version{Recipe: recipe}, ForecastML: r.Drink.VolumeML, MeasuredML: &gave}
	lessons := oldLessons(b, ways)
	require.Len(t, lessons, 1)
	assert.Equal(t, record.Held, lessons[0].What)
	assert.Greater(t, lessons[0].Share, 1.)
	b.ForecastML *= 2
	assert.Empty(t, oldLessons(b, ways))
}

// Each step that is done by hand took from when the one before it was done.
func TestStepsTeachTheirMinutes(t *testing.T) {
	t.Parallel()
	at := time.Date(2026, 11, 28, 9, 0, 0, 0, time.UTC)
	taken := func(kind string, planned, after int) kitchen.StepTaken {
		return kitchen.StepTaken{Kind: kind, Minutes: planned, DoneAt: at.Add(time.Duration(after) * time.Minute)}
	}
	lessons := StepLessons([]kitchen.StepTaken{taken("get ready", 5, 0), taken("soak", 480, 500), taken("grind", 5, 507), taken("strain", 10, 522), taken("wash up", 10, 900)})
	assert.Equal(t, []record.Lesson{{What: record.Minutes, Key: "grind", Share: 1.4}, {What: record.Minutes, Key: "strain", Share: 1.5}}, lessons)
}
