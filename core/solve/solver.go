package solve

import (
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

// knob is a group of lines whose amounts grow and shrink together.
type knob struct {
	lines  []int     // places among the solver's lines
	shares []float64 // of the dose
	dose   float64   // g in all, as written
	least  float64   // g
	most   float64   // g
}

// aim is what a knob is turned for. The residual is zero where it is met; it
// is kept in grams or millilitres so that it is nearly linear in the dose.
type aim func(*reckon.Batch) float64

// solver finds the doses of its knobs at which all aims are met, one aim a
// knob. Doses stay between the least and the most of their knobs.
type solver struct {
	d     *reckon.Drink    // what is turned
	lines []reckon.Weighed // as written
	knobs []knob           // what may move, one an aim
	aims  []aim            // what shall be met
	err   error            // of the size, at the doses last tried
}

const (
	solverRounds = 14   // beyond that it does not settle
	met          = 1e-7 // of the batch, g or mL in each
	nudgeShare   = 1e-4 // of a dose, to see what it does
	nudgeG       = 1e-4 // the least of it
	mostTimes    = 4    // times everything else in the batch: a dose beyond is no drink
)

// knobOf is the knob that turns the lines at the given places. Lines with no
// amount yet share alike.
func (s *solver) knobOf(lines []int) knob {
	k := knob{lines: lines, shares: make([]float64, len(lines))}
	all := 0.
	for _, w := range s.lines {
		all += w.MassG
	}
	for n, at := range lines {
		k.shares[n] = s.lines[at].MassG
		k.dose += s.lines[at].MassG
	}
	for n := range k.shares {
		if k.dose == 0 {
			k.shares[n] = 1 / float64(len(lines))
			continue
		}
		k.shares[n] /= k.dose
	}
	k.most = mostTimes * math.Max(all, 1)
	return k
}

// at is the batch with the knobs at the given doses.
func (s *solver) at(doses []float64) *reckon.Batch {
	lines := make([]reckon.Weighed, len(s.lines))
	copy(lines, s.lines)
	for n, k := range s.knobs {
		for m, at := range k.lines {
			lines[at].MassG = doses[n] * k.shares[m]
		}
	}
	s.err = nil
	if !growsUnevenly(s.d) {
		return s.d.Mix(lines, 1)
	}
	factor, err := s.d.Growth(lines)
	if err != nil { // far from the solution a size can be out of reach that is not there
		s.err = err
		factor = 1
	}
	return s.d.Mix(lines, factor)
}

// growsUnevenly tells whether scaling the drink changes what it is: some lines
// are locked, grow by a rule of their own, or go by how warm or how wide it stands.
func growsUnevenly(d *reckon.Drink) bool {
	if d.Size.By == recipe.AsWritten {
		return false
	}
	if d.Spices == recipe.Eased || d.Method.Heat != process.ByBase && d.Method.Heat != process.Unheated {
		return true
	}
	for _, l := range d.Lines {
		grain := l.Ingredient != nil && l.Ingredient.Class == ingredient.Grain // its starch goes by how warm a load gets
		if l.Locked || grain || l.Ingredient != nil && l.Ingredient.Has(ingredient.TagBoil) {
			return true
		}
	}
	return false
}

// solve turns the knobs until the aims are met, and reports which are. A knob
// whose aim cannot be met stops at the end that comes nearest to it, and the
// others are solved around it.
func (s *solver) solve() (reached []bool) {
	doses := make([]float64, len(s.knobs))
	free := make([]int, len(s.knobs))
	reached = make([]bool, len(s.knobs))
	for n, k := range s.knobs {
		doses[n], free[n] = k.dose, n
	}
	for len(free) > 0 && !s.newton(doses, free) {
		stuck := s.stuck(doses, free)
		if stuck < 0 {
			s.bisect(doses, free)
			break
		}
		free = append(free[:stuck:stuck], free[stuck+1:]...)
	}
	b := s.at(doses)
	for n := range s.knobs {
		s.knobs[n].dose = doses[n]
		reached[n] = s.isMet(b, n, 1e3)
	}
	return reached
}

// isMet tells whether an aim is met, to a multiple of the usual accuracy.
func (s *solver) isMet(b *reckon.Batch, n int, times float64) bool {
	return math.Abs(s.aims[n](b)) <= times*met*math.Max(1, b.VolumeML)
}

// newton turns the free knobs together. Each aim is nearly linear, so that a
// few rounds do.
func (s *solver) newton(doses []float64, free []int) bool {
	for range solverRounds {
		b := s.at(doses)
		now := make([]float64, len(free))
		done := true
		for n, f := range free {
			now[n] = s.aims[f](b)
			done = done && s.isMet(b, f, 1)
		}
		if done {
			return true
		}
		step, ok := s.step(doses, free, now)
		if !ok {
			return false
		}
		for n, f := range free {
			doses[f] = math.Min(s.knobs[f].most, math.Max(s.knobs[f].least, doses[f]+step[n]))
		}
	}
	return false
}

// step is how far the free knobs are from their aims, were they linear.
func (s *solver) step(doses []float64, free []int, now []float64) ([]float64, bool) {
	size := len(free)
	rows := make([][]float64, size)
	for n := range rows {
		rows[n] = make([]float64, size+1)
		rows[n][size] = -now[n]
	}
	for m, f := range free {
		was := doses[f]
		by := math.Max(nudgeG, was*nudgeShare)
		doses[f] = was + by
		b := s.at(doses)
		doses[f] = was
		for n, g := range free {
			rows[n][m] = (s.aims[g](b) - now[n]) / by
		}
	}
	return eliminate(rows)
}

// eliminate solves a small linear system by Gauss with pivoting; each row
// ends with its right-hand side.
func eliminate(rows [][]float64) ([]float64, bool) {
	size := len(rows)
	for c := range size {
		pivot := c
		for r := c + 1; r < size; r++ {
			if math.Abs(rows[r][c]) > math.Abs(rows[pivot][c]) {
				pivot = r
			}
		}
		rows[c], rows[pivot] = rows[pivot], rows[c]
		if math.Abs(rows[c][c]) < 1e-12 {
			return nil, false
		}
		for r := range size {
			if r == c {
				continue
			}
			times := rows[r][c] / rows[c][c]
			for m := c; m <= size; m++ {
				rows[r][m] -= times * rows[c][m]
			}
		}
	}
	out := make([]float64, size)
	for n := range out {
		out[n] = rows[n][size] / rows[n][n]
	}
	return out, true
}

// stuck finds a free knob that meets its aim at neither end, sets it to the
// end that comes nearest, and returns its place among the free ones; -1 where
// every aim lies between the ends.
func (s *solver) stuck(doses []float64, free []int) int {
	for n := len(free) - 1; n >= 0; n-- { // the aims that are only held give way first
		f := free[n]
		was := doses[f]
		none, most := s.wrongAt(doses, f, s.knobs[f].least), s.wrongAt(doses, f, s.knobs[f].most)
		doses[f] = was
		if none*most <= 0 {
			continue
		}
		doses[f] = s.knobs[f].least
		if math.Abs(most) < math.Abs(none) {
			doses[f] = s.knobs[f].most
		}
		return n
	}
	return -1
}

// wrongAt is how far an aim is missed with its knob at a dose, for each g or
// mL of the batch, so that batches of different size compare.
func (s *solver) wrongAt(doses []float64, n int, dose float64) float64 {
	doses[n] = dose
	b := s.at(doses)
	return s.aims[n](b) / math.Max(1, b.VolumeML)
}

const (
	bisectRounds = 8  // over all knobs
	bisectSteps  = 50 // for one
)

// bisect turns one free knob after the other until they settle: slower than
// newton, and sure where an aim bends.
func (s *solver) bisect(doses []float64, free []int) {
	for range bisectRounds {
		for _, f := range free {
			low, high := s.knobs[f].least, s.knobs[f].most
			rising := s.wrongAt(doses, f, high) > s.wrongAt(doses, f, low)
			for range bisectSteps {
				middle := (low + high) / 2
				if (s.wrongAt(doses, f, middle) > 0) == rising {
					high = middle
				} else {
					low = middle
				}
			}
			doses[f] = (low + high) / 2
		}
	}
}

// write gives the lines of every knob their new amounts, in the style they
// were written in where that loses nothing, in grams otherwise.
func (s *solver) write(d *reckon.Drink) {
	for _, k := range s.knobs {
		for m, at := range k.lines {
			w := s.lines[at]
			d.Lines[w.Index].Amount = amountFor(d, w, k.dose*k.shares[m])
		}
	}
}

// amountFor writes a solved amount: as it was where it is the same, as the
// measure it is where one holds it, in grams otherwise.
func amountFor(d *reckon.Drink, w reckon.Weighed, g float64) quantity.Amount {
	written := w.Line.Amount
	if w.MassG > 0 && !written.IsOpen() && !written.IsToCover() && !written.IsToTotal() {
		if math.Abs(g/w.MassG-1) < 1e-9 {
			return written
		}
		if a, ok := d.Spooned(w.Line, g); ok && !written.IsMetric() {
			return a
		}
	}
	return quantity.Of(reckon.FourFigures(g), quantity.Gram)
}

// isSpoonable tells a measure from the exact millilitres that stand in where
// no measure fits.
