package caution

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
)

// How like two words are, by hand: the same, a beginning, a part from three letters on, and slips
// of which a word of three letters may have one and one of nine two.
func TestHowLikeTwoWordsAre(t *testing.T) {
	t.Parallel()
	for two, want := range map[[2]string]int{
		{"egg", "egg"}: 0, {"eg", "egg"}: 1, {"gg", "egg"}: -1, {"nut", "walnut"}: 2, {"alnut", "walnut"}: 2,
		{"ryx", "rye"}: 3, {"ry", "rye"}: 1, {"xx", "rye"}: -1, {"rxx", "rye"}: -1,
		{"cashww", "cashew"}: 3, {"caxhww", "cashew"}: -1, {"hazelnxxt", "hazelnut"}: 4, {"hazxlnxxt", "hazelnut"}: -1,
	} {
		assert.Equal(t, want, likeness(two[0], two[1]), two)
	}
	for two, want := range map[[2]string]int{{"", ""}: 0, {"a", ""}: 1, {"", "ab"}: 2, {"kitten", "sitting"}: 3, {"almond", "almonds"}: 1, {"almonds", "almond"}: 1, {"ab", "ba"}: 2, {"sunday", "saturday"}: 3} {
		assert.Equal(t, want, distance(two[0], two[1]), two) // kitten and Saturday: the worked examples of Wagner and Fischer's algorithm
	}
}

// What was typed may mean several: the likeliest first, and as many as a refusal names.
func TestWhatAWordMayMean(t *testing.T) {
	t.Parallel()
	codes := func(typed string) (codes []string) {
		for _, a := range FindAllergens(typed) {
			codes = append(codes, a.Code)
		}
		return codes
	}
	assert.Equal(t, []string{"nuts"}, codes("nut")[:1], "the word itself before those it is a part of")
	assert.Equal(t, []string{"milk"}, codes("milk"), "whole before a part")
	assert.Equal(t, []string{"pecan"}, codes("pecn"))
	assert.Equal(t, []string{"rye"}, codes("ryex")[:1])
	assert.Len(t, codes(""), len(allergens))
	assert.Empty(t, codes("concrete"))
	_, err := ReadAllergens("avoid", []string{"sesame", "", "sesame seeds", "coc"})
	assert.Equal(t, "unknown-allergen", fault.Code(err))
	read, err := ReadAllergens("avoid", []string{"Sesame", " ", "tahini", "no milk"})
	assert.NoError(t, err)
	assert.Equal(t, []string{"sesame", "milk"}, read, "each once")
	assert.Len(t, likely("s"), suggested)
	assert.Equal(t, []string{"Brazil nut", "all tree nuts", "egg"}, NamesOf([]string{"brazil-nut", "?", "tree-nuts", "egg"}))
}

