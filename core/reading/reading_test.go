package reading_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/reading"
)

// A name typed on its own is found as one in a line is.
func TestANameAloneIsFound(t *testing.T) {
	t.Parallel()
	for name, id := range map[string]string{
		"Almonds": "almond", "raw almonds, chopped": "almond", "small date": "date-small", "small dates": "date-small",
		"large pitted dates": "date-large", "pitted dates": "date", "cinnamon stick": "cinnamon-stick", "ground cinnamon": "cinnamon",
		"fresh ginger": "ginger-fresh", "ground ginger": "ginger-ground", "ice-cold water": "water", "COW'S MILK": "dairy-milk",
		"sweetened condensed milk": "condensed-milk", "unsweetened almond milk": "carton-almond", "sea salt": "salt", "bitter almonds": "bitter-almond",
		"coconut, desiccated": "coconut-desiccated", "slivered almonds": "almond", "cassia cinnamon": "cinnamon", "sunflower oil": "neutral-oil",
	} {
		i, ok := reading.Standard().Name(name)
		if assert.True(t, ok, name) {
			assert.Equal(t, id, i.ID, name)
		}
	}
	for _, name := range []string{"", "moon dust", "raw", "   ", "the of"} {
		_, ok := reading.Standard().Name(name)
		assert.False(t, ok, name)
	}
}

// How much a pack holds is read as in a line, and refused where it says nothing.
func TestAPackIsRead(t *testing.T) {
	t.Parallel()
	coconut, _ := reading.Standard().Name("coconut milk")
	for text, want := range map[string]string{
		"2 x 400 ml": "2 x 400 mL", "2 tins of 400 ml": "2 (400 mL) cans", "1 bag (500 g)": "1 (500 g) sachet", "500g": "500 g", "a 400 ml tin": "1 (400 mL) can",
	} {
		got, err := reading.Standard().Amount(text, coconut)
		require.NoError(t, err, text)
		assert.Equal(t, want, got.String(), text)
	}
	for _, text := range []string{"lots", "a big one", "-2 x 400 ml"} {
		_, err := reading.Standard().Amount(text, coconut)
		assert.Error(t, err, text)
	}
}

// What is offered to be taught is what the cook calls the thing, never a word that means
// something else beside others.
func TestWhatIsTaughtIsTheCooksOwnWord(t *testing.T) {
	t.Parallel()
	oats, _ := reading.Standard().Name("rolled oats")
	for line, teach := range map[string]string{
		"1 litre chilled oaty": "oaty", "1 cup oat flour": "oat flour", "1 cup flour": "", "2 cups rolled oats": "", "1 cup grandmas oaty mix": "grandmas oaty mix",
	} {
		read, err := reading.Standard().ReadAs(line, oats)
		require.NoError(t, err)
		assert.Equal(t, teach, read.Teach, line)
	}
}
