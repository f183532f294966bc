package keep

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestTwoLeftoversPouredTogether(t *testing.T) {
	t.Parallel()
	half := Leftover{Bottle: 1, Drink: 1, InUse: true, FilledML: 500, HoldsML: 500, LeftML: 200}
	other := func(change func(*Leftover)) Leftover {
		o := Leftover{Bottle: 2, Drink: 1, InUse: true, FilledML: 700, HoldsML: 700, LeftML: 300}
		change(&o)
		return o
	}
	for why, o := range map[Apart]Leftover{
		Together:    other(func(o *Leftover) { o.LeftML = 500.4 }),
		NotTwo:      other(func(o *Leftover) { o.InUse = false }),
		TwoDrinks:   other(func(o *Leftover) { o.Drink = 2 }),
		IsFrozen:    other(func(o *Leftover) { o.Frozen = true }),
		OneIsFull:   other(func(o *Leftover) { o.LeftML = 700 }),
		TooMuchByML: other(func(o *Leftover) { o.LeftML = 501 }),
	} {
		largest, got := half.Pour(o)
		assert.Equal(t, why, got)
		assert.Equal(t, 700., largest)
	}
	_, why := half.Pour(other(func(o *Leftover) { o.LeftML = 500.5 }))
	assert.Equal(t, Together, why, "half a millilitre is nothing")
	_, why = half.Pour(half)
	assert.Equal(t, NotTwo, why)
	assert.True(t, Fills(1000, 1020))
	assert.False(t, Fills(1000, 1021))
	assert.True(t, CanFreeze(InFridge, InDoor))
	assert.False(t, CanFreeze(InFridge, InFreezer, InFridge), "nothing is frozen twice")
	assert.Equal(t, []int{2, 3, 60, 60}, []int{PulpDays(false, Cautious), PulpDays(false, Customary), PulpDays(true, Cautious), PulpDays(true, Customary)})
}

// The two points of the Food Code (3-501.14), and what is asked before each.
func TestHowADrinkStandsOnItsWayDown(t *testing.T) {
	t.Parallel()
	began := time.Date(2026, 11, 26, 18, 0, 0, 0, time.UTC)
	after := func(minutes int) time.Time { return began.Add(time.Duration(minutes) * time.Minute) }
	clock := CoolingClock{FirstBy: after(120), ColdBy: after(360), First: after(60), Cold: after(200)}
	with := func(first, cold time.Time) CoolingClock {
		k := clock
		k.First, k.Cold = first, cold
		return k
	}
	for _, c := range []struct {
		k    CoolingClock
		c    float64
		at   int
		want CoolingVerdict
	}{
		{clock, 40, 30, CoolsInTime}, {clock, 21.5, 121, MissedFirst}, {clock, 20.9, 121, CoolsInTime}, {clock, 5.5, 361, MissedCold},
		{with(time.Time{}, time.Time{}), 60, 10, NeverFirst}, {with(after(121), after(200)), 60, 10, LateFirst},
		{with(after(60), time.Time{}), 60, 10, NeverCold}, {with(after(60), after(361)), 60, 10, LateCold},
	} {
		assert.Equal(t, c.want, c.k.Verdict(c.c, after(c.at)), "%.1f °C after %d minutes", c.c, c.at)
	}
	assert.True(t, MissedFirst.IsMissed() && MissedCold.IsMissed() && !LateCold.IsMissed())
	assert.Equal(t, []Warning{{FirstC, after(120), 80 * time.Minute}, {ColdC, after(360), 270 * time.Minute}}, clock.Warnings(began))
	assert.Equal(t, []Warning{{ColdC, after(360), time.Minute}}, clock.Warnings(after(350)), "what is past is not warned of")
}
