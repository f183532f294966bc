package keep

import (
	"math"

	"plushladle/core/ingredient"
)

// Molar masses in g/mol, and Norrish's constants for the solutes.
// Source of the constants: Norrish 1966; Chirife.
const (
	molarWater  = 18.015 // g/mol
	molarHexose = 180.16 // g/mol: glucose and fructose
	molarDouble = 342.30 // g/mol: sucrose, lactose, maltose

	norrishDouble = 6.47 // Norrish's constant of disaccharides (Chirife and Favetto 1980)
	norrishHexose = 2.25 // and of hexoses
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

// Saturation of sucrose in water, % by mass, at 0 and at 20 °C. Source: ICUMSA,
// from memory; a straight line between them.
const (
	saturated0Pct  = 64.2 // g of sucrose in 100 g of solution at 0 °C
	saturated20Pct = 66.7 // and at 20 °C
)

// SaturatedPct is how much sucrose water holds at tempC, % by mass.
func SaturatedPct(tempC float64) float64 {
	return saturated0Pct + (saturated20Pct-saturated0Pct)*math.Max(0, tempC)/20
}

// Dissolved is a content without the sucrose that its water cannot hold at
// tempC: what lies as crystals binds no water.
func Dissolved(c ingredient.Content, tempC float64) ingredient.Content {
	share := SaturatedPct(tempC) / 100
	c[ingredient.Sucrose] = math.Min(c[ingredient.Sucrose], c[ingredient.Water]*share/(1-share))
	return c
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
