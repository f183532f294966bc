package recipe

import (
	"fmt"

	"plushladle/core/fault"
)

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

// Limits on what is reckoned, so that nothing a person types runs away.
const (
	MaxLines    = 300
	MaxScaleG   = 1e6 // grams of anything in one batch
	maxServings = 1e5
)

// sizeLimits are the accepted values of each way to size a batch.
var sizeLimits = map[SizeBy]struct {
	min, max float64
	accepts  string
}{
	ByTimes:    {0.01, 1000, "use a factor from 0.01 to 1000"},
	ByVolume:   {1, MaxScaleG, "use a volume from 1 mL to 1000 L"},
	ByServings: {0.1, maxServings, "use 0.1 to 100,000 servings"},
	ByBase:     {0.1, MaxScaleG, "use a mass of base from 0.1 g to 1000 kg"},
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
	if s.By == ByBottles && !(s.EachML >= 1 && s.EachML <= MaxScaleG) {
		return fault.New("size.eachML", fmt.Sprint(s.EachML), "is not a bottle", "use a bottle from 1 mL to 1000 L")
	}
	if s.By == ByDays && !(s.EachML >= 0 && s.EachML <= MaxScaleG && s.PerDay > 0 && s.PerDay <= 1000) {
		return fault.New("size.perDay", fmt.Sprint(s.PerDay), "is not what is drunk in a day", "use above 0, up to 1000 cups a day")
	}
	return nil
}
