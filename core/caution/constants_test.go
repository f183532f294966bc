package caution

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"CartonCalciumMg":   {float64(CartonCalciumMg), 1.2},
		"coumarinMgPerKg":   {float64(coumarinMgPerKg), 0.1},
		"freeSugarsFromG":   {float64(freeSugarsFromG), 0.5},
		"looseOilPct":       {float64(looseOilPct), 3},
		"nearEnough":        {float64(nearEnough), 0.95},
		"nutmegGPerDay":     {float64(nutmegGPerDay), 5},
		"poppyGPerKg":       {float64(poppyGPerKg), .5},
		"raisedFrom":        {float64(raisedFrom), 0.5},
		"slimyBlendS":       {float64(slimyBlendS), 30},
		"slimyGroundC":      {float64(slimyGroundC), 20},
		"sucroseSaturation": {float64(sucroseSaturation), 64.2},
		"suggested":         {float64(suggested), 3},
		"warmFridgeC":       {float64(warmFridgeC), 5},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
