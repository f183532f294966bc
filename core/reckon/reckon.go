package reckon

import (
	"fmt"
	"math"
	"slices"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/say"
)

// Reckoning is everything worked out about a drink at its size.
type Reckoning struct {
	Kind       recipe.Kind       // chosen, told by the name or guessed
	KindFrom   recipe.KindFrom   // which of these
	Factor     float64           // growth from the amounts as written
	Lines      []LineReckoning   // one a line of the recipe, in its order
	Ratio      *Ratio            // nil without a base
	Drink      *Made             // nil where nothing was reckoned
	Rough      *Made             // what it may come to, for the vessels, where a base or a liquid was left open; nil otherwise
	PulpG      float64           // wet
	Pulp       Pulp              // what is in it
	FatPct     float64           // of the drink's mass
	BrixPct    float64           // sugar in the water, % by mass
	WaterAct   float64           // 0 to 1
	Per100mL   Nutrition         // of what is in the bottle
	Servings   Servings          // how many, and how large
	PerServing Nutrition         // of what is in the bottle
	Keeps      keep.Life         // in a fridge of 4 °C, or the kitchen's
	Soak       *Soaking          // the longest one; nil where nothing is soaked
	Allergens  []string          // codes of caution.Allergens
	Vegan      *bool             // nil where a line was not understood and nothing else rules it out
	Cost       Cost              // zero without prices
	Cautions   []caution.Caution // the gravest first
	ForWhom    []caution.For     // the kitchen's drinkers, and why it is not for some
	Dials      []Dial            // in the order shown
	Jug        Jug               // what the drawing shows
	Chill      Chill             // how long to cool
	Raw        *Raw              // nil where it is not marked so
	LeftoverML float64           // of a decoction, not used
	SteamG     float64           // water boiled away
	FoamG      float64           // skimmed off
	Through    []process.Line    // as the process took them
	Made       process.Made      // what becomes of Through, line by line

	Batch *Batch // what Contributions and Assumptions speak of; nil where nothing was reckoned
}

// LineReckoning is one line at the drink's size.
type LineReckoning struct {
	Understood bool              // an ingredient was found
	Kept       bool              // as a note
	Err        error             // why it does not count; nil where it does
	MassG      float64           // at this size
	VolumeML   float64           // as it lies in the measure
	Amount     quantity.Amount   // at this size, in the style it was written in
	Growth     float64           // on the amount as written
	AmountErr  float64           // what that amount holds over the exact one, as a share
	Kitchen    quantity.Amount   // in cups and spoons
	Scoop      *quantity.Scooped // in the kitchen's own measures; nil where it has no drawer
	ScaleErr   float64           // what the kitchen's scale may err by, as a share; 0 where it has none
	Tolerance  float64           // how near its measure has to be, as a share
	SoakedInG  float64           // soak water it brings into the blender, at this size
	KitchenErr float64           // what the kitchen measure holds over the exact amount, as a share
	Role       ingredient.Role   // as in the catalogue, or as the cook has it
	Stage      ingredient.Stage  // when it goes in
	Note       say.Text          // what was taken for it
}

// Exact is the line's amount at this size so that it loses nothing: as it is
// where rounding to a measure changes it by less than a thousandth, in grams
// otherwise. ok is false where the line does not count.
func (l LineReckoning) Exact() (a quantity.Amount, ok bool) {
	switch {
	case l.Err != nil || l.MassG == 0:
		return a, false
	case math.Abs(l.AmountErr) < 0.001 && !(l.Amount.IsMetric() && l.VolumeML < smallML):
		return l.Amount, true
	}
	return quantity.Of(FourFigures(l.MassG), quantity.Gram), true
}

// smallML is what is weighed rather than measured in millilitres.
const smallML = 5

// Ratio is grinding liquid per 1 of dry base, both ways.
type Ratio struct{ ByVolume, ByMass float64 } // cups of water to one of base, or grams

// Made is the finished drink at 4 °C.
type Made struct{ MassG, VolumeML, LowML, HighML float64 } // the range is what kitchens differ by

// Servings are how many of what size.
type Servings struct{ Count, SizeML float64 } // in the finished drink

// Soaking is a soak and its window at 20 °C, in hours.
type Soaking struct {
	Ingredient string          // the longest
	Hours      ingredient.Span // for the plan
}

// Nutrition are estimates from the mass balance.
type Nutrition struct {
	EnergyKcal, ProteinG, FatG, SaturatedFatG, CarbohydrateG, SugarsG, FreeSugarsG, FibreG, SodiumMg, SucroseEquivalentG float64 // by the unit in each name
}

