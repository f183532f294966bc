package keep

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"plushladle/core/ingredient"
)

// How something stands by the calendar, and by the moment that its last good one is.
func TestHowItStandsByTheDay(t *testing.T) {
	t.Parallel()
	on := func(day, hour int) time.Time { return time.Date(2026, 11, day, hour, 0, 0, 0, time.UTC) }
	for _, c := range []struct {
		today, useBy int
		standing     Standing
		left         int
	}{{10, 13, Fine, 3}, {10, 12, Fine, 2}, {10, 11, Soon, 1}, {10, 10, LastDay, 0}, {10, 9, Past, -1}, {10, 7, Past, -3}} {
		standing, left := On(on(c.today, 23), on(c.useBy, 1))
		assert.Equal(t, c.standing, standing, c)
		assert.Equal(t, c.left, left, c)
	}
	for _, c := range []struct {
		now, until time.Time
		standing   Standing
		left       int
	}{
		{on(10, 8), on(10, 9), LastDay, 0}, {on(10, 9), on(10, 9), Past, -1}, {on(10, 10), on(10, 9), Past, -1}, {on(12, 9), on(10, 9), Past, -2},
		{on(10, 8), on(11, 0), LastDay, 0}, {on(10, 8), on(11, 1), Soon, 1}, {on(11, 0), on(11, 0), Past, -1},
	} {
		standing, left := At(c.now, c.until)
		assert.Equal(t, c.standing, standing, c)
		assert.Equal(t, c.left, left, c)
	}
	for now, share := range map[time.Time]float64{on(10, 0): 1, on(11, 0): .75, on(13, 0): .25, on(14, 0): 0, on(15, 0): 0, on(9, 0): 1} {
		assert.InDelta(t, share, LifeShare(on(10, 0), on(14, 0), now), 1e-12, now)
	}
	assert.Zero(t, LifeShare(on(10, 0), on(10, 0), on(9, 0)), "what never had a life has none left")
	assert.Equal(t, on(17, 0), lastMidnight(on(10, 9)), "the end of the seventh day")
	for until, last := range map[time.Time]int{on(13, 0): 12, on(13, 9): 12, on(13, 23): 12} {
		assert.Equal(t, last, LastWholeDay(on(10, 9), until).Day(), until)
	}
	assert.Equal(t, on(10, 9), LastWholeDay(on(10, 9), on(10, 20)), "the day itself where it is over in it")
	assert.Equal(t, on(10, 0), FrozenUntil(on(10, 0), 1))
	assert.Equal(t, on(12, 0), FrozenUntil(on(10, 0), 3))
	assert.Equal(t, on(9, 0), earlier(on(9, 0), on(10, 0)))
	assert.Equal(t, on(9, 0), earlier(on(10, 0), on(9, 0)))
}

// The two schools, and what either gives what is frozen or left over.
func TestTheTwoSchools(t *testing.T) {
	t.Parallel()
	for name, ok := range map[string]bool{"cautious": true, "customary": true, "Cautious": false, "": false} {
		s, err := ParseSchool(name)
		assert.Equal(t, ok, err == nil, name)
		if !ok {
			assert.Equal(t, Cautious, s, "the safer one")
		}
	}
	assert.Equal(t, Customary, Cautious.Other())
	assert.Equal(t, Cautious, Customary.Other())
	assert.Equal(t, [2]int{14, 14}, freezerDays(true))
	assert.Equal(t, [2]int{30, 60}, freezerDays(false))
	life := Life{CautiousDays: 2.5, CustomaryDays: 4, freezer: [2]int{30, 60}}
	assert.Equal(t, [4]float64{2.5, 4, 30, 60}, [4]float64{life.Days(Cautious), life.Days(Customary), float64(life.FreezerDays(Cautious)), float64(life.FreezerDays(Customary))})
	assert.True(t, life.Known())
	assert.False(t, Life{CustomaryDays: 4}.Known())
	for days, whole := range map[float64]int{.2: 1, 1: 1, 1.99: 1, 2: 2, 1.9999999999: 2, 7: 7} {
		assert.Equal(t, whole, WholeDays(days), days)
	}
	assert.Equal(t, [4]int{2, 3, 60, 60}, [4]int{PulpDays(false, Cautious), PulpDays(false, Customary), PulpDays(true, Cautious), PulpDays(true, Customary)})
}

