package reading_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/reading"
)

// Every number that is written as a word, alone and before what joins it.
func TestNumbersInWords(t *testing.T) {
	t.Parallel()
	for text, cups := range map[string]float64{
		"one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10, "eleven": 11, "twelve": 12,
		"thirteen": 13, "fourteen": 14, "fifteen": 15, "sixteen": 16, "seventeen": 17, "eighteen": 18, "nineteen": 19, "twenty": 20, "thirty": 30, "forty": 40, "fifty": 50, "hundred": 100,
		"a": 1, "half a": .5, "a half": .5, "one half": .5, "a third of a": 1. / 3, "two thirds of a": 2. / 3, "a quarter": .25, "three-quarters of a": .75, "three fourths of a": .75,
		"one eighth": .125, "a fifth of a": .2, "a sixth of a": 1. / 6, "one sixteenth": .0625, "five sixths of a": 5. / 6, "seven eighths of a": .875,
		"one and a half": 1.5, "two and three quarters": 2.75, "a couple of": 2, "couple of": 2, "a dozen": 12, "two dozen": 24, "half a dozen": 6, "dozen": 12,
		"1-1/2": 1.5, "1 & 1/2": 1.5, "1 + 1/2": 1.5, "1 and 1/2": 1.5, "1 ½": 1.5, "1½": 1.5, "½": .5, "1/64": 1. / 64, "3/4": .75, "1 and a half": 1.5, "2 3/4": 2.75, "0,5": .5, ".5": .5, "1,5": 1.5,
	} {
		line, err := reading.Standard().Line(text + " cups water")
		require.NoError(t, err, text)
		terms := line.Amount.Terms()
		if assert.Len(t, terms, 1, text) {
			assert.InDelta(t, cups, terms[0].Low, 1e-12, text)
			assert.InDelta(t, cups, terms[0].High, 1e-12, text)
		}
		assert.Equal(t, "water", line.Ingredient.ID, text)
	}
	for _, text := range []string{"a few almonds", "several almonds", "some almonds", "a little salt", "a touch of cinnamon", "a hint of nutmeg"} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err, text)
		assert.True(t, line.Amount.IsOpen(), "%s: how much is not said", text)
		assert.NotNil(t, line.Ingredient, text)
	}
}

// How an amount is put together: added up, taken off, said twice, filled, packed. 1.000 ml are a
// litre in a recipe, and 1.000 l are one.
func TestHowAnAmountIsPutTogether(t *testing.T) {
	t.Parallel()
	for text, want := range map[string]string{
		"1.000 ml water": "1000 mL", "1.000 l water": "1 L", "1.500 g water": "1500 g", "0.250 g salt": "0.25 g", "1.25 g salt": "1.25 g", "1.2500 g salt": "1.25 g", "1,000 g water": "1000 g", "0,250 kg almonds": "0.25 kg",
		"1 cup plus 2 tbsp water": "1 cup + 2 tbsp", "1 cup 2 tbsp water": "1 cup + 2 tbsp", "1 cup + 1 tbsp water": "1 cup + 1 tbsp", "1 cup and 1 tbsp water": "1 cup + 1 tbsp", "1 cup & 1 tbsp water": "1 cup + 1 tbsp",
		"1 cup minus 1 tbsp water": "0.9375 cup", "1 cup less 1 tbsp water": "0.9375 cup",
		"1 cup/240 ml water": "1 cup", "1 cup = 240 ml water": "1 cup", "1 cup (240 ml) water": "1 cup", "1 cup or 240 ml water": "1 cup",
		"2 heaped tbsp sugar": "2 heaped tbsp", "1 level tsp salt": "1 tsp", "1 scant cup almonds": "1 scant cup", "1 generous cup almonds": "1 heaped cup", "2 good heaped tbsp sugar": "2 heaped tbsp",
		"2 (14 oz) cans coconut milk": "2 (14 oz) cans", "2 14-oz cans coconut milk": "2 (14 oz) cans", "2 x 400 ml cans coconut milk": "2 (400 mL) cans", "2 (400 ml each) cans coconut milk": "2 (400 mL) cans", "2 x 400 ml coconut milk": "2 x 400 mL",
		"1-2 tbsp sugar": "1–2 tbsp", "1 to 2 tbsp sugar": "1–2 tbsp", "between 1 and 2 tbsp sugar": "1–2 tbsp", "1 tbsp to 2 tbsp sugar": "1–2 tbsp",
		"2 fl oz water": "2 fl oz", "1 T sugar": "1 tbsp", "1 t sugar": "1 tsp", "a thumb-sized piece of ginger": "1 thumb", "pinch of salt": "1 pinch", "2 (1-inch) pieces ginger": "2 inches",
	} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err, text)
		assert.Equal(t, want, line.Amount.String(), text)
		assert.NotNil(t, line.Ingredient, text)
	}
}

