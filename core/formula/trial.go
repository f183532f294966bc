package formula

import (
	"fmt"
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
)

// Trial is a cup that was sweetened or spiced first.
type Trial struct {
	CupML    float64
	Lines    []recipe.Line // what went into the cup
	Returned bool          // the cup is poured back, and so part of the batch again
}

// Addition is what a line of a trial comes to.
type Addition struct {
	Name       string
	InCupG     float64
	ToRestG    float64 // to be added to what is left in the jug
	ToRest     string  // as a measure
	WholeBatch string  // what the recipe says from now on
}

// Tried is a drink with what the cup taught.
type Tried struct {
	Drink     Drink
	RestML    float64
	AfterML   float64 // in the jug when all is done: with the cup where it is poured back
	Additions []Addition
}

// TryCup scales what went into a cup to the rest of the batch. The drink gets
// the additions as lines after straining, at the batch's full size, so that
// made again it tastes as the cup did. The error, a *fault.Error, names
// "cupML" or "lines[n].amount".
func (d *Drink) TryCup(t Trial) (*Tried, error) {
	r, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	if r.Drink == nil {
		return nil, fault.New("cupML", "", "there is no drink to take a cup of yet", "add a base or a liquid first")
	}
	if !(t.CupML > 0 && t.CupML < r.Drink.VolumeML) {
		return nil, fault.New("cupML", fmt.Sprint(t.CupML), "is not a cup of this batch", fmt.Sprintf("use above 0 and below %.0f mL", r.Drink.VolumeML))
	}
	out := &Tried{Drink: *d, RestML: r.Drink.VolumeML - t.CupML}
	out.AfterML = out.RestML
	if t.Returned {
		out.AfterML = r.Drink.VolumeML
	}
	out.Drink.Lines = slices.Clone(d.Lines)
	for n, line := range t.Lines {
		a, added, err := d.trialLine(line, t, r)
		if err != nil {
			return nil, fault.In(fmt.Sprintf("lines[%d].%s", n, fieldOf(err)), err)
		}
		out.Additions = append(out.Additions, a)
		out.Drink.Lines = append(out.Drink.Lines, added)
	}
	return out, nil
}

func (d *Drink) trialLine(line recipe.Line, t Trial, r *Reckoning) (Addition, recipe.Line, error) {
	if line.Ingredient == nil {
		return Addition{}, line, fault.New("ingredient", line.Name, "is not in the catalogue", "choose one from the list")
	}
	g, _, err := line.Grams(d.System)
	if err != nil {
		return Addition{}, line, err
	}
	if g <= 0 {
		return Addition{}, line, fault.New("amount", line.Amount.String(), "is missing", "say how much went into the cup")
	}
	perML := g / t.CupML
	rest := perML * (r.Drink.VolumeML - t.CupML)
	whole := perML * r.Drink.VolumeML
	added := line
	added.Stage = ingredient.Strained
	added.Amount = d.measureOf(added, whole/r.Factor)
	measured := added
	measured.Amount = d.nearestMeasure(added, rest)
	return Addition{
		Name: line.Ingredient.Name, InCupG: g, ToRestG: rest, ToRest: measured.Amount.String(),
		WholeBatch: added.Amount.String(),
	}, added, nil
}

// nearestMeasure writes a mass in cups and spoons within the line's tolerance.
func (d *Drink) nearestMeasure(l recipe.Line, g float64) quantity.Amount {
	if bulk := l.BulkGPerML(); bulk > 0 {
		a, _ := quantity.Kitchen(g/bulk, d.System, l.Tolerance())
		return a
	}
	return quantity.Of(fourFigures(g), quantity.Gram)
}

func fieldOf(err error) string {
	if e, ok := err.(*fault.Error); ok {
		return e.Field
	}
	return "amount"
}

// Portion is a share of a base that is finished in its own way.
type Portion struct {
	Name  string
	ML    float64       // of the base; 0 for an equal share of what is left
	Lines []recipe.Line // what joins it
}

const maxPortions = 12

// Split divides one base into finished drinks, each the base's lines at its
// share and its own additions. The error, a *fault.Error, names "portions",
// "portions[n].name" or "portions[n].ml".
func (d *Drink) Split(portions []Portion) ([]Drink, error) {
	r, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	if r.Drink == nil {
		return nil, fault.New("portions", "", "there is no base to split yet", "add a base and a liquid first")
	}
	shares, err := sharesOf(portions, r.Drink.VolumeML)
	if err != nil {
		return nil, err
	}
	drinks := make([]Drink, len(portions))
	for n, p := range portions {
		drinks[n] = *d
		drinks[n].Name, drinks[n].Size = p.Name, recipe.Size{}
		drinks[n].Method.Share = shares[n]
		drinks[n].Lines = make([]recipe.Line, 0, len(d.Lines)+len(p.Lines))
		for m, line := range d.Lines {
			if l := r.Lines[m]; l.Err == nil && l.MassG > 0 {
				line.Amount = d.measureOf(line, l.MassG*shares[n])
			}
			drinks[n].Lines = append(drinks[n].Lines, line)
		}
		for _, line := range p.Lines {
			if line.Stage == "" {
				line.Stage = ingredient.Strained
			}
			drinks[n].Lines = append(drinks[n].Lines, line)
		}
	}
	return drinks, nil
}

// sharesOf is each portion's share of the base.
func sharesOf(portions []Portion, thereML float64) ([]float64, error) {
	if len(portions) < 2 || len(portions) > maxPortions {
		return nil, fault.New("portions", fmt.Sprint(len(portions)), "is not a number of portions", fmt.Sprintf("use 2 to %d", maxPortions))
	}
	taken, open := 0., 0
	for n, p := range portions {
		if p.Name == "" {
			return nil, fault.New(fmt.Sprintf("portions[%d].name", n), "", "a portion needs a name", "use 1 to 120 characters")
		}
		if !(p.ML >= 0 && p.ML <= thereML*1.0001) {
			return nil, fault.New(fmt.Sprintf("portions[%d].ml", n), fmt.Sprint(p.ML), "is more than there is", fmt.Sprintf("use at most %.0f mL, or leave it empty for an equal share", thereML))
		}
		taken += p.ML
		if p.ML == 0 {
			open++
		}
	}
	left := thereML - taken
	if left < -thereML*1e-4 || open > 0 && left <= 0 {
		return nil, fault.New("portions", "", fmt.Sprintf("the portions come to %.0f mL and there are %.0f mL", taken, thereML), "take less for some, or make more")
	}
	shares := make([]float64, len(portions))
	for n, p := range portions {
		shares[n] = p.ML / thereML
		if p.ML == 0 {
			shares[n] = math.Max(0, left) / float64(open) / thereML
		}
	}
	return shares, nil
}
