package reckon

import (
	"plushladle/core/ingredient"
)

// Pulp is what is left in the strainer, by the same balance as the milk.
type Pulp struct {
	WetG, DriedG                   float64 // in the strainer, and dried in an oven
	ProteinG, FatG, FibreG, SugarG float64 // of all of it
}

// driedWaterShare is the water in dried pulp (common practice, no source).
const driedWaterShare = 0.08

// pulpOf is what a baker asks of pulp; dried to driedWaterShare.
func pulpOf(c ingredient.Content) Pulp {
	wet := c.MassG()
	return Pulp{
		WetG: wet, DriedG: (wet - c[ingredient.Water]) / (1 - driedWaterShare),
		ProteinG: c[ingredient.Protein], FatG: c[ingredient.Fat], FibreG: c[ingredient.Fibre], SugarG: c.SugarsG(),
	}
}

// Weighing is the pulp as it was weighed: its solids are the balance's, the rest
// is what it holds.
func (p Pulp) Weighing(wetG float64) Pulp {
	p.WetG = wetG
	return p
}

// GoodFor are uses of a pulp as codes, by what is left in it (common practice).
func (p Pulp) GoodFor() []string {
	uses := []string{"porridge"}
	if p.FibreG > p.FatG {
		uses = append(uses, "crackers")
	} else {
		uses = append(uses, "biscuits")
	}
	return append(uses, "meal", "compost")
}
