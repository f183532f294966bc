package process

import "plushladle/core/ingredient"

// densityOf gives the density of a component in kg/m³ at t °C.
// Source: Choi & Okos (1986), as in the ASHRAE Handbook—Refrigeration,
// "Thermal Properties of Foods". Alcohol: 789 at 20 °C, from memory.
func densityOf(c ingredient.Component, t float64) float64 {
	switch c {
	case ingredient.Water:
		return 997.18 + 0.0031439*t - 0.0037574*t*t
	case ingredient.Protein:
		return 1329.9 - 0.5184*t
	case ingredient.Fat:
		return 925.59 - 0.41757*t
	case ingredient.Fibre:
		return 1311.5 - 0.36589*t
	case ingredient.Ash:
		return 2423.8 - 0.28063*t
	case ingredient.Alcohol:
		return 789
	}
	return 1599.1 - 0.31046*t // sugars, starch, polyols: carbohydrate
}

// VolumeML is the volume of a mixture in mL at tempC, its components taken to
// keep their own densities.
func VolumeML(c ingredient.Content, tempC float64) float64 {
	ml := 0.
	for _, component := range ingredient.Components {
		if component.IsMass() && c[component] != 0 {
			ml += c[component] / densityOf(component, tempC) * 1000
		}
	}
	return ml
}

// DensityGPerML is the density of a mixture in g/mL at tempC; 0 for nothing.
func DensityGPerML(c ingredient.Content, tempC float64) float64 {
	ml := VolumeML(c, tempC)
	if ml == 0 {
		return 0
	}
	return c.MassG() / ml
}
