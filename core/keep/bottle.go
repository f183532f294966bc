package keep

// Overfill is how much more than a batch its bottles may hold in all: what a jug's
// scale can be misread by (common practice).
const Overfill = 1.02

// Fills tells whether a batch fills bottles that hold so much in all.
func Fills(batchML, bottlesML float64) bool { return bottlesML <= batchML*Overfill }

// Leftover is what is left in a bottle.
type Leftover struct {
	Bottle, Drink    int64   // which they are
	InUse            bool    // it is being drunk from
	Frozen           bool    // it stands in the freezer, or has not thawed yet
	FilledML, LeftML float64 // what was filled, and what is left of it
	HoldsML          float64 // as much as goes into it
}

// Apart is why two leftovers are not poured together; Together where they are.
type Apart string

// The reasons.
const (
	Together    Apart = ""           // nothing keeps them apart
	NotTwo      Apart = "not-two"    // bottles in use
	TwoDrinks   Apart = "two-drinks" // pouring them together would lose both their stories
	IsFrozen    Apart = "frozen"     // frozen, or not thawed yet
	OneIsFull   Apart = "full"       // fresh milk poured onto old is as old as the old
	TooMuchByML Apart = "too-much"   // more than the vessel holds
)

// nothingML is less than can be told from nothing in a bottle.
const nothingML = 0.5

// Pour tells whether two leftovers may be poured together, and what holds them.
func (l Leftover) Pour(other Leftover) (largestML float64, why Apart) {
	largestML = max(l.HoldsML, other.HoldsML)
	switch {
	case l.Bottle == other.Bottle || !l.InUse || !other.InUse:
		return largestML, NotTwo
	case l.Drink != other.Drink:
		return largestML, TwoDrinks
	case l.Frozen || other.Frozen:
		return largestML, IsFrozen
	case l.LeftML >= l.FilledML || other.LeftML >= other.FilledML:
		return largestML, OneIsFull
	case l.LeftML+other.LeftML > largestML+nothingML:
		return largestML, TooMuchByML
	}
	return largestML, Together
}

// CanFreeze tells whether what stood in these places may be frozen: nothing is frozen
// twice.
func CanFreeze(places ...Place) bool {
	for _, p := range places {
		if p == InFreezer {
			return false
		}
	}
	return true
}

// How long pulp keeps, in days: by caution and by custom in the fridge, and frozen
// (common practice, no source).
const (
	pulpCautiousDays  = 2  // in the fridge
	pulpCustomaryDays = 3  // in the fridge
	pulpFrozenDays    = 60 // in the freezer, either school
)

// PulpDays is how many days pulp is good for, the day it is made or frozen being day 1.
func PulpDays(frozen bool, school School) int {
	switch {
	case frozen:
		return pulpFrozenDays
	case school == Customary:
		return pulpCustomaryDays
	}
	return pulpCautiousDays
}
