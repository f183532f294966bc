package keep

import (
	"slices"
	"sort"
	"time"
)

// Reading is the fridge's temperature from a moment on, until the next.
type Reading struct {
	At    time.Time
	TempC float64
}

// Record is what a fridge's thermometer saw, and what the fridge is set to.
type Record struct {
	Readings []Reading // the earliest first
	SetC     float64
	Nonsense int // readings left out: no fridge is that cold or warm
}

// What a reading has to lie between to be one of a fridge, °C, and after how
// long without one the record has a gap (from memory).
const (
	coldestC = -15.
	warmestC = 45.
	gapAfter = 30 * time.Minute
)

// IsOfAFridge tells whether a temperature is one that a fridge can have.
func IsOfAFridge(tempC float64) bool { return tempC >= coldestC && tempC <= warmestC }

// NewRecord sorts readings and leaves out nonsense.
func NewRecord(readings []Reading, setC float64) Record {
	r := Record{SetC: setC}
	for _, reading := range readings {
		if !IsOfAFridge(reading.TempC) {
			r.Nonsense++
			continue
		}
		r.Readings = append(r.Readings, reading)
	}
	slices.SortStableFunc(r.Readings, func(a, b Reading) int { return a.At.Compare(b.At) })
	return r
}

// piece is a stretch at one temperature.
type piece struct {
	from, to time.Time
	tempC    float64
	gap      bool // nothing was read
}

// pieces walks the record from one moment to another. Before the first
// reading it is as set. In a gap the cautious school holds the last reading,
// the customary takes what is set.
func (r Record) pieces(from, to time.Time, s School, each func(piece)) {
	n := sort.Search(len(r.Readings), func(i int) bool { return r.Readings[i].At.After(from) }) - 1
	for at := from; at.Before(to); n++ {
		until := to
		if n+1 < len(r.Readings) && r.Readings[n+1].At.Before(to) {
			until = r.Readings[n+1].At
		}
		if !until.After(at) {
			continue
		}
		if n < 0 {
			each(piece{at, until, r.SetC, false})
		} else {
			r.held(n, at, until, s, each)
		}
		at = until
	}
}

// held is what a reading stands for until the next.
func (r Record) held(n int, from, until time.Time, s School, each func(piece)) {
	reading := r.Readings[n]
	known := reading.At.Add(gapAfter)
	if !until.After(known) {
		each(piece{from, until, reading.TempC, false})
		return
	}
	if from.Before(known) {
		each(piece{from, known, reading.TempC, false})
		from = known
	}
	tempC := r.SetC
	if s == Cautious {
		tempC = reading.TempC
	}
	each(piece{from, until, tempC, true})
}

// LongestGap is the longest that nothing was read for up to a moment; 0 where
// there is no gap.
func (r Record) LongestGap(until time.Time) time.Duration {
	longest := time.Duration(0)
	for n, reading := range r.Readings {
		next := until
		if n+1 < len(r.Readings) {
			next = r.Readings[n+1].At
		}
		if gap := next.Sub(reading.At); gap > gapAfter {
			longest = max(longest, gap)
		}
	}
	return longest
}

// Spent is the life spent between two moments, in days at 4 °C: the integral
// of the relative rate.
func (r Record) Spent(from, to time.Time, s School) float64 {
	total := 0.
	r.pieces(from, to, s, func(p piece) { total += RelativeRate(p.tempC) * inDays(p.to.Sub(p.from)) })
	return total
}

// Spell is a stretch above a temperature.
type Spell struct {
	From, To time.Time
	MostC    float64
	Days     float64 // of life at 4 °C that it spent
	Gap      bool    // some of it was not read but held
}

// Lasted is how long it was.
func (s Spell) Lasted() time.Duration { return s.To.Sub(s.From) }

// Spells are the stretches above a temperature between two moments.
func (r Record) Spells(from, to time.Time, aboveC float64, s School) []Spell {
	var out []Spell
	open := false
	r.pieces(from, to, s, func(p piece) {
		if p.tempC <= aboveC {
			open = false
			return
		}
		if !open {
			out = append(out, Spell{From: p.from})
			open = true
		}
		last := &out[len(out)-1]
		last.To, last.MostC = p.to, max(last.MostC, p.tempC)
		last.Days += RelativeRate(p.tempC) * inDays(p.to.Sub(p.from))
		last.Gap = last.Gap || p.gap
	})
	return out
}
