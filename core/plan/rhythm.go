package plan

import (
	"math"
	"slices"
	"time"
)

// Week marks days of the week, Sunday first as in time.Weekday.
type Week [7]bool

// Keeping is how a drink is drunk while it is its turn, and how long it keeps.
type Keeping struct {
	PerDayML    float64 // drunk, mL a day
	LifeDays    int     // good days in the fridge, the day it is made being day 1
	FreezerDays int     // that its quality holds frozen
}

// Drinking is what is drunk, one drink after the other, and the days the cook
// is willing to make any of them.
type Drinking struct {
	Drinks  []Keeping // in the order they take turns; one where there is no turn to take
	Willing Week      // the days there is time for it
	Turn    int       // whose turn it is next
	From    int       // the day of the week from which on that is
}

// Making is a batch.
type Making struct {
	Week      int     // of the round, the first being 0
	Day       int     // of the week, Sunday 0
	Drink     int     // whose turn it is
	LastsDays int     // until the next
	BatchML   float64 // made at once, mL
	FreezeML  float64 // of it, at once, for the days the fridge does not reach
}

// Rhythm is a round of making with nothing past its date: the weeks until
// every drink comes on the same day again.
type Rhythm struct {
	Makings     []Making // within Weeks, in order
	Weeks       int      // after which it begins anew
	FreezeShare float64  // of all that is made
}

// thawedGoodDays is how long a thawed bottle is good, at most.
const thawedGoodDays = 2

// Propose is the round with the fewest batches and the least to freeze, weighed
// against each other, then the most even; false where no day is willing,
// nothing is drunk, or nothing keeps. All sets of days are looked at, with each
// drink beginning: there are 127 sets.
func (d Drinking) Propose() (Rhythm, bool) {
	if !d.isSomething() {
		return Rhythm{}, false
	}
	best, found := Rhythm{}, false
	for set := 1; set < 1<<7; set++ {
		for begins := range d.Drinks {
			r, ok := d.round(set, begins)
			if ok && (!found || d.prefers(r, best)) {
				best, found = r, true
			}
		}
	}
	return best, found
}

// isSomething: a rhythm needs drinks that are drunk and keep a day at least.
func (d Drinking) isSomething() bool {
	for _, k := range d.Drinks {
		if !(k.PerDayML > 0) || k.LifeDays < 1 {
			return false
		}
	}
	return len(d.Drinks) > 0
}

// round is the rhythm of a set of days, a bit each, with one drink beginning.
func (d Drinking) round(set, begins int) (Rhythm, bool) {
	var days []int
	for day := range 7 {
		if set&(1<<day) == 0 {
			continue
		}
		if !d.Willing[day] {
			return Rhythm{}, false
		}
		days = append(days, day)
	}
	r := Rhythm{Weeks: len(d.Drinks) / commonDivisor(len(d.Drinks), len(days))}
	frozen, all := 0., 0.
	for n := range r.Weeks * len(days) {
		drink, day := (begins+n)%len(d.Drinks), days[n%len(days)]
		k := d.Drinks[drink]
		m := Making{Week: n / len(days), Day: day, Drink: drink, LastsDays: daysToNext(set, day)}
		m.BatchML = float64(m.LastsDays) * k.PerDayML
		if over := m.LastsDays - k.LifeDays; over > 0 {
			if m.LastsDays > k.FreezerDays {
				return r, false
			}
			m.FreezeML = float64(over) * k.PerDayML
		}
		frozen, all = frozen+m.FreezeML, all+m.BatchML
		r.Makings = append(r.Makings, m)
	}
	r.FreezeShare = frozen / all
	return r, true
}

// commonDivisor is Euclid's.
func commonDivisor(a, b int) int {
	for b != 0 {
		a, b = b, a%b
	}
	return a
}

// daysToNext is how many days from a day of the week to the next in the set, bit 0 for
// Sunday; 7 where the set has no other.
func daysToNext(set, day int) int {
	for n := 1; n < 7; n++ {
		if set&(1<<((day+n)%7)) != 0 {
			return n
		}
	}
	return 7
}

// freezingBothers is how many more batches a week are worth having nothing to
// freeze: frozen milk parts and is best in cooking (a judgement, no source).
const freezingBothers = 5.

// bother is what a rhythm costs in trouble: makings a week, and freezing on top.
func (r Rhythm) bother() float64 {
	return float64(len(r.Makings))/float64(r.Weeks) + freezingBothers*r.FreezeShare
}

// prefers less bother, then even gaps, then the round in which the one whose
// turn it is comes next.
func (d Drinking) prefers(r, o Rhythm) bool {
	switch {
	case math.Abs(r.bother()-o.bother()) > 1e-9:
		return r.bother() < o.bother()
	case r.longest() != o.longest():
		return r.longest() < o.longest()
	}
	return d.isTurn(r) && !d.isTurn(o)
}

// isTurn tells whether the next making may be that of the one whose turn it is.
func (d Drinking) isTurn(r Rhythm) bool {
	next := 7
	for _, m := range r.Makings {
		next = min(next, (m.Day-d.From+7)%7)
	}
	for _, m := range r.Makings {
		if (m.Day-d.From+7)%7 == next && m.Drink == d.Turn {
			return true
		}
	}
	return false
}

// longest is how many days the oldest bottle gets.
func (r Rhythm) longest() int {
	most := 0
	for _, m := range r.Makings {
		most = max(most, m.LastsDays)
	}
	return most
}

// BottleOfFrozenML is how large frozen bottles are best: what is drunk while a
// thawed one is good, which is never longer than it was before.
func (k Keeping) BottleOfFrozenML() float64 {
	return k.PerDayML * float64(min(thawedGoodDays, k.LifeDays))
}

