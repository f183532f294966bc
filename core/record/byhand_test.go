package record

import (
	"math"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
	"plushladle/core/process"
	"plushladle/core/quantity"
	"plushladle/core/reckon"
	"plushladle/core/reckon/reckontest"
	"plushladle/core/say"
)

var now = time.Date(2026, 11, 28, 9, 0, 0, 0, time.UTC)

// fortnightly are n batches two weeks apart, of which the last was made today: they take n fortnights.
func fortnightly(n int, of Making) []Making {
	out := make([]Making, n)
	for k := range out {
		out[k] = of
		out[k].Drink, out[k].Batch, out[k].MadeOn = 7, int64(k+1), now.AddDate(0, 0, -14*(n-1-k))
	}
	return out
}

// Four batches of 500 mL that come to 450 or 460: nine hundredths below on average, 45 mL of
// 500 each fortnight, at 4 a litre.
func TestAYieldBelowByHand(t *testing.T) {
	t.Parallel()
	of := fortnightly(4, Making{Name: "Pecan flask creamer", Base: "Pecans", Strainer: say.Of("strainer-bag"), Key: "pecan/bag", ForecastML: 500, YieldML: 450, PerL: 4})
	of[1].YieldML, of[2].YieldML = 460, 460
	// the deviations are -.1, -.08, -.08, -.1: -.09 on average; 5.77 mL is √(4·25/3)
	got := Insights(of, now)
	require.Len(t, got, 1)
	assert.InDelta(t, .09*500/2, got[0].ML, 1e-9)
	assert.InDelta(t, .09*500/2/1000*4, got[0].Money, 1e-9)
	assert.InDelta(t, 9, got[0].Text.Args[1].(float64), 1e-9)
	assert.InDelta(t, math.Sqrt(100./3), got[0].Evidence.Args[2].(float64), 1e-9)
	got[0].Text.Args[1], got[0].Evidence.Args[2] = 9., 5.77
	got[0].ML, got[0].Money = 0, 0
	assert.Equal(t, Insight{
		Code: "yield/pecan/bag", Drink: 7, Batch: 4, Action: SeeLearned, Text: say.Of("insight-yield-below", "Pecans", 9, 4),
		Evidence: say.Of("insight-yield-evidence", say.Of("strainer-bag"), 455, 5.77, 500),
	}, got[0])
	for n := range of {
		of[n].YieldML = 520 + float64(n%2)
	}
	got = Insights(of, now)
	require.Len(t, got, 1)
	assert.Equal(t, "insight-yield-above", got[0].Text.Code)
	assert.InDelta(t, 4.1, got[0].Text.Args[1].(float64), 1e-9)
	for n := range of {
		of[n].YieldML = 520 // four hundredths to the millilitre, each time
	}
	assert.Len(t, Insights(of, now), 1)
	for n := range of {
		of[n].YieldML = 515 // three hundredths nobody notices
	}
	assert.Empty(t, Insights(of, now))
	for n, ml := range []float64{440, 480, 440, 480} { // -.08 on average, with a standard error of .023
		of[n].YieldML = ml
	}
	assert.Len(t, Insights(of, now), 1, "it scatters, and lies off all the same")
	for n, ml := range []float64{460, 540, 460, 448} { // -.046 on average, with a standard error of .042
		of[n].YieldML = ml
	}
	assert.Empty(t, Insights(of, now), "it scatters about as much")
	many := fortnightly(8, of[0])
	for n := range many {
		many[n].YieldML = 400
		if n < 2 {
			many[n].YieldML = 600 // only the last six count
		}
	}
	got = Insights(many, now)
	require.Len(t, got, 1)
	assert.InDelta(t, 20, got[0].Text.Args[1].(float64), 1e-9)
	assert.Equal(t, 6., got[0].Text.Args[2])
}

