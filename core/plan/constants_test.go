package plan

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"HabitFrom":       {time.Duration(HabitFrom).Minutes(), 80640},
		"LearnFrom":       {time.Duration(LearnFrom).Minutes(), 20160},
		"Slot":            {time.Duration(Slot).Minutes(), 5},
		"Unlimited":       {time.Duration(Unlimited).Minutes(), 600000},
		"aheadOf":         {time.Duration(aheadOf).Minutes(), 720},
		"blendInMin":      {float64(blendInMin), 1},
		"bloomC":          {float64(bloomC), 40},
		"bloomMin":        {float64(bloomMin), 3},
		"bloomWaitMin":    {float64(bloomWaitMin), 30},
		"bottleDepthCM":   {float64(bottleDepthCM), 15},
		"bottleML":        {float64(bottleML), 500},
		"bottleMin":       {float64(bottleMin), 6},
		"brewC":           {float64(brewC), 95},
		"brewMin":         {float64(brewMin), 10},
		"changeEveryH":    {float64(changeEveryH), 24},
		"changeMin":       {float64(changeMin), 5},
		"chillBestMin":    {float64(chillBestMin), 240},
		"chillMin":        {float64(chillMin), 120},
		"cooledC":         {float64(cooledC), 5},
		"costLength":      {float64(costLength), 1.6777216e+07},
		"costVisit":       {float64(costVisit), 16384},
		"crushMin":        {float64(crushMin), 1},
		"dayMin":          {float64(dayMin), 1440},
		"drainMin":        {float64(drainMin), 5},
		"emptyMin":        {float64(emptyMin), 1},
		"enoughShare":     {float64(enoughShare), 0.25},
		"exactShare":      {float64(exactShare), 0.005},
		"farthestDay":     {float64(farthestDay), 365},
		"freezingBothers": {float64(freezingBothers), 5},
		"fridgeMostH":     {float64(fridgeMostH), 72},
		"fridgeTimes":     {float64(fridgeTimes), 3},
		"habitBatches":    {float64(habitBatches), 3},
		"halvesEveryC":    {float64(halvesEveryC), 8},
		"heatMinPerL":     {float64(heatMinPerL), 8},
		"iceMin":          {float64(iceMin), 2},
		"keepsSpare":      {time.Duration(keepsSpare).Minutes(), 60},
		"latestBy":        {float64(latestBy), 1152},
		"lightShare":      {float64(lightShare), 0.05},
		"loadMin":         {float64(loadMin), 3},
		"maxSlots":        {float64(maxSlots), 6048},
		"minJuiceMin":     {float64(minJuiceMin), 5},
		"minWeighedG":     {float64(minWeighedG), 0.005},
		"never":           {float64(never), 2.305843009213694e+18},
		"oneVisit":        {float64(oneVisit), 3},
		"oneVisitTime":    {time.Duration(oneVisitTime).Minutes(), 15},
		"pitMin":          {float64(pitMin), 5},
		"polishRounds":    {float64(polishRounds), 2},
		"pourMin":         {float64(pourMin), 2},
		"prepareMin":      {float64(prepareMin), 2},
		"provedUpTo":      {float64(provedUpTo), 3},
		"readyHour":       {float64(readyHour), 18},
		"readyMin":        {float64(readyMin), 10},
		"rinseMin":        {float64(rinseMin), 3},
		"roundingG":       {float64(roundingG), 1e-06},
		"rubMin":          {float64(rubMin), 10},
		"settles":         {time.Duration(settles).Minutes(), 0.025},
		"skimMin":         {float64(skimMin), 2},
		"smallShare":      {float64(smallShare), 0.02},
		"soakWaterTimes":  {float64(soakWaterTimes), 2.5},
		"spareTimes":      {float64(spareTimes), 1.1},
		"splitMin":        {float64(splitMin), 5},
		"stirMin":         {float64(stirMin), 4},
		"swellsUnknown":   {float64(swellsUnknown), 2},
		"tasteMin":        {float64(tasteMin), 3},
		"thawedGoodDays":  {float64(thawedGoodDays), 2},
		"toastC":          {float64(toastC), 160},
		"toastMin":        {float64(toastMin), 12},
		"triesBeyond":     {float64(triesBeyond), 60},
		"triesProved":     {float64(triesProved), 20000},
		"vesselStepML":    {float64(vesselStepML), 50},
		"warmsFromC":      {float64(warmsFromC), 20},
		"washMin":         {float64(washMin), 10},
		"whiskC":          {float64(whiskC), 80},
		"whiskMin":        {float64(whiskMin), 15},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
