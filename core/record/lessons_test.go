package record_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/process"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/record"
)

// A kitchen whose hidden figures are known measures a batch: what is worked back is what was
// hidden, alone by the milk and two at once with the pulp on the scale as well.
func TestHiddenFiguresAreWorkedBack(t *testing.T) {
	t.Parallel()
	almonds := []string{"1 cup almonds", "4 cups water"}
	for name, c := range map[string]struct {
		lines  []string
		method func(*process.Method)
		hidden map[record.What]float64
		pulp   bool
	}{
		"held by the milk alone":        {almonds, nil, map[record.What]float64{record.Held: 1.3}, false},
		"held and freed, of dried pulp": {almonds, nil, map[record.What]float64{record.Held: .8, record.Frees: .7}, true},
		"held and steam, of what boils": {[]string{"1 cup soybeans", "6 cups water"}, nil, map[record.What]float64{record.Held: 1.2, record.Steam: 1.6}, true},
		"steam alone, nothing strained": {[]string{"1 cup cashews", "4 cups water"}, func(m *process.Method) {
			m.Strainer, m.Heat, m.Minutes = process.None, process.Simmer, 15
		}, map[record.What]float64{record.Steam: .6}, false},
	} {
		d := reckontest.Drink(t, c.lines...)
		if c.method != nil {
			c.method(&d.Method)
		}
		made := d
		made.Method.HeldShare, made.Method.FreesShare, made.Method.SteamShare = c.hidden[record.Held], c.hidden[record.Frees], c.hidden[record.Steam]
		r := reckontest.Reckoned(t, made)
		m := record.Measured{MilkML: r.Drink.VolumeML}
		if c.pulp {
			m.PulpG, m.DriedG = r.PulpG, r.Pulp.DriedG
		}
		got := map[record.What]float64{}
		for _, l := range record.Lessons(&d, m) {
			got[l.What] = l.Share
			assert.NotEmpty(t, l.Key, name)
		}
		require.Len(t, got, len(c.hidden), name)
		for what, share := range c.hidden {
			assert.InEpsilon(t, share, got[what], .01, "%s: %s", name, what)
		}
	}
}

// What was learned goes into the figures, each where it belongs and nowhere else.
func TestLearnedFiguresAreUsed(t *testing.T) {
	t.Parallel()
	usual := func(lines ...string) reckon.Drink { return reckontest.Drink(t, lines...) }
	with := func(what record.What, key string, share float64, d reckon.Drink) *reckon.Reckoning {
		record.Use(&d, map[string]record.Learned{record.FigureKey(what, key): {Share: share, SD: .05, Batches: 4}})
		return reckontest.Reckoned(t, d)
	}
	almond := usual("1 cup almonds", "4 cups water")
	before := reckontest.Reckoned(t, almond)
	assert.Less(t, with(record.Held, "almond/bag", 1.3, almond).Drink.VolumeML, before.Drink.VolumeML-30)
	assert.Less(t, with(record.Frees, "almond/regular", .7, almond).FatPct, .8*before.FatPct)
	assert.InEpsilon(t, .5*before.Keeps.AtFour[0], with(record.Life, "test", .5, almond).Keeps.AtFour[0], .2)
	for _, elsewhere := range []struct {
		what record.What
		key  string
	}{{record.Held, "almond/sieve"}, {record.Held, "cashew/bag"}, {record.Frees, "almond/high-speed"}, {record.Steam, "20/covered"}, {record.Life, "another"}} {
		assert.Equal(t, before.Drink, with(elsewhere.what, elsewhere.key, 1.5, almond).Drink, elsewhere.key)
	}
	soy := usual("1 cup soybeans", "6 cups water")
	assert.Less(t, with(record.Steam, "20/open", 2, soy).Drink.VolumeML, reckontest.Reckoned(t, soy).Drink.VolumeML-20)
}

// A bottle that soured early shortens the forecast; none lengthens it.
func TestLifeOnlyFalls(t *testing.T) {
	t.Parallel()
	early, ok := record.LifeLesson(2, 4, 0)
	require.True(t, ok)
	assert.Equal(t, .5, early.Share)
	_, ok = record.LifeLesson(-1, 4, 0)
	assert.False(t, ok, "past its date it may well be sour")
	again, _ := record.LifeLesson(1, 2, .5)
	assert.Equal(t, .25, again.Share, "half of a life that was halved already")
	assert.Less(t, record.Learn(record.Life, []float64{.5}).Share, .6)
	assert.LessOrEqual(t, record.Learn(record.Life, []float64{2, 2, 2}).Share, 1.)
}

// Steps are learned from within reason, and the plan goes by them from the third time on.
func TestStepsThatTakeTheirTime(t *testing.T) {
	t.Parallel()
	_, ok := record.StepLesson("strain", 240, 10)
	assert.False(t, ok, "somebody went to the market meanwhile")
	_, ok = record.StepLesson("strain", 1, 10)
	assert.False(t, ok, "it was marked late")
	slow, ok := record.StepLesson("strain", 15, 10)
	require.True(t, ok)
	shares := []float64{slow.Share, slow.Share, slow.Share}
	known := map[string]record.Learned{record.FigureKey(record.Minutes, "strain"): record.Learn(record.Minutes, shares[:2])}
	assert.Empty(t, record.StepShares(known))
	known[record.FigureKey(record.Minutes, "strain")] = record.Learn(record.Minutes, shares)
	assert.InDelta(t, 1.36, record.StepShares(known)["strain"], .02)
}
