// Package process is the one method of a drink: what is done with its lines, in
// which order, and what becomes of them. The figures, the card, the plan and the
// cook-along are all read from it.
//
// # From lines to a layout
//
// [Lay] puts every line where it goes: soaked and drained, soaked in water that stays,
// rinsed, ground, melted in, poured over the pulp, whisked off its seed, bloomed, heated
// with the rest, stirred in after, or kept for the glass. The rules are those of the
// trade. A base whose soak takes an hour is soaked without a word. In a cold drink
// extracts, syrup and oil are blended with the base; in a heated one sugar, extracts and
// dairy come after the boil. Soy is boiled whether or not anybody says so.
//
// # From a layout to a balance
//
// [Make] follows the streams. What flows from one operation to the next is a mass by
// component, in liquid or in solids, with its temperature. Grinding parts what is in the
// jug: a share of each component leaves the solids, for nuts as
//
//	r = r_max · (1 − e^(−t/τ)) · s
//
// with the seconds t, the blender's τ and the soak's s, for grain with the root of the
// time and with the warmth at its end. The pulp then keeps back so much liquid a gram by
// how it is strained. A rinse is a second stage on what the pulp keeps; a second grind
// brings out what grinding twice as long would have. An open pan loses water by its
// surface and the time it stands there.
//
// Whatever is done, what went in is somewhere: in the drink, the pulp, what was thrown
// away, on the walls, boiled away, skimmed off or left over. The [Balance] has each, and
// their sum is what went in. A test makes ten thousand random drinks and weighs them.
//
// # The cook's own way
//
// A [Change] says what the cook does otherwise at one step: sets it, adds one after it,
// leaves it out, moves it. The rest stays derived, so that a new line finds its place.
// What guards somebody cannot be left out, and nothing is moved before what it hangs on.
package process

import (
	"slices"

	"plushladle/core/ingredient"
)

// Line is a line of a recipe at its size, as it goes into the process.
type Line struct {
	Index      int                    // its place in the recipe
	Key        string                 // the same for as long as the line exists
	Ingredient *ingredient.Ingredient // never nil
	Per        *ingredient.Content    // of a gram of it as measured, after its treatment
	G          float64                // 0 where it was left open
	Stage      ingredient.Stage       // where the cook said one; "" for what the process makes of it
	Treatment  ingredient.Treatment   // what was done before
	Unsoaked   bool                   // goes in dry although its kind is usually soaked
	Rinsed     bool                   // rinsed first, as oats may be
	Again      bool                   // the pulp is ground once more with it
	Before     bool                   // it rinses the pulp before it is squeezed
	Whole      bool                   // a spice by the stick or the pod, taken out again where it cooks
	Thrown     bool                   // liquid to soak in, poured away after
	TempC      float64                // of a liquid, by the words of its line; 0 where none say
	SoakHours  float64                // as said; 0 for the ideal
	SoakCold   bool                   // in the fridge
}

// Heat is how far a drink is heated after straining.
type Heat string

// The heats. ByBase brings what is never raw to the boil and leaves anything
// else unheated.
const (
	ByBase   Heat = ""           // whatever the base asks for: soy boils, most stay raw
	Unheated Heat = "none"       // nothing is heated
	Warm     Heat = "warm"       // 80 °C
	UnderIt  Heat = "under-boil" // 95 °C
	Simmer   Heat = "simmer"     // just bubbling
	Boil     Heat = "boil"       // rolling
)

// Heats are all that can be asked for.
var Heats = []Heat{ByBase, Unheated, Warm, UnderIt, Simmer, Boil}

