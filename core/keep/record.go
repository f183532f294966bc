package keep

import (
	"slices"
	"sort"
	"time"
)

// Reading is the fridge's temperature from a moment on, until the next.
type Reading struct {
	At    time.Time // the thermometer's own clock
	TempC float64   // °C
}

// Record is what a fridge's thermometer saw, and what the fridge is set to.
type Record struct {
	Readings []Reading          // the earliest first
	SetC     float64            // what the fridge is set to, where nothing was measured
	Nonsense int                // readings left out: no fridge is that cold or warm
	known    map[School]summary // sums that are asked for again, by school
}

// summary is what a record comes to by a school, so that a bottle's life along
// it does not have to go through every minute of it.
type summary struct {
	spent []float64 // days of life at 4 °C from the first reading up to each
	warm  []run     // readings that a spell may be made of
}

// run is a stretch of readings one after the other, from the first up to and
// without the last.
type run struct{ first, last int } // places in Readings, both counted in

// What a reading has to lie between to be one of a fridge, °C, and after how
// long without one the record has a gap (from memory).
const (
	coldestC = -15.             // °C; colder is a freezer, or a broken probe
	warmestC = 45.              // °C; warmer is no fridge
	gapAfter = 30 * time.Minute // longer than that without a reading is not known
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
	r.known = map[School]summary{Cautious: r.summed(Cautious), Customary: r.summed(Customary)}
	return r
}

// summed goes through the record once.
func (r Record) summed(s School) summary {
	out := summary{spent: make([]float64, len(r.Readings))}
	for n := range r.Readings {
		last := n == len(r.Readings)-1
		warm := last // what the last one stands for is not known yet
		if !last {
			out.spent[n+1] = out.spent[n]
			r.held(n, r.Readings[n].At, r.Readings[n+1].At, s, func(p piece) {
				out.spent[n+1] += p.spent()
				warm = warm || p.tempC > WarmFridgeC
			})
		}
		switch runs := len(out.warm); {
		case !warm:
		case runs > 0 && out.warm[runs-1].last == n:
			out.warm[runs-1].last = n + 1
		default:
			out.warm = append(out.warm, run{n, n + 1})
		}
	}
	return out
}

// piece is a stretch at one temperature.
type piece struct {
	from, to time.Time // a stretch at one temperature
	tempC    float64   // °C
	gap      bool      // nothing was read
}

// spent is the life spent in it, in days at 4 °C.
func (p piece) spent() float64 { return RelativeRate(p.tempC) * inDays(p.to.Sub(p.from)) }

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
	first := sort.Search(len(r.Readings), func(n int) bool { return !r.Readings[n].At.Before(from) })
	last := sort.Search(len(r.Readings), func(n int) bool { return r.Readings[n].At.After(to) }) - 1
	sums, ok := r.known[s]
	if !ok || first >= last {
		return r.walked(from, to, s)
	}
	between := sums.spent[last] - sums.spent[first]
	return r.walked(from, r.Readings[first].At, s) + between + r.walked(r.Readings[last].At, to, s)
}

// walked is the life spent, piece by piece.
func (r Record) walked(from, to time.Time, s School) float64 {
	total := 0.
	r.pieces(from, to, s, func(p piece) { total += p.spent() })
	return total
}

// Spell is a stretch above a temperature.
type Spell struct {
	From, To time.Time // when the air first was above the line, and when no more
	MostC    float64   // the warmest in between
	Days     float64   // of life at 4 °C that it spent
	Gap      bool      // some of it was not read but held
}

// Lasted is how long it was.
func (s Spell) Lasted() time.Duration { return s.To.Sub(s.From) }

// Spells are the stretches above a temperature between two moments.
func (r Record) Spells(from, to time.Time, aboveC float64, s School) []Spell {
	sums, ok := r.known[s]
	if !ok || aboveC < WarmFridgeC || r.SetC > WarmFridgeC {
		return r.spells(from, to, aboveC, s)
	}
	var out []Spell
	begin := sort.Search(len(sums.warm), func(n int) bool { return r.endOf(sums.warm[n], to).After(from) })
	for _, w := range sums.warm[begin:] {
		starts := r.Readings[w.first].At
		if !starts.Before(to) {
			break
		}
		if starts.Before(from) {
			starts = from
		}
		ends := r.endOf(w, to)
		if ends.After(to) {
			ends = to
		}
		out = append(out, r.spells(starts, ends, aboveC, s)...)
	}
	return out
}

// endOf is when a run ends; the last one has not ended yet.
func (r Record) endOf(w run, open time.Time) time.Time {
	if w.last < len(r.Readings) {
		return r.Readings[w.last].At
	}
	return open
}

// spells goes through every piece.
func (r Record) spells(from, to time.Time, aboveC float64, s School) []Spell {
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
		last.Days += p.spent()
		last.Gap = last.Gap || p.gap
	})
	return out
}
