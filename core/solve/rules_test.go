package solve

import (
	"fmt"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/say"
)

// anyDrink is a drink of a base, water, a sweetener, oil, a spice and salt, as a kitchen might write it.
func anyDrink(t *testing.T, random *rand.Rand) reckon.Drink {
	t.Helper()
	one := func(of ...string) string { return of[random.IntN(len(of))] }
	d := reckontest.Drink(t,
		fmt.Sprintf("%.0f g %s", 80+150*random.Float64(), one("almonds", "cashews", "rolled oats", "pecans", "sunflower seeds", "white rice", "soybeans", "hemp seeds")),
		fmt.Sprintf("%.0f g water", 500+900*random.Float64()), fmt.Sprintf("%.0f g %s", 20+40*random.Float64(), one("maple syrup", "white sugar", "honey")),
		fmt.Sprintf("%.0f g coconut oil", 8+15*random.Float64()), fmt.Sprintf("%.1f g %s", 1+2*random.Float64(), one("cinnamon", "cardamom", "nutmeg")), "1 g salt")
	d.Kind, d.Method.Strainer = recipe.Creamer, process.Strainers()[random.IntN(len(process.Strainers()))]
	return d
}

// Asking twice for the same thing changes nothing the second time: ice, a target, spoons.
func TestAskingTwiceChangesNothing(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(8, 29))
	drawer, err := quantity.Reader{}.NewDrawer([]string{"1 cup", "1/2 cup", "1/4 cup", "1 tbsp", "1 tsp", "1/2 tsp", "1/4 tsp", "1/8 tsp"}, quantity.US, 0)
	require.NoError(t, err)
	for range 60 {
		d := anyDrink(t, random)
		turn := Turn{To: map[reckon.DialName]float64{reckon.Sweetness: 3 + 5*random.Float64()}}
		once, err := Dials(&d, turn)
		require.NoError(t, err)
		again, err := Dials(&once.Drink, turn)
		require.NoError(t, err)
		first, second := reckontest.Reckoned(t, once.Drink), reckontest.Reckoned(t, again.Drink)
		for n := range first.Lines {
			assert.InEpsilon(t, first.Lines[n].MassG, second.Lines[n].MassG, .002, "%s, turned twice", d.Lines[n].Name)
		}
		if iced, err := WithIce(&d); err == nil {
			_, err = WithIce(iced)
			assert.Error(t, err, "it is as cold as it was asked to be")
		}
		d.Drawer = &drawer
		spooned, err := ToSpoons(&d)
		require.NoError(t, err)
		twice, err := ToSpoons(&spooned.Drink)
		require.NoError(t, err)
		for _, change := range twice.Changes {
			// what would have taken the drink out of its bands may fit once the others are in spoons
			assert.Contains(t, spooned.Kept, Kept{change.Name, say.Of("spoon-leaves-bands")}, "%+v after %+v", change, spooned.Changes)
		}
	}
}

// A drink that another is made with brings all of it along: what it is made of by the gram, what it
// can do to whom, and how long it keeps.
func TestADrinkBringsEverythingAlong(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(9, 29))
	for range 60 {
		d := anyDrink(t, random)
		r := reckontest.Reckoned(t, d)
		i, ok := r.AsIngredient("own-drink-1", "Mine")
		require.True(t, ok)
		whole := reckon.New("of it")
		whole.Kind, whole.Method.Strainer, whole.Method.Heat = recipe.Creamer, process.None, process.Unheated
		whole.Lines = []recipe.Line{{Ingredient: i, Name: i.Name, Amount: quantity.Of(r.Drink.MassG, quantity.Gram)}}
		of := reckontest.Reckoned(t, whole)
		assert.InEpsilon(t, r.Drink.VolumeML, of.Drink.VolumeML, .001)
		assert.InEpsilon(t, r.FatPct, of.FatPct, 1e-9)
		assert.InEpsilon(t, r.Per100mL.SucroseEquivalentG, of.Per100mL.SucroseEquivalentG, .001)
		assert.InEpsilon(t, r.Per100mL.EnergyKcal, of.Per100mL.EnergyKcal, .001)
		assert.ElementsMatch(t, r.Allergens, of.Allergens)
		assert.Equal(t, *r.Vegan, *of.Vegan)
		// its sugar shortens its life, and once more that of what is made with it: the safer of the two
		assert.LessOrEqual(t, of.Keeps.CautiousDays, r.Keeps.CautiousDays+1e-9)
		assert.GreaterOrEqual(t, of.Keeps.CautiousDays, .75*r.Keeps.CautiousDays)
		for _, c := range []ingredient.Component{ingredient.SeleniumUg, ingredient.IodineUg, ingredient.CoumarinMg} {
			brought := 0.
			for _, w := range r.Batch.Lines {
				brought += w.Per[c] * w.MassG
			}
			assert.InDelta(t, brought, i.PerGram[c]*r.Drink.MassG, 1e-9)
		}
		told := map[string]bool{}
		for _, c := range of.Cautions {
			told[c.Code] = true
		}
		for _, c := range r.Cautions {
			switch c.Code {
			case "honey", "nutmeg", "coumarin", "raw-soy", "selenium":
				assert.True(t, told[c.Code], "%s of %s goes unsaid", c.Code, d.Lines[0].Name)
			}
		}
	}
}
