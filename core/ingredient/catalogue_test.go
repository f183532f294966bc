package ingredient

import (
	"encoding/csv"
	"math"
	"os"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/quantity"
)

func TestEveryRowAddsUpAndNamesItsSource(t *testing.T) {
	t.Parallel()
	for _, i := range Standard().All() {
		assert.InDelta(t, 1, i.PerGram.MassG(), 0.03, "%s: components do not add up to 100 g", i.ID)
		assert.NotEmpty(t, i.Source, i.ID)
		assert.Positive(t, i.BulkGPerML, i.ID)
		assert.Contains(t, Stages, i.Stage, i.ID)
		assert.LessOrEqual(t, i.PerGram[SaturatedFat], i.PerGram[Fat]+1e-9, i.ID)
		assert.LessOrEqual(t, i.PerGram[FreeSugars], i.PerGram.SugarsG()+1e-4, i.ID)
		if i.Role == Base && !i.Has(TagRefused) {
			assert.Positive(t, i.Life.CautiousDays, "%s: a base needs a fridge life", i.ID)
			assert.True(t, i.HasSoak, "%s: a base needs a soak window, be it none", i.ID)
		}
	}
}

// exceptions to agreement with the Indian tables, with the reason. The key is
// the row and the component.
var exceptions = map[string]string{
	"almond carbohydrate":       "Indian almonds are fatter, and carbohydrate is what is left",
	"walnut carbohydrate":       "fibre by another method, and carbohydrate is what is left",
	"walnut fibre":              "fibre by another method",
	"peanut fat":                "Indian groundnut varieties are leaner",
	"peanut carbohydrate":       "leaner, and carbohydrate is what is left",
	"coconut-fresh water":       "a riper, drier kernel",
	"sesame water":              "drier sample",
	"sesame fibre":              "fibre by another method",
	"sunflower water":           "drier sample",
	"sunflower carbohydrate":    "fibre by another method, and carbohydrate is what is left",
	"sunflower fibre":           "fibre by another method",
	"flax water":                "drier sample",
	"flax carbohydrate":         "carbohydrate is what is left of a seed that is nearly all fat, protein and fibre",
	"brown-rice fat":            "partly milled sample",
	"white-rice fibre":          "fibre by another method (resistant starch counted)",
	"quinoa water":              "drier sample",
	"quinoa fibre":              "fibre by another method",
	"soybean water":             "drier sample",
	"soybean carbohydrate":      "oligosaccharides counted as fibre there",
	"soybean fibre":             "oligosaccharides counted as fibre there",
	"date protein":              "another variety",
	"date fibre":                "another variety",
	"dairy-milk fat":            "ours is standardised to 3.25 %, theirs as milked",
	"ginger-fresh carbohydrate": "fibre by another method, and carbohydrate is what is left",
	"ginger-fresh fibre":        "fibre by another method",
	"turmeric water":            "drier sample",
	"turmeric protein":          "another variety",
	"turmeric fat":              "volatile oil counted as fat there",
	"cardamom water":            "seeds there, pods with seeds here",
	"cardamom protein":          "seeds there, pods with seeds here",
	"cardamom fat":              "seeds there, pods with seeds here",
	"cardamom fibre":            "seeds there, pods with seeds here",
	"clove water":               "whole buds there, dried and ground here",
	"clove fat":                 "volatile oil lost in drying there",
	"clove carbohydrate":        "whole buds there, dried and ground here",
	"nutmeg water":              "whole kernels there, dried and ground here",
	"nutmeg fibre":              "fibre by another method",
	"mace water":                "whole blades there, dried and ground here",
	"mace fat":                  "whole blades there, dried and ground here",
}

