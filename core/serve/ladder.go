package serve

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Rung is what a drink becomes when it is let down with water.
type Rung struct {
	Name   say.Text // "creamer 1 : 2", "half-and-half"
	Note   say.Text // where its figure comes from
	WaterG float64  // added
	ML     float64  // in all, the water included
	FatPct float64  // after it
	SweetG float64  // sucrose equivalents per 100 mL
}

// strengthRungs are ratios of dry base to water in cups (common practice).
var strengthRungs = []struct {
	name  string
	ratio float64
}{{"rung-paste", 0.5}, {"rung-sauce", 0.75}, {"rung-cream", 1}, {"rung-creamer", 1.5}, {"rung-creamer", 2}, {"rung-rich-milk", 3}, {"rung-milk", 4}, {"rung-light", 5}, {"rung-light", 6}}

// fatRungs are the least fat of dairy's names. Source: 21 CFR 131.150 (heavy),
// 131.157 (light whipping), 131.155 (light cream), 131.180 (half-and-half),
// 131.110 (milk).
var fatRungs = []struct {
	name   string
	fatPct float64
	rule   string
}{{"dairy-heavy-cream", 36, "131.150"}, {"dairy-light-whipping-cream", 30, "131.157"}, {"dairy-light-cream", 18, "131.155"}, {"dairy-half-and-half", 10.5, "131.180"}, {"dairy-milk", 3.25, "131.110"}}

// LetDown is the water, in g, that brings a mass at a concentration down to a
// lower one: M·(c/c′ − 1). 0 where it is lower already.
func LetDown(massG, from, to float64) float64 {
	if to <= 0 || from <= to {
		return 0
	}
	return massG * (from/to - 1)
}

// Ladder is what the finished drink becomes rung by rung: by strength, let
// down to the solids the same base would give ground weaker, and by fat.
func Ladder(r *reckon.Reckoning) []Rung {
	if r.Batch == nil {
		return nil
	}
	if r.Kind == recipe.Concentrate {
		return spoonfuls(r)
	}
	var rungs []Rung
	if r.Ratio != nil {
		for _, s := range strengthRungs {
			if s.ratio > r.Ratio.ByVolume*1.01 {
				water := (s.ratio - r.Ratio.ByVolume) * r.Batch.BaseML * waterGPerML
				rungs = append(rungs, rung(r, say.Of(s.name, s.ratio), say.Of("by-cups"), water))
			}
		}
	}
	for _, f := range fatRungs {
		if f.fatPct < r.FatPct {
			rungs = append(rungs, rung(r, say.Of(f.name), say.Of("rung-rule", f.fatPct, f.rule), LetDown(r.Drink.MassG, r.FatPct, f.fatPct)))
		}
	}
	slices.SortStableFunc(rungs, func(a, b Rung) int { return cmp.Compare(a.WaterG, b.WaterG) })
	return rungs
}

// glassSpoons are how many tablespoons of a concentrate go to a glass (common
// practice), the strongest first.
var glassSpoons = []float64{4, 3, 2, 1}

const tablespoonML = 15 // mL, metric: what a ladder is stirred with

// spoonfuls are the rungs of a concentrate, which is let down glass by glass.
func spoonfuls(r *reckon.Reckoning) []Rung {
	rungs := make([]Rung, len(glassSpoons))
	for n, spoons := range glassSpoons {
		glasses := r.Drink.VolumeML / (spoons * tablespoonML)
		name := say.Of("spoons-to-a-glass", spoons)
		if spoons == 1 {
			name = say.Of("spoon-to-a-glass")
		}
		rungs[n] = rung(r, name, say.Of("water-each", reckon.DilutionGlassML), glasses*reckon.DilutionGlassML*waterGPerML)
	}
	return rungs
}

const waterGPerML = 0.9982 // at 20 °C; source: IAPWS

// rung is the drink thinned by so much water.
func rung(r *reckon.Reckoning, name, note say.Text, waterG float64) Rung {
	c := r.Batch.Finished
	c[ingredient.Water] += waterG
	ml := process.VolumeML(c, reckon.FinishedC)
	return Rung{
		Name: name, Note: note, WaterG: waterG, ML: ml,
		FatPct: 100 * c[ingredient.Fat] / c.MassG(), SweetG: c.SucroseEquivalentG() / ml * 100,
	}
}

