package process

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"HeldSpread":       {float64(HeldSpread), 0.25},
		"HotFillC":         {float64(HotFillC), 85},
		"TapC":             {float64(TapC), 15},
		"VentFromC":        {float64(VentFromC), 60},
		"WallShare":        {float64(WallShare), 0.02},
		"belowLoss":        {float64(belowLoss), 2},
		"boilLoss":         {float64(boilLoss), 35},
		"boilingC":         {float64(boilingC), 100},
		"brewHolds":        {float64(brewHolds), 2.8},
		"coveredShare":     {float64(coveredShare), 0.1},
		"foamShare":        {float64(foamShare), 0.01},
		"fridgeSoaks":      {float64(fridgeSoaks), 0.5},
		"grainFromC":       {float64(grainFromC), 5},
		"grainPerC":        {float64(grainPerC), 1.03},
		"grainSeconds":     {float64(grainSeconds), 30},
		"grainStarch":      {float64(grainStarch), 0.25},
		"grainStarchLeast": {float64(grainStarchLeast), 0.15},
		"grainStarchMost":  {float64(grainStarchMost), 0.6},
		"highSpeedWatts":   {float64(highSpeedWatts), 500},
		"leastSeconds":     {float64(leastSeconds), 30},
		"leastWaterStays":  {float64(leastWaterStays), 0.1},
		"losesFromC":       {float64(losesFromC), 90},
		"meltingHeat":      {float64(meltingHeat), 334},
		"mostApart":        {float64(mostApart), 60},
		"mostCue":          {float64(mostCue), 500},
		"mostFreed":        {float64(mostFreed), 0.95},
		"mostGroundC":      {float64(mostGroundC), 98},
		"mostOfOthers":     {float64(mostOfOthers), 0.64},
		"nightHighH":       {float64(nightHighH), 12},
		"nightLowH":        {float64(nightLowH), 8},
		"oatsHold":         {float64(oatsHold), 0.875},
		"oatsSlimeHolds":   {float64(oatsSlimeHolds), 1.3},
		"oatsSwellFromC":   {float64(oatsSwellFromC), 50},
		"oatsSwellOver":    {float64(oatsSwellOver), 15},
		"panCM":            {float64(panCM), 20},
		"panMostML":        {float64(panMostML), 2500},
		"panWatts":         {float64(panWatts), 1000},
		"rawGrainHolds":    {float64(rawGrainHolds), 0.5},
		"regularWatts":     {float64(regularWatts), 150},
		"rinsedThrown":     {float64(rinsedThrown), 2},
		"secondsAnHour":    {float64(secondsAnHour), 3600},
		"seedHolds":        {float64(seedHolds), 0.3},
		"simmerLoss":       {float64(simmerLoss), 15},
		"soakWaterTimes":   {float64(soakWaterTimes), 2.5},
		"soakedAtLeast":    {float64(soakedAtLeast), 0.85},
		"soyFat":           {float64(soyFat), 0.75},
		"soyHolds":         {float64(soyHolds), 1.4},
		"soyMinutes":       {float64(soyMinutes), 10},
		"soyProtein":       {float64(soyProtein), 0.8},
		"sugarsAlways":     {float64(sugarsAlways), 0.95},
		"tauHigh":          {float64(tauHigh), 15},
		"tauRegular":       {float64(tauRegular), 40},
		"tauSoftHigh":      {float64(tauSoftHigh), 10},
		"tauSoftRegular":   {float64(tauSoftRegular), 25},
		"toastedShare":     {float64(toastedShare), 0.95},
		"underBoilC":       {float64(underBoilC), 95},
		"usualLoadML":      {float64(usualLoadML), 1500},
		"usualRoomC":       {float64(usualRoomC), 20},
		"warmC":            {float64(warmC), 80},
		"whiskedShare":     {float64(whiskedShare), 0.8},
		"widePanCM":        {float64(widePanCM), 24},
		"widePanMostML":    {float64(widePanMostML), 4000},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
