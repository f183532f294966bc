package reckon

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
)

// Row is one figure of two drinks side by side. Words stand where there is no
// figure.
type Row struct {
	Name, Unit       string
	A, B             float64
	AWords, BWords   string
	AKnown, BKnown   bool
	Differs          bool
	relativeDistance float64
}

const (
	differs      = 0.01 // relative
	differsLeast = 0.05 // in the figure's own unit
)

// Compare puts two reckoned drinks side by side per 100 mL, what differs first
// and most.
func Compare(a, b *Reckoning) []Row {
	rows := append(figureRows(a, b), lineRows(a, b)...)
	rows = append(rows, wordRows(a, b)...)
	for n := range rows {
		rows[n].settle()
	}
	slices.SortStableFunc(rows, func(x, y Row) int { return cmp.Compare(y.rank(), x.rank()) })
	return rows
}

// rank puts what differs first, and what differs most before the rest.
func (r *Row) rank() float64 {
	if !r.Differs {
		return -1
	}
	return r.relativeDistance
}

func (r *Row) settle() {
	if r.AWords != "" || r.BWords != "" {
		r.Differs = r.AWords != r.BWords
		r.relativeDistance = 1
		return
	}
	far := math.Abs(r.A - r.B)
	r.relativeDistance = far / math.Max(1e-9, math.Max(math.Abs(r.A), math.Abs(r.B)))
	least := differsLeast
	if r.Unit == "g a 100 mL" {
		least = 0.005
	}
	r.Differs = r.AKnown != r.BKnown || r.relativeDistance > differs && far > least
}

func figureRows(a, b *Reckoning) []Row {
	type figure struct {
		name, unit string
		of         func(*Reckoning) (float64, bool)
	}
	always := func(of func(*Reckoning) float64) func(*Reckoning) (float64, bool) {
		return func(r *Reckoning) (float64, bool) { return of(r), true }
	}
	figures := []figure{
		{"Sweetness", "g/100 mL", always(func(r *Reckoning) float64 { return r.Per100mL.SucroseEquivalentG })},
		{"Fat", "%", always(func(r *Reckoning) float64 { return r.FatPct })},
		{"Strength, liquid to 1 of base", "cups", func(r *Reckoning) (float64, bool) {
			if r.Ratio == nil {
				return 0, false
			}
			return r.Ratio.ByVolume, true
		}},
		{"Spice", "g/L", always(func(r *Reckoning) float64 { return r.Batch.SpiceG() / r.Drink.VolumeML * 1000 })},
		{"Energy", "kcal", always(func(r *Reckoning) float64 { return r.Per100mL.EnergyKcal })},
		{"Protein", "g", always(func(r *Reckoning) float64 { return r.Per100mL.ProteinG })},
		{"Saturated fat", "g", always(func(r *Reckoning) float64 { return r.Per100mL.SaturatedFatG })},
		{"Carbohydrate", "g", always(func(r *Reckoning) float64 { return r.Per100mL.CarbohydrateG })},
		{"Sugars", "g", always(func(r *Reckoning) float64 { return r.Per100mL.SugarsG })},
		{"Free sugars", "g", always(func(r *Reckoning) float64 { return r.Per100mL.FreeSugarsG })},
		{"Fibre", "g", always(func(r *Reckoning) float64 { return r.Per100mL.FibreG })},
		{"Sodium", "mg", always(func(r *Reckoning) float64 { return r.Per100mL.SodiumMg })},
		{"Keeps, cautious", "days", func(r *Reckoning) (float64, bool) { return r.Keeps.CautiousDays, r.Keeps.Known() }},
		{"Keeps, by custom", "days", func(r *Reckoning) (float64, bool) { return r.Keeps.CustomaryDays, r.Keeps.Known() }},
		{"Cost of a litre", "", func(r *Reckoning) (float64, bool) { return r.Cost.PerLitre, r.Cost.Known }},
	}
	rows := make([]Row, 0, len(figures))
	for _, f := range figures {
		row := Row{Name: f.name, Unit: f.unit}
		row.A, row.AKnown = f.of(a)
		row.B, row.BKnown = f.of(b)
		if row.AKnown || row.BKnown {
			rows = append(rows, row)
		}
	}
	return rows
}

