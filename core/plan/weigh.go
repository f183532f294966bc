package plan

import (
	"math"
	"time"
)

// Band is from where to where an amount is near enough, in g.
type Band struct{ LowG, HighG float64 } // both ends are near enough

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
	Nothing Verdict = "nothing" // the scale is empty
	Under   Verdict = "under"   // more is needed
	Within  Verdict = "within"  // near enough
	Over    Verdict = "over"    // too much is in
)

// Judge tells how g stands to the band. What has no band is within as soon as
// there is any of it.
func (b Band) Judge(g float64) Verdict {
	switch {
	case g < minWeighedG:
		return Nothing
	case b == (Band{}):
		return Within
	case g < b.LowG-roundingG:
		return Under
	case g > b.HighG+roundingG:
		return Over
	}
	return Within
}

// TooFine tells whether an amount is finer than a scale can tell to the
// tolerance: what it may err by is more.
func TooFine(targetG, tolerance, resolutionG float64) bool {
	return resolutionG/2 > targetG*tolerance
}

const (
	minWeighedG = 0.005 // less than a pocket scale shows
	roundingG   = 1e-6  // so that an edge as it is shown is inside
)

// settles is how long a reading has to stand still before it is taken: long
// enough to see that the pour is over.
const settles = 1500 * time.Millisecond

// Weighing is one amount being weighed out. The zero Weighing of a Band is
// ready to be fed.
type Weighing struct {
	Band    Band      // what is near enough
	verdict Verdict   // of the last reading
	since   time.Time // the verdict has stood since then; zero while it moves
}

// Feed takes a reading, and tells whether the amount can be taken down as what
// it is: steady, and inside its band or over it, for long enough. What was left
// open has no band and is never taken by itself.
func (w *Weighing) Feed(g float64, steady bool, at time.Time) (Verdict, bool) {
	verdict := w.Band.Judge(g)
	settling := steady && w.Band != (Band{}) && (verdict == Within || verdict == Over)
	switch {
	case !settling:
		w.since = time.Time{}
	case w.since.IsZero() || verdict != w.verdict:
		w.since = at
	}
	w.verdict = verdict
	return verdict, settling && at.Sub(w.since) >= settles
}

// Settled tells whether nothing more is to be done about an amount: it is
// near enough, or the cook took it as it is.
func Settled(v Verdict, taken bool) bool { return v == Within || taken && v != Nothing }
