package formula

import (
	"strings"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
)

// Kind is what kind of drink it is, which sets its usual serving.
type Kind string

// The kinds of drink.
const (
	AsGuessed   Kind = "" // nobody has said
	Milk        Kind = "milk"
	Creamer     Kind = "creamer"
	Cream       Kind = "cream"
	Horchata    Kind = "horchata"
	Nog         Kind = "nog"
	Concentrate Kind = "concentrate"
	Chocolate   Kind = "chocolate"
	Brewed      Kind = "brewed"
	Cooler      Kind = "cooler"
)

// Kinds are all of them, in the order they are offered.
var Kinds = []Kind{Milk, Creamer, Cream, Horchata, Nog, Concentrate, Chocolate, Brewed, Cooler}

// ParseKind reads a kind's name; "" is none. The error names "kind".
func ParseKind(name string) (Kind, error) {
	for _, k := range append([]Kind{AsGuessed}, Kinds...) {
		if string(k) == name {
			return k, nil
		}
	}
	return AsGuessed, fault.New("kind", name, "is not a kind of drink", "use milk, creamer, cream, horchata, nog, concentrate, chocolate, brewed or cooler")
}

// KindFrom is who says what kind of drink it is.
type KindFrom string

// Who says so.
const (
	KindSaid   KindFrom = "flag"
	KindByName KindFrom = "name"
	KindGuess  KindFrom = "guess"
)

// Usual servings in mL. Source: 21 CFR 101.12(b) for milk (240 mL) and cream (15
// mL); the rest is common practice.
var servingOf = map[Kind]float64{
	Milk: 240, Creamer: 30, Cream: 15, Horchata: 240, Nog: 120, Concentrate: 20, Chocolate: 240, Brewed: 240, Cooler: 240,
}

// kindWords are the words of a drink's name that say its kind.
var kindWords = map[string]Kind{
	"milk": Milk, "mylk": Milk, "creamer": Creamer, "cream": Cream, "horchata": Horchata, "nog": Nog, "eggnog": Nog,
	"concentrate": Concentrate, "syrup": Concentrate, "chocolate": Chocolate, "cocoa": Chocolate,
	"coffee": Brewed, "tea": Brewed, "chai": Brewed, "cooler": Cooler,
}

// kindInName is the kind that a name's last word for one says.
func kindInName(name string) Kind {
	words := strings.FieldsFunc(strings.ToLower(name), func(r rune) bool { return r < 'a' || r > 'z' })
	for n := len(words) - 1; n >= 0; n-- {
		if k, says := kindWords[words[n]]; says {
			return k
		}
	}
	return AsGuessed
}

// Where a guess turns (modelling assumptions).
const (
	concentrateFromG = 40. // g of sucrose equivalents per 100 mL
	nogNutmegGPerL   = .8
	nogSpiceShare    = .5 // nutmeg's and mace's, of all ground spice
	nogFromG         = 3. // sweetness
	brewedShare      = .5 // of the liquid is brewed
	creamPct         = 18.
	creamerPct       = 7.
	creamerLiquid    = 3.5 // by weight, to one of dry nuts and seeds
)

// kind is the kind of drink: as the cook says, as its name says, or guessed from
// what is in it.
func (b *batch) kind() (Kind, KindFrom) {
	if b.d.Kind != AsGuessed {
		return b.d.Kind, KindSaid
	}
	if k := kindInName(b.d.Name); k != AsGuessed {
		return k, KindByName
	}
	return b.guessKind(), KindGuess
}

func (b *batch) guessKind() Kind {
	sweet := b.per100mL().SucroseEquivalentG()
	fatPct := 0.
	if massG := b.finished.MassG(); massG > 0 {
		fatPct = 100 * b.finished[ingredient.Fat] / massG
	}
	switch {
	case sweet >= concentrateFromG:
		return Concentrate
	case b.isNog(sweet):
		return Nog
	case b.has(ingredient.TagHorchata) && b.anySpice():
		return Horchata
	case !b.made.Layout.IsGround && b.brewedLiquid() >= brewedShare:
		return Brewed
	case b.hasAny("cocoa", "carob"):
		return Chocolate
	case b.isCooler():
		return Cooler
	case fatPct >= creamPct:
		return Cream
	case fatPct >= creamerPct || b.isStrong():
		return Creamer
	}
	return Milk
}

func (b *batch) isNog(sweet float64) bool {
	nutmegG, spiceG := 0., 0.
	for _, w := range b.inTheBottle() {
		i := w.line.Ingredient
		if i.Role != ingredient.Spice {
			continue
		}
		spiceG += w.g
		if i.Has(ingredient.TagNog) {
			nutmegG += w.g
		}
	}
	return b.ml > 0 && nutmegG/b.ml*1000 >= nogNutmegGPerL && nutmegG >= nogSpiceShare*spiceG && sweet >= nogFromG
}

// inTheBottle are the lines that do not wait for the glass.
func (b *batch) inTheBottle() []weighed {
	in := make([]weighed, 0, len(b.lines))
	for _, w := range b.lines {
		if w.line.stage() != ingredient.Serve {
			in = append(in, w)
		}
	}
	return in
}

func (b *batch) anySpice() bool {
	for _, w := range b.inTheBottle() {
		if w.line.Ingredient.Role == ingredient.Spice && w.g > 0 {
			return true
		}
	}
	return false
}

func (b *batch) hasAny(ids ...string) bool {
	for _, w := range b.inTheBottle() {
		for _, id := range ids {
			if w.line.Ingredient.ID == id && w.g > 0 {
				return true
			}
		}
	}
	return false
}

// brewedLiquid is the share of the liquid that is coffee, tea or a decoction.
func (b *batch) brewedLiquid() float64 {
	all, brewed := 0., 0.
	for _, w := range b.inTheBottle() {
		i := w.line.Ingredient
		if i.Role != ingredient.Liquid {
			continue
		}
		all += w.g
		if w.line.stage() == ingredient.Brew || i.Has(ingredient.TagBrewed) {
			brewed += w.g
		}
	}
	if all == 0 {
		return 0
	}
	return brewed / all
}

func (b *batch) isCooler() bool {
	coconut := b.hasAny("coconut-water", "coconut-milk-can", "coconut-fresh", "coconut-desiccated")
	return b.hasAny("orange-juice", "lemon-juice") || coconut && b.hasAny("lime-juice", "lemongrass")
}

// isStrong tells whether nuts and seeds are ground with little liquid; grain so
// ground is no creamer.
func (b *batch) isStrong() bool {
	nutsG := 0.
	for _, w := range b.lines {
		i := w.line.Ingredient
		if i.Role == ingredient.Base && i.Class != ingredient.Grain {
			nutsG += w.g
		}
	}
	return nutsG > 0 && nutsG >= b.baseG/2 && b.groundG > 0 && b.groundG <= creamerLiquid*nutsG
}

func (d *Drink) servingML(k Kind) float64 {
	if d.ServingML > 0 {
		return d.ServingML
	}
	return servingOf[k]
}
