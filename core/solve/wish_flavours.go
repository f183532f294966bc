package solve

import (
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

// Flavour is a family of tastes that belong together.
type Flavour struct {
	Code  string        // its name is in internal/wording
	Parts []FlavourPart // what goes in for it
}

// FlavourPart is one of its ingredients, in g to a litre of drink.
type FlavourPart struct {
	ID    string  // of the catalogue
	GPerL float64 // g for each litre of drink
}

// flavours are the families, each within what its spices usually are (common practice,
// no source; the rows of the catalogue say from where to where).
var flavours = map[string][]FlavourPart{
	"plain":           {},
	"vanilla":         {{"vanilla", 6}},
	"cardamom":        {{"cardamom", 1.2}, {"vanilla", 4}},
	"cinnamon":        {{"cinnamon-ceylon", 2.5}, {"vanilla", 4}},
	"cinnamon-orange": {{"cinnamon-ceylon", 2}, {"orange-peel", 8}},
	"mace":            {{"mace", 1}, {"vanilla", 4}},
	"nutmeg":          {{"nutmeg", 1}, {"vanilla", 4}},
	"clove":           {{"clove", 0.25}, {"cinnamon-ceylon", 1.5}, {"allspice", 0.5}},
	"chai":            {{"chai-spice", 3}},
	"pumpkin-spice":   {{"pumpkin-pie-spice", 3}},
	"ginger":          {{"ginger-ground", 2}, {"lemon-peel", 5}},
	"golden":          {{"turmeric", 4}, {"ginger-ground", 2}, {"black-pepper", 0.3}},
	"star-anise":      {{"star-anise", 0.8}, {"orange-peel", 6}},
	"fennel":          {{"fennel-seed", 4}},
	"saffron":         {{"saffron", 0.08}, {"cardamom", 0.8}},
	"rose":            {{"rosewater", 15}, {"cardamom", 0.6}},
	"orange-flower":   {{"orange-flower-water", 15}},
	"pandan":          {{"pandan", 12}},
	"lemongrass-lime": {{"lemongrass", 15}, {"lime-peel", 6}},
	"lime":            {{"lime-juice", 40}, {"lime-peel", 4}},
	"lemon":           {{"lemon-juice", 40}, {"lemon-peel", 4}},
	"orange":          {{"orange-juice", 120}, {"orange-peel", 6}},
	"baobab":          {{"baobab", 25}},
	"cocoa":           {{"cocoa", 25}, {"vanilla", 4}},
	"carob":           {{"carob", 30}, {"vanilla", 4}},
	"coffee":          {{"instant-coffee", 10}},
	"chicory":         {{"chicory-root", 10}, {"vanilla", 4}},
	"chilli":          {{"cayenne", 0.2}, {"cinnamon-ceylon", 1.5}},
}

// flavoursOf are the families of each kind, the best known first.
var flavoursOf = map[recipe.Kind][]string{
	recipe.Milk:        {"plain", "vanilla", "cinnamon", "cardamom", "cocoa", "cinnamon-orange", "rose", "ginger", "chai", "golden", "saffron", "orange-flower", "nutmeg", "pandan", "carob"},
	recipe.Creamer:     {"plain", "vanilla", "cardamom", "cinnamon", "cinnamon-orange", "mace", "cocoa", "pumpkin-spice", "chai", "nutmeg", "chicory", "ginger", "star-anise", "orange-flower"},
	recipe.Cream:       {"plain", "vanilla", "cardamom", "rose", "saffron", "orange-flower", "nutmeg", "mace", "cinnamon", "ginger", "cocoa", "pandan", "cinnamon-orange"},
	recipe.Horchata:    {"cinnamon", "cinnamon-orange", "vanilla", "star-anise", "plain", "cardamom", "orange-flower", "rose", "fennel", "cocoa", "ginger", "clove", "saffron"},
	recipe.Nog:         {"nutmeg", "mace", "vanilla", "cinnamon", "pumpkin-spice", "clove", "chai", "cardamom", "star-anise", "coffee", "cocoa", "ginger", "saffron"},
	recipe.Chocolate:   {"plain", "vanilla", "cinnamon", "chilli", "cinnamon-orange", "cardamom", "coffee", "ginger", "rose", "star-anise", "clove", "nutmeg", "saffron"},
	recipe.Concentrate: {"rose", "saffron", "cardamom", "orange-flower", "ginger", "lemongrass-lime", "cinnamon-orange", "vanilla", "pandan", "fennel", "star-anise", "mace"},
	recipe.Cooler:      {"lime", "lemongrass-lime", "ginger", "lemon", "rose", "orange-flower", "orange", "pandan", "fennel", "baobab", "cardamom", "golden"},
}

// Wishable are the kinds a drink can be designed as.
var Wishable = []recipe.Kind{recipe.Milk, recipe.Creamer, recipe.Cream, recipe.Horchata, recipe.Nog, recipe.Chocolate, recipe.Concentrate, recipe.Cooler}

// FlavoursOf are the codes of a kind's families.
func FlavoursOf(kind recipe.Kind) []string { return slices.Clone(flavoursOf[kind]) }

// partsOf are a family's ingredients in a drink of the kind: chocolate stands on cocoa
// whatever else is in it, and what is thinned in the glass is three times as strong.
func partsOf(kind recipe.Kind, flavour string) []FlavourPart {
	parts := slices.Clone(flavours[flavour])
	switch kind {
	case recipe.Chocolate:
		parts = append([]FlavourPart{{"cocoa", 40}}, parts...)
	case recipe.Concentrate:
		for n := range parts {
			parts[n].GPerL *= 3
		}
	}
	return parts
}

// usualBases are what a kind is made from where nothing is said, the best known first.
var usualBases = map[recipe.Kind][]string{
	recipe.Horchata: {"white-rice", "tiger-nut", "barley", "melon-seed", "almond"},
	recipe.Cooler:   {"coconut-desiccated", "almond", "melon-seed", "cashew"},
}

var anyBases = []string{"almond", "oats", "cashew", "hazelnut", "sunflower", "coconut-desiccated", "pecan", "pumpkin-seed", "soybean", "sesame", "macadamia", "hemp", "white-rice", "tiger-nut"} // tried in turn where the cook has no wish: what most people like first

// Bases are what a drink of the kind can be made from: what the pantry holds first, then
// what it usually is, then all the rest.
func Bases(kind recipe.Kind, stockG map[string]float64, catalogue *ingredient.Catalogue) []*ingredient.Ingredient {
	order := append(slices.Clone(usualBases[kind]), anyBases...)
	var out []*ingredient.Ingredient
	add := func(i *ingredient.Ingredient) {
		if i != nil && i.Role == ingredient.Base && !i.Has(ingredient.TagRefused) && !i.Bare && !i.Retired && !slices.Contains(out, i) {
			out = append(out, i)
		}
	}
	for _, i := range catalogue.All() {
		if stockG[i.ID] >= leastStockG {
			add(i)
		}
	}
	for _, id := range order {
		i, _ := catalogue.ByID(id)
		add(i)
	}
	for _, i := range catalogue.All() {
		add(i)
	}
	return out
}

// leastStockG is the least of a base that a drink can be begun with: a quarter cup of nuts
// (our own judgement, no source).
const leastStockG = 30
