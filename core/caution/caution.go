// Package caution holds the figures of a drink against the limits that keep
// people safe, and says in a line what can happen and what to do. It defers
// to local rules and to professionals and makes no health claim.
package caution

import (
	"fmt"

	"plushladle/core/ingredient"
)

// Caution is one thing to know before the drink is made or served.
type Caution struct {
	Code   string
	Text   string
	Value  *float64 // nil where the caution has no figure
	Limit  *float64
	Unit   string
	Raised bool // shown first and marked
}

// Limits and where they come from.
const (
	seleniumUgPerDay  = 255. // adults; source: EFSA 2023
	coumarinMgPerKg   = 0.1  // body weight and day; source: EFSA 2008
	adultKg           = 60.  // an adult weight on the safe side, common practice
	nutmegGPerDay     = 5.   // toxic above, from memory
	raisedFrom        = 0.5  // of a day's limit
	sucroseSaturation = 64.2 // % by mass in water at 0 °C; source: ICUMSA, from memory
	warmFridgeC       = 5.   // source: FDA Food Code 3-501.16
	slimyWaterC       = 10.  // common practice
	slimyBlendS       = 30.  // common practice
)

// Part is an ingredient of the drink and its mass in the batch.
type Part struct {
	Ingredient *ingredient.Ingredient
	MassG      float64
	SoakKept   bool // soaks in liquid that stays in the drink
	Hot        bool // goes into the blender hot
}

// Drink is what is held against the limits.
type Drink struct {
	Parts      []Part
	BatchML    float64
	ServingML  float64
	PerServing ingredient.Content
	SucrosePct float64 // sucrose in the water phase, % by mass
	FridgeC    float64
	BlendS     float64
	WaterC     float64
}

// Refused is the caution for the first base that must not be used at all.
func Refused(parts []Part) (Caution, bool) {
	for _, p := range parts {
		if p.Ingredient.Has(ingredient.TagRefused) {
			return Caution{
				Code: "unsafe-base", Raised: true,
				Text: fmt.Sprintf("%s are not used as a base. %s. Nothing was reckoned; choose another base.", p.Ingredient.Name, p.Ingredient.Source),
			}, true
		}
	}
	return Caution{}, false
}

// Of lists the cautions of a drink, the raised ones first.
func Of(d Drink) []Caution {
	var raised, plain []Caution
	for _, rule := range rules {
		c, applies := rule(d)
		switch {
		case !applies:
		case c.Raised:
			raised = append(raised, c)
		default:
			plain = append(plain, c)
		}
	}
	return append(raised, plain...)
}

var rules = []func(Drink) (Caution, bool){
	soy, hotBlend, fridge, keptSoak, selenium, coumarin, nutmeg, honey, rice, xylitol, chocolate, crystals, gels, slime, tuber, infant,
}

// measured is a caution with a figure, raised from half of its limit.
func measured(code, text string, value, limit float64, unit string) Caution {
	return Caution{Code: code, Text: text, Value: &value, Limit: &limit, Unit: unit, Raised: value >= raisedFrom*limit}
}

func (d Drink) has(t ingredient.Tag) bool {
	return d.massOf(t) > 0
}

func (d Drink) massOf(t ingredient.Tag) float64 {
	total := 0.
	for _, p := range d.Parts {
		if p.Ingredient.Has(t) {
			total += p.MassG
		}
	}
	return total
}

// perServing is the share of something in the batch that one serving holds.
func (d Drink) perServing(batch float64) float64 {
	if d.BatchML == 0 {
		return 0
	}
	return batch * d.ServingML / d.BatchML
}

func soy(d Drink) (Caution, bool) {
	return Caution{Code: "soy-boil", Raised: true,
		Text: "Soy is never drunk raw. Bring it to a full boil, then simmer at least 10 minutes, stirring the bottom; the foam that rises first is not yet the boil.",
	}, d.has(ingredient.TagBoil)
}

func hotBlend(d Drink) (Caution, bool) {
	for _, p := range d.Parts {
		if p.Hot {
			return Caution{Code: "hot-blend", Raised: true,
				Text: "Hot liquid bursts out of a sealed blender. Fill it half full at most and leave the lid vented under a cloth.",
			}, true
		}
	}
	return Caution{}, false
}

