package formula

import "plushladle/core/ingredient"

// Style is the kind of drink, which sets its usual serving.
type Style string

// The styles.
const (
	Concentrate Style = "concentrate"
	Horchata    Style = "horchata"
	Nog         Style = "nog"
	Creamer     Style = "creamer"
	Blend       Style = "blend"
	Milk        Style = "milk"
)

// Usual servings in mL. Source: 21 CFR 101.12(b) for milk (240 mL); the rest
// is common practice.
var servingOf = map[Style]float64{Concentrate: 20, Horchata: 240, Nog: 120, Creamer: 30, Blend: 240, Milk: 240}

const (
	concentrateOverG = 40. // g of sucrose equivalents per 100 mL
	nogFromG         = 4.  // the same
	creamerRatio     = 2.5 // grinding liquid to dry base, by cups
)

// style tells the kind of drink from what is in it.
func (b *batch) style() Style {
	sweet := b.per100mL().SucroseEquivalentG()
	switch {
	case sweet > concentrateOverG:
		return Concentrate
	case b.has(ingredient.TagHorchata):
		return Horchata
	case b.has(ingredient.TagNog) && sweet >= nogFromG:
		return Nog
	case b.baseML > 0 && b.groundML <= creamerRatio*b.baseML:
		return Creamer
	case b.has(ingredient.TagBlend):
		return Blend
	}
	return Milk
}

func (d *Drink) servingML(b *batch) float64 {
	if d.ServingML > 0 {
		return d.ServingML
	}
	return servingOf[b.style()]
}
