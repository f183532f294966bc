package reckon

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/caution"
	"plushladle/core/ingredient"
	"plushladle/core/recipe"
	"plushladle/core/say"
)

// figured is a reckoning of 500 mL with figures of which each is another.
func figured() *Reckoning {
	yes := true
	almonds := &ingredient.Ingredient{Name: "Almonds", Role: ingredient.Base}
	cinnamon := &ingredient.Ingredient{Name: "Cinnamon", Role: ingredient.Spice}
	r := &Reckoning{
		Kind: recipe.Milk, Ratio: &Ratio{ByVolume: 4}, Drink: &Made{MassG: 510, VolumeML: 500}, FatPct: 3,
		Per100mL:  Nutrition{SucroseEquivalentG: 5, EnergyKcal: 40, ProteinG: 1.5, SaturatedFatG: .4, CarbohydrateG: 6, SugarsG: 4.5, FreeSugarsG: 4, FibreG: .3, SodiumMg: 25},
		Servings:  Servings{Count: 2, SizeML: 250},
		Cost:      Cost{Known: true, Batch: 2, PerLitre: 4},
		Allergens: []string{"almond"}, Vegan: &yes,
		Batch: &Batch{Lines: []Weighed{
			{Line: &recipe.Line{Ingredient: almonds}, MassG: 100}, {Line: &recipe.Line{Ingredient: cinnamon}, MassG: 2},
		}},
	}
	r.Keeps.CautiousDays, r.Keeps.CustomaryDays = 3, 5
	return r
}

func TestCompareByHand(t *testing.T) {
	t.Parallel()
	a, b := figured(), figured()
	b.Per100mL.SucroseEquivalentG, b.FatPct, b.Per100mL.SodiumMg = 10, 3.04, 25.2
	b.Ratio, b.Cost.PerLitre, b.Kind, b.Vegan = nil, 5, recipe.Nog, nil
	b.Batch.Lines[0].MassG = 80
	no := false
	type told struct {
		name          string
		a, b          float64
		unit, aw, bw  string
		differs, both bool
	}
	var got []told
	for _, row := range Compare(a, b) {
		got = append(got, told{row.Name.String(), row.A, row.B, row.Unit, row.AText.String(), row.BText.String(), row.Differs, row.AKnown && row.BKnown})
	}
	assert.Equal(t, []told{
		{"row-strength", 4, 0, "cups", "", "", true, false}, // all of it
		{"row-vegan", 0, 0, "", "yes", "not-known", true, false},
		{"row-kind", 0, 0, "", "kind-milk", "kind-nog", true, false},
		{"row-sweetness", 5, 10, "g/100 mL", "", "", true, true},       // by half
		{"row-cost", 4, 5, "", "", "", true, true},                     // by a fifth
		{"as-written(Almonds)", 20, 16, perLine, "", "", true, true},   // likewise: 100 and 80 g in 500 mL
		{"row-fat", 3, 3.04, "%", "", "", false, true},                 // by more than a hundredth, but by less than .05
		{"row-spice", 4, 4, "g/L", "", "", false, true},                // 2 g in half a litre
		{"row-energy", 40, 40, "kcal", "", "", false, true},            // from here on nothing differs
		{"row-protein", 1.5, 1.5, "g", "", "", false, true},            //
		{"row-saturated-fat", .4, .4, "g", "", "", false, true},        //
		{"row-carbohydrate", 6, 6, "g", "", "", false, true},           //
		{"row-sugars", 4.5, 4.5, "g", "", "", false, true},             //
		{"row-free-sugars", 4, 4, "g", "", "", false, true},            //
		{"row-fibre", .3, .3, "g", "", "", false, true},                //
		{"row-sodium", 25, 25.2, "mg", "", "", false, true},            // by .2, but by less than a hundredth
		{"row-keeps-cautious", 3, 3, "days", "", "", false, true},      //
		{"row-keeps-customary", 5, 5, "days", "", "", false, true},     //
		{"as-written(Cinnamon)", .4, .4, perLine, "", "", false, true}, //
		{"row-contains", 0, 0, "", "list([almond])", "list([almond])", false, false},
	}, got)
	b.Vegan, b.Allergens = &no, nil
	b.Batch.Lines = b.Batch.Lines[:1]
	b.Batch.Lines[0].MassG = 100.04
	rows := map[string]Row{}
	for _, row := range Compare(a, b) {
		rows[row.Name.String()] = row
	}
	assert.Equal(t, "no", rows["row-vegan"].BText.String())
	assert.Equal(t, "no-listed-allergen", rows["row-contains"].BText.String())
	assert.True(t, rows["as-written(Cinnamon)"].Differs, "it is only in one of them")
	assert.False(t, rows["as-written(Almonds)"].Differs, "8 mg in 100 mL are told, but by a hundredth they do not differ")
}

