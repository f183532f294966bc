package ingredient

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/quantity"
)

// How sweet a gram is beside a gram of sucrose, in solutions of about a tenth (Belitz, Grosch and
// Schieberle, Food Chemistry, from memory), and how many kcal it brings (21 CFR 101.9(c)(1)).
func TestWhatAGramBrings(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		c           Component
		sweet, kcal float64
	}{
		{Sucrose, 1, 4}, {Fructose, 1.14, 4}, {Glucose, .69, 4}, {Maltose, .46, 4}, {Lactose, .39, 4}, {Galactose, .63, 4},
		{Xylitol, 1.02, 2.4}, {Erythritol, .65, .2}, {SteviaG, 250, 0}, {MonkFruitG, 200, 0},
		{Protein, 0, 4}, {Fat, 0, 9}, {Alcohol, 0, 7}, {Starch, 0, 4}, {Fibre, 0, 0}, {Water, 0, 0}, {Ash, 0, 0},
	} {
		var c Content
		c[tt.c] = 2
		assert.InDelta(t, 2*tt.sweet, c.SucroseEquivalentG(), 1e-12, tt.c)
		assert.InDelta(t, 2*tt.kcal, c.EnergyKcal(), 1e-12, tt.c)
	}
	var c Content
	c[Sucrose], c[Maltose], c[Starch], c[Xylitol], c[Erythritol], c[Fibre] = 1, 2, 4, 8, 16, 32
	assert.InDelta(t, 3, c.SugarsG(), 1e-12)
	assert.InDelta(t, 24, c.PolyolsG(), 1e-12)
	assert.InDelta(t, 31, c.CarbohydrateG(), 1e-12, "fibre apart")
	c.Add(2, &Content{Sucrose: 3, Water: 5})
	assert.Equal(t, []float64{7, 10}, []float64{c[Sucrose], c[Water]})
	assert.InDelta(t, 79, c.MassG(), 1e-12)
}

// What was done to an ingredient before it is measured: roasting leaves two hundredths of water,
// skins are fibre, salted nuts bear 1.2 g of salt in 100 (from memory).
func TestTreatmentsByHand(t *testing.T) {
	t.Parallel()
	nut := &Ingredient{Role: Base, SkinShare: .04, PerGram: Content{Water: .05, Fat: .5, Fibre: .1, Protein: .2, Starch: .15}}
	assert.Same(t, &nut.PerGram, nut.Treated(Treatment{}))
	roasted := nut.Treated(Treatment{Roasted: true})
	assert.InDelta(t, 1, roasted.MassG(), 1e-12)
	assert.InDelta(t, .02, roasted[Water], 1e-12)
	assert.InDelta(t, .5/.95*.98, roasted[Fat], 1e-12)
	skinned := nut.Treated(Treatment{Skinned: true})
	assert.InDelta(t, .1-.04*.95, skinned[Fibre], 1e-12)
	salted := nut.Treated(Treatment{Salted: true})
	assert.InDelta(t, .012*387.6, salted[SodiumMg], 1e-12)
	assert.InDelta(t, .012, salted[Ash], 1e-12)
	sugar := &Ingredient{Role: Sweetener, PerGram: Content{Water: .2, Sucrose: .8}}
	assert.InDelta(t, .2, sugar.Treated(Treatment{Roasted: true, Salted: true})[Water], 1e-12, "only bases and flavours are roasted")
	date := &Ingredient{Role: Sweetener, StoneShare: .1, PerGram: Content{Sucrose: 1}}
	assert.InDelta(t, .9, date.Treated(Treatment{})[Sucrose], 1e-12)
	for words, want := range map[string]Treatment{
		"roasted": {Roasted: true}, "toasted": {Roasted: true, Toasted: true}, "unroasted": {}, "unsalted": {}, "not salted": {}, "lightly salted": {Salted: true},
		"blanched": {Skinned: true}, "skins rubbed off": {Skinned: true, Rubbed: true}, "rub off the skins": {Skinned: true, Rubbed: true}, "peeled": {Skinned: true},
		"sprouted": {Sprouted: true}, "unsprouted": {}, "not sprouted": {}, "roasted and salted": {Roasted: true, Salted: true}, "": {},
	} {
		assert.Equal(t, want, TreatmentIn(words), words)
	}
}

