// Package quantity reads, converts and writes the amounts a cook uses: masses in
// grams, volumes in millilitres and counted things, in the measure systems of the
// kitchen.
//
// # What an amount is
//
// An [Amount] is what stands in a recipe: one or several terms added together, each a
// number or a range of a unit, "1½ cups", "2 tbsp + 1 tsp", "3–4 pieces", "1 (14 oz)
// can". It keeps the style it was written in, so that a recipe in cups is scaled in
// cups and one in grams in grams. It knows nothing of what it is an amount of: a cup of
// almonds and a cup of water are the same amount, and only package ingredient can say
// what either weighs.
//
// A cup is not the same everywhere. Each [System] has its own cups, spoons, ounces and
// pints; an amount is turned into millilitres only when a system is given.
//
// # From an exact amount to what is measured
//
// Scaling gives numbers that no spoon holds. There are two ways back to the drawer.
// [Kitchen] takes every measure there is: what holds the amount exactly comes before
// what is near, one measure before two, and below a quarter teaspoon the nearest
// pinches, since nothing holds them better. [Drawer.Scoop] takes only the measures that
// this kitchen has, and finds the fewest scoops by looking through every choice: taking
// the largest first is not always fewest (5 tbsp and 1 tsp is one third of a cup).
//
// Either way the error is told as a share of the exact amount, and what errs by more
// than a hundredth is written "about". How near is near enough is the caller's to say:
// [Tight] for what is tasted most, [Loose] for the rest.
//
// # Pieces
//
// Counted things are whole or halves. What is left over goes by weight where halves do
// not come near: "1 piece + 4.8 g".
package quantity

import (
	"math"
	"strconv"
	"strings"
)

// Fill says how a measure is filled.
type Fill uint8

// How a measure is filled.
const (
	Level  Fill = iota // struck off with a knife
	Heaped             // with a hill on it
	Scant              // not quite full
)

// What a heaped and a scant measure hold of a level one, from memory.
var fillShare = [...]float64{Level: 1, Heaped: 1.75, Scant: 0.9}

var fillNames = [...]string{Heaped: "heaped", Scant: "scant"}

// Pack is what one of a counted thing holds, as in "1 (14 oz) can".
type Pack struct {
	Value float64 // of the unit
	Unit  Unit    // of what is in one pack
}

// Term is one number and its unit. Low and High differ for a range.
type Term struct {
	Low, High float64 // the same where no range was given
	Unit      Unit    // what it is counted in
	Fill      Fill    // how the spoon is filled; Level for anything else
	Pack      Pack    // the zero Pack when none is stated
	Own       Own     // the measure where Unit is OwnMeasure
}

// size is what one unit of the term holds, in g or mL; 0 for a count.
func (t Term) size(s System) float64 {
	if t.Unit == OwnMeasure {
		return t.Own.ML
	}
	return t.Unit.Size(s)
}

// Size is what the term holds, in g for a mass, mL for a volume, 0 for a count.
func (t Term) Size(s System) float64 { return t.Middle() * t.size(s) }

// Amount is an amount as people write it: one term or several added together.
// The zero Amount is open: no amount was given.
type Amount struct {
	terms []Term // added up: "1 cup + 2 tbsp" has two
	about bool   // "about" stood before it
	kind  kind   // whether it is an amount at all, or "to taste"
}

// kind tells an amount that is measured from one that follows from the rest.
type kind uint8

const (
	measured kind = iota // has terms
	toCover              // as much as covers the base
	toTotal              // the rest of the same ingredient, to the total that the terms give
)

// Of is the amount of value units.
func Of(value float64, u Unit) Amount {
	return Amount{terms: []Term{{Low: value, High: value, Unit: u}}}
}

// Sum is the amount of the terms together. The error, a *fault.Error for the field
// "amount", is for a term that no kitchen holds.
func Sum(about bool, terms ...Term) (Amount, error) {
	for _, t := range terms {
		if err := t.check(); err != nil {
			return Amount{}, err
		}
	}
	return Amount{terms: terms, about: about}, nil
}

// ToCover is as much as covers the base.
func ToCover() Amount { return Amount{kind: toCover} }

// ToTotal is the rest of an ingredient, to the total that a gives.
func (a Amount) ToTotal() Amount {
	a.kind = toTotal
	return a
}

// IsOpen tells whether no amount was given.
func (a Amount) IsOpen() bool { return len(a.terms) == 0 && a.kind == measured }

// IsToCover tells whether the amount is as much as covers the base.
func (a Amount) IsToCover() bool { return a.kind == toCover }

// IsToTotal tells whether the amount is the rest of an ingredient, the terms
// giving the total.
func (a Amount) IsToTotal() bool { return a.kind == toTotal }

// IsAbout tells whether the amount was marked as approximate.
func (a Amount) IsAbout() bool { return a.about }

// Terms are the parts of the amount. The slice is not to be changed.
func (a Amount) Terms() []Term { return a.terms }

// IsRange tells whether any part is a range; its middle is what counts.
func (a Amount) IsRange() bool {
	for _, t := range a.terms {
		if t.Low != t.High {
			return true
		}
	}
	return false
}

// Middle is the number of units the term stands for: the middle of a range,
// with heaped and scant measures counted as what they hold.
func (t Term) Middle() float64 {
	return (t.Low + t.High) / 2 * fillShare[t.Fill]
}

// HasPack tells whether the content of one piece is stated.
func (t Term) HasPack() bool { return t.Pack.Value > 0 }

// Volume is the amount in mL where every part of it is a volume.
func (a Amount) Volume(s System) (ml float64, ok bool) { return a.sum(Volume, s) }