// nutritionOf is the table of a label, with the sweetness that labels lack.
func nutritionOf(c ingredient.Content) Nutrition {
	return Nutrition{
		EnergyKcal: c.EnergyKcal(), ProteinG: c[ingredient.Protein], FatG: c[ingredient.Fat], SaturatedFatG: c[ingredient.SaturatedFat],
		CarbohydrateG: c.CarbohydrateG(), SugarsG: c.SugarsG(), FreeSugarsG: c[ingredient.FreeSugars], FibreG: c[ingredient.Fibre],
		SodiumMg: c[ingredient.SodiumMg], SucroseEquivalentG: c.SucroseEquivalentG(),
	}
}

// Reckon works out the drink. Lines that cannot be counted are left out and
// say why; the error is for the drink as a whole: too many lines, or a size
// that cannot be reached (a *fault.Error naming the field).
func (d *Drink) Reckon() (*Reckoning, error) {
	if len(d.Lines) > recipe.MaxLines {
		return nil, fault.New("lines", fmt.Sprint(len(d.Lines)), "too-many-lines", recipe.MaxLines)
	}
	r := &Reckoning{Factor: 1, Lines: make([]LineReckoning, len(d.Lines))}
	lines := d.Weigh(r)
	for _, w := range lines {
		if refused, ok := caution.Refused(w.Line.Ingredient); ok {
			r.Cautions = []caution.Caution{refused}
			return r, nil
		}
	}
	guessed := d.guesses(lines)
	lines = append(lines, guessed...)
	factor, err := d.Growth(lines)
	if err != nil {
		return nil, err
	}
	r.Factor = factor
	b := d.Mix(lines, factor)
	r.Through, r.Made = b.Through, b.Made
	for n, line := range b.Through {
		r.Lines[line.Index].Stage = b.Made.Layout.Stage(n)
	}
	d.measureLines(r, b)
	r.Raw = d.raw(b)
	if len(guessed) > 0 && b.Finished.MassG() > 0 {
		r.leaveOpen(b)
		return r, nil
	}
	if b.Finished.MassG() == 0 {
		return r, nil
	}
	r.fill(b)
	r.Drink.LowML, r.Drink.HighML = b.likelyML()
	held := d.heldAgainstLimits(b, r)
	r.Cautions, r.ForWhom = caution.Of(held), caution.ForWhom(held)
	r.Dials = b.dials(r)
	r.Jug = b.jug(r)
	return r, nil
}

// Weigh turns the lines into grams as written, noting those that fail.
func (d *Drink) Weigh(r *Reckoning) []Weighed {
	lines := make([]Weighed, 0, len(d.Lines))
	for n := range d.Lines {
		line := &d.Lines[n]
		out := &r.Lines[n]
		if line.Kept {
			out.Kept = true
			continue
		}
		if line.Ingredient == nil {
			out.Err = fault.New("ingredient", line.Name, "not-in-catalogue")
			continue
		}
		out.Understood, out.Role, out.Stage = true, line.Ingredient.Role, line.When()
		if line.Amount.IsOpen() {
			out.Note = say.Of("amount-open")
			continue
		}
		g, note, err := line.Grams(d.System)
		if err != nil {
			out.Err = err
			continue
		}
		out.Note = note
		lines = append(lines, Weighed{Line: line, Index: n, MassG: g, Per: line.Ingredient.Treated(line.Treatment)})
	}
	settle(lines)
	return slices.DeleteFunc(lines, func(w Weighed) bool { return r.cannotBe(w) })
}

// cannotBe notes what an amount that follows from the others came to, and
// tells whether there is nothing of it left.
func (r *Reckoning) cannotBe(w Weighed) bool {
	out := &r.Lines[w.Index]
	amount := w.Line.Amount
	switch {
	case amount.IsToTotal() && w.MassG <= 0:
		out.Err = fault.New("amount", amount.String(), "total-leaves-nothing")
	case amount.IsToCover() && w.MassG <= 0:
		out.Err = fault.New("amount", amount.String(), "nothing-to-cover")
	case amount.IsToCover():
		out.Note = say.Of("amount-covers")
	case amount.IsToTotal():
		out.Note = say.Of("amount-to-total")
	}
	return out.Err != nil
}

