package quantity

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/say"
)

// Drawer is what a kitchen measures with: the cups and spoons that are in the
// drawer, and a scale. The zero Drawer has neither.
type Drawer struct {
	measures []measure // the largest first
	scaleG   float64   // the step of the scale's display; 0 where there is no scale
}

// measure is one cup or spoon.
type measure struct {
	term Term    // what is written on it: ¼ tsp
	ml   float64 // what it holds, level
}

// maxMeasures is how many different measures a drawer holds.
const maxMeasures = 24

// StandardDrawer are the measures usually sold as a set (common practice).
var StandardDrawer = []string{"1 cup", "1/2 cup", "1/3 cup", "1/4 cup", "1 tbsp", "1 tsp", "1/2 tsp", "1/4 tsp"}

// NewDrawer is a drawer of measures, each as written on it ("1/4 tsp", "1 mug"),
// and a scale that reads to scaleG grams; 0 for no scale. The error names
// "measures" or "scaleG".
func (r Reader) NewDrawer(measures []string, s System, scaleG float64) (Drawer, error) {
	if len(measures) > maxMeasures {
		return Drawer{}, fault.New("measures", "", "too-many-measures", len(measures), maxMeasures)
	}
	if !(scaleG >= 0 && scaleG <= 1000) {
		return Drawer{}, fault.New("scaleG", fmt.Sprint(scaleG), "scale-out-of-range")
	}
	d := Drawer{scaleG: scaleG}
	for _, text := range measures {
		a, err := r.ParseAmount(text)
		ml, ok := a.Volume(s)
		if err != nil || !ok || len(a.terms) != 1 || a.IsRange() {
			return Drawer{}, fault.New("measures", text, "not-a-measure")
		}
		d.measures = append(d.measures, measure{a.terms[0], ml})
	}
	slices.SortStableFunc(d.measures, func(a, b measure) int { return cmp.Compare(b.ml, a.ml) })
	return d, nil
}

// HasScale tells whether there is a scale, and what it reads to in g.
func (d Drawer) HasScale() (resolutionG float64, ok bool) { return d.scaleG, d.scaleG > 0 }

// Scooped is an amount in the measures of a drawer.
type Scooped struct {
	ML         float64 // what the scoops hold
	Scoops     int     // how many dips
	Half       bool    // the last measure is filled half
	ErrorShare float64 // what they hold over the exact amount, as a share of it
	Text       string  // "1½ cups", "2 × ¼ tsp", "half of ¼ tsp"
	Stock      *Stock  // how to come to less than the spoons hold
	terms      []Term  // the measures, largest first
}

// Told is the measures to take, said to be about right where they are no nearer.
func (s Scooped) Told() string {
	if s.Text != "" && math.Abs(s.ErrorShare) > saidFrom {
		return "about " + s.Text
	}
	return s.Text
}

// Amount is what the scoops hold, as an amount that can be written and read
// again: scoops of one unit summed.
func (s Scooped) Amount() Amount { return Amount{terms: s.terms} }

// Stock is a dilution for less than the smallest spoon holds: one measure of
// the ingredient in some of water, and one measure of that. Volumes are taken
// to add up (common practice).
type Stock struct {
	Measure    string  // the measure of the drawer that is filled with it
	WaterParts int     // to one part of what is diluted
	ErrorShare float64 // how far the nearest is off, as a share
}

// Told is what to do.
func (s Stock) Told() say.Text { return say.Of("dilute-a-pinch", s.Measure, s.WaterParts) }

const (
	maxScoops     = 24  // dips: beyond that nobody counts right
	maxWaterParts = 199 // so that a stock stays within a jug
)

// Scoop finds the fewest measures that hold ml within the tolerance, whole
// ones first and one half-filled measure only where those cannot; of equally
// many, those that come nearest. ok is false where none do: there is too
// little (Stock then says what to do) or too much for spoons.
func (d Drawer) Scoop(ml, tolerance float64) (Scooped, bool) {
	if !(ml > 0) || len(d.measures) == 0 {
		return Scooped{}, false
	}
	for _, half := range []bool{false, true} {
		for n := 1; n <= maxScoops; n++ {
			s := search{drawer: d.measures, within: tolerance * ml, wrong: math.Inf(1)}
			if half {
				s.halfThen(ml, n)
			} else {
				s.whole(0, n, ml)
			}
			if s.best != nil {
				return d.scooped(s, ml), true
			}
		}
	}
	return Scooped{Stock: d.stock(ml, tolerance)}, false
}

// search looks through every choice of a number of measures that can come
// within the tolerance.
type search struct {
	drawer []measure      // the largest first
	within float64        // mL that it may be off
	chosen [maxScoops]int // indices into the drawer
	depth  int            // how many are chosen
	half   int            // the half-filled one, -1 for none

	best     []int   // the choice so far, places in drawer
	bestHalf int     // the measure half filled, or none
	wrong    float64 // mL that best is off
}

