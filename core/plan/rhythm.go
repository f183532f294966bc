package plan

import "math"

// Week marks days of the week, Sunday first as in time.Weekday.
type Week [7]bool

// Drinking is how a drink is drunk, and how long it keeps.
type Drinking struct {
	PerDayML    float64
	LifeDays    int  // good days in the fridge, the day it is made being day 1
	FreezerDays int  // that its quality holds frozen
	Willing     Week // days the cook is willing to make it
}

// Making is a batch of the week.
type Making struct {
	Day       int // of the week, Sunday 0
	LastsDays int // until the next
	BatchML   float64
	FreezeML  float64 // of it, at once, for the days the fridge does not reach
}

// Rhythm is a week of making with nothing past its date.
type Rhythm struct {
	Makings      []Making
	FreezeShare  float64 // of all that is made
	OnceAWeekML  float64 // wasted in a week by one batch of it all, nothing frozen
	OnceAWeekPct float64
}

// thawedGoodDays is how long a thawed bottle is good, at most.
const thawedGoodDays = 2

// Propose is the week with the fewest batches and the least to freeze, weighed
// against each other, then the most even; false where no day is willing, nothing is drunk, or nothing
// keeps. All sets of days are looked at: there are 127.
func (d Drinking) Propose() (Rhythm, bool) {
	if !(d.PerDayML > 0) || d.LifeDays < 1 {
		return Rhythm{}, false
	}
	best, found := Rhythm{}, false
	for set := 1; set < 1<<7; set++ {
		r, ok := d.week(set)
		if ok && (!found || r.betterThan(best)) {
			best, found = r, true
		}
	}
	if !found {
		return Rhythm{}, false
	}
	best.OnceAWeekML = d.PerDayML * float64(max(0, 7-d.LifeDays))
	best.OnceAWeekPct = 100 * best.OnceAWeekML / (7 * d.PerDayML)
	return best, true
}

// week is the rhythm of a set of days, a bit each.
func (d Drinking) week(set int) (Rhythm, bool) {
	var r Rhythm
	frozen, all := 0., 0.
	for day := range 7 {
		if set&(1<<day) == 0 {
			continue
		}
		if !d.Willing[day] {
			return r, false
		}
		m := Making{Day: day, LastsDays: daysToNext(set, day)}
		m.BatchML = float64(m.LastsDays) * d.PerDayML
		if over := m.LastsDays - d.LifeDays; over > 0 {
			if m.LastsDays > d.FreezerDays {
				return r, false
			}
			m.FreezeML = float64(over) * d.PerDayML
		}
		frozen, all = frozen+m.FreezeML, all+m.BatchML
		r.Makings = append(r.Makings, m)
	}
	r.FreezeShare = frozen / all
	return r, true
}

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

func (r Rhythm) bother() float64 { return float64(len(r.Makings)) + freezingBothers*r.FreezeShare }

// betterThan prefers less bother, then even gaps.
func (r Rhythm) betterThan(o Rhythm) bool {
	if math.Abs(r.bother()-o.bother()) > 1e-9 {
		return r.bother() < o.bother()
	}
	return r.longest() < o.longest()
}

func (r Rhythm) longest() int {
	most := 0
	for _, m := range r.Makings {
		most = max(most, m.LastsDays)
	}
	return most
}

// BottleOfFrozenML is how large frozen bottles are best: what is drunk while a
// thawed one is good, which is never longer than it was before.
func (d Drinking) BottleOfFrozenML() float64 {
	return d.PerDayML * float64(min(thawedGoodDays, d.LifeDays))
}