// measureLines gives every weighed line its amounts at this size.
func (d *Drink) measureLines(r *Reckoning, b *Batch) {
	for n, w := range b.Lines {
		if w.Line.Amount.IsOpen() {
			continue
		}
		out := &r.Lines[w.Index]
		tolerance := w.Line.Tolerance()
		out.MassG, out.Tolerance, out.SoakedInG = w.MassG, tolerance, b.Made.Layout.TakenUpG(b.Through, n)
		out.VolumeML = w.VolumeML()
		growth := w.Line.Growth(r.Factor, d.Spices)
		if n == b.waterAt {
			growth *= b.watered
		}
		out.Growth = growth
		out.Amount, out.AmountErr = w.Line.Amount.Scaled(growth, d.System, tolerance)
		if w.Line.Amount.IsCount() {
			out.count(w.MassG, growth, tolerance)
			continue
		}
		if out.VolumeML == 0 {
			continue
		}
		out.Kitchen, out.KitchenErr = quantity.Kitchen(out.VolumeML, d.System, tolerance)
		if d.Drawer != nil {
			scoop, _ := d.Drawer.Scoop(out.VolumeML, tolerance)
			out.Scoop = &scoop
			resolution, _ := d.Drawer.HasScale()
			out.ScaleErr = resolution / 2 / w.MassG
		}
	}
}

// count writes pieces as wholes and halves; where those are too far off, with the
// rest by weight, and the nearest pieces beside it. Less than half a piece is
// weighed.
func (l *LineReckoning) count(massG, growth, tolerance float64) {
	l.Kitchen = l.Amount
	if growth == 1 {
		return
	}
	halves, errorShare, ok := l.Amount.InHalves()
	if ok && math.Abs(errorShare) <= tolerance {
		l.Amount, l.Kitchen, l.AmountErr = halves, halves, errorShare
		return
	}
	below, left, some := l.Amount.HalvesBelow()
	l.Amount, l.AmountErr = quantity.Of(FourFigures(massG), quantity.Gram), 0
	if some {
		l.Amount = below.And(quantity.Of(FourFigures(massG*left), quantity.Gram))
	}
	l.Kitchen = l.Amount
	if ok {
		l.Kitchen, l.KitchenErr = halves, errorShare
	}
}

// fill sets the figures of the finished drink.
func (r *Reckoning) fill(b *Batch) {
	r.Batch = b
	per100 := b.Per100mL()
	r.Kind, r.KindFrom = b.kind()
	r.Drink = &Made{MassG: b.Finished.MassG(), VolumeML: b.VolumeML}
	r.PulpG = b.Made.Balance.Pulp.MassG()
	r.Pulp = pulpOf(b.Made.Balance.Pulp)
	r.LeftoverML, r.SteamG, r.FoamG = process.VolumeML(b.Made.Balance.Leftover, FinishedC), b.Made.Balance.Evaporated.MassG(), b.Made.Balance.Skimmed.MassG()
	r.Chill = b.chill()
	r.FatPct = 100 * b.Finished[ingredient.Fat] / r.Drink.MassG
	r.BrixPct = keep.Brix(b.Finished)
	r.WaterAct = keep.WaterActivity(keep.Dissolved(b.Finished, FinishedC))
	r.Per100mL = nutritionOf(per100)
	serving := b.d.servingML(r.Kind)
	r.Servings = Servings{Count: b.VolumeML / serving, SizeML: serving}
	r.PerServing = nutritionOf(per100.Times(serving / 100))
	r.Cost = b.cost(r)
	r.Keeps = keep.Of(b.keeping(per100, r))
	r.Soak = b.soak()
	r.Allergens = b.allergens()
	r.Vegan = b.vegan(r)
	if b.BaseG > 0 && b.BaseML > 0 {
		r.Ratio = &Ratio{ByVolume: b.GroundML / b.BaseML, ByMass: b.GroundG / b.BaseG}
	}
}

// keeping is what decides how long the drink lasts.
func (b *Batch) keeping(per100 ingredient.Content, r *Reckoning) keep.Drink {
	d := keep.Drink{
		AddedSugarsG: per100[ingredient.AddedSugars], RawSoy: b.isRawSoy(), HotFilled: b.d.Method.HotFill && b.Made.HeatedC >= process.HotFillC,
		WaterActivity: r.WaterAct, FridgeC: b.d.FridgeC, TigerNut: b.has(ingredient.TagTuber), SouredShare: b.d.Soured, Boiled: b.Made.Layout.Heat.Reaches(),
		Unsettled: slices.ContainsFunc(r.Lines, func(l LineReckoning) bool { return l.Err != nil }),
	}
	d.Parts = make([]keep.Part, len(b.Lines))
	for n, w := range b.Lines {
		i := w.Line.Ingredient
		d.Parts[n] = keep.Part{Name: i.Name, Life: i.Life, Base: i.Role == ingredient.Base}
	}
	return d
}

// isRawSoy tells whether there is soy in it that was never boiled.
func (b *Batch) isRawSoy() bool {
	return b.has(ingredient.TagBoil) && !b.Made.Layout.Heat.Reaches()
}

// KeptSoakH is the soak on the bench of grain whose liquid stays in the drink: no longer than is
// safe outside the fridge (the caution's four hours).
var KeptSoakH = ingredient.Span{Min: 2, Ideal: 4, Max: 4}