// Method is how a drink is made, as far as the cook said.
type Method struct {
	Strainer   Strainer // what it goes through
	Seconds    float64  // in the blender; 0 for what the bases want
	HighSpeed  bool     // the blender
	WaterC     float64  // of grinding liquid whose line says nothing; 0 for the tap's
	Coarse     bool     // crushed dry and infused cold
	Heat       Heat     // on the stove
	Minutes    float64  // at that heat; 0 with ByBase for what the base wants
	Covered    bool     // under a lid hardly anything evaporates
	PanCM      float64  // 0 for one that suits
	HotFill    bool     // into the bottle at 85 °C or more
	BrewUsed   float64  // share of the brewed part that goes in; 0 for all
	SoakHours  float64  // 0 for each base's ideal
	SoakCold   bool     // in the fridge
	RoomC      float64  // °C
	FridgeC    float64  // °C
	HeldShare  float64  // held liquid as a share of the usual; 0 means 1
	HeldRange  float64  // how far HeldShare may be off either way, where batches tell; 0 for HeldSpread
	FreesShare float64  // protein and fat that grinding frees, as a share of the usual; 0 means 1
	SteamShare float64  // water the pan loses, as a share of the usual; 0 means 1
	WarmsC     float64  // what a minute in the blender warms by; 0 for what its power does
	JugML      float64  // what one load may reach; 0 for the usual
	Share      float64  // of the batch that it was divided from, ground and heated in one; 0 for all
}

// Temperatures, °C. The tap's and the words' are common practice.
const (
	TapC       = 15.  // °C, of water nobody said anything of
	usualRoomC = 20.  // °C, where no room was given
	boilingC   = 100. // °C at sea level; what a pot reaches, whatever the height
	underBoilC = 95.  // just short of the boil
	warmC      = 80.  // of what is warmed through
	HotFillC   = 85.  // at the neck of the bottle
	VentFromC  = 60.  // from here on hot liquid bursts out of a sealed blender
)

// WordsC is the temperature in °C that words give a liquid; 0 where they give none.
func WordsC(words string) float64 {
	_, tempC := TemperatureIn(words)
	return tempC
}

// TemperatureIn is the word that gives a liquid its temperature, and what that is,
// °C; "" where there is none.
func TemperatureIn(words string) (word string, tempC float64) {
	for _, w := range temperatureWords {
		if hasWord(words, w.word) {
			return w.word, w.tempC
		}
	}
	return "", 0
}

// temperatureWords are looked at in order: the first that is there counts.
var temperatureWords = []struct {
	word  string
	tempC float64
}{
	{"ice-cold", 2}, {"ice cold", 2}, {"iced", 2}, {"boiling", 98}, {"boiled", 98}, {"just off the boil", 95}, {"very hot", 80}, {"lukewarm", 35}, {"tepid", 35},
	{"hot", 60}, {"room temperature", 20}, {"room-temperature", 20}, {"warm", 45}, {"chilled", 4}, {"cold", 4}, {"tap", TapC},
}

// Layout is where each line goes: the process without its figures.
type Layout struct {
	Soaked   []int   // bases soaked in water that is poured away
	Aids     []int   // what goes into such a soak and out again with it
	Kept     []int   // liquid a soak is kept in
	InKept   []int   // what soaks in it
	Rinsed   []int   // oats and the like, rinsed
	Brewed   []int   // in hot water, and taken out again
	Ground   []int   // before straining, with what was soaked
	Ice      []int   // ground with the base, then water
	Early    []int   // rinses before the squeeze
	Rinse    []int   // poured over the pulp
	Again    []int   // ground with the pulp a second time
	Whisked  []int   // pulp on its seed
	Blooms   []int   // in a little warm milk first
	InPan    []int   // heated with the drink
	LiftOut  []int   // of them, taken out when that is done
	Joins    []int   // stirred in: cold where it is unheated, off the boil where not
	Late     []int   // spice, off the heat
	Serve    []int   // in the glass only
	coarse   bool    // nothing is ground fine, so little is set free
	IsGround bool    // there is something to blend
	Heat     Heat    // what it really is, after the bases were asked
	Minutes  float64 // held at it
}

