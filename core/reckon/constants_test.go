package reckon

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"DefaultFridgeC":   {float64(DefaultFridgeC), 4},
		"DefaultJugML":     {float64(DefaultJugML), 1500},
		"DefaultRawC":      {float64(DefaultRawC), 46},
		"DilutionGlassML":  {float64(DilutionGlassML), 200},
		"FinishedC":        {float64(FinishedC), 4},
		"bedVoids":         {float64(bedVoids), 0.4},
		"brewedC":          {float64(brewedC), 95},
		"brewedShare":      {float64(brewedShare), 0.5},
		"concentrateFromG": {float64(concentrateFromG), 40},
		"coverByMore":      {float64(coverByMore), 1.1},
		"creamPct":         {float64(creamPct), 18},
		"creamerLiquid":    {float64(creamerLiquid), 3.5},
		"creamerPct":       {float64(creamerPct), 7},
		"creamerSpice":     {float64(creamerSpice), 4},
		"differs":          {float64(differs), 0.01},
		"differsLeast":     {float64(differsLeast), 0.05},
		"driedWaterShare":  {float64(driedWaterShare), 0.08},
		"factorAccuracy":   {float64(factorAccuracy), 1e-09},
		"factorSteps":      {float64(factorSteps), 40},
		"fewMeasures":      {float64(fewMeasures), 3},
		"hotShare":         {float64(hotShare), 0.5},
		"jugHeadroom":      {float64(jugHeadroom), 1.12},
		"jugTicks":         {float64(jugTicks), 6},
		"leastChange":      {float64(leastChange), 0.05},
		"leastLine":        {float64(leastLine), 0.005},
		"leastShown":       {float64(leastShown), 0.005},
		"nogFromG":         {float64(nogFromG), 3},
		"nogNutmegGPerL":   {float64(nogNutmegGPerL), 0.8},
		"nogSpiceShare":    {float64(nogSpiceShare), 0.5},
		"openBaseML":       {float64(openBaseML), 236.6},
		"openRatio":        {float64(openRatio), 4},
		"openRoom":         {float64(openRoom), 2},
		"roastedC":         {float64(roastedC), 100},
		"roomC":            {float64(roomC), 20},
		"SameAmount":       {float64(SameAmount), 0.0005},
		"smallML":          {float64(smallML), 5},
		"topUpG":           {float64(topUpG), 1e-07},
		"topUpRounds":      {float64(topUpRounds), 12},
		"twoMonthDays":     {float64(twoMonthDays), 60},
		"weekDays":         {float64(weekDays), 7},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