// Of 900 mL made a fortnight 300 are thrown away: a third. 600 would do, or 300 are frozen.
func TestWasteByHand(t *testing.T) {
	t.Parallel()
	of := fortnightly(3, Making{Name: "Barley horchata", MadeML: 900, ThrownML: 300, IsGone: true, PerL: 3})
	want := Insight{
		Code: "thrown", Drink: 7, Batch: 3, Action: MakeLess, ActionML: 600, FreezeML: 300, ML: 150, Money: .45,
		Text: say.Of("insight-thrown", "Barley horchata", say.Of("share-third"), 600, 300), Evidence: say.Of("insight-thrown-evidence", 900, 2700, 3),
	}
	got := Insights(of, now)
	require.Len(t, got, 1)
	assert.InDelta(t, want.Money, got[0].Money, 1e-12)
	got[0].Money = want.Money
	assert.Equal(t, want, got[0])
	of[0].IsGone = false
	assert.Empty(t, Insights(of, now), "what is in use may yet be drunk")
	little := fortnightly(3, Making{MadeML: 1000, ThrownML: 149, IsGone: true})
	assert.Empty(t, Insights(little, now))
	little[0].ThrownML = 152
	assert.Len(t, Insights(little, now), 1, "150 mL of 1000")
	all := fortnightly(3, Making{MadeML: 100, ThrownML: 99, IsGone: true})
	assert.Equal(t, []float64{50, 100}, []float64{Insights(all, now)[0].ActionML, Insights(all, now)[0].FreezeML}, "to fifties, and at least one")
	for share, code := range map[float64]string{.2: "share-fifth", .225: "share-fifth", .24: "share-quarter", .25: "share-quarter", .32: "share-third", .36: "share-third", .5: "share-half", .48: "share-half", .16: "share-pct", .4: "share-pct", .95: "share-pct"} {
		assert.Equal(t, code, portion(share).Code, share)
	}
	assert.Equal(t, say.Of("share-pct", 40), portion(.4))
}

func TestTasteAndSouringByHand(t *testing.T) {
	t.Parallel()
	sweet := fortnightly(4, Making{Name: "Walnut milk", MadeML: 600, Tasted: 1, Sweet: 1})
	sweet[0].Sweet = -2 // only the last three count
	got := Insights(sweet, now)
	require.Len(t, got, 1)
	assert.Equal(t, Insight{Code: "sweet", Drink: 7, Batch: 4, Action: TasteIt, ML: 600. / (3 * 2), Text: say.Of("insight-too-sweet", "Walnut milk", 3), Evidence: say.Of("insight-taste-evidence", 1)}, got[0])
	sweet[3].Sweet = -.1
	assert.Empty(t, Insights(sweet, now), "one found it not sweet enough")
	for n := range sweet {
		sweet[n].Sweet = -.5
	}
	assert.Equal(t, "insight-not-sweet", Insights(sweet, now)[0].Text.Code)
	for n := range sweet {
		sweet[n].Sweet = -.49
	}
	assert.Empty(t, Insights(sweet, now))
	for n := range sweet {
		sweet[n].Sweet, sweet[n].Tasted = 2, n%2
	}
	assert.Empty(t, Insights(sweet, now), "it was tasted twice")

	sours := fortnightly(3, Making{Name: "Oat milk", ThrownML: 200, PerL: 2})
	sours[0].Soured = true
	assert.Empty(t, Insights(sours, now), "once is no news")
	sours[2].Soured = true
	got = Insights(sours, now)
	require.Len(t, got, 1)
	assert.InDelta(t, 400./6, got[0].ML, 1e-9)
	assert.InDelta(t, .8/6, got[0].Money, 1e-9)
	got[0].ML, got[0].Money = 0, 0
	assert.Equal(t, Insight{Code: "sours", Drink: 7, Batch: 3, Action: LookAt, Text: say.Of("insight-sours", "Oat milk"), Evidence: say.Of("insight-sours-evidence", 2, 3)}, got[0])
	assert.Empty(t, Insights(sours[1:], now), "two batches tell nothing")
}

// The best rated is news where there is another one that was rated, with four stars and three ratings.
func TestTheBestByHand(t *testing.T) {
	t.Parallel()
	best := fortnightly(3, Making{Name: "Sunflower cocoa", DrunkML: 600, Stars: 4.5, PerL: 2, ShopPerL: 5})
	other := fortnightly(1, Making{Name: "Rice milk", Stars: 5})
	other[0].Drink = 8
	got := Insights(append(other, best...), now)
	require.Len(t, got, 1)
	assert.InDelta(t, 300, got[0].ML, 1e-9)
	assert.InDelta(t, .3*3, got[0].Money, 1e-9, "three less a litre than the shop's")
	assert.Equal(t, say.Of("insight-best-cheaper", "Sunflower cocoa", 40), got[0].Text)
	assert.Equal(t, say.Of("insight-best-evidence", 4.5, 3), got[0].Evidence)
	assert.Equal(t, []any{"best", int64(7), int64(3), PlanOne}, []any{got[0].Code, got[0].Drink, got[0].Batch, got[0].Action})
	assert.Empty(t, Insights(best, now), "the best of one")
	for n := range best {
		best[n].Stars = 3.9
	}
	assert.Empty(t, Insights(append(other, best...), now))
	for n := range best {
		best[n].Stars, best[n].ShopPerL = 4, 2
	}
	got = Insights(append(other, best...), now)
	assert.Equal(t, "insight-best", got[0].Text.Code, "it costs as much as the shop's")
	assert.Zero(t, got[0].Money)
	better := fortnightly(3, Making{Name: "Cashew cream", Stars: 4.2})
	for n := range better {
		better[n].Drink = 9
	}
	assert.Equal(t, int64(9), Insights(append(better, best...), now)[0].Drink)
	assert.Equal(t, int64(9), Insights(append(best, better...), now)[0].Drink)
}

