package solve

import (
	"math"
	"slices"
	"strings"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/keep"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Richness is how thin or thick a drink of its kind is to be.
type Richness string

// From thin to thick.
const (
	Lighter    Richness = "light" // thinner than is usual
	AsUsual    Richness = "usual" // as the kind has it
	Richer     Richness = "rich"  // thicker
	richnesses          = 3       // how many there are
)

// Wish is what a cook knows of a drink that is to be. What is left out is worked out.
type Wish struct {
	Kind      recipe.Kind              // what it shall be
	Bases     []*ingredient.Ingredient // one, or two of which the first is twice the second; none to leave the choice
	Richness  Richness                 // AsUsual where it is not said
	Whole     bool                     // not strained
	Flavour   string                   // a code of [FlavoursOf]; "" to leave the choice
	Sweetness int                      // 0 none, 1 light, 2 medium, 3 sweet
	Sweetener *ingredient.Ingredient   // nil for white sugar
	VolumeML  float64                  // how much, at the least
	Days      float64                  // how long it is to last; 0 where it does not matter
	Avoid     []caution.Drinker        // whom it must be for
	StockG    map[string]float64       // what the pantry holds, by ingredient
	WithinH   float64                  // hours until it is wanted; 0 where there is no hurry
	Idea      int                      // the how-manieth idea, from 0
}

// Designed is a drink for a wish, in the spoons there are.
type Designed struct {
	Drink   reckon.Drink // ready to be kept
	Flavour string       // code of the family
	Why     []say.Text   // in sentences
	Lasting *Lasting     // nil where it lasts as long as was asked
	Buy     []Short      // what the pantry lacks
	Ideas   int          // how many there are
}

// Short is an ingredient of which the pantry holds too little.
type Short struct {
	Ingredient *ingredient.Ingredient // in the catalogue
	ShortG     float64                // g
}

// Lasting is what can be done where a drink does not last as long as it is wanted.
type Lasting struct {
	KeepsDays   float64 // in the fridge, by the kitchen's school
	Makings     int     // make it so many times instead of once
	FreezePct   float64 // or freeze this share at once
	InTheCupFor float64 // or sweeten in the cup: it then keeps so many days; 0 where that is too few as well
}

// kindAim is what a kind of drink is usually like.
type kindAim struct {
	cups     [richnesses]float64 // of water to one of base, thin to thick
	fatPct   float64             // at least; 0 for what the base brings
	sweetG   [4]float64          // sucrose equivalents in 100 mL, by how sweet it is to be
	saltGPer float64             // a litre
}

// aims are inside the bands of the dials of their kind, off their edges so that a spoon may go
// either way (common practice, no source; fat by
// the standards of identity that the fat dial names).
var aims = map[recipe.Kind]kindAim{
	recipe.Milk:        {cups: [richnesses]float64{5, 4, 3}, sweetG: [4]float64{0, 2.5, 4.5, 7}, saltGPer: 0.5},
	recipe.Creamer:     {cups: [richnesses]float64{2.4, 2, 1.5}, fatPct: 9, sweetG: [4]float64{0, 4.4, 7.5, 13}, saltGPer: 0.6},
	recipe.Cream:       {cups: [richnesses]float64{1.2, 1.05, 0.9}, fatPct: 20, sweetG: [4]float64{0, 3, 6, 10}, saltGPer: 0.4},
	recipe.Horchata:    {cups: [richnesses]float64{5, 4, 3}, sweetG: [4]float64{0, 4.4, 7, 10}, saltGPer: 0.4},
	recipe.Nog:         {cups: [richnesses]float64{3.2, 2.8, 2.3}, fatPct: 5, sweetG: [4]float64{0, 5, 7.5, 12}, saltGPer: 0.5},
	recipe.Chocolate:   {cups: [richnesses]float64{4.5, 4, 3}, sweetG: [4]float64{0, 5, 7.5, 11}, saltGPer: 0.6},
	recipe.Concentrate: {cups: [richnesses]float64{2.4, 2, 1.6}, sweetG: [4]float64{20, 30, 38, 50}},
	recipe.Cooler:      {cups: [richnesses]float64{7, 6, 5}, sweetG: [4]float64{0, 3, 5, 7.5}, saltGPer: 0.3},
}

// place is where a richness stands among the three.
func (r Richness) place() int {
	switch r {
	case Lighter:
		return 0
	case Richer:
		return 2
	}
	return 1
}

// idea is one base, or two, with one family of tastes.
type idea struct {
	bases   []*ingredient.Ingredient // one or two
	flavour string                   // code of a family
}

// ideas are all that the wish leaves open, the nearest first: each next one has another
// taste or another base than the one before.
func (w Wish) ideas(catalogue *ingredient.Catalogue) []idea {
	tastes := []string{w.Flavour}
	if w.Flavour == "" {
		tastes = flavoursOf[w.Kind]
	}
	if len(w.Bases) > 0 {
		out := make([]idea, len(tastes))
		for n, taste := range tastes {
			out[n] = idea{w.Bases, taste}
		}
		return out
	}
	var out []idea
	bases := Bases(w.Kind, w.StockG, catalogue)
	for round := range bases {
		for n, taste := range tastes {
			out = append(out, idea{[]*ingredient.Ingredient{bases[(round+n)%len(bases)]}, taste})
		}
	}
	return out
}

// Design finds a drink for a wish: a base or two at the strength of its kind, the taste in
// its usual amounts, sweetness and fat solved to the kind's bands, sized, and brought to the
// spoons there are. like gives the kitchen. What must not be drunk by those it is for is
// never proposed. What cannot be made by then is
// left out. The error, a *fault.Error, names "kind", "flavour", "within" or "avoid".
func Design(w Wish, like reckon.Drink, catalogue *ingredient.Catalogue) (*Designed, error) {
	if _, known := aims[w.Kind]; !known {
		return nil, fault.New("kind", string(w.Kind), "unknown-kind")
	}
	if _, known := flavours[w.Flavour]; w.Flavour != "" && !known {
		return nil, fault.New("flavour", w.Flavour, "unknown-choice", flavoursOf[w.Kind])
	}
	like.Drinkers = w.Avoid
	all := w.ideas(catalogue)
	for wanted := max(0, w.Idea); ; {
		found := 0
		for _, i := range all {
			if !w.inTime(i) {
				continue
			}
			d, ok := w.design(i, like)
			if !ok {
				continue
			}
			if found == wanted {
				d.Ideas = len(all)
				return d, nil
			}
			found++
		}
		if found == 0 && !slices.ContainsFunc(all, w.inTime) {
			return nil, fault.New("within", "", "not-within-that-time", w.soonestH(all))
		}
		if found == 0 {
			return nil, fault.New("avoid", "", "nothing-for-this-wish")
		}
		wanted %= found // past the last it begins again
	}
}

// makingH is what a drink takes besides its soak, hours: the work, and cooling down in ice
// (common practice, no source). quickSoakH is a soak in hot water, where that does.
const (
	makingH    = 1.5
	quickSoakH = 1.5
)

// takesH is how many hours an idea takes at the least.
func (i idea) takesH() float64 {
	soakH := 0.
	for _, b := range i.bases {
		switch {
		case !b.HasSoak || !b.NeedsSoak() || b.Has(ingredient.TagAnySoak):
		case b.Has(ingredient.TagQuickSoak):
			soakH = math.Max(soakH, quickSoakH)
		default:
			soakH = math.Max(soakH, b.SoakH.Min)
		}
	}
	return soakH + makingH
}

// inTime tells whether an idea can be made by when it is wanted.
func (w Wish) inTime(i idea) bool { return w.WithinH == 0 || i.takesH() <= w.WithinH }

// soonestH is what the quickest of some ideas takes, hours.
func (w Wish) soonestH(all []idea) float64 {
	soonest := math.Inf(1)
	for _, i := range all {
		soonest = math.Min(soonest, i.takesH())
	}
	return soonest
}

// design makes one idea into a drink; false where nobody it is for may drink it, or it
// cannot be reckoned.
func (w Wish) design(i idea, like reckon.Drink) (*Designed, bool) {
	aim := aims[w.Kind]
	d := like
	d.Kind, d.Size = w.Kind, recipe.Size{}
	first := w.cupsFor(i, aim)
	d.Lines = w.lines(i, aim, first)
	if w.Whole {
		d.Method.Strainer = process.None
	}
	whole, ok := w.sweetened(d, aim) // what is added takes its place in the size
	if !ok {
		return nil, false
	}
	whole.Size = recipe.Size{By: recipe.ByVolume, Value: w.VolumeML}
	sized, err := whole.Reckon()
	if err != nil || sized.Drink == nil {
		return nil, false
	}
	d.Size, d.Lines = recipe.Size{}, w.lines(i, aim, w.sized(first, sized.Factor, aim))
	if d, ok = w.sweetened(d, aim); !ok {
		return nil, false
	}
	d = spooned(d)
	r, err := d.Reckon()
	if err != nil || r.Drink == nil || len(w.Bases) == 0 && isTooMuch(r.Cautions) || slices.ContainsFunc(r.ForWhom, func(f caution.For) bool { return f.Not }) {
		return nil, false
	}
	return &Designed{Drink: d, Flavour: i.flavour, Why: w.why(i, aim, &d, r), Lasting: w.lasting(&d, r), Buy: w.short(&d, r)}, true
}

// isTooMuch tells what nobody is offered who did not choose its base: one serving holds more of
// something than a day may have. How sweet it is was asked for.
func isTooMuch(all []caution.Caution) bool {
	return slices.ContainsFunc(all, func(c caution.Caution) bool {
		return c.Code != "free-sugars" && c.Value != nil && c.Limit != nil && *c.Value > *c.Limit
	})
}

// cups are a drink's bases and its water.
type cups struct {
	bases []float64 // one each, US cups
	water float64   // US cups
}

// litreCups is the water of about a litre.
const litreCups = 4

// cupsFor are about a litre of it: the first of two bases is twice the second.
func (w Wish) cupsFor(i idea, aim kindAim) cups {
	baseCups := litreCups / aim.cups[w.Richness.place()]
	if len(i.bases) > 1 {
		return cups{[]float64{baseCups * 2 / 3, baseCups / 3}, litreCups}
	}
	return cups{[]float64{baseCups}, litreCups}
}

// sized brings them to a size in quarter cups: the bases first and the water after them,
// so that the drink stays as strong.
func (w Wish) sized(c cups, factor float64, aim kindAim) cups {
	quarters := func(v float64) float64 { return math.Max(1, math.Round(4*v)) / 4 }
	out, all := cups{bases: make([]float64, len(c.bases))}, 0.
	for n, base := range c.bases {
		out.bases[n] = quarters(base * factor)
		all += out.bases[n]
	}
	out.water = quarters(all * aim.cups[w.Richness.place()])
	return out
}

// lines write the drink down, with as much of all else as goes with the water.
func (w Wish) lines(i idea, aim kindAim, c cups) []recipe.Line {
	line := func(of *ingredient.Ingredient, a quantity.Amount) recipe.Line {
		return recipe.Line{Ingredient: of, Name: of.Name, Amount: a, Stage: of.Stage, Added: true}
	}
	var out []recipe.Line
	for n, cups := range c.bases {
		out = append(out, line(i.bases[n], quantity.Of(cups, quantity.Cup)))
	}
	out = append(out, line(standard("water"), quantity.Of(c.water, quantity.Cup)))
	spoon := func(of *ingredient.Ingredient, gPerL float64) {
		out = append(out, line(of, teaspoons(of, gPerL*c.water/litreCups)))
	}
	for _, p := range partsOf(w.Kind, i.flavour) {
		spoon(standard(p.ID), p.GPerL)
	}
	if aim.sweetG[w.sweetness()] > 0 {
		spoon(w.sweetener(), 10)
	}
	if aim.saltGPer > 0 {
		spoon(standard("salt"), aim.saltGPer)
	}
	return out
}

// teaspoons is a mass by the spoon, so that it is measured by one.
func teaspoons(i *ingredient.Ingredient, g float64) quantity.Amount {
	return quantity.Of(g/teaspoonG(i), quantity.Teaspoon)
}

// teaspoonG is what a teaspoon holds of something, g.
func teaspoonG(i *ingredient.Ingredient) float64 {
	ml, _ := quantity.Of(1, quantity.Teaspoon).Volume(quantity.US)
	return ml * i.BulkGPerML
}

// spooned measures what was solved, in few scoops of the spoons there are.
func spooned(d reckon.Drink) reckon.Drink {
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return d
	}
	d.Lines = slices.Clone(d.Lines)
	for n, l := range d.Lines {
		d.Lines[n].Amount = measured(&d, l, r.Lines[n].MassG)
	}
	with := d
	if with.Drawer == nil {
		drawer, err := quantity.Reader{}.NewDrawer(commonMeasures, d.System, 0)
		if err != nil {
			return d
		}
		with.Drawer = &drawer
	}
	for n, l := range with.Lines { // a pinch is a pinch
		with.Lines[n].Locked = l.Ingredient.Role == ingredient.Salt
	}
	nudged, err := ToSpoons(&with)
	if err != nil {
		return d
	}
	for n := range nudged.Drink.Lines {
		nudged.Drink.Lines[n].Locked = false
	}
	nudged.Drink.Drawer = d.Drawer
	return nudged.Drink
}

