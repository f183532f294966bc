package http

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/internal/app/bench"
	"plushladle/internal/app/pantry"
)

func wish(kind string) bench.Wish {
	return bench.Wish{Kind: kind, Bases: []string{}, Richness: "usual", Sweetness: 1, People: 2, Days: 3, ServingsDay: 2, Suits: []string{}, Without: []string{}}
}

// A wish becomes a named drink that can be put on the Bench as it is, with what to buy and
// how to make it last.
func TestAWishBecomesADrink(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	call[pantry.Pantry](c, "PUT", "/api/pantry/stock/sunflower", pantry.StockOf{MassG: 250})
	choices := call[bench.WishChoices](c, "GET", "/api/wishes/choices?kind=creamer", nil)
	assert.Len(t, choices.Kinds, 8)
	assert.GreaterOrEqual(t, len(choices.Flavours), 12)
	assert.Equal(t, bench.WishChoice{Code: "sunflower", Name: "Sunflower seeds", StockG: 250}, choices.Bases[0], "what is in the pantry first")
	assert.Greater(t, len(choices.Basics), 20)

	w := wish("creamer")
	w.Flavour, w.Sweetener = "cardamom", "maple-syrup"
	d := call[bench.Designed](c, "POST", "/api/wishes", w)
	assert.Equal(t, "Sunflower creamer with cardamom", d.Name)
	assert.InEpsilon(t, 360, d.VolumeML, 0.15)
	assert.Equal(t, 12., d.Servings)
	assert.Contains(t, strings.Join(d.Lines, "\n"), "sunflower seeds")
	assert.Contains(t, strings.Join(d.Why, " "), "Uses the sunflower seeds you have.")
	assert.Contains(t, strings.Join(d.Lasting, " "), "Make it in 2 batches", "sugared, it keeps two days of three")
	assert.NotEmpty(t, d.Buy)
	assert.NotEmpty(t, d.Method)
	assert.Empty(t, d.NotFor)

	begun := call[bench.Drink](c, "POST", "/api/drinks", bench.NewDrink{Name: d.Name})
	kept := call[bench.Drink](c, "PUT", fmt.Sprintf("/api/drinks/%d/draft", begun.ID), bench.Draft{Name: d.Name, Recipe: d.Recipe, Revision: begun.Revision})
	assert.Equal(t, d.Recipe.Lines, kept.Draft.Lines)
	w.Idea = 1
	assert.NotEqual(t, d.Name, call[bench.Designed](c, "POST", "/api/wishes", w).Name, "a different idea")
}

// Every basic can be made, and what must be left out is, with its kin.
func TestBasicsAndWhatIsLeftOut(t *testing.T) {
	t.Parallel()
	c := newClient(t)
	for _, b := range call[bench.WishChoices](c, "GET", "/api/wishes/choices?kind=milk", nil).Basics {
		d := call[bench.Designed](c, "POST", "/api/wishes", b.Wish)
		assert.Equal(t, b.Name, d.Name)
		assert.Positive(t, d.VolumeML, b.Name)
	}
	w := wish("cream")
	w.Without = []string{"walnut", "almond", "cashew"}
	for w.Idea = range 6 {
		d := call[bench.Designed](c, "POST", "/api/wishes", w)
		require.NotContains(t, strings.ToLower(strings.Join(d.Lines, " ")), "pecan", "kin of walnut")
		require.NotContains(t, strings.ToLower(strings.Join(d.Lines, " ")), "almond")
	}
	w.Bases = []string{"pecan"}
	refused := c.refused("POST", "/api/wishes", w)
	assert.Contains(t, refused.Errors[0].Message, "choose another base or flavour")
}
