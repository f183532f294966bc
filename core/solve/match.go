package solve

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/say"
)

// Figures are what a label says of 100 mL.
type Figures struct{ FatG, SugarsG, ProteinG float64 } // g in 100 mL, as a carton's label has them

// Matched is a drink that comes near to some figures.
type Matched struct {
	Drink   reckon.Drink // a litre of it
	Reached Figures      // how near it came
	Unmet   []say.Text   // what it does not meet
	wrong   float64      // the sum of what it misses, for the order
}

const (
	matchesShown  = 3    // ideas
	matchLitresML = 1000 // mL
	glassML       = 240  // mL drunk of what is like a carton (21 CFR 101.12(b)), whatever its strength makes of it
	matchOf       = 0.1  // g/100 mL: as near as a label is rounded
)

// Match proposes the drinks nearest to the figures: a base, how strong, oil
// and white sugar. like gives the ways of working. The error, a *fault.Error,
// names "fatG", "sugarsG" or "proteinG".
func Match(want Figures, like reckon.Drink, catalogue *ingredient.Catalogue) ([]Matched, error) {
	for name, v := range map[string]float64{"fatG": want.FatG, "sugarsG": want.SugarsG, "proteinG": want.ProteinG} {
		if !(v >= 0 && v <= 60) {
			return nil, fault.New(name, fmt.Sprint(v), "match-out-of-range")
		}
	}
	if want.FatG+want.SugarsG+want.ProteinG == 0 {
		return nil, fault.New("fatG", "", "nothing-to-match")
	}
	var found []Matched
	for _, base := range catalogue.All() {
		if base.Role != ingredient.Base || base.Has(ingredient.TagRefused) || base.Bare {
			continue
		}
		if m, ok := matchBase(base, want, like); ok {
			found = append(found, m)
		}
	}
	// of those equally near the usual base comes first: the catalogue begins with those
	slices.SortStableFunc(found, func(a, b Matched) int {
		return cmp.Or(cmp.Compare(math.Round(10*a.wrong), math.Round(10*b.wrong)), cmp.Compare(len(a.Unmet), len(b.Unmet)))
	})
	return shownMatches(found), nil
}

// shownMatches are the nearest; soy among them, which most labels to be matched are of.
func shownMatches(found []Matched) []Matched {
	shown := found[:min(matchesShown, len(found))]
	isSoy := func(m Matched) bool { return m.Drink.Lines[0].Ingredient.Has(ingredient.TagBoil) }
	if soy := slices.IndexFunc(found, isSoy); soy >= matchesShown {
		shown[matchesShown-1] = found[soy]
	}
	return shown
}

// matchBase brings one base to the figures: the base for the protein, oil for
// the fat that is missing, sugar for the sugars. Where the base alone brings
// too much fat or sugar there is less of it.
func matchBase(base *ingredient.Ingredient, want Figures, like reckon.Drink) (Matched, bool) {
	d := like
	d.Size, d.Lines = recipe.Size{}, []recipe.Line{
		matchLine(base, 100), matchLine(standard("water"), 800), matchLine(standard("coconut-oil"), 0), matchLine(standard("white-sugar"), 0),
	}
	s, _, err := toSolve(&d)
	if err != nil {
		return Matched{}, false
	}
	target := func(of func(ingredient.Content) float64, to float64) aim {
		return func(b *reckon.Batch) float64 { return of(b.Finished) - to*b.VolumeML/100 }
	}
	protein := func(c ingredient.Content) float64 { return c[ingredient.Protein] }
	fat := func(c ingredient.Content) float64 { return c[ingredient.Fat] }
	sugars := ingredient.Content.SugarsG
	base0, oil, sugar := s.knobOf([]int{0}), s.knobOf([]int{2}), s.knobOf([]int{3})
	base0.least, base0.most = matchLeastBaseG, matchMostBaseG
	oil.most, sugar.most = matchMostOilG, matchMostSugarG
	s.knobs = []knob{base0, oil, sugar}
	s.aims = []aim{target(protein, want.ProteinG), target(fat, want.FatG), target(sugars, want.SugarsG)}
	s.solve()
	if figuresOf(s.at(s.doses())).FatG > want.FatG+matchOf { // too rich at that protein: go by fat
		s.knobs = []knob{base0, sugar}
		s.lines[2].MassG = 0
		s.aims = []aim{target(fat, want.FatG), target(sugars, want.SugarsG)}
		s.solve()
	}
	d.Lines[2].Amount, d.Lines[3].Amount = quantity.Of(0, quantity.Gram), quantity.Of(0, quantity.Gram)
	s.write(&d)
	d.Lines = slices.DeleteFunc(d.Lines, func(l recipe.Line) bool {
		g, isMass := l.Amount.Mass(d.System)
		return l.Added && isMass && g < matchLeastG
	})
	return finishMatch(d, want)
}