// Source: Indian Food Composition Tables 2017 (National Institute of
// Nutrition, Hyderabad), an excerpt of the rows that the catalogue has.
// Components under 5 g in 100 g need only agree to 1 g.
func TestCompositionAgreesWithTheIndianTables(t *testing.T) {
	t.Parallel()
	const within, smallG = 0.20, 1.0
	file, err := os.Open("testdata/ifct2017_excerpt.csv")
	require.NoError(t, err)
	defer func() { _ = file.Close() }()
	records, err := csv.NewReader(file).ReadAll()
	require.NoError(t, err)
	met := map[string]bool{}
	for _, record := range records[1:] {
		i, ok := Standard().ByID(record[0])
		require.True(t, ok, record[0])
		for column, of := range map[string]float64{
			"water": i.PerGram[Water], "protein": i.PerGram[Protein], "fat": i.PerGram[Fat],
			"carbohydrate": i.PerGram.CarbohydrateG(), "fibre": i.PerGram[Fibre], "ash": i.PerGram[Ash],
		} {
			theirs, known := cell(records[0], record, column)
			ours := 100 * of
			if !known || math.Abs(ours-theirs) <= math.Max(within*theirs, smallG) {
				continue
			}
			key := record[0] + " " + column
			met[key] = true
			assert.Contains(t, exceptions, key, "ours %.2f g, theirs %.2f g", ours, theirs)
		}
	}
	for key := range exceptions {
		assert.True(t, met[key], "%s agrees by now: take it off the list of exceptions", key)
	}
}

// cell is a figure of the tables; 0 in them means zero or not measured.
func cell(header, record []string, column string) (float64, bool) {
	for n, name := range header {
		if name == column {
			v, err := strconv.ParseFloat(record[n], 64)
			return v, err == nil && v != 0
		}
	}
	return 0, false
}

// Source: GNU Units 2.22, grams in a US cup, compared within 5 %.
func TestBulkDensitiesAgreeWithGNUUnits(t *testing.T) {
	t.Parallel()
	for id, gPerCup := range map[string]float64{
		"white-sugar": 200, "brown-sugar": 217, "honey": 333, "molasses": 319, "dairy-milk": 242, "cocoa": 82, "salt": 288,
	} {
		i, ok := Standard().ByID(id)
		require.True(t, ok, id)
		assert.InEpsilon(t, gPerCup, i.BulkGPerML*quantity.Cup.Size(quantity.US), 0.05, id)
	}
	oil, _ := Standard().ByID("neutral-oil")
	assert.InEpsilon(t, 0.92, oil.BulkGPerML, 1e-9)
}

// The sweetness of composite sweeteners is the sum of their sugars' own.
// Figures worked by hand from the rows and Belitz, Grosch & Schieberle.
func TestSweetnessFollowsFromTheSugars(t *testing.T) {
	t.Parallel()
	for id, want := range map[string]float64{
		"white-sugar": 0.999,
		"honey":       .0089 + .3575*.69 + .4094*1.14 + .031*.63 + .0144*.46,
		"agave":       .1243*.69 + .556*1.14,
		"maple-syrup": .635 + .017*.69 + .008*1.14,
		"molasses":    .294 + .1192*.69 + .1279*1.14,
		"xylitol":     .998 * 1.02,
	} {
		i, ok := Standard().ByID(id)
		require.True(t, ok, id)
		assert.InDelta(t, want, i.PerGram.SucroseEquivalentG(), 1e-3, id)
	}
	// A gram of sucrose takes up water when it is inverted (342.30 g/mol and
	// 18.02 g of water): the invert sugar of it is as sweet as Belitz says, .95.
	invert := Content{Glucose: .5, Fructose: .5}.Times((342.30 + 18.02) / 342.30)
	assert.InEpsilon(t, .95, invert.SucroseEquivalentG(), .03)
}

// Source: 21 CFR 101.9(c)(1), general factors.
func TestEnergy(t *testing.T) {
	t.Parallel()
	c := Content{Protein: 10, Fat: 10, Sucrose: 10, Starch: 10, Fibre: 10, Xylitol: 10, Erythritol: 10, Alcohol: 10}
	assert.InDelta(t, 40+90+40+40+0+24+2+70, c.EnergyKcal(), 1e-9)
}

func TestSuggestPutsTheNearestFirst(t *testing.T) {
	t.Parallel()
	for typed, first := range map[string]string{"pec": "pecan", "coconut oil": "coconut-oil", "dat": "date", "ros": "rosewater", "barl": "barley"} {
		found := Standard().Suggest(typed, 5)
		require.NotEmpty(t, found, typed)
		assert.Equal(t, first, found[0].ID, typed)
		assert.LessOrEqual(t, len(found), 5)
	}
	assert.Empty(t, Standard().Suggest("zzz", 5))
}

