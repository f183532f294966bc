package keep

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var made = time.Date(2026, 11, 20, 9, 0, 0, 0, time.UTC)

func after(hours float64) time.Time { return made.Add(time.Duration(hours * float64(time.Hour))) }

// milk is half a litre that keeps 3 days by caution and 5 by custom.
func milk(stays ...Stay) Bottle {
	if stays == nil {
		stays = []Stay{{made, InFridge}}
	}
	return Bottle{Made: made, Days: map[School]float64{Cautious: 3, Customary: 5}, Frozen: map[School]int{Cautious: 30, Customary: 60}, VolumeML: 500, Stays: stays}
}

func day(n int) string { return made.AddDate(0, 0, n).Format("2 Jan") }

// Source: the square-root model (Olley & Ratkowsky 1973), as given in its terms.
func TestRelativeRates(t *testing.T) {
	for tempC, rate := range map[float64]float64{-5: .51, 0: .51, 4: 1, 7: 1.47, 10: 2.04} {
		assert.InDelta(t, rate, RelativeRate(tempC), .005, tempC)
	}
}

func TestAtASteadyFourItKeepsExactlyItsLife(t *testing.T) {
	t.Parallel()
	readings := []Reading{}
	for h := range 24 * 8 {
		for m := range 4 {
			readings = append(readings, Reading{after(float64(h) + float64(m)/4), 4})
		}
	}
	for _, record := range []Record{{SetC: 4}, NewRecord(readings, 4)} {
		for _, hours := range []float64{0, 1, 20, 47, 60, 100, 300} {
			b := milk().Budget(record, Cautious, 20, after(hours))
			assert.WithinDuration(t, after(72), b.UseBy, time.Minute, "by the clock")
			assert.InDelta(t, max(0, 3-hours/24), b.LeftDays, .001)
			assert.Equal(t, hours >= 72, b.Past)
			assert.Empty(t, b.Out)
			assert.WithinDuration(t, after(120), milk().Budget(record, Customary, 20, after(hours)).UseBy, time.Minute)
		}
	}
}

func TestTheIntegralIsTheSumOfItsParts(t *testing.T) {
	t.Parallel()
	r := NewRecord([]Reading{{after(0), 4}, {after(.25), 7}, {after(.5), 10}, {after(.75), 0}, {after(1), 4}}, 4)
	byHand := (RelativeRate(4) + RelativeRate(7) + RelativeRate(10) + RelativeRate(0)) / 4 / 24
	assert.InDelta(t, byHand, r.Spent(after(0), after(1), Cautious), 1e-9)
	middle := after(.6)
	assert.InDelta(t, r.Spent(after(0), after(1), Cautious), r.Spent(after(0), middle, Cautious)+r.Spent(middle, after(1), Cautious), 1e-9)
}

// A record that is nowhere cooler never leaves more life.
func TestWarmerNeverLeavesMore(t *testing.T) {
	t.Parallel()
	random := rand.New(rand.NewPCG(3, 4))
	for range 200 {
		var cool, warm []Reading
		tempC := 3.
		for n := range 24 * 3 * 4 {
			tempC = math.Max(0, math.Min(12, tempC+random.NormFloat64()))
			at := after(float64(n) / 4)
			cool = append(cool, Reading{at, tempC})
			warm = append(warm, Reading{at, tempC + random.Float64()*2})
		}
		now := after(random.Float64() * 72)
		for _, s := range []School{Cautious, Customary} {
			a, b := milk().Budget(NewRecord(cool, 4), s, 20, now), milk().Budget(NewRecord(warm, 4), s, 20, now)
			require.LessOrEqual(t, b.LeftDays, a.LeftDays)
			require.False(t, b.UseBy.After(a.UseBy))
			require.False(t, !a.Out.IsZero() && b.Out.IsZero(), "what is out stays out when it was warmer still")
		}
	}
}

