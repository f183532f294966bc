package ingredient_test

import (
	"fmt"

	"plushladle/core/ingredient"
)

func ExampleCatalogue_Find() {
	for _, name := range []string{"rolled oats", "tiger nuts", "moon dust"} {
		i, ok := ingredient.Standard().Find(name)
		if ok {
			fmt.Println(i.Name, "|", i.Role)
		} else {
			fmt.Println(name, "is not known")
		}
	}
	// Output:
	// Rolled oats | base
	// Tiger nuts, dried | base
	// moon dust is not known
}

// What a cup of almonds brings.
func ExampleContent_Times() {
	almond, _ := ingredient.Standard().ByID("almond")
	cup := almond.PerGram.Times(143)
	fmt.Printf("%.0f kcal, %.0f g fat, %.0f g protein\n", cup.EnergyKcal(), cup[ingredient.Fat], cup[ingredient.Protein])
	// Output:
	// 815 kcal, 71 g fat, 30 g protein
}

func ExampleTreatmentIn() {
	fmt.Printf("%+v\n", ingredient.TreatmentIn("almonds, toasted and unsalted"))
	// Output:
	// {Roasted:true Toasted:true Salted:false Skinned:false Rubbed:false Sprouted:false}
}

// Roasting drives the water off; what is left weighs the more.
func ExampleIngredient_Treated() {
	almond, _ := ingredient.Standard().ByID("almond")
	roasted := almond.Treated(ingredient.Treatment{Roasted: true})
	fmt.Printf("%.1f to %.1f %% water, %.1f to %.1f %% fat\n", 100*almond.PerGram[ingredient.Water], 100*roasted[ingredient.Water], 100*almond.PerGram[ingredient.Fat], 100*roasted[ingredient.Fat])
	// Output:
	// 4.4 to 2.0 % water, 49.9 to 51.2 % fat
}