// What a look goes back over, and what a mL is worth where no money is told.
func TestWhatInsightsAreWorth(t *testing.T) {
	t.Parallel()
	old := fortnightly(3, Making{MadeML: 900, ThrownML: 300, IsGone: true})
	for n := range old {
		old[n].MadeOn = now.AddDate(0, 0, -120)
	}
	assert.Len(t, Insights(old, now), 1)
	old[0].MadeOn = now.AddDate(0, 0, -121)
	assert.Empty(t, Insights(old, now))
	assert.InDelta(t, .003, meanPerML([]Making{{PerL: 2}, {}, {PerL: 4}}), 1e-12)
	assert.InDelta(t, 1, meanPerML([]Making{{}}), 1e-12)
	mean, sd := meanSD([]float64{2, 4, 6})
	assert.Equal(t, []float64{4, 2}, []float64{mean, sd})
	mean, sd = meanSD([]float64{3})
	assert.Equal(t, []float64{3, 0}, []float64{mean, sd})
	mean, sd = meanSD(nil)
	assert.Equal(t, []float64{0, 0}, []float64{mean, sd})
	assert.InDelta(t, 1, weeks([]Making{{MadeOn: now}}), 1e-12)
	assert.InDelta(t, 1, weeks([]Making{{MadeOn: now}, {MadeOn: now.AddDate(0, 0, 2)}}), 1e-12, "at least a week")
	assert.InDelta(t, 6, weeks(fortnightly(3, Making{})), 1e-12)
}

// One share of 1.2 counts as one observation with a tenth beside the default's quarter: by
// precision (100 beside 16) its logarithm moves the figure by 100/116 of the way.
func TestLearningByHand(t *testing.T) {
	t.Parallel()
	l := Learn(Held, []float64{1.2})
	share := math.Exp(math.Log(1.2) * 100 / 116)
	assert.InDelta(t, share, l.Share, 1e-12)
	assert.InDelta(t, share/math.Sqrt(116), l.SD, 1e-12)
	assert.InDelta(t, 1.5*math.Hypot(l.SD, .1*share), l.Spread(), 1e-12)
	assert.Equal(t, 1, l.Batches)
	minutes := Learn(Minutes, []float64{1.2})
	assert.InDelta(t, math.Sqrt(1.2), minutes.Share, 1e-12, "with a quarter it counts as much as the default")
	assert.InDelta(t, 1, Learn(Life, []float64{1.2}).Share, 1e-12, "life only falls")
	assert.Less(t, Learn(Life, []float64{.8}).Share, 1.)
	assert.Equal(t, Learned{Share: 1, SD: .25}, Default())
	// all of a batch counts to two standard deviations of both together, a quarter of it at twice that
	far := 2 * math.Hypot(.1, .05)
	for times, weight := range map[float64]float64{0: 1, 1: 1, -1: 1, 2: .25, -2: .25, 4: 1. / 16} {
		assert.InDelta(t, weight, weightOf(times*far, .05, .1), 1e-9, times)
	}
	mean, sd := weighed([]float64{.3, .1}, []float64{1, .5}, .1)
	assert.InDelta(t, (100*.3+50*.1)/(16+100+50), mean, 1e-12)
	assert.InDelta(t, 1/math.Sqrt(166), sd, 1e-12)
	assert.InDelta(t, 3, median([]float64{9, 1, 3}), 1e-12)
	assert.InDelta(t, 2, median([]float64{9, 1, 3, 1}), 1e-12)
}

func TestLessonsOfStepsAndLives(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		took, planned, share float64
		ok                   bool
	}{{15, 10, 1.5, true}, {2.5, 10, .25, true}, {2.4, 10, 0, false}, {40, 10, 4, true}, {41, 10, 0, false}, {5, 0, 0, false}} {
		l, ok := StepLesson("strain", tt.took, tt.planned)
		assert.Equal(t, tt.ok, ok, "%v of %v", tt.took, tt.planned)
		if ok {
			assert.Equal(t, Lesson{Minutes, "strain", tt.share}, l)
		}
	}
	for _, tt := range []struct {
		left, days, share, want float64
		ok                      bool
	}{{1, 4, 0, .75, true}, {1, 4, .8, .6, true}, {3.9, 4, 0, .2, true}, {2, 4, .1, .2, true}, {0, 4, 0, 0, false}, {1, 0, 0, 0, false}} {
		l, ok := LifeLesson(tt.left, tt.days, tt.share)
		assert.Equal(t, tt.ok, ok)
		assert.InDelta(t, tt.want, l.Share, 1e-12)
	}
	assert.Equal(t, map[string]float64{"strain": 1.5}, StepShares(map[string]Learned{
		"minutes/strain": {Share: 1.5, Batches: 3}, "minutes/grind": {Share: 2, Batches: 2}, "minutes/": {Share: 9, Batches: 9}, "held/strain": {Share: 9, Batches: 9},
	}))
}

