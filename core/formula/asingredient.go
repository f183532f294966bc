package formula

import (
	"slices"

	"plushladle/core/ingredient"
)

// carriedTags are the marks a drink passes on to what is made of it.
const carriedTags = ingredient.TagHoney | ingredient.TagXylitol | ingredient.TagChocolate | ingredient.TagRice |
	ingredient.TagDairy | ingredient.TagNutmeg | ingredient.TagHerb

// AsIngredient is the finished drink as a liquid that other drinks can be made
// with. A drink with a line that does not count cannot be one: what it holds
// is not known.
func (r *Reckoning) AsIngredient(id, name string) (*ingredient.Ingredient, bool) {
	if r.batch == nil || !r.Keeps.Known() {
		return nil, false
	}
	if slices.ContainsFunc(r.Lines, func(l LineReckoning) bool { return l.Err != nil || l.MassG == 0 }) {
		return nil, false
	}
	i := ingredient.Ingredient{
		ID: id, Name: name, Role: ingredient.Liquid, Class: ingredient.Soluble, Stage: ingredient.Grind,
		BulkGPerML: r.Drink.MassG / r.Drink.VolumeML,
		PerGram:    r.batch.finished.Times(1 / r.Drink.MassG),
		Life:       ingredient.Life{CautiousDays: r.Keeps.CautiousDays, CustomaryDays: r.Keeps.CustomaryDays},
		Allergens:  r.Allergens, Vegan: r.Vegan != nil && *r.Vegan,
		Source: "reckoned from the kitchen's own drink",
	}
	tags := ingredient.TagFluid
	for _, w := range r.batch.lines {
		tags |= w.line.Ingredient.Tags() & carriedTags
	}
	return i.Tagged(tags), true
}
