package reckon

import (
	"fmt"
	"math"

	"plushladle/core/fault"
	"plushladle/core/recipe"
)

// Factor is the growth that brings the drink to its size.
// The error names "size.by" or "size.value".
func (d *Drink) Growth(lines []Weighed) (float64, error) {
	if err := d.Size.Check(); err != nil {
		return 0, err
	}
	switch d.Size.By {
	case recipe.AsWritten:
		return 1, nil
	case recipe.ByTimes:
		return d.Size.Value, nil
	case recipe.ByBase:
		return d.solveFactor(lines, "size-needs-a-base", func(b *Batch) float64 { return b.BaseG })
	case recipe.ByServings, recipe.ByBottles, recipe.ByDays:
		target := *d
		target.Size = recipe.Size{By: recipe.ByVolume, Value: math.Max(1, d.wantedML(lines))}
		return target.Growth(lines)
	}
	return d.solveFactor(lines, "size-needs-lines", func(b *Batch) float64 { return b.VolumeML })
}

// wantedML is the volume that the size comes to.
func (d *Drink) wantedML(lines []Weighed) float64 {
	each := d.Size.EachML
	if each == 0 || d.Size.By == recipe.ByServings {
		kind, _ := d.Mix(lines, 1).kind()
		each = d.servingML(kind)
	}
	if d.Size.By == recipe.ByDays {
		each *= d.Size.PerDay
	}
	return d.Size.Value * each
}

const (
	factorSteps    = 40   // halvings, more than enough
	factorAccuracy = 1e-9 // a share
)

// solveFactor finds the growth at which measure reaches the size's value. The
// measure grows with the factor, nearly in step, so that scaling by the share
// still missing closes in fast; locked lines and eased spice slow it only.
func (d *Drink) solveFactor(lines []Weighed, needs string, measure func(*Batch) float64) (float64, error) {
	factor := 1.
	for range factorSteps {
		got := measure(d.Mix(lines, factor))
		if got <= 0 {
			return 0, fault.New("size.value", fmt.Sprint(d.Size.Value), needs)
		}
		share := d.Size.Value / got
		if math.Abs(share-1) < factorAccuracy {
			return factor, nil
		}
		factor *= share
		if factor < 1e-6 || factor > 1e6 {
			break
		}
	}
	if got := measure(d.Mix(lines, factor)); math.Abs(got/d.Size.Value-1) < 1e-4 {
		return factor, nil
	}
	if !d.anyLocked() {
		return 0, fault.New("size.value", fmt.Sprint(d.Size.Value), "size-not-reached")
	}
	return 0, fault.New("size.value", fmt.Sprint(d.Size.Value), "size-not-reached-locked")
}

// anyLocked tells whether a line stays as it is while the rest is scaled.
func (d *Drink) anyLocked() bool {
	for _, l := range d.Lines {
		if l.Locked {
			return true
		}
	}
	return false
}
