// Package plan turns a drink into the steps of making it, and finds when each
// is to be done: backwards from when the drink is wanted, around quiet hours,
// with one blender and one pair of hands for all drinks together.
package plan

import (
	"fmt"
	"math"
	"strings"
	"time"

	"plushladle/core/extract"
	"plushladle/core/formula"
	"plushladle/core/ingredient"
)

// Kind is what a step does.
type Kind string

// The kinds of step.
const (
	GetReady    Kind = "get ready"
	Soak        Kind = "soak"
	ChangeWater Kind = "change water"
	Drain       Kind = "drain"
	Brew        Kind = "brew"
	Grind       Kind = "grind"
	Strain      Kind = "strain"
	RinsePulp   Kind = "rinse pulp"
	StirIn      Kind = "stir in"
	Heat        Kind = "heat"
	Cool        Kind = "cool"
	Bottle      Kind = "bottle"
	Wash        Kind = "wash up"
	Chill       Kind = "chill"
)

// Window is how long a step may take: at least, best, at most.
type Window struct{ Min, Ideal, Max time.Duration }

// Unlimited is the most of a wait that has none: longer than any plan.
const Unlimited = 10000 * time.Hour

func fixed(minutes float64) Window {
	d := minutesOf(minutes)
	return Window{d, d, d}
}

func minutesOf(m float64) time.Duration { return time.Duration(m * float64(time.Minute)) }

func hours(min, ideal, max float64) Window {
	return Window{minutesOf(60 * min), minutesOf(60 * ideal), minutesOf(60 * max)}
}

// Amount is what goes in at a step.
type Amount struct {
	Name  string
	MassG float64
	LoadG float64 // of that in each load; 0 where it goes in as one
	Text  string  // as it is measured
}

// Step is one thing to do, or to wait for.
type Step struct {
	Kind    Kind
	Title   string
	Right   string // what right looks like
	Caution string
	Amounts []Amount
	Length  Window
	HandsOn bool // needs hands all the while
	Blender bool // and makes noise
	Fridge  bool
	Loads   int           // fillings of the jug; 0 where it is not filled
	Timer   time.Duration // what a timer is set to meanwhile; 0 where none helps
}

// Kitchen is what the steps hang on.
type Kitchen struct {
	TempC float64 // of the room, for soaks
}

// Where there is no other source a time is common practice.
const (
	loadMin      = 3.   // to fill and empty the jug, besides blending
	drainMin     = 5.   //
	readyMin     = 10.  // to set everything out, weigh, and put it to soak
	changeMin    = 5.   //
	brewMin      = 10.  //
	rinseMin     = 3.   //
	stirMin      = 4.   // and to taste
	bottleMin    = 6.   // with the foam settled
	washMin      = 10.  //
	chillMin     = 120. // until it is cold
	chillBestMin = 240. // and has drawn together
	heatMinPerL  = 8.   // to bring a litre to the boil
	changeEveryH = 24.  // soaks longer than this have their water changed
	warmsFromC   = 20.  // soak windows hold at this temperature
	halvesEveryC = 8.   // above it (from memory)
	fridgeTimes  = 3.   // as long in the fridge
	fridgeMostH  = 72.  // and never longer
)

// strainMinPerL is how long a litre takes through each strainer.
var strainMinPerL = map[extract.Strainer]float64{
	extract.Bag: 2, extract.Cloth: 5, extract.Gentle: 12, extract.Sieve: 15, extract.Juicer: 2,
}

// Soaking is where a soak stands: on the bench, or in the fridge where it
// keeps three times as long.
type Soaking bool

// The places of a soak.
const (
	OnTheBench  Soaking = false
	InTheFridge Soaking = true
)

// Steps are the steps of making a reckoned drink at its size, in order; none
// for a drink that comes to nothing.
func Steps(d *formula.Drink, r *formula.Reckoning, k Kitchen, where Soaking) []Step {
	if r.Drink == nil {
		return nil
	}
	c := compiler{d: d, r: r, kitchen: k, where: where}
	c.ready()
	c.soak()
	c.grind()
	c.strain()
	c.finish()
	c.bottle()
	return c.steps
}

type compiler struct {
	d       *formula.Drink
	r       *formula.Reckoning
	kitchen Kitchen
	where   Soaking
	steps   []Step
}

func (c *compiler) add(s Step) { c.steps = append(c.steps, s) }