// What a day of 240 mL brings and lacks of each, by hand from per100mL: a fortified carton holds
// 1 g, 120 mg, 22.5 µg, .38 µg and .75 µg in 100 mL, cow's milk 3.5, 120, 30, .9 and 0.
func TestADayBesideACarton(t *testing.T) {
	t.Parallel()
	almond, _ := ingredient.Standard().ByID("almond")
	gaps := Gaps(Drunk{DayML: 240, BatchML: 800, ProteinG: .5, BasesG: map[*ingredient.Ingredient]float64{almond: 100}})
	for n, want := range []Gap{
		{Nutrient: Protein, Unit: "g", Here: 1.2, Known: true, Carton: 2.4, CowsMilk: 8.4, LessThanTheCarton: 1.2},
		{Nutrient: Calcium, Unit: "mg", Here: almond.CalciumMg * 240 / 800, Known: true, Carton: 288, CowsMilk: 288, LessThanTheCarton: 288 - almond.CalciumMg*240/800},
		{Nutrient: Iodine, Unit: "µg", Known: true, Carton: 54, CowsMilk: 72, LessThanTheCarton: 54},
		{Nutrient: B12, Unit: "µg", Known: true, Carton: .912, CowsMilk: 2.16, LessThanTheCarton: .912},
		{Nutrient: D, Unit: "µg", Known: true, Carton: 1.8, LessThanTheCarton: 1.8},
	} {
		got := gaps[n]
		for _, f := range [][2]float64{{want.Here, got.Here}, {want.Carton, got.Carton}, {want.CowsMilk, got.CowsMilk}, {want.LessThanTheCarton, got.LessThanTheCarton}} {
			assert.InDelta(t, f[0], f[1], 1e-9, want.Nutrient)
		}
		assert.Equal(t, [3]any{want.Nutrient, want.Unit, want.Known}, [3]any{got.Nutrient, got.Unit, got.Known})
	}
	// nineteen twentieths of a carton's are near enough, and what is there may be unknown
	for protein, lacks := range map[float64]float64{.95: 0, .949: .1224} {
		assert.InDelta(t, lacks, Gaps(Drunk{DayML: 240, BatchML: 800, ProteinG: protein})[0].LessThanTheCarton, 1e-9)
	}
	bare := Gaps(Drunk{DayML: 240, BatchML: 800})
	assert.False(t, bare[1].Known, "of no base nobody knows the calcium")
	assert.Zero(t, bare[1].LessThanTheCarton)
	assert.False(t, Gaps(Drunk{DayML: 240, BasesG: map[*ingredient.Ingredient]float64{almond: 100}})[1].Known, "nor of no batch")
	half := Gaps(Drunk{DayML: 240, BatchML: .8, BasesG: map[*ingredient.Ingredient]float64{almond: .1}})
	assert.True(t, half[1].Known)
	assert.InDelta(t, almond.CalciumMg*.1/100*240/.8, half[1].Here, 1e-9)
}

// Two are equally near to a limit: the first of them is named. Who will not drink it does not
// count, and where nobody is left it is held against anyone.
func TestWhoIsNearestToALimit(t *testing.T) {
	t.Parallel()
	limit := func(p Drinker) float64 { return p.WeightKG }
	for name, c := range map[string]struct {
		drinkers    []Drinker
		who         string
		value, most float64
	}{
		"the smaller limit":    {[]Drinker{{Name: "a", WeightKG: 60}, {Name: "b", WeightKG: 20}}, "b", 5, 20},
		"more glasses":         {[]Drinker{{Name: "a", WeightKG: 60, ServingsDay: 4}, {Name: "b", WeightKG: 20}}, "a", 20, 60},
		"equally near":         {[]Drinker{{Name: "a", WeightKG: 40, ServingsDay: 2}, {Name: "b", WeightKG: 20}}, "a", 10, 40},
		"who does not want it": {[]Drinker{{Name: "a", WeightKG: 60}, {Name: "b", WeightKG: 20, Allergens: []string{"almond"}}}, "a", 5, 60},
	} {
		almond, _ := ingredient.Standard().ByID("almond")
		d := Drink{Drinkers: c.drinkers, Parts: []Part{{Ingredient: almond, MassG: 1}}}
		who, value, most := d.nearest(5, limit)
		assert.Equal(t, c.who, who, name)
		assert.InDelta(t, c.value, value, 1e-9, name)
		assert.InDelta(t, c.most, most, 1e-9, name)
		none := Drink{Drinkers: c.drinkers}
		who, value, _ = none.nearest(0, limit)
		assert.Equal(t, c.drinkers[0].Name, who, "nothing of it is a share too")
		assert.Zero(t, value)
	}
	nobody := Drink{}
	assert.Equal(t, 0., nobody.most(func(Drinker) float64 { return 0 }))
	assert.Equal(t, .4, nobody.most(func(Drinker) float64 { return .4 }))
}

// Half a gram of poppy seeds for each kg a day, from half of that on raised, by the weights of the
// ages and by one's own; never for those who may be under five.
func TestPoppySeedsByWeight(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		p           Drinker
		g, limitG   float64
		raised, not bool
	}{
		{Drinker{Name: "a", Age: Adult}, 14.9, 30, false, false}, {Drinker{Name: "a", Age: Adult}, 15, 30, true, false}, {Drinker{Name: "a", Age: Adult}, 30.1, 30, true, true},
		{Drinker{Name: "a", Age: Adult, WeightKG: 80}, 30.1, 40, true, false}, {Drinker{Name: "a", Age: Adult, ServingsDay: 2}, 15.1, 30, true, true},
		{Drinker{Name: "a", Age: To10}, 6.9, 14, false, false}, {Drinker{Name: "a", Age: To6}, 1, 9, false, true}, {Drinker{Name: "a", Age: To3}, 1, 6, false, true}, {Drinker{Name: "a", Age: Infant}, 1, 4, false, true},
	} {
		d := glass(t, map[string]float64{"poppy-seed": c.g * 10}, c.p)
		d.ServingML = 100 // a tenth of the batch
		found, ok := find(t, d, "poppy")
		assert.True(t, ok)
		assert.InDelta(t, c.limitG, *found.Limit, 1e-9, c)
		assert.Equal(t, c.raised, found.Raised, c)
		assert.Equal(t, c.not, ForWhom(d)[0].Not, c)
	}
}

