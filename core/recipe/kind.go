package recipe

import (
	"strings"

	"plushladle/core/fault"
)

// Kind is what kind of drink it is, which sets its usual serving.
type Kind string

// The kinds of drink.
const (
	AsGuessed   Kind = ""            // nobody has said
	Milk        Kind = "milk"        // to drink
	Creamer     Kind = "creamer"     // into coffee, by the spoon
	Cream       Kind = "cream"       // to whip or to pour
	Horchata    Kind = "horchata"    // rice or tiger nut, sweet, over ice
	Nog         Kind = "nog"         // rich, with nutmeg
	Concentrate Kind = "concentrate" // to be diluted
	Chocolate   Kind = "chocolate"   // cocoa decides
	Brewed      Kind = "brewed"      // coffee, tea or a decoction makes the most of it
	Cooler      Kind = "cooler"      // juice or coconut water makes the most of it
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
	return AsGuessed, fault.New("kind", name, "unknown-kind")
}

// KindFrom is who says what kind of drink it is.
type KindFrom string

// Who says so.
const (
	KindSaid   KindFrom = "flag"  // the cook chose it
	KindByName KindFrom = "name"  // the drink's name tells it
	KindGuess  KindFrom = "guess" // its figures suggest it
)

// Usual servings in mL. Source: 21 CFR 101.12(b) for milk (240 mL) and cream (15
// mL); the rest is common practice.
var servingML = map[Kind]float64{
	Milk: 240, Creamer: 30, Cream: 15, Horchata: 240, Nog: 120, Concentrate: 20, Chocolate: 240, Brewed: 240, Cooler: 240,
}

// kindWords are the words of a drink's name that say its kind.
var kindWords = map[string]Kind{
	"milk": Milk, "mylk": Milk, "creamer": Creamer, "cream": Cream, "horchata": Horchata, "nog": Nog, "eggnog": Nog,
	"concentrate": Concentrate, "syrup": Concentrate, "chocolate": Chocolate, "cocoa": Chocolate,
	"coffee": Brewed, "tea": Brewed, "chai": Brewed, "cooler": Cooler,
}

// KindInName is the kind that a name's last word for one says, before what it is made with or for:
// "horchata with evaporated milk".
func KindInName(name string) Kind {
	words := strings.FieldsFunc(strings.ToLower(name), func(r rune) bool { return r < 'a' || r > 'z' })
	for n, w := range words {
		if behind := w == "with" || w == "for" || w == "from" || w == "without"; behind && kindIn(words[:n]) != AsGuessed {
			return kindIn(words[:n])
		}
	}
	return kindIn(words)
}

// kindIn is the kind that the last of some words for one says.
func kindIn(words []string) Kind {
	for n := len(words) - 1; n >= 0; n-- {
		if k, says := kindWords[words[n]]; says {
			return k
		}
	}
	return AsGuessed
}

// ServingML is the usual serving of a kind of drink, mL.
func (k Kind) ServingML() float64 { return servingML[k] }
