package solve

import (
	"fmt"
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

// Trial is a cup that was sweetened or spiced first.
type Trial struct {
	CupML    float64       // what was taken aside
	Lines    []recipe.Line // what went into the cup
	Returned bool          // the cup is poured back, and so part of the batch again
}

// Addition is what a line of a trial comes to.
type Addition struct {
	Name       string  // of the ingredient
	InCupG     float64 // tasted right
	ToRestG    float64 // to be added to what is left in the jug
	ToRest     string  // as a measure
	WholeBatch string  // what the recipe says from now on
}

// Tried is a drink with what the cup taught.
type Tried struct {
	Drink     reckon.Drink // with the additions scaled up
	RestML    float64      // what is left outside the cup
	AfterML   float64      // in the jug when all is done, with what is added, and the cup where it is poured back
	Additions []Addition   // one a thing that was tried
}

// TryCup scales what went into a cup to the rest of the batch. The drink gets
// the additions at the batch's full size, in the line that holds the same already or as
// lines after straining, so that made again it tastes as the cup did. The error, a *fault.Error, names
// "cupML" or "lines[n].amount".
func TryCup(d *reckon.Drink, t Trial) (*Tried, error) {
	r, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	if r.Drink == nil {
		return nil, fault.New("cupML", "", "no-drink-for-a-cup")
	}
	if !(t.CupML > 0 && t.CupML < r.Drink.VolumeML) {
		return nil, fault.New("cupML", fmt.Sprint(t.CupML), "cup-not-of-batch", r.Drink.VolumeML)
	}
	out := &Tried{Drink: *d, RestML: r.Drink.VolumeML - t.CupML}
	out.Drink.Lines = slices.Clone(d.Lines)
	for n, line := range t.Lines {
		a, added, err := trialLine(d, line, t, r)
		if err != nil {
			return nil, fault.In(fmt.Sprintf("lines[%d].%s", n, fieldOf(err)), err)
		}
		out.Additions = append(out.Additions, a)
		out.Drink.Lines = withMore(out.Drink.Lines, d, added, r)
	}
	whole, err := out.Drink.Reckon()
	if err != nil {
		return nil, err
	}
	if whole.Drink == nil {
		return nil, fault.New("lines", "", "trial-takes-too-much")
	}
	out.AfterML = whole.Drink.VolumeML
	if !t.Returned {
		out.AfterML *= out.RestML / r.Drink.VolumeML
	}
	return out, nil
}

// withMore adds to the line that holds the same already; to the end where none does. What
// goes in before the strainer is in part held by the pulp, so that there it takes more.
func withMore(lines []recipe.Line, d *reckon.Drink, added recipe.Line, r *reckon.Reckoning) []recipe.Line {
	at := slices.IndexFunc(lines, func(l recipe.Line) bool {
		return l.Ingredient == added.Ingredient && l.When() != ingredient.Serve && !l.Locked && !l.Amount.IsOpen()
	})
	if at < 0 || added.Amount.IsOpen() {
		return append(lines, added)
	}
	there, _, err := lines[at].Grams(d.System)
	if err != nil {
		return append(lines, added)
	}
	more, _, _ := added.Grams(d.System)
	lines[at].Amount = measureOf(d, lines[at], there+more/keptShare(d, r.Batch, at))
	return lines
}

// keptShare is how much of a line's dry matter runs through the strainer, by a little more
// of it; 1 where that cannot be told.
func keptShare(d *reckon.Drink, b *reckon.Batch, place int) float64 {
	more := slices.Clone(b.Lines)
	at := slices.IndexFunc(more, func(w reckon.Weighed) bool { return w.Index == place })
	if at < 0 || more[at].MassG == 0 {
		return 1
	}
	by := more[at].MassG * nudgeShare
	more[at].MassG += by
	dry := func(c ingredient.Content) float64 { return c.MassG() - c[ingredient.Water] }
	gained := dry(d.Mix(more, 1).Finished) - dry(d.Mix(b.Lines, 1).Finished)
	if brought := by * dry(*more[at].Per); brought > 0 && gained > 0 {
		return math.Min(1, gained/brought)
	}
	return 1
}

// measureOf writes a mass as the line is measured: weighed where it was weighed, in cups
// and spoons otherwise.
func measureOf(d *reckon.Drink, l recipe.Line, g float64) quantity.Amount {
	if l.Amount.IsMetric() || l.Amount.IsCount() {
		return d.MeasureOf(l, g)
	}
	return nearestMeasure(d, l, g)
}

// trialLine scales what was put in the cup to what the rest needs, and to the whole.
func trialLine(d *reckon.Drink, line recipe.Line, t Trial, r *reckon.Reckoning) (Addition, recipe.Line, error) {
	if line.Ingredient == nil {
		return Addition{}, line, fault.New("ingredient", line.Name, "not-in-catalogue-choose")
	}
	g, _, err := line.Grams(d.System)
	if err != nil {
		return Addition{}, line, err
	}
	if g <= 0 {
		return Addition{}, line, fault.New("amount", line.Amount.String(), "trial-amount-missing")
	}
	perML := g / t.CupML
	rest := perML * (r.Drink.VolumeML - t.CupML)
	whole := perML * r.Drink.VolumeML
	added := line
	added.Stage = ingredient.Strained
	added.Amount = measureOf(d, added, whole/r.Factor)
	measured := added
	measured.Amount = nearestMeasure(d, added, rest)
	return Addition{
		Name: line.Ingredient.Name, InCupG: g, ToRestG: rest, ToRest: measured.Amount.String(),
		WholeBatch: added.Amount.String(),
	}, added, nil
}

// nearestMeasure writes a mass in the cups and spoons there are, within the line's
// tolerance; by weight where none comes that near.
func nearestMeasure(d *reckon.Drink, l recipe.Line, g float64) quantity.Amount {
	return nearestWithin(d, l, g, l.Tolerance())
}

func nearestWithin(d *reckon.Drink, l recipe.Line, g, tolerance float64) quantity.Amount {
	bulk := l.BulkGPerML()
	if bulk <= 0 || g < leastG {
		return quantity.Of(reckon.FourFigures(g), quantity.Gram)
	}
	if d.Drawer != nil {
		if scoop, ok := spoonable(d, g/bulk); ok && scoop.Scoops <= fewScoops && math.Abs(scoop.ErrorShare) <= tolerance {
			return scoop.Amount()
		}
	}
	if a, wrong := quantity.Kitchen(g/bulk, d.System, tolerance); !a.IsMetric() && math.Abs(wrong) <= mostWrong {
		return a
	}
	return quantity.Of(max(tenths(g), min(.1, reckon.FourFigures(g))), quantity.Gram)
}

const (
	leastG    = 1e-3 // g: below it there is nothing
	mostWrong = .34  // of a pinch, which nothing holds better
)

// tenths rounds a mass as kitchen scales that read to a tenth of a gram do.
func tenths(g float64) float64 { return math.Round(g*10) / 10 }

// fieldOf is the field an error belongs to.
func fieldOf(err error) string {
	if e, ok := err.(*fault.Error); ok {
		return e.Field
	}
	return "amount"
}
