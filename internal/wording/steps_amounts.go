package wording

import (
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

// Allergens are the names of allergens by their codes.
func Allergens(codes []string) []string {
	out := make([]string, len(codes))
	for n, code := range codes {
		out[n] = code
		if name := phrase("allergen-" + code); name != "" {
			out[n] = name
		}
	}
	return out
}
