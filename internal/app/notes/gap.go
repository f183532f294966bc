package notes

import (
	"cmp"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/reckon"
	"plushladle/internal/store"
)

// GapLine is what a day of a drink brings of a nutrient, beside as much of a carton and of cow's
// milk.
type GapLine struct {
	Nutrient string  `json:"nutrient" enum:"protein,calcium,iodine,b12,d"`
	Unit     string  `json:"unit"`
	DayML    float64 `json:"dayML"`
	Here     float64 `json:"here" doc:"at most"`
	Known    bool    `json:"known"`
	Carton   float64 `json:"carton" doc:"a fortified one; its label goes first"`
	CowsMilk float64 `json:"cowsMilk"`
	Less     float64 `json:"less" doc:"than the carton, at least; 0 where it is no less"`
}

// gap is that of a drink as it is written now; none where nothing is reckoned of it.
func (s Service) gap(drink *store.Drink) ([]GapLine, error) {
	out := []GapLine{}
	ways, err := s.Setup()
	if err != nil {
		return out, err
	}
	d, _, err := drink.Draft.Drink(drink.Name, ways)
	if err != nil {
		return out, nil // it is not read any more: nothing to tell
	}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return out, nil
	}
	most := 1.
	for _, who := range ways.Drinkers {
		most = max(most, cmp.Or(who.ServingsDay, 1))
	}
	for _, g := range caution.Gaps(drunkOf(&d, r, most*r.Servings.SizeML)) {
		out = append(out, GapLine{string(g.Nutrient), g.Unit, most * r.Servings.SizeML, g.Here, g.Known, g.Carton, g.CowsMilk, g.LessThanTheCarton})
	}
	return out, nil
}

func drunkOf(d *reckon.Drink, r *reckon.Reckoning, dayML float64) caution.Drunk {
	out := caution.Drunk{DayML: dayML, BatchML: r.Drink.VolumeML, ProteinG: r.Per100mL.ProteinG, BasesG: map[*ingredient.Ingredient]float64{}}
	for n, l := range d.Lines {
		i := l.Ingredient
		if i == nil || l.Kept {
			continue
		}
		switch {
		case i.Role == ingredient.Base:
			out.BasesG[i] += r.Lines[n].MassG
		case i.Has(ingredient.TagIodine):
			out.Seaweed = true
		case i.Role == ingredient.Dairy, i.Role == ingredient.Liquid && !i.Has(ingredient.TagWater) && !i.Has(ingredient.TagIce):
			out.Mixed = true
		}
	}
	return out
}
