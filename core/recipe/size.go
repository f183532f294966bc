package recipe

import (
	"fmt"

	"plushladle/core/fault"
)

// SizeBy says what a batch is sized by.
type SizeBy string

// The ways to size a batch.
const (
	AsWritten  SizeBy = ""         // no size was asked for
	ByTimes    SizeBy = "times"    // a factor on the amounts as written
	ByVolume   SizeBy = "volume"   // mL of finished drink
	ByServings SizeBy = "servings" // a number of servings
	ByBase     SizeBy = "base"     // g of dry base on hand
	ByBottles  SizeBy = "bottles"  // bottles to fill, of EachML
	ByDays     SizeBy = "days"     // days of drinking, PerDay cups of EachML
)

// Size is how much is to be made.
type Size struct {
	By     SizeBy  // by what it is sized
	Value  float64 // mL, servings or times, by By
	EachML float64 // a bottle, or a cup (0 for a serving)
	PerDay float64 // cups
}

// SpiceSchool says how strong spices grow with a batch.
type SpiceSchool string

// The spice schools. The zero school is linear.
const (
	Linear SpiceSchool = "linear" // twice the batch, twice the spice
	Eased  SpiceSchool = "eased"  // twice the batch, less than twice the spice
)

// Limits on what is reckoned, so that nothing a person types runs away.
const (
	MaxLines    = 300 // in one recipe
	MaxScaleG   = 1e6 // grams of anything in one batch
	maxServings = 1e5 // of one batch; beyond it there is a slip
)

// sizeLimits are the accepted values of each way to size a batch.
var sizeLimits = map[SizeBy]struct {
	min, max float64
	code     string // of the fault beyond them
}{
	ByTimes:    {0.01, 1000, "times-out-of-range"},
	ByVolume:   {1, MaxScaleG, "litres-out-of-range"},
	ByServings: {0.1, maxServings, "servings-to-make-out-of-range"},
	ByBase:     {0.1, MaxScaleG, "base-out-of-range"},
	ByBottles:  {0.1, 1000, "bottles-out-of-range"},
	ByDays:     {0.1, 400, "days-out-of-range"},
}

// Check tells whether the size is one that can be made. The error names
// "size.by" or "size.value".
func (s Size) Check() error {
	if s.By == AsWritten {
		return nil
	}
	limit, known := sizeLimits[s.By]
	if !known {
		return fault.New("size.by", string(s.By), "unknown-size")
	}
	if !(s.Value >= limit.min && s.Value <= limit.max) {
		return fault.New("size.value", fmt.Sprint(s.Value), limit.code)
	}
	if s.By == ByBottles && !(s.EachML >= 1 && s.EachML <= MaxScaleG) {
		return fault.New("size.eachML", fmt.Sprint(s.EachML), "bottle-out-of-range")
	}
	if s.By == ByDays && !(s.EachML >= 0 && s.EachML <= MaxScaleG && s.PerDay > 0 && s.PerDay <= 1000) {
		return fault.New("size.perDay", fmt.Sprint(s.PerDay), "cups-a-day-out-of-range")
	}
	return nil
}