// What a figure is learned by: the base that most is in of, with the strainer, the blender, the pan.
func TestWhatAFigureIsLearnedBy(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "50 g almonds", "80 g pecans", "600 g water", "90 g cashews")
	d.Lines[3].Kept = true
	d.Method.Strainer = process.Bag
	assert.Equal(t, "pecan/"+process.Bag.String(), Key(&d))
	assert.Equal(t, "pecan/regular", freesKey(&d))
	d.Method.HighSpeed = true
	assert.Equal(t, "pecan/high-speed", freesKey(&d))
	d.Method.PanCM = 20
	assert.Equal(t, "20/open", panKey(&d))
	d.Method.Covered = true
	assert.Equal(t, "20/covered", panKey(&d))
	known := map[string]Learned{
		"held/" + Key(&d): {Share: 1.1, SD: .05, single: .1}, "frees/pecan/high-speed": {Share: .9}, "steam/20/covered": {Share: 1.3}, "life/test": {Share: .7},
	}
	Use(&d, known)
	assert.Equal(t, []float64{1.1, .9, 1.3, .7}, []float64{d.Method.HeldShare, d.Method.FreesShare, d.Method.SteamShare, d.Soured})
	assert.InDelta(t, 1.5*math.Hypot(.05, .11), d.Method.HeldRange, 1e-12)
	d.Method.Strainer = process.Juicer
	assert.Empty(t, freesKey(&d), "a juicer grinds as it likes")
	d.Method.Strainer = process.None
	assert.Empty(t, Key(&d))
	oats := reckontest.Drink(t, "100 g rolled oats", "600 g water")
	assert.Empty(t, freesKey(&oats))
	water := reckontest.Drink(t, "600 g water")
	assert.Empty(t, Key(&water))
}

