// Package recipe is what a cook writes down: lines, a size, what kind of drink it is. It
// reads them, and knows what each line weighs. It knows nothing of what comes of it, of
// prices, of who drinks it or of the fridge.
package recipe

import (
	"math"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/quantity"
)

// Line is one ingredient of a drink.
type Line struct {
	Key        string                 // the caller's own; it stays with the line while the core changes it
	Amount     quantity.Amount        // as written; never changed by reckoning
	Ingredient *ingredient.Ingredient // nil where the name was not understood
	Name       string                 // as the cook wrote it
	Stage      ingredient.Stage       // "" for the ingredient's own
	Form       ingredient.Form        // how it comes, where that measures otherwise
	Treatment  ingredient.Treatment   // roasted, salted, skinned
	Note       string                 // what the cook wrote besides: "soaked overnight"
	Unsoaked   bool                   // goes in dry although its kind is usually soaked
	SoakedCup  bool                   // the volume was measured after soaking
	Locked     bool                   // stays as it is when the drink is scaled
	Kept       bool                   // as a note: it names nothing, and no figure lacks it
	Added      bool                   // by the core, where no line could give what was asked
}

// When is when the line goes in.
func (l Line) When() ingredient.Stage {
	if l.Stage != "" {
		return l.Stage
	}
	return l.Ingredient.Stage
}

// IsForSoaking tells whether a liquid is only soaked in: it is poured away.
// What is written behind "plus" is soaked in besides.
func (l *Line) IsForSoaking(words string) bool {
	words, _, _ = strings.Cut(words, "plus")
	return l.Stage != ingredient.Soak && (strings.Contains(words, "for soaking") || strings.Contains(words, "to soak"))
}

// easedFrom is the growth up to which an eased spice still grows in step, and
// easedPower how it grows beyond (common practice).
const (
	easedFrom  = 2   // times: from here on spices grow slower than the rest
	easedPower = 0.8 // common practice, no source
)

// SecondGrind are the words for liquid the pulp is ground with once more.
const SecondGrind = "second grind"

// GrindsAgain tells whether the pulp is ground once more with the line, rather
// than only rinsed through with it.
func (l Line) GrindsAgain() bool {
	return strings.Contains(strings.ToLower(l.Name+" "+l.Note), SecondGrind)
}

// Growth is the factor on a line when the whole drink grows by factor.
func (l Line) Growth(factor float64, spices SpiceSchool) float64 {
	if l.Locked {
		return 1
	}
	if spices == Eased && factor > easedFrom && l.Ingredient != nil && l.Ingredient.Has(ingredient.TagStrong) {
		return easedFrom * math.Pow(factor/easedFrom, easedPower)
	}
	return factor
}
