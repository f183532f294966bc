package formula_test

import (
	"fmt"

	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
)

func ExampleDrink_Reckon() {
	drink := formula.New("Plain almond milk")
	for _, text := range []string{"1 cup almonds, soaked overnight", "4 cups water"} {
		line, _ := recipe.ReadLine(text, ingredient.Standard())
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

func drinkOf(texts ...string) *formula.Drink {
	d := formula.New("milk")
	for _, text := range texts {
		line, _ := recipe.ReadLine(text, ingredient.Standard())
		d.Lines = append(d.Lines, line)
	}
	return &d
}

// The sweetness dial is turned to six: the syrup that is there gives.
func ExampleDrink_Turn() {
	d := drinkOf("1 cup almonds", "4 cups water", "2 tbsp maple syrup")
	turned, _ := d.Turn(formula.Turn{To: map[formula.DialName]float64{formula.Sweetness: 6}})
	r, _ := turned.Drink.Reckon()
	fmt.Printf("%.2f g/100 mL with %.0f g of syrup\n", r.Per100mL.SucroseEquivalentG, r.Lines[2].MassG)
	// Output:
	// 6.00 g/100 mL with 107 g of syrup
}

// Another sweetener at the same sweetness, and what else that changes.
func ExampleDrink_Swap() {
	d := drinkOf("1 cup almonds", "4 cups water", "3 tbsp maple syrup")
	honey, _ := ingredient.Standard().Find("honey")
	swapped, _ := d.Swap(2, honey, "")
	fmt.Println(swapped.How, "|", swapped.Drink.Lines[2].Amount)
	// Output:
	// equal sweetness | 47.28 g
}

// A litre and a half of it: what to measure.
func ExampleSize() {
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
	w, _ := r.Working(formula.FatFigure)
	for _, s := range w.Streams {
		fmt.Printf("%s %.0f g\n", s.Code, s.Amount)
	}
	// Output:
	// drink 34 g
	// pulp 36 g
	// walls 1 g
}

// The water was never measured: the milk and the pulp tell what it was.
func ExampleDrink_WorkBack() {
	d := drinkOf("200 g almonds", "water")
	found, _ := d.WorkBack(960, 330)
	fmt.Printf("%.0f g, between %.0f and %.0f\n", found[0].MassG, found[0].LeastG, found[0].LargestG)
	// Output:
	// 1020 g, between 986 and 1053
}

// A cream let down, rung by rung.
func ExampleReckoning_Ladder() {
	r, _ := drinkOf("1 1/2 cups cashews", "1 1/4 cups water").Reckon()
	for _, rung := range r.Ladder() {
		fmt.Printf("%s with %.0f g\n", rung.Name, rung.WaterG)
	}
	// Output:
	// cream 1 : 1 with 59 g
	// half-and-half with 146 g
	// creamer 1 : 1.5 with 236 g
	// creamer 1 : 2 with 413 g
	// rich milk 1 : 3 with 768 g
	// milk 1 : 4 with 1122 g
	// milk with 1313 g
	// light 1 : 5 with 1476 g
	// light 1 : 6 with 1830 g
}
