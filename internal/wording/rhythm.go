package wording

import (
	"fmt"
	"math"
	"strconv"

	"plushladle/core/plan"
)

// Volume writes 733 mL, and 1.5 L from a litre on.
func Volume(ml float64) string {
	if ml < 1000 {
		return fmt.Sprintf("%.0f mL", ml)
	}
	return strconv.FormatFloat(math.Round(ml/10)/100, 'f', -1, 64) + " L"
}

// Days counts days.
func Days(n int) string {
	if n == 1 {
		return "a day"
	}
	return fmt.Sprintf("%d days", n)
}

// KnownFrom says what an amount drunk in a day is known from.
func KnownFrom(k plan.Known) string {
	return map[plan.Known]string{
		plan.FromPours: "from two weeks of pouring", plan.FromDrinkers: "from your drinkers, until there are two weeks of pouring",
		plan.FromAServing: "one serving a day, until you say otherwise or there are two weeks of pouring", plan.AsSaid: "as you set it",
	}[k]
}

// Habit says how a drink is made now; batches is how many tell so, 0 where none do.
func Habit(h plan.Habit, batches int) string {
	if batches == 0 {
		return "One batch a week, none of it frozen,"
	}
	return fmt.Sprintf("The way you make it now (%s about every %s, from your last %d batches, none of it frozen)", Volume(h.BatchML), Days(int(math.Round(h.EveryDays))), batches)
}