// What a cause scores: by how many of what nobody minds it lies beyond what is usual.
func TestWhatCausesScore(t *testing.T) {
	t.Parallel()
	usual := Facts{SoakH: 8, SoakIdealH: 8, Seconds: 60, UsualS: 60, WaterC: 15, AgeDays: 2, FridgeC: 4, OutsideH: 1, CoolH: 2, FatPct: 6, Strainer: process.Cloth}
	with := func(change func(*Facts)) Facts {
		f := usual
		change(&f)
		return f
	}
	for _, tt := range []struct {
		flag   Flag
		facts  Facts
		code   string
		score  float64
		change *Change
	}{
		{Gritty, with(func(f *Facts) { f.SoakH = 4 }), "soak-short", .5 / .15, &Change{How: SetSoakH, To: 8}},
		{Gritty, with(func(f *Facts) { f.SoakH = 0 }), "soak-short", 1 / .15, &Change{How: SetSoakH, To: 8}},
		{Gritty, with(func(f *Facts) { f.Seconds = 30 }), "blend-short", 2.5, &Change{How: SetSeconds, To: 60}},
		{Gritty, with(func(f *Facts) { f.Strainer = process.Sieve }), "strainer-coarse", 2.2, &Change{How: SetStrainer, Strainer: process.Cloth}},
		{Gritty, with(func(f *Facts) { f.Strainer = process.SievePushed }), "strainer-coarse", 2.2, &Change{How: SetStrainer, Strainer: process.Cloth}},
		{Gritty, with(func(f *Facts) { f.Strainer = process.Bag }), "strainer-coarse", .45, &Change{How: SetStrainer, Strainer: process.Cloth}},
		{Slimy, with(func(f *Facts) { f.WaterC = 33 }), "water-warm", 3, &Change{How: SetWaterC, To: 5}},
		{Slimy, with(func(f *Facts) { f.Seconds = 120 }), "blend-long", 5, &Change{How: SetSeconds, To: 60}},
		{Slimy, with(func(f *Facts) { f.SoakH = 12 }), "soak-long", .3 / .15, &Change{How: SetSoakH, To: 8}},
		{Slimy, with(func(f *Facts) { f.Strainer = process.Bag }), "squeezed", 1.4, &Change{How: SetStrainer, Strainer: process.Gentle}},
		{Separates, with(func(f *Facts) { f.AgeDays = 5 }), "old", 2, nil},
		{Separates, with(func(f *Facts) { f.FatPct = 3 }), "lean", 2, &Change{How: TurnDial, Dial: reckon.Fat, To: 6}},
		{Separates, usual, "coffee-warm-first", .3, nil},
		{Settles, usual, "shake-it", .3, nil},
		{SourEarly, with(func(f *Facts) { f.FridgeC = 7 }), "fridge-warm", 2, nil},
		{SourEarly, with(func(f *Facts) { f.CoolH = 3.5 }), "cooled-slowly", 2, nil},
		{SourEarly, with(func(f *Facts) { f.OutsideH = 2.5 }), "stood-outside", 2, nil},
		{SourEarly, usual, "clean-bottles", .3, nil},
		{Bitter, with(func(f *Facts) { f.HasSkins = true }), "skins", .9, &Change{How: SetSkinned}},
		{Bitter, with(func(f *Facts) { f.OverSpice = .12 }), "over-spice", 2, nil},
		{Bitter, usual, "taste-the-nuts", .3, nil},
		{TooSweet, with(func(f *Facts) { f.OverSweet = .18 }), "over-sweetener", 3, nil},
		{TooSpicy, with(func(f *Facts) { f.OverSpice = .06 }), "over-spice", 1, nil},
		{TooThin, with(func(f *Facts) { f.OverWater = .06 }), "over-water", 1, nil},
		{TooThin, with(func(f *Facts) { f.OverBase = -.12 }), "short-base", 2, nil},
		{TooThick, with(func(f *Facts) { f.OverWater = -.06 }), "short-water", 1, nil},
		{TooThick, with(func(f *Facts) { f.OverBase = .06 }), "over-base", 1, nil},
		{SkinForms, with(func(f *Facts) { f.HeatedC = 70 }), "heated-open", 1.6, &Change{How: SetCovered}},
		{SkinForms, with(func(f *Facts) { f.HeatedC, f.Covered = 90, true }), "stir-while-cooling", .3, nil},
		{SkinForms, with(func(f *Facts) { f.HeatedC = 69 }), "stir-while-cooling", .3, nil},
	} {
		causes := Diagnose(tt.flag, tt.facts)
		require.NotEmpty(t, causes, "%s %s", tt.flag, tt.code)
		assert.Equal(t, tt.code, causes[0].Code, tt.flag)
		assert.InDelta(t, tt.score, causes[0].Score, 1e-9, tt.code)
		assert.Equal(t, tt.change, causes[0].Change, tt.code)
	}
	for _, flag := range []Flag{Gritty, TooSweet, TooSpicy, TooThin, TooThick, "moon"} {
		assert.Empty(t, Diagnose(flag, usual), flag)
	}
	unknown := Facts{SoakH: Unknown, SoakIdealH: 8, AgeDays: Unknown, FridgeC: Unknown, OutsideH: Unknown, CoolH: Unknown, FatPct: 6, Strainer: process.Cloth}
	for _, flag := range []Flag{Gritty, SourEarly, Separates} {
		for _, c := range Diagnose(flag, unknown) {
			assert.Less(t, c.Score, 1., "%s: what is not known is no cause, but the general rules", c.Code)
		}
	}
	assert.Len(t, Diagnose(SourEarly, with(func(f *Facts) { f.FridgeC, f.CoolH, f.OutsideH, f.SoakH = 9, 9, 9, 99 })), 4, "four are told of five")
	assert.Zero(t, usual.was(Change{How: SetSeconds}))
	assert.InDelta(t, 8, usual.was(Change{How: SetSoakH}), 1e-12)
	assert.Zero(t, unknown.was(Change{How: SetSoakH}))
}

func TestWhatATastingFound(t *testing.T) {
	t.Parallel()
	assert.Equal(t, []Flag{TooSweet, TooSpicy, TooThick, Bitter}, Tasting{Sweet: 1, Spice: 1, Body: 1, Flags: []Flag{Bitter}}.Found())
	assert.Equal(t, []Flag{TooThin}, Tasting{Sweet: -1, Spice: -1, Body: -1, Salt: 2}.Found())
	assert.Equal(t, say.Of("a-little-x"), degree(1, "x"))
	assert.Equal(t, say.Of("much-x"), degree(-1.5, "x"))
}

