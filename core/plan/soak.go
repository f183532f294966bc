package plan

import (
	"math"
	"slices"
	"time"

	"plushladle/core/ingredient"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// soaks tells whether a line is a base that is soaked.
func (c *compiler) soaks(n int) bool {
	return c.soaking[n]
}

// anySoaks tells whether there is a soak at all, or the day begins with grinding.
func (c *compiler) anySoaks() bool {
	for n := range c.d.Lines {
		if c.soaks(n) {
			return true
		}
	}
	return false
}

// keepsSoak tells whether the soaking liquid stays in the drink.
func (c *compiler) keepsSoak() bool { return c.layout.KeepsSoak() }

// soaked are the bases that soak with what goes into their water, and the
// window that suits them all.
func (c *compiler) soaked() ([]Amount, Window, bool) {
	var amounts []Amount
	longest := ingredient.Span{}
	most := math.Inf(1)
	kept := c.keepsSoak()
	for n, line := range c.d.Lines {
		if !c.soaks(n) {
			continue
		}
		span := line.Ingredient.SoakH
		if kept && line.Ingredient.Class == ingredient.Grain {
			span = keptSoak(c.where)
		}
		amounts = append(amounts, c.amount(n))
		most = math.Min(most, span.Max)
		if span.Ideal > longest.Ideal {
			longest = span
		}
	}
	if len(amounts) == 0 {
		return nil, Window{}, false
	}
	longest.Max = math.Max(longest.Min, math.Min(longest.Max, most))
	if asked := c.method.SoakHours; asked > 0 {
		longest.Ideal, longest.Min = asked, math.Min(longest.Min, asked)
	}
	return append(amounts, c.of(slices.Concat(c.layout.Kept, c.layout.Aids))...), window(longest, c.kitchen.TempC, c.where), true
}

// keptSoak is the window of rice or barley soaked in liquid that stays in.
func keptSoak(where Soaking) ingredient.Span {
	if where == InTheFridge {
		return ingredient.Span{Min: 8, Ideal: 12, Max: 24 / fridgeTimes} // stretched again below
	}
	return reckon.KeptSoakH
}

// window is a soak's window where it stands: shorter in a warm kitchen,
// longer in the fridge.
func window(s ingredient.Span, roomC float64, where Soaking) Window {
	most := s.Max
	switch {
	case where == InTheFridge:
		most = math.Min(fridgeMostH, fridgeTimes*s.Max)
	case roomC > warmsFromC:
		most = s.Max * math.Pow(2, -(roomC-warmsFromC)/halvesEveryC)
	}
	least := math.Min(s.Min, most)
	return hours(least, math.Max(least, math.Min(s.Ideal, most)), most)
}

// Two and a half times the dry volume is the water (common practice, no source).
// The vessel holds that and what soaks in it, swollen, with a tenth to spare.
// Swelling that is not known is taken as doubling.
const (
	soakWaterTimes = 2.5 // mL of water for each mL of dry base
	spareTimes     = 1.1 // of what stands in it
	swellsUnknown  = 2.  // of its dry volume, where nobody measured it
	vesselStepML   = 50. // mL, what vessels are rounded up to
)

// vessel says what a soak stands in.
func (c *compiler) vessel() say.Text {
	dryML, swollenML, known := c.soakML()
	if !known {
		return say.Of("soak-water-roomy")
	}
	if c.keepsSoak() {
		return say.Of("soak-vessel-kept", dryML, swollenML, vesselML(dryML, swollenML, c.keptML()))
	}
	waterML := roundUp(soakWaterTimes * dryML)
	return say.Of("soak-vessel", dryML, swollenML, waterML, vesselML(dryML, swollenML, waterML))
}

// soakML are the volumes of what soaks, dry and soaked; known only where all
// densities are.
func (c *compiler) soakML() (dryML, swollenML float64, known bool) {
	for n, line := range c.d.Lines {
		if !c.soaks(n) {
			continue
		}
		i := line.Ingredient
		if i.BulkGPerML == 0 || c.r.Lines[n].MassG == 0 {
			return 0, 0, false
		}
		dryML += c.r.Lines[n].MassG / i.BulkGPerML
		swollenML += swollen(i, c.r.Lines[n].MassG)
	}
	return dryML, swollenML, true
}

// swollen is the volume in mL that a dry mass comes to in its soak.
func swollen(i *ingredient.Ingredient, massG float64) float64 {
	times := i.Swelling
	if times == 0 {
		times = swellsUnknown
	}
	return massG / i.BulkGPerML * times
}

// vesselML is what holds so much dry, in so much liquid, and then swollen: what it
// takes up comes from the liquid, so that the whole hardly grows.
func vesselML(dryML, swollenML, liquidML float64) float64 {
	return roundUp(spareTimes * math.Max(dryML+liquidML, swollenML))
}

// keptML is the liquid of a soak that is kept, mL.
func (c *compiler) keptML() float64 {
	ml := 0.
	for _, n := range c.layout.Kept {
		ml += c.r.Lines[c.r.Through[n].Index].VolumeML
	}
	return ml
}

func roundUp(ml float64) float64 { return math.Ceil(ml/vesselStepML) * vesselStepML }

// soak waits, in parts where the water is changed in between.
func (c *compiler) soak() {
	if c.where == FromABowl {
		return
	}
	amounts, w, soaks := c.soaked()
	if !soaks {
		if len(c.layout.Brewed) > 0 {
			c.add(Step{Kind: Cool, Title: say.Of("cool-the-brew"), Length: hours(2, 2, 4)})
		}
		return
	}
	parts := int(math.Max(1, math.Ceil(w.Ideal.Hours()/changeEveryH-1e-9)))
	if c.keepsSoak() {
		parts = 1 // what stays in the drink is not poured off
	}
	each := split(w, parts)
	if parts > 1 || w.Ideal.Hours() >= changeEveryH && !c.keepsSoak() {
		each.Max = min(each.Max, minutesOf(60*changeEveryH))
	}
	each.Max = max(each.Max, each.Ideal)
	for n := range parts {
		if n > 0 {
			c.add(Step{Kind: ChangeWater, Title: say.Of("change-water", names(c.lying(amounts))), Length: fixed(changeMin), HandsOn: true})
		}
		c.add(Step{Kind: Soak, Title: say.Of("soak", names(c.lying(amounts))), Length: each, Fridge: c.where == InTheFridge, TempC: c.soakC(), Right: c.quickSoak(), Caution: c.soakCaution()})
	}
}

// quickSoak is the way out where time is short: in hot water some are soft
// in an hour or two (common practice, no source).
func (c *compiler) quickSoak() say.Text {
	for n, line := range c.d.Lines {
		if c.soaks(n) && line.Ingredient.Has(ingredient.TagQuickSoak) {
			return say.Of("quick-soak")
		}
	}
	return say.Text{}
}

// soakC is the temperature a soak stands at.
func (c *compiler) soakC() float64 {
	if c.where == InTheFridge {
		return c.d.FridgeC
	}
	return c.kitchen.TempC
}

// split parts a window evenly.
func split(w Window, parts int) Window {
	n := time.Duration(parts)
	return Window{w.Min / n, w.Ideal / n, w.Max / n}
}

// soakCaution: grain soaked in water that is kept stands in the fridge, or for a short time.
func (c *compiler) soakCaution() say.Text {
	if c.keepsSoak() && c.where == OnTheBench {
		return say.Of("kept-soak-limit")
	}
	return say.Text{}
}

// Sprouts grow after their soak for a day or two, rinsed in between (common
// practice, no source).
var sproutCaution = say.Of("sprout-caution")

// afterSoak rubs off skins and lets sprout what is to.
func (c *compiler) afterSoak() {
	var rubbed, sprouted []Amount
	for n, line := range c.d.Lines {
		if !c.soaks(n) {
			continue
		}
		if line.Treatment.Rubbed {
			rubbed = append(rubbed, c.amount(n))
		}
		if line.Treatment.Sprouted {
			sprouted = append(sprouted, c.amount(n))
		}
	}
	if len(rubbed) > 0 {
		c.add(Step{Kind: RubSkins, Title: say.Of("rub-skins", names(rubbed)), Length: fixed(rubMin), HandsOn: true,
			Right: say.Of("rub-skins-right")})
	}
	if len(sprouted) > 0 {
		c.add(Step{Kind: Sprout, Title: say.Of("sprout", names(sprouted)), Length: hours(8, 12, 14), Caution: sproutCaution})
		c.add(Step{Kind: RinseSprout, Title: say.Of("rinse-sprouting", names(sprouted)), Length: fixed(changeMin), HandsOn: true, Caution: sproutCaution})
		c.add(Step{Kind: Sprout, Title: say.Of("sprout-on", names(sprouted)), Length: hours(8, 12, 14), Caution: sproutCaution})
		c.add(Step{Kind: RinseSprout, Title: say.Of("rinse-sprouted", names(sprouted)), Length: fixed(changeMin), HandsOn: true,
			Right: say.Of("rinse-sprouted-right")})
	}
}
