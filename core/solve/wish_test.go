package solve

import (
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
)

func designed(t *testing.T, w Wish) (*Designed, *reckon.Reckoning) {
	t.Helper()
	d, err := Design(w, reckon.New(""), ingredient.Standard())
	require.NoError(t, err, "%+v", w)
	r, err := d.Drink.Reckon()
	require.NoError(t, err)
	require.NotNil(t, r.Drink)
	return d, r
}

// Every kind has its dozen of tastes, and each of their parts is in the catalogue.
func TestEveryKindHasADozenTastes(t *testing.T) {
	t.Parallel()
	for _, kind := range Wishable {
		codes := FlavoursOf(kind)
		assert.GreaterOrEqual(t, len(codes), 12, kind)
		assert.Len(t, slices.Compact(slices.Sorted(slices.Values(codes))), len(codes), "%s: none twice", kind)
		for _, code := range codes {
			require.Contains(t, flavours, code)
		}
	}
	for code, parts := range flavours {
		for _, p := range parts {
			i := standard(p.ID)
			require.NotNil(t, i, "%s: %s", code, p.ID)
			if i.Usual.HighGPerL > 0 {
				assert.GreaterOrEqual(t, p.GPerL, i.Usual.LowGPerL*0.4, "%s: %s is not there at all", code, p.ID)
				assert.LessOrEqual(t, p.GPerL, i.Usual.HighGPerL, "%s: %s is too loud", code, p.ID)
			}
		}
	}
}

// What is designed lies in the bands of its kind: strength, sweetness, fat and volume.
func TestADesignHitsTheBandsOfItsKind(t *testing.T) {
	t.Parallel()
	for _, kind := range Wishable {
		for _, base := range []string{"almond", "oats", "sunflower", "white-rice", "soybean", "tiger-nut"} {
			for sweet := range 4 {
				w := Wish{Kind: kind, Bases: []*ingredient.Ingredient{standard(base)}, Sweetness: sweet, VolumeML: 900, Flavour: FlavoursOf(kind)[1]}
				d, r := designed(t, w)
				aim := aims[kind]
				assert.InEpsilon(t, 900, r.Drink.VolumeML, 0.25, "%s of %s, in quarter cups", kind, base)
				assert.InEpsilon(t, aim.cups[1], r.Ratio.ByVolume, 0.2, "%s of %s", kind, base)
				assert.GreaterOrEqual(t, r.FatPct, aim.fatPct*0.85, "%s of %s", kind, base)
				isSweetened := slices.ContainsFunc(d.Drink.Lines, func(l recipe.Line) bool { return l.Ingredient.ID == "white-sugar" })
				if to := aim.sweetG[sweet]; isSweetened { // a sweet base may need none
					assert.InDelta(t, to, r.Per100mL.SucroseEquivalentG, 0.15*to+0.6, "%s of %s", kind, base)
				}
			}
		}
	}
}

// However much is wanted, nobody is told to count out a dozen teaspoons: amounts are in the cups
// and spoons a cook would take for them.
func TestADesignIsMeasuredAsACookWould(t *testing.T) {
	t.Parallel()
	most := map[quantity.Unit]float64{quantity.Teaspoon: 6, quantity.Tablespoon: 12}
	drawer, err := quantity.Reader{}.NewDrawer(quantity.StandardDrawer, quantity.US, 1)
	require.NoError(t, err)
	for _, in := range []*quantity.Drawer{nil, &drawer} {
		like := reckon.New("")
		like.Drawer = in
		for _, kind := range Wishable {
			for idea := range 6 {
				made, err := Design(Wish{Kind: kind, Sweetness: 1 + idea%3, VolumeML: 300 + 700*float64(idea), Richness: Richer, Idea: idea}, like, ingredient.Standard())
				require.NoError(t, err)
				for _, l := range made.Drink.Lines {
					for _, term := range l.Amount.Terms() {
						ml, _ := l.Amount.Volume(quantity.US)
						isPinch := term.Unit == quantity.Pinch || term.Unit == quantity.Smidgen
						assert.False(t, isPinch && ml > 1.24 && l.Ingredient.Role != ingredient.Salt, "a quarter teaspoon and more needs no pinch: %s %d: %s %s", kind, idea, l.Amount, l.Name)
						if most, isSpoon := most[term.Unit]; isSpoon {
							assert.LessOrEqual(t, term.High, most, "%s %d: %s %s", kind, idea, l.Amount, l.Name)
						}
					}
				}
			}
		}
	}
}