// soak is the one soak that suits all that soak together: as long as the longest wants, and no
// longer than any of them bears. nil where nothing soaks.
func (b *Batch) soak() *Soaking {
	var longest *Soaking
	most := math.Inf(1)
	for n, w := range b.Lines {
		i := w.Line.Ingredient
		isKept := slices.Contains(b.Made.Layout.InKept, n) && i.Role == ingredient.Base
		if !isKept && !slices.Contains(b.Made.Layout.Soaked, n) {
			continue
		}
		hours := i.SoakH
		if isKept && i.Class == ingredient.Grain {
			hours = KeptSoakH
		}
		most = math.Min(most, hours.Max)
		if longest == nil || hours.Ideal > longest.Hours.Ideal {
			longest = &Soaking{Ingredient: i.Name, Hours: hours}
		}
	}
	if longest == nil {
		return nil
	}
	h := &longest.Hours
	h.Max = math.Max(h.Min, math.Min(h.Max, most))
	if said := b.Method.SoakHours; said > 0 {
		h.Ideal, h.Min = said, math.Min(h.Min, said)
	}
	h.Ideal = math.Min(h.Ideal, h.Max)
	return longest
}

// allergens is what is in, once each, in the order of the lines.
func (b *Batch) allergens() []string {
	found := []string{}
	for _, w := range b.Lines {
		for _, a := range w.Line.Ingredient.Allergens {
			if !slices.Contains(found, a) {
				found = append(found, a)
			}
		}
	}
	return found
}

// vegan is unknown while a line is not understood, unless another rules it out.
func (b *Batch) vegan(r *Reckoning) *bool {
	yes := true
	for _, w := range b.Lines {
		yes = yes && w.Line.Ingredient.Vegan
	}
	if !yes {
		return &yes
	}
	for _, l := range r.Lines {
		if !l.Understood && !l.Kept {
			return nil
		}
	}
	return &yes
}

// Lacks are the lines that no figure counts, by their places: those that were not
// understood, and those whose amount cannot be weighed. Notes are none of them.
func (r *Reckoning) Lacks() []int {
	var lacking []int
	for n, l := range r.Lines {
		if !l.Kept && (!l.Understood || l.Err != nil) {
			lacking = append(lacking, n)
		}
	}
	return lacking
}

// parts are the lines as the cautions see them.
func (b *Batch) parts() []caution.Part {
	kept := b.Made.Layout.KeepsSoak()
	parts := make([]caution.Part, len(b.Lines))
	for n, w := range b.Lines {
		parts[n] = caution.Part{
			Ingredient: w.Line.Ingredient, MassG: w.MassG,
			SoakKept: kept && w.Line.Ingredient.HasSoak, Hot: b.goesInHot() && w.Line.Ingredient.Role == ingredient.Liquid && b.Made.Layout.BeforeStraining(n),
		}
	}
	return parts
}

// slimyS is how long what that makes slimy is in the blender, seconds.
func (b *Batch) slimyS() float64 {
	longest := 0.
	for _, w := range b.Lines {
		if w.Line.Ingredient.SlimesWhenGround() {
			longest = math.Max(longest, b.Made.SecondsOf(w.Line.Ingredient))
		}
	}
	return longest
}

// heldAgainstLimits gathers what cautions are decided by: masses, shares of a serving, heat.
func (d *Drink) heldAgainstLimits(b *Batch, r *Reckoning) caution.Drink {
	c := b.Finished
	held := caution.Drink{
		Parts: b.parts(), BatchML: r.Drink.VolumeML, ServingML: r.Servings.SizeML,
		FridgeC: d.FridgeC, BlendS: b.slimyS(), GroundC: b.Made.GroundC,
		Clogs: d.Method.Strainer.Clogs(), Drinkers: d.Drinkers, BatchG: r.Drink.MassG,
		Squeezed: d.Method.Strainer.Squeezes(), Heated: b.Made.HeatedC > 0,
	}
	for _, w := range b.Lines {
		if w.Line.Ingredient.Role == ingredient.FatRole && w.Line.When() != ingredient.Serve {
			held.AddedOilG += w.MassG
		}
		share := w.MassG * r.Servings.SizeML / r.Drink.VolumeML
		for c, of := range w.Per {
			held.PerServing[c] += of * share
		}
	}
	if finished := r.PerServing.FreeSugarsG; finished < held.PerServing[ingredient.FreeSugars] {
		held.PerServing[ingredient.FreeSugars] = finished // of sugars it is known what stays behind
	}
	held.SucroseG, held.WaterG = c[ingredient.Sucrose], c[ingredient.Water]
	return held
}