// The limits of what a label can say, each from both sides.
func TestWhatALabelCanSay(t *testing.T) {
	t.Parallel()
	usual := OwnContent{ProteinG: 10, FatG: 20, SaturatedFatG: 5, CarbohydrateG: 30, SugarsG: 10, FibreG: 5, SodiumMg: 100}
	p := func(v float64) *float64 { return &v }
	with := func(change func(*Own, *OwnContent)) Own {
		c := usual
		o := Own{ID: "own-x", Name: " Nut mix ", Role: Base, Per100G: &c}
		change(&o, &c)
		return o
	}
	for _, tt := range []struct {
		change func(*Own, *OwnContent)
		field  string
	}{
		{func(*Own, *OwnContent) {}, ""},
		{func(o *Own, _ *OwnContent) { o.Name = " " }, "name"},
		{func(o *Own, _ *OwnContent) { o.GPerCup = p(.1) }, ""},
		{func(o *Own, _ *OwnContent) { o.GPerCup = p(.09) }, "gPerCup"},
		{func(o *Own, _ *OwnContent) { o.GPerCup = p(5000) }, ""},
		{func(o *Own, _ *OwnContent) { o.GPerCup = p(5001) }, "gPerCup"},
		{func(_ *Own, c *OwnContent) { c.ProteinG = -1 }, "proteinG"},
		{func(_ *Own, c *OwnContent) { *c = OwnContent{FatG: 100} }, ""},
		{func(_ *Own, c *OwnContent) { *c = OwnContent{FatG: 101} }, "fatG"},
		{func(_ *Own, c *OwnContent) { *c = OwnContent{FatG: 100, FibreG: .5} }, ""}, // it was rounded
		{func(_ *Own, c *OwnContent) { *c = OwnContent{FatG: 100, FibreG: .6} }, "carbohydrateG"},
		{func(_ *Own, c *OwnContent) { c.SodiumMg = 40000 }, ""},
		{func(_ *Own, c *OwnContent) { c.SodiumMg = 40001 }, "sodiumMg"},
		{func(_ *Own, c *OwnContent) { c.SugarsG = 30 }, ""},
		{func(_ *Own, c *OwnContent) { c.SugarsG = 30.1 }, "sugarsG"},
		{func(_ *Own, c *OwnContent) { c.SaturatedFatG = 20 }, ""},
		{func(_ *Own, c *OwnContent) { c.SaturatedFatG = 20.1 }, "saturatedFatG"},
	} {
		_, err := with(tt.change).Row()
		if tt.field == "" {
			assert.NoError(t, err)
			continue
		}
		var wrong *fault.Error
		require.ErrorAs(t, err, &wrong, tt.field)
		assert.Equal(t, tt.field, wrong.Field)
	}
	i, err := with(func(o *Own, _ *OwnContent) { o.GPerCup, o.PieceG, o.LifeDays = p(118.294), p(7), p(4) }).Row()
	require.NoError(t, err)
	assert.Equal(t, "Nut mix", i.Name)
	assert.InDelta(t, .5, i.BulkGPerML, 1e-5, "half a gram in a mL of a US cup")
	assert.InDelta(t, 7, i.PieceG[quantity.Piece], 1e-12)
	assert.Equal(t, Life{4, 4}, i.Life)
	assert.Equal(t, []any{Nut, Grind, false}, []any{i.Class, i.Stage, i.Bare})
	want := Content{Water: .35, Protein: .1, Fat: .2, SaturatedFat: .05, Sucrose: .1, Starch: .2, Fibre: .05, SodiumMg: 1}
	for c, v := range want {
		assert.InDelta(t, v, i.PerGram[c], 1e-12, Component(c))
	}
	sweet, err := with(func(o *Own, _ *OwnContent) { o.Role = Sweetener }).Row()
	require.NoError(t, err)
	assert.Equal(t, []float64{.1, .1}, []float64{sweet.PerGram[FreeSugars], sweet.PerGram[AddedSugars]})
	assert.Equal(t, []any{Soluble, Strained}, []any{sweet.Class, sweet.Stage})
	for role, stage := range map[Role]Stage{Spice: Grind, Liquid: Grind, Salt: Grind, Flavour: Strained} {
		row, err := Own{ID: "own-y", Name: "y", Role: role}.Row()
		require.NoError(t, err)
		assert.Equal(t, stage, row.Stage, role)
		assert.True(t, row.Bare)
	}
}