// Source: Food Code 3-501.16, 3-501.19 and the USDA two-hour rule.
func TestDiscardRulesOverrideTheArithmetic(t *testing.T) {
	t.Parallel()
	spell := func(tempC, hours float64) Record {
		var readings []Reading
		for at := 10.; at < 10+hours; at += .25 {
			readings = append(readings, Reading{after(at), tempC})
		}
		return NewRecord(append([]Reading{{after(0), 4}, {after(9.9), 4}}, append(readings, Reading{after(10 + hours), 4})...), 4)
	}
	out := func(b Bottle, r Record, s School, roomC float64) bool {
		return b.Budget(r, s, roomC, after(20)).Out.IsZero() == false
	}
	table := func(hours float64) Bottle {
		return milk(Stay{made, InFridge}, Stay{after(2), Outside}, Stay{after(2 + hours), InFridge})
	}
	tests := []struct {
		what                string
		bottle              Bottle
		record              Record
		roomC               float64
		cautious, customary bool
	}{
		{"a spell to 7 °C of three hours", milk(), spell(7, 3), 20, false, false},
		{"of five", milk(), spell(7, 5), 20, true, false},
		{"to 9 °C of five and a half", milk(), spell(9, 5.5), 20, true, true},
		{"to 9 °C of two and a half, and as long as it takes to cool", milk(), spell(9, 2.5), 20, false, false},
		{"to 9 °C of three and a half", milk(), spell(9, 3.5), 20, true, false},
		{"a fridge set at 7 °C has no spells", milk(), Record{SetC: 7}, 20, false, false},
		{"an hour and a half outside", table(1.5), Record{SetC: 4}, 20, false, false},
		{"two and a half", table(2.5), Record{SetC: 4}, 20, true, true},
		{"an hour and a half in great heat", table(1.5), Record{SetC: 4}, 33, true, true},
	}
	for _, tt := range tests {
		assert.Equal(t, tt.cautious, out(tt.bottle, tt.record, Cautious, tt.roomC), tt.what)
		assert.Equal(t, tt.customary, out(tt.bottle, tt.record, Customary, tt.roomC), tt.what)
	}
	assert.Equal(t, after(36), milk().Budget(Record{SetC: 7}, Cautious, 20, after(1)).UseBy, "half its life at most in a fridge set above 5 °C")
	assert.Equal(t, after(24), milk().Budget(Record{SetC: 8}, Cautious, 20, after(1)).UseBy, "and a day above 7 °C")
	assert.WithinDuration(t, after(5*24/RelativeRate(7)), milk().Budget(Record{SetC: 7}, Customary, 20, after(1)).UseBy, time.Minute, "5 days at 1.47 times the rate")
}

func TestTheFreezerStopsTheClock(t *testing.T) {
	t.Parallel()
	r := Record{SetC: 4}
	frozen := milk(Stay{made, InFridge}, Stay{after(24), InFreezer}).Budget(r, Cautious, 20, after(24*20))
	assert.True(t, frozen.Frozen)
	assert.InDelta(t, 2, frozen.LeftDays, .001)
	assert.Equal(t, day(31), frozen.UseBy.Format("2 Jan"), "the day it was frozen being day 1 of 30")
	for left := .25; left < 3; left += .25 {
		in := after(24 * (3 - left))
		taken := in.AddDate(0, 0, 10)
		b := milk(Stay{made, InFridge}, Stay{in, InFreezer}, Stay{taken, InFridge})
		now := taken.Add(time.Hour)
		thawed := b.Budget(r, Cautious, 20, now)
		assert.Equal(t, taken.Add(12*time.Hour), thawed.Thawing, "half a litre thaws in 12 hours")
		assert.LessOrEqual(t, thawed.LeftDays, left+1e-9, "never more than before")
		assert.LessOrEqual(t, thawed.LeftDays, 2., "and two days at most")
		assert.False(t, thawed.UseBy.After(thawed.Thawing.Add(48*time.Hour)))
	}
}

