package plan

import (
	"fmt"
	"math"
	"strings"

	"plushladle/core/extract"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
)

// Steps are the steps of making a reckoned drink at its size, in order; none
// for a drink that comes to nothing.
func Steps(d *formula.Drink, r *formula.Reckoning, k Kitchen, where Soaking) []Step {
	if r.Drink == nil {
		return nil
	}
	c := compiler{d: d, r: r, kitchen: k, where: where}
	if !c.anySoaks() && where == FromABowl {
		c.where = OnTheBench
	}
	c.ready()
	c.soak()
	c.drain()
	c.grind()
	c.strain()
	c.finish()
	c.bottle()
	return c.steps
}

// compiler makes the steps of one drink, one after another.
type compiler struct {
	d       *formula.Drink
	r       *formula.Reckoning
	kitchen Kitchen
	where   Soaking
	steps   []Step
}

func (c *compiler) add(s Step) { c.steps = append(c.steps, s) }

// amount is what a line brings, as it is measured.
func (c *compiler) amount(n int) Amount {
	l, line := c.r.Lines[n], c.d.Lines[n]
	text := l.Amount.String()
	if l.Scoop != nil && l.Scoop.Text != "" && !l.Amount.IsMetric() {
		text = l.Scoop.Text
	}
	a := Amount{Key: line.Key, Line: line.Key, Name: line.Ingredient.Name, MassG: l.MassG, Text: text, Open: l.MassG == 0}
	if !a.Open {
		a.Band, a.Fine = BandOf(l.MassG, l.Tolerance, c.kitchen.ScaleG), TooFine(l.MassG, l.Tolerance, c.kitchen.ScaleG)
	}
	return a
}

// at are the amounts of the lines that go in at a stage.
func (c *compiler) at(stage ingredient.Stage) []Amount {
	return c.lines(func(n int) bool { return c.r.Lines[n].Stage == stage })
}

// lines are the amounts of the lines that suit.
func (c *compiler) lines(suits func(n int) bool) []Amount {
	var out []Amount
	for n, l := range c.r.Lines {
		if l.Err == nil && l.Understood && suits(n) {
			out = append(out, c.amount(n))
		}
	}
	return out
}

func names(amounts []Amount) string {
	all := make([]string, len(amounts))
	for n, a := range amounts {
		all[n], _, _ = strings.Cut(strings.ToLower(a.Name), ",")
	}
	return strings.Join(all, ", ")
}

// ready is the first step: everything out, weighed, and the soak begun.
func (c *compiler) ready() {
	amounts, _, soaks := c.soaked()
	step := Step{Kind: GetReady, Title: "Set everything out and weigh it", Right: "What is missing shows now.", Length: fixed(readyMin), HandsOn: true}
	switch {
	case c.where == FromABowl:
		step.Title, step.Right = "Take the "+names(amounts)+" from the bowl", "It smells fresh and is not slimy; what is goes out."
		step.Amounts = c.fromTheBowl()
	case soaks:
		step.Title, step.Right, step.Amounts = "Put the "+names(amounts)+" in to soak", c.vessel(), amounts
	}
	c.add(step)
	if brewed := c.at(ingredient.Brew); len(brewed) > 0 {
		c.add(Step{Kind: Brew, Title: "Brew the " + names(brewed), Amounts: brewed, Length: fixed(brewMin), HandsOn: true, TempC: brewC, Timer: minutesOf(brewMin),
			Right: "It draws and cools while the rest waits; once cool, into the fridge."})
	}
}

// fromTheBowl are the bases as they come out of a soak.
func (c *compiler) fromTheBowl() []Amount {
	var out []Amount
	for n := range c.d.Lines {
		if c.soaks(n) {
			out = append(out, c.wet(n))
		}
	}
	return out
}

// wet is a soaked base, drained.
func (c *compiler) wet(n int) Amount {
	a := c.amount(n)
	a.WetG = c.r.Lines[n].SoakedInG + c.keptLiquidG()*a.MassG/c.soakingG()
	a.MassG += a.WetG
	a.Band = BandOf(a.MassG, c.r.Lines[n].Tolerance, c.kitchen.ScaleG)
	a.Soaked, a.Key, a.Text = true, a.Line+"/soaked", ""
	if a.Name += ", soaked"; c.keepsSoak() {
		a.Name += ", with its water"
	}
	return a
}

// soakingG is how much is soaked, dry.
func (c *compiler) soakingG() float64 {
	total := 0.
	for n := range c.d.Lines {
		if c.soaks(n) {
			total += c.r.Lines[n].MassG
		}
	}
	return total
}

// keptLiquidG is the soaking liquid that stays in.
func (c *compiler) keptLiquidG() float64 {
	total := 0.
	for _, a := range c.at(ingredient.Soak) {
		total += a.MassG
	}
	return total
}