// What soured early before keeps that much shorter, at least a day; a share that is none changes
// nothing.
func TestWhatSouredBefore(t *testing.T) {
	t.Parallel()
	for share, want := range map[float64][2]float64{.5: {2, 3}, .1: {1, 1}, .2: {1, 1.2}, 1: {4, 6}, 1.5: {4, 6}, 0: {4, 6}, -1: {4, 6}} {
		l := Life{CautiousDays: 4, CustomaryDays: 6}
		l.soured(share)
		assert.InDelta(t, want[0], l.CautiousDays, 1e-12, share)
		assert.InDelta(t, want[1], l.CustomaryDays, 1e-12, share)
		assert.Equal(t, want != [2]float64{4, 6}, len(l.Reasons) == 1, "%g is told where it does anything", share)
	}
}

// A fridge above 5 °C leaves half, one above 7 a day, and no more than a concentrate had.
func TestAWarmFridgeByHand(t *testing.T) {
	t.Parallel()
	for _, c := range []struct{ days, fridgeC, most float64 }{{4, 5, math.Inf(1)}, {4, 5.1, 2}, {4, 7, 2}, {4, 7.1, 1}, {1.5, 6, 1}} {
		assert.Equal(t, c.most, warmFridgeDays(c.days, c.fridgeC), c)
	}
	assert.InDelta(t, 1, rateOf(4, false), 1e-12)
	assert.InDelta(t, math.Pow(1.2/1.4, 2), rateOf(2, false), 1e-12)
	assert.InDelta(t, 1, rateOf(2, true), 1e-12, "a concentrate gains nothing in the cold")
	assert.InDelta(t, math.Pow(1.8/1.4, 2), rateOf(8, true), 1e-12)
	l := Life{CautiousDays: 9, CustomaryDays: 9}.at(4)
	assert.Equal(t, [2]float64{7, 7}, [2]float64{l.CautiousDays, l.CustomaryDays})
	assert.Equal(t, "seven-days-most", l.Reasons[0].Code)
	short := Life{CautiousDays: 3, CustomaryDays: 5}.at(4)
	assert.Empty(t, short.Reasons)
	steady := Life{CautiousDays: 30, CustomaryDays: 60, Steady: true}.at(4)
	assert.Equal(t, [2]float64{30, 60}, [2]float64{steady.CautiousDays, steady.CustomaryDays})
}

func TestHoursInWordsOfTheShelf(t *testing.T) {
	t.Parallel()
	for d, want := range map[time.Duration]string{59 * time.Minute: "minutes(59)", time.Hour: "an-hour", 61 * time.Minute: "hours(1)", 90 * time.Minute: "hours(1.5)", 2*time.Hour + 4*time.Minute: "hours(2.1)"} {
		assert.Equal(t, want, inHours(d).String(), d)
	}
}

// What an opened pack is, on either side of each share that decides it (common practice, no source).
func TestWhatAnOpenedPackIs(t *testing.T) {
	t.Parallel()
	of := func(change func(*ingredient.Ingredient)) Opened {
		i := &ingredient.Ingredient{}
		change(i)
		return OpenedLife(i)
	}
	with := func(c ingredient.Component, share float64) func(*ingredient.Ingredient) {
		return func(i *ingredient.Ingredient) { i.PerGram[c] = share }
	}
	assert.Equal(t, Opened{365, 730, inACool}, of(with(ingredient.Alcohol, .2)))
	assert.Equal(t, Opened{180, 365, inTheJar}, of(with(ingredient.Alcohol, .199)))
	assert.Equal(t, Opened{5, 7, inTheCold}, of(with(ingredient.Water, .4)))
	assert.Equal(t, Opened{90, 180, inACool}, of(with(ingredient.Water, .399)), "a syrup")
	assert.Equal(t, Opened{90, 180, inACool}, of(with(ingredient.Water, .2)))
	assert.Equal(t, Opened{180, 365, inTheJar}, of(with(ingredient.Water, .199)))
	assert.Equal(t, Opened{90, 180, inACool}, of(with(ingredient.Fat, .9)))
	assert.Equal(t, Opened{30, 90, inTheJar}, of(with(ingredient.Fat, .899)))
	assert.Equal(t, Opened{30, 90, inTheJar}, of(with(ingredient.Fat, .2)))
	assert.Equal(t, Opened{180, 365, inTheJar}, of(with(ingredient.Fat, .199)))
	sweet := func(i *ingredient.Ingredient) { i.PerGram[ingredient.Water], i.Role = .5, ingredient.Sweetener }
	assert.Equal(t, Opened{60, 180, inTheCold}, of(sweet))
	for protein, want := range map[float64]Opened{.0099: {90, 180, inTheCold}, .01: {5, 7, inTheCold}} {
		assert.Equal(t, want, of(func(i *ingredient.Ingredient) {
			i.PerGram[ingredient.Water], i.PerGram[ingredient.Protein], i.Class = .99, protein, ingredient.Soluble
		}), "a flower water has next to nothing in it: %g", protein)
	}
	tin := func(waterShare float64, bare bool) Opened {
		return of(func(i *ingredient.Ingredient) {
			i.PerGram[ingredient.Water], i.Bare, i.Life = waterShare, bare, ingredient.Life{CautiousDays: 3, CustomaryDays: 4}
		})
	}
	assert.Equal(t, Opened{3, 4, inACovered}, tin(.2, false))
	assert.Equal(t, Opened{180, 365, inTheJar}, tin(.1, false))
	assert.Equal(t, Opened{3, 4, inACovered}, tin(.1, true), "what the cook wrote of a row of their own")
}

