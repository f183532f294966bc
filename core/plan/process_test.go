package plan

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/fault"
	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/say"
)

// randomDrink is any drink, reckoned.
func randomDrink(t *testing.T, random *rand.Rand) (reckon.Drink, *reckon.Reckoning) {
	t.Helper()
	d := reckontest.Random(t, random.IntN)
	return d, reckontest.Reckoned(t, d)
}

// Every line goes in, whole, by the steps that name it; what is never left out is
// there, and nothing is bottled or chilled before it is done.
func TestEveryLineGoesInByItsSteps(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(7, 11))
	for range 1500 {
		d, r := randomDrink(t, random)
		if r.Drink == nil {
			continue // all of the liquid is in the pulp
		}
		steps := Steps(&d, r, Room{TempC: 20}, OnTheBench)
		told := ""
		in := make([]float64, len(d.Lines))
		for _, s := range steps {
			told += string(s.Kind) + " > "
			for _, a := range s.Amounts {
				if !a.Extra && !a.Soaked {
					in[a.At] += a.MassG
				}
			}
		}
		for n, l := range r.Lines {
			require.InDelta(t, l.MassG, in[n], .1, "%s of %s", d.Lines[n].Name, told)
		}
		at := func(k Kind) int { return slices.IndexFunc(steps, func(s Step) bool { return s.Kind == k }) }
		l := &r.Made.Layout
		cool := -1 // the drink's own: what was brewed cools before
		for n, s := range steps {
			if s.Kind == Cool && s.TempC > 0 {
				cool = n
			}
		}
		require.Equal(t, l.IsGround && d.Method.Strainer != process.Juicer, at(Grind) >= 0 || at(Crush) >= 0, "the blender runs for what is ground: %s", told)
		require.Equal(t, len(l.Soaked) > 0, at(Drain) >= 0, "what is soaked in water that is poured away is drained: %s", told)
		require.Equal(t, l.Heat != process.Unheated, at(Heat) >= 0 && cool > at(Heat), "what is heated is cooled: %s", told)
		if cool >= 0 && !(d.Method.HotFill && r.Made.HeatedC >= 85) && l.Heat != process.Unheated {
			require.Less(t, cool, at(Bottle), told)
		}
		require.Less(t, at(Bottle), at(Chill), told)
		if at(Bloom) >= 0 {
			require.Less(t, at(Bloom), at(StirIn), told)
		}
		if d.Method.Strainer == process.None {
			require.Negative(t, at(Strain), told)
		}
	}
}

