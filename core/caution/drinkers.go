package caution

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/say"
)

// Age is a band of age, in years.
type Age string

// The ages that limits tell apart.
const (
	Infant Age = "under 1"  // no drink of ours is for them
	To3    Age = "1 to 3"   // as the tables of EFSA cut the ages, here and below
	To6    Age = "4 to 6"   // years
	To10   Age = "7 to 10"  // years
	To14   Age = "11 to 14" // years
	To17   Age = "15 to 17" // years
	Adult  Age = "adult"    // eighteen and over; also whoever is not named
)

// Ages are all of them, the youngest first.
var Ages = []Age{Infant, To3, To6, To10, To14, To17, Adult}

// dayLimits are a day's limits by age, µg and g. Sources: EFSA 2023 (selenium)
// and EFSA 2006 (iodine), tolerable upper intake levels, those of 11 to 17
// from memory; free sugars UK SACN 2015 for children, WHO 2015 (25 g) for
// adults. Under one year the limits of one to three are taken.
var dayLimits = map[Age]struct{ seleniumUg, iodineUg, freeSugarsG, kg float64 }{
	Infant: {70, 200, 14, 8},
	To3:    {70, 200, 14, 12},
	To6:    {95, 250, 19, 18},
	To10:   {130, 300, 24, 28},
	To14:   {180, 450, 30, 43},
	To17:   {230, 500, 30, 58},
	Adult:  {255, 600, 25, 60}, // an adult weight on the safe side, common practice
}

// Drinker is someone who drinks in this kitchen, by a word of the cook's own.
type Drinker struct {
	Name        string   // as the cook calls them
	Age         Age      // decides the limits of a day
	WeightKG    float64  // 0 for one usual at that age
	Allergens   []string // codes of allergens
	Cleared     []string // kin of those that an allergist cleared, by their codes
	Vegan       bool     // refuses what is of animals, honey too
	DairyFree   bool     // refuses milk and what is made of it; not the same as allergic to it
	Dislikes    []string // ingredients, by words of their names
	ServingsDay float64  // 0 for one
}

// anyAdult stands in where nobody is listed; it has no name.
var anyAdult = Drinker{Age: Adult}

// Check tells whether the drinker is one that can be reckoned with. The error
// is a *fault.Error.
func (p Drinker) Check() error {
	if strings.TrimSpace(p.Name) == "" {
		return fault.New("name", "", "drinker-needs-a-name")
	}
	if _, ok := dayLimits[p.Age]; !ok {
		return fault.New("age", string(p.Age), "unknown-age")
	}
	if !(p.WeightKG == 0 || p.WeightKG >= 2 && p.WeightKG <= 300) {
		return fault.New("weightKG", fmt.Sprint(p.WeightKG), "weight-out-of-range")
	}
	if !(p.ServingsDay == 0 || p.ServingsDay >= 0.01 && p.ServingsDay <= 50) {
		return fault.New("servingsDay", fmt.Sprint(p.ServingsDay), "servings-out-of-range")
	}
	return nil
}

func (p Drinker) seleniumUg() float64  { return dayLimits[p.Age].seleniumUg }
func (p Drinker) iodineUg() float64    { return dayLimits[p.Age].iodineUg }
func (p Drinker) freeSugarsG() float64 { return dayLimits[p.Age].freeSugarsG }

// coumarinMg is what may be taken in a day, mg: by weight, or by the usual weight of
// the age where none was given.
func (p Drinker) coumarinMg() float64 { return coumarinMgPerKg * p.weightKG() }

// poppyG is how much of poppy seeds may be taken in a day, g, by weight likewise.
func (p Drinker) poppyG() float64 { return poppyGPerKg * p.weightKG() }

// weightKG is what somebody weighs, kg, or what is usual at the age where nobody said.
func (p Drinker) weightKG() float64 {
	if p.WeightKG == 0 {
		return dayLimits[p.Age].kg
	}
	return p.WeightKG
}

// servings is how many a day are reckoned with: one where nobody said.
func (p Drinker) servings() float64 {
	if p.ServingsDay == 0 {
		return 1
	}
	return p.ServingsDay
}

// drinkers is everyone the drink is for; an unnamed adult where nobody was named, so
// that a figure is held against something.
func (d *Drink) drinkers() []Drinker {
	if len(d.Drinkers) == 0 {
		return []Drinker{anyAdult}
	}
	return d.Drinkers
}

// nearest is who comes nearest to a limit in a day of drinking, with what and
// of how much. Who will not drink it anyway does not count.
func (d *Drink) nearest(perServing float64, limit func(Drinker) float64) (who string, value, most float64) {
	share := -1.
	for _, p := range d.drinkers() {
		v, m := perServing*p.servings(), limit(p)
		if d.forbids(p) || v/m <= share {
			continue
		}
		share, who, value, most = v/m, p.Name, v, m
	}
	if share < 0 {
		return anyAdult.Name, perServing, limit(anyAdult)
	}
	return who, value, most
}

// most is the largest of a figure over everyone, which is the one to go by.
func (d *Drink) most(of func(Drinker) float64) float64 {
	most := 0.
	for _, p := range d.drinkers() {
		most = math.Max(most, of(p))
	}
	return most
}

// For is whether a drink is for someone, and why not.
type For struct {
	Name    string     // as the cook calls them
	Not     bool       // it is not for them
	Reasons []say.Text // why not, or what they should know; the gravest first
}

