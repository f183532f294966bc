package house

import (
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestEveryRoomLeansOnlyWhereItMay(t *testing.T) {
	t.Parallel()
	all, err := Packages("../..")
	require.NoError(t, err)
	require.Greater(t, len(all), 15)
	assert.Empty(t, Breaches(all))
}

func TestABreachIsFound(t *testing.T) {
	t.Parallel()
	found := Breaches([]Package{
		{Path: "core/keep", Imports: []string{"internal/wording"}, Foreign: []string{"github.com/gofiber/fiber/v3"}},
		{Path: "core/plan", Imports: []string{"core/reckon"}, Foreign: []string{"gonum.org/v1/gonum/floats"}},
		{Path: "internal/app/shelf", Imports: []string{"core/keep", "internal/http"}, Foreign: []string{"gorm.io/gorm"}}, {Path: "attic"},
	})
	assert.Equal(t, []string{
		"core/keep leans on internal/wording, and may not",
		"core/keep leans on github.com/gofiber/fiber/v3, which is for internal/http",
		"core/keep leans on github.com/gofiber/fiber/v3: the craft stands on the standard library, gonum and itself",
		"internal/app/shelf leans on internal/http, and may not",
		"internal/app/shelf leans on gorm.io/gorm, which is for internal/store",
		"attic has no room: say in internal/house what it may lean on",
	}, found)
}

// The picture of the rooms shows them as they are: make rooms draws it anew.
func TestThePictureIsOfThisHouse(t *testing.T) {
	t.Parallel()
	all, err := Packages("../..")
	require.NoError(t, err)
	picture, err := os.ReadFile("../../docs/rooms.svg")
	require.NoError(t, err)
	assert.Equal(t, Picture(all), string(picture), "draw it anew: make rooms")
}

// Functions are short, the craft is explained, and no rule names an ingredient: what
// concerns only a few is a tag or a column of the catalogue.
func TestHowTheCodeIsCut(t *testing.T) {
	t.Parallel()
	all, err := Measure("../../core", "../../internal", "../../cmd")
	require.NoError(t, err)
	assert.LessOrEqual(t, all.MedianLines, 10)
	assert.LessOrEqual(t, all.P90Lines, 25)
	assert.LessOrEqual(t, all.MostLines, 60, all.Longest)
	core, err := Measure("../../core")
	require.NoError(t, err)
	assert.GreaterOrEqual(t, core.CommentPct, 18.0, "figures, fields and rules say what they are, and in which unit")
	assert.Empty(t, core.NamedIngredients)
	long, err := LongComponents("../../web/src", 100)
	require.NoError(t, err)
	assert.Empty(t, long)
	t.Logf("median %d, p90 %d, most %d (%s); comments in core %.1f %%", all.MedianLines, all.P90Lines, all.MostLines, all.Longest, core.CommentPct)
}