// What the outside look found, one by one, as a cook would say it.
func TestWhatTheMethodGotWrong(t *testing.T) {
	t.Parallel()
	kindsOf := func(way func(*reckon.Drink), lines ...string) (out []Kind, all []Step) {
		d, r := drink(t, way, lines...)
		all = Steps(&d, r, Room{TempC: 20}, OnTheBench)
		return kinds(Lane{Steps: timeless(all)}), all
	}
	named := func(all []Step, k Kind) string {
		said := ""
		for _, s := range all {
			if s.Kind == k {
				said += s.Title.String() + " "
				for _, a := range s.Amounts {
					said += a.Name + " "
				}
			}
		}
		return strings.ToLower(said)
	}
	unstrained, all := kindsOf(func(d *reckon.Drink) { d.Method.Strainer = process.None }, "1 cup cashews", "1 1/4 cups water", "2 dates")
	assert.Contains(t, unstrained, Grind, "an unstrained drink is still blended")
	assert.Contains(t, unstrained, Pit, "dates are looked over for stones")
	assert.Contains(t, named(all, Grind), "water")
	assert.Contains(t, named(all, Grind), "date")
	seaweed, all := kindsOf(nil, "1 cup almonds", "2 g seaweed, in the soaking water", "4 cups water")
	assert.Contains(t, seaweed, Drain)
	assert.NotContains(t, named(all, Grind), "seaweed", "it goes out with the soak water")
	juiced, _ := kindsOf(func(d *reckon.Drink) { d.Method.Strainer = process.Juicer }, "1 cup tiger nuts", "3 cups water")
	assert.Contains(t, juiced, Juice)
	assert.NotContains(t, juiced, Grind, "a juicer is no blender")
	baobab, _ := kindsOf(nil, "100 g baobab on the seed", "4 cups hot water")
	assert.Contains(t, baobab, WhiskOff)
	assert.NotContains(t, baobab, Grind, "the seeds never meet a blade")
	coarse, all := kindsOf(func(d *reckon.Drink) { d.Method.Coarse = true }, "1 cup white rice", "1 cinnamon stick", "4 cups water")
	assert.NotContains(t, coarse, Soak, "it is crushed dry")
	assert.NotContains(t, named(all, Crush), "cinnamon", "a stick is not crushed")
	brewed, _ := kindsOf(nil, "1 cup pecans", "2 cups water", "1 cup hot tea, to brew")
	assert.Contains(t, brewed, PourIn, "what is brewed is poured in")
	served, _ := kindsOf(nil, "1 cup pecans", "2 cups water", "1 tsp cinnamon, to serve")
	assert.Equal(t, Serve, served[len(served)-1])
	_, all = kindsOf(func(d *reckon.Drink) { d.Method.Strainer = process.Sieve }, "200 g almonds", "600 g water", "600 g coconut water, after straining")
	for _, s := range all {
		if s.Kind == Strain {
			assert.Equal(t, 2, s.Loads, "only what is in the jug is strained, not what joins it")
		}
	}
	soy, _ := kindsOf(nil, "1 cup soybeans", "4 cups water")
	assert.Less(t, slices.Index(soy, Cool), slices.Index(soy, Bottle), "boiled soy is cooled before it is bottled")
}

// What is said at a step is what goes in: the measure holds the mass beside it,
// within a hundredth or "about", and pieces are whole or halves.
func TestTextAndMassAgree(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(5, 17))
	parts := map[string]float64{"half-of": 2, "third-of": 3, "quarter-of": 4}
	said := 0
	for range 1500 {
		d, r := randomDrink(t, random)
		if r.Drink == nil {
			continue
		}
		d.Size.Value *= .4 + 2*random.Float64()
		r, err := d.Reckon()
		require.NoError(t, err)
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			for _, a := range s.Amounts {
				measure, of := a.Text, 1.
				if n, isPart := parts[measure.Code]; isPart {
					measure, of = measure.Args[0].(say.Text), n
				}
				if measure.Code != say.AsWritten || a.Extra {
					continue
				}
				text := measure.Args[0].(string)
				amount, err := quantity.ParseAmount(text)
				require.NoError(t, err, text)
				line := d.Lines[a.At]
				line.Amount = amount
				one := reckon.New("one line")
				one.Lines = []recipe.Line{line}
				weighed, err := one.Reckon()
				require.NoError(t, err)
				within := .015 // a hundredth, and what three figures round off
				if amount.IsAbout() {
					within = .35
					ml, isVolume := amount.Volume(quantity.US)
					if !isVolume || ml > quantity.Teaspoon.Size(quantity.US)/4 {
						within = .055
					}
				}
				require.InEpsilon(t, a.MassG, weighed.Lines[0].MassG/of, within, "%s: %s of %s is %.1f g", s.Title, a.Text, a.Name, a.MassG)
				for _, term := range amount.Terms() {
					if term.Unit == quantity.Piece {
						require.InDelta(t, math.Round(2*term.Low), 2*term.Low, 1e-9, "%s of %s", a.Text, a.Name)
					}
				}
				said++
			}
		}
	}
	require.Greater(t, said, 4000)
}