// measured is how a cook would take a mass: salt by the pinch, dates by their number, all
// else by the spoon and the cup.
func measured(d *reckon.Drink, l recipe.Line, g float64) quantity.Amount {
	switch eachG, counted := l.Ingredient.PieceG[quantity.Piece]; {
	case l.Ingredient.Role == ingredient.Salt:
		ml, _ := quantity.Of(1, quantity.Pinch).Volume(quantity.US)
		return quantity.Of(math.Max(1, math.Round(g/ml/l.Ingredient.BulkGPerML)), quantity.Pinch)
	case counted && l.Ingredient.Has(ingredient.TagStones):
		return quantity.Of(math.Max(1, math.Round(g/eachG)), quantity.Piece)
	}
	a, _ := quantity.Kitchen(g/l.Ingredient.BulkGPerML, d.System, quantity.Tight)
	if last := a.Terms()[len(a.Terms())-1].Unit; !a.IsMetric() && (g < teaspoonG(l.Ingredient)/4 || last != quantity.Pinch && last != quantity.Smidgen) {
		return a
	}
	return quantity.Of(math.Max(1, math.Round(4*g/teaspoonG(l.Ingredient)))/4, quantity.Teaspoon)
}

// commonMeasures are the spoons and cups of a usual kitchen.
var commonMeasures = []string{"1 cup", "1/2 cup", "1/4 cup", "1 tbsp", "1 tsp", "1/2 tsp", "1/4 tsp", "1/8 tsp"}