// Habit is how a drink is made now: so much, every so many days.
type Habit struct{ BatchML, EveryDays float64 } // what the record shows was done

// OnceAWeek is the habit of a whole week's at once.
func (k Keeping) OnceAWeek() Habit { return Habit{7 * k.PerDayML, 7} }

// Waste is what a habit leaves in a week.
type Waste struct {
	ML      float64 // past its date
	DryDays float64 // on which there is none
}

// Wastes is what a habit wastes in a week where nothing is frozen and the
// oldest is drunk first: of each batch, what is not drunk before its last good
// day or before the next one is there.
func (k Keeping) Wastes(h Habit) Waste {
	if !(h.EveryDays > 0) {
		return Waste{}
	}
	good := math.Min(h.EveryDays, float64(k.LifeDays))
	drunk := math.Min(h.BatchML, k.PerDayML*good)
	perWeek := 7 / h.EveryDays
	return Waste{ML: (h.BatchML - drunk) * perWeek, DryDays: (h.EveryDays - drunk/k.PerDayML) * perWeek}
}

// Lot is what is there of a drink: for how many days it would do, and its last
// good day, today being 0.
type Lot struct {
	Days float64 // it would do for, at what is drunk
	Last int     // good day, today being 0
}

// farthestDay is how far ahead it is looked.
const farthestDay = 365

// Lasts is for how many days lots do where each day the one that spoils first
// is drunk first, and what of each passes its date before its turn comes.
func Lasts(lots []Lot) (days float64, passed []float64) {
	left := make([]float64, len(lots))
	turn := make([]int, len(lots))
	for n, l := range lots {
		left[n], turn[n] = max(0, l.Days), n
	}
	slices.SortStableFunc(turn, func(a, b int) int { return lots[a].Last - lots[b].Last })
	for day := range farthestDay {
		thirst := 1.
		for _, n := range turn {
			if lots[n].Last >= day {
				take := min(thirst, left[n])
				left[n], thirst = left[n]-take, thirst-take
			}
		}
		days += 1 - thirst
		if thirst > 1e-9 {
			break
		}
	}
	return days, left
}

// Known is what an amount drunk in a day is known from.
type Known string

// The sources, the surest first.
const (
	FromPours    Known = "pours"    // of two weeks
	FromDrinkers Known = "drinkers" // who drinks here, until pours tell
	FromAServing Known = "serving"  // a serving a day, until either tells
	AsSaid       Known = "said"     // by the cook
)

// LearnFrom is how long there have to be pours before they tell what is drunk.
const LearnFrom = 14 * 24 * time.Hour

// PouredSince is what was poured of a drink since a first pour.
type PouredSince struct {
	First time.Time // zero where nothing was
	ML    float64   // since First
}

// PerDayML is what is drunk of a drink in a day: what the pours of two weeks tell, or
// else the drinkers' servings, or else one serving.
func PerDayML(poured PouredSince, servingsDay, servingML float64, now time.Time) (float64, Known) {
	switch {
	case !poured.First.IsZero() && now.Sub(poured.First) >= LearnFrom && poured.ML > 0:
		return poured.ML / (LearnFrom.Hours() / 24), FromPours
	case servingsDay > 0:
		return servingsDay * servingML, FromDrinkers
	}
	return servingML, FromAServing
}

// HabitFrom is how far back batches tell a habit, and habitBatches how many it takes
// (a judgement, no source).
const (
	HabitFrom    = 8 * 7 * 24 * time.Hour // no habit is read from less than eight weeks
	habitBatches = 3                      // nor from fewer batches
)

// MadeOnce is a batch that was made.
type MadeOnce struct {
	On time.Time // the day it was made
	ML float64   // how much
}

// HabitOf is how a drink is made as its batches tell, the first of them first; ok is
// false of too few.
func HabitOf(made []MadeOnce) (h Habit, ok bool) {
	if len(made) < habitBatches {
		return Habit{}, false
	}
	ml := 0.
	for _, m := range made {
		ml += m.ML
	}
	last := len(made) - 1
	apartDays := made[last].On.Sub(made[0].On).Hours() / 24 / float64(last)
	return Habit{BatchML: ml / float64(len(made)), EveryDays: apartDays}, apartDays > 0
}

// readyHour is when a making day's drink is to be ready.
const readyHour = 18

// NextFrom is the first evening from which on the next is to be made: not before what
// is there runs out, less a day, nor within the hour.
func NextFrom(lastsDays float64, now time.Time) time.Time {
	from := now.Add(time.Duration(max(0, lastsDays-1) * 24 * float64(time.Hour)))
	y, m, d := from.Date()
	at := time.Date(y, m, d, readyHour, 0, 0, 0, now.Location())
	if !at.After(now.Add(time.Hour)) {
		at = at.AddDate(0, 0, 1)
	}
	return at
}

// LongestAgo is the drink that was not made for longest, by the days they were made
// last; of equals the first.
func LongestAgo(lastMade []string) int {
	turn := 0
	for n, day := range lastMade {
		if day < lastMade[turn] {
			turn = n
		}
	}
	return turn
}

// Next is the first making from a moment on, and when it is ready. Of the drinks that
// may be made then, it is the turn of the one that was not made for longest. ok is
// false of a round without makings.
func (r Rhythm) Next(from time.Time, lastMade []string) (next Making, at time.Time, ok bool) {
	for day := range len(Week{}) {
		at = from.AddDate(0, 0, day)
		for _, making := range r.Makings {
			if int(at.Weekday()) == making.Day && (!ok || lastMade[making.Drink] < lastMade[next.Drink]) {
				next, ok = making, true
			}
		}
		if ok {
			return next, at, true
		}
	}
	return Making{}, time.Time{}, false
}