// Oil and cocoa that meet what is cold are blended, never stirred; off the heat
// they are stirred in.
func TestOilIsNeverStirredIntoCold(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		lines []string
		heat  process.Heat
		in    Kind
	}{
		{[]string{"1 cup almonds", "4 cups water", "2 tbsp coconut oil"}, process.Unheated, Grind},
		{[]string{"1 cup almonds", "4 cups water", "2 tbsp coconut oil, after straining"}, process.Unheated, BlendIn},
		{[]string{"1 cup coconut milk", "1 cup water", "2 tbsp coconut oil"}, process.Unheated, BlendIn},
		{[]string{"1 cup almonds", "4 cups water", "2 tbsp coconut oil, after straining"}, process.Simmer, StirIn},
	} {
		d, r := drink(t, func(d *reckon.Drink) { d.Method.Heat = c.heat }, c.lines...)
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			for _, a := range s.Amounts {
				if strings.HasPrefix(a.Name, "Coconut oil") {
					assert.Equal(t, c.in, s.Kind, "%v %s", c.lines, c.heat)
					assert.Equal(t, c.in != StirIn, s.Blender)
				}
			}
		}
	}
}

// A step is moved where what hangs on it allows, and nowhere else; moved where it
// A stick, pods or cloves that cook with the drink go into the pan and are taken out of it; what is
// ground goes in when the heat is off. Of the stick a brew's share stays in the drink, the rest is
// thrown away, and every trace of coumarin counts as in it.
func TestAWholeSpiceIsTakenOutOfThePan(t *testing.T) {
	t.Parallel()
	hot := func(d *reckon.Drink) { d.Method.Heat, d.Method.Minutes = process.Simmer, 10 }
	d, r := drink(t, hot, "1 cup cashews", "3 cups water", "2 cinnamon sticks, while cooking", "4 cardamom pods, while cooking", "1/4 tsp nutmeg, while cooking")
	for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
		switch s.Kind {
		case Heat:
			assert.Equal(t, "heated-with(simmer(10), [cinnamon stick cardamom])", s.Title.String())
			assert.Equal(t, "boil-right lift-out-after([cinnamon stick cardamom])", s.Right.String())
		case LateSpice:
			assert.Equal(t, "off-heat-stir-in([nutmeg])", s.Title.String())
		}
	}
	_, without := drink(t, hot, "1 cup cashews", "3 cups water", "1/4 tsp nutmeg, while cooking")
	thrownG := r.Made.Balance.Thrown.MassG() - without.Made.Balance.Thrown.MassG()
	stick, pods := &r.Through[2], &r.Through[3]
	solids := func(l *process.Line) float64 { return (1 - l.Per[ingredient.Water]) * l.G }
	assert.InDelta(t, .7*(solids(stick)+solids(pods)), thrownG, .05)
	assert.InDelta(t, stick.G*stick.Per[ingredient.CoumarinMg], r.Made.Balance.Drink[ingredient.CoumarinMg], 1e-9)
}

// A liquid that something soaks or is brewed in is no part of it, and what bloomed is stirred in also
// where nothing else is.
func TestWhatIsSaidOfSoakAndBloom(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		lines []string
		kind  Kind
		want  string
	}{
		{[]string{"1/2 cup pearl barley", "6 cups water, soaking water kept"}, GetReady, "put-to-soak-in([pearl barley], [water])"},
		{[]string{"1/2 cup pearl barley", "6 cups water, soaking water kept"}, Soak, "soak([pearl barley])"},
		{[]string{"1 cup almonds", "4 cups water"}, GetReady, "put-to-soak([almonds])"},
		{[]string{"1 cup almonds", "2 cups water for soaking", "4 cups water"}, GetReady, "put-to-soak-in([almonds], [water])"},
		{[]string{"1 cup almonds", "2 cups water for soaking", "4 cups water"}, Drain, "drain-and-rinse([almonds])"},
		{[]string{"1 cup hemp seeds", "3 cups water", "1 tbsp chicory root, to brew", "1 cup hot water, to brew"}, Brew, "brew-in([chicory root], [water])"},
		{[]string{"1 cup hemp seeds", "3 cups water", "1 tbsp chicory root, to brew", "1 cup hot water, to brew"}, PourIn, "pour-in-brew([chicory root])"},
		{[]string{"1 cup hemp seeds", "3 cups water", "1 cup black tea, to brew"}, PourIn, "pour-in-brew([tea])"},
		{[]string{"1 cup cashews", "3 cups water", "1 pinch saffron"}, StirIn, "stir-in-the-bloomed([saffron])"},
	} {
		d, r := drink(t, nil, c.lines...)
		var told []string
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			if s.Kind == c.kind {
				told = append(told, s.Title.String())
			}
		}
		assert.Equal(t, []string{c.want}, told, c.lines)
	}
}

