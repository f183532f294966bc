package keep

import (
	"math"
	"slices"
	"time"
)

// A drink follows the air around it as Newton has it: the difference falls to a
// third in lagPerML for each millilitre. A door that stands open warms the air
// at once and the bottle slowly, and a bottle put back cools slowly too.
const (
	lagPerML    = 45 * time.Minute / 500 // from memory
	joinsWithin = 60 * time.Minute       // runs with a shorter gap are one
	countsFrom  = 30 * time.Minute       // and from this long on they add up over a life
	freezerC    = -18.                   // °C, the freezer's
)

// air is a stretch of one temperature around a bottle.
type air struct {
	from, to time.Time // one stretch of air
	tempC    float64   // °C
	gap      bool      // nothing was read in it
}

// warmSpells are the runs of the drink's own temperature above a limit, over
// all its stays, whose moves do not end them.
func (a *account) warmSpells(aboveC float64) []Spell {
	lag := max(time.Minute, time.Duration(a.VolumeML)*lagPerML)
	var out []Spell
	tempC := math.Min(a.r.SetC, aboveC)
	for _, span := range a.warmSpans(aboveC, lag) {
		if !span.joins {
			tempC = math.Min(span.tempC, aboveC)
		}
		tempC = span.follow(tempC, aboveC, lag, func(s Spell) { out = joined(out, s) })
	}
	return out
}

// span is air that is looked at, and whether what was before it is too.
type span struct {
	air        // the air it covers
	joins bool // it goes on from the one before without a gap
}

// warmSpans are the stretches that a warm drink may come of: those of air above
// the limit, and what follows until it must have cooled.
func (a *account) warmSpans(aboveC float64, lag time.Duration) []span {
	var out []span
	until := time.Time{}
	skipped := true
	each := func(p air) {
		skipped = skipped || p.from.After(until)
		out = append(out, span{p, !skipped})
		skipped, until = false, p.to
	}
	for n, stay := range a.Stays {
		ends := a.now
		if n+1 < len(a.Stays) {
			ends = earlier(a.Stays[n+1].From, a.now)
		}
		if ends.After(stay.From) {
			a.airOf(stay, ends, aboveC, lag, each)
		}
	}
	return out
}

// airOf goes through the air of a stay; of a fridge's record, only where it may
// matter.
func (a *account) airOf(stay Stay, until time.Time, aboveC float64, lag time.Duration, each func(air)) {
	switch stay.Place {
	case Outside:
		each(air{stay.From, until, a.roomC, false})
	case InFreezer:
		each(air{stay.From, until, freezerC, false})
	default:
		for _, part := range a.r.around(stay.From, until, aboveC, a.school, 6*lag) {
			a.r.pieces(part.From, part.To, a.school, func(p piece) { each(air(p)) })
		}
	}
}

// around are the stretches of a record from its start, and around its warm
// readings, that a bottle of so slow a lag may be warm in, from so long before
// that it had the temperature of the air.
func (r Record) around(from, to time.Time, aboveC float64, s School, after time.Duration) []Span {
	first := Span{from, earlier(to, from.Add(after))} // it may have come in warm
	out := []Span{first}
	for _, warm := range r.Spells(from, to, aboveC, s) {
		last := &out[len(out)-1]
		until, begin := earlier(to, warm.To.Add(after)), warm.From.Add(-after)
		if begin.After(last.To) {
			out = append(out, Span{begin, until})
			continue
		}
		if until.After(last.To) {
			last.To = until
		}
	}
	return out
}

// Span is a stretch of time.
type Span struct{ From, To time.Time } // half open: To does not belong to it

// follow is the drink's temperature at the end of a span, with the run above
// the limit within it told.
func (s span) follow(tempC, aboveC float64, lag time.Duration, tell func(Spell)) float64 {
	lasted := s.to.Sub(s.from)
	endC := s.tempC + (tempC-s.tempC)*math.Exp(-lasted.Seconds()/lag.Seconds())
	if tempC <= aboveC && endC <= aboveC {
		return endC
	}
	from, to := s.from, s.to
	if (tempC > aboveC) != (endC > aboveC) { // it crosses the limit on the way
		crosses := s.from.Add(time.Duration(-math.Log((aboveC-s.tempC)/(tempC-s.tempC)) * float64(lag)))
		if tempC > aboveC {
			to = crosses
		} else {
			from = crosses
		}
	}
	spent := RelativeRate((tempC+endC)/2) * inDays(to.Sub(from))
	tell(Spell{From: from, To: to, MostC: math.Max(tempC, endC), Days: spent, Gap: s.gap})
	return endC
}

// joined adds a run to those before it, as one with the last where the gap
// between them is short.
func joined(runs []Spell, next Spell) []Spell {
	if len(runs) == 0 || next.From.Sub(runs[len(runs)-1].To) >= joinsWithin {
		return append(runs, next)
	}
	last := &runs[len(runs)-1]
	last.To, last.MostC = next.To, math.Max(last.MostC, next.MostC)
	last.Days += next.Days
	last.Gap = last.Gap || next.Gap
	return runs
}

// tooWarm tells whether one run, or those that count together, were too long,
// and from when on.
func tooWarm(runs []Spell) (from time.Time, tooLong bool) {
	total := time.Duration(0)
	for _, r := range runs {
		if r.Lasted() > spellMost {
			return r.From, true
		}
		if r.Lasted() >= countsFrom {
			total += r.Lasted()
		}
	}
	if total <= spellMost {
		return time.Time{}, false
	}
	counts := slices.IndexFunc(runs, func(r Spell) bool { return r.Lasted() >= countsFrom })
	return runs[counts].From, true
}
