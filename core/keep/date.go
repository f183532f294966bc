package keep

import (
	"time"
)

// Moment is when a life that begins at start ends: by the clock, but that the
// seven days of the yardstick count the first as one (FDA Food Code 3-501.17).
func (l Life) Moment(start time.Time, s School) time.Time {
	until := start.Add(time.Duration(l.Days(s) * float64(24*time.Hour)))
	if l.Steady {
		return until
	}
	return earlier(until, lastMidnight(start))
}

// lastMidnight is the end of the seventh day, the day of start being the first.
func lastMidnight(start time.Time) time.Time {
	y, m, d := start.Date()
	return time.Date(y, m, d+yardstickDays, 0, 0, 0, 0, start.Location())
}

// LastWholeDay is the last day that is good to its end, for what is dated by
// days alone; the day of the moment where that is the same as start's.
func LastWholeDay(start, useBy time.Time) time.Time {
	day := useBy.Add(-time.Nanosecond)
	if y, m, d := useBy.Date(); !time.Date(y, m, d, 0, 0, 0, 0, useBy.Location()).Equal(useBy) {
		day = useBy.AddDate(0, 0, -1)
	}
	if date(day).Before(date(start)) {
		return start
	}
	return day
}

// FrozenUntil is the last day of a frozen drink's quality, the day it is frozen
// being the first.
func FrozenUntil(frozenOn time.Time, days int) time.Time { return frozenOn.AddDate(0, 0, days-1) }

// earlier is the first of two moments.
func earlier(a, b time.Time) time.Time {
	if a.Before(b) {
		return a
	}
	return b
}

// At tells how something good until a moment stands now, and how many days are
// left: 0 on the day it ends, negative once it is past.
func At(now, useBy time.Time) (Standing, int) {
	standing, left := On(now, useBy.Add(-time.Nanosecond))
	if !now.Before(useBy) {
		return Past, min(left, -1)
	}
	return standing, left
}

// Standing is how a bottle stands on a given day.
type Standing string

// The standings, from good to past.
const (
	Fine    Standing = "fine"     // days are left
	Soon    Standing = "soon"     // tomorrow is its last day
	LastDay Standing = "last day" // it must go today
	Past    Standing = "past"     // it is over
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

// LifeShare is how much of the time from start to useBy is left: 1 at first, 0
// once it is past.
func LifeShare(start, useBy, now time.Time) float64 {
	all, left := useBy.Sub(start), useBy.Sub(now)
	if all <= 0 || left <= 0 {
		return 0
	}
	return min(1, left.Seconds()/all.Seconds())
}

// Other is the school that s is not.
func (s School) Other() School {
	if s == Customary {
		return Cautious
	}
	return Customary
}
