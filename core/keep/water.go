package keep

import (
	"math"

	"plushladle/core/ingredient"
)

// Molar masses in g/mol, and Norrish's constants for the solutes.
// Source of the constants: Norrish 1966; Chirife.
const (
	molarWater  = 18.015
	molarHexose = 180.16
	molarDouble = 342.30

	norrishDouble = 6.47
	norrishHexose = 2.25
)

// WaterActivity is the water activity of the water phase of a drink, from its
// sugars alone; 1 where there are none. Disaccharides count as sucrose. A
// content without water gives 0.
func WaterActivity(c ingredient.Content) float64 {
	water := c[ingredient.Water] / molarWater
	if water <= 0 {
		return 0
	}
	double := (c[ingredient.Sucrose] + c[ingredient.Lactose] + c[ingredient.Maltose]) / molarDouble
	hexose := (c[ingredient.Glucose] + c[ingredient.Fructose] + c[ingredient.Galactose]) / molarHexose
	all := water + double + hexose
	pull := math.Sqrt(norrishDouble)*double/all + math.Sqrt(norrishHexose)*hexose/all
	return water / all * math.Exp(-pull*pull)
}

// Brix is the sugar in the water phase of a drink, in % by mass of sugar and
// water together.
func Brix(c ingredient.Content) float64 {
	sugars := c.SugarsG()
	if sugars == 0 {
		return 0
	}
	return 100 * sugars / (sugars + c[ingredient.Water])
}
