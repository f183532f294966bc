package quantity

import (
	"math"
	"slices"
	"strconv"
)

// The tolerances a kitchen measure is chosen within, as a share of the exact
// amount (common practice): tighter for what is tasted most.
const (
	Tight = 0.02 // salt, sweetener, strong spice
	Loose = 0.05 // everything else
)

// kitchenSteps are the measures tried, coarse to fine, with the fractions of
// each that people own or can fill.
var kitchenSteps = []struct {
	unit      Unit
	most      float64 // more than this many is written in a larger unit
	fractions []float64
}{
	{Cup, math.Inf(1), []float64{0, 1. / 4, 1. / 3, 1. / 2, 2. / 3, 3. / 4}},
	{Tablespoon, 8, []float64{0, 1. / 2}},
	{Teaspoon, 6, []float64{0, 1. / 8, 1. / 4, 3. / 8, 1. / 2, 5. / 8, 3. / 4, 7. / 8}}, // ⅜ is a ¼ and a ⅛
	{Pinch, 1, []float64{0}},
	{Smidgen, 1, []float64{0}},
}

// A measure that holds an amount to exactly is that amount; one that errs by
// more than saidFrom is written "about" (common practice, no source).
const (
	exactly  = 1e-6 // mL: the same but for the arithmetic
	saidFrom = 0.01 // from one percent on the error is told
)

// Under fineTeaspoons of a teaspoon nothing in a kitchen holds an amount within a
// spoon's tolerance: the nearest pinches are as near as it gets, which is within
// finest down to half a smidgen.
const (
	fineTeaspoons = 0.25 // tsp; below it spoons are fractions of teaspoons
	finest        = 0.34 // of a smallest spoon, which may be half filled by eye
)

// Kitchen writes ml as cups and spoons: what holds it exactly before what comes
// near, one measure before two or three added together, and exact millilitres
// where nothing comes within the tolerance. errorShare is what the measure holds
// over the exact amount, as a share of it; it exceeds the tolerance only among
// the pinches, and there never finest.
func Kitchen(ml float64, s System, tolerance float64) (a Amount, errorShare float64) {
	if a, errorShare, ok := oneMeasure(ml, s, exactly); ok {
		return a, errorShare
	}
	if a, errorShare, ok := exactPair(ml, s); ok {
		return a, errorShare
	}
	if a, errorShare, ok := oneMeasure(ml, s, tolerance); ok {
		return a, errorShare
	}
	sum, sumErr, sums := kitchenSum(ml, s, tolerance)
	if sums && (math.Abs(sumErr) <= tolerance || ml < fineTeaspoons*Teaspoon.Size(s) && math.Abs(sumErr) <= finest) {
		return sum, sumErr
	}
	exact := Of(threeFigures(ml), Millilitre)
	return exact, exact.terms[0].Low/ml - 1
}

// oneMeasure is the largest measure that holds ml within a share.
func oneMeasure(ml float64, s System, within float64) (a Amount, errorShare float64, ok bool) {
	for _, step := range kitchenSteps {
		t, held, ok := nearest(ml, step.unit, step.most, step.fractions, s)
		if ok && math.Abs(held-ml) <= within*ml {
			return Amount{terms: []Term{t}}, held/ml - 1, true
		}
	}
	return Amount{}, 0, false
}

// exactPair is two measures that hold ml exactly, the larger as full as it goes or
// in whole units: ¼ cup + 2 tsp.
func exactPair(ml float64, s System) (a Amount, errorShare float64, ok bool) {
	for n, large := range kitchenSteps[:2] {
		for _, fractions := range [][]float64{large.fractions, {0}} {
			count := fillFrom(ml/large.unit.Size(s), fractions, false)
			if count == 0 {
				continue
			}
			left := ml - count*large.unit.Size(s)
			for _, small := range kitchenSteps[n+1 : 3] {
				t, held, ok := nearest(left, small.unit, small.most, small.fractions, s)
				if ok && math.Abs(held-left) <= exactly*ml {
					return Amount{terms: []Term{{Low: count, High: count, Unit: large.unit}, t}}, (held - left) / ml, true
				}
			}
		}
	}
	return Amount{}, 0, false
}

// nearest is the number of units, to the nearest fraction, that holds ml.
func nearest(ml float64, u Unit, most float64, fractions []float64, s System) (Term, float64, bool) {
	size := u.Size(s)
	exact := ml / size
	if exact > most {
		return Term{}, 0, false
	}
	whole := math.Floor(exact)
	best, bestError := whole+1, whole+1-exact
	for _, f := range fractions {
		if e := math.Abs(whole + f - exact); e < bestError {
			best, bestError = whole+f, e
		}
	}
	return Term{Low: best, High: best, Unit: u}, best * size, best > 0
}

// maxKitchenTerms is how many measures are added together at most.
const maxKitchenTerms = 3

// kitchenSum fills the largest measures first, each to the fraction below,
// and the last one to the nearest, until it is near enough: beside cups and
// tablespoons nobody counts pinches. ok is false where no measure fits.
func kitchenSum(ml float64, s System, within float64) (sum Amount, errorShare float64, ok bool) {
	var a Amount
	held := 0.
	for _, step := range kitchenSteps {
		size := step.unit.Size(s)
		some := len(a.terms) > 0
		last := step.unit == Smidgen || len(a.terms) == maxKitchenTerms-1 || some && step.unit == Teaspoon ||
			step.unit == Pinch && held > fineTeaspoons*Teaspoon.Size(s)
		count := fillFrom((ml-held)/size, step.fractions, last)
		if count > 0 {
			held += count * size
			a.terms = append(a.terms, Term{Low: count, High: count, Unit: step.unit})
		}
		if last && len(a.terms) > 0 || math.Abs(held-ml) <= within*ml {
			break
		}
	}
	return a, held/ml - 1, !a.IsOpen()
}

