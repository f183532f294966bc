package recipe

import (
	"fmt"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// Grams is the mass of the line as written, in g, with a note where something
// had to be taken for it. The error names the field "amount".
func (l Line) Grams(system quantity.System) (g float64, note string, err error) {
	for _, t := range l.Amount.Terms() {
		termG, termNote, err := l.termGrams(t, system)
		if err != nil {
			return 0, "", err
		}
		g += termG
		if termNote != "" {
			note = termNote
		}
	}
	if g > MaxScaleG {
		return 0, "", fault.New("amount", l.Amount.String(), "is more than a kitchen holds", "use at most 1000 kg")
	}
	if l.Amount.IsRange() {
		note = "the middle of the range was taken"
	}
	return g, note, nil
}

func (l Line) termGrams(t quantity.Term, system quantity.System) (float64, string, error) {
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
		return 0, "", fault.New("amount", l.Amount.String(),
			fmt.Sprintf("cannot be weighed: what one %s of %s weighs is not known", t.Unit, l.Ingredient.Name),
			`give it in grams, cups or spoons, or state the pack: "1 (400 g) can"`)
	}
	return t.Middle() * each, fmt.Sprintf("one %s taken as %.3g g", t.Unit, each), nil
}

// pieceGrams is the mass of one counted unit; a named piece (stick, bean)
// falls back on the plain piece.
func (l Line) pieceGrams(u quantity.Unit) (float64, bool) {
	if g, ok := l.Ingredient.PieceG[u]; ok {
		return g, true
	}
	if u == quantity.Can || u == quantity.Carton || u == quantity.Inch {
		return 0, false
	}
	g, ok := l.Ingredient.PieceG[quantity.Piece]
	return g, ok
}

// measureGrams turns a mass or a volume into grams. An ounce of a fluid is a
// fluid ounce, of anything else a weight.
func (l Line) measureGrams(value float64, u quantity.Unit, system quantity.System) (float64, string, error) {
	note := ""
	if u == quantity.Ounce {
		note = "ounces taken as weight"
		if l.Ingredient.Has(ingredient.TagFluid) {
			u, note = quantity.FluidOunce, "ounces taken as fluid ounces"
		}
	}
	size := value * u.Size(system)
	if u.Dimension() == quantity.Mass {
		if l.SoakedCup && l.Ingredient.UptakeGPerG > 0 {
			size /= 1 + l.Ingredient.UptakeGPerG
			note = fmt.Sprintf("weighed soaked, with %.2g g of water a gram", l.Ingredient.UptakeGPerG)
		}
		return size, note, nil
	}
	if l.SoakedCup && l.Ingredient.Swelling > 0 {
		size /= l.Ingredient.Swelling
		note = fmt.Sprintf("measured soaked, %.2g times the dry volume", l.Ingredient.Swelling)
	}
	if l.Form.Name != "" {
		note = "measured " + l.Form.Name
	}
	bulk := l.BulkGPerML()
	if bulk == 0 {
		return 0, "", fault.New("amount", l.Amount.String(), "cannot be weighed: what a cup of "+l.Ingredient.Name+" weighs is not known", "give it in grams, or say in the Pantry what a cup weighs")
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
