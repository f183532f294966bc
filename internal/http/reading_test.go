package http

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
	"plushladle/internal/app/planning"
	"plushladle/internal/app/shelf"
	"plushladle/internal/kitchen"
)

// A line that is not read is kept as written, with what it may mean; told what it is, it
// is read anew from what was written, so that its amount is right as well.
func TestALineIsSettled(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	read := call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: "1 litre (4 cups) chilled oaty"})
	assert.False(t, read.Understood)
	assert.NotEmpty(t, read.Question)
	assert.Contains(t, read.Choices, "Oat milk, carton, unsweetened")
	assert.Equal(t, "1 litre (4 cups) chilled oaty", read.Lines[0].Written)

	read = call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: "1 litre (4 cups) chilled oaty", As: "Oat milk, carton, unsweetened"})
	assert.True(t, read.Understood)
	assert.Equal(t, []string{"1 L", "Oat milk, carton, unsweetened"}, []string{read.Lines[0].Amount, read.Lines[0].Ingredient})
	assert.Equal(t, "oaty", read.Teach)

	p := call[pantry.Pantry](c, "POST", "/api/pantry/names", pantry.TaughtName{Name: "Oaty", Ingredient: "Oat milk, carton, unsweetened"})
	assert.Equal(t, []pantry.TaughtName{{Name: "oaty", Ingredient: "Oat milk, carton, unsweetened"}}, p.Names)
	assert.Equal(t, "1 L · Oat milk, carton, unsweetened", call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: "1 litre chilled oaty"}).Told)
	_, backup, _ := c.send(request("GET", "/api/backup.json", nil))
	assert.Contains(t, string(backup), "oaty")
	assert.Equal(t, "body.name", c.refused("POST", "/api/pantry/names", pantry.TaughtName{Name: "Honey", Ingredient: "Water"}).Errors[0].Location)
	assert.Empty(t, call[pantry.Pantry](c, "DELETE", "/api/pantry/names/oaty", nil).Names)
	assert.False(t, call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: "1 litre chilled oaty"}).Understood)
	assert.Equal(t, "body.as", c.refused("POST", "/api/lines", bench.TypedLine{Text: "1 cup x", As: "moon dust"}).Errors[0].Location)

	read = call[bench.ReadLine](c, "POST", "/api/lines", bench.TypedLine{Text: "1 tsp each cinnammon and nutmeg"})
	require.Len(t, read.Lines, 2)
	assert.Equal(t, "cinnammon read as cinnamon", read.Mended)
	assert.Equal(t, "1 tsp · Cinnamon, ground (cassia); 1 tsp · Nutmeg, ground", read.Told)
	assert.Contains(t, read.Words, bench.WordsRead{Words: "nutmeg", As: "ingredient"})
}

// Figures name the lines they lack; planning and making ask first, and neither does for
// what is kept as a note.
func TestADrinkThatLacksALineIsAskedAbout(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	f := c.creamer()
	f.Lines = append(f.Lines, kitchen.Line{Key: "odd", Ingredient: "1 cup oat flour", Written: "1 cup oat flour"})
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.Equal(t, []string{"1 cup oat flour"}, r.Missing)
	assert.NotEmpty(t, r.Lines[5].Question)
	assert.Nil(t, r.Vegan, "it cannot be told")
	assert.Contains(t, call[bench.Exported](c, "POST", "/api/exports", bench.OnBench{Name: "x", Recipe: f}).Notes[0], "oat flour")

	d := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: "creamer"})
	d = call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: f, Revision: d.Revision})
	item := planning.NewItem{DrinkID: 1, ReadyBy: c.now.AddDate(0, 0, 2).Format("2006-01-02T15:04")}
	batch := shelf.NewBatch{Bottles: []shelf.NewBottle{{VolumeML: 300, Place: "fridge"}}}
	for path, body := range map[string]any{"/api/plan/items": item, "/api/drinks/1/batches": batch} {
		refused := c.refused("POST", path, body)
		assert.Equal(t, "body.anyway", refused.Errors[0].Location, path)
		assert.Contains(t, refused.Errors[0].Message, "1 cup oat flour is not counted", path)
	}
	item.Anyway, batch.Anyway = true, true
	assert.Equal(t, []string{"1 cup oat flour"}, call[planning.Plan](c, "POST", "/api/plan/items", item).Items[0].Missing)
	bottles := call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", batch)
	require.Len(t, bottles, 1)
	labels := call[[]shelf.BottleLabel](c, "GET", fmt.Sprintf("/api/labels?ids=%d", bottles[0].ID), nil)
	assert.Equal(t, []string{"1 cup oat flour"}, labels[0].Missing)

	f.Lines[5].IsNote = true
	r = call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Recipe: f})
	assert.Empty(t, r.Missing)
	assert.Empty(t, r.Lines[5].Question)
	call[bench.Drink](c, "PUT", "/api/drinks/1/draft", bench.Draft{Name: d.Name, Recipe: f, Revision: d.Revision})
	batch.Anyway = false
	call[[]shelf.Bottle](c, "POST", "/api/drinks/1/batches", batch)
}

// A web page comes in by the data it holds for machines, and by its words where it holds
// none.
func TestAWebPageIsPasted(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	for name, page := range map[string]string{
		"data":  `<!doctype html><html><head><script type="application/ld+json">{"@graph":[{"@type":"Recipe","name":"Porch milk","recipeYield":["4 servings"],"recipeIngredient":["1 cup almonds","4 cups water"],"recipeInstructions":[{"@type":"HowToSection","itemListElement":[{"@type":"HowToStep","text":"Soak the almonds for 8 hours."}]}]}]}</script></head><body><p>Buy my book</p></body></html>`,
		"words": "<html><head><style>p{}</style></head><body><h1>Porch milk</h1><p>Serves 4</p><h2>Ingredients</h2><ul><li>1 cup <b>almonds</b></li><li>4 cups water</li></ul><h2>Method</h2><p>Soak the almonds for 8 hours.</p></body></html>",
	} {
		out := call[bench.Pasted](c, "POST", "/api/pastes", bench.Paste{Text: page})
		assert.Equal(t, "Porch milk", out.Name, name)
		assert.InDelta(t, 4, out.Servings, 0, name)
		var lines []string
		for _, l := range out.Lines {
			if l.Kind == "ingredient" {
				lines = append(lines, l.Told)
			}
		}
		assert.Equal(t, []string{"1 cup · Almonds", "4 cups · Water"}, lines, name)
		require.Len(t, out.Offers, 1, name)
		assert.Equal(t, "Soak for 8 hours", out.Offers[0].Words, name)
	}
}
