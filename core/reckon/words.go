package reckon

import (
	"fmt"
	"strconv"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/recipe"
)

// figure writes a number to three figures, without a trailing exponent.
func ThreeFigures(v float64) string {
	rounded, err := strconv.ParseFloat(strconv.FormatFloat(v, 'g', 3, 64), 64)
	if err != nil {
		return strconv.FormatFloat(v, 'g', 3, 64)
	}
	return strconv.FormatFloat(rounded, 'f', -1, 64)
}

// Contributions says in a few words what each line does in the drink, in the
// order of its lines; "" for one that does not count.
func (r *Reckoning) Contributions() []string {
	words := make([]string, len(r.Lines))
	if r.Batch == nil {
		return words
	}
	sweetG := r.Batch.ingoing(func(c ingredient.Content) float64 { return c.SucroseEquivalentG() })
	for _, w := range r.Batch.Lines {
		words[w.Index] = r.Batch.contribution(w, r, sweetG)
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

func (b *Batch) contribution(w Weighed, r *Reckoning, sweetG float64) string {
	i := w.Line.Ingredient
	if w.Line.When() == ingredient.Serve {
		return "in the glass, not in the bottle"
	}
	switch i.Role {
	case ingredient.Base:
		return soakWords(w, b.Made.Layout.KeepsSoak())
	case ingredient.Liquid:
		return b.liquidWords(w)
	case ingredient.Sweetener:
		return fmt.Sprintf("%s of %s g sweet", ThreeFigures(w.Per.SucroseEquivalentG()*w.MassG), ThreeFigures(sweetG))
	case ingredient.FatRole:
		without := b.Finished[ingredient.Fat] - w.MassG*w.Per[ingredient.Fat]
		before := 100 * without / (r.Drink.MassG - w.MassG)
		return fmt.Sprintf("takes fat %.1f to %.1f %%", before, r.FatPct)
	}
	return usualWords(w, r)
}

func soakWords(w Weighed, kept bool) string {
	i := w.Line.Ingredient
	switch {
	case w.Line.Unsoaked || !i.HasSoak || i.SoakH.Ideal == 0:
		return "goes in dry"
	case kept:
		return fmt.Sprintf("soak %s h, keep the water", ThreeFigures(i.SoakH.Ideal))
	case i.SoakH.Ideal < 1:
		return fmt.Sprintf("soak %.0f min, rinse", i.SoakH.Ideal*60)
	case !i.NeedsSoak():
		return fmt.Sprintf("dry, or soak %s h and rinse", ThreeFigures(i.SoakH.Ideal))
	}
	return fmt.Sprintf("soak %s h, drain, rinse", ThreeFigures(i.SoakH.Ideal))
}

func (b *Batch) liquidWords(w Weighed) string {
	switch w.Line.When() {
	case ingredient.Soak:
		return "soaks, and stays in"
	case ingredient.Grind:
		return "to grind with"
	case ingredient.Rinse:
		return "rinses the pulp through"
	}
	return "after straining"
}

// usualWords gives g/L, with the usual range where one is known.
func usualWords(w Weighed, r *Reckoning) string {
	here := ThreeFigures(w.MassG / r.Drink.VolumeML * 1000)
	u := w.Line.Ingredient.Usual
	if u.HighGPerL == 0 {
		return here + " g/L"
	}
	times := r.strongerBy()
	return fmt.Sprintf("%s g/L, usual %s to %s", here, ThreeFigures(u.LowGPerL*times), ThreeFigures(u.HighGPerL*times))
}

var systemWords = [...]string{"US cups and spoons", "metric cups and spoons", "Australian cups and spoons", "Imperial cups and spoons"}

// Assumptions lists every default that was taken, for the cook to check.
func (r *Reckoning) Assumptions() []string {
	b := r.Batch
	if b == nil {
		return nil
	}
	taken := []string{"measures are " + systemWords[b.d.System]}
	if b.Made.SolidsG > 0 && b.Method.Strainer != process.None {
		taken = append(taken, "strained by "+b.Method.Strainer.Words()+"; 2 % stays on walls and cloth")
	}
	for n, l := range r.Lines {
		taken = append(taken, lineAssumptions(&b.d.Lines[n], l)...)
	}
	for n, w := range b.Lines {
		taken = append(taken, b.weighedAssumptions(w, n)...)
	}
	return append(taken, "all figures are estimates from the mass balance")
}

func lineAssumptions(line *recipe.Line, l LineReckoning) []string {
	name := line.Name
	if line.Ingredient != nil {
		name = line.Ingredient.Name
	}
	switch {
	case !l.Understood:
		return []string{fmt.Sprintf("%q is not understood and left out; its allergens are not known", shorten(name))}
	case l.Err != nil:
		return []string{shorten(name) + " is left out: " + l.Err.Error()}
	case l.Note != "":
		return []string{name + ": " + l.Note}
	}
	return nil
}

// shorten keeps a name that was typed from flooding the list.
func shorten(name string) string {
	const most = 80
	if runes := []rune(name); len(runes) > most {
		return string(runes[:most]) + "…"
	}
	return name
}

func (b *Batch) weighedAssumptions(w Weighed, n int) []string {
	i := w.Line.Ingredient
	var taken []string
	if b.Made.Layout.TakenUpG(b.Through, n) > 0 {
		taken = append(taken, i.Name+" taken as soaked and drained")
	}
	switch {
	case w.Line.When() == ingredient.Serve:
		taken = append(taken, i.Name+" goes in at serving and is left out of the bottle's figures")
	case w.Line.When() == ingredient.CookIt:
		taken = append(taken, i.Name+" goes in while cooking")
	case i.Class == ingredient.Grain:
		taken = append(taken, fmt.Sprintf("%s ground %s s with water at %s °C", i.Name, ThreeFigures(b.Made.SecondsOf(i)), ThreeFigures(b.Made.WaterC)))
	case i.Class == ingredient.Fruit:
		taken = append(taken, i.Name+" soaked in water that stays in; their sugars count as free sugars")
	case i.Has(ingredient.TagBoil) && b.Made.Layout.Heat.Reaches():
		taken = append(taken, fmt.Sprintf("%s: boiled after straining; %s g boil away and %s g are skimmed off", i.Name, ThreeFigures(b.Made.Balance.Evaporated.MassG()), ThreeFigures(b.Made.Balance.Skimmed.MassG())))
	}
	return taken
}
