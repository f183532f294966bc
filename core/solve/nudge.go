package solve

import (
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Nudged is the drink with every amount one that the drawer's spoons hold.
type Nudged struct {
	Drink   reckon.Drink // with amounts the drawer holds
	Changes []Nudge      // what was changed
	Kept    []Kept       // lines that stay as they are, and why
}

// Nudge is one line's change.
type Nudge struct {
	Line       int     // place in the recipe
	Name       string  // of the ingredient
	From, To   string  // as written, before and after
	ErrorShare float64 // what it has more than before, as a share
}

// Kept is a line that stays as it is.
type Kept struct {
	Name string   // of the ingredient
	Why  say.Text // as a code
}

// nudgeTolerances are how far an amount may go for a spoon, tried in turn.
var nudgeTolerances = []float64{quantity.Tight, quantity.Loose, 0.1, 0.2}

const (
	nudgedVolume = 0.03 // the volume's band, as a share
	fewScoops    = 4    // more than this and a coarser amount is looked for
)

// Nudge brings the drink, at its size, to the nearest amounts that the drawer
// can measure, keeping sweetness and fat in their bands and the volume within
// 3 %. Amounts in grams are left alone where there is a scale; counts and
// locked lines always are. The error names "drawer".
func ToSpoons(d *reckon.Drink) (*Nudged, error) {
	if d.Drawer == nil {
		return nil, fault.New("drawer", "", "drawer-is-empty")
	}
	r, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	out := &Nudged{Drink: *d}
	out.Drink.Size, out.Drink.Lines = recipe.Size{}, slices.Clone(d.Lines)
	if r.Drink == nil {
		return out, nil
	}
	for n := range d.Lines {
		if exact, ok := r.Lines[n].Exact(); ok && r.Factor != 1 {
			out.Drink.Lines[n].Amount = exact
		}
	}
	for n, l := range r.Lines {
		nudgeLine(d, out, n, l, r)
	}
	return out, nil
}

// nudgeLine tries spoons for one line, and takes the change back if the drink
// leaves its bands.
func nudgeLine(d *reckon.Drink, out *Nudged, n int, l reckon.LineReckoning, r *reckon.Reckoning) {
	line := out.Drink.Lines[n]
	if why := keptWhy(d, d.Lines[n], l); why != "" {
		if why != isCounted {
			out.Kept = append(out.Kept, Kept{line.Name, say.Of(why)})
		}
		return
	}
	if held, ok := d.Drawer.Scoop(l.VolumeML, reckon.SameAmount); ok && !held.Half && held.Scoops <= fewScoops && held.Scoops >= scoopsIn(line.Amount) && !line.Amount.IsMetric() {
		return // it is what spoons hold already: a coarser one would move it each time it is asked for
	}
	scoop, ok := spoonable(d, l.VolumeML)
	if ok && scoop.Amount().String() == line.Amount.String() {
		return
	}
	if ok {
		out.Drink.Lines[n].Amount = scoop.Amount()
		if inBandsOf(&out.Drink, r) {
			out.Changes = append(out.Changes, Nudge{Line: n, Name: line.Name, From: line.Amount.String(), To: scoop.Text, ErrorShare: scoop.ErrorShare})
			return
		}
	}
	out.Drink.Lines[n].Amount = line.Amount
	why := "spoon-leaves-bands"
	if !ok {
		why = "no-spoon-near"
	}
	out.Kept = append(out.Kept, Kept{line.Name, say.Of(why)})
}

// scoopsIn is how many times a spoon is filled for an amount as it is written: "24 tsp" are
// twenty-four, which half a cup holds in one.
func scoopsIn(a quantity.Amount) int {
	scoops := 0.
	for _, t := range a.Terms() {
		scoops += math.Ceil(t.Low)
	}
	return int(scoops)
}

// spoonable is the nearest amount that takes few scoops, or failing that many.
func spoonable(d *reckon.Drink, ml float64) (nearest quantity.Scooped, ok bool) {
	for _, tolerance := range nudgeTolerances {
		scoop, found := d.Drawer.Scoop(ml, tolerance)
		if !found || scoop.Half {
			continue
		}
		if scoop.Scoops <= fewScoops {
			return scoop, true
		}
		if !ok {
			nearest, ok = scoop, true
		}
	}
	return nearest, ok
}

// isCounted stands for lines that nobody would look for a spoon for: pieces, water to
// cover, and what is not understood, which the Bench tells by itself.
const isCounted = "counted"

// keptWhy is why a line is not brought to a spoon; "" where it may be.
func keptWhy(d *reckon.Drink, line recipe.Line, l reckon.LineReckoning) string {
	_, hasScale := d.Drawer.HasScale()
	switch {
	case l.Err != nil || line.Amount.IsCount() || line.Amount.IsToCover() || line.Amount.IsToTotal():
		return isCounted
	case line.Locked:
		return "line-is-locked"
	case l.VolumeML == 0:
		return "no-volume-known"
	case hasScale && line.Amount.IsMetric():
		return "weighed-on-the-scale"
	}
	return ""
}

// inBandsOf tells whether the drink stays in the bands another was in.
func inBandsOf(d *reckon.Drink, r *reckon.Reckoning) bool {
	now, err := d.Reckon()
	if err != nil || now.Drink == nil {
		return false
	}
	for _, dial := range []int{0, 1} {
		if now.Dials[dial].Band != r.Dials[dial].Band {
			return false
		}
	}
	change := now.Drink.VolumeML/r.Drink.VolumeML - 1
	return change < nudgedVolume && change > -nudgedVolume
}
