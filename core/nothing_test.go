package core_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/plan"
	"plushladle/core/quantity"
	"plushladle/core/reading"
	"plushladle/core/recipe"
	"plushladle/core/reckon"
	"plushladle/core/record"
	"plushladle/core/serve"
	"plushladle/core/solve"
)

// nothings are drinks that come to nothing, or cannot be reckoned at all.
func nothings(t *testing.T) map[string]reckon.Drink {
	t.Helper()
	line := func(text string) recipe.Line {
		l, err := reading.Standard().Line(text)
		require.NoError(t, err)
		return l
	}
	of := func(size recipe.Size, lines ...recipe.Line) reckon.Drink {
		d := reckon.New("nothing")
		d.Lines, d.Size = lines, size
		return d
	}
	return map[string]reckon.Drink{
		"no lines":            of(recipe.Size{}),
		"a word of no sense":  of(recipe.Size{}, recipe.Line{Name: "moonbeams"}),
		"a note":              of(recipe.Size{}, recipe.Line{Name: "for Sunday", Kept: true}),
		"nothing of it":       of(recipe.Size{}, line("0 g almonds"), line("0 g water")),
		"a size that is none": of(recipe.Size{By: recipe.ByVolume, Value: -1}, line("100 g almonds"), line("1 L water")),
		"a size of nothing":   of(recipe.Size{By: recipe.ByServings, Value: 4}),
	}
}

// Of a drink that comes to nothing nothing is made, told or learned: it is refused or left out, and
// nothing breaks.
func TestNothingComesOfNothing(t *testing.T) {
	t.Parallel()
	sugar, ok := ingredient.Standard().ByID("white-sugar")
	require.True(t, ok)
	drawer, err := quantity.Reader{}.NewDrawer(quantity.StandardDrawer, quantity.US, 1)
	require.NoError(t, err)
	some := reckon.New("some")
	for _, text := range []string{"100 g almonds", "1 L water"} {
		l, err := reading.Standard().Line(text)
		require.NoError(t, err)
		some.Lines = append(some.Lines, l)
	}
	for name, d := range nothings(t) {
		assert.Empty(t, record.Propose(&d, record.Tasting{Sweet: 1, Body: -1, Flags: record.Flags}, record.Facts{}), name)
		assert.Empty(t, record.Lessons(&d, record.Measured{MilkML: 500, PulpG: 100}), name)
		_, ok := record.HeldShare(&d, 500)
		assert.False(t, ok, name)
		if d.Size.Value >= 0 { // a dial is turned at the size that is written
			_, err := record.Apply(&d, record.Change{How: record.TurnDial, Dial: reckon.Sweetness, To: 5})
			require.Error(t, err, name)
			_, err = solve.Dials(&d, solve.Turn{To: map[reckon.DialName]float64{reckon.Fat: 5}, Hold: true})
			require.Error(t, err, name)
		}
		d.Drawer = &drawer
		if spoons, err := solve.ToSpoons(&d); err == nil {
			assert.Empty(t, spoons.Changes, name)
		}
		_, err := solve.WithIce(&d)
		require.Error(t, err, name)
		worked, _ := solve.WorkBack(&d, 500, 100)
		assert.Empty(t, worked, name)
		_, err = solve.TryCup(&d, solve.Trial{CupML: 100, Lines: some.Lines[:1]})
		require.Error(t, err, name)
		_, err = serve.Split(&d, []recipe.Portion{{Name: "a"}, {Name: "b"}})
		require.Error(t, err, name)
		for place := range d.Lines {
			if _, err := solve.Swap(&d, place, sugar, ""); d.Lines[place].Ingredient == nil {
				require.Error(t, err, name)
			}
		}
		r, err := d.Reckon()
		if err != nil {
			continue
		}
		assertTellsNothing(t, name, &d, r)
	}
}

func assertTellsNothing(t *testing.T, name string, d *reckon.Drink, r *reckon.Reckoning) {
	t.Helper()
	assert.Nil(t, r.Drink, name)
	assert.Empty(t, plan.Steps(d, r, plan.Room{TempC: 20}, plan.OnTheBench), name)
	assert.Empty(t, plan.Unapplied(d, r, plan.Room{}), name)
	_, err := serve.Serve(r, serve.Cup{Into: serve.IntoCoffee, CupML: 200, CupC: 80})
	require.Error(t, err, name)
	assert.Empty(t, serve.Ladder(r), name)
	_, err = serve.PressAgain(r, 200)
	require.Error(t, err, name)
	_, isOne := r.AsIngredient("own", "own")
	assert.False(t, isOne, name)
	for _, f := range figures {
		_, err := r.Working(f)
		require.Error(t, err, "%s: %s", name, f)
	}
	assert.Len(t, r.Contributions(), len(d.Lines), name)
	for _, dial := range r.Dials {
		assert.False(t, dial.Known, "%s: %s", name, dial.Code)
	}
	assert.Empty(t, solve.Givers(r)[reckon.Fat], name)
	assert.Equal(t, record.Unknown+0., record.FactsOf(d, r).AgeDays, name)
}
