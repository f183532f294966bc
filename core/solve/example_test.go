package solve_test

import (
	"fmt"

	"plushladle/core/ingredient"
	"plushladle/core/reading"
	"plushladle/core/reckon"
	"plushladle/core/solve"
)

func drinkOf(texts ...string) *reckon.Drink {
	d := reckon.New("milk")
	for _, text := range texts {
		line, _ := reading.Standard().Line(text)
		d.Lines = append(d.Lines, line)
	}
	return &d
}

// The sweetness dial is turned to six: the syrup that is there gives.
func ExampleDials() {
	d := drinkOf("1 cup almonds", "4 cups water", "2 tbsp maple syrup")
	turned, _ := solve.Dials(d, solve.Turn{To: map[reckon.DialName]float64{reckon.Sweetness: 6}})
	r, _ := turned.Drink.Reckon()
	fmt.Printf("%.2f g/100 mL with %.0f g of syrup\n", r.Per100mL.SucroseEquivalentG, r.Lines[2].MassG)
	// Output:
	// 6.00 g/100 mL with 97 g of syrup
}

// Another sweetener at the same sweetness, and what else that changes.
func ExampleSwap() {
	d := drinkOf("1 cup almonds", "4 cups water", "3 tbsp maple syrup")
	honey, _ := ingredient.Standard().Find("honey")
	swapped, _ := solve.Swap(d, 2, honey, "")
	fmt.Println(swapped.How, "|", swapped.Drink.Lines[2].Amount)
	// Output:
	// equal-sweetness | 2½ tbsp
}

// The water was never measured: the milk and the pulp tell what it was.
func ExampleWorkBack() {
	d := drinkOf("200 g almonds", "water")
	found, _ := solve.WorkBack(d, 960, 330)
	fmt.Printf("%.0f g, between %.0f and %.0f\n", found[0].MassG, found[0].LeastG, found[0].LargestG)
	// Output:
	// 1020 g, between 986 and 1053
}
