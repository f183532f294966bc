package keep

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
		"ColdC":             {float64(ColdC), 5},
		"ColdMost":          {time.Duration(ColdMost).Minutes(), 360},
		"CookedC":           {float64(CookedC), 57},
		"FirstC":            {float64(FirstC), 21},
		"FirstMost":         {time.Duration(FirstMost).Minutes(), 120},
		"Overfill":          {float64(Overfill), 1.02},
		"RoomMost":          {time.Duration(RoomMost).Minutes(), 240},
		"WarmFridgeC":       {float64(WarmFridgeC), 5},
		"boiledDays":        {float64(boiledDays), 1},
		"coldC":             {float64(coldC), 1},
		"coldWarning":       {time.Duration(coldWarning).Minutes(), 90},
		"coldestC":          {float64(coldestC), -15},
		"commonDepthCM":     {float64(commonDepthCM), 10},
		"countsFrom":        {time.Duration(countsFrom).Minutes(), 30},
		"fatty":             {float64(fatty), 0.2},
		"filledActivity":    {float64(filledActivity), 0.92},
		"filledAsAny":       {float64(filledAsAny), 0.95},
		"filledCautious":    {float64(filledCautious), 30},
		"filledCustomary":   {float64(filledCustomary), 60},
		"firstWarning":      {time.Duration(firstWarning).Minutes(), 40},
		"freezerC":          {float64(freezerC), -18},
		"fresh":             {float64(fresh), 0.4},
		"fridgeSwingsByC":   {float64(fridgeSwingsByC), 1},
		"gapAfter":          {time.Duration(gapAfter).Minutes(), 30},
		"hotFridgeC":        {float64(hotFridgeC), 7},
		"hotRoomC":          {float64(hotRoomC), 32},
		"joinsWithin":       {time.Duration(joinsWithin).Minutes(), 60},
		"lagPerML":          {time.Duration(lagPerML).Minutes(), 0.09},
		"leastDays":         {float64(leastDays), 1},
		"middleCautious":    {float64(middleCautious), 14},
		"middleCustomary":   {float64(middleCustomary), 28},
		"milkJPerMLK":       {float64(milkJPerMLK), 4.1},
		"moist":             {float64(moist), 0.2},
		"molarDouble":       {float64(molarDouble), 342.3},
		"molarHexose":       {float64(molarHexose), 180.16},
		"molarWater":        {float64(molarWater), 18.015},
		"norrishDouble":     {float64(norrishDouble), 6.47},
		"norrishHexose":     {float64(norrishHexose), 2.25},
		"nothingML":         {float64(nothingML), 0.5},
		"oily":              {float64(oily), 0.9},
		"openCautious":      {float64(openCautious), 14},
		"openCustomary":     {float64(openCustomary), 30},
		"outsideHotMost":    {time.Duration(outsideHotMost).Minutes(), 60},
		"outsideMost":       {time.Duration(outsideMost).Minutes(), 120},
		"pulpCautiousDays":  {float64(pulpCautiousDays), 2},
		"pulpCustomaryDays": {float64(pulpCustomaryDays), 3},
		"pulpFrozenDays":    {float64(pulpFrozenDays), 60},
		"roomFromC":         {float64(roomFromC), 15},
		"saturated0Pct":     {float64(saturated0Pct), 64.2},
		"saturated20Pct":    {float64(saturated20Pct), 66.7},
		"scented":           {float64(scented), 0.01},
		"shallowCM":         {float64(shallowCM), 4},
		"spellCustomC":      {float64(spellCustomC), 8},
		"spellMost":         {time.Duration(spellMost).Minutes(), 240},
		"steadyActivity":    {float64(steadyActivity), 0.88},
		"steadyFromDay":     {float64(steadyFromDay), 7},
		"sterileCustomary":  {float64(sterileCustomary), 90},
		"strong":            {float64(strong), 0.2},
		"sweetenedDays":     {float64(sweetenedDays), 2},
		"sweetenedFromG":    {float64(sweetenedFromG), 1},
		"sweetenedToG":      {float64(sweetenedToG), 5},
		"thawHoursPerL":     {float64(thawHoursPerL), 24},
		"thawedMostDays":    {float64(thawedMostDays), 2},
		"unfilledAsAny":     {float64(unfilledAsAny), 0.9},
		"warmShare":         {float64(warmShare), 0.5},
		"warmestC":          {float64(warmestC), 45},
		"yardstickDays":     {float64(yardstickDays), 7},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