// A line is written in the nearest spoons, to three figures where none is near; what gives most is turned.
func TestHowAChangedAmountIsWritten(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "2 tbsp white sugar", "15.24 g white sugar", "1 tsp honey", "2 tbsp coconut oil", "30 g cashew butter", "600 g water")
	assert.Equal(t, "15.2 g", inGrams(&d, d.Lines[1]).String())
	a, ok := spoon(&d, d.Lines[0])
	assert.True(t, ok)
	assert.Equal(t, "2 tbsp", a.String())
	_, ok = spoon(&d, d.Lines[1])
	assert.False(t, ok, "who weighs goes on weighing")
	place, ok := strongest(&d, reckon.Sweetness)
	assert.True(t, ok)
	assert.Equal(t, 0, place)
	d.Lines[0].Locked = true
	place, _ = strongest(&d, reckon.Sweetness)
	assert.Equal(t, 1, place, "a locked line gives nothing")
	d.Lines[1].Stage = ingredient.Serve
	place, _ = strongest(&d, reckon.Sweetness)
	assert.Equal(t, 2, place, "nor does what waits for the glass")
	place, ok = strongest(&d, reckon.Fat)
	assert.True(t, ok)
	assert.Equal(t, 3, place)
	_, ok = strongest(&d, reckon.SpiceDial)
	assert.False(t, ok, "spices are turned together")
	_, ok = strongest(&d, reckon.Strength)
	assert.False(t, ok)

	salted := reckontest.Drink(t, "600 g water", "2 g salt")
	addSalt(&salted, 1)
	assert.Equal(t, quantity.Of(3, quantity.Gram), salted.Lines[1].Amount)
	salted.Lines[1].Locked = true
	addSalt(&salted, 1)
	require.Len(t, salted.Lines, 3)
	assert.Equal(t, ingredient.Salt, salted.Lines[2].Ingredient.Role)

	nuts := reckontest.Drink(t, "100 g almonds", "50 g hazelnuts", "600 g water")
	assert.Zero(t, skinned(&nuts))
	nuts.Lines[0].Treatment.Skinned = true
	assert.InDelta(t, .5, skinned(&nuts), 1e-12)
	assert.Zero(t, skinned(&salted))
}

// A change does what it says, and leaves the rest as it was.
func TestApplyingAChange(t *testing.T) {
	t.Parallel()
	d := reckontest.Drink(t, "100 g almonds", "600 g water", "20 g maple syrup")
	d.Method.Seconds = 40
	d.Changes = []process.Change{
		{At: process.At{Kind: "grind", N: 1}, Do: process.Set, Params: map[string]float64{"seconds": 30}},
		{At: process.At{Kind: "soak", N: 1}, Do: process.Set, Params: map[string]float64{"hours": 4}},
		{At: process.At{Kind: "heat", N: 1}, Do: process.Set, Params: map[string]float64{"minutes": 5}},
	}
	apply := func(c Change) reckon.Drink {
		out, err := Apply(&d, c)
		require.NoError(t, err)
		return out
	}
	longer := apply(Change{How: SetSeconds, To: 90})
	assert.InDelta(t, 90, longer.Method.Seconds, 1e-12)
	assert.Equal(t, d.Changes[1:], longer.Changes)
	soaked := apply(Change{How: SetSoakH, To: 8})
	assert.Equal(t, []process.Change{d.Changes[0], d.Changes[2], {At: process.At{Kind: "soak", N: 1}, Do: process.Set, Params: map[string]float64{"hours": 8}}}, soaked.Changes)
	assert.InDelta(t, 5, apply(Change{How: SetWaterC, To: 5}).Method.WaterC, 1e-12)
	assert.Equal(t, process.Gentle, apply(Change{How: SetStrainer, Strainer: process.Gentle}).Method.Strainer)
	assert.True(t, apply(Change{How: SetCovered}).Method.Covered)
	assert.True(t, apply(Change{How: SetSkinned}).Lines[0].Treatment.Skinned)
	assert.False(t, d.Lines[0].Treatment.Skinned, "the drink itself stays")
	assert.Len(t, d.Changes, 3)
	r := reckontest.Reckoned(t, d)
	assert.InDelta(t, 4, soakH(&d, r), 1e-12, "as it is said")
	d.Changes = nil
	r = reckontest.Reckoned(t, d)
	assert.InDelta(t, d.Lines[0].Ingredient.SoakH.Ideal, soakH(&d, r), 1e-12)
	assert.Zero(t, dialOf(r, "moon"))
	assert.InDelta(t, r.FatPct, dialOf(r, reckon.Fat), 1e-12)
}

// Of a week, what was drunk most comes first, then what was made most, then by name.
func TestTheOrderOfAWeek(t *testing.T) {
	t.Parallel()
	w := WeekOf([]WeekDrink{{Name: "B", DrunkML: 1}, {Name: "A", DrunkML: 1}, {Name: "C", DrunkML: 1, MadeML: 1}, {Name: "D", DrunkML: 2}, {Name: "E", ThrownFor: 3}})
	var names []string
	for _, d := range w.Drinks {
		names = append(names, d.Name)
	}
	assert.Equal(t, []string{"D", "C", "A", "B", "E"}, names)
	assert.Equal(t, 4, w.Unpriced, "what was not drunk needs no price")
	assert.Zero(t, w.Stars)
	money, ok := w.Drinks[4].Saved()
	assert.False(t, ok)
	assert.InDelta(t, -3, money, 1e-12)
}

