package formula

import (
	"plushladle/core/ingredient"
)

// The voids of a bed of nuts or grains, as a share of its bulk, and the little
// more that covers it (common practice).
const (
	bedVoids    = 0.4
	coverByMore = 1.1
)

// settle works out the amounts that follow from the other lines: as much as
// covers the base, and the rest of an ingredient to a total.
func settle(lines []weighed) {
	baseML := 0.
	for _, w := range lines {
		if w.line.Ingredient.Role == ingredient.Base {
			baseML += w.ml()
		}
	}
	for n := range lines {
		w := &lines[n]
		switch {
		case w.line.Amount.IsToCover():
			w.g = baseML * bedVoids * coverByMore * w.line.Ingredient.BulkGPerML
		case w.line.Amount.IsToTotal():
			w.g -= otherwise(lines, n)
		}
	}
}

// otherwise is how much of a line's ingredient the other lines bring, in g.
func otherwise(lines []weighed, n int) float64 {
	g := 0.
	for m, other := range lines {
		if m != n && other.line.Ingredient == lines[n].line.Ingredient && !other.line.Amount.IsToTotal() {
			g += other.g
		}
	}
	return g
}

// ml is the room the line takes in the measure; 0 where it is not known.
func (w weighed) ml() float64 {
	if bulk := w.line.BulkGPerML(); bulk > 0 {
		return w.g / bulk
	}
	return 0
}
