// Package caution holds the figures of a drink against the limits that keep people safe,
// and says in a line what can happen and what to do. It defers to local rules and to
// professionals and makes no health claim.
//
// # Rules
//
// Each caution is a rule that looks at a drink and answers with a [Caution] or not at all.
// Where it rests on a figure (selenium, iodine, coumarin, nutmeg, free sugars) the figure
// and its limit stand with it, and it is raised from half of the limit on: a cook wants to
// know before it is too much. What is not known to stay behind in the pulp is counted as
// if all of it passed: of two figures the safer one is shown.
//
// Limits are those of a person. With drinkers known, each figure is the day of whoever
// comes nearest to their own limit, by age and weight and how many servings they take; a
// child's limit counts where a child drinks.
//
// # Whom it is not for
//
// [ForWhom] holds a drink against each drinker: allergens by word and by kin (who cannot
// have walnut is told of pecan), age (honey, rice, whole nuts), what they cannot stand.
// Allergens are those of the lists of 21 CFR, EU 1169/2011 and their like, kept as codes.
package caution

import (
	"math"

	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// Caution is one thing to know before the drink is made or served.
type Caution struct {
	Code   string
	Text   say.Text
	Value  *float64 // nil where the caution has no figure
	Limit  *float64
	Unit   string
	Raised bool // shown first and marked
}

// Limits and where they come from. Those that hang on age are in drinkers.go.
const (
	coumarinMgPerKg   = 0.1  // body weight and day; source: EFSA 2008
	nutmegGPerDay     = 5.   // toxic above, from memory
	raisedFrom        = 0.5  // of a day's limit
	freeSugarsFromG   = 0.5  // a serving, below which nothing is said
	sucroseSaturation = 64.2 // % by mass in water at 0 °C; source: ICUMSA, from memory
	warmFridgeC       = 5.   // source: FDA Food Code 3-501.16
	slimyGroundC      = 20.  // common practice
	slimyBlendS       = 30.  // common practice
	looseOilPct       = 3.   // of added oil, above which it wants help to stay in (common practice)
)

// CartonCalciumMg is the calcium of a mL of fortified carton milk, mg (typical
// label, from memory).
const CartonCalciumMg = 1.2

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
	SucroseG   float64 // in the batch
	WaterG     float64 // in the batch
	Drinkers   []Drinker
	FridgeC    float64
	BlendS     float64
	GroundC    float64 // at the end of grinding
	Clogs      bool    // the strainer is one that fine seeds stop up
	Squeezed   bool    // strained by squeezing hard
	Heated     bool
	AddedOilG  float64 // in the batch
	BatchG     float64
}

// Refused is the caution for an ingredient that must not be used at all; ok is
// false for any other.
func Refused(i *ingredient.Ingredient) (c Caution, ok bool) {
	if !i.Has(ingredient.TagRefused) {
		return Caution{}, false
	}
	return Caution{
		Code: "unsafe-base", Raised: true,
		Text: say.Of("unsafe-base", i.Name, i.Source),
	}, true
}

// Of lists the cautions of a drink, the raised ones first.
func Of(d Drink) []Caution {
	found := make([]Caution, 0, len(rules))
	raised := 0
	for _, rule := range rules {
		c, applies := rule(&d)
		if !applies {
			continue
		}
		found = append(found, c)
		if c.Raised {
			copy(found[raised+1:], found[raised:])
			found[raised] = c
			raised++
		}
	}
	return found
}

var rules = []func(*Drink) (Caution, bool){
	soy, hotBlend, fridge, keptSoak, selenium, iodine, coumarin, nutmeg, freeSugars, honey, rice, xylitol, chocolate, crystals,
	stones, herbs, separates, clogs, gels, slime, tuber, unfortified, infant,
}

