package process

import (
	"math"

	"plushladle/core/ingredient"
)

// specificHeat gives the specific heat of a component in J/g·K at t °C.
// Source: Choi & Okos (1986), as in the ASHRAE Handbook—Refrigeration,
// "Thermal Properties of Foods", from memory. Alcohol: 2.44, from memory.
func specificHeat(c ingredient.Component, t float64) float64 {
	switch c {
	case ingredient.Water:
		return 4.1289 - 9.0864e-5*t + 5.4731e-6*t*t
	case ingredient.Protein:
		return 2.0082 + 1.2089e-3*t - 1.3129e-6*t*t
	case ingredient.Fat:
		return 1.9842 + 1.4733e-3*t - 4.8008e-6*t*t
	case ingredient.Fibre:
		return 1.8459 + 1.8306e-3*t - 4.6509e-6*t*t
	case ingredient.Ash:
		return 1.0926 + 1.8896e-3*t - 3.6817e-6*t*t
	case ingredient.Alcohol:
		return 2.44
	}
	return 1.5488 + 1.9625e-3*t - 5.9399e-6*t*t
}

// HeatCapacity is the heat capacity of a mixture in J/K at tempC.
func HeatCapacity(c ingredient.Content, tempC float64) float64 {
	total := 0.
	for _, component := range ingredient.Components {
		if component.IsMass() {
			total += c[component] * specificHeat(component, tempC)
		}
	}
	return total
}

// MixC is the temperature of two mixtures stirred together, in °C.
func MixC(a ingredient.Content, aC float64, b ingredient.Content, bC float64) float64 {
	ca, cb := HeatCapacity(a, aC), HeatCapacity(b, bC)
	if ca+cb == 0 {
		return aC
	}
	return (ca*aC + cb*bC) / (ca + cb)
}

// IceG is the ice at 0 °C that brings a mixture from fromC down to toC, in g;
// 0 where it is as cold already.
func IceG(c ingredient.Content, fromC, toC float64) float64 {
	if fromC <= toC {
		return 0
	}
	given := HeatCapacity(c, (fromC+toC)/2) * (fromC - toC)
	return given / (meltingHeat + specificHeat(ingredient.Water, toC)*toC)
}

// IceForWaterG is the ice that brings a mixture from fromC to toC where it is
// taken off the mixture's own water, in g; at most all of the water.
func IceForWaterG(c ingredient.Content, fromC, toC float64) float64 {
	if fromC <= toC {
		return 0
	}
	middle := (fromC + toC) / 2
	water := specificHeat(ingredient.Water, middle) * (fromC - toC)
	taken := meltingHeat + specificHeat(ingredient.Water, toC)*toC + water
	return math.Min(c[ingredient.Water], HeatCapacity(c, middle)*(fromC-toC)/taken)
}
