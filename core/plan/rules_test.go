package plan

import (
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
)

// A base in the drink is ground, crushed, juiced, infused, boiled or whisked off, whatever it is
// strained through, and before the bottle.
func TestEveryBaseIsWorked(t *testing.T) {
	t.Parallel()
	works := []Kind{Grind, Crush, Juice, Brew, Infuse, Heat, WhiskOff}
	random := rand.New(rand.NewPCG(4, 29))
	for range 800 {
		d, r := randomDrink(t, random)
		if r.Drink == nil {
			continue
		}
		steps := Steps(&d, r, Room{TempC: 20}, OnTheBench)
		bottled := slices.IndexFunc(steps, func(s Step) bool { return s.Kind == Bottle })
		for n, line := range d.Lines {
			if line.Ingredient.Role != ingredient.Base || r.Lines[n].MassG == 0 {
				continue
			}
			at := slices.IndexFunc(steps, func(s Step) bool {
				return slices.Contains(works, s.Kind) && slices.ContainsFunc(s.Amounts, func(a Amount) bool { return a.At == n })
			})
			require.True(t, at >= 0 && at < bottled, "%s of %v", line.Name, kindsOf(steps))
		}
	}
}

func kindsOf(steps []Step) []Kind {
	out := make([]Kind, len(steps))
	for n, s := range steps {
		out[n] = s.Kind
	}
	return out
}

// What is to be had out is what the steps need, and nothing else; vessels hold what is in them,
// swollen, with a tenth to spare, and the bottles the most that may come of it.
func TestToolsAreThoseOfTheSteps(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(5, 29))
	room := Room{TempC: 20}
	for range 800 {
		d, r := randomDrink(t, random)
		if r.Drink == nil {
			continue
		}
		tools, steps := map[string][]any{}, Steps(&d, r, room, OnTheBench)
		for _, tool := range Tools(&d, r, room) {
			tools[tool.Code] = tool.Args
		}
		does := func(kinds ...Kind) bool {
			return slices.ContainsFunc(steps, func(s Step) bool { return slices.Contains(kinds, s.Kind) })
		}
		for tool, needed := range map[string]bool{
			"tool-blender": does(Grind, Crush) && !does(Juice), "tool-juicer": does(Juice), "tool-whisk": does(WhiskOff), "tool-strainer": does(Strain) && !does(Juice),
			"tool-pan": does(Heat), "tool-kettle": does(Brew), "tool-soak-vessel": does(Soak), "tool-scale": false, "tool-cups-and-spoons": true,
		} {
			_, there := tools[tool]
			require.Equal(t, needed, there, "%s for %v", tool, kindsOf(steps))
		}
		bottles := tools["tool-bottles"]
		if bottles == nil {
			bottles = tools["tool-hot-bottles"]
		}
		require.GreaterOrEqual(t, bottles[0].(float64), r.Drink.HighML)
		if vessel := tools["tool-soak-vessel"]; vessel != nil {
			require.GreaterOrEqual(t, vessel[0].(float64), 1.1*soakedML(&d, r))
		}
	}
}

// soakedML is what stands in a soak by the end: the bases that do, swollen.
func soakedML(d *reckon.Drink, r *reckon.Reckoning) (ml float64) {
	for _, n := range r.Made.Layout.Soaked {
		i := d.Lines[r.Through[n].Index].Ingredient
		ml += r.Lines[r.Through[n].Index].MassG / i.BulkGPerML * max(1, i.Swelling)
	}
	return ml
}

