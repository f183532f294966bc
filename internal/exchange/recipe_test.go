package exchange_test

import (
	"encoding/json"
	"errors"
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/reading"
	"plushladle/internal/exchange"
)

const almondMilk = `{"@context":"https://schema.org","@type":"Recipe","name":"Porch milk","recipeYield":["4 servings"],"recipeIngredient":["1 cup almonds","4 cups water"],"recipeInstructions":[{"@type":"HowToSection","itemListElement":[{"@type":"HowToStep","text":"Soak the almonds for 8 hours."}]}]}`

// A recipe is read the same whatever it stands in.
func TestARecipeInAllThatItTravelsIn(t *testing.T) {
	t.Parallel()
	bare, err := exchange.ReadRecipe([]byte(almondMilk), reading.Standard())
	require.NoError(t, err)
	assert.Equal(t, "Porch milk", bare.Title)
	for name, data := range map[string]string{
		"a byte order mark":     "\xef\xbb\xbf" + almondMilk,
		"a list":                "[" + almondMilk + "]",
		"a graph":               `{"@graph":[{"@type":"WebPage"},` + almondMilk + `]}`,
		"a type by its address": strings.Replace(almondMilk, `"Recipe"`, `["Thing","https://schema.org/Recipe"]`, 1),
		"a web page":            `<html><head><script type="application/ld+json">` + almondMilk + `</script></head><body>Buy my book</body></html>`,
		"beside broken data":    `<script type="application/ld+json">{"@type":</script><script type="application/ld+json">` + almondMilk + `</script>`,
		"a step as a text":      strings.Replace(almondMilk, `[{"@type":"HowToSection","itemListElement":[{"@type":"HowToStep","text":"Soak the almonds for 8 hours."}]}]`, `"Soak the almonds for 8 hours."`, 1),
	} {
		page, err := exchange.ReadRecipe([]byte(data), reading.Standard())
		require.NoError(t, err, name)
		assert.Equal(t, bare, page, name)
	}
}

func TestWhatIsNoRecipeSaysSo(t *testing.T) {
	t.Parallel()
	deep := strings.Repeat("[", 9) + almondMilk + strings.Repeat("]", 9)
	for data, code := range map[string]string{
		"{":                               "broken-json",
		`{"@type":"Person"}`:              "no-recipe-in-json",
		`{"@type":"Recipe","name":"Air"}`: "no-recipe-in-json",
		deep:                              "no-recipe-in-json",
		"1 cup almonds\x00":               "not-text",
		"\xff\xfe":                        "not-text",
		strings.Repeat("1 cup almonds\n", exchange.MaxRecipeLines+1): "recipe-too-long",
		strings.Repeat(" ", exchange.MaxRecipeBytes+1):               "recipe-too-large",
	} {
		_, err := exchange.ReadRecipe([]byte(data), reading.Standard())
		assert.Equal(t, code, fault.Code(err), "%.40q", data)
	}
}

// Whatever a file for a Recipe holds, it is read or refused by name; the lines of one that is read
// are all there, and nothing in them runs into another.
func FuzzReadLinkedData(f *testing.F) {
	for _, seed := range []string{almondMilk, "[" + almondMilk + "]", `{"@graph":[` + almondMilk + `]}`, `{"@type":["Recipe"],"recipeIngredient":"2 oz\ncacao"}`, `{"@type":"Recipe","recipeIngredient":[1,null,{}]}`, "[[[[[[[[[[", `<script type="application/ld+json">` + almondMilk + `</script>`, "{}"} {
		f.Add([]byte(seed))
	}
	f.Fuzz(func(t *testing.T, data []byte) {
		page, err := exchange.ReadRecipe(data, reading.Standard())
		var refused *fault.Error
		if err != nil {
			require.True(t, errors.As(err, &refused) && refused.Field == "file", "%v", err)
			return
		}
		require.LessOrEqual(t, utf8.RuneCountInString(page.Title), 120)
		lines := 0
		for _, item := range page.Items {
			require.NotEmpty(t, item.Text)
			require.NotContains(t, item.Text, "\n")
			lines += len(item.Reading.Lines)
		}
		require.LessOrEqual(t, lines, exchange.MaxRecipeLines)
		_, err = json.Marshal(page)
		require.NoError(t, err, "it can be sent")
	})
}