// at are the amounts of the lines that go in at a stage.
func (c *compiler) at(stage ingredient.Stage) []Amount {
	var out []Amount
	for n, l := range c.r.Lines {
		if l.Stage != stage || l.Err != nil || !l.Understood {
			continue
		}
		text := l.Amount.String()
		if l.Scoop != nil && l.Scoop.Text != "" && !l.Amount.IsMetric() {
			text = l.Scoop.Text
		}
		out = append(out, Amount{Name: c.d.Lines[n].Ingredient.Name, MassG: l.MassG, Text: text})
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

// soaks tells whether a line is a base that is soaked.
func (c *compiler) soaks(n int) bool {
	line := c.d.Lines[n]
	i := line.Ingredient
	return i != nil && c.r.Lines[n].MassG > 0 && i.Role == ingredient.Base && i.HasSoak && i.SoakH.Max > 0 && !line.Unsoaked
}

// soaked are the bases that soak, and the window that suits them all.
func (c *compiler) soaked() ([]Amount, Window, bool) {
	var amounts []Amount
	longest := ingredient.Span{}
	most := math.Inf(1)
	kept := len(c.at(ingredient.Soak)) > 0
	for n, line := range c.d.Lines {
		if !c.soaks(n) {
			continue
		}
		i := line.Ingredient
		span := i.SoakH
		if kept && i.Class == ingredient.Grain {
			span = keptSoak(c.where)
		}
		amounts = append(amounts, Amount{Name: i.Name, MassG: c.r.Lines[n].MassG, Text: c.r.Lines[n].Amount.String()})
		most = math.Min(most, span.Max)
		if span.Ideal > longest.Ideal {
			longest = span
		}
	}
	if len(amounts) == 0 {
		return nil, Window{}, false
	}
	longest.Max = math.Max(longest.Min, math.Min(longest.Max, most))
	return amounts, c.window(longest), true
}

// keptSoak is the window of rice or barley soaked in liquid that stays in.
func keptSoak(where Soaking) ingredient.Span {
	if where == InTheFridge {
		return ingredient.Span{Min: 8, Ideal: 12, Max: 24 / fridgeTimes} // stretched again below
	}
	return ingredient.Span{Min: 2, Ideal: 4, Max: 4}
}

// window is a soak's window where it stands: shorter in a warm kitchen,
// longer in the fridge.
func (c *compiler) window(s ingredient.Span) Window {
	most := s.Max
	switch {
	case c.where == InTheFridge:
		most = math.Min(fridgeMostH, fridgeTimes*s.Max)
	case c.kitchen.TempC > warmsFromC:
		most = s.Max * math.Pow(2, -(c.kitchen.TempC-warmsFromC)/halvesEveryC)
	}
	least := math.Min(s.Min, most)
	return hours(least, math.Max(least, math.Min(s.Ideal, most)), most)
}

// ready is the first step: everything out, weighed, and the soak begun.
func (c *compiler) ready() {
	amounts, _, soaks := c.soaked()
	title := "Set everything out and weigh it"
	if soaks {
		title = "Put the " + names(amounts) + " in to soak"
	}
	step := Step{Kind: GetReady, Title: title, Length: fixed(readyMin), HandsOn: true, Amounts: amounts,
		Right: c.vessel()}
	if !soaks {
		step.Amounts, step.Right = nil, "What is missing shows now."
	}
	c.add(step)
	if brewed := c.at(ingredient.Brew); len(brewed) > 0 {
		c.add(Step{Kind: Brew, Title: "Brew the " + names(brewed), Amounts: brewed, Length: fixed(brewMin), HandsOn: true, Timer: minutesOf(brewMin),
			Right: "It draws and cools while the rest waits."})
	}
}

// Two to three times the dry volume is the water, and the vessel holds the
// most of it (common practice, no source); one that swells beyond that, all of
// it. Swelling that is not known is taken as doubling.
const (
	soakWaterTimes  = 2.
	soakVesselTimes = 3.
	swellsUnknown   = 2.
	vesselStepML    = 50.
)

// vessel says what a soak stands in.
func (c *compiler) vessel() string {
	dryML, swollenML := 0., 0.
	for n, line := range c.d.Lines {
		if !c.soaks(n) {
			continue
		}
		i := line.Ingredient
		if i.BulkGPerML == 0 {
			return "Two to three times as much water as there is to soak, in a vessel with room to swell."
		}
		swells := i.Swelling
		if swells == 0 {
			swells = swellsUnknown
		}
		dryML += c.r.Lines[n].MassG / i.BulkGPerML
		swollenML += c.r.Lines[n].MassG / i.BulkGPerML * swells
	}
	vesselML := math.Max(soakVesselTimes*dryML, swollenML)
	return fmt.Sprintf("Dry they take up %.0f mL, soaked %.0f. At least %.0f mL of water, in a vessel of %.0f mL or more.",
		dryML, swollenML, roundUp(soakWaterTimes*dryML), roundUp(vesselML))
}

func roundUp(ml float64) float64 { return math.Ceil(ml/vesselStepML) * vesselStepML }

// soak waits, in parts where the water is changed in between.
func (c *compiler) soak() {
	amounts, w, soaks := c.soaked()
	if !soaks {
		if len(c.at(ingredient.Brew)) > 0 {
			c.add(Step{Kind: Cool, Title: "Let the brewed part cool", Length: hours(2, 2, 4)})
		}
		return
	}
	parts := int(math.Max(1, math.Ceil(w.Ideal.Hours()/changeEveryH-1e-9)))
	each := Window{w.Min / time.Duration(parts), w.Ideal / time.Duration(parts), w.Max / time.Duration(parts)}
	if parts > 1 || w.Ideal.Hours() >= changeEveryH {
		each.Max = min(each.Max, minutesOf(60*changeEveryH))
	}
	each.Max = max(each.Max, each.Ideal)
	for n := range parts {
		if n > 0 {
			c.add(Step{Kind: ChangeWater, Title: "Change the water of the " + names(amounts), Length: fixed(changeMin), HandsOn: true})
		}
		c.add(Step{Kind: Soak, Title: "Soak the " + names(amounts), Length: each, Fridge: bool(c.where), Caution: c.soakCaution()})
	}
}

func (c *compiler) soakCaution() string {
	if len(c.at(ingredient.Soak)) > 0 && c.where == OnTheBench {
		return "The liquid stays in the drink: no longer than 4 hours out of the fridge."
	}
	return ""
}

func (c *compiler) grind() {
	if amounts, _, soaks := c.soaked(); soaks && len(c.at(ingredient.Soak)) == 0 {
		c.add(Step{Kind: Drain, Title: "Drain and rinse the " + names(amounts), Length: fixed(drainMin), HandsOn: true,
			Right: "The water runs clear."})
	}
	if c.r.PulpG == 0 {
		return
	}
	loads := c.r.Jug.Loads
	step := Step{
		Kind: Grind, HandsOn: true, Blender: true, Loads: loads, Amounts: c.at(ingredient.Grind),
		Length: fixed(float64(loads) * (loadMin + c.d.Method.BlendS/60)), Timer: minutesOf(c.d.Method.BlendS / 60),
		Title: fmt.Sprintf("Grind for %g seconds", c.d.Method.BlendS), Right: "Smooth between the fingers.",
	}
	if loads > 1 {
		for n := range step.Amounts {
			step.Amounts[n].LoadG = step.Amounts[n].MassG / float64(loads)
		}
		step.Title = fmt.Sprintf("Grind %d equal loads, %g seconds each", loads, c.d.Method.BlendS)
	}
	for _, caution := range c.r.Cautions {
		if caution.Code == "hot-blend" || caution.Code == "slime" {
			step.Caution = caution.Text
		}
	}
	c.add(step)
}

func (c *compiler) strain() {
	perL := strainMinPerL[c.d.Method.Strainer]
	if c.r.PulpG == 0 || perL == 0 {
		return
	}
	litres := (c.r.Jug.MilkML + c.r.Jug.PulpML) / 1000
	c.add(Step{Kind: Strain, Title: "Strain by " + c.d.Method.Strainer.Words(), Length: fixed(math.Ceil(math.Max(2, perL*litres))), HandsOn: true,
		Right: "The pulp feels like damp sand.", Loads: c.r.Jug.Strains})
	if rinse := c.at(ingredient.Rinse); len(rinse) > 0 {
		c.add(Step{Kind: RinsePulp, Title: "Rinse the pulp through with " + names(rinse), Amounts: rinse, Length: fixed(rinseMin), HandsOn: true})
	}
}

// finish stirs in what comes after straining, and heats what is heated.
func (c *compiler) finish() {
	late := append(c.at(ingredient.Strained), c.at(ingredient.CookIt)...)
	if len(late) > 0 {
		c.add(Step{Kind: StirIn, Title: "Stir in " + names(late), Amounts: late, Length: fixed(stirMin), HandsOn: true,
			Right: "A little first; taste; then the rest."})
	}
	if c.d.Cooking.Heat == extract.Unheated {
		return
	}
	step := Step{Kind: Heat, Title: "Warm it to just under the boil, stirring", HandsOn: true, Right: "It coats a spoon.",
		Length: fixed(math.Ceil(heatMinPerL*c.r.Drink.VolumeML/1000) + c.d.Cooking.Minutes), Timer: minutesOf(c.d.Cooking.Minutes)}
	if c.d.Cooking.Heat == extract.Boiled {
		step.Title = fmt.Sprintf("Bring it to the boil and simmer %g minutes, stirring the bottom", c.d.Cooking.Minutes)
		step.Right = "The foam that rises first is not yet the boil."
	}
	for _, caution := range c.r.Cautions {
		if caution.Code == "soy-boil" {
			step.Caution = caution.Text
		}
	}
	c.add(step)
	// Food Code 3-501.14: 57 to 21 °C within two hours.
	c.add(Step{Kind: Cool, Title: "Cool it fast, in an ice bath", Length: hours(.25, .5, 2), Caution: "To 21 °C within two hours, and to 5 °C within six in all."})
}

func (c *compiler) bottle() {
	c.add(Step{Kind: Bottle, Title: "Let the foam settle, and bottle it", Length: fixed(bottleMin), HandsOn: true, Right: "Full to the neck, shut at once."})
	c.add(Step{Kind: Wash, Title: "Rinse and wash up", Length: fixed(washMin), HandsOn: true, Right: "Cloth and bag boiled and hung to dry."})
	c.add(Step{Kind: Chill, Title: "Chill it", Length: Window{minutesOf(chillMin), minutesOf(chillBestMin), Unlimited}, Fridge: true})
}
