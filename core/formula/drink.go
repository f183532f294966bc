// Package formula turns the lines of a drink into what comes out: milk and pulp,
// sweetness, fat, servings, nutrition, how long it keeps.
//
// # Reckoning
//
// A [Drink] is its lines as they were written, the size that is wanted, and how it is
// made. Amounts are never overwritten by a size: they are scaled from what was written,
// each time anew. [Drink.Reckon] weighs the lines, finds the growth that brings the drink
// to its size, takes them through their process and reads every figure from what comes
// out. A line that is wrong is left out and says why; the rest is reckoned all the same.
//
// # Solving
//
// The dials run the other way. [Drink.Turn] asks for a sweetness, a fat, a strength, and
// finds the amounts of the lines that give: the figures are close to linear in the
// amounts, so that a few steps of Newton's method, each with a full reckoning, bring them
// to a thousandth. Dials that were not asked to move are held; what cannot be reached is
// said with the nearest that can.
//
// Sizing a cooked drink is the same kind of problem: a larger batch loses relatively less
// water in the pan, so that the grinding water is solved anew until the drink is as
// strong as it was written.
//
// # What else is asked of it
//
// A swap keeps what the swapped line was there for (sweetness, fat, weight, use) and says
// first what it changes besides. A trial cup is scaled to the batch. A split divides one
// base into drinks that are finished each in its own way. What was left open is worked
// back from the milk and the pulp that were weighed. And every figure shows its working:
// what each line brought, where it came to be, the numbers that say so.
package formula

import (
	"plushladle/core/caution"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// Drink is a formula with the way it is made. Amounts are as written in the
// stored version; Size scales them from there, never from an earlier scaling.
type Drink struct {
	Name      string
	Lines     []recipe.Line
	System    quantity.System
	Method    process.Method
	Kind      recipe.Kind      // AsGuessed where the cook has not said
	Changes   []process.Change // what the cook does otherwise, step by step
	Size      recipe.Size
	ServingML float64 // 0 for the usual serving of the kind of drink
	School    keep.School
	Spices    recipe.SpiceSchool
	FridgeC   float64
	JugML     float64          // what one load may reach; 0 for DefaultJugML
	Drawer    *quantity.Drawer // the kitchen's own measures; nil for all there are
	Prices    Prices           // nil where none are known
	Drinkers  []caution.Drinker
	RawLimitC float64   // the cook's own limit of a drink marked raw; 0 where it is not marked
	Portions  []Portion // what the finished base is divided into; none where it stays one
}

// DefaultFridgeC is a fridge's temperature until the kitchen says its own.
const DefaultFridgeC = 4

// New is a drink with no lines and the usual ways of working.
func New(name string) Drink {
	return Drink{
		Name:    name,
		School:  keep.Cautious,
		FridgeC: DefaultFridgeC,
	}
}
