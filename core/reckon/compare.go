package reckon

import (
	"cmp"
	"math"
	"slices"

	"plushladle/core/caution"
	"plushladle/core/say"
)

// Row is one figure of two drinks side by side. Words stand where there is no
// figure.
type Row struct {
	Name             say.Text // of the figure or the line
	Unit             string   // empty where there is none
	A, B             float64  // the two compared, in Unit
	AText, BText     say.Text // where words say it better
	AKnown, BKnown   bool     // false where one of them has no such figure
	Differs          bool     // by more than a cook would notice
	relativeDistance float64  // for the order: what differs most comes first
	line             bool     // of what went in
}

const (
	perLine      = "g in 100 mL" // of what went in
	leastLine    = 0.005         // of it that is told
	differs      = 0.01          // relative
	differsLeast = 0.05          // in the figure's own unit
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

// settle decides whether a row differs: by words where there are any, else by more than a
// share and more than the least that shows.
func (r *Row) settle() {
	if !r.AText.IsZero() || !r.BText.IsZero() {
		r.Differs = !r.AText.Is(r.BText)
		r.relativeDistance = 1
		return
	}
	far := math.Abs(r.A - r.B)
	r.relativeDistance = far / math.Max(1e-9, math.Max(math.Abs(r.A), math.Abs(r.B)))
	least := differsLeast
	if r.line {
		least = leastLine
	}
	r.Differs = r.AKnown != r.BKnown || r.relativeDistance > differs && far > least
}

// figureRows compares what can be said in numbers.
func figureRows(a, b *Reckoning) []Row {
	type figure struct {
		name string
		unit string
		of   func(*Reckoning) (float64, bool)
	}
	always := func(of func(*Reckoning) float64) func(*Reckoning) (float64, bool) {
		return func(r *Reckoning) (float64, bool) { return of(r), true }
	}
	figures := []figure{
		{"row-sweetness", "g/100 mL", always(func(r *Reckoning) float64 { return r.Per100mL.SucroseEquivalentG })},
		{"row-fat", "%", always(func(r *Reckoning) float64 { return r.FatPct })},
		{"row-strength", "cups", func(r *Reckoning) (float64, bool) {
			if r.Ratio == nil {
				return 0, false
			}
			return r.Ratio.ByVolume, true
		}},
		{"row-spice", "g/L", always(func(r *Reckoning) float64 { return r.Batch.SpiceG() / r.Drink.VolumeML * 1000 })},
		{"row-energy", "kcal", always(func(r *Reckoning) float64 { return r.Per100mL.EnergyKcal })},
		{"row-protein", "g", always(func(r *Reckoning) float64 { return r.Per100mL.ProteinG })},
		{"row-saturated-fat", "g", always(func(r *Reckoning) float64 { return r.Per100mL.SaturatedFatG })},
		{"row-carbohydrate", "g", always(func(r *Reckoning) float64 { return r.Per100mL.CarbohydrateG })},
		{"row-sugars", "g", always(func(r *Reckoning) float64 { return r.Per100mL.SugarsG })},
		{"row-free-sugars", "g", always(func(r *Reckoning) float64 { return r.Per100mL.FreeSugarsG })},
		{"row-fibre", "g", always(func(r *Reckoning) float64 { return r.Per100mL.FibreG })},
		{"row-sodium", "mg", always(func(r *Reckoning) float64 { return r.Per100mL.SodiumMg })},
		{"row-keeps-cautious", "days", func(r *Reckoning) (float64, bool) { return r.Keeps.CautiousDays, r.Keeps.Known() }},
		{"row-keeps-customary", "days", func(r *Reckoning) (float64, bool) { return r.Keeps.CustomaryDays, r.Keeps.Known() }},
		{"row-cost", "", func(r *Reckoning) (float64, bool) { return r.Cost.PerLitre, r.Cost.Known }},
	}
	rows := make([]Row, 0, len(figures))
	for _, f := range figures {
		row := Row{Name: say.Of(f.name), Unit: f.unit}
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
				amounts[name] = &Row{Name: say.Written(name), line: true, Unit: perLine, AKnown: true, BKnown: true}
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

// wordRows compares what is said in words: contents, who may drink it, cautions.
func wordRows(a, b *Reckoning) []Row {
	contains := func(r *Reckoning) say.Text {
		if len(r.Allergens) == 0 {
			return say.Of("no-listed-allergen")
		}
		return say.Of("list", slices.Sorted(slices.Values(r.Allergens)))
	}
	vegan := func(r *Reckoning) say.Text {
		switch {
		case r.Vegan == nil:
			return say.Of("not-known")
		case *r.Vegan:
			return say.Of("yes")
		}
		return say.Of("no")
	}
	kind := func(r *Reckoning) say.Text { return say.Of("kind-" + string(r.Kind)) }
	return []Row{
		{Name: say.Of("row-contains"), AText: contains(a), BText: contains(b)},
		{Name: say.Of("row-vegan"), AText: vegan(a), BText: vegan(b)},
		{Name: say.Of("row-kind"), AText: kind(a), BText: kind(b)},
	}
}

// Worst is what a change to a drink does that somebody could be hurt by, or be
// caught out by: allergens and cautions that come in, drinkers it is no longer for,
// and a life that nobody knows any more. It is told before anything else.
func Worst(before, after *Reckoning) []say.Text {
	var told []say.Text
	if added := less(after.Allergens, before.Allergens); len(added) > 0 {
		told = append(told, say.Of("adds-allergen", added))
	}
	if now := less(notFor(after), notFor(before)); len(now) > 0 {
		told = append(told, say.Of("no-longer-for", now))
	}
	for _, c := range after.Cautions {
		isThere := slices.ContainsFunc(before.Cautions, func(b caution.Caution) bool { return b.Code == c.Code && (b.Raised || !c.Raised) })
		if !isThere {
			told = append(told, c.Text)
		}
	}
	switch {
	case before.Keeps.Known() && !after.Keeps.Known():
		told = append(told, say.Of("life-becomes-unknown"))
	case before.Keeps.CautiousDays-after.Keeps.CautiousDays >= leastChange:
		told = append(told, say.Of("cautious-days-go", before.Keeps.CautiousDays, after.Keeps.CautiousDays))
	}
	return told
}

// notFor are the names of those the drink is not for.
func notFor(r *Reckoning) []string {
	var names []string
	for _, f := range r.ForWhom {
		if f.Not {
			names = append(names, f.Name)
		}
	}
	return names
}

// Changes is what else a change does to a drink, per 100 mL, and in a serving of the
// size that it had before.
func Changes(before, after *Reckoning) []say.Text {
	var told []say.Text
	if gone := less(before.Allergens, after.Allergens); len(gone) > 0 {
		told = append(told, say.Of("takes-out", gone))
	}
	if before.Vegan != nil && after.Vegan != nil && *before.Vegan != *after.Vegan {
		if *after.Vegan {
			told = append(told, say.Of("becomes-vegan"))
		} else {
			told = append(told, say.Of("no-longer-vegan"))
		}
	}
	told = appendChange(told, "sweetness-goes", before.Per100mL.SucroseEquivalentG, after.Per100mL.SucroseEquivalentG)
	told = appendChange(told, "fat-goes", before.FatPct, after.FatPct)
	told = appendChange(told, "protein-goes", before.Per100mL.ProteinG, after.Per100mL.ProteinG)
	told = appendChange(told, "energy-goes", math.Round(before.Per100mL.EnergyKcal), math.Round(after.Per100mL.EnergyKcal))
	told = append(told, inTheSameServing(before, after)...)
	if gained := after.Keeps.CautiousDays - before.Keeps.CautiousDays; gained >= leastChange {
		told = append(told, say.Of("cautious-days-go", before.Keeps.CautiousDays, after.Keeps.CautiousDays))
	}
	told = appendChange(told, "customary-days-go", before.Keeps.CustomaryDays, after.Keeps.CustomaryDays)
	if unpriced := less(after.Cost.Unpriced, before.Cost.Unpriced); len(unpriced) > 0 {
		return append(told, say.Of("no-price-known", unpriced))
	}
	if before.Cost.Known && after.Cost.Known {
		told = appendChange(told, "cost-goes", before.Cost.PerLitre, after.Cost.PerLitre)
	}
	return told
}

// inTheSameServing compares what one serving brings, of the size it had before: a
// change that makes another kind of drink of it does not hide behind a smaller glass.
func inTheSameServing(before, after *Reckoning) []say.Text {
	ml := before.Servings.SizeML
	was, now := before.Per100mL.FreeSugarsG*ml/100, after.Per100mL.FreeSugarsG*ml/100
	if math.Abs(was-now) < leastChange {
		return nil
	}
	return []say.Text{say.Of("free-sugars-go", was, now, ml)}
}

// leastChange is what a figure moves by to be told.
const leastChange = .05

// appendChange adds a sentence where a figure moved by enough to show.
func appendChange(told []say.Text, code string, from, to float64) []say.Text {
	if math.Abs(from-to) < leastChange {
		return told
	}
	return append(told, say.Of(code, from, to))
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

// Apart are the figures in which one making of a drink comes out other than another;
// none where nothing shows.
func Apart(from, to *Reckoning) []say.Text {
	if from.Drink == nil || to.Drink == nil {
		return nil
	}
	var told []say.Text
	for _, f := range []struct {
		code     string
		from, to float64
		shown    float64 // the least that shows
	}{
		{"volume-instead", from.Drink.VolumeML, to.Drink.VolumeML, 1},
		{"sweetness-instead", from.Per100mL.SucroseEquivalentG, to.Per100mL.SucroseEquivalentG, .1},
		{"fat-instead", from.FatPct, to.FatPct, .1},
		{"protein-instead", from.Per100mL.ProteinG, to.Per100mL.ProteinG, .1},
		{"sodium-instead", from.Per100mL.SodiumMg, to.Per100mL.SodiumMg, 1},
	} {
		if math.Round(f.from/f.shown) != math.Round(f.to/f.shown) {
			told = append(told, say.Of(f.code, f.to, f.from))
		}
	}
	return told
}
