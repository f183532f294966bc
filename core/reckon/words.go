package reckon

import (
	"errors"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/recipe"
	"plushladle/core/say"
)

// Contributions are what each line does in the drink, in the order of its lines; a zero
// Text for one that does not count.
func (r *Reckoning) Contributions() []say.Text {
	words := make([]say.Text, len(r.Lines))
	if r.Batch == nil {
		return words
	}
	sweetG := r.Batch.ingoing(func(c ingredient.Content) float64 { return c.SucroseEquivalentG() })
	for n, w := range r.Batch.Lines {
		words[w.Index] = r.Batch.contribution(w, n, r, sweetG)
	}
	return words
}

// ingoing adds up a figure over all that goes in.
func (b *Batch) ingoing(of func(ingredient.Content) float64) float64 {
	total := 0.
	for _, w := range b.Lines {
		total += of(*w.Per) * w.MassG
	}
	return total
}

// contribution is what a line does in the drink, for the words beside it.
func (b *Batch) contribution(w Weighed, n int, r *Reckoning, sweetG float64) say.Text {
	i := w.Line.Ingredient
	if w.Line.When() == ingredient.Serve {
		return say.Of("brings-to-the-glass")
	}
	switch i.Role {
	case ingredient.Base:
		return b.soakWords(w, n)
	case ingredient.Liquid:
		return b.liquidWords(n)
	case ingredient.Sweetener:
		return say.Of("brings-sweetness", w.Per.SucroseEquivalentG()*w.MassG, sweetG)
	case ingredient.FatRole:
		without := b.Finished[ingredient.Fat] - w.MassG*w.Per[ingredient.Fat]
		before := 100 * without / (r.Drink.MassG - w.MassG)
		return say.Of("brings-fat", before, r.FatPct)
	}
	return usualWords(w, r)
}

// soakWords says what becomes of a base before it is ground, as the process has it.
func (b *Batch) soakWords(w Weighed, n int) say.Text {
	i, l := w.Line.Ingredient, &b.Made.Layout
	switch {
	case slices.Contains(l.InKept, n):
		return say.Of("soak-and-keep", b.soak().Hours.Ideal)
	case slices.Contains(l.Soaked, n):
		return say.Of("soak-and-drain", b.soak().Hours.Ideal)
	case slices.Contains(l.Rinsed, n):
		return say.Of("rinse-and-drain")
	case w.Line.Unsoaked || b.Method.Coarse || i.NeedsSoak() || i.SoakH.Ideal == 0:
		return say.Of("goes-in-dry")
	case i.SoakH.Ideal < 1:
		return say.Of("dry-or-soak-minutes", 60*i.SoakH.Ideal)
	}
	return say.Of("dry-or-soak", i.SoakH.Ideal)
}

// liquidWords says what a liquid is for, by when it goes in.
func (b *Batch) liquidWords(n int) say.Text {
	switch b.Made.Layout.Stage(n) {
	case ingredient.Soak:
		return say.Of("soaks-and-stays-in")
	case ingredient.Grind:
		return say.Of("to-grind-with")
	case ingredient.Rinse:
		return say.Of("rinses-the-pulp")
	case ingredient.Brew:
		return say.Of("to-brew-with")
	}
	return say.Of("after-straining")
}

// usualWords gives g/L, with the usual range where one is known.
func usualWords(w Weighed, r *Reckoning) say.Text {
	here := w.MassG / r.Drink.VolumeML * 1000
	u := w.Line.Ingredient.Usual
	if u.HighGPerL == 0 {
		return say.Of("g-per-litre", here)
	}
	times := r.strongerBy()
	return say.Of("usual-range", here, u.LowGPerL*times, u.HighGPerL*times)
}

var systemTexts = [...]say.Text{say.Of("system-us"), say.Of("system-metric"), say.Of("system-au"), say.Of("system-imperial")} // by quantity.System

// Assumptions lists every default that was taken, for the cook to check.
func (r *Reckoning) Assumptions() []say.Text {
	b := r.Batch
	if b == nil {
		return nil
	}
	taken := []say.Text{say.Of("measures-are", systemTexts[b.d.System])}
	if b.Made.SolidsG > 0 && b.Method.Strainer != process.None {
		taken = append(taken, say.Of("strained-by", b.Method.Strainer.Told()))
	}
	for n, l := range r.Lines {
		taken = append(taken, lineAssumptions(&b.d.Lines[n], l)...)
	}
	for n, w := range b.Lines {
		taken = append(taken, b.weighedAssumptions(w, n)...)
	}
	return append(taken, say.Of("figures-are-estimates"))
}

// lineAssumptions is what had to be taken as usual for a line, or why it was left out.
func lineAssumptions(line *recipe.Line, l LineReckoning) []say.Text {
	name := line.Name
	if line.Ingredient != nil {
		name = line.Ingredient.Name
	}
	switch {
	case l.Kept:
		return nil
	case !l.Understood:
		return []say.Text{say.Of("line-not-understood", shorten(name))}
	case l.Err != nil:
		return []say.Text{say.Of("line-left-out", shorten(name), tellError(l.Err))}
	case !l.Note.IsZero():
		return []say.Text{say.Of("taken-for", name, l.Note)}
	}
	return nil
}

// tellError is why a line does not count.
func tellError(err error) say.Text {
	var e *fault.Error
	if errors.As(err, &e) {
		return e.Told()
	}
	return say.Written(err.Error())
}

// shorten keeps a name that was typed from flooding the list.
func shorten(name string) string {
	const most = 80
	if runes := []rune(name); len(runes) > most {
		return string(runes[:most]) + "…"
	}
	return name
}

// weighedAssumptions is what the process took as usual for a line that is in.
func (b *Batch) weighedAssumptions(w Weighed, n int) []say.Text {
	i := w.Line.Ingredient
	var taken []say.Text
	switch l := &b.Made.Layout; {
	case slices.Contains(l.Soaked, n):
		taken = append(taken, say.Of("taken-as-soaked", i.Name))
	case slices.Contains(l.Rinsed, n):
		taken = append(taken, say.Of("taken-as-rinsed", i.Name))
	}
	switch {
	case w.Line.When() == ingredient.Serve:
		taken = append(taken, say.Of("goes-in-at-serving", i.Name))
	case w.Line.When() == ingredient.CookIt && b.Made.Layout.Heat == process.Unheated:
		taken = append(taken, say.Of("nothing-to-cook-in", i.Name))
	case w.Line.When() == ingredient.CookIt:
		taken = append(taken, say.Of("goes-in-while-cooking", i.Name))
	case i.Class == ingredient.Grain:
		taken = append(taken, say.Of("ground-with", i.Name, b.Made.SecondsOf(i), b.Made.WaterC))
	case i.Class == ingredient.Fruit:
		taken = append(taken, say.Of("soaked-and-kept", i.Name))
	case i.Has(ingredient.TagBoil) && b.Made.Layout.Heat.Reaches():
		taken = append(taken, say.Of("boiled-after-straining", i.Name, b.Made.Balance.Evaporated.MassG(), b.Made.Balance.Skimmed.MassG()))
	}
	return taken
}
