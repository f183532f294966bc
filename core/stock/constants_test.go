package stock

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"leastG":    {float64(leastG), 0.5},
		"mostPacks": {float64(mostPacks), 200},
		"mostSizes": {float64(mostSizes), 6},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