// Pressing is what a second grind of the same pulp gives.
type Pressing struct {
	ML, FatPct, ProteinPct float64 // of one pressing, mL and % by mass
	PulpG                  float64 // what stays behind
}

// PressAgain is the milk from grinding the pulp once more with so much water,
// in g: cream from the first press, milk from the second.
func PressAgain(r *reckon.Reckoning, waterG float64) (Pressing, error) {
	if r.Batch == nil || r.PulpG == 0 {
		return Pressing{}, fault.New("waterG", "", "no-pulp-to-press")
	}
	if !(waterG > 0 && waterG <= recipe.MaxScaleG) {
		return Pressing{}, fault.New("waterG", fmt.Sprint(waterG), "water-out-of-range")
	}
	b := r.Batch
	milk, pulp := b.Made.Again(waterG, b.Method)
	if milk.MassG() == 0 {
		return Pressing{PulpG: pulp.MassG()}, nil
	}
	return Pressing{
		ML: process.VolumeML(milk, reckon.FinishedC), PulpG: pulp.MassG(),
		FatPct: 100 * milk[ingredient.Fat] / milk.MassG(), ProteinPct: 100 * milk[ingredient.Protein] / milk.MassG(),
	}, nil
}

// Blended is how much of two liquids makes a third.
type Blended struct {
	AG, BG, AML, BML float64 // of each, by mass and by volume
	FatPct           float64 // reached
	SolidsPct        float64 // reached
}

// BlendOf is what two liquids are blended for.
type BlendOf string

// What a blend can be made for.
const (
	ForFat    BlendOf = "fat"    // whole milk's 3.5, say
	ForSolids BlendOf = "solids" // everything but water
)

// pct is the share of a drink's mass that the blend is made for, %.
func (f BlendOf) pct(c *ingredient.Content) float64 {
	if f == ForFat {
		return 100 * c[ingredient.Fat] / c.MassG()
	}
	return 100 * (1 - c[ingredient.Water]/c.MassG())
}

// Square is how much of two liquids, in g, makes massG of one at the target:
// the Pearson square. The error, a *fault.Error, names "target".
func Square(a, b, target, massG float64) (aG, bG float64, err error) {
	low, high := math.Min(a, b), math.Max(a, b)
	if !(target >= low && target <= high) || low == high {
		return 0, 0, fault.New("target", fmt.Sprintf("%g", target), "not-between-the-two", low, high)
	}
	share := (target - b) / (a - b)
	return massG * share, massG * (1 - share), nil
}

// BlendTwo makes volumeML of a blend of two liquids at a fat or solids target, in
// % by mass. The error, a *fault.Error, names "target", "volumeML" or "of".
func BlendTwo(a, b *ingredient.Ingredient, of BlendOf, target, volumeML float64) (Blended, error) {
	if of != ForFat && of != ForSolids {
		return Blended{}, fault.New("of", string(of), "unknown-blend")
	}
	if !(volumeML > 0 && volumeML <= recipe.MaxScaleG) {
		return Blended{}, fault.New("volumeML", fmt.Sprint(volumeML), "volume-out-of-range")
	}
	aShare, bShare, err := Square(of.pct(&a.PerGram), of.pct(&b.PerGram), target, 1)
	if err != nil {
		return Blended{}, err
	}
	each := a.PerGram.Times(aShare / a.PerGram.MassG()).Plus(b.PerGram.Times(bShare / b.PerGram.MassG()))
	massG := volumeML / process.VolumeML(each, reckon.FinishedC)
	return Blended{
		AG: massG * aShare, BG: massG * bShare, AML: massG * aShare / a.BulkGPerML, BML: massG * bShare / b.BulkGPerML,
		FatPct: ForFat.pct(&each), SolidsPct: ForSolids.pct(&each),
	}, nil
}

// FatToReach is the oil, in g, that brings a mass with so much fat to a share
// of fat t by mass: (tM − F)/(1 − t).
func FatToReach(massG, fatG, t float64) float64 { return (t*massG - fatG) / (1 - t) }