// lineRows are the ingredients, in g a 100 mL of drink.
func lineRows(a, b *Reckoning) []Row {
	var order []string
	amounts := map[string]*Row{}
	add := func(r *Reckoning, put func(*Row, float64)) {
		for _, w := range r.Batch.Lines {
			name := w.Line.Ingredient.Name
			if amounts[name] == nil {
				amounts[name] = &Row{Name: name, Unit: "g a 100 mL", AKnown: true, BKnown: true}
				order = append(order, name)
			}
			put(amounts[name], w.MassG/r.Drink.VolumeML*100)
		}
	}
	add(a, func(r *Row, g float64) { r.A += g })
	add(b, func(r *Row, g float64) { r.B += g })
	rows := make([]Row, len(order))
	for n, name := range order {
		rows[n] = *amounts[name]
	}
	return rows
}

func wordRows(a, b *Reckoning) []Row {
	contains := func(r *Reckoning) string {
		if len(r.Allergens) == 0 {
			return "no listed allergen"
		}
		sorted := slices.Sorted(slices.Values(r.Allergens))
		return strings.Join(sorted, ", ")
	}
	vegan := func(r *Reckoning) string {
		switch {
		case r.Vegan == nil:
			return "not known"
		case *r.Vegan:
			return "yes"
		}
		return "no"
	}
	return []Row{
		{Name: "Contains", AWords: contains(a), BWords: contains(b)},
		{Name: "Vegan", AWords: vegan(a), BWords: vegan(b)},
		{Name: "Kind", AWords: string(a.Kind), BWords: string(b.Kind)},
	}
}

// changes says in words what a drink becomes that takes another's place.
func Changes(before, after *Reckoning) []string {
	var words []string
	added, gone := less(after.Allergens, before.Allergens), less(before.Allergens, after.Allergens)
	if len(added) > 0 {
		words = append(words, "adds an allergen: "+strings.Join(added, ", "))
	}
	if len(gone) > 0 {
		words = append(words, "takes out "+strings.Join(gone, ", "))
	}
	if before.Vegan != nil && after.Vegan != nil && *before.Vegan != *after.Vegan {
		words = append(words, map[bool]string{true: "becomes vegan", false: "is no longer vegan"}[*after.Vegan])
	}
	words = appendChange(words, "free sugars a serving", "g", before.PerServing.FreeSugarsG, after.PerServing.FreeSugarsG)
	words = appendChange(words, "sweetness", "g/100 mL", before.Per100mL.SucroseEquivalentG, after.Per100mL.SucroseEquivalentG)
	words = appendChange(words, "fat", "%", before.FatPct, after.FatPct)
	words = appendChange(words, "keeps, cautious", "days", before.Keeps.CautiousDays, after.Keeps.CautiousDays)
	words = appendChange(words, "keeps, by custom", "days", before.Keeps.CustomaryDays, after.Keeps.CustomaryDays)
	if unpriced := less(after.Cost.Unpriced, before.Cost.Unpriced); len(unpriced) > 0 {
		return append(words, "no price is known for "+strings.Join(unpriced, ", "))
	}
	if before.Cost.Known && after.Cost.Known {
		words = appendChange(words, "a litre costs", "", before.Cost.PerLitre, after.Cost.PerLitre)
	}
	return words
}

func appendChange(words []string, name, unit string, from, to float64) []string {
	if math.Abs(from-to) < 0.05 {
		return words
	}
	return append(words, strings.TrimSpace(fmt.Sprintf("%s: %s to %s %s", name, ThreeFigures(from), ThreeFigures(to), unit)))
}

// less is what of a is not in b.
func less(a, b []string) []string {
	var out []string
	for _, v := range a {
		if !slices.Contains(b, v) {
			out = append(out, v)
		}
	}
	return out
}

// Apart says in which figures one making of a drink comes out other than
// another; "" where in none that shows.
func Apart(from, to *Reckoning) string {
	if from.Drink == nil || to.Drink == nil {
		return ""
	}
	var said []string
	for _, f := range []struct {
		what, unit string
		from, to   float64
		decimals   int
	}{
		{"", "mL", from.Drink.VolumeML, to.Drink.VolumeML, 0},
		{"sweetness ", "g/100 mL", from.Per100mL.SucroseEquivalentG, to.Per100mL.SucroseEquivalentG, 1},
		{"fat ", "%", from.FatPct, to.FatPct, 1},
		{"protein ", "g/100 mL", from.Per100mL.ProteinG, to.Per100mL.ProteinG, 1},
		{"salt as sodium ", "mg/100 mL", from.Per100mL.SodiumMg, to.Per100mL.SodiumMg, 0},
	} {
		before, after := strconv.FormatFloat(f.from, 'f', f.decimals, 64), strconv.FormatFloat(f.to, 'f', f.decimals, 64)
		if before != after {
			said = append(said, fmt.Sprintf("%s%s instead of %s %s", f.what, after, before, f.unit))
		}
	}
	return strings.Join(said, ", ")
}