// With one letter in six wrong (left out, swapped, changed or added) an
// ingredient is still among the first three found.
func TestSuggestForgivesALetterInSix(t *testing.T) {
	t.Parallel()
	for row, i := range Standard().All() {
		name := []rune(fold(i.Name))
		if len(name) < 6 {
			continue
		}
		at := 1 + row%(len(name)-2) // another place in each name
		left := string(name[:at]) + string(name[at+1:])
		swapped := string(name[:at]) + string(name[at+1]) + string(name[at]) + string(name[at+2:])
		for _, typed := range []string{left, swapped, string(name[:at]) + "q" + string(name[at+1:])} {
			assert.Contains(t, Standard().Suggest(typed, 3), i, typed)
		}
	}
}

// Common practice, no source: cashews swell by a quarter to a third.
func TestCashewsSwellByAQuarterToAThird(t *testing.T) {
	t.Parallel()
	cashew, _ := Standard().ByID("cashew")
	assert.GreaterOrEqual(t, cashew.Swelling, 1.25)
	assert.LessOrEqual(t, cashew.Swelling, 4./3)
}

func TestBlendsAreTheSumOfTheirParts(t *testing.T) {
	t.Parallel()
	pie, _ := Standard().ByID("pumpkin-pie-spice")
	require.Len(t, pie.Parts, 5)
	sum, shares := Content{}, 0.
	for _, p := range pie.Parts {
		sum, shares = sum.Plus(p.Ingredient.PerGram.Times(p.Share)), shares+p.Share
	}
	assert.InDelta(t, 1, shares, 1e-9)
	assert.InDelta(t, sum[CoumarinMg], pie.PerGram[CoumarinMg], 1e-12)
	assert.True(t, pie.Has(TagNutmeg), "a caution follows the part into the blend")
}

// From memory: skins are a twentieth of an almond, hulls 8 % of a soybean's
// dry mass; salted nuts carry about 465 mg of sodium in 100 g more.
func TestTreatments(t *testing.T) {
	t.Parallel()
	almond, _ := Standard().ByID("almond")
	assert.InDelta(t, 1-.05*(1-almond.PerGram[Water]), almond.Treated(Treatment{Skinned: true}).MassG()+1-almond.PerGram.MassG(), 1e-9)
	assert.InDelta(t, 4.65, almond.Treated(Treatment{Salted: true})[SodiumMg]-almond.PerGram[SodiumMg], .01)
	roasted := almond.Treated(Treatment{Roasted: true})
	assert.Greater(t, roasted[Fat], almond.PerGram[Fat])
	assert.InDelta(t, almond.PerGram.MassG(), roasted.MassG(), 1e-9)
	assert.InDelta(t, .02, roasted[Water]/roasted.MassG(), 1e-9, "toasted down to two per cent")
	assert.Equal(t, Treatment{Roasted: true}, TreatmentIn("almonds, roasted and unsalted"))
	assert.Equal(t, Treatment{Roasted: true, Toasted: true}, TreatmentIn("almonds, toasted"))
	baobab, _ := Standard().ByID("baobab-seed")
	assert.InDelta(t, .4, baobab.Treated(Treatment{}).MassG(), .01, "the seed never goes in")
}

func TestTheCooksOwnRow(t *testing.T) {
	t.Parallel()
	plain, err := Own{ID: "own-1", Name: "Lock-side syrup", Role: Sweetener}.Row()
	require.NoError(t, err)
	assert.True(t, plain.Bare)
	full, err := Own{ID: "own-2", Name: "Lock-side syrup", Role: Sweetener, GPerCup: new(320.), Per100G: &OwnContent{CarbohydrateG: 70, SugarsG: 65, FibreG: 1}}.Row()
	require.NoError(t, err)
	assert.InDelta(t, 1, full.PerGram.MassG(), 1e-9)
	assert.InDelta(t, .65, full.PerGram.SucroseEquivalentG(), 1e-9)
	for field, bad := range map[string]Own{
		"name":          {Role: Spice},
		"gPerCup":       {Name: "x", GPerCup: new(-1.)},
		"sugarsG":       {Name: "x", Per100G: &OwnContent{CarbohydrateG: 5, SugarsG: 6}},
		"carbohydrateG": {Name: "x", Per100G: &OwnContent{FatG: 60, CarbohydrateG: 60}},
		"fatG":          {Name: "x", Per100G: &OwnContent{FatG: math.NaN()}},
	} {
		_, err := bad.Row()
		var e *fault.Error
		require.ErrorAs(t, err, &e, field)
		assert.Equal(t, field, e.Field)
	}
}