// may no longer stand it stays, and says so.
func TestAStepIsMovedWhereItIsSafe(t *testing.T) {
	t.Parallel()
	move := func(kind, before string) process.Change {
		return process.Change{At: process.At{Kind: kind}, Do: process.MoveBefore, To: process.At{Kind: before}}
	}
	steps := func(changes ...process.Change) (string, []process.Change) {
		d, r := drink(t, func(d *reckon.Drink) { d.Changes, d.Method.Heat = changes, process.Simmer }, "1 cup almonds", "4 cups water", "3 dates", "1 pinch saffron")
		var codes []string
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			codes = append(codes, s.Kind.Code())
		}
		return strings.Join(codes, " "), Unapplied(&d, r, Room{TempC: 20})
	}
	as, _ := steps()
	assert.Equal(t, "prepare soak drain pit bloom grind strain heat bloom stir-in cool taste bottle wash-up chill", as)
	moved, gone := steps(move("pit", "soak"), move("taste", "cool"), move("wash-up", "cool"), move("bloom", "drain"))
	assert.Equal(t, "prepare pit soak bloom drain grind strain heat bloom stir-in taste wash-up cool bottle chill", moved)
	assert.Empty(t, gone)
	for _, wrong := range []process.Change{move("pit", "strain"), move("taste", "grind"), move("bloom", "heat"), move("wash-up", "prepare"), move("taste", "juice")} {
		stays, gone := steps(wrong)
		assert.Equal(t, as, stays, "%s before %s", wrong.At.Kind, wrong.To.Kind)
		assert.Len(t, gone, 1)
	}
	assert.Equal(t, "step-not-moved", fault.Code(move("heat", "strain").Check()))
	assert.Equal(t, "no-step-to-move-before", fault.Code(process.Change{At: process.At{Kind: "taste"}, Do: process.MoveBefore}.Check()))
}

// What a cook toasts is toasted before it is measured, what is peeled is readied
// before it goes in, and a pinch goes whole into one load.
func TestWorkBeforeTheJug(t *testing.T) {
	t.Parallel()
	d, r := drink(t, func(d *reckon.Drink) { d.Size = recipe.Size{By: recipe.ByTimes, Value: 3.1} }, "1 cup almonds, toasted", "4 cups water", "1 tbsp fresh ginger, peeled and grated", "1 pinch salt", "6 dates")
	steps := Steps(&d, r, Room{TempC: 20}, OnTheBench)
	assert.Equal(t, []Kind{Toast, GetReady, Soak, Drain, Prepare, Pit, Grind}, kinds(Lane{Steps: timeless(steps)})[:7])
	assert.Contains(t, steps[4].Title.String(), "peeled and grated")
	var salt, dates []string
	for _, s := range steps {
		for _, a := range s.Amounts {
			switch {
			case s.Kind == Grind && a.Name == "Salt":
				salt = append(salt, a.Text.String())
			case s.Kind == Grind && a.Name == "Dates":
				dates = append(dates, a.Text.String())
			}
		}
	}
	assert.Len(t, salt, 1)
	assert.Equal(t, []string{"as-written(6½ pieces)", "as-written(6 pieces)", "as-written(6 pieces)"}, dates)
}