func fridge(d Drink) (Caution, bool) {
	c := measured("fridge-warm", "The fridge is set above 5 °C: drinks keep a day at most by the cautious school. Turn it down.", d.FridgeC, warmFridgeC, "°C")
	c.Raised = true
	return c, d.FridgeC > warmFridgeC
}

func keptSoak(d Drink) (Caution, bool) {
	for _, p := range d.Parts {
		if p.SoakKept && p.Ingredient.Class == ingredient.Grain {
			return Caution{Code: "kept-soak", Raised: true,
				Text: "The soaking liquid stays in the drink: Bacillus cereus can grow in it warm. Soak in the fridge, or no longer than 4 hours out of it.",
			}, true
		}
	}
	return Caution{}, false
}

func selenium(d Drink) (Caution, bool) {
	return measured("selenium", "Brazil nuts are rich in selenium. Figure: a serving, all of it counted as passing into the drink; limit: an adult's day (EFSA 2023; less for children).",
		d.PerServing[ingredient.SeleniumUg], seleniumUgPerDay, "µg"), d.hasID("brazil-nut")
}

func (d Drink) hasID(id string) bool {
	for _, p := range d.Parts {
		if p.Ingredient.ID == id {
			return true
		}
	}
	return false
}

func coumarin(d Drink) (Caution, bool) {
	mg := 0.
	for _, p := range d.Parts {
		mg += p.MassG * p.Ingredient.PerGram[ingredient.CoumarinMg]
	}
	return measured("coumarin", "Cinnamon holds coumarin, cassia far more than Ceylon. Figure: a serving, all of it counted; limit: a day at 60 kg body weight (EFSA 2008). For daily drinking take Ceylon.",
		d.perServing(mg), coumarinMgPerKg*adultKg, "mg"), mg > 0
}

func nutmeg(d Drink) (Caution, bool) {
	g := d.massOf(ingredient.TagNutmeg)
	return measured("nutmeg", "Nutmeg is for flavour only; several grams in a day are toxic. Figure: a serving.",
		d.perServing(g), nutmegGPerDay, "g"), g > 0
}

func honey(d Drink) (Caution, bool) {
	return Caution{Code: "honey-infant", Text: "Contains honey: not for a child under 12 months."}, d.has(ingredient.TagHoney)
}

func rice(d Drink) (Caution, bool) {
	return Caution{Code: "rice-child", Text: "Rice drinks are not for children under 5 in place of milk (UK Food Standards Agency, inorganic arsenic)."}, d.has(ingredient.TagRice)
}

func xylitol(d Drink) (Caution, bool) {
	return Caution{Code: "xylitol-dogs", Text: "Contains xylitol: poisonous to dogs, keep it out of their reach."}, d.has(ingredient.TagXylitol)
}

func chocolate(d Drink) (Caution, bool) {
	return Caution{Code: "chocolate-dogs", Text: "Contains cocoa: poisonous to dogs, keep it out of their reach."}, d.has(ingredient.TagChocolate)
}

func crystals(d Drink) (Caution, bool) {
	return measured("crystallise", "More sucrose than cold water holds: it will crystallise in the fridge. A little more water, or invert sugar in place of some, stops it.",
		d.SucrosePct, sucroseSaturation, "% by mass"), d.SucrosePct > sucroseSaturation
}

func gels(d Drink) (Caution, bool) {
	return Caution{Code: "gels", Text: "Flax gels in water: strain at once, or it will not run through."}, d.has(ingredient.TagGels)
}

func slime(d Drink) (Caution, bool) {
	return Caution{Code: "slime",
		Text: "Oats and rice turn slimy: blend no longer than 30 seconds, with water at 10 °C or colder, and do not squeeze hard.",
	}, d.has(ingredient.TagSlimes) && (d.BlendS > slimyBlendS || d.WaterC > slimyWaterC)
}

func tuber(d Drink) (Caution, bool) {
	return Caution{Code: "tiger-nut", Text: "Tiger nut is a tuber and no nut."}, d.has(ingredient.TagTuber)
}

func infant(Drink) (Caution, bool) {
	return Caution{Code: "infant",
		Text: "Not infant formula, and no milk to live on under two years. Home milk is not fortified: little calcium, iodine, B12 or D.",
	}, true
}
