package reckon

import (
	"slices"

	"plushladle/core/ingredient"
)

// carriedTags are the marks a drink passes on to what is made of it.
const carriedTags = ingredient.TagHoney | ingredient.TagXylitol | ingredient.TagChocolate | ingredient.TagRice |
	ingredient.TagDairy | ingredient.TagHerb | ingredient.TagTuber | ingredient.TagNutmeg | ingredient.TagPoppy | ingredient.TagSelenium |
	ingredient.TagIodine | ingredient.TagEmulsifies | ingredient.TagBoiledSoy

// AsIngredient is the finished drink as a liquid that other drinks can be made
// with. A drink with a line that does not count cannot be one: what it holds
// is not known.
func (r *Reckoning) AsIngredient(id, name string) (*ingredient.Ingredient, bool) {
	if r.Batch == nil || !r.Keeps.Known() && !r.Batch.isRawSoy() {
		return nil, false
	}
	if slices.ContainsFunc(r.Lines, func(l LineReckoning) bool { return l.Err != nil || l.MassG == 0 }) {
		return nil, false
	}
	i := ingredient.Ingredient{
		ID: id, Name: name, Role: ingredient.Liquid, Class: ingredient.Soluble, Stage: ingredient.Grind,
		BulkGPerML: r.Drink.MassG / r.Drink.VolumeML,
		PerGram:    r.Batch.Finished.Times(1 / r.Drink.MassG),
		Life:       ingredient.Life{CautiousDays: r.Keeps.AtFour[0], CustomaryDays: r.Keeps.AtFour[1]},
		Allergens:  r.Allergens, Vegan: r.Vegan != nil && *r.Vegan,
		Source: "own-drink",
	}
	tags := ingredient.TagFluid
	for _, c := range wholly {
		i.PerGram[c] = 0
	}
	for _, w := range r.Batch.Lines {
		tags |= w.Line.Ingredient.Tags() & carriedTags
		i.Made = append(i.Made, ingredient.Share{Ingredient: w.Line.Ingredient, Share: w.MassG / r.Drink.MassG})
		for _, c := range wholly {
			i.PerGram[c] += w.Per[c] * w.MassG / r.Drink.MassG
		}
	}
	switch {
	case r.Batch.isRawSoy():
		tags |= ingredient.TagBoil
	case r.Batch.has(ingredient.TagBoil):
		tags |= ingredient.TagBoiledSoy
	}
	return i.Tagged(tags), true
}

// wholly is what is counted as passing into a drink whole.
var wholly = []ingredient.Component{ingredient.SeleniumUg, ingredient.IodineUg, ingredient.CoumarinMg}
