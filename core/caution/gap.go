package caution

import "plushladle/core/ingredient"

// Nutrient is one that a carton and cow's milk bring, and a homemade drink hardly does.
type Nutrient string

// The nutrients, in the order they are told.
const (
	Protein Nutrient = "protein"
	Calcium Nutrient = "calcium"
	Iodine  Nutrient = "iodine"
	B12     Nutrient = "b12"
	D       Nutrient = "d"
)

// Gap is what a day of a drink brings of a nutrient, beside as much of a fortified carton and of
// cow's milk. What the carton's label says goes before these figures.
type Gap struct {
	Nutrient          Nutrient
	Unit              string  // g, mg or µg
	Here              float64 // at most; 0 where plants hold none
	Known             bool    // false where the table of no base tells
	Carton, CowsMilk  float64
	LessThanTheCarton float64 // at least; 0 where it is no less
}

// per100mL are a fortified carton (typical labels: calcium and D as cow's milk, B12 of .38 µg,
// iodine where it is added, the protein of oat; from memory) and semi-skimmed cow's milk (McCance
// and Widdowson's The Composition of Foods, 7th edition; from memory).
var per100mL = []struct {
	nutrient         Nutrient
	unit             string
	carton, cowsMilk float64
}{
	{Protein, "g", 1, 3.5},
	{Calcium, "mg", 100 * CartonCalciumMg, 120},
	{Iodine, "µg", 22.5, 30},
	{B12, "µg", .38, .9},
	{D, "µg", .75, 0},
}

// nearEnough is the share of the carton's from which nothing is said to lack: the figures of
// both are no better (a judgement).
const nearEnough = .95

// Drunk is a day's drinking of a batch.
type Drunk struct {
	DayML    float64
	BatchML  float64
	ProteinG float64                            // in 100 mL
	BasesG   map[*ingredient.Ingredient]float64 // dry, in the batch
	Mixed    bool                               // a carton or dairy is in: only the protein is known then
	Seaweed  bool                               // or seaweed, whose iodine nobody knows
}

// Gaps are those of a day's drinking. The calcium is all that the bases hold, as if none of it
// stayed in the pulp: the drink has less.
func Gaps(d Drunk) []Gap {
	calcium, known := 0., len(d.BasesG) > 0 && d.BatchML > 0
	for base, g := range d.BasesG {
		calcium += base.CalciumMg / 100 * g
		known = known && base.CalciumMg > 0
	}
	out := make([]Gap, len(per100mL))
	for n, p := range per100mL {
		g := Gap{Nutrient: p.nutrient, Unit: p.unit, Known: !d.Mixed, Carton: p.carton * d.DayML / 100, CowsMilk: p.cowsMilk * d.DayML / 100}
		switch p.nutrient {
		case Protein:
			g.Known, g.Here = true, d.ProteinG*d.DayML/100
		case Iodine:
			g.Known = g.Known && !d.Seaweed
		case Calcium:
			g.Known = g.Known && known
			if g.Known {
				g.Here = calcium / d.BatchML * d.DayML
			}
		}
		if g.Known && g.Here < nearEnough*g.Carton {
			g.LessThanTheCarton = g.Carton - g.Here
		}
		out[n] = g
	}
	return out
}
