package keep

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

// Water activity of sucrose at 25 °C (Starzak and Peacock, Zuckerindustrie 122, 1997): the Norrish
// form agrees within .002 up to saturation.
func TestWaterActivityOfSucroseAsMeasured(t *testing.T) {
	t.Parallel()
	for brix, activity := range map[float64]float64{12: .9925, 20: .9858, 40: .9585, 50: .9341, 60: .8947, 65: .8654, 67.5: .8472} {
		var c ingredient.Content
		c[ingredient.Sucrose], c[ingredient.Water] = brix, 100-brix
		assert.InDelta(t, activity, WaterActivity(c), .0025, "%g °Bx", brix)
		assert.InDelta(t, brix, Brix(c), 1e-9)
	}
}

// Glucose and fructose by Norrish (1966): ln(aw/x1) = −2.25·x2². Half and half by mass in water
// x2 = (50/180.16)/(50/180.16 + 50/18.015) = .09091, aw = .9091·e^(−2.25·.008264) = .8923. Measured
// for glucose at that strength: .896 (Taylor and Rowlinson 1955, from memory). Honey of 17 % water,
// whose sugars are nearly all these two, lies at .56 to .62 (Chirife and others 2006, from memory).
func TestWaterActivityOfHexosesAndHoney(t *testing.T) {
	t.Parallel()
	for _, component := range []ingredient.Component{ingredient.Glucose, ingredient.Fructose, ingredient.Galactose} {
		var c ingredient.Content
		c[component], c[ingredient.Water] = 50, 50
		x2 := (50 / 180.16) / (50/180.16 + 50/18.015)
		assert.InDelta(t, (1-x2)*math.Exp(-2.25*x2*x2), WaterActivity(c), 1e-9)
		assert.InDelta(t, .896, WaterActivity(c), .006)
	}
	var honey ingredient.Content
	honey[ingredient.Fructose], honey[ingredient.Glucose], honey[ingredient.Sucrose], honey[ingredient.Water] = 41, 34, 5, 17
	assert.InDelta(t, .59, WaterActivity(honey), .06)
	var mixed ingredient.Content
	mixed[ingredient.Lactose], mixed[ingredient.Maltose], mixed[ingredient.Water] = 20, 20, 60
	var sucrose ingredient.Content
	sucrose[ingredient.Sucrose], sucrose[ingredient.Water] = 40, 60
	assert.InDelta(t, WaterActivity(sucrose), WaterActivity(mixed), 1e-12, "disaccharides count as sucrose")
	assert.Zero(t, WaterActivity(ingredient.Content{}))
	var water ingredient.Content
	water[ingredient.Water] = 1
	assert.InDelta(t, 1, WaterActivity(water), 1e-12)
}

// Sucrose in water: 64.2 % by mass at 0 °C, 66.7 at 20 (ICUMSA, from memory); colder than ice it
// stays as at 0, and what does not dissolve binds no water.
func TestWhatWaterHoldsOfSugar(t *testing.T) {
	t.Parallel()
	for tempC, pct := range map[float64]float64{-5: 64.2, 0: 64.2, 10: 65.45, 20: 66.7, 4: 64.7} {
		assert.InDelta(t, pct, SaturatedPct(tempC), 1e-9, "%g °C", tempC)
	}
	var thick ingredient.Content
	thick[ingredient.Sucrose], thick[ingredient.Water] = 90, 10
	assert.InDelta(t, 10*66.7/33.3, Dissolved(thick, 20)[ingredient.Sucrose], 1e-9)
	thick[ingredient.Sucrose] = 5
	assert.InDelta(t, 5, Dissolved(thick, 20)[ingredient.Sucrose], 1e-9)
}
