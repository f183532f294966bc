package keep_test

import (
	"fmt"
	"time"

	"plushladle/core/ingredient"
	"plushladle/core/keep"
)

var monday = time.Date(2026, 11, 23, 9, 0, 0, 0, time.UTC)

// How long an unsweetened almond milk keeps, by both rules.
func ExampleOf() {
	almond, _ := ingredient.Standard().ByID("almond")
	life := keep.Of(keep.Drink{Parts: []keep.Part{{Name: almond.Name, Life: almond.Life, Base: true}}, FridgeC: 4})
	fmt.Println(life.Days(keep.Cautious), life.Days(keep.Customary))
	// Output:
	// 3 5
}

// A fridge at 8 °C spoils what one at 4 °C keeps.
func ExampleRelativeRate() {
	fmt.Printf("%.2f %.2f %.2f\n", keep.RelativeRate(0), keep.RelativeRate(4), keep.RelativeRate(8))
	// Output:
	// 0.51 1.00 1.65
}

// A label has the last day that is good to its end.
func ExampleLastWholeDay() {
	useBy := monday.Add(60 * time.Hour)
	fmt.Println(useBy.Format("Mon 2 Jan 15:04"), "|", keep.LastWholeDay(monday, useBy).Format("Mon 2 Jan"))
	// Output:
	// Wed 25 Nov 21:00 | Tue 24 Nov
}

func ExampleAt() {
	standing, left := keep.At(monday, monday.Add(26*time.Hour))
	fmt.Println(standing, left)
	// Output:
	// soon 1
}

// Two litres just off the boil, in an ice bath and in the fridge.
func ExampleCooling_Until() {
	for _, bath := range []keep.Bath{keep.InIce, keep.InAFridge} {
		c := keep.Cooling{VolumeML: 2000, FromC: 95, RoomC: 20, Bath: bath}
		first, _ := c.Until(keep.FirstC)
		fmt.Printf("%s: 21 °C after %.0f minutes, in time %v\n", bath, first.Minutes(), c.InTime())
	}
	// Output:
	// ice bath: 21 °C after 12 minutes, in time true
	// fridge: 21 °C after 283 minutes, in time false
}

// Whether two leftovers may go into one bottle.
func ExampleLeftover_Pour() {
	old := keep.Leftover{Bottle: 1, Drink: 7, InUse: true, FilledML: 500, HoldsML: 500, LeftML: 150}
	fresh := keep.Leftover{Bottle: 2, Drink: 7, InUse: true, FilledML: 700, HoldsML: 700, LeftML: 700}
	_, why := old.Pour(fresh)
	fmt.Println(why)
	// Output:
	// full
}

// Half sugar by weight leaves bacteria little water.
func ExampleWaterActivity() {
	syrup := ingredient.Content{ingredient.Sucrose: 650, ingredient.Water: 350}
	fmt.Printf("%.2f at %.0f °Bx\n", keep.WaterActivity(syrup), keep.Brix(syrup))
	// Output:
	// 0.87 at 65 °Bx
}

func ExampleOpenedLife() {
	juice, _ := ingredient.Standard().Find("orange juice")
	opened := keep.OpenedLife(juice)
	fmt.Println(opened.Days(keep.Cautious), opened.Where)
	// Output:
	// 1 covered-in-fridge
}
