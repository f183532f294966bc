package solve

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"bisectRounds":    {float64(bisectRounds), 8},
		"bisectSteps":     {float64(bisectSteps), 50},
		"fewScoops":       {float64(fewScoops), 4},
		"iceRounds":       {float64(iceRounds), 8},
		"leastFat":        {float64(leastFat), 0.005},
		"leastG":          {float64(leastG), 0.001},
		"leastIceG":       {float64(leastIceG), 0.5},
		"leastShare":      {float64(leastShare), 0.01},
		"leastStockG":     {float64(leastStockG), 30},
		"litreCups":       {float64(litreCups), 4},
		"makingH":         {float64(makingH), 1.5},
		"matchLeastBaseG": {float64(matchLeastBaseG), 30},
		"matchLeastG":     {float64(matchLeastG), 1},
		"matchLeastWater": {float64(matchLeastWater), 1.25},
		"matchLitresML":   {float64(matchLitresML), 1000},
		"matchMostBaseG":  {float64(matchMostBaseG), 320},
		"matchMostOilG":   {float64(matchMostOilG), 200},
		"matchMostSugarG": {float64(matchMostSugarG), 350},
		"matchOf":         {float64(matchOf), 0.1},
		"matchesShown":    {float64(matchesShown), 3},
		"met":             {float64(met), 1e-07},
		"milkReadBy":      {float64(milkReadBy), 0.01},
		"mostBaseTimes":   {float64(mostBaseTimes), 8},
		"mostBaseToSwap":  {float64(mostBaseToSwap), 2.5},
		"mostSpiceShare":  {float64(mostSpiceShare), 0.05},
		"mostTimes":       {float64(mostTimes), 4},
		"mostWrong":       {float64(mostWrong), 0.34},
		"nudgeG":          {float64(nudgeG), 0.0001},
		"nudgeShare":      {float64(nudgeShare), 0.0001},
		"nudgedVolume":    {float64(nudgedVolume), 0.03},
		"plantMilkGPerML": {float64(plantMilkGPerML), 1.01},
		"quickSoakH":      {float64(quickSoakH), 1.5},
		"richnesses":      {float64(richnesses), 3},
		"solverRounds":    {float64(solverRounds), 14},
		"workBackHalf":    {float64(workBackHalf), 60},
		"workBackMost":    {float64(workBackMost), 20000},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