// ForWhom holds the drink against everyone who drinks in the kitchen.
func ForWhom(d Drink) []For {
	out := make([]For, len(d.Drinkers))
	for n, p := range d.Drinkers {
		out[n] = For{Name: p.Name, Reasons: d.against(p)}
		out[n].Not = len(out[n].Reasons) > 0
		if !out[n].Not {
			out[n].Reasons = d.nearly(p)
		}
	}
	return out
}

// against is why the drink is not for someone.
func (d *Drink) against(p Drinker) []say.Text {
	reasons := d.wontHave(p)
	if p.Age == Infant {
		reasons = append(reasons, say.Of("not-for-an-infant"))
	}
	if p.Age == Infant && d.has(ingredient.TagHoney) {
		reasons = append(reasons, say.Of("honey-not-for-an-infant"))
	}
	if p.isSmall() && d.has(ingredient.TagRice) {
		reasons = append(reasons, say.Of("rice-not-for-a-child"))
	}
	if p.isSmall() && d.has(ingredient.TagPoppy) {
		reasons = append(reasons, say.Of("poppy-not-for-a-child"))
	}
	for _, held := range d.heldFor(p) {
		if held.value > held.limit {
			reasons = append(reasons, say.Of(held.code, held.value, held.limit))
		}
	}
	return reasons
}

// isSmall tells whether somebody may be under five: the ages are cut at four and six.
func (p Drinker) isSmall() bool { return p.Age == Infant || p.Age == To3 || p.Age == To6 }

func (d *Drink) forbids(p Drinker) bool { return len(d.wontHave(p)) > 0 }

// wontHave is what someone may or will not drink.
func (d *Drink) wontHave(p Drinker) []say.Text {
	var reasons []say.Text
	for _, theirs := range p.Allergens {
		if _, known := AllergenOf(theirs); !known {
			reasons = addOnce(reasons, say.Of("avoids-unknown", theirs))
		}
	}
	for _, part := range d.Parts {
		i := part.Ingredient
		for _, a := range i.Allergens {
			if why := p.mustAvoid(a); !why.IsZero() {
				reasons = addOnce(reasons, why)
			}
		}
		switch {
		case p.Vegan && !i.Vegan:
			reasons = addOnce(reasons, say.Of("not-vegan", i.Name))
		case p.DairyFree && i.Has(ingredient.TagDairy):
			reasons = addOnce(reasons, say.Of("dairy", i.Name))
		}
		for _, word := range p.Dislikes {
			if word != "" && names(i, word) {
				reasons = addOnce(reasons, say.Of("will-not-have", strings.ToLower(word)))
			}
		}
	}
	return reasons
}

// names tells whether an ingredient, or something inside it, goes by a word.
func names(i *ingredient.Ingredient, word string) bool {
	return !i.Each(func(of *ingredient.Ingredient) bool {
		return !strings.Contains(strings.ToLower(of.Name), strings.ToLower(word))
	})
}

// mustAvoid is why someone must not have what holds an allergen; zero where
// they may.
func (p Drinker) mustAvoid(allergen string) say.Text {
	if len(p.Allergens) == 0 {
		return say.Text{}
	}
	of, known := AllergenOf(allergen)
	if !known { // of a row of the cook's own, kept before there was a list
		of = Allergen{Code: strings.ToLower(allergen), Name: allergen}
	}
	for _, theirs := range p.Allergens {
		avoided, known := AllergenOf(theirs)
		switch {
		case !known:
		case avoided.Covers(of):
			return say.Of("contains-allergen", of.Name)
		case avoided.IsKinOf(of) && !slices.Contains(p.Cleared, of.Code):
			return say.Of("contains-kin", of.Name, avoided.Name)
		}
	}
	return say.Text{}
}

// addOnce keeps a reason from being told twice where two lines bring the same.
func addOnce(reasons []say.Text, reason say.Text) []say.Text {
	for _, r := range reasons {
		if r.Is(reason) {
			return reasons
		}
	}
	return append(reasons, reason)
}

type heldFigure struct { // one figure of a day held against its limit for one person
	code         string  // of what it comes to in a day
	value, limit float64 // both in the unit the code's sentence names
}

// heldFor is every figure that has a limit by age, over the servings of a day.
func (d *Drink) heldFor(p Drinker) []heldFigure {
	day := func(perServing float64) float64 { return perServing * p.servings() }
	return []heldFigure{
		{"a-day-of-selenium", day(d.PerServing[ingredient.SeleniumUg]), p.seleniumUg()},
		{"a-day-of-iodine", day(d.PerServing[ingredient.IodineUg]), p.iodineUg()},
		{"a-day-of-coumarin", day(d.PerServing[ingredient.CoumarinMg]), p.coumarinMg()},
		{"a-day-of-free-sugars", day(d.PerServing[ingredient.FreeSugars]), p.freeSugarsG()},
		{"a-day-of-nutmeg", day(d.perServing(d.massOf(ingredient.TagNutmeg))), nutmegGPerDay},
		{"a-day-of-poppy", day(d.perServing(d.massOf(ingredient.TagPoppy))), p.poppyG()},
	}
}

// nearly is what comes to half of a limit or more.
func (d *Drink) nearly(p Drinker) []say.Text {
	var reasons []say.Text
	for _, held := range d.heldFor(p) {
		if held.value >= raisedFrom*held.limit {
			reasons = append(reasons, say.Of(held.code, held.value, held.limit))
		}
	}
	return reasons
}
