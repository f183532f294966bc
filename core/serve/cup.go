// Package serve looks at a drink after it is made: in coffee or over ice, let down from a
// cream rung by rung, blended with another, pressed a second time, or divided into
// drinks that are finished each in its own way. All of it is the mass balance of package
// process, carried on: fat, sugar and solids stay, water and heat are added.
package serve

import (
	"fmt"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Into is what a drink is stirred into.
type Into string

// What a drink can be stirred into.
const (
	IntoCoffee Into = "coffee" // hot, and acid by nature
	IntoWater  Into = "water"  // hot or cold
	IntoMilk   Into = "milk"   // of cows
	OverIce    Into = "ice"    // served over ice, which melts as it cools the drink
)

// Cup is how a drink is served.
type Cup struct {
	Into    Into    // what it is poured into
	SpoonML float64 // of the drink; 0 for its serving
	CupML   float64 // of what it goes into
	CupC    float64 // its temperature
	Acid    bool    // a light, bright coffee
	AgeDays float64 // of the drink
}

// InTheCup is what the drink does there.
type InTheCup struct {
	SpoonML, TotalML float64    // into the cup, and with it
	SweetG           float64    // sucrose equivalents per 100 mL
	SweetInAllG      float64    // sucrose equivalent, g in all of it
	FatPct           float64    // of all of it
	FreeSugarsG      float64    // in the cup
	EnergyKcal       float64    // of all of it
	FinalC           float64    // once mixed
	DropC            float64    // by how much the drink cools the cup
	MeltedG          float64    // ice that melts before it is as cold as it
	SplitRisk        string     // "low", "some", "high"; "" where there is nothing to split
	SplitReasons     []say.Text // codes with their figures
}

// Usual cups (common practice).
const (
	coffeeCupML  = 200 // mL
	coffeeC      = 75  // °C, in the cup
	glassC       = 8   // °C
	fridgeServeC = 4   // °C
)

// Serve reckons the drink in a cup of coffee, let down in a glass, or over
// ice. The error, a *fault.Error, names the field.
func Serve(r *reckon.Reckoning, c Cup) (InTheCup, error) {
	if r.Batch == nil {
		return InTheCup{}, fault.New("into", "", "nothing-to-serve")
	}
	c, err := usualCup(r, c)
	if err != nil {
		return InTheCup{}, err
	}
	spoon := r.Batch.Finished.Times(c.SpoonML / r.Drink.VolumeML)
	cup := c.content()
	out := InTheCup{SpoonML: c.SpoonML}
	mixed := spoon.Plus(cup)
	if c.Into == OverIce {
		out.MeltedG = process.IceG(spoon, c.CupC, 0)
		mixed = spoon.Plus(ingredient.Content{ingredient.Water: out.MeltedG})
		out.DropC = c.CupC
	} else {
		out.FinalC = process.MixC(spoon, fridgeServeC, cup, c.CupC)
		out.DropC = c.CupC - out.FinalC
	}
	out.TotalML = process.VolumeML(mixed, 20)
	out.SweetInAllG = mixed.SucroseEquivalentG()
	out.SweetG = out.SweetInAllG / out.TotalML * 100
	out.FatPct = 100 * mixed[ingredient.Fat] / mixed.MassG()
	out.FreeSugarsG, out.EnergyKcal = mixed[ingredient.FreeSugars], mixed.EnergyKcal()
	if c.Into == IntoCoffee {
		out.SplitRisk, out.SplitReasons = splitting(r, c)
	}
	return out, nil
}

// usualCup fills in what nobody said; the error names the field that is silly.
func usualCup(r *reckon.Reckoning, c Cup) (Cup, error) {
	if c.SpoonML == 0 {
		c.SpoonML = r.Servings.SizeML
	}
	if c.CupML == 0 {
		c.CupML = coffeeCupML
	}
	switch {
	case c.Into != IntoCoffee && c.Into != IntoWater && c.Into != IntoMilk && c.Into != OverIce:
		return c, fault.New("into", string(c.Into), "unknown-cup")
	case !(c.SpoonML > 0 && c.SpoonML <= 5000):
		return c, fault.New("spoonML", fmt.Sprint(c.SpoonML), "cup-size-out-of-range")
	case !(c.CupML > 0 && c.CupML <= 5000):
		return c, fault.New("cupML", fmt.Sprint(c.CupML), "cup-size-out-of-range")
	case !(c.CupC >= 0 && c.CupC <= 100):
		return c, fault.New("cupC", fmt.Sprint(c.CupC), "cup-temperature-out-of-range")
	case !(c.AgeDays >= 0 && c.AgeDays <= 400):
		return c, fault.New("ageDays", fmt.Sprint(c.AgeDays), "age-out-of-range")
	}
	return c, nil
}

// content is what stands in the cup before: coffee, water or milk.
func (c Cup) content() ingredient.Content {
	id := map[Into]string{IntoCoffee: "coffee", IntoWater: "water", IntoMilk: "dairy-milk", OverIce: "water"}[c.Into]
	i, _ := ingredient.Standard().ByID(id)
	return i.PerGram.Times(c.CupML * i.BulkGPerML)
}

// What makes a plant milk split in coffee (common practice, no source).
const (
	splitsAboveC   = 80  // °C of what it goes into
	splitsBelowFat = 4   // % fat of what goes in
	agedShare      = 0.6 // of its cautious life
)

// splitting is whether it is likely to curdle, as a code, and why. Heat, acid, age and
// little fat add up.
func splitting(r *reckon.Reckoning, c Cup) (string, []say.Text) {
	var reasons []say.Text
	if c.CupC > splitsAboveC {
		reasons = append(reasons, say.Of("splits-hot", splitsAboveC))
	}
	if c.Acid {
		reasons = append(reasons, say.Of("splits-acidic"))
	}
	if r.Keeps.Known() && c.AgeDays > agedShare*r.Keeps.CautiousDays {
		reasons = append(reasons, say.Of("splits-old"))
	}
	if r.FatPct < splitsBelowFat {
		reasons = append(reasons, say.Of("splits-lean"))
	}
	if hasAcid(r.Batch) {
		reasons = append(reasons, say.Of("splits-juice"))
	}
	switch {
	case len(reasons) == 0:
		return "low", []say.Text{}
	case len(reasons) == 1:
		return "some", reasons
	}
	return "high", reasons
}

// hasAcid tells whether anything sour is in the drink itself.
func hasAcid(b *reckon.Batch) bool {
	for _, w := range b.Lines {
		if w.Line.Ingredient.Has(ingredient.TagSour) {
			return true
		}
	}
	return false
}
