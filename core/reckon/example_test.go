package reckon_test

import (
	"fmt"

	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

func ExampleDrink_Reckon() {
	drink := reckon.New("Plain almond milk")
	for _, text := range []string{"1 cup almonds, soaked overnight", "4 cups water"} {
		line, _ := reading.Standard().Line(text)
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

func drinkOf(texts ...string) *reckon.Drink {
	d := reckon.New("milk")
	for _, text := range texts {
		line, _ := reading.Standard().Line(text)
		d.Lines = append(d.Lines, line)
	}
	return &d
}

// A litre and a half of it: what to measure.
func ExampleDrink_Reckon_size() {
	d := drinkOf("1 cup almonds", "4 cups water", "3 dates")
	d.Size = recipe.Size{By: recipe.ByVolume, Value: 1500}
	r, _ := d.Reckon()
	for _, l := range r.Lines {
		fmt.Println(l.Amount)
	}
	// Output:
	// about 1⅔ cups
	// 6½ cups
	// about 5 pieces
}

// Where the fat of a drink comes to be.
func ExampleReckoning_Working() {
	r, _ := drinkOf("1 cup almonds", "4 cups water").Reckon()
	w, _ := r.Working(reckon.FatFigure)
	for _, s := range w.Streams {
		fmt.Printf("%s %.0f g\n", s.Code, s.Amount)
	}
	// Output:
	// drink 34 g
	// pulp 36 g
	// walls 1 g
}
