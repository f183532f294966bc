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
}

// batch is a drink of one size: what went in and what came of it.
type batch struct {
	d        *Drink
	lines    []weighed // at this size
	charges  []extract.Charge
	ground   extract.Ground
	rinse    ingredient.Content
	added    ingredient.Content // what joined after straining
	pressed  extract.Pressed
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
	b.finished = b.pressed.Milk.Plus(b.added)
	b.ml = extract.VolumeML(b.finished, FinishedC)
	return b
}

// put brings the line in at its stage.
func (b *batch) put(w weighed, soakKept bool) {
	content := w.line.Ingredient.PerGram.Times(w.g)
	switch w.line.stage() {
	case ingredient.Strained, ingredient.CookIt:
		b.added = b.added.Plus(content)
	case ingredient.Rinse:
		b.rinse = b.rinse.Plus(content)
	case ingredient.Serve:
	default:
		b.charges = append(b.charges, extract.Charge{Content: content, Class: w.line.Ingredient.Class, SoakedInG: w.soakedInG(soakKept)})
	}
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
		b.baseML += w.g / w.line.bulkGPerML()
	case i.Role == ingredient.Liquid && beforeStraining(w.line.stage()):
		b.groundG += w.g
		b.groundML += w.g / i.BulkGPerML
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
		return extract.VolumeML(b.ground.Strain(b.rinse, m).Milk.Plus(b.added), FinishedC)
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
