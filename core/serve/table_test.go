package serve

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/reckon/reckontest"
)

// Every rung by its ratio of base to water in cups (common practice) and every name of dairy by
// its least fat: 21 CFR 131.150, .157, .155, .180 and .110.
func TestEveryRungOfTheLadder(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "4 cups macadamias", "1 cup water", "200 g coconut oil"))
	require.Greater(t, r.FatPct, 36.)
	var said []string
	for _, rung := range Ladder(r) {
		said = append(said, rung.Name.String())
		if rung.Note.Code == "rung-rule" {
			least := map[string]float64{"dairy-heavy-cream": 36, "dairy-light-whipping-cream": 30, "dairy-light-cream": 18, "dairy-half-and-half": 10.5, "dairy-milk": 3.25}[rung.Name.Code]
			assert.InDelta(t, least, rung.Note.Args[0], 1e-9, "and says so")
			assert.InDelta(t, least, rung.FatPct, 1e-6, rung.Name.String())
		}
		if rung.Note.Code == "by-cups" {
			ratio := rung.Name.Args[0].(float64)
			assert.InDelta(t, (ratio-r.Ratio.ByVolume)*r.Batch.BaseML*.9982, rung.WaterG, 1e-6, "so much more water is in it")
			assert.InDelta(t, r.Drink.VolumeML+rung.WaterG/.9982, rung.ML, .02*rung.ML)
		}
	}
	assert.ElementsMatch(t, []string{
		"rung-paste(0.5)", "rung-sauce(0.75)", "rung-cream(1)", "rung-creamer(1.5)", "rung-creamer(2)", "rung-rich-milk(3)", "rung-milk(4)", "rung-light(5)", "rung-light(6)",
		"dairy-heavy-cream()", "dairy-light-whipping-cream()", "dairy-light-cream()", "dairy-half-and-half()", "dairy-milk()",
	}, tidy(said))
}

// tidy writes names without arguments with their brackets.
func tidy(names []string) []string {
	out := make([]string, len(names))
	for n, name := range names {
		if out[n] = name; name[len(name)-1] != ')' {
			out[n] = name + "()"
		}
	}
	return out
}

// A concentrate in a glass of 200 mL, four tablespoons of 15 mL down to one.
func TestEverySpoonOfAConcentrate(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "1 cup pistachios", "1 1/2 cups water", "600 g white sugar, after straining"))
	rungs := Ladder(r)
	require.Len(t, rungs, 4)
	for n, spoons := range []float64{4, 3, 2, 1} {
		want := fmt.Sprintf("spoons-to-a-glass(%g)", spoons)
		if spoons == 1 {
			want = "spoon-to-a-glass"
		}
		assert.Equal(t, want, rungs[n].Name.String())
		assert.InDelta(t, r.Drink.VolumeML/(spoons*15)*200*.9982, rungs[n].WaterG, 1e-6)
	}
}

// A spoonful in a cup, worked by hand from the drink's own figures: what is in the cup is what was
// in the spoon, in the volume of both.
func TestWhatASpoonBringsIntoTheCup(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, reckontest.Flask...))
	share := 60 / r.Drink.VolumeML
	cup, err := Serve(r, Cup{Into: IntoWater, SpoonML: 60, CupML: 180, CupC: 20})
	require.NoError(t, err)
	assert.InDelta(t, 240, cup.TotalML, 4)
	assert.InDelta(t, share*r.Batch.Finished.SucroseEquivalentG(), cup.SweetInAllG, 1e-9)
	assert.InDelta(t, 100*cup.SweetInAllG/cup.TotalML, cup.SweetG, 1e-9)
	assert.InDelta(t, 100*share*r.Batch.Finished[ingredient.Fat]/(share*r.Batch.Finished.MassG()+180*.9982), cup.FatPct, .02)
	assert.InDelta(t, share*r.Batch.Finished[ingredient.FreeSugars], cup.FreeSugarsG, 1e-9)
	assert.InDelta(t, share*r.Batch.Finished.EnergyKcal(), cup.EnergyKcal, .5)
	assert.InDelta(t, 20-cup.FinalC, cup.DropC, 1e-9)
	assert.Empty(t, cup.SplitRisk, "water splits nothing")
	ice, err := Serve(r, Cup{Into: OverIce, SpoonML: 60, CupC: 8})
	require.NoError(t, err)
	assert.InDelta(t, 8, ice.DropC, 1e-9)
	assert.InDelta(t, 60+ice.MeltedG, ice.TotalML, 2)
	for _, c := range []struct {
		cup   Cup
		field string
	}{
		{Cup{Into: IntoCoffee, CupC: 100}, ""}, {Cup{Into: IntoCoffee, CupC: 100.1}, "cupC"}, {Cup{Into: IntoWater, CupC: -.1}, "cupC"},
		{Cup{Into: IntoWater, SpoonML: 5000}, ""}, {Cup{Into: IntoWater, SpoonML: 5001}, "spoonML"}, {Cup{Into: IntoWater, SpoonML: -1}, "spoonML"},
		{Cup{Into: IntoMilk, CupML: 5000}, ""}, {Cup{Into: IntoMilk, CupML: 5001}, "cupML"},
	} {
		_, err := Serve(r, c.cup)
		if c.field == "" {
			assert.NoError(t, err, c.cup)
			continue
		}
		assert.ErrorContains(t, err, c.field, c.cup)
	}
}

// What is pressed again comes out of the pulp and the water: nothing is made, nothing is lost.
func TestWhatIsPressedAgain(t *testing.T) {
	t.Parallel()
	r := reckontest.Reckoned(t, reckontest.Drink(t, "2 cups almonds", "2 cups water"))
	second, err := PressAgain(r, 500)
	require.NoError(t, err)
	milkG := second.ML * 1.005
	assert.InDelta(t, r.Pulp.WetG+500, milkG+second.PulpG, 25, "but for what stays on the walls")
	assert.Greater(t, second.ProteinPct, 0.)
	assert.Less(t, second.ProteinPct, second.FatPct, "almonds have more than twice as much fat as protein")
	assert.InDelta(t, r.Batch.Finished[ingredient.Fat]/r.Batch.Finished[ingredient.Protein], second.FatPct/second.ProteinPct, 1, "in the proportions of the first")
	for _, waterG := range []float64{0, -1, recipe.MaxScaleG + 1} {
		_, err := PressAgain(r, waterG)
		assert.Error(t, err, waterG)
	}
}
