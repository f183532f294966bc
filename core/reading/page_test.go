package reading_test

import (
	"encoding/json"
	"os"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/reading"
)

// recipesToRead are whole recipes; in a line, ";;" parts what is written from the key of
// what it means. A line without is no ingredient.
func recipesToRead(t *testing.T) (texts []string, meant []map[string]string) {
	text, err := os.ReadFile("testdata/recipes.txt")
	require.NoError(t, err)
	for _, recipe := range strings.Split(string(text), "=== ")[1:] {
		var lines []string
		means := map[string]string{}
		for _, row := range strings.Split(recipe, "\n")[1:] {
			cells := strings.Split(row, ";;")
			lines = append(lines, strings.TrimSpace(cells[0]))
			if len(cells) > 1 {
				means[strings.TrimSpace(cells[0])] = strings.TrimSpace(cells[1])
			}
		}
		texts, meant = append(texts, strings.Join(lines, "\n")), append(meant, means)
	}
	return texts, meant
}

func TestAWholeRecipeIsRead(t *testing.T) {
	t.Parallel()
	keyText, err := os.ReadFile("testdata/recipe-keys.json")
	require.NoError(t, err)
	var keys map[string][]any
	require.NoError(t, json.Unmarshal(keyText, &keys))
	texts, meant := recipesToRead(t)
	titles := []string{"Chocolate Hazelnut Milk", "Haldi Doodh – Golden Cashew Milk", "Spiced Pecan Milk", "Almond-Sesame Milk", "Macadamia Vanilla Milk (AU)"}
	for n, text := range texts {
		page := reading.Standard().ReadPage(text)
		assert.Equal(t, titles[n], page.Title)
		read := map[string]reading.Item{}
		for _, item := range page.Items {
			if item.Kind == reading.Ingredient {
				read[item.Text] = item
			}
		}
		assert.Len(t, read, len(meant[n]), "%s: %v", page.Title, read)
		for line, key := range meant[n] {
			item, ok := read[strings.TrimSpace(strings.TrimLeft(line, "•"))]
			if !assert.True(t, ok, line) || !assert.True(t, item.Reading.IsRead(), line) {
				continue
			}
			got := item.Reading.Lines[0].Ingredient.Name
			if joined, ok := strings.CutPrefix(key, "JOIN:"); ok {
				for at, part := range strings.Split(joined, "|") {
					assert.Contains(t, item.Reading.Lines[at].Ingredient.Name, part, line)
				}
				continue
			}
			var any []string
			for _, one := range strings.Split(strings.TrimPrefix(key, "ABSENTOK:"), "-or-") {
				if pattern, ok := keys[one]; ok {
					any = append(any, pattern[0].(string))
				}
			}
			assert.Regexp(t, regexp.MustCompile(strings.Join(any, "|")), got, line)
		}
	}
	first := reading.Standard().ReadPage(texts[0])
	assert.InDelta(t, 4, first.Servings, 0)
	assert.InDelta(t, 1000, reading.Standard().ReadPage(texts[3]).YieldML, 0)
}

