package process

import (
	"cmp"
	"math"

	"plushladle/core/ingredient"
)

// released is the share of each component that leaves the solids.
type released [len(ingredient.Components)]float64

// shares are those of a class; what is not named (water, polyols, alcohol and
// trace substances) leaves whole.
type shares struct{ protein, fat, sugars, starch, fibre, ash float64 } // of what is in it, 0 to 1 each

// all spreads the shares over the components; those not named pass whole.
func (s shares) all() released {
	var r released
	for i := range r {
		r[i] = 1
	}
	r[ingredient.Protein], r[ingredient.Fat], r[ingredient.SaturatedFat] = s.protein, s.fat, s.fat
	r[ingredient.Starch], r[ingredient.Fibre] = s.starch, s.fibre
	r[ingredient.Ash], r[ingredient.SodiumMg] = s.ash, s.ash
	for c := ingredient.Sucrose; c <= ingredient.Maltose; c++ {
		r[c] = s.sugars
	}
	r[ingredient.FreeSugars], r[ingredient.AddedSugars] = s.sugars, s.sugars
	return r
}

// What grinding for ever would release of protein and fat: by the base where the
// catalogue says, else this (modelling assumptions, replaced by the kitchen's record).
const (
	mostOfOthers  = .64 // of protein and fat, where the catalogue has no row for it
	soyProtein    = .8  // soy's protein, after its boil
	soyFat        = .75 // and its fat
	toastedShare  = .95 // of a roasted nut's release
	sugarsAlways  = .95 // of the sugars, however short
	soakedAtLeast = .85 // of the release, unsoaked
)

// How fast it is reached, as the seconds τ of an exponential.
const (
	tauRegular, tauHigh         = 40., 15. // seconds to 63 % of the most: a usual blender, a strong one
	tauSoftRegular, tauSoftHigh = 25., 10. // the same for soft nuts such as cashews
)

// fridgeSoaks is how much an hour's soak in the fridge counts.
const fridgeSoaks = .5

// soakShare is the share of the release that the soak leaves: .85 dry, 1 from
// the ideal on.
func (l *Line) soakShare() float64 {
	i := l.Ingredient
	if i.Has(ingredient.TagAnySoak) || !i.HasSoak || i.SoakH.Ideal == 0 {
		return 1
	}
	if !l.SoaksAndDrains() && !l.soaksInKept() {
		return soakedAtLeast
	}
	hours := l.SoakHours
	if hours == 0 {
		return 1
	}
	if l.SoakCold {
		hours *= fridgeSoaks
	}
	return soakedAtLeast + (1-soakedAtLeast)*math.Min(1, hours/i.SoakH.Ideal)
}

// grinding is how something is ground.
type grinding struct {
	seconds   float64 // in all, however many times
	highSpeed bool    // a strong motor
	juicer    bool    // masticating: no time to count
	coarse    bool    // chopped or left whole
	tempC     float64 // at its end
	frees     float64 // protein and fat, as a share of the usual; 0 means 1
	lateS     float64 // what turns slimy joins for so many of the seconds; 0 where it is in from the start
}

// of is how a line is ground: oats join a longer grind for its end.
func (g grinding) of(i *ingredient.Ingredient) grinding {
	if g.lateS > 0 && joinsLate(i) {
		g.seconds = g.lateS
	}
	return g
}

// joinsLate tells whether a grain is ground for so short a time that it joins what
// wants longer at its end.
func joinsLate(i *ingredient.Ingredient) bool {
	return i.Class == ingredient.Grain && secondsFor(i) <= leastSeconds
}

// releaseOf is what grinding takes out of a line's solids.
func (l *Line) releaseOf(g grinding) released {
	g = g.of(l.Ingredient)
	class := l.Ingredient.Class
	if class == ingredient.Nut && l.Treatment.Roasted {
		class = ingredient.Roasted
	}
	switch class {
	case ingredient.Nut, ingredient.Roasted, ingredient.Tuber, ingredient.Soy:
		return l.nutRelease(class, g)
	case ingredient.Grain:
		return grainRelease(g)
	case ingredient.Fruit:
		return shares{.3, .3, sugarsAlways, .3, .3, .3}.all()
	case ingredient.SpiceDry:
		return shares{.3, .3, .3, .3, .3, .3}.all()
	}
	return shares{1, 1, 1, 1, 1, 1}.all()
}