// A wait of several: each its ideal, the later ones give and take first, and what is done in no
// time stays at its end. By hand, in hours.
func TestAWaitIsShared(t *testing.T) {
	t.Parallel()
	h := func(least, ideal, most float64) Window { return hours(least, ideal, most) }
	for _, c := range []struct {
		whole   float64
		windows []Window
		want    []float64
	}{
		{14, []Window{h(2, 4, 72), h(0, 0, 0)}, []float64{14, 0}},
		{14, []Window{h(2, 4, 6), h(1, 2, 20)}, []float64{4, 10}},
		{10, []Window{h(2, 4, 6), h(1, 2, 5)}, []float64{5, 5}},
		{4, []Window{h(2, 4, 6), h(1, 2, 5)}, []float64{3, 1}},
		{3, []Window{h(2, 4, 6), h(1, 2, 5)}, []float64{2, 1}},
		{12, []Window{h(2, 4, 6), h(1, 2, 5)}, []float64{6, 6}}, // more than they may: by the grid's rounding
		{5, []Window{h(2, 4, 72)}, []float64{5}},
		{0, nil, nil},
	} {
		var got []float64
		for _, d := range shared(hours(c.whole, c.whole, c.whole).Ideal, c.windows) {
			got = append(got, d.Hours())
		}
		assert.InDeltaSlice(t, c.want, got, 1e-9, "%v in %v", c.windows, c.whole)
	}
}

// Nothing is cooled, bottled or served before it is there; what something waits for is over by
// then, by the clock of a plan.
func TestNothingIsDoneBeforeItIsThere(t *testing.T) {
	t.Parallel()
	before := []struct{ first, then Kind }{
		{Soak, Drain}, {Drain, Grind}, {Grind, Strain}, {Strain, Bottle}, {Heat, Skim}, {Heat, LateSpice}, {Bloom, DrawOn}, {Brew, PourIn},
		{Bottle, Chill}, {StirIn, Bottle}, {LateSpice, Bottle}, {BlendIn, Bottle}, {DrawOn, Bottle}, {PourIn, Bottle}, {Taste, Bottle},
	}
	random := rand.New(rand.NewPCG(6, 29))
	planned := 0
	for range 60 {
		d, r := randomDrink(t, random)
		if r.Drink == nil {
			continue
		}
		room := Room{TempC: 20}
		p, problem := Make([]Job{{ID: "1", Name: d.Name, ReadyBy: at(30, 13, 0), Bench: Steps(&d, r, room, OnTheBench), Fridge: Steps(&d, r, room, InTheFridge)}}, night)
		require.Nil(t, problem)
		holds(t, p, night)
		planned++
		steps := p.Lanes[0].Steps
		if last := steps[len(steps)-1]; last.Kind == Serve {
			assert.Equal(t, p.Lanes[0].ReadyBy, last.Start, "what goes into the glass does so at the table, not in the night before")
		}
		ends := map[Kind]time.Time{} // of the first of its kind
		for _, s := range steps {
			if ends[s.Kind].IsZero() {
				ends[s.Kind] = s.End
			}
		}
		for _, o := range before {
			first, is := ends[o.first]
			last := slices.IndexFunc(steps, func(s Timed) bool { return s.Kind == o.then })
			if is && last >= 0 {
				assert.False(t, steps[last].Start.Before(first), "%s before %s is done", o.then, o.first)
			}
		}
	}
	require.Greater(t, planned, 40)
}

// The soak that the figures tell of is the one that is planned: as long, in however many waters.
func TestTheSoakThatIsToldIsPlanned(t *testing.T) {
	t.Parallel()
	dice := rand.New(rand.NewPCG(17, 29))
	soaked := 0
	for range 400 {
		d := reckontest.Random(t, dice.IntN)
		r := reckontest.Reckoned(t, d)
		planned := Window{}
		for _, s := range Steps(&d, r, Room{TempC: 20}, OnTheBench) {
			if s.Kind == Soak {
				planned.Ideal += s.Length.Ideal
				planned.Max += s.Length.Max
			}
		}
		if r.Soak == nil {
			require.Zero(t, planned.Ideal, "%v", d.Lines)
			continue
		}
		soaked++
		require.InDelta(t, r.Soak.Hours.Ideal, planned.Ideal.Hours(), .01, "%v", d.Lines)
	}
	assert.Greater(t, soaked, 100)
}