// A drink is not finished earlier than its life allows before it is wanted.
func TestItIsNotFinishedPastItsLife(t *testing.T) {
	t.Parallel()
	d, r := drink(t, nil, "1 cup almonds", "4 cups water", "3 tbsp maple syrup")
	steps := Steps(&d, r, Room{TempC: 20}, OnTheBench)
	chill := steps[len(steps)-1]
	require.Equal(t, Chill, chill.Kind)
	assert.Less(t, chill.Length.Max.Hours(), r.Keeps.CautiousDays*24)
	assert.Greater(t, chill.Length.Max.Hours(), r.Keeps.CautiousDays*24-2)
}

// What was left open is planned, and no figure is made up for it.
func TestAnOpenAmountIsPlanned(t *testing.T) {
	t.Parallel()
	d, r := drink(t, nil, "1 cup almonds", "water", "1/4 tsp salt")
	assert.Nil(t, r.Drink)
	assert.Equal(t, []string{"almond"}, r.Allergens)
	var ground []string
	for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
		for _, a := range s.Amounts {
			if s.Kind == Grind {
				ground = append(ground, fmt.Sprintf("%s %v", a.Name, a.Open))
			}
		}
	}
	assert.Equal(t, []string{"Almonds false", "Water true", "Salt false"}, ground)
	assert.Contains(t, say.Strings(Tools(&d, r, Room{TempC: 20})), "tool-bottles(1850)", "vessels for twice")
}

// The cook's own steps and words are in the process, what is left out is not, and a
// change whose step is gone is kept and said.
func TestTheCooksOwnWay(t *testing.T) {
	t.Parallel()
	changes := []process.Change{
		{At: process.At{Kind: "grind", N: 1}, Do: process.Set, Params: map[string]float64{"seconds": 45}, Cue: "until it hums"},
		{At: process.At{Kind: "strain", N: 1}, Do: process.AddAfter, Cue: "Rest it under a cloth", Params: map[string]float64{"minutes": 5}},
		{At: process.At{Kind: "taste"}, Do: process.Remove},
		{At: process.At{Kind: "soak", N: 1}, Do: process.Set, Params: map[string]float64{"hours": 10, "fridge": 1}},
		{At: process.At{Kind: "juice", N: 1}, Do: process.Set, Cue: "slowly"},
	}
	d, r := drink(t, func(d *reckon.Drink) { d.Changes = changes }, "1 cup almonds", "4 cups water")
	k := Room{TempC: 20}
	steps := Steps(&d, r, k, OnTheBench)
	assert.Equal(t, []Kind{GetReady, Soak, Drain, Grind, Strain, Own, Bottle, Wash, Chill}, kinds(Lane{Steps: timeless(steps)}))
	assert.Equal(t, "grind(for-seconds(45))", steps[3].Title.String())
	assert.Equal(t, say.Written("until it hums"), steps[3].Right)
	assert.True(t, steps[1].Fridge, "soaked where the cook says")
	assert.InDelta(t, 10, steps[1].Length.Ideal.Hours(), .01)
	gone := Unapplied(&d, r, k)
	require.Len(t, gone, 1)
	assert.Equal(t, "slowly", gone[0].Cue)
}

// Of two drinks wanted in three days neither is finished days early: age has a cost.
func TestNoneOfTwoDrinksIsFinishedDaysEarly(t *testing.T) {
	t.Parallel()
	ready := at(29, 12, 0)
	jobs := []Job{
		job(t, "milk", ready, 20, "1 cup almonds", "4 cups water", "3 tbsp maple syrup"),
		job(t, "creamer", ready, 20, "1 1/2 cups pecans", "3 cups water", "2 tbsp maple syrup"),
	}
	p, problem := Make(jobs, night)
	require.Nil(t, problem)
	holds(t, p, night)
	for _, lane := range p.Lanes {
		chill := lane.Steps[len(lane.Steps)-1]
		assert.Less(t, chill.End.Sub(chill.Start).Hours(), 24., "%s is cold for a day at most", lane.JobID)
	}
}