// Loose oil by the gram: a drink of half a gram counts as one of a gram, so that nothing is
// divided by next to nothing.
func TestLooseOil(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		oilG, batchG float64
		said         bool
	}{{looseOilPct, 100, false}, {looseOilPct * 1.01, 100, true}, {looseOilPct * .006, .5, false}, {looseOilPct * .011, .5, true}} {
		_, said := separates(&Drink{AddedOilG: c.oilG, BatchG: c.batchG})
		assert.Equal(t, c.said, said, c)
	}
	_, said := separates(&Drink{AddedOilG: 50, BatchG: 100, Heated: true})
	assert.False(t, said, "heat holds it")
}

// Cashew with pistachio and pecan with walnut cross-react, either way, and no others; who was cleared
// of the kin by an allergist may have it, and still not the thing itself.
func TestKin(t *testing.T) {
	t.Parallel()
	kin := map[[2]string]bool{{"cashew", "pistachio"}: true, {"pistachio", "cashew"}: true, {"pecan", "walnut"}: true, {"walnut", "pecan"}: true}
	for _, a := range allergens {
		for _, b := range allergens {
			if len(a.Of) == 0 && len(b.Of) == 0 {
				assert.Equal(t, kin[[2]string{a.Code, b.Code}], a.IsKinOf(b), "%s and %s", a.Code, b.Code)
			}
			assert.Equal(t, a.Code == b.Code || slices.Contains(a.Of, b.Code), a.Covers(b), "%s and %s", a.Code, b.Code)
		}
	}
	for _, c := range []struct {
		avoid, cleared []string
		in, reason     string
	}{
		{[]string{"walnut"}, nil, "pecan", "contains-kin"}, {[]string{"walnut"}, []string{"pecan"}, "pecan", ""}, {[]string{"walnut"}, []string{"cashew"}, "pecan", "contains-kin"},
		{[]string{"walnut"}, []string{"walnut"}, "walnut", "contains-allergen"}, {[]string{"tree-nuts"}, []string{"pecan"}, "pecan", "contains-allergen"}, {[]string{"cashew"}, nil, "pistachio", "contains-kin"},
		{[]string{"peanut"}, nil, "pecan", ""}, {nil, nil, "pecan", ""},
	} {
		d := glass(t, map[string]float64{c.in: 50}, Drinker{Name: "a", Age: Adult, Allergens: c.avoid, Cleared: c.cleared})
		who := ForWhom(d)[0]
		assert.Equal(t, c.reason != "", who.Not, c)
		if who.Not {
			assert.Equal(t, c.reason, who.Reasons[0].Code, c)
		}
	}
}

// Of a batch of no volume nobody gets anything, and what is not in it is not told of.
func TestNothingOfIt(t *testing.T) {
	t.Parallel()
	assert.Zero(t, (&Drink{ServingML: 200}).perServing(50))
	assert.InDelta(t, 25, (&Drink{ServingML: .5, BatchML: 1}).perServing(50), 1e-12)
	for _, code := range []string{"nutmeg", "coumarin", "poppy", "free-sugars", "selenium", "iodine"} {
		_, ok := find(t, glass(t, map[string]float64{"oats": 50}), code)
		assert.False(t, ok, code)
	}
	for id, code := range map[string]string{"nutmeg": "nutmeg", "cinnamon": "coumarin", "poppy-seed": "poppy"} {
		_, ok := find(t, glass(t, map[string]float64{id: .8}), code)
		assert.True(t, ok, "%s from less than a gram on", id)
	}
}
