// Package ingredient holds what is known of each ingredient: what it is made of, how it
// measures, soaks, keeps and whom it can harm.
//
// # The catalogue
//
// All of it is data: one row of catalogue.csv an ingredient, with its source. Code never
// names an ingredient. What concerns only a few is a [Tag] on their rows (what is never
// raw, what turns slimy, what stains the date), and what is a number is a column: how
// long it is ground, how much of its fat grinding can release, from which temperature
// its starch swells.
//
// A [Content] is a mass by component: water, protein, fat, six sugars, starch, fibre and
// the rest, with the trace substances that limits are held against. Contents add up and
// scale, so that a drink is the sum of its lines, and energy, sweetness and nutrition are
// read from the sum. Per gram of an ingredient as it is measured, after what was done to
// it: [Ingredient.Treated] takes off skins and stones, dries what is roasted and salts
// what is salted.
//
// # Role, class and stage
//
// Three things are easily mixed up. The [Role] is the part an ingredient plays in a
// drink: a base gives the milk, a liquid is poured, a sweetener sweetens. The [Class] is
// how it gives up what it holds when it is ground: a nut by time, a grain by time and
// warmth, a syrup at once. The [Stage] is when it goes in where the cook says nothing.
//
// # Finding one
//
// Names are matched by the catalogue's own and by aliases. What is typed is searched by
// beginnings and by how near it lies in letters, so that a slip of the finger still finds
// it; a line that is read whole is matched exactly or not at all.
package ingredient

import (
	"strings"

	"plushladle/core/quantity"
)

// Role is the part an ingredient usually plays in a drink.
type Role string

// The roles.
const (
	Base      Role = "base"      // what a milk is made of
	Liquid    Role = "liquid"    // what it is made with
	Sweetener Role = "sweetener" // any that sweetens, without energy too
	Spice     Role = "spice"     // in small amounts, against the limits of its kind
	Flavour   Role = "flavour"   // vanilla, coffee, cocoa and the like
	FatRole   Role = "fat"       // oil, butter, lecithin: the role that holds fat up
	Salt      Role = "salt"      // counts towards sodium
	Dairy     Role = "dairy"     // milk of animals and what is made of it
	Body      Role = "body"      // thickens: starch, gums, eggs
	Other     Role = "other"     // none of these: ice, clay, powders
)

// Roles are all of them, in the order they are offered.
var Roles = []Role{Base, Liquid, Sweetener, Spice, Flavour, FatRole, Salt, Dairy, Body, Other}

// Stage is when an ingredient goes in.
type Stage string

// The stages of making a drink, in order.
const (
	Soak     Stage = "soak"            // goes in with the soak and stays where the soak is kept
	Grind    Stage = "grind"           // into the jug with the base
	Rinse    Stage = "rinse"           // poured over the pulp
	Strained Stage = "after straining" // stirred into what ran through
	CookIt   Stage = "cook"            // into the pan
	Serve    Stage = "at serving"      // only in the glass: it counts for nothing in the bottle
	Brew     Stage = "brew"            // in a decoction of its own, some share of which goes in after straining
)

// Stages are all stages in the order they come.
var Stages = []Stage{Soak, Grind, Rinse, Brew, Strained, CookIt, Serve}

// Class is how an ingredient gives up what it holds when it is ground.
type Class string

// The classes of release.
const (
	Nut      Class = "nut"         // by its fat; release goes by grinding
	Roasted  Class = "roasted nut" // as a nut, and its starch and protein are set
	Tuber    Class = "tuber"       // tiger nut: starch that must not be heated
	Grain    Class = "grain"       // starch that swells when warm, and holds the liquid
	Soy      Class = "soy"         // protein, set free by heat
	Fruit    Class = "fruit"       // what is not fibre passes
	SpiceDry Class = "spice"       // its flavour passes, its body stays behind
	Soluble  Class = "soluble"     // dissolves whole
)

// Tag marks an ingredient for a rule that concerns only a few. Tags are bits,
// so that an ingredient can carry several.
type Tag uint64