// What a kitchen knows better of a row: a life only gets shorter, and what cautions go by stays.
func TestARowIsAdjusted(t *testing.T) {
	t.Parallel()
	ships := &Ingredient{ID: "x", Life: Life{CautiousDays: 3, CustomaryDays: 7}, PerGram: Content{SeleniumUg: 2, IodineUg: 3, CoumarinMg: 4, Fat: .5}}
	days := 5.
	out, err := ships.Adjusted(Own{LifeDays: &days, Per100G: &OwnContent{FatG: 10}})
	require.NoError(t, err)
	assert.Equal(t, Life{3, 5}, out.Life)
	assert.Equal(t, []float64{2, 3, 4}, []float64{out.PerGram[SeleniumUg], out.PerGram[IodineUg], out.PerGram[CoumarinMg]})
	assert.InDelta(t, .1, out.PerGram[Fat], 1e-12)
	assert.InDelta(t, .5, ships.PerGram[Fat], 1e-12, "what ships stays")
	assert.InDelta(t, 5, shorter(0, 5), 1e-12)
}

// A slip is one letter put in, left out, changed or swapped; two are forgiven in words of eight
// letters on, where the ends are right. What lies as near to two words is neither.
func TestSlipsOfTheFinger(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		a, b string
		d    int
	}{{"", "", 0}, {"oat", "oat", 0}, {"oat", "oats", 1}, {"oats", "oat", 1}, {"oat", "oar", 1}, {"almond", "almnod", 1}, {"cashew", "casehw", 1}, {"cashew", "chasew", 2}, {"abc", "cab", 2}, {"maple", "", 5}, {"vanilla", "vainlal", 2}} {
		assert.Equal(t, tt.d, distance([]rune(tt.a), []rune(tt.b)), "%s %s", tt.a, tt.b)
	}
	words := []string{"almond", "cinnamon", "vanilla", "cardamom", "hazelnut", "walnut", "maple", "mango"}
	for typed, want := range map[string]string{
		"almnd": "almond", "almonds": "almond", "alomnd": "almond", "cinammon": "cinnamon", "cinnammmon": "cinnamon", "zinnamo": "", "vanila": "vanilla", "vanllaa": "",
		"mapl": "", "mapel": "maple", "hazlnut": "hazelnut", "xyzzy": "", "cinnamno": "cinnamon",
	} {
		got, ok := NearestOf(typed, words)
		assert.Equal(t, want, got, typed)
		assert.Equal(t, want != "", ok, typed)
	}
	got, ok := NearestOf("beams", []string{"beans", "beads"})
	assert.False(t, ok, "as near to both: %s", got)
	got, _ = NearestOf("almon", []string{"almond", "salmon"})
	assert.Empty(t, got, "as near to both, and as long")
}

// A search finds the name itself first, then what begins with it, then a word of it, then a part of
// one; of the same kind a name before an alias.
// What a whole word may mean: what it is half of or more, or a long one misspelt; in the catalogue's
// order and no more than asked for.
func TestWhatAWordIsLike(t *testing.T) {
	t.Parallel()
	for word, want := range map[string]string{
		"cinn": "cinnamon", "cin": "", "moon": "", "carda": "cardamom", "carda moms": "cardamom", "pistashio": "pistachio", "pisto": "", "pista": "pistachio", "": "",
	} {
		var got []string
		for _, i := range Standard().Like(word, 1) {
			got = append(got, i.ID)
		}
		assert.Equal(t, want, strings.Join(got, " "), word)
	}
	assert.Len(t, Standard().Like("coconut", 3), 3)
}

