package reading_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/fault"
	"plushladle/core/quantity"
	"plushladle/core/reading"
)

// Lines in the dresses that cooks write them in, with what they are, how much and what stays as a
// note. "" is a line that is asked about.
func TestLinesByHand(t *testing.T) {
	t.Parallel()
	for text, want := range map[string]string{
		"1 cup almonds, see note 2": "almond 1 cup 143.0", "1 cup almonds see note": "almond 1 cup 143.0", "see note 2": "",
		// two words that were run together, from three letters on
		"1 cup tigernuts": "tiger-nut 1 cup 150.0", "1 cup cocoapowder": "cocoa 1 cup 84.0", "1 cup oatmilk": "carton-oat 1 cup 243.7", "2 tbsp maplesyrup": "maple-syrup 2 tbsp 39.3",
		"water to cover": "water to cover 0.0", "water, to a total of 1 litre": "water to a total of 1 L 998.2", "to a total of 1 litre water": "",
		"- 1 cup water": "water 1 cup 236.2", "For the milk:": "", ":": "",
		"1 cup roughly chopped dates": "date 1 cup 147.0 roughly chopped", "1 cup dates, roughly chopped": "date 1 cup 147.0 roughly chopped",
		"1 cup almonds, 35% fat": "almond 1 cup 143.0 35% fat", "1 tsp cinnamon, 20 °C water": "cinnamon 1 tsp 2.6 20C water",
		"1 inch piece of ginger": "ginger-fresh 1 inch 10.0", "1 in piece ginger": "ginger-fresh 1 inch 10.0", "(1 in) ginger": "ginger-fresh 1 inch 10.0", "1-inch piece ginger": "ginger-fresh 1 inch 10.0",
		"1 thumb-sized piece of ginger": "ginger-fresh 1 thumb 17.5",
		"400 ml can coconut milk":       "coconut-milk-can 1 (400 mL) can 400.0", "1 (400 ml) can coconut milk": "coconut-milk-can 1 (400 mL) can 400.0",
		"2 400-ml cans coconut milk": "coconut-milk-can 2 (400 mL) cans 800.0", "2 x 400 ml cans coconut milk": "coconut-milk-can 2 (400 mL) cans 800.0",
		// of two ways to say one amount the mass, and ounces of what flows are fluid
		"2 cups (480 ml) water": "water 2 cups 472.3", "8 oz water": "water 8 oz 236.2", "8 oz (227 g) almonds": "almond 8 oz 226.8", "1 cup (140 g) almonds": "almond 140 g 140.0", "140 g (1 cup) almonds": "almond 140 g 140.0",
		"2 pods cardamom": "cardamom 2 pods 0.4", "6 cardamom": "cardamom 6 pieces 1.2", "3 dates": "date 3 pieces 36.0", "1 vanilla bean": "vanilla-bean 1 bean 3.0", "1 stick cinnamon": "cinnamon-stick 1 stick 3.0",
		"oaty": "", "almo": "",
		"cow’s milk 1 cup": "dairy-milk 1 cup 243.7", "1 cup cow's milk": "dairy-milk 1 cup 243.7",
		"1 cup [almonds](http://x.y/z)": "almond 1 cup 143.0", "[almonds](broken 1 cup": "almond 1 cup 143.0 almondsbroken",
		"1T sugar": "white-sugar 1 tbsp 12.5", "1t sugar": "white-sugar 1 tsp 4.2", "1 T. sugar": "white-sugar 1 tbsp 12.5",
	} {
		assert.Equal(t, want, readAs(text), text)
	}
	for _, text := range []string{"-1 cup water", "-1", "−1 cup water"} {
		_, err := reading.Standard().Read(text)
		assert.Equal(t, "below-zero", fault.Code(err), text)
	}
	// a line may be five hundred letters long, and one more is none
	for length, is := range map[int]bool{500: true, 501: false} {
		long := "1 cup almonds, " + strings.Repeat("x", length-len("1 cup almonds, "))
		r, err := reading.Standard().Read(long)
		assert.NoError(t, err)
		assert.Equal(t, is, r.IsRead(), length)
	}
}

