package ingredient

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"kcalPerAlcohol":      {float64(kcalPerAlcohol), 7},
		"kcalPerCarbohydrate": {float64(kcalPerCarbohydrate), 4},
		"kcalPerErythritol":   {float64(kcalPerErythritol), 0.2},
		"kcalPerFat":          {float64(kcalPerFat), 9},
		"kcalPerProtein":      {float64(kcalPerProtein), 4},
		"kcalPerXylitol":      {float64(kcalPerXylitol), 2.4},
		"lettersPerError":     {float64(lettersPerError), 6},
		"maxGPerCup":          {float64(maxGPerCup), 5000},
		"maxPer100G":          {float64(maxPer100G), 100.5},
		"maxSearch":           {float64(maxSearch), 120},
		"maxSodiumMg":         {float64(maxSodiumMg), 40000},
		"minMisspelt":         {float64(minMisspelt), 3},
		"minSlip":             {float64(minSlip), 5},
		"minTwoSlips":         {float64(minTwoSlips), 8},
		"roastedWaterShare":   {float64(roastedWaterShare), 0.02},
		"saltOnSalted":        {float64(saltOnSalted), 0.012},
		"saltSodiumMg":        {float64(saltSodiumMg), 387.6},
		"soakedFromH":         {float64(soakedFromH), 1},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
