package wording

import (
	"fmt"
	"math"
	"strconv"
	"strings"
	"time"

	"plushladle/core/plan"
)

// Volume writes 733 mL, and 1.5 L from a litre on.
func Volume(ml float64) string {
	if ml < 1000 {
		return inUnits(fmt.Sprintf("%.0f mL", ml))
	}
	return inUnits(decimal(strconv.FormatFloat(math.Round(ml/10)/100, 'f', -1, 64)) + " L")
}

// Days counts days.
func Days(n int) string {
	if n == 1 {
		return phrase("a-day")
	}
	return phrase("days-left", n)
}

// KnownFrom says what an amount drunk in a day is known from.
func KnownFrom(k plan.Known) string { return phrase("known-from-" + string(k)) }

// Habit says how a drink is made now; batches is how many tell so, 0 where none do.
func Habit(h plan.Habit, batches int) string {
	if batches == 0 {
		return phrase("habit-unknown")
	}
	return phrase("habit", Volume(h.BatchML), Days(int(math.Round(h.EveryDays))), batches)
}

// Makings is when batches of how much are made, and for how long each lasts.
func Makings(makings []plan.Making) string {
	said := make([]string, len(makings))
	for n, m := range makings {
		said[n] = phrase("making", Weekday(time.Weekday(m.Day)), Volume(m.BatchML), Days(m.LastsDays))
	}
	return phrase("make-it-on", strings.Join(said, phrase("making-joint")))
}

// Weekday is a day of the week.
func Weekday(d time.Weekday) string { return short(phrase("weekdays-whole"), int(d)) }
