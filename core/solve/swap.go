package solve

import (
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// SwapHow is what stays equal in a swap.
type SwapHow string

// The ways to swap.
const (
	EqualSweetness SwapHow = "equal-sweetness" // and the water it brings made good
	EqualWeight    SwapHow = "equal-weight"    // g for g
	EqualFat       SwapHow = "equal-fat"       // as much fat
	EqualVolume    SwapHow = "equal-volume"    // cup for cup
	EqualUse       SwapHow = "equal-use"       // forms of one thing: a bean for its extract
	ByCount        SwapHow = "by-count"        // two large dates for four small
	ForItsParts    SwapHow = "for-its-parts"   // a blend and what it is mixed of
	AsBlend        SwapHow = "as-a-blend"      // for the spices it is made of, summed
)

// Swapped is the drink with one ingredient in the place of another.
type Swapped struct {
	Drink         reckon.Drink      // after the swap
	How           SwapHow           // the way that was taken
	Worst         []say.Text        // what could hurt or catch somebody out, to be told before anything else
	Changes       []say.Text        // what else it does to the drink, for the cook to see before it is taken
	Before, After *reckon.Reckoning // so that both can be shown
}

// WaysToSwap are the ways a line's ingredient can give way to another, the
// usual one first.
func WaysToSwap(d *reckon.Drink, place int, to *ingredient.Ingredient) []SwapHow {
	from := d.Lines[place].Ingredient
	if from == nil {
		return nil
	}
	if to == nil {
		if len(from.Parts) > 0 {
			return []SwapHow{ForItsParts}
		}
		return nil
	}
	var ways []SwapHow
	sweet := from.PerGram.SucroseEquivalentG() > 0 && to.PerGram.SucroseEquivalentG() > 0
	switch {
	case from.Equals.Group != "" && from.Equals.Group == to.Equals.Group:
		ways = append(ways, EqualUse)
	case len(to.Parts) > 0 && isPart(from, to):
		return []SwapHow{AsBlend, EqualWeight}
	case from.Role == ingredient.Sweetener && to.Role == ingredient.Sweetener && sweet:
		if isFarSweeter(from, to) || isFarSweeter(to, from) {
			return []SwapHow{EqualSweetness}
		}
		ways = append(ways, EqualSweetness)
	case from.Role == ingredient.Liquid && to.Role == ingredient.Liquid:
		if from.PerGram[ingredient.Fat] >= leastFat && to.PerGram[ingredient.Fat] >= leastFat {
			ways = append(ways, EqualFat)
		}
		return append(ways, EqualVolume)
	}
	ways = append(ways, EqualWeight)
	if from.Role == ingredient.Base && to.Role == ingredient.Base && to.PerGram[ingredient.Fat] > 0 {
		ways = append(ways, EqualFat)
	}
	if _, ok := countRatio(from, to); ok {
		ways = append(ways, ByCount)
	}
	return ways
}

// farSweeter is how many times as sweet as another a sweetener is that never takes its place
// gram for gram: of stevia in place of sugar that would be half a cup (a judgement, no source).
const farSweeter = 10

func isFarSweeter(i, than *ingredient.Ingredient) bool {
	return i.PerGram.SucroseEquivalentG() > farSweeter*than.PerGram.SucroseEquivalentG()
}

// leastFat is the share of fat below which a liquid is not swapped by it: at equal
// fat next to nothing of a richer one would take the place of coffee.
const leastFat = .005

// isPart tells whether an ingredient is in a blend.
func isPart(i, blend *ingredient.Ingredient) bool {
	return slices.ContainsFunc(blend.Parts, func(p ingredient.Share) bool { return p.Ingredient.Is(i) })
}

// countRatio is how many pieces of one ingredient stand for one of another.
func countRatio(from, to *ingredient.Ingredient) (float64, bool) {
	switch {
	case from.CountsAs.ID == to.ID && from.CountsAs.Pieces > 0:
		return from.CountsAs.Pieces, true
	case to.CountsAs.ID == from.ID && to.CountsAs.Pieces > 0:
		return 1 / to.CountsAs.Pieces, true
	}
	return 0, false
}

// Swap puts an ingredient in the place of a line's own, or a blend's parts
// where to is nil. how is one of WaysToSwap; the first of them where it is "".
// The error, a *fault.Error, names "line", "to" or "how".
func Swap(d *reckon.Drink, place int, to *ingredient.Ingredient, how SwapHow) (*Swapped, error) {
	how, err := wayToSwap(d, place, to, how)
	if err != nil {
		return nil, err
	}
	before, err := d.Reckon()
	if err != nil {
		return nil, err
	}
	if before.Drink == nil || before.Lines[place].Err != nil || before.Lines[place].MassG == 0 {
		return nil, fault.New("line", d.Lines[place].Name, "swap-line-not-counted")
	}
	work := *d
	work.Lines = slices.Clone(d.Lines)
	notes, err := swap(&work, place, to, how)
	if err != nil {
		return nil, err
	}
	after, err := work.Reckon()
	if err != nil {
		return nil, err
	}
	if after.Drink == nil && len(after.Cautions) == 0 {
		return nil, fault.New("to", to.Name, "swap-takes-too-much")
	}
	if after.Drink == nil {
		return nil, fault.New("to", to.Name, "swap-not-for-drinks")
	}
	notes = append(notes, characterOf(d.Lines[place].Ingredient, to)...)
	return &Swapped{
		Drink: work, How: how, Worst: reckon.Worst(before, after), Changes: append(notes, reckon.Changes(before, after)...),
		Before: before, After: after,
	}, nil
}

// wayToSwap is the way asked for, or the first there is. The error names what is silly.
func wayToSwap(d *reckon.Drink, place int, to *ingredient.Ingredient, how SwapHow) (SwapHow, error) {
	if place < 0 || place >= len(d.Lines) || d.Lines[place].Ingredient == nil {
		return "", fault.New("line", "", "swap-line-unknown")
	}
	if to != nil && (to.Has(ingredient.TagRefused) || to.Bare) {
		return "", fault.New("to", to.Name, "swap-refused")
	}
	if to == d.Lines[place].Ingredient {
		return "", fault.New("to", to.Name, "swap-is-the-same")
	}
	ways := WaysToSwap(d, place, to)
	switch {
	case len(ways) == 0:
		return "", fault.New("to", "", "swap-has-no-parts")
	case how == "":
		return ways[0], nil
	case !slices.Contains(ways, how):
		names := make([]string, len(ways))
		for n, w := range ways {
			names[n] = string(w)
		}
		return "", fault.New("how", string(how), "swap-way-does-not-fit", names)
	}
	return how, nil
}

// swap changes the lines, and says what could not be held.
func swap(d *reckon.Drink, place int, to *ingredient.Ingredient, how SwapHow) ([]say.Text, error) {
	s, before, err := toSolve(d)
	if err != nil {
		return nil, err
	}
	at := slices.IndexFunc(s.lines, func(w reckon.Weighed) bool { return w.Index == place })
	written := slices.Clone(d.Lines)
	old := d.Lines[place]
	was := s.lines[at]
	was.Line = &old
	switch how {
	case ForItsParts:
		intoParts(d, place, was.MassG)
		return nil, nil
	case AsBlend:
		return asBlend(d, s, place, to), nil
	}
	d.Lines[place] = swappedLine(d.Lines[place], to)
	s.lines[at].Line, s.lines[at].Per = &d.Lines[place], &to.PerGram
	s.lines[at].MassG = inPlaceOf(was, to, how)
	var notes []say.Text
	switch {
	case how == EqualSweetness:
		notes = s.holdSweetness(at, before)
	case how == EqualFat && to.Role == ingredient.Base:
		notes = s.holdFatPct(at, before)
	case how == EqualFat:
		notes = s.holdFatAndVolume(at, before)
	}
	d.Lines[place].Amount = d.MeasureOf(d.Lines[place], s.lines[at].MassG)
	toMeasures(d, s, written)
	s.dropEmpty()
	return notes, nil
}

// toMeasures writes what the swap moved as a cook measures it: what was in cups and
// spoons, or was not there, in the nearest of them. What was weighed stays weighed.
func toMeasures(d *reckon.Drink, s *solver, written []recipe.Line) {
	for _, w := range s.lines {
		l := &d.Lines[w.Index]
		wasWeighed := w.Index < len(written) && written[w.Index].Amount.IsMetric()
		if l.Locked || !l.Amount.IsMetric() || wasWeighed {
			continue
		}
		l.Amount = nearestMeasure(d, *l, w.MassG)
	}
}

// swappedLine is the line with another ingredient: what was said of the old
// one's form and soak no longer holds.
func swappedLine(l recipe.Line, to *ingredient.Ingredient) recipe.Line {
	return recipe.Line{Key: l.Key, Amount: l.Amount, Ingredient: to, Name: to.Name, Stage: l.Stage, Locked: l.Locked}
}

// inPlaceOf is the mass of the new ingredient, to begin with.
func inPlaceOf(w reckon.Weighed, to *ingredient.Ingredient, how SwapHow) float64 {
	from := w.Line.Ingredient
	switch how {
	case EqualUse:
		return w.MassG / from.Equals.GramsPerUnit * to.Equals.GramsPerUnit
	case EqualSweetness:
		return w.MassG * w.Per.SucroseEquivalentG() / to.PerGram.SucroseEquivalentG()
	case EqualVolume:
		return w.VolumeML() * to.BulkGPerML
	case ByCount:
		ratio, _ := countRatio(from, to)
		return w.MassG / from.PieceG[quantity.Piece] * ratio * to.PieceG[quantity.Piece]
	}
	return w.MassG
}

// holdSweetness solves the new sweetener for the sweetness of the drink, and
// the water for its volume.
func (s *solver) holdSweetness(at int, before *reckon.Batch) []say.Text {
	sweet, ml := before.Finished.SucroseEquivalentG(), before.VolumeML
	s.knobs, s.aims = []knob{s.knobOf([]int{at})}, []aim{func(b *reckon.Batch) float64 { return b.Finished.SucroseEquivalentG() - sweet }}
	water := s.waterLines()
	if len(water) > 0 {
		s.knobs = append(s.knobs, s.knobOf(water))
		s.aims = append(s.aims, func(b *reckon.Batch) float64 { return b.VolumeML - ml })
	}
	reached := s.solve()
	s.settleLines()
	switch {
	case len(water) == 0:
		return []say.Text{say.Of("no-free-water")}
	case !reached[1]:
		return []say.Text{say.Of("too-little-water")}
	}
	return []say.Text{say.Of("water-goes", s.waterG(before), s.sumG(water))}
}

// waterG is the water that may be changed to hold the volume, g.
func (s *solver) waterG(b *reckon.Batch) float64 {
	g := 0.
	for _, w := range b.Lines {
		if w.Line.Ingredient.Has(ingredient.TagWater) && !w.Line.Locked && w.Line.When() != ingredient.Serve && w.Line.When() != ingredient.Brew {
			g += w.MassG
		}
	}
	return g
}

// sumG adds the masses of some lines, g.
func (s *solver) sumG(places []int) float64 {
	g := 0.
	for _, at := range places {
		g += s.lines[at].MassG
	}
	return g
}

// waterLines are the places of such water: before the strainer or stirred in, not locked.
func (s *solver) waterLines() []int {
	var places []int
	for at, w := range s.lines {
		stage := w.Line.When()
		if w.Line.Ingredient.Has(ingredient.TagWater) && !w.Line.Locked && stage != ingredient.Serve && stage != ingredient.Brew {
			places = append(places, at)
		}
	}
	return places
}

// settleLines puts the solved doses into the lines and writes the amounts.
func (s *solver) settleLines() {
	s.write(s.d)
	for _, k := range s.knobs {
		for m, at := range k.lines {
			s.lines[at].MassG = k.dose * k.shares[m]
		}
	}
}

// holdFatPct solves for as much of the new base as gives the old fat. A base that is
// too lean for that goes in by weight, and oil makes up what it lacks.
func (s *solver) holdFatPct(at int, before *reckon.Batch) []say.Text {
	to, base := 100*before.Finished[ingredient.Fat]/before.Finished.MassG(), s.lines[at].MassG
	s.knobs, s.aims = []knob{s.knobOf([]int{at})}, []aim{aimFor(reckon.Fat, to)}
	s.knobs[0].most = mostBaseToSwap * s.knobs[0].dose
	if reached := s.solve(); reached[0] {
		s.settleLines()
		return nil
	}
	s.lines[at].MassG = base
	oil := s.lineOf("coconut-oil", ingredient.FatRole)
	was := s.lines[oil].MassG
	s.knobs = []knob{s.knobOf([]int{oil})}
	reached := s.solve()
	s.settleLines()
	name := s.lines[at].Line.Ingredient.Name
	if !reached[0] {
		return []say.Text{say.Of("fat-out-of-reach", name, to)}
	}
	return []say.Text{say.Of("fat-by-oil", name, s.lines[oil].Line.Ingredient.Name, s.lines[oil].MassG-was)}
}

// mostBaseToSwap is how many times its weight a base may be given for equal fat: beyond
// that it is porridge. Common practice, no source.
const mostBaseToSwap = 2.5

// holdFatAndVolume solves the new liquid, and added fat for what a leaner one
// lacks, or water for what a richer one has too much of.
func (s *solver) holdFatAndVolume(at int, before *reckon.Batch) []say.Text {
	fat, ml := before.Finished[ingredient.Fat], before.VolumeML
	started := s.lines[at].MassG
	try := func(other int) bool {
		s.lines[at].MassG = started
		s.knobs = []knob{s.knobOf([]int{at}), s.knobOf([]int{other})}
		s.aims = []aim{
			func(b *reckon.Batch) float64 { return b.VolumeML - ml },
			func(b *reckon.Batch) float64 { return b.Finished[ingredient.Fat] - fat },
		}
		reached := s.solve()
		return reached[0] && reached[1]
	}
	if try(s.lineOf("coconut-oil", ingredient.FatRole)) || try(s.lineOf("water", "")) {
		s.settleLines()
		return nil
	}
	s.settleLines()
	return []say.Text{say.Of("fat-or-volume")}
}

// lineOf is the place of a free line of a role, or of an ingredient where the
// role is ""; a line of the ingredient with no amount is added where there is
// none.
func (s *solver) lineOf(id string, role ingredient.Role) int {
	for at, w := range s.lines {
		i := w.Line.Ingredient
		if !w.Line.Locked && w.Line.When() != ingredient.Serve && (role != "" && i.Role == role || role == "" && i.ID == id) {
			return at
		}
	}
	return addLine(s.d, s, id)
}

// dropEmpty takes out lines that were added and turned out not to be needed.
func (s *solver) dropEmpty() {
	s.d.Lines = slices.DeleteFunc(s.d.Lines, func(l recipe.Line) bool {
		g, isMass := l.Amount.Mass(s.d.System)
		return l.Added && isMass && g == 0
	})
}

// intoParts puts a blend's parts in its place.
func intoParts(d *reckon.Drink, place int, g float64) {
	blend := d.Lines[place]
	parts := make([]recipe.Line, len(blend.Ingredient.Parts))
	for n, p := range blend.Ingredient.Parts {
		parts[n] = swappedLine(blend, p.Ingredient)
		parts[n].Key = ""
		parts[n].Amount = d.MeasureOf(parts[n], g*p.Share)
	}
	d.Lines = slices.Replace(d.Lines, place, place+1, parts...)
}

// asBlend puts a blend in the place of the spices it is made of: their summed
// mass of it, at the line's own stage.
func asBlend(d *reckon.Drink, s *solver, place int, blend *ingredient.Ingredient) []say.Text {
	stage, g := d.Lines[place].Stage, 0.
	var gone []string
	isGone := map[int]bool{}
	for _, w := range s.lines {
		if w.Index == place || isPart(w.Line.Ingredient, blend) && !w.Line.Locked && w.Line.When() == d.Lines[place].When() {
			g += w.MassG
			isGone[w.Index] = true
			gone = append(gone, w.Line.Ingredient.Name)
		}
	}
	line := recipe.Line{Key: d.Lines[place].Key, Ingredient: blend, Name: blend.Name, Stage: stage, Amount: d.Lines[place].Amount}
	line.Amount = d.MeasureOf(line, g)
	var lines []recipe.Line
	for n, l := range d.Lines {
		switch {
		case n == place:
			lines = append(lines, line)
		case !isGone[n]:
			lines = append(lines, l)
		}
	}
	d.Lines = lines
	return []say.Text{say.Of("stands-for", gone)}
}

// characterOf says what taste and colour a sweetener or flavour brings.
func characterOf(from, to *ingredient.Ingredient) []say.Text {
	if to == nil {
		return nil
	}
	var told []say.Text
	switch {
	case to.Character != "" && from.Character != "":
		told = append(told, say.Of("character-instead", to.Character, from.Character))
	case to.Character != "":
		told = append(told, say.Of("character", to.Character))
	}
	if to.Has(ingredient.TagHoney) {
		told = append(told, say.Of("honey-not-for-an-infant"))
	}
	return told
}