// leavesSolids tells whether grinding leaves some of a line behind.
func (l *Line) leavesSolids() bool {
	switch l.Ingredient.Class {
	case ingredient.Nut, ingredient.Roasted, ingredient.Tuber, ingredient.Soy, ingredient.Grain, ingredient.Fruit, ingredient.SpiceDry:
		return true
	}
	return false
}

// nutRelease goes towards its most as grinding goes on, 1 − e^(−t/tau); a coarse chop sets
// a third free.
func (l *Line) nutRelease(class ingredient.Class, g grinding) released {
	s := shares{sugars: sugarsAlways, starch: .4, fibre: .05, ash: .7}
	if class == ingredient.Tuber {
		s.starch = .35
	}
	if g.coarse {
		s.protein, s.fat, s.starch = .30, .30, .10
		return s.all()
	}
	s.protein, s.fat = l.mostOf()
	reached := 1.
	if !g.juicer {
		reached = 1 - math.Exp(-g.seconds/tau(l.Ingredient, g.highSpeed))
	}
	reached *= l.soakShare()
	if class == ingredient.Roasted {
		reached *= toastedShare
	}
	frees := cmp.Or(g.frees, 1)
	s.protein, s.fat = math.Min(mostFreed, s.protein*reached*frees), math.Min(mostFreed, s.fat*reached*frees)
	return s.all()
}

// mostFreed is as much as any grinding brings out, whatever a kitchen's batches seem to tell.
const mostFreed = .95

// mostOf is how much protein and fat may be set free at all, 0 to 1.
func (l *Line) mostOf() (protein, fat float64) {
	if l.Ingredient.Class == ingredient.Soy {
		return soyProtein, soyFat
	}
	share := cmp.Or(l.Ingredient.ReleaseMax, mostOfOthers)
	return share, share
}

// tau is the seconds after which 63 % of the most is out.
func tau(i *ingredient.Ingredient, highSpeed bool) float64 {
	soft := i.Has(ingredient.TagSoft)
	switch {
	case soft && highSpeed:
		return tauSoftHigh
	case soft:
		return tauSoftRegular
	case highSpeed:
		return tauHigh
	}
	return tauRegular
}

// Starch that grinding releases from grain grows with the root of the time and
// with the temperature at its end.
const (
	grainStarch, grainStarchLeast, grainStarchMost = .25, .15, .6 // of the grain's starch: usual, least and most
	grainPerC                                      = 1.03         // times as much for each degree
	grainFromC                                     = 5.           // °C, ice water
	grainSeconds                                   = 30.          // s, what recipes advise
)

// grainStarchAt is the share of starch that passes, by the root of time and by warmth.
func grainStarchAt(seconds, tempC float64) float64 {
	return clamp(grainStarch*math.Sqrt(seconds/grainSeconds)*math.Pow(grainPerC, tempC-grainFromC), grainStarchLeast, grainStarchMost)
}

// grainRelease: starch is what makes oat milk slimy, so its share goes by time and warmth.
func grainRelease(g grinding) released {
	s := shares{protein: .35, fat: .5, sugars: sugarsAlways, fibre: .15, ash: .6}
	if g.coarse {
		s.protein, s.fat, s.starch = .15, .15, .08
		return s.all()
	}
	s.starch = grainStarchAt(g.seconds, g.tempC)
	return s.all()
}

// fines is the share of a line's solids that pass the strainer.
func (l *Line) fines(s Strainer, g grinding) float64 {
	p := strainers[s].fines
	if s != None && l.Ingredient.Has(ingredient.TagSoft) && g.highSpeed && !g.juicer && !g.coarse {
		p += .3 * clamp((g.seconds-30)/60, 0, 1)
	}
	return math.Min(1, p)
}

