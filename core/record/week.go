package record

import (
	"cmp"
	"slices"
)

// WeekDrink is what became of one drink in a week.
type WeekDrink struct {
	Drink     int64
	Name      string
	MadeML    float64
	DrunkML   float64
	ThrownML  float64
	DrunkCost float64 // what was drunk cost to make; 0 where it is not known
	DrunkShop float64 // what the like costs in a shop; 0 where it is not known
	ThrownFor float64 // what was thrown away cost to make
	Stars     float64 // the mean of the week's tastings; 0 without any
	Tasted    int
}

// Saved is what the week's drinking cost less than the shop's, with what was thrown away paid for.
// ok is false where one of the prices is not known.
func (w WeekDrink) Saved() (money float64, ok bool) {
	if w.DrunkCost == 0 || w.DrunkShop == 0 {
		return -w.ThrownFor, false
	}
	return w.DrunkShop - w.DrunkCost - w.ThrownFor, true
}

// Week is what a week came to.
type Week struct {
	Drinks                    []WeekDrink // what was drunk most first
	MadeML, DrunkML, ThrownML float64
	Saved                     float64 // of the drinks whose prices are known
	Unpriced                  int     // drinks that were drunk without them
	Stars                     float64
	Tasted                    int
}

// WeekOf adds a week up.
func WeekOf(drinks []WeekDrink) Week {
	out := Week{Drinks: slices.Clone(drinks)}
	slices.SortStableFunc(out.Drinks, func(a, b WeekDrink) int {
		return cmp.Or(cmp.Compare(b.DrunkML, a.DrunkML), cmp.Compare(b.MadeML, a.MadeML), cmp.Compare(a.Name, b.Name))
	})
	stars := 0.
	for _, d := range out.Drinks {
		out.MadeML, out.DrunkML, out.ThrownML = out.MadeML+d.MadeML, out.DrunkML+d.DrunkML, out.ThrownML+d.ThrownML
		stars += d.Stars * float64(d.Tasted)
		out.Tasted += d.Tasted
		saved, known := d.Saved()
		if known {
			out.Saved += saved
		} else if d.DrunkML > 0 {
			out.Unpriced++
		}
	}
	if out.Tasted > 0 {
		out.Stars = stars / float64(out.Tasted)
	}
	return out
}
