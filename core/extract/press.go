// Package extract follows what goes into the blender through grinding and
// straining: what reaches the jug, what stays in the pulp, what is lost.
package extract

import (
	"math"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
)

// Strainer is how a drink is strained.
type Strainer uint8

// The strainers. The zero Strainer is the firm bag.
const (
	Bag Strainer = iota
	Cloth
	Gentle
	Sieve
	None
	Juicer
)

// strainers gives, for each: h, the grams of liquid held per gram of pulp
// solids, and p, the share of pulp solids that pass as fines. Modelling
// assumptions, common practice, no source.
var strainers = [...]struct {
	name        string
	words       string
	held, fines float64
	capacityML  float64
}{
	Bag:    {"bag", "nut-milk bag, squeezed firmly", 2.4, 0, 2000},
	Cloth:  {"cloth", "doubled cloth, squeezed", 2.8, 0, 1500},
	Gentle: {"gentle", "cloth, gently", 3.5, 0.05, 1500},
	Sieve:  {"sieve", "fine sieve", 3.0, 0.35, 700},
	None:   {"none", "not strained", 0, 1, 0},
	Juicer: {"juicer", "masticating juicer", 1.0, 0, 0},
}

// Strainers are all of them, in the order they are offered.
func Strainers() []Strainer { return []Strainer{Bag, Cloth, Gentle, Sieve, None, Juicer} }

func (s Strainer) String() string { return strainers[s].name }

// Words describes the strainer as a cook would.
func (s Strainer) Words() string { return strainers[s].words }

// CapacityML is what one straining takes before it is emptied, from memory; 0
// where there is no limit.
func (s Strainer) CapacityML() float64 { return strainers[s].capacityML }

// Squeezes tells whether the pulp is squeezed hard.
func (s Strainer) Squeezes() bool { return s == Bag || s == Cloth || s == Juicer }

// Clogs tells whether fine seeds stop it up.
func (s Strainer) Clogs() bool { return s == Sieve || s == Cloth || s == Gentle }

// ParseStrainer reads bag, cloth, gentle, sieve, none or juicer.
func ParseStrainer(name string) (Strainer, error) {
	for i, s := range strainers {
		if s.name == name {
			return Strainer(i), nil
		}
	}
	return Bag, fault.New("strainer", name, "is not a way of straining", "use bag, cloth, gentle, sieve, none or juicer")
}

const (
	// lossShare of the pressed milk stays on walls and cloth (common practice).
	lossShare = 0.02
	// soyHolds is how much more liquid soy pulp holds (common practice).
	soyHolds = 1.4
	// HeldSpread is the standard deviation of the liquid held, as a share of
	// it, until a kitchen has records of its own.
	HeldSpread = 0.25
)

// Method is how a drink is ground and strained.
type Method struct {
	Strainer  Strainer
	BlendS    float64 // seconds in the blender
	WaterC    float64 // temperature of the grinding water, °C
	HeldShare float64 // held liquid as a share of the default; 0 means 1
	Coarse    bool    // ground coarse and left to stand cold: it gives up less
}

// coarseShare is what a cold, coarse infusion gives up of what grinding fine
// would. A modelling assumption, common practice, no source.
const coarseShare = 0.7

// Charge is one thing that goes in before straining.
type Charge struct {
	Content   ingredient.Content // as it goes in, dry
	Class     ingredient.Class
	SoakedInG float64 // soak water it brings along, g
}

// Pressed is what comes out of grinding and straining. Milk, Pulp and Lost
// add up to all that went in.
type Pressed struct {
	Milk, Pulp, Lost ingredient.Content
	Held             ingredient.Content // the liquid in the pulp, part of Pulp
	PulpSolidsG      float64            // what did not dissolve or disperse, before fines pass
}

// Press grinds the charges and strains them, then rinses the pulp through
// with rinse, which may hold nothing.
func Press(charges []Charge, rinse ingredient.Content, m Method) Pressed {
	return Grind(charges, m).Strain(rinse, m)
}

// Ground is what grinding parts the charges into: what goes into the liquid
// and what stays solid.
type Ground struct {
	Liquid, Solids ingredient.Content
	holdsG         float64 // pulp solids weighted by how much they hold
}

// Grind parts the charges by what each class of ingredient gives up.
func Grind(charges []Charge, m Method) Ground {
	var g Ground
	for n := range charges {
		c := &charges[n]
		released := releaseOf(c.Class, m)
		if m.Coarse && c.Class != ingredient.Soluble {
			released = released.coarser()
		}
		stayedG := 0.
		for component, amount := range c.Content {
			in := amount * released[component]
			g.Liquid[component] += in
			g.Solids[component] += amount - in
			if ingredient.Component(component).IsMass() {
				stayedG += amount - in
			}
		}
		g.Liquid[ingredient.Water] += c.SoakedInG
		if c.Class == ingredient.Soy {
			stayedG *= soyHolds
		}
		g.holdsG += stayedG
	}
	return g
}