func TestTheWorstIsToldFirst(t *testing.T) {
	t.Parallel()
	before, after := figured(), figured()
	assert.Empty(t, Worst(before, after))
	after.Allergens = []string{"almond", "walnut"}
	before.ForWhom = []caution.For{{Name: "Robin", Not: true}, {Name: "Kim"}}
	after.ForWhom = []caution.For{{Name: "Robin", Not: true}, {Name: "Kim", Not: true}}
	nutmeg := caution.Caution{Code: "nutmeg", Text: say.Of("nutmeg")}
	raised := caution.Caution{Code: "nutmeg", Text: say.Of("nutmeg-raised"), Raised: true}
	before.Cautions, after.Cautions = []caution.Caution{nutmeg}, []caution.Caution{raised, {Code: "honey", Text: say.Of("honey")}}
	after.Keeps.CautiousDays = 2.5
	want := []say.Text{
		say.Of("adds-allergen", []string{"walnut"}), say.Of("no-longer-for", []string{"Kim"}), say.Of("nutmeg-raised"), say.Of("honey"), say.Of("cautious-days-go", 3, 2.5),
	}
	assert.Equal(t, want, Worst(before, after))
	before.Cautions = []caution.Caution{raised}
	after.Cautions = []caution.Caution{nutmeg}
	after.Keeps.CautiousDays = 2.96
	assert.Equal(t, want[:2], Worst(before, after), "what was worse before is no news, nor is a hundredth of a day")
	after.Keeps.CautiousDays = 0
	assert.Equal(t, append(want[:2:2], say.Of("life-becomes-unknown")), Worst(before, after))
	after.Keeps.CautiousDays = 4
	assert.Len(t, Worst(before, after), 2, "that it keeps longer is not the worst")
}

func TestWhatElseAChangeDoes(t *testing.T) {
	t.Parallel()
	before, after := figured(), figured()
	no := false
	assert.Empty(t, Changes(before, after))
	after.Allergens, after.Vegan = nil, &no
	after.Per100mL = Nutrition{SucroseEquivalentG: 5.06, ProteinG: 1.46, EnergyKcal: 40.4, FreeSugarsG: 4.04}
	after.FatPct, after.Cost.PerLitre = 4, 4.5
	after.Keeps.CautiousDays, after.Keeps.CustomaryDays = 3.5, 4
	after.Servings.SizeML = 30 // a serving of the size it had counts
	assert.Equal(t, []say.Text{
		say.Of("takes-out", []string{"almond"}), say.Of("no-longer-vegan"), say.Of("sweetness-goes", 5, 5.06), say.Of("fat-goes", 3, 4),
		say.Of("free-sugars-go", 10, 10.1, 250), say.Of("cautious-days-go", 3, 3.5), say.Of("customary-days-go", 5, 4), say.Of("cost-goes", 4, 4.5),
	}, Changes(before, after))
	after.Per100mL.EnergyKcal = 40.6
	assert.Contains(t, Changes(before, after), say.Of("energy-goes", 40, 41), "as they are shown, whole")
	before.Vegan, after.Vegan = &no, before.Vegan
	after.Cost.Unpriced = []string{"Mace"}
	after.Keeps.CautiousDays = 1
	got := Changes(before, after)
	assert.Contains(t, got, say.Of("becomes-vegan"))
	assert.Equal(t, say.Of("no-price-known", []string{"Mace"}), got[len(got)-1])
	assert.NotContains(t, say.Strings(got), "cost-goes", "a price that lacks a line is none to compare")
	assert.NotContains(t, say.Strings(got), "cautious-days-go", "what is worse stands elsewhere")
	before.Vegan = nil
	assert.NotContains(t, say.Strings(Changes(before, after)), "vegan", "it was not known")
}

// Two makings are apart where the figures are, as they are shown: whole millilitres and milligrams, tenths of the rest.
func TestWhereTwoMakingsComeApart(t *testing.T) {
	t.Parallel()
	from, to := figured(), figured()
	to.Drink = &Made{VolumeML: 500.4}
	to.FatPct, to.Per100mL.ProteinG, to.Per100mL.SodiumMg = 3.04, 1.54, 25.4
	assert.Empty(t, Apart(from, to), "nothing of it shows")
	to.Drink.VolumeML = 501
	to.Per100mL.SucroseEquivalentG, to.FatPct, to.Per100mL.ProteinG, to.Per100mL.SodiumMg = 5.1, 3.1, 1.6, 26
	assert.Equal(t, []say.Text{
		say.Of("volume-instead", 501, 500), say.Of("sweetness-instead", 5.1, 5), say.Of("fat-instead", 3.1, 3), say.Of("protein-instead", 1.6, 1.5), say.Of("sodium-instead", 26, 25),
	}, Apart(from, to))
	to.Drink = nil
	require.Nil(t, Apart(from, to))
	require.Nil(t, Apart(to, from))
}