// Every phrase for a stage names it, except where it is said of more of the same.
func TestEveryStageIsRead(t *testing.T) {
	t.Parallel()
	for stage, phrases := range map[ingredient.Stage][]string{
		ingredient.Serve:    {"to serve", "for serving", "at serving", "when serving", "to garnish", "for garnish", "to decorate", "to dust", "for dusting", "to top", "for topping"},
		ingredient.Strained: {"after straining", "to finish"}, ingredient.Rinse: {"to rinse the pulp", "for a second grind"},
		ingredient.Brew: {"to brew"}, ingredient.CookIt: {"while cooking"}, ingredient.Soak: {"soaking water kept"},
		"": {"plus extra to serve", "plus more for serving", "plus extra for dusting", "chopped"},
	} {
		for _, phrase := range phrases {
			for _, written := range []string{"2 tbsp water %s", "2 tbsp water, %s", "2 tbsp water (%s)"} {
				line, err := reading.Standard().Line(fmt.Sprintf(written, phrase))
				require.NoError(t, err)
				assert.Equal(t, stage, line.Stage, written, phrase)
			}
		}
	}
}

// What belongs to the page and not to the line is passed over; a heading names nothing, and what
// is below nothing is refused.
func TestWhatIsNoPartOfALine(t *testing.T) {
	t.Parallel()
	for _, text := range []string{"1 cup almonds (see note 1)", "1 cup almonds ($2.50)", "1 cup almonds (link)", "1 cup (footnote) almonds", "1 cup almonds (€3)", "1 cup almonds (£3)"} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err, text)
		assert.Equal(t, "1 cup", line.Amount.String(), text)
		assert.Equal(t, "almond", line.Ingredient.ID, text)
		assert.Empty(t, line.Note, text)
	}
	for _, text := range []string{"-1 cup water", "1 tbsp minus 1 cup water"} {
		_, err := reading.Standard().Line(text)
		require.Error(t, err, text)
	}
	line, err := reading.Standard().Line("- 1 cup water")
	require.NoError(t, err)
	assert.Equal(t, "1 cup", line.Amount.String(), "a dash before a line is a bullet")
}

// However a page dresses a line up, it is the same line.
func TestALineInAllItsDresses(t *testing.T) {
	t.Parallel()
	for _, text := range []string{
		"1 cup almonds", "- 1 cup almonds", "– 1 cup almonds", "— 1 cup almonds", "* 1 cup almonds", "• 1 cup almonds", "▢ 1 cup almonds", "[ ] 1 cup almonds", "[x] 1 cup almonds", "[X] 1 cup almonds",
		"> 1 cup almonds", "1. 1 cup almonds", "12) 1 cup almonds", "- 3. 1 cup almonds", "**1 cup** almonds", "1 cup `almonds`", "1 cup almonds†", "1 cup almonds²", "1 cup [almonds](http://x.example/y)",
		"1\u00a0cup almonds", "1\tcup\talmonds", "１ cup almonds", "1 cup &nbsp;almonds", "  1 cup almonds  ", "1 cup almonds.", "1 CUP ALMONDS",
	} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err, text)
		assert.Equal(t, "1 cup", line.Amount.String(), text)
		if assert.NotNil(t, line.Ingredient, text) {
			assert.Equal(t, "almond", line.Ingredient.ID, text)
		}
		assert.Empty(t, line.Note, text)
	}
	for text, want := range map[string][2]string{ // what is the name of it, and what stands beside
		"1 cup almonds, soaked overnight": {"almonds", "soaked overnight"}, "1 cup almonds - soaked overnight": {"almonds", "soaked overnight"}, "1 cup almonds — soaked": {"almonds", "soaked"},
		"1 cup raw almonds (soaked), drained": {"raw almonds", "soaked, drained"}, "1 cup finely chopped almonds": {"finely chopped almonds", "finely chopped"}, "1 cup ice-cold water": {"ice-cold water", ""},
		"2 tbsp maple syrup; or to taste": {"maple syrup", "or to taste"}, "1 vanilla bean, split -- seeds only": {"vanilla bean", "split, seeds only"},
	} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err, text)
		assert.Equal(t, want, [2]string{line.Name, line.Note}, text)
	}
	for text, want := range map[string]string{"13. almonds": "", "1.5 cups almonds": "1½ cups", ".5 cups almonds": "½ cup"} {
		line, err := reading.Standard().Line(text)
		require.NoError(t, err, text)
		assert.Equal(t, want, line.Amount.String(), text)
	}
	_, err := reading.Standard().Line("1e300 cups almonds")
	require.Error(t, err, "too much for a kitchen")
}

// What words of a line were read as is told in the words as they stand there, with what stands
// between them.
func TestWordsAreToldAsWritten(t *testing.T) {
	t.Parallel()
	for line, parts := range map[string][]string{
		"3/4 cup walnut halves (chopped)": {"3/4 cup", "walnut halves", "chopped"},
		"1-2 tbsp honey":                  {"1-2 tbsp", "honey"},
		"1.5 L water":                     {"1.5 L", "water"},
		"1 cup pistachios, shelled":       {"1 cup", "pistachios, shelled"},
		"2½ cups oat milk":                {"2½ cups", "oat milk"},
		"Barn Milk (AU)":                  {"Barn Milk AU"},
	} {
		r, err := reading.Standard().Read(line)
		require.NoError(t, err)
		var told []string
		for _, p := range r.Parts {
			told = append(told, p.Words)
		}
		assert.Equal(t, parts, told, line)
	}
}
