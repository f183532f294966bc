package kitchen

import (
	"plushladle/core/caution"
	"plushladle/core/ingredient"
)

// OwnRow is a row of the catalogue as the cook writes it. What is left out is
// not known.
type OwnRow struct {
	Name      string   `json:"name" minLength:"1" maxLength:"120"`
	Role      string   `json:"role" enum:"base,liquid,sweetener,spice,flavour,fat,salt,dairy,body,other"`
	GPerCup   *float64 `json:"gPerCup,omitempty" doc:"what a US cup of it weighs"`
	PieceG    *float64 `json:"pieceG,omitempty" minimum:"0.001" maximum:"10000"`
	LifeDays  *float64 `json:"lifeDays,omitempty" minimum:"0.5" maximum:"400" doc:"opened, in the fridge"`
	Allergens []string `json:"allergens" maxItems:"20"`
	Vegan     bool     `json:"vegan"`
	Label     *Label   `json:"label,omitempty"`
}

// Label is what a label says of 100 g.
type Label struct {
	ProteinG      float64 `json:"proteinG"`
	FatG          float64 `json:"fatG"`
	SaturatedFatG float64 `json:"saturatedFatG"`
	CarbohydrateG float64 `json:"carbohydrateG"`
	SugarsG       float64 `json:"sugarsG"`
	FibreG        float64 `json:"fibreG"`
	SodiumMg      float64 `json:"sodiumMg"`
}

// Ingredient is the row as the core takes it.
func (r OwnRow) Ingredient(id string) (*ingredient.Ingredient, error) {
	own := ingredient.Own{
		ID: id, Name: r.Name, Role: ingredient.Role(r.Role), GPerCup: r.GPerCup, PieceG: r.PieceG, LifeDays: r.LifeDays,
		Allergens: r.Allergens, Vegan: r.Vegan,
	}
	if r.Label != nil {
		content := ingredient.OwnContent(*r.Label)
		own.Per100G = &content
	}
	return own.Row()
}

// Drinker is someone who drinks here, by a word of the cook's own.
type Drinker struct {
	Name        string   `json:"name" minLength:"1" maxLength:"60"`
	Age         string   `json:"age" enum:"under 1,1 to 3,4 to 6,7 to 10,11 to 14,15 to 17,adult"`
	WeightKG    float64  `json:"weightKG" minimum:"0" maximum:"300" doc:"0 where it is not known"`
	Allergens   []string `json:"allergens" maxItems:"30" doc:"codes of allergens, or words for them"`
	Cleared     []string `json:"cleared,omitempty" maxItems:"10" doc:"codes of their kin that an allergist cleared: walnut and pecan, cashew and pistachio"`
	Vegan       bool     `json:"vegan"`
	DairyFree   bool     `json:"dairyFree"`
	Dislikes    []string `json:"dislikes" maxItems:"20"`
	ServingsDay float64  `json:"servingsDay" minimum:"0" maximum:"50" doc:"0 for one"`
}

// Core is the drinker as the core takes it.
func (d Drinker) Core() caution.Drinker {
	return caution.Drinker{
		Name: d.Name, Age: caution.Age(d.Age), WeightKG: d.WeightKG, Allergens: d.Allergens, Cleared: d.Cleared,
		Vegan: d.Vegan, DairyFree: d.DairyFree, Dislikes: d.Dislikes, ServingsDay: d.ServingsDay,
	}
}