// Lay puts every line where it goes.
func Lay(lines []Line, m Method) Layout {
	var l Layout
	l.Heat, l.Minutes = m.heatFor(lines)
	l.coarse = m.Coarse
	l.Ground = make([]int, 0, len(lines)) // where most of them go
	keeps := false
	for _, line := range lines {
		keeps = keeps || !m.Coarse && !line.Thrown && line.Stage == ingredient.Soak && line.Ingredient.Role == ingredient.Liquid
		l.IsGround = l.IsGround || line.isBlended()
	}
	for n := range lines {
		l.put(n, &lines[n], keeps)
	}
	if len(l.Soaked) == 0 { // there is no soak to go into
		aids := l.Aids
		l.Aids = nil
		for _, n := range aids {
			if lines[n].Thrown {
				l.Aids = append(l.Aids, n)
			} else {
				l.Ground = append(l.Ground, n)
			}
		}
	}
	return l
}

// isBlended tells whether a line makes a blender needed.
func (l *Line) isBlended() bool {
	if l.Stage != "" && l.Stage != ingredient.Grind && l.Stage != ingredient.Soak || l.whisks() {
		return false
	}
	switch l.Ingredient.Class {
	case ingredient.Nut, ingredient.Roasted, ingredient.Tuber, ingredient.Grain, ingredient.Soy:
		return l.Ingredient.Role == ingredient.Base
	case ingredient.Fruit:
		return true
	}
	return false
}

func (l *Line) whisks() bool { return l.Ingredient.Has(ingredient.TagWhisks) }

// put decides where one line goes: the first of the cases that fits. keeps tells that
// the soak is ground with its water.
func (l *Layout) put(n int, line *Line, keeps bool) {
	i := line.Ingredient
	add := func(to *[]int) { *to = append(*to, n) }
	switch {
	case i.Has(ingredient.TagBlooms) && line.Stage != ingredient.Serve && line.Stage != ingredient.Brew:
		add(&l.Blooms)
		return
	case line.Thrown:
		add(&l.Aids)
		return
	case i.Has(ingredient.TagIce) && l.IsGround && line.Stage != ingredient.Serve:
		add(&l.Ice)
		return
	}
	switch l.stageOf(line) {
	case ingredient.Serve:
		add(&l.Serve)
	case ingredient.Brew:
		add(&l.Brewed)
	case ingredient.Rinse:
		switch {
		case line.Again:
			add(&l.Again)
		case line.Before:
			add(&l.Early)
		default:
			add(&l.Rinse)
		}
	case ingredient.Soak:
		switch {
		case i.Role == ingredient.Liquid:
			if keeps {
				add(&l.Kept)
			}
			add(&l.Ground)
		case !keeps:
			add(&l.Aids)
		default:
			add(&l.InKept)
			add(&l.Ground)
		}
	case ingredient.CookIt:
		l.putCooked(n, line)
	case ingredient.Strained:
		add(&l.Joins)
	default:
		l.putGround(n, line, keeps)
	}
}

// putCooked is what the cook says is cooked: a ground spice goes in when the cooking
// ends, a whole one cooks along and is taken out, anything else goes into the pan.
func (l *Layout) putCooked(n int, line *Line) {
	role := line.Ingredient.Role
	switch {
	case l.Heat == Unheated:
		l.Joins = append(l.Joins, n)
	case line.Whole:
		l.InPan, l.LiftOut = append(l.InPan, n), append(l.LiftOut, n)
	case role == ingredient.Spice || role == ingredient.Flavour:
		l.Late = append(l.Late, n)
	default:
		l.InPan = append(l.InPan, n)
	}
}

// putGround places a base or what is ground with one: soaked in what is kept, soaked and
// drained, rinsed, or dry.
func (l *Layout) putGround(n int, line *Line, keeps bool) {
	i := line.Ingredient
	if line.whisks() {
		l.Whisked = append(l.Whisked, n)
		return
	}
	l.Ground = append(l.Ground, n)
	switch {
	case keeps && line.soaksInKept():
		l.InKept = append(l.InKept, n)
	case line.SoaksAndDrains() && !l.coarse:
		l.Soaked = append(l.Soaked, n)
	case line.Rinsed && i.Class == ingredient.Grain && !l.coarse:
		l.Rinsed = append(l.Rinsed, n)
	}
}

