package formula

import (
	"plushladle/core/extract"
	"plushladle/core/ingredient"
)

// FinishedC is the temperature at which a finished drink's volume is given, °C.
const FinishedC = 4

// weighed is a line that counts, with its mass as written.
type weighed struct {
	line  *Line
	index int
	g     float64
	per   *ingredient.Content // of a gram of it as measured
}

// content is what the line brings.
func (w weighed) content() ingredient.Content { return w.per.Times(w.g) }

// batch is a drink of one size: what went in and what came of it.
type batch struct {
	d        *Drink
	lines    []weighed // at this size
	charges  []extract.Charge
	ground   extract.Ground
	rinse    ingredient.Content
	added    ingredient.Content // what joined after straining
	brewed   []extract.Charge
	leftover ingredient.Content // of the decoction, not used
	pressed  extract.Pressed
	steamG   float64 // boiled away
	foamG    float64 // skimmed off
	finished ingredient.Content
	ml       float64 // of the finished drink
	baseG    float64 // dry
	baseML   float64 // dry, as it lies in the cup
	groundML float64 // grinding liquid as poured
	groundG  float64
}

// mix makes the batch that the lines give at the given growth.
func (d *Drink) mix(lines []weighed, factor float64) *batch {
	b := &batch{d: d, lines: make([]weighed, len(lines)), charges: make([]extract.Charge, 0, len(lines))}
	soakKept := keepsSoak(lines)
	for n, w := range lines {
		w.g *= w.line.growth(factor, d.Spices)
		b.lines[n] = w
		b.count(w)
		b.put(w, soakKept)
	}
	b.ground = extract.Grind(b.charges, d.Method)
	b.pressed = b.ground.Strain(b.rinse, d.Method)
	b.pour(b.pressed)
	b.ml = extract.VolumeML(b.finished, FinishedC)
	return b
}

// decoctionMethod parts a decoction from what was brewed in it.
var decoctionMethod = extract.Method{Strainer: extract.Cloth}

// pour brings the pressed milk together with what joins it, and cooks it.
func (b *batch) pour(pressed extract.Pressed) {
	b.finished = pressed.Milk.Plus(b.added)
	if len(b.brewed) > 0 {
		decoction := extract.Press(b.brewed, ingredient.Content{}, decoctionMethod).Milk
		used := b.d.brewUsed()
		b.leftover = decoction.Times(1 - used)
		b.finished = b.finished.Plus(decoction.Times(used))
	}
	b.finished, b.steamG, b.foamG = b.d.Cooking.Reduced(b.finished)
}

// brewUsed is the share of the decoction that goes in; all of it unless said.
func (d *Drink) brewUsed() float64 {
	if d.BrewUsed == 0 {
		return 1
	}
	return d.BrewUsed
}

// put brings the line in at its stage.
func (b *batch) put(w weighed, soakKept bool) {
	content := w.content()
	switch w.line.stage() {
	case ingredient.Strained, ingredient.CookIt:
		b.added = b.added.Plus(content)
	case ingredient.Rinse:
		b.rinse = b.rinse.Plus(content)
	case ingredient.Serve:
	case ingredient.Brew:
		b.brewed = append(b.brewed, extract.Charge{Content: content, Class: w.line.Ingredient.Class})
	default:
		if w.goesWithTheSoak(soakKept) {
			return
		}
		b.charges = append(b.charges, extract.Charge{Content: content, Class: w.class(), SoakedInG: w.soakedInG(soakKept)})
	}
}

// goesWithTheSoak tells whether the line is poured away with the soak water:
// salt or seaweed in a soak that is not kept.
func (w weighed) goesWithTheSoak(soakKept bool) bool {
	role := w.line.Ingredient.Role
	return w.line.stage() == ingredient.Soak && !soakKept && (role == ingredient.Salt || role == ingredient.Other)
}

func (w weighed) class() ingredient.Class {
	c := w.line.Ingredient.Class
	if c == ingredient.Nut && w.line.Treatment.Roasted {
		return ingredient.Roasted
	}
	return c
}

// keepsSoak tells whether a liquid goes in at the soak, and so stays in.
func keepsSoak(lines []weighed) bool {
	for _, w := range lines {
		if w.line.Ingredient.Role == ingredient.Liquid && w.line.stage() == ingredient.Soak {
			return true
		}
	}
	return false
}

// soakedInG is the soak water a line carries into the blender. What soaks in
// liquid that is kept brings none of its own.
func (w weighed) soakedInG(soakKept bool) float64 {
	i := w.line.Ingredient
	if soakKept || w.line.Unsoaked || !i.NeedsSoak() || i.Has(ingredient.TagKept) {
		return 0
	}
	return w.g * i.UptakeGPerG
}

// count adds the line to the base and the grinding liquid.
func (b *batch) count(w weighed) {
	i := w.line.Ingredient
	switch {
	case i.Role == ingredient.Base:
		b.baseG += w.g
		b.baseML += w.ml()
	case i.Role == ingredient.Liquid && beforeStraining(w.line.stage()):
		b.groundG += w.g
		b.groundML += w.ml()
	}
}

func beforeStraining(s ingredient.Stage) bool {
	return s == ingredient.Soak || s == ingredient.Grind || s == ingredient.Rinse
}

// likelyML is the finished volume were the pulp to hold one standard
// deviation more and less than expected.
func (b *batch) likelyML() (low, high float64) {
	volume := func(heldShare float64) float64 {
		m := b.d.Method
		m.HeldShare = heldShare
		other := *b
		other.pour(b.ground.Strain(b.rinse, m))
		return extract.VolumeML(other.finished, FinishedC)
	}
	return volume(1 + extract.HeldSpread), volume(1 - extract.HeldSpread)
}

// per100mL is the finished drink's content in 100 mL.
func (b *batch) per100mL() ingredient.Content {
	if b.ml == 0 {
		return ingredient.Content{}
	}
	return b.finished.Times(100 / b.ml)
}

// has tells whether any line in the drink carries the tag.
func (b *batch) has(t ingredient.Tag) bool {
	for _, w := range b.lines {
		if w.line.Ingredient.Has(t) {
			return true
		}
	}
	return false
}
