package http

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app/bench"
	"plushladle/internal/kitchen"
)

// Every figure shows where it went: what the lines brought is what came to be
// somewhere, and each number says where it is from.
func TestEveryFigureShowsItsWorking(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	on := bench.OnBench{Name: "creamer", Recipe: c.creamer()}
	for figure, says := range map[string]string{
		"yield": "mL at 4 °C", "fat": "g of fat in", "sweetness": "As sweet as", "keeps": "The ingredient that keeps shortest", "cost": "at your Pantry prices",
	} {
		w := call[bench.Working](c, "POST", "/api/workings", bench.ToShow{OnBench: on, Figure: figure})
		assert.Contains(t, w.Result, says)
		assert.NotEmpty(t, w.Title)
		brought, flows := 0., 0.
		for _, l := range w.Lines {
			brought += l.Amount
		}
		for _, f := range w.Streams {
			require.NotEmpty(t, f.Name, f.Code)
			flows += f.Amount
		}
		if len(w.Streams) > 0 {
			assert.InDelta(t, brought, flows, .1, figure)
		}
		if figure == "fat" || figure == "sweetness" {
			assert.Contains(t, w.Constants[0], "until your batches show better")
		}
	}
	f := almondMilk()
	f.Lines = append(f.Lines, kitchen.Line{Key: "b", Ingredient: "Brazil nuts", Amount: "1/4 cup"}, kitchen.Line{Key: "c", Ingredient: "Cinnamon, ground (cassia)", Amount: "1 tsp"})
	for _, figure := range []string{"free-sugars", "selenium", "iodine", "coumarin"} {
		w := call[bench.Working](c, "POST", "/api/workings", bench.ToShow{OnBench: bench.OnBench{Name: "mixed", Recipe: f}, Figure: figure})
		assert.Contains(t, w.Result, "A serving of 240 mL contains", figure)
	}
	f.Lines = append(f.Lines, kitchen.Line{Key: "d", Ingredient: "Nutmeg, ground", Amount: "1/4 tsp"}, kitchen.Line{Key: "e", Ingredient: "Coconut oil, refined", Amount: "4 tbsp"})
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "mixed", Recipe: f})
	followed := 0
	for _, caution := range r.Cautions {
		if caution.Value == nil {
			continue
		}
		w := call[bench.Working](c, "POST", "/api/workings", bench.ToShow{OnBench: bench.OnBench{Name: "mixed", Recipe: f}, Figure: caution.Code})
		assert.Contains(t, w.Result, fmt.Sprintf("%.3g", *caution.Value), "the working comes to what the caution says: %s", caution.Code)
		followed++
	}
	assert.Equal(t, 5, followed)
	selenium := call[bench.Working](c, "POST", "/api/workings", bench.ToShow{OnBench: bench.OnBench{Name: "mixed", Recipe: f}, Figure: "selenium"})
	assert.Equal(t, "Brazil nuts", selenium.Lines[1].Name)
	assert.Greater(t, selenium.Lines[1].Pct, 95.)
	assert.Equal(t, "body.figure", c.refused("POST", "/api/workings", bench.ToShow{OnBench: on, Figure: "luck"}).Errors[0].Location)
}

// What the Bench shows is the method that Plan and Cook go by.
func TestTheBenchShowsTheProcess(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "Almond milk", Recipe: almondMilk()})
	var kinds []string
	for _, s := range r.Process {
		kinds = append(kinds, s.Kind)
	}
	assert.Equal(t, []string{"get ready", "soak", "drain", "grind", "strain", "taste", "bottle", "wash up", "chill"}, kinds)
	b := r.Balance
	assert.InDelta(t, b.InG, b.DrinkG+b.PulpG+b.ThrownAwayG+b.WallsG+b.EvaporatedG+b.SkimmedG+b.LeftoverG, .1)
	assert.Equal(t, 90., r.GrindS)
	f := almondMilk()
	f.Kind = "creamer"
	said := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "Almond milk", Recipe: f})
	assert.Equal(t, []any{"creamer", "flag", 30.}, []any{said.Kind, said.KindFrom, said.ServingML})
	assert.Equal(t, "name", r.KindFrom)
}

// Hot water stays hot when its line is read, and warns at the blender.
func TestHotWaterStaysHotOnTheBench(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	pasted := call[bench.Pasted](c, "POST", "/api/pastes", bench.Paste{Text: "1 cup almonds\n3 cups boiling water"})
	assert.Equal(t, []string{"Water", "boiling"}, []string{pasted.Lines[1].Lines[0].Ingredient, pasted.Lines[1].Lines[0].Note})
	f := kitchen.New("us")
	f.Lines = []kitchen.Line{pasted.Lines[0].Lines[0], pasted.Lines[1].Lines[0]}
	r := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "hot", Recipe: f})
	assert.Equal(t, 98., r.WaterC)
	assert.Equal(t, "hot-blend", r.Cautions[0].Code)
	cold := call[bench.Reckoning](c, "POST", "/api/reckonings", bench.ToReckon{Name: "cold", Recipe: almondMilk()})
	assert.InDelta(t, cold.Jug.FillML/2, r.Jug.FillML, 1e-9, "the jug is filled by half")
}
