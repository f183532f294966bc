package record

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Every constant of the package, written down once more: a slip in one of the two is noticed, and
// changing one means to. Where each comes from stands beside it. Durations are in minutes.
func TestEveryConstant(t *testing.T) {
	t.Parallel()
	for name, c := range map[string][2]float64{
		"MostNotches":  {float64(MostNotches), 2},
		"Unknown":      {float64(Unknown), -1},
		"ageSD":        {float64(ageSD), 1.5},
		"batchSD":      {float64(batchSD), 0.1},
		"bisections":   {float64(bisections), 40},
		"blendSD":      {float64(blendSD), 0.2},
		"coarse":       {float64(coarse), 2.2},
		"coffeeFat":    {float64(coffeeFat), 6},
		"coldFridgeC":  {float64(coldFridgeC), 4},
		"coldWaterC":   {float64(coldWaterC), 5},
		"coolSD":       {float64(coolSD), 0.75},
		"coolWithinH":  {float64(coolWithinH), 2},
		"farSDs":       {float64(farSDs), 2},
		"fatSD":        {float64(fatSD), 1.5},
		"firmSlime":    {float64(firmSlime), 1.4},
		"freshDays":    {float64(freshDays), 2},
		"fridgeS":      {float64(fridgeS), 1.5},
		"general":      {float64(general), 0.3},
		"goodStars":    {float64(goodStars), 4},
		"heatedSkin":   {float64(heatedSkin), 1.6},
		"lastYields":   {float64(lastYields), 6},
		"leastBatches": {float64(leastBatches), 3},
		"leastMove":    {float64(leastMove), 0.01},
		"leastShare":   {float64(leastShare), 0.2},
		"leastStep":    {float64(leastStep), 0.25},
		"littleSaltMg": {float64(littleSaltMg), 20},
		"lookBackDays": {float64(lookBackDays), 120},
		"mostCauses":   {float64(mostCauses), 4},
		"mostInsights": {float64(mostInsights), 5},
		"mostScoops":   {float64(mostScoops), 4},
		"mostShare":    {float64(mostShare), 3},
		"mostStep":     {float64(mostStep), 4},
		"notchFat":     {float64(notchFat), 0.85},
		"notchSalt":    {float64(notchSalt), 0.75},
		"notchSpice":   {float64(notchSpice), 0.8},
		"notchSweet":   {float64(notchSweet), 0.85},
		"notchWater":   {float64(notchWater), 0.85},
		"offShare":     {float64(offShare), 0.04},
		"outsideH":     {float64(outsideH), 1},
		"overSD":       {float64(overSD), 0.06},
		"passes":       {float64(passes), 0.45},
		"rangeSDs":     {float64(rangeSDs), 1.5},
		"roundML":      {float64(roundML), 50},
		"rounds":       {float64(rounds), 30},
		"saltedGPerL":  {float64(saltedGPerL), 0.37},
		"settled":      {float64(settled), 0.0001},
		"skinFromC":    {float64(skinFromC), 70},
		"slimeFromC":   {float64(slimeFromC), 15},
		"soakSD":       {float64(soakSD), 0.15},
		"spoonNear":    {float64(spoonNear), 0.075},
		"stepSD":       {float64(stepSD), 0.25},
		"stepsFrom":    {float64(stepsFrom), 3},
		"surely":       {float64(surely), 0.05},
		"surelySE":     {float64(surelySE), 2},
		"tasteOff":     {float64(tasteOff), 0.5},
		"wasteShare":   {float64(wasteShare), 0.15},
		"waterSD":      {float64(waterSD), 6},
		"wetSkins":     {float64(wetSkins), 0.9},
	} {
		assert.InDelta(t, c[1], c[0], 1e-9, name)
	}
}
