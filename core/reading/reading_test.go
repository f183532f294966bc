package reading_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

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
