package recipe

import (
	"plushladle/core/process"
	"plushladle/core/quantity"
)

// Recipe is a drink as it is written down, and how it is made. Amounts are as written
// in the stored version; Size scales them from there, never from an earlier scaling.
type Recipe struct {
	Name      string           // as the cook calls it
	Lines     []Line           // in the order written
	System    quantity.System  // what its cups and spoons hold
	Method    process.Method   // how it is made
	Kind      Kind             // AsGuessed where the cook has not said
	Changes   []process.Change // what the cook does otherwise, step by step
	Size      Size             // what it is made up to
	ServingML float64          // 0 for the usual serving of the kind of drink
	Spices    SpiceSchool      // whether spices grow with the batch
	RawLimitC float64          // the cook's own limit of a drink marked raw; 0 where it is not marked
	Portions  []Portion        // what the finished base is divided into; none where it stays one
}

// Portion is a share of a base that is finished in its own way.
type Portion struct {
	Name  string  // of those the base is divided among
	ML    float64 // of the base; 0 for an equal share of what is left
	Lines []Line  // what joins it
}
