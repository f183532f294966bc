package reading_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/reading"
)

// told is a reading in short: each amount with its ingredient and what stands beside it, then what is asked (?),
// what it may be (~), which slip was forgiven, and what may be taken instead.
func told(r reading.Reading) string {
	var lines []string
	for _, l := range r.Lines {
		name := "-"
		if l.Ingredient != nil {
			name = l.Ingredient.ID
		}
		line := strings.TrimSpace(l.Amount.String() + " " + name)
		if l.Note != "" {
			line += " (" + l.Note + ")"
		}
		lines = append(lines, line)
	}
	out := strings.Join(lines, " + ")
	if r.Doubt != reading.Sure {
		out += strings.TrimRight(" ? "+string(r.Doubt)+" "+r.About, " ")
	}
	for _, c := range r.Choices {
		out += " ~" + c.ID
	}
	for _, s := range r.Slips {
		out += " slip " + s.Written + ">" + s.Read
	}
	if r.Instead != "" {
		out += " or " + r.Instead
	}
	return out
}

// Lines of every shape: sums and differences, ranges, the same amount twice, brackets, labels, shares, and what
// is asked for where it is not plain.
func TestLinesOfEveryShape(t *testing.T) {
	t.Parallel()
	for line, want := range map[string]string{
		"-2 cups almonds":                        "! amount \"-2\": below-zero []",
		"2 tbsp to 3 cups honey":                 "2 tbsp - ? unread",
		"1 cup to 2 tbsp honey":                  "1 cup - ? unread",
		"about 2 cups water or so":               "about 2 cups water (or so)",
		"up to 4 cups water":                     "about 4 cups water",
		"at least 3 cups water":                  "about 3 cups water",
		"at most 3 cups water":                   "about 3 cups water",
		"~3 cups water":                          "about 3 cups water",
		"2 thumb-sized pieces ginger":            "2 thumbs ginger-fresh",
		"1 (2 in) cinnamon stick":                "1 stick cinnamon-stick",
		"2 in piece cinnamon":                    "2 inches cinnamon-stick",
		"1 cup + 2 tbsp water":                   "1 cup + 2 tbsp water",
		"1 cup plus 2 tbsp water":                "1 cup + 2 tbsp water",
		"1 cup minus 2 tbsp water":               "⅞ cup water",
		"1 cup less 1 tbsp water":                "0.9375 cup water",
		"1 cup and 2 tbsp water":                 "1 cup + 2 tbsp water",
		"1 cup & 2 tbsp water":                   "1 cup + 2 tbsp water",
		"1 cup = 240 ml water":                   "1 cup water",
		"1 cup or 240 ml water":                  "1 cup water",
		"1 cup or 2 cups water":                  "1–2 cups water",
		"1 cup / 140 g almonds":                  "140 g almond",
		"1 cup almonds (130 g)":                  "130 g almond",
		"1 cup almonds (300 g)":                  "300 g almond ? amounts-differ 1 cup",
		"1 cup almonds (100–300 g)":              "100–300 g almond",
		"2 (1-inch) pieces ginger":               "2 inches ginger-fresh (pieces)",
		"kaju (cashews), 1 cup":                  "1 cup cashew (cashews)",
		"coconut cream (gata), 1 cup":            "1 cup - ? unread ~coconut-milk-can-sweet ~coconut-fresh ~coconut-desiccated",
		"1 cup cashew and almond milk":           "1 cup carton-cashew + 1 cup carton-almond ? each-or-together",
		"2 tbsp maple syrup/honey":               "2 tbsp maple-syrup (or honey) or honey",
		"1/4 tsp cinnamon/nutmeg":                "¼ tsp cinnamon + ¼ tsp nutmeg",
		"1 tsp cinnamon and nutmeg":              "1 tsp cinnamon + 1 tsp nutmeg",
		"1 cup cashews and hazelnuts":            "1 cup cashew + 1 cup hazelnut ? each-or-together",
		"2% milk, 1 cup":                         "1 cup dairy-milk-semi",
		"1 cup 2% milk":                          "1 cup dairy-milk-semi",
		"1 cup 10-12 % fat cream":                "1 cup - ? unread",
		"1 cup almonds plus extra to dust":       "1 cup almond (plus extra to dust)",
		"1 tsp salt, or to taste":                "1 tsp salt (or to taste)",
		"1 cup almonds in their skins":           "1 cup almond (in their skins)",
		"1 cup almonds with a cup of water":      "1 cup almond (with a cup of water)",
		"2 tbsp maple syrup (optional)":          "2 tbsp maple-syrup (optional)",
		"12. 1 cup almonds":                      "1 cup almond",
		"123. almonds":                           "123 pieces almond",
		"1.cup almonds":                          "1 cup almond",
		"2 tbps honey":                           "2 pieces - ? unknown-unit tbps ~honey",
		"1 cp almonds":                           "1 piece - ? unknown-unit cp ~almond",
		"2 teh almonds":                          "2 pieces - ? unknown-unit teh ~tea ~almond",
		"1 tsp vanilla “pure”":                   "1 tsp vanilla",
		"3\" cinnamon stick":                     "3 inches cinnamon-stick",
		"3 ” cinnamon":                           "3 pieces cinnamon-stick",
		"1 oz milk":                              "1 oz dairy-milk",
		"8 oz almond milk":                       "8 oz carton-almond",
		"8 oz almonds":                           "8 oz almond",
		"1 ounce rum extract":                    "1 oz - ? unread",
		"2 x 400 ml cans coconut milk":           "2 (400 mL) cans coconut-milk-can",
		"2 cans (400 ml each) coconut milk":      "2 (400 mL) cans coconut-milk-can",
		"1 bag (500 g) almonds":                  "1 (500 g) sachet almond",
		"For the milk: 1 cup almonds":            "1 cup almond",
		"Optional: 1 tsp vanilla":                "1 tsp vanilla",
		"Almonds: 1 cup":                         "1 cup almond",
		"Note: buy early":                        "- ? unread",
		"water to cover":                         "to cover water",
		"enough water to cover":                  "to cover water",
		"2 cups water to cover":                  "2 cups water (to cover)",
		"water to make 1 l":                      "to a total of 1 L water",
		"2 beans vanilla":                        "2 beans vanilla-bean",
		"1 heaped c sugar":                       "1 heaped cup white-sugar",
		"1 heaping packed cup brown sugar":       "1 heaped cup brown-sugar",
		"1 scant cup oats":                       "1 scant cup oats",
		"1 level tsp salt":                       "1 tsp salt",
		"8 fl. oz. water":                        "8 fl oz water",
		"1 fluid ounce water":                    "1 fl oz water",
		"1 thumb-sized piece ginger":             "1 thumb ginger-fresh",
		"1 thumb-size knob of ginger":            "1 thumb ginger-fresh",
		"1 in piece ginger":                      "1 inch ginger-fresh",
		"1 in long cinnamon stick":               "1 inch cinnamon-stick",
		"cut almonds in 2 pieces":                "almond (cut in 2 pieces)",
		"2 cups minus 3 cups water":              "! amount \"0\": too-little-to-measure []",
		"2 sticks (3-inch) cinnamon":             "2 sticks cinnamon-stick",
		"1 (1-inch) piece ginger":                "1 inch ginger-fresh (piece)",
		"ginger, 2 inches":                       "2 inches ginger-fresh",
		"1 can (2-inch) coconut milk":            "1 can coconut-milk-can",
		"1e3 g almonds":                          "1000 g almond",
		".5 g salt":                              "0.5 g salt",
		"1 -2 cups water":                        "1–2 cups water",
		"1—2 cups water":                         "1–2 cups water",
		"1-½ cups water":                         "1½ cups water",
		"2 cups: almonds":                        "2 cups almond",
		"dairy-free cream":                       "- ? unread",
		"1 cup (250 ml) water, plus 2 tbsp":      "1 cup water (plus) ? amounts-differ 2 tbsp",
		"2 min soak almonds":                     "almond (2 min soak)",
		"soak 8 hours: almonds":                  "almond (soak 8 hours)",
		"10% cream, 1 cup":                       "1 cup - ? unread",
		"1 cup moonbeam extract":                 "1 cup - ? unread",
		"1 cup oat or almond milk":               "1 cup carton-oat (or almond milk) or almond milk",
		"1 cup almonds or cashews":               "1 cup almond (or cashews) or cashews",
		"2 tbsp honey or maple syrup":            "2 tbsp honey (or maple syrup) or maple syrup",
		"1 tsp vanilla or almond extract":        "1 tsp vanilla (or almond extract) or almond extract",
		"1 cup hazelnut or almond milk":          "1 cup carton-almond (or hazelnut) or hazelnut",
		"1 cup hazelnut/almond butter":           "1 cup almond-butter (or hazelnut) or hazelnut",
		"1 cup hazelnuts or almond milk":         "1 cup hazelnut (or almond milk) or almond milk",
		"1 cup almond, oat or soy milk":          "1 cup carton-almond (or oat or soy milk) or oat or soy milk",
		"1 cup soy, almond, or oat milk, warmed": "1 cup carton-soy (or almond, or oat milk, warmed) or almond, or oat milk, warmed",
		"2 tbsp maple, agave or date syrup":      "2 tbsp maple-syrup (or agave or date syrup) or agave or date syrup",
		"1 cup cashew, almond and oat milk":      "1 cup - ? unread ~carton-cashew ~carton-almond ~carton-oat",
		"1 cup almonds, cashews or pecans":       "1 cup almond (or cashews or pecans) or cashews or pecans",
		"1 cup almonds, cashews and pecans":      "1 cup almond + 1 cup cashew + 1 cup pecan ? each-or-together",
		"1 cup almonds, soaked and peeled":       "1 cup almond (soaked and peeled)",
		"1 cup oats, rinsed and drained":         "1 cup oats (rinsed and drained)",
		"1/4 tsp cinnamon, nutmeg and cloves":    "¼ tsp cinnamon + ¼ tsp nutmeg + ¼ tsp clove",
		"1 cup milk, oat or soy":                 "1 cup - ? unread ~carton-oat ~carton-soy",
		"1 cup hazelnut, barley or oat milk":     "1 cup carton-oat (or hazelnut) or hazelnut",
		"a cup and a half of water":              "1½ cups water",
		"2 cups and a quarter water":             "2¼ cups water",
		"1 cup and a half cup water":             "1 cup water ? amounts-differ ½ cup",
		"1 teapsoon salt":                        "1 tsp salt slip teapsoon>teaspoon",
		"half a teapsoon salt":                   "½ tsp salt slip teapsoon>teaspoon",
		"heaped teapsoon salt":                   "1 heaped tsp salt slip teapsoon>teaspoon",
		"teapsoon of salt":                       "- ? unread ~salt",
		"1 cup of almnods":                       "1 cup almond slip almnods>almond",
		"almnods":                                "almond slip almnods>almond",
		"1 cup hazlenuts, roasted":               "1 cup hazelnut (roasted) slip hazlenuts>hazelnut",
		"1 cup almonds (see note 2)":             "1 cup almond",
		"1 cup almonds ($3.50) soaked":           "1 cup almond (soaked)",
		"1 cup [almonds](http://x.example/y) raw [nuts](http://x.example/z)": "1 cup - ? unread ~almond",
		"1E2 g almonds":                             "100 g almond",
		"3½ - 4 cups water":                         "3½–4 cups water",
		"half a dozen dates":                        "6 pieces date",
		"a couple of dates":                         "2 pieces date",
		"three quarters of a cup water":             "¾ cup water",
		"1 T honey":                                 "1 tbsp honey",
		"1 t salt":                                  "1 tsp salt",
		"or so 2 cups water":                        "about 2 cups water",
		"1 cup rice or almonds":                     "1 cup white-rice (or almonds) or almonds",
		"1 cup tigernuts soaked overnight":          "1 cup tiger-nut (soaked overnight)",
		"1 can coconutmilk and 1 cup water":         "1 can coconut-milk-can + 1 cup water slip coconutmilk>coconut milk",
		"1 cup almonds (note 1) (see video) soaked": "1 cup almond (soaked)",
		"1 cup [almonds](http://x.example/y) and 2 [dates](http://x.example/z)": "1 cup almond + 2 pieces date",
		"– 2 cups water":             "2 cups water",
		"1/0 cup water":              "! amount \"1/0\": two-numbers []",
		"1/64 cup water":             "0.015625 cup water",
		"100 g almonds (1–4 cups)":   "100 g almond",
		"100 g almonds (4 cups)":     "100 g almond ? amounts-differ 4 cups",
		"1 cup almonds (120 g)":      "120 g almond",
		"1 cup almonds (110 g)":      "110 g almond ? amounts-differ 1 cup",
		"2 cups at least water":      "2 cups - ? unread",
		"at 2 cups water":            "- ? unread",
		"1 cup c sugar":              "1 cup - ? unread ~white-sugar",
		"1 very full cup oats":       "1 piece - ? unread ~oats",
		"1 big heaped cup oats":      "1 heaped cup oats",
		"a big pinch salt":           "1 heaped pinch salt",
		"3 x 250 ml water":           "3 x 250 mL water",
		"2 x 1 cup water":            "2 x 1 cup water",
		"1 cup (ground) almonds":     "1 cup almond (ground)",
		"1 cup fresh or dried dates": "1 cup date",
		"kaju (cashew nuts) - 1 cup": "1 cup cashew (cashew nuts)",
		"badam (almonds) 10":         "10 pieces almond (almonds)",
		"milk (oat), 1 cup":          "1 cup carton-oat (oat)",
		"moon (stars), 1 cup":        "1 cup - ? unread ~star-anise ~peanut",
		"1 cup nut-free oat milk":    "1 cup carton-oat",
		"1 cup gluten-free oats":     "1 cup oats",
		"salt & pepper":              "salt + black-pepper",
		"1 pinch salt/pepper":        "1 pinch salt + 1 pinch black-pepper",
		"vanilla + salt":             "vanilla + salt",
		"2 dates + 1 tsp vanilla":    "2 pieces date + 1 tsp vanilla",

		"1/4 cup each pumpkin, sunflower and sesame seeds": "¼ cup pumpkin-seed + ¼ cup sunflower + ¼ cup sesame",
		"1 cup each cashew and almond milk":                "1 cup carton-cashew + 1 cup carton-almond",
		"a pinch each of salt, cinnamon and moon dust":     "1 pinch - ? unread ~salt ~cinnamon ~cinnamon-ceylon",
		"3 dates each about 20 g":                          "3 x 20 g date",
		"a sprinkle of cinnamon":                           "1 pinch cinnamon",
		"dusting of cocoa, to serve":                       "1 pinch cocoa (to serve)",
		"mint leaves":                                      "- ? unread",
		"2 tbsp mixed seeds":                               "2 tbsp - ? unread",
		"1 cup barista milk":                               "1 cup - ? unread ~carton-oat ~carton-almond ~dairy-milk",
		"oaty milk":                                        "- ? unread ~carton-oat ~carton-oat-sweet ~carton-oat-light",
		"1 tin coconut cream":                              "1 can - ? unread ~coconut-milk-can-sweet ~coconut-water ~coconut-milk-can",

		"1 cup nut-free milk":        "1 cup - ? unread ~carton-oat ~dairy-milk",
		"1 cup nut-free almond milk": "1 cup - ? unread",
		"1 cup soy-free oat milk":    "1 cup carton-oat",
		"1 cup lactose-free milk":    "1 cup - ? unread ~carton-oat ~carton-almond",
		"1 cup dairy-free cream":     "1 cup - ? unread",

		"2 cups Milk, whole, dairy": "2 cups dairy-milk (Milk, whole)",

		"1 cup coconut milk (from a carton)": "1 cup carton-coconut (from a carton)",
		"1 cup coconut milk from a can":      "1 cup coconut-milk-can (from a can)",
		"a handful (30 g) almonds":           "30 g almond",
		"1 pinch (2 g) salt":                 "2 g salt",

		"to cover: water":                           "to cover water",
		"about .5 cup water":                        "about ½ cup water",
		"almonds, $3, 1 cup":                        "1 cup almond",
		"€3 almonds, 1 cup":                         "1 cup almond",
		"£3 almonds, 1 cup":                         "1 cup almond",
		"12 oz (350 g) evaporated milk":             "350 g evaporated-milk",
		"12 fl oz (1 1/2 cups) evaporated milk":     "12 fl oz evaporated-milk",
		"For the top of a glass: 2 tbsp honey":      "2 tbsp honey",
		"For the very top of a glass: 2 tbsp honey": "2 tbsp honey (For the very top of a glass)",
		"2 x 3 dates":                               "2 pieces date ? amounts-differ 3 pieces",
		"2 (3 dates) almonds":                       "2 pieces almond (dates) ? amounts-differ 3 pieces",
		"1 cup almonds (see note 3)":                "1 cup almond",
		"1 cup rice syrup":                          "1 cup - ? unread ~white-rice",
		"1 cup coconut cheese":                      "1 cup - ? unread ~coconut-fresh ~coconut-desiccated ~coconut-water",
		"1 cup sugar snaps":                         "1 cup - ? unread ~white-sugar",

		"1/65 cup water":                      "0.0153846 cup water",
		"1/100 tsp stevia extract":            "0.01 tsp stevia-extract",
		"1/2/3 cup water":                     "! amount \"1/2/3\": two-numbers []",
		"480/500 ml water":                    "! amount \"480/500\": two-numbers []",
		"water, 250/300 g":                    "! amount \"250/300\": two-numbers []",
		"1 cup minus 1 g water":               "! amount \"1 cup minus 1 g\": other-unit []",
		"1 cup milk (almond, oat or soy)":     "1 cup - ? unread ~carton-almond ~carton-oat ~carton-soy",
		"1 cup (240 ml) milk (oat or soy)":    "1 cup - ? unread ~carton-oat ~carton-soy",
		"1 cup milk, such as almond":          "1 cup - ? unread ~carton-almond ~dairy-milk",
		"1 cup milk, preferably oat":          "1 cup - ? unread ~carton-oat ~dairy-milk",
		"1 cup any milk: almond, oat or soy":  "1 cup - ? unread ~carton-almond ~carton-oat ~carton-soy",
		"1 cup of your favourite milk":        "1 cup - ? unread ~carton-oat ~carton-almond ~dairy-milk",
		"1 cup milk (not soy)":                "1 cup dairy-milk (not soy)",
		"1 cup milk, warmed with the almonds": "1 cup dairy-milk (warmed with the almonds)",
		"1 cup almond milk (or oat)":          "1 cup carton-almond (or oat)",
		"1 cup milk, dairy-free":              "1 cup - ? unread ~carton-oat ~carton-almond ~carton-soy",
		"1 cup plant-based milk":              "1 cup - ? unread ~carton-oat ~carton-almond ~carton-soy",
		"1 cup milk or oat milk":              "1 cup - ? unread ~carton-oat ~dairy-milk",
		"1 cup whole milk":                    "1 cup dairy-milk",
	} {
		r, err := reading.Standard().Read(line)
		if err != nil {
			assert.Equal(t, want, "! "+err.Error(), line)
			continue
		}
		assert.Equal(t, want, told(r), line)
	}
}
