package reckon

import (
	"cmp"
	"math"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/recipe"
)

// FinishedC is the temperature at which a finished drink's volume is given, °C.
const FinishedC = 4

// Weighed is a line that counts, with its mass as written.
type Weighed struct {
	Line  *recipe.Line        // of the recipe
	Index int                 // its place there
	MassG float64             // as written, or at the batch's size
	Per   *ingredient.Content // of a gram of it as measured
}

// content is what the line brings.
func (w Weighed) content() ingredient.Content { return w.Per.Times(w.MassG) }

// inProcess is the line as the process takes it.
func (w Weighed) inProcess() process.Line {
	l := w.Line
	words := strings.ToLower(l.Name + " " + l.Note)
	out := process.Line{
		Index: w.Index, Key: l.Key, Ingredient: l.Ingredient, Per: w.Per, G: w.MassG, Stage: l.Stage, Treatment: l.Treatment, Unsoaked: l.Unsoaked,
		Rinsed: strings.Contains(words, "rinse") && !strings.Contains(words, "unrinsed") || strings.Contains(words, "soaked"),
		Again:  l.GrindsAgain(), Before: strings.Contains(words, "before squeezing"),
		Whole: l.Amount.IsCount() && (l.Ingredient.Role == ingredient.Spice || l.Ingredient.Role == ingredient.Flavour),
	}
	if l.Ingredient.Role == ingredient.Liquid {
		out.TempC = process.WordsC(words)
		out.Thrown = l.IsForSoaking(words)
	}
	return out
}

// Batch is a drink of one size: what went in and what came of it.
type Batch struct {
	d        *Drink             // what it is a batch of
	Lines    []Weighed          // at this size
	Through  []process.Line     // the same, and those whose amount was left open
	Method   process.Method     // with what was left open filled in
	Made     process.Made       // where everything went
	Finished ingredient.Content // what is in the bottle
	VolumeML float64            // of the finished drink
	BaseG    float64            // dry
	BaseML   float64            // dry, as it lies in the cup
	GroundML float64            // grinding liquid as poured
	GroundG  float64            // likewise, g
	waterAt  int                // the line whose water makes up for the pan; -1 for none
	watered  float64            // its amount as a share of what it grew to
}

// Mix makes the batch that the lines give at the given growth.
func (d *Drink) Mix(lines []Weighed, factor float64) *Batch {
	b := &Batch{d: d, Method: d.method(), Lines: make([]Weighed, len(lines)), Through: make([]process.Line, len(lines), len(d.Lines))}
	for n, w := range lines {
		w.MassG *= w.Line.Growth(factor, d.Spices)
		b.Lines[n], b.Through[n] = w, w.inProcess()
		b.Through[n].SoakHours, b.Through[n].SoakCold = b.Method.SoakHours, b.Method.SoakCold
	}
	for n := range d.Lines {
		if line := &d.Lines[n]; line.Ingredient != nil && line.Amount.IsOpen() && !isIn(lines, n) {
			b.Through = append(b.Through, Weighed{Line: line, Index: n, Per: line.Ingredient.Treated(line.Treatment)}.inProcess())
		}
	}
	b.Made = process.Make(b.Through, b.Method)
	if b.waterAt = -1; factor != 1 && b.Made.HeatedC > 0 {
		b.topUp(factor)
	}
	for n, w := range b.Lines {
		b.count(w, n)
	}
	b.Finished = b.Made.Balance.Drink
	b.VolumeML = process.VolumeML(b.Finished, FinishedC)
	return b
}