// fillFrom is the largest whole-and-fraction not above exact, or the nearest
// one for the last measure.
func fillFrom(exact float64, fractions []float64, nearest bool) float64 {
	whole := math.Floor(exact + sameFraction)
	rest := exact - whole
	below, closest := 0., 1.
	for _, f := range fractions {
		if f <= rest+sameFraction {
			below = f
		}
		if math.Abs(f-rest) < math.Abs(closest-rest) {
			closest = f
		}
	}
	if nearest {
		return whole + closest
	}
	return whole + below
}

// Scaled is the amount times factor, written in the style it was written in:
// grams and millilitres to three figures, cups and spoons by measures that
// exist, counts to three figures. errorShare is what rounding to a measure
// adds, as a share of the exact amount; what is told is told as "about".
func (a Amount) Scaled(factor float64, s System, tolerance float64) (scaled Amount, errorShare float64) {
	if factor == 1 || len(a.terms) == 0 {
		return a, 0
	}
	scaled, errorShare = a.scaled(factor, s, tolerance)
	scaled.kind = a.kind
	scaled.about = a.about || math.Abs(errorShare) > saidFrom
	return scaled, errorShare
}

// scaled multiplies an amount and writes it anew in measures there are; what was weighed
// stays weighed. It returns the error of that too, as a share.
func (a Amount) scaled(factor float64, s System, tolerance float64) (Amount, float64) {
	if a.IsMetric() {
		return a.times(factor).tidy().rounded(s)
	}
	if ml, ok := a.Volume(s); ok {
		return Kitchen(ml*factor, s, tolerance)
	}
	return a.times(factor).rounded(s)
}

// InHalves is a count in whole and half pieces, and what that errs by as a share
// of the exact one; ok is false of what is no count, or comes to no half of one.
func (a Amount) InHalves() (halves Amount, errorShare float64, ok bool) {
	if !a.IsCount() {
		return a, 0, false
	}
	halves = a.times(1)
	exact, rounded := 0., 0.
	for n, t := range halves.terms {
		low, high := math.Round(2*t.Low)/2, math.Round(2*t.High)/2
		halves.terms[n].Low, halves.terms[n].High = low, high
		exact, rounded = exact+t.Low+t.High, rounded+low+high
	}
	if exact == 0 || rounded == 0 {
		return a, 0, false
	}
	halves.kind = a.kind
	errorShare = rounded/exact - 1
	halves.about = a.about || math.Abs(errorShare) > saidFrom
	return halves, errorShare, true
}

// And is the amount with another beside it, as in "16 pieces + 2 g".
func (a Amount) And(b Amount) Amount {
	return Amount{terms: slices.Concat(a.terms, b.terms), kind: a.kind}
}

// HalvesBelow is a count cut down to whole and half pieces, and the share of it
// that they leave over; ok is false of what is no plain count, or of less than
// half a piece.
func (a Amount) HalvesBelow() (halves Amount, left float64, ok bool) {
	if !a.IsCount() || a.IsRange() || len(a.terms) != 1 || a.terms[0].Low < .5 {
		return a, 0, false
	}
	halves = a.times(1)
	exact := halves.terms[0].Low
	below := math.Floor(2*exact) / 2
	halves.terms[0].Low, halves.terms[0].High = below, below
	return halves, 1 - below/exact, true
}

// rounded cuts every number to three figures, which errs by at most 0.5 %.
func (a Amount) rounded(s System) (Amount, float64) {
	exact := a.size(s)
	for i, t := range a.terms {
		a.terms[i].Low, a.terms[i].High = threeFigures(t.Low), threeFigures(t.High)
	}
	if exact == 0 {
		return a, 0
	}
	return a, a.size(s)/exact - 1
}

// size adds up what the terms hold, in g and mL alike, for comparing an
// amount with itself.
func (a Amount) size(s System) (total float64) {
	for _, t := range a.terms {
		total += t.Size(s)
	}
	return total
}

// threeFigures rounds to what a cook can weigh or read.
func threeFigures(v float64) float64 {
	rounded, err := strconv.ParseFloat(strconv.FormatFloat(v, 'g', 3, 64), 64)
	if err != nil {
		return v
	}
	return rounded
}

// times is the exact amount times factor, term by term.
func (a Amount) times(factor float64) Amount {
	scaled := Amount{about: a.about, terms: make([]Term, len(a.terms))}
	for i, t := range a.terms {
		t.Low *= factor
		t.High *= factor
		scaled.terms[i] = t
	}
	return scaled
}

// tidy moves 1500 g to 1.5 kg and 0.25 L to 250 mL.
func (a Amount) tidy() Amount {
	for i, t := range a.terms {
		switch {
		case t.HasPack():
			continue
		case t.Unit == Gram && t.Low >= 1000:
			a.terms[i] = t.in(Kilogram)
		case t.Unit == Kilogram && t.High < 1:
			a.terms[i] = t.in(Gram)
		case t.Unit == Millilitre && t.Low >= 1000:
			a.terms[i] = t.in(Litre)
		case t.Unit == Litre && t.High < 1:
			a.terms[i] = t.in(Millilitre)
		}
	}
	return a
}

// in converts between units of one dimension.
func (t Term) in(u Unit) Term {
	share := t.Unit.Size(US) / u.Size(US)
	t.Low *= share
	t.High *= share
	t.Unit = u
	return t
}
