package formula

import (
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

// Where a guess turns (modelling assumptions).
const (
	concentrateFromG = 40. // g of sucrose equivalents per 100 mL
	nogNutmegGPerL   = .8
	nogSpiceShare    = .5 // nutmeg's and mace's, of all ground spice
	nogFromG         = 3. // sweetness
	brewedShare      = .5 // of the liquid is brewed
	creamPct         = 18.
	creamerPct       = 7.
	creamerLiquid    = 3.5 // by weight, to one of dry nuts and seeds
)

// kind is the kind of drink: as the cook says, as its name says, or guessed from
// what is in it.
func (b *batch) kind() (recipe.Kind, recipe.KindFrom) {
	if b.d.Kind != recipe.AsGuessed {
		return b.d.Kind, recipe.KindSaid
	}
	if k := recipe.KindInName(b.d.Name); k != recipe.AsGuessed {
		return k, recipe.KindByName
	}
	return b.guessKind(), recipe.KindGuess
}

func (b *batch) guessKind() recipe.Kind {
	sweet := b.per100mL().SucroseEquivalentG()
	fatPct := 0.
	if massG := b.finished.MassG(); massG > 0 {
		fatPct = 100 * b.finished[ingredient.Fat] / massG
	}
	switch {
	case sweet >= concentrateFromG:
		return recipe.Concentrate
	case b.isNog(sweet):
		return recipe.Nog
	case b.has(ingredient.TagHorchata) && b.anySpice():
		return recipe.Horchata
	case !b.made.Layout.IsGround && b.brewedLiquid() >= brewedShare:
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

func (b *batch) isNog(sweet float64) bool {
	nutmegG, spiceG := 0., 0.
	for _, w := range b.inTheBottle() {
		i := w.line.Ingredient
		if i.Role != ingredient.Spice {
			continue
		}
		spiceG += w.g
		if i.Has(ingredient.TagNog) {
			nutmegG += w.g
		}
	}
	return b.ml > 0 && nutmegG/b.ml*1000 >= nogNutmegGPerL && nutmegG >= nogSpiceShare*spiceG && sweet >= nogFromG
}

// inTheBottle are the lines that do not wait for the glass.
func (b *batch) inTheBottle() []weighed {
	in := make([]weighed, 0, len(b.lines))
	for _, w := range b.lines {
		if w.line.When() != ingredient.Serve {
			in = append(in, w)
		}
	}
	return in
}

func (b *batch) anySpice() bool {
	for _, w := range b.inTheBottle() {
		if w.line.Ingredient.Role == ingredient.Spice && w.g > 0 {
			return true
		}
	}
	return false
}

// holds tells whether some of what carries a tag is in the bottle.
func (b *batch) holds(t ingredient.Tag) bool {
	for _, w := range b.inTheBottle() {
		if w.g > 0 && w.line.Ingredient.Has(t) {
			return true
		}
	}
	return false
}

// brewedLiquid is the share of the liquid that is coffee, tea or a decoction.
func (b *batch) brewedLiquid() float64 {
	all, brewed := 0., 0.
	for _, w := range b.inTheBottle() {
		i := w.line.Ingredient
		if i.Role != ingredient.Liquid {
			continue
		}
		all += w.g
		if w.line.When() == ingredient.Brew || i.Has(ingredient.TagBrewed) {
			brewed += w.g
		}
	}
	if all == 0 {
		return 0
	}
	return brewed / all
}

func (b *batch) isCooler() bool {
	return b.holds(ingredient.TagJuice) || b.holds(ingredient.TagCoconut) && b.holds(ingredient.TagCooler)
}

// isStrong tells whether nuts and seeds are ground with little liquid; grain so
// ground is no creamer.
func (b *batch) isStrong() bool {
	nutsG := 0.
	for _, w := range b.lines {
		i := w.line.Ingredient
		if i.Role == ingredient.Base && i.Class != ingredient.Grain {
			nutsG += w.g
		}
	}
	return nutsG > 0 && nutsG >= b.baseG/2 && b.groundG > 0 && b.groundG <= creamerLiquid*nutsG
}

func (d *Drink) servingML(k recipe.Kind) float64 {
	if d.ServingML > 0 {
		return d.ServingML
	}
	return k.ServingML()
}