// whole tries n full measures, from the one at from on.
func (s *search) whole(from, n int, left float64) {
	if s.depth == 0 {
		s.half = -1
	}
	s.choose(from, n, left)
}

// halfThen tries one half measure, then n−1 full ones.
func (s *search) halfThen(ml float64, n int) {
	for m := range s.drawer {
		s.half = m
		s.choose(0, n-1, ml-s.drawer[m].ml/2)
	}
}

// choose picks measures by falling size and turns back as soon as those left are too large
// or too small to end within the tolerance.
func (s *search) choose(from, n int, left float64) {
	if n == 0 {
		s.settle(left)
		return
	}
	smallest := s.drawer[len(s.drawer)-1].ml
	if left < float64(n)*smallest-s.within {
		return
	}
	for m := from; m < len(s.drawer); m++ {
		if left > float64(n)*s.drawer[m].ml+s.within {
			return // this and everything after it is too small
		}
		s.chosen[s.depth] = m
		s.depth++
		s.choose(m, n-1, left-s.drawer[m].ml)
		s.depth--
	}
}

// rounding forgives what adding up cups and spoons loses in the last digits.
const rounding = 1e-9

// settle keeps a choice where it is nearer than the best so far.
func (s *search) settle(left float64) {
	wrong := math.Abs(left)
	if wrong > s.within*(1+rounding)+rounding || wrong >= s.wrong-rounding {
		return
	}
	s.wrong, s.bestHalf = wrong, s.half
	s.best = append(s.best[:0], s.chosen[:s.depth]...)
	if s.best == nil {
		s.best = []int{}
	}
}

// scooped turns the search's answer into what a cook reads: words, mL and how far off it is.
func (d Drawer) scooped(s search, ml float64) Scooped {
	out := Scooped{Scoops: len(s.best), Half: s.bestHalf >= 0}
	for _, m := range s.best {
		out.ML += d.measures[m].ml
	}
	parts := d.words(s.best)
	if out.Half {
		out.Scoops++
		out.ML += d.measures[s.bestHalf].ml / 2
		parts = append(parts, "half of "+d.measures[s.bestHalf].term.String())
	}
	out.terms = d.terms(s.best)
	out.ErrorShare = out.ML/ml - 1
	out.Text = strings.Join(parts, " + ")
	return out
}

// words writes the chosen measures, the largest first: whole cups and one
// fraction of a cup as one number, the same fraction twice as "2 × ¼ tsp".
func (d Drawer) words(chosen []int) []string {
	var parts []string
	for n := 0; n < len(chosen); {
		m := chosen[n]
		count := 1
		for n+count < len(chosen) && chosen[n+count] == m {
			count++
		}
		n += count
		t := d.measures[m].term
		switch {
		case t.Low == math.Trunc(t.Low):
			t.Low *= float64(count)
			if n < len(chosen) && d.joins(t, chosen[n:]) {
				t.Low += d.measures[chosen[n]].term.Low
				n++
			}
			t.High = t.Low
			parts = append(parts, t.String())
		case count == 1:
			parts = append(parts, t.String())
		default:
			parts = append(parts, fmt.Sprintf("%d × %s", count, t))
		}
	}
	return parts
}

// terms adds up the chosen measures unit by unit.
func (d Drawer) terms(chosen []int) []Term {
	var terms []Term
	for _, m := range chosen {
		t := d.measures[m].term
		last := len(terms) - 1
		if last >= 0 && terms[last].Unit == t.Unit && terms[last].Own == t.Own {
			terms[last].Low += t.Low
			terms[last].High = terms[last].Low
			continue
		}
		terms = append(terms, t)
	}
	return terms
}

// joins tells whether the next measure is a single fraction of the same unit.
func (d Drawer) joins(t Term, rest []int) bool {
	next := d.measures[rest[0]].term
	return next.Unit == t.Unit && next.Own == t.Own && next.Low < 1 && (len(rest) == 1 || rest[1] != rest[0])
}

// stock is the dilution that comes to ml, nil where none does.
func (d Drawer) stock(ml, tolerance float64) *Stock {
	measure := d.measures[len(d.measures)-1]
	for _, m := range d.measures {
		if m.term.Unit == Teaspoon && m.term.Low == 1 {
			measure = m
		}
	}
	parts := math.Round(measure.ml / ml)
	wrong := measure.ml/parts/ml - 1
	if parts < 2 || parts > maxWaterParts+1 || math.Abs(wrong) > math.Max(tolerance, Loose) {
		return nil
	}
	return &Stock{Measure: measure.term.String(), WaterParts: int(parts) - 1, ErrorShare: wrong}
}
