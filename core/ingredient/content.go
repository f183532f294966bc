package ingredient

// Component is one of the things a food is made of.
type Component uint8

// The components. Water to Ash add up to the whole; the tracers after them
// are parts of those, followed because a figure or a caution needs them.
const (
	Water      Component = iota // g, as all of this list down to ash
	Protein                     // by nitrogen times 6.25, or the factor the source used
	Fat                         // all of it; the saturated part is told apart below
	Sucrose                     // table sugar: the yardstick of sweetness
	Glucose                     // three quarters as sweet
	Fructose                    // sweeter than sucrose, most so when cold
	Galactose                   // of milk that was treated with lactase
	Lactose                     // of milk; a sixth as sweet as sucrose
	Maltose                     // of malt, and of starch that enzymes have cut
	Starch                      // starch and other available carbohydrate that is not sugar
	Fibre                       // not counted as carbohydrate, as labels in Europe have it
	Xylitol                     // a sugar alcohol, as sweet as sucrose
	Erythritol                  // a sugar alcohol without energy
	Alcohol                     // ethanol, g
	Ash                         // minerals, g

	SaturatedFat // part of Fat, g
	FreeSugars   // part of the sugars, g, by the WHO 2015 definition
	AddedSugars  // part of FreeSugars, g: of sugars, syrups, honey and sweetened milks, not of dates, fruit and juice
	SodiumMg     // part of Ash, mg
	SeleniumUg   // µg
	IodineUg     // µg
	CoumarinMg   // mg
	SteviaG      // steviol glycosides, part of Fibre, g
	MonkFruitG   // mogrosides, part of Fibre, g

	componentCount           // how many there are; no component itself
	massComponents = Ash + 1 // those before it add up to the mass, those after are parts of them or micrograms
)

// IsSugar tells whether c is a mono- or disaccharide.
func (c Component) IsSugar() bool { return c >= Sucrose && c <= Maltose }

// IsMass tells whether c is part of what adds up to the whole.
func (c Component) IsMass() bool { return c < massComponents }

// Components are all of them, in order, for walking over a Content.
var Components = func() (all [componentCount]Component) {
	for i := range all {
		all[i] = Component(i)
	}
	return all
}()

// Content is how much of each component something holds: grams, except where
// the component's name says milligrams or micrograms.
type Content [componentCount]float64

// Plus is the content of both together.
func (c Content) Plus(other Content) Content {
	for i := range c {
		c[i] += other[i]
	}
	return c
}

// Add puts a number of grams of something, whose content a gram is given, in.
func (c *Content) Add(g float64, perGram *Content) {
	for i := range c {
		c[i] += g * perGram[i]
	}
}

// Times is the content of factor times as much.
func (c Content) Times(factor float64) Content {
	for i := range c {
		c[i] *= factor
	}
	return c
}

// MassG is the mass of it all, in grams.
func (c Content) MassG() float64 {
	total := 0.
	for _, v := range c[:massComponents] {
		total += v
	}
	return total
}

// SugarsG is the mass of all mono- and disaccharides.
func (c Content) SugarsG() float64 {
	total := 0.
	for _, v := range c[Sucrose : Maltose+1] {
		total += v
	}
	return total
}

// PolyolsG is the mass of the sugar alcohols.
func (c Content) PolyolsG() float64 { return c[Xylitol] + c[Erythritol] }

// CarbohydrateG is available carbohydrate: sugars, starch and polyols,
// fibre apart.
func (c Content) CarbohydrateG() float64 { return c.SugarsG() + c[Starch] + c.PolyolsG() }

// Energy factors in kcal/g. Source: 21 CFR 101.9(c)(1).
const (
	kcalPerProtein      = 4 // kcal/g, as all of these
	kcalPerCarbohydrate = 4 // sugars and starch alike
	kcalPerFat          = 9
	kcalPerAlcohol      = 7
	kcalPerXylitol      = 2.4 // a polyol, of which part is taken up
	kcalPerErythritol   = 0.2 // a polyol that is hardly taken up
)

// EnergyKcal is the energy by the general factors.
func (c Content) EnergyKcal() float64 {
	return kcalPerProtein*c[Protein] + kcalPerFat*c[Fat] + kcalPerAlcohol*c[Alcohol] +
		kcalPerCarbohydrate*(c.SugarsG()+c[Starch]) +
		kcalPerXylitol*c[Xylitol] + kcalPerErythritol*c[Erythritol]
}

// Sweetness on weight of each sweet component, sucrose being 1, in solutions
// of about 10 %. Source: Belitz, Grosch & Schieberle, Food Chemistry, from
// memory.
var relativeSweetness = [componentCount]float64{
	Sucrose: 1, Fructose: 1.14, Glucose: 0.69, Maltose: 0.46, Lactose: 0.39, Galactose: 0.63,
	Xylitol: 1.02, Erythritol: 0.65, SteviaG: 250, MonkFruitG: 200,
}

// SucroseEquivalentG is the mass of sucrose that would be as sweet, in grams.
func (c Content) SucroseEquivalentG() float64 {
	total := 0.
	for i, share := range relativeSweetness {
		total += share * c[i]
	}
	return total
}
