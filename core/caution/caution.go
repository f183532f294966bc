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
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// Caution is one thing to know before the drink is made or served.
type Caution struct {
	Code   string   // stays the same through versions; the page and the tests go by it
	Text   say.Text // what to tell, as a code with its arguments
	Value  *float64 // nil where the caution has no figure
	Limit  *float64 // what Value is held against; nil where there is no figure
	Unit   string   // of Value and Limit both
	Raised bool     // shown first and marked
}

// Limits and where they come from. Those that hang on age are in drinkers.go.
const (
	coumarinMgPerKg   = 0.1  // body weight and day; source: EFSA 2008
	nutmegGPerDay     = 5.   // toxic above, from memory
	poppyGPerKg       = 0.5  // body weight and day: EFSA 2018, 10 µg of morphine a kg at once, in seeds of the 20 mg/kg that (EU) 2021/2142 allows; both from memory
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
	Ingredient *ingredient.Ingredient // never nil: a line that was not understood is no part
	MassG      float64                // as used, g; spices that are lifted out count whole
	SoakKept   bool                   // soaks in liquid that stays in the drink
	Hot        bool                   // goes into the blender hot
}

// Drink is what is held against the limits.
type Drink struct {
	Parts      []Part             // everything that goes in, lines of the recipe in their order
	BatchML    float64            // the finished drink, mL
	ServingML  float64            // one glass of it, mL
	PerServing ingredient.Content // g, mg or µg by the component, in one serving
	SucroseG   float64            // in the batch
	WaterG     float64            // in the batch
	Drinkers   []Drinker          // empty stands for anyAdult
	FridgeC    float64            // what the fridge is set to or measured at, °C
	BlendS     float64            // the longest that what turns slimy by grinding is ground, s
	GroundC    float64            // at the end of grinding
	Clogs      bool               // the strainer is one that fine seeds stop up
	Squeezed   bool               // strained by squeezing hard
	Heated     bool               // brought to any heat after grinding, so that oil is held better
	AddedOilG  float64            // in the batch
	BatchG     float64            // the finished drink, g
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

var rules = []func(*Drink) (Caution, bool){ // in the order a cook should read them: what harms soonest first
	soy, hotBlend, fridge, keptSoak, selenium, iodine, coumarin, nutmeg, poppy, freeSugars, honey, rice, xylitol, chocolate, crystals,
	stones, herbs, separates, clogs, gels, slime, tuber, unfortified, infant,
}

// measured is a caution with a figure, raised from half of its limit.
func measured(code string, text say.Text, value, limit float64, unit string) Caution {
	return Caution{Code: code, Text: text, Value: &value, Limit: &limit, Unit: unit, Raised: value >= raisedFrom*limit}
}

// has tells whether anything with the tag is in, alone or as a part of a blend.
func (d *Drink) has(t ingredient.Tag) bool {
	return d.massOf(t) > 0
}

// massOf is how much with the tag is in, g; of a blend such as a spice mix only the
// share that bears it.
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

// soy: raw soy holds trypsin inhibitors and lectins, which boiling for some minutes
// takes away (domain §11). Soy that came boiled is said once more, but not raised.
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

// hotBlend: steam under a closed lid throws it off. Said where anything goes hot into the jug.
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

// fridge: above 5 °C what lives on cold grows about twice as fast for each 5 °C more.
func fridge(d *Drink) (Caution, bool) {
	if d.FridgeC <= warmFridgeC {
		return Caution{}, false
	}
	c := measured("fridge-warm", say.Of("fridge-warm"), d.FridgeC, warmFridgeC, "°C")
	c.Raised = true
	return c, true
}

// keptSoak: grain that is ground in its own soaking water brings along whatever grew
// there, so such a soak stands in the fridge.
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

// selenium: Brazil nuts, a few of which are a day's limit; held to the strictest drinker.
func selenium(d *Drink) (Caution, bool) {
	if !d.has(ingredient.TagSelenium) {
		return Caution{}, false
	}
	return d.heldToADay("selenium", "µg", d.PerServing[ingredient.SeleniumUg], Drinker.seleniumUg), true
}

// iodine: seaweed, where a gram may hold many times a day's limit.
func iodine(d *Drink) (Caution, bool) {
	if !d.has(ingredient.TagIodine) {
		return Caution{}, false
	}
	return d.heldToADay("iodine", "µg", d.PerServing[ingredient.IodineUg], Drinker.iodineUg), true
}

// freeSugars: held to the advice of the WHO by the energy a day of that age; below
// freeSugarsFromG a serving nothing is said.
func freeSugars(d *Drink) (Caution, bool) {
	g := d.PerServing[ingredient.FreeSugars]
	if g < freeSugarsFromG {
		return Caution{}, false
	}
	return d.heldToADay("free-sugars", "g", g, Drinker.freeSugarsG), true
}

// coumarin: cassia cinnamon against the tolerable intake by body weight.
func coumarin(d *Drink) (Caution, bool) {
	mg := d.PerServing[ingredient.CoumarinMg]
	if mg == 0 {
		return Caution{}, false
	}
	return d.heldToADay("coumarin", "mg", mg, Drinker.coumarinMg), true
}

// nutmeg: its oil harms in amounts that a hand slips to; held to a day's grams.
func nutmeg(d *Drink) (Caution, bool) {
	g := d.massOf(ingredient.TagNutmeg)
	if g == 0 {
		return Caution{}, false
	}
	return d.heldToADay("nutmeg", "g", d.perServing(g), func(Drinker) float64 { return nutmegGPerDay }), true
}

// poppy: the seeds bear traces of opium alkaloids, which the water takes along; held to body weight.
func poppy(d *Drink) (Caution, bool) {
	g := d.massOf(ingredient.TagPoppy)
	if g == 0 {
		return Caution{}, false
	}
	return d.heldToADay("poppy", "g", d.perServing(g), Drinker.poppyG), true
}

// honey: spores of botulism, before the first birthday.
func honey(d *Drink) (Caution, bool) {
	return Caution{Code: "honey-infant", Text: say.Of("honey-infant")}, d.has(ingredient.TagHoney)
}

// rice: inorganic arsenic, which is why rice drinks are no main drink for small children.
func rice(d *Drink) (Caution, bool) {
	return Caution{Code: "rice-child", Text: say.Of("rice-child")}, d.has(ingredient.TagRice)
}

// xylitol: harmless to people in such amounts, deadly to dogs.
func xylitol(d *Drink) (Caution, bool) {
	return Caution{Code: "xylitol-dogs", Text: say.Of("xylitol-dogs")}, d.has(ingredient.TagXylitol)
}

// chocolate: theobromine, which dogs break down slowly.
func chocolate(d *Drink) (Caution, bool) {
	return Caution{Code: "chocolate-dogs", Text: say.Of("chocolate-dogs")}, d.has(ingredient.TagChocolate)
}

// crystals: what water does not dissolve when cold comes out as crystals. Either more
// water or some of the sugar as glucose and fructose keeps it clear.
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

// stones: dates and the like, before a blade meets one.
func stones(d *Drink) (Caution, bool) {
	return Caution{Code: "pit-dates", Text: say.Of("pit-dates")}, d.has(ingredient.TagStones)
}

// herbs: what is brewed from herbs may act on medicines; that is for a pharmacist.
func herbs(d *Drink) (Caution, bool) {
	return Caution{Code: "herbs", Text: say.Of("herbs")},
		d.has(ingredient.TagHerb)
}

// clogs: flax, chia and the like swell into a skin that a fine strainer does not let through.
func clogs(d *Drink) (Caution, bool) {
	return Caution{Code: "clogs", Text: say.Of("clogs")}, d.has(ingredient.TagClogs) && d.Clogs
}

// gels: drinks with starch or pectin set in the fridge, which is no fault.
func gels(d *Drink) (Caution, bool) {
	return Caution{Code: "gels", Text: say.Of("gels")}, d.has(ingredient.TagGels)
}

// slime: oats, warmed, ground long or squeezed, give up their beta-glucan and starch; rice its starch,
// which takes warmth or squeezing, and no longer grinding than its own minute.
func slime(d *Drink) (Caution, bool) {
	text := say.Of("slime-rice")
	if slices.ContainsFunc(d.Parts, func(p Part) bool { return p.Ingredient.SlimesWhenGround() }) {
		text = say.Of("slime")
	}
	return Caution{Code: "slime", Text: text},
		d.has(ingredient.TagSlimes) && (d.BlendS > slimyBlendS || d.GroundC > slimyGroundC || d.Squeezed)
}

// separates: oil that nothing holds (no lecithin, no heat) floats within the hour.
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

// tuber: a tiger nut is no nut, whatever its name makes people fear.
func tuber(d *Drink) (Caution, bool) {
	return Caution{Code: "tiger-nut", Text: say.Of("tiger-nut")}, d.has(ingredient.TagTuber)
}

// unfortified: a carton is usually fortified, a bottle from the blender is not. The value
// is what the hungriest drinker goes without in a day.
func unfortified(d *Drink) (Caution, bool) {
	less := CartonCalciumMg * d.ServingML * d.most(func(p Drinker) float64 { return p.servings() })
	return Caution{Code: "unfortified", Value: &less, Unit: "mg calcium",
		Text: say.Of("unfortified"),
	}, true
}

// infant: no homemade drink feeds an infant; said of every drink, whoever is named.
func infant(*Drink) (Caution, bool) {
	return Caution{Code: "infant", Text: say.Of("infant")}, true
}
