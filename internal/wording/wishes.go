package wording

import (
	"fmt"
	"math"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/solve"
)

// wishKinds are the kinds as a wish asks for them.
var wishKinds = map[recipe.Kind]string{
	recipe.Milk: "milk for a glass", recipe.Creamer: "coffee creamer", recipe.Cream: "cream", recipe.Horchata: "horchata",
	recipe.Nog: "nog", recipe.Chocolate: "chocolate", recipe.Concentrate: "sherbet concentrate", recipe.Cooler: "cooler",
}

// WishKind is a kind of drink as one would ask for it.
func WishKind(k recipe.Kind) string { return wishKinds[k] }

var flavourNames = map[string]string{
	"cinnamon-orange": "cinnamon and orange", "pumpkin-spice": "pumpkin spice", "star-anise": "star anise and orange", "saffron": "saffron",
	"orange-flower": "orange flower", "lemongrass-lime": "lemongrass and lime", "golden": "turmeric and ginger", "chilli": "chilli and cinnamon",
	"clove": "clove and cinnamon", "mace": "mace", "chicory": "chicory",
}

// Flavour is a family of tastes in a word or three.
func Flavour(code string) string {
	if name, ok := flavourNames[code]; ok {
		return name
	}
	return code
}

// baseNames are bases as the names of drinks have them, where the rule does not do.
var baseNames = map[string]string{
	"oats": "Oat", "white-rice": "Rice", "brown-rice": "Brown rice", "barley": "Barley", "soybean": "Soy", "sunflower": "Sunflower",
	"melon-seed": "Melon seed", "coconut-desiccated": "Coconut", "coconut-fresh": "Coconut", "hemp": "Hemp", "flax": "Flax", "sesame": "Sesame",
}

// baseName is a base as a drink's name begins with it: almonds give almond milk.
func baseName(i *ingredient.Ingredient) string {
	if name, ok := baseNames[i.ID]; ok {
		return name
	}
	plain, _, _ := strings.Cut(i.Name, ",")
	return strings.TrimSuffix(plain, "s")
}

// WishName names a drink by what it is made of: "Sunflower creamer with cardamom".
func WishName(bases []*ingredient.Ingredient, kind recipe.Kind, flavour string) string {
	names := make([]string, len(bases))
	for n, b := range bases {
		names[n] = baseName(b)
		if n > 0 {
			names[n] = strings.ToLower(names[n])
		}
	}
	what := map[recipe.Kind]string{recipe.Chocolate: "chocolate drink", recipe.Concentrate: "sherbet concentrate"}[kind]
	if what == "" {
		what = string(kind)
	}
	name := strings.Join(names, " and ") + " " + what
	if flavour == "plain" || flavour == "" {
		return name
	}
	return name + " with " + Flavour(flavour)
}

// InLine is an ingredient's name in the middle of a line.
func InLine(name string) string {
	if len(name) > 1 && name[1] >= 'a' && name[1] <= 'z' {
		return strings.ToLower(name[:1]) + name[1:]
	}
	return name
}

// Short is an ingredient to buy.
func Short(name string, g float64) string {
	if g < 1 {
		return fmt.Sprintf("a little %s", InLine(name))
	}
	return fmt.Sprintf("%.0f g %s", math.Ceil(g), InLine(name))
}

// Lasting is what can be done where a drink does not last as long as it is wanted.
func Lasting(l *solve.Lasting, days float64) []string {
	if l == nil {
		return []string{}
	}
	out := []string{
		fmt.Sprintf("It keeps %s, and you want it for %s.", Days(int(l.KeepsDays)), Days(int(days))),
		fmt.Sprintf("Make it in %d batches.", l.Makings),
		fmt.Sprintf("Or freeze %.0f %% of it straight away.", l.FreezePct),
	}
	if l.InTheCupFor > 0 {
		out = append(out, fmt.Sprintf("Or sweeten it in the cup instead: without the sweetener it keeps %s.", Days(int(l.InTheCupFor))))
	}
	return out
}
