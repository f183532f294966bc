package serve

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"agedShare":      {float64(agedShare), 0.6},
		"coffeeC":        {float64(coffeeC), 75},
		"coffeeCupML":    {float64(coffeeCupML), 200},
		"fridgeServeC":   {float64(fridgeServeC), 4},
		"glassC":         {float64(glassC), 8},
		"maxPortions":    {float64(maxPortions), 12},
		"splitsAboveC":   {float64(splitsAboveC), 80},
		"splitsBelowFat": {float64(splitsBelowFat), 4},
		"tablespoonML":   {float64(tablespoonML), 15},
		"waterGPerML":    {float64(waterGPerML), 0.9982},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