// Nothing that somebody it is for must not have is ever proposed, nor its kin.
func TestADesignNeverHoldsWhatMustBeAvoided(t *testing.T) {
	t.Parallel()
	dice := rand.New(rand.NewPCG(14, 2))
	all := caution.Allergens()
	for range 80 {
		var codes []string
		for range 1 + dice.IntN(3) {
			codes = append(codes, all[dice.IntN(len(all))].Code)
		}
		kind := Wishable[dice.IntN(len(Wishable))]
		who := caution.Drinker{Name: "rower", Age: caution.Adult, Allergens: codes, Vegan: dice.IntN(2) == 0}
		w := Wish{Kind: kind, Sweetness: dice.IntN(4), VolumeML: 300 + 2000*dice.Float64(), Avoid: []caution.Drinker{who}, Idea: dice.IntN(6)}
		d, err := Design(w, reckon.New(""), ingredient.Standard())
		if err != nil {
			continue // nothing is left to make it from, which is said
		}
		like := d.Drink
		like.Drinkers = w.Avoid
		r, err := like.Reckon()
		require.NoError(t, err)
		for _, f := range r.ForWhom {
			require.False(t, f.Not, "%v with %v: %v", d.Drink.Lines, codes, f.Reasons)
		}
	}
	walnut := []caution.Drinker{{Name: "neighbour", Age: caution.Adult, Allergens: []string{"walnut"}}}
	_, err := Design(Wish{Kind: recipe.Creamer, Bases: []*ingredient.Ingredient{standard("pecan")}, VolumeML: 500, Avoid: walnut}, reckon.New(""), ingredient.Standard())
	require.Error(t, err, "pecan is kin of walnut")
}

// Each next idea is another one, what the pantry holds comes first, and what it lacks is said.
func TestIdeasDifferAndBeginWithThePantry(t *testing.T) {
	t.Parallel()
	w := Wish{Kind: recipe.Creamer, Sweetness: 1, VolumeML: 360, StockG: map[string]float64{"sunflower": 250, "barley": 300}}
	seen := map[string]bool{}
	for w.Idea = range 8 {
		d, _ := designed(t, w)
		key := d.Drink.Lines[0].Name + " " + d.Flavour
		assert.False(t, seen[key], "twice: %s", key)
		seen[key] = true
		if w.Idea < 2 {
			assert.Contains(t, []string{"Sunflower seeds", "Pearl barley"}, d.Drink.Lines[0].Name)
			for _, s := range d.Buy {
				assert.NotEqual(t, d.Drink.Lines[0].Ingredient, s.Ingredient, "it is there")
			}
			assert.NotEmpty(t, d.Buy, "there is no sugar")
		}
	}
}

// Where it would be past before it is drunk: two makings, a share frozen, or sweetened in
// the cup. Pecan drinks keep three days, two once sugar is in.
func TestWhatDoesNotLastIsOfferedThreeWays(t *testing.T) {
	t.Parallel()
	w := Wish{Kind: recipe.Creamer, Bases: []*ingredient.Ingredient{standard("pecan")}, Flavour: "plain", Sweetness: 2, VolumeML: 360, Days: 3}
	d, r := designed(t, w)
	require.NotNil(t, d.Lasting)
	assert.InDelta(t, 2, r.Keeps.CautiousDays, 0.01)
	assert.InDelta(t, 2, d.Lasting.KeepsDays, 1e-9)
	assert.Equal(t, 2, d.Lasting.Makings)
	assert.InDelta(t, 33.3, d.Lasting.FreezePct, 0.1)
	assert.InDelta(t, 3, d.Lasting.InTheCupFor, 1e-9)
	w.Days = 2
	d, _ = designed(t, w)
	assert.Nil(t, d.Lasting)
}

func TestWishesThatCannotBe(t *testing.T) {
	t.Parallel()
	for field, w := range map[string]Wish{"kind": {Kind: recipe.Brewed}, "flavour": {Kind: recipe.Milk, Flavour: "petrol"}} {
		_, err := Design(w, reckon.New(""), ingredient.Standard())
		require.ErrorContains(t, err, field)
	}
}
