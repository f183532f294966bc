package quantity

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"Loose":                {float64(Loose), 0.05},
		"Tight":                {float64(Tight), 0.02},
		"bowlML":               {float64(bowlML), 150},
		"capfulML":             {float64(capfulML), 5},
		"drizzleML":            {float64(drizzleML), 5},
		"dropML":               {float64(dropML), 0.05},
		"exactly":              {float64(exactly), 1e-06},
		"fineTeaspoons":        {float64(fineTeaspoons), 0.25},
		"finest":               {float64(finest), 0.34},
		"glassML":              {float64(glassML), 240},
		"glugML":               {float64(glugML), 15},
		"gramsPerOunce":        {float64(gramsPerOunce), 28.349523125},
		"gramsPerPound":        {float64(gramsPerPound), 453.59237},
		"gramsPerShake":        {float64(gramsPerShake), 0.3},
		"handfulML":            {float64(handfulML), 120},
		"imperialCupML":        {float64(imperialCupML), 284.130625},
		"imperialFluidOunceML": {float64(imperialFluidOunceML), 28.4130625},
		"imperialPintML":       {float64(imperialPintML), 568.26125},
		"imperialTablespoonML": {float64(imperialTablespoonML), 17.758},
		"imperialTeaspoonML":   {float64(imperialTeaspoonML), 5.919},
		"maxAmount":            {float64(maxAmount), 200},
		"maxKitchenTerms":      {float64(maxKitchenTerms), 3},
		"maxMeasures":          {float64(maxMeasures), 24},
		"maxScoops":            {float64(maxScoops), 24},
		"maxTerms":             {float64(maxTerms), 8},
		"maxValue":             {float64(maxValue), 1e+06},
		"maxWaterParts":        {float64(maxWaterParts), 199},
		"minValue":             {float64(minValue), 1e-06},
		"mugML":                {float64(mugML), 300},
		"rounding":             {float64(rounding), 1e-09},
		"saidFrom":             {float64(saidFrom), 0.01},
		"sameFraction":         {float64(sameFraction), 1e-09},
		"shotML":               {float64(shotML), 30},
		"splashML":             {float64(splashML), 5},
		"usCupML":              {float64(usCupML), 236.5882365},
		"usFluidOunceML":       {float64(usFluidOunceML), 29.5735295625},
		"usGallonML":           {float64(usGallonML), 3785.411784},
		"usPintML":             {float64(usPintML), 473.176473},
		"usQuartML":            {float64(usQuartML), 946.352946},
		"usTablespoonML":       {float64(usTablespoonML), 14.78676478125},
		"usTeaspoonML":         {float64(usTeaspoonML), 4.92892159375},
		"waterGPerML":          {float64(waterGPerML), 0.99821},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
