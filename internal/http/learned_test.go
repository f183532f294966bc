package http

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"plushladle/internal/app"
	"plushladle/internal/app/bench"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
)

// What the pulp keeps is learned of measured batches, whatever the recipe is sized by; another
// strainer learns nothing of it, and the usual figure can be had back.
func TestThreeMeasuredBatchesMoveTheForecast(t *testing.T) {
	t.Parallel()
	// a drink sized by volume is made in other amounts once something is learned: one batch of it
	for by, batches := range map[string]int{"": 3, "volume": 1} {
		c := newClient(t)
		d := c.begun()
		recipe := almondMilk()
		if by == "volume" {
			recipe.SizeBy, recipe.SizeValue = "volume", 1000
		}
		d = call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: recipe, Revision: d.Revision})
		// the same amounts at any time: a size by volume would be met whatever the pulp keeps
		recipe = call[kitchen.Recipe](c, "POST", "/api/recipes/at-size", bench.ToReckon{Name: d.Name, Recipe: d.Draft})
		sieved := recipe
		sieved.Strainer = "sieve"
		yield := func(recipe kitchen.Recipe) bench.Reckoning {
			return call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: d.Name, Recipe: recipe})
		}
		before, sievedBefore := yield(recipe), yield(sieved)
		assert.Zero(t, before.FromBatches)

		measured := .97 * before.DrinkML // a gentler squeeze
		for range batches {
			call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{
				MadeOn: "2026-11-23", MeasuredML: &measured, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}},
			})
		}
		after := yield(recipe)
		assert.Equal(t, batches, after.FromBatches, by)
		assert.InEpsilon(t, measured, after.DrinkML, .01, "sized by %q: most of the way", by)
		assert.Less(t, after.HighML-after.LowML, before.HighML-before.LowML, "the range narrows")
		why := call[bench.Working](c, "POST", "/api/workings", bench.ToShow{OnBench: bench.OnBench{Name: d.Name, Recipe: recipe}, Figure: "yield"})
		assert.Contains(t, strings.Join(why.Constants, " "), "from your own batches")
		assert.Contains(t, strings.Join(why.Constants, " "), "The range: in your own batches")
		assert.InDelta(t, sievedBefore.DrinkML, yield(sieved).DrinkML, 1e-9)

		learned := call[[]app.LearnedFigure](c, "GET", "/api/learned", nil)
		assert.Equal(t, "almond/bag", learned[0].Key)
		assert.Contains(t, learned[0].Text, "The pulp keeps 1")
		assert.Greater(t, learned[0].UsualPct, 100.)
		assert.Less(t, learned[0].SpreadPct, 25.)
		assert.Empty(t, call[[]app.LearnedFigure](c, "POST", "/api/learned/forget", app.Forgotten{What: "held", Key: "almond/bag"}))
		assert.InDelta(t, before.DrinkML, yield(recipe).DrinkML, 1e-9)
	}
}

// A yield that lines went into which no figure counts tells nothing of the pulp.
func TestNothingIsLearnedOfWhatIsNotCounted(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	d := c.begun()
	recipe := almondMilk()
	recipe.Lines = append(recipe.Lines, kitchen.Line{Key: "m", Ingredient: "moonbeams", Amount: "1 cup"})
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: recipe, Revision: d.Revision})
	measured := 880.
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", shelf.NewBatch{
		MadeOn: "2026-11-23", MeasuredML: &measured, Anyway: true, Bottles: []shelf.NewBottle{{VolumeML: 500, Place: "fridge"}},
	})
	assert.Empty(t, call[[]app.LearnedFigure](c, "GET", "/api/learned", nil))
}

// A bottle that soured with half of its life to go shortens what is forecast of the drink, with the
// reason beside it; one that was not drunk shortens nothing, and the usual can be had back.
func TestWhatSouredEarlyShortensTheForecast(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	drink, bottles := tastedMilk(t, c)
	keeps := func() bench.Keeps {
		return call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: drink.Name, Recipe: drink.Draft}).Keeps
	}
	before := keeps()
	c.now = c.now.Add(36 * time.Hour)
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/throw-out", bottles[1].ID), shelf.Why{Why: "no time", Cause: "not-drunk"})
	c.now = c.now.Add(-36 * time.Hour)
	assert.Equal(t, before.CautiousDays, keeps().CautiousDays)
	c.now = c.now.Add(36 * time.Hour)
	call[shelf.Bottle](c, "POST", fmt.Sprintf("/api/bottles/%d/throw-out", bottles[0].ID), shelf.Why{Why: "smelled sour", Cause: "soured"})
	c.now = c.now.Add(-36 * time.Hour)
	after := keeps()
	assert.Less(t, after.CautiousDays, before.CautiousDays)
	assert.Contains(t, strings.Join(after.Reasons, " "), "turned sour early here before")
	learned := call[[]app.LearnedFigure](c, "GET", "/api/learned", nil)
	life := learned[len(learned)-1]
	assert.Equal(t, []any{"life", "Almond milk", 1}, []any{life.What, life.Key, life.Batches})
	call[[]app.LearnedFigure](c, "POST", "/api/learned/forget", app.Forgotten{What: "life", Key: "Almond milk"})
	assert.Equal(t, before.CautiousDays, keeps().CautiousDays)
}