// Newton's law by hand: a litre 10 cm deep has a bottom of 100 cm², a radius of 5.64 cm and a wall
// of 354.5 cm²; its surface counts in air alone. 4.1 J a mL and K.
func TestCoolingByHand(t *testing.T) {
	t.Parallel()
	for bath, want := range map[Bath]struct{ areaM2, wPerM2K, toC float64 }{
		InAir: {.05545, 9, 22}, InAFridge: {.05545, 9, 4}, InWater: {.04545, 120, 12}, InIce: {.04545, 250, 1},
	} {
		c := Cooling{VolumeML: 1000, FromC: 90, Bath: bath, RoomC: 22}
		rate := want.areaM2 * want.wPerM2K / 4100
		assert.InEpsilon(t, rate, c.perSecond(), 1e-3, bath)
		assert.InDelta(t, want.toC, c.bathC(), 1e-12, bath)
		assert.InDelta(t, want.toC+(90-want.toC)*math.Exp(-rate*600), c.After(10*time.Minute), .05, bath)
		if down, can := c.Until(40); assert.True(t, can) {
			assert.InEpsilon(t, math.Log((90-want.toC)/(40-want.toC))/rate, down.Seconds(), 1e-3, bath)
		}
		_, can := c.Until(want.toC)
		assert.False(t, can, "nothing comes down to its bath in any time: %s", bath)
		down, can := c.Until(90)
		assert.True(t, can && down == 0, "it is that cold")
	}
	two := Cooling{VolumeML: 2000, FromC: 90, Bath: InIce}.Divided(2, InIce, 0)
	assert.InDelta(t, Cooling{VolumeML: 1000, FromC: 90, Bath: InIce}.perSecond(), two.perSecond(), 1e-12)
	assert.Greater(t, two.Divided(2, InIce, 4).perSecond(), two.perSecond(), "shallow is faster")
	c := Cooling{VolumeML: 1000, FromC: 90, Bath: InIce}
	for _, bad := range []struct {
		nowC  float64
		after time.Duration
	}{{90, time.Minute}, {1, time.Minute}, {50, 0}, {50, -time.Minute}} {
		_, ok := c.Measured(bad.nowC, bad.after)
		assert.False(t, ok, bad)
	}
	fitted, ok := c.Measured(45.5, 10*time.Minute)
	require.True(t, ok)
	assert.InDelta(t, 45.5, fitted.After(10*time.Minute), 1e-9)
	assert.InDelta(t, 1+89*.25, fitted.After(20*time.Minute), 1e-9, "half of what is above the bath each ten minutes")
}

// It is asked for forty minutes before the first point and ninety before the second, in a minute at
// the least, and not once a point is over.
func TestWhenItIsAskedHowColdItIs(t *testing.T) {
	t.Parallel()
	began := time.Date(2026, 11, 10, 12, 0, 0, 0, time.UTC)
	k := CoolingClock{FirstBy: began.Add(2 * time.Hour), ColdBy: began.Add(6 * time.Hour)}
	in := func(minutes int) (in []float64) {
		for _, w := range k.Warnings(began.Add(time.Duration(minutes) * time.Minute)) {
			in = append(in, w.In.Minutes())
		}
		return in
	}
	assert.Equal(t, []float64{80, 270}, in(0))
	assert.Equal(t, []float64{1, 190}, in(80))
	assert.Equal(t, []float64{1, 151}, in(119))
	assert.Equal(t, []float64{150}, in(120))
	assert.Equal(t, []float64{1}, in(359))
	assert.Empty(t, in(360))
	for _, c := range []struct {
		nowC    float64
		minutes int
		want    CoolingVerdict
	}{{21.1, 121, MissedFirst}, {21, 121, NeverFirst}, {21.1, 120, NeverFirst}, {5.1, 361, MissedCold}, {5, 361, NeverFirst}} {
		assert.Equal(t, c.want, k.Verdict(c.nowC, began.Add(time.Duration(c.minutes)*time.Minute)), c)
	}
	k.First = k.FirstBy
	assert.Equal(t, NeverCold, k.Verdict(30, began))
	k.Cold = k.ColdBy
	assert.Equal(t, CoolsInTime, k.Verdict(30, began), "to the minute")
	k.Cold = k.ColdBy.Add(1)
	assert.Equal(t, LateCold, k.Verdict(30, began))
	k.First = k.FirstBy.Add(1)
	assert.Equal(t, LateFirst, k.Verdict(30, began))
}

