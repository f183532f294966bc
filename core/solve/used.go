package solve

import (
	"fmt"
	"math"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

// AsUsed is the drink with what really went in: the lines whose keys are in
// usedG have those grams, all others their amounts at the drink's size.
func AsUsed(d *reckon.Drink, r *reckon.Reckoning, usedG map[string]float64) reckon.Drink {
	used := *d
	used.Size = recipe.Size{}
	used.Lines = make([]recipe.Line, len(d.Lines))
	for n, line := range d.Lines {
		if exact, ok := r.Lines[n].Exact(); ok {
			line.Amount = exact
		}
		if g, ok := usedG[line.Key]; ok {
			line.Amount = quantity.Of(g, quantity.Gram)
		}
		used.Lines[n] = line
	}
	return used
}

// WorkedBack is what an amount that was left open must have been.
type WorkedBack struct {
	Key              string  // of the line
	MassG            float64 // most likely
	LeastG, LargestG float64 // what is still believable
}

const (
	milkReadBy   = 0.01    // how far a jug's scale may be off, as a share (from memory)
	workBackMost = 20_000. // g
	workBackHalf = 60      // halvings
)

// WorkBack infers the amount of the one line that was left open from the
// finished drink and the wet pulp as they were weighed: what came out and what
// is known to have gone in leave only one amount (conservation of mass). Where
// a base and a liquid are both open the pulp tells of the base first. The
// error names "pulpG" or "milkG".
func WorkBack(d *reckon.Drink, milkG, pulpG float64) ([]WorkedBack, error) {
	open := openLines(d)
	switch {
	case len(open) == 0:
		return nil, nil
	case len(open) > 2 || len(open) == 2 && openBase(d, open) < 0:
		return nil, fault.New("pulpG", fmt.Sprint(pulpG), "too-many-open", len(open))
	}
	w := weighedOut{d: d, open: open, milkG: milkG, pulpG: pulpG}
	held, spread := d.Method.Held(), d.Method.Spread()
	found, ok := w.solve(held)
	if !ok {
		return nil, fault.New("milkG", fmt.Sprintf("%.0f", milkG), "less-out-than-in")
	}
	less := weighedOut{d: d, open: open, milkG: milkG * (1 - milkReadBy), pulpG: pulpG}
	more := weighedOut{d: d, open: open, milkG: milkG * (1 + milkReadBy), pulpG: pulpG}
	low, _ := less.solve(held + spread)
	high, _ := more.solve(held - spread)
	out := make([]WorkedBack, len(open))
	for n, at := range open {
		out[n] = WorkedBack{
			Key: d.Lines[at].Key, MassG: found[n],
			LeastG: math.Min(found[n], math.Min(low[n], high[n])), LargestG: math.Max(found[n], math.Max(low[n], high[n])),
		}
	}
	return out, nil
}

// Outcome is what came out, as it was measured.
type Outcome struct{ MilkML, PulpG float64 } // what the cook measured

// plantMilkGPerML is the density of a drink whose lines do not tell it yet
// (common practice, no source).
const plantMilkGPerML = 1.01

// Made is the drink with what really went in, reckoned; what was left open and never
// weighed is worked back where milk and pulp tell of it, and stays unknown where not.
// worked is by the lines' keys; out is nil where nothing was measured.
func Made(d *reckon.Drink, planned *reckon.Reckoning, usedG map[string]float64, out *Outcome) (made reckon.Drink, r *reckon.Reckoning, worked map[string]WorkedBack, err error) {
	made, worked = AsUsed(d, planned, usedG), map[string]WorkedBack{}
	if r, err = made.Reckon(); err != nil || out == nil {
		return made, r, worked, err
	}
	open := made
	for range 2 { // the second time with the drink's own density
		density := plantMilkGPerML
		if r.Drink != nil {
			density = r.Drink.MassG / r.Drink.VolumeML
		}
		found, err := WorkBack(&open, out.MilkML*density, out.PulpG)
		if err != nil || len(found) == 0 {
			return made, r, worked, nil
		}
		for _, w := range found {
			worked[w.Key], usedG[w.Key] = w, w.MassG
		}
		made = AsUsed(d, planned, usedG)
		if r, err = made.Reckon(); err != nil {
			return made, r, worked, err
		}
	}
	return made, r, worked, nil
}

// openLines are the places of the lines with no amount that reach the bottle.
func openLines(d *reckon.Drink) []int {
	var open []int
	for n, l := range d.Lines {
		if l.Ingredient != nil && l.Amount.IsOpen() && l.When() != ingredient.Serve {
			open = append(open, n)
		}
	}
	return open
}

// openBase is which of the open lines is a base beside a liquid; -1 where
// they are not one of each.
func openBase(d *reckon.Drink, open []int) int {
	first, second := d.Lines[open[0]].Ingredient.Role, d.Lines[open[1]].Ingredient.Role
	switch {
	case first == ingredient.Base && second == ingredient.Liquid:
		return 0
	case first == ingredient.Liquid && second == ingredient.Base:
		return 1
	}
	return -1
}

// weighedOut is what came out of a drink some of whose amounts are open.
type weighedOut struct {
	d            *reckon.Drink // the batch
	open         []int         // lines without an amount
	milkG, pulpG float64       // as measured
}

// gives is what would come out with these amounts, where the base takes up and
// the pulp holds so many times what is expected.
func (w *weighedOut) gives(amountsG []float64, holds float64) (milkG, pulpG float64) {
	try := *w.d
	try.Lines = append([]recipe.Line{}, w.d.Lines...)
	try.Method.HeldShare = holds
	for n, at := range w.open {
		try.Lines[at].Amount = quantity.Of(math.Max(amountsG[n], 1e-6), quantity.Gram)
	}
	var r reckon.Reckoning
	r.Lines = make([]reckon.LineReckoning, len(try.Lines))
	lines := try.Weigh(&r)
	for n := range lines {
		if lines[n].Line.Ingredient.UptakeGPerG > 0 {
			soaksMore := *lines[n].Line.Ingredient
			soaksMore.UptakeGPerG *= holds
			swollen := *lines[n].Line
			swollen.Ingredient = &soaksMore
			lines[n].Line = &swollen
		}
	}
	b := try.Mix(lines, 1)
	return b.Finished.MassG(), b.Made.Balance.Pulp.MassG()
}

// solve finds the open amounts by halving: what comes out grows with what
// goes in.
func (w *weighedOut) solve(holds float64) ([]float64, bool) {
	total := func(amountsG []float64) float64 {
		milk, pulp := w.gives(amountsG, holds)
		return milk + pulp
	}
	if len(w.open) == 1 {
		g, ok := halve(w.milkG+w.pulpG, func(g float64) float64 { return total([]float64{g}) })
		return []float64{g}, ok
	}
	base := openBase(w.d, w.open)
	amounts := func(baseG float64) []float64 {
		both := make([]float64, 2)
		both[base] = baseG
		both[1-base], _ = halve(w.milkG+w.pulpG, func(g float64) float64 {
			both[1-base] = g
			return total(both)
		})
		return both
	}
	baseG, ok := halve(w.pulpG, func(g float64) float64 {
		_, pulp := w.gives(amounts(g), holds)
		return pulp
	})
	return amounts(baseG), ok
}

// halve finds where a growing figure reaches wanted; false where it begins
// beyond it or never gets there.
func halve(wanted float64, figure func(float64) float64) (float64, bool) {
	low, high := 0., workBackMost
	if figure(low) > wanted || figure(high) < wanted {
		return 0, false
	}
	for range workBackHalf {
		if middle := (low + high) / 2; figure(middle) < wanted {
			low = middle
		} else {
			high = middle
		}
	}
	return (low + high) / 2, true
}

// Rescaled is the drink after too much or too little of a line: the lines that
// are still to come follow it, those that are in stay as they went in. The
// factor is what they follow by. usedG has what went in of each line that did,
// and of the line named by key.
func Rescaled(d *reckon.Drink, r *reckon.Reckoning, usedG map[string]float64, key string, isIn func(key string) bool) (reckon.Drink, float64) {
	factor := 1.
	for n, line := range d.Lines {
		if line.Key == key && r.Lines[n].MassG > 0 {
			factor = usedG[key] / r.Lines[n].MassG
		}
	}
	scaled := AsUsed(d, r, usedG)
	for n, line := range d.Lines {
		_, used := usedG[line.Key]
		if used || line.Locked || r.Lines[n].MassG == 0 || isIn(line.Key) {
			continue
		}
		scaled.Lines[n].Amount = quantity.Of(reckon.FourFigures(r.Lines[n].MassG*factor), quantity.Gram)
	}
	return scaled, factor
}
