package wording

import "plushladle/core/plan"

// Ingredient is what goes in at a step: soaked almonds, with their water, into the flask.
func Ingredient(a plan.ItemAmount) string {
	name := a.Name
	if a.Soaked {
		name += ", soaked"
	}
	if a.Kept {
		name += ", with its water"
	}
	if a.Into != "" {
		name += ", into " + a.Into
	}
	return name
}
