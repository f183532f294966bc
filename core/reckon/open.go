package reckon

import (
	"math"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
)

// What a base or a liquid that was left open is planned with (common practice):
// one to four by cups, and vessels for twice.
const (
	openRatio  = 4.    // cups of water to one of base
	openBaseML = 236.6 // mL: a US cup
	openRoom   = 2.    // times, for loads and vessels
)

// guesses are amounts for the bases and grinding liquids that were left open, so
// that loads, vessels and lengths can be planned. No figure is shown from them.
func (d *Drink) guesses(lines []Weighed) []Weighed {
	var open []Weighed
	baseML, liquidML := 0., 0.
	for _, w := range lines {
		switch {
		case w.Line.Ingredient.Role == ingredient.Base:
			baseML += w.VolumeML()
		case w.Line.Ingredient.Role == ingredient.Liquid && BeforeStraining(w.Line.When()):
			liquidML += w.VolumeML()
		}
	}
	bases, liquids := 0., 0.
	for n := range d.Lines {
		line := &d.Lines[n]
		switch {
		case line.Ingredient == nil || !line.Amount.IsOpen() || !BeforeStraining(line.When()) || line.Ingredient.Has(ingredient.TagIce) || line.Ingredient.Has(ingredient.TagRefused):
			continue
		case line.Ingredient.Role == ingredient.Base:
			bases++
		case line.Ingredient.Role == ingredient.Liquid:
			liquids++
		default:
			continue
		}
		open = append(open, Weighed{Line: line, Index: n, Per: line.Ingredient.Treated(line.Treatment)})
	}
	if bases > 0 && baseML == 0 {
		baseML = openBaseML
		if liquidML > 0 {
			baseML = liquidML / openRatio
		}
	}
	for n := range open {
		ml := math.Max(0, openRatio*baseML-liquidML) / math.Max(1, liquids)
		if open[n].Line.Ingredient.Role == ingredient.Base {
			ml = baseML / bases
		}
		open[n].MassG = ml * math.Max(open[n].Line.BulkGPerML(), .1)
	}
	return open
}

// isIn tells whether a line was weighed.
func isIn(lines []Weighed, index int) bool {
	for _, w := range lines {
		if w.Index == index {
			return true
		}
	}
	return false
}

// leaveOpen keeps what does not hang on an amount that was left open: how it is
// made, whom it can harm, and how big the vessels have to be.
func (r *Reckoning) leaveOpen(b *Batch) {
	rough := *r
	rough.fill(b)
	held := b.d.heldAgainstLimits(b, &rough)
	r.Rough = &Made{MassG: openRoom * rough.Drink.MassG, VolumeML: rough.Drink.VolumeML, LowML: 0, HighML: openRoom * rough.Drink.VolumeML}
	r.Kind, r.KindFrom, r.Allergens, r.Vegan, r.Soak = rough.Kind, rough.KindFrom, rough.Allergens, rough.Vegan, rough.Soak
	r.Jug = b.jug(&rough)
	r.Jug.MilkML, r.Jug.PulpML = 0, 0
	r.Cautions, r.ForWhom = withoutFigures(caution.Of(held)), caution.ForWhom(held)
}

// withoutFigures are cautions whose amounts are not known.
func withoutFigures(all []caution.Caution) []caution.Caution {
	for n := range all {
		all[n].Value, all[n].Limit = nil, nil
	}
	return all
}