// A vessel holds what is in it, swollen, with a tenth to spare: also where the
// liquid is kept.
func TestTheVesselHoldsWhatIsInIt(t *testing.T) {
	t.Parallel()
	d, r := drink(t, nil, "1 cup pearl barley", "6 cups water, soaking water kept")
	first := Steps(&d, r, Room{TempC: 20}, OnTheBench)[0]
	assert.Regexp(t, `^soak-vessel-kept\(.*, 1850\)$`, first.Right.String(), "1.1 · (237 + 1420 mL) is 1822")
	bowl := Bowl{Ingredient: d.Lines[0].Ingredient, DryG: 200}
	state := bowl.In(Room{TempC: 20}, at(26, 9, 0))
	assert.GreaterOrEqual(t, state.VesselML, 1.1*swollen(bowl.Ingredient, 200))
}

// Blended again while hot it is vented; poured in bit by bit, the cue says how.
func TestBlendedAgainHot(t *testing.T) {
	t.Parallel()
	blend := func(after string) process.Change {
		return process.Change{At: process.At{Kind: after}, Do: process.AddAfter, Cue: "Blend it once more", Params: map[string]float64{"minutes": 1, "blender": 1}}
	}
	for after, hot := range map[string]bool{"strain": false, "heat": true, "cool": false} {
		d, r := drink(t, func(d *reckon.Drink) {
			d.Changes = []process.Change{blend(after), {At: process.At{Kind: "grind"}, Do: process.Set, Params: map[string]float64{"gradual": 1}}}
		}, "1 cup soybeans", "4 cups water")
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			switch s.Kind {
			case Own:
				assert.True(t, s.Blender)
				assert.Equal(t, hot, !s.Caution.IsZero(), "after %s", after)
			case Grind:
				assert.Contains(t, s.Right.String(), "grind-gradually")
			}
		}
	}
}

// Sugar stirred in off the heat takes the drink below what a hot filling needs: it
// is brought back before it is bottled, and the bottles cool after.
func TestAHotFillingIsHot(t *testing.T) {
	t.Parallel()
	d, r := drink(t, func(d *reckon.Drink) {
		d.Method.Heat, d.Method.Minutes, d.Method.HotFill = process.Simmer, 5, true
	}, "1 cup pistachios", "2 cups water", "600 g white sugar")
	steps := Steps(&d, r, Room{TempC: 20}, OnTheBench)
	bottle := slices.IndexFunc(steps, func(s Step) bool { return s.Kind == Bottle })
	assert.Equal(t, "bottle-hot", steps[bottle].Title.Code)
	assert.Equal(t, "hot-glass", steps[bottle].Caution.Code)
	assert.Equal(t, Cool, steps[bottle+1].Kind)
	assert.Contains(t, say.Strings(Tools(&d, r, Room{TempC: 20})), "tool-hot-bottles")
}

// What is done by hand takes as long as it does in this kitchen; what soaks and heats takes as long
// as it does anywhere.
func TestStepsGoAtTheirOwnPace(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "1 cup soybeans", "6 cups water")
	r := reckontest.Reckoned(t, d)
	usual := Steps(&d, r, Room{TempC: 20}, OnTheBench)
	own := Steps(&d, r, Room{TempC: 20, Minutes: map[string]float64{"strain": 1.5, "soak": 3, "heat": 2}}, OnTheBench)
	require.Len(t, own, len(usual))
	strained := false
	for n, s := range own {
		if s.Kind != Strain {
			assert.Equal(t, usual[n].Length, s.Length, s.Kind)
			continue
		}
		strained = true
		assert.Equal(t, math.Ceil(1.5*usual[n].Length.Min.Minutes()), s.Length.Min.Minutes())
	}
	assert.True(t, strained)
}