// topUp gives the water there is most of, which is what it is ground in, what the pan boils
// away more of, for its size, than from the amounts as written, and takes what it boils away
// less: else a small batch would come out thicker than a large one.
func (b *Batch) topUp(factor float64) {
	most := 0.
	for n, w := range b.Lines {
		if w.Line.Ingredient.Has(ingredient.TagWater) && !w.Line.Locked && b.Made.Layout.BeforeStraining(n) && w.MassG > most {
			most, b.waterAt = w.MassG, n
		}
	}
	if b.waterAt < 0 {
		return
	}
	m := b.Method
	m.Share = factor // as if it stood in as much more pan
	wanted := solidShare(process.Make(b.Through, m).Balance.Drink)
	water := &b.Through[b.waterAt].G
	was, made, missed := *water, b.Made, math.Inf(1)
	for range topUpRounds { // the water decides on the pan, and the pan on the water
		drink := made.Balance.Drink
		more := drink.MassG() * (solidShare(drink)/wanted - 1)
		if wanted == 0 || math.Abs(more) >= missed { // less water brings no more solids: they stay in the pulp
			break
		}
		b.Made, b.Lines[b.waterAt].MassG, missed = made, *water, math.Abs(more)
		if missed < topUpG {
			break
		}
		*water = math.Max(0, *water+more)
		made = process.Make(b.Through, b.Method)
	}
	*water = b.Lines[b.waterAt].MassG
	b.watered = *water / was
}

// solidShare is what of a drink is not water.
func solidShare(c ingredient.Content) float64 {
	return 1 - c[ingredient.Water]/math.Max(1e-9, c.MassG())
}

const (
	topUpRounds = 12   // until what is topped up to a volume is right
	topUpG      = 1e-7 // g, as right as that
)

// method is how the drink is made, in its kitchen.
func (d *Drink) method() process.Method {
	m := d.AsSaid()
	m.JugML, m.FridgeC = d.JugML, d.FridgeC
	return m
}

// AsSaid is the method with what the cook changed of it, and with what the lines say of
// the soak where no change does: "soaked 6 h". What soaks together soaks as long as the
// longest of it.
func (d *Drink) AsSaid() process.Method {
	m := d.Method.With(d.Changes)
	if m.SoakHours > 0 {
		return m
	}
	longest, isSaid := 0., false
	for _, l := range d.Lines {
		if l.Ingredient == nil || l.Unsoaked || l.Ingredient.Role != ingredient.Base || l.Ingredient.SoakH.Max == 0 {
			continue
		}
		saidH := process.SaidSoakH(strings.ToLower(l.Note), l.Ingredient)
		isSaid = isSaid || saidH > 0
		longest = max(longest, cmp.Or(saidH, l.Ingredient.SoakH.Ideal))
	}
	if isSaid {
		m.SoakHours = longest
	}
	return m
}

// count adds the line to the base and the grinding liquid.
func (b *Batch) count(w Weighed, n int) {
	i := w.Line.Ingredient
	switch {
	case i.Role == ingredient.Base:
		b.BaseG += w.MassG
		b.BaseML += w.VolumeML()
	case i.Role == ingredient.Liquid && b.Made.Layout.BeforeStraining(n):
		b.GroundG += w.MassG
		b.GroundML += w.VolumeML()
	}
}

// BeforeStraining tells stages whose lines meet the strainer.
func BeforeStraining(s ingredient.Stage) bool {
	return s == ingredient.Soak || s == ingredient.Grind || s == ingredient.Rinse
}

// likelyML is the finished volume were the pulp to hold one standard
// deviation more and less than expected.
func (b *Batch) likelyML() (low, high float64) {
	if b.Made.SolidsG == 0 {
		return b.VolumeML, b.VolumeML
	}
	least, most := process.Likely(b.Through, b.Method)
	return math.Min(b.VolumeML, process.VolumeML(least, FinishedC)), math.Max(b.VolumeML, process.VolumeML(most, FinishedC))
}

// Per100mL is the finished drink's content in 100 mL.
func (b *Batch) Per100mL() ingredient.Content {
	if b.VolumeML == 0 {
		return ingredient.Content{}
	}
	return b.Finished.Times(100 / b.VolumeML)
}

// has tells whether any line in the drink carries the tag.
func (b *Batch) has(t ingredient.Tag) bool {
	for _, w := range b.Lines {
		if w.Line.Ingredient.Has(t) {
			return true
		}
	}
	return false
}
