// Package reckon turns a recipe into what comes out of it in a kitchen: milk and pulp,
// sweetness, fat, servings, nutrition, cost, and how long it keeps.
//
// A [Drink] is a [recipe.Recipe] in its [Kitchen]. Amounts are never overwritten by a
// size: they are scaled from what was written, each time anew. [Drink.Reckon] weighs the
// lines, finds the growth that brings the drink to its size, takes them through their
// process and reads every figure from what comes out. A line that is wrong is left out
// and says why; the rest is reckoned all the same.
//
// Sizing a cooked drink is a small problem of its own: a larger batch loses relatively
// less water in the pan, so that the grinding water is found anew until the drink is as
// strong as it was written.
//
// A [Batch] is the step between: the lines at their size with the [process.Made] that
// became of them. The packages beside this one work on it: solve runs the figures the
// other way, serve looks at the drink in the cup, plan at the work. Every figure shows its
// [Working]: what each line brought, where it came to be, the numbers that say so.
package reckon

import (
	"plushladle/core/caution"
	"plushladle/core/keep"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// Drink is a recipe in the kitchen it is made in.
type Drink struct {
	recipe.Recipe // what is made
	Kitchen       // where it is made
}

// Kitchen is what the figures of a recipe hang on besides the recipe itself: where it is
// kept, what it is measured and paid with, and who drinks it.
type Kitchen struct {
	School   keep.School       // of keeping
	FridgeC  float64           // °C it is kept at
	JugML    float64           // what one load may reach; 0 for DefaultJugML
	Drawer   *quantity.Drawer  // the kitchen's own measures; nil for all there are
	Prices   Prices            // nil where none are known
	Drinkers []caution.Drinker // whom it is for
	Soured   float64           // share of its life after which it soured here before; 0 where it did not
}

// DefaultFridgeC is a fridge's temperature until the kitchen says its own.
const DefaultFridgeC = 4

// New is a drink with no lines and the usual ways of working.
func New(name string) Drink {
	return Drink{Recipe: recipe.Recipe{Name: name}, Kitchen: Kitchen{School: keep.Cautious, FridgeC: DefaultFridgeC}}
}
