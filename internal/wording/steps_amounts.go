package wording

import (
	"cmp"

	"plushladle/core/ingredient"
	"plushladle/core/plan"
)

// Ingredient is what goes in at a step: soaked almonds, with their water, into the flask.
func Ingredient(a plan.ItemAmount) string {
	name := a.Name
	if a.Soaked {
		name = phrase("named-soaked", name)
	}
	if a.Kept {
		name = phrase("named-with-its-water", name)
	}
	if a.Into != "" {
		name = phrase("named-into", name, a.Into)
	}
	return name
}

// Stage says when a line goes in, where its words do not say so; empty for the jug's.
func Stage(s ingredient.Stage) string { return phrase("stage-" + string(s)) }

// Allergens are the names of allergens in the kitchen's language.
func Allergens(names []string) []string {
	out := make([]string, len(names))
	for n, name := range names {
		out[n] = Allergen(name)
	}
	return out
}

// Allergen is an allergen's name, as labels have it, in the kitchen's language; one that no
// list has stays as it is.
func Allergen(name string) string {
	return cmp.Or(phrase("allergen-"+name), name)
}