// What each slider asks for, by hand: by so much of a figure for each notch, salt in grams, the
// loudest first, and salt before sugar where the drink is flat for want of it.
func TestWhatTheSlidersAskFor(t *testing.T) {
	t.Parallel()
	salted := reckontest.Drink(t, "100 g almonds", "1 L water", "30 g maple syrup", "1 g salt", "1 g cardamom")
	plain := reckontest.Drink(t, "100 g almonds", "1 L water", "30 g maple syrup", "1 g cardamom")
	locked := reckontest.Drink(t, "100 g almonds", "1 L water", "1 g salt")
	locked.Lines[2].Locked = true
	thin := reckontest.Drink(t, "1 L carton oat milk", "20 g coconut oil")
	litres := func(d reckon.Drink) float64 { return reckontest.Reckoned(t, d).Drink.VolumeML / 1000 }
	dial := func(d reckon.Drink, name reckon.DialName) float64 { return dialOf(reckontest.Reckoned(t, d), name) }
	for _, c := range []struct {
		what  string
		d     reckon.Drink
		t     Tasting
		codes []string
		to    []float64
	}{
		{"just right", salted, Tasting{}, nil, nil},
		{"a notch too sweet", salted, Tasting{Sweet: 1}, []string{"too-sweet/sweetness"}, []float64{dial(salted, reckon.Sweetness) * .85}},
		{"two too little", salted, Tasting{Sweet: -2}, []string{"too-little-sweet/sweetness"}, []float64{dial(salted, reckon.Sweetness) / .85 / .85}},
		{"flat", plain, Tasting{Sweet: -1}, []string{"flat/salt", "too-little-sweet/sweetness"}, []float64{.37 * litres(plain), dial(plain, reckon.Sweetness) / .85}},
		{"nothing to sweeten, nor to salt", locked, Tasting{Salt: 1}, nil, nil},
		{"too salty", salted, Tasting{Salt: 2}, []string{"too-salty/salt"}, []float64{-.4375}},
		{"too little salt", plain, Tasting{Salt: -1}, []string{"too-little-salt/salt"}, []float64{.37 * litres(plain)}},
		{"much too little", salted, Tasting{Salt: -2}, []string{"too-little-salt/salt"}, []float64{1/.75/.75 - 1}},
		{"too thin, and more so than sweet", salted, Tasting{Body: -2, Sweet: 1}, []string{"too-thin/strength", "too-sweet/sweetness"}, []float64{dial(salted, reckon.Strength) * .85 * .85, dial(salted, reckon.Sweetness) * .85}},
		{"too thick", salted, Tasting{Body: 1}, []string{"too-thick/strength"}, []float64{dial(salted, reckon.Strength) / .85}},
		{"too thin where nothing is ground", thin, Tasting{Body: -1}, []string{"too-thin/fat"}, []float64{dial(thin, reckon.Fat) / .85}},
		{"too much spice", salted, Tasting{Spice: 1}, []string{"too-much-spice/spice"}, []float64{dial(salted, reckon.SpiceDial) * .8}},
	} {
		var codes []string
		var to []float64
		for _, f := range findings(&c.d, c.t) {
			codes, to = append(codes, f.code), append(to, f.change.To)
		}
		assert.Equal(t, c.codes, codes, c.what)
		assert.InDeltaSlice(t, c.to, to, 1e-6, c.what)
	}
}

// What is not known, and what nothing is usual of, is neither too short nor too long.
func TestWhatNobodyKnowsIsNeitherShortNorLong(t *testing.T) {
	t.Parallel()
	for _, f := range []Facts{{SoakH: Unknown, SoakIdealH: 8, UsualS: 90, Seconds: 90}, {SoakH: 5, Seconds: 60}, {}} {
		assert.Zero(t, f.shortSoak().Score, f)
		assert.Zero(t, f.longSoak().Score, f)
		assert.Zero(t, f.shortBlend().Score, f)
		assert.Zero(t, f.longBlend().Score, f)
	}
	odd := Facts{SoakH: 0, SoakIdealH: .5, Seconds: 1, UsualS: .5}
	assert.Positive(t, odd.shortSoak().Score, "not soaked at all, where half an hour is usual")
	assert.Positive(t, odd.longBlend().Score)
	d := reckontest.Drink(t, "1 cup almonds", "4 cups water")
	assert.InDelta(t, Unknown, FactsOf(&d, reckontest.Reckoned(t, d)).SoakH, 0, "as long as was never said")
	d.Method.SoakHours = .5
	assert.InDelta(t, .5, FactsOf(&d, reckontest.Reckoned(t, d)).SoakH, 1e-12)
}

