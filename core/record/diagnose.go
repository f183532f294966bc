package record

import (
	"cmp"
	"math"
	"slices"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Facts are what really happened in a batch, as far as it is known. A figure of -1 is not known.
type Facts struct {
	SoakH, SoakIdealH float64 // 0 where nothing soaks
	Seconds, UsualS   float64 // in the blender
	WaterC            float64 // of what was ground with
	AgeDays           float64 // when it was tasted
	FridgeC           float64 // the mean it stood at
	OutsideH          float64 // out of the fridge
	CoolH             float64 // from the stove to 21 °C
	FatPct            float64
	HeatedC           float64 // 0 where it was not
	Covered           bool    // on the stove
	Strainer          process.Strainer
	HasSkins          bool    // a base went in with them
	Swells            bool    // oats or another base that turns slimy
	OverSweet         float64 // what went in beyond what was planned, as a share; 0 as planned
	OverSpice         float64
	OverWater         float64
	OverBase          float64
}

// Unknown is a figure that nobody took down.
const Unknown = -1

// FactsOf are the facts that the recipe itself gives; what is only known of the batch is
// Unknown until it is filled in.
func FactsOf(d *reckon.Drink, r *reckon.Reckoning) Facts {
	f := Facts{SoakH: Unknown, AgeDays: Unknown, FridgeC: Unknown, OutsideH: Unknown, CoolH: Unknown, Strainer: d.Method.Strainer}
	f.Seconds, f.WaterC, f.HeatedC, f.FatPct, f.Covered = r.Made.Seconds, r.Made.WaterC, r.Made.HeatedC, r.FatPct, d.Method.Covered
	if r.Soak != nil {
		f.SoakIdealH = r.Soak.Hours.Ideal
	}
	for _, l := range d.Lines {
		if l.Ingredient == nil || l.Kept {
			continue
		}
		if l.Ingredient.Role == ingredient.Base {
			f.UsualS = math.Max(f.UsualS, r.Made.SecondsOf(l.Ingredient))
			f.Swells = f.Swells || l.Ingredient.Has(ingredient.TagClings)
			f.HasSkins = f.HasSkins || l.Ingredient.Has(ingredient.TagBitterSkin) && !l.Treatment.Skinned
		}
	}
	if said := d.AsSaid().SoakHours; said > 0 {
		f.SoakH = said
	}
	usual := *d
	usual.Method.Seconds, usual.Changes = 0, without(slices.Clone(d.Changes), "grind", "seconds")
	if u, err := usual.Reckon(); err == nil && u.Made.Seconds > 0 {
		f.UsualS = u.Made.Seconds
	}
	return f
}

// was is what really happened of the figure that a change sets; 0 where the recipe tells.
func (f Facts) was(c Change) float64 {
	if c.How == SetSoakH {
		return math.Max(0, f.SoakH)
	}
	return 0
}

// Cause is why something may have come about.
type Cause struct {
	Code     string   // soak-short, blend-short, …
	Evidence say.Text // what happened beside what is usual, or the general rule
	Score    float64  // in the deviations that a cook's own hands vary by; the general rules lie below 1
	Change   *Change  // what would mend it; nil where no recipe can
}

// What a batch varies by without anybody minding (judgements, no source): a cause scores by how
// many of these it lies beyond what is usual.
const (
	soakSD  = .15 // of the ideal, as a share
	blendSD = .20 // of the usual seconds
	waterSD = 6.  // °C
	ageSD   = 1.5 // days
	fridgeS = 1.5 // °C
	coolSD  = .75 // h
	fatSD   = 1.5 // % by mass
	overSD  = .06 // of what was planned
)

// Where what is usual ends.
const (
	slimeFromC  = 15. // °C of the water oats are blended with (common practice: cold)
	freshDays   = 2.  // in which a creamer stands hot coffee
	coffeeFat   = 6.  // % of fat that keeps a creamer together (common practice)
	coldFridgeC = 4.  // °C
	coolWithinH = 2.  // h to 21 °C (FDA Food Code 2022, 3-501.14)
	outsideH    = 1.  // h on the table that nobody minds
	skinFromC   = 70. // °C from which a skin forms
	coldWaterC  = 5.  // what slimy milk is made with instead
	mostCauses  = 4   // told of one flag
	wetSkins    = .9  // how much a skin speaks against a bitter nut, always there
	firmSlime   = 1.4 // and squeezing against slimy oats
	coarse      = 2.2 // a sieve against grit
	passes      = .45 // general rules
	heatedSkin  = 1.6 // open on the stove, against a skin
	general     = .3  // the least that is told
)

// Diagnose ranks what may have caused a flag, the likeliest first: what really happened in this
// batch before what is true in general.
func Diagnose(flag Flag, f Facts) []Cause {
	var out []Cause
	for _, c := range causesOf(flag, f) {
		if c.Score > 0 {
			out = append(out, c)
		}
	}
	slices.SortStableFunc(out, func(a, b Cause) int { return cmp.Compare(b.Score, a.Score) })
	return out[:min(len(out), mostCauses)]
}

// causesOf are all that a flag can come from, with their scores; 0 or less says that it did not.
func causesOf(flag Flag, f Facts) []Cause {
	switch flag {
	case Gritty:
		return []Cause{f.shortSoak(), f.shortBlend(), f.coarseStrainer()}
	case Slimy:
		return []Cause{f.warmWater(), f.longBlend(), f.squeezed(), f.longSoak()}
	case Separates:
		return []Cause{f.old(), f.leanForCoffee(), rule("coffee-warm-first", general), rule("coffee-acid", general-.05)}
	case Settles:
		return []Cause{f.shortBlend(), f.coarseStrainer(), f.shortSoak(), rule("shake-it", general)}
	case SourEarly:
		return []Cause{f.warmFridge(), f.cooledSlowly(), f.stoodOutside(), f.longSoak(), rule("clean-bottles", general)}
	case Bitter:
		return []Cause{f.skins(), f.shortSoak(), f.overSpiced(), rule("taste-the-nuts", general)}
	case TooSweet:
		return []Cause{over("sweetener", f.OverSweet)}
	case TooSpicy:
		return []Cause{over("spice", f.OverSpice)}
	case TooThin:
		return []Cause{over("water", f.OverWater), short("base", f.OverBase), f.shortBlend(), f.shortSoak()}
	case TooThick:
		return []Cause{short("water", f.OverWater), over("base", f.OverBase), f.longBlend()}
	case SkinForms:
		return []Cause{f.heatedOpen(), rule("stir-while-cooling", general)}
	}
	return nil
}

func rule(code string, score float64) Cause {
	return Cause{Code: code, Evidence: say.Of("cause-" + code), Score: score}
}

// beyond is how many deviations a figure lies beyond a bound; 0 where it does not, or is not known.
func beyond(value, bound, sd float64) float64 {
	if value == Unknown {
		return 0
	}
	return math.Max(0, (value-bound)/sd)
}

func (f Facts) shortSoak() Cause {
	c := Cause{Code: "soak-short", Evidence: say.Of("cause-soak-short", f.SoakH, f.SoakIdealH), Change: &Change{How: SetSoakH, To: f.SoakIdealH}}
	if f.SoakIdealH > 0 && f.SoakH >= 0 {
		c.Score = beyond(-f.SoakH/f.SoakIdealH, -1, soakSD)
	}
	return c
}

func (f Facts) longSoak() Cause {
	c := Cause{Code: "soak-long", Evidence: say.Of("cause-soak-long", f.SoakH, f.SoakIdealH), Change: &Change{How: SetSoakH, To: f.SoakIdealH}}
	if f.SoakIdealH > 0 && f.SoakH >= 0 {
		c.Score = beyond(f.SoakH/f.SoakIdealH, 1.2, soakSD)
	}
	return c
}

func (f Facts) shortBlend() Cause {
	c := Cause{Code: "blend-short", Evidence: say.Of("cause-blend-short", f.Seconds, f.UsualS), Change: &Change{How: SetSeconds, To: f.UsualS}}
	if f.UsualS > 0 {
		c.Score = beyond(-f.Seconds/f.UsualS, -1, blendSD)
	}
	return c
}

func (f Facts) longBlend() Cause {
	c := Cause{Code: "blend-long", Evidence: say.Of("cause-blend-long", f.Seconds, f.UsualS), Change: &Change{How: SetSeconds, To: f.UsualS}}
	if f.UsualS > 0 {
		c.Score = beyond(f.Seconds/f.UsualS, 1, blendSD)
	}
	return c
}

func (f Facts) coarseStrainer() Cause {
	c := Cause{Code: "strainer-coarse", Evidence: say.Of("cause-strainer-coarse", f.Strainer.Told()), Change: &Change{How: SetStrainer, Strainer: process.Cloth}}
	switch f.Strainer {
	case process.Sieve, process.SievePushed:
		c.Score = coarse
	case process.Bag, process.Gentle:
		c.Score = passes
	}
	return c
}

func (f Facts) warmWater() Cause {
	return Cause{Code: "water-warm", Evidence: say.Of("cause-water-warm", f.WaterC), Change: &Change{How: SetWaterC, To: coldWaterC}, Score: beyond(f.WaterC, slimeFromC, waterSD)}
}

func (f Facts) squeezed() Cause {
	c := Cause{Code: "squeezed", Evidence: say.Of("cause-squeezed"), Change: &Change{How: SetStrainer, Strainer: process.Gentle}}
	if f.Strainer.Squeezes() {
		c.Score = firmSlime
	}
	return c
}

func (f Facts) old() Cause {
	return Cause{Code: "old", Evidence: say.Of("cause-old", f.AgeDays), Score: beyond(f.AgeDays, freshDays, ageSD)}
}

func (f Facts) leanForCoffee() Cause {
	return Cause{Code: "lean", Evidence: say.Of("cause-lean", f.FatPct, coffeeFat), Change: &Change{How: TurnDial, Dial: reckon.Fat, To: coffeeFat}, Score: beyond(-f.FatPct, -coffeeFat, fatSD)}
}

func (f Facts) warmFridge() Cause {
	return Cause{Code: "fridge-warm", Evidence: say.Of("cause-fridge-warm", f.FridgeC), Score: beyond(f.FridgeC, coldFridgeC, fridgeS)}
}

func (f Facts) cooledSlowly() Cause {
	return Cause{Code: "cooled-slowly", Evidence: say.Of("cause-cooled-slowly", f.CoolH, coolWithinH), Score: beyond(f.CoolH, coolWithinH, coolSD)}
}

func (f Facts) stoodOutside() Cause {
	return Cause{Code: "stood-outside", Evidence: say.Of("cause-stood-outside", f.OutsideH), Score: beyond(f.OutsideH, outsideH, coolSD)}
}

func (f Facts) skins() Cause {
	c := Cause{Code: "skins", Evidence: say.Of("cause-skins"), Change: &Change{How: SetSkinned}}
	if f.HasSkins {
		c.Score = wetSkins
	}
	return c
}

func (f Facts) overSpiced() Cause { return over("spice", f.OverSpice) }

// over and short are amounts that went in otherwise than planned: the recipe is right then.
func over(what string, share float64) Cause {
	return Cause{Code: "over-" + what, Evidence: say.Of("cause-over-"+what, 100*share), Score: beyond(share, 0, overSD)}
}

func short(what string, share float64) Cause {
	return Cause{Code: "short-" + what, Evidence: say.Of("cause-short-"+what, -100*share), Score: beyond(-share, 0, overSD)}
}

// heatedOpen is mended with a lid and not with less heat, which soy and starch need.
func (f Facts) heatedOpen() Cause {
	c := Cause{Code: "heated-open", Evidence: say.Of("cause-heated-open"), Change: &Change{How: SetCovered}}
	if f.HeatedC >= skinFromC && !f.Covered {
		c.Score = heatedSkin
	}
	return c
}