// measured is a caution with a figure, raised from half of its limit.
func measured(code string, text say.Text, value, limit float64, unit string) Caution {
	return Caution{Code: code, Text: text, Value: &value, Limit: &limit, Unit: unit, Raised: value >= raisedFrom*limit}
}

func (d *Drink) has(t ingredient.Tag) bool {
	return d.massOf(t) > 0
}

func (d *Drink) massOf(t ingredient.Tag) float64 {
	total := 0.
	for _, p := range d.Parts {
		total += p.MassG * shareOf(p.Ingredient, t)
	}
	return total
}

// shareOf is how much of an ingredient carries the tag: of a blend, the parts
// that do.
func shareOf(i *ingredient.Ingredient, t ingredient.Tag) float64 {
	inside := i.Inside()
	switch {
	case !i.Has(t):
		return 0
	case len(inside) == 0:
		return 1
	}
	share := 0.
	for _, p := range inside {
		share += p.Share * shareOf(p.Ingredient, t)
	}
	if share == 0 {
		return 1 // the mark is the drink's own
	}
	return share
}

// perServing is the share of something in the batch that one serving holds.
func (d *Drink) perServing(batch float64) float64 {
	if d.BatchML == 0 {
		return 0
	}
	return batch * d.ServingML / d.BatchML
}

func soy(d *Drink) (Caution, bool) {
	if !d.has(ingredient.TagBoil) {
		return Caution{Code: "soy-boil", Text: say.Of("soy-was-boiled")}, d.has(ingredient.TagBoiledSoy)
	}
	return Caution{Code: "soy-boil", Raised: true,
		Text: say.Of("soy-boil"),
	}, true
}

// HotBlend is said wherever something hot goes into a blender.
var HotBlend = say.Of("hot-blend")

func hotBlend(d *Drink) (Caution, bool) {
	for _, p := range d.Parts {
		if p.Hot {
			return Caution{Code: "hot-blend", Raised: true,
				Text: HotBlend,
			}, true
		}
	}
	return Caution{}, false
}

func fridge(d *Drink) (Caution, bool) {
	if d.FridgeC <= warmFridgeC {
		return Caution{}, false
	}
	c := measured("fridge-warm", say.Of("fridge-warm"), d.FridgeC, warmFridgeC, "°C")
	c.Raised = true
	return c, true
}

func keptSoak(d *Drink) (Caution, bool) {
	for _, p := range d.Parts {
		if p.SoakKept && p.Ingredient.Class == ingredient.Grain {
			return Caution{Code: "kept-soak", Raised: true,
				Text: say.Of("kept-soak"),
			}, true
		}
	}
	return Caution{}, false
}

// heldToADay holds what a serving brings against the day of whoever comes
// nearest to the limit.
func (d *Drink) heldToADay(code, unit string, perServing float64, limit func(Drinker) float64) Caution {
	who, value, most := d.nearest(perServing, limit)
	whose := say.Of("held-to-a-day-of-anyone")
	if who != "" {
		whose = say.Of("held-to-a-day", who)
	}
	return measured(code, say.Together(say.Of(code), whose), value, most, unit)
}

func selenium(d *Drink) (Caution, bool) {
	if !d.has(ingredient.TagSelenium) {
		return Caution{}, false
	}
	return d.heldToADay("selenium", "µg", d.PerServing[ingredient.SeleniumUg], Drinker.seleniumUg), true
}

func iodine(d *Drink) (Caution, bool) {
	if !d.has(ingredient.TagIodine) {
		return Caution{}, false
	}
	return d.heldToADay("iodine", "µg", d.PerServing[ingredient.IodineUg], Drinker.iodineUg), true
}

func freeSugars(d *Drink) (Caution, bool) {
	g := d.PerServing[ingredient.FreeSugars]
	if g < freeSugarsFromG {
		return Caution{}, false
	}
	return d.heldToADay("free-sugars", "g", g, Drinker.freeSugarsG), true
}

