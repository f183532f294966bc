package formula

import (
	"math"
	"strings"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/recipe"
)

// FinishedC is the temperature at which a finished drink's volume is given, °C.
const FinishedC = 4

// weighed is a line that counts, with its mass as written.
type weighed struct {
	line  *recipe.Line
	index int
	g     float64
	per   *ingredient.Content // of a gram of it as measured
}

// content is what the line brings.
func (w weighed) content() ingredient.Content { return w.per.Times(w.g) }

// inProcess is the line as the process takes it.
func (w weighed) inProcess() process.Line {
	l := w.line
	words := strings.ToLower(l.Name + " " + l.Note)
	out := process.Line{
		Index: w.index, Key: l.Key, Ingredient: l.Ingredient, Per: w.per, G: w.g, Stage: l.Stage, Treatment: l.Treatment, Unsoaked: l.Unsoaked,
		Rinsed: strings.Contains(words, "rinse") && !strings.Contains(words, "unrinsed") || strings.Contains(words, "soaked"),
		Again:  l.GrindsAgain(), Before: strings.Contains(words, "before squeezing"),
	}
	if l.Ingredient.Role == ingredient.Liquid {
		out.TempC = process.WordsC(words)
		out.Thrown = l.IsForSoaking(words)
	}
	return out
}

// batch is a drink of one size: what went in and what came of it.
type batch struct {
	d        *Drink
	lines    []weighed      // at this size
	through  []process.Line // the same, and those whose amount was left open
	method   process.Method
	made     process.Made
	finished ingredient.Content
	ml       float64 // of the finished drink
	baseG    float64 // dry
	baseML   float64 // dry, as it lies in the cup
	groundML float64 // grinding liquid as poured
	groundG  float64
	waterAt  int     // the line whose water makes up for the pan; -1 for none
	watered  float64 // its amount as a share of what it grew to
}

// mix makes the batch that the lines give at the given growth.
func (d *Drink) mix(lines []weighed, factor float64) *batch {
	b := &batch{d: d, method: d.method(), lines: make([]weighed, len(lines)), through: make([]process.Line, len(lines), len(d.Lines))}
	for n, w := range lines {
		w.g *= w.line.Growth(factor, d.Spices)
		b.lines[n], b.through[n] = w, w.inProcess()
		b.through[n].SoakHours, b.through[n].SoakCold = b.method.SoakHours, b.method.SoakCold
	}
	for n := range d.Lines {
		if line := &d.Lines[n]; line.Ingredient != nil && line.Amount.IsOpen() && !isIn(lines, n) {
			b.through = append(b.through, weighed{line: line, index: n, per: line.Ingredient.Treated(line.Treatment)}.inProcess())
		}
	}
	b.made = process.Make(b.through, b.method)
	if b.waterAt = -1; factor != 1 && b.made.HeatedC > 0 {
		b.topUp(factor)
	}
	for n, w := range b.lines {
		b.count(w, n)
	}
	b.finished = b.made.Balance.Drink
	b.ml = process.VolumeML(b.finished, FinishedC)
	return b
}

// topUp gives the grinding water what the pan boils away more of, for its size,
// than from the amounts as written, and takes what it boils away less: else a
// small batch would come out thicker than a large one.
func (b *batch) topUp(factor float64) {
	for n, w := range b.lines {
		if w.line.Ingredient.Has(ingredient.TagWater) && !w.line.Locked && b.made.Layout.BeforeStraining(n) && w.g > 0 {
			b.waterAt = n
		}
	}
	if b.waterAt < 0 {
		return
	}
	m := b.method
	m.Share = factor // as if it stood in as much more pan
	wanted := solidShare(process.Make(b.through, m).Balance.Drink)
	was := b.lines[b.waterAt].g
	for range topUpRounds { // the water decides on the pan, and the pan on the water
		drink := b.made.Balance.Drink
		more := drink.MassG() * (solidShare(drink)/wanted - 1)
		if wanted == 0 || math.Abs(more) < topUpG {
			break
		}
		b.through[b.waterAt].G = math.Max(0, b.through[b.waterAt].G+more)
		b.made = process.Make(b.through, b.method)
	}
	b.lines[b.waterAt].g, b.watered = b.through[b.waterAt].G, b.through[b.waterAt].G/was
}

// solidShare is what of a drink is not water.
func solidShare(c ingredient.Content) float64 {
	return 1 - c[ingredient.Water]/math.Max(1e-9, c.MassG())
}

const (
	topUpRounds = 12
	topUpG      = 1e-7
)

// method is how the drink is made, in its kitchen.
func (d *Drink) method() process.Method {
	m := d.Method.With(d.Changes)
	m.JugML, m.FridgeC = d.JugML, d.FridgeC
	return m
}

// count adds the line to the base and the grinding liquid.
func (b *batch) count(w weighed, n int) {
	i := w.line.Ingredient
	switch {
	case i.Role == ingredient.Base:
		b.baseG += w.g
		b.baseML += w.ml()
	case i.Role == ingredient.Liquid && b.made.Layout.BeforeStraining(n):
		b.groundG += w.g
		b.groundML += w.ml()
	}
}

func beforeStraining(s ingredient.Stage) bool {
	return s == ingredient.Soak || s == ingredient.Grind || s == ingredient.Rinse
}

// likelyML is the finished volume were the pulp to hold one standard
// deviation more and less than expected.
func (b *batch) likelyML() (low, high float64) {
	if b.made.SolidsG == 0 {
		return b.ml, b.ml
	}
	least, most := process.Likely(b.through, b.method)
	return math.Min(b.ml, process.VolumeML(least, FinishedC)), math.Max(b.ml, process.VolumeML(most, FinishedC))
}

// per100mL is the finished drink's content in 100 mL.
func (b *batch) per100mL() ingredient.Content {
	if b.ml == 0 {
		return ingredient.Content{}
	}
	return b.finished.Times(100 / b.ml)
}

// has tells whether any line in the drink carries the tag.
func (b *batch) has(t ingredient.Tag) bool {
	for _, w := range b.lines {
		if w.line.Ingredient.Has(t) {
			return true
		}
	}
	return false
}
