package process_test

import (
	"fmt"

	"plushladle/core/ingredient"
	"plushladle/core/process"
)

func lines(of map[string]float64, order ...string) []process.Line {
	out := make([]process.Line, len(order))
	for n, id := range order {
		i, _ := ingredient.Standard().ByID(id)
		out[n] = process.Line{Index: n, Key: id, Ingredient: i, Per: &i.PerGram, G: of[id]}
	}
	return out
}

// A cup of almonds and four of water, ground and squeezed through a cloth.
func ExampleMake() {
	made := process.Make(lines(map[string]float64{"almond": 143, "water": 944}, "almond", "water"), process.Method{Strainer: process.Cloth})
	drink := made.Balance.Drink
	fmt.Printf("%.0f mL, %.1f %% fat, %.0f g of pulp\n", process.VolumeML(drink, 4), 100*drink[ingredient.Fat]/drink.MassG(), made.Balance.Pulp.MassG())
	// Output:
	// 880 mL, 3.8 % fat, 251 g of pulp
}

// Soy is boiled without being asked.
func ExampleLay() {
	layout := process.Lay(lines(nil, "soybean", "water"), process.Method{})
	fmt.Println(layout.Heat, layout.Minutes, len(layout.Soaked))
	// Output:
	// simmer 10 1
}

// A firmer hand and a lighter one: what the range on the jug comes from.
func ExampleLikely() {
	least, most := process.Likely(lines(map[string]float64{"almond": 143, "water": 944}, "almond", "water"), process.Method{})
	fmt.Printf("%.0f to %.0f mL\n", process.VolumeML(least, 4), process.VolumeML(most, 4))
	// Output:
	// 867 to 944 mL
}

func ExampleTemperatureIn() {
	for _, words := range []string{"ice-cold water", "water, just off the boil", "water"} {
		word, tempC := process.TemperatureIn(words)
		fmt.Printf("%q %g\n", word, tempC)
	}
	// Output:
	// "ice-cold" 2
	// "just off the boil" 95
	// "" 0
}

// What guards someone is not left out.
func ExampleChange_Check() {
	for _, kind := range []string{"taste", "heat"} {
		fmt.Println(process.Change{At: process.At{Kind: kind}, Do: process.Remove}.Check())
	}
	// Output:
	// <nil>
	// process "heat": step-not-left-out []
}
