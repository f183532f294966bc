package recipe

import (
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/say"
)

// Grams is the mass of the line as written, in g, with a note where something
// had to be taken for it. The error names the field "amount".
func (l Line) Grams(system quantity.System) (g float64, note say.Text, err error) {
	for _, t := range l.Amount.Terms() {
		termG, termNote, err := l.termGrams(t, system)
		if err != nil {
			return 0, say.Text{}, err
		}
		g += termG
		if !termNote.IsZero() {
			note = termNote
		}
	}
	if g > MaxScaleG {
		return 0, say.Text{}, fault.New("amount", l.Amount.String(), "mass-over-limit")
	}
	if l.Amount.IsRange() {
		note = say.Of("middle-of-range")
	}
	return g, note, nil
}

// termGrams is what one term weighs, g, with a note where a size had to be taken as usual.
// The error names the amount.
func (l Line) termGrams(t quantity.Term, system quantity.System) (float64, say.Text, error) {
	if t.Unit.Dimension() != quantity.Count {
		if t.Unit == quantity.OwnMeasure {
			return l.measureGrams(t.Size(system), quantity.Millilitre, system)
		}
		return l.measureGrams(t.Middle(), t.Unit, system)
	}
	if t.HasPack() {
		each, note, err := l.measureGrams(t.Pack.Value, t.Pack.Unit, system)
		return t.Middle() * each, note, err
	}
	each, ok := l.pieceGrams(t.Unit)
	if !ok {
		return 0, say.Text{}, fault.New("amount", l.Amount.String(),
			"piece-weight-unknown", t.Unit, l.Ingredient.Name)
	}
	return t.Middle() * each, say.Of("piece-taken-as", t.Unit, each), nil
}

// pieceGrams is the mass of one counted unit; a named piece (stick, bean)
// falls back on the plain piece.
func (l Line) pieceGrams(u quantity.Unit) (float64, bool) {
	if g, ok := l.Ingredient.PieceG[u]; ok {
		return g, true
	}
	if u == quantity.Centimetre {
		g, ok := l.Ingredient.PieceG[quantity.Inch]
		return g / cmPerInch, ok
	}
	if !isOnePiece(u) {
		return 0, false
	}
	g, ok := l.Ingredient.PieceG[quantity.Piece]
	return g, ok
}

const cmPerInch = 2.54 // exact

// isOnePiece tells whether a counted unit may be no more than another word for a
// piece. A pack, a length and a thread are not.
func isOnePiece(u quantity.Unit) bool {
	switch u {
	case quantity.Inch, quantity.Strip, quantity.Strand, quantity.Slice:
		return false
	}
	return !u.IsContainer()
}

// measureGrams turns a mass or a volume into grams. An ounce of a fluid is a
// fluid ounce, of anything else a weight.
func (l Line) measureGrams(value float64, u quantity.Unit, system quantity.System) (float64, say.Text, error) {
	note := say.Text{}
	if u == quantity.Ounce {
		note = say.Of("ounces-taken-as-weight")
		if l.Ingredient.Has(ingredient.TagFluid) {
			u, note = quantity.FluidOunce, say.Of("ounces-taken-as-fluid-ounces")
		}
	}
	size := value * u.Size(system)
	if u.Dimension() == quantity.Mass {
		if l.SoakedCup && l.Ingredient.UptakeGPerG > 0 {
			size /= 1 + l.Ingredient.UptakeGPerG
			note = say.Of("weighed-soaked", l.Ingredient.UptakeGPerG)
		}
		return size, note, nil
	}
	if l.SoakedCup && l.Ingredient.Swelling > 0 {
		size /= l.Ingredient.Swelling
		note = say.Of("measured-soaked", l.Ingredient.Swelling)
	}
	if l.Form.Name != "" {
		note = say.Of("measured", l.Form.Name)
	}
	bulk := l.BulkGPerML()
	if bulk == 0 {
		return 0, say.Text{}, fault.New("amount", l.Amount.String(), "cup-weight-unknown", l.Ingredient.Name)
	}
	return size * bulk, note, nil
}

// BulkGPerML is how the line's ingredient lies in the cup.
func (l Line) BulkGPerML() float64 {
	if l.Form.BulkGPerML > 0 {
		return l.Form.BulkGPerML
	}
	return l.Ingredient.BulkGPerML
}

// Tolerance is how near a kitchen measure must come for this ingredient.
func (l Line) Tolerance() float64 {
	i := l.Ingredient
	if i.Role == ingredient.Salt || i.Role == ingredient.Sweetener || i.Has(ingredient.TagStrong) {
		return quantity.Tight
	}
	return quantity.Loose
}

// Weigh is the mass of an amount of an ingredient, in g. The error, a
// *fault.Error, names "amount".
func Weigh(i *ingredient.Ingredient, a quantity.Amount, system quantity.System) (float64, error) {
	g, _, err := Line{Amount: a, Ingredient: i, Name: i.Name}.Grams(system)
	return g, err
}
