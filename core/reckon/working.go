package reckon

import (
	"math"

	"plushladle/core/caution"
	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
)

// Figure names a figure whose working can be shown.
type Figure string

// The figures.
const (
	YieldFigure     Figure = "yield"     // mL of finished drink
	FatFigure       Figure = "fat"       // % by mass
	SweetnessFigure Figure = "sweetness" // g of sucrose equivalent in 100 mL
	KeepsFigure     Figure = "keeps"     // days
	CostFigure      Figure = "cost"      // in the kitchen's currency

	// What cautions are held against.
	FreeSugarsFigure Figure = "free-sugars"
	SeleniumFigure   Figure = "selenium"      // µg in the day's servings
	IodineFigure     Figure = "iodine"        // µg likewise
	CoumarinFigure   Figure = "coumarin"      // mg likewise
	NutmegFigure     Figure = "nutmeg"        // g likewise
	AddedOilFigure   Figure = "oil-separates" // % of the mass
	CalciumFigure    Figure = "unfortified"   // mg that a carton would have had
)

// traced are the figures that one component answers for.
var traced = map[Figure]ingredient.Component{
	FreeSugarsFigure: ingredient.FreeSugars, SeleniumFigure: ingredient.SeleniumUg, IodineFigure: ingredient.IodineUg, CoumarinFigure: ingredient.CoumarinMg,
}

// counted are the figures that some of the lines answer for by their mass.
var counted = map[Figure]func(*ingredient.Ingredient) bool{
	NutmegFigure:   func(i *ingredient.Ingredient) bool { return i.Has(ingredient.TagNutmeg) },
	AddedOilFigure: func(i *ingredient.Ingredient) bool { return i.Role == ingredient.FatRole },
}

// Working is how a figure came about: what each line brought of it, where that
// came to be, and the constants that said so. Amounts are in the unit of the
// figure: g, g of fat, g of sucrose equivalents, days, or the kitchen's currency.
type Working struct {
	Figure           Figure     // which one
	In               []Brought  // what each line brought
	Streams          []Stream   // none where nothing flows: life and cost
	Constants        []Constant // what it was reckoned with
	Result           float64    // mL, %, g/100 mL, days, or money
	Low, High        float64    // the likely range of the yield
	DrinkG, VolumeML float64    // what it is divided by
	ServingML        float64    // that a caution is held against
}

// Brought is what one line brought.
type Brought struct {
	Line   int     // -1 for the water that a soak takes besides
	Name   string  // of the line
	MassG  float64 // as used
	Amount float64 // of what the figure counts
}

// Stream is where some of it came to be.
type Stream struct {
	Code   string  // drink, pulp, thrown, walls, evaporated, skimmed, leftover
	Amount float64 // of what the figure counts
}

// Constant is a number that the working rests on.
type Constant struct {
	Code  string  // uptake, released, held, walls, evaporated, skimmed, spread, carton
	Of    string  // the ingredient or the strainer it is for
	Value float64 // in the unit its sentence names
	With  float64 // what it hangs on: seconds, or °C
}

// Working shows how a figure came about. The error names "figure".
func (r *Reckoning) Working(figure Figure) (Working, error) {
	if r.Batch == nil {
		return Working{}, fault.New("figure", string(figure), "figure-not-reckoned")
	}
	b := r.Batch
	w := Working{Figure: figure, DrinkG: r.Drink.MassG, VolumeML: r.Drink.VolumeML}
	switch figure {
	case YieldFigure:
		w.Result, w.Low, w.High = r.Drink.VolumeML, r.Drink.LowML, r.Drink.HighML
		w.follow(b, (*ingredient.Content).MassG)
	case FatFigure:
		w.Result = r.FatPct
		w.follow(b, func(c *ingredient.Content) float64 { return c[ingredient.Fat] })
	case SweetnessFigure:
		w.Result = r.Per100mL.SucroseEquivalentG
		w.follow(b, (*ingredient.Content).SucroseEquivalentG)
	case KeepsFigure:
		w.Result = r.Keeps.CautiousDays
		w.lives(b)
	case CostFigure:
		w.Result = r.Cost.Batch
		w.prices(b)
	default:
		return w, w.caution(b, r)
	}
	return w, nil
}

// caution shows what a caution's figure is made of.
func (w *Working) caution(b *Batch, r *Reckoning) error {
	w.ServingML = r.Servings.SizeML
	ofBatch := w.ServingML / math.Max(1, b.VolumeML)
	if component, is := traced[w.Figure]; is {
		held := b.d.heldAgainstLimits(b, r)
		w.Result = held.PerServing[component]
		w.follow(b, func(c *ingredient.Content) float64 { return c[component] })
		return nil
	}
	if counts, is := counted[w.Figure]; is {
		w.count(b, counts)
		if w.Result = w.brought() * ofBatch; w.Figure == AddedOilFigure {
			w.Result = 100 * w.brought() / math.Max(1, w.DrinkG)
		}
		return nil
	}
	if w.Figure == CalciumFigure {
		w.Result = caution.CartonCalciumMg * w.ServingML
		w.Constants = []Constant{{Code: "carton", Value: caution.CartonCalciumMg}}
		return nil
	}
	return fault.New("figure", string(w.Figure), "no-such-working")
}