func TestHowASearchRanks(t *testing.T) {
	t.Parallel()
	i := &Ingredient{folded: [][]rune{[]rune("oat milk"), []rune("oats drink"), []rune("avena")}}
	for key, want := range map[string]int{"oat milk": 0, "oat": 2, "avena": 1, "oats": 3, "milk": 4, "drink": 5, "ilk": 6, "vena": 7} {
		rank, ok := i.rank(key)
		assert.True(t, ok, key)
		assert.Equal(t, want, rank, key)
	}
	_, ok := i.rank("rice")
	assert.False(t, ok)
	for typed, want := range map[string]int{"aven": 1, "avana": 1, "oat mlik": 1, "oat milkk": 1, "avxxa": 2} {
		wrong, ok := i.misspelt(typed)
		assert.Equal(t, want, wrong, typed)
		assert.Equal(t, want <= (len(typed)+5)/6, ok, typed)
	}
}

// Names are brought to one spelling before they are compared.
func TestFolding(t *testing.T) {
	t.Parallel()
	for name, want := range map[string]string{"Coconut Milk": "coconut milk", "  Cow's-milk ": "cows milk", "Crème Brûlée": "creme brulee", "70% cocoa": "70 cocoa", "tiger—nut": "tiger nut", "": ""} {
		assert.Equal(t, want, fold(name))
	}
	assert.True(t, (*Ingredient)(nil).Is(nil))
	a, b := &Ingredient{ID: "x"}, &Ingredient{ID: "x"}
	assert.True(t, a.Is(b))
	assert.False(t, a.Is(nil))
	assert.False(t, (&Ingredient{}).Is(&Ingredient{}), "two without names are not the same")
	assert.False(t, a.Is(&Ingredient{ID: "y"}))
}

// The singular of what kitchens have in the plural, and what only looks like one.
func TestSingulars(t *testing.T) {
	t.Parallel()
	for plural, one := range map[string]string{
		"almonds": "almond", "cherries": "cherry", "pies": "pie", "halves": "half", "leaves": "leaf", "glasses": "glass", "radishes": "radish", "peaches": "peach", "boxes": "box", "mangoes": "mango",
		"gas": "ga", "is": "is", "us": "us", "hummus": "hummus", "molasses": "molass", "swiss": "swiss", "anis": "anis", "oats": "oat", "ices": "ice", "as": "as", "": "", "s": "s",
	} {
		assert.Equal(t, one, Singular(plural), plural)
	}
	for _, two := range []struct {
		a, b string
		same bool
	}{{"cinammon", "cinnamon", true}, {"vanillin", "vanilla", false}, {"nutmeg", "notmeg", false}, {"nutmeg", "nutmegg", true}, {"almond", "almend", true}} {
		assert.Equal(t, two.same, sameEnds(two.a, two.b), two)
	}
	for r, plain := range map[rune]rune{'a': 'a', 'é': 'e', 'ñ': 'n', 'ü': 'u', '\u007f': '\u007f'} {
		assert.Equal(t, plain, plainLetter(r), string(r))
	}
}

// A search gives the very name first, then its beginning, then a part, then slips.
func TestTheOrderOfASearch(t *testing.T) {
	t.Parallel()
	c := Standard()
	for typed, first := range map[string]string{"oats": "oats", "almond": "almond", "walnut": "walnut", "almnd": "almond"} {
		found := c.Suggest(typed, 5)
		if assert.NotEmpty(t, found, typed) {
			assert.Equal(t, first, found[0].ID, typed)
		}
	}
	assert.LessOrEqual(t, len(c.Suggest("a", 3)), 3)
	_, ok := c.ByID("Almond")
	assert.False(t, ok, "an id is written as it is")
	_, ok = c.ByID("almonds")
	assert.False(t, ok, "and a name is none")
}