// The tags.
const (
	TagFluid      Tag = 1 << iota // an ounce of it is a fluid ounce
	TagRefused                    // unsafe as a base; nothing is computed
	TagBoil                       // never raw
	TagKept                       // its soaking liquid stays in the drink
	TagClogs                      // clogs cloth and sieve
	TagGels                       // gels in water
	TagSlimes                     // turns slimy when ground long or warm
	TagHorchata                   // makes the drink a horchata
	TagNog                        // makes a sweet drink a nog, where there is enough of it
	TagBlend                      // makes the drink a herb or cocoa blend
	TagStrong                     // a strong spice, eased when a batch grows
	TagNutmeg                     // toxic in quantity
	TagHoney                      // not under twelve months
	TagXylitol                    // poisonous to dogs
	TagChocolate                  // poisonous to dogs
	TagRice                       // inorganic arsenic; not for small children
	TagDairy                      // shortens the drink's life
	TagTuber                      // called a nut and is none
	TagHerb                       // a herb or mushroom taken for more than its taste
	TagBlooms                     // draws in warm water before it goes in
	TagBitterSkin                 // a nut whose skin tastes bitter
	TagSelenium                   // rich in selenium
	TagIodine                     // rich in iodine
	TagEmulsifies                 // holds oil and water together
	TagStones                     // sold with a stone in it
	TagBoiledSoy                  // made of soy that was boiled as it was made
	TagWhisks                     // pulp on its seed: whisked off in hot liquid, never blended
	TagIce                        // melts, and cools what it melts in
	TagSoft                       // ground sooner than other nuts, and finer than a bag holds back
	TagAnySoak                    // gives as much unsoaked
	TagClings                     // what grinding frees of it thickens, and clings to the pulp
	TagWater                      // plain water: it costs nothing, and gives where a dial needs room
	TagSour                       // splits milk in a hot drink
	TagBrewed                     // is brewed before it is bought or measured
	TagCocoa                      // cocoa, or what stands in for it: makes the drink a chocolate
	TagJuice                      // makes the drink a cooler
	TagCoconut                    // coconut in any form
	TagCooler                     // makes coconut a cooler
	TagQuickSoak                  // soft in an hour or two of hot water
	TagPoppy                      // bears traces of opium alkaloids
)

// tagNames are the tags as the catalogue writes them.
var tagNames = map[string]Tag{
	"fluid":     TagFluid,
	"refused":   TagRefused,
	"boil":      TagBoil,
	"kept":      TagKept,
	"clogs":     TagClogs,
	"gels":      TagGels,
	"slimes":    TagSlimes,
	"horchata":  TagHorchata,
	"nog":       TagNog,
	"blend":     TagBlend,
	"strong":    TagStrong,
	"nutmeg":    TagNutmeg,
	"honey":     TagHoney,
	"xylitol":   TagXylitol,
	"chocolate": TagChocolate,
	"rice":      TagRice,
	"dairy":     TagDairy,
	"tuber":     TagTuber,
	"herb":      TagHerb,
	"blooms":    TagBlooms,

	"selenium": TagSelenium, "iodine": TagIodine, "emulsifies": TagEmulsifies, "stones": TagStones, "whisks": TagWhisks, "ice": TagIce, "soft": TagSoft,
	"any-soak": TagAnySoak, "clings": TagClings, "water": TagWater, "sour": TagSour, "brewed": TagBrewed, "quick-soak": TagQuickSoak, "poppy": TagPoppy,
	"cocoa": TagCocoa, "juice": TagJuice, "coconut": TagCoconut, "cooler": TagCooler, "bitter-skin": TagBitterSkin,
}

// Span is a minimum, a usual and a maximum, in the unit of the field.
type Span struct{ Min, Ideal, Max float64 } // hours: a soak at room temperature

// Life is a fridge life at 4 °C in days, by each school. Zero is unknown.
type Life struct{ CautiousDays, CustomaryDays float64 } // days in the fridge at 4 °C; 0 where it does not limit

// Usual is the range in which a flavour is commonly used, in g/L of a drink
// by the glass. Zero is unknown.
type Usual struct{ LowGPerL, HighGPerL float64 } // grams per litre of finished drink

// Form is a way an ingredient comes, such as sliced, with its own bulk density.
type Form struct {
	Name       string  // ground, chopped, whole, …
	BulkGPerML float64 // as it lies in the spoon, air and all
}