// Mass is the amount in g where every part of it is a mass.
func (a Amount) Mass(s System) (g float64, ok bool) { return a.sum(Mass, s) }

// sum adds the terms that are of one dimension; false where one is not. A pack of a unit
// that cooks divide is taken as that unit: 2 × ¼ tsp is half a teaspoon.
func (a Amount) sum(d Dimension, s System) (total float64, ok bool) {
	for _, t := range a.terms {
		each := t.size(s)
		unit := t.Unit
		if t.HasPack() && units[t.Pack.Unit].fractions { // "2 x 1/4 tsp" is a volume, "2 x 400 ml" two packs
			unit, each = t.Pack.Unit, t.Pack.Value*t.Pack.Unit.Size(s)
		} else if t.HasPack() {
			return 0, false
		}
		if unit.Dimension() != d {
			return 0, false
		}
		total += t.Middle() * each
	}
	return total, len(a.terms) > 0
}

// IsMetric tells whether the amount is written in grams, millilitres and
// their multiples, and so is rescaled by number rather than by spoon.
func (a Amount) IsMetric() bool {
	for _, t := range a.terms {
		if units[t.Unit].fractions || t.Unit == FluidOunce || t.Unit == Ounce {
			return false
		}
	}
	return len(a.terms) > 0
}

// IsCount tells whether every part of the amount is a count of things.
func (a Amount) IsCount() bool {
	for _, t := range a.terms {
		if t.Unit.Dimension() != Count || (t.HasPack() && units[t.Pack.Unit].fractions) {
			return false
		}
	}
	return len(a.terms) > 0
}

// String writes the amount as the kitchen does: "1½ cups", "2 tbsp + 1 tsp",
// "3–4 pieces". Reading it again gives the same text.
func (a Amount) String() string {
	if a.IsOpen() {
		return ""
	}
	parts := make([]string, len(a.terms))
	for i, t := range a.terms {
		parts[i] = t.String()
	}
	text := strings.Join(parts, " + ")
	if a.about {
		text = "about " + text
	}
	switch a.kind {
	case toCover:
		return "to cover"
	case toTotal:
		return "to a total of " + text
	}
	return text
}

// String writes a term as a cook would: ranges with a dash, fractions as signs, packs by their size.
func (t Term) String() string {
	var b strings.Builder
	b.WriteString(formatValue(t.Low, t.Unit))
	if t.High != t.Low {
		b.WriteString("–" + formatValue(t.High, t.Unit))
	}
	if t.HasPack() && t.Unit == Piece {
		b.WriteString(" x " + formatValue(t.Pack.Value, t.Pack.Unit) + " " + unitText(t.Pack.Unit, t.Pack.Value))
		return b.String()
	}
	if t.Fill != Level {
		b.WriteString(" " + fillNames[t.Fill])
	}
	if t.HasPack() {
		b.WriteString(" (" + formatValue(t.Pack.Value, t.Pack.Unit) + " " + unitText(t.Pack.Unit, t.Pack.Value) + ")")
	}
	b.WriteString(" " + t.unitText())
	return b.String()
}

// unitText is the unit's word after this term's number; a measure of the cook's own gets an s.
func (t Term) unitText() string {
	switch {
	case t.Unit != OwnMeasure:
		return unitText(t.Unit, t.High)
	case asWritten(t.High) > 1:
		return t.Own.Name + "s"
	}
	return t.Own.Name
}

// unitText is the unit's word after a number: one of it or several.
func unitText(u Unit, value float64) string {
	if asWritten(value) > 1 {
		return units[u].plural
	}
	return units[u].singular
}

// vulgar are the fractions written with one character.
var vulgar = []struct {
	value float64
	rune  rune
}{
	{1. / 8, '⅛'}, {1. / 4, '¼'}, {1. / 3, '⅓'}, {3. / 8, '⅜'}, {1. / 2, '½'}, {5. / 8, '⅝'},
	{2. / 3, '⅔'}, {3. / 4, '¾'}, {7. / 8, '⅞'}, {1. / 6, '⅙'}, {5. / 6, '⅚'}, {1. / 5, '⅕'}, {2. / 5, '⅖'}, {3. / 5, '⅗'}, {4. / 5, '⅘'},
}

// sameFraction is how near a number must be to a fraction to be written as it.
const sameFraction = 1e-9

// formatValue writes a number in the style of its unit, to six figures.
func formatValue(value float64, u Unit) string {
	if units[u].fractions {
		for _, v := range []float64{value, asWritten(value)} { // read again, it is the second
			if text, ok := mixedNumber(v); ok {
				return text
			}
		}
	}
	return strconv.FormatFloat(asWritten(value), 'f', -1, 64)
}

// asWritten is a number to the six figures it is written with.
func asWritten(value float64) float64 {
	rounded, err := strconv.ParseFloat(strconv.FormatFloat(value, 'g', 6, 64), 64)
	if err != nil {
		return value
	}
	return rounded
}

// mixedNumber writes a number as a whole and a fraction of the spoons' kind, such as 1½;
// false where none is near enough.
func mixedNumber(value float64) (string, bool) {
	whole, rest := math.Modf(value)
	prefix := ""
	if whole > 0 {
		prefix = strconv.FormatFloat(whole, 'f', -1, 64)
	}
	if rest < sameFraction && whole > 0 {
		return prefix, true
	}
	for _, v := range vulgar {
		if math.Abs(rest-v.value) < sameFraction {
			return prefix + string(v.rune), true
		}
	}
	return "", false
}
