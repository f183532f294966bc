package solve

import (
	"fmt"
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
	AfterML   float64      // in the jug when all is done: with the cup where it is poured back
	Additions []Addition   // one a thing that was tried
}

// TryCup scales what went into a cup to the rest of the batch. The drink gets
// the additions as lines after straining, at the batch's full size, so that
// made again it tastes as the cup did. The error, a *fault.Error, names
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
	out.AfterML = out.RestML
	if t.Returned {
		out.AfterML = r.Drink.VolumeML
	}
	out.Drink.Lines = slices.Clone(d.Lines)
	for n, line := range t.Lines {
		a, added, err := trialLine(d, line, t, r)
		if err != nil {
			return nil, fault.In(fmt.Sprintf("lines[%d].%s", n, fieldOf(err)), err)
		}
		out.Additions = append(out.Additions, a)
		out.Drink.Lines = append(out.Drink.Lines, added)
	}
	return out, nil
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
	added.Amount = d.MeasureOf(added, whole/r.Factor)
	measured := added
	measured.Amount = nearestMeasure(d, added, rest)
	return Addition{
		Name: line.Ingredient.Name, InCupG: g, ToRestG: rest, ToRest: measured.Amount.String(),
		WholeBatch: added.Amount.String(),
	}, added, nil
}

// nearestMeasure writes a mass in cups and spoons within the line's tolerance.
func nearestMeasure(d *reckon.Drink, l recipe.Line, g float64) quantity.Amount {
	if bulk := l.BulkGPerML(); bulk > 0 {
		a, _ := quantity.Kitchen(g/bulk, d.System, l.Tolerance())
		return a
	}
	return quantity.Of(reckon.FourFigures(g), quantity.Gram)
}

// fieldOf is the field an error belongs to.
func fieldOf(err error) string {
	if e, ok := err.(*fault.Error); ok {
		return e.Field
	}
	return "amount"
}