// Four hours above the line in one go, or in goes that count together, and it goes out; to the
// minute they do not. Goes that are too short to count do not add up.
func TestWhatIsTooWarmTooLong(t *testing.T) {
	t.Parallel()
	at := time.Date(2026, 11, 10, 12, 0, 0, 0, time.UTC)
	run := func(fromH float64, lasts time.Duration) Spell {
		from := at.Add(time.Duration(fromH * float64(time.Hour)))
		return Spell{From: from, To: from.Add(lasts)}
	}
	for name, c := range map[string]struct {
		runs []Spell
		out  bool
		from time.Time
	}{
		"four hours":               {[]Spell{run(0, spellMost)}, false, time.Time{}},
		"a minute more":            {[]Spell{run(0, spellMost+time.Minute)}, true, at},
		"two of two hours":         {[]Spell{run(0, spellMost/2), run(9, spellMost/2)}, false, time.Time{}},
		"two of more":              {[]Spell{run(0, spellMost/2), run(9, spellMost/2+time.Minute)}, true, at},
		"many too short to count":  {[]Spell{run(0, countsFrom-time.Second), run(3, countsFrom-time.Second), run(6, spellMost)}, false, time.Time{}},
		"from the first to count":  {[]Spell{run(0, countsFrom-time.Second), run(3, countsFrom), run(6, spellMost)}, true, at.Add(3 * time.Hour)},
		"the long one's beginning": {[]Spell{run(0, countsFrom), run(6, spellMost+time.Second)}, true, at.Add(6 * time.Hour)},
		"none":                     {nil, false, time.Time{}},
	} {
		from, tooLong := tooWarm(c.runs)
		assert.Equal(t, c.out, tooLong, name)
		assert.True(t, c.from.Equal(from), name)
	}
	one := Spell{From: at, To: at.Add(time.Hour), MostC: 9, Days: .25}
	soon := Spell{From: one.To.Add(joinsWithin - time.Second), To: one.To.Add(2 * time.Hour), MostC: 8, Days: .5, Gap: true}
	assert.Equal(t, []Spell{{From: at, To: soon.To, MostC: 9, Days: .75, Gap: true}}, joined([]Spell{one}, soon))
	later := soon
	later.From = one.To.Add(joinsWithin)
	assert.Len(t, joined([]Spell{one}, later), 2)
}

// A drink follows the air by its lag: after one lag a third (1/e) of the way is left. Of a span in
// which it crosses the line only what is above it counts.
func TestADrinkFollowsTheAir(t *testing.T) {
	t.Parallel()
	at, lag := time.Date(2026, 11, 10, 12, 0, 0, 0, time.UTC), time.Hour
	follow := func(drinkC, airC, aboveC float64) (endC float64, told []Spell) {
		s := span{air: air{from: at, to: at.Add(lag), tempC: airC}}
		endC = s.follow(drinkC, aboveC, lag, func(s Spell) { told = append(told, s) })
		return endC, told
	}
	endC, told := follow(4, 20, 25)
	assert.InDelta(t, 20-16/math.E, endC, 1e-9)
	assert.Empty(t, told, "it never is that warm")
	_, told = follow(4, 20, 10)
	require.Len(t, told, 1)
	assert.InDelta(t, -math.Log(10./16), told[0].From.Sub(at).Hours(), 1e-6, "from where it crosses")
	assert.Equal(t, at.Add(lag), told[0].To)
	assert.InDelta(t, 20-16/math.E, told[0].MostC, 1e-9)
	_, told = follow(20, 4, 10)
	require.Len(t, told, 1)
	assert.Equal(t, at, told[0].From)
	assert.InDelta(t, -math.Log(6./16), told[0].To.Sub(at).Hours(), 1e-6, "to where it crosses again")
	assert.InDelta(t, 20, told[0].MostC, 1e-9)
	_, told = follow(20, 20, 10)
	require.Len(t, told, 1)
	assert.Equal(t, lag, told[0].Lasted())
	assert.InDelta(t, RelativeRate(20)/24, told[0].Days, 1e-9)
}