// Ingredient is one row of the catalogue.
type Ingredient struct {
	ID          string                    // of letters and hyphens; never changes once it ships
	Name        string                    // as a shopping list has it
	Aliases     []string                  // what else recipes call it, in any language of the catalogue
	Role        Role                      // what it does in a drink
	Class       Class                     // how it lets go of what is in it
	Stage       Stage                     // when it goes in if nothing is said
	BulkGPerML  float64                   // as it lies in a measuring cup
	Forms       []Form                    // that lie in the cup otherwise
	PieceG      map[quantity.Unit]float64 // g of one, by the unit it is counted in
	Swelling    float64                   // volume soaked per volume dry; 0 unknown
	UptakeGPerG float64                   // water taken up in the soak
	SoakH       Span                      // at 20 °C
	HasSoak     bool                      // whether soaking is a question at all
	Life        Life                      // how long it lets a drink keep
	Usual       Usual                     // what a litre usually has; outside of it the reader doubts
	PerGram     Content                   // composition of what is eaten, g per g
	Retired     bool                      // the cook's own row that is no longer offered
	Bare        bool                      // the cook's own row with no composition: it costs and is named, and no figure counts it
	Allergens   []string                  // codes of caution.Allergens
	Vegan       bool                      // false for honey, milk, eggs
	EdibleShare float64                   // of what is bought in its shell, peel or with its stone; 1 where nothing is thrown away
	CalciumMg   float64                   // in 100 g; 0 where no open table tells (IFCT 2017)
	SkinShare   float64                   // of the dry mass, taken off where it is skinned
	StoneShare  float64                   // of what is measured, which never goes in
	ReleaseMax  float64                   // share of its protein and fat that grinding for ever would release; 0 for the usual
	GrindS      float64                   // how long it is ground where nothing is said; 0 for what its class wants
	SwellsC     [2]float64                // from where to where its starch swells, °C; zero for the usual of grain
	Equals      Equal                     // what it stands for among its likes
	CountsAs    Count                     // of another that one of it stands for
	Parts       []Share                   // of a blend; empty for anything else
	Made        []Share                   // of a drink: g that went into a gram of it; empty for anything else
	Character   string                    // what a sweetener brings besides sweetness
	Source      string                    // where the figures are from; "from memory" where they are
	tags        Tag                       // what it is apart from its figures, see Has
	inLanguage  map[string]string         // its name by language, besides its own
	folded      [][]rune                  // its name and aliases, for the search
	fits        map[string]bool           // words that may stand beside its name
	nots        map[string]bool           // words that may not
}

// Equal puts forms of one thing on one scale: GramsPerUnit of this one do the
// work of GramsPerUnit of another in the same group. The zero Equal is none.
type Equal struct {
	Group        string  // whatever does the same work
	GramsPerUnit float64 // g that do the work of one
}

// Count is a number of pieces of another ingredient.
type Count struct {
	ID     string  // of the ingredient it counts as
	Pieces float64 // of that one, for one of this
}

// Share is a part of a blend, as a share of its mass.
type Share struct {
	Ingredient *Ingredient // a part of a blend
	Share      float64     // of its mass, 0 to 1
}

// Tagged is a copy of the ingredient with the given tags.
func (i Ingredient) Tagged(tags Tag) *Ingredient {
	i.tags = tags
	return &i
}

// FormIn finds the form that words name; the zero Form where they name none.
func (i *Ingredient) FormIn(words string) Form {
	for _, f := range i.Forms {
		if strings.Contains(words, f.Name) {
			return f
		}
	}
	return Form{}
}

// Has tells whether the ingredient carries the tag.
func (i *Ingredient) Has(t Tag) bool {
	return i.tags&t != 0
}

// SlimesWhenGround tells what turns slimy when it is ground for long: oats. Rice only does when it is
// warm or squeezed, and is ground for a minute and more.
func (i *Ingredient) SlimesWhenGround() bool { return i.Has(TagSlimes) && !i.Has(TagRice) }

// Tags are all it carries.
func (i *Ingredient) Tags() Tag { return i.tags }

// NeedsSoak tells whether its ideal soak is an hour or more, so that it is taken
// as soaked and drained unless its line says otherwise; oats are dry unless a
// word soaks them.
func (i *Ingredient) NeedsSoak() bool {
	return i.HasSoak && i.SoakH.Ideal >= soakedFromH
}

// soakedFromH is the shortest ideal soak that is taken for granted, hours.
const soakedFromH = 1

// Inside is what a blend or a drink is made of; empty for anything else.
func (i *Ingredient) Inside() []Share {
	if len(i.Made) > 0 {
		return i.Made
	}
	return i.Parts
}

// Each goes through an ingredient and everything inside it, until visit answers
// false.
func (i *Ingredient) Each(visit func(*Ingredient) bool) bool {
	if !visit(i) {
		return false
	}
	for _, p := range i.Inside() {
		if !p.Ingredient.Each(visit) {
			return false
		}
	}
	return true
}
