package reading_test

import (
	"fmt"

	"plushladle/core/reading"
)

func ExampleReader_Read() {
	for _, line := range []string{"1 tsp each cinnamon and nutmeg", "Coconut milk: 1 can (400 ml)", "2 tbsp almond flour"} {
		read, _ := reading.Standard().Read(line)
		for _, l := range read.Lines {
			if l.Ingredient != nil {
				fmt.Println(l.Amount, "|", l.Ingredient.Name)
			}
		}
		if read.Doubt != reading.Sure {
			fmt.Println(read.Doubt, "| nearest is", read.Choices[0].Name)
		}
	}
	// Output:
	// 1 tsp | Cinnamon, ground (cassia)
	// 1 tsp | Nutmeg, ground
	// 1 (400 mL) can | Coconut milk, canned
	// unread | nearest is Almonds
}
