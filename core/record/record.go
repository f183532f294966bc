// Package record learns from what a kitchen made: how its own hands and tools differ from
// the defaults that the figures begin with, what tasters make of a drink, what went wrong, and
// what is worth knowing of it all.
//
// # What is learned
//
// A figure as a share of its default, 1 being as expected: the liquid that pulp keeps back, for
// a base in a strainer; what grinding frees, for a base in a blender; the water a pan loses; the
// minutes a step takes; and the life of a drink that soured early. [Lessons] works the first
// three back from a batch that was measured: each is the one share at which the process gives
// what came out.
//
// # How
//
// [Learn] is a mean weighted by precision, of logarithms, since twice as much and half as much
// are as far off. The default counts as one observation of 1 with a standard deviation of a
// quarter; every batch as one with a tenth, since a jug is read to a few per cent and no two
// squeezes are alike (common practice, no source); steps, whose minutes nobody watches, as one
// with a quarter. A batch that lies further off than both together explain is a slip sooner
// than news, and counts less the further off it is. So the first batches move the figure part
// of the way, five bring it home, and one slip among them hardly moves it.
//
// # What tasters find
//
// [Propose] turns a [Tasting] into changes for the next version, each with the figure it moves;
// [Diagnose] ranks what may have caused what was noticed, by what really happened; [Jars] and
// [Open] are a blind tasting. [Insights] are what the batches tell all together.
package record

import (
	"math"
	"slices"

	"plushladle/core/process"
)

// What is a kind of figure that is learned.
type What string

// What is learned.
const (
	Held    What = "held"    // liquid that pulp keeps, by base and strainer
	Frees   What = "frees"   // what grinding frees, by base and blender
	Steam   What = "steam"   // water a pan loses, by its size and lid
	Minutes What = "minutes" // a step takes, by its kind
	Life    What = "life"    // of a drink, downwards only
)

// Whats are all of them, in the order they are told.
var Whats = []What{Held, Frees, Steam, Minutes, Life}

// Lesson is what one batch tells of one figure.
type Lesson struct {
	What  What
	Key   string  // of whom or what it is told: see the What
	Share float64 // of the default
}

const (
	batchSD  = .10 // of a batch, as a share
	stepSD   = .25 // of a step
	farSDs   = 2.  // combined standard deviations: beyond them a batch counts less
	rounds   = 30  // of weighing anew; it settles in a few
	rangeSDs = 1.5 // makes the range shown hold about seven batches in eight, of a normal distribution
)

// recordSD is how far a single record of a figure may lie off, as a share.
func (w What) recordSD() float64 {
	if w == Minutes {
		return stepSD
	}
	return batchSD
}

// Learned is a figure as the kitchen has it, as a share of the default.
type Learned struct {
	Share   float64 // 1 is the default
	SD      float64 // standard deviation of Share
	Batches int     // that it rests on; 0 for the default itself
	single  float64 // how far a single record lies off, as a share
}

// Spread is how far the next batch may lie from Share, either way: what is not known of the
// kitchen, and that no two squeezes are alike.
func (l Learned) Spread() float64 { return rangeSDs * math.Hypot(l.SD, l.single*l.Share) }

// Default is what is known before anything was made.
func Default() Learned { return Learned{Share: 1, SD: process.HeldSpread} }

// Learn is what observed shares come to, together with the default. Life only falls.
func Learn(what What, shares []float64) Learned {
	if len(shares) == 0 {
		return Default()
	}
	single := what.recordSD()
	logs, weights := make([]float64, len(shares)), make([]float64, len(shares))
	for n, share := range shares {
		logs[n], weights[n] = math.Log(share), 1
	}
	mean, sd := weighed(logs, weights, single)
	if len(shares) > 2 { // from three on it can be told which of them is the odd one
		mean = median(logs)
	}
	for range rounds {
		for n, x := range logs {
			weights[n] = weightOf(x-mean, sd, single)
		}
		mean, sd = weighed(logs, weights, single)
	}
	share := math.Exp(mean)
	if what == Life {
		share = math.Min(1, share)
	}
	return Learned{Share: share, SD: share * sd, Batches: len(shares), single: single}
}

// weightOf is how much a batch counts that lies so far off: all of it within what both
// explain, and beyond that by the square of how far (Huber's bound, falling, so that a batch
// off by two times moves the third by less than a twentieth).
func weightOf(off, sd, single float64) float64 {
	far := farSDs * math.Hypot(single, sd)
	if math.Abs(off) <= far {
		return 1
	}
	return (far / off) * (far / off)
}

// weighed is the mean by precision of the default, whose logarithm is 0, and the logarithms
// of the shares, each by its weight, with its standard deviation.
func weighed(logs, weights []float64, single float64) (mean, sd float64) {
	precision, sum := 1/(process.HeldSpread*process.HeldSpread), 0.
	for n, x := range logs {
		p := weights[n] / (single * single)
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
