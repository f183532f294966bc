package serve

import (
	"fmt"
	"math"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

const maxPortions = 12 // jugs on one counter

// Split divides one base into finished drinks, each the base's lines at its
// share and its own additions. The error, a *fault.Error, names "portions",
// "portions[n].name" or "portions[n].ml".
func Split(d *reckon.Drink, portions []recipe.Portion) ([]reckon.Drink, error) {
	r, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	if r.Drink == nil {
		return nil, fault.New("portions", "", "nothing-to-split")
	}
	shares, err := sharesOf(portions, r.Drink.VolumeML)
	if err != nil {
		return nil, err
	}
	drinks := make([]reckon.Drink, len(portions))
	for n, p := range portions {
		drinks[n] = *d
		drinks[n].Name, drinks[n].Size = p.Name, recipe.Size{}
		drinks[n].Method.Share = shares[n]
		drinks[n].Lines = make([]recipe.Line, 0, len(d.Lines)+len(p.Lines))
		for m, line := range d.Lines {
			if l := r.Lines[m]; l.Understood && l.Err == nil && !line.Amount.IsOpen() {
				line.Amount = d.MeasureOf(line, l.MassG*shares[n])
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
func sharesOf(portions []recipe.Portion, thereML float64) ([]float64, error) {
	if len(portions) < 2 || len(portions) > maxPortions {
		return nil, fault.New("portions", fmt.Sprint(len(portions)), "portions-out-of-range", maxPortions)
	}
	taken, open := 0., 0
	for n, p := range portions {
		if p.Name == "" {
			return nil, fault.New(fmt.Sprintf("portions[%d].name", n), "", "portion-needs-a-name")
		}
		if !(p.ML >= 0 && p.ML <= thereML*1.0001) {
			return nil, fault.New(fmt.Sprintf("portions[%d].ml", n), fmt.Sprint(p.ML), "more-than-there-is", thereML)
		}
		taken += p.ML
		if p.ML == 0 {
			open++
		}
	}
	left := thereML - taken
	if left < -thereML*1e-4 || open > 0 && left <= 0 {
		return nil, fault.New("portions", "", "portions-over-base", taken, thereML)
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