// soaksInKept tells a base that lies in water which goes into the jug with it.
func (l *Line) soaksInKept() bool {
	return l.Ingredient.Role == ingredient.Base && l.Ingredient.HasSoak && l.Ingredient.SoakH.Max > 0 && !l.Unsoaked
}

// SoaksAndDrains tells whether a base is taken as soaked and drained: its ideal
// soak is an hour or more, and the line does not say otherwise. Oats are dry
// unless a word rinses them.
func (l *Line) SoaksAndDrains() bool {
	i := l.Ingredient
	return i.Role == ingredient.Base && i.NeedsSoak() && !i.Has(ingredient.TagKept) && !l.Unsoaked
}

// stageOf is when a line goes in. Where the cook says nothing, what is blended
// cold takes extracts, syrups and oil with it; what is heated takes sugar,
// extracts and dairy after the boil.
func (l *Layout) stageOf(line *Line) ingredient.Stage {
	i := line.Ingredient
	if line.Stage != "" {
		return line.Stage
	}
	if i.Role == ingredient.Liquid || i.Role == ingredient.Dairy || i.Has(ingredient.TagDairy) {
		if l.Heat != Unheated && i.Has(ingredient.TagDairy) {
			return ingredient.Strained
		}
		return i.Stage
	}
	if l.Heat != Unheated {
		switch {
		case i.Role == ingredient.FatRole || i.Role == ingredient.Body:
			return ingredient.CookIt
		case i.Role == ingredient.Sweetener && i.Class == ingredient.Soluble:
			return ingredient.Strained
		}
		return i.Stage
	}
	if l.IsGround && i.Stage == ingredient.Strained {
		return ingredient.Grind
	}
	return i.Stage
}

// soyMinutes is how long soy simmers once it boils (common practice; shorter is
// practised).
const soyMinutes = 10

// heatFor is how far the drink is heated: what is never raw is brought to the
// boil without being asked, and simmers as long as it needs where no time is said.
func (m Method) heatFor(lines []Line) (Heat, float64) {
	heat, minutes := m.Heat, m.Minutes
	never := slices.ContainsFunc(lines, func(l Line) bool { return l.Ingredient.Has(ingredient.TagBoil) })
	if heat == ByBase {
		if heat = Unheated; never {
			heat = Simmer
		}
	}
	switch {
	case heat == Unheated:
		return Unheated, 0
	case never && heat.Reaches() && minutes == 0:
		return heat, soyMinutes
	}
	return heat, minutes
}

// Reaches tells whether a heat takes soy out of its rawness: the boil.
func (h Heat) Reaches() bool { return h == Simmer || h == Boil }

// BlendsIn tells whether a line is blended, not stirred, where it meets what is
// cold: oil would float and cocoa would clump.
func (l *Line) BlendsIn() bool {
	i := l.Ingredient
	return i.Role == ingredient.FatRole || i.Class == ingredient.SpiceDry && i.Has(ingredient.TagChocolate)
}

// BeforeStraining tells whether a line goes into the jug, or through the pulp.
func (l *Layout) BeforeStraining(n int) bool {
	return contains(l.Ground, n) || contains(l.Ice, n) || contains(l.Early, n) || contains(l.Rinse, n) || contains(l.Again, n)
}

// KeepsSoak tells whether the soaking liquid stays in the drink.
func (l *Layout) KeepsSoak() bool { return len(l.Kept) > 0 }

// Stage is when a line goes in.
func (l *Layout) Stage(n int) ingredient.Stage {
	switch {
	case contains(l.Serve, n):
		return ingredient.Serve
	case contains(l.Brewed, n):
		return ingredient.Brew
	case contains(l.Early, n) || contains(l.Rinse, n) || contains(l.Again, n):
		return ingredient.Rinse
	case contains(l.Aids, n) || contains(l.Kept, n):
		return ingredient.Soak
	case contains(l.InPan, n) || contains(l.Late, n):
		return ingredient.CookIt
	case contains(l.Joins, n) || contains(l.Blooms, n) || contains(l.Whisked, n):
		return ingredient.Strained
	}
	return ingredient.Grind
}
