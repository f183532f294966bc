package reckon

import (
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

// Where a guess turns (modelling assumptions).
const (
	concentrateFromG = 40. // g of sucrose equivalents per 100 mL
	nogNutmegGPerL   = .8  // g of nutmeg a litre: it leads the flavour
	nogSpiceShare    = .5  // nutmeg's and mace's, of all ground spice
	nogFromG         = 3.  // sweetness
	brewedShare      = .5  // of the liquid is brewed
	creamPct         = 18. // % fat: it could be whipped
	creamerPct       = 7.  // % fat: it whitens coffee
	creamerLiquid    = 3.5 // by weight, to one of dry nuts and seeds
)

// kind is the kind of drink: as the cook says, as its name says, or guessed from
// what is in it.
func (b *Batch) kind() (recipe.Kind, recipe.KindFrom) {
	if b.d.Kind != recipe.AsGuessed {
		return b.d.Kind, recipe.KindSaid
	}
	if k := recipe.KindInName(b.d.Name); k != recipe.AsGuessed {
		return k, recipe.KindByName
	}
	return b.guessKind(), recipe.KindGuess
}

// guessKind goes by figures, from what is told most surely to what is left: milk.
func (b *Batch) guessKind() recipe.Kind {
	sweet := b.Per100mL().SucroseEquivalentG()
	fatPct := 0.
	if massG := b.Finished.MassG(); massG > 0 {
		fatPct = 100 * b.Finished[ingredient.Fat] / massG
	}
	switch {
	case sweet >= concentrateFromG:
		return recipe.Concentrate
	case b.isNog(sweet):
		return recipe.Nog
	case b.has(ingredient.TagHorchata) && b.anySpice():
		return recipe.Horchata
	case !b.Made.Layout.IsGround && b.brewedLiquid() >= brewedShare:
		return recipe.Brewed
	case b.holds(ingredient.TagCocoa):
		return recipe.Chocolate
	case b.isCooler():
		return recipe.Cooler
	case fatPct >= creamPct:
		return recipe.Cream
	case fatPct >= creamerPct || b.isStrong():
		return recipe.Creamer
	}
	return recipe.Milk
}

// isNog: nutmeg leads the spices, there is enough of it, and it is sweet.
func (b *Batch) isNog(sweet float64) bool {
	nutmegG, spiceG := 0., 0.
	for _, w := range b.inTheBottle() {
		i := w.Line.Ingredient
		if i.Role != ingredient.Spice {
			continue
		}
		spiceG += w.MassG
		if i.Has(ingredient.TagNog) {
			nutmegG += w.MassG
		}
	}
	return b.VolumeML > 0 && nutmegG/b.VolumeML*1000 >= nogNutmegGPerL && nutmegG >= nogSpiceShare*spiceG && sweet >= nogFromG
}

// inTheBottle are the lines that do not wait for the glass.
func (b *Batch) inTheBottle() []Weighed {
	in := make([]Weighed, 0, len(b.Lines))
	for _, w := range b.Lines {
		if w.Line.When() != ingredient.Serve {
			in = append(in, w)
		}
	}
	return in
}

// anySpice tells whether any spice is in the bottle.
func (b *Batch) anySpice() bool {
	for _, w := range b.inTheBottle() {
		if w.Line.Ingredient.Role == ingredient.Spice && w.MassG > 0 {
			return true
		}
	}
	return false
}

// holds tells whether some of what carries a tag is in the bottle.
func (b *Batch) holds(t ingredient.Tag) bool {
	for _, w := range b.inTheBottle() {
		if w.MassG > 0 && w.Line.Ingredient.Has(t) {
			return true
		}
	}
	return false
}

// brewedLiquid is the share of the liquid that is coffee, tea or a decoction.
func (b *Batch) brewedLiquid() float64 {
	all, brewed := 0., 0.
	for _, w := range b.inTheBottle() {
		i := w.Line.Ingredient
		if i.Role != ingredient.Liquid {
			continue
		}
		all += w.MassG
		if w.Line.When() == ingredient.Brew || i.Has(ingredient.TagBrewed) {
			brewed += w.MassG
		}
	}
	if all == 0 {
		return 0
	}
	return brewed / all
}

// isCooler: juice, or coconut water and its kind.
func (b *Batch) isCooler() bool {
	return b.holds(ingredient.TagJuice) || b.holds(ingredient.TagCoconut) && b.holds(ingredient.TagCooler)
}

// isStrong tells whether nuts and seeds are ground with little liquid; grain so
// ground is no creamer.
func (b *Batch) isStrong() bool {
	nutsG := 0.
	for _, w := range b.Lines {
		i := w.Line.Ingredient
		if i.Role == ingredient.Base && i.Class != ingredient.Grain {
			nutsG += w.MassG
		}
	}
	return nutsG > 0 && nutsG >= b.BaseG/2 && b.GroundG > 0 && b.GroundG <= creamerLiquid*nutsG
}

// servingML is the cook's own serving, or the kind's.
func (d *Drink) servingML(k recipe.Kind) float64 {
	if d.ServingML > 0 {
		return d.ServingML
	}
	return k.ServingML()
}