// What the method says is offered with its sentence, in the units the process has.
func TestTheMethodIsReadForWhatTheProcessCanUse(t *testing.T) {
	t.Parallel()
	for sentence, want := range map[string]reading.Offer{
		"Soak the almonds for 8–12 hours.":                        {Kind: reading.OfferSoak, Low: 8, High: 12},
		"Leave to soak overnight.":                                {Kind: reading.OfferSoak, Low: 8, High: 12},
		"Soak in hot water for 30 minutes.":                       {Kind: reading.OfferSoak, Low: .5, High: .5},
		"Blend on high for 90 secs":                               {Kind: reading.OfferBlend, Low: 90, High: 90},
		"Blitz for 1 to 2 minutes until smooth.":                  {Kind: reading.OfferBlend, Low: 60, High: 120},
		"Soak the cashews in warm water for 2 hours.":             {Kind: reading.OfferSoak, Low: 2, High: 2},
		"Soak in cool water for 8 hours":                          {Kind: reading.OfferSoak, Low: 8, High: 8},
		"Warm the milk for 5 minutes":                             {Kind: reading.OfferHeat, Low: 5, High: 5, What: "warm"},
		"Simmer gently for 5 minutes, stirring.":                  {Kind: reading.OfferHeat, Low: 5, High: 5, What: "simmer"},
		"Pour through a nut milk bag and squeeze well.":           {Kind: reading.OfferStrain, What: "bag"},
		"No need to strain – macadamias are soft!":                {Kind: reading.OfferStrain, What: "none"},
		"Chill for at least 2 hours before serving.":              {Kind: reading.OfferChill, Low: 2, High: 2},
		"It keeps for 3 to 4 days in the fridge in a closed jar.": {Kind: reading.OfferKeep, Low: 3, High: 4},
		"Transfer to a bottle and refrigerate up to 5 days.":      {Kind: reading.OfferKeep, Low: 5, High: 5},
		"Refrigerate for up to 36 hours.":                         {Kind: reading.OfferKeep, Low: 1.5, High: 1.5},
		"Chill for 24 hours.":                                     {Kind: reading.OfferChill, Low: 24, High: 24},
		"Chill for up to 4 hours.":                                {Kind: reading.OfferChill, Low: 4, High: 4},
		"Drink within 2 days, stirring as it settles.":            {Kind: reading.OfferKeep, Low: 2, High: 2},
		"It keeps in a jar in the fridge for two weeks.":          {Kind: reading.OfferKeep, Low: 14, High: 14},
		"Simmer for 1/2 hour.":                                    {Kind: reading.OfferHeat, Low: 30, High: 30, What: "simmer"},
	} {
		page := reading.Standard().ReadPage("A milk\n1 cup almonds\nMethod\n" + sentence)
		require.Len(t, page.Offers, 1, sentence)
		got := page.Offers[0]
		assert.NotEmpty(t, got.Sentence)
		got.Sentence = ""
		assert.Equal(t, want, got, sentence)
	}
	for _, nothing := range []string{"Blend until smooth. Pour and enjoy.", "Prep Time: 5 mins | Cook Time: 10 mins", "Total time: 8 hours"} {
		assert.Empty(t, reading.Standard().ReadPage("A milk\n1 cup almonds\nMethod\n"+nothing).Offers, nothing)
	}
	assert.Len(t, reading.Standard().ReadPage("A milk\nCook time: 5 min | Soaking time: 8 hours\n1 cup almonds").Offers, 1)
}

// A heading says when the lines below it go in; every line of the page is kept.
func TestAPageLosesNothing(t *testing.T) {
	t.Parallel()
	text := "# Rose milk\n\nMakes 1 litre\nPrep time: 10 minutes\n## Ingredients\n**For the milk**\n- 1 cup almonds\n- 4 cups water\nTo serve:\n- 1 tsp rosewater\n- ice\n- 2 cups moon dust\n## Instructions\n1. Soak the almonds for 8 hours.\n2. Blend with the water, then strain through muslin.\n## Notes\nKeeps 3 days in the fridge."
	page := reading.Standard().ReadPage(text)
	assert.Equal(t, "Rose milk", page.Title)
	assert.InDelta(t, 1000, page.YieldML, 0)
	var kinds []string
	for _, item := range page.Items {
		kinds = append(kinds, string(item.Kind))
	}
	assert.Equal(t, "title yield note heading heading ingredient ingredient heading ingredient ingredient ingredient heading step step heading note", strings.Join(kinds, " "))
	assert.Equal(t, ingredient.Stage(""), page.Items[5].Reading.Lines[0].Stage)
	assert.Equal(t, ingredient.Serve, page.Items[8].Reading.Lines[0].Stage)
	assert.False(t, page.Items[10].Reading.IsRead(), "it stands there to be settled")
	assert.Len(t, page.Offers, 3)
}

// A list of names alone has no title: its first line is an ingredient like the others.
func TestAListOfNamesHasNoTitle(t *testing.T) {
	t.Parallel()
	for text, title := range map[string]string{
		"almonds\nwater\n": "", "almonds\n4 cups water\n": "almonds", "Almond milk\n1 cup almonds\n4 cups water\n": "Almond milk",
		"Something else\nalmonds\nwater\n": "Something else", "almonds": "almonds",
	} {
		page := reading.Standard().ReadPage(text)
		assert.Equal(t, title, page.Title, text)
		assert.Equal(t, title == "", page.Items[0].Kind == reading.Ingredient, text)
	}
}
