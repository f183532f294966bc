package app

import (
	"cmp"
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/plan"
	"plushladle/internal/kitchen"
	"plushladle/internal/store"
)

// Makeable is a drink with what it takes as it is written.
type Makeable struct {
	Drink   store.Drink
	Needs   []plan.Need
	DrinkML float64
}

func (r Makeable) NeedsOf(id string) float64 {
	g := 0.
	for _, n := range r.Needs {
		if n.ID == id {
			g += n.MassG
		}
	}
	return g
}

// CompareNearOne puts the size nearer to as-written first.
func CompareNearOne(a, b float64) int {
	return cmp.Compare(math.Abs(math.Log(a)), math.Abs(math.Log(b)))
}

// Recipes are the kitchen's drinks that can be reckoned.
func (s *Kitchen) Recipes() ([]Makeable, error) {
	drinks, err := s.Store.Drinks()
	if err != nil {
		return nil, err
	}
	ways, err := s.Setup()
	if err != nil {
		return nil, err
	}
	var out []Makeable
	for _, d := range drinks {
		if r, ok := recipeOf(d, ways); ok {
			out = append(out, r)
		}
	}
	return out, nil
}

func recipeOf(d store.Drink, ways kitchen.Setup) (Makeable, bool) {
	drink, _, err := d.Draft.Drink(d.Name, ways)
	if err != nil {
		return Makeable{}, false
	}
	r, err := drink.Reckon()
	if err != nil || r.Drink == nil {
		return Makeable{}, false
	}
	out := Makeable{Drink: d, DrinkML: r.Drink.VolumeML}
	for n, l := range r.Lines {
		i := drink.Lines[n].Ingredient
		if i == nil || l.Err != nil || i.Has(ingredient.TagWater) || i.Has(ingredient.TagIce) {
			continue
		}
		minor := i.Role == ingredient.Spice || i.Role == ingredient.Salt || i.Role == ingredient.Flavour || i.Role == ingredient.Other
		out.Needs = append(out.Needs, plan.Need{ID: i.ID, MassG: l.MassG, Minor: minor})
	}
	return out, len(out.Needs) > 0
}