func (w Wish) sweetness() int { return max(0, min(3, w.Sweetness)) }

// sweetener is the one wished for; sugar where nobody said.
func (w Wish) sweetener() *ingredient.Ingredient {
	if w.Sweetener == nil {
		return standard("white-sugar")
	}
	return w.Sweetener
}

// sweetened solves the sweetener for the sweetness that is wished, and an oil for the fat
// of the kind where the base brings less.
func (w Wish) sweetened(d reckon.Drink, aim kindAim) (reckon.Drink, bool) {
	r, err := d.Reckon()
	if err != nil || r.Drink == nil {
		return d, false
	}
	turn := Turn{To: map[reckon.DialName]float64{}, Give: map[reckon.DialName]int{}}
	if to := aim.sweetG[w.sweetness()]; to > 0 {
		turn.To[reckon.Sweetness] = to
		turn.Give[reckon.Sweetness] = slices.IndexFunc(d.Lines, func(l recipe.Line) bool { return l.Ingredient.Is(w.sweetener()) })
	}
	if aim.fatPct > r.FatPct {
		turn.To[reckon.Fat] = aim.fatPct
		oil := standard("coconut-oil")
		if forbidden(oil, w.Avoid) {
			oil = standard("neutral-oil")
		}
		d.Lines = append(slices.Clone(d.Lines), recipe.Line{Ingredient: oil, Name: oil.Name, Amount: quantity.Of(1, quantity.Gram), Stage: oil.Stage, Added: true})
		turn.Give[reckon.Fat] = len(d.Lines) - 1
	}
	if len(turn.To) == 0 {
		return d, true
	}
	solved, err := Dials(&d, turn)
	if err != nil {
		return d, false
	}
	return solved.Drink, true
}