// What a drink for the glass or the cup is made of, for about 900 mL of it: from the
// weakest rice milk to a cream that still runs, and no sweeter than a concentrate.
// Common practice, no source.
const (
	matchLeastBaseG = 30   // g
	matchMostBaseG  = 320  // g
	matchMostOilG   = 200  // g
	matchMostSugarG = 350  // g
	matchLeastG     = 1    // g: less is left out, since no label shows it
	matchLeastWater = 1.25 // cups to one of dry base: with less it is a paste
)

// matchLine is a line of so many grams, at the ingredient's usual stage.
func matchLine(i *ingredient.Ingredient, g float64) recipe.Line {
	return recipe.Line{Ingredient: i, Name: i.Name, Amount: quantity.Of(g, quantity.Gram), Stage: i.Stage, Added: true}
}

// standard is an ingredient that ships, by its identifier, which a test holds to exist.
func standard(id string) *ingredient.Ingredient {
	i, _ := ingredient.Standard().ByID(id)
	return i
}

// figuresOf is what a label would say of the batch.
func figuresOf(b *reckon.Batch) Figures {
	per100 := b.Per100mL()
	return Figures{FatG: per100[ingredient.Fat], SugarsG: per100.SugarsG(), ProteinG: per100[ingredient.Protein]}
}

// finishMatch turns grams into measures, reckons again and tells what is still missed:
// what the cook will make is judged, not what the arithmetic wanted.
func finishMatch(d reckon.Drink, want Figures) (Matched, bool) {
	d.Size = recipe.Size{By: recipe.ByVolume, Value: matchLitresML}
	r, err := d.Reckon()
	if err != nil || r.Drink == nil || r.Batch.BaseG == 0 || r.Ratio.ByVolume < matchLeastWater {
		return Matched{}, false
	}
	for n := range d.Lines {
		d.Lines[n].Amount = nearestWithin(&d, d.Lines[n], r.Lines[n].MassG, quantity.Loose)
	}
	d.Size = recipe.Size{}
	if r, err = d.Reckon(); err != nil || r.Drink == nil {
		return Matched{}, false
	}
	glass := d
	glass.ServingML = glassML
	if held, err := glass.Reckon(); err != nil || isTooMuch(held.Cautions) {
		return Matched{}, false
	}
	got := figuresOf(r.Batch)
	m := Matched{Drink: d, Reached: got}
	for _, f := range []struct {
		code      string
		want, got float64
	}{{"match-misses-fat", want.FatG, got.FatG}, {"match-misses-sugars", want.SugarsG, got.SugarsG}, {"match-misses-protein", want.ProteinG, got.ProteinG}} {
		m.wrong += math.Abs(f.want-f.got) / math.Max(0.5, f.want)
		if math.Abs(f.want-f.got) > matchOf {
			m.Unmet = append(m.Unmet, say.Of(f.code, f.got, f.want))
		}
	}
	return m, true
}
