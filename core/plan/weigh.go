package plan

import (
	"math"
	"time"
)

// Band is from where to where an amount is near enough, in g.
type Band struct{ LowG, HighG float64 }

// BandOf is the band about a target: as near as the line has to be measured,
// and never narrower than the scale reads.
func BandOf(targetG, tolerance, resolutionG float64) Band {
	slack := math.Max(targetG*tolerance, resolutionG)
	return Band{math.Max(0, targetG-slack), targetG + slack}
}

// Verdict is how an amount stands to its band.
type Verdict string

// The verdicts.
const (
	Nothing Verdict = "nothing"
	Under   Verdict = "under"
	Within  Verdict = "within"
	Over    Verdict = "over"
)

// Judge tells how g stands to the band. What has no band is within as soon as
// there is any of it.
func (b Band) Judge(g, resolutionG float64) Verdict {
	switch {
	case g < math.Max(resolutionG, minWeighedG) && b.LowG > 0:
		return Nothing
	case b == (Band{}):
		if g < math.Max(resolutionG, minWeighedG) {
			return Nothing
		}
		return Within
	case g < b.LowG-roundingG:
		return Under
	case g > b.HighG+roundingG:
		return Over
	}
	return Within
}

const (
	minWeighedG = 0.05 // less than any kitchen scale shows
	roundingG   = 1e-6 // so that an edge as it is shown is inside
)

// settles is how long a reading has to stand still inside its band before it
// is taken: long enough to see that the pour is over.
const settles = 1500 * time.Millisecond

// Weighing is one amount being weighed out. The zero Weighing of a Band is
// ready to be fed.
type Weighing struct {
	Band  Band
	since time.Time // it has stood still inside the band; zero while it has not
}

// Feed takes a reading, and tells whether the amount can be taken down: it has
// been steady inside its band long enough. What was left open has no band and
// is never taken by itself.
func (w *Weighing) Feed(g float64, steady bool, at time.Time) bool {
	if w.Band == (Band{}) || !steady || w.Band.Judge(g, 0) != Within {
		w.since = time.Time{}
		return false
	}
	if w.since.IsZero() {
		w.since = at
	}
	return at.Sub(w.since) >= settles
}