// Salt goes onto the salt there is, where that is free, and else onto a line of its own.
func TestWhereSaltGoes(t *testing.T) {
	t.Parallel()
	salted := func(lines ...string) (names []string, grams []float64) {
		d := reckontest.Drink(t, lines...)
		d.Lines[0].Locked = true
		addSalt(&d, -.4)
		for _, l := range d.Lines {
			g, _, err := l.Grams(d.System)
			require.NoError(t, err)
			names, grams = append(names, l.Ingredient.ID), append(grams, g)
		}
		return names, grams
	}
	names, grams := salted("1 g salt", "2 g salt", "3 g salt")
	assert.Equal(t, []string{"salt", "salt", "salt"}, names)
	assert.InDeltaSlice(t, []float64{1, 1.6, 3}, grams, 1e-9, "the first that is free")
	_, grams = salted("1 g salt", "0.3 g salt", "3 g salt")
	assert.InDeltaSlice(t, []float64{1, .3, 2.6}, grams, 1e-9, "which has as much to give")
}

// Of two sweeteners the one is turned that sweetens more, whichever weighs more; only what a change
// set before is set anew.
func TestWhatGivesMostIsTurned(t *testing.T) {
	t.Parallel()
	for _, lines := range [][]string{{"30 g white sugar", "40 g agave syrup"}, {"30 g white sugar", "32 g barley malt syrup"}, {"35 g maple syrup", "30 g white sugar"}} {
		d := reckontest.Drink(t, append(lines, "600 g water")...)
		place, ok := strongest(&d, reckon.Sweetness)
		require.True(t, ok)
		most := d.Lines[place].Ingredient.PerGram.SucroseEquivalentG() * reckontest.Reckoned(t, d).Lines[place].MassG
		other := d.Lines[1-place].Ingredient.PerGram.SucroseEquivalentG() * reckontest.Reckoned(t, d).Lines[1-place].MassG
		assert.Greater(t, most, other, lines)
	}
	set := func(do, kind, param string) process.Change {
		return process.Change{At: process.At{Kind: kind, N: 1}, Do: do, Params: map[string]float64{param: 1}}
	}
	others := []process.Change{set(process.Set, "grind", "minutes"), set(process.Set, "soak", "seconds"), set("add-after", "grind", "seconds")}
	assert.Equal(t, others, without(append(slices.Clone(others), set(process.Set, "grind", "seconds")), "grind", "seconds"))
}

// A share is said as people say it within three hundredths, and in per cent beside that.
func TestSharesInWords(t *testing.T) {
	t.Parallel()
	for share, want := range map[float64]say.Text{.2: say.Of("share-fifth"), .171: say.Of("share-fifth"), .169: say.Of("share-pct", 16.9), .24: say.Of("share-quarter"), .279: say.Of("share-quarter"), .281: say.Of("share-pct", 28.1), .35: say.Of("share-third"), .365: say.Of("share-pct", 36.5), .471: say.Of("share-half"), .529: say.Of("share-half"), .531: say.Of("share-pct", 53.1)} {
		got := portion(share)
		assert.Equal(t, want.Code, got.Code, share)
		for n := range want.Args {
			assert.InDelta(t, want.Args[n], got.Args[n], 1e-9)
		}
	}
}

// How likely guessing finds the odd one of three so often (the binomial distribution, by hand), and
// that of two jars one holds the change.
func TestChanceByHand(t *testing.T) {
	t.Parallel()
	for _, c := range []struct {
		right, of int
		want      float64
	}{{0, 3, 1}, {1, 1, 1. / 3}, {3, 3, 1. / 27}, {1, 2, 5. / 9}, {4, 5, 11. / 243}, {5, 5, 1. / 243}, {2, 3, 7. / 27}} {
		assert.InDelta(t, c.want, atLeast(c.right, c.of, 1./3), 1e-12, c)
	}
	for first := range 2 {
		jars := Jars(2, func(int) int { return first })
		assert.Equal(t, []bool{first == 0, first == 1}, []bool{jars[0].Changed, jars[1].Changed})
		assert.Equal(t, []string{"A", "B"}, []string{jars[0].Letter, jars[1].Letter})
	}
	nobody := Open([]Jar{{Letter: "A"}, {Letter: "B", Changed: true}, {Letter: "C"}}, nil)
	assert.Equal(t, Answer{}, nobody)
	one := Open([]Jar{{Letter: "A"}, {Letter: "B", Changed: true}, {Letter: "C"}}, []Verdict{{Odd: "B"}})
	assert.InDelta(t, 1./3, one.ByChance, 1e-12)
}

// A bottle of a day that soured after half of it tells as much as any.
func TestAShortLifeTeachesToo(t *testing.T) {
	t.Parallel()
	l, ok := LifeLesson(.25, .5, 0)
	require.True(t, ok)
	assert.InDelta(t, .5, l.Share, 1e-12)
	l, ok = LifeLesson(.25, .5, .5)
	require.True(t, ok)
	assert.InDelta(t, .25, l.Share, 1e-12)
}