// Grain holds half of what other solids do while its starch is raw, and as much
// once it has swollen, over its range of gelatinising; what clings, as oats do, has a
// rule of its own (from memory).
var usuallySwellsC = [2]float64{62, 77}

const (
	rawGrainHolds  = .5   // of what other pulp holds, its starch raw
	soyHolds       = 1.4  // times as much as other pulp: okara is wet
	oatsHold       = .875 // of what other pulp holds, cold
	oatsSwellFromC = 50.  // °C, where their starch begins to swell
	oatsSwellOver  = 15.  // °C more, and it holds twice as much
	oatsSlimeHolds = 1.3  // g of liquid on each gram of starch that was freed
)

// holds is the liquid, in g, that a line's solids keep back in the strainer.
func (l *Line) holds(s Strainer, solids ingredient.Content, g grinding) float64 {
	g = g.of(l.Ingredient)
	how := strainers[s]
	stays := (1 - l.fines(s, g)) * solids.MassG()
	switch {
	case l.Ingredient.Class == ingredient.Soy:
		return how.held * soyHolds * stays
	case l.Ingredient.Has(ingredient.TagClings) && !g.coarse:
		return l.oatsHold(s, g)
	case l.Ingredient.Class == ingredient.Grain:
		span := cmp.Or(l.Ingredient.SwellsC, usuallySwellsC)
		return how.held * stays * (rawGrainHolds + (1-rawGrainHolds)*clamp((g.tempC-span[0])/(span[1]-span[0]), 0, 1))
	}
	return how.held * stays
}

// oatsHold: the pulp at the least release holds what other pulp does, more as it
// swells; what grinding frees beyond thickens the liquid so that it clings.
func (l *Line) oatsHold(s Strainer, g grinding) float64 {
	least := grainRelease(grinding{seconds: 0, tempC: 0})
	solids := 0.
	for c, amount := range l.Per {
		if ingredient.Component(c).IsMass() {
			solids += amount * l.G * (1 - least[c])
		}
	}
	swells := 1 + clamp((g.tempC-oatsSwellFromC)/oatsSwellOver, 0, 1)
	p := l.fines(s, g)
	freed := grainStarchAt(g.seconds, g.tempC) - grainStarchLeast
	return (1 - p) * (oatsHold*strainers[s].held*solids*swells + oatsSlimeHolds*freed*l.G*l.Per[ingredient.Starch])
}

func clamp(v, low, high float64) float64 { return math.Max(low, math.Min(high, v)) }

// secondsFor is how long a base is ground where the cook does not say (common
// practice).
func secondsFor(i *ingredient.Ingredient) float64 {
	switch {
	case i.GrindS > 0:
		return i.GrindS
	case i.Class == ingredient.Grain:
		return 60
	case i.Class == ingredient.Soy || i.Class == ingredient.Tuber:
		return 120
	case i.Role == ingredient.Base:
		return 90
	}
	return leastSeconds
}

// leastSeconds is the shortest grind, and how long oats are ground (common practice).
const leastSeconds = 30.

// DefaultSeconds is how long the lines are ground where the cook does not say:
// as the one that wants longest.
func DefaultSeconds(lines []Line, ground []int) float64 {
	longest := leastSeconds
	for _, n := range ground {
		longest = math.Max(longest, secondsFor(lines[n].Ingredient))
	}
	return longest
}

// lateSeconds is for how many of the seconds oats are in: the last thirty of a
// grind that something else wants longer; 0 where nothing joins late.
func lateSeconds(lines []Line, ground []int, seconds float64) float64 {
	late, longer := false, false
	for _, n := range ground {
		i := lines[n].Ingredient
		late = late || joinsLate(i)
		longer = longer || i.Role == ingredient.Base && secondsFor(i) > leastSeconds
	}
	if !late || !longer || seconds <= leastSeconds {
		return 0
	}
	return leastSeconds
}
