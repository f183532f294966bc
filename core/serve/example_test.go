package serve_test

import (
	"fmt"

	"plushladle/core/reading"
	"plushladle/core/reckon"
	"plushladle/core/serve"
)

func drinkOf(texts ...string) *reckon.Drink {
	d := reckon.New("milk")
	for _, text := range texts {
		line, _ := reading.Standard().Line(text)
		d.Lines = append(d.Lines, line)
	}
	return &d
}

// A cream let down, rung by rung.
func ExampleLadder() {
	r, _ := drinkOf("1 1/2 cups cashews", "1 1/4 cups water").Reckon()
	for _, rung := range serve.Ladder(r) {
		fmt.Printf("%s with %.0f g\n", rung.Name, rung.WaterG)
	}
	// Output:
	// rung-cream(1) with 59 g
	// dairy-half-and-half with 146 g
	// rung-creamer(1.5) with 236 g
	// rung-creamer(2) with 413 g
	// rung-rich-milk(3) with 768 g
	// rung-milk(4) with 1122 g
	// dairy-milk with 1313 g
	// rung-light(5) with 1476 g
	// rung-light(6) with 1830 g
}
