package recipe

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"MaxLines":    {float64(MaxLines), 300},
		"MaxScaleG":   {float64(MaxScaleG), 1e+06},
		"cmPerInch":   {float64(cmPerInch), 2.54},
		"easedFrom":   {float64(easedFrom), 2},
		"easedPower":  {float64(easedPower), 0.8},
		"maxServings": {float64(maxServings), 100000},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
