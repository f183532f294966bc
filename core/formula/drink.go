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
	"fmt"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
)

// Line is one ingredient of a drink.
type Line struct {
	Key        string // the caller's own; it stays with the line while the core changes it
	Amount     quantity.Amount
	Ingredient *ingredient.Ingredient // nil where the name was not understood
	Name       string                 // as the cook wrote it
	Stage      ingredient.Stage       // "" for the ingredient's own
	Form       ingredient.Form        // how it comes, where that measures otherwise
	Treatment  ingredient.Treatment   // roasted, salted, skinned
	Note       string                 // what the cook wrote besides: "soaked overnight"
	Unsoaked   bool                   // goes in dry although its kind is usually soaked
	SoakedCup  bool                   // the volume was measured after soaking
	Locked     bool                   // stays as it is when the drink is scaled
	Added      bool                   // by the core, where no line could give what was asked
}

// SizeBy says what a batch is sized by.
type SizeBy string

// The ways to size a batch.
const (
	AsWritten  SizeBy = ""
	ByTimes    SizeBy = "times"    // a factor on the amounts as written
	ByVolume   SizeBy = "volume"   // mL of finished drink
	ByServings SizeBy = "servings" // a number of servings
	ByBase     SizeBy = "base"     // g of dry base on hand
	ByBottles  SizeBy = "bottles"  // bottles to fill, of EachML
	ByDays     SizeBy = "days"     // days of drinking, PerDay cups of EachML
)

// Size is how much is to be made.
type Size struct {
	By     SizeBy
	Value  float64
	EachML float64 // a bottle, or a cup (0 for a serving)
	PerDay float64 // cups
}

// SpiceSchool says how strong spices grow with a batch.
type SpiceSchool string

// The spice schools. The zero school is linear.
const (
	Linear SpiceSchool = "linear"
	Eased  SpiceSchool = "eased"
)

// Drink is a formula with the way it is made. Amounts are as written in the
// stored version; Size scales them from there, never from an earlier scaling.
type Drink struct {
	Name      string
	Lines     []Line
	System    quantity.System
	Method    process.Method
	Kind      Kind             // AsGuessed where the cook has not said
	Changes   []process.Change // what the cook does otherwise, step by step
	Size      Size
	ServingML float64 // 0 for the usual serving of the kind of drink
	School    keep.School
	Spices    SpiceSchool
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

// Limits on what is reckoned, so that nothing a person types runs away.
const (
	MaxLines    = 300
	maxScaleG   = 1e6 // grams of anything in one batch
	maxServings = 1e5
)

// sizeLimits are the accepted values of each way to size a batch.
var sizeLimits = map[SizeBy]struct {
	min, max float64
	accepts  string
}{
	ByTimes:    {0.01, 1000, "use a factor from 0.01 to 1000"},
	ByVolume:   {1, maxScaleG, "use a volume from 1 mL to 1000 L"},
	ByServings: {0.1, maxServings, "use 0.1 to 100,000 servings"},
	ByBase:     {0.1, maxScaleG, "use a mass of base from 0.1 g to 1000 kg"},
	ByBottles:  {0.1, 1000, "use up to 1000 bottles"},
	ByDays:     {0.1, 400, "use up to 400 days"},
}

// Check tells whether the size is one that can be made. The error names
// "size.by" or "size.value".
func (s Size) Check() error {
	if s.By == AsWritten {
		return nil
	}
	limit, known := sizeLimits[s.By]
	if !known {
		return fault.New("size.by", string(s.By), "is not a way to size a batch", "use times, volume, servings, base, bottles or days")
	}
	if !(s.Value >= limit.min && s.Value <= limit.max) {
		return fault.New("size.value", fmt.Sprint(s.Value), "is out of range", limit.accepts)
	}
	if s.By == ByBottles && !(s.EachML >= 1 && s.EachML <= maxScaleG) {
		return fault.New("size.eachML", fmt.Sprint(s.EachML), "is not a bottle", "use a bottle from 1 mL to 1000 L")
	}
	if s.By == ByDays && !(s.EachML >= 0 && s.EachML <= maxScaleG && s.PerDay > 0 && s.PerDay <= 1000) {
		return fault.New("size.perDay", fmt.Sprint(s.PerDay), "is not what is drunk in a day", "use above 0, up to 1000 cups a day")
	}
	return nil
}

// stage is when the line goes in.
func (l Line) stage() ingredient.Stage {
	if l.Stage != "" {
		return l.Stage
	}
	return l.Ingredient.Stage
}