// forbidden tells whether any of those it is for must not have an ingredient.
func forbidden(i *ingredient.Ingredient, whom []caution.Drinker) bool {
	d := reckon.New("")
	d.Lines = []recipe.Line{{Ingredient: i, Name: i.Name, Amount: quantity.Of(1, quantity.Gram)}}
	d.Drinkers = whom
	r, err := d.Reckon()
	return err == nil && slices.ContainsFunc(r.ForWhom, func(f caution.For) bool { return f.Not })
}

// why says what the figures of the proposal follow.
func (w Wish) why(i idea, aim kindAim, d *reckon.Drink, r *reckon.Reckoning) []say.Text {
	base := i.bases[0]
	var out []say.Text
	if w.StockG[base.ID] >= leastStockG {
		out = append(out, say.Of("designed-from-stock", strings.ToLower(base.Name)))
	}
	out = append(out, say.Of("designed-strength", aim.cups[w.Richness.place()], say.Of("kind-"+string(w.Kind))))
	if aim.sweetG[w.sweetness()] > 0 {
		out = append(out, say.Of("designed-sweetness", r.Per100mL.SucroseEquivalentG))
	}
	if last := d.Lines[len(d.Lines)-1].Ingredient; last != nil && last.Role == ingredient.FatRole {
		out = append(out, say.Of("designed-fat", last.Name, r.FatPct))
	}
	return out
}

