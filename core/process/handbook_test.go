package process

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/ingredient"
)

func of(parts map[ingredient.Component]float64) (c ingredient.Content) {
	for component, g := range parts {
		c[component] = g
	}
	return c
}

// Water and ice by IAPWS (IAPWS-95 and IAPWS-06): density 998.21 kg/m³ at 20 °C, 983.21 at 60,
// 965.32 at 90, 961.90 at 95; heat 4.211 J/g·K at 95 °C; ice melts with 333.4 J/g.
func TestWaterIsAsIAPWSHasIt(t *testing.T) {
	t.Parallel()
	water := of(map[ingredient.Component]float64{ingredient.Water: 100})
	for tempC, kgPerM3 := range map[float64]float64{20: 998.21, 60: 983.21, 90: 965.32, 95: 961.90} {
		assert.InEpsilon(t, kgPerM3/1000, DensityGPerML(water, tempC), .004, "%g °C", tempC)
	}
	assert.InEpsilon(t, 421.1, HeatCapacity(water, 95), .01)
	assert.InEpsilon(t, 418.2, HeatCapacity(water, 20), .013, "IAPWS-95: 4.1844 at 20 °C; Choi and Okos have 4.129")
	assert.InEpsilon(t, 333.4, float64(meltingHeat), .002)
	// 100 g from 60 to 20 °C give 16.7 kJ; each g of ice takes 333.4 and 20 × 4.19 J: 40 g.
	assert.InDelta(t, 100*4.185*40/(333.4+20*4.19), IceG(water, 60, 20), .6)
	assert.Zero(t, IceG(water, 4, 20))
	assert.Zero(t, IceForWaterG(water, 20, 20))
	assert.InDelta(t, 100*4.185*40/(333.4+20*4.19+40*4.185), IceForWaterG(water, 60, 20), .6, "off its own water")
	oily := of(map[ingredient.Component]float64{ingredient.Water: 1, ingredient.Fat: 99})
	assert.InDelta(t, 1, IceForWaterG(oily, 90, 5), 1e-9, "never more than there is")
}

// Sugar in water, specific gravity 20/20 (NIST Circular 440, table 114): 12 °Bx 1.0484, 66 °Bx 1.3252.
func TestSugarWaterIsAsDenseAsTheCircularSays(t *testing.T) {
	t.Parallel()
	for brix, gravity := range map[float64]float64{12: 1.0454 / .99717, 50.08: 1.229, 66: 1.3214 / .99717} {
		syrup := of(map[ingredient.Component]float64{ingredient.Sucrose: brix, ingredient.Water: 100 - brix})
		assert.InEpsilon(t, gravity*.9982, DensityGPerML(syrup, 20), .012, "%g °Bx", brix)
	}
}

// The components of a food by Choi and Okos (1986), as their table has them at 20 °C, and 50 for
// those that bend: worked by hand from the coefficients, J/g·K and g/mL.
func TestEveryComponentByChoiAndOkos(t *testing.T) {
	t.Parallel()
	for component, want := range map[ingredient.Component][4]float64{ // heat at 20 and 50 °C, density at 20 and 50
		ingredient.Water: {4.12927, 4.13804, .995740, .987944}, ingredient.Protein: {2.03185, 2.06536, 1.319532, 1.303980},
		ingredient.Fat: {2.01175, 2.04586, .917239, .904712}, ingredient.Starch: {1.58567, 1.63208, 1.592891, 1.583577},
		ingredient.Fibre: {1.88065, 1.92580, 1.304182, 1.293206}, ingredient.Ash: {1.12892, 1.17788, 2.418187, 2.409769},
		ingredient.Alcohol: {2.44, 2.44, .789, .789}, // from memory
	} {
		one := of(map[ingredient.Component]float64{component: 1})
		got := [4]float64{HeatCapacity(one, 20), HeatCapacity(one, 50), DensityGPerML(one, 20), DensityGPerML(one, 50)}
		for n := range want {
			assert.InDelta(t, want[n], got[n], 2e-5, "component %d, %d", component, n)
		}
	}
	assert.Zero(t, DensityGPerML(ingredient.Content{}, 20))
}

// Two mixtures stirred together end between them, nearer to the one that holds more heat; nothing
// stirred into something changes nothing.
func TestWhatIsStirredTogether(t *testing.T) {
	t.Parallel()
	water, fat := of(map[ingredient.Component]float64{ingredient.Water: 100}), of(map[ingredient.Component]float64{ingredient.Fat: 100})
	assert.InDelta(t, 50, MixC(water, 20, water, 80), .3)
	assert.InDelta(t, (4.129*20+2.077*80)/(4.129+2.077), MixC(water, 20, fat, 80), .3)
	assert.InDelta(t, 20, MixC(water, 20, ingredient.Content{}, 80), 1e-9)
	assert.InDelta(t, 7, MixC(ingredient.Content{}, 7, ingredient.Content{}, 80), 1e-9)
	for tempC := 0.; tempC <= 100; tempC += 5 {
		assert.False(t, math.IsNaN(HeatCapacity(water, tempC)) || DensityGPerML(water, tempC) > 1.001)
	}
}