// count adds up the lines that count by their mass, and what is in a blend of them.
func (w *Working) count(b *Batch, counts func(*ingredient.Ingredient) bool) {
	for _, l := range b.inTheBottle() {
		if g := massIn(l.Line.Ingredient, l.MassG, counts); g > 0 {
			w.In = append(w.In, Brought{l.Index, l.Line.Ingredient.Name, l.MassG, g})
		}
	}
}

// massIn is how much of an ingredient counts, g, looking into blends.
func massIn(i *ingredient.Ingredient, g float64, counts func(*ingredient.Ingredient) bool) float64 {
	if counts(i) {
		return g
	}
	total := 0.
	for _, part := range i.Inside() {
		total += massIn(part.Ingredient, g*part.Share, counts)
	}
	return total
}

// follow goes after a quantity from the lines to where it came to be.
func (w *Working) follow(b *Batch, of func(*ingredient.Content) float64) {
	for _, l := range b.inTheBottle() {
		c := l.content()
		if amount := of(&c); amount > leastShown || amount > 0 && w.ServingML > 0 {
			w.In = append(w.In, Brought{l.Index, l.Line.Ingredient.Name, l.MassG, amount})
		}
	}
	balance := &b.Made.Balance
	if soaking := of(&balance.In) - w.brought(); w.Figure == YieldFigure && soaking > .5 {
		w.In = append(w.In, Brought{Line: -1, MassG: soaking, Amount: soaking})
	}
	for _, s := range []struct {
		code string
		c    *ingredient.Content
	}{
		{"drink", &balance.Drink}, {"pulp", &balance.Pulp}, {"walls", &balance.Walls}, {"evaporated", &balance.Evaporated},
		{"skimmed", &balance.Skimmed}, {"leftover", &balance.Leftover}, {"thrown", &balance.Thrown},
	} {
		if amount := of(s.c); amount > leastShown {
			w.Streams = append(w.Streams, Stream{s.code, amount})
		}
	}
	if _, isTraced := traced[w.Figure]; !isTraced {
		w.constants(b)
	}
}

// brought is what all lines bring together.
func (w *Working) brought() float64 {
	total := 0.
	for _, l := range w.In {
		total += l.Amount
	}
	return total
}

const leastShown = .005 // of the figure; smaller lines are not listed

// constants are those that parted what was ground.
func (w *Working) constants(b *Batch) {
	add := func(code, of string, value, with float64) {
		w.Constants = append(w.Constants, Constant{code, of, value, with})
	}
	component := ingredient.Fat
	if w.Figure == SweetnessFigure {
		component = ingredient.Sucrose
	}
	for n, l := range b.Lines {
		i := l.Line.Ingredient
		if b.Made.Layout.TakenUpG(b.Through, n) > 0 && w.Figure == YieldFigure {
			add("uptake", i.Name, i.UptakeGPerG, 0)
		}
		if share, ground := b.Made.Released(&b.Through[n], n, b.Method, component); ground {
			code := "released"
			if component == ingredient.Sucrose {
				code = "released-sugar"
			}
			add(code, i.Name, share, b.Made.SecondsOf(i))
		}
	}
	if b.Made.SolidsG > 0 && b.Method.Strainer != process.None {
		held := b.Made.HeldG / math.Max(1, b.Made.Balance.Pulp.MassG()-b.Made.HeldG)
		if b.Method.HeldRange > 0 { // the kitchen's own batches tell
			add("held-learned", b.Method.Strainer.String(), held, held/b.Method.Held())
		} else {
			add("held", b.Method.Strainer.String(), held, 0)
		}
		add("walls", "", process.WallShare, 0)
	}
	if b.Made.HeatedC > 0 {
		add("evaporated", "", b.Made.Balance.Evaporated.MassG(), b.Made.HeatedC)
		if b.Method.SteamShare > 0 {
			add("steam-learned", "", b.Method.SteamShare, 0)
		}
	}
	if b.Method.FreesShare > 0 && b.Made.SolidsG > 0 && component == ingredient.Fat {
		add("frees-learned", "", b.Method.FreesShare, 0)
	}
	if b.Made.Balance.Skimmed.MassG() > 0 {
		add("skimmed", "", b.Made.Balance.Skimmed.MassG(), 0)
	}
	if w.Figure == YieldFigure && b.Made.SolidsG > 0 && b.Method.Strainer != process.None {
		code := "spread"
		if b.Method.HeldRange > 0 {
			code = "spread-learned"
		}
		add(code, "", b.Method.Spread()/b.Method.Held(), 0)
	}
}

// lives are the lives of what is in it, by caution.
func (w *Working) lives(b *Batch) {
	for _, l := range b.inTheBottle() {
		if days := l.Line.Ingredient.Life.CautiousDays; days > 0 {
			w.In = append(w.In, Brought{l.Index, l.Line.Ingredient.Name, l.MassG, days})
		}
	}
}

// prices are what the lines cost.
func (w *Working) prices(b *Batch) {
	for _, l := range b.Lines {
		if perG, ok := b.d.Prices.of(l.Line.Ingredient); ok {
			w.In = append(w.In, Brought{l.Index, l.Line.Ingredient.Name, l.MassG, l.MassG * perG})
		}
	}
}