// Nonsense is left out; in a gap caution holds the last reading and custom
// what is set, and it is said.
func TestGapsAndNonsense(t *testing.T) {
	t.Parallel()
	r := NewRecord([]Reading{{after(2), 6}, {after(1), -80}, {after(1), math.NaN()}, {after(0), 4}, {after(1.9), 999}}, 4)
	assert.Equal(t, 3, r.Nonsense)
	spells := r.Spells(after(0), after(10), WarmFridgeC, Cautious)
	require.Len(t, spells, 1)
	assert.True(t, spells[0].Gap)
	assert.Equal(t, 8*time.Hour, spells[0].Lasted())
	assert.Equal(t, 8*time.Hour, r.LongestGap(after(10)))
	assert.Zero(t, NewRecord([]Reading{{after(0), 4}}, 4).LongestGap(after(.4)), "half an hour is no gap yet")
	custom := r.Spells(after(0), after(10), WarmFridgeC, Customary)
	assert.Equal(t, gapAfter, custom[0].Lasted())
	assert.Greater(t, r.Spent(after(0), after(10), Cautious), r.Spent(after(0), after(10), Customary))
}

func TestWhatCostLifeComesFirst(t *testing.T) {
	t.Parallel()
	b := milk(Stay{made, InFridge}, Stay{after(3), Outside}, Stay{after(4), InFridge}).Budget(Record{SetC: 2}, Customary, 25, after(10))
	require.GreaterOrEqual(t, len(b.Reasons), 2)
	assert.Equal(t, "stood-outside(an-hour, 25)", b.Reasons[0].Text.String())
	assert.Equal(t, "fridge-was-colder", b.Reasons[1].Text.String())
	assert.Equal(t, "freeze-now", b.Longer[0].Code)
	assert.False(t, b.Earliest.After(b.UseBy) || b.UseBy.After(b.Latest))
}

// By hand: Newton's law halves the distance to the bath in equal times.
func TestCooling(t *testing.T) {
	t.Parallel()
	c := Cooling{VolumeML: 1000, FromC: 90, Bath: InIce, RoomC: 20}
	half, ok := c.Until(45.5)
	require.True(t, ok)
	assert.InDelta(t, 45.5, c.After(half), .01)
	assert.InDelta(t, 1+89./4, c.After(2*half), .01)
	assert.True(t, c.InTime())
	for _, bath := range []Bath{InAir, InAFridge} {
		c.Bath = bath
		assert.False(t, c.InTime(), "a litre left in %s misses it", bath)
	}
	_, ok = Cooling{VolumeML: 1000, FromC: 90, Bath: InAir, RoomC: 20}.Until(5)
	assert.False(t, ok, "no air cools below itself")
	shallow, deep := Cooling{VolumeML: 2000, DepthCM: 4, FromC: 90, Bath: InWater}, Cooling{VolumeML: 2000, DepthCM: 15, FromC: 90, Bath: InWater}
	a, _ := shallow.Until(21)
	d, _ := deep.Until(21)
	assert.Less(t, a, d)
	divided := deep
	divided.Vessels = 4
	four, _ := divided.Until(21)
	assert.Less(t, four, d)
}

// By hand: 90 to 57 °C, then two hours and six from there; measured once, the
// rate is what the thermometer says.
func TestACoolingOnTheClock(t *testing.T) {
	t.Parallel()
	c := Cooling{VolumeML: 3000, FromC: 90, Bath: InAFridge, RoomC: 20}
	k := c.Clock(made)
	at57, _ := c.Until(57)
	assert.Equal(t, made.Add(at57+2*time.Hour), k.FirstBy)
	assert.Equal(t, made.Add(at57+6*time.Hour), k.ColdBy)
	assert.False(t, k.InTime())
	assert.Equal(t, k.InTime(), c.InTime())

	helps := c.Helps(k, 70, made.Add(30*time.Minute))
	require.NotEmpty(t, helps)
	for n, h := range helps {
		assert.True(t, h.Cooling.InTime())
		assert.Equal(t, k.FirstBy, h.Cooling.FirstBy, "the clock runs on")
		if n > 0 {
			assert.False(t, h.Cooling.First.After(helps[n-1].Cooling.First), "the more trouble, the faster")
		}
	}
	assert.Empty(t, c.Helps(k, 70, k.FirstBy.Add(-time.Minute)), "nothing helps a minute before")

	quick, ok := c.Measured(47, time.Hour) // halfway to 4 °C in an hour
	require.True(t, ok)
	assert.InDelta(t, 25.5, quick.After(2*time.Hour), .01)
	for _, none := range []float64{90, 95, 4, 2} {
		_, ok = c.Measured(none, time.Hour)
		assert.False(t, ok, none)
	}
	_, ok = c.Measured(50, 0)
	assert.False(t, ok)

	room := Cooling{VolumeML: 500, FromC: 22, Bath: InIce}.Clock(made)
	assert.Equal(t, made.Add(4*time.Hour), room.ColdBy, "made at room temperature")
	assert.True(t, room.InTime())
	assert.True(t, Cooling{VolumeML: 500, FromC: 90, Bath: InAir, RoomC: 20}.Clock(made).Cold.IsZero())
}

