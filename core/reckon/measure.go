package reckon

import (
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// The voids of a bed of nuts or grains, as a share of its bulk, and the little
// more that covers it (common practice).
const (
	bedVoids    = 0.4 // of its bulk
	coverByMore = 1.1 // times the voids
)

// settle works out the amounts that follow from the other lines: as much as
// covers the base, and the rest of an ingredient to a total.
func settle(lines []Weighed) {
	baseML := 0.
	for _, w := range lines {
		if w.Line.Ingredient.Role == ingredient.Base {
			baseML += w.VolumeML()
		}
	}
	for n := range lines {
		w := &lines[n]
		switch {
		case w.Line.Amount.IsToCover():
			w.MassG = baseML * bedVoids * coverByMore * w.Line.Ingredient.BulkGPerML
		case w.Line.Amount.IsToTotal():
			w.MassG -= otherwise(lines, n)
		}
	}
}

// otherwise is how much of a line's ingredient the other lines bring, in g.
func otherwise(lines []Weighed, n int) float64 {
	g := 0.
	for m, other := range lines {
		if m != n && other.Line.Ingredient.Is(lines[n].Line.Ingredient) && !other.Line.Amount.IsToTotal() {
			g += other.MassG
		}
	}
	return g
}

// ml is the room the line takes in the measure; 0 where it is not known.
func (w Weighed) VolumeML() float64 {
	if bulk := w.Line.BulkGPerML(); bulk > 0 {
		return w.MassG / bulk
	}
	return 0
}

// MeasureOf writes a mass as the measure it is where one holds it exactly,
// as a count where it is whole, in grams otherwise.
func (d *Drink) MeasureOf(l recipe.Line, g float64) quantity.Amount {
	if each, ok := l.Ingredient.PieceG[quantity.Piece]; ok && l.Amount.IsCount() && isWhole(g/each) {
		return quantity.Of(FourFigures(g/each), quantity.Piece)
	}
	if a, ok := d.Spooned(&l, g); ok && !l.Amount.IsMetric() {
		return a
	}
	return quantity.Of(FourFigures(g), quantity.Gram)
}

// FourFigures rounds so that the arithmetic's dust does not show.
func FourFigures(v float64) float64 {
	if v == 0 {
		return 0
	}
	digits := math.Pow(10, 3-math.Floor(math.Log10(math.Abs(v))))
	return math.Round(v*digits) / digits
}

const (
	SameAmount  = 5e-4 // how near a measure must come to stand for a solved amount, as a share of it
	fewMeasures = 3    // scoops an amount is written in; more are weighed
)

// Spooned writes a mass as the measures that hold it: of the drawer where the
// kitchen has one, of all there are otherwise.
func (d *Drink) Spooned(l *recipe.Line, g float64) (quantity.Amount, bool) {
	bulk := l.BulkGPerML()
	if bulk <= 0 || g <= 0 {
		return quantity.Amount{}, false
	}
	if d.Drawer != nil {
		scoop, ok := d.Drawer.Scoop(g/bulk, SameAmount)
		return scoop.Amount(), ok && !scoop.Half && scoop.Scoops <= fewMeasures
	}
	a, _ := quantity.Kitchen(g/bulk, d.System, SameAmount)
	return a, isSpoonable(a)
}

func isSpoonable(a quantity.Amount) bool { return !a.IsMetric() && !a.IsCount() }

// isWhole tells wholes and halves, which a cook counts, from other numbers.
func isWhole(v float64) bool {
	halves := v * 2
	return halves > 0.99 && halves-float64(int(halves+0.5)) < 1e-6 && float64(int(halves+0.5))-halves < 1e-6
}