// Strain presses what was ground, and rinses the pulp through with rinse.
func (g Ground) Strain(rinse ingredient.Content, m Method) Pressed {
	how := strainers[m.Strainer]
	pulpG := g.Solids.MassG()
	if pulpG == 0 {
		return Pressed{Milk: g.Liquid.Plus(rinse)}
	}
	heldShare := m.HeldShare
	if heldShare == 0 {
		heldShare = 1
	}
	capacityG := how.held * heldShare * g.holdsG
	run, held := drain(g.Liquid, capacityG)
	if rinse.MassG() > 0 {
		var through ingredient.Content
		through, held = drain(held.Plus(rinse), capacityG*(1-how.fines))
		run = run.Plus(through)
	}
	pressed := run.Plus(g.Solids.Times(how.fines))
	return Pressed{
		Milk:        pressed.Times(1 - lossShare),
		Lost:        pressed.Times(lossShare),
		Pulp:        g.Solids.Times(1 - how.fines).Plus(held),
		Held:        held,
		PulpSolidsG: pulpG,
	}
}

// PressAgain grinds the pulp of an earlier press once more with liquid and
// strains it: a further cross-current stage on what the pulp holds. The
// solids give up nothing new.
func (p Pressed) PressAgain(solidsG float64, liquid ingredient.Content, m Method) (milk, pulp ingredient.Content) {
	how := strainers[m.Strainer]
	held := p.Held
	run, stays := drain(held.Plus(liquid), how.held*solidsG)
	return run.Times(1 - lossShare), p.Pulp.Plus(held.Times(-1)).Plus(stays)
}

// drain parts a liquid into what runs off and what a pulp of the given
// capacity, in g, keeps hold of.
func drain(liquid ingredient.Content, capacityG float64) (runs, held ingredient.Content) {
	q := liquid.MassG()
	if q == 0 {
		return runs, held
	}
	heldG := math.Min(capacityG, q)
	return liquid.Times((q - heldG) / q), liquid.Times(heldG / q)
}

// released is the share of each component that grinding brings into the liquid.
type released [len(ingredient.Components)]float64

// Release shares by class: modelling assumptions, common practice, no source.
var (
	nutRelease   = release(shares{protein: .60, fat: .60, sugars: .95, starch: .4, fibre: .05, ash: .7})
	roastRelease = release(shares{protein: .50, fat: .60, sugars: .95, starch: .4, fibre: .05, ash: .7}) // protein set by the heat, from memory
	tuberRelease = release(shares{protein: .60, fat: .60, sugars: .95, starch: .35, fibre: .05, ash: .7})
	soyRelease   = release(shares{protein: .75, fat: .70, sugars: .95, starch: .4, fibre: .05, ash: .7})
	fruitRelease = release(shares{protein: .3, fat: .3, sugars: .95, starch: .3, fibre: .3, ash: .3})
	spiceRelease = release(shares{protein: .3, fat: .3, sugars: .3, starch: .3, fibre: .3, ash: .3})
	allRelease   = release(shares{1, 1, 1, 1, 1, 1})
)

type shares struct{ protein, fat, sugars, starch, fibre, ash float64 }

func release(s shares) released {
	var r released
	for i := range r {
		r[i] = 1 // water, polyols and alcohol, and trace substances counted whole
	}
	r[ingredient.Protein], r[ingredient.Fat], r[ingredient.SaturatedFat] = s.protein, s.fat, s.fat
	r[ingredient.Starch], r[ingredient.Fibre] = s.starch, s.fibre
	r[ingredient.Ash], r[ingredient.SodiumMg] = s.ash, s.ash
	for c := ingredient.Sucrose; c <= ingredient.Maltose; c++ {
		r[c] = s.sugars
	}
	r[ingredient.FreeSugars] = s.sugars
	return r
}

// coarser is the release of a coarse infusion: solids give up less, and what
// is liquid already stays liquid.
func (r *released) coarser() *released {
	out := *r
	for c := range out {
		if out[c] < 1 {
			out[c] *= coarseShare
		}
	}
	return &out
}

func releaseOf(class ingredient.Class, m Method) *released {
	switch class {
	case ingredient.Nut:
		return &nutRelease
	case ingredient.Roasted:
		return &roastRelease
	case ingredient.Tuber:
		return &tuberRelease
	case ingredient.Soy:
		return &soyRelease
	case ingredient.Grain:
		return grainRelease(m)
	case ingredient.Fruit:
		return &fruitRelease
	case ingredient.SpiceDry:
		return &spiceRelease
	}
	return &allRelease
}

// grainRelease grows in starch with blend time and with temperature, which is
// what makes oats slimy. A modelling assumption, common practice, no source.
func grainRelease(m Method) *released {
	starch := .25 * math.Sqrt(m.BlendS/30) * math.Pow(1.03, m.WaterC-5)
	starch = math.Min(.6, math.Max(.15, starch))
	grain := release(shares{protein: .35, fat: .5, sugars: .95, starch: starch, fibre: .15, ash: .6})
	return &grain
}
