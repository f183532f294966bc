package kitchen

import (
	"slices"
	"strings"
)

// Uses tells whether some line is of an ingredient.
func (f Recipe) Uses(ingredient string) bool {
	return slices.ContainsFunc(f.Lines, func(l Line) bool { return strings.EqualFold(l.Ingredient, ingredient) })
}

// MeasuresWith tells whether some line is measured with a measure of the cook's
// own.
func (f Recipe) MeasuresWith(measure string) bool {
	return slices.ContainsFunc(f.Lines, func(l Line) bool {
		return slices.ContainsFunc(strings.Fields(strings.ToLower(l.Amount)), func(word string) bool {
			return word == measure || word == measure+"s"
		})
	})
}

// Renamed is the recipe with an ingredient under another name, and whether
// that changes it.
func (f Recipe) Renamed(from, to string) (Recipe, bool) {
	if from == "" || !f.Uses(from) {
		return f, false
	}
	f.Lines = slices.Clone(f.Lines)
	for n := range f.Lines {
		if strings.EqualFold(f.Lines[n].Ingredient, from) {
			f.Lines[n].Ingredient = to
		}
	}
	return f, true
}
