package solve

import (
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

// WithIce is the drink with ice in the place of as much of its grinding water
// as brings it down to 4 °C; asked again of what is cold, it changes nothing. The
// error names "lines".
func WithIce(d *reckon.Drink) (*reckon.Drink, error) {
	work := d
	for range iceRounds {
		r, err := work.Reckon()
		if err != nil {
			return nil, err
		}
		if r.Batch == nil || r.Chill.IceG < leastIceG {
			break
		}
		if work, err = withIce(work, r); err != nil {
			return nil, err
		}
	}
	if work == d {
		return nil, fault.New("lines", "", "no-ice-needed")
	}
	return work, nil
}

const (
	iceRounds = 8  // until it no longer changes
	leastIceG = .5 // g; less does not cool
)

// withIce is one step towards it: a smaller share of water takes up the blender's
// heat, so that a little more ice is wanted than at first.
func withIce(d *reckon.Drink, r *reckon.Reckoning) (*reckon.Drink, error) {
	work := *d
	work.Lines = slices.Clone(d.Lines)
	at := slices.IndexFunc(work.Lines, func(l recipe.Line) bool {
		return l.Ingredient != nil && l.Ingredient.Has(ingredient.TagWater) && !l.Locked && reckon.BeforeStraining(l.When()) && l.When() != ingredient.Soak
	})
	if at < 0 {
		return nil, fault.New("lines", "", "no-water-for-ice")
	}
	written := work.Lines[at]
	full, _, err := written.Grams(d.System)
	if err != nil || written.Amount.IsToTotal() || written.Amount.IsToCover() {
		return nil, fault.New("lines", "", "water-has-no-amount")
	}
	ice := math.Min(r.Chill.IceG/r.Factor, full)
	work.Lines[at].Amount = quantity.Of(reckon.FourFigures(full-ice), quantity.Gram)
	addIce(&work, at+1, ice)
	if full-ice < 0.5 {
		work.Lines = slices.Delete(work.Lines, at, at+1)
	}
	return &work, nil
}

// addIce adds to the ice that is there, or a line of it at the place.
func addIce(d *reckon.Drink, place int, iceG float64) {
	for n := range d.Lines {
		if l := &d.Lines[n]; l.Ingredient != nil && l.Ingredient.Has(ingredient.TagIce) && l.Added {
			before, _, _ := l.Grams(d.System)
			l.Amount = quantity.Of(reckon.FourFigures(before+iceG), quantity.Gram)
			return
		}
	}
	i, _ := ingredient.Standard().ByID("ice")
	d.Lines = slices.Insert(d.Lines, place, recipe.Line{Ingredient: i, Name: i.Name, Amount: quantity.Of(reckon.FourFigures(iceG), quantity.Gram), Added: true})
}
