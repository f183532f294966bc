// Package record learns from what a kitchen made: how its own hands and tools differ from
// the defaults that the figures begin with.
//
// # What is learned
//
// The liquid that pulp keeps back, for a base in a strainer, as a share of the default: 1
// is as expected, 1.2 a gentler squeeze. [HeldShare] works it back from a batch whose yield
// was measured: it is the one share at which the process gives that yield.
//
// # How
//
// [Learn] is a mean weighted by precision, of logarithms, since twice as much and half as much
// are as far off. The default counts as one observation of 1 with a standard deviation of a
// quarter; every batch as one with a tenth, since a jug is read to a few per cent and no two
// squeezes are alike (common practice, no source). A batch that lies further off than both
// together explain is a slip sooner than news, and counts less the further off it is. So the
// first batches move the figure part of the way, five bring it home, and one slip among them
// hardly moves it.
package record

import (
	"math"
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/reckon"
)

const (
	recordSD = .10 // of a batch, as a share
	farSDs   = 2.  // combined standard deviations: beyond them a batch counts less
	rounds   = 30  // of weighing anew; it settles in a few
)

// Learned is a figure as the kitchen has it, as a share of the default.
type Learned struct {
	Share   float64 // 1 is the default
	SD      float64 // standard deviation of Share
	Batches int     // that it rests on; 0 for the default itself
}

// rangeSDs makes the range shown hold about seven batches in eight, of a normal distribution.
const rangeSDs = 1.5

// Spread is how far the next batch may lie from Share, either way: what is not known of the
// kitchen, and that no two squeezes are alike.
func (l Learned) Spread() float64 { return rangeSDs * math.Hypot(l.SD, recordSD*l.Share) }

// Default is what is known before anything was made.
func Default() Learned { return Learned{Share: 1, SD: process.HeldSpread} }

// Learn is what observed shares come to, together with the default.
func Learn(shares []float64) Learned {
	if len(shares) == 0 {
		return Default()
	}
	logs, weights := make([]float64, len(shares)), make([]float64, len(shares))
	for n, share := range shares {
		logs[n], weights[n] = math.Log(share), 1
	}
	mean, sd := weighed(logs, weights)
	if len(shares) > 2 { // from three on it can be told which of them is the odd one
		mean = median(logs)
	}
	for range rounds {
		for n, x := range logs {
			weights[n] = weightOf(x-mean, sd)
		}
		mean, sd = weighed(logs, weights)
	}
	share := math.Exp(mean)
	return Learned{Share: share, SD: share * sd, Batches: len(shares)}
}

// weightOf is how much a batch counts that lies so far off: all of it within what both
// explain, and beyond that by the square of how far (Huber's bound, falling, so that a batch
// off by two times moves the third by less than a twentieth).
func weightOf(off, sd float64) float64 {
	far := farSDs * math.Hypot(recordSD, sd)
	if math.Abs(off) <= far {
		return 1
	}
	return (far / off) * (far / off)
}

// weighed is the mean by precision of the default, whose logarithm is 0, and the logarithms
// of the shares, each by its weight, with its standard deviation.
func weighed(logs, weights []float64) (mean, sd float64) {
	precision, sum := 1/(process.HeldSpread*process.HeldSpread), 0.
	for n, x := range logs {
		p := weights[n] / (recordSD * recordSD)
		precision += p
		sum += p * x
	}
	return sum / precision, math.Sqrt(1 / precision)
}

func median(values []float64) float64 {
	sorted := slices.Sorted(slices.Values(values))
	middle := len(sorted) / 2
	if len(sorted)%2 == 1 {
		return sorted[middle]
	}
	return (sorted[middle-1] + sorted[middle]) / 2
}

// The shares that a measured yield is worked back to: beyond them there is a slip of the pen.
const (
	leastShare = .2
	mostShare  = 3.
	bisections = 40
)

// HeldShare is the share of the usual liquid that the pulp of a drink kept, where it came to
// measuredML; ok is false where nothing is strained, and where no share between a fifth and
// three times explains it. The drink is as it was really made.
func HeldShare(d *reckon.Drink, measuredML float64) (share float64, ok bool) {
	yield := func(share float64) (float64, bool) {
		try := *d
		try.Method.HeldShare = share
		r, err := try.Reckon()
		if err != nil || r.Drink == nil || r.Batch.Made.HeldG == 0 {
			return 0, false
		}
		return r.Drink.VolumeML, true
	}
	most, okMost := yield(leastShare)
	least, okLeast := yield(mostShare)
	if !okMost || !okLeast || measuredML > most || measuredML < least || most-least < 1 {
		return 0, false
	}
	low, high := leastShare, mostShare
	for range bisections {
		middle := (low + high) / 2
		ml, _ := yield(middle)
		if ml > measuredML {
			low = middle // more came out: less was kept
		} else {
			high = middle
		}
	}
	return (low + high) / 2, true
}

// Key is what a kitchen's held liquid is learned by: the base that most is in of, and the
// strainer. It is empty where there is none of either.
func Key(d *reckon.Drink) string {
	if d.Method.Strainer == process.None {
		return ""
	}
	base, most := "", 0.
	for _, l := range d.Lines {
		if l.Ingredient == nil || l.Kept || l.Ingredient.Role != ingredient.Base {
			continue
		}
		if g, _, err := l.Grams(d.System); err == nil && g > most {
			base, most = l.Ingredient.ID, g
		}
	}
	if base == "" {
		return ""
	}
	return base + "/" + d.Method.Strainer.String()
}
