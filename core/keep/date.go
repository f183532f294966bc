package keep

import (
	"fmt"
	"time"
)

// UseBy is the last good day of a drink made on the given day that keeps the
// given days, the day made being day 1.
func UseBy(madeOn time.Time, days float64) time.Time {
	return madeOn.AddDate(0, 0, LastDayOffset(days))
}

// Standing is how a bottle stands on a given day.
type Standing string

// The standings, from good to past.
const (
	Fine    Standing = "fine"
	Soon    Standing = "soon" // tomorrow is its last day
	LastDay Standing = "last day"
	Past    Standing = "past"
)

// On tells how something last good on useBy stands on today, and how many
// days are left: 0 on its last day, negative once it is past.
func On(today, useBy time.Time) (Standing, int) {
	const day = 24 * time.Hour
	left := int(date(useBy).Sub(date(today)) / day)
	switch {
	case left < 0:
		return Past, left
	case left == 0:
		return LastDay, left
	case left == 1:
		return Soon, left
	}
	return Fine, left
}

// date is the calendar day of t, at midnight UTC so that no clock change
// makes a day longer or shorter.
func date(t time.Time) time.Time {
	y, m, d := t.Date()
	return time.Date(y, m, d, 0, 0, 0, 0, time.UTC)
}

// LifeShare is how much of a bottle's days, today included, is left: 1 on the
// day it is made, 0 once it is past.
func LifeShare(madeOn, useBy, today time.Time) float64 {
	_, all := On(madeOn, useBy)
	_, left := On(today, useBy)
	if all < 0 || left < 0 {
		return 0
	}
	return min(1, float64(left+1)/float64(all+1))
}

// weeksFrom is from how many days on a time left is told in weeks.
const weeksFrom = 21

// InWords says how many days are left.
func InWords(daysLeft int) string {
	switch {
	case daysLeft == -1:
		return "past since yesterday"
	case daysLeft < 0:
		return fmt.Sprintf("past for %d days", -daysLeft)
	case daysLeft == 0:
		return "last day"
	case daysLeft == 1:
		return "1 day"
	case daysLeft >= weeksFrom:
		return fmt.Sprintf("%d weeks", daysLeft/7)
	}
	return fmt.Sprintf("%d days", daysLeft)
}

// Other is the school that s is not.
func (s School) Other() School {
	if s == Customary {
		return Cautious
	}
	return Customary
}