// lasting is what can be done where the drink would be past before it is drunk.
func (w Wish) lasting(d *reckon.Drink, r *reckon.Reckoning) *Lasting {
	keeps := keepsDays(d, r)
	if w.Days <= 0 || !r.Keeps.Known() || keeps >= w.Days {
		return nil
	}
	whole := math.Max(1, math.Floor(keeps))
	out := &Lasting{KeepsDays: whole, Makings: int(math.Ceil(w.Days / whole)), FreezePct: 100 * (w.Days - whole) / w.Days}
	bare := *d
	bare.Lines = slices.DeleteFunc(slices.Clone(d.Lines), func(l recipe.Line) bool { return l.Ingredient.Is(w.sweetener()) })
	if len(bare.Lines) == len(d.Lines) {
		return out
	}
	if unsweet, err := bare.Reckon(); err == nil && keepsDays(&bare, unsweet) >= w.Days {
		out.InTheCupFor = math.Floor(keepsDays(&bare, unsweet))
	}
	return out
}

// keepsDays is how long it lasts by the kitchen's school.
func keepsDays(d *reckon.Drink, r *reckon.Reckoning) float64 {
	if d.School == keep.Customary {
		return r.Keeps.CustomaryDays
	}
	return r.Keeps.CautiousDays
}

// short is what the pantry holds too little of; water comes from the tap.
func (w Wish) short(d *reckon.Drink, r *reckon.Reckoning) []Short {
	var out []Short
	for n, l := range d.Lines {
		if l.Ingredient == nil || l.Ingredient.Has(ingredient.TagWater) {
			continue
		}
		if missing := r.Lines[n].MassG - w.StockG[l.Ingredient.ID]; missing > 0 {
			out = append(out, Short{l.Ingredient, missing})
		}
	}
	return out
}