func (c *compiler) drain() {
	amounts, _, soaks := c.soaked()
	if !soaks {
		return
	}
	if !c.keepsSoak() {
		c.add(Step{Kind: Drain, Title: "Drain and rinse the " + names(amounts), Length: fixed(drainMin), HandsOn: true, Right: "The water runs clear."})
	}
	c.afterSoak()
}

// blooms tells whether a line is one that draws in warm water first.
func (c *compiler) blooms(n int) bool {
	i := c.d.Lines[n].Ingredient
	return i != nil && i.Has(ingredient.TagBlooms)
}

// grind fills the jug as often as it takes, each load the same.
func (c *compiler) grind() {
	if blooming := c.lines(c.blooms); len(blooming) > 0 {
		c.add(Step{Kind: Bloom, Title: "Bloom the " + names(blooming) + " in a spoon of warm water", Amounts: blooming, Length: fixed(bloomMin), HandsOn: true, TempC: bloomC,
			Timer: minutesOf(bloomWaitMin), Right: "It stands for half an hour while the rest goes on, and goes in, water and all."})
	}
	if c.r.PulpG == 0 {
		return
	}
	loads := c.r.Jug.Loads
	for load := 1; load <= loads; load++ {
		step := Step{
			Kind: Grind, HandsOn: true, Blender: true, TempC: c.d.Method.WaterC, Load: load, Loads: loads, Amounts: c.loaded(load, loads),
			Length: fixed(loadMin + c.d.Method.BlendS/60), Timer: minutesOf(c.d.Method.BlendS / 60),
			Title: fmt.Sprintf("Grind for %g seconds", c.d.Method.BlendS), Right: "Smooth between the fingers.", Caution: c.grindCaution(),
		}
		if loads > 1 {
			step.Title = fmt.Sprintf("Grind load %d of %d for %g seconds", load, loads, c.d.Method.BlendS)
		}
		if c.d.Method.Coarse {
			step.Right = "Coarse, like meal."
		}
		c.add(step)
	}
	if c.d.Method.Coarse {
		c.add(Step{Kind: Infuse, Title: "Let it stand in the fridge and draw", Length: hours(24, 24, 48), Fridge: true, TempC: c.d.FridgeC,
			Caution: "Begun warm, it has to be cold within two hours."})
	}
}

// loaded are the amounts of one of so many equal loads.
func (c *compiler) loaded(load, loads int) []Amount {
	var out []Amount
	for n, l := range c.r.Lines {
		if l.Err != nil || !l.Understood || l.Stage != ingredient.Grind || c.blooms(n) {
			continue
		}
		a := c.amount(n)
		if c.soaks(n) {
			a = c.wet(n)
		}
		if loads > 1 {
			a.Key = fmt.Sprintf("%s/%d", a.Key, load)
			a.MassG, a.WetG = a.MassG/float64(loads), a.WetG/float64(loads)
			a.Text = share(a.Text, loads)
			if !a.Open {
				a.Band, a.Fine = BandOf(a.MassG, l.Tolerance, c.kitchen.ScaleG), TooFine(a.MassG, l.Tolerance, c.kitchen.ScaleG)
			}
		}
		out = append(out, a)
	}
	return out
}

// share says an amount as one of equal parts.
func share(text string, parts int) string {
	if text == "" {
		return ""
	}
	words := [...]string{2: "half", 3: "a third", 4: "a quarter"}
	if parts < len(words) {
		return words[parts] + " of " + text
	}
	return fmt.Sprintf("1 of %d parts of %s", parts, text)
}

func (c *compiler) grindCaution() string { return c.caution("hot-blend", "slime") }

// caution is the text of the first raised caution of these kinds.
func (c *compiler) caution(codes ...string) string {
	for _, code := range codes {
		for _, raised := range c.r.Cautions {
			if raised.Code == code {
				return raised.Text
			}
		}
	}
	return ""
}

func (c *compiler) strain() {
	perL := strainMinPerL[c.d.Method.Strainer]
	if c.r.PulpG == 0 || perL == 0 {
		return
	}
	c.add(c.straining("Strain by " + c.d.Method.Strainer.Words()))
	rinse := c.at(ingredient.Rinse)
	if len(rinse) == 0 {
		return
	}
	if c.grindsAgain() {
		c.add(Step{Kind: SecondGrind, Title: "Grind the pulp again with " + names(rinse), Amounts: rinse, HandsOn: true, Blender: true,
			Length: fixed(loadMin + c.d.Method.BlendS/60), Timer: minutesOf(c.d.Method.BlendS / 60)})
		c.add(c.straining("Strain the second grind"))
		return
	}
	c.add(Step{Kind: RinsePulp, Title: "Rinse the pulp through with " + names(rinse), Amounts: rinse, Length: fixed(rinseMin), HandsOn: true})
}

