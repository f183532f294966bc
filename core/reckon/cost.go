package reckon

import "plushladle/core/ingredient"

// Prices are what a gram of each ingredient costs as it is bought, by the
// ingredient's id, in the kitchen's currency.
type Prices map[string]float64

// Cost is what the batch costs. Unpriced are the ingredients left out of it.
type Cost struct {
	Known      bool     // some line has a price
	Batch      float64  // in the kitchen's currency
	PerLitre   float64  // of the finished drink
	PerServing float64  // of the size reckoned with
	Unpriced   []string // names of what has no price, and so counts nothing
}

// cost adds up what the lines take from the packs: what is thrown away as
// shell, peel or stone is paid for too. Water is free.
func (b *Batch) cost(r *Reckoning) Cost {
	c := Cost{}
	if b.d.Prices == nil {
		return c
	}
	for _, w := range b.Lines {
		i := w.Line.Ingredient
		if i.Has(ingredient.TagWater) || i.Has(ingredient.TagIce) {
			continue
		}
		perG, ok := b.d.Prices.of(i)
		if !ok {
			c.Unpriced = append(c.Unpriced, i.Name)
			continue
		}
		c.Known = true
		c.Batch += w.MassG * perG
	}
	if c.Known {
		c.PerLitre = c.Batch / r.Drink.VolumeML * 1000
		c.PerServing = c.Batch / r.Servings.Count
	}
	return c
}

// of is the price of a gram of an ingredient; a blend with none of its own
// costs what its parts do.
func (p Prices) of(i *ingredient.Ingredient) (float64, bool) {
	if perG, ok := p[i.ID]; ok {
		return perG, true
	}
	total := 0.
	for _, part := range i.Parts {
		perG, ok := p[part.Ingredient.ID]
		if !ok {
			return 0, false
		}
		total += perG * part.Share
	}
	return total, len(i.Parts) > 0
}

// PerGram is the price of an edible gram from a pack: its price, what is in
// it, and the share of that which is not shell, peel or stone.
func PerGram(price, packG, edibleShare float64) float64 {
	if packG <= 0 || edibleShare <= 0 {
		return 0
	}
	return price / (packG * edibleShare)
}
