package kitchen

import "plushladle/core/ingredient"

// Adjustment is what the kitchen knows better of a row that ships. What is left out stays as it
// ships.
type Adjustment struct {
	GPerCup  *float64 `json:"gPerCup,omitempty" doc:"what a US cup of it weighs"`
	PieceG   *float64 `json:"pieceG,omitempty" minimum:"0.001" maximum:"10000"`
	LifeDays *float64 `json:"lifeDays,omitempty" minimum:"0.5" maximum:"400" doc:"opened, in the fridge; only where that is less than what ships"`
	Label    *Label   `json:"label,omitempty" doc:"per 100 g, from the pack"`
}

// IsNothing tells whether it changes nothing.
func (a Adjustment) IsNothing() bool { return a == Adjustment{} }

// Adjusted is the row with it. Allergens, cautions and how it is ground stay as they ship.
func (a Adjustment) Adjusted(i *ingredient.Ingredient) (*ingredient.Ingredient, error) {
	own := ingredient.Own{ID: i.ID, Name: i.Name, Role: i.Role, GPerCup: a.GPerCup, PieceG: a.PieceG, LifeDays: a.LifeDays, Allergens: i.Allergens, Vegan: i.Vegan}
	if a.Label != nil {
		content := ingredient.OwnContent(*a.Label)
		own.Per100G = &content
	}
	return i.Adjusted(own)
}