// readAs is a line as it was read: what, how much, what it weighs and what is noted; "" where it is
// asked about.
func readAs(text string) string {
	r, err := reading.Standard().Read(text)
	if err != nil || !r.IsRead() || len(r.Lines) != 1 {
		return ""
	}
	l := r.Lines[0]
	g, _, _ := l.Grams(quantity.US)
	return strings.TrimSpace(fmt.Sprintf("%s %s %.1f %s", l.Ingredient.ID, l.Amount, g, l.Note))
}

// How much a page says it makes, of however it says so.
func TestWhatAPageMakes(t *testing.T) {
	t.Parallel()
	for text, want := range map[string][2]float64{ // servings, mL
		"Serves 4": {4, 0}, "serves 4-6": {5, 0}, "Makes 1 litre": {0, 1000}, "Makes about 500 ml": {0, 500}, "for 6 people": {6, 0}, "6 servings": {6, 0}, "4 to 6 drinks": {4, 0},
		"Yield: 2 cups": {0, 473.2}, "Yields approx. 750 ml": {0, 750}, "Makes a litre": {0, 1000}, "Makes two glasses": {0, 480}, "Serving size: 250 ml": {0, 0}, "Makes it creamy": {0, 0}, "Serves": {0, 0},
		"Prep time: 5 min | Yield: about 2 cups (16 servings of 2 Tbsp)": {16, 473.2}, "Soak: 24 hrs. Serves 4-6.": {5, 0}, "Makes 4 servings of 200 ml": {4, 800}, "Serves 2, 250 ml each": {2, 500},
		"Serves 4\nPrep time: 5 min | Makes 1 litre": {4, 1000}, "Makes 500 ml\nSoak: 8 h. Serves 2.": {2, 500},
		"Makes 350ml, enough for 10 mugs": {10, 350}, "Makes 1 litre (4 cups)": {0, 1000},
	} {
		page := reading.Standard().ReadPage("# A\nIngredients\n1 cup almonds\n" + text)
		assert.InDelta(t, want[0], page.Servings, 1e-9, text)
		assert.InDelta(t, want[1], page.YieldML, .1, text)
	}
}

// What a line of a page is taken for: a heading of seven words, a step that begins with doing, a
// note of ten words, how long it takes, a line of the list.
func TestWhatALineOfAPageIs(t *testing.T) {
	t.Parallel()
	of := func(text string) string {
		page := reading.Standard().ReadPage("# A\nIngredients\n1 cup almonds\n" + text)
		kinds := []string{}
		for _, item := range page.Items[3:] {
			kinds = append(kinds, string(item.Kind))
		}
		return strings.Join(kinds, " ")
	}
	for text, want := range map[string]string{
		"For the spice mix:": "heading", "FOR THE SPICES": "heading", "for the milk of all of us": "heading", "Serving size: 250 ml": "yield", "one two three four five six seven:": "heading", "one two three four five six seven eight:": "ingredient",
		"Blend until smooth.": "step", "Strain well": "step", "Chill the milk well": "ingredient", "Chill the almond milk well": "step", "Blend the almonds with the water": "step", "it keeps for three days in a cold fridge and no longer": "note", "it keeps for days.": "note", "it keeps for three days in a cold fridge": "ingredient",
		"A creamy, dreamy drink. My family loves it!": "note", "a splash of joy for all!": "note", "a splash of joy!": "ingredient", "2 cups of joy for all of us!": "ingredient",
		"CHOCOLATE VERSION: add 2 T cocoa + 1 T maple": "note", "Variation: 1 tsp rosewater": "note", "★★★★★ 4.9 from 212 reviews": "note", "Author: the kitchen": "note", "US Customary – Metric": "note", "Course: drinks": "note",
		"Sirve muy fría, con hielo.": "step", "Remoja el arroz 8 horas.": "step",
		"Prep time: 10 min": "note", "Tip: use cold water": "note", "2 cups water": "ingredient", "2 cups of something else": "ingredient",
	} {
		assert.Equal(t, want, of(text), text)
	}
}