// What the steps say follows what is in the drink: nothing that turns slimy is squeezed, no cloth is
// boiled where none was used, no powder is looked for where there is none, and what steeped whole is
// taken out before it is bottled.
func TestStepsSayWhatTheDrinkNeeds(t *testing.T) {
	t.Parallel()
	said := func(way func(*reckon.Drink), lines ...string) string {
		d, r := drink(t, way, lines...)
		var all []string
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			all = append(all, s.Title.String()+" / "+s.Right.String())
		}
		return strings.Join(all, "\n")
	}
	through := func(s process.Strainer) func(*reckon.Drink) {
		return func(d *reckon.Drink) { d.Method.Strainer = s }
	}
	blended := func(seconds float64) func(*reckon.Drink) {
		return func(d *reckon.Drink) { d.Method.Seconds = seconds }
	}
	for _, tt := range []struct {
		way        func(*reckon.Drink)
		lines      string
		says, isnt string
	}{
		{nil, "1 cup rolled oats;3 cups water", "strain-lightly(strainer-tool-bag) / strain-lightly-right", "strain-right"},
		{nil, "1 cup white rice;60 g almonds;1 litre water", "strain-lightly(strainer-tool-bag)", "strainer-step"},
		{through(process.Gentle), "1 cup rolled oats;3 cups water", "strainer-step-gentle / strain-right", "lightly"},
		{nil, "1 cup almonds;4 cups water", "strainer-step-bag / strain-right", "lightly"},
		{nil, "1 cup almonds;4 cups water", "wash-up / wash-up-right", "for-minutes"},
		{through(process.Sieve), "1 cup almonds;4 cups water", "wash-up / ", "wash-up-right"},
		{through(process.None), "1 cup cashews;4 cups water", "wash-up / ", "wash-up-right"},
		{nil, "500 ml coconut water;1 lime, zest only", "stir-together", "stir-together-right"},
		{nil, "500 ml coconut water;1 tbsp turmeric", "stir-together-right", "lift-out"},
		{nil, "500 ml coconut water;500 ml water;1 cinnamon stick;4 cardamom pods", "bottle / lift-out([cinnamon stick cardamom]) bottle-right", "wash-up-right"},
		{nil, "1 cup almonds;4 cups water;1 cinnamon stick", "bottle / bottle-right", "lift-out"},
		{nil, "500 ml coconut milk;500 ml water;1 vanilla bean", "bottle / lift-out([vanilla bean]) bottle-right", "wash-up-right"},
		{nil, "1 cup almonds;4 cups water;1 cup ice", "ice / ice-right", "ice-left-right"},
		{nil, "1 cup almonds;1 cup water;3 cups ice", "ice / ice-left-right", "ice / ice-right"},
		{nil, "50 g rolled oats;500 ml boiling water", "cool-in-ice / cooling-on-ice", "chill-too-slow"},
		{nil, "1 cup almonds;4 cups lukewarm water", "chill-too-slow-ground", "cool-in-ice"},
		{nil, "80 g pearl barley;1 litre water;3 tbsp chicory, to brew", "brew-in-some([chicory root], [water]) / brew-in-some-right brew-right", "\nbrew([chicory"},
		{nil, "80 g pearl barley;1 litre water;3 tbsp chicory, to brew;1 cup hot water, to brew", "brew-in([chicory root], [water]) / brew-right", "brew-in-some"},
		{nil, "2 limes, juiced;500 ml coconut water", "lime juice", "get-ready"},
		{blended(119), "1 cup almonds;4 cups water", "grind(for-seconds(119))", "for-minutes"},
		{blended(120), "1 cup almonds;4 cups water", "grind(for-minutes(2))", "for-seconds"},
		{blended(150), "1 cup almonds;4 cups water", "grind(for-minutes(2.5))", "for-seconds"},
		{blended(130), "1 cup almonds;4 cups water", "grind(for-seconds(130))", "for-minutes"},
	} {
		got := said(tt.way, strings.Split(tt.lines, ";")...)
		assert.Contains(t, got, tt.says, tt.lines)
		assert.NotContains(t, got, tt.isnt, tt.lines)
	}
	assert.Contains(t, said(nil, "100 ml water", "1 tbsp turmeric", "100 ml water"), "stir-together([water turmeric])", "once, however many lines it is")
}
