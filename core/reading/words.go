package reading

import (
	_ "embed"
	"maps"
	"strings"

	"plushladle/core/ingredient"
)

// wordsTXT are words of kitchen English that stand beside a name. What is in none of
// its lists, and belongs to no name of the ingredient, is not accounted for, and the
// line is asked about: "almond flour" is not almonds.
//
//go:embed words.txt
var wordsTXT string

var lists = readLists(wordsTXT) // of words.txt, by their headings

var (
	// stops hold a line together and say nothing.
	stops = lists["stops"]
	// neutrals praise, or say how cold it is.
	neutrals = lists["neutrals"]
	// sizes say how big a piece is, which some ingredients have rows for.
	sizes = lists["sizes"]
	// prepared say what was done to it, which makes nothing else of it.
	prepared = lists["prepared"]
	// basesOnly are done to what is ground, and tell another thing apart elsewhere.
	basesOnly = lists["basesOnly"]
	// identity words make another thing of what they stand beside, wherever in the line
	// they stand: dried ginger, sweetened coconut milk, ground coffee.
	identity = lists["identity"]
	// tails begin what only explains: "with", "until".
	tails = lists["tails"]
	// beforeUnit stand between a number and its unit: "1 level teaspoon".
	beforeUnit = lists["beforeUnit"]
	// abouts make an amount a rough one.
	abouts = lists["abouts"]
	// times are units of time, which no ingredient is measured in.
	times = lists["times"]
)

// groups are words that say the same of an ingredient.
var groups = map[string]string{
	"dry": "dried", "powder": "ground", "powdered": "ground", "milled": "ground", "lite": "light", "toasted": "roasted", "tinned": "canned", "skim": "skimmed",
	"yoghurt": "yogurt", "flavored": "flavoured", "germinated": "sprouted",
}

// sameGroup makes words of one meaning the same; a word without a group stays itself.
func sameGroup(w string) string {
	if g, ok := groups[w]; ok {
		return g
	}
	return w
}

// known are all of these words, and the foreign ones, which are no ingredient here:
// none is taken for a slip of another, and butter is not bitter.
var known = func() map[string]bool {
	all := map[string]bool{}
	for _, list := range lists {
		maps.Copy(all, list)
	}
	for _, list := range []map[string]float64{cardinals, shares} {
		for w := range list {
			all[w] = true
		}
	}
	for w := range fills {
		all[w] = true
	}
	return all
}()

// unitSpellings are the units long enough to be misspelt.
var unitSpellings = []string{
	"teaspoon", "tablespoon", "gram", "kilogram", "ounce", "pound", "litre", "liter", "millilitre", "milliliter", "pinch", "smidgen", "splash", "handful",
	"carton", "bottle", "sachet", "packet", "teaspoonful", "tablespoonful",
}

// readLists reads lists of words, each behind its name in square brackets.
func readLists(text string) map[string]map[string]bool {
	out := map[string]map[string]bool{}
	var list map[string]bool
	for row := range strings.Lines(text) {
		row = strings.TrimSpace(row)
		if name, ok := strings.CutPrefix(row, "["); ok {
			list = map[string]bool{}
			out[strings.TrimSuffix(name, "]")] = list
			continue
		}
		if list == nil {
			continue // the words above the first list
		}
		for _, w := range strings.Fields(row) {
			list[ingredient.Singular(w)] = true
		}
	}
	return out
}

// setOf is a set, to look words up in.
func setOf(words ...string) map[string]bool {
	out := map[string]bool{}
	for _, w := range words {
		out[w] = true
	}
	return out
}