// A record that was summed up once says what going through every minute of it
// says, wherever one looks from and to.
func TestASummedRecordSaysWhatWalkingItSays(t *testing.T) {
	t.Parallel()
	dice := rand.New(rand.NewPCG(1, 2))
	for round := range 60 {
		var readings []Reading
		at, tempC := made, 4.
		for range 400 {
			at = at.Add(time.Duration(1+dice.IntN(3)) * time.Minute)
			if dice.IntN(60) == 0 {
				at = at.Add(time.Duration(dice.IntN(300)) * time.Minute) // a gap
			}
			if dice.IntN(25) == 0 {
				tempC = 2 + 8*dice.Float64()
			}
			readings = append(readings, Reading{at, tempC})
		}
		r := NewRecord(readings, 3+float64(round%4))
		plain := Record{Readings: r.Readings, SetC: r.SetC}
		span := at.Sub(made) + 10*time.Hour
		for range 40 {
			from := made.Add(-5*time.Hour + time.Duration(dice.Int64N(int64(span))))
			to := from.Add(time.Duration(dice.Int64N(int64(span))))
			for _, school := range []School{Cautious, Customary} {
				assert.InDelta(t, plain.Spent(from, to, school), r.Spent(from, to, school), 1e-9)
				for _, aboveC := range []float64{WarmFridgeC, spellCustomC, 3} {
					want, got := plain.Spells(from, to, aboveC, school), r.Spells(from, to, aboveC, school)
					require.Len(t, got, len(want), "%v to %v above %g", from, to, aboveC)
					for n := range want {
						assert.InDelta(t, want[n].Days, got[n].Days, 1e-9)
						got[n].Days = want[n].Days
						assert.Equal(t, want[n], got[n])
					}
				}
			}
		}
	}
}

// Whatever is done with a bottle, what is left of it only falls, and what is
// past or out stays so.
func TestWhatIsLeftOnlyFalls(t *testing.T) {
	t.Parallel()
	dice := rand.New(rand.NewPCG(5, 6))
	places := []Place{InFridge, InDoor, InFreezer, Outside}
	for range 160 {
		r := Record{SetC: float64(dice.IntN(10))}
		if dice.IntN(2) == 0 {
			r = NewRecord(wandering(dice, 24*9), r.SetC)
		}
		roomC := 10 + 25*dice.Float64()
		b := milk()
		b.VolumeML, b.Steady = 50+2000*dice.Float64(), dice.IntN(4) == 0
		if b.Steady {
			b.Days = map[School]float64{Cautious: 14, Customary: 30}
		}
		froze := false
		at := made
		var before [2]Budget
		for step := range 30 {
			at = at.Add(time.Duration(dice.IntN(int(9 * time.Hour))))
			for n, s := range []School{Cautious, Customary} {
				now := b.Budget(r, s, roomC, at)
				if step > 0 {
					require.LessOrEqual(t, now.LeftDays, before[n].LeftDays+1e-9, "%v of %v in %v at %v", s, b.Stays, roomC, at)
					require.False(t, before[n].Past && !now.Past && !now.Frozen, "what is past came back: %v", b.Stays)
					require.False(t, !before[n].Out.IsZero() && now.Out.IsZero(), "what is out came back: %v", b.Stays)
				}
				before[n] = now
			}
			if place := places[dice.IntN(4)]; dice.IntN(2) == 0 && !(place == InFreezer && froze) {
				b.Stays = append(slices.Clone(b.Stays), Stay{at, place})
				froze = froze || place == InFreezer
			}
		}
	}
}

