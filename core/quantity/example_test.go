package quantity_test

import (
	"fmt"

	"plushladle/core/quantity"
)

// A cook's amount, read and written.
func ExampleParseAmount() {
	for _, text := range []string{"1 1/2 cups", "2 tbsp + 1 tsp", "3-4", "1 (14 oz) can", "about 200 g"} {
		a, err := quantity.ParseAmount(text)
		fmt.Println(a, err)
	}
	// Output:
	// 1½ cups <nil>
	// 2 tbsp + 1 tsp <nil>
	// 3–4 pieces <nil>
	// 1 (14 oz) can <nil>
	// about 200 g <nil>
}

func ExampleParseAmount_refused() {
	_, err := quantity.ParseAmount("lots")
	fmt.Println(err)
	// Output:
	// amount "lots": not-an-amount []
}

// What stands behind the amount is what it is an amount of.
func ExampleParseLeading() {
	a, rest, _ := quantity.ParseLeading("1½ cups almonds, soaked")
	fmt.Println(a, "|", rest)
	// Output:
	// 1½ cups | almonds, soaked
}

// A cup is not the same everywhere.
func ExampleAmount_Volume() {
	a, _ := quantity.ParseAmount("1 cup")
	for _, s := range []quantity.System{quantity.US, quantity.Metric, quantity.Australian} {
		ml, _ := a.Volume(s)
		fmt.Printf("%.1f ", ml)
	}
	// Output:
	// 236.6 250.0 250.0
}

// Scaled, an amount is what spoons hold, and says where they only come near.
func ExampleAmount_Scaled() {
	for _, text := range []string{"1 1/2 cups", "2 tbsp", "250 g"} {
		a, _ := quantity.ParseAmount(text)
		scaled, errorShare := a.Scaled(2.7, quantity.US, quantity.Loose)
		fmt.Printf("%v (%+.1f %%)\n", scaled, 100*errorShare)
	}
	// Output:
	// about 4 cups (-1.2 %)
	// about ⅓ cup (-1.2 %)
	// 675 g (+0.0 %)
}

// Pieces are whole or halves.
func ExampleAmount_InHalves() {
	halves, errorShare, _ := quantity.Of(2.7, quantity.Piece).InHalves()
	fmt.Printf("%v (%+.1f %%)\n", halves, 100*errorShare)
	// Output:
	// about 2½ pieces (-7.4 %)
}

// An exact pair of measures comes before one that is only near.
func ExampleKitchen() {
	for _, ml := range []float64{78.86, 69.0049023125, 1.5 * 4.92892159375} {
		a, _ := quantity.Kitchen(ml, quantity.US, quantity.Loose)
		fmt.Println(a)
	}
	// Output:
	// ⅓ cup
	// ¼ cup + 2 tsp
	// ½ tbsp
}

// The fewest scoops of what is in the drawer: without a third of a cup it takes two.
func ExampleDrawer_Scoop() {
	drawer, _ := quantity.Reader{}.NewDrawer([]string{"1 cup", "1/4 cup", "1 tbsp", "1 tsp"}, quantity.US, 0)
	scoop, ok := drawer.Scoop(78.86, quantity.Loose)
	fmt.Println(scoop.Told(), ok)
	pinch, ok := drawer.Scoop(0.3, quantity.Tight)
	fmt.Println(pinch.Stock.Told(), ok)
	// Output:
	// ¼ cup + 1 tbsp + 1 tsp true
	// dilute-a-pinch(1 tsp, 15) false
}

// A mug of one's own, weighed full of water, is a measure like any other.
func ExampleCalibrated() {
	mug, _ := quantity.Calibrated("mug", 310)
	reader := quantity.NewReader([]quantity.Own{mug})
	a, _ := reader.ParseAmount("2 mugs")
	ml, _ := a.Volume(quantity.US)
	fmt.Printf("%v is %.0f mL\n", a, ml)
	// Output:
	// 2 mugs is 621 mL
}

func ExampleUnitOf() {
	u, ok := quantity.UnitOf("tbsp")
	fmt.Println(u, ok)
	// Output:
	// tbsp true
}

func ExampleReadNumber() {
	for _, text := range []string{"1,5", "½", "1 1/2", "1e3"} {
		v, ok := quantity.ReadNumber(text)
		fmt.Println(v, ok)
	}
	// Output:
	// 1.5 true
	// 0.5 true
	// 1.5 true
	// 1000 true
}