func (c *compiler) grindsAgain() bool {
	for n, l := range c.r.Lines {
		if l.Stage == ingredient.Rinse && l.MassG > 0 && c.d.Lines[n].GrindsAgain() {
			return true
		}
	}
	return false
}

// straining takes as long as there is to strain, and a strainer that is full
// is emptied in between.
func (c *compiler) straining(title string) Step {
	ml, strains := c.r.Jug.MilkML+c.r.Jug.PulpML, max(1, c.r.Jug.Strains)
	minutes := strainMinPerL[c.d.Method.Strainer]*ml/1000 + emptyMin*float64(strains-1)
	if strains > 1 {
		title += fmt.Sprintf(", %d times about %.0f mL, emptied in between", strains, ml/float64(strains))
	}
	return Step{Kind: Strain, Title: title, Length: fixed(math.Ceil(math.Max(2, minutes))), HandsOn: true,
		Right: "The pulp feels like damp sand.", Loads: strains, Caution: c.caution("clogs")}
}

// isLate tells whether a line is a spice that goes in when the cooking ends.
func (c *compiler) isLate(n int) bool {
	i := c.d.Lines[n].Ingredient
	return c.r.Lines[n].Stage == ingredient.CookIt && c.d.Cooking.Heat != extract.Unheated && i != nil && (i.Role == ingredient.Spice || i.Role == ingredient.Flavour)
}

// finish ices and stirs in what comes after straining, and heats what is heated.
func (c *compiler) finish() {
	joins := c.lines(func(n int) bool {
		stage := c.r.Lines[n].Stage
		return (stage == ingredient.Strained || stage == ingredient.CookIt) && !c.isLate(n) && !c.isIce(n) && !c.blooms(n)
	})
	if ice := c.lines(func(n int) bool { return c.isIce(n) && c.r.Lines[n].Stage == ingredient.Strained }); len(ice) > 0 {
		c.add(Step{Kind: Ice, Title: "Cool it with the ice", Amounts: ice, Length: fixed(iceMin), HandsOn: true, Right: "Stirred until it has melted; it is part of the water."})
	}
	what := names(joins)
	if blooming := c.lines(c.blooms); len(blooming) > 0 {
		what = strings.TrimPrefix(what+", the bloomed "+names(blooming), ", ")
	}
	if what != "" {
		c.add(Step{Kind: StirIn, Title: "Stir in " + what, Amounts: joins, Length: fixed(stirMin), HandsOn: true, Right: "A little first; taste; then the rest."})
	}
	c.heat()
	c.add(Step{Kind: Taste, Title: "Taste and adjust", Amounts: c.toTaste(), Length: fixed(tasteMin), HandsOn: true,
		Right: "A little at a time, and note what goes in. Cold it tastes less sweet than warm."})
	if len(c.d.Portions) > 0 {
		c.add(c.splitting())
	}
}

// toTaste are the lines of which a little more may go in.
func (c *compiler) toTaste() []Amount {
	out := c.lines(func(n int) bool {
		switch c.d.Lines[n].Ingredient.Role {
		case ingredient.Sweetener, ingredient.Salt, ingredient.Spice, ingredient.Flavour:
			return c.r.Lines[n].Stage != ingredient.Serve
		}
		return false
	})
	for n, a := range out {
		out[n] = Amount{Key: "taste/" + a.Key, Line: a.Line, Name: a.Name, Open: true, Extra: true}
	}
	return out
}

func (c *compiler) isIce(n int) bool {
	i := c.d.Lines[n].Ingredient
	return i != nil && i.ID == "ice"
}

func (c *compiler) heat() {
	if c.d.Cooking.Heat == extract.Unheated {
		return
	}
	step := Step{Kind: Heat, Title: "Warm it to just under the boil, stirring", HandsOn: true, Right: "It coats a spoon.", TempC: justUnderBoilC,
		Length: fixed(math.Ceil(heatMinPerL*c.r.Drink.VolumeML/1000) + c.d.Cooking.Minutes), Timer: minutesOf(c.d.Cooking.Minutes), Caution: c.caution("soy-boil")}
	if c.d.Cooking.Heat == extract.Boiled {
		step.Title = fmt.Sprintf("Bring it to the boil and simmer %g minutes, stirring the bottom", c.d.Cooking.Minutes)
		step.TempC = boilC
		step.Right = "The foam that rises first is not yet the boil."
	}
	for _, line := range c.d.Lines {
		if line.Ingredient != nil && line.Ingredient.Has(ingredient.TagBoil) {
			step.Never = line.Ingredient.Name + " is never taken raw: boil it, or throw it out"
		}
	}
	c.add(step)
	if late := c.lines(c.isLate); len(late) > 0 {
		c.add(Step{Kind: LateSpice, Title: "Off the heat, stir in " + names(late), Amounts: late, Length: fixed(stirMin), HandsOn: true,
			Right: "Its scent is still there because it did not cook."})
	}
	// Food Code 3-501.14: 57 to 21 °C within two hours.
	c.add(Step{Kind: Cool, Title: "Cool it fast, in an ice bath", Length: hours(.25, .5, 2), TempC: cooledC,
		Right:   c.cooling(step.TempC),
		Caution: "To 21 °C within two hours, and to 5 °C within six in all; what misses it is not kept."})
}