// wandering is a fridge whose temperature drifts, with a door left open now and
// then.
func wandering(dice *rand.Rand, hours int) []Reading {
	var out []Reading
	tempC := 4.
	for n := range hours * 6 {
		tempC = math.Max(0, math.Min(7, tempC+dice.NormFloat64()/3))
		open := 0.
		if dice.IntN(200) == 0 {
			open = 8
		}
		out = append(out, Reading{made.Add(time.Duration(n) * 10 * time.Minute), tempC + open})
	}
	return out
}

// Freezing brings nothing back that is past or out.
func TestTheFreezerBringsNothingBack(t *testing.T) {
	t.Parallel()
	r := Record{SetC: 4}
	past := milk(Stay{made, InFridge}, Stay{after(80), InFreezer})
	for _, now := range []float64{81, 24 * 20} {
		b := past.Budget(r, Cautious, 20, after(now))
		assert.True(t, b.Past)
		assert.WithinDuration(t, after(72), b.UseBy, time.Minute)
	}
	out := milk(Stay{made, InFridge}, Stay{after(2), Outside}, Stay{after(5), InFreezer}, Stay{after(30), InFridge})
	assert.NotEmpty(t, out.Budget(r, Customary, 20, after(31)).Out)
	thawed := milk(Stay{made, InFridge}, Stay{after(70), InFreezer}, Stay{after(200), InFridge})
	b := thawed.Budget(r, Cautious, 20, after(212))
	assert.InDelta(t, 2./24, b.LeftDays, .001, "two hours were left, and are")
	assert.True(t, thawed.Budget(r, Cautious, 20, after(215)).Past)
	again := milk(Stay{made, InFridge}, Stay{after(5), InFreezer}, Stay{after(50), InFridge}, Stay{after(70), Outside}, Stay{after(71.5), InFridge}, Stay{after(80), Outside})
	assert.NotEmpty(t, again.Budget(r, Customary, 20, after(81)).Out, "time outside counts after thawing too")
}

// A spell is the drink's own: it lags the air, goes on across a move, and short
// ones add up.
func TestSpellsAreTheDrinksOwn(t *testing.T) {
	t.Parallel()
	warm := func(at, hours, tempC float64) []Reading {
		return []Reading{{after(at), tempC}, {after(at + hours), 4}}
	}
	door := NewRecord(append([]Reading{{after(0), 4}}, warm(10, .25, 12)...), 4)
	assert.Less(t, milk().Budget(door, Cautious, 20, after(14)).Spells[0].MostC, 8., "a quarter of an hour of 12 °C warms half a litre little")
	spell := NewRecord(everyTenMinutes(func(h float64) float64 {
		if h >= 10 && h < 15.5 {
			return 9
		}
		return 4
	}, 30), 4)
	moved := milk(Stay{made, InFridge}, Stay{after(12), InDoor})
	assert.NotEmpty(t, milk().Budget(spell, Customary, 20, after(20)).Out)
	assert.NotEmpty(t, moved.Budget(spell, Customary, 20, after(20)).Out, "a move does not end it")
	often := NewRecord(everyTenMinutes(func(h float64) float64 {
		if math.Mod(h, 8) >= 6 {
			return 7
		}
		return 3
	}, 40), 4)
	assert.Empty(t, milk().Budget(often, Cautious, 20, after(16)).Out)
	assert.NotEmpty(t, milk().Budget(often, Cautious, 20, after(40)).Out, "two hours three times are over four")
}

func everyTenMinutes(tempC func(hour float64) float64, hours int) []Reading {
	var out []Reading
	for n := range hours * 6 {
		out = append(out, Reading{after(float64(n) / 6), tempC(float64(n) / 6)})
	}
	return out
}

// 4 L in a pan 10 cm deep has 1109 cm² of wall and bottom in the ice: 250 W/m²·K
// over 16.4 kJ/K takes it from 95 to 21 °C in 15 minutes. Its surface does not lie in
// the ice, by hand.
func TestTheSurfaceDoesNotLieInTheIce(t *testing.T) {
	t.Parallel()
	first, ok := Cooling{VolumeML: 4000, FromC: 95, Bath: InIce, RoomC: 20}.Until(21)
	assert.True(t, ok)
	assert.InDelta(t, 15.3, first.Minutes(), .3)
}
