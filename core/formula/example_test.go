package formula_test

import (
	"fmt"

	"plushladle/core/formula"
	"plushladle/core/ingredient"
)

func ExampleDrink_Reckon() {
	drink := formula.New("Plain almond milk")
	for _, text := range []string{"1 cup almonds, soaked overnight", "4 cups water"} {
		line, _ := formula.ReadLine(text, ingredient.Standard())
		drink.Lines = append(drink.Lines, line)
	}
	r, _ := drink.Reckon()
	fmt.Printf("%.0f mL of %s, %.1f %% fat, 1:%.0f by cups and 1:%.1f by weight\n",
		r.Drink.VolumeML, r.Kind, r.FatPct, r.Ratio.ByVolume, r.Ratio.ByMass)
	fmt.Println(r.Allergens, r.Keeps.CautiousDays, r.Keeps.CustomaryDays)
	// Output:
	// 906 mL of milk, 3.8 % fat, 1:4 by cups and 1:6.6 by weight
	// [almond] 3 5
}