// cooling says how long it takes on ice, and that it would miss its points
// left to itself, with what helps.
func (c *compiler) cooling(fromC float64) string {
	k := keep.Cooling{VolumeML: c.r.Drink.VolumeML, FromC: fromC, RoomC: c.kitchen.TempC, Bath: keep.InIce}
	first, _ := k.Until(keep.FirstC)
	cold, _ := k.Until(keep.ColdC)
	words := fmt.Sprintf("In an ice bath, stirred, about %.0f minutes to 21 °C and %.0f to 5 °C.", math.Ceil(first.Minutes()), math.Ceil(cold.Minutes()))
	k.Bath = keep.InAFridge
	slow, _ := k.Until(keep.FirstC)
	if !k.InTime() {
		words += fmt.Sprintf(" Put into the fridge hot it would take %.1f hours to 21 °C, too long, and warm what stands there. On ice, in shallow vessels, divided among several, it is quicker.", slow.Hours())
	}
	return words
}

// splitting divides one base into drinks, each with what joins it.
func (c *compiler) splitting() Step {
	step := Step{Kind: Split, Length: fixed(splitMin * float64(len(c.d.Portions))), HandsOn: true, Right: "Each in a clean jug of its own, labelled."}
	drinks, err := c.d.Split(c.d.Portions)
	if err != nil {
		step.Title, step.Caution = "Divide it", err.Error()
		return step
	}
	var parts []string
	for p, d := range drinks {
		r, err := d.Reckon()
		if err != nil || r.Drink == nil {
			continue
		}
		parts = append(parts, fmt.Sprintf("%.0f mL of %s", r.Drink.VolumeML, d.Name))
		for n := len(c.d.Lines); n < len(d.Lines); n++ {
			if l := r.Lines[n]; l.MassG > 0 {
				key := fmt.Sprintf("split/%d/%d", p, n-len(c.d.Lines))
				step.Amounts = append(step.Amounts, Amount{Key: key, Line: key, Name: d.Lines[n].Ingredient.Name + ", into " + d.Name,
					MassG: l.MassG, Text: l.Amount.String(), Band: BandOf(l.MassG, l.Tolerance, c.kitchen.ScaleG)})
			}
		}
	}
	step.Title = "Divide it into " + strings.Join(parts, " and ")
	return step
}

func (c *compiler) bottle() {
	c.add(Step{Kind: Bottle, Title: "Let the foam settle, and bottle it", Length: fixed(bottleMin), HandsOn: true, Right: "Full to the neck, shut at once; for the freezer a tenth left empty."})
	c.add(Step{Kind: Wash, Title: "Rinse and wash up", Length: fixed(washMin), HandsOn: true, Right: "Cloth and bag boiled and hung to dry."})
	c.add(Step{Kind: Chill, Title: "Chill it", Length: Window{minutesOf(chillMin), minutesOf(chillBestMin), Unlimited}, Fridge: true, TempC: c.d.FridgeC, Right: c.chilling()})
}

// A bottle as it stands in the fridge (common practice).
const (
	bottleML      = 500.
	bottleDepthCM = 15.
)

// chilling says where what was ground at room temperature would not be cold in
// its four hours, and what helps. What was cooked was cooled before.
func (c *compiler) chilling() string {
	if c.d.Cooking.Heat != extract.Unheated {
		return ""
	}
	k := keep.Cooling{VolumeML: math.Min(bottleML, c.r.Drink.VolumeML), DepthCM: bottleDepthCM, FromC: c.r.Chill.GroundC, Bath: keep.InAFridge}
	cold, can := k.Until(keep.ColdC)
	if !can || cold <= keep.RoomMost {
		return ""
	}
	ice, _ := k.Divided(1, keep.InIce, bottleDepthCM).Until(keep.ColdC)
	return fmt.Sprintf("Ground at about %.0f °C, a bottle takes about %.0f hours in the fridge to 5 °C, and four are the most. Stand it in ice water first, about %.0f minutes, or grind with ice-cold water.",
		k.FromC, math.Ceil(cold.Hours()), math.Ceil(ice.Minutes()))
}