func coumarin(d *Drink) (Caution, bool) {
	mg := d.PerServing[ingredient.CoumarinMg]
	if mg == 0 {
		return Caution{}, false
	}
	return d.heldToADay("coumarin", "mg", mg, Drinker.coumarinMg), true
}

func nutmeg(d *Drink) (Caution, bool) {
	g := d.massOf(ingredient.TagNutmeg)
	if g == 0 {
		return Caution{}, false
	}
	return d.heldToADay("nutmeg", "g", d.perServing(g), func(Drinker) float64 { return nutmegGPerDay }), true
}

func honey(d *Drink) (Caution, bool) {
	return Caution{Code: "honey-infant", Text: say.Of("honey-infant")}, d.has(ingredient.TagHoney)
}

func rice(d *Drink) (Caution, bool) {
	return Caution{Code: "rice-child", Text: say.Of("rice-child")}, d.has(ingredient.TagRice)
}

func xylitol(d *Drink) (Caution, bool) {
	return Caution{Code: "xylitol-dogs", Text: say.Of("xylitol-dogs")}, d.has(ingredient.TagXylitol)
}

func chocolate(d *Drink) (Caution, bool) {
	return Caution{Code: "chocolate-dogs", Text: say.Of("chocolate-dogs")}, d.has(ingredient.TagChocolate)
}

func crystals(d *Drink) (Caution, bool) {
	if d.SucroseG == 0 {
		return Caution{}, false
	}
	pct := 100 * d.SucroseG / (d.SucroseG + d.WaterG)
	if pct <= sucroseSaturation {
		return Caution{}, false
	}
	water := d.SucroseG*(100/sucroseSaturation-1) - d.WaterG
	invert := d.SucroseG - d.WaterG/(100/sucroseSaturation-1)
	return measured("crystallise", say.Of("crystallise", sucroseSaturation, water, invert),
		pct, sucroseSaturation, "% by mass"), true
}

func stones(d *Drink) (Caution, bool) {
	return Caution{Code: "pit-dates", Text: say.Of("pit-dates")}, d.has(ingredient.TagStones)
}

func herbs(d *Drink) (Caution, bool) {
	return Caution{Code: "herbs", Text: say.Of("herbs")},
		d.has(ingredient.TagHerb)
}

func clogs(d *Drink) (Caution, bool) {
	return Caution{Code: "clogs", Text: say.Of("clogs")}, d.has(ingredient.TagClogs) && d.Clogs
}

func gels(d *Drink) (Caution, bool) {
	return Caution{Code: "gels", Text: say.Of("gels")}, d.has(ingredient.TagGels)
}

func slime(d *Drink) (Caution, bool) {
	return Caution{Code: "slime",
		Text: say.Of("slime"),
	}, d.has(ingredient.TagSlimes) && (d.BlendS > slimyBlendS || d.GroundC > slimyGroundC || d.Squeezed)
}

func separates(d *Drink) (Caution, bool) {
	pct := 100 * d.AddedOilG / math.Max(1, d.BatchG)
	apart := pct > looseOilPct && !d.has(ingredient.TagEmulsifies) && !d.Heated
	if !apart {
		return Caution{}, false
	}
	return Caution{Code: "oil-separates", Value: &pct, Unit: "% added oil",
		Text: say.Of("oil-separates"),
	}, true
}

func tuber(d *Drink) (Caution, bool) {
	return Caution{Code: "tiger-nut", Text: say.Of("tiger-nut")}, d.has(ingredient.TagTuber)
}

func unfortified(d *Drink) (Caution, bool) {
	less := CartonCalciumMg * d.ServingML * d.most(func(p Drinker) float64 { return p.servings() })
	return Caution{Code: "unfortified", Value: &less, Unit: "mg calcium",
		Text: say.Of("unfortified"),
	}, true
}

func infant(*Drink) (Caution, bool) {
	return Caution{Code: "infant", Text: say.Of("infant")}, true
}
